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
from zinc_otter.core.surface.evaluation import normals_of
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.nearest import NearestOnSurface, sharp_vertices
from zinc_otter.core.surface.stencils import Stencils, build_stencils

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

    ``span`` mm is the size that the deviation is set in proportion to, in the remark. The deviation is looked for among
    surface points of twice the fineness of those fitted to. Corners of sheets, and sharp vertices, stay.
    """
    t = done.cage.topology
    stays = (t.on_border & (t.vertex_valence == 2)) | (done.cage.vertex_sharpness > 0)
    free = free[~stays[free]]
    cage = refitted(done.cage, old, free, rounds=rounds)
    deviation = strays_from(cage, old, free)
    remark = f"It strays from the form by at most {_of_size(deviation, span)}."
    return Held(
        cage, done.selected, done.old_to_new, done.rest, done.weights, done.suspect, (*done.remarks, remark), deviation
    )


def refitted(cage: Cage, old: NearestOnSurface, free: Ints, *, rounds: int = ROUNDS) -> Cage:
    """The cage with its ``free`` vertices moved so that its surface lies nearest to the old one."""
    if not len(free):
        return cage
    part = _Part(cage, free, 2, _ROWS * 3 * len(free))
    points = part.cage.positions.copy()
    kept = _Linear(part, old, points)
    damping = _DAMPING
    for _ in range(rounds):
        step = kept.step(damping)
        moved = kept.points.copy()
        moved[part.free] += step.reshape(3, -1).T
        tried = _Linear(part, old, moved)
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
    return cage.with_positions(positions)


class _Linear:
    """How the surface lies to the old one at control ``points`` (n, 3), to first order; ``distance`` is a sum of squares."""

    def __init__(self, part: _Part, old: NearestOnSurface, points: Floats) -> None:
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


def strays_from(cage: Cage, old: NearestOnSurface, free: Ints) -> float:
    """The largest distance in mm from the old surface, of the surface points that the ``free`` vertices reach."""
    if not len(free):
        return 0.0
    part = _Part(cage, free, _measuring_level(cage, free))
    at, looking = part.surface(part.cage.positions)
    feet, _ = old.at(at, looking)
    # A border that has moved within the surface is off as well, though each point of it still lies on the old one.
    line = at[part.on_line]
    line_feet, _ = old.on_lines(line)
    known = np.isfinite(line_feet).all(axis=1)
    off = np.concatenate([feet - at, (line_feet - line)[known]])
    return float(np.linalg.norm(off, axis=1).max(initial=0.0))


def _measuring_level(cage: Cage, free: Ints) -> int:
    """Finer than what is fitted to at level 2; finer still where the part is small."""
    corners = np.isin(cage.topology.face_verts, around(cage.topology, free, _MARGIN)).sum()
    return 4 if corners * 4**3 <= _ENOUGH_POINTS else 3


class _Part:
    """The part of a cage around its free vertices, and the surface points that these reach."""

    def __init__(self, cage: Cage, free: Ints, level: int, most: int | None = None) -> None:
        t = cage.topology
        faces = _faces_around(t, free, _MARGIN)
        part, self.verts, _ = Level.of_cage(cage).only_faces(faces)
        plain = Topology(part.topology.vertex_count, part.topology.face_verts, part.topology.face_offsets)
        open_edges = np.zeros(plain.edge_count, dtype=bool)
        open_edges[plain.open_edges] = True
        sharpness = np.where(open_edges, 0.0, part.edge_sharpness)
        self.cage = Cage(cage.positions[self.verts], plain, sharpness, cage.vertex_sharpness[self.verts])
        self.span = span_of(self.cage)
        local = np.full(t.vertex_count, -1, dtype=np.int32)
        local[self.verts] = np.arange(len(self.verts), dtype=np.int32)
        self.free = local[free]
        self._stencils: Stencils = build_stencils(self.cage, level)
        # One row for each refined vertex will do: the sides of a hard crease meet there.
        count = self._stencils.vertex_count
        limit = self._stencils.limit
        mark = np.zeros((len(self.verts), 1))
        mark[self.free] = 1.0
        # Masks have no negative weights, so that what a free vertex reaches is what a mark on it reaches.
        self._touched = np.flatnonzero((limit.position[:count] @ self._stencils.refined(mark))[:, 0] > 1e-12)
        if most is not None and len(self._touched) > most:
            # Evenly thinned: numbers of refined vertices run along edges and faces.
            self._touched = self._touched[np.linspace(0, len(self._touched) - 1, most).astype(np.int64)]
        self._matrices = [m[self._touched] for m in (limit.position, limit.tangent_u, limit.tangent_v)]
        sharp = np.zeros(count, dtype=bool)
        sharp[sharp_vertices(self._stencils)] = True
        self.on_line: Bools = sharp[self._touched]

    @cached_property
    def reach(self) -> csr_matrix:
        """(rows, free) the weights of the free vertices at the surface points."""
        columns = csr_matrix(self._stencils.factors[0].tocsc()[:, self.free])
        for step in self._stencils.factors[1:]:
            columns = step @ columns
        return csr_matrix(self._matrices[0] @ columns)

    def surface(self, points: Floats) -> tuple[Floats, Floats]:
        """Surface points and unit normals (rows, 3) for control points (n, 3); NaN normals on borders and creases, which
        have several."""
        refined = self._stencils.refined(points)
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
    return f"{_up(mm)} mm, {_up(100 * mm / span)} % of the size"


def _up(value: float) -> str:
    """Two digits, rounded up, and a fiftieth more for what lies between the points that were looked at."""
    value *= 1.02
    unit = 10.0 ** (np.floor(np.log10(value)) - 1)
    return f"{np.ceil(value / unit - 1e-9) * unit:.2g}"

