"""Put down a sphere: of six patches, or with poles."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.final import roundness
from zinc_otter.core.primitives.sized import sized_patched_sphere, sized_poled_sphere
from zinc_otter.core.words import length_words, number
from zinc_otter.studio.commands.base import Outcome
from zinc_otter.studio.commands.forms import Count, Form, Size, formed, put_down
from zinc_otter.studio.commands.labelled import labelled


class AddSphere(Form):
    """A sphere of six patches, each ``count`` x ``count`` quads: all valences are 3 or 4."""

    kind: Literal["add-sphere"] = "add-sphere"
    name: str = Field("Sphere", min_length=1, max_length=80)
    diameter: Annotated[Size, labelled("Diameter", "mm")]
    count: Annotated[Count, labelled("Faces across a patch")] = 2

    def form(self) -> Cage:
        return sized_patched_sphere(self.diameter, self.count, self.size_of)

    def called(self) -> str:
        return f"a sphere, ⌀ {length_words(self.diameter)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (_round_within(self), *super().notes(outcome))


class AddPoledSphere(Form):
    """A sphere with two poles, ``counts`` faces around and from pole to pole."""

    kind: Literal["add-poled-sphere"] = "add-poled-sphere"
    name: str = Field("Sphere", min_length=1, max_length=80)
    diameter: Annotated[Size, labelled("Diameter", "mm")]
    counts: tuple[Count, Count]

    def form(self) -> Cage:
        return sized_poled_sphere(self.diameter, self.counts, self.size_of)

    def called(self) -> str:
        return f"a sphere with poles, ⌀ {length_words(self.diameter)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (_round_within(self), *super().notes(outcome))


def _round_within(command: Form) -> str:
    """How round the surface is: that of the piece, or of the whole that it becomes once it is mirrored."""
    mirrored = command.keep != "whole" and not command.stands_alone
    cage = formed(command) if mirrored else put_down(command)
    # A kept half has the sphere's middle in the plane that it is cut by.
    about = cage.with_positions(cage.positions - ([0.0, 0.0, 0.0] if mirrored else command.centre))
    share = number(100 * roundness(about, 4 if cage.topology.face_count < 400 else 2), 2)
    return f"{'Once mirrored, round' if mirrored else 'Round'} within {share} % of its radius."
