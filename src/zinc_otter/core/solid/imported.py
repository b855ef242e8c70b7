"""A solid that was brought in: its STEP file for the kernel, and its triangles for the other route, as one asset."""

from __future__ import annotations

import io

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.solid.mesh.body import MeshBody, Name, mesh_body


def packed(step: bytes, points: Floats, triangles: Ints) -> bytes:
    """The asset: the file, and points (n, 3) mm and triangles (m, 3) of the solid in it."""
    held = io.BytesIO()
    np.savez_compressed(held, step=np.frombuffer(step, dtype=np.uint8), points=points, triangles=triangles)
    return held.getvalue()


def step_of(asset: bytes) -> bytes:
    """The STEP file of an asset."""
    with np.load(io.BytesIO(asset), allow_pickle=False) as arrays:
        return bytes(arrays["step"].tobytes())


def body_of(asset: bytes, name: Name) -> MeshBody:
    """The triangles of an asset as a body."""
    with np.load(io.BytesIO(asset), allow_pickle=False) as arrays:
        return mesh_body(arrays["points"], arrays["triangles"], name)
