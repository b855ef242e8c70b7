"""What is told of a curve: how long it is, where it is tightest, whether it is plane, and where it crosses itself."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import Pieces, pieces_of

_FLAT = 1e-6
"""Of its size: a curve that strays no further from a plane is plane, and one that comes so near to itself crosses."""
_MOST_CROSSINGS = 20


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


def crossings(made: Pieces, within: float) -> Floats:
    """(k, 3) places where a curve comes back to within so many mm of itself, at most twenty of them.

    Chords that lie near one another are candidates; from there Newton's method finds where both ways come nearest.
    """
    each = max(4, min(16, 1_200 // len(made.bezier)))
    steps = np.arange(each) / each
    u = (made.breaks[:-1, None] + np.diff(made.breaks)[:, None] * steps).ravel()
    ends = np.append(u, made.breaks[-1])
    points = made.at(ends)
    if made.closed:
        points[-1] = points[0]
    middles, spans = (points[1:] + points[:-1]) / 2, np.linalg.norm(np.diff(points, axis=0), axis=1)
    reach = float(spans.max())
    pairs = cKDTree(middles).query_pairs(reach, output_type="ndarray")
    apart = pairs[:, 1] - pairs[:, 0]
    if made.closed:
        apart = np.minimum(apart, len(middles) - apart)
    # Neighbours touch by themselves.
    pairs = pairs[apart > 1]
    near = np.linalg.norm(middles[pairs[:, 0]] - middles[pairs[:, 1]], axis=1)
    pairs = pairs[near <= (spans[pairs[:, 0]] + spans[pairs[:, 1]]) / 2 + within]
    if not len(pairs):
        return np.zeros((0, 3))
    low, high = ends[:-1], ends[1:]
    s, t = (low[pairs] + high[pairs]).T / 2
    step = (high - low)[pairs].T
    for _ in range(12):
        off = made.at(s) - made.at(t)
        a, b = made.velocity(s), made.velocity(t)
        aa, bb, ab = (a * a).sum(axis=1), (b * b).sum(axis=1), (a * b).sum(axis=1)
        down = np.maximum(aa * bb - ab * ab, 1e-12 * aa * bb + 1e-300)
        oa, ob = (off * a).sum(axis=1), (off * b).sum(axis=1)
        s = s + np.clip((ab * ob - bb * oa) / down, -step[0], step[0])
        t = t + np.clip((aa * ob - ab * oa) / down, -step[1], step[1])
        if not made.closed:
            s, t = (np.clip(x, ends[0], ends[-1]) for x in (s, t))
    away = np.abs(s - t)
    if made.closed:
        away = np.minimum(away, ends[-1] - ends[0] - away)
    one, other = made.at(s), made.at(t)
    met = (np.linalg.norm(one - other, axis=1) <= within) & (away > 1.5 * step.max(axis=0))
    found: list[Floats] = []
    for point in one[met]:
        if all(np.linalg.norm(point - before) > 1e3 * within for before in found):
            found.append(point)
    return np.array(found[:_MOST_CROSSINGS]).reshape(-1, 3)


def _vec(point: Floats) -> Vec:
    x, y, z = (float(v) for v in point)
    return x, y, z
