"""A chain of edges, or a border, taken out as a curve."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.building.chains import Chain, picked_chains
from zinc_otter.core.cage.cage import HARD
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.curve import Curve
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands.base import Command, Outcome, Picked, PieceId
from zinc_otter.studio.design import Design


class TakeCurve(Command):
    """Take picked chains of edges, or the border of picked faces, as curves, each a piece of its own.

    Along borders and hard creases it is the surface's own line, with the same control points; elsewhere it passes through
    the surface at each of the chain's vertices. It follows nothing.
    """

    kind: Literal["take-curve"] = "take-curve"
    piece: PieceId
    picked: Picked
    name: Annotated[str, Field(min_length=1, max_length=80)] = "Curve"

    def apply(self, design: Design) -> Outcome:
        cage = design.piece(self.piece).faces
        chains = picked_chains(cage, self.picked.on(cage))
        first = None
        for chain in chains:
            design, made = design.with_new_piece(self.name, curve_along(cage, chain))
            first = first or made.id
        return Outcome(design, first)

    def title(self, design: Design) -> str:
        piece = design.piece(self.piece)
        return f"Took a curve from {self.picked.on(piece.cage).words()} of {piece.name}"


def curve_along(cage: Cage, chain: Chain) -> Curve:
    """The curve that a chain of edges is on the surface: its own line, or one through its vertices there."""
    t = cage.topology
    edges = edges_between(t, chain.pairs)
    is_line = (t.edge_corners[edges, 1] < 0) | (cage.edge_sharpness[edges] >= HARD)
    if is_line.all():
        # The corner of a sheet, where one face ends, is a corner of its border.
        tip = t.on_border & (t.vertex_valence == 2)
        sharpness = np.where(tip, HARD, cage.vertex_sharpness)[chain.verts]
        return Curve(cage.positions[chain.verts], 3, chain.closed, sharpness)
    surface = evaluate(build_stencils(cage, 1), cage)
    return through(np.asarray(surface.points[chain.verts]), chain.closed)
