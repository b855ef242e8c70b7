"""Equal rows of large arrays, found by one key each: sorting whole rows takes ten times as long."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

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
