"""The proof sheet of a design: begun as a job, fetched as a page or as PDF."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping
from datetime import datetime
from typing import Annotated, Literal

import numpy as np
from fastapi import APIRouter, Query, Response
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import KeyedJob
from zinc_otter.api.solids import Key, NoSolidError, download, report_of
from zinc_otter.api.triangle_files import fineness_of, triangles_place
from zinc_otter.api.written import written_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.sheet_work import write_sheet
from zinc_otter.sheet.sheet import OfWhat, Wanted
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.references import Component

router = APIRouter(prefix="/api", tags=["sheets"])


class SheetAsk(BaseModel):
    """On which paper, whether at true size also where that is small, and in which material it is weighed."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    paper: Literal["A4", "A3", "Letter"] = "A4"
    true_size: bool = False
    material: Annotated[str, Field(max_length=80)] = "Silver, 925 with copper"


@router.post("/designs/{design_id}/sheet", status_code=202)
def begin_sheet(design_id: str, asked: SheetAsk, room: AtHand) -> KeyedJob:
    """Begin to draw the sheet of what is shown, as the design stands now; it is fetched by its key."""
    if all(material.name != asked.material for material in MATERIALS):
        raise BadSelectionError(f"There is no material called {asked.material!r} to weigh it in.")
    saved = room.studio.saved(design_id)
    design, facts = saved.design, saved.facts
    recipes = recipes_of(room, design)
    fineness = fineness_of(room, chord_of(recipes, 0.05), 180.0)
    if recipes:
        triangles_place(room, design_id, fineness, *recipes.values())
    needed = {key for proof in design.proofs for key in proof.components}
    placed = [r for r in design.references if isinstance(r, Component) and r.id in needed]
    meshes = {r.asset: room.meshes.get(r.asset) for r in placed}
    made = datetime.now()
    key = hashlib.sha256(f"{design_id} {facts.revision} {asked!r} {made.isoformat()}".encode()).hexdigest()[:32]
    names = [f"files/{key}.{kind}" for kind in ("html", "pdf")]
    room.made.place(design_id, *names)
    room.made.sweep_folder("files", _KEPT)
    job_id = room.jobs.start(
        key, "Drawing the sheet", write_sheet, design, OfWhat(facts.name, facts.revision, made, facts.unit),
        Wanted(asked.paper, asked.true_size, asked.material), recipes, fineness,
        {asset: (mesh.vertices, mesh.triangles) for asset, mesh in meshes.items()},
        written_of(room, design_id, recipes.values()), *(room.made.path(name) for name in names),
    )  # fmt: skip
    return KeyedJob(job=report_of(room.jobs.state(job_id)), key=key)


_TYPES = {"html": "text/html", "pdf": "application/pdf"}
_KEPT = 30


@router.get("/sheets/{key}", response_class=Response)
def fetch_sheet(
    key: Key, room: AtHand, kind: Literal["html", "pdf"] = "pdf", name: Annotated[str, Query(max_length=120)] = "Sheet"
) -> Response:
    """A sheet that was drawn, under a name."""
    path = room.made.path(f"files/{key}.{kind}")
    if not path.exists():
        raise NoSolidError("This sheet has not been drawn, or is not kept any more.")
    return download(path.read_bytes(), _TYPES[kind], f"{name}.{kind}")


def chord_of(recipes: Mapping[str, Recipe], least: float) -> float:
    """So many mm triangles may stray: a ten-thousandth of what is large, since a hull is not drawn to a hair."""
    points = [recipe.cage.positions for recipe in recipes.values()]
    return max([least, *(float(np.ptp(own, axis=0).max()) / 10_000 for own in points)])


def recipes_of(room: Room, design: Design) -> dict[str, Recipe]:
    """What the bodies of all shown pieces are made from, by piece; stones and curves have none."""
    stones = {p.id for p in design.pieces if isinstance(p.form, Repeated) and p.form.stones}
    bodies = [p for p in design.pieces if p.visible and p.curve is None and p.id not in stones]
    return {p.id: recipe_of(design, p.id, room.solid) for p in bodies}
