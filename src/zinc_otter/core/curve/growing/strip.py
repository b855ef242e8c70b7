"""A strip: a curve drawn out along a direction, or to another curve."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import resampled, smoothed
from zinc_otter.core.curve.growing.grid import Grown, grid_cage
from zinc_otter.core.errors import BadNumberError


def strip(curve: Curve, to: ArrayLike | Curve, count: int = 1) -> Grown:
    """A curve drawn out by a vector (3,) mm, or across to another curve, in ``count`` faces. It lies in the surface.

    Another curve gets the count and degree of the first, and lies in the surface as nearly as ``deviation`` says.
    Raises BadNumberError, CurveError.

    >>> strip(Curve([(0, 0, 0), (10, 0, 0), (20, 5, 0)]), (0, 0, 8), 2).cage.topology.face_count
    4
    """
    if not 1 <= count <= 200:
        raise BadNumberError(f"A strip has 1 to 200 faces across; {count} were asked for.")
    smooth = smoothed(curve)
    first, deviation = smooth.curve, smooth.deviation
    if isinstance(to, Curve):
        if to.closed != curve.closed:
            raise CurveError("A strip lies between two curves that are both open, or both closed.")
        fitted = resampled(to, first.count, 3)
        last, deviation = fitted.curve.points, max(deviation, fitted.deviation)
    else:
        way = np.asarray(to, dtype=np.float64)
        if way.shape != (3,) or not np.isfinite(way).all() or np.linalg.norm(way) < 1e-9:
            raise BadNumberError("A strip is drawn out along a direction that has a length.")
        last = first.points + way
    share = np.linspace(0, 1, count + 1)[:, None, None]
    grid = first.points * (1 - share) + last * share
    cage = grid_cage(grid.transpose(1, 0, 2), (curve.closed, False))
    return Grown(cage, first.end, count, np.zeros(0, dtype=np.int32), (), deviation)

