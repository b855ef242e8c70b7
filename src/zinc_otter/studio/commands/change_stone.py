"""Turn, sink or size one stone of many."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.words import length_words, number
from zinc_otter.studio.commands.base import Command, Length, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class ChangeStone(Command):
    """One stone of a piece, counted from 1: turned by so many degrees, sunk by so many mm and so many times as large, beside
    what all of them are; or taken away."""

    kind: Literal["change-stone"] = "change-stone"
    piece: PieceId
    stone: Annotated[int, Field(ge=1, le=1000), labelled("Stone")] = 1
    turn: Annotated[float, Field(ge=-360, le=360), labelled("Turned by", "°", step=5)] = 0.0
    sink: Annotated[Length, labelled("Sunk further by", "mm", step=0.05)] = 0.0
    size: Annotated[float, Field(ge=0.2, le=5), labelled("Times as large", step=0.05)] = 1.0
    gone: Annotated[bool, labelled("It", words={"no": "stays", "yes": "is taken away"})] = False

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        growth = piece.grown
        if not isinstance(growth, Stones):
            raise BadSelectionError(f"{piece.name} is no stones.")
        if not growth.places:
            raise BadSelectionError("Stones along a curve are alike: lay them on a form to change one alone.")
        count = len(growth.places)
        if self.stone > count:
            raise BadSelectionError(
                f"{piece.name} has {count} {'stone' if count == 1 else 'stones'}; there is no {self.stone}."
            )
        k = self.stone - 1
        if self.gone:
            if count == 1:
                raise BadSelectionError("It is the only stone: delete the piece instead.")
            places = (*growth.places[:k], *growth.places[k + 1 :])
        else:
            old = growth.places[k]
            # The rule may lay a stone turned; what is set here comes on top of that.
            changed = replace(old, turn=old.turn + self.turn, sink=old.sink + self.sink, size=old.size * self.size)
            places = (*growth.places[:k], changed, *growth.places[k + 1 :])
        laid = growth.laid
        if self.gone and laid.way == "points" and len(laid.points) == count:
            laid = replace(laid, points=(*laid.points[:k], *laid.points[k + 1 :]))
        after = design.regrown(replace(piece, grown=replace(growth, places=places, laid=laid)))
        return Outcome(design.with_piece(after), piece.id, whole=True)

    def title(self, design: Design) -> str:
        what = f"Stone {self.stone} of {design.piece(self.piece).name}"
        if self.gone:
            return f"Took away stone {self.stone} of {design.piece(self.piece).name}"
        said = [f"turned by {number(self.turn)}°"] if self.turn else []
        said += [f"sunk by {length_words(self.sink)}"] if self.sink else []
        said += [f"{number(self.size)} times as large"] if self.size != 1 else []
        return f"{what}: {', '.join(said) or 'as it was'}"
