"""Put down a plane."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import plane
from zinc_otter.studio.commands.add_box import Count, Size
from zinc_otter.studio.commands.base import NewPiece, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import extent


class AddPlane(NewPiece):
    """An open sheet of quads that faces up; ``size`` in mm and ``counts`` of faces along x and y."""

    kind: Literal["add-plane"] = "add-plane"
    name: str = Field("Plane", min_length=1, max_length=80)
    size: tuple[Size, Size]
    counts: tuple[Count, Count]
    centre: Vector = (0.0, 0.0, 0.0)

    def cage(self) -> Cage:
        return plane(self.size, self.counts, self.centre)

    def title(self, design: Design) -> str:
        return f"Put down a plane, {extent(self.size)}"
