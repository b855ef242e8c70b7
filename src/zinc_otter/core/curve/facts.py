"""What is told of a curve: how long it is, where it is tightest, whether it is plane, and where it crosses itself."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.crossings import crossings
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import pieces_of

_FLAT = 1e-6
"""Of its size: a curve that strays no further from a plane is plane, and one that comes so near to itself crosses."""


@dataclass(frozen=True)
class CurveFacts:
    """Lengths in mm. ``least_radius`` is None where it runs straight throughout."""

    length: float
    least_radius: float | None
    tightest: Vec | None
    plane: bool
    crosses: tuple[Vec, ...]


@lru_cache(maxsize=256)
def facts_of(curve: Curve) -> CurveFacts:
    """The facts of a curve, kept for the next time."""
    made = pieces_of(curve)
    radius, place = made.tightest()
    bent = bool(np.isfinite(radius)) and radius < 1e6
    size = max(float(np.ptp(curve.points, axis=0).max()), 1e-9)
    return CurveFacts(
        made.length,
        radius if bent else None,
        _vec(made.at([place])[0]) if bent else None,
        made.plane()[2] <= _FLAT * size,
        tuple(_vec(point) for point in crossings(made, _FLAT * size)),
    )


def _vec(point: Floats) -> Vec:
    x, y, z = (float(v) for v in point)
    return x, y, z
