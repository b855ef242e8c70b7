"""A half of a form that stands by itself: its open surface laid where the whole's is."""

from __future__ import annotations

import numpy as np
from scipy.sparse import csr_matrix
from scipy.sparse.linalg import spsolve

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.primitives.final import Measure, extent
from zinc_otter.core.surface import Stencils, build_stencils, evaluate
from zinc_otter.core.surface.peak import PeakFinder

_LEVEL = 3
_WIDEST_STAYS = 0.995
"""Points of level 3 find a form's widest place within this share."""


def standing_half(whole: Cage, half: Cage, axis: int) -> Cage:
    """The half with other control points, so that its open surface measures along each axis what the whole's half does.

    ``half`` holds the faces of ``whole`` on the positive side of the plane through the origin, in the same order. An open
    border bends in no other way than along itself, so that its surface can only come near: by least squares over points of
    both, then stretched along the axes to the sizes.
    """
    count = half.topology.face_count
    ours = build_stencils(half, _LEVEL)
    theirs = build_stencils(whole, _LEVEL)
    kept = np.flatnonzero(_on_side(whole, axis))
    assert len(kept) == count
    # The same faces in the same order are refined alike.
    of_whole = theirs.quads[np.isin(theirs.face_of_quad, kept)].ravel()
    of_half, first = np.unique(ours.quads.ravel(), return_index=True)
    goal = evaluate(theirs, whole).points[of_whole[first]]
    matrix = _limit_rows(ours, of_half)
    points = half.positions.copy()
    border = np.unique(half.topology.edge_verts[half.topology.open_edges])
    seam = border[half.positions[border, axis] == 0.0]
    for k in range(3):
        free = np.setdiff1d(np.arange(len(points)), seam) if k == axis else np.arange(len(points))
        part = matrix[:, free]
        points[free, k] = spsolve((part.T @ part).tocsc(), part.T @ goal[:, k])
    near = half.with_positions(points)
    wanted = [_extent(whole, k) * (0.5 if k == axis else 1.0) for k in range(3)]
    for k, there in enumerate(np.ptp(goal, axis=0)):
        # A form that is widest on the side that goes, such as a cone, is as wide as what stays.
        wanted[k] = wanted[k] if there > _WIDEST_STAYS * wanted[k] else float(there)
    now = [_extent(near, k) for k in range(3)]
    # A sheet has no extent along its normal.
    return near.with_positions(points * [w / n if n > 1e-12 else 1.0 for w, n in zip(wanted, now, strict=True)])


def surface_size(cage: Cage) -> tuple[float, float, float]:
    """The extent of the limit surface along x, y, z in mm, to 1e-8."""
    x, y, z = (_extent(cage, k) for k in range(3))
    return x, y, z


def _extent(cage: Cage, axis: int) -> float:
    finder = PeakFinder(cage, cage.positions)
    one = np.ones(1)
    measure: Measure = extent(axis)
    return float(sum(value(finder.peak(value, one))[0] for value in measure.peaks))


def _limit_rows(stencils: Stencils, rows: Ints) -> csr_matrix:
    return csr_matrix((stencils.limit.position[: stencils.vertex_count] @ stencils.composed())[rows])


def _on_side(cage: Cage, axis: int) -> Floats:
    """(f,) which faces reach to the positive side."""
    t = cage.topology
    along = cage.positions[:, axis]
    near = 1e-9 * max(float(np.abs(cage.positions).max()), 1.0)
    return np.asarray(np.maximum.reduceat(along[t.face_verts], t.face_offsets[:-1]) > near)
