"""The bore of a form: the widest cylinder that goes through it without touching it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.optimize import linprog

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats, Ints

_WAYS = 180
"""Sectors round an axis, of each of which the nearest points can touch the cylinder."""
_ROUNDS = 12


@dataclass(frozen=True)
class Bore:
    """``diameter`` in mm, about the axis through ``point`` along a unit direction."""

    diameter: float
    point: Vec
    along: Vec


def bore(points: Floats, triangles: Ints, ways: Sequence[Vec] = ((0, 0, 1), (1, 0, 0), (0, 1, 0))) -> Bore | None:
    """The widest of the bores along some ``ways`` of closed triangles (m, 3) of points (n, 3) mm; None where none is.

    A bore is enclosed: the form goes once round it. Seen along its axis it is the largest circle about some middle that
    holds no point, found from the middle of the form by linear programs one after the other, each about the circle before.
    """
    found: Bore | None = None
    for way in ways:
        made = _along(points, triangles, way)
        if made is not None and (found is None or made.diameter > found.diameter):
            found = made
    return found


def bore_about(points: Floats, triangles: Ints, point: Vec, along: Vec) -> float:
    """The diameter of the widest cylinder about a given axis that touches no triangle (m, 3); exact at corners and edges."""
    frame = frame_along(along)
    flat = (points - np.asarray(point)) @ frame[:, :2]
    return 2 * _nearest_to_axis(flat, triangles)


def _along(points: Floats, triangles: Ints, way: Vec) -> Bore | None:
    frame = frame_along(way)
    flat = points @ frame[:, :2]
    middle = (flat.min(axis=0) + flat.max(axis=0)) / 2
    if not _encloses(flat, triangles, middle):
        return None
    at = middle
    radius = 0.0
    for _ in range(_ROUNDS):
        away = flat - at
        near = _nearest_all_round(away)
        away = away[near]
        far = np.linalg.norm(away, axis=1, keepdims=True)
        n = away / np.maximum(far, 1e-12)
        # |p - c| >= r is taken for n . (p - c) >= r: so the step is never too long for what is already outside.
        rows = np.column_stack([n, np.ones(len(n))])
        done = linprog([0, 0, -1], A_ub=rows, b_ub=(n * flat[near]).sum(axis=1), bounds=[(None, None)] * 2 + [(0, None)])
        if not done.success:
            break
        step, at = np.linalg.norm(done.x[:2] - at), done.x[:2]
        radius = float(np.linalg.norm(flat - at, axis=1).min())
        if step < 1e-9 * max(radius, 1e-9):
            break
    if radius <= 0 or not _encloses(flat, triangles, at):
        return None
    x, y, z = (float(v) for v in frame[:, :2] @ at)
    a, b, c = (float(v) for v in unit(np.asarray(way, dtype=np.float64)[None])[0])
    # Of points that lie on a smooth surface: chords between them come nearer than it does.
    return Bore(2 * radius, (x, y, z), (a, b, c))


def _nearest_all_round(away: Floats) -> Ints:
    """The nearest of some points (n, 2) to the origin in each sector about it."""
    sector = np.floor((np.arctan2(away[:, 1], away[:, 0]) / (2 * np.pi) + 0.5) * _WAYS).astype(np.int64) % _WAYS
    order = np.lexsort((np.einsum("ij,ij->i", away, away), sector))
    _, first = np.unique(sector[order], return_index=True)
    return np.asarray(order[first])


def _nearest_to_axis(flat: Floats, triangles: Ints) -> float:
    """How near the edges of triangles come to the origin of a plane."""
    ends = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]])
    near = np.linalg.norm(flat, axis=1)
    reach = near.min() + float(np.linalg.norm(flat[ends[:, 0]] - flat[ends[:, 1]], axis=1).max())
    ends = ends[(near[ends] <= reach).any(axis=1)]
    a, b = flat[ends[:, 0]], flat[ends[:, 1]]
    side = b - a
    s = np.clip(-(a * side).sum(axis=1) / np.maximum((side * side).sum(axis=1), 1e-300), 0, 1)
    return float(np.linalg.norm(a + s[:, None] * side, axis=1).min())


def _encloses(flat: Floats, triangles: Ints, at: Floats) -> bool:
    """Whether a line through ``at`` meets no triangle, and the form lies all round it."""
    a, b, c = (flat[triangles[:, k]] - at for k in range(3))

    def left(p: Floats, q: Floats) -> Floats:
        return np.asarray(p[:, 0] * q[:, 1] - p[:, 1] * q[:, 0])

    one, two, three = left(a, b), left(b, c), left(c, a)
    met = ((one >= 0) & (two >= 0) & (three >= 0)) | ((one <= 0) & (two <= 0) & (three <= 0))
    if (met & (np.abs(one + two + three) > 1e-12)).any():
        return False
    angles = np.sort(np.arctan2(*(flat - at).T[::-1]))
    gaps = np.diff(np.append(angles, angles[0] + 2 * np.pi))
    return bool(gaps.max() < np.pi / 2)
