"""A pipe round a curve."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of
from zinc_otter.core.words import millimetres


@dataclass(frozen=True)
class Pipe(Growth):
    """A round pipe of a ``diameter`` (mm, of its surface) round ``source``; ``around`` and ``each`` are its faces.

    >>> from zinc_otter.core.curve import Curve
    >>> Pipe("p1").grow([Curve([(0, 0, 0), (10, 0, 0), (20, 5, 0)])]).form.topology.is_closed
    True
    """

    what: ClassVar[str] = "Pipe"
    source: str = ""
    diameter: float = 2.0
    around: int = 8
    each: int = 3
    ends: Literal["flat", "open", "round"] = "flat"
    twist: float = 0.0
    kind: Literal["pipe"] = "pipe"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curve = curve_of(forms[0], "A pipe")
        made = pipe(curve, self.diameter / 2, self.around, each=self.each, caps=self.ends, twist=self.twist)
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        return f"Piped {name_of(self.source)}, ⌀ {millimetres(self.diameter)}"
