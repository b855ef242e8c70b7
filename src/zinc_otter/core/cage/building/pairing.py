"""Which vertex of one chain belongs to which of another."""

from __future__ import annotations

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints


def loop_normal(points: Floats) -> Floats:
    """(3,) unit normal of a closed loop of points (n, 3), by Newell's method; zero for one without an area."""
    moved = points - points.mean(axis=0)
    return unit(np.cross(moved, np.roll(moved, -1, axis=0)).sum(axis=0))


def brought_onto(axis: Floats, target: Floats) -> Rotation:
    """The least rotation that takes one unit direction to another."""
    cross = np.cross(axis, target)
    sine, cosine = float(np.linalg.norm(cross)), float(axis @ target)
    if sine < 1e-12:
        if cosine > 0:
            return Rotation.identity()
        aside = np.cross(axis, np.eye(3)[int(np.argmin(np.abs(axis)))])
        return Rotation.from_rotvec(np.pi * unit(aside))
    return Rotation.from_rotvec(cross / sine * np.arctan2(sine, cosine))


def best_shift(a: Floats, b: Floats) -> int:
    """By how many places to roll the closed loop ``b`` (k n, 3) so that every k-th of it lies best by ``a`` (n, 3).

    The loops run the same way round. ``b`` is first turned so that the two face the same way, as a bent tube would turn
    it, and both are centred; the sum of squared distances decides, of equal ones the first.
    """
    n, many = len(a), len(b)
    normal_a, normal_b = loop_normal(a), loop_normal(b)
    p, q = a - a.mean(axis=0), b - b.mean(axis=0)
    if normal_a.any() and normal_b.any():
        q = brought_onto(normal_b, normal_a).apply(q)
    step = many // n
    places = (np.arange(many)[:, None] + step * np.arange(n)) % many
    cost = ((q[places] - p) ** 2).sum(axis=(1, 2))
    return int(np.flatnonzero(cost <= cost.min() + 1e-9 * max(float(cost.max()), 1e-12))[0])


def monotone_pairs(a: Floats, b: Floats) -> Ints:
    """(n,) for each point of the shorter open chain ``a`` (n, 3) its partner in ``b`` (m, 3), in order, ends to ends.

    The sum of distances along and between is least (dynamic programming; D. Sankoff, J. Kruskal, "Time Warps, String
    Edits, and Macromolecules", 1983).
    """
    n, m = len(a), len(b)
    along_a, along_b = _shares(a), _shares(b)
    size = max(float(np.linalg.norm(np.diff(b, axis=0), axis=1).sum()), 1e-12)
    # Where the chains lie apart by much, what counts is how far along each is.
    cost = np.linalg.norm(a[:, None] - b[None], axis=2) / size + np.abs(along_a[:, None] - along_b[None])
    best = np.full((n, m), np.inf)
    came = np.zeros((n, m), dtype=np.int32)
    best[0, 0] = cost[0, 0]
    for i in range(1, n):
        # Partners strictly ascend; the last must still leave room for those to come.
        least, at = np.inf, 0
        for j in range(i, m - (n - 1 - i)):
            if best[i - 1, j - 1] < least:
                least, at = best[i - 1, j - 1], j - 1
            best[i, j] = least + cost[i, j]
            came[i, j] = at
    partner = np.empty(n, dtype=np.int32)
    partner[-1] = m - 1
    for i in range(n - 1, 0, -1):
        partner[i - 1] = came[i, partner[i]]
    return partner


def _shares(points: Floats) -> Floats:
    steps = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(points, axis=0), axis=1))])
    return np.asarray(steps / max(steps[-1], 1e-12))
