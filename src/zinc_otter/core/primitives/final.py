"""Sizes of the *smooth surface*: find the cage whose limit surface measures what was asked for.

A limit surface depends linearly on its control points, and the control points of these forms linearly on their sizes. So
the surface for any sizes is a sum of a few fixed surfaces, and the sizes follow by Newton's method on a few numbers.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import Sizes
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.peak import PeakFinder


@dataclass(frozen=True)
class Measure:
    """A size of a surface: the sum of the greatest values of some functions, or of one at a vertex of the cage.

    Each function is of degree 1: twice as large a form gives twice the value.
    """

    peaks: tuple[Callable[[Floats], Floats], ...]
    at_vertex: int | None = None


def extent(axis: int) -> Measure:
    """The surface's extent along an axis."""
    return Measure((lambda points: points[:, axis], lambda points: -points[:, axis]))


def ring(vertex: int) -> Measure:
    """Twice the distance from the z axis of the surface at one of the cage's own vertices."""
    return Measure((lambda points: 2 * np.hypot(points[:, 0], points[:, 1]),), vertex)


WIDEST = Measure((lambda points: 2 * np.hypot(points[:, 0], points[:, 1]),))
"""Twice the largest distance from the z axis."""

NARROWEST = Measure((lambda points: -2 * np.hypot(points[:, 0], points[:, 1]),))
"""Twice the smallest distance from the z axis, with a minus."""


class SizedForm:
    """A form whose control points are linear in its sizes, as found by ``build`` at three and more sizes."""

    def __init__(self, build: Callable[[Floats], Cage], start: Sizes, creased: Callable[[Cage], Cage]) -> None:
        self.start = np.asarray(start, dtype=np.float64)
        self.cage = creased(build(self.start))
        self.basis = np.stack([_slope(build, self.start, self.cage.positions, k) for k in range(len(self.start))])
        self.rest = self.cage.positions - np.tensordot(self.start, self.basis, 1)

    def at(self, sizes: Floats) -> Cage:
        return self.cage.with_positions(self.rest + np.tensordot(sizes, self.basis, 1))


def _slope(build: Callable[[Floats], Cage], start: Floats, positions: Floats, k: int) -> Floats:
    """(n, 3) how the points go with one size: it is made a little larger. They are linear, so any step gives the same."""
    # A step must not take the size past another, as in a thin tube; the longest that is taken is the most exact.
    for share in (2.0**-5, 2.0**-10, 2.0**-15):
        larger = start.copy()
        larger[k] *= 1 + share
        try:
            return (build(larger).positions - positions) / (larger[k] - start[k])
        except BadNumberError:
            continue
    larger[k] = start[k] * (1 + 2.0**-20)
    return (build(larger).positions - positions) / (larger[k] - start[k])


def solved(form: SizedForm, measures: Sequence[Measure], asked: Sequence[float]) -> Cage:
    """The cage whose limit surface has the ``asked`` measures, to 1e-8 relative.

    Newton's method on the sizes, the places of the peaks held; then the peaks are looked for again, until they stay.
    Raises BadNumberError where no sizes of this form lead there.
    """
    sets = np.concatenate([form.rest[None], form.basis])
    finder = PeakFinder(form.cage, sets.transpose(1, 0, 2).reshape(len(form.rest), -1))
    signs = np.array([-1.0 if measure is NARROWEST else 1.0 for measure in measures])
    goal = np.asarray(asked, dtype=np.float64) * signs
    sizes = form.start.copy()
    for _ in range(12):
        weights = np.concatenate([[1.0], sizes])
        peaks = [[_point(finder, m, value, weights) for value in m.peaks] for m in measures]

        def measured(sizes: Floats, peaks: list[list[Floats]] = peaks) -> Floats:
            weights = np.concatenate([[1.0], sizes])
            return np.array([
                sum(float(value((weights @ point)[None])[0]) for value, point in zip(m.peaks, points, strict=True))
                for m, points in zip(measures, peaks, strict=True)
            ])

        if np.abs(measured(sizes) / goal - 1).max() < 1e-8:
            return form.at(sizes)
        sizes = _newton(measured, sizes, goal)
    raise _unreachable()


def _point(finder: PeakFinder, m: Measure, value: Callable[[Floats], Floats], weights: Floats) -> Floats:
    return finder.peak(value, weights) if m.at_vertex is None else finder.at_vertex(m.at_vertex)


def _newton(measured: Callable[[Floats], Floats], sizes: Floats, goal: Floats) -> Floats:
    for _ in range(30):
        now = measured(sizes)
        if np.abs(now / goal - 1).max() < 1e-12:
            break
        steps = np.eye(len(sizes)) * sizes * 1e-5
        slopes = np.column_stack([(measured(sizes + s) - now) / s.sum() for s in steps])
        try:
            change = np.linalg.solve(slopes, goal - now)
        except np.linalg.LinAlgError:
            raise _unreachable() from None
        # Never more than a half at once, and never through zero.
        sizes = np.clip(sizes + change, sizes * 0.5, sizes * 2.0)
    return sizes


def _unreachable() -> BadNumberError:
    return BadNumberError(
        "No cage of these face counts has a surface of that size; use more faces, or sizes less far apart."
    )


def on_limit(cage: Cage) -> Cage:
    """The same structure with control points such that the *limit* of each vertex lies where its control point was.

    Solves the limit masks of M. Halstead, M. Kass, T. DeRose, "Efficient, Fair Interpolation Using Catmull-Clark
    Surfaces", SIGGRAPH 1993, as a sparse linear system.
    """
    from scipy.sparse.linalg import spsolve

    stencils = build_stencils(cage, 1)
    count = cage.topology.vertex_count
    matrix = (stencils.limit.position[:count] @ stencils.factors[0]).tocsc()
    return cage.with_positions(np.column_stack([spsolve(matrix, cage.positions[:, k]) for k in range(3)]))


def roundness(cage: Cage, level: int = 4) -> float:
    """The largest departure of the limit surface from the sphere about the origin through its mean radius, relative."""
    radius = np.linalg.norm(evaluate(build_stencils(cage, level), cage).points, axis=1)
    return float(np.abs(radius / radius.mean() - 1).max())
