"""A curve drawn out to a strip."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.curve.growing import strip
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of
from zinc_otter.core.words import millimetres


@dataclass(frozen=True)
class Strip(Growth):
    """``source`` drawn out by a vector ``by`` (mm), or across to another curve, ``other``; ``count`` faces across."""

    what: ClassVar[str] = "Strip"
    source: str = ""
    other: str = ""
    by: Vec = (0.0, 0.0, 10.0)
    count: int = 1
    kind: Literal["strip"] = "strip"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source, self.other) if self.other else (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curves = [curve_of(form, "A strip") for form in forms]
        made = strip(curves[0], curves[1] if len(curves) > 1 else self.by, self.count)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        if self.other:
            return f"Drew a strip from {name_of(self.source)} to {name_of(self.other)}"
        length = sum(x * x for x in self.by) ** 0.5
        return f"Drew {name_of(self.source)} out to a strip, {millimetres(length)}"
