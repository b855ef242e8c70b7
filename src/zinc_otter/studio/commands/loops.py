"""Add loops, and remove loops, edges and vertices: with the form held, or let go."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.add_loop import MOST_LOOPS, add_loops, rail_of
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.holding import add_holding_loops, remove_holding
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.curve_edits import points_added, points_deleted
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

Share = Annotated[float, Field(gt=0, lt=1, allow_inf_nan=False)]


class AddLoop(OnSelection):
    """Add edge loops across the rings of the picked edges, at ``shares`` of these edges, ascending.

    Shares count from the end that is nearer to the middle of the cage. ``span`` "picked" runs from picked edge to picked
    edge only, and beyond these ends in an "ngon" or in "quads". ``form`` "tight" puts the loop on the cage, so that the
    surface draws closer to it there; "hold" keeps the surface, and the note says how far it strays.
    """

    kind: Literal["add-loop"] = "add-loop"
    shares: Annotated[tuple[Share, ...], Field(min_length=1, max_length=MOST_LOOPS)] = (0.5,)
    span: Annotated[
        Literal["ring", "picked"], labelled("Runs", words={"ring": "all round", "picked": "from picked to picked"})
    ] = "ring"
    ends: Annotated[Literal["ngon", "quads"], labelled("Ends in", words={"ngon": "an n-gon", "quads": "quads"})] = "ngon"
    form: Annotated[Literal["tight", "hold"], labelled("Surface", words={"tight": "pull tight", "hold": "hold form"})] = (
        "tight"
    )

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        add = add_holding_loops if self.form == "hold" else add_loops
        return add(cage, selection, shares=self.shares, picked_only=self.span == "picked", ends=self.ends)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return points_added(curve, picked, self.shares[0])

    def rail(self, design: Design) -> Floats | None:
        piece = design.piece(self.piece)
        if piece.curve is not None:
            return None
        return rail_of(piece.cage, self.picked.on(piece.cage))

    def title(self, design: Design) -> str:
        what = "a loop" if len(self.shares) == 1 else f"{len(self.shares)} loops"
        where = f" at {number(100 * self.shares[0])} %" if len(self.shares) == 1 else ""
        how = ", form held" if self.form == "hold" else ", pulled tight"
        return f"Added {what} to {design.piece(self.piece).name}{where}{how}"


class Remove(OnSelection):
    """Take loops, edges or vertices away; faces grow together and stay whole. With ``loops`` the whole loops of the
    picked edges go; ``form`` "hold" fits what is left to the surface."""

    kind: Literal["remove"] = "remove"
    loops: Annotated[bool, labelled("Takes", words={"no": "the picked", "yes": "their whole loops"})] = False
    form: Annotated[Literal["let", "hold"], labelled("Surface", words={"let": "as it falls", "hold": "hold form"})] = "let"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if self.loops:
            if selection.kind != "edge":
                raise BadSelectionError("A loop is found from an edge; pick edges.")
            selection.check(cage.topology)
            found = [edge_loop(cage.topology, int(edge)) for edge in selection.ids]
            selection = Selection.of("edge", np.concatenate(found))
        return (remove_holding if self.form == "hold" else heal)(cage, selection)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return points_deleted(curve, picked, self.form == "hold")

    def title(self, design: Design) -> str:
        what = "the loops through " if self.loops else ""
        return f"Removed {what}{self.what(design)}{', form held' if self.form == 'hold' else ''}"
