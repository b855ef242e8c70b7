"""Masks as a whole: turned round, blurred, grown by a row of points, taken away."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.relief import ReliefError, at_level, point_counts
from zinc_otter.core.surface.stencils import build_stencils


def inverted(mask: Floats, _: csr_matrix) -> Floats:
    return 1 - mask


def blurred(mask: Floats, beside: csr_matrix) -> Floats:
    """Each point half its own and half the mean of its neighbours, four times over."""
    means = beside.multiply(1 / np.asarray(beside.sum(axis=1))).tocsr()
    for _ in range(4):
        mask = 0.5 * mask + 0.5 * (means @ mask)
    return mask


def grown(mask: Floats, beside: csr_matrix) -> Floats:
    """Each point as its most protected neighbour."""
    spread = beside.multiply(mask[None, :]).tocsr()
    return np.maximum(mask, np.asarray(spread.max(axis=1).todense()).ravel())


def cleared(mask: Floats, _: csr_matrix) -> Floats:
    return np.zeros_like(mask)


WAYS: dict[str, Callable[[Floats, csr_matrix], Floats]] = {
    "invert": inverted, "blur": blurred, "grow": grown, "clear": cleared,
}  # fmt: skip


def masked(cage: Cage, way: str, level: int) -> Cage:
    """The cage with its mask changed in a way; where it has none yet, that of a relief with levels as far as ``level``.

    Raises ReliefError.
    """
    if way not in WAYS:
        raise ReliefError(f"A mask is not changed by {way!r}; there are {', '.join(WAYS)}.")
    relief = cage.relief if cage.relief is not None and cage.relief.depth else at_level(None, cage.topology, level)
    count = point_counts(cage.topology, relief.depth)[-1]
    mask = np.zeros(count) if relief.mask is None else relief.mask.astype(np.float64)
    t = build_stencils(cage, relief.depth).finest.topology
    a, b = t.edge_verts.T
    both = (np.concatenate([a, b]), np.concatenate([b, a]))
    beside = csr_matrix((np.ones(2 * len(a)), both), shape=(count, count))
    done = np.clip(WAYS[way](mask, beside), 0, 1).astype(np.float32)
    return cage.with_relief(relief.with_mask(done if done.any() else None))
