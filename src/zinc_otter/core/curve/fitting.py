"""Curves through points, curves with another count or degree, and how far they stray."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import ArrayLike
from scipy.linalg import lstsq
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import HARD
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, Degree, unchecked
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError

MOST = 400
_SAMPLES = 8
"""Points that are fitted to, for each new control point."""


@dataclass(frozen=True, eq=False)
class Fitted:
    """A curve that stands for another one, and by how many mm it strays from it at most."""

    curve: Curve
    deviation: float


def through(points: ArrayLike, closed: bool = False) -> Curve:
    """The curve of degree 3 that passes through points (n, 3), one control point for each. Raises CurveError."""
    start = Curve(points, 3, closed)
    return start.with_points(solved(start.points, closed))


@lru_cache(maxsize=512)
def resampled(curve: Curve, count: int, degree: Degree = 3) -> Fitted:
    """The curve by ``count`` control points of another ``degree``, evenly along it, nearest in the sense of least squares.

    One that has this count and degree already stays as it is. Ends stay where they are. Corners stay where the count has a
    control point for each of them at least; runs between them are fitted one by one. Kept for the next time: while one
    curve is pulled the others stay. Raises BadNumberError for a count that is too small or too large.
    """
    if (count, degree) == (curve.count, curve.degree):
        return Fitted(curve, 0.0)
    corners = np.flatnonzero(curve.sharpness >= HARD) if curve.degree == 3 else np.flatnonzero(curve.sharpness > 0)
    if curve.degree == 1:
        corners = np.arange(0 if curve.closed else 1, curve.count if curve.closed else curve.count - 1)
        # What has corners only, and is to be smooth, is drawn smooth.
        corners = corners if degree == 1 and count > curve.count else corners[:0]
    least = max(3 if curve.closed else 2, len(corners) + (0 if curve.closed else 2))
    if not least <= count <= MOST:
        raise BadNumberError(f"This curve can have {least} to {MOST} control points; {count} were asked for.")
    made = pieces_of(curve)
    marks = _marks(curve, made, corners, count)
    sharp = np.zeros(count)
    kept = made.at(corners) if len(corners) else np.zeros((0, 3))
    start = Curve(made.at(marks), degree, curve.closed, sharp)
    at_corner = cKDTree(start.points).query(kept)[1] if len(kept) else np.zeros(0, dtype=np.int64)
    sharp[at_corner] = HARD
    start = Curve(start.points, degree, curve.closed, sharp)
    fitted = start if degree == 1 else _fitted(start, made, marks, at_corner)
    return Fitted(fitted, strays(fitted, curve))


def refitted(curve: Curve, marks: Floats, sharpness: Floats) -> Fitted:
    """The curve by control points at parameters ``marks`` (n,), with corners of their own, laid nearest to what it was.

    Ends and hard corners stay where they are. Raises CurveError.
    """
    made = pieces_of(curve)
    start = Curve(made.at(marks), curve.degree, curve.closed, sharpness)
    hard = np.flatnonzero(sharpness >= HARD if curve.degree == 3 else sharpness > 0)
    fitted = start if curve.degree == 1 else _fitted(start, made, marks, hard)
    return Fitted(fitted, strays(fitted, curve))


def run_of(curve: Curve, low: float, high: float) -> Fitted:
    """The part of a curve between two parameters, as an open one; of a closed one ``high`` may lie on the next round.

    It keeps the curve's control points within, four at least where it bends; its ends are on the curve. Raises CurveError.
    """
    made = pieces_of(curve)
    numbers = np.arange(np.ceil(low), np.floor(high) + 1)
    # One that all but is an end would only crowd it.
    numbers = numbers[(numbers > low + 0.2) & (numbers < high - 0.2)]
    sharp = curve.sharpness[numbers.astype(np.int64) % curve.count]
    if curve.degree > 1 and len(numbers) < 2 and not sharp.any():
        numbers, sharp = np.linspace(low, high, 4)[1:-1], np.zeros(2)
    elif curve.degree == 1:
        corners = (numbers > low + 1e-9) & (numbers < high - 1e-9)
        numbers, sharp = numbers[corners], sharp[corners]
    marks = np.concatenate([[low], numbers, [high]])
    sharp = np.concatenate([[0.0], sharp, [0.0]])
    start = Curve(made.at(marks), curve.degree, False, sharp)
    fitted = start if curve.degree == 1 else _fitted(start, made, marks, np.flatnonzero(sharp >= HARD))
    line = made.at(np.unique(np.concatenate([np.linspace(low, high, _each(fitted) * fitted.count), marks])))
    dense = pieces_of(fitted).dense(_each(fitted))
    return Fitted(fitted, float(max(_apart(dense, line).max(), _apart(line, dense).max())))


def fitted_to(start: Curve, places: Floats, goals: Floats) -> Curve:
    """The curve of as many control points whose points at parameters (k,) lie nearest to ``goals`` (k, 3).

    The ends of an open one are the first and the last goal.
    """
    if start.degree == 1:
        return start
    held = np.zeros(start.count, dtype=bool)
    points = start.points.copy()
    if not start.closed:
        held[[0, -1]] = True
        points[[0, -1]] = goals[[0, -1]]
    weights = _weights(start, places)
    points[~held] = lstsq(weights[:, ~held], goals - weights[:, held] @ points[held])[0]
    return start.with_points(points)


@lru_cache(maxsize=512)
def smoothed(curve: Curve) -> Fitted:
    """The curve of degree 3 without corners; itself where it is one."""
    if curve.degree == 3 and not curve.sharpness.any():
        return Fitted(curve, 0.0)
    plain = Curve(curve.points, curve.degree, curve.closed)
    fitted = resampled(plain, max(curve.count, 4), 3).curve
    return Fitted(fitted, strays(fitted, curve))


def strays(curve: Curve, other: Curve) -> float:
    """The largest distance in mm of either curve from the other: looked for among dense points, along their chords."""
    one, two = (pieces_of(c).dense(_each(c)) for c in (curve, other))
    return float(max(_apart(one, two).max(), _apart(two, one).max()))


def _each(curve: Curve) -> int:
    return max(8, 1_500 // max(curve.count, 1))


def _apart(points: Floats, line: Floats) -> Floats:
    """(k,) distances of points from a polyline: of the chords beside the nearest of its points."""
    _, near = cKDTree(line).query(points)
    best = np.full(len(points), np.inf)
    for step in (-1, 0):
        low = np.clip(near + step, 0, len(line) - 2)
        a, b = line[low], line[low + 1]
        way = b - a
        t = np.clip(((points - a) * way).sum(axis=1) / np.maximum((way**2).sum(axis=1), 1e-300), 0, 1)
        best = np.minimum(best, np.linalg.norm(points - a - t[:, None] * way, axis=1))
    return best


def _marks(curve: Curve, made: Pieces, corners: np.ndarray, count: int) -> Floats:
    """(count,) parameters for the new control points: corners among them, the others shared out by the lengths between."""
    low, high = made.breaks[0], made.breaks[-1]
    stops = np.unique(np.concatenate([corners.astype(np.float64), [] if curve.closed else [low, high]]))
    if curve.closed and not len(stops):
        return made.evenly(count)
    along = made.lengths_to(stops)
    ends = np.append(along, along[0] + made.length) if curve.closed else along
    runs = np.diff(ends)
    inner = count - len(stops)
    # The longest part of a run is halved, in effect, until all are given out.
    shares = np.zeros(len(runs), dtype=np.int64)
    for _ in range(inner):
        shares[int((runs / (shares + 1)).argmax())] += 1
    parts = zip(ends[:-1], runs, shares, strict=True)
    lengths = np.concatenate([start + run * np.arange(more + 1) / (more + 1) for start, run, more in parts])
    if not curve.closed:
        return np.append(made.places_at(lengths), high)
    # Those beyond the end lie on the next round.
    beyond = lengths >= made.length
    return made.places_at(lengths - beyond * made.length) + beyond * (high - low)


def _fitted(start: Curve, made: Pieces, marks: Floats, fixed: np.ndarray) -> Curve:
    """The start with its points moved so that the curve lies nearest to what the pieces are; fixed ones stay."""
    n = start.count
    steps = np.linspace(0, start.end, _SAMPLES * n + 1)
    whole = np.append(marks, marks[0] + (made.breaks[-1] - made.breaks[0])) if start.closed else marks
    goals = made.at(np.interp(steps, np.arange(len(whole)), whole))
    held = np.zeros(n, dtype=bool)
    held[fixed] = True
    if not start.closed:
        held[[0, -1]] = True
    points = start.points.copy()
    weights = _weights(start, steps)
    for _ in range(4):
        right = goals - weights[:, held] @ points[held]
        points[~held] = lstsq(weights[:, ~held], right)[0]
        # Where along the old curve each place is nearest has changed: distances across it are what counts.
        curve = start.with_points(points)
        at = pieces_of(curve).at(steps)
        goals = feet_on(at, made)
    return start.with_points(points)


def feet_on(points: Floats, made: Pieces) -> Floats:
    """The nearest points on a curve: the nearest dense one, then two rounds of Newton's method."""
    each = max(8, 1_500 // len(made.bezier))
    u = np.linspace(made.breaks[0], made.breaks[-1], each * len(made.bezier) + 1)
    _, near = cKDTree(made.at(u)).query(points)
    place = u[near]
    step = u[1] - u[0]
    for _ in range(2):
        off, v, a = made.at(place) - points, made.velocity(place), made.acceleration(place)
        slope = (v * v).sum(axis=1) + (off * a).sum(axis=1)
        place = place - np.clip((off * v).sum(axis=1) / np.where(slope > 1e-12, slope, np.inf), -step, step)
    return made.at(place)


def _weights(curve: Curve, places: Floats) -> Floats:
    """(k, n) the weight of every control point at parameters (k,): the curve is linear in them."""
    columns = []
    # A curve of three coordinates tells three weights at once.
    n = curve.count
    for first in range(0, n, 3):
        marks = np.zeros((n, 3))
        for k in range(min(3, n - first)):
            marks[first + k, k] = 1.0
        marked = unchecked(marks, curve.degree, curve.closed, curve.sharpness)
        columns.append(pieces_of(marked).at(places)[:, : min(3, n - first)])
    return np.concatenate(columns, axis=1)
