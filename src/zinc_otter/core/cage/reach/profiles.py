"""Falloff profiles: from the distance as a share of the radius, 0 to 1, to the share of the change, 1 to 0."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np
from scipy.interpolate import PchipInterpolator

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

PROFILES: dict[str, Callable[[Floats], Floats]] = {
    # Level at both ends: the cubic Hermite step.
    "smooth": lambda s: 1 - s * s * (3 - 2 * s),
    # Steep at the picked, level at the far end.
    "sharp": lambda s: (1 - s) ** 2,
    # A quarter of a circle: level at the picked, steep at the far end.
    "round": lambda s: np.sqrt(np.maximum(0.0, 1 - s * s)),
    # All of it, up to the radius.
    "flat": lambda s: np.ones_like(s),
    "linear": lambda s: 1 - s,
}

MOST_POINTS = 32


def profile(name: str, curve: Sequence[tuple[float, float]] = ()) -> Callable[[Floats], Floats]:
    """The named profile; of name "drawn" the one through the points of ``curve``, (distance, share) each from 0 to 1.

    Between its points a drawn curve neither over- nor undershoots (F. Fritsch, R. Carlson, "Monotone Piecewise Cubic
    Interpolation", 1980). Raises BadNumberError.
    """
    if name in PROFILES:
        return PROFILES[name]
    if name != "drawn":
        raise BadNumberError(f"There is no profile {name!r}; there are {', '.join([*PROFILES, 'drawn'])}.")
    points = np.asarray(curve, dtype=np.float64).reshape(-1, 2)
    if not 2 <= len(points) <= MOST_POINTS:
        raise BadNumberError(f"A drawn profile takes 2 to {MOST_POINTS} points; {len(points)} were given.")
    if not np.isfinite(points).all() or points.min() < 0 or points.max() > 1:
        raise BadNumberError("The points of a drawn profile run from 0 to 1 both ways.")
    points = points[np.argsort(points[:, 0], kind="stable")]
    if np.any(np.diff(points[:, 0]) < 1e-6):
        raise BadNumberError("Two points of the drawn profile lie at the same distance.")
    x = points[:, 0]
    curve_at = PchipInterpolator(x, points[:, 1])
    return lambda s: np.clip(curve_at(np.clip(s, x[0], x[-1])), 0, 1)
