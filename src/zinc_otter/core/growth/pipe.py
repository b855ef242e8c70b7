"""A pipe round a curve."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.curve.growing.section import Shape
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of
from zinc_otter.core.words import bare_length, length_words


@dataclass(frozen=True)
class Pipe(Growth):
    """A pipe of a ``diameter`` (mm, of its surface) round ``source``; ``around`` and ``each`` are its faces.

    Of another ``section`` it is so wide, and a flat one ``thickness`` mm thick. At ``places`` (share of the length, mm) the
    diameter is another one. It begins ``turned`` by degrees, and twists by ``twist`` from end to end.

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
    section: Shape = "round"
    thickness: float = 1.0
    turned: float = 0.0
    places: tuple[tuple[float, float], ...] = ()
    kind: Literal["pipe"] = "pipe"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curve = curve_of(forms[0], "A pipe")
        made = pipe(
            curve, self.diameter / 2, self.around, each=self.each, caps=self.ends, twist=self.twist, turned=self.turned,
            shape=self.section, thickness=self.thickness, places=[(share, width / 2) for share, width in self.places],
        )  # fmt: skip
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        others = [width for _, width in self.places]
        wide = f"{bare_length(self.diameter)} to {length_words(max(others))}" if others else length_words(self.diameter)
        section = "⌀" if self.section == "round" else f"{self.section},"
        return f"Piped {name_of(self.source)}, {section} {wide}"
