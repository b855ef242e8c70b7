"""What a solid weighs: densities of materials that forms are cast, printed, turned and carved of.

The figures are from memory: they were not read off the sources that are named with them.
"""

from __future__ import annotations

from dataclasses import dataclass

CRC = "CRC Handbook of Chemistry and Physics, 95th ed. 2014, section 4, physical constants of the elements"
MIXED = "by the rule of mixtures from the densities of its metals in the CRC Handbook, 95th ed. 2014"
SHEETS = "common value of data sheets measured by ISO 1183; grades differ by some hundredths"


@dataclass(frozen=True)
class Material:
    """``density`` in g/cm³, and where it is from."""

    name: str
    density: float
    source: str

    def weight(self, volume: float) -> float:
        """Grams of so many mm³."""
        return self.density * volume / 1000


def _mixture(*parts: tuple[float, float]) -> float:
    """The density of metals mixed by mass shares, if their volumes add up."""
    return round(1 / sum(share / density for share, density in parts), 2)


GOLD, SILVER, COPPER, ZINC = 19.3, 10.5, 8.96, 7.134

MATERIALS: tuple[Material, ...] = (
    Material("Aluminium", 2.70, CRC),
    Material("Brass, 63 % copper", _mixture((0.63, COPPER), (0.37, ZINC)), MIXED),
    Material("Copper", COPPER, CRC),
    Material("Gold", GOLD, CRC),
    Material("Gold, 750 with silver and copper alike", _mixture((0.75, GOLD), (0.125, SILVER), (0.125, COPPER)), MIXED),
    Material("Iron", 7.87, CRC),
    Material("Platinum", 21.5, CRC),
    Material("Silver", SILVER, CRC),
    Material("Silver, 925 with copper", _mixture((0.925, SILVER), (0.075, COPPER)), MIXED),
    Material("Titanium", 4.506, CRC),
    Material("Zinc", ZINC, CRC),
    Material("ABS", 1.04, SHEETS),
    Material("Polyamide 12", 1.01, SHEETS),
    Material("Polylactide (PLA)", 1.24, SHEETS),
    Material("Polypropylene", 0.905, SHEETS),
    Material("Beech wood", 0.71, "common value at 12 % moisture; it differs by a tenth from tree to tree"),
)
