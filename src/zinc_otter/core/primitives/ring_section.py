"""Sections of rings: eight control points each, from the middle inside round the side to the middle outside and back."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from zinc_otter.core.errors import BadNumberError

Profile = Literal["flat", "court", "D", "comfort", "knife", "wire"]

INSIDE, OUTSIDE = 1, 5
"""Which point of a section is the middle inside, and the middle outside."""
LINING = (0, 1, 2)
"""The points of a section that make its inside."""


@dataclass(frozen=True)
class Section:
    """Control ``points`` (out, across), out from inside to outside 0 to 1 and across -1 to 1; how ``sharp`` the ring of each
    is; and which of them lies ``widest`` to the side."""

    points: tuple[tuple[float, float], ...]
    sharp: tuple[float, ...]
    widest: int


PROFILES: dict[str, Section] = {
    "flat": Section(((0, -1), (0, 0), (0, 1), (0.5, 1), (1, 1), (1, 0), (1, -1), (0.5, -1)), (3, 0, 3, 0, 3, 0, 3, 0), 3),
    "court": Section(
        ((0.12, -0.8), (0, 0), (0.12, 0.8), (0.5, 1), (0.88, 0.7), (1, 0), (0.88, -0.7), (0.5, -1)), (0,) * 8, 3
    ),
    "D": Section(
        ((0, -1), (0, 0), (0, 1), (0.4, 1), (0.85, 0.65), (1, 0), (0.85, -0.65), (0.4, -1)), (3, 0, 3, 0, 0, 0, 0, 0), 2
    ),
    "comfort": Section(
        ((0.12, -0.8), (0, 0), (0.12, 0.8), (0.5, 1), (1, 1), (1, 0), (1, -1), (0.5, -1)), (0, 0, 0, 0, 3, 0, 3, 0), 4
    ),
    "knife": Section(
        ((0, -1), (0, 0), (0, 1), (0.3, 1), (0.65, 0.5), (1, 0), (0.65, -0.5), (0.3, -1)), (3, 0, 3, 0, 0, 10, 0, 0), 2
    ),
    "wire": Section(
        tuple((0.5 - 0.5 * float(np.cos(a)), float(np.sin(a))) for a in 2 * np.pi * (np.arange(8) - 1) / 8), (0,) * 8, 3
    ),
}

Corner = tuple[float, float, float]
"""A point of a free section: out and across, shares from 0 to 1, and how sharp it is, 0 to 10."""


def free_section(corners: Sequence[Corner], ridge: float = 0.0) -> Section:
    """A section through three ``corners`` of one side, from inside to outside; the other side is its mirror image.

    ``ridge`` is how sharp its middle outside is. Raises BadNumberError for corners that do not follow one another outwards,
    or of which none lies at the side.

    >>> free_section([(0.1, 0.8, 0), (0.5, 1, 0), (0.9, 0.6, 2)]).widest
    3
    """
    if len(corners) != 3:
        raise BadNumberError(f"A free section has three corners on each side; {len(corners)} were given.")
    outs, across, sharps = (np.array(column, dtype=np.float64) for column in zip(*corners, strict=True))
    if not (np.isfinite(outs).all() and (outs >= 0).all() and (outs <= 1).all()):
        raise BadNumberError("The corners of a section lie between its inside and its outside, 0 to 100 %.")
    if not ((across > 0).all() and (across <= 1).all()):
        raise BadNumberError("The corners of a section lie to the side of its middle, above 0 and up to 100 %.")
    if not ((sharps >= 0).all() and (sharps <= 10).all() and 0 <= ridge <= 10):
        raise BadNumberError("The corners of a section are 0 to 10 sharp.")
    if (np.diff(outs) < 0).any():
        raise BadNumberError("The corners of a section go from its inside outwards, each as far out as the one before it.")
    first, middle, last = zip(outs.tolist(), across.tolist(), strict=True)
    (a, b, c) = sharps.tolist()
    points = (_other(first), (0.0, 0.0), first, middle, last, (1.0, 0.0), _other(last), _other(middle))
    return Section(points, (a, 0.0, a, b, c, ridge, c, b), 2 + int(across.argmax()))


def _other(point: tuple[float, float]) -> tuple[float, float]:
    return point[0], -point[1]
