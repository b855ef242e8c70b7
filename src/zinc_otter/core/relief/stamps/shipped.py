"""Stamps of our own making, each from a formula; all of them tile."""

from __future__ import annotations

from collections.abc import Callable
from functools import cache

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.stamps.stamp import Stamp

_SIDE = 192


def _grid() -> tuple[Floats, Floats]:
    """Shares of the width and of the height at the middles of the pixels, the first row at the top."""
    at = (np.arange(_SIDE) + 0.5) / _SIDE
    u, v = np.meshgrid(at, 1 - at)
    return u, v


def _ripple() -> Floats:
    """Two waves across the way."""
    u, _ = _grid()
    return np.asarray(0.5 - 0.5 * np.cos(4 * np.pi * u))


def _scale() -> Floats:
    """Overlapping round scales, every other row shifted by half of one; each rises towards its rim."""
    u, v = _grid()
    height = np.zeros_like(u)
    for row in range(-1, 5):
        for column in range(-1, 3):
            x, y = (column + 0.5 * (row % 2)) / 2 + 0.25, row / 4
            far = np.hypot((u - x) / 0.28, (v - y) / 0.30)
            lift = np.where(
                far < 1, 0.15 + 0.85 * np.clip((y - v) / 0.30 * 0.5 + 0.5, 0, 1) * np.sqrt(np.maximum(0, 1 - far**8)), 0
            )
            height = np.where(far < 1, np.maximum(height * 0.2, lift), height)
    return height


def _rope() -> Floats:
    """A laid rope along the way: round across it, with strands that run aslant."""
    u, v = _grid()
    across = 2 * v - 1
    round_ = np.sqrt(np.maximum(0, 1 - across**2))
    strand = np.abs(np.sin(np.pi * (3 * u - 0.9 * np.arcsin(np.clip(across, -1, 1)) / np.pi)))
    return np.asarray(round_ * (0.55 + 0.45 * np.sqrt(strand)))


def _scattered(count: int, seed: int) -> tuple[Floats, Floats]:
    """For every pixel the distance to the nearest and to the second of so many seeded points, wrapped round."""
    u, v = _grid()
    side = int(np.sqrt(count))
    random = np.random.default_rng(seed)
    i, j = np.divmod(np.arange(side * side), side)
    x = (i + 0.5 + random.uniform(-0.34, 0.34, side * side)) / side
    y = (j + 0.5 + random.uniform(-0.34, 0.34, side * side)) / side
    dx, dy = (np.abs(a[..., None] - b) for a, b in ((u, x), (v, y)))
    far = np.hypot(np.minimum(dx, 1 - dx), np.minimum(dy, 1 - dy))
    near = np.partition(far, 1, axis=-1)
    return near[..., 0], near[..., 1]


def _pebble() -> Floats:
    """Pebbles that lie close: round on top, with a furrow between them."""
    first, second = _scattered(25, 3)
    inside = np.clip((second - first) / (second + first + 1e-9) / 0.55, 0, 1)
    return np.asarray(np.sqrt(1 - (1 - inside) ** 2))


def _hatch() -> Floats:
    """Two families of fine grooves that cross aslant, as of a file."""
    u, v = _grid()
    one, other = (np.abs(np.sin(np.pi * 4 * (u + sign * v))) for sign in (1, -1))
    return np.asarray(np.minimum(one, other) ** 0.6)


def _grain() -> Floats:
    """Grain as of leather: small cells of two sizes, softly sunk between."""
    first, second = _scattered(64, 11)
    fine, next_ = _scattered(196, 5)
    cells = np.clip((second - first) * 14, 0, 1)
    small = np.clip((next_ - fine) * 22, 0, 1)
    return np.asarray(0.7 * cells**0.7 + 0.3 * small)


SHIPPED: dict[str, Callable[[], Floats]] = {
    "ripple": _ripple, "scale": _scale, "rope": _rope, "pebble": _pebble, "hatch": _hatch, "grain": _grain,
}  # fmt: skip


@cache
def shipped(name: str) -> Stamp:
    """The shipped stamp of a name. Raises KeyError."""
    return Stamp(np.ascontiguousarray(SHIPPED[name](), dtype=np.float32), tiles=True)
