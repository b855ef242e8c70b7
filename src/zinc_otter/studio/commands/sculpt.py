"""Strokes of a brush on a piece: relief that rides on its cage."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve import pieces_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.relief.brushes import BRUSHES
from zinc_otter.core.relief.relief import DEEPEST
from zinc_otter.core.relief.stroke import MOST_SAMPLES, Manner
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.aligning import Share
from zinc_otter.studio.commands.base import Command, Direction, Outcome, Picked, PieceId, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.take_curve import curve_along
from zinc_otter.studio.design import Design
from zinc_otter.studio.stroking import STROKES

Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e6, le=1e6)]


class Sculpt(Command):
    """One stroke: a brush is led along ``way``, places on the surface in mm, each with the pressure of the hand from 0 to 1.

    Brushes that raise go to ``height``, however slow the hand; those that work at what is there take ``strength`` of it
    at each passage; "carry" goes by the way alone, "twist" turns by ``degrees``. ``towards`` points at the eye: only what
    faces it is touched; without it all. Of a piece with a mirror all sides are done. Detail is kept at ``level``, that is
    added if it is not there.
    """

    kind: Literal["sculpt"] = "sculpt"
    piece: PieceId
    brush: Annotated[
        Literal["draw", "inflate", "groove", "carry", "smooth", "pinch", "flatten", "scrape", "twist", "mask", "erase"],
        labelled(
            "Brush",
            words={
                "draw": "Draw out", "inflate": "Inflate", "groove": "Groove", "carry": "Carry", "smooth": "Smooth",
                "pinch": "Pinch", "flatten": "Flatten out", "scrape": "Scrape", "twist": "Whirl", "mask": "Mask",
                "erase": "Wipe off",
            },
        ),
    ] = "draw"  # fmt: skip
    level: Annotated[int, Field(ge=1, le=DEEPEST), labelled("Level")] = 4
    radius: Annotated[float, Field(ge=0.001, le=10_000, allow_inf_nan=False), labelled("Radius", "mm", step=0.5)] = 5.0
    height: Annotated[float, Field(ge=0, le=1_000, allow_inf_nan=False), labelled("Height", "mm", step=0.1)] = 0.5
    strength: Annotated[Share, labelled("Strength", "%", step=5)] = 0.5
    degrees: Annotated[float, Field(ge=-360, le=360, allow_inf_nan=False), labelled("Turn", "°", step=5)] = 45.0
    opposite: Annotated[bool, labelled("Way", words={"no": "as it is", "yes": "its opposite"})] = False
    hardness: Annotated[float, Field(ge=0, le=0.99), labelled("Hardness", "%", step=5)] = 0.0
    profile: Annotated[
        Literal["smooth", "sharp", "round", "flat", "linear", "drawn"],
        labelled(
            "Profile",
            words={
                "smooth": "smooth", "sharp": "sharp", "round": "round", "flat": "flat", "linear": "linear", "drawn": "drawn",
            },
        ),
    ] = "smooth"  # fmt: skip
    curve: Annotated[
        tuple[tuple[Share, Share], ...], Field(max_length=32, description="of a drawn profile: (distance, share), 0 to 1")
    ] = ()
    spacing: Annotated[float, Field(ge=0.02, le=10), labelled("Spacing", "%", step=5)] = 0.2
    steady: Annotated[float, Field(ge=0, le=0.98), labelled("Steady", "%", step=10)] = 0.0
    pen: Annotated[
        Literal["nothing", "strength", "radius", "both"],
        labelled(
            "Pressure", words={"nothing": "changes nothing", "strength": "strength", "radius": "radius", "both": "both"}
        ),
    ] = "strength"
    around: Annotated[int, Field(ge=1, le=128), labelled("Times round")] = 1
    axis_point: Vector = (0.0, 0.0, 0.0)
    axis: Direction = (0.0, 0.0, 1.0)
    stamp: Annotated[
        str, Field(max_length=20, description='"none", the name of a shipped one, or the id of one of the design')
    ] = "none"
    laid: Annotated[
        Literal["along", "each", "once"],
        labelled("Laid", words={"along": "along the stroke", "each": "at each touch", "once": "once, by a drag"}),
    ] = "along"
    turned: Annotated[float, Field(ge=-360, le=360, allow_inf_nan=False), labelled("Turned", "°", step=15)] = 0.0
    towards: Direction | None = None
    along: Annotated[Picked | PieceId | None, Field(description="edges of the piece, or a curve, to be led along")] = None
    way: Annotated[list[Number], Field(max_length=4 * MOST_SAMPLES)] = []

    def apply(self, design: Design) -> Outcome:
        piece = design.pullable_piece(self.piece)
        cage = piece.faces
        group = None if piece.symmetry is None else piece.symmetry.group
        # A mask is one of the finest level.
        depth = 0 if cage.relief is None else cage.relief.depth
        manner = self._manner(design, max(self.level, depth) if self.brush == "mask" else self.level)
        if self.along is None:
            samples = np.asarray(self.way[: len(self.way) // 4 * 4], dtype=np.float64).reshape(-1, 4)
            done = STROKES.done(cage, manner, samples, group)
        else:
            done = cage
            for line in lines_of(design, cage, self.along):
                pressed = np.column_stack([line, np.ones(len(line))])
                closed = bool(np.linalg.norm(line[-1] - line[0]) < 1e-9 * (1 + np.abs(line).max()))
                length = float(np.linalg.norm(np.diff(line, axis=0), axis=1).sum())
                done = STROKES.done(done, manner.closing(length) if closed else manner, pressed, group)
        return Outcome(design.with_piece(replace(piece, form=done)), piece.id, whole=True)

    def _manner(self, design: Design, level: int) -> Manner:
        brush = BRUSHES[self.brush]
        amount = {"height": self.height, "share": self.strength, "angle": self.degrees, "way": 1.0}[brush.measure]
        towards = None
        if self.towards is not None:
            x, y, z = np.asarray(self.towards) / max(float(np.linalg.norm(self.towards)), 1e-12)
            towards = (float(x), float(y), float(z))
        return Manner(
            self.brush, level, self.radius, amount, self.hardness, self.profile, self.spacing, self.steady, towards,
            self.pen, self.around, plane_at(self.axis_point, self.axis) if self.around > 1 else None,
            None if self.stamp == "none" else design.stamp(self.stamp), self.laid, self.turned, self.opposite,
            curve=self.curve,
        )  # fmt: skip

    def title(self, design: Design) -> str:
        brush = BRUSHES[self.brush]
        done = brush.undone if self.opposite else brush.done
        by = f" by {length_words(self.height)}" if brush.measure == "height" else ""
        with_stamp = "" if self.stamp == "none" else f", {design.stamp_name(self.stamp)}"
        return f"{done} {design.piece(self.piece).name}{by}{with_stamp}"


def lines_of(design: Design, cage: Cage, along: Picked | str) -> list[Floats]:
    """(k, 3) places along each chain of picked edges, or along a curve. Raises BadSelectionError, UnknownPieceError."""
    if isinstance(along, str):
        curve = design.piece(along).curve
        if curve is None:
            raise BadSelectionError(f"{design.piece(along).name} is no curve to be led along.")
        return [pieces_of(curve).dense(_EACH)]
    picked = along.on(cage)
    picked.check(cage.topology)
    if picked.kind != "edge":
        raise BadSelectionError("A stroke is led along edges, or along a curve.")
    return [pieces_of(curve_along(cage.plain, chain)).dense(_EACH) for chain in picked_chains(cage, picked)]


_EACH = 16
"""Places to each leg of a curve."""
