"""a cone or a truncated cone."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_cone
from zinc_otter.core.primitives.turned import Caps
from zinc_otter.core.words import bare_length, extent, length_words
from zinc_otter.studio.commands.base import Length
from zinc_otter.studio.commands.forms import CAPS, Count, Form, Share, Sharpness, Size
from zinc_otter.studio.commands.labelled import labelled


class AddCone(Form):
    """A truncated cone, or with a ``top`` of 0 a cone with a tip, which is a corner as sharp as ``tip``."""

    kind: Literal["add-cone"] = "add-cone"
    name: str = Field("Cone", min_length=1, max_length=80)
    bottom: Annotated[Size, labelled("Bottom diameter", "mm")]
    top: Annotated[Length, Field(ge=0), labelled("Top diameter", "mm")] = 0.0
    height: Annotated[Size, labelled("Height", "mm")]
    counts: tuple[Count, Count]
    caps: Annotated[Caps, CAPS] = "both"
    inset: Annotated[Share, labelled("Cap inset", "%", step=5)] = 0.3
    rim: Annotated[Sharpness, labelled("Rim sharpness", step=0.5)] = 0.0
    tip: Annotated[Sharpness, labelled("Tip sharpness", step=0.5)] = 0.0

    def form(self) -> Cage:
        sizes = (self.bottom, self.top, self.height)
        return sized_cone(sizes, self.counts, self.caps, self.inset, self.rim, self.tip, self.size_of)

    def called(self) -> str:
        if self.top == 0:
            return f"a cone, ⌀ {extent([self.bottom, self.height])}"
        return f"a truncated cone, ⌀ {bare_length(self.bottom)} to {bare_length(self.top)}, {length_words(self.height)} high"
