"""The edges beside a chain, to its left and to its right."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.chains import Chain
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def sides_of(cage: Cage, chains: list[Chain], left: bool, refuse: bool = True) -> tuple[Ints, Floats]:
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
            target = side_of(cage, vertex, before, after, left)
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


def side_of(cage: Cage, vertex: int, before: int, after: int, left: bool) -> Floats | None:
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
        corner = next((c for c in t.edge_corners[edge].tolist() if c >= 0 and (t.face_verts[c] == vertex) == ahead), -1)
        if corner < 0:
            return found, first
        first = int(t.corner_face[corner]) if first < 0 else first
        step = int(t.corner_prev[corner]) if ahead else int(t.corner_next[corner])
        edge = int(t.corner_edge[step])
        other = int(t.edge_verts[edge].sum()) - vertex
        if other in (stop, start):
            return found, first
        found.append(other)
