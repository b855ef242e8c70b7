"""How a scan is rounded along a line: the radius of its fillet, and the sharpness of a crease that bends as tightly."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.optimize import least_squares
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.scan.samples import Samples

_FEWEST = 24
"""Places across one edge from which a profile is told."""
_LEAST_TURN = 10.0
"""Degrees between the flanks below which there is no line."""
_AS_HARD = 5.0
"""A sharpness beyond this is drawn as a hard edge is."""


@dataclass(frozen=True)
class Rounding:
    """A fillet of ``radius`` mm between flanks that turn by ``turn`` degrees, ``hollow`` or not; places lie ``off`` mm it as
    a rule, ``count`` of them. A radius less than ``told`` mm cannot be told from a sharp edge."""

    radius: float
    turn: float
    hollow: bool
    off: float
    count: int
    told: float

    @property
    def is_sharp(self) -> bool:
        return self.radius <= self.told


def rounding(scan: Samples, at: Floats, along: Floats, across: float, length: float) -> Rounding | None:
    """The profile of a scan square to ``along`` at a place ``at``, of what lies within ``across`` mm of it, and within half
    of ``length`` mm along it: two straight flanks and an arc, by robust least squares. None where there is no line.

    The distance from such a profile is that from the wedge of the arc's centre, less the radius: so five numbers are
    found, the centre, the way both flanks look, and the radius.
    """
    way = unit(along)
    off = scan.points - at
    height = off @ way
    flat = off - height[:, None] * way
    near = (np.abs(height) <= length / 2) & ((flat**2).sum(axis=1) <= across**2)
    if np.count_nonzero(near) < _FEWEST:
        return None
    facing = unit(scan.normals[near] - (scan.normals[near] @ way)[:, None] * way)
    # The middle normal is up, and what is square to it and to the line is to the right.
    up = unit(facing.mean(axis=0))
    right = np.cross(way, up)
    x, y = flat[near] @ right, flat[near] @ up
    slope = np.arctan2(facing @ right, facing @ up)
    left_one, right_one = (float(np.median(slope[side])) for side in (x < np.median(x), x >= np.median(x)))
    if abs(right_one - left_one) < np.radians(_LEAST_TURN):
        return None
    hollow = right_one < left_one
    if hollow:
        # Seen from behind it bulges.
        y, left_one, right_one = -y, -left_one, -right_one
    begin = np.array([float(np.median(x)), float(y.max()) - 0.3 * across, left_one, right_one, 0.3 * across])
    bounds = ([-across, -4 * across, -np.pi / 2, 0.02, 0.0], [across, 2 * across, -0.02, np.pi / 2, 3 * across])
    inside = np.clip(begin, np.array(bounds[0]) + 1e-6, np.array(bounds[1]) - 1e-6)
    found = least_squares(_misfit, inside, bounds=bounds, args=(x, y), loss="soft_l1", f_scale=0.02 * across)
    residual = _misfit(found.x, x, y)
    turn = float(np.degrees(found.x[3] - found.x[2]))
    if turn < _LEAST_TURN:
        return None
    # What belongs to other lines near by is no noise of this one (a normal distribution's median deviation).
    noise = 1.4826 * float(np.median(np.abs(residual)))
    # Between its tangents an arc is nearer to the corner than the corner itself by r (1 / cos - 1): less than the noise
    # of the mean of the places that lie there is nothing.
    lift = 1 / np.cos(np.radians(min(turn, 170.0)) / 2) - 1
    told = float(2 * noise / (max(lift, 1e-6) * np.sqrt(max(0.1 * len(x), 1.0))))
    return Rounding(float(found.x[4]), turn, bool(hollow), noise, len(x), told)


def _misfit(numbers: Floats, x: Floats, y: Floats) -> Floats:
    """(k,) signed distances from the profile of ``numbers``: centre, angles of both flanks' normals from up, radius."""
    cx, cy, left, right, radius = numbers
    u, v = x - cx, y - cy
    one = np.sin(left) * u + np.cos(left) * v
    other = np.sin(right) * u + np.cos(right) * v
    angle = np.arctan2(u, v)
    between = (angle > left) & (angle < right)
    return np.where(between, np.hypot(u, v), np.maximum(one, other)) - radius


@dataclass(frozen=True)
class LikeScan:
    """The ``sharpness`` for some edges, and the scan's rounding along them: medians over those of which it was told."""

    sharpness: float
    rounding: Rounding
    edges: int


def sharpness_like(cage: Cage, edges: Ints, scan: Samples) -> LikeScan:
    """The sharpness with which a crease along ``edges`` (k,) bends as tightly as a scan does there.

    At a fold by an angle t of control points d apart a uniform cubic curve bends by the radius d cos²(t/2) / (2 sin(t/2));
    each unit of sharpness halves d (T. DeRose, M. Kass, T. Truong, "Subdivision Surfaces in Character Animation", 1998).
    Raises BadSelectionError where the scan has no line along any of them.
    """
    t = cage.topology
    inner = np.asarray(edges)[~np.isin(edges, t.open_edges)]
    if not len(inner):
        raise BadSelectionError("Pick edges that are to be creased; an open border is a line anyway.")
    tree = cKDTree(scan.points)
    found: list[tuple[float, Rounding]] = []
    for edge in inner.tolist():
        a, b = cage.positions[t.edge_verts[edge]]
        spacing = _across(cage, edge)
        if spacing <= 0:
            continue
        away, nearest = tree.query((a + b) / 2)
        if away > 2 * spacing:
            continue
        told = rounding(scan, scan.points[nearest], b - a, spacing, float(np.linalg.norm(b - a)))
        if told is not None:
            half = np.radians(told.turn) / 2
            smooth = spacing * np.cos(half) ** 2 / (2 * np.sin(half))
            sharp = HARD if told.is_sharp else np.log2(max(smooth, 1e-9) / told.radius)
            found.append((float(np.clip(sharp, 0.0, HARD)), told))
    if not found:
        raise BadSelectionError(
            "The scan has no line along the picked edges: it turns by less than ten degrees across them, or lies elsewhere.",
            edges=inner,
        )
    order = sorted(found, key=lambda one: one[1].radius)
    sharpness = float(np.median([one[0] for one in found]))
    sharpness = HARD if sharpness > _AS_HARD else round(4 * sharpness) / 4
    return LikeScan(sharpness, order[len(order) // 2][1], len(found))


def _across(cage: Cage, edge: int) -> float:
    """How far (mm) control points lie apart square to an edge: the other edges of its faces that end at it, on average."""
    t = cage.topology
    a, b = t.edge_verts[edge].tolist()
    way = unit(cage.positions[b] - cage.positions[a])
    lengths: list[float] = []
    for face in t.edge_faces[edge].tolist():
        if face < 0:
            continue
        ring = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]
        for one, other in zip(ring.tolist(), np.roll(ring, -1).tolist(), strict=True):
            if ((one in (a, b)) != (other in (a, b))):
                arm = cage.positions[other] - cage.positions[one]
                lengths.append(float(np.linalg.norm(arm - (arm @ way) * way)))
    return float(np.mean(lengths)) if lengths else 0.0
