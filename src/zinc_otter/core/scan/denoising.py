"""The noise of a scan taken off, its sharp lines kept.

Normals of triangles are averaged with those of their neighbours, the less the more these differ (Y. Zheng, H. Fu, O. Au, C.
Tai, "Bilateral normal filtering for mesh denoising", TVCG 2011); then vertices are moved until the triangles lie square to
them (X. Sun, P. Rosin, R. Martin, F. Langbein, "Fast and effective feature-preserving mesh denoising", TVCG 2007).
"""

from __future__ import annotations

import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints

_ROUNDS, _MOVES = 12, 15
_TELLING, _LEAST = 0.85, 0.15
"""Normals of neighbours that differ by so many times what is usual, and at least by this (of unit vectors), count little."""


def denoised(vertices: Floats, triangles: Ints) -> Floats:
    """(n, 3) the vertices of triangles (m, 3) moved so that these are even but for lines at which they turn."""
    f = np.asarray(triangles, dtype=np.int64)
    m = len(f)
    own = np.arange(m)
    at = csr_matrix((np.ones(3 * m), (f.ravel(), np.repeat(own, 3))), (len(vertices), m))
    beside = (at.T @ at).tocoo()
    apart = beside.row != beside.col
    i, j = beside.row[apart], beside.col[apart]
    normals, areas = _normals(vertices, f)
    middles = vertices[f].mean(axis=1)
    one, other, _ = neighbours(f)
    usual = float(np.median(np.linalg.norm(normals[one] - normals[other], axis=1))) if len(one) else 0.0
    differ = max(_LEAST, _TELLING * usual)
    far = ((middles[i] - middles[j]) ** 2).sum(axis=1)
    near = areas[j] * np.exp(-far / max(2 * far.mean(), 1e-300)) if len(far) else far
    for _ in range(_ROUNDS):
        weight = near * np.exp(-((normals[i] - normals[j]) ** 2).sum(axis=1) / (2 * differ**2))
        average = csr_matrix((np.r_[weight, areas], (np.r_[i, own], np.r_[j, own])), (m, m))
        normals = unit(average @ normals)
    return _squared(vertices, f, normals, at)


def _squared(vertices: Floats, f: Ints, normals: Floats, at: csr_matrix) -> Floats:
    """Vertices moved a little and often towards the planes about them, through the triangles' middles."""
    many = np.maximum(np.asarray(at.sum(axis=1)).reshape(-1, 1), 1)
    turned = (at @ (normals[:, :, None] * normals[:, None, :]).reshape(-1, 9)).reshape(-1, 3, 3)
    found = vertices
    for _ in range(_MOVES):
        heights = (normals * found[f].mean(axis=1)).sum(axis=1, keepdims=True)
        found = found + (at @ (normals * heights) - np.einsum("ijk,ik->ij", turned, found)) / many
    return found


def neighbours(f: Ints) -> tuple[Ints, Ints, Ints]:
    """Triangles (e,) on both sides of each edge that two of (m, 3) share, and its vertices (e, 2), the lesser first."""
    ends = np.sort(np.stack([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]], axis=1), axis=2).reshape(-1, 2)
    keys = ends[:, 0].astype(np.int64) * (int(f.max(initial=0)) + 1) + ends[:, 1]
    order = np.argsort(keys, kind="stable")
    again = np.flatnonzero(np.diff(keys[order]) == 0)
    # Of an edge with three triangles and more none is told.
    crowded = np.isin(keys[order[again]], keys[order[again]][1:][np.diff(keys[order[again]]) == 0])
    first, second = order[again[~crowded]], order[again[~crowded] + 1]
    return first // 3, second // 3, ends[first]


def turns(vertices: Floats, f: Ints) -> tuple[Ints, Floats]:
    """The edges (e, 2) that two triangles share, and by how many degrees these turn there (e,)."""
    one, other, ends = neighbours(f)
    normals, _ = _normals(vertices, f)
    return ends, np.degrees(np.arccos(np.clip((normals[one] * normals[other]).sum(axis=1), -1, 1)))


def _normals(vertices: Floats, f: Ints) -> tuple[Floats, Floats]:
    a, b, c = (vertices[f[:, k]] for k in range(3))
    square = np.cross(b - a, c - a)
    return unit(square), np.linalg.norm(square, axis=1) / 2
