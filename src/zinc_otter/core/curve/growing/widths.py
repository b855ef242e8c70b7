"""A width that changes along a curve, told at a few places."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from scipy.interpolate import PchipInterpolator

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

Places = Sequence[tuple[float, float]]
"""Shares of the length from 0 to 1, and what the width is there, mm."""


def widths_along(base: float, places: Places, shares: Floats, closed: bool) -> Floats:
    """(k,) the width at ``shares`` (k,) of the length: what is told at the ``places``, and ``base`` mm at both ends.

    Between them it rises and falls without overshooting (F. Fritsch, J. Butland, "A method for constructing local monotone
    piecewise cubic interpolants", 1984). Raises BadNumberError.

    >>> widths_along(2.0, [(0.5, 4.0)], np.array([0.0, 0.5, 1.0]), False).tolist()
    [2.0, 4.0, 2.0]
    """
    told = {0.0: base, 1.0: base} if not closed else {0.0: base}
    for share, width in places:
        if not (np.isfinite(share) and 0 <= share <= 1):
            raise BadNumberError(f"A place lies from 0 to 100 % along; {100 * share:g} % was given.")
        if not (np.isfinite(width) and width > 0):
            raise BadNumberError(f"The width at a place must be above 0; {width:g} was given.")
        told[0.0 if closed and share == 1 else float(share)] = float(width)
    at = np.array(sorted(told))
    close = np.diff(at) < 1e-3
    if close.any():
        raise BadNumberError(f"Two places lie at {100 * at[int(np.flatnonzero(close)[0])]:.4g} %; move one along.")
    wide = np.array([told[share] for share in at])
    if len(at) == 1:
        return np.full(len(shares), wide[0])
    if closed:
        # A round before and a round behind: so that it closes smoothly.
        at, wide = np.concatenate([at - 1, at, at + 1]), np.tile(wide, 3)
    return np.asarray(PchipInterpolator(at, wide)(shares))
