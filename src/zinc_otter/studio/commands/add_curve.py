"""Put down a curve: of a shape by its sizes, or drawn point by point."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.curve import Curve, making, pieces_of
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.primitives.placed import Axis
from zinc_otter.core.words import bare_length, extent, fine_length_words, length_words, number
from zinc_otter.studio.commands.base import Length, NewPiece, Outcome, Vector
from zinc_otter.studio.commands.forms import Size
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

Shape = Literal["circle", "ellipse", "arc", "rounded-rectangle", "polygon", "helix", "wave"]
_WORDS = {
    "circle": "circle", "ellipse": "ellipse", "arc": "arc", "rounded-rectangle": "rounded rectangle", "polygon": "polygon",
    "helix": "helix", "wave": "wave round an axis",
}  # fmt: skip
# A curve's own x, y and z in the world's: cyclic, as for primitives.
_STANDS = {"z": (0, 1, 2), "x": (1, 2, 0), "y": (2, 0, 1)}


class AddCurve(NewPiece):
    """A curve about ``centre``, across the axis along which it ``stands``. Its sizes are the curve's, not its polygon's.

    - "circle", "polygon": ``diameter``, ``count`` points or sides
    - "ellipse", "rounded-rectangle": ``width`` by ``depth``; ``radius`` of corners
    - "arc": ``diameter``, over ``degrees``
    - "helix": ``diameter``, ``pitch`` mm a turn, so many ``turns``, with ``count`` points each
    - "wave": ``waves`` round the axis, ``out`` mm away from the diameter and back, ``along`` mm up and down, with ``count``
      points each
    """

    kind: Literal["add-curve"] = "add-curve"
    name: str = Field("Curve", min_length=1, max_length=80)
    shape: Annotated[Shape, labelled("Shape", words=_WORDS)] = "circle"
    diameter: Annotated[Size, labelled("Diameter", "mm")] = 40.0
    width: Annotated[Size, labelled("Width", "mm")] = 60.0
    depth: Annotated[Size, labelled("Depth", "mm")] = 30.0
    radius: Annotated[Size, labelled("Corners", "mm", step=0.5)] = 5.0
    degrees: Annotated[float, Field(gt=0, lt=360, allow_inf_nan=False), labelled("Angle", "°", step=5)] = 180.0
    count: Annotated[int, Field(ge=3, le=200), labelled("Points")] = 8
    pitch: Annotated[Length, labelled("Pitch", "mm", step=0.5)] = 8.0
    turns: Annotated[float, Field(gt=0, le=200, allow_inf_nan=False), labelled("Turns", step=0.5)] = 4.0
    waves: Annotated[int, Field(ge=1, le=128), labelled("Waves")] = 8
    out: Annotated[Length, labelled("Out and back", "mm", step=0.5)] = 2.0
    along: Annotated[Length, labelled("Up and down", "mm", step=0.5)] = 4.0
    centre: Vector = (0.0, 0.0, 0.0)
    stands: Annotated[Axis, labelled("About", words={"z": "z", "x": "x", "y": "y"})] = "z"

    def cage(self) -> Curve:
        return _put_down(self)

    def own(self) -> Curve:
        """The curve about the origin, across z."""
        match self.shape:
            case "circle":
                return making.circle(self.diameter, self.count)
            case "ellipse":
                return making.ellipse(self.width, self.depth, self.count)
            case "arc":
                return making.arc(self.diameter / 2, self.degrees, self.count)
            case "rounded-rectangle":
                return making.rounded_rectangle(self.width, self.depth, self.radius)
            case "polygon":
                return making.polygon(self.diameter, self.count)
            case "helix":
                return making.helix(self.diameter, self.pitch, self.turns, self.count)
            case "wave":
                return making.wave(self.diameter, self.waves, self.out, self.along, self.count)

    def title(self, design: Design) -> str:
        size = {
            "circle": f"⌀ {length_words(self.diameter)}",
            "ellipse": f"{bare_length(self.width)} by {length_words(self.depth)}",
            "arc": f"⌀ {length_words(self.diameter)}, {number(self.degrees)}°",
            "rounded-rectangle": f"{extent([self.width, self.depth])}, corners {length_words(self.radius)}",
            "polygon": f"⌀ {length_words(self.diameter)}, {self.count} sides",
            "helix": f"⌀ {length_words(self.diameter)}, {number(self.turns)} turns",
            "wave": f"⌀ {length_words(self.diameter)}, {self.waves} waves",
        }[self.shape]
        article = "an" if _WORDS[self.shape][0] in "ae" else "a"
        return f"Put down {article} {_WORDS[self.shape]}, {size}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        curve = _put_down(self)
        told = f"{length_words(pieces_of(curve).length)} long, {curve.count} control points."
        if self.shape == "circle":
            off = np.linalg.norm(pieces_of(self.own()).dense(16)[:, :2], axis=1) - self.diameter / 2
            return (told, f"It strays from round by {fine_length_words(float(np.abs(off).max()))}.")
        return (told,)


@lru_cache(maxsize=16)
def _put_down(command: AddCurve) -> Curve:
    own = command.own()
    points = np.empty_like(own.points)
    points[:, list(_STANDS[command.stands])] = own.points
    return own.with_points(points + command.centre)


class DrawCurve(NewPiece):
    """A curve drawn point by point: "through" the points, pulled by them as "control" points, or "straight" between them."""

    kind: Literal["draw-curve"] = "draw-curve"
    name: str = Field("Curve", min_length=1, max_length=80)
    points: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=1000)]
    closed: bool = False
    way: Annotated[
        Literal["through", "control", "straight"],
        labelled(
            "It runs",
            words={"through": "through the points", "control": "towards the points", "straight": "straight between them"},
        ),
    ] = "through"

    def cage(self) -> Curve:
        if self.way == "through":
            return through(np.array(self.points), self.closed)
        return Curve(self.points, 1 if self.way == "straight" else 3, self.closed)

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        return (f"{length_words(pieces_of(self.cage()).length)} long.",)

    def title(self, design: Design) -> str:
        what = {"through": "curve", "control": "curve", "straight": "polyline"}[self.way]
        shape = "closed " if self.closed else ""
        return f"Drew a {shape}{what} of {len(self.points)} points"
