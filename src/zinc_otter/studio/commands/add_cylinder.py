"""Put down a cylinder."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_cylinder
from zinc_otter.core.primitives.turned import Caps
from zinc_otter.core.words import extent
from zinc_otter.studio.commands.forms import CAPS, Count, Form, Share, Sharpness, Size
from zinc_otter.studio.commands.labelled import labelled


class AddCylinder(Form):
    """A cylinder of ``counts`` faces around and along; its caps are quads within a ring, its rims as sharp as ``rim``."""

    kind: Literal["add-cylinder"] = "add-cylinder"
    name: str = Field("Cylinder", min_length=1, max_length=80)
    diameter: Annotated[Size, labelled("Diameter", "mm")]
    height: Annotated[Size, labelled("Height", "mm")]
    counts: tuple[Count, Count]
    caps: Annotated[Caps, CAPS] = "both"
    inset: Annotated[Share, labelled("Cap inset", "%", step=5)] = 0.3
    rim: Annotated[Sharpness, labelled("Rim sharpness", step=0.5)] = 0.0

    def form(self) -> Cage:
        return sized_cylinder((self.diameter, self.height), self.counts, self.caps, self.inset, self.rim, self.size_of)

    def called(self) -> str:
        return f"a cylinder, ⌀ {extent([self.diameter, self.height])}"
