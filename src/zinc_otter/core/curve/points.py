"""Control points added to a curve, taken away, and drawn out; curves parted and joined."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import HARD
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import Fitted, feet_on, fitted_to, refitted, run_of, strays
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import length_words


def with_points_on(curve: Curve, legs: Sequence[int], share: float = 0.5) -> tuple[Fitted, Ints]:
    """A control point more at a ``share`` of each of some legs, the form held; with them their numbers.

    Leg k runs from control point k to the next. Raises CurveError.

    >>> line = Curve([(0, 0, 0), (10, 0, 0), (20, 10, 0), (30, 0, 0)])
    >>> made, new = with_points_on(line, [1])
    >>> made.curve.count, new.tolist(), made.deviation < 0.5
    (5, [2], True)
    """
    marks = np.sort(np.concatenate([np.arange(curve.count), np.unique(legs) + share]))
    fresh = np.flatnonzero(marks % 1 != 0)
    sharp = np.zeros(len(marks))
    sharp[marks % 1 == 0] = curve.sharpness
    if curve.degree == 1:
        points = pieces_of(curve).at(marks)
        return Fitted(Curve(points, 1, curve.closed, sharp), 0.0), fresh.astype(np.int32)
    return refitted(curve, marks, sharp), fresh.astype(np.int32)


def without_points(curve: Curve, gone: ArrayLike, hold: bool = False) -> Fitted:
    """Some control points fewer; with ``hold`` what is left is fitted to the form. Raises BadSelectionError, CurveError."""
    stays = np.ones(curve.count, dtype=bool)
    stays[np.asarray(gone)] = False
    least = 3 if curve.closed else 2
    if stays.sum() < least:
        words = f"A curve that is {'closed' if curve.closed else 'open'} keeps {least} control points at least."
        raise BadSelectionError(words, vertices=np.flatnonzero(~stays))
    left = Curve(curve.points[stays], curve.degree, curve.closed, curve.sharpness[stays])
    ends_stay = curve.closed or (stays[0] and stays[-1])
    if hold and curve.degree > 1 and ends_stay:
        return refitted(curve, np.flatnonzero(stays).astype(np.float64), curve.sharpness[stays])
    return Fitted(left, strays(left, curve))


def drawn_out(curve: Curve, end: int, by: ArrayLike) -> tuple[Curve, int]:
    """One control point more beyond the first or the last one, ``by`` (3,) mm away from it; and its number."""
    if curve.closed or end not in (0, curve.count - 1):
        words = "A point is drawn out of the end of an open curve; pick its first or last one."
        raise BadSelectionError(words, vertices=[end])
    fresh = curve.points[end] + np.asarray(by, dtype=np.float64)
    first = end == 0
    points = np.vstack([fresh, curve.points] if first else [curve.points, fresh])
    sharp = np.append(0.0, curve.sharpness) if first else np.append(curve.sharpness, 0.0)
    return Curve(points, curve.degree, False, sharp), 0 if first else curve.count


def parted_at(curve: Curve, at: int) -> list[Fitted]:
    """The curve parted at one control point: a closed one is opened there, an open one becomes two.

    Both sides run through the place where it was parted. Raises BadSelectionError at an end.
    """
    if not 0 <= at < curve.count:
        raise BadSelectionError(f"There is no control point {at}.")
    if not curve.closed and at in (0, curve.count - 1):
        raise BadSelectionError("It ends there already; pick a point between.", vertices=[at])
    return parted(curve, [at])


def parted(curve: Curve, places: ArrayLike) -> list[Fitted]:
    """The curve parted at parameters (k,): one open curve for each run between. Raises CurveError.

    Each has the control points that lie within its run, and is laid nearest to what the curve was there.
    """
    made = pieces_of(curve)
    low, high = float(made.breaks[0]), float(made.breaks[-1])
    if not curve.closed:
        stops = np.unique(np.concatenate([[low, high], np.asarray(places, dtype=np.float64)]))
        return [run_of(curve, a, b) for a, b in pairwise(stops)]
    stops = np.unique(np.mod(np.asarray(places, dtype=np.float64) - low, high - low) + low)
    return [run_of(curve, a, b) for a, b in pairwise(np.append(stops, stops[0] + high - low))]


def closed_up(curve: Curve) -> Curve:
    """An open curve closed: ends that lie in one place become one point. Raises CurveError."""
    if curve.closed:
        raise CurveError("It is closed already.")
    size = max(float(np.ptp(curve.points, axis=0).max()), 1e-9)
    meets = bool(np.linalg.norm(curve.points[-1] - curve.points[0]) < 1e-6 * size)
    points, sharp = (curve.points[:-1], curve.sharpness[:-1]) if meets else (curve.points, curve.sharpness)
    return Curve(points, curve.degree, True, sharp)


def joined_to_one(one: Curve, other: Curve) -> tuple[Curve, float]:
    """Two open curves as one, at the two ends that lie nearest to one another, which meet in their middle.

    With it the distance (mm) of these ends. The place where they meet stays a corner unless they were of degree 3 both and
    met smoothly. Raises CurveError for a closed one, or for two degrees.
    """
    if one.closed or other.closed:
        raise CurveError("Open curves are joined; a closed one has no end.")
    if one.degree != other.degree:
        raise CurveError(f"One is of degree {one.degree}, the other of degree {other.degree}: resample one of them first.")
    options = [
        (float(np.linalg.norm(a.points[-1] - b.points[0])), k, a, b)
        for k, (a, b) in enumerate((a, b) for a in (one, one.reversed()) for b in (other, other.reversed()))
    ]
    gap, _, a, b = min(options, key=lambda option: option[:2])
    size = max(float(np.ptp(np.vstack([a.points, b.points]), axis=0).max()), 1e-9)
    way_in, way_out = a.points[-1] - a.points[-2], b.points[1] - b.points[0]
    cosine = float(way_in @ way_out) / max(float(np.linalg.norm(way_in) * np.linalg.norm(way_out)), 1e-300)
    smooth = cosine > 1 - 1e-6
    if gap > 1e-6 * size:
        points = np.vstack([a.points, b.points])
        sharp = np.concatenate([a.sharpness, b.sharpness])
    else:
        middle = (a.points[-1] + b.points[0]) / 2
        points = np.vstack([a.points[:-1], middle, b.points[1:]])
        sharp = np.concatenate([a.sharpness[:-1], [0.0 if smooth else HARD], b.sharpness[1:]])
    return Curve(points, one.degree, False, sharp), gap


def offset_in_plane(curve: Curve, distance: float, normal: ArrayLike) -> Fitted:
    """The curve that runs ``distance`` mm to its right, seen against a plane's ``normal``; as many control points.

    Raises CurveError where it bends too tightly for that.
    """
    up = np.asarray(normal, dtype=np.float64)
    up = up / max(float(np.linalg.norm(up)), 1e-300)
    made = pieces_of(curve)
    marks = np.arange(curve.count, dtype=np.float64)
    across = np.cross(made.directions(marks), up)
    goals = made.at(marks) + distance * across
    steps = np.linspace(0, curve.end, 24 * curve.count + 1)
    way = np.cross(made.directions(steps), up)
    line = made.at(steps) + distance * way
    turned = (np.diff(line, axis=0) * np.diff(made.at(steps), axis=0)).sum(axis=1) < 0
    if turned.any():
        at = made.at(steps)[int(np.flatnonzero(turned)[0])]
        words = (
            f"It bends tighter than {length_words(abs(distance))} there: an offset to this side would turn back on "
            f"itself."
        )
        raise CurveError(words, points=[at.tolist()])
    offset = fitted_to(Curve(goals, curve.degree, curve.closed, curve.sharpness), steps, line)
    at = pieces_of(offset).at(steps)
    away = np.linalg.norm(at - feet_on(at, made), axis=1)
    return Fitted(offset, float(np.abs(away - abs(distance)).max()))
