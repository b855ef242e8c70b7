"""Evaluate a surface for given control points: with the relief that the cage carries, or plain."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.surface.limit_surface import LimitSurface
from zinc_otter.core.surface.raised import Raised
from zinc_otter.core.surface.stencils import Stencils


def evaluate(stencils: Stencils, cage: Cage) -> LimitSurface:
    """The whole surface. The cage must have the structure that the stencils were built for.

    Relief of levels finer than the stencils' own is left out.
    """
    if cage.relief is not None:
        return Raised(stencils, cage).surface
    points = stencils.refined(cage.positions)
    limit = stencils.limit
    return LimitSurface(stencils, limit.position @ points, limit.tangent_u @ points, limit.tangent_v @ points)
