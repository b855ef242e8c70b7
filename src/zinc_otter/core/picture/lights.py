"""The light around a form, made by formulas: radiance by direction, as a picture of the whole sphere."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.topology import Floats

WORDS = {
    "tent": "Light tent",
    "window": "North window",
    "dusk": "Dusk by the water",
    "even": "Even light from all around",
}
"""What each light is called, by its short name."""

_HIGH, _WIDE = 256, 512


def sphere_of(light: str) -> Floats:
    """(256, 512, 3) linear radiance: rows from straight up to straight down, columns once round. A bearing of -90 degrees is
    the front (-y), 0 the right (+x), 180 the left."""
    rise = np.pi / 2 - (np.arange(_HIGH) + 0.5) / _HIGH * np.pi
    # Columns go round from the back (+y) by the right (+x), as seen from above with the clock.
    turn = (np.pi / 2 - (np.arange(_WIDE) + 0.5) / _WIDE * 2 * np.pi + np.pi) % (2 * np.pi) - np.pi
    up, round_it = np.meshgrid(np.degrees(rise), np.degrees(turn), indexing="ij")
    found = _LIGHTS[light](up, round_it)
    # What lies flat and white is as bright in all of them, but in dusk, which is darker.
    weight = np.where(up > 0, np.sin(np.radians(up)) * np.cos(np.radians(up)), 0) * (np.pi / _HIGH) * (2 * np.pi / _WIDE)
    white = float((found.mean(axis=2) * weight).sum() / np.pi)
    return np.asarray(found * (_BRIGHT.get(light, 1.0) / white))


_BRIGHT = {"tent": 0.9, "window": 0.8, "dusk": 0.5}
"""How bright white paper lies in it, of a whole."""


def _tent(up: Floats, turn: Floats) -> Floats:
    """White cloth all around, brighter above; two dark flags give polished metal its edges."""
    light = 0.3 + 0.35 * _smooth(up, 0, 50) + 2.4 * _smooth(up, 55, 70)
    # A bright panel to the left of the front, from which most of the light comes.
    light = light + 3.2 * _panel(up, turn, (12, 58), (-175, -120))
    for at in (-100.0, 35.0):
        light = light * (1 - 0.94 * _panel(up, turn, (-12, 62), (at - 8, at + 8)))
    light = np.where(up < 0, 0.3, light)
    return np.asarray(light[..., None] * np.array([1.0, 0.985, 0.96]))


def _window(up: Floats, turn: Floats) -> Floats:
    """A dim room with one tall window of four panes."""
    room = 0.16 + 0.1 * _smooth(up, -40, 60)
    pane = np.zeros_like(up)
    for low, high in ((12, 34), (37, 62)):
        for left, right in ((-168, -146), (-143, -121)):
            pane = pane + _panel(up, turn, (low, high), (left, right), 1.0)
    wall = 0.55 * _panel(up, turn, (-5, 50), (0, 70), 12.0)
    warm, cool = np.array([1.0, 0.9, 0.78]), np.array([0.92, 0.98, 1.0])
    return np.asarray(room[..., None] * warm + wall[..., None] * warm + 11.0 * pane[..., None] * cool)


def _dusk(up: Floats, turn: Floats) -> Floats:
    """A deep sky, a warm horizon where the sun has gone, and the water under both."""
    height = abs(up)
    glow = np.exp(-height / 9.0) * (0.35 + 1.9 * np.exp(-((_apart(turn, -120) / 42.0) ** 2)))
    sky = 0.22 + 0.5 * np.exp(-height / 35.0)
    tone = sky[..., None] * np.array([0.42, 0.62, 1.0]) + glow[..., None] * np.array([2.3, 1.15, 0.5])
    dims = np.where(up < 0, 0.45, 1.0)[..., None]
    return np.asarray(1.35 * tone * dims)


def _even(up: Floats, turn: Floats) -> Floats:
    return np.ones((*up.shape, 3))


_LIGHTS: dict[str, Callable[[Floats, Floats], Floats]] = {"tent": _tent, "window": _window, "dusk": _dusk, "even": _even}


def _smooth(x: Floats, low: float, high: float) -> Floats:
    t = np.clip((x - low) / (high - low), 0, 1)
    return np.asarray(t * t * (3 - 2 * t))


def _panel(
    up: Floats, turn: Floats, heights: tuple[float, float], sides: tuple[float, float], soft: float = 5.0
) -> Floats:
    """1 within a rectangle of directions in degrees, 0 without, with edges so ``soft``."""
    middle, half = (sides[0] + sides[1]) / 2, (sides[1] - sides[0]) / 2
    within = _smooth(half - _apart(turn, middle), 0, soft)
    return np.asarray(within * _smooth(up, heights[0], heights[0] + soft) * _smooth(-up, -heights[1], -heights[1] + soft))


def _apart(turn: Floats, at: float) -> Floats:
    """Degrees round between two bearings."""
    return np.asarray(abs((turn - at + 180) % 360 - 180))
