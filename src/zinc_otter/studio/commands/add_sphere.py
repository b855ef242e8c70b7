"""Put down a sphere: of six patches, or with poles."""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.final import roundness
from zinc_otter.core.primitives.sized import sized_patched_sphere, sized_poled_sphere
from zinc_otter.studio.commands.base import Outcome
from zinc_otter.studio.commands.forms import Count, Form, Size, formed
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import millimetres, number


class AddSphere(Form):
    """A sphere of six patches, each ``count`` x ``count`` quads: all valences are 3 or 4."""

    kind: Literal["add-sphere"] = "add-sphere"
    name: str = Field("Sphere", min_length=1, max_length=80)
    diameter: Size
    count: Count = 2

    def form(self) -> Cage:
        return sized_patched_sphere(self.diameter, self.count, self.size_of)

    def title(self, design: Design) -> str:
        return f"Put down a sphere, ⌀ {millimetres(self.diameter)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return _round_within(formed(self))


class AddPoledSphere(Form):
    """A sphere with two poles, ``counts`` faces around and from pole to pole."""

    kind: Literal["add-poled-sphere"] = "add-poled-sphere"
    name: str = Field("Sphere", min_length=1, max_length=80)
    diameter: Size
    counts: tuple[Count, Count]

    def form(self) -> Cage:
        return sized_poled_sphere(self.diameter, self.counts, self.size_of)

    def title(self, design: Design) -> str:
        return f"Put down a sphere with poles, ⌀ {millimetres(self.diameter)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return _round_within(formed(self))


def _round_within(cage: Cage) -> tuple[str, ...]:
    level = 4 if cage.topology.face_count < 400 else 2
    return (f"Round within {number(100 * roundness(cage, level), 2)} % of its radius.",)
