"""A curve as Bézier pieces: exact, for all that is asked of it at any place."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import HARD, unit
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.curve.curve import Curve, refined

_GAUSS, _WEIGHTS = np.polynomial.legendre.leggauss(12)
_PARTS = 4
"""Parts of a piece for its length: a cubic's speed is smooth but where it all but stands still."""


@dataclass(frozen=True, eq=False)
class Pieces:
    """Control points ``bezier`` (m, 4, 3) of cubic pieces, and the parameters ``breaks`` (m + 1,) between them.

    Source: G. Farin, "Curves and Surfaces for CAGD", 5th ed. 2002, chapters 4 to 8.
    """

    bezier: Floats
    breaks: Floats
    closed: bool

    # --- at a place ---------------------------------------------------------------------------------------------------

    def at(self, places: ArrayLike) -> Floats:
        """(k, 3) points at parameters (k,)."""
        piece, t, _ = self._local(places)
        return _bernstein(self.bezier[piece], t)

    def velocity(self, places: ArrayLike) -> Floats:
        """(k, 3) first derivatives by the parameter."""
        piece, t, width = self._local(places)
        return _bernstein(3 * np.diff(self.bezier, axis=1)[piece], t) / width[:, None]

    def acceleration(self, places: ArrayLike) -> Floats:
        """(k, 3) second derivatives by the parameter."""
        piece, t, width = self._local(places)
        return _bernstein(6 * np.diff(self.bezier, n=2, axis=1)[piece], t) / width[:, None] ** 2

    def directions(self, places: ArrayLike) -> Floats:
        """(k, 3) unit tangents; where the curve stands still, the way that it goes on."""
        piece, t, _ = self._local(places)
        way = _bernstein(np.diff(self.bezier, axis=1)[piece], t)
        still = np.linalg.norm(way, axis=1) < 1e-9 * np.abs(self.bezier).max()
        way[still] = self.bezier[piece[still], 3] - self.bezier[piece[still], 0]
        return unit(way)

    def bending(self, places: ArrayLike) -> Floats:
        """(k,) curvature, 1/mm."""
        v, a = self.velocity(places), self.acceleration(places)
        speed = np.linalg.norm(v, axis=1)
        return np.asarray(np.linalg.norm(np.cross(v, a), axis=1) / np.maximum(speed, 1e-12) ** 3)

    def _local(self, places: ArrayLike) -> tuple[np.ndarray, Floats, Floats]:
        u = np.atleast_1d(np.asarray(places, dtype=np.float64))
        first, last = self.breaks[[0, -1]]
        u = first + np.mod(u - first, last - first) if self.closed else np.clip(u, first, last)
        piece = np.clip(np.searchsorted(self.breaks, u, side="right") - 1, 0, len(self.bezier) - 1)
        width = self.breaks[piece + 1] - self.breaks[piece]
        return piece, (u - self.breaks[piece]) / width, width

    # --- as a whole ---------------------------------------------------------------------------------------------------

    @cached_property
    def _marks(self) -> Floats:
        """Parameters between which the length is known."""
        steps = np.linspace(0, 1, _PARTS + 1)[:-1]
        inner = self.breaks[:-1, None] + np.diff(self.breaks)[:, None] * steps
        return np.append(inner.ravel(), self.breaks[-1])

    @cached_property
    def _run(self) -> Floats:
        """Length from the beginning to each mark."""
        return np.concatenate([[0.0], np.cumsum(self._run_within(self._marks[:-1], self._marks[1:]))])

    @property
    def length(self) -> float:
        """mm, by Gauss and Legendre's quadrature."""
        return float(self._run[-1])

    def lengths_to(self, places: ArrayLike) -> Floats:
        """(k,) mm from the beginning to parameters (k,)."""
        u = np.clip(np.atleast_1d(np.asarray(places, dtype=np.float64)), self.breaks[0], self.breaks[-1])
        part = np.clip(np.searchsorted(self._marks, u, side="right") - 1, 0, len(self._marks) - 2)
        return self._run[part] + self._run_within(self._marks[part], u)

    def _run_within(self, low: Floats, high: Floats) -> Floats:
        """(k,) mm between pairs of parameters that no mark lies between."""
        mid, half = (low + high) / 2, (high - low) / 2
        speed = np.linalg.norm(self.velocity((mid[:, None] + half[:, None] * _GAUSS).ravel()), axis=1)
        return np.asarray((speed.reshape(len(low), -1) * _WEIGHTS).sum(axis=1) * half)

    def places_at(self, lengths: ArrayLike) -> Floats:
        """(k,) parameters that lie so many mm along the curve, by rounds of Newton's method."""
        wanted = np.clip(np.atleast_1d(np.asarray(lengths, dtype=np.float64)), 0, self.length)
        part = np.clip(np.searchsorted(self._run, wanted, side="right") - 1, 0, len(self._run) - 2)
        low, high = self._marks[part], self._marks[part + 1]
        size = np.maximum(self._run[part + 1] - self._run[part], 1e-300)
        u = low + (high - low) * (wanted - self._run[part]) / size
        for _ in range(3):
            run = self._run[part] + self._run_within(low, u)
            now = np.maximum(np.linalg.norm(self.velocity(u), axis=1), 1e-12)
            u = np.clip(u + (wanted - run) / now, low, high)
        return u

    def evenly(self, count: int) -> Floats:
        """(count,) parameters at even lengths, both ends among them; of a closed curve the end is left out."""
        return self.places_at(np.linspace(0, self.length, count, endpoint=not self.closed))

    def tightest(self) -> tuple[float, float]:
        """The smallest radius in mm, infinite for straight ones, and the parameter where it is; corners do not count."""
        steps = np.linspace(0, 1, 65)
        u = (self.breaks[:-1, None] + np.diff(self.breaks)[:, None] * np.clip(steps, 1e-9, 1 - 1e-9)).ravel()
        bend = self.bending(u)
        at = int(bend.argmax())
        low, high = u[max(at - 1, 0)], u[min(at + 1, len(u) - 1)]
        for _ in range(40):
            thirds = np.array([low + (high - low) / 3, high - (high - low) / 3])
            one, other = self.bending(thirds)
            low, high = (thirds[0], high) if one < other else (low, thirds[1])
        place = (low + high) / 2
        most = max(float(self.bending(place)[0]), float(bend[at]))
        return (float("inf"), float(place)) if most < 1e-12 else (1 / most, float(place))

    def plane(self) -> tuple[Floats, Floats, float]:
        """The plane that fits best: a point and the unit normal (3,), and how far the curve strays from it, mm."""
        hull = self.bezier.reshape(-1, 3)
        middle = hull.mean(axis=0)
        normal = np.linalg.svd(hull - middle, full_matrices=False)[2][-1]
        dense = self.dense(16)
        return middle, normal, float(np.abs((dense - middle) @ normal).max())

    def dense(self, each: int) -> Floats:
        """Points at ``each`` steps of every piece, in order; a closed curve ends where it began."""
        steps = np.arange(each) / each
        u = (self.breaks[:-1, None] + np.diff(self.breaks)[:, None] * steps).ravel()
        return self.at(np.append(u, self.breaks[-1])) if not self.closed else np.vstack([self.at(u), self.bezier[:1, 0]])


@lru_cache(maxsize=256)
def pieces_of(curve: Curve) -> Pieces:
    """The Bézier pieces of a curve; kept for the next time."""
    if curve.degree == 1:
        ends = _ends(curve)
        bezier = ends[:, :1] + (ends[:, 1:] - ends[:, :1]) * (np.arange(4) / 3)[:, None]
        return Pieces(bezier, np.arange(len(ends) + 1.0), curve.closed)
    if curve.degree == 2:
        return _quadratic(curve)
    scale = 1.0
    while ((curve.sharpness > 0) & (curve.sharpness < HARD)).any():
        curve, scale = refined(curve), scale / 2
    points = curve.points
    knots = (np.roll(points, 1, axis=0) + 4 * points + np.roll(points, -1, axis=0)) / 6
    fixed = curve.sharpness >= HARD
    if not curve.closed:
        fixed[[0, -1]] = True
    knots[fixed] = points[fixed]
    a, b = _ends(curve).transpose(1, 0, 2)
    after = np.roll(knots, -1, axis=0)[: len(a)]
    bezier = np.stack([knots[: len(a)], (2 * a + b) / 3, (a + 2 * b) / 3, after], axis=1)
    return Pieces(bezier, np.linspace(0.0, len(a) * scale, len(a) + 1), curve.closed)


def _ends(curve: Curve) -> Floats:
    """(m, 2, 3) control points of each leg."""
    following = np.roll(curve.points, -1, axis=0)
    pairs = np.stack([curve.points, following], axis=1)
    return pairs if curve.closed else pairs[:-1]


def _quadratic(curve: Curve) -> Pieces:
    """Between the middles of the legs, or from a corner or an end, about each control point (Chaikin's curve).

    A piece belongs to its control point, whose parameter lies within it.
    """
    n = curve.count
    hard: Bools = curve.sharpness > 0
    if not curve.closed:
        hard = hard.copy()
        hard[[0, -1]] = True
    pieces: list[Floats] = []
    breaks: list[float] = []
    legs = n if curve.closed else n - 1
    start = int(np.flatnonzero(hard)[0]) if hard.any() else 0
    order = [(start + k) % n for k in range(legs)] if curve.closed else list(range(legs))
    points = curve.points

    def middle(i: int) -> Floats:
        return np.asarray((points[i % n] + points[(i + 1) % n]) / 2)

    for k, i in enumerate(order):
        following = (i + 1) % n
        if hard[i] and hard[following]:
            thirds = points[i] + (points[following] - points[i]) * (np.arange(3) / 2)[:, None]
            pieces.append(thirds)
            breaks.append(k)
        elif not hard[i]:
            # About a smooth point: from the middle before, or the corner before, to the middle behind, or the corner.
            before, behind = (i - 1) % n, following
            first = points[before] if hard[before] else middle(i - 1)
            last = points[behind] if hard[behind] else middle(i)
            pieces.append(np.stack([first, points[i], last]))
            breaks.append(k - (1.0 if hard[before] else 0.5))
    whole = np.array(pieces)
    cubic = np.stack(
        [whole[:, 0], (whole[:, 0] + 2 * whole[:, 1]) / 3, (2 * whole[:, 1] + whole[:, 2]) / 3, whole[:, 2]], axis=1
    )
    first = breaks[0]
    ends = np.append(np.array(breaks), first + legs) + start
    return Pieces(cubic, ends, curve.closed)


def _bernstein(control: Floats, t: Floats) -> Floats:
    """Points (k, 3) of Bézier curves (k, d + 1, 3) at t (k,), by de Casteljau."""
    s = t[:, None, None]
    while control.shape[1] > 1:
        control = control[:, :-1] * (1 - s) + control[:, 1:] * s
    return np.asarray(control[:, 0])
