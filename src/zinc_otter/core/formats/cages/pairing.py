"""Triangles of a file paired to quads: the best first."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints


def quads_of(points: Floats, t: Ints) -> tuple[Ints, Ints]:
    """Quads (k, 4) and the two triangles (k, 2) of each: the best first, judged by how flat and how square they are."""
    ends = np.concatenate([t[:, [0, 1]], t[:, [1, 2]], t[:, [2, 0]]])
    owner, third = np.tile(np.arange(len(t)), 3), np.concatenate([t[:, 2], t[:, 0], t[:, 1]])
    key = np.sort(ends, axis=1)
    order = np.lexsort((key[:, 1], key[:, 0]))
    same = (key[order][1:] == key[order][:-1]).all(axis=1)
    one, other = order[:-1][same], order[1:][same]
    # a, c on the shared edge; b and d across.
    quads = np.stack([ends[one, 0], third[other], ends[one, 1], third[one]], axis=1)
    p = points[quads]
    sides = np.roll(p, -1, axis=1) - p
    length = np.linalg.norm(sides, axis=2)
    cos = -(sides * np.roll(sides, 1, axis=1)).sum(axis=2) / np.maximum(length * np.roll(length, 1, axis=1), 1e-30)
    normals = np.cross(sides, np.roll(sides, -1, axis=1))
    normals /= np.maximum(np.linalg.norm(normals, axis=2, keepdims=True), 1e-30)
    flat = (normals * np.roll(normals, 1, axis=1)).sum(axis=2).min(axis=1)
    square = np.abs(cos).max(axis=1)
    worth = np.flatnonzero((flat > 0.7) & (square < 0.8))
    taken = np.zeros(len(t), dtype=bool)
    chosen = []
    for k in worth[np.argsort(square[worth] - flat[worth], kind="stable")]:
        pair = owner[one[k]], owner[other[k]]
        if not (taken[pair[0]] or taken[pair[1]]):
            taken[list(pair)] = True
            chosen.append(k)
    at = np.array(chosen, dtype=np.int64)
    return quads[at], np.stack([owner[one[at]], owner[other[at]]], axis=1)
