"""A curve that is its own image in a plane: begun from what lies on one side of it."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.line_topology import LineTopology
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.symmetry.line_symmetry import LineSymmetry, nearest_about, of_line
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.across import crossed
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import Fitted, feet_on, fitted_to
from zinc_otter.core.curve.pieces import Pieces, pieces_of

_EACH = 24


def cut_and_mirrored(curve: Curve, plane: Plane, positive: bool, tolerance: float) -> tuple[Fitted, LineSymmetry]:
    """What lies on one side of a plane, and its image, as one curve that crosses the plane.

    An end that lies within ``tolerance`` mm of the plane counts as on it. It keeps the control points of that side, and is
    laid nearest to what it was there. Raises CurveError where it does not meet the plane once, or twice with what is kept
    between.

    >>> half = Curve([(10, 0, 0), (12, 4, 0), (5, 9, 0), (0, 9, 0)])
    >>> made, symmetry = cut_and_mirrored(half, Plane((0.0, 0.0, 0.0), (1.0, 0.0, 0.0)), True, 0.1)
    >>> made.curve.count, made.curve.closed, symmetry.vertices[1].tolist()
    (7, False, [6, 5, 4, 3, 2, 1, 0])
    """
    made = pieces_of(curve)
    low, high = _kept_run(curve, made, plane, positive, tolerance)
    on_plane = np.array([_on_plane(made, plane, end, tolerance) for end in (low, high)])
    inner = np.arange(np.ceil(low), np.floor(high) + 1)
    # One that all but lies on the plane would only crowd the point there.
    keep_low, keep_high = low + 0.25 * on_plane[0], high - 0.25 * on_plane[1]
    inner = inner[(inner >= keep_low) & (inner <= keep_high)]
    sharp = curve.sharpness[inner.astype(np.int64) % curve.count]
    marks = np.concatenate([[low] if on_plane[0] else [], inner, [high] if on_plane[1] else []])
    sharp = np.concatenate([[0.0] if on_plane[0] else [], sharp, [0.0] if on_plane[1] else []])
    if len(marks) < 2:
        raise CurveError("What is kept of it has no control point off the plane; add points there first.")
    group = Group((plane,))
    steps = np.linspace(low, high, _EACH * len(marks) + 1)
    points, half = made.at(marks), made.at(steps)
    # In the plane to the last bit.
    points[[0, -1]] = np.where(on_plane[:, None], _drawn_in(points[[0, -1]], plane), points[[0, -1]])
    half[[0, -1]] = np.where(on_plane[:, None], _drawn_in(half[[0, -1]], plane), half[[0, -1]])
    at = np.interp(steps, marks, np.arange(len(marks)))
    if not on_plane[1]:
        # Begun at the plane: the other way round it ends there.
        points, half, sharp, at = points[::-1], half[::-1], sharp[::-1], (len(marks) - 1) - at[::-1]
    closed = bool(on_plane.all())
    back = slice(-2, 0 if closed else None, -1)
    other = slice(-2, None, -1)
    whole = np.vstack([points, group.moved(1, points[back])])
    start = Curve(whole, curve.degree, closed, np.concatenate([sharp, sharp[back]]))
    goals = np.vstack([half, group.moved(1, half[other])])
    places = np.concatenate([at, 2 * (len(marks) - 1) - at[other]])
    fitted = start if curve.degree == 1 else fitted_to(start, places, goals)
    symmetry = of_line(group, _line(fitted), 0 if closed else fitted.count - 1)
    if closed:
        symmetry = of_line(group, _line(fitted), nearest_about(group, _line(fitted), start.points))
    exact = fitted.with_points(symmetry.spread(fitted.points, symmetry.masters(fitted.points, half[len(half) // 2])))
    off = np.linalg.norm(half - feet_on(half, pieces_of(exact)), axis=1)
    return Fitted(exact, float(off.max())), symmetry


def followed(curve: Curve, plane: Plane, positive: bool) -> tuple[Fitted, LineSymmetry]:
    """A whole whose points on one side of a plane go on, and those on the other follow as their images.

    Raises CurveError where it is not laid out alike on both sides.
    """
    group = Group((plane,))
    t = _line(curve)
    symmetry = of_line(group, t, nearest_about(group, t, curve.points))
    normal = np.asarray(plane.normal)
    span = max(float(np.ptp(curve.points, axis=0).max()), 1e-3)
    hand = np.asarray(plane.point) + normal * (span if positive else -span)
    if symmetry.strays(curve.points) > 0.25 * span:
        raise CurveError("Its points do not lie alike on both sides of the plane; cut it there instead.")
    exact = curve.with_points(symmetry.spread(curve.points, symmetry.masters(curve.points, hand)))
    sharp = exact.sharpness[symmetry.vertices].max(axis=0)
    exact = Curve(exact.points, exact.degree, exact.closed, sharp)
    return Fitted(exact, float(np.linalg.norm(exact.points - curve.points, axis=1).max())), symmetry


def _line(curve: Curve) -> LineTopology:
    t = curve.polygon.topology
    assert isinstance(t, LineTopology)
    return t


def _heights(made: Pieces, plane: Plane, places: Floats) -> Floats:
    return np.asarray((made.at(places) - np.asarray(plane.point)) @ np.asarray(plane.normal))


def _on_plane(made: Pieces, plane: Plane, place: float, tolerance: float) -> bool:
    return bool(abs(_heights(made, plane, np.array([place]))[0]) <= max(tolerance, 1e-9))


def _drawn_in(points: Floats, plane: Plane) -> Floats:
    normal = np.asarray(plane.normal)
    return points - ((points - np.asarray(plane.point)) @ normal)[:, None] * normal


def _kept_run(curve: Curve, made: Pieces, plane: Plane, positive: bool, tolerance: float) -> tuple[float, float]:
    """The parameters between which it lies on the side that is kept; of a closed one the second may be on the next round."""
    sign = 1.0 if positive else -1.0
    low, high = float(made.breaks[0]), float(made.breaks[-1])
    places = crossed(made, plane.point, plane.normal)
    if not curve.closed:
        # Those all but at an end are that end.
        run = made.lengths_to(places) if len(places) else np.zeros(0)
        places = places[(run > tolerance) & (run < made.length - tolerance)]
    marks = np.concatenate([[low], places, [high]]) if not curve.closed else places
    if curve.closed and len(places) == 2:
        middle = _heights(made, plane, np.array([(places[0] + places[1]) / 2]))[0] * sign
        return (places[0], places[1]) if middle > 0 else (places[1], places[0] + high - low)
    if not curve.closed and len(places) <= 2:
        middles = (marks[1:] + marks[:-1]) / 2
        runs = np.flatnonzero(sign * _heights(made, plane, middles) > 0)
        meets = [k for k in runs if _meets(made, plane, marks, int(k), tolerance)]
        if len(meets) == 1:
            return float(marks[meets[0]]), float(marks[meets[0] + 1])
    side = "once, or twice with what is kept between" if not curve.closed else "twice"
    raise CurveError(
        f"It crosses the plane {len(places)} times; a curve is mirrored where it does so {side}, or where one of its ends "
        "lies on it.",
        points=made.at(places).tolist() if len(places) else [],
    )


def _meets(made: Pieces, plane: Plane, marks: Floats, run: int, tolerance: float) -> bool:
    """Whether a run between marks ends on the plane at one side at least."""
    return any(_on_plane(made, plane, float(end), tolerance) for end in marks[run : run + 2])
