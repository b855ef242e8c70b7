"""Bend what is picked along an axis, into a part of a circle."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.building.motion import Held, Motion, Stretch, finite, placed, stretch_of
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError


def bending(stretch: Stretch, towards: Sequence[float], degrees: float, *, held: Held = "middle") -> Motion:
    """Into an arc of ``degrees``, whose middle lies ``towards`` a direction (3,) from the axis; below 0 away from it.

    The line along the axis keeps its length, what lies beyond the stretch goes straight on (Barr, Global and Local
    Deformations of Solid Primitives, SIGGRAPH 1984). Raises BadNumberError where the direction lies along the axis.
    """
    angle = float(np.radians(finite([degrees], "An angle")[0]))
    aside = _aside(stretch, towards)
    fixed = stretch.low + {"start": 0.0, "middle": 0.5, "end": 1.0}[held] * stretch.length

    def bent(points: Floats, weights: Floats) -> Floats:
        along = stretch.along(points)
        within = np.clip(along, stretch.low, stretch.high)
        beyond, depth = along - within, (points - stretch.about) @ aside
        curvature = weights * angle / stretch.length
        turn = curvature * (within - fixed)
        # sin x / x and (1 - cos x) / x, without a division where nothing bends.
        reach = (within - fixed) * np.sinc(turn / np.pi)
        rise = (within - fixed) * np.sinc(turn / (2 * np.pi)) * np.sin(turn / 2)
        new_along = fixed + reach - depth * np.sin(turn) + beyond * np.cos(turn)
        new_depth = rise + depth * np.cos(turn) + beyond * np.sin(turn)
        return np.asarray(points + (new_along - along)[:, None] * stretch.axis + (new_depth - depth)[:, None] * aside)

    return Motion(bent, affine=False)


def bend(
    cage: Cage,
    selection: Selection,
    axis: Sequence[float],
    towards: Sequence[float],
    degrees: float,
    *,
    pivot: Sequence[float] | None = None,
    held: Held = "middle",
) -> Edit:
    """Bend the selection along ``axis`` (3,) through ``pivot`` into an arc of ``degrees`` towards a direction (3,).

    Raises BadSelectionError, BadNumberError (also where it is too thick to be bent so far without turning inside out).

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((4, 4, 40), (1, 1, 8))
    >>> bent = bend(cage, Selection.of("vertex", range(36)), (0, 0, 1), (1, 0, 0), 180, held="start").cage
    >>> top = cage.positions[:, 2] == 20
    >>> [round(float(x), 2) for x in bent.positions[top].mean(axis=0)]  # Half a circle on: two radii to the side.
    [25.46, 0.0, -20.0]
    """
    stretch = stretch_of(cage, selection, axis, pivot)
    check_bend(stretch, cage.positions[vertices_of(cage.topology, selection)], towards, degrees)
    return placed(cage, selection, bending(stretch, towards, degrees, held=held))


def check_bend(stretch: Stretch, points: Floats, towards: Sequence[float], degrees: float) -> None:
    """Raise BadNumberError where points (k, 3) lie as deep as the middle of the arc, and name the angle that holds."""
    depth = float((np.sign(degrees) * ((points - stretch.about) @ _aside(stretch, towards))).max(initial=0.0))
    if depth > 0 and abs(np.radians(degrees)) * depth >= stretch.length * (1 - 1e-9):
        most = np.degrees(stretch.length / depth)
        raise BadNumberError(
            f"Bent by {abs(degrees):g}° it would turn inside out on the inner side; less than {most:.1f}° holds."
        )


def _aside(stretch: Stretch, towards: Sequence[float]) -> Floats:
    direction = finite(towards, "The direction")
    aside = direction - (direction @ stretch.axis) * stretch.axis
    size = float(np.linalg.norm(aside))
    if size < 1e-9 * max(float(np.linalg.norm(direction)), 1e-9):
        raise BadNumberError("The direction to bend towards lies along the axis; choose one to its side.")
    return np.asarray(aside / size)
