"""Give marched surfaces their sharp edges back: where the grid cut an edge or a corner off, its points are moved onto it.

After L. Kobbelt, M. Botsch, U. Schwanecke, H.-P. Seidel, "Feature Sensitive Surface Extraction from Volume Data", 2001: a
point that is to lie on an edge is where the tangent planes about it meet, in the sense of least squares. They insert such
points in cells; here enough of the points that are there are moved for no triangle to be left across an edge.
"""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.crossing import crossing_pairs

SHARP = np.cos(np.radians(35))
"""Tangent planes further apart than this meet in an edge."""


def sharpened(
    points: Floats, triangles: Ints, planes: Callable[[Floats], tuple[Floats, Floats]], reach: float
) -> Floats:
    """The points (n, 3) of a closed surface, those beside a sharp edge moved onto it, by ``reach`` mm at most.

    ``planes`` takes points (k, 3) near the surface and gives points on it and the outward unit normals there, both (k, 3).
    A point whose move would turn a triangle over stays where it was.
    """
    feet, normals = planes(points)
    edges = _edges_of(triangles)
    across = edges[(normals[edges[:, 0]] * normals[edges[:, 1]]).sum(axis=1) < SHARP]
    if len(across) == 0:
        return points
    near = np.unique(across)
    goals = _meetings(near, edges, points, feet, normals)
    moves = np.full(len(points), np.inf)
    moves[near] = np.linalg.norm(goals - points[near], axis=1)
    moves[moves > reach] = np.inf
    target = points.copy()
    target[near] = goals
    taken = _cover(across, moves)
    moved = np.where(taken[:, None], target, points)
    # Where a triangle would be turned over or pierce another, its points go back; that may lay others open, so look again.
    for _ in range(6):
        wrong = _amiss(triangles, moved, normals, taken)
        if len(wrong) == 0:
            break
        taken[wrong] = False
        moved[wrong] = points[wrong]
    return moved


def _amiss(triangles: Ints, points: Floats, normals: Floats, moved: np.ndarray) -> Ints:
    """Those of the moved points whose triangles look inwards, or pierce others."""
    touched = triangles[moved[triangles].any(axis=1)]
    a, b, c = points[touched].transpose(1, 0, 2)
    facing = (np.cross(b - a, c - a)[:, None] * normals[touched]).sum(axis=2)
    # What is said of a point that stayed counts; one on the edge has two sides.
    over = touched[((facing < -1e-12) & ~moved[touched]).any(axis=1)]
    # They can pierce their neighbours only: what is moved goes a cell or two.
    ring = np.zeros(len(points), dtype=bool)
    ring[touched] = True
    near = triangles[ring[triangles].any(axis=1)]
    pierced = near[np.unique(crossing_pairs(points, _as_one(near, points)))]
    wrong = np.unique(np.concatenate([over, pierced]))
    return wrong[moved[wrong]]


def _as_one(triangles: Ints, points: Floats) -> Ints:
    """The same triangles, points in one place with one number, and those that are needles or less with one corner only."""
    a, b, c = points[triangles].transpose(1, 0, 2)
    sides = np.stack([b - a, c - b, a - c])
    longest = (sides**2).sum(axis=2).max(axis=0)
    needle = np.linalg.norm(np.cross(b - a, c - a), axis=1) <= 1e-3 * longest
    used, within = np.unique(triangles, return_inverse=True)
    _, first, same = np.unique(np.round(points[used], 7), axis=0, return_index=True, return_inverse=True)
    named = used[first[same.reshape(-1)]][within.reshape(triangles.shape)]
    return np.where(needle[:, None], named[:, :1], named)


def _edges_of(triangles: Ints) -> Ints:
    ends = triangles[:, [0, 1, 1, 2, 2, 0]].reshape(-1, 2)
    # The surface is closed: each edge is there both ways.
    return ends[ends[:, 0] < ends[:, 1]]


def _meetings(which: Ints, edges: Ints, points: Floats, feet: Floats, normals: Floats) -> Floats:
    """Where the tangent planes at each of these points and at its neighbours meet, (k, 3), as near to it as they do."""
    row = np.full(len(points), -1)
    row[which] = np.arange(len(which))
    pairs = np.concatenate([edges, edges[:, ::-1], np.column_stack([which, which])])
    pairs = pairs[row[pairs[:, 0]] >= 0]
    at, by = row[pairs[:, 0]], pairs[:, 1]
    n = normals[by]
    off = ((feet[by] - points[pairs[:, 0]]) * n).sum(axis=1)
    squares = np.zeros((len(which), 3, 3))
    right = np.zeros((len(which), 3))
    np.add.at(squares, at, n[:, :, None] * n[:, None, :])
    np.add.at(right, at, n * off[:, None])
    values, vectors = np.linalg.eigh(squares)
    kept = values > 0.05 * values[:, -1:]
    inverse = np.where(kept, 1 / np.where(kept, values, 1), 0.0)
    step = np.einsum("kij,kj,klj,kl->ki", vectors, inverse, vectors, right)
    return points[which] + step


def _cover(across: Ints, moves: Floats) -> np.ndarray:
    """Which points are moved: of each edge that crosses a sharp one at least one end, those with the shortest way first."""
    taken = np.zeros(len(moves), dtype=bool)
    open_ = across[np.isfinite(moves[across]).any(axis=1)]
    rank = np.empty(len(moves), dtype=np.int64)
    rank[np.argsort(moves, kind="stable")] = np.arange(len(moves))
    while len(open_):
        # Ends that come before all others which they share an open edge with.
        first = np.full(len(moves), len(moves))
        low = rank[open_].min(axis=1)
        np.minimum.at(first, open_[:, 0], low)
        np.minimum.at(first, open_[:, 1], low)
        ends = np.unique(open_)
        taken[ends[first[ends] == rank[ends]]] = True
        open_ = open_[~taken[open_].any(axis=1)]
    return taken
