"""Taper what is picked: size it across an axis by a factor that grows along it."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.building.motion import Motion, Stretch, finite, placed, stretch_of
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

HeldEnd = Literal["start", "end"]


def tapering(stretch: Stretch, factor: float, *, held: HeldEnd = "start") -> Motion:
    """To ``factor`` of its width at the far end, evenly from the end that is ``held``; lengths along the axis stay.

    A linear taper (Barr, Global and Local Deformations of Solid Primitives, SIGGRAPH 1984): straight sides stay straight.
    Raises BadNumberError for a factor below 0, which would turn the form inside out.
    """
    if finite([factor], "A factor")[0] < 0:
        raise BadNumberError(f"A factor below 0 would turn the form inside out; {factor:g} is below 0.")

    def tapered(points: Floats, weights: Floats) -> Floats:
        share = stretch.shares(points) if held == "start" else 1 - stretch.shares(points)
        scale = 1 + weights * share * (factor - 1)
        off = points - stretch.about
        along = (off @ stretch.axis)[:, None] * stretch.axis
        return np.asarray(stretch.about + along + scale[:, None] * (off - along))

    return Motion(tapered, affine=False)


def taper(
    cage: Cage,
    selection: Selection,
    axis: Sequence[float],
    factor: float,
    *,
    pivot: Sequence[float] | None = None,
    held: HeldEnd = "start",
) -> Edit:
    """Taper the selection along ``axis`` (3,) through ``pivot``, to ``factor`` of its width at the end that is not held.

    Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 30), (1, 1, 3))
    >>> tapered = taper(cage, Selection.of("vertex", range(16)), (0, 0, 1), 0.5).cage
    >>> sorted({float(x) for x in np.abs(tapered.positions[:, 0]).round(6)})
    [2.5, 3.333333, 4.166667, 5.0]
    """
    return placed(cage, selection, tapering(stretch_of(cage, selection, axis, pivot), factor, held=held))
