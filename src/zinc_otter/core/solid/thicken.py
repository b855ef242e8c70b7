"""Thicken an open cage into two walls, joined at their rims: an even wall, measured on the smooth surface."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Literal

import numpy as np
from scipy.sparse import csr_matrix, identity
from scipy.sparse.linalg import spsolve

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.edit import Edit, Rebuilt, rebuilt
from zinc_otter.core.cage.edits.even import even_shifts
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.surface import Stencils, build_stencils, evaluate

Side = Literal["in", "out", "both"]

UNEVEN = 0.1
"""From this share off the asked thickness a face is marked."""


def thicken(cage: Cage, distance: float, side: Side = "in", crease_rims: bool = True) -> Edit:
    """Two walls ``distance`` mm apart, joined by a band of quads along every border.

    The faces stay on the side that they look to and the second wall goes "in", "out", or each half the way. With
    ``crease_rims`` the borders become hard creases, so that the surface keeps its border; else they round. The remark
    tells between what thicknesses the wall lies; faces where it is off by more than a tenth, or folds over, are
    ``doubtful``. The new wall is selected.
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
    done = two_walls(cage, shifts[0], shifts[1], crease_rims)
    second = t.face_count + np.arange(t.face_count)
    of_second = np.argsort(t.face_sizes, kind="stable")
    wall = wall_at_rows(stencils, cage, shifts[0], shifts[1])
    bad = _doubtful(stencils, cage, shifts, np.abs(wall - distance) > UNEVEN * distance)
    remark = f"The wall is {wall.min():.3g} to {wall.max():.3g} mm thick."
    doubtful = np.concatenate([bad, second[np.isin(of_second, bad)]]).astype(np.int32)
    rest = np.concatenate([cage.positions, cage.positions])
    return Edit(done.cage, Selection.of("face", second), done.old_to_new, rest, doubtful=doubtful, remarks=(remark,))


def two_walls(cage: Cage, outer: Floats, inner: Floats, crease_rims: bool = True) -> Rebuilt:
    """An open cage twice, each time with shifts (n, 3) of its own: the ``inner`` one turned over, joined along the borders.

    Faces of the inner wall follow those of the outer by size, then the bands. See ``thicken`` for ``crease_rims``.
    """
    t = cage.topology
    n = t.vertex_count
    back = t.face_verts[t.turned_over] + n
    order = np.argsort(t.face_sizes, kind="stable")
    walls = [back[t.face_offsets[faces][:, None] + np.arange(size)] for size, faces in _by_size(t.face_sizes)]
    rim = t.edge_corners[t.open_edges, 0]
    a, b = t.face_verts[rim], t.face_verts[t.corner_next[rim]]
    band = np.column_stack([b, a, a + n, b + n])
    inside = t.edge_verts + n
    sharp: list[tuple[Ints, Floats | float]] = [(inside, cage.edge_sharpness)]
    if crease_rims:
        sharp += [(np.column_stack([a, b]), HARD), (np.column_stack([a, b]) + n, HARD)]
    positions = np.concatenate([cage.positions + outer, cage.positions + inner])
    done = rebuilt(cage, positions, [*walls, band], sharp=sharp)
    after = done.cage
    corners = np.concatenate([cage.vertex_sharpness, cage.vertex_sharpness])
    if crease_rims:
        # A corner of a sheet with one face is sharp by the boundary rule; between two creases it would round.
        lone = np.flatnonzero((t.vertex_valence == 2) & t.on_border)
        corners[lone] = corners[lone + n] = HARD
    after = after.with_sharpness(vertices=corners)
    second = t.face_count + np.arange(t.face_count)
    face_sets = {
        name: np.concatenate([ids, second[np.isin(order, ids)]]) for name, ids in cage.face_sets.items()
    }
    return replace(done, cage=Cage(after.positions, after.topology, after.edge_sharpness, after.vertex_sharpness, face_sets))


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


def _doubtful(stencils: Stencils, cage: Cage, shifts: Sequence[Floats], off: Bools) -> Ints:
    """Faces at one of whose rows the wall is ``off`` (rows,), or which fold over on either wall."""
    faces = stencils.face_of_quad[off[stencils.row_quads].any(axis=1)]
    before = cage.face_area_vectors
    size = (before**2).sum(axis=1)
    for shift in shifts:
        along = (cage.with_positions(cage.positions + shift).face_area_vectors * before).sum(axis=1)
        faces = np.union1d(faces, np.flatnonzero(along <= 0.02 * size))
    return faces.astype(np.int32)
