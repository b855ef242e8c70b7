"""What move, turn, size and push share: a motion, and how far it reaches."""

from __future__ import annotations

from abc import abstractmethod
from collections.abc import Callable
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.building.motion import Motion, placed
from zinc_otter.core.cage.reach import Reach
from zinc_otter.core.cage.symmetry.whole import whole_moved
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length, OnSelection, Picked
from zinc_otter.studio.design import Design

Share = Annotated[float, Field(ge=0, le=1, allow_inf_nan=False)]


class ReachBy(BaseModel):
    """How far a change carries around the picked: ``radius`` mm along the cage, or through space.

    ``profile`` "drawn" goes through the points of ``curve``, (distance, share), both from 0 to 1. With ``within`` only
    what these elements hold takes part.
    """

    model_config = ConfigDict(extra="forbid", frozen=True)
    radius: Annotated[Length, Field(ge=0)]
    in_space: bool = False
    profile: Literal["smooth", "sharp", "round", "flat", "linear", "drawn"] = "smooth"
    curve: Annotated[tuple[tuple[Share, Share], ...], Field(max_length=32)] = ()
    within: Picked | None = None

    def on(self, cage: Cage) -> Reach:
        within = None if self.within is None else self.within.on(cage)
        return Reach(self.radius, self.in_space, self.profile, self.curve, within)


def reach_on(reach: ReachBy | None, cage: Cage) -> Reach | None:
    """The reach on a cage; none where nothing is to be carried."""
    return None if reach is None else reach.on(cage)


def reaching(reach: ReachBy | None) -> str:
    """For titles: ``, reaching 12 mm``."""
    return f", reaching {length_words(reach.radius)}" if reach and reach.radius else ""


class Placement(OnSelection):
    """A command that moves what is picked, and with a ``reach`` what lies around it by a share."""

    is_quick = True
    on_curves = True

    reach: ReachBy | None = None

    @abstractmethod
    def motion(self, cage: Cage, picked: Selection) -> Motion:
        """The motion, about the middle of the picked where nothing else was said."""

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return self.editing(cage, selection)(cage, selection)

    def editing(self, cage: Cage, picked: Selection) -> Callable[[Cage, Selection], Edit]:
        motion = self.motion(cage, picked)
        return lambda whole, selection: placed(whole, selection, motion, reach_on(self.reach, whole))

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        piece = design.pullable_piece(piece_id)
        if self.picked.kind == "piece" and piece.symmetry is not None:
            # As a whole it takes its mirrors along.
            done, symmetry = whole_moved(piece.cage, piece.symmetry, self.motion(piece.cage, self.picked.on(piece.cage)))
            return design.with_symmetric(piece, done, symmetry), done
        return super().edited(design, piece_id)
