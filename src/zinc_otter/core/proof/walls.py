"""How thick a wall is: from points of a closed mesh straight inwards to the far side."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints


def wall_at(points: Floats, triangles: Ints, count: int = 2000, seed: int = 7) -> tuple[Floats, Floats]:
    """Wall thickness (k,) in mm at ``count`` points (k, 3), spread by area over closed triangles (m, 3) outside out.

    Along the inward normal to the first triangle met; a ray that meets none is left out. Sharp edges give values down to
    0: a wall is thin there only where its neighbours say so, hence callers look at a low percentile too.
    """
    p = np.ascontiguousarray(points, dtype=np.float64)
    t = np.ascontiguousarray(triangles, dtype=np.int64)
    a, b, c = (p[t[:, k]] for k in range(3))
    across = np.cross(b - a, c - a)
    area = np.linalg.norm(across, axis=1)
    chance = np.random.default_rng(seed)
    which = chance.choice(len(t), size=count, p=area / area.sum())
    u, v = chance.random((2, count))
    over = u + v > 1
    u, v = np.where(over, 1 - u, u), np.where(over, 1 - v, v)
    at = a[which] + u[:, None] * (b - a)[which] + v[:, None] * (c - a)[which]
    inwards = -unit(across[which])
    tree = igl.AABB()
    tree.init(p, t)
    # Begun a hair inside, so that the triangle itself is not met.
    reach = float(np.ptp(p, axis=0).max())
    begin = at + inwards * reach * 1e-6
    hit, way, _ = tree.intersect_ray_first(p, t, begin, inwards)
    met = np.asarray(hit).reshape(-1) >= 0
    return np.asarray(way).reshape(-1)[met] + reach * 1e-6, at[met]
