"""Split picked edges into parts, and picked faces into grids of n by m."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from zinc_otter.core.cage.building.evenly import evenly_on
from zinc_otter.core.cage.building.gridding import Gridded, gridded
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError

MOST_PARTS = 64


def split_edges(cage: Cage, selection: Selection, parts: int) -> Gridded:
    """Part each picked edge into so many equal ones; faces gain corners. The parts are selected.

    Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> split_edges(box((10, 10, 10), (1, 1, 1)), Selection.of("edge", [0]), 3).cage.topology.vertex_count
    10
    """
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("Pick edges to part them.")
    _check_parts(parts)
    edges = selection.ids
    counts = np.full(len(edges), parts - 1)
    done = gridded(cage, edges, counts, evenly_on(cage, edges, counts))
    return replace(done, selected=done.whole(selection))


def split_faces(cage: Cage, selection: Selection, along: int, across: int, *, leading: Ints | None = None) -> Gridded:
    """Part each picked quad into ``along`` by ``across`` quads; all of them are selected.

    The directions lead on from face to face; "along" is that of the first edge of the first face, or of the edges among
    ``leading``. Neighbours that are not picked gain corners. Raises BadSelectionError (a face that is no quad; directions
    that meet each other crosswise while the numbers differ), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> split_faces(box((10, 10, 10), (1, 1, 1)), Selection.of("face", [0]), 3, 2).cage.topology.face_count
    11
    """
    edges, counts = _counts(cage.topology, selection, along, across, leading)
    grids = np.zeros(cage.topology.face_count, dtype=bool)
    grids[selection.ids] = True
    done = gridded(cage, edges, counts, evenly_on(cage, edges, counts), grids)
    return replace(done, selected=done.whole(selection))


def leading_edges(t: Topology, selection: Selection) -> Ints:
    """The edges of picked quads that :func:`split_faces` takes as running along. Raises as that."""
    edges, counts = _counts(t, selection, 3, 2, None, strict=False)
    return edges[counts == 2]


def _counts(
    t: Topology, selection: Selection, along: int, across: int, leading: Ints | None, strict: bool = True
) -> tuple[Ints, Ints]:
    """The edges of picked quads that are parted, and how many vertices each of them gets."""
    selection.check(t)
    if selection.kind != "face":
        raise BadSelectionError("Pick faces to part them into grids.")
    _check_parts(along)
    _check_parts(across)
    odd = selection.ids[t.face_sizes[selection.ids] != 4]
    if len(odd):
        raise BadSelectionError("Only faces with four sides can be parted into a grid.", faces=odd)
    counts = np.full(t.edge_count, -1, dtype=np.int32)
    left = set(selection.ids.tolist())
    while left:
        first = min(left)
        own = t.corner_edge[t.face_offsets[first] : t.face_offsets[first + 1]]
        turned = leading is not None and not np.isin(own[[0, 2]], leading).any() and np.isin(own[[1, 3]], leading).any()
        todo = [(first, across - 1, along - 1) if turned else (first, along - 1, across - 1)]
        while todo:
            face, one, other = todo.pop()
            if face not in left:
                continue
            left.discard(face)
            edges = t.corner_edge[t.face_offsets[face] : t.face_offsets[face + 1]]
            wanted = np.array([one, other, one, other])
            clash = (counts[edges] >= 0) & (counts[edges] != wanted)
            if clash.any() and strict:
                raise BadSelectionError(
                    "Here the rows of one face meet the columns of another, so both numbers must be the same.", faces=[face]
                )
            counts[edges] = wanted
            todo += _neighbours(t, face, edges, wanted, left)
    edges = np.flatnonzero(counts > 0).astype(np.int32)
    if not len(edges):
        raise BadNumberError("1 by 1 parts nothing; take 2 in one direction at least.")
    return edges, counts[edges]


def _neighbours(t: Topology, face: int, edges: Ints, wanted: Ints, left: set[int]) -> list[tuple[int, int, int]]:
    found = []
    for k, edge in enumerate(edges.tolist()):
        for other in t.edge_faces[edge].tolist():
            if other != face and other in left:
                at = t.corner_edge[t.face_offsets[other] : t.face_offsets[other + 1]].tolist().index(edge)
                same, cross = int(wanted[k]), int(wanted[(k + 1) % 4])
                found.append((other, same, cross) if at % 2 == 0 else (other, cross, same))
    return found


def _check_parts(parts: int) -> None:
    if not 1 <= parts <= MOST_PARTS:
        raise BadNumberError(f"1 to {MOST_PARTS} parts can be made; {parts} were asked for.")
