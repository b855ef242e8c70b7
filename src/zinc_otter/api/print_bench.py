"""The simulated print bench: hand it a piece's file, get an answer, look at its layers."""

from __future__ import annotations

from dataclasses import asdict
from typing import Annotated

from fastapi import APIRouter, Query, Response

from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import BenchAnswer, MachineAsk, PrintProcessState
from zinc_otter.api.triangle_files import Chord, triangles_for
from zinc_otter.core.formats.surfaces import Appearance, write_surface
from zinc_otter.core.printing.print_bench import Job, Machine, judge, layer_picture, take
from zinc_otter.core.printing.processes import PROCESSES
from zinc_otter.core.words import lengths_in
from zinc_otter.studio.followers import recipe_of

router = APIRouter(prefix="/api/designs/{design_id}/pieces/{piece_id}/print-bench", tags=["print bench"])


def _job(room: Room, design_id: str, piece_id: str, tolerance: float) -> Job:
    """The piece on the bench, by way of the file, as a real bench would have it; those handed over last are kept."""

    def taken() -> Job:
        piece, triangles, _ = triangles_for(room, design_id, piece_id, tolerance)
        return take(write_surface("3mf", triangles, Appearance(piece.name)), "3mf")

    digest = recipe_of(room.studio.saved(design_id).design, piece_id).digest
    return room.print_jobs.get((digest, tolerance), taken)


processes = APIRouter(prefix="/api", tags=["print bench"])


@processes.get("/print-processes")
def list_print_processes() -> list[PrintProcessState]:
    """Ways to print, and what each asks for; each number can be changed."""
    return [PrintProcessState(**asdict(process)) for process in PROCESSES]


@router.post("")
def hand_over(design_id: str, piece_id: str, machine: MachineAsk, room: AtHand, tolerance: Chord = 0.05) -> BenchAnswer:
    """Hand the piece over as 3MF. The bench is simulated: it stands for the real machine."""
    job = _job(room, design_id, piece_id, tolerance)
    with lengths_in(room.studio.saved(design_id).facts.unit):
        return BenchAnswer(**asdict(judge(job, Machine(**machine.model_dump()))))


@router.get("/layer.svg", response_class=Response)
def get_layer(
    design_id: str,
    piece_id: str,
    room: AtHand,
    index: Annotated[int, Query(ge=0, le=5000)],
    tolerance: Chord = 0.05,
    layer: Annotated[float, Query(gt=0, le=100, description="thickness of a layer in mm")] = 0.2,
    of: str = "",
) -> Response:
    """One layer as SVG; ``of`` only tells one form's picture from another's."""
    job = _job(room, design_id, piece_id, tolerance)
    return Response(layer_picture(job, Machine(layer=layer), index), media_type="image/svg+xml")
