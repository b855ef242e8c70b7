"""Places on a surface that ride on its cage: a corner of a face, and two shares within its part of the surface."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import igl
import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import Stencils, build_stencils, grid_corners

_ENOUGH_QUADS = 12_000


@dataclass(frozen=True)
class Anchor:
    """``u`` and ``v`` from 0 to 1 across the quad that the first refinement makes of a face's ``corner`` (by the topology's
    numbering): u towards the next vertex, v towards the one before."""

    corner: int
    u: float
    v: float


@dataclass(frozen=True, eq=False)
class Rooted:
    """Where anchors are: ``points``, outward ``normals`` and unit ways ``along`` u, all (k, 3)."""

    points: Floats
    normals: Floats
    along: Floats


def rooted(cage: Cage, anchors: Sequence[Anchor]) -> Rooted:
    """The places of anchors on the limit surface as it stands.

    Between dense points the surface is bilinear, drawn half of the way to the tangent planes at them as in
    :mod:`nearest`; so it is told to the fourth order of their distance. Raises BadSelectionError for a corner that the cage
    does not have.
    """
    rows = _rows(_Structure(cage), tuple(anchors))
    if not anchors:
        none = np.zeros((0, 3))
        return Rooted(none, none, none)
    p = (rows.position @ cage.positions).reshape(-1, 4, 3)
    n = unit(np.cross(rows.tangent_u @ cage.positions, rows.tangent_v @ cage.positions)).reshape(-1, 4, 3)
    w = rows.shares
    flat = (w[..., None] * p).sum(axis=1)
    lift = ((p - flat[:, None]) * n).sum(axis=2)
    points = flat + 0.5 * ((w * lift)[..., None] * n).sum(axis=1)
    normals = unit((w[..., None] * n).sum(axis=1))
    ways = (rows.slopes[..., None] * p).sum(axis=1)
    along = unit(ways - (ways * normals).sum(axis=1, keepdims=True) * normals)
    return Rooted(points, normals, along)


def anchored(cage: Cage, points: Floats) -> tuple[Anchor, ...]:
    """The anchors that lie nearest to points (k, 3)."""
    return seeker(cage).anchors(points)


class Seeker:
    """Finds anchors on one cage."""

    def __init__(self, cage: Cage) -> None:
        self._cage = cage
        self._level = _level(cage)
        self._stencils = build_stencils(cage, self._level)
        # Anchors ride on the smooth surface, as they are rooted: relief goes over them.
        surface = evaluate(self._stencils, cage.plain)
        self.points = np.ascontiguousarray(surface.positions)
        self.triangles = self._stencils.row_triangles
        self.face_of_triangle = np.tile(self._stencils.face_of_quad, 2)
        self._tree = igl.AABB()
        self._tree.init(self.points, self.triangles)

    def feet(self, points: Floats) -> tuple[Floats, Floats, Ints]:
        """The nearest dense points (k, 3), the normals of their triangles (k, 3), and the cage's faces (k,) there."""
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        _, which, feet = self._tree.squared_distance(self.points, self.triangles, points)
        which = np.asarray(which).reshape(-1)
        a, b, c = (self.points[self.triangles[which, k]] for k in range(3))
        return np.asarray(feet).reshape(-1, 3), unit(np.cross(b - a, c - a)), self.face_of_triangle[which]

    def anchors(self, points: Floats) -> tuple[Anchor, ...]:
        """Those nearest to points (k, 3)."""
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        if not len(points):
            return ()
        _, which, feet = self._tree.squared_distance(self.points, self.triangles, points)
        which = np.asarray(which).reshape(-1)
        quad = which % (len(self.triangles) // 2)
        corners = self.points[self._stencils.row_quads[quad]]
        a, b, d = corners[:, 0], corners[:, 1], corners[:, 3]
        st = np.column_stack([_share(np.asarray(feet) - a, b - a), _share(np.asarray(feet) - a, d - a)])
        per = 4 ** (self._level - 1)
        local = grid_corners(self._level - 1)[quad % per] / (1 << (self._level - 1))
        found = [_anchor(int(q // per), uv) for q, uv in zip(quad, _bilinear(local, np.clip(st, 0, 1)), strict=True)]
        return self._drawn_nearer(found, points)

    def _drawn_nearer(self, found: list[Anchor], points: Floats) -> tuple[Anchor, ...]:
        """A few steps along the surface from where the dense faces put them."""
        step = 1e-3
        for _ in range(3):
            at = rooted(self._cage, found)
            moved = []
            ahead = rooted(self._cage, [_anchor(f.corner, np.clip([f.u + _inwards(f.u, step), f.v], 0, 1)) for f in found])
            beside = rooted(self._cage, [_anchor(f.corner, np.clip([f.u, f.v + _inwards(f.v, step)], 0, 1)) for f in found])
            for k, f in enumerate(found):
                du = (ahead.points[k] - at.points[k]) / _inwards(f.u, step)
                dv = (beside.points[k] - at.points[k]) / _inwards(f.v, step)
                off = points[k] - at.points[k]
                rows = np.array([[du @ du, du @ dv], [du @ dv, dv @ dv]])
                by = np.linalg.lstsq(rows, np.array([du @ off, dv @ off]), rcond=None)[0]
                moved.append(_anchor(f.corner, np.clip(np.array([f.u, f.v]) + by, 0, 1)))
            after = rooted(self._cage, moved)
            better = np.linalg.norm(after.points - points, axis=1) < np.linalg.norm(at.points - points, axis=1)
            found = [new if yes else old for new, old, yes in zip(moved, found, better, strict=True)]
        return tuple(found)


@lru_cache(maxsize=3)
def seeker(cage: Cage) -> Seeker:
    """The one for a cage, kept for the next time."""
    return Seeker(cage)


class _Structure:
    """A cage as far as its connections and creases go: what stencils are built of."""

    def __init__(self, cage: Cage) -> None:
        self.cage = cage
        self.digest = cage.structure_digest

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Structure) and other.digest == self.digest

    def __hash__(self) -> int:
        return hash(self.digest)


@dataclass(frozen=True, eq=False)
class _Rows:
    """Matrices (4k, n) to the four dense points about each anchor, their shares (k, 4) and those of the way along u."""

    position: csr_matrix
    tangent_u: csr_matrix
    tangent_v: csr_matrix
    shares: Floats
    slopes: Floats


@lru_cache(maxsize=16)
def _stencils(structure: _Structure) -> Stencils:
    return build_stencils(structure.cage, _level(structure.cage))


@lru_cache(maxsize=64)
def _rows(structure: _Structure, anchors: tuple[Anchor, ...]) -> _Rows:
    stencils = _stencils(structure)
    count = structure.cage.topology.corner_count
    corner = np.array([a.corner for a in anchors], dtype=np.int64)
    if len(corner) and not (corner.min() >= 0 and corner.max() < count):
        raise BadSelectionError(f"A place lies on corner {int(corner.max())} of a form that has {count}: it is gone.")
    uv = np.array([(a.u, a.v) for a in anchors], dtype=np.float64).reshape(-1, 2)
    wide = 1 << (stencils.level - 1)
    cell = np.minimum(np.floor(uv * wide).astype(np.int64), wide - 1)
    local = grid_corners(stencils.level - 1)
    middle = local.sum(axis=1) // 4 if wide > 1 else np.zeros((1, 2), dtype=np.int64)
    quad_at = np.zeros((wide, wide), dtype=np.int64)
    quad_at[middle[:, 0], middle[:, 1]] = np.arange(len(local))
    which = quad_at[cell[:, 0], cell[:, 1]]
    rows = stencils.row_quads[corner * wide**2 + which]
    # Shares by where each of the quad's corners lies in the cell.
    at = local[which] - cell[:, None]
    s = uv * wide - cell
    one = np.where(at == 1, s[:, None], 1 - s[:, None])
    shares = one.prod(axis=2)
    slopes = np.where(at[..., 0] == 1, 1.0, -1.0) * one[..., 1]
    limit, flat = stencils.limit, rows.ravel()
    position, along, across = (_through(stencils, m, flat) for m in (limit.position, limit.tangent_u, limit.tangent_v))
    return _Rows(position, along, across, shares, slopes)


def _through(stencils: Stencils, top: csr_matrix, rows: Ints) -> csr_matrix:
    """Some rows of the limit, straight from the control points."""
    matrix = top[rows]
    for step in reversed(stencils.factors):
        matrix = matrix @ step
    return csr_matrix(matrix)


def _level(cage: Cage) -> int:
    return next((level for level in (4, 3) if cage.topology.corner_count * 4 ** (level - 1) <= _ENOUGH_QUADS), 2)


def _anchor(corner: int, uv: Floats) -> Anchor:
    return Anchor(corner, float(uv[0]), float(uv[1]))


def _inwards(share: float, step: float) -> float:
    return step if share < 0.5 else -step


def _share(away: Floats, side: Floats) -> Floats:
    return np.asarray((away * side).sum(axis=1) / np.maximum((side * side).sum(axis=1), 1e-300))


def _bilinear(corners: Floats, st: Floats) -> Floats:
    s, t = st[:, :1], st[:, 1:]
    return np.asarray(
        (1 - s) * (1 - t) * corners[:, 0] + s * (1 - t) * corners[:, 1] + s * t * corners[:, 2] + (1 - s) * t * corners[:, 3]
    )
