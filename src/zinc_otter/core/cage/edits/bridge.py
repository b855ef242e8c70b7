"""Bridge two groups of faces, or two open chains of edges: a tube, a handle, a hole through, a strip."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.building.chains import Chain, border_chains, chains_of, open_corners, outwards
from zinc_otter.core.cage.building.lifting import groups_of
from zinc_otter.core.cage.building.pairing import best_shift, brought_onto
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, ElementMap, edges_between, rebuilt
from zinc_otter.core.cage.edits.add_loop import split_rings
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError

MOST_SEGMENTS = 64
LEAST_FITTING = 3


class BridgeCountError(CoreError):
    """Two ends whose counts do not answer each other; they would after loops were added."""

    kind = "bridge-counts"
    title = "The two ends do not answer each other"


@dataclass(frozen=True, eq=False)
class _End:
    """One end: its chain of edges, running as the faces that stay run along it, and the direction that it opens to."""

    chain: Chain
    outwards: Floats


def bridge(
    cage: Cage,
    selection: Selection,
    *,
    segments: int = 1,
    shift: int = 0,
    strength: float = 0.0,
    add_loops: bool = False,
) -> Edit:
    """Join two ends of a cage by ``segments`` rows of quads; the new faces are selected.

    Faces: two connected groups, which go; edges: two chains of an open border, both closed or both open. The counts
    must be equal, or one a whole multiple of the other; ``add_loops`` adds the missing ones first. The best pairing is
    found, and can be rolled on by ``shift``. With a ``strength`` the middle leaves both ends along their tangents, by so
    many times a third of the way; without it goes straight. Raises BadSelectionError, BadNumberError, BridgeCountError,
    UnsoundCageError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((30, 10, 10), (3, 1, 1))
    >>> ends = Selection.of("face", np.flatnonzero(np.abs(cage.face_normals[:, 0]) > 0.9))
    >>> hollow = bridge(cage, ends).cage.topology
    >>> hollow.vertex_count - hollow.edge_count + hollow.face_count  # A ring.
    0
    """
    if not 1 <= segments <= MOST_SEGMENTS:
        raise BadNumberError(f"A bridge has 1 to {MOST_SEGMENTS} segments; {segments} were asked for.")
    if not (np.isfinite(strength) and 0 <= strength <= 10):
        raise BadNumberError("The strength of a bridge's tangents runs from 0 to 10.")
    keep, ends = _ends(cage, selection)
    counts = [end.chain.edge_count for end in ends]
    if max(counts) % min(counts):
        if not add_loops:
            raise BridgeCountError(_count_words(counts), edges=_edges_at(cage, ends))
        return _with_loops(cage, selection, lambda c, s: bridge(c, s, segments=segments, shift=shift, strength=strength))
    a, b = sorted(ends, key=lambda end: end.chain.edge_count)
    return _joined(cage, keep, a, b, segments, shift, strength)


def fitting_segments(ends: Sequence[tuple[Cage, Selection]]) -> int:
    """Between two ends so many segments that each is about as long as the edges at them; fewer than three bend badly.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((60, 10, 10), (6, 1, 1))
    >>> fitting_segments([(cage, Selection.of("face", [f])) for f in np.flatnonzero(np.abs(cage.face_normals[:, 0]) > 0.9)])
    6
    """
    middles, lengths = [], []
    for cage, picked in ends:
        t = cage.topology
        verts = vertices_of(t, picked)
        edges = picked.ids if picked.kind == "edge" else np.unique(t.corner_edge[np.isin(t.corner_face, picked.ids)])
        middles.append((cage.positions[verts].min(axis=0) + cage.positions[verts].max(axis=0)) / 2)
        a, b = cage.positions[t.edge_verts[edges]].transpose(1, 0, 2)
        lengths.append(np.linalg.norm(a - b, axis=1))
    mean = float(np.concatenate(lengths).mean())
    apart = float(np.linalg.norm(middles[0] - middles[1]))
    return int(np.clip(round(apart / mean), LEAST_FITTING, MOST_SEGMENTS)) if mean > 0 else LEAST_FITTING


def _count_words(counts: list[int]) -> str:
    few, many = sorted(counts)
    more = -(-many // few) * few - many
    return (
        f"One end has {few} edges and the other {many}: they join only in equal counts, or when one is a whole multiple "
        f"of the other. Adding {min(many - few, more)} to one end would do; the missing loops can be added for you."
    )


def _edges_at(cage: Cage, ends: list[_End]) -> Ints:
    return np.concatenate([edges_between(cage.topology, end.chain.pairs) for end in ends])


def _ends(cage: Cage, selection: Selection) -> tuple[Bools, list[_End]]:
    """Which faces stay, and the two ends."""
    t = cage.topology
    selection.check(t)
    keep = np.ones(t.face_count, dtype=bool)
    if selection.kind == "edge":
        chains = border_chains(t, selection.ids)
        if len(chains) != 2:
            raise BadSelectionError(f"A bridge joins two ends; the picked edges make up {len(chains)}.", edges=selection.ids)
        if chains[0].closed != chains[1].closed:
            raise BadSelectionError("One end is a closed loop and the other is not; pick two of a kind.")
        return keep, [_End(chain, _opening(cage, chain)) for chain in chains]
    if selection.kind != "face":
        raise BadSelectionError("A bridge joins faces, or edges of open borders; pick those.")
    keep[selection.ids] = False
    if not keep.any():
        raise BadSelectionError("All faces are picked; a bridge needs a form to stand on.")
    groups = _regions(t, selection.ids)
    if len(groups) != 2:
        raise BadSelectionError(
            f"A bridge joins two groups of faces; {len(groups)} {'is' if len(groups) == 1 else 'are'} picked.",
            faces=selection.ids,
        )
    ends = []
    for faces in groups:
        mask = np.zeros(t.face_count, dtype=bool)
        mask[faces] = True
        corners = np.flatnonzero(mask[t.corner_face])
        twin = t.corner_twin[corners]
        rim = corners[(twin < 0) | ~mask[t.corner_face[np.maximum(twin, 0)]]]
        if (t.corner_twin[rim] < 0).any():
            raise BadSelectionError(
                "These faces reach an open border, so that no tube can stand on them; bridge the open edges instead.",
                faces=faces,
            )
        # The faces that stay run along the rim the other way.
        chains = chains_of(t.face_verts[t.corner_next[rim]], t.face_verts[rim])
        if len(chains) != 1:
            raise BadSelectionError("A group of faces needs a single border to be bridged.", faces=faces)
        total = cage.face_area_vectors[faces].sum(axis=0)
        ends.append(_End(chains[0], unit(total)))
    shared = np.intersect1d(ends[0].chain.verts, ends[1].chain.verts)
    if len(shared):
        raise BadSelectionError("The two groups touch each other; leave a face between them.", vertices=shared)
    return keep, ends


def _regions(t: Topology, faces: Ints) -> list[Ints]:
    label = groups_of(t, faces)
    return [faces[label == k] for k in range(int(label.max()) + 1)]


def _opening(cage: Cage, chain: Chain) -> Floats:
    """(3,) the mean direction in which the faces at an open chain end."""
    t = cage.topology
    corners = open_corners(t, edges_between(t, chain.pairs))
    return unit((chain.lengths(cage.positions)[:, None] * outwards(cage, corners)).sum(axis=0))


def _joined(cage: Cage, keep: Bools, a: _End, b: _End, segments: int, shift: int, strength: float) -> Edit:
    """Chain ``a`` has as many edges as ``b``, or a whole fraction; the last row holds what is more in b."""
    # New faces run against those that stay: along a backwards, and then along b forwards is the same way round.
    first = a.chain
    second = b.chain.reversed()
    if first.closed:
        second = second.rolled(best_shift(cage.positions[first.verts], cage.positions[second.verts]) + shift)
    times = second.edge_count // first.edge_count
    at_b = second.verts[::times]
    p, q = cage.positions[first.verts], cage.positions[at_b]
    rows = _middle_rows(p, q, a.outwards, -b.outwards, segments, strength, first.closed)
    n = len(first.verts)
    count = cage.topology.vertex_count
    number = [first.verts, *(count + np.arange(n * len(rows)).reshape(-1, n)), at_b]
    here = np.arange(first.edge_count)
    ahead = (here + 1) % n
    blocks: list[Ints] = []
    for low, high in zip(number[:-1], number[1:], strict=True):
        last = high is at_b
        if last and times > 1:
            between = second.verts[(times * here[:, None] + np.arange(times + 1)) % len(second.verts)]
            blocks.append(np.column_stack([low[ahead], low[here], between]))
        else:
            blocks.append(np.column_stack([low[ahead], low[here], high[here], high[ahead]]))
    done = rebuilt(cage, np.concatenate([cage.positions, *rows]), blocks, keep=keep)
    return Edit(done.cage, Selection.of("face", done.added), done.old_to_new)


def _middle_rows(
    p: Floats, q: Floats, leaves: Floats, arrives: Floats, segments: int, strength: float, closed: bool
) -> list[Floats]:
    """The rows (n, 3) between two ends, the middle along a cubic Hermite curve whose frame turns with it."""
    start, end = p.mean(axis=0), q.mean(axis=0)
    chord = end - start
    length = float(np.linalg.norm(chord))
    if strength == 0 or length < 1e-12:
        return [p + (q - p) * k / segments for k in range(1, segments)]
    # Ends that face away from each other are joined by a hole through the form: the middle leaves them inwards.
    inwards = float(chord @ (leaves + arrives)) < -1e-9 * length
    pull = -strength * length if inwards else strength * length
    leave, arrive = pull * leaves, pull * arrives
    rows = []
    # What is left between the two ends, once both face the same way, is a twist about the middle, shared evenly.
    back = brought_onto(unit(arrive), unit(leave))
    twist = _twist(p - start, back.apply(q - end), unit(leave)) if closed else 0.0
    for k in range(1, segments):
        s = k / segments
        middle = (
            (2 * s**3 - 3 * s**2 + 1) * start + (s**3 - 2 * s**2 + s) * leave
            + (-2 * s**3 + 3 * s**2) * end + (s**3 - s**2) * arrive
        )  # fmt: skip
        way = (
            (6 * s**2 - 6 * s) * start + (3 * s**2 - 4 * s + 1) * leave
            + (6 * s - 6 * s**2) * end + (3 * s**2 - 2 * s) * arrive
        )  # fmt: skip
        way = unit(way) if np.linalg.norm(way) > 1e-9 * length else unit(chord)
        from_a = brought_onto(unit(leave), way) * Rotation.from_rotvec(twist * s * unit(leave))
        from_b = brought_onto(unit(arrive), way) * Rotation.from_rotvec(-twist * (1 - s) * unit(arrive))
        rows.append(middle + (1 - s) * from_a.apply(p - start) + s * from_b.apply(q - end))
    return rows


def _twist(p: Floats, q: Floats, axis: Floats) -> float:
    """The angle about ``axis`` by which points p (n, 3) best turn onto q."""
    cross = np.cross(p, q) @ axis
    flat_p, flat_q = p - np.outer(p @ axis, axis), q - np.outer(q @ axis, axis)
    return float(np.arctan2(cross.sum(), (flat_p * flat_q).sum()))


def _with_loops(cage: Cage, selection: Selection, then: Callable[[Cage, Selection], Edit]) -> Edit:
    """Add loops through the longest edges of the end that has too few, until the counts answer each other."""
    total = ElementMap.identity(cage.topology)
    for _ in range(64):
        _, ends = _ends(cage, selection)
        counts = [end.chain.edge_count for end in ends]
        if max(counts) % min(counts) == 0:
            done = then(cage, selection)
            return Edit(done.cage, done.selected, total.then(done.old_to_new))
        few, many = sorted(counts)
        # The nearer of: make the smaller as large, or the larger a multiple.
        grow_small = many - few <= -(-many // few) * few - many
        end = ends[counts.index(few if grow_small else many)]
        lengths = end.chain.lengths(cage.positions)
        edge = edges_between(cage.topology, end.chain.pairs)[int(np.argmax(lengths))]
        step = split_rings(cage, Selection.of("edge", [edge]))
        moved = step.whole(selection)
        if len(moved) == 0:
            break
        cage, selection, total = step.cage, moved, total.then(step.old_to_new)
    raise BridgeCountError("Loops alone do not make the two ends answer each other here; add edges by hand.")
