"""A stroke as plain data: with which brush, how large, how strong, and the places that the hand passed."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.reach.profiles import profile
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.brushes import BRUSHES
from zinc_otter.core.relief.stamps.stamp import Stamp

MOST_SAMPLES = 20_000
MOST_TOUCHES = 20_000
Pen = Literal["nothing", "strength", "radius", "both"]


@dataclass(frozen=True, eq=False)
class Manner:
    """All of a stroke but its way: equal manners and equal ways are equal strokes.

    ``radius`` mm; ``amount`` in what the brush measures; ``hardness`` the share of the radius that is full, the rest falls
    off by ``profile``, "drawn" by the points of ``curve``; ``spacing`` the distance of touches as a share of the radius;
    ``steady`` from 0 to below 1 how far the touches lag behind the hand. ``towards`` (3,) points at the eye, and only what
    faces it is touched, or with None all. ``pen`` says what the pressure of a pen changes. ``around`` repeats the stroke
    so many times about ``axis``. A stamp is laid "along" the way as a band, its tiles ``stretch`` times as long as they
    would be, once at "each" touch, or "once" with the way for its size and turn; ``angle`` turns it, in degrees.
    """

    brush: str
    level: int
    radius: float
    amount: float = 1.0
    hardness: float = 0.0
    profile: str = "smooth"
    spacing: float = 0.2
    steady: float = 0.0
    towards: tuple[float, float, float] | None = None
    pen: Pen = "nothing"
    around: int = 1
    axis: Plane | None = None
    stamp: Stamp | None = None
    laid: Literal["along", "each", "once"] = "along"
    angle: float = 0.0
    opposite: bool = False
    stretch: float = 1.0
    curve: tuple[tuple[float, float], ...] = ()

    def __post_init__(self) -> None:
        if self.brush not in BRUSHES:
            raise BadNumberError(f"There is no brush {self.brush!r}; there are {', '.join(BRUSHES)}.")
        profile(self.profile, self.curve)
        for name, low, high in _BOUNDS:
            value = getattr(self, name)
            if not np.isfinite(value) or not low <= value <= high:
                raise BadNumberError(f"The {name} of a brush runs from {low:g} to {high:g}; {value:g} is outside.")

    @property
    def key(self) -> str:
        """All that decides what it does, but the way."""
        stamp = None if self.stamp is None else self.stamp.digest
        return repr((replace(self, stamp=None), stamp))

    def closing(self, length: float) -> Manner:
        """The same where whole tiles of a band go into a closed way of ``length`` mm."""
        if self.stamp is None or self.laid != "along" or BRUSHES[self.brush].mode != "raises":
            return self
        tile = 2 * self.radius / self.stamp.aspect
        return replace(self, stretch=float(np.clip(length / (max(1, round(length / tile)) * tile), 0.1, 10.0)))

    @property
    def signed(self) -> float:
        return -self.amount if self.opposite else self.amount


_BOUNDS = (
    ("radius", 1e-3, 1e5),
    ("amount", -1e4, 1e4),
    ("hardness", 0.0, 0.99),
    ("spacing", 0.02, 10.0),
    ("steady", 0.0, 0.98),
    ("angle", -3600.0, 3600.0),
    ("around", 1, 128),
    ("stretch", 0.1, 10.0),
)


def checked_way(samples: Floats) -> Floats:
    """(k, 4) places of the hand, x, y, z in mm and the pressure from 0 to 1. Raises BadNumberError."""
    way = np.asarray(samples, dtype=np.float64).reshape(-1, 4)
    if not 1 <= len(way) <= MOST_SAMPLES:
        raise BadNumberError(f"A stroke has 1 to {MOST_SAMPLES:,} places; {len(way):,} were given.")
    if not np.isfinite(way).all() or np.abs(way[:, :3]).max() > 1e6:
        wrong = int(np.flatnonzero(~np.isfinite(way).all(axis=1) | (np.abs(way[:, :3]) > 1e6).any(axis=1))[0])
        raise BadNumberError(f"Place {wrong} of the stroke lies nowhere, or more than a kilometre away.")
    way[:, 3] = np.clip(way[:, 3], 0, 1)
    return way
