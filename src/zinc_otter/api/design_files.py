"""All solids of a design in one file: written in a worker, fetched by its key as files of triangles are."""

from __future__ import annotations

import hashlib
from typing import Literal

from fastapi import APIRouter

from zinc_otter.api.designs import AtHand
from zinc_otter.api.solid_schemas import KeyedJob
from zinc_otter.api.solids import Anyway, heading_of, report_of
from zinc_otter.api.triangle_files import Angle, Chord, file_place, fineness_of, triangles_place
from zinc_otter.api.written import WhatFor, begun
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.jobs.design_work import Share, write_design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.images import stand_for

router = APIRouter(prefix="/api", tags=["design files"])

Kind = Literal["step", "3mf"]


@router.post("/designs/{design_id}/solids-file", status_code=202)
def begin_solids_file(
    design_id: str,
    room: AtHand,
    kind: Kind = "step",
    tolerance: Chord = 0.05,
    angle: Angle = 180.0,
    anyway: Anyway = False,
) -> KeyedJob:
    """Begin to write the solids of all pieces that are shown into one file, in the design's unit; fetched by its key."""
    saved = room.studio.saved(design_id)
    # What is the first image of a shown repeat is in that one's solid.
    within = stand_for(saved.design)
    shown = [p for p in saved.design.pieces if p.visible and p.curve is None and p.id not in within]
    shares = []
    for piece in shown:
        recipe = recipe_of(saved.design, piece.id, room.solid)
        colour = CLAYS.get(piece.colour, CLAYS["clay"])
        shares.append(Share(recipe, piece.name, colour, room.solid_folder(design_id, recipe)))
    unit = saved.facts.unit
    asked = [f"{share.recipe.digest} {share.name} {share.colour}" for share in shares]
    asked += [saved.facts.name, str(saved.facts.revision), unit, kind, repr((tolerance, angle, anyway))]
    key = hashlib.sha256("\n".join(asked).encode()).hexdigest()[:32]
    path = file_place(room, design_id, key, kind)
    heading = heading_of(saved, saved.facts.name, ())
    fineness = fineness_of(room, tolerance, angle)
    if shares:
        triangles_place(room, design_id, fineness, *(share.recipe for share in shares))
    made_of = tuple(share.recipe for share in shares)
    begun(room, design_id, key, WhatFor(made_of, kind, unit, None if kind == "step" else tolerance, angle))
    job_id = room.jobs.start(
        key, "Writing the file", write_design, shares, kind, unit, heading, fineness, path, anyway
    )
    return KeyedJob(job=report_of(room.jobs.state(job_id)), key=key)
