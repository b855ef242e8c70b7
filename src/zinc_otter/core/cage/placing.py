"""Move, turn and size what is picked. Connectivity stays as it is."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, mean_normal, vertex_normals, vertices_of
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError


def move(cage: Cage, selection: Selection, vector: Sequence[float]) -> Edit:
    """Move the selection by ``vector`` (3,) mm. Raises BadSelectionError, BadNumberError."""
    return _placed(cage, selection, lambda points: points + _finite(vector, "A move"))


def move_along_normal(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Move the selection as one by ``distance`` mm along its mean normal. Raises BadSelectionError, BadNumberError."""
    selection.check(cage.topology)
    return move(cage, selection, tuple(mean_normal(cage, selection) * _finite([distance] * 3, "A move")))


def turn(
    cage: Cage, selection: Selection, axis: Sequence[float], degrees: float, pivot: Sequence[float] | None = None
) -> Edit:
    """Turn the selection by ``degrees`` about ``axis`` (3,) through ``pivot`` (default its middle), right-handed.

    Raises BadSelectionError, BadNumberError (an axis of no length).
    """
    direction = _finite(axis, "The axis")
    length = np.linalg.norm(direction)
    if length < 1e-12:
        raise BadNumberError("The axis to turn about has no length.")
    spin = Rotation.from_rotvec(direction / length * np.radians(_finite([degrees], "An angle")[0]))

    def turned(points: Floats) -> Floats:
        about = _pivot(points, pivot)
        return np.asarray(spin.apply(points - about)) + about

    return _placed(cage, selection, turned)


def size(
    cage: Cage,
    selection: Selection,
    factors: Sequence[float],
    pivot: Sequence[float] | None = None,
    frame: Sequence[Sequence[float]] | None = None,
) -> Edit:
    """Multiply the selection's extent by ``factors`` (3,) about ``pivot`` (default its middle).

    The factors go along the axes of ``frame``, three unit vectors square to each other (default x, y, z).
    A factor of 0 flattens, so that things line up; a negative one is refused, since it would turn faces inside out.
    Raises BadSelectionError, BadNumberError.
    """
    scale = _finite(factors, "A factor")
    if np.any(scale < 0):
        raise BadNumberError(f"A factor below 0 would turn the form inside out; {scale.min():g} is below 0.")
    axes = np.eye(3) if frame is None else _frame(frame)

    def sized(points: Floats) -> Floats:
        about = _pivot(points, pivot)
        return np.asarray(((points - about) @ axes.T * scale) @ axes + about)

    def sized_plainly(points: Floats) -> Floats:
        about = _pivot(points, pivot)
        return (points - about) * scale + about

    return _placed(cage, selection, sized if frame is not None else sized_plainly)


def move_each_along_normal(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Move each vertex of the selection by ``distance`` mm along its own normal.

    The normal is the area-weighted mean of the selection's faces at the vertex; with vertices or edges picked, of all
    faces there. Raises BadSelectionError, BadNumberError.
    """
    selection.check(cage.topology)
    t = cage.topology
    vectors = cage.face_area_vectors.copy()
    if selection.kind == "face":
        others = np.ones(t.face_count, dtype=bool)
        others[selection.ids] = False
        vectors[others] = 0.0
    shift = vertex_normals(cage, vectors) * _finite([distance], "A move")[0]
    return _placed(cage, selection, lambda points: points + shift[vertices_of(t, selection)])


def middle(points: Floats) -> Floats:
    """The middle of the box around points (n, 3): what turning and sizing go about."""
    return np.asarray((points.min(axis=0) + points.max(axis=0)) / 2)


def _placed(cage: Cage, selection: Selection, change: Callable[[Floats], Floats]) -> Edit:
    selection.check(cage.topology)
    chosen = vertices_of(cage.topology, selection)
    positions = cage.positions.copy()
    positions[chosen] = change(positions[chosen])
    return same_structure(cage.with_positions(positions), selection)


def _pivot(points: Floats, pivot: Sequence[float] | None) -> Floats:
    return middle(points) if pivot is None else _finite(pivot, "The pivot")


def _frame(axes: Sequence[Sequence[float]]) -> Floats:
    frame = _finite([x for axis in axes for x in axis], "A frame").reshape(3, 3)
    if not np.allclose(frame @ frame.T, np.eye(3), atol=1e-6):
        raise BadNumberError("The axes of a frame must be of length 1 and square to each other.")
    return frame


def _finite(values: Sequence[float], what: str) -> Floats:
    array = np.asarray(values, dtype=np.float64)
    if not np.all(np.isfinite(array)):
        raise BadNumberError(f"{what} needs plain numbers; one of {list(map(float, array))} is not finite.")
    return array
