"""What curves of files have in common: a name, and a path as points close together or as straight legs."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.tracing import straight, traced

MOST_CURVES = 500
CLOSE = 0.01
"""mm that a curve may keep from its path in a file."""


@dataclass(frozen=True, eq=False)
class Drawn:
    """A curve with its name."""

    name: str
    curve: Curve


def from_path(name: str, points: Floats, closed: bool, is_straight: bool) -> Drawn:
    """The curve of a path, given as points (k, 3) mm. Raises CurveError."""
    return Drawn(name, straight(points, closed) if is_straight else traced(points, CLOSE, closed=closed).curve)


def beziers(curve: Curve) -> Floats:
    """(m, 4, 3) the curve's exact Bézier pieces, one after the other."""
    return np.asarray(pieces_of(curve).bezier)
