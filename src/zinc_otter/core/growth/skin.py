"""A skin over a net of curves."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import skin
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of


@dataclass(frozen=True)
class Skin(Growth):
    """The surface over ``curves`` (ids) of two families that cross; within ``tolerance`` mm they are drawn together."""

    what: ClassVar[str] = "Skin"
    curves: tuple[str, ...] = ()
    each: int = 2
    tolerance: float = 0.1
    kind: Literal["skin"] = "skin"

    @property
    def sources(self) -> tuple[str, ...]:
        return self.curves

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        made = skin([curve_of(form, "A skin") for form in forms], each=self.each, tolerance=self.tolerance)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        return f"Laid a skin over {len(self.curves)} curves"
