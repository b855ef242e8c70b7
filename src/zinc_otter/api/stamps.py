"""Stamps come in as pictures, and the relief of a piece goes out as one."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Query, Request, Response
from starlette.concurrency import run_in_threadpool

from zinc_otter.api.designs import AtHand
from zinc_otter.api.references import FileName, Revision, name_of
from zinc_otter.api.schemas import DesignState
from zinc_otter.core.errors import BadSelectionError, FileFormatError
from zinc_otter.core.relief.stamps.of_geometry import risen_over
from zinc_otter.core.surface import evaluate
from zinc_otter.studio.commands.stamps import SIDES, AddStamp, Side
from zinc_otter.studio.stamp_files import read_stamp, write_height_map

router = APIRouter(prefix="/api/designs/{design_id}", tags=["relief"])


@router.post("/stamps")
async def add_stamp(
    design_id: str, request: Request, room: AtHand, revision: Revision, name: FileName, tiles: bool = False
) -> DesignState:
    """Take a PNG file (the body) in as a stamp, as one step: white is high."""
    title, extension = name_of(name)
    data = await request.body()

    def work() -> DesignState:
        if extension != "png":
            raise FileFormatError(f"A stamp comes as a PNG file; .{extension[:12]} is none.")
        room.studio.saved(design_id)
        command = AddStamp.of(title[:80], read_stamp(data, tiles))
        return DesignState.of(room.told(room.studio.commit(design_id, revision, command)))

    return await run_in_threadpool(work)


@router.get("/pieces/{piece_id}/height-map", response_class=Response)
def height_map(
    design_id: str,
    piece_id: str,
    room: AtHand,
    side: Side = "top",
    pixels: Annotated[int, Query(ge=16, le=4096)] = 1024,
) -> Response:
    """By how much a piece's relief stands nearer to an eye on one side than its plain surface: a PNG of 16 bit greys."""
    piece = room.studio.saved(design_id).design.piece(piece_id)
    cage = piece.faces
    if cage.relief is None or cage.relief.is_flat:
        raise BadSelectionError(f"{piece.name} has no relief to be written as a height map.")
    stencils = room.stencils.get(cage, cage.relief.depth)
    raised, plain = evaluate(stencils, cage).points, evaluate(stencils, cage.plain).points
    heights, width = risen_over(raised, plain, stencils.triangles, SIDES[side], pixels)
    return Response(write_height_map(heights, width), media_type="image/png")
