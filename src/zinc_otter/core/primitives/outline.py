"""Closed outlines, and an all-quad patch whose border follows one."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.interpolate import CubicSpline

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.grid_fill import filled_rows, grid_counts
from zinc_otter.core.cage.springs import sprung
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import check_sizes, of_quads
from zinc_otter.core.words import length_words

_FINE = 4096


@dataclass(frozen=True, eq=False)
class Outline:
    """A closed curve in the plane, counter-clockwise.

    ``points`` (n, 2) are finely sampled, ``corners`` those where it bends sharply.
    """

    points: Floats
    corners: tuple[int, ...] = ()

    @property
    def length(self) -> float:
        return float(np.linalg.norm(np.roll(self.points, -1, axis=0) - self.points, axis=1).sum())


def circle(diameter: float) -> Outline:
    """Raises BadNumberError, as all here do."""
    return ellipse(diameter, diameter)


def ellipse(width: float, height: float) -> Outline:
    check_sizes([width, height], 2)
    turn = 2 * np.pi * np.arange(_FINE) / _FINE
    return Outline(np.column_stack([width / 2 * np.cos(turn), height / 2 * np.sin(turn)]))


def rounded_rectangle(width: float, height: float, radius: float) -> Outline:
    """A rectangle with rounded corners; a radius of 0 leaves them sharp."""
    check_sizes([width, height], 2)
    if not 0 <= radius <= min(width, height) / 2:
        most = min(width, height) / 2
        raise BadNumberError(
            f"The corners' radius lies between 0 and {length_words(most)} here; {length_words(radius)} does "
            f"not."
        )
    turn = np.linspace(0, np.pi / 2, _FINE // 8)
    arc = radius * np.column_stack([np.cos(turn), np.sin(turn)]) if radius > 0 else np.zeros((1, 2))
    inner = np.array([width / 2 - radius, height / 2 - radius])
    quarters = []
    for k in range(4):
        spin = np.array([[0, 1], [-1, 0]]) if k % 2 else np.eye(2)
        sign = 1 if k < 2 else -1
        quarters.append(sign * (arc @ spin + inner * ([-1, 1] if k % 2 else [1, 1])))
    points = np.concatenate(quarters)
    corners = tuple(range(4)) if radius == 0 else ()
    # It begins in the middle of the right side, so that points lie as symmetrically as the form does.
    return Outline(np.concatenate([[[width / 2, 0.0]], points]), tuple(c + 1 for c in corners))


def drawn(points: Sequence[Sequence[float]], smooth: bool) -> Outline:
    """Through points (n, 2) as clicked: a periodic cubic spline by chord length, or straight lines with sharp corners."""
    knots = np.asarray(points, dtype=np.float64).reshape(-1, 2)
    if len(knots) < 3:
        raise BadNumberError("An outline needs at least three points.")
    if not np.isfinite(knots).all():
        raise BadNumberError("A point of the outline would lie nowhere.")
    steps = np.linalg.norm(np.roll(knots, -1, axis=0) - knots, axis=1)
    if steps.min() <= 1e-6 * steps.sum():
        raise BadNumberError("Two points of the outline lie in the same place.")
    if _signed_area(knots) < 0:
        knots, steps = knots[::-1], np.roll(steps[::-1], -1)
    if smooth:
        along = np.concatenate([[0], np.cumsum(steps)])
        spline = CubicSpline(along, np.concatenate([knots, knots[:1]]), bc_type="periodic")
        fine = Outline(spline(np.linspace(0, along[-1], _FINE, endpoint=False)))
    else:
        fine = Outline(knots, tuple(range(len(knots))))
    _refuse_crossing(fine)
    return fine


def sampled(outline: Outline, count: int) -> tuple[Floats, Bools]:
    """``count`` points (n, 2) along an outline, evenly by length between its corners, and which of them are corners.

    Raises BadNumberError where there are more corners than points.
    """
    points = outline.points
    steps = np.linalg.norm(np.roll(points, -1, axis=0) - points, axis=1)
    along = np.concatenate([[0], np.cumsum(steps)])
    total = along[-1]
    stops = [*along[list(outline.corners)], along[outline.corners[0]] + total] if outline.corners else [0.0, total]
    if len(stops) - 1 > count:
        raise BadNumberError(f"The outline has {len(stops) - 1} corners; use at least as many faces around.")
    lengths = np.diff(stops)
    shares = np.maximum(1, np.floor(lengths / total * count).astype(int))
    while shares.sum() < count:
        shares[np.argmax(lengths / shares)] += 1
    while shares.sum() > count:
        shares[np.argmin(np.where(shares > 1, lengths / shares, np.inf))] -= 1
    parts = zip(stops[:-1], stops[1:], shares, strict=True)
    at = np.concatenate([a + (b - a) * np.arange(n) / n for a, b, n in parts]) % total
    closed = np.concatenate([points, points[:1]])
    found = np.column_stack([np.interp(at, along, closed[:, k]) for k in range(2)])
    is_corner = np.zeros(count, dtype=bool)
    if outline.corners:
        is_corner[np.concatenate([[0], np.cumsum(shares)[:-1]])] = True
    return found, is_corner


def filled(outline: Outline, around: int, rings: int = 1) -> Cage:
    """An open sheet of quads in z = 0, facing +z, whose border's limit passes through ``around`` points of the outline.

    A ring of faces runs along the border, so that no border vertex has but one face (it would be a sharp corner).
    The border is a closed uniform cubic B-spline (DeRose, Kass, Truong 1998, boundary rule); its control points solve
    the interpolation system (1, 4, 1) / 6 (L. Piegl, W. Tiller, "The NURBS Book", 1997, chapter 9).
    Raises BadNumberError, also where the outline bends in too far for one patch.
    """
    _check(around, rings)
    through, is_corner = sampled(outline, around)
    ring = np.column_stack([_control_points(through, is_corner), np.zeros(around)])
    sheet = fill_ring(ring, rings)
    sharp = np.zeros(sheet.topology.vertex_count)
    sharp[:around][is_corner] = HARD
    return sheet.with_sharpness(vertices=sharp)


def border_deviation(cage: Cage, outline: Outline, around: int) -> float:
    """The largest distance in mm from the border's limit curve to the outline, by dense samples."""
    ring = cage.positions[:around, :2]
    hard = cage.vertex_sharpness[:around] > 0
    u = np.linspace(0, 1, 33)[:, None, None]
    p0, p1, p2, p3 = (np.roll(ring, 1 - k, axis=0) for k in range(4))
    # A corner's curve begins and ends there: its neighbour beyond is the corner mirrored (an end condition of order 2).
    p0 = np.where(hard[:, None], 2 * p1 - p2, p0)
    p3 = np.where(np.roll(hard, -1)[:, None], 2 * p2 - p1, p3)
    curve = ((1 - u) ** 3 * p0 + (3 * u**3 - 6 * u**2 + 4) * p1 + (-3 * u**3 + 3 * u**2 + 3 * u + 1) * p2 + u**3 * p3) / 6
    return float(_distances(curve.reshape(-1, 2), outline.points).max())


def _control_points(through: Floats, is_corner: Bools) -> Floats:
    corners = np.flatnonzero(is_corner)
    if not len(corners):
        return solved(through, True)
    # Corners are passed through, and what lies between two of them knows nothing of the rest.
    points = through.copy()
    for first, last in zip(corners, [*corners[1:], corners[0] + len(through)], strict=True):
        run = np.arange(first, last + 1) % len(through)
        points[run] = solved(through[run], False)
    return points


def fill_ring(ring: Floats, rings: int) -> Cage:
    """A ring (n, 3) in z = 0, counter-clockwise, filled with quads; its points are the first vertices.

    Of several ways the squarest is taken: other grids, turned, or with points as even as springs make them. Raises
    BadNumberError for an odd number of points, and where faces would fold over.
    """
    n = len(ring)
    edges = np.roll(ring, -1, axis=0) - ring
    step = _STEP * np.linalg.norm(edges, axis=1).mean()
    along = edges / np.linalg.norm(edges, axis=1, keepdims=True)
    ahead = along + np.roll(along, 1, axis=0)
    inwards = np.column_stack([-ahead[:, 1], ahead[:, 0], np.zeros(n)])
    inwards /= np.maximum(np.linalg.norm(inwards, axis=1, keepdims=True), 1e-9)
    a, b = _check(n, rings)
    # Rows deeper than the form is wide would cross, so shallower ones are tried where they do.
    for depth in (step, 0.6 * step, 0.3 * step):
        rows = [ring + inwards * depth * k for k in range(1, rings + 1)]
        found = [_laid(ring, rows, (a, b), 0)]
        if found[0][0] < _GOOD:
            ways = [(i, a + b - i, k) for i in range(max(1, a // 2), a + 1) for k in range(n if i != a + b - i else n // 2)]
            found = sorted((_laid(ring, rows, (i, j), k) for i, j, k in ways), key=lambda way: -way[0])[:6]
            found += [_sprung(ring, points, quads) for _, points, quads in found]
        quality, points, quads = max(found, key=lambda way: way[0])
        if quality > 0:
            return of_quads(np.concatenate([ring, points]), quads)
    raise BadNumberError(
        "The outline bends in too far for one patch: faces would fold over. Use more faces, or lay it out in two parts."
    )


def _check(around: int, rings: int) -> tuple[int, int]:
    """The counts of the grid within. Raises BadNumberError."""
    a, b = grid_counts(around)
    if rings < 1:
        raise BadNumberError("At least one ring of faces runs along the border.")
    check_face_total(around * rings + a * b)
    return a, b


_STEP = 0.8
_GOOD = 0.35
_Way = tuple[float, Floats, Ints]
"""How square the least square corner is, the inner points, and the quads."""


def _laid(ring: Floats, rows: list[Floats], counts: tuple[int, int], turned: int) -> _Way:
    n = len(ring)
    order = np.roll(np.arange(n), turned)
    points, quads = filled_rows(ring[order], [row[order] for row in rows], counts)
    named = np.concatenate([order, np.arange(n, n + len(points))])[quads]
    return _squareness(np.concatenate([ring, points]), named), points, named


def _squareness(points: Floats, quads: Ints) -> float:
    """The least, over all corners, of twice the corner's triangle to its face: 1 for squares, below 0 for folds."""
    p = points[quads, :2]
    u, v = np.roll(p, -1, axis=1) - p, np.roll(p, 1, axis=1) - p
    corner = u[..., 0] * v[..., 1] - u[..., 1] * v[..., 0]
    area = np.abs(corner).sum(axis=1) / 4
    # An outline's own inward corner makes a face that bends in without folding: its area still counts.
    whole = np.maximum(area, 1e-12 * max(area.max(), 1e-12))[:, None]
    signed = (corner.sum(axis=1) / 4)[:, None]
    return float(np.minimum(corner / whole + 0.5, signed / whole).min())


def _sprung(ring: Floats, inner: Floats, quads: Ints) -> _Way:
    """All inner points at the mean of their neighbours."""
    legs = np.column_stack([quads.ravel(), np.roll(quads, -1, axis=1).ravel()])
    points = sprung(ring, len(ring) + len(inner), legs)
    return _squareness(np.concatenate([ring, points]), quads), points, quads


def _signed_area(points: Floats) -> float:
    x, y = points.T
    return float(0.5 * np.sum(x * np.roll(y, -1) - y * np.roll(x, -1)))


def _refuse_crossing(outline: Outline) -> None:
    """Raise BadNumberError where a thinned copy of the outline crosses itself."""
    step = max(1, len(outline.points) // 200)
    p = outline.points[::step]
    q = np.roll(p, -1, axis=0)
    side: Callable[[Floats, Floats, Floats], Floats] = lambda a, b, c: (  # noqa: E731
        (b[..., 0] - a[..., 0]) * (c[..., 1] - a[..., 1]) - (b[..., 1] - a[..., 1]) * (c[..., 0] - a[..., 0])
    )
    a, b, c, d = p[:, None], q[:, None], p[None], q[None]
    crossing = (side(a, b, c) * side(a, b, d) < 0) & (side(c, d, a) * side(c, d, b) < 0)
    if crossing.any():
        raise BadNumberError("The outline crosses itself; a patch needs one that goes round once.")


def _distances(points: Floats, polygon: Floats) -> Floats:
    """(n,) distance of points from the sides of a closed polygon."""
    a, b = polygon, np.roll(polygon, -1, axis=0)
    best = np.full(len(points), np.inf)
    for start in range(0, len(a), 256):
        pa, pb = a[None, start : start + 256], b[None, start : start + 256]
        along = pb - pa
        t = np.clip(((points[:, None] - pa) * along).sum(-1) / np.maximum((along**2).sum(-1), 1e-300), 0, 1)
        best = np.minimum(best, np.linalg.norm(points[:, None] - pa - t[..., None] * along, axis=-1).min(axis=1))
    return best
