"""Refit control points to a surface that they are to keep: least squares on the distance, point to tangent plane.

The rounds are those of Gauss and Newton, damped after Levenberg and Marquardt; the distance is measured as by Y. Chen,
G. Medioni, "Object modelling by registration of multiple range images", 1992.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import numpy as np
from scipy.linalg import cho_factor, cho_solve
from scipy.sparse import block_array, csr_matrix, diags_array, identity
from scipy.sparse.linalg import cg

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.core.surface.nearest import NearestOnSurface, sharp_vertices
from zinc_otter.core.surface.stencils import build_stencils
from zinc_otter.core.words import PER, told_in

ROUNDS = 4
_SETTLED = 1e-7
"""A step smaller than this share of the part's size ends the rounds."""
_WORTH = 0.01
"""A round that gains less than this share of the squared distances is the last."""
_DAMPING = 1e-3
"""Of the mean diagonal of the normal equations."""
_DENSE = 1_500
"""Up to so many unknowns a dense factorization is quicker than going there step by step."""
_ENOUGH_POINTS = 4_000
_GREAT = 0.65
"""Of the greatest distance at points of level 2: faces that hold one so great are looked at more finely.

In 96 trials on rough forms 0.75 found the same as all faces did.
"""
_ROWS = 4
"""Surface points that are fitted to, for each unknown."""
_MARGIN = 3
"""Rings of faces around the free points that the fit looks at: two that they reach, and one that these lean on."""


@dataclass(frozen=True, eq=False)
class Held(Edit):
    """An edit after which control points were refitted; ``deviation`` is the largest distance in mm from the old surface."""

    deviation: float = 0.0


def held(old: NearestOnSurface, done: Edit, free: Ints, span: float, rounds: int = ROUNDS) -> Held:
    """The edit with its ``free`` vertices (k,) of the new cage refitted to the ``old`` surface.

    ``span`` mm is the size that the deviation is set in proportion to, in the remark. It is looked for among all surface
    points of level 2, and of twice the fineness or more beside the greatest of these. Corners of sheets, and sharp vertices,
    stay.
    """
    t = done.cage.topology
    stays = (t.on_border & (t.vertex_valence == 2)) | (done.cage.vertex_sharpness > 0)
    free = free[~stays[free]]
    cage, deviation = done.cage, 0.0
    if len(free):
        part = _Part.around(cage, free, 2)
        cage, off = _refitted(cage, part, old, rounds)
        deviation = _strays(cage, part, old, off)
    remark = f"It strays from the form by at most {_of_size(deviation, span)}."
    return Held(
        cage, done.selected, done.old_to_new, done.rest, done.weights, done.suspect, (*done.remarks, remark), deviation
    )


def strays_from(cage: Cage, old: NearestOnSurface, free: Ints) -> float:
    """The largest distance in mm from the old surface, of the surface points that the ``free`` vertices reach."""
    if not len(free):
        return 0.0
    part = _Part.around(cage, free, 2)
    return _strays(cage, part, old, np.full(len(part.rows.touched), np.nan))


def _refitted(cage: Cage, part: _Part, old: NearestOnSurface, rounds: int) -> tuple[Cage, Floats]:
    """The cage with the part's free vertices moved so that its surface lies nearest to the old one.

    With it (rows,) mm by which the part's surface points are off, not a number for those that were not fitted to.
    """
    chosen = part.thinned(_ROWS * 3 * len(part.free))
    fitted = _Rows(part, part.rows.touched[chosen])
    kept = _Linear(fitted, old, part.cage.positions.copy())
    damping = _DAMPING
    for _ in range(rounds):
        step = kept.step(damping)
        moved = kept.points.copy()
        moved[part.free] += step.reshape(3, -1).T
        tried = _Linear(fitted, old, moved)
        # A step that leads away from the surface is not taken; a shorter one is tried next.
        gained = 1 - tried.distance / max(kept.distance, 1e-300)
        if gained > 0:
            kept, damping = tried, max(damping / 3, _DAMPING)
        else:
            damping *= 30
        if 0 <= gained < _WORTH or np.abs(step).max() < _SETTLED * part.span:
            break
    positions = cage.positions.copy()
    positions[part.verts[part.free]] = kept.points[part.free]
    off = np.full(len(part.rows.touched), np.nan)
    off[chosen] = kept.off
    return cage.with_positions(positions), off


class _Linear:
    """How the surface lies to the old one at control ``points`` (n, 3), to first order; ``distance`` is a sum of squares."""

    def __init__(self, part: _Rows, old: NearestOnSurface, points: Floats) -> None:
        self.part, self.points = part, points
        self._at, looking = part.surface(points)
        feet, self._normals = old.at(self._at, looking)
        self._off = feet - self._at
        line = np.flatnonzero(part.on_line)
        line_feet, along = old.on_lines(self._at[line])
        known = np.isfinite(line_feet).all(axis=1)
        self._line, self._along = line[known], along[known]
        self._line_off = line_feet[known] - self._at[self._line]
        self.distance = float((self._off**2).sum() + (self._line_off**2).sum())

    @property
    def off(self) -> Floats:
        """(rows,) mm from the old surface, and from its line for a point that lies on one."""
        off = np.asarray(np.linalg.norm(self._off, axis=1))
        off[self._line] = np.maximum(off[self._line], np.linalg.norm(self._line_off, axis=1))
        return off

    def step(self, damping: float) -> Floats:
        """(3 free,) the step of Levenberg and Marquardt: all x, then all y, then all z."""
        part, reach = self.part, self.part.reach
        # Surface points may slide within the surface; those on a border or crease along that line only.
        inner = np.flatnonzero(~part.on_line)
        normals = self._normals[inner]
        blocks = [[diags_array(normals[:, k]) @ reach[inner] for k in range(3)]]
        right = [(self._off[inner] * normals).sum(axis=1)]
        along = self._along
        for k in range(3 if len(self._line) else 0):
            square = [(1.0 if j == k else 0.0) - along[:, k] * along[:, j] for j in range(3)]
            blocks.append([diags_array(square[j]) @ reach[self._line] for j in range(3)])
            right.append(sum(square[j] * self._line_off[:, j] for j in range(3)))
        system = csr_matrix(block_array(blocks))
        gram = csr_matrix(system.T @ system)
        weight = damping * float(gram.diagonal().mean())
        goal = system.T @ np.concatenate(right)
        if gram.shape[0] <= _DENSE:
            full = gram.toarray()
            full[np.diag_indices_from(full)] += weight
            return np.asarray(cho_solve(cho_factor(full, overwrite_a=True, check_finite=False), goal, check_finite=False))
        # A step is only the way to the next one: conjugate gradients bring it near enough, in time linear in the faces.
        damped = csr_matrix(gram + weight * identity(gram.shape[0]))
        found, _ = cg(damped, goal, rtol=1e-6, maxiter=400, M=diags_array(1 / damped.diagonal()))
        return np.asarray(found)


def _strays(cage: Cage, part: _Part, old: NearestOnSurface, known: Floats) -> float:
    """The same for a part; ``known`` (rows,) is by how much its points are off, where that is known already."""
    off = known.copy()
    left = np.flatnonzero(np.isnan(known))
    off[left] = _Linear(_Rows(part, part.rows.touched[left]), old, cage.positions[part.verts]).off
    worst = float(off.max(initial=0.0))
    # From point to point the distance changes little: the greatest lies on a face that has a great one.
    faces = part.faces[part.faces_at(part.rows.touched[off >= _GREAT * worst])]
    level = 4 if cage.topology.face_sizes[faces].sum() * 4**3 <= _ENOUGH_POINTS else 3
    finer = _Part.of_faces(cage, faces, level)
    return max(worst, float(_Linear(finer.rows, old, finer.cage.positions).off.max(initial=0.0)))


class _Part:
    """Some faces of a cage as a cage of their own, with its stencils, and the surface points that are looked at."""

    def __init__(self, cage: Cage, faces: Bools, level: int) -> None:
        part, self.verts, _ = Level.of_cage(cage).only_faces(faces)
        self.faces = np.flatnonzero(faces)
        plain = Topology(part.topology.vertex_count, part.topology.face_verts, part.topology.face_offsets)
        open_edges = np.zeros(plain.edge_count, dtype=bool)
        open_edges[plain.open_edges] = True
        sharpness = np.where(open_edges, 0.0, part.edge_sharpness)
        self.cage = Cage(cage.positions[self.verts], plain, sharpness, cage.vertex_sharpness[self.verts])
        self.span = span_of(self.cage)
        self.stencils = build_stencils(self.cage, level)
        self.free: Ints = np.zeros(0, dtype=np.int32)
        self.rows = _Rows(self, np.zeros(0, dtype=np.int64))

    @classmethod
    def around(cls, cage: Cage, free: Ints, level: int) -> _Part:
        """What lies around ``free`` vertices, and the points that these reach."""
        part = cls(cage, _faces_around(cage.topology, free, _MARGIN), level)
        local = np.full(cage.topology.vertex_count, -1, dtype=np.int32)
        local[part.verts] = np.arange(len(part.verts), dtype=np.int32)
        part.free = local[free]
        mark = np.zeros((len(part.verts), 1))
        mark[part.free] = 1.0
        # Masks have no negative weights, so that what a free vertex reaches is what a mark on it reaches.
        reached = (part.stencils.limit.position @ part.stencils.refined(mark))[:, 0] > 1e-12
        # One row for each refined vertex will do: the sides of a hard crease meet there.
        part.rows = _Rows(part, np.flatnonzero(reached[: part.stencils.vertex_count]))
        return part

    @classmethod
    def of_faces(cls, cage: Cage, faces: Ints, level: int) -> _Part:
        """Points of some ``faces``; what lies beside them decides their surface, too."""
        wanted = np.zeros(cage.topology.face_count, dtype=bool)
        wanted[faces] = True
        corners = cage.topology.face_verts[wanted[cage.topology.corner_face]]
        part = cls(cage, _faces_around(cage.topology, corners, 1), level)
        own = wanted[part.faces][part.stencils.face_of_quad]
        part.rows = _Rows(part, np.unique(part.stencils.quads[own]))
        return part

    def thinned(self, most: int) -> Ints:
        """Of the rows so many, evenly: numbers of refined vertices run along edges and faces."""
        count = len(self.rows.touched)
        return np.arange(count) if count <= most else np.linspace(0, count - 1, most).astype(np.int64)

    def faces_at(self, refined: Ints) -> Ints:
        """The part's faces that hold some refined vertices."""
        marked = np.zeros(self.stencils.vertex_count, dtype=bool)
        marked[refined] = True
        return np.unique(self.stencils.face_of_quad[marked[self.stencils.quads].any(axis=1)])


class _Rows:
    """Surface points of a part: those of the refined vertices ``touched`` (rows,)."""

    def __init__(self, part: _Part, touched: Ints) -> None:
        self.part, self.touched = part, touched

    @property
    def free(self) -> Ints:
        return self.part.free

    @cached_property
    def on_line(self) -> Bools:
        """(rows,) which lie on a border or a hard crease."""
        sharp = np.zeros(self.part.stencils.vertex_count, dtype=bool)
        sharp[sharp_vertices(self.part.stencils)] = True
        return np.asarray(sharp[self.touched])

    @cached_property
    def _matrices(self) -> list[csr_matrix]:
        limit = self.part.stencils.limit
        return [m[self.touched] for m in (limit.position, limit.tangent_u, limit.tangent_v)]

    @cached_property
    def reach(self) -> csr_matrix:
        """(rows, free) the weights of the free vertices at the surface points."""
        factors = self.part.stencils.factors
        columns = csr_matrix(factors[0].tocsc()[:, self.free])
        for step in factors[1:]:
            columns = step @ columns
        return csr_matrix(self._matrices[0] @ columns)

    def surface(self, points: Floats) -> tuple[Floats, Floats]:
        """Surface points and unit normals (rows, 3) for control points (n, 3); NaN normals on borders and creases, which
        have several."""
        refined = self.part.stencils.refined(points)
        at, u, v = (matrix @ refined for matrix in self._matrices)
        normals = normals_of(u, v)
        normals[self.on_line] = np.nan
        return at, normals


def _faces_around(t: Topology, verts: Ints, rings: int) -> Bools:
    mask = np.zeros(t.vertex_count, dtype=bool)
    mask[verts] = True
    faces = np.zeros(t.face_count, dtype=bool)
    for _ in range(rings):
        faces = np.logical_or.reduceat(mask[t.face_verts], t.face_offsets[:-1])
        mask[t.face_verts[faces[t.corner_face]]] = True
    return faces


def around(t: Topology, verts: Ints, rings: int) -> Ints:
    """The vertices within so many edges of the given ones, these included."""
    mask = np.zeros(t.vertex_count, dtype=bool)
    mask[verts] = True
    for _ in range(rings):
        near = mask[t.edge_verts].any(axis=1)
        mask[t.edge_verts[near]] = True
    return np.flatnonzero(mask).astype(np.int32)


def span_of(cage: Cage) -> float:
    """The longest side of the box around a cage, in mm; what shares of the size refer to."""
    return max(float(np.ptp(cage.positions, axis=0).max()), 1e-9)


def _of_size(mm: float, span: float) -> str:
    """For example ``0.0027 mm, 0.0045 % of the size``."""
    if mm < 1e-6 * span:
        return "less than a millionth of the size"
    return f"{_up(mm / PER[told_in()][0])} {told_in()}, {_up(100 * mm / span)} % of the size"


def _up(value: float) -> str:
    """Two digits, rounded up, and a fiftieth more for what lies between the points that were looked at."""
    value *= 1.02
    unit = 10.0 ** (np.floor(np.log10(value)) - 1)
    return f"{np.ceil(value / unit - 1e-9) * unit:.2g}"
