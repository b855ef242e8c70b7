"""Curves on the limit surface, with how they bend: sections by a plane, and the lines of the cage's edges."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.interpolate import CubicSpline

from zinc_otter.core.cage.building.chains import chains_along, chains_of
from zinc_otter.core.cage.cage import HARD, unit
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.surface.limit_surface import LimitSurface

_KINK, _SLIGHT = 25.0, 1.0
"""Degrees of turn from one sample to the next beyond which a curve is taken to have a corner; on a hard crease fewer do."""


@dataclass(frozen=True, eq=False)
class SurfaceCurve:
    """``points`` (k, 3) mm along a curve, and at each the curvature vector ``bending`` (k, 3), 1/mm, towards the centre."""

    points: Floats
    bending: Floats
    closed: bool

    @property
    def least_radius(self) -> float:
        """The smallest radius of curvature in mm; infinite for a straight line."""
        most = float(np.linalg.norm(self.bending, axis=1).max(initial=0.0))
        return 1.0 / most if most > 0 else float("inf")

    @property
    def tightest(self) -> Floats:
        """(3,) where the radius is smallest."""
        return np.asarray(self.points[int(np.argmax(np.linalg.norm(self.bending, axis=1)))])


def section_curves(surface: LimitSurface, plane: Plane, samples: int = 320) -> list[SurfaceCurve]:
    """The curves in which a plane cuts a surface, sampled evenly; parted at corners."""
    level = surface.stencils.finest
    t = level.topology
    heights = plane.heights(surface.points)
    above = heights >= 0
    a, b = t.edge_verts.T
    crossing = np.flatnonzero(above[a] != above[b])
    if not len(crossing):
        return []
    place = np.full(t.edge_count, -1, dtype=np.int64)
    place[crossing] = np.arange(len(crossing))
    points = _on_edges(surface, plane, a[crossing], b[crossing], heights)
    hard = level.edge_sharpness[crossing] >= HARD
    # Around each quad the plane is met going down and going up in turns: from each way down leads one way up.
    quads = t.corner_edge.reshape(-1, 4)
    up = above[t.face_verts.reshape(-1, 4)]
    falls, rises = up & ~np.roll(up, -1, axis=1), ~up & np.roll(up, -1, axis=1)
    starts, ends = quads[falls], quads[rises]
    chains = chains_of(place[starts], place[ends])
    return [
        curve for chain in chains
        for curve in _curves(points[chain.verts], chain.closed, samples, hard[chain.verts])
    ]  # fmt: skip


def edge_curves(surface: LimitSurface, edges: Ints, samples: int = 320) -> list[SurfaceCurve]:
    """The curves on a surface of ``edges`` (k,) of its cage, end to end where they do not branch."""
    curves = []
    for chain in chains_along(surface.stencils.cage_topology, edges):
        along = edges_between(surface.stencils.cage_topology, chain.pairs)
        rows: list[int] = []
        for edge, start in zip(along.tolist(), chain.pairs[:, 0].tolist(), strict=True):
            run = _dense_vertices(surface.stencils.finest.topology.edge_verts, edge, surface.stencils.level)
            rows += (run if run[0] == start else run[::-1])[:-1]
        if not chain.closed:
            rows.append(int(chain.verts[-1]))
        curves += _curves(surface.points[rows], chain.closed, samples)
    return curves


def _on_edges(surface: LimitSurface, plane: Plane, a: Ints, b: Ints, heights: Floats) -> Floats:
    """(k, 3) where edges from a to b pass the plane, on the curved surface: half-way to the tangent planes of the ends."""
    p, n = surface.points, surface.normals[: len(surface.points)]
    share = (heights[a] / (heights[a] - heights[b]))[:, None]
    flat = (1 - share) * p[a] + share * p[b]
    lift = (1 - share) * ((p[a] - flat) * n[a]).sum(axis=1, keepdims=True) * n[a]
    lift += share * ((p[b] - flat) * n[b]).sum(axis=1, keepdims=True) * n[b]
    curved = flat + 0.5 * lift
    # Back into the plane, within the surface.
    normal = np.asarray(plane.normal)
    within = unit((1 - share) * n[a] + share * n[b])
    slope = normal - (within @ normal)[:, None] * within
    steep = np.maximum((slope * slope).sum(axis=1), 1e-3)
    return np.asarray(curved - (plane.heights(curved) / steep)[:, None] * slope)


def _dense_vertices(finest: Ints, edge: int, level: int) -> list[int]:
    """The refined vertices along a cage edge, from its lower vertex to its higher one."""
    if level == 0:
        return [int(v) for v in finest[edge]]
    # An edge becomes one that runs from its first vertex to its middle, and one from its second to its middle.
    return _dense_vertices(finest, 2 * edge, level - 1) + _dense_vertices(finest, 2 * edge + 1, level - 1)[::-1][1:]


def _curves(points: Floats, closed: bool, samples: int, hard: Bools | None = None) -> list[SurfaceCurve]:
    kept = _thinned(points, closed, hard)
    if len(kept) < 3:
        return []
    parts, closed = _at_kinks(points[kept], closed, None if hard is None else hard[kept])
    total = max(sum(_length(part) for part in parts), 1e-12)
    return [_sampled(part, closed, max(8, round(samples * _length(part) / total))) for part in parts if len(part) > 2]


def _thinned(p: Floats, closed: bool, hard: Bools | None) -> Ints:
    """Points less those that lie almost on the one before; of such two the one on a hard crease stays."""
    steps = np.linalg.norm(np.diff(p, axis=0), axis=1)
    least = 0.3 * float(np.median(steps)) if len(steps) else 0.0
    kept, run = [0], 0.0
    for k, step in enumerate(steps, start=1):
        run += float(step)
        if run >= least:
            kept.append(k)
            run = 0.0
        elif hard is not None and hard[k] and len(kept) > 1:
            kept[-1] = k
            run = 0.0
    if not closed and kept[-1] != len(p) - 1:
        kept[-1 if len(kept) > 1 else 0] = len(p) - 1
    if closed and len(kept) > 3 and np.linalg.norm(p[kept[-1]] - p[0]) < least:
        kept.pop()
    return np.array(kept)


def _at_kinks(p: Floats, closed: bool, hard: Bools | None) -> tuple[list[Floats], bool]:
    ahead = np.roll(p, -1, axis=0) - p
    back = p - np.roll(p, 1, axis=0)
    turn = np.degrees(np.arccos(np.clip((unit(ahead) * unit(back)).sum(axis=1), -1, 1)))
    if not closed:
        turn[[0, -1]] = 0
    kinks = np.flatnonzero(turn > _KINK if hard is None else (turn > _KINK) | (hard & (turn > _SLIGHT)))
    if not len(kinks) or len(p) < 12:
        return [p], closed
    if closed:
        p = np.roll(p, -kinks[0], axis=0)
        p = np.vstack([p, p[:1]])
        kinks = kinks - kinks[0]
    cuts = np.unique([0, *kinks, len(p) - 1])
    return [p[i : j + 1] for i, j in zip(cuts[:-1], cuts[1:], strict=True)], False


def _length(p: Floats) -> float:
    return float(np.linalg.norm(np.diff(p, axis=0), axis=1).sum())


def _sampled(p: Floats, closed: bool, samples: int) -> SurfaceCurve:
    """Evenly spaced points, with the curvature vector (r' x r'') x r' / |r'|^4 of the cubic spline through them."""
    first, total = _spline(p, closed)
    # Two thirds of the points that carry it: what is left of their unevenness does not show in the second derivative.
    count = max(8, min(samples, (2 * len(p)) // 3))
    at = np.linspace(0, total, count, endpoint=not closed)
    even = np.asarray(first(at))
    second, length = _spline(even, closed)
    knots = np.linspace(0, length, samples, endpoint=not closed)
    d1, d2 = np.asarray(second(knots, 1)), np.asarray(second(knots, 2))
    speed = np.maximum((d1**2).sum(axis=1, keepdims=True), 1e-24)
    bending = np.cross(np.cross(d1, d2), d1) / speed**2
    return SurfaceCurve(np.asarray(second(knots)), bending, closed)


def _spline(p: Floats, closed: bool) -> tuple[CubicSpline, float]:
    through = np.vstack([p, p[:1]]) if closed else p
    knots = np.concatenate([[0], np.cumsum(np.maximum(np.linalg.norm(np.diff(through, axis=0), axis=1), 1e-12))])
    kind = "periodic" if closed else ("not-a-knot" if len(p) > 3 else "natural")
    return CubicSpline(knots, through, bc_type=kind), float(knots[-1])


def tightest_of(curves: Sequence[SurfaceCurve]) -> SurfaceCurve | None:
    """The curve with the smallest radius, or None."""
    return min(curves, key=lambda curve: curve.least_radius, default=None)
