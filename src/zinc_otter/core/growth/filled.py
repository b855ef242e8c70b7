"""A sheet of quads within a closed curve."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import fill
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of


@dataclass(frozen=True)
class Filled(Growth):
    """``source`` filled with quads, ``around`` faces along its border, and ``rings`` of faces before the middle."""

    what: ClassVar[str] = "Patch"
    source: str = ""
    around: int = 12
    rings: int = 1
    kind: Literal["filled"] = "filled"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        made = fill(curve_of(forms[0], "A patch"), self.around, self.rings)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        return f"Filled {name_of(self.source)}, {self.around} faces around"
