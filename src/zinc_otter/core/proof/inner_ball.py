"""The largest ball within a closed form that touches it at a point: how thick the form is there, whatever lies beside."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints

_LEAST_TURN = 0.87
"""Cosine of 30°: what touches a ball nearer to its point, seen from its centre, is the point's own surroundings."""
_CLOSE = 2e-3
"""What lies within a ball by less than this share of its radius leaves it as it is."""
_FLAT = 0.85
"""Down to this share of a ball through a sample the plane of that sample may make it smaller."""


def inner_balls(samples: Floats, facing: Floats, which: Ints, most: Floats, rounds: int = 12) -> Floats:
    """(k,) diameters, mm, of the largest balls within a closed surface that touch it at the rows ``which`` (k,) of its dense
    ``samples`` (n, 3) with outward unit normals ``facing`` (n, 3). Begun with ``most`` (k,), what the material measures
    straight inwards there: no ball is larger.

    Each ball shrinks until no sample lies within it: the one nearest to its centre, with the point and its normal, gives
    the next (J. Ma, S. W. Bae, S. Choi, "3D medial axis point approximation using nearest neighbors and the normal
    field", The Visual Computer 28, 2012). A last step lets it touch the plane of the sample that stopped it, so that what
    lies between samples is felt too. After fewer ``rounds`` a ball may still be too large.
    """
    tree = cKDTree(samples)
    points, normals, radius = samples[which], facing[which], most / 2
    touched = np.full(len(radius), -1)
    going = np.flatnonzero(np.isfinite(radius) & (radius > 0))
    for _ in range(rounds):
        if not len(going):
            break
        p, n, r = points[going], normals[going], radius[going]
        # Nearly the nearest, so that a ball which many samples touch at once is no harder than others.
        away, near = tree.query(p - r[:, None] * n, eps=_CLOSE / 2, workers=-1)
        within = away < r * (1 - _CLOSE)
        going, near = going[within], near[within]
        p, n, r = points[going], normals[going], radius[going]
        way = p - samples[near]
        depth = (way * n).sum(axis=1)
        # The ball through the sample: |way|² = 2 r depth.
        smaller = (way * way).sum(axis=1) / np.maximum(2 * depth, 1e-300)
        shrinks = (depth > 0) & (smaller < r) & (1 - depth / r < _LEAST_TURN)
        going, near = going[shrinks], near[shrinks]
        radius[going], touched[going] = smaller[shrinks], near
    _touch_planes(samples, facing, points, normals, radius, touched)
    return 2 * radius


def _touch_planes(samples: Floats, facing: Floats, points: Floats, normals: Floats, radius: Floats, touched: Ints) -> None:
    """Make balls smaller, in place, until they touch the planes of the samples that stopped them."""
    rows = np.flatnonzero(touched >= 0)
    q, m, n = samples[touched[rows]], facing[touched[rows]], normals[rows]
    # From the ball's centre p - r n the plane of q is r away: (q - p)·m + r n·m = r.
    turn = 1 - (n * m).sum(axis=1)
    flat = ((q - points[rows]) * m).sum(axis=1) / np.maximum(turn, 1e-9)
    taken = (flat > _FLAT * radius[rows]) & (flat < radius[rows])
    radius[rows[taken]] = flat[taken]
