"""Where stones are laid on a form: at points, round an axis, over faces, along edges."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import numpy as np
from scipy.spatial import cKDTree
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.anchors import Anchor, anchored, rooted, seeker
from zinc_otter.core.words import length_words

MOST_STONES = 1_000


@dataclass(frozen=True)
class StonePlace:
    """One stone on a face's ``corner`` at ``u``, ``v`` (see :mod:`anchors`): turned by so many degrees, sunk by so many mm
    and so many times as large beside what all are."""

    corner: int
    u: float
    v: float
    turn: float = 0.0
    sink: float = 0.0
    size: float = 1.0

    @property
    def anchor(self) -> Anchor:
        return Anchor(self.corner, self.u, self.v)


@dataclass(frozen=True)
class LaidBy:
    """By what rule they were laid, so that it can be taken up again; lengths in mm.

    - "points": where they were clicked, ``points``
    - "round": from each of ``points`` again, ``count`` times round the axis ``along`` through ``point``
    - "faces": evenly over ``ids``, faces of the form, ``gap`` apart
    - "curve": along a curve, by ``count`` or ``gap`` likewise; a single one lies ``at`` a share of its length
    - "within": in a closed curve, which is the outline of a drawn stone
    - "edges": along the chain ``ids`` of edges, by ``count``, or where that is 0 ``gap`` apart
    """

    way: Literal["points", "round", "faces", "edges", "curve", "within"] = "points"
    points: tuple[Vec, ...] = ()
    ids: tuple[int, ...] = ()
    count: int = 1
    gap: float = 0.2
    at: float = 0.5
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)


_BESIDE = 0.02
"""Share of a stone's width by which what lies below its girdle may lie beside it."""
_ROUND_IT = 12
"""Points of a girdle that are looked at to tell whether it lies on the picked faces."""


def laid_places(cage: Cage, laid: LaidBy, width: float) -> tuple[StonePlace, ...]:
    """The places of stones ``width`` mm across that a rule comes to. Raises BadNumberError, BadSelectionError."""
    if laid.way == "points":
        points = np.array(laid.points, dtype=np.float64).reshape(-1, 3)
    elif laid.way == "round":
        points = _round(laid)
    elif laid.way == "edges":
        points = _along_edges(cage, laid, width)
    elif laid.way == "faces":
        points = over_faces(cage, np.array(laid.ids, dtype=np.int64), width, laid.gap)
    else:
        raise BadSelectionError("Along a curve stones have no places of their own.")
    if not len(points):
        raise BadSelectionError("Say where the stones are to be: click on the form.")
    if len(points) > MOST_STONES:
        raise BadNumberError(f"That would be {len(points):,} stones; {MOST_STONES:,} are the most of one piece.")
    anchors = anchored(cage, points)
    at = rooted(cage, anchors)
    # As they lie they look ahead along z, or where the surface itself looks there, along y; round an axis, along that.
    wanted = np.asarray(laid.along if laid.way == "round" else (0.0, 0.0, 1.0), dtype=np.float64)
    wanted = wanted / np.linalg.norm(wanted)
    places = []
    for anchor, n, u in zip(anchors, at.normals, at.along, strict=True):
        way = wanted if abs(n @ wanted) < 0.9 else np.roll(wanted, -1)
        way = way - (way @ n) * n
        turn = float(np.degrees(np.arctan2(way @ np.cross(n, u), way @ u)))
        places.append(StonePlace(anchor.corner, anchor.u, anchor.v, turn))
    return tuple(places)


def _round(laid: LaidBy) -> Floats:
    if not 1 <= laid.count <= MOST_STONES:
        raise BadNumberError(f"Round an axis go 1 to {MOST_STONES:,} stones; {laid.count:,} were asked for.")
    along, through_point = np.asarray(laid.along), np.asarray(laid.point)
    length = float(np.linalg.norm(along))
    if length < 1e-12:
        raise BadNumberError("The axis must have a direction.")
    turns = Rotation.from_rotvec(np.outer(2 * np.pi * np.arange(laid.count) / laid.count, along / length))
    seeds = np.array(laid.points, dtype=np.float64).reshape(-1, 3)
    return np.concatenate([turns.apply(seed - through_point) + through_point for seed in seeds]) if len(seeds) else seeds


def _along_edges(cage: Cage, laid: LaidBy, width: float) -> Floats:
    surface = evaluate(build_stencils(cage, 1), cage)
    found = []
    for chain in picked_chains(cage, Selection.of("edge", laid.ids)):
        line = pieces_of(through(np.asarray(surface.points[chain.verts]), chain.closed))
        found.append(line.at(line.places_at(along_length(line.length, line.closed, laid.count, width, laid.gap))))
    return np.concatenate(found)


def over_faces(cage: Cage, faces: Ints, width: float, gap: float) -> Floats:
    """(k, 3) points of the surface over ``faces``: each with six about it where there is room, ``width`` + ``gap`` apart.

    From the middle of the faces outwards, ring by ring: a new one stands at the pitch from the one that it was laid beside,
    never nearer than that to any other, and with all of its girdle over the faces. Raises BadNumberError for a gap that
    takes away the width, or for too many; BadSelectionError for faces that are not there.
    """
    pitch = width + gap
    if not (np.isfinite(pitch) and pitch > 0.05):
        raise BadNumberError(f"Stones stand more than 0.05 mm from middle to middle; {length_words(pitch)} is not.")
    if not len(faces) or faces.max() >= cage.topology.face_count:
        raise BadSelectionError("Pick the faces that the stones are to lie on.")
    seek = seeker(cage)
    own = np.zeros(cage.topology.face_count, dtype=bool)
    own[faces] = True
    if _area(seek.points, seek.triangles[own[seek.face_of_triangle]]) / pitch**2 > 2 * MOST_STONES:
        raise BadNumberError(
            f"More than {MOST_STONES:,} stones would have room here: make them larger, or pick fewer faces."
        )
    on_faces = seek.triangles[own[seek.face_of_triangle]]
    middle = seek.points[on_faces].mean(axis=(0, 1))
    first, normal, _ = seek.feet(seek.points[on_faces].mean(axis=1)[[_nearest(seek.points[on_faces].mean(axis=1), middle)]])
    ahead = np.array([0.0, 0.0, 1.0]) if abs(normal[0, 2]) < 0.9 else np.array([0.0, 1.0, 0.0])
    queue = [(first[0], normal[0], ahead)]
    laid, seen = _Spread(), _Spread()
    seen.add(first[0])
    circle = 2 * np.pi * np.arange(_ROUND_IT) / _ROUND_IT
    six = np.pi / 6 + np.pi / 3 * np.arange(6)
    while queue:
        point, n, way = queue.pop(0)
        v = unit((way - (way @ n) * n)[None])[0]
        u = np.cross(v, n)
        rim = point + width / 2 * (np.cos(circle)[:, None] * u + np.sin(circle)[:, None] * v)
        feet, its, under = seek.feet(rim)
        beside = rim - feet - ((rim - feet) * its).sum(axis=1, keepdims=True) * its
        # Beyond an open border the nearest point does not lie below.
        on_all = own[under].all() and np.linalg.norm(beside, axis=1).max() < _BESIDE * width
        if on_all and laid.clear(point, pitch):
            laid.add(point)
            if laid.count > MOST_STONES:
                raise BadNumberError(f"More than {MOST_STONES:,} stones would have room here: make them larger.")
        steps = np.cos(six)[:, None] * u + np.sin(six)[:, None] * v
        reach = np.full((6, 1), pitch)
        for _ in range(4):
            feet, normals, at = seek.feet(point + reach * steps)
            # The surface bends away: a little further, until the middles are a pitch apart.
            reach *= pitch / np.maximum(np.linalg.norm(feet - point, axis=1, keepdims=True), 1e-9)
        for foot, out, face in zip(feet, normals, at, strict=True):
            if own[face] and seen.clear(foot, 0.5 * pitch):
                seen.add(foot)
                queue.append((foot, out, v))
    return laid.points


class _Spread:
    """Points that are kept apart."""

    def __init__(self) -> None:
        self._held = np.zeros((256, 3))
        self.count = 0

    @property
    def points(self) -> Floats:
        return np.asarray(self._held[: self.count])

    def add(self, point: Floats) -> None:
        if self.count == len(self._held):
            self._held = np.concatenate([self._held, np.zeros_like(self._held)])
        self._held[self.count] = point
        self.count += 1

    def clear(self, point: Floats, far: float) -> bool:
        """Whether none of them is nearer than ``far``."""
        away = self.points - point
        return not (np.einsum("ij,ij->i", away, away) < (far * (1 - 1e-4)) ** 2).any()


def _nearest(points: Floats, to: Floats) -> int:
    return int(cKDTree(points).query(to)[1])


def _area(points: Floats, triangles: Ints) -> float:
    a, b, c = (points[triangles[:, k]] for k in range(3))
    return float(np.linalg.norm(np.cross(b - a, c - a), axis=1).sum()) / 2


def along_length(length: float, closed: bool, count: int, width: float, gap: float) -> Floats:
    """Distances along a line of so many mm: evenly by ``count``, or for 0 as many of a ``width`` as stand ``gap`` apart.

    Raises BadNumberError for a step of nothing.
    """
    if count <= 0:
        step = width + gap
        if step <= 1e-6:
            raise BadNumberError("The gap between stones takes away all of their width.")
        count = int((length if closed else length + gap) / step + 1e-9)
        if count > MOST_STONES:
            raise BadNumberError(f"That would be {count:,} stones; {MOST_STONES:,} are the most of one piece.")
        if closed:
            return np.asarray(np.arange(count) * length / max(count, 1))
        # What is left over lies half before the first and half behind the last.
        return np.asarray((length - (count - 1) * step) / 2 + np.arange(count) * step)
    return np.asarray((np.arange(count) + (0.0 if closed else 0.5)) * length / count)
