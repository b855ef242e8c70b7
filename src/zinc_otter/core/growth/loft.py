"""A surface through curves."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import loft
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of


@dataclass(frozen=True)
class Loft(Growth):
    """The surface through ``curves`` (ids), in the order in which they lie; ``count`` points round where it is above 0.

    Closed curves may have flat ``ends``. With ``mended`` false their order, directions and beginnings are those given.
    """

    what: ClassVar[str] = "Loft"
    curves: tuple[str, ...] = ()
    each: int = 1
    count: int = 0
    closed: bool = False
    ends: Literal["open", "flat"] = "open"
    mended: bool = True
    kind: Literal["loft"] = "loft"

    @property
    def sources(self) -> tuple[str, ...]:
        return self.curves

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curves = [curve_of(form, "A loft") for form in forms]
        made = loft(curves, count=self.count or None, each=self.each, closed=self.closed, ends=self.ends, mended=self.mended)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        return f"Lofted through {', '.join(name_of(curve) for curve in self.curves)}"
