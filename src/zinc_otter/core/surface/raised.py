"""The surface with relief: every level is refined from the one below, and moved in its frames.

Source: D. Zorin, P. Schroeder, W. Sweldens, "Interactive Multiresolution Mesh Editing", SIGGRAPH 1997, section 3.
"""

from __future__ import annotations

import numpy as np
from scipy.sparse import csc_matrix

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import Detail
from zinc_otter.core.surface.limit_surface import LimitSurface, normals_of
from zinc_otter.core.surface.reached import reached_rows, union_of
from zinc_otter.core.surface.stencils import Stencils

_WORTH_PARTS = 0.35
"""Beyond this share of a level's points all of it is computed anew."""


def frames(stencils: Stencils, level: int, points: Floats, verts: Ints | None = None) -> Floats:
    """(m, 3, 3) orthonormal frames at vertices of a level's surface: two tangents and the outward normal, as rows.

    ``points`` (n, 3) are all of the level's control points; without ``verts`` (m,) frames at all of them are found. Where
    a hard crease gives a vertex several sides, its normal is their mean.
    """
    limit = stencils.limit_at(level)
    n = len(points)
    extra = np.arange(n, len(limit.row_vertex))
    if verts is None:
        tangent_u, tangent_v = limit.tangent_u @ points, limit.tangent_v @ points
        here, target = slice(0, n), limit.row_vertex[extra]
        first_u, first_v, total = tangent_u[here], tangent_v[here], normals_of(tangent_u[here], tangent_v[here])
        further = normals_of(tangent_u[extra], tangent_v[extra])
    else:
        first_u, first_v = limit.tangent_u[verts] @ points, limit.tangent_v[verts] @ points
        total = normals_of(first_u, first_v)
        if len(extra):
            local = np.full(n, -1)
            local[verts] = np.arange(len(verts))
            extra = extra[local[limit.row_vertex[extra]] >= 0]
            target = local[limit.row_vertex[extra]]
            further = normals_of(limit.tangent_u[extra] @ points, limit.tangent_v[extra] @ points)
    if len(extra):
        np.add.at(total, target, further)
        total = unit(total)
    along = first_u - np.einsum("ij,ij->i", first_u, total)[:, None] * total
    # Where the first side's tangent stands along the mean normal, the other one does.
    flat = np.einsum("ij,ij->i", along, along) < 1e-12 * np.einsum("ij,ij->i", first_u, first_u)
    if flat.any():
        along[flat] = first_v[flat] - (first_v[flat] * total[flat]).sum(axis=1, keepdims=True) * total[flat]
    along = unit(along)
    across = np.column_stack([
        total[:, 1] * along[:, 2] - total[:, 2] * along[:, 1],
        total[:, 2] * along[:, 0] - total[:, 0] * along[:, 2],
        total[:, 0] * along[:, 1] - total[:, 1] * along[:, 0],
    ])  # fmt: skip
    return np.stack([along, across, total], axis=1)


def in_space(frame: Floats, detail: Floats | Detail) -> Floats:
    """(m, 3) vectors of space from detail told in frames."""
    # Over axes as short as these a sum of products takes a fifth of the time of products that are summed.
    return np.asarray(np.einsum("nj,nji->ni", detail, frame))


def in_frame(frame: Floats, vectors: Floats) -> Floats:
    """(m, 3) vectors of space told in frames; the inverse of :func:`in_space`."""
    return np.asarray(np.einsum("nij,nj->ni", frame, vectors))


class Raised:
    """The surface of a cage with its relief, at every level; follows the cage where that is moved or worked on.

    Its arrays are changed in place by :meth:`follow`: it has one owner, who keeps none of them.
    """

    def __init__(self, stencils: Stencils, cage: Cage) -> None:
        self.stencils = stencils
        self._start(cage)

    def _start(self, cage: Cage) -> None:
        self.cage = cage
        self._frames: dict[int, _Frames] = {}
        self.points: list[Floats] = [cage.positions]
        """(n, 3) control points of each level, with its detail."""
        self.below: dict[int, Floats] = {}
        """(n, 3) the same without its own detail, of the levels that have some."""
        for level, step in enumerate(self.stencils.factors, 1):
            points = step @ self.points[-1]
            detail = None if cage.relief is None else cage.relief.detail(level)
            if detail is not None:
                self.below[level] = points
                points = points + in_space(frames(self.stencils, level, points), detail)
            self.points.append(points)
        limit, top = self.stencils.limit, self.points[-1]
        self.positions = limit.position @ top
        self.tangent_u, self.tangent_v = limit.tangent_u @ top, limit.tangent_v @ top

    @property
    def surface(self) -> LimitSurface:
        """The surface as it stands; its arrays change with :meth:`follow`."""
        return LimitSurface(self.stencils, self.positions, self.tangent_u, self.tangent_v)

    def follow(self, cage: Cage) -> Ints | None:
        """Become the surface of another cage of the same structure; the rows (k,) that changed, or None for all."""
        was = self.cage.relief
        now = cage.relief
        changed = np.flatnonzero((cage.positions != self.points[0]).any(axis=1)).astype(np.int32)
        if len(changed) > _WORTH_PARTS * len(cage.positions):
            self._start(cage)
            return None
        points = cage.positions
        for level, step in enumerate(self.stencils.factors, 1):
            before, after = (None if relief is None else relief.detail(level) for relief in (was, now))
            reached = reached_rows([self._columns(level - 1)], changed) if len(changed) else changed
            own = _different(before, after)
            if len(reached) + len(own) > _WORTH_PARTS * len(self.points[level]):
                self._start(cage)
                return None
            self.points[level - 1] = points
            if before is None and after is None:
                if len(reached):
                    self.points[level][reached] = step[reached] @ points
                    if level in self._frames:
                        self._frames[level].forget(self._turned(level, reached))
                changed = reached
            else:
                changed = self._moved(level, reached, own, after)
            points = self.points[level]
        self.cage = cage
        limit = self.stencils.limit
        if not len(changed):
            return changed
        rows = reached_rows([self.stencils.limit_reach(self.stencils.level)], changed)
        self.positions[rows] = limit.position[rows] @ points
        self.tangent_u[rows] = limit.tangent_u[rows] @ points
        self.tangent_v[rows] = limit.tangent_v[rows] @ points
        return rows

    def _moved(self, level: int, reached: Ints, own: Ints, detail: Detail | None) -> Ints:
        """Bring a level with detail up to date: points ``reached`` from below, or whose ``own`` detail is another."""
        below = self.below.get(level)
        if below is None:
            below = self.below[level] = self.points[level].copy()
        turned = reached
        if len(reached):
            below[reached] = self.stencils.factors[level - 1][reached] @ self.points[level - 1]
            turned = self._turned(level, reached)
            if level in self._frames:
                self._frames[level].forget(turned)
        here = union_of(len(below), reached, own, turned) if len(reached) else own
        moved = below[here]
        if detail is not None:
            told = detail[here]
            detailed = union_of(len(here), np.flatnonzero(told.ravel()) // 3)
            moved[detailed] += in_space(self.frames_at(level, here[detailed]), told[detailed].astype(np.float64))
        self.points[level][here] = moved
        return here

    def frames_at(self, level: int, verts: Ints) -> Floats:
        """(m, 3, 3) the frames in which a level's detail is told, at some of its points; found once while they stay."""
        if level not in self._frames:
            self._frames[level] = _Frames(len(self.points[level]))
        kept = self._frames[level]
        new = verts[~kept.known[verts]]
        if len(new):
            kept.frames[new] = frames(self.stencils, level, self.below.get(level, self.points[level]), new)
            kept.known[new] = True
        return np.asarray(kept.frames[verts])

    def _turned(self, level: int, moved: Ints) -> Ints:
        """Points of a level whose frames turn where some of its points move, some of them named twice."""
        kinds = [self._limit_columns(level, kind) for kind in ("tangent_u", "tangent_v")]
        return np.asarray(self.stencils.limit_at(level).row_vertex[reached_rows(kinds, moved)])

    def _columns(self, factor: int) -> csc_matrix:
        return self.stencils.factor_columns(factor)

    def _limit_columns(self, level: int, kind: str) -> csc_matrix:
        return self.stencils.limit_columns(level, kind)


class _Frames:
    """The frames of a level that are known."""

    def __init__(self, count: int) -> None:
        self.frames = np.empty((count, 3, 3))
        self.known = np.zeros(count, dtype=bool)

    def forget(self, verts: Ints) -> None:
        self.known[verts] = False


def _different(before: Detail | None, after: Detail | None) -> Ints:
    """(k,) rows in which two levels' details differ."""
    if before is after:
        return np.zeros(0, dtype=np.int32)
    if before is None or after is None:
        there = before if after is None else after
        assert there is not None
        return union_of(len(there), np.flatnonzero(there.ravel()) // 3)
    # Number by number: over short rows of three the other way takes ten times as long.
    return union_of(len(after), np.flatnonzero(before.ravel() != after.ravel()) // 3)
