"""Which points of two refined surfaces are the same: of the same faces, numbered or turned otherwise."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import Detail
from zinc_otter.core.surface.raised import frames, in_frame, in_space
from zinc_otter.core.surface.stencils import Stencils


def counterparts(ours: Sequence[csr_matrix], theirs: Sequence[csr_matrix], count: int) -> Ints:
    """(n,) which of our refined points each of theirs is, given the steps of refinement from the same ``count`` points."""
    # Places that no two points share, whatever the form: control points thrown about.
    thrown: Floats = np.random.default_rng(7).normal(size=(count, 3))
    mine, other = thrown, thrown
    for step, its in zip(ours, theirs, strict=True):
        mine, other = step @ mine, its @ other
    found = np.empty(len(mine), dtype=np.int64)
    found[np.argsort(other[:, 0], kind="stable")] = np.argsort(mine[:, 0], kind="stable")
    return found


def retold(
    detail: Detail, ours: tuple[Stencils, int, Floats], theirs: tuple[Stencils, int, Floats], source: Ints, turn: Floats
) -> Detail:
    """A level's detail told in the frames of another surface, whose points are the ``source`` of ours under a ``turn`` (3,
    3).

    Each surface by its stencils, the level, and its points below the detail.
    """
    moved = in_space(frames(*ours), detail.astype(np.float64)) @ turn.T
    return in_frame(frames(*theirs), moved[source]).astype(np.float32)
