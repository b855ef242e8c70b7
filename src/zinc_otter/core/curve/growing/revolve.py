"""A form turned about an axis."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import smoothed
from zinc_otter.core.curve.growing.grid import Grown, grid_cage
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError


def revolve(
    curve: Curve, point: ArrayLike, along: ArrayLike, count: int = 8, degrees: float = 360.0
) -> Grown:
    """A curve turned about an axis in ``count`` faces, wholly round or by so many ``degrees``.

    The curve, in each place that it is turned to, lies in the surface. A profile that ends on the axis closes there.
    Raises BadNumberError; CurveError for a profile that crosses the axis.

    >>> revolve(Curve([(4, 0, 0), (6, 0, 5), (5, 0, 10)]), (0, 0, 0), (0, 0, 1), 8).cage.topology.face_count
    16
    """
    axis = plane_at(point, along)
    if not 3 <= count <= 256:
        raise BadNumberError(f"A turned form has 3 to 256 faces round; {count} were asked for.")
    if not (np.isfinite(degrees) and 0 < abs(degrees) <= 360):
        raise BadNumberError(f"A form is turned by up to 360°; {degrees:g}° were asked for.")
    smooth = smoothed(curve)
    profile = smooth.curve
    whole = abs(degrees) == 360
    foot, way = np.asarray(axis.point), np.asarray(axis.normal)
    off = profile.points - foot
    height = off @ way
    out = np.linalg.norm(off - height[:, None] * way, axis=1)
    size = max(float(np.ptp(profile.points, axis=0).max()), 1e-9)
    on_axis = out < 1e-7 * size
    ends = np.zeros(profile.count, dtype=bool)
    if not profile.closed:
        ends[[0, -1]] = True
    if (on_axis & ~ends).any():
        at = profile.points[np.flatnonzero(on_axis & ~ends)[0]]
        raise CurveError("The profile touches the axis in its middle; end it there.", points=[at.tolist()])
    turns = np.radians(np.linspace(0, degrees, count, endpoint=False) if whole else np.linspace(0, degrees, count + 1))
    placed = np.stack([Rotation.from_rotvec(way * turn).apply(off) + foot for turn in turns])
    grid = solved(placed, whole)
    # Outwards for a profile that runs up the axis: round first, then along.
    cage = grid_cage(grid, (whole, profile.closed))
    poles = np.flatnonzero(on_axis & ends)
    if len(poles) and whole:
        cage = _closed_at(cage, grid.shape[:2], poles, foot + height[poles, None] * way)
    return Grown(cage, count, profile.end, np.zeros(0, dtype=np.int32), (), smooth.deviation)


def _closed_at(cage: Cage, shape: tuple[int, int], columns: np.ndarray, places: np.ndarray) -> Cage:
    """The cage with the vertices of some columns become one each."""
    named = np.arange(shape[0] * shape[1]).reshape(shape)
    positions = cage.positions.copy()
    for column, place in zip(columns, places, strict=True):
        positions[named[0, column]] = place
        named[1:, column] = named[0, column]
    faces = named.ravel()[cage.topology.face_verts].reshape(-1, 4)
    rings = [list(dict.fromkeys(face)) for face in faces.tolist()]
    used = np.unique(named)
    number = np.full(len(positions), -1)
    number[used] = np.arange(len(used))
    return Cage.from_faces(positions[used], [number[ring].tolist() for ring in rings])
