"""Bring cages and solids in from files: read and set right in a worker, told before anything is put down."""

from __future__ import annotations

from dataclasses import asdict
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request
from fastapi.concurrency import run_in_threadpool

from zinc_otter.api.designs import AtHand
from zinc_otter.api.references import name_of
from zinc_otter.api.solid_schemas import CageFileState, FindingState, SolidFileState
from zinc_otter.core.cage.face_bound import MOST_FACES
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.mesh import UNITS
from zinc_otter.core.formats.surfaces.appearance import nearest_clay
from zinc_otter.jobs.component_work import SolidFile, read_cage_file, read_solid_file
from zinc_otter.studio.commands.add_cage import AddCage

router = APIRouter(prefix="/api", tags=["files"])
FileName = Annotated[str, Query(min_length=1, max_length=260)]


@router.post("/cage-files")
async def examine_cage_file(
    request: Request,
    room: AtHand,
    name: FileName,
    unit: Literal["mm", "cm", "m", "in"] = "mm",
    merge: Annotated[
        float, Query(ge=0, le=100, allow_inf_nan=False, description="mm within which vertices become one")
    ] = 1e-4,
    holes: Annotated[int, Query(ge=0, le=200, description="edges round a hole that is filled")] = 0,
    pair: Annotated[bool, Query(description="pair triangles to quads")] = True,
) -> CageFileState:
    """Read an OBJ, PLY, USD, STL, GLB or 3MF file (the body) as a cage: what was set right, the command for it."""
    title, extension = name_of(name)
    data = await request.body()

    def work() -> CageFileState:
        cleaning = Cleaning(merge, holes, pair)
        loaded, findings = room.read_in(data, "Reading the cage", read_cage_file, extension, UNITS[unit], cleaning)
        cage = loaded.cage
        if cage.topology.face_count > MOST_FACES:
            raise FileFormatError(
                f"The file gives {cage.topology.face_count:,} faces; a cage to be pulled has at most {MOST_FACES:,}. "
                "Bring it in as a component instead."
            )
        t = cage.topology
        return CageFileState(
            findings=[FindingState(**asdict(finding)) for finding in findings],
            remarks=list(loaded.remarks),
            vertex_count=t.vertex_count,
            face_count=t.face_count,
            quad_count=int((t.face_sizes == 4).sum()),
            open_edge_count=len(t.open_edges),
            command=AddCage.of(
                loaded.name[:80].strip() or title, cage, "clay" if loaded.colour is None else nearest_clay(loaded.colour)
            ),
        )

    return await run_in_threadpool(work)


@router.post("/solid-files")
async def keep_solid_file(request: Request, room: AtHand, name: FileName) -> SolidFileState:
    """Keep a STEP file (the body) with closed solids, to be combined with; answers the asset that a follower names."""
    title, extension = name_of(name)
    if extension not in ("step", "stp"):
        raise FileFormatError("A solid is brought in as STEP (.step or .stp).")
    data = await request.body()

    def work() -> SolidFileState:
        made = room.read_in(data, "Reading the STEP file", read_solid_file)
        assert isinstance(made, SolidFile)
        facts = {"size": made.size, "volume": made.volume, "solids": made.solids, "faces": made.faces}
        asset = room.store.put_asset("solid", made.asset, {"name": title, **facts})
        return SolidFileState(asset=asset.hash, name=title, **facts)

    return await run_in_threadpool(work)
