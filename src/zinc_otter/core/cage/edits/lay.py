"""Lay faces corner by corner: new points, and vertices that are there already."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, carried
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError

Corner = int | Sequence[float]
"""A vertex of the cage by its index, or a new point (3,) in mm."""


Given = Corner | tuple[int, int]
"""A corner, or both ends of an edge, in whichever order lets the sides of the face not cross."""


def arranged(cage: Cage, given: Sequence[Given]) -> list[Corner]:
    """Corners one after the other around a face: the ends of an edge that was given as one stand the way that fits.

    Raises BadSelectionError where a vertex is not there.

    >>> from zinc_otter.core.primitives import plane
    >>> arranged(plane((2, 1), (1, 1)), [(2, 3), (1.0, 9.0, 0.0), (-1.0, 9.0, 0.0)])
    [2, 3, (1.0, 9.0, 0.0), (-1.0, 9.0, 0.0)]
    """
    corners: list[Corner] = []
    edges: list[int] = []
    for one in given:
        if isinstance(one, Sequence) and len(one) == 2:
            edges.append(len(corners))
            corners.extend(int(v) for v in one)
        else:
            corners.append(one)
    if len(corners) != 4 or not _cross_over(points := _places(cage, corners)):
        return corners
    for at in edges:
        order = list(range(4))
        order[at], order[at + 1] = at + 1, at
        if not _cross_over(points[order]):
            return [corners[i] for i in order]
    return corners


def _places(cage: Cage, corners: Sequence[Corner]) -> Floats:
    count = cage.topology.vertex_count
    for corner in corners:
        if isinstance(corner, int) and not 0 <= corner < count:
            raise BadSelectionError(f"There is no vertex {corner}: the cage has {count} vertices.")
    return np.asarray([cage.positions[c] if isinstance(c, int) else c for c in corners], dtype=np.float64)


def _cross_over(points: Floats) -> bool:
    """Whether two sides of a face cross, or it has no area at all."""
    total = _area_vector(points)
    return bool(total @ total < 1e-18) or int(np.count_nonzero(_turns(points, total) < 0)) >= 2


def _turns(points: Floats, total: Floats) -> Ints:
    """Which way each corner turns: 1 with the whole face, -1 against it."""
    before, after = np.roll(points, 1, axis=0) - points, np.roll(points, -1, axis=0) - points
    turns: Ints = np.sign(np.cross(after, before) @ total).astype(int)
    return turns


def first_face(corners: Sequence[Sequence[float]], towards: Sequence[float]) -> Cage:
    """A cage of one face of three or four points (3,), its outside ``towards`` a direction (3,).

    Raises BadNumberError for points that make no face.

    >>> sheet = first_face([(0, 0, 0), (10, 0, 0), (10, 10, 0), (0, 10, 0)], (0, 0, 1))
    >>> sheet.face_normals.tolist()
    [[0.0, 0.0, 1.0]]
    """
    points = checked_corners(corners)
    order = np.arange(len(points))
    if _area_vector(points) @ np.asarray(towards, dtype=np.float64) < 0:
        order = order[::-1]
    return Cage.from_faces(points[order], [list(range(len(points)))])


def lay_face(cage: Cage, corners: Sequence[Corner], towards: Sequence[float]) -> Edit:
    """Add a face of three or four corners. It is turned as its neighbours are, or ``towards`` a direction (3,).

    Raises BadSelectionError where a vertex is not there, or neighbours disagree about the side that looks out;
    BadNumberError for points that make no face; UnsoundCageError where an edge would have three faces or faces would
    touch in a point.

    >>> sheet = first_face([(0, 0, 0), (10, 0, 0), (10, 10, 0), (0, 10, 0)], (0, 0, 1))
    >>> lay_face(sheet, [2, 1, (20, 0, 0), (20, 10, 0)], (0, 0, 1)).cage.topology.face_count
    2
    """
    points, face = split_corners(cage, corners)
    checked_corners(np.concatenate([cage.positions, points])[face].tolist())
    return lay_faces(cage, points, [face], towards)


def split_corners(cage: Cage, corners: Sequence[Corner]) -> tuple[Floats, list[int]]:
    """The new points (k, 3) among the corners, and the face by numbers: those from the count of vertices on are the new
    ones.

    Raises BadSelectionError where a vertex is not there.
    """
    count = cage.topology.vertex_count
    new: list[Sequence[float]] = []
    face: list[int] = []
    for corner in corners:
        if isinstance(corner, int):
            if not 0 <= corner < count:
                raise BadSelectionError(f"There is no vertex {corner}: the cage has {count} vertices.")
            face.append(corner)
        else:
            face.append(count + len(new))
            new.append(corner)
    return np.asarray(new, dtype=np.float64).reshape(-1, 3), face


def lay_faces(cage: Cage, points: Floats, faces: Sequence[Sequence[int]], towards: Sequence[float]) -> Edit:
    """Add several faces that go with one another, over the cage's vertices and then new ``points`` (k, 3); they are
    selected.

    All are turned as their neighbours are, or else ``towards`` a direction (3,). Raises as lay_face.

    >>> sheet = first_face([(0, 0, 0), (10, 0, 0), (10, 10, 0), (0, 10, 0)], (0, 0, 1))
    >>> fresh = np.array([[20.0, 0, 0], [20, 10, 0], [30, 0, 0], [30, 10, 0]])
    >>> lay_faces(sheet, fresh, [(2, 1, 4, 5), (5, 4, 6, 7)], (0, 0, 1)).selected.ids.tolist()
    [1, 2]
    """
    t = cage.topology
    positions = np.concatenate([cage.positions, points])
    rings = [list(face) for face in faces]
    over = _turned_against(t, rings, positions, np.asarray(towards, dtype=np.float64))
    flat = [v for ring in rings for v in (ring[::-1] if over else ring)]
    face_verts = np.concatenate([t.face_verts, flat]).astype(np.int32)
    ends = t.face_offsets[-1] + np.cumsum([len(ring) for ring in rings])
    offsets = np.concatenate([t.face_offsets, ends]).astype(np.int32)
    topology = Topology.checked(len(positions), face_verts, offsets)
    stays = np.arange(t.corner_count, dtype=np.int32)
    new_cage, went = carried(cage, positions, topology, np.arange(t.vertex_count, dtype=np.int32), stays)
    return Edit(new_cage, Selection.of("face", np.arange(t.face_count, topology.face_count)), went)


def _turned_against(t: Topology, faces: list[list[int]], positions: Floats, towards: Floats) -> bool:
    """Whether the faces must be reversed: a neighbour runs along a shared edge the other way."""
    runs = set(zip(t.face_verts.tolist(), t.face_verts[t.corner_next].tolist(), strict=True))
    steps = [step for face in faces for step in zip(face, [*face[1:], face[0]], strict=True)]
    if any(step in runs and step[::-1] in runs for step in steps):
        return False  # An edge with two faces already: the check of the topology says so better.
    same = sum(step in runs for step in steps)
    opposite = sum((b, a) in runs for a, b in steps)
    if same and opposite:
        raise BadSelectionError(
            "The faces on the two sides look out in opposite directions, so that none fits between them.",
            vertices=sorted({v for face in faces for v in face if v < t.vertex_count}),
        )
    if same or opposite:
        return bool(same)
    return bool(sum(_area_vector(positions[face]) for face in faces) @ towards < 0)


def checked_corners(corners: Sequence[Sequence[float]]) -> Floats:
    """The corners of a face as points (k, 3). Raises BadNumberError where they make no face."""
    points: Floats = np.asarray(corners, dtype=np.float64).reshape(-1, 3)
    if len(points) not in (3, 4):
        raise BadNumberError(f"A face is laid of three or four corners; {len(points)} were given.")
    if not np.isfinite(points).all():
        raise BadNumberError("A corner would lie nowhere.")
    total = _area_vector(points)
    span = np.ptp(points, axis=0).max()
    if np.linalg.norm(total) <= 1e-9 * max(span * span, 1e-12):
        raise BadNumberError("These corners lie on one line, or cross over, so that the face has no area.")
    if np.count_nonzero(_turns(points, total) < 0) >= 2:
        raise BadNumberError("The sides of this face would cross; click its corners one after the other around it.")
    return points


def _area_vector(points: Floats) -> Floats:
    moved = points - points[0]
    return np.asarray(np.cross(moved, np.roll(moved, -1, axis=0)).sum(axis=0) / 2)
