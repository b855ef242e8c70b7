"""A curve along many points: a stroke drawn freehand, or a path of a file, by as few control points as hold it."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import HARD, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import Fitted, feet_on, fitted_to, through
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError

_COUNTS = (3, 4, 5, 6, 7, 8, 10, 12, 14, 17, 20, 24, 29, 35, 42, 50, 60, 72, 86, 104, 125, 150, 180, 216, 260, 312, 374)

_CLOSER = (0.15, 0.4, 0.75)
"""Steps at the ends, of those between; on an arc of 108 degrees that holds 0.01 mm with 18 points instead of 28."""


def traced(points: ArrayLike, tolerance: float, *, closed: bool = False, corner: float = 30.0) -> Fitted:
    """The curve of degree 3 that keeps within ``tolerance`` mm of points (k, 3), by the least count tried that does.

    Where the points turn by more than ``corner`` degrees from one leg to the next it has a hard corner. A closed one comes
    back to its first point, which need not be given twice. Raises CurveError for fewer than two places, BadNumberError.

    >>> made = traced([(x, 0.01 * x * x, 0) for x in range(0, 101, 2)], 0.05)
    >>> made.curve.count < 16, made.deviation <= 0.05
    (True, True)
    """
    if not (np.isfinite(tolerance) and tolerance > 0):
        raise BadNumberError(f"A tolerance is above 0; {tolerance:g} was given.")
    line = _apart(np.asarray(points, dtype=np.float64), closed)
    return _in_runs(line, _corners(line, closed, corner), closed, lambda run, ring: _run(run, tolerance, ring))


def freehand(points: ArrayLike, tolerance: float, *, closed: bool = False, corner: float = 60.0) -> Fitted:
    """The curve of degree 3 along a stroke (k, 3) of a hand, within ``tolerance`` mm of it where a curve can, by few points.

    It does not run through the points, as :func:`traced` does, but nearest to all of them, so that what the hand shook is
    evened out. A corner is where the way turns by more than ``corner`` degrees within four tolerances, or a sixtieth
    of its length. Raises CurveError, BadNumberError.

    >>> made = freehand([(x, 0.01 * x * x + 0.2 * (x % 2), 0) for x in range(101)], 0.5)
    >>> made.curve.count < 10, made.deviation <= 0.5
    (True, True)
    """
    if not (np.isfinite(tolerance) and tolerance > 0):
        raise BadNumberError(f"A tolerance is above 0; {tolerance:g} was given.")
    line = _apart(np.asarray(points, dtype=np.float64), closed)
    length = float(np.linalg.norm(np.diff(line, axis=0), axis=1).sum())
    stops = _turns(line, closed, corner, max(4 * tolerance, length / 60))
    return _in_runs(line, stops, closed, lambda run, ring: _even(run, tolerance, ring))


def _in_runs(line: Floats, stops: Ints, closed: bool, run_along: Callable[[Floats, bool], Fitted]) -> Fitted:
    """Fitted run by run, with a hard corner at each of the ``stops``; a closed run comes back to its first point."""
    if closed and not len(stops):
        return run_along(np.vstack([line, line[:1]]), True)
    if closed:
        line = np.roll(line, -int(stops[0]), axis=0)
        ends = np.append(np.sort((stops - stops[0]) % len(line)), len(line))
        line = np.vstack([line, line[:1]])
    else:
        ends = np.unique(np.concatenate([[0], stops, [len(line) - 1]]))
    runs = [run_along(line[a : b + 1], False) for a, b in zip(ends[:-1], ends[1:], strict=True)]
    parts = [run.curve.points[:-1] for run in runs]
    sharp = [np.concatenate([[HARD], np.zeros(len(part) - 1)]) for part in parts]
    if not closed:
        parts.append(runs[-1].curve.points[-1:])
        sharp.append(np.zeros(1))
        sharp[0][0] = 0.0
    deviation = max(run.deviation for run in runs)
    return Fitted(Curve(np.vstack(parts), 3, closed, np.concatenate(sharp)), deviation)


def by_count(points: ArrayLike, count: int, closed: bool = False) -> Fitted:
    """The curve of ``count`` control points that lies nearest to points (k, 3) in their order. Raises CurveError.

    >>> made = by_count([(x, 0.01 * x * x, 0) for x in range(0, 101, 2)], 8)
    >>> made.curve.count, made.deviation < 0.1
    (8, True)
    """
    line = _apart(np.asarray(points, dtype=np.float64), closed)
    whole = np.vstack([line, line[:1]]) if closed else line
    run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(whole, axis=0), axis=1))])
    places = np.linspace(0, 1, count, endpoint=False) if closed else _towards_ends(count)
    at = np.column_stack([np.interp(places * run[-1], run, whole[:, k]) for k in range(3)])
    start = through(at, closed)
    known = np.append(places, 1.0) if closed else places
    steps = np.interp(run / run[-1], known, np.arange(len(known)))
    fitted = fitted_to(start, steps, whole)
    best = min((start, fitted), key=lambda curve: _off(line, curve))
    return Fitted(best, _off(line, best))


def straight(points: ArrayLike, closed: bool = False) -> Curve:
    """The polyline through points (k, 3), those left out that lie where the one before them does. Raises CurveError."""
    return Curve(_apart(np.asarray(points, dtype=np.float64), closed), 1, closed)


def _apart(points: Floats, closed: bool) -> Floats:
    """The points less those that lie in the place of the one before."""
    if points.ndim != 2 or points.shape[1] != 3 or not np.isfinite(points).all():
        raise CurveError("Points of a path are three numbers each.")
    size = max(float(np.ptp(points, axis=0).max()), 1e-9) if len(points) else 1.0
    kept = np.ones(len(points), dtype=bool)
    kept[1:] = np.linalg.norm(np.diff(points, axis=0), axis=1) > 1e-7 * size
    left = points[kept]
    if closed and len(left) > 1 and np.linalg.norm(left[-1] - left[0]) <= 1e-7 * size:
        left = left[:-1]
    if len(left) < (3 if closed else 2):
        raise CurveError(f"A path needs {3 if closed else 2} points that lie apart; this one has {len(left)}.")
    return left


def _corners(line: Floats, closed: bool, degrees: float) -> Ints:
    ways = np.diff(np.vstack([line, line[:1]]) if closed else line, axis=0)
    ways /= np.linalg.norm(ways, axis=1, keepdims=True)
    before = np.roll(ways, 1, axis=0) if closed else ways[:-1]
    after = ways if closed else ways[1:]
    turned = np.degrees(np.arccos(np.clip((before * after).sum(axis=1), -1, 1)))
    return np.flatnonzero(turned > degrees) + (0 if closed else 1)


def _turns(line: Floats, closed: bool, degrees: float, within: float) -> Ints:
    """Where a shaking line turns a corner: the way ``within`` mm before against that behind, at its sharpest."""
    whole = np.vstack([line, line[:1]]) if closed else line
    run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(whole, axis=0), axis=1))])
    total = float(run[-1])

    def at(lengths: Floats) -> Floats:
        there = np.mod(lengths, total) if closed else np.clip(lengths, 0.0, total)
        return np.column_stack([np.interp(there, run, whole[:, k]) for k in range(3)])

    along = run[: len(line)]
    before, after = unit(line - at(along - within)), unit(at(along + within) - line)
    turned = np.degrees(np.arccos(np.clip((before * after).sum(axis=1), -1, 1)))
    if not closed:
        turned[(along < within) | (along > total - within)] = 0.0
    found: list[int] = []
    for k in np.argsort(-turned):
        if turned[k] <= degrees:
            break
        away = np.abs(along[found] - along[k])
        if not len(away) or float((np.minimum(away, total - away) if closed else away).min()) > 2 * within:
            found.append(int(k))
    return np.sort(np.array(found, dtype=np.int64))


def _even(line: Floats, tolerance: float, closed: bool) -> Fitted:
    """A run nearest to all of its points, by the least count tried that keeps within the tolerance.

    Where none does, because the hand shook by more, it ends once six counts in a row gained next to nothing.
    """
    gained = -1
    if closed:
        best = by_count(line[:-1], 4, True)
    elif np.linalg.norm(line[-1] - line[0]) <= tolerance:
        # A drop: it comes back to where it began.
        best = by_count(line, 4)
    else:
        chord = Curve(line[[0, -1]], 3)
        best = Fitted(chord, _off(line, chord))
    for k, count in enumerate(_COUNTS):
        if best.deviation <= tolerance or count > max(len(line), 4) or k > gained + 6:
            break
        if closed and count <= 4:
            continue
        made = by_count(line[:-1] if closed else line, count, closed)
        if made.deviation < 0.8 * best.deviation or made.deviation <= tolerance:
            best, gained = made, k
    return best


def _off(line: Floats, curve: Curve) -> float:
    """The largest distance (mm) of points (k, 3) from a curve."""
    return float(np.linalg.norm(line - feet_on(line, pieces_of(curve)), axis=1).max())


def _towards_ends(count: int) -> Floats:
    """Places from 0 to 1, closer at both ends: there a curve of degree 3 bends not at all, whatever it is to follow."""
    steps = np.ones(count - 1)
    if count >= 8:
        steps[:3] = _CLOSER
        steps[-3:] = _CLOSER[::-1]
    return np.concatenate([[0.0], np.cumsum(steps) / steps.sum()])


def _run(line: Floats, tolerance: float, closed: bool) -> Fitted:
    """A smooth run by its own count of points; a straight one by its ends."""
    run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(line, axis=0), axis=1))])
    chord = line[-1] - line[0]
    if not closed:
        length = max(float(np.linalg.norm(chord)), 1e-300)
        off = np.linalg.norm(np.cross(line - line[0], chord / length), axis=1)
        if float(off.max()) <= min(tolerance, 1e-6 * run[-1]):
            return Fitted(Curve(line[[0, -1]], 3), float(off.max()))
    best: Fitted | None = None
    for count in _COUNTS:
        if closed and count < 4:
            continue
        places = np.linspace(0, run[-1], count, endpoint=not closed) if closed else _towards_ends(count) * run[-1]
        at = np.column_stack([np.interp(places, run, line[:, k]) for k in range(3)])
        curve = through(at, closed)
        deviation = _off(line, curve)
        if best is None or deviation < best.deviation:
            best = Fitted(curve, deviation)
        if deviation <= tolerance or count >= 4 * len(line):
            break
    assert best is not None
    return best
