"""Put down a tube, a torus or a capsule."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_capsule, sized_torus, sized_tube
from zinc_otter.core.words import bare_length, extent, length_words
from zinc_otter.studio.commands.forms import Count, Form, Sharpness, Size
from zinc_otter.studio.commands.labelled import labelled


class AddTube(Form):
    """A closed tube of ``counts`` faces around, along, and across its rims, which are as sharp as ``rim``."""

    kind: Literal["add-tube"] = "add-tube"
    name: str = Field("Tube", min_length=1, max_length=80)
    outer: Annotated[Size, labelled("Outer diameter", "mm")]
    inner: Annotated[Size, labelled("Inner diameter", "mm")]
    height: Annotated[Size, labelled("Height", "mm")]
    counts: tuple[Count, Count, Count]
    rim: Annotated[Sharpness, labelled("Rim sharpness", step=0.5)] = 0.0

    def form(self) -> Cage:
        return sized_tube((self.outer, self.inner, self.height), self.counts, self.rim, self.size_of)

    def called(self) -> str:
        return (
            f"a tube, ⌀ {bare_length(self.outer)} outside, {bare_length(self.inner)} inside, {length_words(self.height)} "
            f"high"
        )


class AddTorus(Form):
    """A torus: ``ring`` is the diameter of its centre line, ``section`` that of its section."""

    kind: Literal["add-torus"] = "add-torus"
    name: str = Field("Torus", min_length=1, max_length=80)
    ring: Annotated[Size, labelled("Ring diameter", "mm")]
    section: Annotated[Size, labelled("Section diameter", "mm")]
    counts: tuple[Count, Count]

    def form(self) -> Cage:
        return sized_torus((self.ring, self.section), self.counts, self.size_of)

    def called(self) -> str:
        return f"a torus, ⌀ {bare_length(self.ring)} with a section of ⌀ {length_words(self.section)}"


class AddCapsule(Form):
    """A capsule of a whole ``length``: ``counts`` are the faces across an end, and along the straight part."""

    kind: Literal["add-capsule"] = "add-capsule"
    name: str = Field("Capsule", min_length=1, max_length=80)
    diameter: Annotated[Size, labelled("Diameter", "mm")]
    length: Annotated[Size, labelled("Length", "mm")]
    counts: tuple[Count, Count]

    def form(self) -> Cage:
        return sized_capsule((self.diameter, self.length), self.counts, self.size_of)

    def called(self) -> str:
        return f"a capsule, ⌀ {extent([self.diameter, self.length])}"
