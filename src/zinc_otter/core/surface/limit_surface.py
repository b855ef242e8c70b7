"""The limit surface for given control points: positions and tangents at its rows."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.surface.stencils import Stencils


@dataclass(frozen=True, eq=False)
class LimitSurface:
    """Limit positions (r, 3) in mm, and the tangents (r, 3) whose cross product is the outward normal."""

    stencils: Stencils
    positions: Floats
    tangent_u: Floats
    tangent_v: Floats

    @property
    def normals(self) -> Floats:
        """(r, 3) unit normals."""
        return normals_of(self.tangent_u, self.tangent_v)

    @property
    def points(self) -> Floats:
        """(n, 3) one limit position for each refined vertex, for use with ``stencils.quads``."""
        return self.positions[: self.stencils.vertex_count]


def normals_of(tangent_u: Floats, tangent_v: Floats) -> Floats:
    """(r, 3) unit vectors along the cross product of two tangents."""
    (ux, uy, uz), (vx, vy, vz) = tangent_u.T, tangent_v.T
    return unit(np.column_stack([uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]))
