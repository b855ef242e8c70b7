"""Levels of relief added, folded down into the one below, and smoothed as a whole."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.relief import Relief, ReliefError, at_level
from zinc_otter.core.surface.raised import Raised, frames, in_frame
from zinc_otter.core.surface.stencils import Stencils, build_stencils

_ROUNDS = 80


def finer(cage: Cage) -> Cage:
    """The cage with one level of relief more, on which nothing was done yet. Raises ReliefError.

    >>> from zinc_otter.core.primitives import box
    >>> finer(box((10, 10, 10), (2, 2, 2))).relief.depth
    1
    """
    relief = cage.relief or Relief(())
    level = relief.depth + 1
    if relief.mask is None:
        return cage.with_relief(at_level(relief, cage.topology, level))
    return cage.with_relief(deepened(cage, build_stencils(cage, level)))


def deepened(cage: Cage, stencils: Stencils) -> Relief:
    """The relief of a cage with levels as far as its stencils go at least; a mask is refined along. Raises ReliefError."""
    relief = cage.relief
    deeper = at_level(relief, cage.topology, stencils.level)
    if relief is None or relief.mask is None or relief.depth >= stencils.level:
        return deeper
    mask: Floats = relief.mask.astype(np.float64)
    for step in stencils.factors[relief.depth :]:
        mask = step @ mask
    return deeper.with_mask(np.clip(mask, 0, 1).astype(np.float32))


def folded(cage: Cage) -> Cage:
    """The cage without the finest level, whose detail goes into the one below as far as that can hold it.

    The points of the coarser level are moved until their limit lies where it lay with the finer one. A level on which
    nothing was done goes without a trace. Raises ReliefError where there is no level.
    """
    relief = cage.relief
    if relief is None or not relief.depth:
        raise ReliefError("There is no relief here, so no level of it can be taken away.")
    level = relief.depth - 1
    if level == 0:
        return cage.plain
    kept = Relief(relief.details[:level])
    if relief.mask is not None:
        stencils = build_stencils(cage, level)
        kept = kept.with_mask(relief.mask[: stencils.vertex_count].copy())
    finest = relief.detail(relief.depth)
    if finest is None or not finest.any():
        return cage.with_relief(kept)
    stencils = build_stencils(cage, level)
    n = stencils.vertex_count
    goal = Raised(build_stencils(cage, relief.depth), cage).positions[:n]
    raised = Raised(stencils, cage.with_relief(kept))
    points = raised.points[-1].copy()
    limit = stencils.limit.position[:n]
    for _ in range(_ROUNDS):
        points += goal - limit @ points
    below = raised.below.get(level, raised.points[-1])
    detail = in_frame(frames(stencils, level, below), points - below).astype(np.float32)
    return cage.with_relief(kept.with_detail(level, detail))


def smoothed(cage: Cage, share: float) -> Cage:
    """The cage with its relief less by a ``share`` of it; 1 leaves the plain surface."""
    relief = cage.relief
    if relief is None:
        return cage
    free = 1.0 if relief.mask is None else 1 - relief.mask[:, None]
    details = [
        None if detail is None else (detail * (1 - share * (free if level == relief.depth else 1.0))).astype(np.float32)
        for level, detail in enumerate(relief.details, 1)
    ]
    return cage.with_relief(Relief(tuple(details), relief.mask))
