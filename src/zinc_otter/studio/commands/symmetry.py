"""Mirror a piece, repeat it about an axis, and make it independent again."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, JsonValue

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.symmetry import Group, Plane, Symmetry, mirror, plane_at, radial
from zinc_otter.core.cage.symmetry.assembling import assembled, cut_and_assembled, following, sides_of
from zinc_otter.core.cage.symmetry.open_half import open_half
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.mirroring import cut_and_mirrored, followed
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.growth.mirrored import MirroredCopy
from zinc_otter.core.relief.symmetrised import symmetrised
from zinc_otter.core.words import along_axes, fine_length_words, length_words
from zinc_otter.studio.commands.base import Command, Direction, InHand, Length, Outcome, PieceId, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design, Piece, let_go

Tolerance = Annotated[Length, Field(ge=0)]


class Mirror(Command):
    """Mirror a piece in the plane through ``point`` with a ``normal``; a second time, in a plane square to the first.

    - "cut": cut a whole body at the plane, keep one side and mirror it
    - "follow": leave the whole as it is laid out; the other side follows the kept one
    - "open": an open half; its border within ``tolerance`` mm of the plane is drawn into it and joined
    - "second": a second piece that follows this one

    The side that the normal points to is kept, or with ``keep`` "negative" the other. Of a curve "open" is one that ends at
    the plane, or is to be cut there.
    """

    kind: Literal["mirror"] = "mirror"
    piece: PieceId
    way: Annotated[
        Literal["cut", "follow", "open", "second"],
        labelled(
            "Begin from",
            words={
                "cut": "a whole, cut at the plane",
                "follow": "a whole, the other side follows",
                "open": "an open half",
                "second": "a second piece that follows",
            },
        ),
    ] = "cut"
    point: Vector = (0.0, 0.0, 0.0)
    normal: Direction = (1.0, 0.0, 0.0)
    keep: Annotated[
        Literal["positive", "negative"], labelled("Keep", words={"positive": "the + side", "negative": "the − side"})
    ] = "positive"
    tolerance: Annotated[Tolerance, labelled("Drawn in within", "mm", step=0.1)] = 0.5

    def apply(self, design: Design) -> Outcome:
        plane = plane_at(self.point, self.normal)
        piece = design.free_piece(self.piece) if self.way == "second" else design.shapeable_piece(self.piece)
        if self.way == "second":
            changed, _ = design.with_new_growth(f"{piece.name}, mirrored", MirroredCopy(piece.id, plane), like=piece)
            return Outcome(changed, piece.id)
        if piece.curve is not None:
            return self._curve_mirrored(design, piece, piece.curve, plane)
        cage, symmetry = self._mirrored(piece, plane)
        changed = design.with_piece(replace(piece, form=cage, symmetry=symmetry))
        away = float(np.ptp(cage.positions, axis=0).max()) * (1 if self.keep == "positive" else -1)
        kept = np.asarray(plane.point) + away * np.asarray(plane.normal)
        hand = piece.cage.positions.mean(axis=0) if self.way == "open" else kept
        return Outcome(_with_one_relief(changed, piece.id, hand), piece.id, Selection.of("face", []))

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        piece = design.piece(hand.piece)
        if piece.curve is not None:
            return {"way": "cut" if _crosses_middle(piece.curve) else "second"}
        half = open_half(piece.cage)
        if half is None:
            return {}
        axis, at = half
        normal: list[JsonValue] = [float(k == axis) for k in range(3)]
        return {"way": "open", "normal": normal, "point": [at if k == axis else 0.0 for k in range(3)]}

    def _curve_mirrored(self, design: Design, piece: Piece, curve: Curve, plane: Plane) -> Outcome:
        if piece.symmetry is not None:
            raise BadSelectionError(f"{piece.name} has a mirror already; make it independent first.")
        kept = self.keep == "positive"
        if self.way == "follow":
            fitted, symmetry = followed(curve, plane, kept)
            said = f"Its points moved by at most {fine_length_words(fitted.deviation)}."
        else:
            fitted, symmetry = cut_and_mirrored(curve, plane, kept, self.tolerance)
            said = f"It strays from the half that it was by at most {fine_length_words(fitted.deviation)}."
        changed = design.with_piece(replace(piece, form=fitted.curve, symmetry=symmetry))
        return Outcome(changed, piece.id, Selection.of("vertex", []), remarks=(said,))

    def _mirrored(self, piece: Piece, plane: Plane) -> tuple[Cage, Symmetry]:
        own = piece.symmetry
        if own is not None and (own.group.axis is not None or len(own.group.planes) == 2):
            raise BadSelectionError(f"{piece.name} has {own.group.described()} already; make it independent first.")
        both = mirror(*(own.group.planes if own else ()), plane)
        if self.way == "cut":
            return cut_and_assembled(piece.faces, plane, self.keep == "positive", self.tolerance, own)
        if self.way == "open":
            return assembled(piece.faces, Group((plane,)), self.tolerance, own)
        reach = float(np.ptp(piece.cage.positions, axis=0).max())
        towards = reach if self.keep == "positive" else -reach
        hand = np.asarray(plane.point) + towards * np.asarray(plane.normal)
        for first in both.planes[:-1]:
            hand = hand + reach * np.asarray(first.normal)
        return following(piece.faces, both, hand)

    def title(self, design: Design) -> str:
        return f"Mirrored {design.piece(self.piece).name} {_plane_words(self.point, self.normal)}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        if self.way == "second" or outcome.piece_id is None:
            return ()
        piece = outcome.design.piece(outcome.piece_id)
        if piece.symmetry is None or piece.curve is not None:
            return outcome.remarks
        seam = len(piece.symmetry.seam)
        negative, positive = sides_of(piece.cage, plane_at(self.point, self.normal))
        meets = f"{seam} edges lie on the seam" if seam else "The two sides do not meet"
        return (f"{meets}; {positive if self.keep == 'positive' else negative} faces on each side.",)


def _crosses_middle(curve: Curve) -> bool:
    """Whether it can be cut where x is 0: the plane that is proposed first."""
    try:
        cut_and_mirrored(curve, plane_at((0.0, 0.0, 0.0), (1.0, 0.0, 0.0)), True, 0.5)
    except CoreError:
        return False
    return True


def _with_one_relief(design: Design, piece_id: str, hand: Floats) -> Design:
    """The design once the relief of a symmetric piece's part at ``hand`` (3,) is that of all its sides."""
    piece = design.piece(piece_id)
    if piece.symmetry is None or piece.cage.relief is None:
        return design
    return design.with_piece(replace(piece, form=symmetrised(piece.cage, piece.symmetry, hand)))


class RepeatAround(Command):
    """Repeat a piece in ``sectors`` about the axis ``along`` through ``point``, with or without a mirror in each sector.

    - "open": the piece is one sector (with ``mirrored`` half of one); borders that meet within ``tolerance`` are joined
    - "follow": a whole that is laid out alike all round; all sectors follow the one ``towards`` a direction
    """

    kind: Literal["repeat-around"] = "repeat-around"
    piece: PieceId
    way: Annotated[
        Literal["open", "follow"], labelled("Begin from", words={"open": "one sector", "follow": "a whole, all follow one"})
    ] = "open"
    point: Vector = (0.0, 0.0, 0.0)
    along: Direction = (0.0, 0.0, 1.0)
    sectors: Annotated[int, Field(ge=2, le=128), labelled("Sectors")]
    mirrored: Annotated[bool, labelled("Each sector", words={"no": "plain", "yes": "mirrored in itself"})] = False
    towards: Direction = (1.0, 0.0, 0.0)
    tolerance: Annotated[Tolerance, labelled("Joined within", "mm", step=0.1)] = 0.5

    def apply(self, design: Design) -> Outcome:
        piece = design.shapeable_piece(self.piece)
        if piece.symmetry is not None:
            raise BadSelectionError(
                f"{piece.name} has {piece.symmetry.group.described()} already; make it independent first."
            )
        group = radial(self.point, self.along, self.sectors, self.towards if self.mirrored else None)
        if self.way == "open":
            cage, symmetry = assembled(piece.faces, group, self.tolerance)
        else:
            reach = float(np.ptp(piece.cage.positions, axis=0).max())
            hand = np.asarray(self.point) + reach * unit(np.asarray(self.towards, dtype=np.float64))
            if self.mirrored:
                # A little off the mirror, towards the side that its normal points to.
                hand = hand + 0.01 * reach * np.asarray(group.planes[0].normal)
            cage, symmetry = following(piece.faces, group, hand)
        changed = design.with_piece(replace(piece, form=cage, symmetry=symmetry))
        if self.way == "open":
            hand = piece.cage.positions.mean(axis=0)
        return Outcome(_with_one_relief(changed, piece.id, hand), piece.id, Selection.of("face", []))

    def weight(self, design: Design) -> int:
        times = self.sectors * (2 if self.mirrored else 1) if self.way == "open" else 1
        return times * design.piece(self.piece).cage.topology.face_count

    def crossing_words(self, count: int) -> str:
        return f"The sectors run through each other at {count} marked faces: what is repeated reaches out of its sector."

    def title(self, design: Design) -> str:
        return f"Repeated {design.piece(self.piece).name} in {self.sectors} sectors"


class MakeIndependent(Command):
    """Keep the whole of a symmetric piece as it stands, each side on its own; or let a piece follow no longer."""

    kind: Literal["make-independent"] = "make-independent"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        if piece.symmetry is None and piece.grown is None:
            raise BadSelectionError(f"{piece.name} is independent already.")
        return Outcome(design.with_piece(let_go(replace(piece, symmetry=None))), piece.id)

    def title(self, design: Design) -> str:
        return f"Made {design.piece(self.piece).name} independent"


def _plane_words(point: Vector, normal: Direction) -> str:
    along = [(axis, k) for k, axis in enumerate("xyz") if abs(normal[k]) > 1e-9]
    if len(along) == 1:
        axis, k = along[0]
        return f"at {axis} = {length_words(point[k])}"
    return f"in a plane through {along_axes(point)}"
