"""Put down a ring by its bore."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.ring import Shoulders, out_of_round, ring_band
from zinc_otter.core.primitives.ring_section import Profile, free_section
from zinc_otter.core.ring_sizes import ring_words
from zinc_otter.core.words import bare_length, fine_length_words, length_words
from zinc_otter.studio.commands.base import Outcome, Vector
from zinc_otter.studio.commands.forms import Count, Form, Size
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

_PROFILES = {
    "flat": "flat", "court": "court: domed inside and out", "D": "D: flat inside, domed outside",
    "comfort": "comfort: domed inside, flat outside", "knife": "knife edge", "wire": "round wire",
    "free": "free, by its corners",
}  # fmt: skip


class AddRing(Form):
    """A ring of a ``bore``, which is that of its smooth surface; ``around`` is its count of faces, an even one.

    Width and thickness are those of the surface at the top (+y of its own), and at the bottom and at the shoulders where
    they differ there. A "free" profile goes through three corners of one side, ``section``, each so far out and so far to
    the side of all, and so sharp; ``ridge`` is how sharp its middle outside is.
    """

    kind: Literal["add-ring"] = "add-ring"
    name: str = Field("Ring", min_length=1, max_length=80)
    bore: Annotated[Size, labelled("Bore", "mm", step=0.1, help="or a size: US 7, ISO 54, UK N, JP 14")] = 17.3
    width: Annotated[Size, labelled("Width", "mm", step=0.25)] = 4.0
    thickness: Annotated[Size, labelled("Thickness", "mm", step=0.1)] = 1.8
    profile: Annotated[Profile | Literal["free"], labelled("Profile", words=_PROFILES)] = "D"
    around: Annotated[Count, labelled("Faces around", step=2)] = 16
    low_width: Annotated[Size | None, labelled("Width below", "mm", step=0.25)] = None
    low_thickness: Annotated[Size | None, labelled("Thickness below", "mm", step=0.1)] = None
    shoulder: Annotated[float, Field(ge=0.2, le=5), labelled("Shoulder", step=0.1)] = 1.0
    shoulder_width: Annotated[Size | None, labelled("Shoulder width", "mm", step=0.25)] = None
    shoulder_thickness: Annotated[Size | None, labelled("Thickness there", "mm", step=0.1)] = None
    shoulder_at: Annotated[float, Field(ge=10, le=150), labelled("Shoulders at", "°", step=5)] = 50.0
    section: Annotated[tuple[Vector, ...], Field(max_length=3)] = ((0.1, 0.85, 0.0), (0.5, 1.0, 0.0), (0.9, 0.7, 0.0))
    ridge: Annotated[float, Field(ge=0, le=10), labelled("Ridge", step=0.5)] = 0.0

    def form(self) -> Cage:
        is_wire = self.profile == "wire"
        width = self.thickness if is_wire else self.width
        widths = (width, width if self.low_width is None else self.low_width)
        thick = (self.thickness, self.thickness if self.low_thickness is None else self.low_thickness)
        shape = self.profile if self.profile != "free" else free_section(self.section, self.ridge)
        return ring_band(self.bore, widths, thick, shape, self.around, self.shoulder, self._shoulders(width))

    def _shoulders(self, width: float) -> Shoulders | None:
        if self.shoulder_width is None and self.shoulder_thickness is None:
            return None
        thickness = self.thickness if self.shoulder_thickness is None else self.shoulder_thickness
        own = width if self.shoulder_width is None else self.shoulder_width
        return Shoulders(thickness if self.profile == "wire" else own, thickness, self.shoulder_at)

    def apply(self, design: Design) -> Outcome:
        outcome = super().apply(design)
        sizes = ring_words(self.bore)
        said = f"Bore {length_words(self.bore)}{f': {sizes}' if sizes else ''}."
        if self.low_thickness is None and self.shoulder_thickness is None:
            # Of a strip that is bent round it, and of a wire, the middle keeps its length.
            said += f" Mean length round it {length_words(float(np.pi * (self.bore + self.thickness)))}."
        off = out_of_round(self.form(), self.around)
        if off > 0.005:
            said += (
                f" With {self.around} faces around the bore is {fine_length_words(off)} out of round; more hold it nearer."
            )
        return replace(outcome, remarks=(*outcome.remarks, said))

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (*outcome.remarks, *super().notes(outcome))

    def called(self) -> str:
        section = f"of {length_words(self.thickness)} wire"
        if self.profile != "wire":
            section = f"{bare_length(self.width)} wide, {length_words(self.thickness)} thick"
        return f"a ring, bore {bare_length(self.bore)}, {section}"
