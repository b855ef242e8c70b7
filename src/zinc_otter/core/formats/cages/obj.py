"""OBJ: the cage's polygons; neither creases nor face sets."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.formats.cages.loaded import Build, Loaded, cage_of
from zinc_otter.core.formats.obj import obj_polygons, text_of


def read(data: bytes, build: Build = cage_of) -> Loaded:
    """Raises FileFormatError naming the line, UnsoundCageError."""
    points, faces = obj_polygons(text_of(data))
    flat = np.array([v for face in faces for v in face], dtype=np.int64)
    return Loaded(build(np.array(points), flat, np.array([len(face) for face in faces], dtype=np.int64)))


def write(cage: Cage, name: str) -> bytes:
    """Every coordinate to the last digit."""
    t = cage.topology
    lines = [f"o {' '.join(name.split()) or 'Cage'}"]
    lines += [f"v {x!r} {y!r} {z!r}" for x, y, z in cage.positions.tolist()]
    flat = (t.face_verts + 1).tolist()
    ends = t.face_offsets.tolist()
    lines += ["f " + " ".join(map(str, flat[a:b])) for a, b in zip(ends, ends[1:], strict=False)]
    return ("\n".join(lines) + "\n").encode()
