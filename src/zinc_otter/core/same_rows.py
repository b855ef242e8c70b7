"""Equal rows of large arrays, found by one key each, and points in one place: sorting whole rows takes ten times as long."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray
from scipy.sparse import coo_array
from scipy.sparse.csgraph import connected_components
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints

_FACTORS = np.array([0x9E3779B97F4A7C15, 0xC2B2AE3D27D4EB4F, 0x165667B19E3779F9], dtype=np.uint64)
"""Odd numbers with bits spread evenly (H. S. Warren, "Hacker's Delight", 2nd ed. 2012, on multiplicative hashing)."""


def same_rows(rows: Floats | Ints) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
    """Of rows (n, 3): the first of each kind (k,), and for each row its kind (n,). The order of kinds means nothing."""
    bits = np.ascontiguousarray(np.asarray(rows, dtype=np.float64) + 0.0).view(np.uint64)
    key = np.zeros(len(bits), dtype=np.uint64)
    for column, factor in zip(bits.T, _FACTORS, strict=True):
        mixed = (column ^ (column >> np.uint64(29))) * factor
        key = (key ^ mixed ^ (mixed >> np.uint64(32))) * _FACTORS[0]
    _, first, which = np.unique(key, return_index=True, return_inverse=True)
    which = which.reshape(-1)
    if not np.array_equal(bits[first][which], bits):
        # Two rows with one key: so rare that it may take its time.
        _, first, which = np.unique(bits, axis=0, return_index=True, return_inverse=True)
        which = which.reshape(-1)
    return first.astype(np.int64), which.astype(np.int64)


def same_places(points: Floats, within: float) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
    """Of points (n, 3): the first in each place (k,), in their order, and for each point its place (n,). A place is one of
    points each of which has another of them within so far."""
    n = len(points)
    near = cKDTree(points).query_pairs(within, output_type="ndarray") if n else np.empty((0, 2), dtype=np.int64)
    graph = coo_array((np.ones(len(near)), (near[:, 0], near[:, 1])), shape=(n, n))
    place = connected_components(graph, directed=False)[1]
    # They are numbered as they are come upon.
    return np.unique(place, return_index=True)[1].astype(np.int64), place.astype(np.int64)
