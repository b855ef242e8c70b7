"""Lay a face corner by corner."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.lay import arranged, first_face, lay_face
from zinc_otter.core.cage.symmetry.laying import lay_on_all_sides
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands.base import Command, Direction, Outcome, PieceId, Vector
from zinc_otter.studio.design import Design

Index = Annotated[int, Field(ge=0, lt=2**31)]
Corner = Index | tuple[Index, Index] | Vector


class LayFace(Command):
    """Add a face of three or four corners: points in mm, and vertices of the piece by their index.

    Two vertices together are both ends of an edge: which of them comes first is the one that lets no sides cross.
    Without a ``piece`` it is the first face of a new one. Where no neighbour decides, it looks ``towards`` a direction.
    """

    kind: Literal["lay-face"] = "lay-face"
    piece: PieceId | None = None
    name: str = Field("Laid sheet", min_length=1, max_length=80)
    corners: Annotated[tuple[Corner, ...], Field(min_length=2, max_length=4)]
    towards: Direction

    def apply(self, design: Design) -> Outcome:
        if self.piece is None:
            points = [corner for corner in self.corners if not isinstance(corner, int) and len(corner) == 3]
            if len(points) < len(self.corners):
                raise BadSelectionError("The first face of a new piece is laid of new points only.")
            changed, new = design.with_new_piece(self.name, first_face(points, self.towards))
            return Outcome(changed, new.id, Selection.of("face", [0]))
        symmetry = design.piece(self.piece).symmetry

        def laid(cage: Cage, _: Selection) -> Edit:
            corners = arranged(cage, self.corners)
            if symmetry is not None:
                return lay_on_all_sides(cage, symmetry, corners, self.towards)
            return lay_face(cage, corners, self.towards)

        # What is picked plays no part.
        changed, done = design.edited(self.piece, Selection.of("face", [0]), laid)
        return Outcome(changed, self.piece, done.selected)

    def title(self, design: Design) -> str:
        count = sum(2 if isinstance(corner, tuple) and len(corner) == 2 else 1 for corner in self.corners)
        word = "quad" if count == 4 else "triangle"
        return f"Laid a {word}" + (f" on {design.piece(self.piece).name}" if self.piece else "")
