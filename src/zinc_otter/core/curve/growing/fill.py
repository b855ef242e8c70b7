"""A closed curve filled with quads."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import HARD, unit
from zinc_otter.core.cage.plane import frame_along
from zinc_otter.core.cage.springs import sprung
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.facts import facts_of
from zinc_otter.core.curve.fitting import resampled
from zinc_otter.core.curve.growing.grid import Grown
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.primitives.outline import fill_ring
from zinc_otter.core.words import fine_length_words, number


def fill(curve: Curve, around: int, rings: int = 1) -> Grown:
    """An open sheet within a closed curve, ``around`` faces along its border: that border is the curve.

    With as many faces as the curve has control points it is the curve exactly (smooth border rule: T. DeRose, M. Kass,
    T. Truong, "Subdivision Surfaces in Character Animation", 1998); with others it strays, and is told by how much. It
    looks to where the curve runs counter-clockwise. Out of its plane the sheet spans it as springs would. Raises
    CurveError for an open curve and one that crosses itself, and BadNumberError for an odd number of faces, too few, or
    where faces would fold over.
    """
    if not curve.closed:
        raise CurveError("A closed curve is filled; this one is open. Close it first.")
    crosses = facts_of(curve).crosses
    if crosses:
        x, y, z = (number(v) for v in crosses[0])
        raise CurveError(f"The curve crosses itself at {x}, {y}, {z}; a patch needs one that goes round once.")
    fitted = resampled(curve, around, 1 if curve.degree == 1 else 3)
    ring = fitted.curve.points
    middle, normal, _ = pieces_of(curve).plane()
    axes = _frame(ring - middle, normal)
    flat = (ring - middle) @ axes.T
    sheet = fill_ring(np.column_stack([flat[:, :2], np.zeros(around)]), rings)
    placed = sheet.positions.copy()
    placed[:around, 2] = flat[:, 2]
    placed[around:, 2] = sprung(flat[:, 2:], len(placed), sheet.topology.edge_verts)[:, 0]
    sharp = np.zeros(len(placed))
    sharp[:around][_corners(fitted.curve)] = HARD
    cage = sheet.with_positions(placed @ axes + middle).with_sharpness(vertices=sharp)
    strayed = fitted.deviation > 1e-9
    said = (f"The border strays from the curve by at most {fine_length_words(fitted.deviation)}.",) if strayed else ()
    return Grown(cage, around, rings, np.zeros(0, dtype=np.int32), said, fitted.deviation)


def _frame(ring: Floats, normal: Floats) -> Floats:
    """A frame (rows) in which the ring, seen against the third axis, runs counter-clockwise."""
    # Newell's vector: twice the ring's area, towards the side on which it runs so.
    area = np.cross(ring, np.roll(ring, -1, axis=0)).sum(axis=0)
    x, y, z = normal if area @ normal >= 0 else -normal
    return frame_along((x, y, z)).T


def _corners(curve: Curve) -> Bools:
    if curve.degree > 1:
        return np.asarray(curve.sharpness >= HARD)
    legs = unit(np.roll(curve.points, -1, axis=0) - curve.points)
    return np.asarray((legs * np.roll(legs, 1, axis=0)).sum(axis=1) < 1 - 1e-12)
