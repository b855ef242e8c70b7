"""What strokes go by: a level's points with their normals, found again by place, kept from one stroke to the next."""

from __future__ import annotations

from functools import cached_property

import numpy as np
from scipy.sparse import csr_matrix
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import at_level
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.core.surface.raised import Raised
from zinc_otter.core.surface.reached import union_of
from zinc_otter.core.surface.stencils import Stencils

_SLACK = 0.02
"""Of the extent: points that went further from where the tree has them have it made anew."""


class StrokeGround:
    """The points of one level of a cage's surface. Has one owner, and follows the cage from stroke to stroke."""

    def __init__(self, cage: Cage, level: int, stencils: Stencils) -> None:
        self.level = level
        self.stencils = stencils
        self._raised = Raised(stencils, self._to_level(cage))
        self.cage = cage
        self.slack = 0.0
        """How far (mm) points may lie from where the tree has them."""
        self._look_anew()

    def _to_level(self, cage: Cage) -> Cage:
        return cage.with_relief(at_level(cage.relief, cage.topology, self.level))

    def follow(self, cage: Cage) -> None:
        """Become the ground of another cage of the same structure."""
        if cage is self.cage:
            return
        moved_cage = not np.array_equal(cage.positions, self.cage.positions)
        rows = self._raised.follow(self._to_level(cage))
        self.cage = cage
        if moved_cage:
            self._forget_plain()
        if rows is None:
            self._look_anew()
            return
        verts = union_of(len(self.points), self.stencils.limit.row_vertex[rows])
        self.normals[verts] = self._normals(verts)
        if len(verts):
            self.slack = max(self.slack, float(np.linalg.norm(self.points[verts] - self._tree_points[verts], axis=1).max()))
        if self.slack > _SLACK * self._extent:
            self._plant()

    def _look_anew(self) -> None:
        self._forget_plain()
        self.normals = self._normals(np.arange(len(self.points)))
        self._plant()

    def _forget_plain(self) -> None:
        for name in ("plain", "plain_means"):
            self.__dict__.pop(name, None)

    def _plant(self) -> None:
        self.__dict__.pop("_border_tree", None)
        self._tree_points = self.points.copy()
        self._extent = float(np.ptp(self._tree_points, axis=0).max())
        self.tree = cKDTree(self._tree_points, balanced_tree=False, compact_nodes=False)
        self.slack = 0.0

    def _normals(self, verts: Ints) -> Floats:
        surface, limit = self._raised, self.stencils.limit
        found = normals_of(surface.tangent_u[verts], surface.tangent_v[verts])
        extra = np.arange(len(self.points), len(limit.row_vertex))
        if not len(extra):
            return found
        local = np.full(len(self.points), -1)
        local[verts] = np.arange(len(verts))
        extra = extra[local[limit.row_vertex[extra]] >= 0]
        if len(extra):
            np.add.at(found, local[limit.row_vertex[extra]], normals_of(surface.tangent_u[extra], surface.tangent_v[extra]))
            found = unit(found)
        return found

    @property
    def points(self) -> Floats:
        """(n, 3) the level's points, with its detail."""
        return self._raised.points[self.level]

    @property
    def below(self) -> Floats:
        """(n, 3) the same without its own detail."""
        return self._raised.below.get(self.level, self.points)

    def frames(self, verts: Ints) -> Floats:
        """(m, 3, 3) the frames in which the level's detail is told, at some of its points."""
        return self._raised.frames_at(self.level, verts)

    @cached_property
    def plain(self) -> Floats:
        """(n, 3) the same without any relief."""
        return self.stencils.refined(self.cage.positions)

    @cached_property
    def neighbours(self) -> csr_matrix:
        """(n, n) takes vectors of points to the means of their neighbours."""
        t = self.stencils.finest.topology
        a, b = t.edge_verts.T
        n = t.vertex_count
        both = csr_matrix((np.ones(2 * len(a)), (np.concatenate([a, b]), np.concatenate([b, a]))), shape=(n, n))
        count = np.asarray(both.sum(axis=1)).ravel()
        both.data /= np.repeat(count, np.diff(both.indptr))
        return both

    @cached_property
    def plain_means(self) -> Floats:
        """(n, 3) the means of neighbours without any relief."""
        return np.asarray(self.neighbours @ self.plain)

    @cached_property
    def border(self) -> Ints:
        """(b,) points on open borders: they stay where they are, so that halves still meet."""
        t = self.stencils.finest.topology
        return np.unique(t.edge_verts[t.open_edges])

    @cached_property
    def _border_tree(self) -> cKDTree:
        return cKDTree(self._tree_points[self.border])

    def off_border(self, centre: Floats, radius: float, fade: float, verts: Ints) -> Floats | float:
        """(m,) 0 at points on an open border to 1 at ``fade`` mm from one; a plain 1 where none lies within reach."""
        if not len(self.border):
            return 1.0
        nearest, _ = self._border_tree.query(centre)
        if nearest > radius + fade:
            return 1.0
        away, _ = self._border_tree.query(self.points[verts], distance_upper_bound=fade)
        share = np.clip(away / fade, 0, 1)
        return np.asarray(share * share * (3 - 2 * share))
