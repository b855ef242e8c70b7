"""What viewers ask for over the live channel; each but ``stop`` is answered by a message with its ``seq``."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter

from zinc_otter.api.curve_schemas import AskedOf
from zinc_otter.studio.commands import AnyCommand, Picked
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.commands.placement import ReachBy

MOST_BETWEEN = 10
"""Pieces between which gaps are told."""


class _Ask(BaseModel):
    model_config = ConfigDict(extra="ignore")
    seq: Annotated[int, Field(ge=0)] = 0


class AskPreview(_Ask):
    """Show what a command would lead to. Of previews only the latest counts."""

    do: Literal["preview"]
    revision: int = -1
    command: AnyCommand


class AskCommit(_Ask):
    """Keep a command as a step, or ``instead`` of the present one."""

    do: Literal["commit"]
    revision: int = -1
    command: AnyCommand
    instead: bool = False


class AskCancel(_Ask):
    """Show the design as it stands."""

    do: Literal["cancel"]


class AskLevel(_Ask):
    """Show pieces at a level of smoothness, or with null at the finest that is quick."""

    do: Literal["level"]
    level: Annotated[int, Field(ge=1, le=4, strict=True)] | None


class AskWeigh(_Ask):
    """Tell how far a reach carries from what is picked."""

    do: Literal["weigh"]
    piece: PieceId
    picked: Picked
    reach: ReachBy


class AskCurves(_Ask):
    """Show curves of a piece with every frame from now on, or with null no more."""

    do: Literal["curves"]
    asked: AskedOf | None


class AskGaps(_Ask):
    """Tell the gaps between these pieces with every frame from now on, beside those of repeats; none of them, no more."""

    do: Literal["gaps"]
    pieces: Annotated[list[PieceId], Field(max_length=MOST_BETWEEN)]


class AskMap(_Ask):
    """Tell what a proof asks of as a number at every row of its piece's surface, with every frame; none, no more."""

    do: Literal["map"]
    proof: Annotated[str, Field(max_length=20)] | None = None


class AskBodies(_Ask):
    """Look again whether the kernel has made a solid by now. It has no answer of its own."""

    do: Literal["bodies"]


class AskStop(_Ask):
    """Stop what is being worked on, and what waits; that is answered by refusals. With ``of`` that message alone."""

    do: Literal["stop"]
    of: int = 0


Asked = AskPreview | AskCommit | AskCancel | AskLevel | AskWeigh | AskCurves | AskGaps | AskMap | AskBodies | AskStop
DEEDS = frozenset({"preview", "commit", "cancel", "level", "weigh", "curves", "gaps", "map", "bodies", "stop"})
asked: TypeAdapter[Asked] = TypeAdapter(Annotated[Asked, Field(discriminator="do")])


def read_asked(message: object) -> Asked:
    """A message of a viewer. Raises pydantic.ValidationError naming what is wrong."""
    return asked.validate_python(message)
