"""Where a plane crosses a curve."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.pieces import Pieces


def crossed(made: Pieces, point: ArrayLike, normal: ArrayLike) -> Floats:
    """Parameters (k,), ascending, at which a curve passes through the plane through ``point`` across ``normal``.

    >>> from zinc_otter.core.curve.making import circle
    >>> from zinc_otter.core.curve.pieces import pieces_of
    >>> len(crossed(pieces_of(circle(20, 8)), (3, 0, 0), (1, 0, 0)))
    2
    """
    at, across = np.asarray(point, dtype=np.float64), np.asarray(normal, dtype=np.float64)
    dense = np.linspace(made.breaks[0], made.breaks[-1], 64 * len(made.bezier) + 1)
    height = (made.at(dense) - at) @ across
    # A place that lies just in the plane counts with the side that follows.
    above = height >= 0
    k = np.flatnonzero(above[1:] != above[:-1])
    low, high, was = dense[k].copy(), dense[k + 1].copy(), above[k]
    for _ in range(60):
        middle = (low + high) / 2
        same = ((made.at(middle) - at) @ across >= 0) == was if len(k) else np.zeros(0, dtype=bool)
        low, high = np.where(same, middle, low), np.where(same, high, middle)
    return np.asarray((low + high) / 2)
