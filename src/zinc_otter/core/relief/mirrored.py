"""The mirror image of a cage with its relief."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry import Group, mirrored_copy
from zinc_otter.core.relief.counterparts import counterparts, retold
from zinc_otter.core.relief.relief import Detail, Relief
from zinc_otter.core.surface.raised import Raised
from zinc_otter.core.surface.stencils import build_stencils


def mirrored_with_relief(cage: Cage, plane: Plane) -> Cage:
    """The image of a cage in a plane, as :func:`mirrored_copy` makes it, with the image of its relief level by level.

    Faces turn round, so that points of a level get other numbers and frames.
    """
    image = mirrored_copy(cage.plain, plane)
    relief = cage.relief
    if relief is None or relief.is_flat:
        return image if relief is None else image.with_relief(Relief((None,) * relief.depth))
    group = Group((plane,))
    turn = group.elements[0][1]
    ours, theirs = build_stencils(cage, relief.depth), build_stencils(image, relief.depth)
    raised = Raised(ours, cage)
    count = cage.topology.vertex_count
    details: list[Detail | None] = []
    for level in range(1, relief.depth + 1):
        detail = relief.detail(level)
        if detail is None:
            details.append(None)
            continue
        source = counterparts(ours.factors[:level], theirs.factors[:level], count)
        below = raised.below[level]
        there = group.moved(1, below)[source]
        details.append(retold(detail, (ours, level, below), (theirs, level, there), source, turn))
    mask = None if relief.mask is None else relief.mask[counterparts(ours.factors, theirs.factors, count)]
    return image.with_relief(Relief(tuple(details), mask))
