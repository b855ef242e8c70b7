"""What pieces are made of in a picture. Metals by their complex refractive indices, clear things by a refractive index."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from zinc_otter.core.errors import BadNumberError

Colour = tuple[float, float, float]


@dataclass(frozen=True)
class Finish:
    """``kind`` tells how light meets it: "matt", "coated" (a colour under a clear coat), "metal", or "clear".

    ``colour`` is its reflectance in linear light from 0 to 1, None for the piece's own clay; of what is clear, the share
    that passes. ``metals`` are chemical symbols with their shares by atoms, for the renderer's tables of measured indices;
    an alloy is taken for a mixture of them, which tells its colour only. ``roughness`` is the root mean square slope of its
    small facets (B. Walter, S. Marschner, H. Li, K. Torrance, "Microfacet models for refraction through rough surfaces",
    2007). ``dispersion`` of what is clear is by how much more it refracts at the line G of J. Fraunhofer (430.8 nm) than at
    B (686.7 nm), as handbooks of gems give it; ``index`` is that at 589.3 nm, the line D. With ``grain`` its colour goes by
    place, as that of wood does (:mod:`wood`).
    """

    words: str
    kind: Literal["matt", "coated", "metal", "clear"]
    colour: Colour | None = None
    metals: tuple[tuple[str, float], ...] = ()
    roughness: float = 0.0
    index: float = 1.5
    dispersion: float = 0.0
    grain: bool = False

    def index_at(self, wavelength: float) -> float:
        """The refractive index at a wavelength in nm, by the formula of A.-L. Cauchy, 1836: a + b / λ².

        >>> diamond = Finish("Diamond", "clear", index=2.417, dispersion=0.044)
        >>> round(diamond.index_at(430.8) - diamond.index_at(686.7), 6), round(diamond.index_at(589.3), 6)
        (0.044, 2.417)
        """
        b = self.dispersion / (430.8**-2 - 686.7**-2)
        return self.index + b * (wavelength**-2 - 589.3**-2)


_GOLD, _ROSE = (("Au", 1.0),), (("Au", 0.55), ("Cu", 0.45))

FINISHES: dict[str, Finish] = {
    "clay": Finish("Clay, in its own colour", "matt"),
    "glazed": Finish("Glazed clay, in its own colour", "coated", roughness=0.03),
    "plastic": Finish("Printed plastic, white", "coated", (0.78, 0.77, 0.74), roughness=0.22),
    "rubber": Finish("Rubber, dark", "coated", (0.028, 0.03, 0.032), roughness=0.4),
    "wood": Finish("Wood, oiled", "coated", (0.39, 0.223, 0.11), roughness=0.3, grain=True),
    "glass": Finish("Glass, clear", "clear", (0.96, 0.98, 0.97), index=1.52, dispersion=0.017),
    "resin": Finish("Resin, amber", "clear", (0.95, 0.72, 0.35), index=1.54),
    "gold": Finish("Gold, polished", "metal", metals=_GOLD, roughness=0.025),
    "gold-brushed": Finish("Gold, brushed", "metal", metals=_GOLD, roughness=0.22),
    "rose-gold": Finish("Rose gold, polished", "metal", metals=_ROSE, roughness=0.025),
    "silver": Finish("Silver, polished", "metal", metals=(("Ag", 1.0),), roughness=0.025),
    "silver-brushed": Finish("Silver, brushed", "metal", metals=(("Ag", 1.0),), roughness=0.22),
    "copper": Finish("Copper, polished", "metal", metals=(("Cu", 1.0),), roughness=0.06),
    "steel": Finish("Chromed, polished", "metal", metals=(("Cr", 1.0),), roughness=0.05),
    "aluminium": Finish("Aluminium, blasted", "metal", metals=(("Al", 1.0),), roughness=0.3),
}
"""By their short names, in the order in which they are offered."""


def finish_named(name: str) -> Finish:
    """Raises BadNumberError for a name that is none."""
    if name not in FINISHES:
        raise BadNumberError(f"There is no finish {name!r}.")
    return FINISHES[name]
