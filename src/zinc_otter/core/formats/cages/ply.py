"""PLY, binary: polygons; creases as elements "edge" and corners as a property of vertices, both called "sharpness".

Source: G. Turk, "The PLY Polygon File Format", 1994, which leaves further elements and properties to the writer; others
pass over them. Face sets are kept as comments.
"""

from __future__ import annotations

import json

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages.loaded import MOST_FACES, Build, Loaded, cage_of
from zinc_otter.core.formats.ply_tables import Lists, Table, read_tables, write_tables

_SETS = "face sets "


def read(data: bytes, build: Build = cage_of) -> Loaded:
    """Raises FileFormatError, UnsoundCageError."""
    made = read_tables(data, {"face": MOST_FACES})
    vertex = made.elements.get("vertex", {})
    places = _numbers(vertex, "x", "y", "z")
    if places is None:
        raise FileFormatError("This PLY file has no vertices with x, y and z.")
    rings = _rings(made.elements.get("face", {}))
    creases = corners = None
    edges = _numbers(made.elements.get("edge", {}), "vertex1", "vertex2", "sharpness")
    if edges is not None:
        creases = (np.column_stack(edges[:2]).astype(np.int64), np.asarray(edges[2], dtype=np.float64))
    sharpness = _numbers(vertex, "sharpness")
    if sharpness is not None:
        sharp = np.flatnonzero(sharpness[0] > 0)
        corners = (sharp, np.asarray(sharpness[0][sharp], dtype=np.float64))
    sets = {}
    for comment in made.comments:
        if comment.startswith(_SETS):
            try:
                sets = {str(k): np.array(v, dtype=np.int32) for k, v in json.loads(comment[len(_SETS) :]).items()}
            except (ValueError, AttributeError, TypeError, OverflowError):
                raise FileFormatError("The file's face sets cannot be read.") from None
    positions = np.column_stack(places).astype(np.float64)
    return Loaded(build(positions, rings.flat.astype(np.int64), rings.sizes, creases, corners, sets))


def write(cage: Cage, name: str) -> bytes:
    t = cage.topology
    x, y, z = cage.positions.T
    sharp = np.flatnonzero(cage.edge_sharpness > 0)
    first, second = t.edge_verts[sharp].T
    # The format's comments are ASCII: other letters go in by their numbers, as JSON has them.
    comments = [f"cage {json.dumps(' '.join(name.split()))[1:-1]}, millimetres"]
    if cage.face_sets:
        comments.append(_SETS + json.dumps({key: ids.tolist() for key, ids in cage.face_sets.items()}))
    elements: dict[str, Table] = {
        "vertex": {"x": x, "y": y, "z": z, "sharpness": cage.vertex_sharpness},
        "face": {"vertex_indices": Lists(t.face_sizes, t.face_verts)},
        "edge": {"vertex1": first, "vertex2": second, "sharpness": cage.edge_sharpness[sharp]},
    }
    return write_tables(elements, comments)


def _numbers(table: Table, *names: str) -> list[Floats | Ints] | None:
    """These columns, if all are there and none is one of lists."""
    columns = [column for name in names if not isinstance(column := table.get(name), Lists | None)]
    return columns if len(columns) == len(names) else None


def _rings(face: Table) -> Lists:
    for name in ("vertex_indices", "vertex_index"):
        rings = face.get(name)
        if isinstance(rings, Lists) and rings.flat.dtype.kind == "i":
            return rings
    raise FileFormatError("This PLY file has no faces with vertex indices.")
