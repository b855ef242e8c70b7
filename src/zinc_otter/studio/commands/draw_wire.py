"""A wire drawn point by point: a curve through the points, and the pipe that grows from it."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.growing.pipe import MOST_AROUND
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.growth.pipe import Pipe
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import NewPiece, Outcome, Vector
from zinc_otter.studio.commands.forms import Size
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class DrawWire(NewPiece):
    """A round wire along a smooth curve through ``points``, closed to a ring or with flat or open ends: two pieces, the
    curve and the pipe that follows it.

    The ``diameter`` is that of the smooth surface. Where the curve bends tighter than the wire is thick, it says so.
    """

    kind: Literal["draw-wire"] = "draw-wire"
    name: str = Field("Wire", min_length=1, max_length=70)
    points: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=400)]
    closed: bool = False
    diameter: Annotated[Size, labelled("Diameter", "mm", step=0.1)] = 2.0
    around: Annotated[int, Field(ge=3, le=MOST_AROUND), labelled("Faces around")] = 8
    each: Annotated[int, Field(ge=1, le=16), labelled("Faces a leg")] = 3
    ends: Annotated[
        Literal["flat", "round", "open"], labelled("Ends", words={"flat": "flat", "round": "round", "open": "open"})
    ] = "flat"

    def cage(self) -> Curve:
        return through(np.array(self.points), self.closed)

    def apply(self, design: Design) -> Outcome:
        changed, line = design.with_new_piece(f"{self.name}, its line", self.cage())
        growth = Pipe(line.id, self.diameter, self.around, self.each, self.ends)
        changed, _ = changed.with_new_growth(self.name, growth)
        made = changed.outgrowth(growth)
        return Outcome(changed, line.id, remarks=made.remarks)

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (f"{length_words(pieces_of(self.cage()).length)} of wire.", *outcome.remarks)

    def title(self, design: Design) -> str:
        shape = "ring of wire" if self.closed else "wire"
        return f"Drew a {shape}, ⌀ {length_words(self.diameter)}, through {len(self.points)} points"
