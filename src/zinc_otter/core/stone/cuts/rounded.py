"""Stones without facets: cabochons and pearls."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.cuts.base import Cut, LongCut
from zinc_otter.core.stone.gem import Gem, turned
from zinc_otter.core.stone.outlines import ellipse
from zinc_otter.core.words import bare_length, length_words

_ROWS = 10


@dataclass(frozen=True)
class Cabochon(LongCut):
    """An elliptical ``dome`` (% of the width) over a band of a ``girdle`` and a base: flat, or a ``back`` that is domed too.

    Its volume is that of two half ellipsoids and an elliptical cylinder: 2/3 π a b h each, and π a b g.
    """

    what: ClassVar[str] = "Cabochon"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {"dome": (5.0, 120.0), "back": (0.0, 100.0), "girdle": (0.5, 40.0)}
    length: float = 5.0
    dome: float = 40.0
    back: float = 0.0
    girdle: float = 8.0
    kind: Literal["cabochon"] = "cabochon"

    def made(self) -> Gem:
        area = np.pi * self.width / 2 * self.length / 2
        return domed(ellipse(self.width, self.length).polygon(4), self.width, self.dome, self.back, self.girdle, area)


def domed(rim: Floats, width: float, dome: float, back: float, girdle: float, area: float) -> Gem:
    """Domes over and under a ``rim`` (m, 2) mm that holds ``area`` mm²; their heights and the girdle's are per cent of the
    ``width``."""
    half = girdle / 100 * width / 2
    top, low = dome / 100 * width, back / 100 * width
    angle = np.linspace(0, np.pi / 2, _ROWS + 1)
    over = [(float(np.sin(a)), half + top * float(np.cos(a))) for a in angle]
    under = [(float(np.sin(a)), -half - low * float(np.cos(a))) for a in angle[::-1]] if low > 0 else [(1.0, -half)]
    # At the tips the sine is not quite nought.
    profile = [(0.0 if share < 1e-12 else share, z) for share, z in [*over, *under]]
    return turned(rim, profile, 2 * half, area * (2 / 3 * (top + low) + 2 * half))


@dataclass(frozen=True)
class Pearl(Cut):
    """A ball, whole, or drilled from below with a ``bore`` in mm, half or all the way through."""

    what: ClassVar[str] = "Pearl"
    is_round: ClassVar[bool] = True
    drilled: Literal["whole", "half", "through"] = "whole"
    bore: float = 0.8
    kind: Literal["pearl"] = "pearl"

    def __post_init__(self) -> None:
        super().__post_init__()
        if self.drilled != "whole" and not (np.isfinite(self.bore) and 0.1 <= self.bore <= 0.8 * self.width):
            raise BadNumberError(
                f"A pearl of {length_words(self.width)} is drilled with {bare_length(0.1)} to "
                f"{length_words(0.8 * self.width)}; {length_words(self.bore)} is not."
            )

    def sized(self, factor: float) -> Pearl:
        # The bore is that of the peg, whatever the pearl.
        return Pearl(self.width * factor, self.drilled, self.bore)

    def made(self) -> Gem:
        r, hole = self.width / 2, (self.bore / 2 if self.drilled != "whole" else 0.0)
        low = np.arcsin(hole / r)
        high = low if self.drilled == "through" else 0.0
        angle = np.linspace(high, np.pi - low, 2 * _ROWS + 1)
        profile = [(float(np.sin(a)), r * float(np.cos(a))) for a in angle]
        profile = [(0.0 if share < 1e-12 else share, z) for share, z in profile]
        lost = 0.0
        if hole:
            cap = r - r * np.cos(low)
            lost = np.pi * cap**2 * (3 * r - cap) / 3 + np.pi * hole**2 * (r * np.cos(low))
            if self.drilled == "half":
                profile += [(hole / r, 0.0), (0.0, 0.0)]
            else:
                lost *= 2
        rim = ellipse(self.width, self.width).polygon(3)
        return turned(rim, profile, 0.0, 4 / 3 * np.pi * r**3 - lost)
