"""Hashes of a level's detail by blocks, so that what a stroke left alone is not hashed again."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

ROWS = 1024
"""Points of a block."""


@dataclass(frozen=True, eq=False)
class Blocks:
    """The detail (n, 3) that was hashed, and the hash of each of its blocks of ``ROWS`` rows."""

    detail: NDArray[np.float32]
    hashes: list[bytes]


def blocks_of(detail: NDArray[np.float32], known: Blocks | None = None) -> Blocks:
    """The hashes of a detail's blocks; of those that are the same to the last bit they are taken from what is ``known``."""
    detail = np.ascontiguousarray(detail)
    if known is not None and known.detail is detail:
        return known
    count = -(-len(detail) // ROWS)
    if known is None or known.detail.shape != detail.shape:
        changed = np.arange(count)
        hashes = [b""] * count
    else:
        differs = (detail.view(np.int32) != known.detail.view(np.int32)).reshape(-1)
        whole = len(differs) // (3 * ROWS) * 3 * ROWS
        marks = differs[:whole].reshape(-1, 3 * ROWS).any(axis=1)
        changed = np.flatnonzero(np.append(marks, differs[whole:].any()) if whole < len(differs) else marks)
        hashes = known.hashes.copy()
    for k in changed.tolist():
        hashes[k] = hashlib.sha256(detail[k * ROWS : (k + 1) * ROWS].data).digest()
    return Blocks(detail, hashes)
