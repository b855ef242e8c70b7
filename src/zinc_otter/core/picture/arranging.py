"""How the pieces of a scene are arranged to be pictured: cut open, drawn apart, turned before the camera."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

import numpy as np
import trimesh

from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.picture.scene import Camera
from zinc_otter.core.solid.mesh.body import mesh_body

MOST_APART = 10.0


@dataclass(frozen=True)
class Arrangement:
    """``cut`` open: what lies on the plane's positive side is left out. ``apart``: each piece is moved away from the middle
    of all by so many times its distance from it."""

    cut: Plane | None = None
    apart: float = 0.0

    def __post_init__(self) -> None:
        """Raises BadNumberError."""
        if not 0 <= self.apart <= MOST_APART:
            raise BadNumberError(f"Pieces are drawn apart by 0 to {MOST_APART:g} times; {self.apart:g} was asked for.")


AS_IT_STANDS = Arrangement()


def cut_open(points: Floats, triangles: Ints, plane: Plane) -> tuple[Floats, Ints]:
    """What of triangles (m, 3) lies below a plane; of a closed body as a closed body again, of a sheet its part. Nothing
    where all lies above."""
    heights = plane.heights(points)
    if len(points) == 0 or heights.max() <= 0:
        return points, triangles
    if heights.min() >= 0:
        return np.zeros((0, 3)), np.zeros((0, 3), dtype=np.int64)
    normal = np.asarray(plane.normal)
    try:
        body = mesh_body(points, triangles, "cut").solid
    except CoreError:
        # No body: a sheet.
        slice_faces: Callable[..., tuple[Floats, Ints, Ints]] = trimesh.intersections.slice_faces_plane
        kept = slice_faces(points, triangles, -normal, np.asarray(plane.point))
        return np.asarray(kept[0], dtype=np.float64), np.asarray(kept[1], dtype=np.int64)
    below = body.trim_by_plane((-normal).tolist(), -float(normal @ np.asarray(plane.point))).to_mesh64()
    return np.asarray(below.vert_properties[:, :3]), np.asarray(below.tri_verts, dtype=np.int64)


def shifts_apart(bodies: Sequence[Floats], apart: float) -> Floats:
    """(n, 3) mm by which pieces of these points are moved, ``apart`` times as far from the middle of all as they are."""
    boxes = np.array([[points.min(axis=0), points.max(axis=0)] for points in bodies])
    middle = (boxes[:, 0].min(axis=0) + boxes[:, 1].max(axis=0)) / 2
    return np.asarray(apart * (boxes.mean(axis=1) - middle))


def turned_about(camera: Camera, middle: Floats, degrees: float) -> Camera:
    """A camera carried round an upright axis through ``middle`` (3,), against the clock as seen from above."""
    c, s = np.cos(np.radians(degrees)), np.sin(np.radians(degrees))
    turn = np.array([[c, -s, 0], [s, c, 0], [0, 0, 1]])

    def turned(way: Sequence[float], about: Floats) -> tuple[float, float, float]:
        x, y, z = (turn @ (np.asarray(way, dtype=np.float64) - about) + about).tolist()
        return x, y, z

    nought = np.zeros(3)
    return replace(camera, eye=turned(camera.eye, middle), back=turned(camera.back, nought), up=turned(camera.up, nought))
