"""Relief as a document: cut into blocks that are named by what they hold, so that a stroke's step costs what it changed."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any

import numpy as np
from numpy.typing import NDArray

from zinc_otter.core.cage import Topology
from zinc_otter.core.relief.relief import Relief, ReliefError, check_level, point_counts

BLOCK = 512
"""Points of a block."""

Put = Callable[[NDArray[Any]], str]
Get = Callable[[str], NDArray[Any]]


def relief_document(relief: Relief, put: Put) -> dict[str, Any]:
    """Of each level, and of the mask, the blocks in which there is anything, by their number."""
    return {
        "details": [None if detail is None else _blocks(detail, put) for detail in relief.details],
        "mask": None if relief.mask is None else _blocks(relief.mask, put),
    }


def relief_blobs(document: Mapping[str, Any]) -> set[str]:
    """The hashes of all blocks that a relief's document names."""
    parts = [*document["details"], document["mask"]]
    return {digest for part in parts if part for digest in part.values()}


def read_relief(document: Mapping[str, Any], topology: Topology, get: Get) -> Relief:
    """The relief of a document, for a cage of these faces. Raises ReliefError, KeyError for a block that is missing."""
    depth = len(document["details"])
    check_level(topology, depth)
    counts = point_counts(topology, depth)
    details = tuple(
        None if part is None else _whole(part, (counts[level], 3), get) for level, part in enumerate(document["details"], 1)
    )
    mask = document["mask"]
    return Relief(details, None if mask is None else _whole(mask, (counts[-1],), get))


def _blocks(array: NDArray[np.float32], put: Put) -> dict[str, str]:
    used = np.flatnonzero(array.reshape(len(array), -1).any(axis=1)) // BLOCK
    return {str(k): put(array[k * BLOCK : (k + 1) * BLOCK]) for k in np.unique(used)}


def _whole(blocks: Mapping[str, str], shape: tuple[int, ...], get: Get) -> NDArray[np.float32]:
    array = np.zeros(shape, dtype=np.float32)
    for key, digest in blocks.items():
        first = int(key) * BLOCK
        room, block = array[max(first, 0) : max(first + BLOCK, 0)], get(digest)
        if first < 0 or block.shape != room.shape or block.dtype != np.float32:
            raise ReliefError(f"Block {key} of the relief does not fit its level.")
        room[:] = block
    return array
