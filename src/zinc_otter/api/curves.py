"""Curves on a piece's surface, with how they bend: a section, the seam, and the lines of picked edges."""

from __future__ import annotations

import numpy as np
from fastapi import APIRouter

from zinc_otter.api.curve_schemas import AskedCurves, CurveState, Of, told_radius
from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import shown_level
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.surface import LimitSurface, evaluate
from zinc_otter.core.surface.curves import SurfaceCurve, edge_curves, section_curves
from zinc_otter.studio.design import Piece

router = APIRouter(prefix="/api", tags=["geometry"])

def curves_of(
    piece: Piece, surface: LimitSurface, asked: AskedCurves, with_edges: bool = True
) -> list[tuple[Of, SurfaceCurve]]:
    """The curves that are asked for; edges only where they still are what their numbers say."""
    found: list[tuple[Of, SurfaceCurve]] = []
    if asked.section is not None:
        plane = plane_at(asked.section.point, asked.section.normal)
        found += [("section", curve) for curve in section_curves(surface, plane)]
    if asked.seam and piece.symmetry is not None:
        found += [("seam", curve) for curve in edge_curves(surface, piece.symmetry.seam)]
    count = piece.cage.topology.edge_count
    edges = np.array([edge for edge in asked.edges if edge < count], dtype=np.int32)
    if with_edges and len(edges):
        found += [("edges", curve) for curve in edge_curves(surface, edges)]
    return found


@router.post("/designs/{design_id}/pieces/{piece_id}/curves")
def get_curves(design_id: str, piece_id: str, given: AskedCurves, room: AtHand) -> list[CurveState]:
    """Curves on a piece's surface, sampled evenly, with how they bend."""
    piece = room.studio.saved(design_id).design.piece(piece_id)
    stencils = room.stencils.get(piece.faces, shown_level(piece.cage.topology.face_count, None))
    return [
        CurveState(
            of=of, points=curve.points.ravel().tolist(), bending=curve.bending.ravel().tolist(), closed=curve.closed,
            least_radius=told_radius(curve), tightest=tuple(curve.tightest.tolist()),
        )
        for of, curve in curves_of(piece, evaluate(stencils, piece.cage), given)
    ]  # fmt: skip
