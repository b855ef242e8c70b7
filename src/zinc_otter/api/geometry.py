"""The arrays of a piece, for scripts: its cage and its surface. The interface gets them by the live channel."""

from __future__ import annotations

from typing import Annotated, Any

import numpy as np
from fastapi import APIRouter, Query

from zinc_otter.api.designs import AtHand
from zinc_otter.api.schemas import CageArrays, SurfaceArrays
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.sampled import seen_at
from zinc_otter.core.surface import evaluate

router = APIRouter(prefix="/api/designs/{design_id}/pieces/{piece_id}", tags=["geometry"])

MOST_QUADS = 400_000


@router.get("/cage")
def get_cage(design_id: str, piece_id: str, room: AtHand) -> CageArrays:
    cage = room.studio.saved(design_id).design.piece(piece_id).cage
    t = cage.topology
    faces: list[Any] = [face.tolist() for face in np.split(t.face_verts, t.face_offsets[1:-1])] if t.face_count else []
    sharp_edges, sharp_verts = np.flatnonzero(cage.edge_sharpness), np.flatnonzero(cage.vertex_sharpness)
    return CageArrays(
        positions=cage.positions.tolist(),
        faces=faces,
        edges=t.edge_verts.tolist(),
        open_edges=t.open_edges.tolist() if t.face_count else [],
        creases={int(e): float(cage.edge_sharpness[e]) for e in sharp_edges},
        corners={int(v): float(cage.vertex_sharpness[v]) for v in sharp_verts},
    )


@router.get("/surface")
def get_surface(
    design_id: str, piece_id: str, room: AtHand, level: Annotated[int, Query(ge=1, le=6)] = 3
) -> SurfaceArrays:
    """The limit surface at a level, with all of its relief, at the level's places. Refused where it would be too large to
    send as text."""
    cage = room.studio.saved(design_id).design.piece(piece_id).faces
    count = cage.topology.corner_count * 4 ** (level - 1)
    if count > MOST_QUADS:
        raise BadNumberError(f"Level {level} would have {count:,} faces; {MOST_QUADS:,} are the most here.")
    stencils = room.stencils.get(cage, level)
    fine, sampled = seen_at(cage, level, room.stencils.get)
    surface = evaluate(fine, cage)
    at = slice(None) if sampled is None else sampled.rows
    return SurfaceArrays(
        level=level,
        positions=surface.positions[at].tolist(),
        normals=surface.normals[at].tolist(),
        quads=stencils.row_quads.tolist(),
        face_of_quad=stencils.face_of_quad.tolist(),
    )
