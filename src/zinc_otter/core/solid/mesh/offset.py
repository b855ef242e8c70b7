"""Offsets of a body by its distance field: what lies deeper inside it than a distance, or nearer than one outside."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.solid.mesh.body import MeshBody, Name, mesh_body
from zinc_otter.core.solid.mesh.level_set import level_set
from zinc_otter.core.solid.mesh.sharpen import sharpened


def offset(body: MeshBody, distance: float, voxel: float, name: Name) -> MeshBody | None:
    """The body grown by ``distance`` mm, or shrunk where it is below 0; None where nothing is left.

    True to about a tenth of ``voxel`` mm. Sharp edges are kept; where one could not be, it is cut off by up to a voxel.
    """
    mesh = body.mesh
    field = MeshDistance(mesh.points, mesh.triangles)

    def apart(points: Floats) -> Floats:
        return field.signed(points)[0] - distance

    margin = max(distance, 0.0) + 2 * voxel
    low, high = mesh.points.min(axis=0) - margin, mesh.points.max(axis=0) + margin
    points, faces = level_set(apart, low, high, voxel)
    if len(faces) == 0:
        return None

    def planes(near: Floats) -> tuple[Floats, Floats]:
        far, at = field.signed(near)
        out = unit((near - at) * np.sign(far)[:, None])
        return near - (far - distance)[:, None] * out, out

    return mesh_body(sharpened(points, faces, planes, 2 * voxel), faces, name)


def fitting_voxel(body: MeshBody, wanted: float, most_triangles: int) -> float:
    """``wanted`` mm, or as much more as keeps an offset of the body to about so many triangles."""
    # Marched cubes give some 2.4 triangles for each voxel's square of area.
    return float(max(wanted, np.sqrt(2.4 * body.area / most_triangles)))


def deepest_place(body: MeshBody) -> tuple[float, Floats]:
    """How deep (mm) the deepest place inside a body lies, and where (3,): looked for on a grid, then by shorter steps."""
    mesh = body.mesh
    field = MeshDistance(mesh.points, mesh.triangles)
    low, high = mesh.points.min(axis=0), mesh.points.max(axis=0)
    grid = np.stack(np.meshgrid(*(np.linspace(a, b, 21) for a, b in zip(low, high, strict=True)), indexing="ij"), axis=-1)
    places = grid.reshape(-1, 3)
    depth = -field.signed(places)[0]
    best = np.argsort(-depth)[:8]
    places, depth = places[best], depth[best]
    step = float((high - low).max()) / 20
    ways = np.concatenate([np.eye(3), -np.eye(3)])
    while step > 1e-7 * float((high - low).max()):
        tried = places[:, None] + step * ways
        there = -field.signed(tried.reshape(-1, 3))[0].reshape(-1, 6)
        k = there.argmax(axis=1)
        better = there[np.arange(len(k)), k] > depth
        places[better] = tried[better, k[better]]
        depth[better] = there[better, k[better]]
        if not better.any():
            step /= 2
    at = int(depth.argmax())
    return float(depth[at]), places[at]
