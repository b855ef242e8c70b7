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
from scipy.sparse import block_array, coo_matrix, csr_matrix, diags_array, hstack, identity
from scipy.sparse.linalg import splu

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.scan.fitted_surface import Feet, FittedSurface
from zinc_otter.core.scan.samples import Samples

ROUNDS = 6
_SETTLED = 2e-5
"""A step smaller than this share of the size ends the rounds."""
_REACH = 0.12
"""Places further off than this share of the size belong to something else."""
_SAME_SIDE = 0.25
"""Cosine of the angle up to which scan and surface look the same way."""
_TOGETHER, _EVEN, _BEND = 0.03, 0.02, 4.0
"""Weights beside the data's: moving as neighbours do, lying evenly apart, and bending evenly where most is asked for."""
_STILL = 1e-6
_DENSE = 2_400
"""Up to so many unknowns a dense factorization is quicker."""


@dataclass(frozen=True, eq=False)
class Settled(Edit):
    """``before`` and ``after``: root mean square and largest distance in mm of the ``count`` places of the scan that were
    fitted to."""

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
    rounds: int = ROUNDS,
) -> Settled:
    """Move the vertices of what is selected so that the limit surface lies on the places of a ``scan``; the rest stays.

    ``smoothness`` from 0 (as near as it gets) to 1 (as fair as it gets). Vertices on a ``border`` move onto the scan as
    well, but not along it; else they stay. Creases keep their sharpness. Of a symmetric cage the scan counts under all
    motions of its ``group``: what one side has missing the other has. Raises BadSelectionError where nothing of the scan
    lies near, BadNumberError.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> from zinc_otter.core.surface.nearest import nearest_on
    >>> way = np.random.default_rng(1).normal(size=(2000, 3))
    >>> way /= np.linalg.norm(way, axis=1, keepdims=True)
    >>> ball = patched_sphere(40, 2)
    >>> done = settle(ball, Selection.of("face", range(24)), Samples(21 * way, way))
    >>> bool(abs(np.linalg.norm(nearest_on(done.cage).surface_points, axis=1) - 21).max() < 0.03)
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
    span = max(float(np.ptp(cage.positions, axis=0).max()), 1e-9)
    positions = cage.positions.copy()
    near = _near(surface, surface.feet(places.points), places, span)
    if np.count_nonzero(near) < 12:
        raise BadSelectionError("Next to nothing of the scan lies near enough to settle on; place it first.")
    before = None
    for number in range(rounds):
        feet = surface.feet(places.points)
        near = _near(surface, feet, places, span)
        used = np.flatnonzero(near)
        off = ((places.points[used] - feet.points[used]) * feet.normals[used]).sum(axis=1)
        before = before or _figures(off)
        step = _step(cage, surface, positions, _only(feet, used), off, free, smoothness, number < 2)
        positions = positions + step
        surface.moved_to(positions)
        if np.abs(step).max() < _SETTLED * span:
            break
    feet = surface.feet(places.points)
    used = np.flatnonzero(_near(surface, feet, places, span))
    after = _figures(((places.points[used] - feet.points[used]) * feet.normals[used]).sum(axis=1))
    assert before is not None
    done = same_structure(cage.with_positions(positions), selection)
    return Settled(done.cage, done.selected, done.old_to_new, before=before, after=after, count=len(used))


def _under(group: Group | None, scan: Samples) -> Samples:
    """The places of a scan under all motions of a group, about as many as before."""
    if group is None:
        return scan
    matrices, offsets, _ = group.elements
    every = len(matrices)
    places = [
        Samples(scan.points[k::every], scan.normals[k::every]).moved(matrix, offset)
        for k in range(every)
        for matrix, offset in zip(matrices, offsets, strict=True)
    ]
    points, normals = (np.concatenate([getattr(p, name) for p in places]) for name in ("points", "normals"))
    return Samples(points, normals)


def _near(surface: FittedSurface, feet: Feet, places: Samples, span: float) -> Bools:
    """(k,) which places of a scan count: with a foot within the surface, not far, and looking the same way."""
    far = np.linalg.norm(places.points - feet.points, axis=1)
    same = (feet.normals * places.normals).sum(axis=1) > _SAME_SIDE
    return np.asarray(feet.within & same & (far < _REACH * span))


def _only(feet: Feet, used: Ints) -> Feet:
    return Feet(feet.corners[used], feet.shares[used], feet.points[used], feet.normals[used], feet.within[used])


def _figures(off: Floats) -> tuple[float, float]:
    return float(np.sqrt((off**2).mean())), float(np.abs(off).max())


def _step(
    cage: Cage, surface: FittedSurface, at: Floats, feet: Feet, off: Floats, free: Bools, smoothness: float, wide: bool
) -> Floats:
    """(n, 3) how control points move in one round; ``wide`` while much still lies far off for good reason."""
    n = len(at)
    data, goal = surface.normal_equations(feet, _robust(off, wide) * (n / len(off)), off)
    laplacian, sized = _laplacian(cage.topology, cage.edge_sharpness, at)
    # The first rows are the cage's own vertices.
    facing = surface.normals[:n]
    creased = np.zeros(n, dtype=bool)
    creased[cage.topology.edge_verts[cage.edge_sharpness > 0].ravel()] = True
    # Vertices on lines have no one normal.
    inner = ~cage.topology.on_border & ~creased
    evened = csr_matrix(diags_array(inner.astype(np.float64)) @ laplacian)
    together = csr_matrix(_TOGETHER**2 * (laplacian.T @ laplacian) + _STILL * identity(n))
    border = cage.topology.on_border.astype(np.float64)

    def block(a: int, b: int) -> csr_matrix:
        along = (1.0 if a == b else 0.0) - facing[:, a] * facing[:, b]
        made = data[a][b] + _EVEN**2 * (evened.T @ diags_array(along) @ evened) + diags_array(border * along)
        return csr_matrix(made + together) if a == b else csr_matrix(made)

    system = csr_matrix(block_array([[block(a, b) for b in range(3)] for a in range(3)]))
    away = evened @ at
    away -= (away * facing).sum(axis=1, keepdims=True) * facing
    goal = goal - _EVEN**2 * (evened.T @ away)
    if smoothness > 0:
        bent = csr_matrix(_differences(cage.topology, inner) @ diags_array(float(np.median(sized)) / sized) @ laplacian)
        # Along the normal only; each row is what the bend changes by from one vertex to the next.
        bends = csr_matrix(hstack([bent @ diags_array(facing[:, k]) for k in range(3)]))
        weight = _BEND * smoothness**4
        system = csr_matrix(system + weight * (bends.T @ bends))
        goal = goal - weight * (bends.T @ (bends @ at.T.ravel())).reshape(3, n).T
    wanted = np.flatnonzero(np.tile(free, 3))
    moved = np.zeros(3 * n)
    moved[wanted] = _solved(csr_matrix(system[wanted][:, wanted]), goal.T.ravel()[wanted])
    return np.asarray(moved.reshape(3, n).T)


def _solved(system: csr_matrix, goal: Floats) -> Floats:
    if system.shape[0] <= _DENSE:
        return np.asarray(cho_solve(cho_factor(system.toarray(), overwrite_a=True), goal))
    return np.asarray(splu(system.tocsc(), permc_spec="MMD_AT_PLUS_A", options={"SymmetricMode": True}).solve(goal))


def _robust(off: Floats, wide: bool) -> Floats:
    """(k,) how much each place counts beside the others."""
    scale = max(1.4826 * float(np.median(np.abs(off))), 1e-12)
    if wide:
        return np.asarray(1 / (1 + (off / (6 * scale)) ** 2))
    return np.asarray(np.maximum(1 - (off / (6 * scale)) ** 2, 0) ** 2)


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
