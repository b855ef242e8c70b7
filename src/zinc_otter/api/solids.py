"""Make a solid, look at its certificate, download STEP and STL; and the jobs that do the long part."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Annotated
from urllib.parse import quote

from fastapi import APIRouter, Query, Response

from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.schemas import CertificateState, JobReport
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.stl import write_stl
from zinc_otter.core.solid.certificate import require_closed
from zinc_otter.core.solid.tessellation import tessellate
from zinc_otter.jobs import JobState
from zinc_otter.jobs.solid_work import CERTIFICATE, STEP, make_solid
from zinc_otter.studio.design import Piece

router = APIRouter(prefix="/api", tags=["solids"])
_PIECE = "/designs/{design_id}/pieces/{piece_id}"


class NoSolidError(CoreError):
    """No solid was made of the piece as it is now."""

    kind = "no-solid"


@router.post(_PIECE + "/solid", status_code=202)
def begin_solid(design_id: str, piece_id: str, room: AtHand) -> JobReport:
    """Begin to make the solid of a piece. An open cage is refused, its open edges named."""
    piece = _piece(room, design_id, piece_id)
    require_closed(piece.cage)
    folder = _folder(room, piece.cage)
    job_id = room.jobs.start(str(folder), "Making the solid", make_solid, piece.cage, folder, piece.name)
    return _report(room.jobs.state(job_id))


@router.get("/jobs/{job_id}")
def get_job(job_id: str, room: AtHand) -> JobReport:
    return _report(room.jobs.state(job_id))


@router.delete("/jobs/{job_id}")
def cancel_job(job_id: str, room: AtHand) -> JobReport:
    """Stop a job. What it would have changed stays as it was."""
    return _report(room.jobs.cancel(job_id))


@router.get(_PIECE + "/certificate")
def get_certificate(design_id: str, piece_id: str, room: AtHand) -> CertificateState | None:
    """The certificate of the solid made of the piece as it is now; null while there is none."""
    path = _folder(room, _piece(room, design_id, piece_id).cage) / CERTIFICATE
    return CertificateState(**json.loads(path.read_text("utf-8"))) if path.exists() else None


@router.get(_PIECE + "/solid.step", response_class=Response)
def download_step(design_id: str, piece_id: str, room: AtHand) -> Response:
    """The solid as STEP, in millimetres."""
    piece = _piece(room, design_id, piece_id)
    return _download((_made(room, piece.cage) / STEP).read_bytes(), "model/step", f"{piece.name}.step")


@router.get(_PIECE + "/surface.stl", response_class=Response)
def download_stl(
    design_id: str,
    piece_id: str,
    room: AtHand,
    tolerance: Annotated[float, Query(gt=0, le=100, allow_inf_nan=False, description="chord tolerance in mm")] = 0.05,
) -> Response:
    """The limit surface of a closed piece as binary STL, in millimetres."""
    piece = _piece(room, design_id, piece_id)
    require_closed(piece.cage)
    return _download(write_stl(tessellate(piece.cage, tolerance), piece.name), "model/stl", f"{piece.name}.stl")


def _piece(room: Room, design_id: str, piece_id: str) -> Piece:
    return room.studio.saved(design_id).design.piece(piece_id)


def _folder(room: Room, cage: Cage) -> Path:
    """Solids are kept by what they were made of, so that undo finds the earlier one again."""
    return room.folder / "solids" / cage.digest[:32]


def _made(room: Room, cage: Cage) -> Path:
    folder = _folder(room, cage)
    if not (folder / CERTIFICATE).exists():
        raise NoSolidError("The piece has not been made into a solid since it last changed.")
    return folder


def _download(data: bytes, media_type: str, name: str) -> Response:
    disposition = f"attachment; filename*=UTF-8''{quote(name)}"
    return Response(data, media_type=media_type, headers={"Content-Disposition": disposition})


def _report(state: JobState) -> JobReport:
    return JobReport(id=state.id, status=state.status, progress=state.progress, words=state.words)
