"""What stones are of: density for their weight, refractive index and dispersion for their picture.

Densities, indices at 589 nm and dispersions from the line B to the line G are handbook values from memory (R. Webster,
"Gems", 5th ed. 1994, and the tables of the Gemological Institute of America); each varies a little from stone to stone.
"""

from __future__ import annotations

from dataclasses import dataclass

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.cuts.base import Cut

CARAT = 0.2
"""Grams in a metric carat: General Conference on Weights and Measures, 1907."""


@dataclass(frozen=True)
class StoneMaterial:
    """``density`` in g/cm³, refractive ``index``, the ``tint`` it is drawn in, and ``dispersion``, 0 where none is seen.

    One that is not ``clear``, milky or opaque, hides what lies behind it.
    """

    id: str
    name: str
    density: float
    index: float
    tint: str
    dispersion: float = 0.0
    clear: bool = True


STONE_MATERIALS: tuple[StoneMaterial, ...] = (
    StoneMaterial("diamond", "Diamond", 3.52, 2.417, "#E9F1F4", 0.044),
    StoneMaterial("sapphire", "Sapphire (corundum)", 4.00, 1.766, "#3E5FA8", 0.018),
    StoneMaterial("ruby", "Ruby (corundum)", 4.00, 1.766, "#B03048", 0.018),
    StoneMaterial("emerald", "Emerald (beryl)", 2.72, 1.580, "#2F8F68", 0.014),
    StoneMaterial("aquamarine", "Aquamarine (beryl)", 2.70, 1.577, "#8CC4CF", 0.014),
    StoneMaterial("spinel", "Spinel", 3.60, 1.718, "#A8455C", 0.020),
    StoneMaterial("garnet", "Garnet (almandine)", 4.05, 1.790, "#7A2433", 0.024),
    StoneMaterial("tourmaline", "Tourmaline", 3.06, 1.630, "#4E8C6A", 0.017),
    StoneMaterial("topaz", "Topaz", 3.53, 1.620, "#C9A86B", 0.014),
    StoneMaterial("peridot", "Peridot (olivine)", 3.34, 1.672, "#9DB44B", 0.020),
    StoneMaterial("zircon", "Zircon", 4.69, 1.955, "#9FC3D6", 0.038),
    StoneMaterial("moonstone", "Moonstone (feldspar)", 2.57, 1.522, "#DDE3E4", 0.012, clear=False),
    StoneMaterial("quartz", "Quartz: rock crystal, amethyst, citrine", 2.65, 1.548, "#CFC6DC", 0.013),
    StoneMaterial("opal", "Opal", 2.10, 1.450, "#D7DDE0", clear=False),
    StoneMaterial("turquoise", "Turquoise", 2.76, 1.620, "#58AFAE", clear=False),
    StoneMaterial("amber", "Amber", 1.08, 1.540, "#D59A3A"),
    StoneMaterial("pearl", "Pearl", 2.72, 1.600, "#EFE7DC", clear=False),
    StoneMaterial("glass", "Glass", 2.50, 1.520, "#A9C7C2", 0.017),
)

_BY_ID = {one.id: one for one in STONE_MATERIALS}


def stone_material(material: str) -> StoneMaterial:
    """By its id. Raises BadNumberError for one that is not in the table."""
    if material not in _BY_ID:
        raise BadNumberError(f"There is no stone of {material!r} in the table.")
    return _BY_ID[material]


def carats(cut: Cut, material: str) -> float:
    """Weight of a stone by its exact volume.

    >>> from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
    >>> round(carats(RoundBrilliant(6.5), "diamond"), 2)
    1.03
    """
    return cut.gem.volume / 1000 * stone_material(material).density / CARAT


def carats_by_rule(cut: Cut) -> float | None:
    """Weight of a round brilliant of diamond by the trade's rule, d² × depth × 0.0061 (mm); common practice, no source.

    None for other cuts.
    """
    low, high = cut.gem.height
    return cut.width**2 * (high - low) * 0.0061 if getattr(cut, "kind", "") == "round" else None


def weighing(cut: Cut, material: str, wanted: float) -> Cut:
    """The cut in the size at which it weighs so many carats. Raises BadNumberError for a weight that is none.

    >>> from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
    >>> round(carats(weighing(RoundBrilliant(), "ruby", 2.0), "ruby"), 9)
    2.0
    """
    if not 1e-5 <= wanted <= 1e5:
        raise BadNumberError(f"A stone weighs 0.00001 to 100,000 ct; {wanted:g} ct was asked for.")
    for _ in range(40):
        factor = (wanted / carats(cut, material)) ** (1 / 3)
        cut = cut.sized(factor)
        if abs(factor - 1) < 1e-12:
            break
    return cut
