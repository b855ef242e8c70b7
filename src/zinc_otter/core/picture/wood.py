"""Wood that grows along x: rings of a trunk, wide and pale in spring, narrow and dark in autumn. The view draws it by the
same formula (``web/src/viewport/wood.ts``)."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats

PITCH = 2.4
"""Millimetres from one ring to the next."""
SPRING, AUTUMN = np.array([0.46, 0.27, 0.135]), np.array([0.2, 0.095, 0.042])
"""Reflectance in linear light."""


def ring_at(points: Floats) -> Floats:
    """(n,) which ring points (n, 3) in mm lie in: whole numbers where one ends."""
    x, y, z = (points / PITCH).T
    return np.asarray(np.hypot(y + 0.5 * np.sin(0.11 * x), z + 9.3) + 0.14 * np.sin(0.23 * x + 0.6 * y))


def wood_tones(points: Floats, spacing: float = 0.0) -> Floats:
    """(n, 3) reflectance at points (n, 3); where these lie further apart (mm) than rings can be told, their mean."""
    part = ring_at(points) % 1.0
    late = _smooth(part, 0.5, 0.92) * (1 - _smooth(part, 0.94, 1.0))
    told = 1 - float(_smooth(np.array(spacing / PITCH), 0.35, 0.9))
    share = told * late + (1 - told) * 0.27
    return np.asarray(SPRING + share[:, None] * (AUTUMN - SPRING))


def _smooth(x: Floats, low: float, high: float) -> Floats:
    t = np.clip((x - low) / (high - low), 0, 1)
    return np.asarray(t * t * (3 - 2 * t))
