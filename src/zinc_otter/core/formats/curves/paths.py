"""What curves of files have in common: a name, and a path as points close together or as straight legs."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.tracing import straight, traced
from zinc_otter.core.errors import FileFormatError

MOST_CURVES = 500
CLOSE = 0.01
"""mm that a curve may keep from its path in a file."""


@dataclass(frozen=True, eq=False)
class Drawn:
    """A curve with its name."""

    name: str
    curve: Curve


def from_path(name: str, points: Floats, closed: bool, is_straight: bool, where: str) -> Drawn:
    """The curve of a path, given as points (k, 3) mm; ``where`` it is in the file. Raises FileFormatError."""
    try:
        curve = straight(points, closed) if is_straight else traced(points, CLOSE, closed=closed).curve
    except CurveError as error:
        raise FileFormatError(f"{where}: {error}") from None
    return Drawn(name[:70], curve)


def take(found: list[Drawn], one: Drawn) -> None:
    """One more of those that a file holds. Raises FileFormatError for one too many."""
    if len(found) >= MOST_CURVES:
        raise FileFormatError(f"The file holds more than {MOST_CURVES} curves.")
    found.append(one)


def beziers(curve: Curve) -> Floats:
    """(m, 4, 3) the curve's exact Bézier pieces, one after the other."""
    return np.asarray(pieces_of(curve).bezier)
