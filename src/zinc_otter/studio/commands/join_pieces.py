"""Join pieces into one, and detach faces from the rest."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.edits.detach import detach, taken_out
from zinc_otter.core.cage.symmetry import Symmetry, SymmetryError, symmetric_edit
from zinc_otter.core.relief.carried_over import carried_over
from zinc_otter.core.relief.levels import finer
from zinc_otter.core.relief.relief import Relief
from zinc_otter.studio.commands.base import Command, OnSelection, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design, Piece


class JoinPieces(Command):
    """Make several pieces one, the first of them; each stays as it stands, and nothing is welded."""

    kind: Literal["join-pieces"] = "join-pieces"
    pieces: Annotated[tuple[PieceId, ...], Field(min_length=2, max_length=200)]

    def apply(self, design: Design) -> Outcome:
        found = [design.shapeable_piece(piece_id) for piece_id in dict.fromkeys(self.pieces)]
        for piece in found:
            refuse_symmetric(piece)
        whole, _ = joined([piece.faces for piece in found])
        design = design.with_piece(replace(found[0], form=_with_all_relief(whole, [piece.cage for piece in found])))
        for piece in found[1:]:
            design = design.without_piece(piece.id)
        return Outcome(design, found[0].id, Selection.of("face", [0]), whole=True)

    def title(self, design: Design) -> str:
        return f"Joined {', '.join(design.piece(piece_id).name for piece_id in self.pieces)}"


def _with_all_relief(whole: Cage, parts: Sequence[Cage]) -> Cage:
    """The whole with the relief of each of its parts, all of as many levels as the deepest has."""
    depth = max(0 if part.relief is None else part.relief.depth for part in parts)
    carried: list[Relief] = []
    for part in parts:
        if part.relief is None:
            continue
        while part.relief is not None and part.relief.depth < depth:
            part = finer(part)
        relief = carried_over(part, whole).cage.relief
        assert relief is not None
        carried.append(relief)
    if not carried:
        return whole
    shape = max(relief.depth for relief in carried)
    found = [detail for relief in carried if (detail := relief.detail(shape)) is not None]
    if not found:
        return whole.with_relief(carried[0])
    return whole.with_relief(Relief((*[None] * (shape - 1), np.sum(found, axis=0, dtype=np.float32))))


class Detach(OnSelection):
    """Part the picked faces from the rest: within the piece, or ``as_piece`` into one of their own."""

    kind: Literal["detach"] = "detach"
    as_piece: Annotated[
        bool, labelled("They become", words={"yes": "a piece of their own", "no": "a part of this piece"})
    ] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return detach(cage, selection)

    def apply(self, design: Design) -> Outcome:
        if not self.as_piece:
            return super().apply(design)
        piece = design.shapeable_piece(self.piece)
        picked = self.picked.on(piece.faces)

        def half(which: int) -> tuple[Edit, Symmetry | None]:
            if piece.symmetry is None:
                return taken_out(piece.cage, picked)[which], None
            return symmetric_edit(piece.cage, piece.symmetry, picked, lambda c, s: taken_out(c, s)[which])

        (out, out_symmetry), (left, left_symmetry) = half(0), half(1)
        changed, new = design.with_new_piece(f"{piece.name}, part", out.cage, like=piece)
        changed = changed.with_piece(replace(new, symmetry=out_symmetry))
        changed = changed.with_piece(replace(piece, form=left.cage, symmetry=left_symmetry))
        return Outcome(changed, new.id, Selection.of("face", []))

    def title(self, design: Design) -> str:
        return f"Detached {self.what(design)}"


def refuse_symmetric(piece: Piece) -> None:
    """Raise SymmetryError: what becomes one with another piece can keep no symmetry of its own."""
    if piece.symmetry is not None:
        raise SymmetryError(
            f"{piece.name} has {piece.symmetry.group.described()}; joined with another piece it would lose that. Make it "
            "independent first."
        )
