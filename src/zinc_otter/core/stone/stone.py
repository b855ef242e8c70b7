"""A stone as a value: its cut, and what it is of."""

from __future__ import annotations

from dataclasses import dataclass, replace

from zinc_otter.core.stone.cuts import AnyCut
from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.materials import carats, stone_material


@dataclass(frozen=True)
class Stone:
    """Equal ones are alike to the last facet. Raises BadNumberError for a material that is not in the table."""

    cut: AnyCut = RoundBrilliant()  # noqa: RUF009 - a frozen value
    material: str = "diamond"

    def __post_init__(self) -> None:
        stone_material(self.material)

    @property
    def gem(self) -> Gem:
        return self.cut.gem

    @property
    def carats(self) -> float:
        return carats(self.cut, self.material)

    def sized(self, factor: float) -> Stone:
        """The same, all its lengths ``factor`` times as large."""
        return self if factor == 1.0 else replace(self, cut=self.cut.sized(factor))

    @property
    def called(self) -> str:
        """For example ``diamond, round brilliant ⌀ 6.5 mm``."""
        return f"{stone_material(self.material).name.split(' (')[0].split(':')[0].lower()}, {self.cut.called}"
