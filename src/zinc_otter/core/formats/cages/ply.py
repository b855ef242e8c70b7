"""PLY, binary: polygons; creases as elements "edge" and corners as a property of vertices, both called "sharpness".

Source: G. Turk, "The PLY Polygon File Format", 1994, which leaves further elements and properties to the writer; others
pass over them. Face sets are kept as comments.
"""

from __future__ import annotations

import io
import json

import numpy as np
from plyfile import PlyData, PlyElement, PlyParseError

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages.loaded import MOST_FACES, Build, Loaded, cage_of

_SETS = "face sets "
_MOST_HEADER = 64_000


def read(data: bytes, build: Build = cage_of) -> Loaded:
    """Raises FileFormatError, UnsoundCageError."""
    _check_counts(data)
    try:
        made = PlyData.read(io.BytesIO(data))
        vertex, face = made["vertex"], made["face"]
        positions = np.column_stack([np.asarray(vertex[axis], dtype=np.float64) for axis in "xyz"])
        name = "vertex_indices" if "vertex_indices" in face.data.dtype.names else "vertex_index"
        rings = [np.asarray(ring, dtype=np.int64) for ring in face[name]]
    except (PlyParseError, KeyError, ValueError, TypeError, EOFError, MemoryError, IndexError) as error:
        raise FileFormatError("This is no PLY file of polygons: its elements are not what its header claims.") from error
    sizes = np.array([len(ring) for ring in rings], dtype=np.int64)
    flat = np.concatenate(rings) if rings else np.zeros(0, dtype=np.int64)
    creases = corners = None
    if "edge" in made and "sharpness" in made["edge"].data.dtype.names:
        edge = made["edge"]
        creases = (np.column_stack([edge["vertex1"], edge["vertex2"]]).astype(np.int64), np.asarray(edge["sharpness"]))
    if "sharpness" in vertex.data.dtype.names:
        sharpness = np.asarray(vertex["sharpness"], dtype=np.float64)
        corners = (np.flatnonzero(sharpness > 0), sharpness[sharpness > 0])
    sets = {}
    for comment in made.comments:
        if comment.startswith(_SETS):
            try:
                sets = {str(k): np.array(v, dtype=np.int32) for k, v in json.loads(comment[len(_SETS) :]).items()}
            except (ValueError, AttributeError, TypeError, OverflowError):
                raise FileFormatError("The file's face sets cannot be read.") from None
    return Loaded(build(positions, flat, sizes, creases, corners, sets))


def write(cage: Cage, name: str) -> bytes:
    t = cage.topology
    vertex = np.zeros(t.vertex_count, dtype=[("x", "f8"), ("y", "f8"), ("z", "f8"), ("sharpness", "f8")])
    vertex["x"], vertex["y"], vertex["z"] = cage.positions.T
    vertex["sharpness"] = cage.vertex_sharpness
    face = np.empty(t.face_count, dtype=[("vertex_indices", "O")])
    face["vertex_indices"] = np.split(t.face_verts, t.face_offsets[1:-1])
    sharp = np.flatnonzero(cage.edge_sharpness > 0)
    edge = np.zeros(len(sharp), dtype=[("vertex1", "i4"), ("vertex2", "i4"), ("sharpness", "f8")])
    edge["vertex1"], edge["vertex2"] = t.edge_verts[sharp].T
    edge["sharpness"] = cage.edge_sharpness[sharp]
    # The format's comments are ASCII: other letters go in by their numbers, as JSON has them.
    comments = [f"cage {json.dumps(' '.join(name.split()))[1:-1]}, millimetres"]
    if cage.face_sets:
        comments.append(_SETS + json.dumps({key: ids.tolist() for key, ids in cage.face_sets.items()}))
    elements = [
        PlyElement.describe(vertex, "vertex"),
        PlyElement.describe(face, "face", val_types={"vertex_indices": "i4"}, len_types={"vertex_indices": "i4"}),
        PlyElement.describe(edge, "edge"),
    ]
    out = io.BytesIO()
    PlyData(elements, byte_order="<", comments=comments).write(out)
    return out.getvalue()


def _check_counts(data: bytes) -> None:
    """Refuse a header that claims more than its file can hold, before room is made for it."""
    head = data[:_MOST_HEADER].split(b"end_header", 1)[0]
    if not data.startswith(b"ply") or b"end_header" not in data[:_MOST_HEADER]:
        raise FileFormatError("This is no PLY file: it does not begin as one.")
    for line in head.split(b"\n"):
        words = line.split()
        if len(words) == 3 and words[0] == b"element":
            count = int(words[2]) if words[2].isdigit() else -1
            if count < 0 or count > len(data) or (words[1] == b"face" and count > MOST_FACES):
                claimed = words[2].decode("ascii", "replace")[:20]
                raise FileFormatError(f"The file claims {claimed} elements; it cannot hold them.")
