"""All that connectivity, sharpness and level decide about a surface: sparse factors, and the dense faces.

The stencils are kept *in factors*, one matrix for each level and one for the limit. Applying the chain costs fewer
multiplications than one composed matrix would, and building it needs no sparse product at all.
"""

from __future__ import annotations

from functools import cached_property

import numpy as np
from scipy.sparse import csc_matrix, csr_matrix

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.limit import LimitMatrices, limit_matrices
from zinc_otter.core.surface.refinement import refine

DEEPEST = 7


class Stencils:
    """The surface of one cage structure at one level, for any positions of its control points.

    Rows are those of :mod:`limit`: row i < vertex_count is refined vertex i, of which the first are the cage's own.
    """

    def __init__(self, cage: Cage, level: int) -> None:
        if not 1 <= level <= DEEPEST:
            raise BadNumberError(f"A surface has levels 1 to {DEEPEST}; {level} is none.")
        self.level = level
        self.structure_digest = cage.structure_digest
        self.cage_topology = cage.topology
        current = Level.of_cage(cage)
        factors: list[csr_matrix] = []
        levels = [current]
        for _ in range(level):
            current, step = refine(current)
            factors.append(step)
            levels.append(current)
        self.factors: tuple[csr_matrix, ...] = tuple(factors)
        self.levels: tuple[Level, ...] = tuple(levels)
        self.finest = current
        self._limits: dict[int, LimitMatrices] = {}
        self._columns: dict[tuple[str, int], csc_matrix] = {}

    @property
    def vertex_count(self) -> int:
        """Number of refined vertices."""
        return self.finest.topology.vertex_count

    @property
    def limit(self) -> LimitMatrices:
        return self.limit_at(self.level)

    def limit_at(self, level: int) -> LimitMatrices:
        """The limit from a level of 1 to this surface's own; found once."""
        if level not in self._limits:
            self._limits[level] = limit_matrices(self.levels[level])
        return self._limits[level]

    @property
    def row_count(self) -> int:
        return len(self.limit.row_vertex)

    @cached_property
    def quads(self) -> Ints:
        """(m, 4) refined vertices of each dense face: watertight wherever the cage is closed."""
        return self.finest.topology.face_verts.reshape(-1, 4)

    @cached_property
    def row_quads(self) -> Ints:
        """(m, 4) rows of each dense face: split along hard creases, for shading."""
        return self.limit.corner_row.reshape(-1, 4)

    @property
    def triangles(self) -> Ints:
        """(2m, 3) refined vertices: the first halves of all dense faces, then the second ones."""
        return halved(self.quads)

    @property
    def row_triangles(self) -> Ints:
        """(2m, 3) the same by rows, split along hard creases."""
        return halved(self.row_quads)

    @cached_property
    def face_of_quad(self) -> Ints:
        """(m,) the cage face from which each dense face came."""
        return np.repeat(
            np.arange(self.cage_topology.face_count, dtype=np.int32),
            self.cage_topology.face_sizes * 4 ** (self.level - 1),
        )

    def factor_columns(self, index: int) -> csc_matrix:
        """A factor by column: which refined points does a point reach?"""
        return self._by_column(("factor", index), self.factors[index])

    def limit_columns(self, level: int, kind: str) -> csc_matrix:
        """The limit "position", "tangent_u" or "tangent_v" of a level, by column: which rows does a point reach?"""
        return self._by_column((kind, level), getattr(self.limit_at(level), kind))

    def limit_reach(self, level: int) -> csc_matrix:
        """Where any of the three of a level has an entry, by column."""
        key = ("any", level)
        if key not in self._columns:
            kinds = (self.limit_columns(level, kind) for kind in ("position", "tangent_u", "tangent_v"))
            # Of ones, so that nothing cancels out.
            where = [csc_matrix((np.ones(len(m.indices)), m.indices, m.indptr), shape=m.shape) for m in kinds]
            self._columns[key] = where[0] + where[1] + where[2]
        return self._columns[key]

    def _by_column(self, key: tuple[str, int], matrix: csr_matrix) -> csc_matrix:
        if key not in self._columns:
            self._columns[key] = matrix.tocsc()
        return self._columns[key]

    def refined(self, positions: Floats) -> Floats:
        """(n, 3) refined positions, not yet pushed to the limit."""
        points = positions
        for step in self.factors:
            points = step @ points
        return points

    def composed(self) -> csr_matrix:
        """One matrix (n, n_cage) from control points to refined positions, for those who want to look at weights."""
        matrix = self.factors[0]
        for step in self.factors[1:]:
            matrix = step @ matrix
        return csr_matrix(matrix)


def halved(quads: Ints) -> Ints:
    """(2m, 3) int64 triangles: the first halves of quads (m, 4), then the second ones."""
    return np.ascontiguousarray(np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]]), dtype=np.int64)


def build_stencils(cage: Cage, level: int) -> Stencils:
    """Stencils at ``level`` 1 to 7. Raises BadNumberError for another level."""
    return Stencils(cage, level)


def face_grid(level: int) -> tuple[Ints, Ints]:
    """Where the points of a quad's dense grid are found among its 4^level dense faces.

    Returns two arrays (2^level + 1, 2^level + 1): the dense face and its corner for grid point (i, j), where i runs from
    the face's corner 0 to corner 1, and j from corner 0 to corner 3.
    """
    size = (1 << level) + 1
    quad = np.zeros((size, size), dtype=np.int32)
    corner = np.zeros((size, size), dtype=np.int32)
    points = grid_corners(level)
    for k in range(4):
        i, j = points[:, k].T
        quad[i, j] = np.arange(len(points))
        corner[i, j] = k
    return quad, corner


def grid_corners(level: int) -> Ints:
    """(4^level, 4, 2) where the corners of a quad's dense faces lie in its grid, in steps of the dense faces."""
    origin = np.zeros((1, 2), dtype=np.int64)
    along = np.array([[1 << level, 0]])
    across = np.array([[0, 1 << level]])
    for _ in range(level):
        # The child at corner i starts there; its axes are the parent's, turned by i quarters.
        du, dv = along // 2, across // 2
        corners = np.stack([origin, origin + along, origin + along + across, origin + across], axis=1)
        alongs = np.stack([du, dv, -du, -dv], axis=1)
        acrosses = np.stack([dv, -du, -dv, du], axis=1)
        origin, along, across = (a.reshape(-1, 2) for a in (corners, alongs, acrosses))
    return np.stack([origin, origin + along, origin + along + across, origin + across], axis=1)
