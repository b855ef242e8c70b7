"""Brilliants: round, oval, pear, marquise, cushion and trillion."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.stone.brilliant import brilliant
from zinc_otter.core.stone.cuts.base import Cut, LongCut
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.outlines import Outline, cushion, ellipse, marquise, pear, trillion

BOUNDS = {
    "table": (20.0, 85.0), "crown": (5.0, 60.0), "pavilion": (10.0, 70.0), "girdle": (0.5, 15.0), "star": (20.0, 80.0),
    "lower": (40.0, 95.0), "culet": (0.0, 15.0),
}  # fmt: skip


@dataclass(frozen=True)
class RoundBrilliant(Cut):
    """57 facets, and a 58th where there is a culet.

    Proportions to begin with: table 57 %, crown 34.5°, pavilion 40.75°, stars 50 %, lower halves 77 %; common practice, from
    memory. M. Tolkowsky, "Diamond Design", 1919, gives a table of 53 % with 34.5° and 40.75°.

    >>> len(RoundBrilliant(6.5).gem.facets) - 96
    57
    """

    what: ClassVar[str] = "Round brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    is_round: ClassVar[bool] = True
    table: float = 57.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0
    kind: Literal["round"] = "round"

    def made(self) -> Gem:
        return _brilliant(self, ellipse(self.width, self.width))


@dataclass(frozen=True)
class OvalBrilliant(LongCut):
    """A round brilliant drawn out; its angles are those across the width."""

    what: ClassVar[str] = "Oval brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    table: float = 57.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0
    kind: Literal["oval"] = "oval"

    def made(self) -> Gem:
        return _brilliant(self, ellipse(self.width, self.length))


@dataclass(frozen=True)
class PearBrilliant(LongCut):
    """A half circle and two arcs that meet in a tip; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Pear brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    table: float = 57.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0
    kind: Literal["pear"] = "pear"

    def made(self) -> Gem:
        return _brilliant(self, pear(self.width, self.length))


@dataclass(frozen=True)
class MarquiseBrilliant(LongCut):
    """Two arcs that meet in tips; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Marquise brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    length: float = 10.0
    table: float = 57.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0
    kind: Literal["marquise"] = "marquise"

    def made(self) -> Gem:
        return _brilliant(self, marquise(self.width, self.length))


@dataclass(frozen=True)
class CushionBrilliant(LongCut):
    """Rounded sides, by a superellipse; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Cushion brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    length: float = 5.5
    table: float = 58.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0
    kind: Literal["cushion"] = "cushion"

    def made(self) -> Gem:
        return _brilliant(self, cushion(self.width, self.length))


@dataclass(frozen=True)
class TrillionBrilliant(Cut):
    """Three sides that are arcs; its width is that between two corners. Common practice, no source."""

    what: ClassVar[str] = "Trillion brilliant"
    bounds: ClassVar[dict[str, tuple[float, float]]] = BOUNDS
    table: float = 60.0
    crown: float = 34.5
    pavilion: float = 40.0
    girdle: float = 3.5
    star: float = 70.0
    lower: float = 70.0
    culet: float = 0.0
    kind: Literal["trillion"] = "trillion"

    def made(self) -> Gem:
        return _brilliant(self, trillion(self.width))


def _brilliant(
    cut: RoundBrilliant | OvalBrilliant | PearBrilliant | MarquiseBrilliant | CushionBrilliant | TrillionBrilliant,
    outline: Outline,
) -> Gem:
    shares = (cut.table / 100, cut.crown, cut.pavilion, cut.girdle / 100, cut.star / 100, cut.lower / 100, cut.culet / 100)
    return brilliant(outline, cut.width, *shares)
