"""A curve drawn out to a strip: along a direction, to another curve, or off a surface."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import smoothed
from zinc_otter.core.curve.growing import strip
from zinc_otter.core.form import Form, require_faces
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth, curve_of
from zinc_otter.core.growth.laid import off_surface
from zinc_otter.core.words import fine_length_words, length_words


@dataclass(frozen=True)
class Strip(Growth):
    """``source`` drawn out by a vector ``by`` (mm), or across to another curve, ``other``; ``count`` faces across.

    With a ``surface``, a piece with faces, it is drawn out along that one's normals, ``height`` mm, below 0 inwards.
    """

    what: ClassVar[str] = "Strip"
    source: str = ""
    other: str = ""
    surface: str = ""
    by: Vec = (0.0, 0.0, 10.0)
    count: int = 1
    height: float = 5.0
    kind: Literal["strip"] = "strip"

    @property
    def sources(self) -> tuple[str, ...]:
        return tuple(one for one in (self.source, self.other or self.surface) if one)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curve = curve_of(forms[0], "A strip")
        to: Curve | Vec = self.by
        remarks: tuple[str, ...] = ()
        if self.other:
            to = curve_of(forms[1], "A strip")
        elif self.surface:
            if not self.height:
                raise GrowthError("Say how high the strip stands off the surface.")
            raised = off_surface(smoothed(curve).curve, require_faces(forms[1], "What it stands on"), self.height)
            to = raised.curve
            remarks = (
                f"Its far side lies {length_words(self.height)} off the surface within "
                f"{fine_length_words(raised.deviation)}.",
            )
        made = strip(curve, to, self.count)
        return Outgrowth(made.cage, made.suspect, (*remarks, *made.remarks))

    def deed(self, name_of: NameOf) -> str:
        if self.other:
            return f"Drew a strip from {name_of(self.source)} to {name_of(self.other)}"
        if self.surface:
            return f"Drew a strip from {name_of(self.source)} off {name_of(self.surface)}, {length_words(self.height)}"
        length = sum(x * x for x in self.by) ** 0.5
        return f"Drew {name_of(self.source)} out to a strip, {length_words(length)}"
