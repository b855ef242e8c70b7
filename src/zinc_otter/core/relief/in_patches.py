"""Relief as patches: its first levels made the cage, what is finer folded down into them as far as they hold it."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.relief.levels import folded
from zinc_otter.core.relief.next_cage import next_cage
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.core.surface.stencils import build_stencils

MOST_LEVELS = 3


def with_levels(cage: Cage, levels: int) -> Cage:
    """A cage without relief whose smooth surface is that of this one with its first ``levels``: four times the faces each.

    Raises TooManyFacesError.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.relief.levels import finer
    >>> with_levels(finer(finer(box((10, 10, 10), (2, 2, 2)))), 1).topology.face_count
    96
    """
    if cage.relief is None or levels < 1:
        return cage.plain
    levels = min(levels, cage.relief.depth)
    while cage.relief is not None and cage.relief.depth > levels:
        cage = folded(cage)
    for _ in range(levels):
        cage, _ = next_cage(cage)
    return cage.plain


def strays_from_relief(cage: Cage, made: Cage) -> float:
    """The largest distance (mm) of the surface of a cage, with all of its relief, from the smooth surface of another one."""
    depth = 3 if cage.relief is None else max(cage.relief.depth, 3)
    points = evaluate(build_stencils(cage, depth), cage).points
    feet, _ = nearest_on(made).at(points)
    return float(np.linalg.norm(feet - points, axis=1).max())
