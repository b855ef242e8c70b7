"""Where a surface runs through itself, and where it only touches itself: pairs of triangles, all of them looked at."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import coo_array
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.proof.edges_through import Borders, Passing
from zinc_otter.core.proof.near_boxes import near_boxes
from zinc_otter.core.same_rows import same_places
from zinc_otter.core.surface import build_stencils, evaluate

TOUCH = 1e-7
"""Of the form's extent: what reaches through by no more than this touches, and does not cross."""
_FREES = 0.05
"""The cosine between a corner's normal and those of its triangles from which on a shift along it moves them all outwards."""
_SHIFTS = 64
"""So many times as far a form is made to shrink and to grow, to tell what touches from what crosses."""


@dataclass(frozen=True, eq=False)
class Meetings:
    """Pairs (k, 2) of triangles, or of a cage's faces, that ``cross``, and those that only ``touch``."""

    cross: Ints
    touch: Ints


def meeting_faces(cage: Cage, level: int = 1, among: Ints | None = None) -> Meetings:
    """Pairs of faces of a cage whose smooth surfaces meet where no edge or corner joins them.

    The surface is looked at as triangles of limit points at ``level``. Faces that cross somewhere do not count as touching.
    With ``among`` only pairs count of which one at least is of these faces: what has changed.
    """
    stencils = build_stencils(cage, level)
    points = evaluate(stencils, cage).points
    quads, of_face = stencils.quads, stencils.face_of_quad
    asked = None if among is None else np.isin(of_face, among)
    if asked is not None:
        near = _near(points[quads], asked)
        quads, of_face, asked = quads[near], of_face[near], asked[near]
    triangles = np.stack([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]], axis=1).reshape(-1, 3)
    found = meetings(points, triangles, None if asked is None else np.repeat(asked, 2))
    count = cage.topology.face_count
    cross, touch = (_pairs(of_face[pairs // 2], count) for pairs in (found.cross, found.touch))
    return Meetings(cross, touch[~_among(touch, cross, count)])


def crossing_faces(cage: Cage, level: int = 1, among: Ints | None = None) -> Ints:
    """Faces of a cage whose smooth surface runs through another face's; see :func:`meeting_faces`."""
    return np.unique(meeting_faces(cage, level, among).cross).astype(np.int32)


def _near(corners: Floats, asked: Bools) -> Ints:
    """Quads (n, 4, 3) that reach into the box around those asked about; none where none are."""
    if not asked.any():
        return np.zeros(0, dtype=np.int64)
    low, high = corners.min(axis=1), corners.max(axis=1)
    return np.flatnonzero(((high >= low[asked].min(axis=0)) & (low <= high[asked].max(axis=0))).all(axis=1))


def crossing_pairs(points: Floats, triangles: Ints) -> Ints:
    """(k, 2) pairs of triangles (m, 3) that cross and share no vertex; see ``meetings``."""
    return meetings(points, triangles).cross


def meetings(points: Floats, triangles: Ints, asked: Bools | None = None) -> Meetings:
    """All pairs of triangles (m, 3) that share no vertex and meet; with ``asked`` (m,) those of which one is asked about.

    Those on the same three points that look to the same side cross as well: there one shell is laid on another.
    They cross where an edge of one passes through the inside of the other by more than ``TOUCH``, or through an edge or a
    corner of a surface from one side of it to the other (:mod:`edges_through`), and where they lie on one another looking to
    the same side, as where a surface is folded. They touch where one comes as near as that to the other without passing
    through. Points in one place, as near as that, count as one vertex.
    """
    eps = TOUCH * float(np.ptp(points, axis=0).max()) if len(points) else 0.0
    # Bodies that were cut have edges shorter than anything that is told here: with two points for one, neighbours beside
    # such an edge would be taken for strangers that touch.
    rows, same = same_places(points, eps)
    corner = same[triangles]
    # What has shrunk to a line or a point looks to no side; those beside it cover it.
    whole = (corner != np.roll(corner, 1, axis=1)).all(axis=1)
    crossed, touched = [np.empty((0, 2), dtype=np.int64)], [np.empty((0, 2), dtype=np.int64)]
    at_borders = Borders()
    at = points[triangles]
    for pairs in near_boxes(at.min(axis=1) - eps, at.max(axis=1) + eps):
        pairs = pairs[whole[pairs].all(axis=1) if asked is None else whole[pairs].all(axis=1) & asked[pairs].any(axis=1)]
        for k in range(3):
            # Most of what meets are neighbours.
            pairs = pairs[~(corner[pairs[:, 0], k, None] == corner[pairs[:, 1]]).any(axis=1)]
        passes, reaches = _meet(at, pairs, corner, eps, at_borders)
        crossed.append(pairs[passes])
        touched.append(pairs[reaches])
    near = np.concatenate(touched)
    if asked is not None and (len(near) or at_borders.some):
        # What passes through a border is told by all that lies there, asked about or not.
        every = meetings(points, triangles)
        return Meetings(*(pairs[asked[pairs].any(axis=1)] for pairs in (every.cross, every.touch)))
    doubles = _doubled(corner)
    crossed.append(doubles if asked is None else doubles[asked[doubles].any(axis=1)])
    crossed.append(at_borders.through(eps))
    if len(near):
        crossed.append(near[_pass_by_either_way(points[rows], corner, near, eps)])
    cross: Ints = _pairs(np.concatenate(crossed), len(triangles))
    touch: Ints = near[~_among(np.sort(near, axis=1), cross, len(triangles))]
    return Meetings(cross, touch)


def _pass_by_either_way(points: Floats, corner: Ints, pairs: Ints, eps: float) -> Bools:
    """(k,) which of pairs that touch cross all the same, where a corner of one lies on the other.

    What touches from outside comes free when all shrinks by a little, what touches from inside when all grows; what runs
    through itself comes free by neither.
    """
    across = np.cross(points[corner[:, 1]] - points[corner[:, 0]], points[corner[:, 2]] - points[corner[:, 0]])
    normals = np.zeros_like(points)
    for k in range(3):
        np.add.at(normals, corner[:, k], across)
    normals = unit(normals)
    # Where shells meet in one point, or a corner looks to all sides, a move along its normal frees nothing.
    least = np.full(len(points), np.inf)
    facing = (unit(across)[:, None] * normals[corner]).sum(axis=2)
    for k in range(3):
        np.minimum.at(least, corner[:, k], facing[:, k])
    free: Bools = least[corner].min(axis=1) > _FREES
    # Beside edges shorter than the moves these tell nothing: what lies on both sides of one is one surface.
    heap = same_places(points, 2 * _SHIFTS * eps)[1][corner]
    strangers = (heap[pairs[:, 0], :, None] != heap[pairs[:, 1], None, :]).all(axis=(1, 2))
    told = free[pairs].all(axis=1) & strangers
    found = np.zeros(len(pairs), dtype=bool)
    pairs = pairs[told]
    count = len(corner)
    graph = coo_array((np.ones(len(pairs)), (pairs[:, 0], pairs[:, 1])), shape=(count, count))
    place = connected_components(graph, directed=False)[1][pairs[:, 0]]
    some, both = np.zeros(len(pairs), dtype=bool), np.ones(len(pairs), dtype=bool)
    for by in (-_SHIFTS * eps, _SHIFTS * eps):
        at_borders = Borders()
        cross, _ = _meet((points + by * normals)[corner], pairs, corner, eps, at_borders)
        cross |= _among(pairs, at_borders.through(eps), count)
        # By one way other triangles may pass than by the other; the place is the same.
        both &= np.isin(place, place[cross])
        some |= cross
    found[told] = some & both
    return found


def _doubled(corners: Ints) -> Ints:
    """(k, 2) pairs of triangles (m, 3) on the same three points that look to the same side: one shell laid on another."""
    first = corners.argmin(axis=1)
    turned = np.take_along_axis(corners, (first[:, None] + np.arange(3)) % 3, axis=1)
    order = np.lexsort(turned.T)
    # What has shrunk to a line or a point is no shell.
    whole = (corners[:, [0, 1, 2]] != corners[:, [1, 2, 0]]).all(axis=1)[order]
    same = (turned[order[1:]] == turned[order[:-1]]).all(axis=1) & whole[1:]
    return np.column_stack([order[:-1][same], order[1:][same]]).astype(np.int64)


def _meet(at: Floats, pairs: Ints, corner: Ints, eps: float, at_borders: Borders) -> tuple[Bools, Bools]:
    """(k,) whether an edge of one triangle passes through the other, and whether one only reaches the other; what passes
    through borders is noted."""
    first, second = at[pairs[:, 0]], at[pairs[:, 1]]
    cross = np.zeros(len(pairs), dtype=bool)
    reach = np.zeros(len(pairs), dtype=bool)
    folded = np.zeros(len(pairs), dtype=bool)
    for one, edges, faces in ((0, first, second), (1, second, first)):
        for k in range(3):
            start, end = edges[:, k], edges[:, (k + 1) % 3]
            found = _passes(start, end, faces, eps)
            cross |= found.through
            reach |= found.reached
            folded |= found.on
            if (found.border | found.in_plane).any():
                at_borders.note(pairs, corner, one, k, np.linalg.norm(end - start, axis=1), found)
    normals = [np.cross(t[:, 1] - t[:, 0], t[:, 2] - t[:, 0]) for t in (first, second)]
    cross |= folded & ((normals[0] * normals[1]).sum(axis=1) > 0)
    return cross, reach & ~cross


def _passes(start: Floats, end: Floats, faces: Floats, eps: float) -> Passing:
    """How segments from start to end (k, 3) meet triangles (k, 3, 3).

    After T. Möller, B. Trumbore, "Fast, Minimum Storage Ray/Triangle Intersection", 1997, with heights over the plane and
    over the sides as lengths.
    """
    a, b, c = faces.transpose(1, 0, 2)
    across = np.cross(b - a, c - a)
    area = np.linalg.norm(across, axis=1)
    normal = across / np.maximum(area, 1e-300)[:, None]
    h0, h1 = ((start - a) * normal).sum(axis=1), ((end - a) * normal).sum(axis=1)
    drop = h0 - h1
    # A segment in the plane passes through nothing; the nearer of its ends tells whether it touches.
    flat = np.abs(drop) <= 2 * eps
    t = np.clip(np.where(flat, np.abs(h0) > np.abs(h1), h0 / np.where(flat, 1.0, drop)), 0.0, 1.0)
    at = start + t[:, None] * (end - start)
    sides = [((at - one) * unit(np.cross(normal, other - one))).sum(axis=1) for one, other in ((a, b), (b, c), (c, a))]
    least = np.minimum(np.minimum(sides[0], sides[1]), sides[2])
    there = area > 0
    both = there & (np.minimum(h0, h1) < -eps) & (np.maximum(h0, h1) > eps)
    through, border = both & (least > eps), both & (np.abs(least) <= eps)
    reached = there & (np.abs(((at - a) * normal).sum(axis=1)) <= eps) & (least >= -eps)
    in_plane = there & flat & (np.maximum(np.abs(h0), np.abs(h1)) <= eps)
    on = in_plane.copy()
    on[in_plane] = _runs_within(start[in_plane], end[in_plane], faces[in_plane], normal[in_plane], eps)
    met = np.abs(np.column_stack(sides)) <= eps
    return Passing(through, reached, on, border, met, in_plane, t, h0 > h1)


def _runs_within(start: Floats, end: Floats, faces: Floats, normal: Floats, eps: float) -> Bools:
    """(k,) whether a part of a segment in a triangle's plane lies within all three sides, by more than eps.

    After M. Cyrus, J. Beck, "Generalized Two- and Three-Dimensional Clipping", Computers & Graphics, 1978.
    """
    begins, ends = np.zeros(len(start)), np.ones(len(start))
    for k in range(3):
        corner = faces[:, k]
        inwards = unit(np.cross(normal, faces[:, (k + 1) % 3] - corner))
        s0, s1 = ((start - corner) * inwards).sum(axis=1) - eps, ((end - corner) * inwards).sum(axis=1) - eps
        share = s0 / np.where(s0 == s1, 1.0, s0 - s1)
        begins = np.where(s1 > s0, np.maximum(begins, share), begins)
        ends = np.where(s1 < s0, np.minimum(ends, share), np.where((s1 == s0) & (s0 <= 0), -1.0, ends))
    within: Bools = ends > begins
    return within


def _pairs(pairs: Ints, count: int) -> Ints:
    """Each pair of faces once, the lower first; a face is no pair with itself."""
    pairs = np.sort(pairs.reshape(-1, 2).astype(np.int64), axis=1)
    pairs = pairs[pairs[:, 0] != pairs[:, 1]]
    keys = np.unique(pairs[:, 0] * count + pairs[:, 1])
    return np.column_stack([keys // count, keys % count])


def _among(pairs: Ints, others: Ints, count: int) -> Bools:
    keys: Bools = np.isin(pairs[:, 0] * count + pairs[:, 1], others[:, 0] * count + others[:, 1])
    return keys
