"""Split edges and faces."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.split import MOST_PARTS, leading_edges, split_edges, split_faces
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

Parts = Annotated[int, Field(ge=1, le=MOST_PARTS)]


class SplitParts(OnSelection):
    """Part picked edges into ``along`` equal parts, or picked quads into ``along`` by ``across`` quads."""

    kind: Literal["split"] = "split"
    along: Annotated[Parts, labelled("Into")] = 2
    across: Annotated[Parts, labelled("by")] = 2

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if selection.kind == "edge":
            return split_edges(cage, selection, self.along)
        return split_faces(cage, selection, self.along, self.across)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        piece = design.piece(piece_id)
        picked = self.picked.on(piece.faces)
        if piece.symmetry is None or picked.kind != "face":
            return super().edited(design, piece_id)
        # Which way is along follows from what was picked, and is the same on all sides.
        lead = Selection.of("edge", leading_edges(piece.cage.topology, picked))
        everywhere = piece.symmetry.closed(lead).ids
        return design.edited(
            piece_id, picked, lambda cage, chosen: split_faces(cage, chosen, self.along, self.across, leading=everywhere)
        )

    def weight(self, design: Design) -> int:
        picked = sum(len(self.picked.on(design.piece(piece_id).cage).ids) for piece_id in (self.piece, *self.others))
        return super().weight(design) + picked * self.along * (1 if self.picked.kind == "edge" else self.across)

    def title(self, design: Design) -> str:
        parts = f"{self.along}" if self.picked.kind == "edge" else f"{self.along} by {self.across}"
        return f"Split {self.what(design)} into {parts}"
