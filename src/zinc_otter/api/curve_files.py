"""Curves in from files, told before they are put down, and out into files."""

from __future__ import annotations

from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel

from zinc_otter.api.designs import AtHand
from zinc_otter.api.references import name_of
from zinc_otter.core.curve.facts import facts_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.formats.curves.kinds import KINDS, Kind, View
from zinc_otter.core.formats.curves.paths import Drawn
from zinc_otter.core.formats.mesh import UNITS
from zinc_otter.jobs.component_work import read_curve_file, write_curve_file
from zinc_otter.studio.commands.add_curves import AddCurves, GivenCurve

router = APIRouter(prefix="/api", tags=["files"])


class CurveFileState(BaseModel):
    """What a file of curves holds; ``length`` is all of it in mm. The command puts it down."""

    count: int
    closed: int
    points: int
    length: float
    size: tuple[float, float, float]
    command: AddCurves


@router.post("/curve-files")
async def examine_curve_file(
    request: Request,
    room: AtHand,
    name: Annotated[str, Query(min_length=1, max_length=260)],
    unit: Annotated[Literal["mm", "cm", "m", "in"], Query(description="of a DXF that does not say its own")] = "mm",
) -> CurveFileState:
    """Read an SVG or DXF file (the body) as curves, and the command for them."""
    title, extension = name_of(name)
    data = await request.body()

    def work() -> CurveFileState:
        drawn: list[Drawn] = room.read_in(data, "Reading the curves", read_curve_file, extension, UNITS[unit])
        low = [min(float(one.curve.points[:, k].min()) for one in drawn) for k in range(3)]
        high = [max(float(one.curve.points[:, k].max()) for one in drawn) for k in range(3)]
        return CurveFileState(
            count=len(drawn),
            closed=sum(one.curve.closed for one in drawn),
            points=sum(one.curve.count for one in drawn),
            length=sum(facts_of(one.curve).length for one in drawn),
            size=(high[0] - low[0], high[1] - low[1], high[2] - low[2]),
            command=AddCurves(name=title[:80], curves=tuple(GivenCurve.of(one) for one in drawn)),
        )

    return await run_in_threadpool(work)


@router.get("/designs/{design_id}/curves-file", response_class=Response)
def download_curves(
    design_id: str,
    room: AtHand,
    kind: Kind = "svg",
    view: Annotated[View, Query(description="of an SVG: the plane that it is seen in")] = "top",
    piece: Annotated[str | None, Query(description="one of them only; else all that are shown")] = None,
) -> Response:
    """Curves in a file at real size, in mm. Raises BadSelectionError where there is none."""
    design = room.studio.saved(design_id).design
    pieces = [p for p in design.pieces if p.visible] if piece is None else [design.piece(piece)]
    drawn = [Drawn(p.name, p.curve) for p in pieces if p.curve is not None]
    if not drawn:
        words = "There is no curve here to be written." if piece is None else f"{pieces[0].name} is no curve."
        raise BadSelectionError(words)
    written: bytes = room.intake.call("Writing the curves", write_curve_file, drawn, kind, view)
    return Response(written, media_type=KINDS[kind])
