"""The colours of maps on paper: the same as on the screen, even in lightness, with a leap where the limit is."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.srgb import from_linear

# Oklab (B. Ottosson, 2020) of the ends: what is at fault warm and dark, what holds cool and light.
_FAULT = np.array([[0.24, 0.09, 0.03], [0.5, 0.13, 0.05]])
_SOUND = np.array([[0.64, -0.07, -0.03], [0.94, -0.01, 0.03]])


def tones(values: Floats, low: float, high: float, limit: float, below: bool) -> Floats:
    """(n, 3) sRGB from 0 to 1 of values (n,): the worse, the darker. Those ``below`` the limit are at fault, or above it."""
    values = np.asarray(values, dtype=np.float64)
    bad, good = (low, high) if below else (high, low)
    fails = values < limit if below else values > limit
    share_bad = _share(values, bad, limit)
    share_good = _share(values, limit, good)
    lab = np.where(
        fails[:, None],
        _FAULT[0] + (_FAULT[1] - _FAULT[0]) * share_bad[:, None],
        _SOUND[0] + (_SOUND[1] - _SOUND[0]) * share_good[:, None],
    )
    return _srgb(lab)


def _share(values: Floats, start: float, end: float) -> Floats:
    return np.ones_like(values) if start == end else np.clip((values - start) / (end - start), 0, 1)


def _srgb(lab: Floats) -> Floats:
    lightness, a, b = lab.T
    x = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3
    y = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3
    z = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3
    linear = np.stack(
        [
            4.0767416621 * x - 3.3077115913 * y + 0.2309699292 * z,
            -1.2684380046 * x + 2.6097574011 * y - 0.3413193965 * z,
            -0.0041960863 * x - 0.7034186147 * y + 1.707614701 * z,
        ],
        axis=1,
    ).clip(0, 1)
    return from_linear(linear)
