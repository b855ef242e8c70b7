"""Seams between patches: how far neighbours turn from one another along them, and how they are made to agree.

At a seam both patches have the same boundary curve; they are tangent where both their derivatives across it lie in one
plane with the curve's own (G. Farin, "Curves and Surfaces for CAGD", 5th ed. 2002, chapter 21). That plane is taken from the
limit surface, so that each patch can be laid into it by itself.
"""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.solid.patches import Patches, hard_corners
from zinc_otter.core.solid.spokes import agreed_around
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.stencils import build_stencils, face_grid

TIGHT = 4.0
"""Creases sharper than this are tighter than the faces of a solid can follow: they are left as sharp as they come out."""
_GOOD = np.radians(0.05)
"""Seams that turn by less than this need nothing more."""
_OFF = 1e-4
"""Radians by which a patch may miss the common plane without being touched."""
_STAY = 0.05
"""How much a pole's way counts beside the angle that it mends, as the angle by which it turns the patch."""
_CHUNK = 64


@dataclass(frozen=True)
class Seam:
    """The seam where neighbours turn most: by how many ``degrees``, at a point in mm, and the crease along it (0: none)."""

    degrees: float
    at: tuple[float, float, float] | None = None
    sharpness: float = 0.0


def agreed(patches: Patches) -> Patches:
    """The patches with poles moved so that neighbours are tangent along smooth seams, and nothing opens.

    First each patch by itself, then those around the vertices where neighbours still turn from one another (``spokes``).
    """
    return _around_the_worst(_laid_into_planes(patches))


def _around_the_worst(patches: Patches) -> Patches:
    cage = patches.cage
    t = cage.topology
    odd = _irregular(cage)
    edges, angles, _ = _seam_angles(patches, np.asarray(odd[t.edge_verts].any(axis=1)))
    worst = np.zeros(t.vertex_count)
    np.maximum.at(worst, t.edge_verts[edges].ravel(), np.repeat(angles.max(axis=1, initial=0.0), 2))
    kept = hard_corners(cage) | (cage.vertex_sharpness > TIGHT)
    creased = (cage.edge_sharpness > TIGHT) & (cage.edge_sharpness < HARD)
    kept[t.edge_verts[creased]] = True
    worst[kept] = 0.0
    chosen = np.argsort(-worst, kind="stable")[: int((worst > _GOOD).sum())]
    return agreed_around(patches, chosen)


def _laid_into_planes(patches: Patches) -> Patches:
    """By least squares on each patch alone: boundary curves stay to the last bit."""
    cage, m = patches.cage, patches.poles.shape[1]
    at = _samples(patches)
    # Where all is regular the patches are the surface itself.
    odd = np.flatnonzero(_irregular(cage)[cage.topology.face_verts].reshape(-1, 4).any(axis=1))
    if not len(odd):
        return patches
    normals = _limit_normals(cage, odd, at)
    wanted = (_smooth_sides(cage, TIGHT)[:, :, None] & ~_at_hard_corner(patches, at))[odd]
    basis = patches.basis(at)
    slopes = patches.basis(at, 1)
    ring, of_side = _ring(m)
    poles = patches.poles.copy()
    for first in range(0, len(odd), _CHUNK):
        part = slice(first, first + _CHUNK)
        rows, inner = _sides(poles[odd[part]])
        # The normal square to the boundary curve itself, which both patches have in common.
        along = unit(np.einsum("sj,fkjx->fksx", slopes, rows))
        normal = _square(normals[part], along)
        across = np.einsum("sj,fkjx->fksx", basis, inner - rows)
        length = np.maximum(np.linalg.norm(across, axis=-1), 1e-12)
        miss = (across * normal).sum(axis=-1) / length
        miss[~wanted[part]] = 0.0
        off = np.flatnonzero(np.abs(miss).max(axis=(1, 2)) > _OFF)
        if len(off):
            moves = _moves(miss[off], normal[off], length[off], wanted[part][off], basis, ring, of_side)
            poles[odd[first + off][:, None], ring[:, 0], ring[:, 1]] += moves
    return replace(patches, poles=poles)


def _irregular(cage: Cage) -> Bools:
    """(n,) vertices around which the surface is not bicubic: extraordinary ones, and those of creases."""
    t = cage.topology
    found = (t.vertex_valence != 4) | (cage.vertex_sharpness > 0)
    found[t.edge_verts[cage.edge_sharpness > 0]] = True
    return found


def _square(vectors: Floats, to: Floats) -> Floats:
    """The unit vectors nearest to ``vectors`` that are square to ``to``."""
    return unit(vectors - (vectors * to).sum(axis=-1, keepdims=True) * to)


def _moves(
    miss: Floats, normal: Floats, length: Floats, wanted: Bools, basis: Floats, ring: Ints, of_side: Ints
) -> Floats:
    """(f, ring, 3) by how much the poles beside the boundary move: along the normals there, as little as will do."""
    count, m, unknowns = len(miss), basis.shape[1], len(ring)
    # Each pole goes along the normal of the sample at which it weighs most.
    nearest = basis.argmax(axis=0)
    ways = np.zeros((count, unknowns, 3))
    for side in range(4):
        ways[:, of_side[side, 1:-1]] = normal[:, side, nearest[1 : m - 1]]
    system = np.zeros((count, 4, basis.shape[0], unknowns))
    for side in range(4):
        places = of_side[side, 1:-1]
        turned = np.einsum("fsx,fjx->fsj", normal[:, side], ways[:, places])
        system[:, side][:, :, places] = basis[None, :, 1 : m - 1] * turned / length[:, side, :, None]
    system *= wanted[..., None]
    rows = system.reshape(count, -1, unknowns)
    gram = np.einsum("fru,frv->fuv", rows, rows)
    typical = 1 / np.median(length.reshape(count, -1), axis=1)
    gram[:, np.arange(unknowns), np.arange(unknowns)] += (_STAY * typical[:, None]) ** 2
    goal = -np.einsum("fru,fr->fu", rows, miss.reshape(count, -1))
    return np.asarray(np.linalg.solve(gram, goal[..., None])[..., 0][..., None] * ways)


def largest_seam(patches: Patches) -> Seam:
    """Where neighbouring patches turn most from one another along seams that the surface runs smoothly over.

    All edges but hard creases count, also those that are creased a little: in the limit the surface is smooth there. Beside
    hard corners, where it is not, the shortest span is left out.
    """
    edges, angle, at = _seam_angles(patches)
    if not len(edges):
        return Seam(0.0)
    k, sample = np.unravel_index(int(np.argmax(angle)), angle.shape)
    t = patches.cage.topology
    face, side = divmod(int(t.edge_corners[edges[k], 0]), 4)
    rows, _ = _sides(patches.poles[face : face + 1])
    x, y, z = (float(v) for v in patches.basis(at[sample : sample + 1])[0] @ rows[0, side])
    return Seam(float(np.degrees(angle[k, sample])), (x, y, z), float(patches.cage.edge_sharpness[edges[k]]))


def _seam_angles(patches: Patches, asked: Bools | None = None) -> tuple[Ints, Floats, Floats]:
    """Edges (k,) that should be smooth, the angles (k, s) in radians across them, and where along a side they are (s,).

    Of all edges, or of those ``asked`` for (e,).
    """
    t = patches.cage.topology
    smooth = (patches.cage.edge_sharpness < HARD) & (t.edge_corners[:, 1] >= 0)
    edges = np.flatnonzero(smooth if asked is None else smooth & asked)
    corners = t.edge_corners[edges]
    faces = np.unique(corners // 4)
    # Four points to a span: whatever is not true lies in the short end spans beside extraordinary points.
    at = np.interp(np.arange(4 * len(patches.breaks) - 3) / 4, np.arange(len(patches.breaks)), patches.breaks)
    ends = np.array([0.0, 1.0])
    # Normals along the four sides of each face, each in the direction in which the face's loop runs.
    sides = np.zeros((t.face_count, 4, len(at), 3))
    for first in range(0, len(faces), _CHUNK):
        part = faces[first : first + _CHUNK]
        across = _unit_normals(patches, at, ends, part)
        along = _unit_normals(patches, ends, at, part)
        sides[part, 0], sides[part, 2] = across[:, :, 0], across[:, ::-1, 1]
        sides[part, 1], sides[part, 3] = along[:, 1], along[:, 0, ::-1]
    flat = sides.reshape(-1, len(at), 3)
    one, other = flat[corners[:, 0]], flat[corners[:, 1], ::-1]
    angle = np.arctan2(np.linalg.norm(np.cross(one, other), axis=-1), (one * other).sum(axis=-1))
    angle[_at_hard_corner(patches, at).reshape(-1, len(at))[corners[:, 0]]] = 0.0
    return edges, angle, at


def _samples(patches: Patches) -> Floats:
    """The ends and the middle of every span, as parameters along a side."""
    return np.sort(np.concatenate([patches.breaks, (patches.breaks[1:] + patches.breaks[:-1]) / 2]))


def _limit_normals(cage: Cage, faces: Ints, at: Floats) -> Floats:
    """(k, 4, s, 3) normals of the limit surface along the four sides of some faces, in the direction of the loop."""
    t = cage.topology
    mask = np.zeros(t.face_count, dtype=bool)
    mask[faces] = True
    for _ in range(2):
        verts = np.zeros(t.vertex_count, dtype=bool)
        verts[t.face_verts[mask[t.corner_face]]] = True
        mask = np.asarray(verts[t.face_verts].reshape(-1, 4).any(axis=1))
    part, verts_of_part, _ = Level.of_cage(cage).only_faces(mask)
    plain = Topology(part.topology.vertex_count, part.topology.face_verts, part.topology.face_offsets)
    sharpness = part.edge_sharpness.copy()
    sharpness[plain.open_edges] = 0.0
    around = Cage(cage.positions[verts_of_part], plain, sharpness, cage.vertex_sharpness[verts_of_part])
    level = max(3, round(-float(np.log2(np.diff(at).min()))))
    stencils = build_stencils(around, level)
    normals = evaluate(stencils, around).normals
    own = np.searchsorted(np.flatnonzero(mask), faces)
    rows = stencils.row_quads.reshape(plain.face_count, 4**level, 4)[own]
    quad, corner = face_grid(level)
    places = np.rint(at * (1 << level)).astype(np.int64)
    last, back = 1 << level, places[::-1]
    first = np.zeros_like(places)
    found = []
    for i, j in ((places, first), (first + last, places), (back, first + last), (first, back)):
        found.append(normals[rows[:, quad[i, j], corner[i, j]]])
    return np.stack(found, axis=1)


def _smooth_sides(cage: Cage, most: float) -> Bools:
    """(f, 4) which sides are seams between two faces with no crease sharper than ``most``."""
    t = cage.topology
    smooth = (cage.edge_sharpness <= most) & (t.edge_corners[:, 1] >= 0)
    return np.asarray(smooth[t.corner_edge].reshape(-1, 4))


def _at_hard_corner(patches: Patches, at: Floats) -> Bools:
    """(f, 4, s) which samples lie in the first span beside a vertex that has no tangent plane."""
    t = patches.cage.topology
    hard = hard_corners(patches.cage)
    begin = hard[t.face_verts].reshape(-1, 4)
    end = hard[t.face_verts[t.corner_next]].reshape(-1, 4)
    h = patches.breaks[1] + 1e-12
    return (begin[..., None] & (at < h)) | (end[..., None] & (at > 1 - h))


def _sides(poles: Floats) -> tuple[Floats, Floats]:
    """(f, 4, m, 3) the boundary poles along each side in the direction of the loop, and those one row further in."""
    rows = [poles[:, :, 0], poles[:, -1], poles[:, ::-1, -1], poles[:, 0, ::-1]]
    inner = [poles[:, :, 1], poles[:, -2], poles[:, ::-1, -2], poles[:, 1, ::-1]]
    return np.stack(rows, axis=1), np.stack(inner, axis=1)


def _ring(m: int) -> tuple[Ints, Ints]:
    """The places (u, 2) of the poles one row inside the boundary, and which of them each side meets: (4, m), the two at its
    ends, which belong to the neighbouring boundaries, as -1."""
    inside = np.arange(1, m - 1)
    low, high = np.full_like(inside, 1), np.full_like(inside, m - 2)
    along = [(inside, low), (high, inside), (inside[::-1], high), (low, inside[::-1])]
    keys = [i * m + j for i, j in along]
    ring, index = np.unique(np.concatenate(keys), return_inverse=True)
    of_side = np.full((4, m), -1, dtype=np.int64)
    of_side[:, 1:-1] = index.reshape(4, -1)
    return np.column_stack([ring // m, ring % m]), of_side


def _unit_normals(patches: Patches, u: Floats, v: Floats, faces: Ints) -> Floats:
    cross = np.cross(patches.points(u, v, du=1, faces=faces), patches.points(u, v, dv=1, faces=faces))
    return unit(cross)
