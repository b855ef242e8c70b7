"""Put down a plane."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_plane
from zinc_otter.core.words import extent
from zinc_otter.studio.commands.forms import Count, Form, Size


class AddPlane(Form):
    """An open sheet of quads that looks along ``stands``; ``counts`` are the faces along its two sides."""

    kind: Literal["add-plane"] = "add-plane"
    name: str = Field("Plane", min_length=1, max_length=80)
    size: tuple[Size, Size]
    counts: tuple[Count, Count]

    def form(self) -> Cage:
        return sized_plane(self.size, self.counts, self.size_of)

    def called(self) -> str:
        return f"a plane, {extent(self.size)}"
