"""One bicubic C2 B-spline patch for each quad of a cage, fitted to the limit surface.

Away from extraordinary points the limit surface *is* bicubic on dyadic pieces (J. Stam, SIGGRAPH 1998), so a B-spline
whose knots are graded towards the corners reproduces it there, and the fit is an interpolation (L. Piegl, W. Tiller,
"The NURBS Book", 2nd ed. 1997, section 9.2.5). Neighbours get equal boundary poles since they interpolate equal points.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import numpy as np
from scipy.interpolate import BSpline

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import CoreError
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.core.surface.refinement import refine
from zinc_otter.core.surface.stencils import build_stencils, face_grid

DEGREE = 3


@dataclass(frozen=True, eq=False)
class Patches:
    """Patches over the quads of ``cage``: ``poles`` (f, m, m, 3), u from corner 0 to 1 of the face, v from 0 to 3.

    ``grading`` k means spans down to 2^-k at the corners, and m = 2k + 3 poles each way.
    """

    cage: Cage
    grading: int
    poles: Floats

    @cached_property
    def breaks(self) -> Floats:
        """The distinct knots, from 0 to 1."""
        return graded_breaks(self.grading)

    def basis(self, at: Floats, derivative: int = 0) -> Floats:
        """(p, m) values of the basis functions, or of a derivative of them, at parameters ``at`` (p,)."""
        count = self.poles.shape[1]
        spline = BSpline(_knots(self.breaks), np.eye(count), DEGREE)
        return np.asarray(spline(at, nu=derivative))

    def points(self, u: Floats, v: Floats, du: int = 0, dv: int = 0, faces: slice | Ints = slice(None)) -> Floats:
        """(f, p, q, 3) points, or partial derivatives, of the patches at the tensor grid of ``u`` (p,) and ``v`` (q,)."""
        along = np.einsum("pi,fijx->fpjx", self.basis(u, du), self.poles[faces], optimize=True)
        return np.einsum("qj,fpjx->fpqx", self.basis(v, dv), along, optimize=True)


def graded_breaks(grading: int) -> Floats:
    """0, h, 2h, ... 1/4, 1/2, 3/4, ... 1 - 2h, 1 - h, 1 with h = 2^-grading."""
    low = [0.0, *(2.0**-i for i in range(grading, 0, -1))]
    return np.array([*low, *(1.0 - x for x in reversed(low[:-1]))])


def _knots(breaks: Floats) -> Floats:
    return np.concatenate([np.zeros(DEGREE), breaks, np.ones(DEGREE)])


MOST_FACES = 5_000
"""More patches than this are a scan's triangles rather than a cage: the kernel would be at it for minutes, and the STEP file
be of more than a hundred megabytes."""


def solid_faces(cage: Cage) -> int:
    """How many faces its solid will have: one for each quad, where there are other faces one for each corner."""
    t = cage.topology
    return t.face_count if t.all_quads else t.corner_count


def step_bytes(faces: int) -> int:
    """About how large the STEP file of so many faces will be."""
    return round(faces * _BYTES_A_POLE * (2 * grading_for(faces) + 3) ** 2)


_BYTES_A_POLE = 107
"""Measured on solids of 24 to 600 faces."""


def grading_for(face_count: int) -> int:
    """Finer grading for small cages, coarser where faces are many and therefore small and flat."""
    return 5 if face_count <= 100 else 4 if face_count <= 600 else 3 if face_count <= 3000 else 2


def all_quads(cage: Cage) -> Cage:
    """The cage itself, or where it has n-gons, the cage of its first refinement: same surface, quads only."""
    if cage.topology.all_quads:
        return cage
    level, step = refine(Level.of_cage(cage))
    t = level.topology
    plain = Topology(t.vertex_count, t.face_verts, t.face_offsets)
    sharpness = np.zeros(plain.edge_count)
    sharpness[plain.corner_edge] = level.edge_sharpness[t.corner_edge]
    sharpness[plain.open_edges] = 0.0
    return Cage(step @ cage.positions, plain, sharpness, level.vertex_sharpness)


def interpolated_patches(cage: Cage, grading: int | None = None) -> Patches:
    """Patches through points of the limit surface of a cage (n-gons are refined once).

    ``grading`` defaults to one chosen by face count. Raises CoreError for more than 5,000 faces.
    """
    faces = solid_faces(cage)
    if faces > MOST_FACES:
        raise CoreError(
            f"The solid would have {faces:,} faces; {MOST_FACES:,} are the most. Triangles of a scan are better traced with "
            "a cage of few quads; as triangles the body can be written all the same."
        )
    cage = all_quads(cage.plain)
    k = grading if grading is not None else grading_for(cage.topology.face_count)
    level = max(k, 3)
    stencils = build_stencils(cage, level)
    surface = evaluate(stencils, cage)

    # No node lies strictly inside an end span, so every sample but the corner comes from a true bicubic piece.
    nodes = np.sort(np.concatenate([graded_breaks(k), [3 / 8, 5 / 8]]))
    at = np.rint(nodes * (1 << level)).astype(np.int64)
    quad, corner = (table[np.ix_(at, at)] for table in face_grid(level))
    blocks = stencils.quads.reshape(cage.topology.face_count, 4**level, 4)
    samples = surface.points[blocks[:, quad, corner]]

    count = len(nodes)
    collocation = BSpline(_knots(graded_breaks(k)), np.eye(count), DEGREE)(nodes)
    inverse = np.linalg.inv(collocation)
    poles = np.einsum("ai,fijx,bj->fabx", inverse, samples, inverse, optimize=True)
    _flatten_corners(cage, poles, surface.normals)
    return Patches(cage, k, poles)


def hard_corners(cage: Cage) -> Bools:
    """(n,) vertices at which the limit surface has no one tangent plane: hard corners, and where hard creases or borders
    run through or meet. A single hard edge ends in a dart, which is smooth in the limit."""
    t = cage.topology
    hard_edges = np.bincount(t.edge_verts[cage.edge_sharpness >= HARD].ravel(), minlength=t.vertex_count)
    hard = (hard_edges >= 2) | (cage.vertex_sharpness >= HARD)
    hard[t.edge_verts[t.open_edges]] = True
    return hard


def _flatten_corners(cage: Cage, poles: Floats, normals: Floats) -> None:
    """Lay the two boundary poles next to each smooth corner into the limit tangent plane, in place.

    At an extraordinary point the interpolated end spans miss the tangent plane a little; laid into it, all patches around
    the point share one normal there. At regular points this changes nothing but rounding.
    """
    t = cage.topology
    hard = hard_corners(cage)
    last = poles.shape[1] - 1
    verts = t.face_verts.reshape(-1, 4)
    beside = (((0, 0), (1, 0), (0, 1)), ((last, 0), (last - 1, 0), (last, 1)),
              ((last, last), (last - 1, last), (last, last - 1)), ((0, last), (1, last), (0, last - 1)))  # fmt: skip
    for corner, ((i, j), *others) in enumerate(beside):
        smooth = ~hard[verts[:, corner]]
        normal = normals[verts[smooth, corner]]
        tip = poles[smooth, i, j]
        for a, b in others:
            away = ((poles[smooth, a, b] - tip) * normal).sum(axis=1, keepdims=True)
            poles[smooth, a, b] -= away * normal


# --- measures ---------------------------------------------------------------------------------------------------------

_CHUNK = 64


def _chunks(count: int) -> list[slice]:
    return [slice(i, i + _CHUNK) for i in range(0, count, _CHUNK)]


def volume_and_area(patches: Patches) -> tuple[float, float]:
    """Volume (exact up to rounding) and area of closed patches, in mm³ and mm².

    By the divergence theorem, with five Gauss points a span: the integrand has degree 8 in each direction.
    """
    nodes, weights = np.polynomial.legendre.leggauss(5)
    widths = np.diff(patches.breaks)
    at = (patches.breaks[:-1, None] + widths[:, None] * (nodes + 1) / 2).ravel()
    weight = (widths[:, None] * weights / 2).ravel()
    volume = area = 0.0
    # Measured from the middle, so that a form far from the origin loses no digits.
    centre = patches.poles.reshape(-1, 3).mean(axis=0)
    for part in _chunks(len(patches.poles)):
        here = patches.points(at, at, faces=part) - centre
        cross = np.cross(patches.points(at, at, du=1, faces=part), patches.points(at, at, dv=1, faces=part))
        both = np.outer(weight, weight)
        volume += float(np.einsum("fpqx,fpqx,pq->", here, cross, both)) / 3
        area += float(np.einsum("fpq,pq->", np.linalg.norm(cross, axis=-1), both))
    return volume, area


def largest_deviation(patches: Patches) -> float:
    """Largest distance (mm) from patches to the limit surface, on a dense dyadic grid.

    The distance at equal parameters bounds the true one from above; where it would be the largest so far, the nearest point
    is looked for.
    """
    faces = patches.cage.topology.face_count
    # One level finer than the knots at least, so that the end spans are looked into as well.
    level = patches.grading + (2 if faces * 4 ** (patches.grading + 2) < 2_000_000 else 1)
    stencils = build_stencils(patches.cage, level)
    limit = evaluate(stencils, patches.cage).points
    quad, corner = face_grid(level)
    at = np.linspace(0.0, 1.0, (1 << level) + 1)
    blocks = stencils.quads.reshape(faces, 4**level, 4)
    worst = 0.0
    for part in _chunks(faces):
        apart = patches.points(at, at, faces=part) - limit[blocks[part][:, quad, corner]]
        gaps = np.linalg.norm(apart, axis=-1)
        high = gaps > worst
        if high.any():
            here = patches.points(at, at, faces=part)[high]
            feet, _ = nearest_on(patches.cage).at(here)
            worst = max(worst, float(np.minimum(np.linalg.norm(here - feet, axis=1), gaps[high]).max()))
    return worst
