"""Fit a bore by moving the form."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, JsonValue

from zinc_otter.core.cage.picking import everything
from zinc_otter.core.form import NoFacesError, require_faces
from zinc_otter.core.ring_sizes import ring_words
from zinc_otter.core.stone.fit_bore import NoBoreError, fit_bore, ring_bore
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Command, InHand, Length, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class FitTheBore(Command):
    """The bore of a piece's surface becomes so wide: its inside moves, or all of it."""

    kind: Literal["move-bore"] = "move-bore"
    piece: PieceId
    diameter: Annotated[Length, Field(gt=0), labelled("Bore", "mm", step=0.1, help="or a size: US 7, ISO 54, UK N, JP 14")]
    moved: Literal["inside", "all"] = "inside"

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        cage = require_faces(piece.form, piece.name)
        whole = everything(cage.topology, "face")
        changed, _ = design.edited(
            self.piece, whole, lambda cage, picked: fit_bore(cage, picked, self.diameter, moved=self.moved)
        )
        now = ring_bore(changed.piece(self.piece).faces)
        return Outcome(changed, self.piece, remarks=(f"Bore {length_words(now.diameter)}: {ring_words(now.diameter)}.",))

    def title(self, design: Design) -> str:
        return f"Fitted the bore of {design.piece(self.piece).name} to {length_words(self.diameter)}"

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        """The present bore, and its axis; nothing where there is none."""
        try:
            now = ring_bore(design.piece(hand.piece).faces)
        except (NoBoreError, NoFacesError):
            return {}
        return {"diameter": round(now.diameter, 2), "point": list(now.point), "along": list(now.along)}
