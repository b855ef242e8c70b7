"""Frames along a curve that turn no more than they must.

By double reflection: W. Wang, B. Jüttler, D. Zheng, Y. Liu, "Computation of rotation minimizing frames", 2008.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.pieces import Pieces

_STEPS = 12
"""Reflections between two places: their error falls with the fourth power of the step."""


@dataclass(frozen=True, eq=False)
class Frames:
    """At each place (k,): the point, the direction, and two unit vectors square to it and to each other, (k, 3) each."""

    points: Floats
    along: Floats
    side: Floats
    up: Floats


def minimal_frames(curve: Pieces, places: ArrayLike, first: ArrayLike | None = None) -> Frames:
    """Rotation-minimising frames at ascending parameters; the first ``side`` lies as near as may be to ``first``.

    Round a closed curve what would be left over is shared out evenly by length, so that it closes without a jump.
    """
    u = np.asarray(places, dtype=np.float64)
    ends = np.append(u, u[0] + curve.breaks[-1] - curve.breaks[0]) if curve.closed else u
    # Of a single place there is nothing between.
    between = [np.linspace(a, b, _STEPS, endpoint=False) for a, b in zip(ends[:-1], ends[1:], strict=True)]
    dense = np.concatenate([*between, ends[-1:]])
    points, along = curve.at(dense), curve.directions(dense)
    side = _carried(points, along, _square(along[0], first))
    if curve.closed:
        over = np.arctan2(np.dot(np.cross(side[-1], side[0]), along[0]), np.dot(side[-1], side[0]))
        run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(points, axis=0), axis=1))])
        side = Rotation.from_rotvec(along * (over * run / run[-1])[:, None]).apply(side)
    kept = slice(0, len(u) * _STEPS, _STEPS) if curve.closed else slice(0, None, _STEPS)
    # Along the run rounding adds up; square is square.
    ways, sides = along[kept], side[kept]
    sides = unit(sides - (sides * ways).sum(axis=1, keepdims=True) * ways)
    return Frames(points[kept], ways, sides, np.cross(ways, sides))


def upright_frames(curve: Pieces, places: ArrayLike, up: ArrayLike = (0.0, 0.0, 1.0)) -> Frames:
    """Frames whose ``up`` leans towards one direction as far as the curve lets it."""
    u = np.asarray(places, dtype=np.float64)
    along = curve.directions(u)
    wanted = np.broadcast_to(np.asarray(up, dtype=np.float64), along.shape)
    side = np.cross(wanted, along)
    lost = np.linalg.norm(side, axis=1) < 1e-9
    if lost.any():
        side[lost] = minimal_frames(curve, u).side[lost]
    side = unit(side)
    return Frames(curve.at(u), along, side, np.cross(along, side))


def _square(along: Floats, wanted: ArrayLike | None) -> Floats:
    """A unit vector square to a direction, towards what is wanted, else towards the axis that it leaves most room for."""
    given = np.asarray(wanted, dtype=np.float64) if wanted is not None else np.eye(3)[int(np.abs(along).argmin())]
    side = given - (given @ along) * along
    if np.linalg.norm(side) < 1e-9:
        other = np.eye(3)[int(np.abs(along).argmin())]
        side = other - (other @ along) * along
    return np.asarray(side / np.linalg.norm(side))


def _carried(points: Floats, along: Floats, first: Floats) -> Floats:
    """(k, 3) the side at each of points (k, 3) of directions ``along``, from that at the first one, by two reflections each.

    What they do to one vector square to the direction they do to all: so some such vector at each place tells by how much
    the sides turn against these from place to place, and the turns add up.
    """
    some = np.eye(3)[np.abs(along).argmin(axis=1)]
    some = unit(some - (some * along).sum(axis=1, keepdims=True) * along)
    across = np.cross(along, some)
    step = np.diff(points, axis=0)
    way = _mirrored(along[:-1], step)
    there = _mirrored(_mirrored(some[:-1], step), along[1:] - way)
    turns = np.arctan2((there * across[1:]).sum(axis=1), (there * some[1:]).sum(axis=1))
    angle = np.arctan2(first @ across[0], first @ some[0]) + np.concatenate([[0.0], np.cumsum(turns)])
    return np.asarray(np.cos(angle)[:, None] * some + np.sin(angle)[:, None] * across)


def _mirrored(vectors: Floats, normals: Floats) -> Floats:
    """(k, 3) mirrored in planes of normals (k, 3) of any length; as they are where there is none."""
    square = (normals * normals).sum(axis=1, keepdims=True)
    times = np.where(square < 1e-300, 0.0, 2 / np.where(square < 1e-300, 1.0, square))
    return vectors - times * (normals * vectors).sum(axis=1, keepdims=True) * normals
