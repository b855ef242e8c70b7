"""A cage's limit surface as what is fitted: where places of a scan have their feet on it, and what control points do there.

The stencils stay; the dense points and their tree are made anew when control points have moved.
"""

from __future__ import annotations

from dataclasses import dataclass, fields

import igl
import numpy as np
from scipy.sparse import csr_matrix, diags_array

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.core.surface.nearest import barycentric
from zinc_otter.core.surface.stencils import Stencils, build_stencils

_ENOUGH_QUADS = 12_000


@dataclass(frozen=True, eq=False)
class Feet:
    """For k points: the dense ``corners`` (k, 3) by their row and the ``shares`` (k, 3) of these, the ``points`` and unit
    ``normals`` (k, 3) there, the cage's ``faces`` (k,), and which of them lie within the surface and not on its border
    (k,)."""

    corners: Ints
    shares: Floats
    points: Floats
    normals: Floats
    faces: Ints
    within: Bools

    def only(self, which: Ints) -> Feet:
        """Some of them."""
        return Feet(*(getattr(self, field.name)[which] for field in fields(self)))


class FittedSurface:
    """One structure's surface, for whatever positions its control points are given."""

    def __init__(self, cage: Cage) -> None:
        quads_at = [cage.topology.corner_count * 4 ** (level - 1) for level in (4, 3, 2)]
        level = next((k for k, quads in zip((4, 3, 2), quads_at, strict=True) if quads <= _ENOUGH_QUADS), 1)
        self.stencils: Stencils = build_stencils(cage, level)
        self._triangles = self.stencils.row_triangles
        self._faces = np.tile(self.stencils.face_of_quad, 2)
        t = self.stencils.finest.topology
        at_border = np.zeros(t.vertex_count, dtype=bool)
        at_border[t.edge_verts[t.open_edges].ravel()] = True
        self.on_border: Bools = at_border[self.stencils.limit.row_vertex]
        rows = self.stencils.limit.position
        for step in reversed(self.stencils.factors):
            rows = rows @ step
        self.weights: csr_matrix = csr_matrix(rows)
        """(rows, control points) of the dense points."""
        self.moved_to(cage.positions)

    def moved_to(self, positions: Floats) -> None:
        """Lay the surface by other control points (n, 3)."""
        refined = self.stencils.refined(positions)
        limit = self.stencils.limit
        self.points = np.ascontiguousarray(limit.position @ refined)
        self.normals = normals_of(limit.tangent_u @ refined, limit.tangent_v @ refined)
        self._tree = igl.AABB()
        self._tree.init(self.points, self._triangles)

    def feet(self, points: Floats) -> Feet:
        """The nearest places to points (k, 3): on the dense triangle, drawn half of the way to its corners' tangent
        planes."""
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        _, which, flat = self._tree.squared_distance(self.points, self._triangles, points)
        which = np.asarray(which).reshape(-1)
        corners = self._triangles[which]
        flat = np.asarray(flat).reshape(-1, 3)
        p, n = self.points[corners], self.normals[corners]
        shares = barycentric(flat, p)
        normals = unit((shares[..., None] * n).sum(axis=1))
        lift = ((p - flat[:, None]) * n).sum(axis=2)
        curved = flat + 0.5 * ((shares * lift)[..., None] * n).sum(axis=1)
        # On the border a foot is held by nothing but border points.
        within = ~((shares > 1e-6) <= self.on_border[corners]).all(axis=1)
        return Feet(corners, shares, curved, normals, self._faces[which], within)

    def normal_equations(self, feet: Feet, weights: Floats, off: Floats) -> tuple[list[list[csr_matrix]], Floats]:
        """Of the sum of ``weights`` (k,) times (normal · shift of the foot - ``off``)²: its matrix as 3 by 3 blocks (n, n)
        for the coordinates of control points, and its right side (n, 3).

        Summed up over the dense points first, of which there are fewer than places.
        """
        k, rows = len(feet.corners), len(self.points)
        shares = (feet.shares.ravel(), feet.corners.ravel(), np.arange(0, 3 * k + 1, 3))
        spread = csr_matrix(shares, (k, rows))
        blocks: list[list[csr_matrix]] = [[csr_matrix((0, 0))] * 3 for _ in range(3)]
        for a in range(3):
            for b in range(a, 3):
                by = weights * feet.normals[:, a] * feet.normals[:, b]
                dense = csr_matrix(spread.T @ (diags_array(by) @ spread))
                blocks[a][b] = blocks[b][a] = csr_matrix(self.weights.T @ (dense @ self.weights))
        force = spread.T @ ((weights * off)[:, None] * feet.normals)
        return blocks, np.asarray(self.weights.T @ force)
