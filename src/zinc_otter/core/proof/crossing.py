"""Where a surface runs through itself, and where it only touches itself: pairs of triangles, all of them looked at."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.proof.near_boxes import near_boxes
from zinc_otter.core.same_rows import same_rows
from zinc_otter.core.surface import build_stencils, evaluate

TOUCH = 1e-7
"""Of the form's extent: what reaches through by no more than this touches, and does not cross."""


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
    They cross where an edge of one passes through the inside of the other by more than ``TOUCH``, and where they lie on one
    another looking to the same side, as where a surface is folded. They touch where one comes as near as that to the other
    without passing through. Points in one place count as one vertex.
    """
    _, same = same_rows(points)
    corner = same[triangles]
    eps = TOUCH * float(np.ptp(points, axis=0).max()) if len(points) else 0.0
    crossed, touched = [np.empty((0, 2), dtype=np.int64)], [np.empty((0, 2), dtype=np.int64)]
    at = points[triangles]
    for pairs in near_boxes(at.min(axis=1) - eps, at.max(axis=1) + eps):
        if asked is not None:
            pairs = pairs[asked[pairs].any(axis=1)]
        for k in range(3):
            # Most of what meets are neighbours.
            pairs = pairs[~(corner[pairs[:, 0], k, None] == corner[pairs[:, 1]]).any(axis=1)]
        cross, touch = _meet(at[pairs[:, 0]], at[pairs[:, 1]], eps)
        crossed.append(pairs[cross])
        touched.append(pairs[touch])
    doubles = _doubled(corner)
    crossed.append(doubles if asked is None else doubles[asked[doubles].any(axis=1)])
    return Meetings(np.concatenate(crossed), np.concatenate(touched))


def _doubled(corners: Ints) -> Ints:
    """(k, 2) pairs of triangles (m, 3) on the same three points that look to the same side: one shell laid on another."""
    first = corners.argmin(axis=1)
    turned = np.take_along_axis(corners, (first[:, None] + np.arange(3)) % 3, axis=1)
    order = np.lexsort(turned.T)
    # What has shrunk to a line or a point is no shell.
    whole = (corners[:, [0, 1, 2]] != corners[:, [1, 2, 0]]).all(axis=1)[order]
    same = (turned[order[1:]] == turned[order[:-1]]).all(axis=1) & whole[1:]
    return np.column_stack([order[:-1][same], order[1:][same]]).astype(np.int64)


def _meet(first: Floats, second: Floats, eps: float) -> tuple[Bools, Bools]:
    """(k,) whether an edge of one triangle (k, 3, 3) passes through the other, and whether one only reaches the other."""
    cross = np.zeros(len(first), dtype=bool)
    reach = np.zeros(len(first), dtype=bool)
    folded = np.zeros(len(first), dtype=bool)
    for edges, faces in ((first, second), (second, first)):
        for k in range(3):
            through, to, on = _passes(edges[:, k], edges[:, (k + 1) % 3], faces, eps)
            cross |= through
            reach |= to
            folded |= on
    normals = [np.cross(t[:, 1] - t[:, 0], t[:, 2] - t[:, 0]) for t in (first, second)]
    cross |= folded & ((normals[0] * normals[1]).sum(axis=1) > 0)
    return cross, reach & ~cross


def _passes(start: Floats, end: Floats, faces: Floats, eps: float) -> tuple[Bools, Bools, Bools]:
    """(k,) whether the segment from start to end (k, 3) passes through the triangle (k, 3, 3), by more than eps on every
    side; whether it comes within eps of its inside; and whether it lies in its plane with a part of it inside.

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
    # Of one in the plane also a place between its ends, at no round share: symmetric forms have edges at those.
    between = start + 0.382 * (end - start)
    least, within = np.full(len(at), np.inf), np.full(len(at), np.inf)
    for one, other in ((a, b), (b, c), (c, a)):
        inwards = unit(np.cross(normal, other - one))
        least = np.minimum(least, ((at - one) * inwards).sum(axis=1))
        within = np.minimum(within, ((between - one) * inwards).sum(axis=1))
    there = area > 0
    through = there & (np.minimum(h0, h1) < -eps) & (np.maximum(h0, h1) > eps) & (least > eps)
    reached = there & (np.abs(((at - a) * normal).sum(axis=1)) <= eps) & (least >= -eps)
    on = there & flat & (np.maximum(np.abs(h0), np.abs(h1)) <= eps) & (np.maximum(least, within) > eps)
    return through, reached, on


def _pairs(pairs: Ints, count: int) -> Ints:
    """Each pair of faces once, the lower first; a face is no pair with itself."""
    pairs = np.sort(pairs.reshape(-1, 2).astype(np.int64), axis=1)
    pairs = pairs[pairs[:, 0] != pairs[:, 1]]
    keys = np.unique(pairs[:, 0] * count + pairs[:, 1])
    return np.column_stack([keys // count, keys % count])


def _among(pairs: Ints, others: Ints, count: int) -> Bools:
    return np.isin(pairs[:, 0] * count + pairs[:, 1], others[:, 0] * count + others[:, 1])
