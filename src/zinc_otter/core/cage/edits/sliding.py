"""Slide along the cage: chains of edges to one of their sides, vertices along one of their edges; and straighten loops."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, edges_between, same_structure
from zinc_otter.core.cage.edits.chains import Chain, picked_chains
from zinc_otter.core.cage.edits.pairing import loop_normal
from zinc_otter.core.cage.edits.placing import finite
from zinc_otter.core.cage.selection import Selection, vertex_normals, vertices_of
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError

MOST_SHARE = 0.99
"""How far towards its neighbour a vertex slides at the most, so that no edge loses its length."""


def slide(
    cage: Cage, selection: Selection, amount: float, in_mm: bool = False, towards: Sequence[float] | None = None
) -> Edit:
    """Slide picked edges, or vertices that make up chains, to the left of their chain, or for a negative amount right.

    ``amount`` is a share of the way to the next loop, -1 to 1, or mm. With ``towards`` (3,) each picked vertex slides by
    itself along that of its edges that goes this way best. Raises BadSelectionError (a side without faces, more mm than
    there are, with how many there are), BadNumberError.
    """
    selection.check(cage.topology)
    by = float(finite([amount], "How far to slide")[0])
    if not in_mm and not -1 <= by <= 1:
        raise BadNumberError(f"A share of the way runs from -100 to 100 %; {100 * by:g} % is outside.")
    if towards is not None:
        verts = vertices_of(cage.topology, selection)
        targets = cage.positions[_aligned(cage, verts, finite(towards, "The direction"))]
        by = abs(by)
    else:
        verts, targets = _sides(cage, picked_chains(cage, selection), by >= 0)
        by = abs(by)
    way = targets - cage.positions[verts]
    length = np.linalg.norm(way, axis=1)
    least = float(length.min())
    if in_mm and by > MOST_SHARE * least:
        raise BadSelectionError(
            f"There are only {least:.3g} mm to the next vertex here; slide by less than {MOST_SHARE * least:.3g} mm.",
            vertices=[verts[int(np.argmin(length))]],
        )
    share = by / np.maximum(length, 1e-12) if in_mm else np.full(len(verts), min(by, MOST_SHARE))
    positions = cage.positions.copy()
    positions[verts] += share[:, None] * way
    return same_structure(cage.with_positions(positions), selection)


def straighten(cage: Cage, selection: Selection, share: float = 1.0) -> Edit:
    """Slide the vertices of picked loops and chains along the cage until they lie in one plane each.

    A loop that goes round takes the plane that fits it best; a chain the plane through its ends, square to the form
    between. No vertex slides further than to its neighbour. Raises BadSelectionError, BadNumberError.
    """
    if not (np.isfinite(share) and 0 <= share <= 1):
        raise BadNumberError("The share of the way runs from 0 to 1.")
    chains = picked_chains(cage, selection)
    positions = cage.positions.copy()
    normals = vertex_normals(cage, cage.face_area_vectors)
    for chain in chains:
        p = cage.positions[chain.verts]
        if chain.closed:
            point, normal = p.mean(axis=0), loop_normal(p)
        else:
            point = p[0]
            normal = unit(np.cross(p[-1] - p[0], normals[chain.verts].mean(axis=0)))
        if not normal.any():
            raise BadSelectionError("This chain gives no plane to be straightened in.", vertices=chain.verts)
        height = (p - point) @ normal
        best = np.zeros(len(p))
        targets = p.copy()
        for left in (True, False):
            verts, sides = _sides(cage, [chain], left, refuse=False)
            there = np.isin(chain.verts, verts)
            side = p.copy()
            side[there] = sides[np.argsort(verts)][np.searchsorted(np.sort(verts), chain.verts[there])]
            change = (side - p) @ normal
            # Towards the plane, and no further than to the neighbour.
            part = np.where(height * change < 0, -height / np.where(change == 0, 1, change), 0.0)
            part = np.clip(part, 0, MOST_SHARE)
            gain = np.abs(height) - np.abs(height + part * change)
            better = gain > best + 1e-12
            best[better] = gain[better]
            targets[better] = (p + part[:, None] * (side - p))[better]
        if not chain.closed:
            targets[[0, -1]] = p[[0, -1]]
        positions[chain.verts] = p + share * (targets - p)
    return same_structure(cage.with_positions(positions), selection)


def _sides(cage: Cage, chains: list[Chain], left: bool, refuse: bool = True) -> tuple[Ints, Floats]:
    """The vertices of the chains (k,), and where on one side of the chain each would slide to (k, 3)."""
    verts: list[int] = []
    targets: list[Floats] = []
    stuck: list[int] = []
    first = chains[0]
    for chain in chains:
        walk = chain if _runs_along(cage, first, chain) else chain.reversed()
        n = len(walk.verts)
        for k, vertex in enumerate(walk.verts.tolist()):
            before = int(walk.verts[k - 1]) if k or walk.closed else -1
            after = int(walk.verts[(k + 1) % n]) if k < n - 1 or walk.closed else -1
            target = _side_of(cage, vertex, before, after, left)
            if target is None:
                stuck.append(vertex)
            else:
                verts.append(vertex)
                targets.append(target)
    if stuck and refuse:
        raise BadSelectionError("There is no face on that side to slide along.", vertices=stuck)
    return np.array(verts, dtype=np.int32), np.array(targets).reshape(-1, 3)


def _runs_along(cage: Cage, first: Chain, other: Chain) -> bool:
    """Whether two chains run the same way, as far as they lie side by side."""
    p, q = cage.positions[first.pairs], cage.positions[other.pairs]
    near = np.linalg.norm(p.mean(axis=1)[:, None] - q.mean(axis=1)[None], axis=2).argmin(axis=1)
    along, there = p[:, 1] - p[:, 0], (q[:, 1] - q[:, 0])[near]
    return bool((along * there).sum() >= 0)


def _side_of(cage: Cage, vertex: int, before: int, after: int, left: bool) -> Floats | None:
    """Where a vertex of a chain slides to: along the middle edge of that side, or across the face where there is none."""
    t = cage.topology
    # Left of the way lies counter-clockwise from the edge ahead, and clockwise from the one behind.
    start, stop, ahead = (after, before, left) if after >= 0 else (before, after, not left)
    edges, face = _fan(t, vertex, start, stop, ahead)
    p = cage.positions
    if edges:
        if stop < 0:
            return np.asarray(p[edges[0]])
        middle = len(edges) // 2
        return np.asarray(p[edges[middle]] if len(edges) % 2 else (p[edges[middle]] + p[edges[middle - 1]]) / 2)
    if face < 0:
        return None
    ring = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]
    beyond = np.setdiff1d(ring, [vertex, before, after])
    return np.asarray(p[beyond].mean(axis=0)) if len(beyond) else None


def _fan(t: Topology, vertex: int, start: int, stop: int, ahead: bool) -> tuple[list[int], int]:
    """Neighbours met while going round a vertex, counter-clockwise or not, from one to another; and the first face."""
    edge = int(edges_between(t, np.array([[vertex, start]]))[0])
    found: list[int] = []
    first = -1
    while True:
        corner = next(
            (c for c in t.edge_corners[edge].tolist() if c >= 0 and (t.face_verts[c] == vertex) == ahead), -1
        )
        if corner < 0:
            return found, first
        first = int(t.corner_face[corner]) if first < 0 else first
        step = int(t.corner_prev[corner]) if ahead else int(t.corner_next[corner])
        edge = int(t.corner_edge[step])
        other = int(t.edge_verts[edge].sum()) - vertex
        if other in (stop, start):
            return found, first
        found.append(other)


def _aligned(cage: Cage, verts: Ints, towards: Floats) -> Ints:
    """(k,) of each vertex the neighbour that lies best in a direction."""
    t = cage.topology
    a, b = np.concatenate([t.edge_verts, t.edge_verts[:, ::-1]]).T
    fits = unit(cage.positions[b] - cage.positions[a]) @ unit(towards)
    order = np.lexsort((fits, a))
    last = np.searchsorted(a[order], verts, side="right") - 1
    return np.asarray(b[order[last]])
