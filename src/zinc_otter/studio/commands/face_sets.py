"""Name picked faces, so that they can be recalled; forget the name."""

from __future__ import annotations

from dataclasses import replace
from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edit import same_structure
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands.base import Command, Name, OnSelection, Outcome, PieceId
from zinc_otter.studio.design import Design


class NameFaces(OnSelection):
    """Keep the picked faces as a set under a name; a set of that name is replaced."""

    is_quick = True

    kind: Literal["name-faces"] = "name-faces"
    name: Name

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if selection.kind != "face":
            raise BadSelectionError("A set is made of faces; pick faces first.")
        selection.check(cage.topology)
        named = Cage(
            cage.positions, cage.topology, cage.edge_sharpness, cage.vertex_sharpness,
            {**cage.face_sets, self.name: selection.ids},
        )  # fmt: skip
        return same_structure(named, selection)

    def title(self, design: Design) -> str:
        return f"Named {self.what(design)} “{self.name}”"


class ForgetFaces(Command):
    """Take the name from a set of faces."""

    kind: Literal["forget-faces"] = "forget-faces"
    piece: PieceId
    name: Name

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        if self.name not in piece.faces.face_sets:
            raise BadSelectionError(f"{piece.name} has no set of faces named “{self.name}”.")
        sets = {name: faces for name, faces in piece.cage.face_sets.items() if name != self.name}
        cage = piece.cage
        cage = Cage(cage.positions, cage.topology, cage.edge_sharpness, cage.vertex_sharpness, sets)
        return Outcome(design.with_piece(replace(piece, form=cage)), piece.id)

    def title(self, design: Design) -> str:
        return f"Forgot the set “{self.name}” of {design.piece(self.piece).name}"
