"""A plane in space."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import unit
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


def frame_along(along: Vec) -> Floats:
    """(3, 3) columns: two unit vectors square to ``along``, and it; right-handed."""
    w = unit(np.asarray(along, dtype=np.float64))
    u = unit(np.cross([1.0, 0.0, 0.0] if abs(w[0]) < 0.9 else [0.0, 1.0, 0.0], w))
    return np.column_stack([u, np.cross(w, u), w])
