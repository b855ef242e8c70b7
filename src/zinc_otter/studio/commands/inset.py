"""Inset faces."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.inset import inset
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Inset(OnSelection):
    """A ring of faces ``width`` mm wide within the rim of the picked, the inner faces ``depth`` mm along their normals.

    With ``apart`` each face by itself.
    """

    kind: Literal["inset"] = "inset"
    width: Annotated[Length, Field(ge=0), labelled("Width", "mm", step=0.5)]
    depth: Annotated[Length, labelled("Depth", "mm", step=0.5)] = 0.0
    apart: Annotated[bool, labelled("Faces", words={"no": "as one region", "yes": "each by itself"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return inset(cage, selection, self.width, depth=self.depth, apart=self.apart)

    def title(self, design: Design) -> str:
        return f"Inset {self.what(design)} by {length_words(self.width)}"
