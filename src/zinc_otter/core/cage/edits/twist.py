"""Twist what is picked: turn it about an axis by an amount that grows along it."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.building.motion import Held, Motion, Stretch, finite, placed, stretch_of
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats


def twisting(stretch: Stretch, degrees: float, *, held: Held = "start") -> Motion:
    """By ``degrees`` from the start of a stretch to its end, right-handed about its axis. Raises BadNumberError.

    Every slice square to the axis is turned as it is, so that no volume changes (Barr, Global and Local Deformations of
    Solid Primitives, SIGGRAPH 1984).
    """
    spin = stretch.axis * np.radians(finite([degrees], "An angle")[0])

    def twisted(points: Floats, weights: Floats) -> Floats:
        turns = (weights * stretch.grown(points, held))[:, None] * spin
        return np.asarray(Rotation.from_rotvec(turns).apply(points - stretch.about)) + stretch.about

    return Motion(twisted, affine=False)


def twist(
    cage: Cage,
    selection: Selection,
    axis: Sequence[float],
    degrees: float,
    *,
    pivot: Sequence[float] | None = None,
    held: Held = "start",
) -> Edit:
    """Twist the selection by ``degrees`` from one end of it to the other, about ``axis`` (3,) through ``pivot``.

    Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 30), (1, 1, 3))
    >>> twisted = twist(cage, Selection.of("vertex", range(16)), (0, 0, 1), 90).cage
    >>> top = np.flatnonzero(cage.positions[:, 2] == 15)
    >>> bool(np.allclose(twisted.positions[top], cage.positions[top] @ [[0, 1, 0], [-1, 0, 0], [0, 0, 1]]))
    True
    """
    return placed(cage, selection, twisting(stretch_of(cage, selection, axis, pivot), degrees, held=held))
