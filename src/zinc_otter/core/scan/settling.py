"""Settle a surface on a scan: control points are moved until the limit surface, not the cage, lies on it by least squares.

Places of the scan are drawn to their feet on the surface along its normals (Y. Chen, G. Medioni, "Object modelling by
registration of multiple range images", 1992), each weighted by how far it is off beside the others (A. Beaton, J. Tukey,
"The fitting of power series", 1974), so that spikes and noise are not followed. What the scan leaves open is settled by the
cage: its vertices move evenly with their neighbours, keep evenly apart along the surface, and the bend changes as little
as asked from vertex to vertex.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.linalg import cho_factor, cho_solve
from scipy.sparse import block_array, coo_matrix, csr_matrix, diags_array, identity

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.scan.fitted_surface import Feet, FittedSurface
from zinc_otter.core.scan.samples import Samples
from zinc_otter.core.symmetric import factored

ROUNDS = 8
_SETTLED = 2e-4
"""A step smaller than this share of the reach ends the rounds."""
_REACH = 0.12
"""Places further off than this share of the size belong to something else."""
_SAME_SIDE = 0.25
"""Cosine of the angle up to which scan and surface look the same way."""
_TOGETHER, _EVEN, _BEND = 0.06, 0.003, 5.0
"""Weights beside the data's: moving as neighbours do, lying evenly apart, and bending evenly where most is asked for."""
_SLIDE, _HELD, _EXACT = 0.02, 1e4, 5e-4
_DAMPING, _LEAST_DAMPING, _TRIES, _FEWEST = 1e-2, 1e-4, 6, 12
_DENSE = 2_400
"""Up to so many unknowns a dense factorization is quicker."""


@dataclass(frozen=True, eq=False)
class Settled(Edit):
    """``before`` and ``after``: root mean square and largest distance in mm of the ``count`` places of the scan that were
    fitted to. ``suspect`` are faces with nothing of the scan on them."""

    before: tuple[float, float] = (0.0, 0.0)
    after: tuple[float, float] = (0.0, 0.0)
    count: int = 0


def settle(
    cage: Cage,
    selection: Selection,
    scan: Samples,
    *,
    smoothness: float = 0.1,
    border: bool = True,
    group: Group | None = None,
    slides: bool = True,
    rounds: int = ROUNDS,
) -> Settled:
    """Move the vertices of what is selected so that the limit surface lies on the places of a ``scan``; the rest stays.

    ``smoothness`` from 0 (as near as it gets) to 1 (as fair as it gets). Vertices on a ``border`` move onto the scan as
    well, but not along it; else they stay. With ``slides`` off no vertex moves along the surface. Creases keep their
    sharpness. Of a symmetric cage the scan counts under all motions of its ``group``: what one side has missing the other
    has. Raises BadSelectionError where nothing of the scan lies near, BadNumberError.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> from zinc_otter.core.surface.nearest import nearest_on
    >>> way = np.random.default_rng(1).normal(size=(2000, 3))
    >>> way /= np.linalg.norm(way, axis=1, keepdims=True)
    >>> ball = patched_sphere(40, 2)
    >>> done = settle(ball, Selection.of("face", range(24)), Samples(21 * way, way))
    >>> bool(abs(np.linalg.norm(nearest_on(done.cage).surface_points, axis=1) - 21).max() < 0.1)
    True
    """
    if not 0 <= smoothness <= 1:
        raise BadNumberError("The smoothness lies between nothing and all.")
    selection.check(cage.topology)
    places = _under(group, scan)
    t = cage.topology
    free = np.zeros(t.vertex_count, dtype=bool)
    free[vertices_of(t, selection)] = True
    if not border:
        free[t.on_border] = False
    if not free.any():
        raise BadSelectionError("Nothing is left to settle: all that is picked stays.", vertices=vertices_of(t, selection))
    surface = FittedSurface(cage)
    reach = _REACH * max(float(np.ptp(cage.positions, axis=0).max()), 1e-9)
    # What lies elsewhere neither pulls nor tells how much is much.
    reached = np.asarray(surface.weights[:, np.flatnonzero(free)].sum(axis=1)).reshape(-1) > 1e-6
    now = _Lies.of(surface, places, cage.positions, reach, reached)
    if len(now.used) < _FEWEST:
        raise BadSelectionError("Next to nothing of the scan lies near enough to settle on; place it first.")
    before, damping = now.figures, _DAMPING
    for number in range(rounds):
        system = _System(cage, surface, now, free, smoothness, number < 2, slides)
        for _ in range(_TRIES):
            step = system.step(damping)
            then = _Lies.of(surface, places, now.positions + step, reach, reached)
            # A step after which it lies worse is not taken; a shorter one is tried.
            if system.misfit(then) <= system.misfit(now):
                break
            damping *= 10
        else:
            break
        now, damping = then, max(damping / 10, _LEAST_DAMPING)
        if np.abs(step).max() < _SETTLED * reach:
            break
    done = same_structure(cage.with_positions(now.positions), selection)
    bare = np.bincount(now.feet.faces, minlength=t.face_count) == 0
    bare &= np.logical_or.reduceat(free[t.face_verts], t.face_offsets[:-1])
    return Settled(
        done.cage, done.selected, done.old_to_new, suspect=np.flatnonzero(bare).astype(np.int32), before=before,
        after=now.figures, count=len(now.used),
    )  # fmt: skip


def _under(group: Group | None, scan: Samples) -> Samples:
    """The places of a scan under all motions of a group, about as many as before."""
    if group is None:
        return scan
    matrices, offsets, _ = group.elements
    every = len(matrices)
    few = Samples(scan.points[::every], scan.normals[::every])
    images = [few.moved(matrix, offset) for matrix, offset in zip(matrices, offsets, strict=True)]
    points, normals = (np.concatenate([getattr(one, name) for one in images]) for name in ("points", "normals"))
    return Samples(points, normals)


@dataclass(frozen=True, eq=False)
class _Lies:
    """How a scan lies to the surface at some control points: the feet of those places that count, their numbers among all,
    and how far each is off along the normal."""

    positions: Floats
    facing: Floats
    feet: Feet
    used: Ints
    off: Floats
    places: int

    @classmethod
    def of(
        cls, surface: FittedSurface, places: Samples, positions: Floats, reach: float, reached: Bools
    ) -> _Lies:
        surface.moved_to(positions)
        feet = surface.feet(places.points)
        far = np.linalg.norm(places.points - feet.points, axis=1)
        same = (feet.normals * places.normals).sum(axis=1) > _SAME_SIDE
        used = np.flatnonzero(feet.within & same & (far < reach) & reached[feet.corners].any(axis=1))
        held = feet.only(used)
        off = ((places.points[used] - held.points) * held.normals).sum(axis=1)
        # The first rows are the cage's own vertices.
        return cls(positions, surface.normals[: len(positions)], held, used, off, len(places.points))

    @property
    def figures(self) -> tuple[float, float]:
        return float(np.sqrt((self.off**2).mean())), float(np.abs(self.off).max())


class _System:
    """The least squares of one round, about how things lie ``now``; ``wide`` while much lies far off for good reason."""

    def __init__(
        self, cage: Cage, surface: FittedSurface, now: _Lies, free: Bools, smoothness: float, wide: bool, slides: bool
    ) -> None:
        t, n, at = cage.topology, len(now.positions), now.positions
        self._free, self._wide = free, wide
        # Of a scan without noise what lies a little off is no spike.
        least = _EXACT * float(np.ptp(now.positions, axis=0).max())
        self._scale = max(1.4826 * float(np.median(np.abs(now.off))), least, 1e-12)
        data, goal = surface.normal_equations(now.feet, self._weights(now.off) * (n / len(now.off)), now.off)
        laplacian, sized = _laplacian(t, cage.edge_sharpness, at)
        facing = now.facing
        creased = np.zeros(n, dtype=bool)
        creased[t.edge_verts[cage.edge_sharpness > 0].ravel()] = True
        # Vertices on lines have no one normal.
        inner = ~t.on_border & ~creased
        evened = csr_matrix(diags_array(inner.astype(np.float64)) @ laplacian)
        even_by = diags_array(float(np.median(sized)) / sized)
        # What the bend, as a vector, changes by from one vertex to the next: so it does not hang on normals that turn.
        self._bends = csr_matrix(_differences(t, inner) @ even_by @ laplacian)
        self._weight = _BEND * smoothness**6
        fair = csr_matrix(self._weight * (self._bends.T @ self._bends))
        together = csr_matrix(_TOGETHER**2 * (laplacian.T @ laplacian) + fair)
        # Along the surface they move little in a round: nothing of the scan asks for it.
        self._usual = max(float(np.mean([data[k][k].diagonal()[free].mean() for k in range(3)])), 1e-12)
        slow = (_SLIDE if slides else _HELD) * self._usual
        sliding = np.where(t.on_border, max(slow, 1.0), slow)

        def block(a: int, b: int) -> csr_matrix:
            along = (1.0 if a == b else 0.0) - facing[:, a] * facing[:, b]
            made = data[a][b] + _EVEN**2 * (evened.T @ diags_array(along) @ evened) + diags_array(sliding * along)
            return csr_matrix(made + together) if a == b else csr_matrix(made)

        system = csr_matrix(block_array([[block(a, b) for b in range(3)] for a in range(3)]))
        away = evened @ at
        away -= (away * facing).sum(axis=1, keepdims=True) * facing
        goal = goal - _EVEN**2 * (evened.T @ away) - fair @ at
        self._wanted = np.flatnonzero(np.tile(free, 3))
        self._matrix = csr_matrix(system[self._wanted][:, self._wanted])
        self._goal = goal.T.ravel()[self._wanted]

    def step(self, damping: float) -> Floats:
        """(n, 3) how control points move."""
        moved = np.zeros(3 * len(self._free))
        more = identity(len(self._wanted)) * (damping * self._usual)
        moved[self._wanted] = _solved(csr_matrix(self._matrix + more), self._goal)
        return np.asarray(moved.reshape(3, -1).T)

    def misfit(self, lies: _Lies) -> float:
        """What is made least: a place that lies far off, or that has lost its foot, counts so much and no more."""
        most = 6 * self._scale
        share = np.minimum((lies.off / most) ** 2, 1)
        lost = lies.places - len(lies.used)
        # Tukey's rho, or that of Cauchy's weights while it is wide.
        rho = np.log1p((lies.off / most) ** 2) if self._wide else (1 - (1 - share) ** 3) / 3
        total = float(rho.sum()) + lost * (1.0 if self._wide else 1 / 3)
        bends = self._bends @ lies.positions
        return total * most**2 * len(self._free) / lies.places + self._weight * float((bends**2).sum())

    def _weights(self, off: Floats) -> Floats:
        """(k,) how much each place counts beside the others."""
        share = (off / (6 * self._scale)) ** 2
        return np.asarray(1 / (1 + share) if self._wide else np.maximum(1 - share, 0) ** 2)


def _solved(system: csr_matrix, goal: Floats) -> Floats:
    if system.shape[0] <= _DENSE:
        return np.asarray(cho_solve(cho_factor(system.toarray(), overwrite_a=True), goal))
    return np.asarray(factored(system).solve(goal))


def _laplacian(t: Topology, sharpness: Floats, at: Floats) -> tuple[csr_matrix, Floats]:
    """(n, n) from each vertex to the middle of its neighbours, on borders and hard creases of those on the line; and (n,)
    the mean squared length of the edges there. Ends of lines and corners of sheets have none."""
    n = t.vertex_count
    pairs = t.edge_verts
    lined = np.zeros(t.edge_count, dtype=bool)
    lined[t.open_edges] = True
    lined |= sharpness >= HARD
    on_line = np.zeros(n, dtype=bool)
    on_line[pairs[lined].ravel()] = True
    one = np.concatenate([pairs[:, 0], pairs[:, 1]])
    other = np.concatenate([pairs[:, 1], pairs[:, 0]])
    counts = ~on_line[one] | np.tile(lined, 2)
    one, other = one[counts], other[counts]
    number = np.bincount(one, minlength=n)
    ended = on_line & (number != 2)
    counts = ~ended[one]
    one, other = one[counts], other[counts]
    share = 1 / np.maximum(number, 1)[one]
    rows = np.concatenate([one, np.flatnonzero(~ended & (number > 0))])
    columns = np.concatenate([other, np.flatnonzero(~ended & (number > 0))])
    values = np.concatenate([share, np.full(len(rows) - len(one), -1.0)])
    length = ((at[pairs[:, 0]] - at[pairs[:, 1]]) ** 2).sum(axis=1)
    total = np.bincount(pairs[:, 0], length, n) + np.bincount(pairs[:, 1], length, n)
    sized = total / np.maximum(np.bincount(pairs.ravel(), minlength=n), 1)
    return csr_matrix(coo_matrix((values, (rows, columns)), (n, n))), np.maximum(sized, 1e-12)


def _differences(t: Topology, inner: Bools) -> csr_matrix:
    """(edges, n) from what vertices have to what it changes by along edges between inner ones."""
    pairs = t.edge_verts[inner[t.edge_verts].all(axis=1)]
    k = len(pairs)
    values = np.tile([1.0, -1.0], k)
    return csr_matrix((values, pairs.ravel(), np.arange(0, 2 * k + 1, 2)), (k, t.vertex_count))
