"""From a refined level to the limit: exact positions and two tangents at every vertex.

Sources: M. Halstead, M. Kass, T. DeRose, "Efficient, Fair Interpolation Using Catmull-Clark Surfaces", SIGGRAPH 1993
(interior vertices); H. Biermann, A. Levin, D. Zorin, "Piecewise Smooth Subdivision Surfaces with Normal Control",
SIGGRAPH 2000 (creases and borders).

A hard crease that ends inside the surface ends in a *dart*. Its vertex follows the smooth rule, but the edge point on the
crease does not, so the smooth mask is not its limit; the masks of darts are found here as left eigenvectors of the local
subdivision matrix, which is what a limit mask is by definition (Halstead, Kass, DeRose 1993, section 3).

A vertex on a hard crease has a tangent plane on each side. So the result has *rows*: row i < n is vertex i, and each
further side of a crease vertex adds a row of its own with the same position.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

import numpy as np
from scipy.sparse import csr_matrix, vstack

from zinc_otter.core.cage.cage import HARD
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.refinement import refine
from zinc_otter.core.surface.rows import RowBuilder


@dataclass(frozen=True, eq=False)
class LimitMatrices:
    """Sparse matrices (r, n) that take refined points to limit positions and tangents; tangent_u x tangent_v is outward.

    ``row_vertex`` (r,) is the vertex of each row, ``corner_row`` (c,) the row that each corner of a face uses.
    """

    position: csr_matrix
    tangent_u: csr_matrix
    tangent_v: csr_matrix
    row_vertex: Ints
    corner_row: Ints


def limit_matrices(level: Level) -> LimitMatrices:
    """The limit of an all-quad level, exact also where semi-sharp creases have not yet faded."""
    direct = _direct(level)
    tracked = level.semi_sharp_vertices
    return _with_faded(level, direct, tracked) if tracked.any() else direct


# --- where every crease is hard -------------------------------------------------------------------------------------


def _direct(level: Level) -> LimitMatrices:
    t = level.topology
    hard = level.edge_sharpness >= HARD
    hard_edges = np.bincount(t.edge_verts[hard].ravel(), minlength=t.vertex_count)
    corner = level.vertex_sharpness >= HARD
    # One hard edge ends in a dart; none is a smooth vertex or the tip of a cone: a single side either way.
    sided = hard_edges >= 2
    dart = (hard_edges == 1) & ~corner
    starts = np.flatnonzero(hard[t.corner_edge] & sided[t.face_verts]).astype(np.int32)
    lengths, ends = _sides(level, starts, hard[t.corner_edge])

    row_of_start = np.empty(len(starts), dtype=np.int32)
    _, first = np.unique(t.face_verts[starts], return_index=True)
    is_first = np.zeros(len(starts), dtype=bool)
    is_first[first] = True
    row_of_start[is_first] = t.face_verts[starts[is_first]]
    extra = int((~is_first).sum())
    row_of_start[~is_first] = t.vertex_count + np.arange(extra, dtype=np.int32)
    row_vertex = np.concatenate([np.arange(t.vertex_count), t.face_verts[starts[~is_first]]]).astype(np.int32)

    count = t.vertex_count + extra
    position, tangent_u, tangent_v = (RowBuilder(count, t.vertex_count) for _ in range(3))
    _smooth_rows(level, ~sided & ~dart, corner, position, tangent_u, tangent_v)
    tips = np.flatnonzero(hard[t.corner_edge] & dart[t.face_verts]).astype(np.int32)
    _dart_rows(level, tips, position, tangent_u, tangent_v)

    corner_row = t.face_verts.copy()
    for k in np.unique(lengths):
        group = np.flatnonzero(lengths == k)
        corners = level.walk(starts[group], int(k))
        rows = row_of_start[group]
        corner_row[corners] = rows[:, None]
        centre = t.face_verts[starts[group]]
        first_end = t.face_verts[t.corner_next[starts[group]]]
        last_end = t.face_verts[t.corner_prev[ends[group]]]
        spokes = t.face_verts[t.corner_next[corners[:, 1:]]]
        diagonals = t.face_verts[t.corner_next[t.corner_next[corners]]]
        tip = corner[centre] | (hard_edges[centre] > 2)
        position.add(rows, centre, np.where(tip, 1.0, 4.0 / 6.0)[:, None])
        crease = np.flatnonzero(~tip)
        position.add(rows[crease], np.column_stack([first_end, last_end])[crease], 1.0 / 6.0)
        for at, is_tip in ((crease, False), (np.flatnonzero(tip), True)):
            _side_tangents(
                rows[at], centre[at], first_end[at], last_end[at], spokes[at], diagonals[at], is_tip, tangent_u, tangent_v
            )
    return LimitMatrices(position.matrix(), tangent_u.matrix(), tangent_v.matrix(), row_vertex, corner_row)


def _sides(level: Level, starts: Ints, hard_out: Bools) -> tuple[Ints, Ints]:
    """Number of faces of each side that begins at a start corner, and its last corner."""
    lengths = np.ones(len(starts), dtype=np.int32)
    ends = starts.copy()
    active = np.arange(len(starts))
    while len(active):
        following = level.next_around[ends[active]]
        goes_on = (following >= 0) & ~hard_out[np.maximum(following, 0)]
        active = active[goes_on]
        ends[active] = following[goes_on]
        lengths[active] += 1
    return lengths, ends


def _smooth_rows(
    level: Level, wanted: Bools, corner: Bools, position: RowBuilder, tangent_u: RowBuilder, tangent_v: RowBuilder
) -> None:
    """Interior vertices with a full fan around: Halstead, Kass, DeRose 1993."""
    t = level.topology
    for verts, corners in level.fans:
        some = wanted[verts]
        if not some.all():
            verts, corners = verts[some], corners[some]
        if len(verts) == 0:
            continue
        n = corners.shape[1]
        following = t.corner_next[corners]
        spokes, diagonals = t.face_verts[following], t.face_verts[t.corner_next[following]]
        tips = corner[verts]
        if tips.any():
            position.add(verts[tips], verts[tips], 1.0)
        smooth = ~tips
        total = n * (n + 5)
        position.add(verts[smooth], verts[smooth], n * n / total)
        position.add(verts[smooth], spokes[smooth], 4.0 / total)
        position.add(verts[smooth], diagonals[smooth], 1.0 / total)
        turn = 2 * np.pi / n
        scale = 1 + np.cos(turn) + np.cos(np.pi / n) * np.sqrt(2 * (9 + np.cos(turn)))
        at = turn * np.arange(n + 1)
        for tangent, wave in ((tangent_u, np.cos(at)), (tangent_v, np.sin(at))):
            tangent.add(verts, spokes, scale * wave[:-1])
            tangent.add(verts, diagonals, wave[:-1] + wave[1:])


def _dart_rows(
    level: Level, starts: Ints, position: RowBuilder, tangent_u: RowBuilder, tangent_v: RowBuilder
) -> None:
    """Vertices at which one hard edge ends; ``starts`` are the corners whose outgoing edge is that one."""
    t = level.topology
    sizes = np.bincount(t.face_verts, minlength=t.vertex_count)[t.face_verts[starts]]
    for n in np.unique(sizes):
        corners = level.walk(starts[sizes == n], int(n))
        verts = t.face_verts[corners[:, 0]]
        following = t.corner_next[corners]
        around = np.column_stack([verts, t.face_verts[following], t.face_verts[t.corner_next[following]]])
        for rows, mask in zip((position, tangent_u, tangent_v), dart_masks(int(n)), strict=True):
            rows.add(verts, around, mask)


@cache
def dart_masks(n: int) -> tuple[Floats, Floats, Floats]:
    """Limit position and tangent masks (2n + 1,) of a dart of valence n: the vertex, its n edge neighbours beginning
    with the crease's and going counter-clockwise, its n diagonals."""
    v, edge, face = 0, 1 + np.arange(n), 1 + n + np.arange(n)
    step = np.zeros((2 * n + 1, 2 * n + 1))
    for corner in (np.full(n, v), edge, np.roll(edge, -1), face):
        step[face, corner] += 0.25
    step[edge] = (step[face] + step[np.roll(face, 1)]) / 4
    step[edge, v] += 0.25
    step[edge, edge] += 0.25
    step[edge[0]] = 0.0
    step[edge[0], [v, edge[0]]] = 0.5
    step[v] = step[face].sum(axis=0) / n**2
    step[v, edge] += 1 / n**2
    step[v, v] += (n - 2) / n

    # The crease's direction is a line of symmetry: one tangent is even about it, the other odd.
    mirror = np.eye(2 * n + 1)[np.concatenate([[v], np.roll(edge[::-1], 1), face[::-1]])]
    even, odd = (np.eye(2 * n + 1) + mirror) / 2, (np.eye(2 * n + 1) - mirror) / 2
    position, tangent_u = _leading(even @ step.T @ even, 2)
    (tangent_v,) = _leading(odd @ step.T @ odd, 1)
    return position / position.sum(), tangent_u * np.sign(tangent_u[1]), tangent_v * np.sign(tangent_v[2])


def _leading(matrix: Floats, count: int) -> list[Floats]:
    """The eigenvectors of the largest eigenvalues, which are real here."""
    values, vectors = np.linalg.eig(matrix)
    order = np.argsort(-np.abs(values))[:count]
    return [np.real(vectors[:, i]) for i in order]


def _side_tangents(
    rows: Ints,
    centre: Ints,
    first_end: Ints,
    last_end: Ints,
    spokes: Ints,
    diagonals: Ints,
    is_tip: bool,
    tangent_u: RowBuilder,
    tangent_v: RowBuilder,
) -> None:
    """Tangents on one side of a crease, a border or a corner: k faces from ``first_end`` round to ``last_end``."""
    k = diagonals.shape[1]
    if is_tip and k == 1:
        for tangent, end in ((tangent_u, first_end), (tangent_v, last_end)):
            tangent.add(rows, end, 1.0)
            tangent.add(rows, centre, -1.0)
        return
    tangent_u.add(rows, first_end, 1.0)
    tangent_u.add(rows, last_end, -1.0)
    if k == 1:
        tangent_v.add(rows, centre, -2.0)
        tangent_v.add(rows, first_end, 1.0)
        tangent_v.add(rows, last_end, 1.0)
    elif is_tip:
        # No closed form holds for every corner; the mean direction into the side is exact where the side is flat.
        tangent_v.add(rows, spokes, 1.0 / (2 * k - 1))
        tangent_v.add(rows, diagonals, 1.0 / (2 * k - 1))
        tangent_v.add(rows, centre, -1.0)
    else:
        turn = np.pi / k
        ratio = (np.cos(turn) + 1) / np.sin(turn)
        wave = np.sin(turn * np.arange(k + 1))
        tangent_v.add(rows, centre, 4 * ratio * (np.cos(turn) - 1))
        tangent_v.add(rows, first_end, -ratio * (1 + 2 * np.cos(turn)))
        tangent_v.add(rows, last_end, -ratio * (1 + 2 * np.cos(turn)))
        tangent_v.add(rows, spokes, 4 * wave[1:-1])
        tangent_v.add(rows, diagonals, wave[:-1] + wave[1:])


# --- where semi-sharp creases still have levels to go ---------------------------------------------------------------


def _with_faded(level: Level, direct: LimitMatrices, tracked: Bools) -> LimitMatrices:
    """Replace the rows of tracked vertices by those found where their creases have faded.

    A vertex's own future depends only on the faces around it, so it is enough to refine those, and of their children to
    keep those around the vertex: a constant amount of work for each of the at most ten levels.
    """
    t = level.topology
    at = tracked
    part, verts, corners = level.only_faces(np.logical_or.reduceat(at[t.face_verts], t.face_offsets[:-1]))
    at = at[verts]
    here = at[part.topology.face_verts]
    origin = np.where(here, corners, -1)
    chain = csr_matrix(
        (np.ones(len(verts)), verts, np.arange(len(verts) + 1, dtype=np.int32)), shape=(len(verts), t.vertex_count)
    )
    while (part.semi_sharp_vertices & at).any():
        child, step = refine(part)
        at = np.concatenate([at, np.zeros(child.topology.vertex_count - len(at), dtype=bool)])
        grown = np.full(child.topology.corner_count, -1, dtype=np.int32)
        grown[::4] = origin
        keep = np.logical_or.reduceat(at[child.topology.face_verts], child.topology.face_offsets[:-1])
        part, verts, corners = child.only_faces(keep)
        chain = (step @ chain)[verts]
        at, origin = at[verts], grown[corners]

    faded = _direct(part)
    own = origin >= 0
    source = np.arange(len(direct.row_vertex))
    source[direct.corner_row[origin[own]]] = len(source) + faded.corner_row[own]

    def replaced(matrix: csr_matrix, by: csr_matrix) -> csr_matrix:
        return csr_matrix(vstack([matrix, by @ chain], format="csr")[source])

    return LimitMatrices(
        replaced(direct.position, faded.position),
        replaced(direct.tangent_u, faded.tangent_u),
        replaced(direct.tangent_v, faded.tangent_v),
        direct.row_vertex,
        direct.corner_row,
    )
