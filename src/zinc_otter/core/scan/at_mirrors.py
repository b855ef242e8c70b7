"""Patches and strips that reach across a mirror's plane: the half that reaches further is laid, and ends in the plane; the
mirror makes the other."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadSelectionError


def kept_side(heights: Floats, slack: float) -> int:
    """+1 or -1: the side of a plane on which points of these heights (n,) reach further; 0 where none lies beyond it by more
    than ``slack``."""
    sides = sides_of(heights, slack)
    if not ((sides > 0).any() and (sides < 0).any()):
        return 0
    return 1 if heights.max() >= -heights.min() else -1


def sides_of(heights: Floats, slack: float) -> Ints:
    """(n,) +1, -1, and 0 in the plane."""
    return np.where(np.abs(heights) <= slack, 0, np.sign(heights)).astype(np.int64)


def inner_neighbours(sides: Ints, kept: int) -> dict[int, int]:
    """For each of four corners beyond a plane its neighbour on the side that is kept: the side between them is cut.

    Raises BadSelectionError where what is left has not four corners.
    """
    beyond = np.flatnonzero(sides == -kept)
    found = {}
    for corner in beyond.tolist():
        kept_ones = [k for k in ((corner - 1) % 4, (corner + 1) % 4) if sides[k] == kept]
        if len(kept_ones) != 1:
            what = "One corner lies" if len(beyond) == 1 else f"{len(beyond)} corners lie"
            raise BadSelectionError(
                f"{what} beyond the mirror's plane so that no four-sided half of the patch is left: set two neighbours "
                "beyond it, or none."
            )
        found[corner] = kept_ones[0]
    return found


def crossing(a: Floats, b: Floats, plane: Plane) -> Floats:
    """(3,) where the straight way between two points on both sides of a plane crosses it."""
    one, two = plane.heights(np.array([a, b]))
    return np.asarray(a + (one / (one - two)) * (b - a))


def cut_stroke(stroke: Floats, plane: Plane, reach: float, from_start: bool) -> tuple[Floats, tuple[bool, bool]]:
    """Of a stroke (k, 3) that crosses a plane the longest stretch on one side, the first one where it begins at something;
    and whether its beginning and its end are cut off in the plane. One that nowhere is further than ``reach`` mm from the
    plane runs along it, and is left."""
    heights = plane.heights(stroke)
    changes = np.flatnonzero(np.sign(heights[1:]) * np.sign(heights[:-1]) < 0)
    if np.abs(heights).max() <= reach or not len(changes):
        return stroke, (False, False)
    cuts = [crossing(stroke[k], stroke[k + 1], plane)[None] for k in changes]
    parts = np.split(stroke, changes + 1)
    for k, cut in enumerate(cuts):
        parts[k], parts[k + 1] = np.concatenate([parts[k], cut]), np.concatenate([cut, parts[k + 1]])
    long = [float(np.linalg.norm(np.diff(part, axis=0), axis=1).sum()) for part in parts]
    best = 0 if from_start else int(np.argmax(long))
    return parts[best], (best > 0, best < len(cuts))


def beyond(points: Floats, plane: Plane, kept: int) -> Bools:
    """(n,) which points lie on the other side."""
    return np.asarray(plane.heights(points) * kept < 0)
