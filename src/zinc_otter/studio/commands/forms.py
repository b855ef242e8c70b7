"""What all commands that put down a primitive share: where it stands, and what its sizes mean."""

from __future__ import annotations

from abc import ABC, abstractmethod
from functools import lru_cache
from typing import Annotated

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.placed import Axis, Side, placed
from zinc_otter.core.primitives.sized import SizeOf
from zinc_otter.studio.commands.base import Length, NewPiece, Vector

Size = Annotated[Length, Field(gt=0)]
Count = Annotated[int, Field(ge=1, le=10_000)]
Share = Annotated[float, Field(gt=0, lt=1)]
Sharpness = Annotated[float, Field(ge=0, le=10)]


class Form(NewPiece, ABC):
    """A primitive about ``centre``, standing along ``stands``.

    ``size_of`` says whether its sizes are those of the smooth surface or of the control cage. ``keep`` keeps one side of
    a mirror plane through the centre only, with the seam in the plane.
    """

    centre: Vector = (0.0, 0.0, 0.0)
    stands: Axis = "z"
    size_of: SizeOf = "cage"
    keep: Side = "whole"

    @abstractmethod
    def form(self) -> Cage:
        """The form about the origin, standing along z."""

    def cage(self) -> Cage:
        return placed(formed(self), self.stands, self.centre, self.keep)


@lru_cache(maxsize=16)
def formed(command: Form) -> Cage:
    """The form of a command, made once for putting it down and for telling how true it came out."""
    return command.form()
