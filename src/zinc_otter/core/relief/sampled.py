"""Relief shown at a level coarser than its own: the finer surface at the coarser level's places."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.surface.limit_surface import LimitSurface
from zinc_otter.core.surface.stencils import Stencils


@dataclass(frozen=True, eq=False)
class Sample:
    """``stencils`` of the coarser level, and for each of its rows the row (r,) of the finer one that lies there."""

    stencils: Stencils
    rows: Ints

    def points(self, fine: LimitSurface) -> Floats:
        """(n, 3) one point for each vertex of the coarser level."""
        return np.asarray(fine.positions[self.rows[: self.stencils.vertex_count]])

    def changed(self, fine_rows: Ints | None, count: int) -> Ints | None:
        """Of ``count`` rows of the finer level those (k,) that changed, as rows of the coarser one; None for all."""
        if fine_rows is None:
            return None
        hit = np.zeros(count, dtype=bool)
        hit[fine_rows] = True
        return np.flatnonzero(hit[self.rows]).astype(np.int32)


def sample(fine: Stencils, coarse: Stencils, cage: Cage) -> Sample:
    """Where the rows of a coarser level lie among those of a finer one, of a cage.

    Vertices keep their numbers from level to level. At a hard crease a vertex has a row for each side: these are told by
    the plain surface's normals.
    """
    own, finer = coarse.limit.row_vertex, fine.limit.row_vertex
    count = coarse.vertex_count
    rows = np.arange(len(own), dtype=np.int32)
    extra = np.arange(count, len(own))
    sides = np.isin(finer, own[extra])
    sides[count : fine.vertex_count] = False
    several = np.flatnonzero(sides)
    if not len(extra):
        return Sample(coarse, rows)
    plain, wanted = (_normals(stencils, cage.plain) for stencils in (fine, coarse))
    # The first side, too: which one comes first need not be the same.
    for row in np.flatnonzero(np.isin(own, own[extra])):
        here = several[finer[several] == own[row]]
        rows[row] = here[int((plain[here] @ wanted[row]).argmax())]
    return Sample(coarse, rows)


def seen_at(cage: Cage, level: int, stencils: Callable[[Cage, int], Stencils]) -> tuple[Stencils, Sample | None]:
    """The stencils by which a cage is evaluated with all of its relief, and where the rows of a ``level`` lie among theirs;
    None where they are its own. ``stencils`` gives those of a level."""
    own = stencils(cage, level)
    if cage.relief is None or cage.relief.depth <= level:
        return own, None
    fine = stencils(cage, cage.relief.depth)
    return fine, sample(fine, own, cage)


def _normals(stencils: Stencils, cage: Cage) -> Floats:
    points = stencils.refined(cage.positions)
    limit = stencils.limit
    return LimitSurface(stencils, limit.position @ points, limit.tangent_u @ points, limit.tangent_v @ points).normals
