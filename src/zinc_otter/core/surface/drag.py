"""A drag of some control points: only the rows that they reach are computed."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.surface.limit_surface import LimitSurface
from zinc_otter.core.surface.reached import cut, reached_rows
from zinc_otter.core.surface.stencils import Stencils


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
    factors = [stencils.factor_columns(k) for k in range(stencils.level)]
    limit = stencils.limit
    reached = np.asarray(moved, dtype=np.int32)
    steps = []
    for by_row, by_column in zip(stencils.factors, factors, strict=True):
        rows = reached_rows([by_column], reached)
        steps.append(cut(by_row, rows, reached))
        reached = rows
    rows = reached_rows([stencils.limit_reach(stencils.level)], reached)
    tops = [cut(matrix, rows, reached) for matrix in (limit.position, limit.tangent_u, limit.tangent_v)]
    return DragPlan(np.asarray(moved, dtype=np.int32), rows, tuple(steps), (tops[0], tops[1], tops[2]))
