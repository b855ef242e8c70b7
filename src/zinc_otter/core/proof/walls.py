"""How thick a wall is: from places on a closed mesh, or from its own points, straight inwards to the far side."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.pseudonormals import sums_at
from zinc_otter.core.proof.rays import Rays

SAMPLES = 6_000
"""Places at which the walls of a finished body are looked at."""
_FACING = -float(np.cos(np.radians(30)))
"""Two sides face one another where their outward normals part by 150 degrees and more."""


def wall_at(points: Floats, triangles: Ints, count: int = SAMPLES, seed: int = 7) -> tuple[Floats, Floats]:
    """Wall thickness (k,) in mm at up to ``count`` points (k, 3), spread by area over closed triangles (m, 3) outside out.

    Along the inward normal to the first triangle met, where its side faces the one it came from within 30 degrees: beside a
    sharp edge a ray meets the side next to it, however thick the form is, and that is no wall. So every value counts, and
    none needs to be forgiven.
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
    struck = np.asarray(hit).reshape(-1).astype(np.int64)
    met = struck >= 0
    far = unit(across)[np.maximum(struck, 0)]
    met &= (far * inwards).sum(axis=1) >= -_FACING
    return np.asarray(way).reshape(-1)[met] + reach * 1e-6, at[met]


def straight_inwards(points: Floats, triangles: Ints, normals: Floats, which: Ints, each: int) -> Floats:
    """(k,) mm from the rows ``which`` (k,) of a closed mesh's points (n, 3), against their outward unit ``normals`` (n, 3),
    to where the material ends: the shortest of ``each`` rays that part by a hair. Where none is met, the mesh's extent.

    A ray that runs along an edge between triangles, or through a corner, may slip between them: then another goes from the
    same place, turned a hair.
    """
    rays = Rays(points, triangles)
    out = normals[which]
    reach = float(np.ptp(points, axis=0).max())
    begin = points[which] - 1e-6 * reach * out
    aside = np.cross(out, np.roll(out, 1, axis=1) + [0.3, 0.1, 0.2])
    ends = np.full(len(which), np.inf)
    for k, turn in enumerate((0.0, 3e-5, -7e-5, 2e-4, -5e-4)):
        asked = np.arange(len(which)) if k < each else np.flatnonzero(~np.isfinite(ends))
        if len(asked):
            found = rays.out(begin[asked], unit(turn * aside[asked] - out[asked]))
            ends[asked] = np.minimum(ends[asked], found)
    return np.asarray(np.where(np.isfinite(ends), ends + 1e-6 * reach, reach))


def point_normals(points: Floats, triangles: Ints) -> Floats:
    """(n, 3) outward normals at points, by the areas about them."""
    a, b, c = (points[triangles[:, k]] for k in range(3))
    across = np.cross(b - a, c - a)
    return unit(sum((sums_at(triangles[:, k], across, len(points)) for k in range(3)), np.zeros_like(points)))
