"""Evaluate a surface for given control points: all of it, or only the rows that moved points reach."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csc_matrix, csr_matrix

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
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


def evaluate(stencils: Stencils, cage: Cage) -> LimitSurface:
    """The whole surface. The cage must have the structure that the stencils were built for."""
    points = stencils.refined(cage.positions)
    limit = stencils.limit
    return LimitSurface(stencils, limit.position @ points, limit.tangent_u @ points, limit.tangent_v @ points)


@dataclass(frozen=True, eq=False)
class DragPlan:
    """What to recompute when a fixed set of control points moves, however far.

    ``rows`` (k,) are the surface rows that can change; ``moved`` (p,) the control points.
    """

    moved: Ints
    rows: Ints
    steps: tuple[csr_matrix, ...]
    tops: tuple[csr_matrix, csr_matrix, csr_matrix]

    def apply(self, base: LimitSurface, shift: Floats) -> tuple[Floats, Floats, Floats]:
        """Positions and tangents (k, 3) of ``rows`` when the moved points lie ``shift`` (p, 3) from where base has them."""
        delta = shift
        for step in self.steps:
            delta = step @ delta
        rows = self.rows
        position, tangent_u, tangent_v = (top @ delta for top in self.tops)
        return base.positions[rows] + position, base.tangent_u[rows] + tangent_u, base.tangent_v[rows] + tangent_v


def plan_drag(stencils: Stencils, moved: Ints) -> DragPlan:
    """Cut out of the stencils the rows that the ``moved`` control points (p,) reach."""
    *factors, position, tangent_u, tangent_v = stencils.columns
    limit = stencils.limit
    reached = np.asarray(moved, dtype=np.int32)
    steps = []
    for by_row, by_column in zip(stencils.factors, factors, strict=True):
        rows = _reached_rows([by_column], reached)
        steps.append(_cut(by_row, rows, reached))
        reached = rows
    rows = _reached_rows([position, tangent_u, tangent_v], reached)
    tops = [_cut(matrix, rows, reached) for matrix in (limit.position, limit.tangent_u, limit.tangent_v)]
    return DragPlan(np.asarray(moved, dtype=np.int32), rows, tuple(steps), (tops[0], tops[1], tops[2]))


def _reached_rows(matrices: list[csc_matrix], columns: Ints) -> Ints:
    hit = np.zeros(matrices[0].shape[0], dtype=bool)
    for matrix in matrices:
        hit[_entries(matrix.indptr, columns, matrix.indices)] = True
    return np.flatnonzero(hit).astype(np.int32)


def _entries(indptr: Ints, which: Ints, values: Ints) -> Ints:
    """The concatenated runs ``values[indptr[i]:indptr[i + 1]]`` for i in ``which``."""
    lengths = indptr[which + 1] - indptr[which]
    before = np.cumsum(lengths) - lengths
    at = np.arange(lengths.sum()) + np.repeat(indptr[which] - before, lengths)
    return values[at]


def _cut(matrix: csr_matrix, rows: Ints, columns: Ints) -> csr_matrix:
    """The part of a matrix in ascending ``rows`` and ``columns``."""
    part = matrix[rows]
    local = np.full(matrix.shape[1], -1, dtype=np.int32)
    local[columns] = np.arange(len(columns), dtype=np.int32)
    indices = local[part.indices]
    inside = indices >= 0
    kept = np.concatenate([[0], np.cumsum(inside)])[part.indptr].astype(np.int32)
    return csr_matrix((part.data[inside], indices[inside], kept), shape=(len(rows), len(columns)))
