"""Set how sharp edges and corners are."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, convert
from zinc_otter.core.errors import BadNumberError


def set_crease(cage: Cage, selection: Selection, sharpness: float) -> Edit:
    """Give the edges that a selection holds a ``sharpness`` from 0 (smooth) to 10 (hard).

    Raises BadSelectionError, BadNumberError.
    """
    selection.check(cage.topology)
    edges = convert(cage.topology, selection, "edge")
    edges.check(cage.topology)
    values = cage.edge_sharpness.copy()
    values[edges.ids] = _in_range(sharpness)
    return same_structure(cage.with_sharpness(edges=values), selection)


def set_corner(cage: Cage, selection: Selection, sharpness: float) -> Edit:
    """Give the vertices that a selection holds a ``sharpness`` from 0 to 10. Raises as :func:`set_crease`."""
    selection.check(cage.topology)
    values = cage.vertex_sharpness.copy()
    values[convert(cage.topology, selection, "vertex").ids] = _in_range(sharpness)
    return same_structure(cage.with_sharpness(vertices=values), selection)


def _in_range(sharpness: float) -> float:
    if not np.isfinite(sharpness) or not 0 <= sharpness <= HARD:
        raise BadNumberError(f"Sharpness runs from 0 (smooth) to {HARD:g} (hard); {sharpness:g} is outside.")
    return float(sharpness)
