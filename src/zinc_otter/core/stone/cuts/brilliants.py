"""Brilliants: round, oval, pear, marquise, cushion and trillion."""

from __future__ import annotations

from abc import abstractmethod
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.stone.brilliant import brilliant
from zinc_otter.core.stone.cuts.base import Cut, LongCut
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.outlines import Outline, cushion, ellipse, marquise, pear, trillion


@dataclass(frozen=True)
class Brilliant(Cut):
    """What all brilliants share: numbers across the width, in per cent of it or degrees, and how they become facets."""

    bounds: ClassVar[dict[str, tuple[float, float]]] = {
        "table": (20.0, 85.0), "crown": (5.0, 60.0), "pavilion": (10.0, 70.0), "girdle": (0.5, 15.0), "star": (20.0, 80.0),
        "lower": (40.0, 95.0), "culet": (0.0, 15.0),
    }  # fmt: skip
    table: float = 57.0
    crown: float = 34.5
    pavilion: float = 40.75
    girdle: float = 3.5
    star: float = 50.0
    lower: float = 77.0
    culet: float = 0.0

    @property
    @abstractmethod
    def outline(self) -> Outline:
        """That of the girdle."""

    def made(self) -> Gem:
        shares = (self.girdle / 100, self.star / 100, self.lower / 100, self.culet / 100)
        return brilliant(self.outline, self.width, self.table / 100, self.crown, self.pavilion, *shares)


@dataclass(frozen=True)
class RoundBrilliant(Brilliant):
    """57 facets, and a 58th where there is a culet.

    Proportions to begin with: table 57 %, crown 34.5°, pavilion 40.75°, stars 50 %, lower halves 77 %; common practice, from
    memory. M. Tolkowsky, "Diamond Design", 1919, gives a table of 53 % with 34.5° and 40.75°.

    >>> len(RoundBrilliant(6.5).gem.facets) - 96
    57
    """

    what: ClassVar[str] = "Round brilliant"
    is_round: ClassVar[bool] = True
    kind: Literal["round"] = "round"

    @property
    def outline(self) -> Outline:
        return ellipse(self.width, self.width)


@dataclass(frozen=True)
class OvalBrilliant(Brilliant, LongCut):
    """A round brilliant drawn out; its angles are those across the width."""

    what: ClassVar[str] = "Oval brilliant"
    kind: Literal["oval"] = "oval"

    @property
    def outline(self) -> Outline:
        return ellipse(self.width, self.length)


@dataclass(frozen=True)
class PearBrilliant(Brilliant, LongCut):
    """A half circle and two arcs that meet in a tip; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Pear brilliant"
    kind: Literal["pear"] = "pear"

    @property
    def outline(self) -> Outline:
        return pear(self.width, self.length)


@dataclass(frozen=True)
class MarquiseBrilliant(Brilliant, LongCut):
    """Two arcs that meet in tips; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Marquise brilliant"
    length: float = 10.0
    kind: Literal["marquise"] = "marquise"

    @property
    def outline(self) -> Outline:
        return marquise(self.width, self.length)


@dataclass(frozen=True)
class CushionBrilliant(Brilliant, LongCut):
    """Rounded sides, by a superellipse; proportions of the round brilliant, across the width."""

    what: ClassVar[str] = "Cushion brilliant"
    length: float = 5.5
    table: float = 58.0
    kind: Literal["cushion"] = "cushion"

    @property
    def outline(self) -> Outline:
        return cushion(self.width, self.length)


@dataclass(frozen=True)
class TrillionBrilliant(Brilliant):
    """Three sides that are arcs; its width is that between two corners. Common practice, no source."""

    what: ClassVar[str] = "Trillion brilliant"
    table: float = 60.0
    pavilion: float = 40.0
    star: float = 70.0
    lower: float = 70.0
    kind: Literal["trillion"] = "trillion"

    @property
    def outline(self) -> Outline:
        return trillion(self.width)
