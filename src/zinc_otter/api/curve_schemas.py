"""Curves on a surface as they are asked for and told."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.surface.curves import SurfaceCurve
from zinc_otter.studio.commands.base import Direction, PieceId, Vector

_STRAIGHT = 1e6
"""From this radius in mm on a curve is as good as straight."""

Of = Literal["section", "seam", "edges"]


class SectionPlane(BaseModel):
    model_config = ConfigDict(extra="forbid")
    point: Vector
    normal: Direction


class AskedCurves(BaseModel):
    """Which curves are wanted of a piece."""

    model_config = ConfigDict(extra="forbid")
    section: SectionPlane | None = None
    seam: bool = False
    edges: Annotated[list[Annotated[int, Field(ge=0)]], Field(max_length=5000)] = []


class AskedOf(AskedCurves):
    piece: PieceId


class CurveState(BaseModel):
    """Points in mm, flat, and at each the curvature vector in 1/mm; the smallest radius, null where it is straight."""

    of: Of
    points: list[float]
    bending: list[float]
    closed: bool
    least_radius: float | None
    tightest: tuple[float, float, float]


def told_radius(curve: SurfaceCurve) -> float | None:
    """In mm, None where it is as good as straight."""
    return curve.least_radius if curve.least_radius < _STRAIGHT else None
