"""Where a surface runs through itself: pairs of triangles that cross, found on a grid of cells."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.surface import build_stencils, evaluate

_MOST_PAIRS = 4_000_000


def crossing_faces(cage: Cage, level: int = 1) -> Ints:
    """Faces of a cage whose smooth surface, as triangles of limit points at ``level``, runs through another face's."""
    stencils = build_stencils(cage, level)
    points = evaluate(stencils, cage).points
    quads = stencils.quads
    # The boxes of quads are half as many as those of triangles; each pair of quads is four of triangles.
    near = _near(points, quads)
    halves = np.stack([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]], axis=1)
    hit = np.zeros(len(near), dtype=bool)
    for a in (0, 1):
        for b in (0, 1):
            hit |= _cross(points[halves[near[:, 0], a]], points[halves[near[:, 1], b]])
    return np.unique(stencils.face_of_quad[near[hit].ravel()]).astype(np.int32)


def crossing_pairs(points: Floats, triangles: Ints) -> Ints:
    """(k, 2) pairs of triangles (m, 3) that cross and share no vertex. Those that lie in one plane do not count.

    An edge of one must pass through the inside of the other (T. Möller, B. Trumbore, "Fast, Minimum Storage Ray/Triangle
    Intersection", 1997).
    """
    pairs = _near(points, triangles)
    return pairs[_cross(points[triangles[pairs[:, 0]]], points[triangles[pairs[:, 1]]])]


def _cross(first: Floats, second: Floats) -> Bools:
    """(k,) whether an edge of one triangle (k, 3, 3) passes through the other."""
    hit = np.zeros(len(first), dtype=bool)
    for edges, faces in ((first, second), (second, first)):
        for k in range(3):
            hit |= _passes(edges[:, k], edges[:, (k + 1) % 3], faces)
    return hit


def _passes(start: Floats, end: Floats, faces: Floats) -> Bools:
    """(k,) whether the segment from start to end (k, 3) passes through the triangle (k, 3, 3)."""
    way = end - start
    u, v = faces[:, 1] - faces[:, 0], faces[:, 2] - faces[:, 0]
    p = np.cross(way, v)
    det = (u * p).sum(axis=1)
    scale = np.linalg.norm(way, axis=1) * np.linalg.norm(u, axis=1) * np.linalg.norm(v, axis=1)
    flat = np.abs(det) <= 1e-12 * np.maximum(scale, 1e-300)
    safe = np.where(flat, 1.0, det)
    s = start - faces[:, 0]
    along_u = (s * p).sum(axis=1) / safe
    q = np.cross(s, u)
    along_v = (way * q).sum(axis=1) / safe
    t = (v * q).sum(axis=1) / safe
    return ~flat & (along_u > 0) & (along_v > 0) & (along_u + along_v < 1) & (t > 0) & (t < 1)


def _near(points: Floats, polygons: Ints) -> Ints:
    """(k, 2) pairs of polygons (m, sides) whose boxes meet and that share no vertex."""
    corners = points[polygons]
    low, high = corners.min(axis=1), corners.max(axis=1)
    size = max(float(np.median((high - low).max(axis=1))), 1e-9)
    first = np.floor(low / size).astype(np.int64)
    span = np.floor(high / size).astype(np.int64) - first + 1
    count = span.prod(axis=1)
    owner = np.repeat(np.arange(len(corners)), count)
    within = np.arange(count.sum()) - np.repeat(np.cumsum(count) - count, count)
    i = within % span[owner, 0]
    j = within // span[owner, 0] % span[owner, 1]
    k = within // (span[owner, 0] * span[owner, 1])
    cell = first[owner] + np.column_stack([i, j, k])
    cell -= cell.min(axis=0)
    width = cell.max(axis=0) + 1
    key = (cell[:, 0] * width[1] + cell[:, 1]) * width[2] + cell[:, 2]
    order = np.argsort(key, kind="stable")
    key, owner = key[order], owner[order]
    # Each entry meets those after it in its cell.
    starts = np.flatnonzero(np.concatenate([[True], key[1:] != key[:-1]]))
    ends = np.append(starts[1:], len(key))
    end_of = np.repeat(ends, np.diff(np.append(starts, len(key))))
    later = end_of - np.arange(len(key)) - 1
    if later.sum() > _MOST_PAIRS:
        later = np.minimum(later, max(1, _MOST_PAIRS // len(key)))
    a = np.repeat(np.arange(len(key)), later)
    b = a + 1 + np.arange(later.sum()) - np.repeat(np.cumsum(later) - later, later)
    pairs = np.column_stack([owner[a], owner[b]])
    meet = np.ones(len(pairs), dtype=bool)
    for axis in range(3):
        bottom, top = low[:, axis], high[:, axis]
        meet &= (bottom[pairs[:, 0]] <= top[pairs[:, 1]]) & (bottom[pairs[:, 1]] <= top[pairs[:, 0]])
    pairs = pairs[meet]
    for k in range(polygons.shape[1]):
        # Most of what meets are neighbours: they go before anything is sorted.
        shares = (polygons[pairs[:, 0], k, None] == polygons[pairs[:, 1]]).any(axis=1)
        pairs = pairs[~shares]
    pairs = np.sort(pairs, axis=1)
    keys = np.unique(pairs[:, 0].astype(np.int64) * len(corners) + pairs[:, 1])
    return np.column_stack([keys // len(corners), keys % len(corners)])
