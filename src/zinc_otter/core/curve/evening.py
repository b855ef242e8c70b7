"""A curve evened out: what is kinked comes to bend evenly."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Bools
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import Fitted, refitted, strays
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError

MOST_ROUNDS = 200


def evened(curve: Curve, picked: ArrayLike, *, rounds: int = 5, strength: float = 0.5, hold: bool = False) -> Fitted:
    """A curve whose ``picked`` control points come to bend evenly, in ``rounds`` of a ``strength`` from 0 to 1.

    Each round takes a share of the fourth difference off: what sways quickly goes first, straight runs stay, and a circle of
    twelve points loses half a hundredth of its radius (by second differences 7 hundredths; see G. Taubin, "A
    signal processing approach to fair surface design", 1995). Ends and corners stay. With ``hold`` the points only wander
    along the curve and are fitted to it. Raises BadNumberError.

    >>> kinked = Curve([(0, 0, 0), (10, 0, 0), (20, 4, 0), (30, 0, 0), (40, 0, 0)])
    >>> bool(evened(kinked, [1, 2, 3]).curve.points[2, 1] < 3)
    True
    """
    if not 1 <= rounds <= MOST_ROUNDS:
        raise BadNumberError(f"Evening goes in 1 to {MOST_ROUNDS} rounds; {rounds} were asked for.")
    if not 0 <= strength <= 1:
        raise BadNumberError(f"A strength lies from 0 to 1; {strength:g} was given.")
    free: Bools = np.zeros(curve.count, dtype=bool)
    free[np.asarray(picked, dtype=np.int64)] = True
    free &= curve.sharpness == 0
    if not curve.closed:
        free[[0, -1]] = False
    points = curve.points.copy()
    for _ in range(rounds):
        bend = np.roll(points, 1, axis=0) - 2 * points + np.roll(points, -1, axis=0)
        # At corners and ends a curve does not bend: what is beyond is another run.
        bend[~free & (curve.sharpness > 0)] = 0.0
        if not curve.closed:
            bend[[0, -1]] = 0.0
        fourth = np.roll(bend, 1, axis=0) - 2 * bend + np.roll(bend, -1, axis=0)
        points[free] -= strength / 8 * fourth[free]
    made = Curve(points, curve.degree, curve.closed, curve.sharpness)
    if not hold or curve.degree == 1:
        return Fitted(made, strays(made, curve))
    return refitted(curve, _marks_near(curve, made, free), curve.sharpness)


def _marks_near(curve: Curve, made: Curve, free: Bools) -> np.ndarray:
    """Parameters (n,), ascending, where the old curve comes nearest to the new control points' places on the new one."""
    marks = np.arange(curve.count, dtype=np.float64)
    old, new = pieces_of(curve), pieces_of(made)
    for k in np.flatnonzero(free):
        steps = np.linspace(k - 0.9, k + 0.9, 181)
        goal = new.at([float(k)])
        marks[k] = steps[int(np.linalg.norm(old.at(steps) - goal, axis=1).argmin())]
    # Two neighbours that would pass one another meet halfway, and stay apart.
    for i in range(1, curve.count):
        if marks[i] - marks[i - 1] < 0.1:
            middle = (marks[i] + marks[i - 1]) / 2
            marks[i - 1], marks[i] = middle - 0.05, middle + 0.05
    return marks
