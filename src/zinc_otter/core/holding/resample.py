"""Give a grid of faces other counts, and hold its form."""

from __future__ import annotations

from typing import Literal

import numpy as np
from scipy.interpolate import CubicSpline

from zinc_otter.core.cage.building.evenly import evenly_on
from zinc_otter.core.cage.building.gridding import gridded
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap, edges_between, rebuilt
from zinc_otter.core.cage.picking.grids import Grid, grid_of
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.holding.refit import Held, held, span_of
from zinc_otter.core.surface.nearest import NearestOnSurface, nearest_on
from zinc_otter.core.surface.stencils import build_stencils, face_grid

Density = Literal["even", "curvature"]

MOST = 200
_STEPS = 8


def resample(
    cage: Cage, selection: Selection, u: int, v: int, *, density: Density = "even", along: int | None = None
) -> Held:
    """Give a grid of picked faces ``u`` by ``v`` faces while its surface keeps its form; the new faces are selected.

    "u" counts along the half-edge ``along`` of a picked face, or the first edge of the first. Rows lie evenly on the
    surface, or closer together where it bends more. Along sides at which other faces lie the count can be a whole multiple
    of the old one only, and the rows lie evenly between the old ones. Creases along the grid's border stay, and those
    within where a row lies on them. Raises BadSelectionError (no grid; a count that does not fit its neighbours),
    BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> done = resample(plane((30, 20), (3, 2)), Selection.of("face", range(6)), 6, 4)
    >>> done.cage.topology.face_count, bool(done.deviation < 1e-6)
    (24, True)
    """
    t = cage.topology
    grid = grid_of(t, selection, along)
    counts = (u, v)
    for axis in (0, 1):
        least = 3 if grid.closed[axis] else 1
        if not least <= counts[axis] <= MOST:
            raise BadNumberError(f"A grid has {least} to {MOST} faces here; {counts[axis]} were asked for.")
    old = nearest_on(cage)
    dense = _dense(old, cage, grid)
    fixed = [_shared_sides(t, grid, axis) for axis in (0, 1)]
    places = []
    for axis in (0, 1):
        if fixed[axis].any() and counts[axis] % grid.counts[axis]:
            raise BadSelectionError(
                f"Other faces lie along these sides: the count there can be {grid.counts[axis]} or a whole multiple of it.",
                faces=selection.ids,
            )
        places.append(_places(dense, axis, counts[axis], grid, bool(fixed[axis].any()), density))
    targets = _at(_at(dense, places[0] * _fineness(dense, grid, 0), 0, grid.closed[0]),
                  places[1] * _fineness(dense, grid, 1), 1, grid.closed[1])  # fmt: skip
    done, numbers, free = _rebuilt(cage, grid, counts, targets)
    settled, dropped = _with_creases(cage, done, grid, numbers, places)
    start = settled.with_positions(_interpolating(settled, numbers, targets, free))
    faces = np.arange(settled.topology.face_count - u * v, settled.topology.face_count)
    remarks = ("Creases within the grid were left out.",) if dropped else ()
    edit = Edit(start, Selection.of("face", faces), done.old_to_new, remarks=remarks)
    return held(old, edit, free, span_of(cage))


def _dense(old: NearestOnSurface, cage: Cage, grid: Grid) -> Floats:
    """(a n + 1, b n + 1, 3) limit points over the grid."""
    level = old.stencils.level
    quad, corner = face_grid(level)
    points = old.surface_points[old.stencils.quads]
    t = cage.topology
    n = 1 << level
    a, b = grid.counts
    whole = np.empty((a * n + 1, b * n + 1, 3))
    for i in range(a):
        for j in range(b):
            at = int(grid.corners[i, j])
            face = int(t.corner_face[at])
            turn = at - int(t.face_offsets[face])
            first = int(t.face_offsets[face]) * 4 ** (level - 1)
            whole[i * n : i * n + n + 1, j * n : j * n + n + 1] = _turned(points[first + quad, corner], turn)
    return whole


def _turned(patch: Floats, steps: int) -> Floats:
    """A face's points, with i from its corner ``steps`` to the next one."""
    for _ in range(steps):
        patch = patch.transpose(1, 0, 2)[:, ::-1]
    return patch


def _fineness(dense: Floats, grid: Grid, axis: int) -> float:
    return (dense.shape[axis] - 1) / grid.counts[axis]


def _shared_sides(t: Topology, grid: Grid, axis: int) -> Bools:
    """Whether faces that are not of the grid lie along the two sides that run along an axis."""
    if grid.closed[1 - axis]:
        return np.zeros(2, dtype=bool)
    lower = grid.corners[:, 0] if axis == 0 else t.corner_prev[grid.corners[0]]
    upper = t.corner_next[t.corner_next[grid.corners[:, -1]]] if axis == 0 else t.corner_next[grid.corners[-1]]
    return np.array([(t.corner_twin[lower] >= 0).any(), (t.corner_twin[upper] >= 0).any()])


def _places(dense: Floats, axis: int, count: int, grid: Grid, fixed: bool, density: Density) -> Floats:
    """(count + 1,) where the new rows lie, in old rows."""
    old = grid.counts[axis]
    if fixed:
        return np.linspace(0, old, count + 1)
    steps = np.linalg.norm(np.diff(dense, axis=axis), axis=2).mean(axis=1 - axis)
    weight = steps.copy()
    if density == "curvature":
        bend = _bending(dense, axis, grid.closed[axis])
        mean = float((bend * steps).sum() / max(float(steps.sum()), 1e-12))
        weight *= np.sqrt(0.15 + bend / max(mean, 1e-12))
    run = np.concatenate([[0], np.cumsum(weight)])
    rows = np.linspace(0, old, len(run))
    places = np.interp(np.linspace(0, run[-1], count + 1), run, rows)
    places[[0, -1]] = 0, old
    return np.asarray(places)


def _bending(dense: Floats, axis: int, closed: bool) -> Floats:
    """(steps,) mean curvature, 1/mm, of the lines along an axis."""
    lines = np.moveaxis(dense, axis, 0)
    way = np.diff(lines, axis=0)
    size = np.linalg.norm(way, axis=2)
    direction = way / np.maximum(size, 1e-12)[..., None]
    following = np.roll(direction, -1, axis=0) if closed else np.concatenate([direction[1:], direction[-1:]])
    turn = np.linalg.norm(following - direction, axis=2)
    return np.asarray((turn / np.maximum(size, 1e-12)).mean(axis=1))


def _at(points: Floats, places: Floats, axis: int, closed: bool) -> Floats:
    """Points at fractional places along an axis of a grid of them."""
    knots = np.arange(points.shape[axis])
    kind = "periodic" if closed else "not-a-knot"
    if closed:
        points = points.copy()
        ends = np.moveaxis(points, axis, 0)
        ends[-1] = ends[0]
    return np.asarray(CubicSpline(knots, points, axis=axis, bc_type=kind)(places))


def _rebuilt(cage: Cage, grid: Grid, counts: tuple[int, int], targets: Floats) -> tuple[Edit, Ints, Ints]:
    """The cage with the new grid in place of the old, its vertices (u + 1, v + 1), and those that are free to move."""
    t = cage.topology
    verts = grid.verts(t)
    lines = _shared_lines(t, grid, verts)
    base, went, rows = _with_rows(cage, [(line, counts[axis] // grid.counts[axis]) for (axis, _), line in lines])
    numbers = np.full((counts[0] + 1, counts[1] + 1), -1, dtype=np.int64)
    for ((axis, end), _), row in zip(lines, rows, strict=True):
        numbers[(slice(None), end) if axis == 0 else (end, slice(None))] = row
    # Where it goes round the last row is the first again.
    once = tuple(slice(None, -1) if closed else slice(None) for closed in grid.closed)
    own = np.zeros(numbers.shape, dtype=bool)
    own[once] = numbers[once] < 0
    numbers[own] = base.topology.vertex_count + np.arange(np.count_nonzero(own))
    if grid.closed[0]:
        numbers[-1] = numbers[0]
    if grid.closed[1]:
        numbers[:, -1] = numbers[:, 0]
    quads = np.stack([numbers[:-1, :-1], numbers[1:, :-1], numbers[1:, 1:], numbers[:-1, 1:]], axis=-1).reshape(-1, 4)
    keep = np.ones(base.topology.face_count, dtype=bool)
    keep[went.faces[t.corner_face[grid.corners].ravel()]] = False
    made = rebuilt(base, np.concatenate([base.positions, targets[own]]), [quads], keep=keep)
    final = went.then(made.old_to_new)
    placed = made.verts[numbers]
    # All vertices of the new grid are free but the old ones that other faces lean on too.
    held_fast = final.vertices[verts.ravel()]
    free = np.setdiff1d(placed, held_fast[held_fast >= 0]).astype(np.int32)
    return Edit(made.cage, Selection.of("face", made.added), final), placed, free


def _shared_lines(t: Topology, grid: Grid, verts: Ints) -> list[tuple[tuple[int, int], Ints]]:
    """The border lines of a grid at which other faces lie: along which axis, at which end (0 or -1), and their vertices."""
    found = []
    for axis, across in ((0, verts), (1, verts.T)):
        for end, shared in zip((0, -1), _shared_sides(t, grid, axis), strict=True):
            if shared:
                found.append(((axis, end), across[:, end]))
    return found


def _with_rows(cage: Cage, lines: list[tuple[Ints, int]]) -> tuple[Cage, ElementMap, list[list[int]]]:
    """The cage with each edge of vertex ``lines`` parted into so many, and the vertices along each line then."""
    t = cage.topology
    along = [edges_between(t, np.column_stack([line[:-1], line[1:]])) for line, _ in lines]
    parts = {edge: times - 1 for edges, (_, times) in zip(along, lines, strict=True) for edge in edges.tolist() if times > 1}
    between: dict[int, list[int]] = {}
    went = ElementMap.identity(t)
    if parts:
        edges, counts = np.array(sorted(parts)), np.array([parts[edge] for edge in sorted(parts)])
        step = gridded(cage, edges, counts, evenly_on(cage, edges, counts))
        cage, went = step.cage, step.old_to_new
        runs = np.split(step.new_verts, np.cumsum(counts)[:-1])
        between = {edge: run.tolist() for edge, run in zip(edges.tolist(), runs, strict=True)}
    rows = []
    for edges, (line, _) in zip(along, lines, strict=True):
        row: list[int] = []
        for vertex, edge in zip(line[:-1].tolist(), edges.tolist(), strict=True):
            inner = between.get(edge, [])
            row += [int(went.vertices[vertex]), *(inner if vertex == t.edge_verts[edge, 0] else inner[::-1])]
        rows.append([*row, int(went.vertices[line[-1]])])
    return cage, went, rows


def _with_creases(
    cage: Cage, done: Edit, grid: Grid, numbers: Ints, places: list[Floats]
) -> tuple[Cage, bool]:
    """The new cage with the creases of old rows on which new ones lie; and whether any was left out."""
    t, after = cage.topology, done.cage.topology
    verts = grid.verts(t)
    values = done.cage.edge_sharpness.copy()
    dropped = False
    for axis in (0, 1):
        lines = verts if axis == 0 else verts.T
        fresh = numbers if axis == 0 else numbers.T
        for k in range(lines.shape[1]):
            sharpness = cage.edge_sharpness[edges_between(t, np.column_stack([lines[:-1, k], lines[1:, k]]))]
            if not sharpness.any():
                continue
            hit = np.flatnonzero(np.abs(places[1 - axis] - k) < 1e-9)
            if not len(hit):
                dropped = True
                continue
            row = fresh[:, hit[0]]
            edges = edges_between(after, np.column_stack([row[:-1], row[1:]]))
            middles = (places[axis][:-1] + places[axis][1:]) / 2
            values[edges] = sharpness[np.minimum(middles.astype(int), len(sharpness) - 1)]
    return done.cage.with_sharpness(edges=values), dropped


def _interpolating(cage: Cage, numbers: Ints, targets: Floats, free: Ints) -> Floats:
    """Positions at which the surface all but passes through the targets at the ``free`` vertices.

    By Richardson's iteration, which comes near from the smooth side: solved outright, targets beside vertices that stay
    where they are would throw the points between about.
    """
    stencils = build_stencils(cage, 1)
    limit = (stencils.limit.position[: cage.topology.vertex_count] @ stencils.composed()).tocsr()
    flat, where = np.unique(numbers.ravel(), return_index=True)
    goal = cage.positions.copy()
    goal[flat] = targets.reshape(-1, 3)[where]
    rows = limit[free]
    positions = cage.positions.copy()
    positions[free] = goal[free]
    for _ in range(_STEPS):
        positions[free] += goal[free] - rows @ positions
    return positions
