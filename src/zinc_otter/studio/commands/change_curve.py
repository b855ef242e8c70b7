"""Change a whole curve: its count and degree, its direction, closed or open, parted, joined, offset."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, JsonValue

from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.crossings import passes
from zinc_otter.core.curve.curve import Curve, Degree
from zinc_otter.core.curve.extending import extended
from zinc_otter.core.curve.fitting import MOST, Fitted, resampled
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.points import closed_up, joined_to_one, offset_in_plane, parted, parted_at
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import fine_length_words, length_words
from zinc_otter.studio.commands.base import Command, Direction, InHand, Length, Outcome, Picked, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design, Piece


class OnCurve(Command):
    """A change of one curve as a whole."""

    piece: PieceId

    def curve(self, design: Design) -> tuple[Piece, Curve]:
        """The piece and its curve. Raises BadSelectionError for a cage, or for a curve that has a mirror."""
        piece = design.shapeable_piece(self.piece)
        if piece.curve is None:
            raise BadSelectionError(f"{piece.name} is no curve; pick one.")
        if piece.symmetry is not None:
            raise BadSelectionError(f"{piece.name} has a mirror; make it independent first, and mirror it again after.")
        return piece, piece.curve


class ResampleCurve(OnCurve):
    """Give a curve ``count`` control points and another ``degree``, as near to what it was as these can."""

    kind: Literal["resample-curve"] = "resample-curve"
    count: Annotated[int, Field(ge=2, le=MOST), labelled("Points")] = 8
    degree: Annotated[
        Literal["1", "2", "3"], labelled("Degree", words={"3": "3, smooth", "2": "2", "1": "1, straight legs"})
    ] = "3"

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        degree: Degree = 1 if self.degree == "1" else 2 if self.degree == "2" else 3
        fitted = resampled(curve, self.count, degree)
        said = f"It strays from the curve that it was by at most {fine_length_words(fitted.deviation)}."
        return Outcome(design.with_piece(replace(piece, form=fitted.curve)), piece.id, remarks=(said,))

    def title(self, design: Design) -> str:
        return f"Resampled {design.piece(self.piece).name} to {self.count} points of degree {self.degree}"


class TurnCurve(OnCurve):
    """Let a curve run the other way."""

    kind: Literal["reverse-curve"] = "reverse-curve"

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        turned = np.arange(curve.count, dtype=np.int32)[::-1].copy()
        went = replace(ElementMap.identity(curve.polygon.topology), vertices=turned)
        return Outcome(design.with_piece(replace(piece, form=curve.reversed()), went), piece.id)

    def title(self, design: Design) -> str:
        return f"Reversed {design.piece(self.piece).name}"


class CloseCurve(OnCurve):
    """Close an open curve; ends that lie in one place become one point."""

    kind: Literal["close-curve"] = "close-curve"

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        return Outcome(design.with_piece(replace(piece, form=closed_up(curve))), piece.id)

    def title(self, design: Design) -> str:
        return f"Closed {design.piece(self.piece).name}"


_KEPT = {"all": "all parts", "longest": "the longest", "first": "the first", "last": "the last"}


class PartCurve(OnCurve):
    """Part a curve at a picked control point, or wherever the curve of another piece passes it within so many mm.

    A closed one is opened there; an open one becomes pieces, of which the first stays what it was. To trim it, ``keep``
    one of the parts only.
    """

    kind: Literal["part-curve"] = "part-curve"
    picked: Picked | None = None
    by: PieceId | None = None
    within: Annotated[Length, Field(gt=0, le=1_000), labelled("Within", "mm", step=0.1)] = 0.1
    keep: Annotated[Literal["all", "longest", "first", "last"], labelled("Keep", words=_KEPT)] = "all"

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        parts = parted(curve, self._passed(design, curve)) if self.by else parted_at(curve, self._point())
        parts = self._kept(parts)
        design = design.with_piece(replace(piece, form=parts[0].curve))
        for part in parts[1:]:
            design, _ = design.with_new_piece(piece.name, part.curve, like=design.piece(piece.id))
        stray = fine_length_words(max(part.deviation for part in parts))
        one = "The rest is cut off; it strays" if self._trims(curve) else "It is open now; it strays"
        made = f"{len(parts)} curves now; they stray" if len(parts) > 1 else one
        said = f"{made} from what it was by at most {stray}."
        return Outcome(design, piece.id, Selection.of("vertex", [parts[0].curve.count - 1]), remarks=(said,))

    def _trims(self, curve: Curve) -> bool:
        """Whether anything is cut off: a closed curve parted at one point is only opened."""
        return self.keep != "all" and not (curve.closed and self.by is None)

    def _kept(self, parts: list[Fitted]) -> list[Fitted]:
        if self.keep == "all":
            return parts
        if self.keep == "longest":
            return [max(parts, key=lambda part: pieces_of(part.curve).length)]
        return [parts[0 if self.keep == "first" else -1]]

    def _point(self) -> int:
        if self.picked is None or self.picked.kind != "vertex" or len(self.picked.ids) != 1:
            raise BadSelectionError("A curve is parted at one of its control points; pick one.")
        return self.picked.ids[0]

    def _passed(self, design: Design, curve: Curve) -> Floats:
        other = design.piece(self.by or "")
        if other.curve is None or other.id == self.piece:
            raise BadSelectionError("A curve is parted where another curve passes; pick two.")
        made = pieces_of(curve)
        places, least = passes(made, pieces_of(other.curve), self.within)
        if not len(places):
            words = f"{other.name} comes no nearer to {design.piece(self.piece).name} than {fine_length_words(least)}."
            raise BadSelectionError(words)
        if not curve.closed:
            run, ends = made.lengths_to(places), self.within
            places = places[(run > ends) & (run < made.length - ends)]
            if not len(places):
                raise BadSelectionError(f"{other.name} passes it at an end only; there is nothing to be parted.")
        return places

    def title(self, design: Design) -> str:
        where = f" where {design.piece(self.by).name} passes" if self.by else ""
        piece = design.piece(self.piece)
        done = "Trimmed" if piece.curve is not None and self._trims(piece.curve) else "Parted"
        return f"{done} {piece.name}{where}"


class ExtendCurve(OnCurve):
    """Make an open curve longer ``by`` so many mm at one end, straight on or bending on as it does; below 0 shorter."""

    kind: Literal["extend-curve"] = "extend-curve"
    by: Annotated[Length, labelled("Longer by", "mm", step=1)] = 5.0
    end: Annotated[Literal["last", "first"], labelled("At its", words={"last": "end", "first": "beginning"})] = "last"
    onwards: Annotated[
        Literal["straight", "bending"], labelled("It goes on", words={"straight": "straight", "bending": "bending"})
    ] = "straight"

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        fitted = extended(curve, self.by, first=self.end == "first", onwards=self.onwards)
        more = fitted.curve.count - curve.count
        # Where one was cut shorter its points are others; where it grew at its beginning all are moved up.
        went = np.arange(curve.count, dtype=np.int32) + (more if self.end == "first" else 0)
        if self.by < 0:
            went = np.full(curve.count, -1, dtype=np.int32)
        moved = replace(ElementMap.identity(curve.polygon.topology), vertices=went)
        end = 0 if self.end == "first" else fitted.curve.count - 1
        length = pieces_of(fitted.curve).length
        said = f"{length_words(length)} long now; its old part strays by at most {fine_length_words(fitted.deviation)}."
        changed = design.with_piece(replace(piece, form=fitted.curve), moved)
        return Outcome(changed, piece.id, Selection.of("vertex", [end]), remarks=(said,))

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        """The end that a picked control point lies nearer to."""
        curve = design.piece(hand.piece).curve
        if curve is None or hand.picked.kind != "vertex" or not hand.picked.ids:
            return {}
        return {"end": "first" if hand.picked.ids[0] < curve.count / 2 else "last"}

    def title(self, design: Design) -> str:
        way = "longer" if self.by > 0 else "shorter"
        return f"Made {design.piece(self.piece).name} {length_words(abs(self.by))} {way}"


class JoinCurves(OnCurve):
    """Join two open curves at their nearest ends; the first piece stays."""

    kind: Literal["join-curves"] = "join-curves"
    other: PieceId

    def apply(self, design: Design) -> Outcome:
        piece, curve = self.curve(design)
        other = design.shapeable_piece(self.other)
        if other.curve is None or other.id == piece.id:
            raise BadSelectionError("Two curves are joined; pick two.")
        if other.symmetry is not None:
            raise BadSelectionError(f"{other.name} has a mirror; make it independent first.")
        whole, gap = joined_to_one(curve, other.curve)
        said = () if gap < 1e-6 else (f"Their ends were {length_words(gap)} apart.",)
        changed = design.with_piece(replace(piece, form=whole)).without_piece(other.id)
        return Outcome(changed, piece.id, remarks=said)

    def title(self, design: Design) -> str:
        return f"Joined {design.piece(self.piece).name} and {design.piece(self.other).name}"


class OffsetCurve(OnCurve):
    """Put down the curve that runs ``distance`` mm beside one, in the plane square to a ``normal``."""

    kind: Literal["offset-curve"] = "offset-curve"
    distance: Annotated[Length, labelled("Distance", "mm", step=0.5)] = 2.0
    normal: Direction = (0.0, 0.0, 1.0)

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        if piece.curve is None:
            raise BadSelectionError(f"{piece.name} is no curve; pick one.")
        fitted = offset_in_plane(piece.curve, self.distance, self.normal)
        changed, made = design.with_new_piece(f"{piece.name}, offset", fitted.curve, like=piece)
        said = f"Its distance is true within {fine_length_words(fitted.deviation)}."
        return Outcome(changed, made.id, remarks=(said,))

    def title(self, design: Design) -> str:
        return f"Offset {design.piece(self.piece).name} by {length_words(self.distance)}"
