"""Lay one thing where another is: by pairs of points, and by the best fit of surfaces."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.samples import Samples

_COARSE, _ROUNDS, _LAST = 1_500, 60, 12
_SETTLED = 1e-9
_MEETS = 0.05
"""Of the size: what lies further off meets nothing."""
_SAME_SIDE = 0.3
_LEAST_SPREAD = 1e-3
"""Points whose second extent is less than this share of their first lie on a line."""


@dataclass(frozen=True, eq=False)
class Rigid:
    """A motion: ``matrix`` (3, 3), a rotation, then ``offset`` (3,) mm."""

    matrix: Floats
    offset: Floats

    def moved(self, points: Floats) -> Floats:
        return np.asarray(points @ self.matrix.T + self.offset)

    def then(self, later: Rigid) -> Rigid:
        return Rigid(later.matrix @ self.matrix, later.matrix @ self.offset + later.offset)

    @property
    def degrees(self) -> float:
        """By how much it turns."""
        return float(np.degrees(Rotation.from_matrix(self.matrix).magnitude()))


def turn_onto(way: Floats, onto: Floats) -> Floats:
    """(3, 3) the smallest rotation that takes the line of one unit direction (3,) to that of another."""
    onto = onto if way @ onto >= 0 else -onto
    axis = np.cross(way, onto)
    length = float(np.linalg.norm(axis))
    angle = np.arctan2(length, float(way @ onto))
    return np.asarray(Rotation.from_rotvec(axis / max(length, 1e-12) * angle).as_matrix())


NOT_MOVED = Rigid(np.eye(3), np.zeros(3))


@dataclass(frozen=True, eq=False)
class Placed:
    """A motion, and how near it brings the two: ``rms`` and 95 % of the places (mm), and the share of them that ``met``
    anything."""

    motion: Rigid
    rms: float
    most: float
    met: float


def by_pairs(here: Floats, there: Floats) -> Placed:
    """The motion that brings points ``here`` (k, 3), three or more, nearest to those ``there`` (k, 3).

    Least squares (S. Umeyama, "Least-squares estimation of transformation parameters between two point patterns", 1991),
    without a change of size. Raises BadNumberError for points on a line.

    >>> corners = np.array([[0.0, 0, 0], [10, 0, 0], [0, 5, 0]])
    >>> by_pairs(corners, corners + [1, 2, 3]).motion.offset.round(9).tolist()
    [1.0, 2.0, 3.0]
    """
    here, there = (np.asarray(x, dtype=np.float64).reshape(-1, 3) for x in (here, there))
    if len(here) != len(there) or len(here) < 3:
        raise BadNumberError(f"A placement goes by three pairs of points or more; {min(len(here), len(there))} were given.")
    if not (np.isfinite(here).all() and np.isfinite(there).all()):
        raise BadNumberError("A point of a pair lies nowhere.")
    for points in (here, there):
        first, second = np.linalg.svd(points - points.mean(axis=0), compute_uv=False)[:2]
        if second <= _LEAST_SPREAD * max(first, 1e-12):
            raise BadNumberError("The points of the pairs lie on one line, so that it could turn about it; spread them out.")
    middle, goal = here.mean(axis=0), there.mean(axis=0)
    u, _, vt = np.linalg.svd((there - goal).T @ (here - middle))
    turn = u @ np.diag([1.0, 1.0, np.sign(np.linalg.det(u) * np.linalg.det(vt))]) @ vt
    motion = Rigid(turn, goal - turn @ middle)
    off = np.linalg.norm(motion.moved(here) - there, axis=1)
    return Placed(motion, float(np.sqrt((off**2).mean())), float(off.max()), 1.0)


def best_fit(scan: Samples, onto: MeshDistance, begin: Rigid = NOT_MOVED) -> Placed:
    """The motion that brings the places of a ``scan`` nearest to a surface, from where ``begin`` lays them.

    Iterated closest points (P. Besl, N. McKay, "A method for registration of 3-D shapes", 1992), each round along the
    normals of the feet (Y. Chen, G. Medioni, 1992), with far places weighted down. Raises BadSelectionError where hardly
    anything meets.
    """
    few = Samples(scan.points[:: max(1, len(scan.points) // _COARSE)], scan.normals[:: max(1, len(scan.points) // _COARSE)])
    motion = _rounds(few, onto, begin, _ROUNDS)
    motion = _rounds(scan, onto, motion, _LAST)
    off, _, weights = _off(scan, onto, motion)
    met = (weights > 0) & (np.abs(off) < _MEETS * float(np.ptp(scan.points, axis=0).max()))
    if np.count_nonzero(met) < 0.05 * len(met):
        raise BadSelectionError("The two hardly meet as they lie; bring them nearer first, by three pairs of points.")
    there = np.abs(off[met])
    return Placed(motion, float(np.sqrt((there**2).mean())), float(np.percentile(there, 95)), float(met.mean()))


def _rounds(scan: Samples, onto: MeshDistance, motion: Rigid, rounds: int) -> Rigid:
    size = float(np.ptp(scan.points, axis=0).max())
    for _ in range(rounds):
        points = motion.moved(scan.points)
        off, normals, weights = _off(scan, onto, motion)
        if not weights.any():
            break
        middle = points.mean(axis=0)
        rows = np.hstack([np.cross(points - middle, normals) / size, normals])
        scaled = rows * weights[:, None]
        gram = rows.T @ scaled
        # What a form cannot tell (a turned form about its own axis) does not move.
        gram[np.diag_indices(6)] += 1e-9 * np.trace(gram)
        step = np.linalg.solve(gram, scaled.T @ -off)
        turn = Rotation.from_rotvec(step[:3] / size).as_matrix()
        motion = motion.then(Rigid(turn, middle - turn @ middle + step[3:]))
        if np.abs(step).max() < _SETTLED * size:
            break
    return motion


def _off(scan: Samples, onto: MeshDistance, motion: Rigid) -> tuple[Floats, Floats, Floats]:
    """For each place its distance along the normal of its foot, that normal, and how much it counts."""
    found = onto.sided(motion.moved(scan.points))
    facing = scan.normals @ motion.matrix.T
    counts = found.there & ((facing * found.normals).sum(axis=1) > _SAME_SIDE)
    off = found.distance
    scale = max(1.4826 * float(np.median(np.abs(off[counts]))) if counts.any() else 1.0, 1e-12)
    weights = np.where(counts, np.maximum(1 - (off / (6 * scale)) ** 2, 0) ** 2, 0.0)
    return off, found.normals, weights
