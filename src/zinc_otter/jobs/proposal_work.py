"""A cage of quads proposed for a scan, and settled on it. Runs in a worker process."""

from __future__ import annotations

import json
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.jobs.bounded import bounded_memory
from zinc_otter.jobs.solid_work import put

_PLACES = 16_000


def write_proposal(
    progress: Callable[[float, str], None], vertices: Floats, triangles: Ints, count: int, half: int | None, sharp: bool,
    path: Path,
) -> None:  # fmt: skip
    """Propose about ``count`` quads for a scan where it lies, ``half`` of them mirrored across that axis, along its lines
    where ``sharp``, and write the cage with its figures as JSON. Raises BadNumberError, BadSelectionError, OSError.
    """
    from zinc_otter.core.proof.distance import MeshDistance
    from zinc_otter.core.scan.proposing import propose
    from zinc_otter.core.scan.samples import samples_of

    with bounded_memory("a proposal"):
        mesh = MeshDistance(vertices, triangles)
        found = propose(mesh, count, half, lambda share, words: progress(0.8 * share, words), sharp=sharp)
        progress(0.8, "settling the surface")
        settled, done = found.settled(samples_of(mesh, _PLACES))
        own = found.cage if found.part is None else found.part
        creased = np.flatnonzero(own.edge_sharpness)
        told: dict[str, Any] = {
            "positions": settled.tolist(),
            "faces": own.topology.face_verts.reshape(-1, 4).tolist(),
            "creases": [[*own.topology.edge_verts[e].tolist(), float(own.edge_sharpness[e])] for e in creased],
            "quads": found.cage.topology.face_count,
            "creased": int(np.count_nonzero(found.cage.edge_sharpness)),
            "irregular": found.irregular,
            "before": done.before,
            "after": done.after,
            "places": done.count,
            "bare": 0 if done.suspect is None else len(done.suspect),
        }
    path.parent.mkdir(parents=True, exist_ok=True)
    put(path, lambda fresh: fresh.write_bytes(json.dumps(told).encode()))
    progress(1.0, f"{told['quads']} quads")

