"""Which boxes meet, of very many: a tree over their places, walked in parts of bounded size to the end."""

from __future__ import annotations

from collections.abc import Iterator

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints

AT_ONCE = 1_000_000
"""Pairs that are held at a time."""


def near_boxes(low: Floats, high: Floats) -> Iterator[Ints]:
    """All pairs of boxes (n, 3) that meet, each once, as (k, 2) parts one after another.

    A complete binary tree over the boxes in Morton order (T. Karras, "Maximizing Parallelism in the Construction of BVHs,
    Octrees, and k-d Trees", HPG 2012, sorts them so), walked by pairs of nodes. Sizes may differ as they like.
    """
    count = len(low)
    if count < 2:
        return
    order = np.argsort(_morton((low + high) / 2), kind="stable")
    lows, highs = _levels(low[order], high[order])
    # (level, pairs of nodes of that level) still to be looked at; the deepest first, so that few wait.
    waiting = [(len(lows) - 1, np.zeros((1, 2), dtype=np.int64))]
    while waiting:
        level, pairs = waiting.pop()
        if len(pairs) > AT_ONCE:
            middle = len(pairs) // 2
            waiting += [(level, pairs[:middle]), (level, pairs[middle:])]
            continue
        if level == 0:
            pairs = np.sort(order[pairs[pairs[:, 0] != pairs[:, 1]]], axis=1)
            if len(pairs):
                yield pairs
            continue
        below = _children(pairs)
        lo, hi = lows[level - 1], highs[level - 1]
        below = below[np.maximum(below[:, 0], below[:, 1]) < lo.shape[1]]
        # Axis by axis, each asked only of what is left: most pairs are told apart by the first.
        for axis in range(3):
            a, b = below[:, 0], below[:, 1]
            below = below[(lo[axis][a] <= hi[axis][b]) & (lo[axis][b] <= hi[axis][a])]
        waiting.append((level - 1, below))


def _children(pairs: Ints) -> Ints:
    """Pairs of children, each once: three of a node with itself, four of two nodes."""
    same = pairs[:, 0] == pairs[:, 1]
    one, two = 2 * pairs[same, 0], 2 * pairs[~same]
    own = [np.column_stack([one + i, one + j]) for i, j in ((0, 0), (0, 1), (1, 1))]
    return np.concatenate([*own, *(two + shift for shift in ([0, 0], [0, 1], [1, 0], [1, 1]))])


def _levels(low: Floats, high: Floats) -> tuple[list[Floats], list[Floats]]:
    """The boxes (3, nodes) of each level of the tree, from the leaves to the root; an odd node out goes up alone."""
    lows, highs = [np.ascontiguousarray(low.T)], [np.ascontiguousarray(high.T)]
    while lows[-1].shape[1] > 1:
        starts = np.arange(0, lows[-1].shape[1], 2)
        lows.append(np.minimum.reduceat(lows[-1], starts, axis=1))
        highs.append(np.maximum.reduceat(highs[-1], starts, axis=1))
    return lows, highs


def _morton(points: Floats) -> Ints:
    """(n,) codes that interleave 21 bits of each coordinate."""
    low = points.min(axis=0)
    extent = max(float(np.ptp(points, axis=0).max()), 1e-300)
    cells = np.minimum((points - low) / extent * (1 << 21), (1 << 21) - 1).astype(np.uint64)
    code = np.zeros(len(points), dtype=np.uint64)
    for axis in range(3):
        x = cells[:, axis]
        for shift, mask in (
            (32, 0x1F00000000FFFF), (16, 0x1F0000FF0000FF), (8, 0x100F00F00F00F00F),
            (4, 0x10C30C30C30C30C3), (2, 0x1249249249249249),
        ):  # fmt: skip
            x = (x | (x << np.uint64(shift))) & np.uint64(mask)
        code |= x << np.uint64(axis)
    return code.astype(np.int64)
