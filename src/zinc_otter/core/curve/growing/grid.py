"""Grids of control points whose surface runs where it is asked to.

On a regular grid the limit surface is a tensor product: at its vertices by (1, 4, 1) / 6 both ways, at borders along them
alone. So control points for given places are two small linear systems, solved exactly; and solved one way only, whole
curves lie in the surface.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.primitives.checks import of_quads


@dataclass(frozen=True, eq=False)
class Grown:
    """A cage that grew from curves. ``rows`` by ``columns`` faces; ``suspect`` faces are where it cannot be right, told in
    ``remarks``; ``deviation`` mm is how far the surface lies from the curves that were given at most."""

    cage: Cage
    rows: int
    columns: int
    suspect: Ints
    remarks: tuple[str, ...] = ()
    deviation: float = 0.0


def grid_cage(points: Floats, closed: tuple[bool, bool] = (False, False)) -> Cage:
    """The cage of a grid of control points (m, n, 3), closed along either axis; faces row by row.

    It looks to the left of the first axis, seen along the second: the first way crossed with the second one.
    """
    m, n = points.shape[:2]
    rows, columns = m - (not closed[0]), n - (not closed[1])
    check_face_total(rows * columns)
    i, j = (g.ravel() for g in np.meshgrid(np.arange(rows), np.arange(columns), indexing="ij"))
    low, high = i * n, (i + 1) % m * n
    nxt = (j + 1) % n
    return of_quads(points.reshape(-1, 3), np.column_stack([low + j, high + j, high + nxt, low + nxt]).ravel())


def with_caps(cage: Cage, rings: list[Ints], hard: bool = True) -> Cage:
    """The cage with a face on each of some rings of border vertices (k,), its edges ``hard``: a flat end."""
    t = cage.topology
    verts = np.concatenate([t.face_verts, *rings])
    offsets = np.concatenate([t.face_offsets, t.face_offsets[-1] + np.cumsum([len(ring) for ring in rings])])
    closed = Cage(cage.positions, Topology.checked(t.vertex_count, verts, offsets))
    sharp = np.zeros(closed.topology.edge_count)
    for ring in rings if hard else []:
        pairs = np.sort(np.column_stack([ring, np.roll(ring, -1)]), axis=1)
        sharp[edges_of_pairs(closed, pairs)] = HARD
    return closed.with_sharpness(edges=sharp)


def edges_of_pairs(cage: Cage, pairs: Ints) -> Ints:
    """(k,) the edges between pairs (k, 2) of vertices, the lower number first in each."""
    known = np.sort(cage.topology.edge_verts, axis=1).astype(np.int64)
    count = cage.topology.vertex_count
    keys = known[:, 0] * count + known[:, 1]
    order = np.argsort(keys)
    wanted = pairs[:, 0].astype(np.int64) * count + pairs[:, 1]
    return np.asarray(order[np.searchsorted(keys[order], wanted)])
