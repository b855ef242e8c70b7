"""The colours of maps on paper: the same as on the screen, even in lightness, with a leap where the limit is."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.srgb import from_linear

# Oklab (B. Ottosson, 2020) of the ends: what is at fault warm and dark, what holds cool and light.
_FAULT = np.array([[0.24, 0.09, 0.03], [0.5, 0.13, 0.05]])
_SOUND = np.array([[0.64, -0.07, -0.03], [0.94, -0.01, 0.03]])


# Of numbers to both sides of 0: pale in the middle, to the end of what may be and then on to the end, inside cool and
# outside warm.
_MIDDLE = np.array([0.96, 0.0, 0.015])
_INSIDE = np.array([[0.84, -0.03, -0.05], [0.55, -0.03, -0.13], [0.26, 0.0, -0.13]])
_OUTSIDE = np.array([[0.84, 0.04, 0.06], [0.55, 0.12, 0.08], [0.26, 0.09, 0.04]])
_NOTHING = np.array([0.74, 0.0, 0.0])


def tones(values: Floats, low: float, high: float, limit: float, below: bool, both: bool = False) -> Floats:
    """(n, 3) sRGB from 0 to 1 of values (n,): the worse, the darker. Those ``below`` the limit are at fault, or above it,
    or on ``both`` sides what goes further from 0 than it. What is no number is grey."""
    values = np.asarray(values, dtype=np.float64)
    if both:
        return _srgb(_to_both_sides(values, low, high, limit))
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


def _to_both_sides(values: Floats, low: float, high: float, limit: float) -> Floats:
    lab = np.tile(_NOTHING, (len(values), 1))
    for side, end, colours in ((-1.0, -low, _INSIDE), (1.0, high, _OUTSIDE)):
        off = values * side
        within, beyond = (off >= 0) & (off <= limit), off > limit
        share = _share(off, 0.0, limit)[:, None]
        lab[within] = (_MIDDLE + (colours[0] - _MIDDLE) * share)[within]
        share = _share(off, limit, end)[:, None]
        lab[beyond] = (colours[1] + (colours[2] - colours[1]) * share)[beyond]
    return lab


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
