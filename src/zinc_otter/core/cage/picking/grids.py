"""Regions of quads that are grids: four-sided, a strip, a tube, a torus."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Ints, Topology
from zinc_otter.core.errors import BadSelectionError


@dataclass(frozen=True, eq=False)
class Grid:
    """Faces in rows and columns: ``corners`` (a, b) is the corner of face (i, j) at its lower left, whose half-edge runs
    along i; ``closed`` tells whether it goes round along i, and along j."""

    corners: Ints
    closed: tuple[bool, bool]

    @property
    def counts(self) -> tuple[int, int]:
        return self.corners.shape[0], self.corners.shape[1]

    def verts(self, t: Topology) -> Ints:
        """(a + 1, b + 1) vertices; the last row or column repeats the first where it goes round."""
        a, b = self.counts
        found = np.empty((a + 1, b + 1), dtype=np.int32)
        low = self.corners
        right = t.corner_next[low]
        up = t.corner_prev[low]
        found[:-1, :-1] = t.face_verts[low]
        found[-1, :-1] = t.face_verts[right[-1]]
        found[:-1, -1] = t.face_verts[up[:, -1]]
        found[-1, -1] = t.face_verts[t.corner_next[right[-1, -1]]]
        return found


def grid_of(t: Topology, selection: Selection, along: int | None = None) -> Grid:
    """The grid that picked faces make up, i running along the half-edge ``along`` of one of them, or the first of the first.

    Raises BadSelectionError where they are none.
    """
    selection.check(t)
    if selection.kind != "face":
        raise BadSelectionError("Pick the faces of a grid.")
    odd = selection.ids[t.face_sizes[selection.ids] != 4]
    if len(odd):
        raise BadSelectionError("A grid has faces with four sides only.", faces=odd)
    inside = np.zeros(t.face_count, dtype=bool)
    inside[selection.ids] = True
    start = int(t.face_offsets[selection.ids[0]]) if along is None else along
    column, closed_j = _line(t, start, inside, up=True)
    rows = [_line(t, corner, inside, up=False) for corner in column]
    sizes = {len(row) for row, _ in rows}
    closed = {goes_round for _, goes_round in rows}
    if len(sizes) == 1 and len(closed) == 1:
        corners = np.array([row for row, _ in rows], dtype=np.int32).T
        if corners.size == len(selection) and len(np.unique(t.corner_face[corners])) == len(selection):
            grid = Grid(corners, (closed.pop(), closed_j))
            if _holds_together(t, grid):
                return grid
    raise BadSelectionError(
        "The picked faces are no full grid of rows and columns; pick a four-sided region, a strip, or all round a tube.",
        faces=selection.ids,
    )


def _line(t: Topology, corner: int, inside: Bools, up: bool) -> tuple[list[int], bool]:
    """Corners of faces side by side through one of them, in order, and whether they go round."""
    ahead, closed = _walk(t, corner, inside, up, 1)
    if closed:
        return [corner, *ahead], True
    back, _ = _walk(t, corner, inside, up, -1)
    return [*reversed(back), corner, *ahead], False


def _walk(t: Topology, start: int, inside: Bools, up: bool, way: int) -> tuple[list[int], bool]:
    found: list[int] = []
    corner = start
    while True:
        corner = _beside(t, corner, up, way)
        if corner < 0 or not inside[t.corner_face[corner]] or corner in found:
            return found, False
        if corner == start:
            return found, True
        if t.corner_face[corner] == t.corner_face[start]:
            return found, False
        found.append(corner)


def _beside(t: Topology, corner: int, up: bool, way: int) -> int:
    """The like corner of the face to the right or left, or above or below; -1 past a border or a face of other sides."""
    side = corner
    for _ in range({(False, 1): 1, (True, 1): 2, (False, -1): 3, (True, -1): 0}[up, way]):
        side = int(t.corner_next[side])
    twin = int(t.corner_twin[side])
    if twin < 0 or t.face_sizes[t.corner_face[twin]] != 4:
        return -1
    # In the neighbour the shared side is the one opposite to that which was left through.
    for _ in range({(False, 1): 1, (True, 1): 0, (False, -1): 3, (True, -1): 2}[up, way]):
        twin = int(t.corner_next[twin])
    return twin


def _holds_together(t: Topology, grid: Grid) -> bool:
    """Whether neighbours in the grid are neighbours in the cage, in both directions."""
    for up in (False, True):
        corners = grid.corners if up else grid.corners.T
        closed = grid.closed[1 if up else 0]
        for line in corners:
            for k, corner in enumerate(line.tolist()):
                goes_on = k + 1 < len(line) or closed
                if goes_on and _beside(t, corner, up, 1) != line[(k + 1) % len(line)]:
                    return False
    return True
