"""Put down a box."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_box
from zinc_otter.core.words import extent
from zinc_otter.studio.commands.forms import Count, Form, Size


class AddBox(Form):
    """A closed box of quads; ``counts`` are the faces along x, y and z."""

    kind: Literal["add-box"] = "add-box"
    name: str = Field("Box", min_length=1, max_length=80)
    size: tuple[Size, Size, Size]
    counts: tuple[Count, Count, Count]

    def form(self) -> Cage:
        return sized_box(self.size, self.counts, self.size_of)

    def called(self) -> str:
        return f"a box, {extent(self.size)}"
