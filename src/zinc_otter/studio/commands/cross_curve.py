"""A line drawn in the view across several curves, kept as a curve through them."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.across import crossed
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.growth.threaded import Threaded
from zinc_otter.studio.commands.base import Command, Direction, Outcome, PieceId, Vector
from zinc_otter.studio.design import Design


class CrossCurve(Command):
    """Draw a curve through all ``curves`` that a line from ``start`` to ``end`` crosses, as it is seen: from the ``eye``, or
    where there is none against the direction ``towards`` it. Where it passes one twice, the place nearer to the eye counts.

    It follows the curves.
    """

    kind: Literal["cross-curve"] = "cross-curve"
    curves: Annotated[tuple[PieceId, ...], Field(min_length=2, max_length=200)]
    start: Vector
    end: Vector
    towards: Direction
    eye: Vector | None = None

    def apply(self, design: Design) -> Outcome:
        along, normal = self._line()
        found: list[tuple[float, str, float]] = []
        for one in dict.fromkeys(self.curves):
            curve = design.piece(one).curve
            if curve is None:
                raise BadSelectionError(f"{design.piece(one).name} is no curve; a cross curve runs through curves.")
            place = self._place(curve, along, normal)
            if place is not None:
                found.append((*place[:1], one, place[1]))
        if len(found) < 2:
            words = "none of these curves" if not found else f"{design.piece(found[0][1]).name} only"
            raise BadSelectionError(f"The line crosses {words}; draw it across two or more.")
        found.sort()
        growth = Threaded(tuple(one for _, one, _ in found), tuple(share for _, _, share in found))
        changed, made = design.with_new_growth(growth.what, growth)
        left = len(set(self.curves)) - len(found)
        said = () if not left else (f"It runs through {len(found)} curves; {left} it does not cross.",)
        return Outcome(changed, made.id, remarks=said)

    def title(self, design: Design) -> str:
        return f"Drew a line across {len(set(self.curves))} curves"

    def _line(self) -> tuple[Floats, Floats]:
        """The way along the line as it is seen, and the normal of the plane through it and the eye."""
        start, end = np.asarray(self.start), np.asarray(self.end)
        sight = np.asarray(self.towards, dtype=np.float64) if self.eye is None else np.asarray(self.eye) - start
        normal = np.cross(end - start, sight)
        length = float(np.linalg.norm(normal))
        if length < 1e-9:
            raise BadNumberError("The line has no length as it is seen: set its two ends apart.")
        return end - start, normal / length

    def _place(self, curve: Curve, along: Floats, normal: Floats) -> tuple[float, float] | None:
        """How far along the line it is crossed, and at which share of the curve's length; None where it is not."""
        made = pieces_of(curve)
        places = crossed(made, self.start, normal)
        if not len(places):
            return None
        points = made.at(places)
        if self.eye is None:
            depth = -points @ np.asarray(self.towards, dtype=np.float64)
            seen = points - np.asarray(self.start)
            sight = np.asarray(self.towards, dtype=np.float64)
        else:
            eye, sight = np.asarray(self.eye), np.asarray(self.eye) - np.asarray(self.start)
            off = points - eye
            depth = np.linalg.norm(off, axis=1)
            # Where the rays to them pass the plane of the line that faces the eye.
            ahead = off @ -sight
            reach = np.where(ahead > 1e-9, (sight @ sight) / np.maximum(ahead, 1e-9), np.nan)
            seen = eye + off * reach[:, None] - np.asarray(self.start)
        # Along the line as it is seen: the part of it that leads towards the eye does not count.
        flat = along - sight * (along @ sight) / (sight @ sight)
        at = seen @ flat / (flat @ flat)
        within = np.isfinite(at) & (at >= -0.02) & (at <= 1.02)
        if not within.any():
            return None
        k = int(np.where(within, depth, np.inf).argmin())
        return float(at[k]), float(made.lengths_to(places[k : k + 1])[0] / made.length)
