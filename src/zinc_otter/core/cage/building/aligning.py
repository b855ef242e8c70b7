"""What flattening, lining up, rounding and attracting share: the lines of a selection, and a share of the way to a goal."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.building.motion import finite
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError


def best_plane(points: Floats) -> Floats:
    """(3,) unit normal of the plane with the least sum of squared distances. Raises BadSelectionError for a line."""
    _, spread, axes = np.linalg.svd(points - points.mean(axis=0), full_matrices=False)
    if len(points) < 3 or spread[1] <= 1e-9 * max(spread[0], 1e-12):
        raise BadSelectionError("The picked lie on one line, so that no one plane fits them best; choose a plane.")
    normal = np.asarray(axes[2])
    return normal if normal[int(np.argmax(np.abs(normal)))] > 0 else -normal


def picked_lines(cage: Cage, selection: Selection) -> list[tuple[Ints, bool]]:
    try:
        chains = picked_chains(cage, selection) if selection.kind == "edge" else []
    except BadSelectionError:
        chains = []
    open_ones = [chain for chain in chains if not chain.closed]
    if chains and len(open_ones) == len(chains):
        return [(chain.verts, True) for chain in chains]
    return [(picked_vertices(cage, selection), False)]


def moved_towards(cage: Cage, selection: Selection, verts: Ints, target: Floats, share: float) -> Edit:
    if not (np.isfinite(share) and 0 <= share <= 1):
        raise BadNumberError("The share of the way runs from 0 to 1.")
    positions = cage.positions.copy()
    # All of the way ends on the target to the last bit.
    positions[verts] = target if share == 1 else positions[verts] + share * (target - positions[verts])
    return same_structure(cage.with_positions(positions), selection)


def picked_vertices(cage: Cage, selection: Selection) -> Ints:
    selection.check(cage.topology)
    return vertices_of(cage.topology, selection)


def direction_of(vector: Sequence[float]) -> Floats:
    direction = unit(finite(vector, "A direction"))
    if not direction.any():
        raise BadNumberError("The direction has no length.")
    return direction
