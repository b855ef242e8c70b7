"""Triangle meshes from STL, OBJ, PLY, GLB and 3MF files, bounded and checked before anything is believed.

The parsing is trimesh's and, for 3MF, lib3mf's; counts are read off the file first, so that memory stays bounded.
"""

from __future__ import annotations

import io
import json
import re
import struct
import zipfile
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, FileFormatError
from zinc_otter.core.formats.obj import obj_lines, text_of
from zinc_otter.core.progress import Progress
from zinc_otter.core.proof.coarse_mesh import DRAWN, FELT, simplified
from zinc_otter.core.same_rows import same_rows
from zinc_otter.core.words import fine_length_words

MOST_TRIANGLES = 5_000_000
SMALL = 1.0
"""mm: what is no larger was most likely read in a wrong unit."""
MOST_UNPACKED = 400 * 1024 * 1024
UNITS = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4}
HAS_UNIT = {"glb": "m", "3mf": "of its own"}
FORMATS = ("stl", "obj", "ply", "glb", "3mf")


@dataclass(frozen=True, eq=False)
class Mesh:
    """Vertices (n, 3) in mm and triangles (m, 3), counter-clockwise from outside; ``notes`` say what was set right."""

    vertices: Floats
    triangles: Ints
    notes: tuple[str, ...] = ()

    @property
    def open_edge_count(self) -> int:
        """How many edges have not exactly two triangles."""
        pairs = np.sort(np.concatenate([self.triangles[:, [0, 1]], self.triangles[:, [1, 2]], self.triangles[:, [2, 0]]]))
        keys = pairs[:, 0].astype(np.int64) * len(self.vertices) + pairs[:, 1]
        _, counts = np.unique(keys, return_counts=True)
        return int(np.count_nonzero(counts != 2))

    @property
    def volume(self) -> float:
        """mm³ by the divergence theorem; below 0 where the triangles look inwards."""
        a, b, c = (self.vertices[self.triangles[:, k]] for k in range(3))
        return float(np.einsum("ij,ij->i", a, np.cross(b, c)).sum() / 6)



_FOR = {"drawn": "to be drawn", "felt": "to be met quickly"}


def _untold(part: float, words: str) -> None:
    pass


def as_asset(mesh: Mesh, progress: Progress = _untold) -> tuple[bytes, dict[str, Any]]:
    """The mesh as compressed arrays, and what is to be known of it: counts, size and bounds in mm, notes.

    Of a large one there are lesser ones too: ``drawn`` and ``felt`` in the names of their arrays.
    """
    held = io.BytesIO()
    arrays = {"vertices": mesh.vertices, "triangles": mesh.triangles}
    fewer = mesh.vertices, mesh.triangles
    for name, most in (("drawn", DRAWN), ("felt", FELT)):
        if len(mesh.triangles) > most:
            progress(0.0 if name == "drawn" else 0.5, f"Making {most:,} triangles of {len(fewer[1]):,}, {_FOR[name]}")
            # Of the one before: from five millions on each takes its time.
            fewer = simplified(*fewer, most)
            arrays |= {f"{name}_vertices": fewer[0], f"{name}_triangles": fewer[1]}
    progress(0.65, "Packing it")
    np.savez_compressed(held, **arrays)  # type: ignore[arg-type]
    low, high = mesh.vertices.min(axis=0), mesh.vertices.max(axis=0)
    facts = {
        "triangles": len(mesh.triangles),
        "size": (high - low).tolist(),
        "bounds": [low.tolist(), high.tolist()],
        "closed": mesh.open_edge_count == 0,
        "notes": list(mesh.notes),
    }
    return held.getvalue(), facts


def read_mesh(
    data: bytes, extension: str, unit: str | None, most: int = MOST_TRIANGLES, what: str = "a component",
    progress: Progress = _untold,
) -> Mesh:  # fmt: skip
    """The mesh of a file. ``unit`` (mm, cm, m, in) is needed for STL, OBJ and PLY, which have none; more than ``most``
    triangles are too many for ``what`` is to be made of it.

    Raises FileFormatError naming what is wrong, BadNumberError for a missing or unknown unit.
    """
    if extension not in FORMATS:
        known = ", ".join(f.upper() for f in FORMATS)
        raise FileFormatError(f"A component comes as {known}, XYZ, or as STEP; .{extension[:12]} is none of these.")
    scale_given = 1.0 if extension in HAS_UNIT else scale_of(extension, unit)
    try:
        count = _COUNTS[extension](data)
    except FileFormatError:
        raise
    except Exception as error:
        raise FileFormatError(f"The file cannot be read as {extension.upper()}: it is broken.") from error
    if count > most:
        raise FileFormatError(f"The file has {count:,} faces; {most:,} are the most for {what}.")
    if count == 0:
        raise FileFormatError("The file holds no faces.")
    progress(0.1, f"Reading {count:,} faces")
    if extension == "obj":
        data = "\n".join(line for _, line in obj_lines(text_of(data))).encode()
    over = data[84 + 50 * count :] if extension == "stl" and _is_binary_stl(data) else b""
    data = data[: len(data) - len(over)]
    try:
        vertices, triangles, scale = _read_3mf(data) if extension == "3mf" else _read_by_trimesh(data, extension)
    except FileFormatError:
        raise
    except Exception as error:
        # What a library says of it is no sentence for a designer.
        raise FileFormatError(
            f"The file cannot be read as {extension.upper()}: what it holds is not what its beginning claims."
        ) from error
    progress(0.6, f"Joining the corners of {len(triangles):,} triangles")
    notes = (f"{len(over):,} bytes after the last facet were passed over",) if over else ()
    return checked_mesh(vertices * (scale if extension in HAS_UNIT else scale_given), triangles, notes)


def scale_of(extension: str, unit: str | None) -> float:
    """mm to a unit that is named for a file that names none. Raises BadNumberError."""
    if unit not in UNITS:
        raise BadNumberError(f"{extension.upper()} files name no unit; say whether it is in {', '.join(UNITS)}.")
    return UNITS[unit]


# --- how many faces a file claims, before it is parsed --------------------------------------------------------------


def _count_stl(data: bytes) -> int:
    if len(data) >= 84:
        (count,) = struct.unpack_from("<I", data, 80)
        # 80-byte header, uint32 count, 50 bytes a facet (the StereoLithography interface specification, 1989).
        if _is_binary_stl(data):
            return int(count)
    if data.lstrip()[:5].lower() == b"solid" and (b"facet" in data[:100_000] or b"endsolid" in data[-2_000:]):
        return data.count(b"facet normal")
    raise FileFormatError("The file cannot be read as STL: its length does not fit its count of facets.")


def _is_binary_stl(data: bytes) -> bool:
    """Whether the facets that the count claims are there; some programs write more after them."""
    (count,) = struct.unpack_from("<I", data, 80) if len(data) >= 84 else (0,)
    if len(data) == 84 + 50 * count:
        return True
    return count > 0 and len(data) > 84 + 50 * count and data[:5].lower() != b"solid"


def _count_obj(data: bytes) -> int:
    if b"\0" in data[:4096]:
        raise FileFormatError("The file cannot be read as OBJ: it is no text.")
    return data.count(b"\nf ") + data.count(b"\nf\t") + data.lstrip(b"\xef\xbb\xbf").startswith((b"f ", b"f\t"))


def _count_ply(data: bytes) -> int:
    end = data.find(b"end_header", 0, 65_536)
    if not data.startswith(b"ply") or end < 0:
        raise FileFormatError("The file cannot be read as PLY: it has no header.")
    found = {name: int(n) for name, n in re.findall(rb"element\s+(vertex|face)\s+(\d{1,15})", data[:end])}
    if found.get(b"vertex", 0) > 3 * MOST_TRIANGLES:
        raise FileFormatError(f"The file claims {found[b'vertex']:,} vertices; that is too many for a component.")
    # Each face takes at least a byte: a header that claims more is not believed.
    return min(found.get(b"face", 0), len(data)) if found.get(b"face", 0) <= MOST_TRIANGLES else found[b"face"]


def _count_glb(data: bytes) -> int:
    if data[:4] != b"glTF" or len(data) < 20:
        raise FileFormatError("The file cannot be read as GLB: it does not begin as one.")
    length, kind = struct.unpack_from("<I4s", data, 12)
    if kind != b"JSON" or length > len(data) - 20:
        raise FileFormatError("The file cannot be read as GLB: its first part is no description.")
    try:
        described = json.loads(data[20 : 20 + length])
        if any("uri" in part for key in ("buffers", "images") for part in described.get(key, [])):
            raise FileFormatError("The file points to other files; a GLB that holds everything itself is needed.")
        accessors = described.get("accessors", [])
        total = 0
        for mesh in described.get("meshes", []):
            for part in mesh["primitives"]:
                at = part.get("indices", part.get("attributes", {}).get("POSITION"))
                total += 0 if at is None else int(accessors[at]["count"]) // 3
        return total
    except (ValueError, KeyError, IndexError, TypeError, AttributeError) as error:
        raise FileFormatError("The file cannot be read as GLB: its description is broken.") from error


def _count_3mf(data: bytes) -> int:
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as box:
            entries = box.infolist()
            if len(entries) > 2_000 or sum(entry.file_size for entry in entries) > MOST_UNPACKED:
                raise FileFormatError("The file unpacks to more than a component may hold.")
            total, unpacked = 0, 0
            for entry in entries:
                if not entry.filename.lower().endswith(".model"):
                    continue
                with box.open(entry) as model:
                    tail = b""
                    while part := model.read(1 << 20):
                        # What the directory says of sizes need not be true, so what comes out is counted.
                        unpacked += len(part)
                        if unpacked > MOST_UNPACKED:
                            raise FileFormatError("The file unpacks to more than a component may hold.")
                        if b"<!DOCTYPE" in tail + part or b"<!ENTITY" in tail + part:
                            raise FileFormatError("The file defines entities of its own, which a 3MF file has no use for.")
                        total += (tail[-9:] + part).count(b"<triangle ")
                        tail = part[-16:]
            return total
    except (zipfile.BadZipFile, NotImplementedError, EOFError, OSError, RuntimeError) as error:
        raise FileFormatError("The file cannot be read as 3MF: it is no such container.") from error


_COUNTS: dict[str, Callable[[bytes], int]] = {
    "stl": _count_stl, "obj": _count_obj, "ply": _count_ply, "glb": _count_glb, "3mf": _count_3mf,
}  # fmt: skip


# --- parsing --------------------------------------------------------------------------------------------------------


def _read_by_trimesh(data: bytes, extension: str) -> tuple[Floats, Ints, float]:
    import trimesh

    options: dict[str, Any] = {"skip_materials": True} if extension == "obj" else {}
    scene = trimesh.load_scene(io.BytesIO(data), file_type=extension, process=False, **options)
    mesh = scene.to_mesh()
    vertices = np.asarray(mesh.vertices, dtype=np.float64)
    triangles = np.asarray(mesh.faces, dtype=np.int64)
    if extension == "glb":
        # glTF 2.0: metres, +Y up (Khronos glTF 2.0 specification, 3.4); here z is up.
        vertices = np.column_stack([vertices[:, 0], -vertices[:, 2], vertices[:, 1]])
    return vertices, triangles, UNITS["m"]


def _read_3mf(data: bytes) -> tuple[Floats, Ints, float]:
    import lib3mf

    wrapper = lib3mf.get_wrapper()
    model = wrapper.CreateModel()
    model.QueryReader("3mf").ReadFromBuffer(data)
    parts: list[Floats] = []
    corners: list[Ints] = []
    count = 0
    items = model.GetBuildItems()
    while items.MoveNext():
        item = items.GetCurrent()
        stack = [(item.GetObjectResource(), _matrix(item.GetObjectTransform()))]
        while stack:
            thing, place = stack.pop()
            if len(parts) > 10_000:
                raise FileFormatError("The file repeats its parts too often for a component.")
            if thing.IsMeshObject():
                mesh = model.GetMeshObjectByID(thing.GetResourceID())
                points = np.array([list(v.Coordinates) for v in mesh.GetVertices()], dtype=np.float64).reshape(-1, 3)
                faces = np.array([list(t.Indices) for t in mesh.GetTriangleIndices()], dtype=np.int64).reshape(-1, 3)
                count += len(faces)
                if count > MOST_TRIANGLES:
                    raise FileFormatError(f"The file's parts have more than {MOST_TRIANGLES:,} faces together.")
                corners.append(faces + sum(len(p) for p in parts))
                parts.append(points @ place[:3] + place[3])
            elif thing.IsComponentsObject():
                group = model.GetComponentsObjectByID(thing.GetResourceID())
                for i in range(group.GetComponentCount()):
                    part = group.GetComponent(i)
                    own = _matrix(part.GetTransform())
                    both = np.concatenate([own[:3] @ place[:3], [own[3] @ place[:3] + place[3]]])
                    stack.append((part.GetObjectResource(), both))
    if not parts:
        raise FileFormatError("The file puts nothing on its plate.")
    # The library numbers units from micron to metre, by size.
    scale = (0.001, 1.0, 10.0, 25.4, 304.8, 1000.0)[int(model.GetUnit())]
    return np.concatenate(parts), np.concatenate(corners), scale


def _matrix(transform: Any) -> Floats:
    """(4, 3) rows: three axes and the shift, for row vectors (3MF Core Specification, 3.3)."""
    return np.array([list(row) for row in transform.Fields], dtype=np.float64)


def checked_mesh(vertices: Floats, triangles: Ints, notes: tuple[str, ...] = ()) -> Mesh:
    """The mesh of vertices (n, 3) in mm and triangles (m, 3): one place one vertex. Raises FileFormatError."""
    if len(triangles) == 0:
        raise FileFormatError("The file holds no faces.")
    if vertices.ndim != 2 or vertices.shape[1] != 3 or triangles.ndim != 2 or triangles.shape[1] != 3:
        raise FileFormatError("The vertices of the file are no points in space.")
    if triangles.min() < 0 or triangles.max() >= len(vertices):
        raise FileFormatError("A face names a vertex that is not there.")
    wild = ~np.isfinite(vertices).all(axis=1)
    if wild.any():
        raise FileFormatError(f"{np.count_nonzero(wild)} vertices have coordinates that are no numbers.")
    if np.abs(vertices).max() > 1e6:
        raise FileFormatError("The mesh reaches further than a kilometre; look at its unit.")
    said = list(notes)
    # Formats without shared vertices repeat them to the last bit or nearly; merge what is one place.
    grid = 1e-6 * max(float(np.ptp(vertices, axis=0).max()), 1e-9)
    first, which = same_rows(np.rint(vertices / grid))
    merged, joined = vertices[first], which[triangles]
    flat = (joined[:, 0] == joined[:, 1]) | (joined[:, 1] == joined[:, 2]) | (joined[:, 2] == joined[:, 0])
    if flat.any():
        said.append(f"{np.count_nonzero(flat)} faces without area were left out")
        joined = joined[~flat]
    if len(joined) == 0:
        raise FileFormatError("All faces of the file are without area.")
    used, joined = np.unique(joined, return_inverse=True)
    mesh = Mesh(merged[used], joined.reshape(-1, 3).astype(np.int32), tuple(said))
    size = float(np.ptp(mesh.vertices, axis=0).max())
    if size < SMALL:
        said.append(f"it is only {fine_length_words(size)} large; look at its unit")
    open_edges = mesh.open_edge_count
    if open_edges:
        said.append(f"it is open along {open_edges} edges, so that inside and outside cannot be told everywhere")
    elif mesh.volume < 0:
        said.append("its faces looked inwards and were turned")
        mesh = Mesh(mesh.vertices, mesh.triangles[:, ::-1])
    return Mesh(mesh.vertices, np.ascontiguousarray(mesh.triangles), tuple(said))
