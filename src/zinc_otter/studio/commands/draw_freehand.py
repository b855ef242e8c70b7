"""A stroke drawn freehand, kept as a curve of few control points."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import Fitted
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.tracing import freehand
from zinc_otter.core.words import fine_length_words, length_words
from zinc_otter.studio.commands.base import Length, NewPiece, Outcome, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class DrawFreehand(NewPiece):
    """The curve along a stroke of a hand: within ``tolerance`` mm of its ``points`` where a curve can, by few points.

    What the hand shook is evened out; where it turned sharply the curve has a corner.
    """

    kind: Literal["draw-freehand"] = "draw-freehand"
    name: str = Field("Curve", min_length=1, max_length=80)
    points: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=4000)]
    closed: bool = False
    tolerance: Annotated[Length, Field(gt=0, le=1_000), labelled("Within", "mm", step=0.1)] = 0.5

    def fitted(self) -> Fitted:
        return freehand(np.array(self.points), self.tolerance, closed=self.closed)

    def cage(self) -> Curve:
        return self.fitted().curve

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        made = self.fitted()
        strays = (
            f"{made.curve.count} control points; it strays from the stroke by at most "
            f"{fine_length_words(made.deviation)}"
        )
        more = "." if made.deviation <= self.tolerance else ": a steadier hand, or more room, would hold it."
        return (f"{length_words(pieces_of(made.curve).length)} long.", strays + more)

    def title(self, design: Design) -> str:
        return f"Drew a {'closed ' if self.closed else ''}curve freehand"
