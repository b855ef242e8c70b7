"""Binary glTF 2.0: metres, +Y up, smooth normals, one material. Source: Khronos glTF 2.0 specification, 3.4 and 4.4."""

from __future__ import annotations

import json

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.formats.surfaces.appearance import Appearance
from zinc_otter.core.solid.mesh.body import NamedTriangles
from zinc_otter.core.solid.tessellation import Triangles
from zinc_otter.core.srgb import to_linear

FLOAT, UNSIGNED = 5126, 5125


def write_glb(triangles: Triangles, appearance: Appearance) -> bytes:
    """The whole file, shaded as on the screen: smooth but for sharp bends. The triangles must be closed."""
    made_by = np.zeros(len(triangles.triangles), dtype=np.int32)
    points, normals, faces = NamedTriangles(triangles.points, triangles.triangles, made_by, ("",)).shaded()
    positions = (_y_up(points) / 1000).astype("<f4")
    arrays = [positions.tobytes(), _y_up(normals).astype("<f4").tobytes(), faces.astype("<u4").tobytes()]
    starts = np.cumsum([0, *(len(a) for a in arrays)])
    linear = to_linear(appearance.colour).tolist()
    document = {
        "asset": {"version": "2.0", "generator": "Zinc Otter"},
        "scene": 0,
        "scenes": [{"nodes": [0]}],
        "nodes": [{"mesh": 0, "name": appearance.name}],
        "meshes": [
            {
                "name": appearance.name,
                "primitives": [{"attributes": {"POSITION": 0, "NORMAL": 1}, "indices": 2, "material": 0}],
            }
        ],
        "materials": [
            {
                "name": appearance.name,
                "pbrMetallicRoughness": {"baseColorFactor": [*linear, 1.0], "metallicFactor": 0.0, "roughnessFactor": 0.7},
            }
        ],
        "buffers": [{"byteLength": int(starts[-1])}],
        "bufferViews": [
            {"buffer": 0, "byteOffset": int(starts[i]), "byteLength": len(arrays[i]), "target": 34963 if i == 2 else 34962}
            for i in range(3)
        ],
        "accessors": [
            {
                "bufferView": 0, "componentType": FLOAT, "count": len(positions), "type": "VEC3",
                "min": positions.min(axis=0).tolist(), "max": positions.max(axis=0).tolist(),
            },
            {"bufferView": 1, "componentType": FLOAT, "count": len(positions), "type": "VEC3"},
            {"bufferView": 2, "componentType": UNSIGNED, "count": int(faces.size), "type": "SCALAR"},
        ],
    }  # fmt: skip
    text = json.dumps(document, separators=(",", ":")).encode()
    text += b" " * (-len(text) % 4)
    binary = b"".join(arrays)
    chunks = len(text).to_bytes(4, "little") + b"JSON" + text + len(binary).to_bytes(4, "little") + b"BIN\0" + binary
    return b"glTF" + (2).to_bytes(4, "little") + (12 + len(chunks)).to_bytes(4, "little") + chunks


def _y_up(vectors: Floats) -> Floats:
    return np.column_stack([vectors[:, 0], vectors[:, 2], -vectors[:, 1]])
