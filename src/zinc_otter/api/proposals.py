"""Cages of quads proposed for a scan: begun as a job, fetched by their key, and put down by the command that puts down a
cage."""

from __future__ import annotations

import hashlib
import json
from typing import Annotated, Literal

import numpy as np
from fastapi import APIRouter
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.api.designs import AtHand
from zinc_otter.api.solid_schemas import KeyedJob
from zinc_otter.api.solids import Key, NoSolidError, report_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.scan.proposing.proposal import LEAST, MOST
from zinc_otter.jobs.proposal_work import write_proposal
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.references import Component

router = APIRouter(prefix="/api", tags=["scans"])
_KEPT = 30


class ProposalAsk(BaseModel):
    """Of which component, of about how many quads, whether it is to be mirrored across an axis, in the plane at 0, and
    whether its sharp lines are followed."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    component: PieceId
    count: Annotated[int, Field(ge=LEAST, le=MOST)] = 400
    mirrored: Literal["no", "x", "y", "z"] = "no"
    sharp: bool = True


class Proposed(BaseModel):
    """A cage of quads, settled on the scan: of a mirrored one the half, with its creases by their two ends. ``quads``, the
    edges ``creased`` and the ``irregular`` vertices, with not four edges, are those of the whole; ``before`` and ``after``
    settling the root mean square and the largest distance in mm of so many ``places`` of the scan; ``bare`` faces have
    nothing of it on them."""

    positions: list[tuple[float, float, float]]
    faces: list[tuple[int, int, int, int]]
    creases: list[tuple[int, int, float]]
    quads: int
    creased: int
    irregular: int
    before: tuple[float, float]
    after: tuple[float, float]
    places: int
    bare: int


@router.post("/designs/{design_id}/proposals", status_code=202)
def begin_proposal(design_id: str, asked: ProposalAsk, room: AtHand) -> KeyedJob:
    """Begin to lay quads on a component, as it lies now."""
    component = room.studio.saved(design_id).design.reference(asked.component)
    if not isinstance(component, Component):
        raise BadSelectionError(f"{component.name} is a picture; quads are proposed for a component.")
    mesh = room.meshes.get(component.asset)
    placed = f"{component.asset} {component.rotation} {component.centre}"
    key = hashlib.sha256(f"{placed} {asked!r}".encode()).hexdigest()[:32]
    name = f"files/{key}.json"
    room.made.place(design_id, name)
    room.made.sweep_folder("files", _KEPT)
    half = None if asked.mirrored == "no" else "xyz".index(asked.mirrored)
    job_id = room.jobs.start(
        key, "Proposing quads", write_proposal, component.placed(mesh.vertices),
        np.asarray(mesh.triangles, dtype=np.int32), asked.count, half, asked.sharp, room.made.path(name),
    )  # fmt: skip
    return KeyedJob(job=report_of(room.jobs.state(job_id)), key=key)


@router.get("/proposals/{key}")
def fetch_proposal(key: Key, room: AtHand) -> Proposed:
    """A proposal that was made."""
    path = room.made.path(f"files/{key}.json")
    if not path.exists():
        raise NoSolidError("This proposal has not been made, or is not kept any more.")
    return Proposed(**json.loads(path.read_text("utf-8")))
