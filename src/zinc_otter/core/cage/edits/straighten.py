"""Slide loops along the cage until they lie in planes."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.building.pairing import loop_normal
from zinc_otter.core.cage.building.sides import sides_of
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.edits.slide import MOST_SHARE
from zinc_otter.core.cage.selection import Selection, vertex_normals
from zinc_otter.core.errors import BadNumberError, BadSelectionError


def straighten(cage: Cage, selection: Selection, *, share: float = 1.0) -> Edit:
    """Slide the vertices of picked loops and chains along the cage until they lie in one plane each.

    A loop that goes round takes the plane that fits it best; a chain the plane through its ends, square to the form
    between. No vertex slides further than to its neighbour. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 30), (1, 1, 3))
    >>> high = np.isclose(cage.positions[:, 2], 5)
    >>> ring = np.flatnonzero(high[cage.topology.edge_verts].all(axis=1))
    >>> lift = high * (cage.positions[:, :2] > 0).all(axis=1) * 2.0
    >>> bent = cage.with_positions(cage.positions + lift[:, None] * (0, 0, 1))
    >>> flat = straighten(bent, Selection.of("edge", ring)).cage.positions[high]
    >>> bool(np.linalg.svd(flat - flat.mean(axis=0))[1][2] < 1e-9)  # In one plane.
    True
    """
    if not (np.isfinite(share) and 0 <= share <= 1):
        raise BadNumberError("The share of the way runs from 0 to 1.")
    chains = picked_chains(cage, selection)
    positions = cage.positions.copy()
    normals = vertex_normals(cage, cage.face_area_vectors)
    for chain in chains:
        p = cage.positions[chain.verts]
        if chain.closed:
            point, normal = p.mean(axis=0), loop_normal(p)
        else:
            point = p[0]
            normal = unit(np.cross(p[-1] - p[0], normals[chain.verts].mean(axis=0)))
        if not normal.any():
            raise BadSelectionError("This chain gives no plane to be straightened in.", vertices=chain.verts)
        height = (p - point) @ normal
        best = np.zeros(len(p))
        targets = p.copy()
        for left in (True, False):
            verts, sides = sides_of(cage, [chain], left, refuse=False)
            there = np.isin(chain.verts, verts)
            side = p.copy()
            side[there] = sides[np.argsort(verts)][np.searchsorted(np.sort(verts), chain.verts[there])]
            change = (side - p) @ normal
            # Towards the plane, and no further than to the neighbour.
            part = np.where(height * change < 0, -height / np.where(change == 0, 1, change), 0.0)
            part = np.clip(part, 0, MOST_SHARE)
            gain = np.abs(height) - np.abs(height + part * change)
            better = gain > best + 1e-12
            best[better] = gain[better]
            targets[better] = (p + part[:, None] * (side - p))[better]
        if not chain.closed:
            targets[[0, -1]] = p[[0, -1]]
        positions[chain.verts] = p + share * (targets - p)
    return same_structure(cage.with_positions(positions), selection)
