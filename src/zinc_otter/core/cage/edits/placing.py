"""Move, turn and size what is picked, as far as it reaches. Connectivity stays as it is."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.reach.reach import Reach
from zinc_otter.core.cage.selection import Selection, mean_normal, vertex_normals, vertices_of
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

Motion = Callable[[Floats, Floats], Floats]
"""Takes points (k, 3) and how far each takes part (k,), 0 to 1, to where they go."""


def moving(vector: Sequence[float]) -> Motion:
    """By ``vector`` (3,) mm. Raises BadNumberError."""
    step = finite(vector, "A move")
    return lambda points, weights: points + weights[:, None] * step


def along_normal(cage: Cage, selection: Selection, distance: float) -> Motion:
    """As one by ``distance`` mm along the mean normal of a selection. Raises BadSelectionError, BadNumberError."""
    selection.check(cage.topology)
    return moving(tuple(mean_normal(cage, selection) * finite([distance] * 3, "A move")))


def turning(axis: Sequence[float], degrees: float, about: Sequence[float]) -> Motion:
    """By ``degrees`` about ``axis`` (3,) through ``about``, right-handed. Raises BadNumberError (an axis of no length)."""
    direction = finite(axis, "The axis")
    length = np.linalg.norm(direction)
    if length < 1e-12:
        raise BadNumberError("The axis to turn about has no length.")
    spin = direction / length * np.radians(finite([degrees], "An angle")[0])
    pivot = finite(about, "The pivot")

    def turned(points: Floats, weights: Floats) -> Floats:
        return np.asarray(Rotation.from_rotvec(weights[:, None] * spin).apply(points - pivot)) + pivot

    return turned


def sizing(
    factors: Sequence[float], about: Sequence[float], frame: Sequence[Sequence[float]] | None = None
) -> Motion:
    """By ``factors`` (3,) about ``about``, along the axes of ``frame``, three unit vectors square to each other.

    A factor of 0 flattens, so that things line up; a negative one is refused, since it would turn faces inside out.
    Raises BadNumberError.
    """
    scale = finite(factors, "A factor")
    if np.any(scale < 0):
        raise BadNumberError(f"A factor below 0 would turn the form inside out; {scale.min():g} is below 0.")
    axes = None if frame is None else _frame(frame)
    pivot = finite(about, "The pivot")

    def sized(points: Floats, weights: Floats) -> Floats:
        each = 1 + weights[:, None] * (scale - 1)
        if axes is None:
            return np.asarray((points - pivot) * each + pivot)
        return np.asarray(((points - pivot) @ axes.T * each) @ axes + pivot)

    return sized


def placed(cage: Cage, selection: Selection, motion: Motion, reach: Reach | None = None) -> Edit:
    """Move the selection, and with a ``reach`` what lies around it by a share. Raises BadSelectionError."""
    selection.check(cage.topology)
    weights = _weights(cage, selection, reach)
    taken = np.flatnonzero(weights)
    positions = cage.positions.copy()
    positions[taken] = motion(positions[taken], weights[taken])
    return _shown(cage, positions, selection, weights if reach else None)


def pushed(cage: Cage, selection: Selection, distance: float, reach: Reach | None = None) -> Edit:
    """Move each vertex of the selection by ``distance`` mm along its own normal.

    The normal is the area-weighted mean of the selection's faces at the vertex; with vertices or edges picked, or with
    a ``reach``, of all faces there. Raises BadSelectionError, BadNumberError.
    """
    selection.check(cage.topology)
    t = cage.topology
    vectors = cage.face_area_vectors.copy()
    if selection.kind == "face" and reach is None:
        others = np.ones(t.face_count, dtype=bool)
        others[selection.ids] = False
        vectors[others] = 0.0
    shift = vertex_normals(cage, vectors) * finite([distance], "A push")[0]
    weights = _weights(cage, selection, reach)
    return _shown(cage, cage.positions + weights[:, None] * shift, selection, weights if reach else None)


def middle_of(cage: Cage, selection: Selection) -> Floats:
    """(3,) the middle of the box around what is picked: what turning and sizing go about."""
    selection.check(cage.topology)
    return middle(cage.positions[vertices_of(cage.topology, selection)])


def middle(points: Floats) -> Floats:
    """The middle of the box around points (n, 3)."""
    return np.asarray((points.min(axis=0) + points.max(axis=0)) / 2)


# --- each of them as one edit -----------------------------------------------------------------------------------------


def move(cage: Cage, selection: Selection, vector: Sequence[float]) -> Edit:
    """Move the selection by ``vector`` (3,) mm. Raises BadSelectionError, BadNumberError."""
    return placed(cage, selection, moving(vector))


def move_along_normal(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Move the selection as one by ``distance`` mm along its mean normal. Raises BadSelectionError, BadNumberError."""
    return placed(cage, selection, along_normal(cage, selection, distance))


def turn(
    cage: Cage, selection: Selection, axis: Sequence[float], degrees: float, pivot: Sequence[float] | None = None
) -> Edit:
    """Turn the selection about ``pivot`` (default its middle); see :func:`turning`."""
    return placed(cage, selection, turning(axis, degrees, _pivot(cage, selection, pivot)))


def size(
    cage: Cage,
    selection: Selection,
    factors: Sequence[float],
    pivot: Sequence[float] | None = None,
    frame: Sequence[Sequence[float]] | None = None,
) -> Edit:
    """Size the selection about ``pivot`` (default its middle); see :func:`sizing`."""
    return placed(cage, selection, sizing(factors, _pivot(cage, selection, pivot), frame))


def _pivot(cage: Cage, selection: Selection, pivot: Sequence[float] | None) -> Sequence[float]:
    return tuple(middle_of(cage, selection)) if pivot is None else pivot


def _weights(cage: Cage, selection: Selection, reach: Reach | None) -> Floats:
    if reach is not None:
        return reach.weights(cage, selection)
    weights = np.zeros(cage.topology.vertex_count)
    weights[vertices_of(cage.topology, selection)] = 1.0
    return weights


def _shown(cage: Cage, positions: Floats, selection: Selection, weights: Floats | None) -> Edit:
    moved = cage.with_positions(positions)
    return Edit(moved, selection, ElementMap.identity(cage.topology), weights=weights)


def _frame(axes: Sequence[Sequence[float]]) -> Floats:
    frame = finite([x for axis in axes for x in axis], "A frame").reshape(3, 3)
    if not np.allclose(frame @ frame.T, np.eye(3), atol=1e-6):
        raise BadNumberError("The axes of a frame must be of length 1 and square to each other.")
    return frame


def finite(values: Sequence[float], what: str) -> Floats:
    """The values as an array. Raises BadNumberError, naming ``what`` they are for, where one is not finite."""
    array = np.asarray(values, dtype=np.float64)
    if not np.all(np.isfinite(array)):
        raise BadNumberError(f"{what} needs plain numbers; one of {list(map(float, array))} is not finite.")
    return array
