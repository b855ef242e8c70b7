"""Where a curve comes back to itself, and where another one passes it."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.pieces import Pieces

_MOST_CROSSINGS = 20


def crossings(made: Pieces, within: float) -> Floats:
    """(k, 3) places where a curve comes back to within so many mm of itself, at most twenty of them.

    Chords that lie near one another are candidates; from there Newton's method finds where both ways come nearest.
    """
    ends, middles, spans = _chords(made)
    pairs = cKDTree(middles).query_pairs(float(spans.max()), output_type="ndarray")
    apart = pairs[:, 1] - pairs[:, 0]
    if made.closed:
        apart = np.minimum(apart, len(middles) - apart)
    # Neighbours touch by themselves.
    pairs = pairs[apart > 1]
    near = np.linalg.norm(middles[pairs[:, 0]] - middles[pairs[:, 1]], axis=1)
    pairs = pairs[near <= (spans[pairs[:, 0]] + spans[pairs[:, 1]]) / 2 + within]
    if not len(pairs):
        return np.zeros((0, 3))
    s, t = ((ends[:-1] + ends[1:])[pairs] / 2).T
    step = np.diff(ends)[pairs].T
    s, t = _nearest(made, made, s, t, step)
    away = np.abs(s - t)
    if made.closed:
        away = np.minimum(away, ends[-1] - ends[0] - away)
    one, other = made.at(s), made.at(t)
    met = (np.linalg.norm(one - other, axis=1) <= within) & (away > 1.5 * step.max(axis=0))
    return one[met][_first_of_each(one[met], 1e3 * within)][:_MOST_CROSSINGS]


def passes(made: Pieces, other: Pieces, within: float) -> tuple[Floats, float]:
    """Parameters (k,) of a curve, ascending, where another comes within so many mm; and the least distance found at all."""
    (ends, middles, spans), (others, there, wide) = _chords(made), _chords(other)
    # Of every chord of the one the nearest chord of the other, and all that can come near enough.
    distance, nearest = cKDTree(there).query(middles)
    here = np.arange(len(middles))
    close = cKDTree(middles).sparse_distance_matrix(
        cKDTree(there), (float(spans.max()) + float(wide.max())) / 2 + within, output_type="coo_matrix"
    )
    best = distance <= distance.min() + (spans.max() + wide.max()) / 2
    pairs = np.unique(np.vstack([np.column_stack([close.row, close.col]), np.column_stack([here, nearest])[best]]), axis=0)
    s = ((ends[:-1] + ends[1:]) / 2)[pairs[:, 0]]
    t = ((others[:-1] + others[1:]) / 2)[pairs[:, 1]]
    step = np.array([np.diff(ends)[pairs[:, 0]], np.diff(others)[pairs[:, 1]]])
    s, t = _nearest(made, other, s, t, step)
    one = made.at(s)
    gaps = np.linalg.norm(one - other.at(t), axis=1)
    met = gaps <= within
    s, one = s[met], one[met]
    order = np.argsort(gaps[met], kind="stable")
    # One place for each pass: of those that lie together the nearest.
    s = s[order][_first_of_each(one[order], max(10 * within, 1e-6 * made.length))]
    return np.sort(s), float(gaps.min())


def _chords(made: Pieces) -> tuple[Floats, Floats, Floats]:
    """Parameters (n + 1,) of a polyline on the curve, the middles (n, 3) of its chords, and their lengths."""
    each = max(4, min(16, 1_200 // len(made.bezier)))
    steps = np.arange(each) / each
    u = (made.breaks[:-1, None] + np.diff(made.breaks)[:, None] * steps).ravel()
    ends = np.append(u, made.breaks[-1])
    points = made.at(ends)
    if made.closed:
        points[-1] = points[0]
    return ends, (points[1:] + points[:-1]) / 2, np.linalg.norm(np.diff(points, axis=0), axis=1)


def _nearest(one: Pieces, other: Pieces, s: Floats, t: Floats, step: Floats) -> tuple[Floats, Floats]:
    """The parameters from which two curves come nearest to one another, by Newton's method from (k,) and (k,)."""
    for _ in range(12):
        off = one.at(s) - other.at(t)
        a, b = one.velocity(s), other.velocity(t)
        aa, bb, ab = (a * a).sum(axis=1), (b * b).sum(axis=1), (a * b).sum(axis=1)
        down = np.maximum(aa * bb - ab * ab, 1e-12 * aa * bb + 1e-300)
        oa, ob = (off * a).sum(axis=1), (off * b).sum(axis=1)
        s = _kept(one, s + np.clip((ab * ob - bb * oa) / down, -step[0], step[0]))
        t = _kept(other, t + np.clip((aa * ob - ab * oa) / down, -step[1], step[1]))
    return s, t


def _kept(made: Pieces, places: Floats) -> Floats:
    """Parameters on the curve: at most its ends."""
    return places if made.closed else np.clip(places, made.breaks[0], made.breaks[-1])


def _first_of_each(points: Floats, by: float) -> Ints:
    """The numbers of those points that do not repeat one before them within ``by`` mm."""
    found: list[int] = []
    for k, point in enumerate(points):
        if all(np.linalg.norm(point - points[before]) > by for before in found):
            found.append(k)
    return np.array(found, dtype=np.int32)
