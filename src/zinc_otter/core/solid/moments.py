"""Volume, area and centre of mass of what closed triangles enclose."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints


@dataclass(frozen=True, eq=False)
class Moments:
    """mm³, mm², and a point (3,) in mm."""

    volume: float
    area: float
    centre: Floats


def moments(points: Floats, triangles: Ints) -> Moments:
    """Of points (n, 3) and triangles (m, 3) that look outwards, by the divergence theorem."""
    # Measured from the middle, so that a form far from the origin loses no digits.
    middle = points.mean(axis=0)
    a, b, c = ((points - middle)[triangles[:, k]] for k in range(3))
    parts = np.einsum("ij,ij->i", a, np.cross(b, c))
    area = float(np.linalg.norm(np.cross(b - a, c - a), axis=1).sum()) / 2
    whole = float(parts.sum())
    centre = middle + ((a + b + c) * parts[:, None]).sum(axis=0) / (4 * whole) if whole else middle
    return Moments(whole / 6, area, np.asarray(centre))
