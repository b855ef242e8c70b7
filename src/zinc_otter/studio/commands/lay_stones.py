"""Lay stones on a form, or along a curve: once, or again by other numbers."""

from __future__ import annotations

from dataclasses import asdict, replace
from typing import Annotated, Literal

from pydantic import Field, JsonValue

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.form import require_faces
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.stone.cuts.drawn import DrawnCabochon
from zinc_otter.core.stone.laying import LaidBy, StonePlace, laid_places
from zinc_otter.core.stone.materials import STONE_MATERIALS, carats_by_rule, weighing
from zinc_otter.core.stone.stone import Stone
from zinc_otter.core.words import figures
from zinc_otter.studio.commands.base import Command, Direction, InHand, Length, Name, Outcome, PieceId, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.growths import AnyStoneCut

_MATERIALS = {one.id: one.name for one in STONE_MATERIALS}


class LayStones(Command):
    """Lay stones of a cut and a material on the form ``host``, along ``curve`` or in it; see ``LaidBy`` for the ways.

    With ``piece`` those of that piece are laid anew; its name stays. With ``carats`` the stones are as large as they have to
    be to weigh that much each.
    """

    kind: Literal["lay-stones"] = "lay-stones"
    piece: PieceId | None = None
    name: Name | None = None
    host: Annotated[str, Field(max_length=20)] = ""
    curve: Annotated[str, Field(max_length=20)] = ""
    cut: AnyStoneCut
    material: Annotated[str, Field(max_length=40), labelled("Of", words=_MATERIALS)] = "diamond"
    carats: Annotated[float, Field(gt=0, le=1e5)] | None = None
    way: Literal["points", "round", "faces", "edges", "curve", "within"] = "points"
    points: Annotated[tuple[Vector, ...], Field(max_length=100_000)] = ()
    ids: Annotated[tuple[Annotated[int, Field(ge=0, lt=2**31)], ...], Field(max_length=200_000)] = ()
    count: Annotated[int, Field(ge=0, le=10_000_000)] = 0
    gap: Length = 0.2
    at: Annotated[float, Field(ge=0, le=1)] = 0.5
    point: Vector = (0.0, 0.0, 0.0)
    along: Direction = (0.0, 0.0, 1.0)
    sink: Length = 0.0
    turn: Annotated[float, Field(ge=-360, le=360)] = 0.0

    def growth(self, design: Design) -> Stones:
        """What the stones grow by. Raises CoreError."""
        if self.carats is not None and self.way == "within":
            raise BadNumberError("A drawn cabochon is as large as its curve: pull that larger, or thicken the dome.")
        cut = self.cut if self.carats is None else weighing(self.cut, self.material, self.carats)
        stone = Stone(cut, self.material)
        laid = LaidBy(self.way, self.points, self.ids, self.count, self.gap, self.at, self.point, self.along)
        if self.way == "curve":
            if not self.curve:
                raise BadSelectionError("Pick the curve along which the stones are to be laid.")
            return Stones(self.host, self.curve, stone, (), self.sink, self.turn, laid)
        if self.way == "within" or isinstance(cut, DrawnCabochon):
            return Stones(self.host, self.curve, stone, (), self.sink, 0.0, laid)
        if not self.host:
            raise BadSelectionError("Pick the form that the stones are to be laid on.")
        host = design.piece(self.host)
        faces = require_faces(host.form, host.name)
        if not isinstance(host.form, Cage):
            raise BadSelectionError(
                f"{host.name} is images of other forms: lay the stones on one of these, and repeat them with it."
            )
        return Stones(self.host, "", stone, self._places(design, faces, laid, cut.width), self.sink, self.turn, laid)

    def _places(self, design: Design, faces: Cage, laid: LaidBy, width: float) -> tuple[StonePlace, ...]:
        """Those that lie there already stay where they have been carried; only what is asked for anew is looked for."""
        old = design.piece(self.piece).grown if self.piece is not None else None
        if not isinstance(old, Stones) or old.host != self.host:
            return laid_places(faces, laid, width)
        if old.laid == laid and (laid.way in ("points", "round") or old.stone.cut.width == width):
            return old.places
        if laid.way != "points" or old.laid.way != "points":
            return laid_places(faces, laid, width)
        kept = dict(zip(old.laid.points, old.places, strict=False))
        fresh = tuple(point for point in laid.points if point not in kept)
        if fresh:
            kept |= zip(fresh, laid_places(faces, replace(laid, points=fresh), width), strict=True)
        return tuple(kept[point] for point in laid.points)

    def apply(self, design: Design) -> Outcome:
        growth = self.growth(design)
        name = self.name or growth.stone.cut.what
        if self.piece is None:
            changed, piece = design.with_new_growth(name, growth)
            return Outcome(changed, piece.id, whole=True, remarks=_told(design, changed, piece.id))
        piece = design.free_piece(self.piece)
        if not isinstance(piece.grown, Stones):
            raise BadSelectionError(f"{piece.name} is no stones.")
        changed = design.with_piece(design.regrown(replace(piece, grown=growth)))
        return Outcome(changed, piece.id, whole=True, remarks=_told(design, changed, piece.id))

    def title(self, design: Design) -> str:
        there = {piece.id: piece.name for piece in design.pieces}
        on, along = there.get(self.host, ""), there.get(self.curve, "")
        many = {
            "points": "a stone" if len(self.points) == 1 else f"{len(self.points)} stones",
            "within": "a stone",
            "round": f"{self.count * max(len(self.points), 1)} stones",
        }.get(self.way, f"{self.count} stones" if self.count else "stones")
        ways = {"curve": f"along {along}", "within": f"in {along}", "faces": f"over faces of {on}"}
        where = ways.get(self.way, f"on {on}")
        deed = f"aid {many} ({self.cut.what.lower()}) {where}"
        return f"L{deed}" if self.piece is None else f"{there.get(self.piece, '')}: l{deed}"

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        """Those of the stones in hand, so that they can be laid anew."""
        growth = design.piece(hand.piece).grown
        return {"stone": asdict(growth.stone)} if isinstance(growth, Stones) else {}


def _told(before: Design, design: Design, piece_id: str) -> tuple[str, ...]:
    """How many there are, and what they weigh."""
    form = design.piece(piece_id).form
    stones = form.stones  # type: ignore[union-attr]
    count = sum(len(motions) for _, motions in stones)
    each = stones[0][0].carats
    total = sum(stone.carats * len(motions) for stone, motions in stones)
    weight = f"{figures(each)} ct each, {figures(total)} ct together" if count > 1 else f"{figures(total)} ct"
    said = f"{count} {'stone' if count == 1 else 'stones'}: {weight}."
    stone = stones[0][0]
    rule = carats_by_rule(stone.cut) if stone.material == "diamond" else None
    if rule is None or count > 1:
        return (said,)
    return said, f"By the trade's rule, d² × depth × 0.0061, it would be {figures(rule)} ct."
