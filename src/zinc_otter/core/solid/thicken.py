"""Thicken an open cage into two walls, joined at their rims: an even wall, measured on the smooth surface."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Literal

import numpy as np
from scipy.sparse import csr_matrix, identity
from scipy.sparse.linalg import spsolve

from zinc_otter.core.cage.building.even_shifts import even_shifts
from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.edit import Edit, Rebuilt, rebuilt
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.surface import Stencils, build_stencils, evaluate
from zinc_otter.core.words import bare_length, fine_length_words

Side = Literal["in", "out", "both"]

ROUND = 0.5
"""Of the thickness, how wide the row of faces beside a round rim is."""
ROOM = 0.4
"""Of the shortest edge at a border's vertex, how wide that row can be: faces of a fine sheet are not to fold."""
UNEVEN = 0.1
"""From this share off the asked thickness a face is marked."""


def thicken(cage: Cage, distance: float, side: Side = "in", crease_rims: bool = True) -> Edit:
    """Two walls ``distance`` mm apart, joined by a band of quads along every border.

    The faces stay on the side that they look to and the second wall goes "in", "out", or each half the way. With
    ``crease_rims`` the borders become hard creases, so that the surface keeps its border and the rims are square; else the
    rims are round, within a row of faces half a wall wide. Corners of a sheet stay corners either way. The remark tells
    between what thicknesses the wall lies; faces where it is off by more than a tenth, or folds over, are
    ``suspect``. The new wall is selected.
    Raises BadSelectionError for a closed cage, BadNumberError.
    """
    t = cage.topology
    if t.is_closed:
        raise BadSelectionError("This cage is closed: there is no border from which a second wall could start.")
    if not (np.isfinite(distance) and distance >= 1e-6):
        raise BadNumberError("The thickness is a length above 0.")
    stencils = build_stencils(cage, 1)
    # Inner and outer wall each have shifts of their own: going out is not going in backwards where the form bends.
    outer = {"in": 0.0, "out": distance, "both": distance / 2}[side]
    inner = outer - distance
    shifts = [_even_shifts(stencils, cage, amount) for amount in (outer, inner)]
    done = two_walls(cage, shifts[0], shifts[1], 0.0 if crease_rims else ROUND * distance)
    second = t.face_count + np.arange(t.face_count)
    of_second = np.argsort(t.face_sizes, kind="stable")
    wall = wall_at_rows(stencils, cage, shifts[0], shifts[1])
    bad = _suspect(stencils, cage, shifts, np.abs(wall - distance) > UNEVEN * distance)
    remark = f"The wall is {bare_length(wall.min())} to {fine_length_words(wall.max())} thick."
    suspect = np.concatenate([bad, second[np.isin(of_second, bad)]]).astype(np.int32)
    rest = np.concatenate([cage.positions, cage.positions, *_again(cage, done.cage.topology.vertex_count)])
    return Edit(done.cage, Selection.of("face", second), done.old_to_new, rest, suspect=suspect, remarks=(remark,))


def two_walls(cage: Cage, outer: Floats, inner: Floats, rounding: float = 0.0) -> Rebuilt:
    """An open cage twice, each time with shifts (n, 3) of its own: the ``inner`` one turned over, joined along the borders.

    Faces of the inner wall follow those of the outer by size, then those of the rims. Rims are hard creases, or with a
    ``rounding`` in mm they are smooth, between rows of faces so wide. An edge runs from wall to wall wherever the border has
    a corner, so that it stays one.
    """
    t = cage.topology
    n = t.vertex_count
    back = t.face_verts[t.reversed_corners] + n
    order = np.argsort(t.face_sizes, kind="stable")
    walls = [back[t.face_offsets[faces][:, None] + np.arange(size)] for size, faces in _by_size(t.face_sizes)]
    rim = t.edge_corners[t.open_edges, 0]
    a, b = t.face_verts[rim], t.face_verts[t.corner_next[rim]]
    sharp: list[tuple[Ints, Floats | float]] = [(t.edge_verts + n, cage.edge_sharpness)]
    positions = np.concatenate([cage.positions + outer, cage.positions + inner])
    border = np.unique(a)
    corner = _corners_of_border(cage)[border]
    if rounding > 0:
        # The rows beside the rim: the border's own vertices go inwards, and new ones take their places.
        new = np.full(n, -1)
        new[border] = 2 * n + np.arange(len(border))
        inwards = _inwards(cage, border)
        length = np.minimum(rounding, ROOM * _room(cage)[border])[:, None] * inwards
        far = positions[[border, border + n]].reshape(-1, 3)
        positions[border] += length
        positions[border + n] += length
        positions = np.concatenate([positions, far])
        up, down = new, new + len(border)
        rows = [np.column_stack([b, a, up[a], up[b]]), np.column_stack([a + n, b + n, down[b], down[a]])]
        across = [np.column_stack([border, up[border]]), np.column_stack([border + n, down[border]])]
        sharp += [(pairs, corner) for pairs in across]
    else:
        up, down = np.arange(n), np.arange(n) + n
        rows = []
        sharp += [(np.column_stack([one[a], one[b]]), HARD) for one in (up, down)]
    sharp.append((np.column_stack([up[border], down[border]]), corner))
    band = np.column_stack([up[b], up[a], down[a], down[b]])
    done = rebuilt(cage, positions, [*walls, *rows, band], sharp=sharp)
    after = done.cage
    corners = np.concatenate([cage.vertex_sharpness, cage.vertex_sharpness, np.zeros(len(positions) - 2 * n)])
    if rounding > 0:
        corners[border] = corners[border + n] = 0.0
    else:
        # A corner of a sheet with one face is sharp by the boundary rule; between two creases it would round.
        lone = np.flatnonzero((t.vertex_valence == 2) & t.on_border)
        corners[lone] = corners[lone + n] = HARD
    after = after.with_sharpness(vertices=corners)
    second = t.face_count + np.arange(t.face_count)
    face_sets = {
        name: np.concatenate([ids, second[np.isin(order, ids)]]) for name, ids in cage.face_sets.items()
    }
    return replace(done, cage=Cage(after.positions, after.topology, after.edge_sharpness, after.vertex_sharpness, face_sets))


def _corners_of_border(cage: Cage) -> Floats:
    """(n,) how sharp the border is at each of its vertices: a corner of one face, a sharp vertex, or where a crease ends."""
    t = cage.topology
    found = cage.vertex_sharpness.copy()
    found[(t.vertex_valence == 2) & t.on_border] = HARD
    inside = np.setdiff1d(np.flatnonzero(cage.edge_sharpness > 0), t.open_edges)
    for end in (0, 1):
        np.maximum.at(found, t.edge_verts[inside, end], cage.edge_sharpness[inside])
    return found


def _room(cage: Cage) -> Floats:
    """(n,) the shortest edge at each vertex, mm."""
    ends = cage.topology.edge_verts
    length = np.linalg.norm(cage.positions[ends[:, 1]] - cage.positions[ends[:, 0]], axis=1)
    found = np.full(cage.topology.vertex_count, np.inf)
    for end in (0, 1):
        np.minimum.at(found, ends[:, end], length)
    return found


def _inwards(cage: Cage, border: Ints) -> Floats:
    """(k, 3) where border vertices go when the border moves by 1 into the faces: at a corner further, so that both sides do.

    After the way in which outlines are offset: by the two normals of the border within the sheet, over one more than their
    cosine.
    """
    t = cage.topology
    rim = t.edge_corners[t.open_edges, 0]
    a, b = t.face_verts[rim], t.face_verts[t.corner_next[rim]]
    along = unit(cage.positions[b] - cage.positions[a])
    normal = cage.face_normals[t.corner_face[rim]]
    into = unit(np.cross(normal, along))
    total, first = np.zeros((t.vertex_count, 3)), np.zeros((t.vertex_count, 3))
    np.add.at(total, a, into)
    np.add.at(total, b, into)
    first[a] = into
    cosine = (total[border] * first[border]).sum(axis=1) - 1.0
    return np.asarray(total[border] / np.maximum(1.0 + cosine, 0.2)[:, None])


def _again(cage: Cage, count: int) -> list[Floats]:
    """The places of vertices beyond the two walls before they were there: on the border that they round."""
    t = cage.topology
    border = np.unique(t.edge_verts[t.open_edges])
    return [cage.positions[border]] * ((count - 2 * t.vertex_count) // max(1, len(border)))


def grown(cage: Cage, distance: float) -> Cage:
    """A cage whose smooth surface lies ``distance`` mm further out, or further in where it is below 0.

    By the same even shifts as a thickening; its creases and sets are kept.
    """
    return cage.with_positions(cage.positions + _even_shifts(build_stencils(cage, 1), cage, distance))


def _by_size(sizes: Ints) -> list[tuple[int, Ints]]:
    return [(int(size), np.flatnonzero(sizes == size)) for size in np.unique(sizes)]


def _even_shifts(stencils: Stencils, cage: Cage, amount: float) -> Floats:
    """(n, 3) shifts of the control points that move the limit surface by ``amount`` mm along its normals.

    The limit is linear in the control points, so that along fixed directions, those of an even wall of the cage, the
    lengths solve a sparse system by least squares.
    """
    t = cage.topology
    if amount == 0:
        return np.zeros_like(cage.positions)
    first = even_shifts(cage.face_normals, t.corner_face, t.face_verts, t.vertex_count, amount)
    length = np.linalg.norm(first, axis=1)
    along = unit(first)
    system = _normal_moves(stencils, cage, along)
    gram = (system.T @ system).tocsr()
    damping = 1e-4 * float(gram.diagonal().mean())
    right = system.T @ np.full(system.shape[0], amount) + damping * length
    solved = spsolve((gram + damping * identity(t.vertex_count)).tocsc(), right, permc_spec="MMD_AT_PLUS_A")
    # Directions point the way the wall goes, so lengths are positive; a tight dent may ask for more than it can have.
    return np.asarray(np.clip(solved, 0.25 * abs(amount), 4 * abs(amount))[:, None] * along)


def _normal_moves(stencils: Stencils, cage: Cage, along: Floats) -> csr_matrix:
    """(rows, n): by how much each limit point moves along its normal when a control point moves by 1 ``along`` (n, 3)."""
    limit = (stencils.limit.position @ stencils.composed()).tocoo()
    normals = evaluate(stencils, cage).normals
    values = limit.data * (normals[limit.row] * along[limit.col]).sum(axis=1)
    return csr_matrix((values, (limit.row, limit.col)), shape=limit.shape)


def wall_at_rows(stencils: Stencils, cage: Cage, outer: Floats, inner: Floats) -> Floats:
    """(rows,) thickness in mm at each limit point of ``cage``, along its normal, between two shifts (n, 3) of it."""
    moved = stencils.limit.position @ stencils.refined(outer - inner)
    return np.asarray((moved * evaluate(stencils, cage).normals).sum(axis=1))


def _suspect(stencils: Stencils, cage: Cage, shifts: Sequence[Floats], off: Bools) -> Ints:
    """Faces at one of whose rows the wall is ``off`` (rows,), or which fold over on either wall."""
    faces = stencils.face_of_quad[off[stencils.row_quads].any(axis=1)]
    before = cage.face_area_vectors
    size = (before**2).sum(axis=1)
    for shift in shifts:
        along = (cage.with_positions(cage.positions + shift).face_area_vectors * before).sum(axis=1)
        faces = np.union1d(faces, np.flatnonzero(along <= 0.02 * size))
    return faces.astype(np.int32)
