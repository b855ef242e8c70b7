"""A plane in space."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

Vec = tuple[float, float, float]


@dataclass(frozen=True)
class Plane:
    """A plane through ``point`` with unit ``normal``; its positive side is where the normal points."""

    point: Vec
    normal: Vec

    def heights(self, points: Floats) -> Floats:
        """(n,) signed distances of points (n, 3) from the plane."""
        return np.asarray((points - np.asarray(self.point)) @ np.asarray(self.normal))


def plane_at(point: ArrayLike, normal: ArrayLike) -> Plane:
    """A plane with its normal made a unit vector. Raises BadNumberError."""
    where, along = np.asarray(point, dtype=np.float64), np.asarray(normal, dtype=np.float64)
    length = np.linalg.norm(along)
    if not np.isfinite(where).all() or not np.isfinite(along).all() or length < 1e-12:
        raise BadNumberError("A plane needs a point and a direction that is not nothing.")
    x, y, z = (float(v) for v in where)
    i, j, k = (float(v) + 0.0 for v in along / length)
    return Plane((x, y, z), (i, j, k))
