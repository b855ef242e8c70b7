"""The mirror image of a cage with its relief."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry import Group, mirrored_copy
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import Detail, Relief
from zinc_otter.core.surface.raised import Raised, frames, in_frame, in_space
from zinc_otter.core.surface.stencils import Stencils, build_stencils


def mirrored_with_relief(cage: Cage, plane: Plane) -> Cage:
    """The image of a cage in a plane, as :func:`mirrored_copy` makes it, with the image of its relief level by level.

    Faces turn round, so that points of a level get other numbers and frames: they are found by where they lie.
    """
    image = mirrored_copy(cage.plain, plane)
    relief = cage.relief
    if relief is None or relief.is_flat:
        return image if relief is None else image.with_relief(Relief((None,) * relief.depth))
    group = Group((plane,))
    turn = group.elements[0][1]
    ours, theirs = build_stencils(cage, relief.depth), build_stencils(image, relief.depth)
    raised = Raised(ours, cage)
    details: list[Detail | None] = []
    for level in range(1, relief.depth + 1):
        detail = relief.detail(level)
        if detail is None:
            details.append(None)
            continue
        source = _counterparts(ours, theirs, cage, level)
        below = raised.below[level]
        moved = in_space(frames(ours, level, below), detail.astype(np.float64)) @ turn.T
        there = frames(theirs, level, group.moved(1, below)[source])
        details.append(in_frame(there, moved[source]).astype(np.float32))
    mask = None if relief.mask is None else relief.mask[_counterparts(ours, theirs, cage, relief.depth)]
    return image.with_relief(Relief(tuple(details), mask))


def _counterparts(ours: Stencils, theirs: Stencils, cage: Cage, level: int) -> Ints:
    """(n,) which of our points each of theirs is the image of: faces turned round give the same points in another order."""
    # Places that no two points share, whatever the form: control points thrown about.
    thrown: Floats = np.random.default_rng(7).normal(size=(cage.topology.vertex_count, 3))
    mine, other = thrown, thrown
    for k in range(level):
        mine, other = ours.factors[k] @ mine, theirs.factors[k] @ other
    order = np.argsort(mine[:, 0], kind="stable")
    found = np.empty(len(mine), dtype=np.int64)
    found[np.argsort(other[:, 0], kind="stable")] = order
    return found
