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
    group: str = "other"
    """"metal" of the bench, "wax", or "other"."""
    def weight(self, volume: float) -> float:
        """Grams of so many mm³."""
        return self.density * volume / 1000


def _mixture(*parts: tuple[float, float]) -> float:
    """The density of metals mixed by mass shares, if their volumes add up."""
    return round(1 / sum(share / density for share, density in parts), 2)


GOLD, SILVER, COPPER, ZINC = 19.3, 10.5, 8.96, 7.134
PALLADIUM, PLATINUM, TIN, RUTHENIUM = 12.0, 21.5, 7.287, 12.1
PRACTICE = "common practice; varies with the alloy"


def _gold(share: float, silver: float, copper: float, zinc: float = 0.0, palladium: float = 0.0) -> float:
    """Gold of a fineness (ISO 9202), the rest in these parts."""
    parts = ((share, GOLD), (silver, SILVER), (copper, COPPER), (zinc, ZINC), (palladium, PALLADIUM))
    return _mixture(*((part, density) for part, density in parts if part))


MATERIALS: tuple[Material, ...] = (
    Material("Aluminium", 2.70, CRC),
    Material("Brass, 63 % copper", _mixture((0.63, COPPER), (0.37, ZINC)), MIXED, "metal"),
    Material("Bronze, 92 % copper", _mixture((0.92, COPPER), (0.08, TIN)), MIXED, "metal"),
    Material("Copper", COPPER, CRC, "metal"),
    Material("Gold", GOLD, CRC, "metal"),
    Material("Gold, 750 with silver and copper alike", _gold(0.75, 0.125, 0.125), MIXED, "metal"),
    Material("Gold, 750 rose", _gold(0.75, 0.045, 0.205), MIXED, "metal"),
    Material("Gold, 750 white with palladium", _gold(0.75, 0.10, 0.02, palladium=0.13), MIXED, "metal"),
    Material("Gold, 585 yellow", _gold(0.585, 0.205, 0.21), MIXED, "metal"),
    Material("Gold, 585 rose", _gold(0.585, 0.09, 0.325), MIXED, "metal"),
    Material("Gold, 585 white with palladium", _gold(0.585, 0.235, 0.03, palladium=0.15), MIXED, "metal"),
    Material("Gold, 375 yellow", _gold(0.375, 0.11, 0.45, 0.065), MIXED, "metal"),
    Material("Iron", 7.87, CRC),
    Material("Palladium, 950 with ruthenium", _mixture((0.95, PALLADIUM), (0.05, RUTHENIUM)), MIXED, "metal"),
    Material("Platinum", PLATINUM, CRC, "metal"),
    Material("Platinum, 950 with ruthenium", _mixture((0.95, PLATINUM), (0.05, RUTHENIUM)), MIXED, "metal"),
    Material("Silver", SILVER, CRC, "metal"),
    Material("Silver, 925 with copper", _mixture((0.925, SILVER), (0.075, COPPER)), MIXED, "metal"),
    Material("Steel, stainless", 7.9, PRACTICE, "metal"),
    Material("Titanium", 4.506, CRC, "metal"),
    Material("Zinc", ZINC, CRC),
    Material("ABS", 1.04, SHEETS),
    Material("Polyamide 12", 1.01, SHEETS),
    Material("Polylactide (PLA)", 1.24, SHEETS),
    Material("Polypropylene", 0.905, SHEETS),
    Material("Resin, printed and cured", 1.18, "common value of data sheets; grades differ by a twentieth"),
    Material("Wax, to be cast", 0.96, "common practice; waxes to carve and to inject differ by a twentieth", "wax"),
    Material("Beech wood", 0.71, "common value at 12 % moisture; it differs by a tenth from tree to tree"),
)

WAX = next(material for material in MATERIALS if material.group == "wax")
METALS = tuple(material for material in MATERIALS if material.group == "metal")
"""What a jeweller casts and works."""
