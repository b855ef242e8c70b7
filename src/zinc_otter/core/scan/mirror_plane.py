"""The plane that a mesh is its own mirror image in, as nearly as there is one."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Plane, plane_at
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.placing import best_fit
from zinc_otter.core.scan.samples import Samples, samples_of

_TRIED, _KEPT = 64, 5
_ROUNDS = 3


@dataclass(frozen=True, eq=False)
class MirrorPlane:
    """The plane, and how far (mm) the mirrored mesh lies from itself: root mean square, and 95 % of it."""

    plane: Plane
    rms: float
    most: float


def mirror_plane(mesh: MeshDistance) -> MirrorPlane:
    """The best one, from all directions; the error says whether the mesh is symmetric at all.

    Planes through the middle are tried all around; of the best ones the mirrored mesh is laid onto the mesh by the best fit,
    and the motion that brings each place to its image's is made a mirror again (M. Mitra, L. Guibas, M. Pauly,
    "Partial and approximate symmetry detection for 3D geometry", SIGGRAPH 2006, section 5, refine by iterated
    closest points).
    """
    few, many = samples_of(mesh, 800), samples_of(mesh, 12_000)
    middle = many.points.mean(axis=0)
    scored = sorted((_misfit(mesh, few, plane_at(middle, way)), tuple(way)) for way in _ways(many.points - middle))
    found = [_refined(mesh, few, plane_at(middle, way)) for _, way in scored[:_KEPT]]
    plane = min(found, key=lambda one: _misfit(mesh, few, one))
    plane = _refined(mesh, many, plane)
    off = _off(mesh, many, plane)
    return MirrorPlane(plane, float(np.sqrt((off**2).mean())), float(np.percentile(off, 95)))


def mirrored(samples: Samples, plane: Plane) -> Samples:
    n = np.asarray(plane.normal)
    return samples.moved(np.eye(3) - 2 * np.outer(n, n), 2 * n * (n @ np.asarray(plane.point)))


def _ways(points: Floats) -> Floats:
    """Directions over half a sphere, and the principal ones."""
    _, _, own = np.linalg.svd(points, full_matrices=False)
    k = np.arange(_TRIED) + 0.5
    z, turn = 1 - k / _TRIED, np.pi * (1 + 5**0.5) * k
    across = np.sqrt(1 - z * z)
    return np.concatenate([own, np.column_stack([across * np.cos(turn), across * np.sin(turn), z])])


def _off(mesh: MeshDistance, samples: Samples, plane: Plane) -> Floats:
    """How far the images lie from the mesh, of those that it says something of."""
    found = mesh.sided(mirrored(samples, plane).points)
    return np.abs(found.distance[found.there]) if found.there.any() else np.abs(found.distance)


def _misfit(mesh: MeshDistance, samples: Samples, plane: Plane) -> float:
    return float(np.median(_off(mesh, samples, plane)))


def _refined(mesh: MeshDistance, samples: Samples, plane: Plane) -> Plane:
    for _ in range(_ROUNDS):
        motion = best_fit(mirrored(samples, plane), mesh).motion
        n = np.asarray(plane.normal)
        # The mirror and then the motion: nearly a mirror, whose normal is the direction that it turns over.
        both = motion.matrix @ (np.eye(3) - 2 * np.outer(n, n))
        _, ways = np.linalg.eigh((both + both.T) / 2)
        normal = unit(ways[:, 0])
        middle = samples.points.mean(axis=0)
        image = motion.moved(mirrored(Samples(middle[None], normal[None]), plane).points)[0]
        plane = plane_at((middle + image) / 2, normal)
    return plane
