"""Motions of points, and what is picked moved by one as far as it reaches. Connectivity stays as it is."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.reach.reach import Reach
from zinc_otter.core.cage.selection import Selection, mean_normal, vertices_of
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError


@dataclass(frozen=True)
class Motion:
    """Takes points (k, 3) and how far each takes part (k,), 0 to 1, to where they go.

    ``affine`` tells whether it keeps lines straight and parallel where all take part in full: then it carries mirrors and
    axes along, which one that bends cannot.
    """

    carry: Callable[[Floats, Floats], Floats]
    affine: bool = True

    def __call__(self, points: Floats, weights: Floats) -> Floats:
        return self.carry(points, weights)



def moving(vector: Sequence[float]) -> Motion:
    """By ``vector`` (3,) mm. Raises BadNumberError."""
    step = finite(vector, "A move")
    return Motion(lambda points, weights: points + weights[:, None] * step)


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

    return Motion(turned)


def sizing(factors: Sequence[float], about: Sequence[float], frame: Sequence[Sequence[float]] | None = None) -> Motion:
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

    return Motion(sized)


def placed(cage: Cage, selection: Selection, motion: Motion, reach: Reach | None = None) -> Edit:
    """Move the selection, and with a ``reach`` what lies around it by a share. Raises BadSelectionError."""
    selection.check(cage.topology)
    weights = weights_of(cage, selection, reach)
    taken = np.flatnonzero(weights)
    positions = cage.positions.copy()
    positions[taken] = motion(positions[taken], weights[taken])
    return moved_to(cage, positions, selection, weights if reach else None)


def middle_of(cage: Cage, selection: Selection) -> Floats:
    """(3,) the middle of the box around what is picked: what turning and sizing go about."""
    selection.check(cage.topology)
    return middle(cage.positions[vertices_of(cage.topology, selection)])


def middle(points: Floats) -> Floats:
    """The middle of the box around points (n, 3)."""
    return np.asarray((points.min(axis=0) + points.max(axis=0)) / 2)


def pivot_or_middle(cage: Cage, selection: Selection, pivot: Sequence[float] | None) -> Sequence[float]:
    return tuple(middle_of(cage, selection)) if pivot is None else pivot


def weights_of(cage: Cage, selection: Selection, reach: Reach | None) -> Floats:
    if reach is not None:
        return reach.weights(cage, selection)
    weights = np.zeros(cage.topology.vertex_count)
    weights[vertices_of(cage.topology, selection)] = 1.0
    return weights


def moved_to(cage: Cage, positions: Floats, selection: Selection, weights: Floats | None) -> Edit:
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


Held = Literal["start", "middle", "end"]
"""Which end of what is picked stays as it is while a change grows along an axis: the lower, neither, or the upper."""


@dataclass(frozen=True, eq=False)
class Stretch:
    """Where along an axis a change grows: along a unit ``axis`` (3,) through ``about`` (3,), from ``low`` to ``high``.

    Coordinates along the axis, in mm, count from ``about``. What lies beyond an end changes as that end does.
    """

    axis: Floats
    about: Floats
    low: float
    high: float

    @property
    def length(self) -> float:
        return self.high - self.low

    def along(self, points: Floats) -> Floats:
        """(k,) the coordinate of each point along the axis."""
        return np.asarray((points - self.about) @ self.axis)

    def shares(self, points: Floats) -> Floats:
        """(k,) from 0 at the start to 1 at the end."""
        return np.asarray(np.clip((self.along(points) - self.low) / self.length, 0, 1))

    def grown(self, points: Floats, held: Held) -> Floats:
        """(k,) by how much of the whole change each point is changed, nought at the end that is held."""
        return self.shares(points) - {"start": 0.0, "middle": 0.5, "end": 1.0}[held]


def stretch_of(
    cage: Cage, selection: Selection, axis: Sequence[float], about: Sequence[float] | None = None
) -> Stretch:
    """What is picked, seen along an ``axis`` (3,) through ``about`` (default its middle).

    Raises BadSelectionError where it has no extent along the axis; BadNumberError for an axis of no length.
    """
    direction = finite(axis, "The axis")
    size = float(np.linalg.norm(direction))
    if size < 1e-12:
        raise BadNumberError("The axis has no length.")
    pivot = finite(pivot_or_middle(cage, selection, about), "The pivot")
    points = cage.positions[vertices_of(cage.topology, selection)]
    along = (points - pivot) @ (direction / size)
    if np.ptp(along) < 1e-9 * max(float(np.ptp(cage.positions, axis=0).max()), 1e-9):
        raise BadSelectionError("What is picked has no extent along this axis, so that nothing can grow along it.")
    return Stretch(direction / size, pivot, float(along.min()), float(along.max()))
