"""Relief as a whole: a level more, one folded down, smoothed, taken away; its mask."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.relief.levels import finer, folded, smoothed
from zinc_otter.core.relief.masks import masked
from zinc_otter.core.relief.next_cage import next_cage
from zinc_otter.core.relief.relief import DEEPEST, ReliefError
from zinc_otter.studio.commands.aligning import Share
from zinc_otter.studio.commands.base import Command, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class ChangeRelief(Command):
    """Levels of relief as a whole.

    "finer" adds one; "folded" takes the finest away, its detail going into the one below; "smoothed" takes ``share`` of
    the relief away; "plain" all of it; "next" makes the first level the cage: the same surface, four faces for each.
    """

    kind: Literal["change-relief"] = "change-relief"
    piece: PieceId
    way: Literal["finer", "folded", "smoothed", "plain", "next"]
    share: Annotated[Share, labelled("By", "%", step=10)] = 0.5

    def apply(self, design: Design) -> Outcome:
        piece = design.shapeable_piece(self.piece) if self.way == "next" else design.pullable_piece(self.piece)
        cage = piece.faces
        if self.way == "next":
            finer_cage, symmetry = next_cage(cage, piece.symmetry)
            changed = design.with_piece(replace(piece, form=finer_cage, symmetry=symmetry), plain=True)
            return Outcome(changed, piece.id, whole=True)
        if self.way != "finer" and cage.relief is None:
            raise ReliefError(f"{piece.name} has no relief.")
        ways: dict[str, Callable[[Cage], Cage]] = {
            "finer": finer, "folded": folded, "smoothed": lambda c: smoothed(c, self.share), "plain": lambda c: c.plain,
        }  # fmt: skip
        done = ways[self.way](cage)
        return Outcome(design.with_piece(replace(piece, form=done), plain=True), piece.id, whole=True)

    def title(self, design: Design) -> str:
        name = design.piece(self.piece).name
        return {
            "finer": f"Added a level of relief to {name}",
            "folded": f"Folded the finest level of {name} down",
            "smoothed": f"Took {100 * self.share:g} % of {name}’s relief away",
            "next": f"Made the first level of {name} its cage",
            "plain": f"Took the relief off {name}",
        }[self.way]


class ChangeMask(Command):
    """Invert, blur, grow or clear what is protected from brushes; on a piece without relief one of ``level`` is begun."""

    kind: Literal["change-mask"] = "change-mask"
    piece: PieceId
    way: Literal["invert", "blur", "grow", "clear"]
    level: Annotated[int, Field(ge=1, le=DEEPEST)] = 4

    def apply(self, design: Design) -> Outcome:
        piece = design.pullable_piece(self.piece)
        done = masked(piece.faces, self.way, self.level)
        return Outcome(design.with_piece(replace(piece, form=done), plain=True), piece.id, whole=True)

    def title(self, design: Design) -> str:
        verb = {"invert": "Inverted", "blur": "Blurred", "grow": "Grew", "clear": "Cleared"}[self.way]
        return f"{verb} the mask of {design.piece(self.piece).name}"
