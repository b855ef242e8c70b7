"""The kinds of surface files by suffix."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.stl import write_stl
from zinc_otter.core.formats.surfaces.appearance import Appearance
from zinc_otter.core.formats.surfaces.glb import write_glb
from zinc_otter.core.formats.surfaces.threemf import write_3mf
from zinc_otter.core.solid.tessellation import Triangles


@dataclass(frozen=True)
class Kind:
    """What a kind is called, its media type, about how many bytes a triangle takes in it, and its writer."""

    words: str
    media_type: str
    bytes_each: float
    write: Callable[[Triangles, Appearance], bytes]


def _write_obj(triangles: Triangles, appearance: Appearance) -> bytes:
    """Wavefront OBJ: 1-based corners, no unit; the comment says millimetres."""
    lines = [f"# Zinc Otter, millimetres: {appearance.name}".encode("ascii", "replace")]
    lines += [b"v %.9g %.9g %.9g" % (x, y, z) for x, y, z in triangles.points.tolist()]
    lines += [b"f %d %d %d" % (a, b, c) for a, b, c in (triangles.triangles + 1).tolist()]
    return b"\n".join(lines) + b"\n"


def _write_ply(triangles: Triangles, appearance: Appearance) -> bytes:
    """Binary PLY, little endian."""
    head = (
        f"ply\nformat binary_little_endian 1.0\ncomment Zinc Otter, millimetres: {appearance.name}\n"
        f"element vertex {len(triangles.points)}\nproperty double x\nproperty double y\nproperty double z\n"
        f"element face {len(triangles.triangles)}\nproperty list uchar int vertex_indices\nend_header\n"
    )
    faces = np.zeros(len(triangles.triangles), dtype=[("count", "u1"), ("corners", "<i4", 3)])
    faces["count"], faces["corners"] = 3, triangles.triangles
    return head.encode("ascii", "replace") + triangles.points.astype("<f8").tobytes() + faces.tobytes()


KINDS: dict[str, Kind] = {
    "stl": Kind("STL", "model/stl", 50, lambda triangles, appearance: write_stl(triangles, appearance.name)),
    "3mf": Kind("3MF", "model/3mf", 16, write_3mf),
    "obj": Kind("OBJ", "model/obj", 38, _write_obj),
    "ply": Kind("PLY", "application/octet-stream", 25, _write_ply),
    "glb": Kind("GLB", "model/gltf-binary", 24, write_glb),
}


def write_surface(kind: str, triangles: Triangles, appearance: Appearance) -> bytes:
    """A file of the kind. Raises FileFormatError for a kind that there is not."""
    if kind not in KINDS:
        raise FileFormatError(f"There is no surface file of the kind {kind!r}; there are {', '.join(KINDS)}.")
    return KINDS[kind].write(triangles, appearance)
