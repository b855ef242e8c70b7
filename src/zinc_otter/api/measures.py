"""Numbers as people write them, picking by rules, and what cards begin with."""

from __future__ import annotations

from typing import Annotated, Any

from fastapi import APIRouter, Query
from pydantic import BaseModel, ConfigDict, JsonValue

from zinc_otter.api.designs import AtHand
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.units import LONGEST, Asked, read_number
from zinc_otter.core.words import Unit
from zinc_otter.studio.commands import Picked, commands
from zinc_otter.studio.commands.base import InHand
from zinc_otter.studio.picks import AnyRule

router = APIRouter(prefix="/api", tags=["measures"])


class NumberState(BaseModel):
    """In mm, degrees, per cent, or plain."""

    value: float


class Pick(BaseModel):
    model_config = ConfigDict(extra="forbid")
    rule: AnyRule
    picked: Picked


@router.get("/number")
def get_number(
    text: Annotated[str, Query(max_length=4 * LONGEST)], asked: Asked = "length", unit: Unit = "mm"
) -> NumberState:
    """The value of an expression with units, such as ``3/8 in``; a bare length is taken in ``unit``."""
    return NumberState(value=read_number(text, asked, unit))


class Begin(BaseModel):
    model_config = ConfigDict(extra="forbid")
    kind: str
    hand: InHand


class Beginnings(BaseModel):
    """Parameters by their names; those that follow from nothing are not among them."""

    values: dict[str, JsonValue]


@router.post("/designs/{design_id}/beginnings")
def beginnings(design_id: str, given: Begin, room: AtHand) -> Beginnings:
    """What the parameters of a command begin with, where that follows from what is in hand."""
    command = commands().get(given.kind)
    if command is None:
        raise BadSelectionError(f"There is no command called {given.kind}.")
    design = room.studio.saved(design_id).design
    design.piece(given.hand.piece)
    try:
        return Beginnings(values=command.beginnings(design, given.hand))
    except BadSelectionError:
        # Nothing follows from what is picked: the tool will say itself what it needs.
        return Beginnings(values={})


@router.post("/designs/{design_id}/pieces/{piece_id}/pick", tags=["geometry"])
def pick(design_id: str, piece_id: str, given: Pick, room: AtHand) -> Picked:
    """What a rule picks on a piece, given what is picked."""
    cage = room.studio.saved(design_id).design.piece(piece_id).cage
    picked = given.picked.on(cage)
    if len(picked.ids):
        picked.check(cage.topology)
    found = given.rule.found(cage, picked)
    ids: list[Any] = found.ids.tolist()
    return Picked(kind=found.kind, ids=ids)
