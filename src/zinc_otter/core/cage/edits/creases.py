"""Set how sharp edges and corners are."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, convert
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.words import length_words


def set_crease(cage: Cage, selection: Selection, sharpness: float) -> Edit:
    """Give the edges that a selection holds a ``sharpness`` from 0 (smooth) to 10 (hard).

    Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> done = set_crease(box((10, 10, 10), (1, 1, 1)), Selection.of("edge", [0, 3]), 2.5)
    >>> done.cage.edge_sharpness[:4].tolist()
    [2.5, 0.0, 0.0, 2.5]
    """
    selection.check(cage.topology)
    edges = convert(cage.topology, selection, "edge")
    edges.check(cage.topology)
    values = cage.edge_sharpness.copy()
    values[edges.ids] = _in_range(sharpness)
    return same_structure(cage.with_sharpness(edges=values), selection)


def set_corner(cage: Cage, selection: Selection, sharpness: float) -> Edit:
    """Give the vertices that a selection holds a ``sharpness`` from 0 to 10. Raises as :func:`set_crease`.

    >>> from zinc_otter.core.primitives import box
    >>> set_corner(box((10, 10, 10), (1, 1, 1)), Selection.of("vertex", [1]), 4.0).cage.vertex_sharpness[:3].tolist()
    [0.0, 4.0, 0.0]
    """
    selection.check(cage.topology)
    values = cage.vertex_sharpness.copy()
    values[convert(cage.topology, selection, "vertex").ids] = _in_range(sharpness)
    return same_structure(cage.with_sharpness(vertices=values), selection)


def scale_creases(cage: Cage, selection: Selection, factor: float) -> Edit:
    """Multiply the sharpness of the edges and vertices that a selection holds by a ``factor``; hard is the most.

    Raises BadSelectionError (nothing sharp there), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = set_crease(box((10, 10, 10), (1, 1, 1)), Selection.of("edge", [0]), 4.0).cage
    >>> float(scale_creases(cage, Selection.of("face", range(6)), 0.5).cage.edge_sharpness.max())
    2.0
    """
    selection.check(cage.topology)
    if not (np.isfinite(factor) and factor >= 0):
        raise BadNumberError("The factor is a number from 0.")
    edges, verts = cage.edge_sharpness.copy(), cage.vertex_sharpness.copy()
    at, there = convert(cage.topology, selection, "edge").ids, convert(cage.topology, selection, "vertex").ids
    if not edges[at].any() and not verts[there].any():
        raise BadSelectionError("Nothing that is picked is creased.")
    edges[at] = np.minimum(edges[at] * factor, HARD)
    verts[there] = np.minimum(verts[there] * factor, HARD)
    return same_structure(cage.with_sharpness(edges, verts), selection)


def crease_along(
    cage: Cage, selection: Selection, distances: Callable[[Floats], Floats], within: float, sharpness: float
) -> Edit:
    """Crease the edges that a selection holds, and that run along given lines: both ends and the middle lie near.

    ``distances`` takes points (k, 3) to how far they are from the lines (k,), in mm; ``within`` mm counts as near. These
    edges are then selected. Raises BadSelectionError where there are none, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> to_floor = lambda points: np.abs(points[:, 2] + 5)
    >>> int((crease_along(cage, Selection.of("face", range(6)), to_floor, 0.1, 10.0).cage.edge_sharpness > 0).sum())
    4
    """
    selection.check(cage.topology)
    if not (np.isfinite(within) and within > 0):
        raise BadNumberError("How near an edge must lie is a length above 0.")
    edges = convert(cage.topology, selection, "edge").ids
    a, b = cage.positions[cage.topology.edge_verts[edges]].transpose(1, 0, 2)
    near = np.all([distances(points) <= within for points in (a, b, (a + b) / 2)], axis=0)
    found = edges[near]
    if not len(found):
        raise BadSelectionError(
            f"No edge runs along a sharp line within {length_words(within)}; look further, or take a smaller angle."
        )
    values = cage.edge_sharpness.copy()
    values[found] = _in_range(sharpness)
    return same_structure(cage.with_sharpness(edges=values), Selection.of("edge", found))


def _in_range(sharpness: float) -> float:
    if not np.isfinite(sharpness) or not 0 <= sharpness <= HARD:
        raise BadNumberError(f"Sharpness runs from 0 (smooth) to {HARD:g} (hard); {sharpness:g} is outside.")
    return float(sharpness)
