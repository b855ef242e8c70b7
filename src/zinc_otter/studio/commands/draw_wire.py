"""A wire drawn point by point: a curve through the points, as a pipe."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.growing import Grown, pipe
from zinc_otter.core.curve.growing.pipe import MOST_AROUND
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.words import millimetres
from zinc_otter.studio.commands.base import NewPiece, Outcome, Vector
from zinc_otter.studio.commands.forms import Size
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class DrawWire(NewPiece):
    """A round wire along a smooth curve through ``points``, closed to a ring or with flat or open ends.

    The ``diameter`` is that of the smooth surface. Where the curve bends tighter than the wire is thick, it says so.
    """

    kind: Literal["draw-wire"] = "draw-wire"
    name: str = Field("Wire", min_length=1, max_length=80)
    points: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=400)]
    closed: bool = False
    diameter: Annotated[Size, labelled("Diameter", "mm", step=0.1)] = 2.0
    around: Annotated[int, Field(ge=3, le=MOST_AROUND), labelled("Faces around")] = 8
    each: Annotated[int, Field(ge=1, le=16), labelled("Faces a leg")] = 3
    ends: Annotated[Literal["flat", "open"], labelled("Ends", words={"flat": "flat", "open": "open"})] = "flat"

    def cage(self) -> Cage:
        return _grown(self).cage

    def apply(self, design: Design) -> Outcome:
        grown = _grown(self)
        changed, piece = design.with_new_piece(self.name, grown.cage)
        return Outcome(changed, piece.id, suspect=grown.suspect, remarks=grown.remarks)

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        made = pieces_of(through(self.points, self.closed))
        return (f"{millimetres(made.length)} of wire.", *outcome.remarks)

    def title(self, design: Design) -> str:
        shape = "ring of wire" if self.closed else "wire"
        return f"Drew a {shape}, ⌀ {millimetres(self.diameter)}, through {len(self.points)} points"


@lru_cache(maxsize=4)
def _grown(wire: DrawWire) -> Grown:
    curve = through(np.array(wire.points), wire.closed)
    return pipe(curve, wire.diameter / 2, wire.around, each=wire.each, caps=wire.ends)
