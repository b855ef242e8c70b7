"""A curve by its control points: what the border of a cage with the same points would be."""

from __future__ import annotations

import hashlib
from functools import cached_property
from typing import Literal

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import HARD, LARGEST_LENGTH, Cage
from zinc_otter.core.cage.line_topology import LineTopology, line_topology
from zinc_otter.core.cage.topology import Floats, read_only
from zinc_otter.core.errors import BadNumberError, CoreError

Degree = Literal[1, 2, 3]

MOST_POINTS = 5_000


class CurveError(CoreError):
    """Control points that are no curve, or none of use for what is asked; ``place`` holds where."""

    kind = "curve"
    title = "This is no curve to work with"


class Curve:
    """Immutable control ``points`` (n, 3) in mm, of degree 1, 2 or 3, open or ``closed``; ``sharpness`` (n,) makes corners.

    Of degree 3 it is a uniform cubic B-spline. An open one runs through its first and last point, where its second
    difference is nought (a phantom point 2 P0 - P1): so does the border of a Catmull-Clark cage (H. Biermann, A. Levin,
    D. Zorin, "Piecewise smooth subdivision surfaces with normal control", 2000). A sharpness of 10 is a hard corner, less
    fades as on a cage; of degree 2 every sharpness is a hard corner, and degree 1 has corners only.

    The parameter counts control points: from 0 to n - 1, or to n where it is closed.

    >>> Curve([(0, 0, 0), (10, 0, 0), (10, 10, 0)]).end
    2
    """

    points: Floats
    degree: Degree
    closed: bool
    sharpness: Floats

    def __init__(
        self, points: ArrayLike, degree: Degree = 3, closed: bool = False, sharpness: ArrayLike | None = None
    ) -> None:
        array = np.array(points, dtype=np.float64)
        if array.ndim != 2 or array.shape[1] != 3:
            raise CurveError(f"Control points are three numbers each; an array of shape {array.shape} was given.")
        least = 3 if closed else 2
        if not least <= len(array) <= MOST_POINTS:
            kind = "closed" if closed else "open"
            raise CurveError(f"A curve that is {kind} has {least} to {MOST_POINTS:,} control points; this has {len(array)}.")
        if degree not in (1, 2, 3):
            raise BadNumberError(f"The degree of a curve is 1, 2 or 3; {degree} was asked for.")
        wild = ~np.isfinite(array).all(axis=1) | (np.abs(array) > LARGEST_LENGTH).any(axis=1)
        if wild.any():
            at = int(np.flatnonzero(wild)[0])
            raise BadNumberError(f"Control point {at} would lie nowhere, or more than a kilometre away.")
        sharp = np.zeros(len(array)) if sharpness is None else np.array(sharpness, dtype=np.float64)
        if sharp.shape != (len(array),) or not ((sharp >= 0) & (sharp <= HARD)).all():
            raise BadNumberError(f"A corner has a sharpness from 0 to {HARD:g}, one for each control point.")
        self.points, self.degree, self.closed, self.sharpness = array, degree, closed, sharp
        read_only(self.points)
        read_only(self.sharpness)
        if self._same_place.any():
            at = int(np.flatnonzero(self._same_place)[0])
            raise CurveError(
                f"Control points {at} and {(at + 1) % len(array)} lie in one place.", points=[self.points[at].tolist()]
            )

    @property
    def _same_place(self) -> np.ndarray:
        steps = self.points[1:] - self.points[:-1]
        if self.closed:
            steps = np.concatenate([steps, self.points[:1] - self.points[-1:]])
        return np.asarray(np.linalg.norm(steps, axis=1) <= 1e-9 * max(float(np.ptp(self.points, axis=0).max()), 1e-9))

    @property
    def count(self) -> int:
        return len(self.points)

    @property
    def end(self) -> int:
        """The last parameter."""
        return self.count if self.closed else self.count - 1

    @cached_property
    def polygon(self) -> Cage:
        """The control points as a cage without faces: what all that pulls vertices works on."""
        return Cage(self.points, line_topology(self.count, self.closed), None, self.sharpness)

    def with_polygon(self, polygon: Cage) -> Curve:
        """A curve of this degree by other control points, maybe more or fewer. Raises CurveError where it has faces."""
        t = polygon.topology
        if not isinstance(t, LineTopology):
            raise CurveError("A curve has no faces.")
        return Curve(polygon.positions, self.degree, t.closed, polygon.vertex_sharpness)

    @cached_property
    def digest(self) -> str:
        """A hash of everything that decides the curve."""
        return hashlib.sha256(f"{self.degree} {self.polygon.digest}".encode()).hexdigest()

    def __reduce__(self) -> tuple[object, ...]:
        return Curve, (self.points, self.degree, self.closed, self.sharpness)

    def with_points(self, points: ArrayLike) -> Curve:
        """The same curve through other control points, as many."""
        return Curve(points, self.degree, self.closed, self.sharpness)

    def reversed(self) -> Curve:
        """The other way round; a closed one begins at the same point."""
        order = np.arange(self.count)[::-1]
        if self.closed:
            order = np.roll(order, 1)
        return Curve(self.points[order], self.degree, self.closed, self.sharpness[order])

    def begun_at(self, index: int) -> Curve:
        """A closed curve, begun at another control point. Raises CurveError for an open one."""
        if not self.closed:
            raise CurveError("Only a closed curve can begin elsewhere.")
        return Curve(np.roll(self.points, -index, axis=0), self.degree, True, np.roll(self.sharpness, -index))

    def __eq__(self, other: object) -> bool:
        return (
            isinstance(other, Curve)
            and (self.degree, self.closed) == (other.degree, other.closed)
            and np.array_equal(self.points, other.points)
            and np.array_equal(self.sharpness, other.sharpness)
        )

    def __hash__(self) -> int:
        return hash((self.points.tobytes(), self.degree, self.closed, self.sharpness.tobytes()))


def refined(curve: Curve) -> Curve:
    """The same cubic curve by twice as many control points, corners one level less sharp; hard ones stay hard.

    The masks are (1, 6, 1) / 8 and (1, 1) / 2, and a fixed point at corners; between them where a corner fades away
    (T. DeRose, M. Kass, T. Truong, "Subdivision surfaces in character animation", 1998).
    """
    assert curve.degree == 3
    points, sharp = curve.points, curve.sharpness
    before, after = np.roll(points, 1, axis=0), np.roll(points, -1, axis=0)
    smooth = (before + 6 * points + after) / 8
    fixed = np.clip(sharp, 0, 1)
    if not curve.closed:
        fixed[[0, -1]] = 1
    kept = fixed[:, None] * points + (1 - fixed[:, None]) * smooth
    between = (points + after) / 2
    made = np.empty((2 * curve.count, 3))
    made[::2], made[1::2] = kept, between
    sharper = np.zeros(2 * curve.count)
    sharper[::2] = np.where(sharp >= HARD, HARD, np.maximum(sharp - 1, 0))
    if not curve.closed:
        made, sharper = made[:-1], sharper[:-1]
    return unchecked(made, 3, curve.closed, sharper)


def unchecked(points: Floats, degree: Degree, closed: bool, sharpness: Floats | None = None) -> Curve:
    """A curve without the checks: what comes of sound ones is sound, however near its points lie."""
    made = Curve.__new__(Curve)
    made.points, made.degree, made.closed = points, degree, closed
    made.sharpness = np.zeros(len(points)) if sharpness is None else sharpness
    return made


