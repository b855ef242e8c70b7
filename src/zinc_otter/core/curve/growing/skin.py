"""A skin over a net: two families of curves that cross.

The surface is Gordon's: what runs through one family, and what runs through the other, less what runs through the points
where they cross (W. J. Gordon, "Spline-blended surface interpolation through curve networks", 1969).
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.interpolate import CubicSpline
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.growing.grid import Grown, grid_cage
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import fine_length_words

MOST_CURVES = 100
MEET = 1e-6
"""Of the net's size: curves that come so near cross; by more, up to the tolerance, they are drawn together."""


@dataclass(frozen=True, eq=False)
class _Net:
    """Lengthwise curves (m) and crosswise ones (k), where they cross: parameters (m, k) on both, and the points."""

    lengthwise: list[Curve]
    crosswise: list[Curve]
    on_length: Floats
    on_cross: Floats
    points: Floats
    apart: float


def skin(curves: Sequence[Curve], *, each: int = 2, tolerance: float = 0.1) -> Grown:
    """The surface over a net of curves, ``each`` faces between two that are neighbours.

    Which belongs to which family is found by who crosses whom. Curves that miss each other by less than ``tolerance`` mm are
    drawn together there, by more it is said where. Lengthwise curves may be closed, then the skin is a tube. The surface
    passes through points of the curves; ``deviation`` is how far it lies from them between. Raises CurveError.
    """
    if not 3 <= len(curves) <= MOST_CURVES:
        raise CurveError(f"A skin goes over a net of 3 to {MOST_CURVES} curves; {len(curves)} were given.")
    if not 1 <= each <= 32:
        raise BadNumberError(f"There are 1 to 32 faces between two curves; {each} were asked for.")
    if not (np.isfinite(tolerance) and tolerance >= 0):
        raise BadNumberError(f"A tolerance is 0 or more; {tolerance:g} was given.")
    net = _net(curves, tolerance)
    closed = net.lengthwise[0].closed
    # Where between two crossings of a curve each ring of faces lies: even steps of its own parameter.
    along = np.stack([_places(u, each, net.lengthwise[i].end if closed else None) for i, u in enumerate(net.on_length)])
    across = np.stack([_places(v, each, None) for v in net.on_cross.T])
    lines = np.stack([pieces_of(c).at(u) for c, u in zip(net.lengthwise, along, strict=True)])
    rungs = np.stack([pieces_of(c).at(v) for c, v in zip(net.crosswise, across, strict=True)])
    # What misses by less than the tolerance meets in the middle.
    lines = lines + _spread(net.points - lines[:, ::each][:, : net.points.shape[1]], each, closed)
    rungs = rungs + _spread((net.points - np.swapaxes(rungs[:, ::each], 0, 1)).swapaxes(0, 1), each, False)
    over_length = _cardinal(len(net.lengthwise), each, False)
    over_cross = _cardinal(len(net.crosswise), each, closed)
    goals = (
        np.einsum("am,mbx->abx", over_length, lines)
        + np.einsum("bk,kax->abx", over_cross, rungs)
        - np.einsum("am,bk,mkx->abx", over_length, over_cross, net.points)
    )
    grid = solved(goals, False)
    grid = solved(np.swapaxes(grid, 0, 1), closed).swapaxes(0, 1)
    cage = grid_cage(grid, (False, closed))
    rows, columns = goals.shape[0] - 1, goals.shape[1] - (not closed)
    deviation = _strays(grid, closed, net)
    words = [f"Between the faces' corners the surface lies within {fine_length_words(deviation)} of the curves."]
    if net.apart > 0:
        words.append(f"Curves that missed each other by up to {fine_length_words(net.apart)} were drawn together.")
    return Grown(cage, rows, columns, np.zeros(0, dtype=np.int32), tuple(words), deviation)


def _net(curves: Sequence[Curve], tolerance: float) -> _Net:
    every = np.concatenate([curve.points for curve in curves])
    size = max(float(np.ptp(every, axis=0).max()), 1e-9)
    meets: dict[tuple[int, int], tuple[float, float, Floats, float]] = {}
    for i in range(len(curves)):
        for j in range(i + 1, len(curves)):
            found = _crossing(pieces_of(curves[i]), pieces_of(curves[j]))
            if found[3] <= max(tolerance, MEET * size):
                meets[i, j] = found
    family = _families(len(curves), meets, curves)
    first = [k for k in range(len(curves)) if family[k] == 0]
    second = [k for k in range(len(curves)) if family[k] == 1]
    for one in (first, second):
        if len({curves[k].closed for k in one}) > 1:
            raise CurveError("The curves of one family are all open, or all closed.")
    if curves[second[0]].closed:
        first, second = second, first
        if curves[second[0]].closed:
            raise CurveError("One family of a net at least has open curves.")
    if len(second) < 2 or (len(first) < 2 and not curves[first[0]].closed):
        raise CurveError("A net has two curves each way at least.")
    return _sorted(curves, first, second, meets, size)


def _sorted(
    curves: Sequence[Curve],
    first: list[int],
    second: list[int],
    meets: dict[tuple[int, int], tuple[float, float, Floats, float]],
    size: float,
) -> _Net:
    on_length, on_cross = np.zeros((len(first), len(second))), np.zeros((len(first), len(second)))
    points = np.zeros((len(first), len(second), 3))
    apart = 0.0
    for a, i in enumerate(first):
        for b, j in enumerate(second):
            found = meets.get((min(i, j), max(i, j)))
            if found is None:
                place = _crossing(pieces_of(curves[i]), pieces_of(curves[j]))
                words = (
                    f"Two curves of the net do not meet: they are {fine_length_words(place[3])} apart where they come "
                    f"nearest."
                )
                raise CurveError(words, points=[place[2].tolist()])
            u, v = (found[0], found[1]) if i < j else (found[1], found[0])
            on_length[a, b], on_cross[a, b], points[a, b] = u, v, found[2]
            apart = max(apart, found[3])
    # In the order in which they lie, along the first of the others.
    by_cross = np.argsort(on_cross[:, 0])
    on_length, on_cross, points = on_length[by_cross], on_cross[by_cross], points[by_cross]
    by_length = np.argsort(on_length[0])
    on_length, on_cross, points = on_length[:, by_length], on_cross[:, by_length], points[:, by_length]
    lengthwise = [curves[first[k]] for k in by_cross]
    crosswise = [curves[second[k]] for k in by_length]
    for a, curve in enumerate(lengthwise):
        lengthwise[a], on_length[a] = _forward(curve, on_length[a], points[a])
    for b, curve in enumerate(crosswise):
        crosswise[b], on_cross[:, b] = _forward(curve, on_cross[:, b], points[:, b])
    return _Net(lengthwise, crosswise, on_length, on_cross, points, apart if apart > MEET * size else 0.0)


def _forward(curve: Curve, places: Floats, points: Floats) -> tuple[Curve, Floats]:
    """The curve turned so that it passes the others in their order; a closed one begun at the first of them."""
    if curve.closed:
        begun = np.mod(places - places[0], curve.end)
        if (len(places) > 2 and (np.diff(begun) < 0).any()) or (len(places) == 2 and begun[1] == 0):
            curve = curve.reversed()
            # Reversed it begins at the same point: what was at u is at end - u.
            places = np.mod(curve.end - places, curve.end)
            begun = np.mod(places - places[0], curve.end)
        if (np.diff(begun) <= 0).any():
            raise CurveError("The curves of a net cross in another order here.", points=points[:1].tolist())
        return curve, places[0] + begun
    if places[-1] < places[0]:
        curve, places = curve.reversed(), curve.end - places
    if (np.diff(places) <= 1e-9).any():
        at = int(np.flatnonzero(np.diff(places) <= 1e-9)[0])
        raise CurveError("The curves of a net cross in another order here.", points=[points[at + 1].tolist()])
    return curve, places


def _crossing(one: Pieces, other: Pieces) -> tuple[float, float, Floats, float]:
    """Where two curves come nearest: the parameters, the point halfway between, and the distance."""
    u, v = (np.linspace(p.breaks[0], p.breaks[-1], 40 * len(p.bezier) + 1) for p in (one, other))
    distance, near = cKDTree(other.at(v)).query(one.at(u))
    k = int(distance.argmin())
    s, t = float(u[k]), float(v[near[k]])
    for _ in range(20):
        off = one.at([s])[0] - other.at([t])[0]
        a, b = one.velocity([s])[0], other.velocity([t])[0]
        system = np.array([[a @ a, -a @ b], [-a @ b, b @ b]])
        if abs(np.linalg.det(system)) < 1e-12 * (a @ a) * (b @ b):
            break
        ds, dt = np.linalg.solve(system, [-(a @ off), b @ off])
        s, t = _within(one, s + ds), _within(other, t + dt)
        if max(abs(ds), abs(dt)) < 1e-13:
            break
    p, q = one.at([s])[0], other.at([t])[0]
    return s, t, (p + q) / 2, float(np.linalg.norm(p - q))


def _within(curve: Pieces, u: float) -> float:
    low, high = float(curve.breaks[0]), float(curve.breaks[-1])
    return low + (u - low) % (high - low) if curve.closed else min(max(u, low), high)


def _families(count: int, meets: Mapping[tuple[int, int], object], curves: Sequence[Curve]) -> list[int]:
    """0 or 1 for each curve: those that cross belong to different families."""
    beside: list[list[int]] = [[] for _ in range(count)]
    for i, j in meets:
        beside[i].append(j)
        beside[j].append(i)
    family = [-1] * count
    family[0], left = 0, [0]
    while left:
        k = left.pop()
        for other in beside[k]:
            if family[other] == family[k]:
                at = pieces_of(curves[other]).at([curves[other].end / 2])[0]
                raise CurveError("The curves are no net: three of them cross one another.", points=[at.tolist()])
            if family[other] < 0:
                family[other] = 1 - family[k]
                left.append(other)
    lone = [k for k in range(count) if family[k] < 0]
    if lone or len(set(family)) < 2:
        k = lone[0] if lone else 0
        at = pieces_of(curves[k]).at([curves[k].end / 2])[0]
        raise CurveError("This curve meets none of the others; all of a net hang together.", points=[at.tolist()])
    return family


def _places(marks: Floats, each: int, period: float | None) -> Floats:
    """Parameters ``each`` steps between marks; with a ``period`` also from the last to the first again."""
    whole = marks if period is None else np.append(marks, marks[0] + period)
    steps = np.linspace(0, len(whole) - 1, (len(whole) - 1) * each + 1)
    return np.interp(steps if period is None else steps[:-1], np.arange(len(whole)), whole)


def _spread(off: Floats, each: int, closed: bool) -> Floats:
    """(n, m, 3) from offsets at the marks (n, k, 3), shared out evenly over the places between them."""
    whole = np.concatenate([off, off[:, :1]], axis=1) if closed else off
    steps = np.linspace(0, whole.shape[1] - 1, (whole.shape[1] - 1) * each + 1)
    steps = steps[:-1] if closed else steps
    low = np.minimum(steps.astype(np.int64), whole.shape[1] - 2)
    share = (steps - low)[None, :, None]
    return np.asarray(whole[:, low] * (1 - share) + whole[:, low + 1] * share)


def _cardinal(count: int, each: int, closed: bool) -> Floats:
    """(places, count) the natural or periodic cubic splines that are 1 at one mark and 0 at the others."""
    if count == 1:
        return np.ones((1, 1))
    if closed:
        marks = np.vstack([np.eye(count), np.eye(count)[:1]])
        steps = np.linspace(0, count, count * each, endpoint=False)
        return np.asarray(CubicSpline(np.arange(count + 1), marks, bc_type="periodic")(steps))
    steps = np.linspace(0, count - 1, (count - 1) * each + 1)
    if count == 2:
        return np.column_stack([1 - steps, steps])
    return np.asarray(CubicSpline(np.arange(count), np.eye(count), bc_type="natural")(steps))


def _strays(grid: Floats, closed: bool, net: _Net) -> float:
    """How far the curves lie from the surface, by dense points of both: the surface's own spacing is less than that."""
    from zinc_otter.core.surface.nearest import NearestOnSurface

    surface = NearestOnSurface(grid_cage(grid, (False, closed)), 3)
    worst = 0.0
    for curve, marks in [*zip(net.lengthwise, net.on_length, strict=True), *zip(net.crosswise, net.on_cross.T, strict=True)]:
        u = np.linspace(marks[0], curve.end + marks[0] if curve.closed else marks[-1], 12 * len(marks) + 1)
        at = pieces_of(curve).at(u)
        worst = max(worst, float(np.linalg.norm(surface.at(at)[0] - at, axis=1).max()))
    return worst
