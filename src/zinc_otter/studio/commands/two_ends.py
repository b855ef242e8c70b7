"""Bridge and zip: verbs between two ends, of one piece or of two."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, JsonValue

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.building.lifting import ends_of
from zinc_otter.core.cage.edits.bridge import bridge, fitting_segments
from zinc_otter.core.cage.edits.zip import zip_chains
from zinc_otter.core.cage.symmetry.image_by_image import regions
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands.base import FarEnd, InHand, OnSelection, Outcome, Picked
from zinc_otter.studio.commands.join_pieces import refuse_symmetric
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class TwoEnds(OnSelection):
    """A verb between two ends. With ``far`` that is one of them, and the picked the other; pieces become one."""

    far: FarEnd | None = None

    def apply(self, design: Design) -> Outcome:
        if self.far is None:
            return super().apply(design)
        if self.far.picked.kind != self.picked.kind:
            raise BadSelectionError("The two ends are of different kinds; pick faces and faces, or edges and edges.")
        piece, far = design.shapeable_piece(self.piece), design.shapeable_piece(self.far.piece)
        here, there = self.picked.on(piece.faces), self.far.picked.on(far.faces)
        here.check(piece.cage.topology)
        there.check(far.cage.topology)
        if far.id == piece.id:
            ids = [*self.picked.ids, *self.far.picked.ids]
            return self.model_copy(update={"far": None, "picked": Picked(kind=self.picked.kind, ids=ids)}).apply(design)
        for one in (piece, far):
            refuse_symmetric(one)
        whole, maps = joined([piece.cage, far.cage])
        both = Selection.of(here.kind, [*maps[0].follow(here).ids, *maps[1].follow(there).ids])
        done = self.edit(whole, both)
        changed = design.with_piece(replace(piece, form=done.cage)).without_piece(far.id)
        return Outcome(changed, piece.id, done.selected, remarks=done.remarks)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        cage = design.piece(piece_id).faces
        picked = self.picked.on(cage)
        picked.check(cage.topology)
        # Of a single end that was picked, the other is its image across the mirror.
        several = len(np.unique(ends_of(cage.topology, picked))) > 1
        if several:
            self._refuse_half_at_seam(design, piece_id, picked)
        return self.edited_image_by_image(design, piece_id, one_region=True) if several else super().edited(design, piece_id)

    def _refuse_half_at_seam(self, design: Design, piece_id: str, picked: Selection) -> None:
        symmetry = design.piece(piece_id).symmetry
        if symmetry is None:
            return
        ends = len(np.unique(ends_of(symmetry.topology, picked)))
        if any(len(np.unique(ends_of(symmetry.topology, one))) > ends for one in regions(symmetry, picked)):
            raise BadSelectionError(
                "One end meets its image at the seam and is one with it; the other does not. Pick both at the seam, or both "
                "away from it.",
                **{f"{picked.kind}s": picked.ids},
            )

    def between(self, design: Design) -> str:
        names = [design.piece(self.piece).name]
        if self.far is not None and self.far.piece != self.piece:
            names.append(design.piece(self.far.piece).name)
        return " and ".join(names)


class Bridge(TwoEnds):
    """Join two groups of faces, or two chains of open edges, by ``segments`` rows of quads.

    ``shift`` rolls the pairing on; with a ``strength`` the middle follows the tangents of both ends; ``add_loops`` adds
    the loops that are missing where the counts do not answer each other.
    """

    kind: Literal["bridge"] = "bridge"
    segments: Annotated[int, Field(ge=1, le=64), labelled("Segments")] = 1
    shift: Annotated[int, Field(ge=-1000, le=1000), labelled("Shift")] = 0
    strength: Annotated[float, Field(ge=0, le=10, allow_inf_nan=False), labelled("Tangents", "%", step=10)] = 0.0
    add_loops: Annotated[bool, labelled("Missing loops", words={"no": "are refused", "yes": "are added"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return bridge(
            cage, selection, segments=self.segments, shift=self.shift, strength=self.strength, add_loops=self.add_loops
        )

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        ends = []
        given = [(hand.piece, hand.picked), *([(hand.far.piece, hand.far.picked)] if hand.far else [])]
        for piece, on_it in given:
            cage = design.piece(piece).faces
            picked = on_it.on(cage)
            picked.check(cage.topology)
            label = ends_of(cage.topology, picked)
            ends += [(cage, Selection.of(picked.kind, picked.ids[label == k])) for k in np.unique(label)]
        return {"segments": fitting_segments(ends)} if len(ends) == 2 else {}

    def title(self, design: Design) -> str:
        return f"Bridged two ends of {self.between(design)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        if outcome.piece_id is None or outcome.selected is None:
            return ()
        t = outcome.design.piece(outcome.piece_id).cage.topology
        many = int(np.count_nonzero(np.diff(t.face_offsets)[outcome.selected.ids] > 4))
        sides = (f"{many} of the new faces have more than four sides: the ends have unequal counts.",) if many else ()
        if t.is_closed and t.face_shell.max() == 0:
            holes = (2 - t.euler_characteristic) // 2
            return (f"Closed, with {holes} {'hole' if holes == 1 else 'holes'} through it.", *sides)
        return (f"{len(t.open_edges)} edges stay open.", *sides) if len(t.open_edges) else sides


class Zip(TwoEnds):
    """Join two chains of open edges into one, whatever their counts: in the middle, on the first, or on the second."""

    kind: Literal["zip"] = "zip"
    where: Annotated[
        Literal["middle", "first", "second"],
        labelled(
            "They meet", words={"middle": "in the middle", "first": "on the first chain", "second": "on the second chain"}
        ),
    ] = "middle"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return zip_chains(cage, selection, where=self.where)

    def title(self, design: Design) -> str:
        return f"Zipped two chains of {self.between(design)}"
