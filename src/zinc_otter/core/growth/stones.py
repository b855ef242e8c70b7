"""Stones on a form or along a curve: they ride on it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.frames import minimal_frames, upright_frames
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.form import Form, require_faces
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth, curve_of
from zinc_otter.core.repeated import Images, Repeated
from zinc_otter.core.stone.cuts.drawn import DrawnCabochon
from zinc_otter.core.stone.in_curve import stone_in
from zinc_otter.core.stone.laying import MOST_STONES, LaidBy, StonePlace, along_length
from zinc_otter.core.stone.stone import Stone
from zinc_otter.core.surface.anchors import anchored, rooted
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.core.words import fine_length_words, length_words


@dataclass(frozen=True)
class Stones(Growth):
    """``stone`` in each of ``places`` on the form ``host``; or along the curve ``rail``, by the count or gap of ``laid``;
    or, where it is a drawn one, in that curve, closed.

    On a form the table looks along the normal, along a curve to where the form ``host`` looks beside it, or else up. The
    girdle's middle lies ``sink`` mm below the surface; all are turned by ``turn`` degrees.
    """

    what: ClassVar[str] = "Stones"
    pulled: ClassVar[bool] = False
    tie: ClassVar[str] = " as its stones"
    host: str = ""
    rail: str = ""
    stone: Stone = field(default_factory=Stone)
    places: tuple[StonePlace, ...] = ()
    sink: float = 0.0
    turn: float = 0.0
    laid: LaidBy = field(default_factory=LaidBy)
    kind: Literal["stones"] = "stones"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not self.host and not self.rail:
            raise GrowthError("Stones are laid on a form, or along a curve; pick one.")
        if not 0 <= self.laid.at <= 1:
            raise BadNumberError(f"A stone lies at 0 to 100 % of a curve's length; {100 * self.laid.at:g} % is not.")
        if isinstance(self.stone.cut, DrawnCabochon) != (self.laid.way == "within"):
            raise GrowthError("A drawn cabochon lies in a closed curve, its outline; other cuts have outlines of their own.")
        if self.laid.way == "within" and not self.rail:
            raise GrowthError("Pick the closed curve that is the outline of the stone.")
        count = self.laid.count if self.rail else len(self.places)
        if count > MOST_STONES:
            raise BadNumberError(f"That would be {count:,} stones; {MOST_STONES:,} are the most of one piece.")

    @property
    def sources(self) -> tuple[str, ...]:
        return tuple(one for one in (self.host, self.rail) if one)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        host = require_faces(forms[0], "What stones are laid on") if self.host else None
        if self.laid.way == "within":
            return self._within(curve_of(forms[-1], "A drawn cabochon"), host)
        frames, sizes = self._on_rail(curve_of(forms[-1], "A row of stones"), host) if self.rail else self._on_form(host)
        if not len(frames):
            raise GrowthError("There is no room for a stone here.")
        _require_room(self.stone.cut.width, host)
        parts = []
        for size in np.unique(sizes):
            stone = self.stone.sized(float(size))
            parts.append(Images(stone.gem.cage, frames[sizes == size], stone))
        return Outgrowth(Repeated(tuple(parts)))

    def deed(self, name_of: NameOf) -> str:
        if self.laid.way == "within":
            return f"Laid a stone, {self.stone.called}, in {name_of(self.rail)}"
        count = len(self.places)
        many = f"{count} stones" if count != 1 else "a stone"
        if self.rail:
            many = {0: "a row of stones", 1: "a stone"}.get(self.laid.count, f"{self.laid.count} stones")
        return (
            f"Laid {many}, {self.stone.called}, {f'along {name_of(self.rail)}' if self.rail else f'on {name_of(self.host)}'}"
        )

    def carried(self, source: str, before: Form, after: Form) -> Growth:
        """Where the form's faces are others, places go to what lies nearest to where they were."""
        if source != self.host or not self.places or not isinstance(before, Cage) or not isinstance(after, Cage):
            return self
        if before.structure_digest == after.structure_digest:
            return self
        was = rooted(before, [place.anchor for place in self.places])
        found = anchored(after, was.points)
        now = rooted(after, found)
        turns = [_angle(now.along[k], now.normals[k], was.along[k]) for k in range(len(found))]
        places = tuple(
            replace(place, corner=a.corner, u=a.u, v=a.v, turn=place.turn + turn)
            for place, a, turn in zip(self.places, found, turns, strict=True)
        )
        return replace(self, places=places)

    def _within(self, curve: Curve, host: Cage | None) -> Outgrowth:
        assert isinstance(self.stone.cut, DrawnCabochon)
        cut, middle, ahead, normal = stone_in(curve, host, self.stone.cut)
        _require_room(cut.width, host)
        stone = replace(self.stone, cut=cut)
        at = _framed((middle - self.sink * normal)[None], ahead[None], normal[None])
        return Outgrowth(Repeated((Images(stone.gem.cage, at, stone),)))

    def _on_form(self, host: Cage | None) -> tuple[Floats, Floats]:
        if host is None:
            raise GrowthError("Stones by places need the form that they lie on.")
        at = rooted(host, [place.anchor for place in self.places])
        turn = np.radians([place.turn + self.turn for place in self.places])[:, None]
        ahead = np.cos(turn) * at.along + np.sin(turn) * np.cross(at.normals, at.along)
        sink = np.array([place.sink + self.sink for place in self.places])[:, None]
        return _framed(at.points - sink * at.normals, ahead, at.normals), np.array([place.size for place in self.places])

    def _on_rail(self, curve: Curve, host: Cage | None) -> tuple[Floats, Floats]:
        made = pieces_of(curve)
        laid = self.laid
        lengths = along_length(made.length, made.closed, laid.count, self.stone.cut.width, laid.gap)
        if laid.count == 1:
            lengths = np.array([laid.at * made.length])
        places = made.places_at(lengths)
        if host is not None:
            points, normals = nearest_on(host).at(made.at(places))
            ahead = made.directions(places)
        else:
            upright = abs(float(made.plane()[1][2])) < 0.999
            frames = minimal_frames(made, places, (0.0, 0.0, 1.0)) if upright else upright_frames(made, places)
            points, ahead, normals = frames.points, frames.along, frames.side if upright else frames.up
        ahead = unit(ahead - (ahead * normals).sum(axis=1, keepdims=True) * normals)
        turn = np.radians(self.turn)
        ahead = np.cos(turn) * ahead + np.sin(turn) * np.cross(normals, ahead)
        return _framed(points - self.sink * normals, ahead, normals), np.ones(len(points))


def _require_room(width: float, host: Cage | None) -> None:
    extent = None if host is None else float(np.ptp(host.bounds, axis=0).max())
    if extent is not None and width > extent:
        raise GrowthError(
            f"A stone of {length_words(width)} is larger than the form that it is to be laid on, "
            f"{fine_length_words(extent)}."
        )


def _framed(points: Floats, ahead: Floats, normals: Floats) -> Floats:
    """(k, 4, 4) motions of a stone: y ahead, z along the normal."""
    motions = np.tile(np.eye(4), (len(points), 1, 1))
    motions[:, :3, 0], motions[:, :3, 1], motions[:, :3, 2] = np.cross(ahead, normals), ahead, normals
    motions[:, :3, 3] = points
    return motions


def _angle(start: Floats, normal: Floats, wanted: Floats) -> float:
    """Degrees about a normal from one way to another."""
    return float(np.degrees(np.arctan2(wanted @ np.cross(normal, start), wanted @ start)))
