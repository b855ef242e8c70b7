"""Flatten what is picked into a plane."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.building.aligning import best_plane, direction_of, moved_towards, picked_vertices
from zinc_otter.core.cage.building.motion import finite
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection


def flatten(
    cage: Cage, selection: Selection, *, normal: Sequence[float] | None = None, point: Sequence[float] | None = None,
    share: float = 1.0,
) -> Edit:  # fmt: skip
    """Move what is picked straight into a plane, by a ``share`` of the way.

    Without a ``normal`` (3,) it is the plane that fits best; without a ``point`` it goes through the middle of the
    picked. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> flat = flatten(cage, Selection.of("vertex", range(8)), normal=(0, 0, 1)).cage
    >>> float(np.ptp(flat.positions[:, 2]))
    0.0
    """
    verts = picked_vertices(cage, selection)
    p = cage.positions[verts]
    across = best_plane(p) if normal is None else direction_of(normal)
    through = p.mean(axis=0) if point is None else finite(point, "The point of the plane")
    return moved_towards(cage, selection, verts, p - np.outer((p - through) @ across, across), share)
