"""The smallest gap between a form and its images, and between any two meshes: how wide, and where."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.repeated import moved

TOUCH = 1e-3
"""mm: what is nearer than this touches."""


@dataclass(frozen=True)
class Gap:
    """The nearest points of two things in mm; ``distance`` is below 0 where they run into one another."""

    distance: float
    here: Vec
    there: Vec

    @property
    def state(self) -> Literal["apart", "touch", "overlap"]:
        """ "apart", "touch" or "overlap"."""
        return "overlap" if self.distance < -TOUCH else "touch" if self.distance <= TOUCH else "apart"


@dataclass(frozen=True, eq=False)
class Placed:
    """A mesh under several motions (k, 4, 4)."""

    mesh: MeshDistance
    motions: Floats


def smallest_gap(things: Sequence[Placed], own: bool = True) -> Gap | None:
    """The smallest gap between any two of the images; None where there is but one. Without ``own`` of two things only.

    Of all pairs that stand to one another in the same way one is looked at, nearest middles first, and none whose boxes lie
    further apart than what was found. Distances are those of the vertices of either mesh from the triangles of the other.
    """
    best: Gap | None = None
    for pair in _pairs(things, own):
        if best is not None and pair.apart >= best.distance:
            continue
        found = _between(pair, None if best is None else best.distance)
        if found is not None and (best is None or found.distance < best.distance):
            best = found
    return best


@dataclass(frozen=True, eq=False)
class _Pair:
    """Two meshes: the second one as it lies for the first, and where both are in the world."""

    one: MeshDistance
    other: MeshDistance
    relative: Floats
    world: Floats
    apart: float


def _pairs(things: Sequence[Placed], own: bool) -> list[_Pair]:
    """Each way in which two images stand to one another, once; those that are surely nearest first."""
    found: list[_Pair] = []
    spheres = [_sphere(thing.mesh) for thing in things]
    for a, one in enumerate(things):
        for b in range(a if own else a + 1, len(things)):
            other = things[b]
            inverse = np.linalg.inv(one.motions)
            relative = inverse[:, None] @ other.motions[None]
            i, j = np.indices(relative.shape[:2]).reshape(2, -1)
            keep = i < j if a == b else np.ones(len(i), dtype=bool)
            i, j, relative = i[keep], j[keep], relative.reshape(-1, 4, 4)[keep]
            if not len(relative):
                continue
            (middle, radius), (its, far) = spheres[a], spheres[b]
            apart = np.linalg.norm(relative[:, :3, :3] @ its + relative[:, :3, 3] - middle, axis=1) - radius - far
            keys = np.round(relative[:, :3].reshape(-1, 12), 7)
            if a == b:
                # A pair seen from its other end is the same.
                back = np.round(np.linalg.inv(relative)[:, :3].reshape(-1, 12), 7)
                swap = np.array([tuple(x) > tuple(y) for x, y in zip(keys.tolist(), back.tolist(), strict=True)])
                keys[swap] = back[swap]
            _, first = np.unique(keys + 0.0, axis=0, return_index=True)
            found += [_Pair(one.mesh, other.mesh, relative[k], one.motions[i[k]], float(apart[k])) for k in first]
    return sorted(found, key=lambda pair: pair.apart)


def _sphere(mesh: MeshDistance) -> tuple[Floats, float]:
    low, high = mesh.vertices.min(axis=0), mesh.vertices.max(axis=0)
    middle = (low + high) / 2
    return middle, float(np.linalg.norm(mesh.vertices - middle, axis=1).max())


def _between(pair: _Pair, within: float | None) -> Gap | None:
    """The gap of a pair; None where it is surely wider than ``within`` mm."""
    back = np.asarray(np.linalg.inv(pair.relative), dtype=np.float64)
    best: Gap | None = None
    for mesh, points, to_mesh, first in (
        (pair.one, pair.other.vertices, pair.relative, False),
        (pair.other, pair.one.vertices, back, True),
    ):
        at = moved(to_mesh, points)
        limit = within if best is None else min(best.distance, np.inf if within is None else within)
        if limit is not None:
            room = max(limit, 0.0)
            low, high = mesh.vertices.min(axis=0) - room, mesh.vertices.max(axis=0) + room
            at = at[((at >= low) & (at <= high)).all(axis=1)]
        if not len(at):
            continue
        k, distance, foot = mesh.least(at)
        if best is None or distance < best.distance:
            world = pair.world if not first else pair.world @ pair.relative
            ends = moved(world, np.stack([foot, at[k]]))
            best = Gap(distance, _vec(ends[0]), _vec(ends[1]))
    return best


def _vec(point: Floats) -> Vec:
    x, y, z = (float(v) for v in point)
    return x, y, z
