"""Chains: a link of wire by itself, and links through one another along a curve."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.primitives.link import link, pitch_of, wire_of
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.words import bare_length, extent, length_words
from zinc_otter.studio.commands.base import Command, Length, Name, Outcome, PieceId
from zinc_otter.studio.commands.forms import Form, Size
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

_HELP = "or a gauge: 18 ga"
Wire = Annotated[Size, labelled("Wire", "mm", step=0.1, help=_HELP)]
Inside = Annotated[Size, labelled("Length inside", "mm", step=0.25)]
Across = Annotated[Size, labelled("Width inside", "mm", step=0.25)]
Around = Annotated[int, Field(ge=4, le=32), labelled("Faces round the wire", step=2)]


class AddLink(Form):
    """A link of ``wire``, ``length`` along y and ``width`` along x inside; as long as wide it is a jump ring."""

    kind: Literal["add-link"] = "add-link"
    name: str = Field("Link", min_length=1, max_length=80)
    wire: Wire = 1.0
    length: Inside = 6.0
    width: Across = 3.0
    around: Around = 8

    def form(self) -> Cage:
        return link(self.wire, self.length, self.width, self.around)

    def apply(self, design: Design) -> Outcome:
        done = super().apply(design)
        takes = length_words(wire_of(self.wire, self.length, self.width))
        return replace(done, remarks=(*done.remarks, f"It takes {takes} of wire, along its middle."))

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (*outcome.remarks, *super().notes(outcome))

    def called(self) -> str:
        return f"a link of {length_words(self.wire)} wire, {extent((self.length, self.width))} inside"


class LayChain(Command):
    """Links through one another along the curve ``curve``: one link, hidden, and its images along it.

    Pull the curve and there are more or fewer of them; pull the link and all of them follow. Each has at least ``play`` mm
    to the next; round a closed curve they are an even number.
    """

    kind: Literal["lay-chain"] = "lay-chain"
    curve: PieceId
    name: Name = "Chain"
    wire: Wire = 1.0
    length: Inside = 6.0
    width: Across = 3.0
    play: Annotated[Length, Field(ge=0), labelled("Play", "mm", step=0.05)] = 0.1
    around: Around = 8

    def apply(self, design: Design) -> Outcome:
        line = design.piece(self.curve)
        if line.curve is None:
            raise BadSelectionError(f"{line.name} is no curve: pick the curve that the chain is to go along.")
        pitch = pitch_of(self.wire, self.length, self.width, self.play)
        cage = link(self.wire, self.length, self.width, self.around)
        design, one = design.with_new_piece(f"Link of {self.name}", cage)
        design = design.with_piece(replace(one, visible=False))
        growth = Repeat(
            originals=(one.id,), way="curve", rail=self.curve, pitch=pitch, turned=90.0, bodies="apart",
        )  # fmt: skip
        design, chain = design.with_new_growth(self.name, growth)
        return Outcome(design, self.curve, remarks=(self._told(chain.form),))

    def title(self, design: Design) -> str:
        sizes = f"{bare_length(self.wire)} wire, {extent((self.length, self.width))} inside"
        return f"Laid a chain along {design.piece(self.curve).name}, {sizes}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return outcome.remarks

    def _told(self, chain: object) -> str:
        count = chain.count if isinstance(chain, Repeated) else 0
        each = wire_of(self.wire, self.length, self.width)
        return f"{count} links; each takes {length_words(each)} of wire, all together {length_words(count * each)}."
