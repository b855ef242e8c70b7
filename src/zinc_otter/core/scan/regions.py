"""A plane or an axis found from places picked on a scan: by all of it that lies around them."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.optimize import least_squares
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.scan.samples import Samples
from zinc_otter.core.words import length_words

_FEWEST = 12
_ROUNDS = 4
_ALIKE = float(np.cos(np.radians(25)))
_FAR = 3.0
"""Times the spread of the others: what lies further off is no part of it."""


@dataclass(frozen=True, eq=False)
class Region:
    """A plane's or an axis' ``point`` and unit ``way`` (3,), the normal or the direction; a cylinder's ``radius``, mm, or 0.

    ``rms`` mm is how far the ``count`` places that it was found from lie off it.
    """

    point: Floats
    way: Floats
    radius: float
    rms: float
    count: int


def around(scan: Samples, picked: Floats, radius: float) -> Samples:
    """The places of a scan within ``radius`` mm of picked ones (k, 3). Raises BadNumberError, BadSelectionError."""
    if not (np.isfinite(radius) and radius > 0):
        raise BadNumberError(f"The radius around the picked places must be above 0; {radius:g} was given.")
    if not len(picked):
        raise BadSelectionError("Pick places on the scan first.")
    far, _ = cKDTree(picked).query(scan.points, distance_upper_bound=radius)
    near = np.isfinite(far)
    if near.sum() < _FEWEST:
        raise BadSelectionError(
            f"Only {int(near.sum())} places of the scan lie within {length_words(radius)} of the picked; take a larger "
            f"radius."
        )
    return Samples(scan.points[near], scan.normals[near])


def plane_of(part: Samples) -> Region:
    """The plane that lies nearest to places, those far off left out; it looks to the side that they look to."""
    # Of a few dozen of the normals the one that most others look along: an edge that was picked with it has the fewer.
    asked = part.normals[:: max(1, len(part.normals) // 60)]
    agree = part.normals @ asked.T > _ALIKE
    alike = agree[:, int(agree.sum(axis=0).argmax())]
    kept = alike.copy()
    middle, normal = np.zeros(3), np.zeros(3)
    for _ in range(_ROUNDS):
        points = part.points[kept]
        middle = points.mean(axis=0)
        normal = np.linalg.svd(points - middle, full_matrices=False)[2][-1]
        off = np.abs((part.points - middle) @ normal)
        kept = alike & (off <= max(_FAR * float(np.sqrt((off[kept] ** 2).mean())), 1e-9))
    normal = normal * (1.0 if part.normals[kept].mean(axis=0) @ normal >= 0 else -1.0)
    off = (part.points[kept] - middle) @ normal
    return Region(middle, normal, 0.0, float(np.sqrt((off**2).mean())), int(kept.sum()))


def axis_of(part: Samples) -> Region:
    """The axis of the cylinder that lies nearest to places: its normals tell about where it runs, least squares the rest.

    Raises BadSelectionError for places that are all but flat.
    """
    values, ways = np.linalg.eigh(part.normals.T @ part.normals / len(part.normals))
    if values[1] < 0.02:
        raise BadSelectionError("The picked places are all but flat: they tell no axis. Pick some all round it.")
    start = ways[:, 0]
    across = np.linalg.svd(start[None])[2][1:]
    middle = part.points.mean(axis=0)
    # Normals run through the axis: the point of the plane that is nearest to all of their lines.
    flat, way = (part.points - middle) @ across.T, unit(part.normals @ across.T)
    squares = np.eye(2)[None] - way[:, :, None] * way[:, None, :]
    centre = np.linalg.solve(squares.sum(axis=0), np.einsum("nij,nj->i", squares, flat))
    radius = float(np.linalg.norm(flat - centre, axis=1).mean())

    def off(x: Floats) -> Floats:
        along = unit((start + x[0] * across[0] + x[1] * across[1])[None])[0]
        arm = part.points - middle - x[2] * across[0] - x[3] * across[1]
        return np.asarray(np.linalg.norm(arm - (arm @ along)[:, None] * along, axis=1) - x[4])

    size = float(np.ptp(part.points, axis=0).max())
    begun = np.array([0.0, 0.0, centre[0], centre[1], radius])
    found = least_squares(off, begun, loss="soft_l1", f_scale=max(1e-3 * size, 1e-6), x_scale=[1, 1, size, size, size])
    x = found.x
    along = unit((start + x[0] * across[0] + x[1] * across[1])[None])[0]
    point = middle + x[2] * across[0] + x[3] * across[1]
    return Region(point, along, float(x[4]), float(np.sqrt((off(x) ** 2).mean())), len(part.points))
