"""Rules of picking, as small models: from what is picked on a piece to what is meant."""

from __future__ import annotations

from abc import ABC, abstractmethod
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.cage import Cage, Kind, Selection, picking
from zinc_otter.core.cage.selection import convert
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands.base import Name

Index = Annotated[int, Field(ge=0, lt=2**31)]


class Rule(BaseModel, ABC):
    model_config = ConfigDict(extra="forbid", frozen=True)

    @abstractmethod
    def found(self, cage: Cage, picked: Selection) -> Selection:
        """What is picked by this rule. Raises CoreError."""


class Loop(Rule):
    """The loops through the picked; a single vertex or face takes its direction from the edge ``towards``."""

    rule: Literal["loop"] = "loop"
    towards: Index | None = None

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return picking.loops_of(cage.topology, picked, self.towards)


class Ring(Rule):
    """The rings through the picked."""

    rule: Literal["ring"] = "ring"
    towards: Index | None = None

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return picking.rings_of(cage.topology, picked, self.towards)


class Band(Rule):
    """All between two picked elements."""

    rule: Literal["band"] = "band"

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return picking.band(cage.topology, picked)


class Simple(Rule):
    """Grow, shrink, invert, all, none, or the border."""

    rule: Literal["grow", "shrink", "invert", "all", "none", "border"]

    def found(self, cage: Cage, picked: Selection) -> Selection:
        t = cage.topology
        if self.rule == "all":
            return picking.everything(t, picked.kind)
        if self.rule == "none":
            return Selection.of(picked.kind, [])
        if self.rule == "border":
            return picking.border(t, picked)
        if self.rule == "invert":
            return picking.invert(t, picked)
        picked.check(t)
        return picking.grow(t, picked) if self.rule == "grow" else picking.shrink(t, picked)


class FaceSet(Rule):
    """The faces of a named set."""

    rule: Literal["face-set"] = "face-set"
    name: Name

    def found(self, cage: Cage, picked: Selection) -> Selection:
        if self.name not in cage.face_sets:
            raise BadSelectionError(f"This piece has no set of faces named “{self.name}”.")
        return Selection.of("face", cage.face_sets[self.name])


class Creases(Rule):
    """All edges at least so sharp."""

    rule: Literal["creases"] = "creases"
    least: Annotated[float, Field(ge=0, le=10)] = 0.0

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return picking.by_sharpness(cage, self.least)


class Similar(Rule):
    """What is like the picked: in ``valence``, ``sharpness``, or ``normal`` within some ``degrees``."""

    rule: Literal["similar"] = "similar"
    by: Literal["valence", "sharpness", "normal"]
    degrees: Annotated[float, Field(ge=0, le=180)] = 15.0

    def found(self, cage: Cage, picked: Selection) -> Selection:
        if self.by == "normal":
            return picking.similar_normal(cage, picked, self.degrees)
        alike = picking.similar_valence if self.by == "valence" else picking.similar_sharpness
        return alike(cage, picked)


class Mirrored(Rule):
    """The picked and the same on the far side of the plane where ``axis`` is ``at`` mm."""

    rule: Literal["far-side"] = "far-side"
    axis: Literal["x", "y", "z"] = "x"
    at: Annotated[float, Field(ge=-1e6, le=1e6)] = 0.0

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return picking.mirrored(cage, picked, "xyz".index(self.axis), self.at)


class Convert(Rule):
    """The same place as elements of another kind."""

    rule: Literal["convert"] = "convert"
    to: Kind

    def found(self, cage: Cage, picked: Selection) -> Selection:
        return convert(cage.topology, picked, self.to)


AnyRule: Any = Annotated[
    Loop | Ring | Band | Simple | FaceSet | Creases | Similar | Mirrored | Convert, Field(discriminator="rule")
]
