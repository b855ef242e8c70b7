"""Draw what is picked to a surface."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.building.aligning import moved_towards, picked_vertices
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

Nearest = Callable[[Floats], Floats]
"""From points (k, 3) to the points of a surface (k, 3) that are nearest to them."""


def attract(cage: Cage, selection: Selection, nearest: Nearest, *, distance: float = 0.0, share: float = 1.0) -> Edit:
    """Move what is picked towards the nearest point of a surface, by a ``share`` of the way.

    It ends ``distance`` mm before the surface, on its own side. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> floor = lambda points: points * (1, 1, 0)
    >>> lifted = plane((10, 10), (1, 1)).with_positions(plane((10, 10), (1, 1), (0, 0, 8)).positions)
    >>> drawn = attract(lifted, Selection.of("face", [0]), floor, share=0.75).cage
    >>> drawn.positions[:, 2].tolist()
    [2.0, 2.0, 2.0, 2.0]
    """
    if not np.isfinite(distance):
        raise BadNumberError("The distance from the surface needs a plain number.")
    verts = picked_vertices(cage, selection)
    p = cage.positions[verts]
    at = nearest(p)
    return moved_towards(cage, selection, verts, at + distance * unit(p - at), share)
