"""Cuts of straight sides: rectangular brilliant, step cut, baguette."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import product
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.stone.cuts.base import LongCut
from zinc_otter.core.stone.gem import Gem, cut_by, level, through, tilted, walls

_FLATTER_UP, _FLATTER_DOWN = 0.8, 0.85
"""By what the tangent of each step's angle is that of the one nearer to the girdle. Common practice, no source."""


@dataclass(frozen=True)
class RectangularBrilliant(LongCut):
    """Square or longer, with sharp corners from which pairs of facets fan out below, as many as ``chevrons``.

    ``crown`` and ``pavilion`` are the angles of the facets at the girdle, across the width. Common practice, no source.
    """

    what: ClassVar[str] = "Rectangular brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {
        "table": (30.0, 90.0), "crown": (5.0, 60.0), "pavilion": (20.0, 75.0), "girdle": (0.5, 15.0), "chevrons": (1, 4),
    }  # fmt: skip
    length: float = 5.0
    table: float = 70.0
    crown: float = 36.0
    pavilion: float = 58.0
    girdle: float = 3.5
    chevrons: int = 3
    kind: Literal["rectangular"] = "rectangular"

    def made(self) -> Gem:
        half = self.girdle / 100 * self.width / 2
        a, b = self.width / 2, self.length / 2
        down = _steps(a, 0.0, self.pavilion, self.chevrons + 1, 0.72)
        up = _steps(a, self.table / 100, self.crown, 2, 0.72)
        planes = [level(half + up[-1][1], up=True)]
        for steps, sign in ((up, 1.0), (down, -1.0)):
            for (f, d), (g, e) in zip(steps, steps[1:], strict=False):
                for lengthwise, side, turn in product((0, 1), (1.0, -1.0), (1.0, -1.0)):
                    # Along the middle of a side, and the corner from which its facets fan out.
                    reach = (a, b)[lengthwise]
                    one, other = (np.roll([side * reach * share, 0.0], lengthwise) for share in (f, g))
                    corner = np.roll([side * reach, turn * (b, a)[lengthwise]], lengthwise)
                    planes.append(through([*corner, sign * half], [*one, sign * (half + d)], [*other, sign * (half + e)]))
        rim = np.array([[a, -b], [a, b], [-a, b], [-a, -b]])
        return cut_by(_unlike(np.array(planes), walls(rim)), rim, 2 * half)


@dataclass(frozen=True)
class StepCut(LongCut):
    """Facets in steps alongside the girdle, the corners cut by a share of the width; ``crown`` and ``pavilion`` are the
    angles of the steps at the girdle. Common practice, no source."""

    what: ClassVar[str] = "Step cut"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {
        "table": (30.0, 90.0), "crown": (5.0, 60.0), "pavilion": (20.0, 75.0), "girdle": (0.5, 15.0), "corner": (2.0, 35.0),
        "steps": (1, 5),
    }  # fmt: skip
    table: float = 60.0
    crown: float = 40.0
    pavilion: float = 52.0
    girdle: float = 3.5
    corner: float = 15.0
    steps: int = 3
    kind: Literal["step"] = "step"

    def made(self) -> Gem:
        return _stepped(self, self.corner / 100 * self.width, self.steps)


@dataclass(frozen=True)
class Baguette(LongCut):
    """A long rectangle with its corners left on and one or two steps. Common practice, no source."""

    what: ClassVar[str] = "Baguette"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {
        "table": (30.0, 90.0), "crown": (5.0, 60.0), "pavilion": (20.0, 75.0), "girdle": (0.5, 15.0), "steps": (1, 3),
    }  # fmt: skip
    width: float = 2.0
    length: float = 4.0
    table: float = 65.0
    crown: float = 35.0
    pavilion: float = 45.0
    girdle: float = 4.0
    steps: int = 2
    kind: Literal["baguette"] = "baguette"

    def made(self) -> Gem:
        return _stepped(self, 0.0, self.steps)


def _stepped(cut: StepCut | Baguette, corner: float, steps: int) -> Gem:
    a, b = cut.width / 2, cut.length / 2
    half = cut.girdle / 100 * cut.width / 2
    if corner > 0:
        c = corner
        rim = np.array([[a, -b + c], [a, b - c], [a - c, b], [c - a, b], [-a, b - c], [-a, c - b], [c - a, -b], [a - c, -b]])
    else:
        rim = np.array([[a, -b], [a, b], [-a, b], [-a, -b]])
    up, down = (
        _steps(a, cut.table / 100, cut.crown, steps, _FLATTER_UP),
        _steps(a, 0.0, cut.pavilion, steps, _FLATTER_DOWN),
    )
    upright = walls(rim)
    planes = [level(half + up[-1][1], up=True)]
    for profile, sign in ((up, 1.0), (down, -1.0)):
        for (f, d), (g, e) in zip(profile, profile[1:], strict=False):
            angle = sign * np.degrees(np.arctan2(e - d, (f - g) * a))
            for wall in upright:
                foot = -wall[3] * wall[:2] - (1 - f) * a * wall[:2]
                planes.append(tilted(wall[:2], angle, [*foot, sign * (half + d)]))
    return cut_by(np.vstack([np.array(planes), upright]), rim, 2 * half)


def _steps(reach: float, end: float, degrees: float, count: int, flatter: float) -> list[tuple[float, float]]:
    """(share of the reach, mm from the girdle) from 1 to ``end`` in even steps, each so much flatter than the one before."""
    found = [(1.0, 0.0)]
    slope = np.tan(np.radians(degrees))
    for k in range(count):
        share = 1.0 - (1.0 - end) * (k + 1) / count
        found.append((share, found[-1][1] + (found[-1][0] - share) * reach * slope))
        slope *= flatter
    return found


def _unlike(planes: Floats, upright: Floats) -> Floats:
    """Planes of which those that are the same count once."""
    kept: list[Floats] = []
    for plane in planes:
        if not any(np.allclose(plane, other, atol=1e-9) for other in kept):
            kept.append(plane)
    return np.vstack([np.array(kept), upright])
