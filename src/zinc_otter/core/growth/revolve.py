"""A curve turned about an axis."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.curve.growing import revolve
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of
from zinc_otter.core.words import number


@dataclass(frozen=True)
class Turned(Growth):
    """``source`` turned by ``degrees`` about the axis ``along`` through ``point``, in ``count`` faces."""

    what: ClassVar[str] = "Turned form"
    source: str = ""
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    count: int = 8
    degrees: float = 360.0
    kind: Literal["turned"] = "turned"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        made = revolve(curve_of(forms[0], "A turned form"), self.point, self.along, self.count, self.degrees)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        part = "" if abs(self.degrees) == 360 else f" by {number(self.degrees)}°"
        return f"Turned {name_of(self.source)} about an axis{part}"
