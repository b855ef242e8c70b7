"""The proposal itself: a sound cage of quads, of about as many as were asked for."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.proposing.directions import directions
from zinc_otter.core.scan.proposing.drawn_together import drawn_together
from zinc_otter.core.scan.proposing.lattice import lattice
from zinc_otter.core.scan.proposing.paired import paired
from zinc_otter.core.scan.proposing.prepared import prepared, rims

LEAST, MOST = 24, 5_000
_FINE = 34
"""Triangles of the prepared scan for each quad."""
_TRIES = 3
_NEAR_ENOUGH = 0.12
"""The count may be off by this share."""
_EVENED = 8

Progress = Callable[[float, str], None]


@dataclass(frozen=True, eq=False)
class Proposal:
    """A ``cage`` of quads on the scan, and how many of its inner vertices have not four edges."""

    cage: Cage
    irregular: int


def propose(mesh: MeshDistance, count: int, progress: Progress = lambda share, words: None) -> Proposal:
    """A cage of about ``count`` quads whose vertices lie on a scan. Raises BadNumberError, BadSelectionError.

    First a coarse mesh of quads and a few triangles, of a quarter as many; then each face is parted into quads from its
    middle to its edges' (E. Catmull, J. Clark, 1978), so that all are quads.
    """
    if not LEAST <= count <= MOST:
        raise BadNumberError(f"A proposal has {LEAST} to {MOST:,} quads; {count} were asked for.")
    area = float(mesh.areas.sum())
    side = 2 * np.sqrt(area / count)
    progress(0.05, "making the scan even")
    v, f = prepared(mesh.vertices, mesh.triangles, int(np.clip(_FINE * count, 6_000, 60_000)), side / 5)
    progress(0.3, "laying directions")
    crosses = directions(v, f)
    loops = rims(f)
    rim = np.concatenate(loops) if loops else np.zeros(0, dtype=np.int64)
    on_rim = np.zeros(len(v), dtype=bool)
    on_rim[rim] = True
    best: tuple[float, Floats, list[list[int]]] | None = None
    for k in range(_TRIES):
        progress(0.4 + 0.15 * k, "laying a lattice")
        laid = lattice(v, crosses, side, rim)
        points, triangles, stands = drawn_together(f, crosses, laid, side, on_rim)
        faces = paired(points, triangles, crosses.normals[stands], crosses.along[stands])
        made = sum(len(face) for face in faces)
        off = abs(np.log(made / count))
        if best is None or off < best[0]:
            best = off, points, faces
        if off <= _NEAR_ENOUGH:
            break
        side *= float(np.sqrt(np.clip(made / count, 0.3, 3.0)))
    assert best is not None
    progress(0.9, "laying the quads on the scan")
    base = MeshDistance(v, f)
    positions, quads = _parted(best[1], best[2])
    cage = Cage.from_faces(_even(positions, quads, base), quads.tolist())
    t = cage.topology
    return Proposal(cage, int(np.count_nonzero(~t.on_border & (t.vertex_valence != 4))))


def _parted(points: Floats, faces: list[list[int]]) -> tuple[Floats, Ints]:
    """Each face in quads from its middle to the middles of its edges."""
    middles = np.array([points[face].mean(axis=0) for face in faces])
    number: dict[tuple[int, int], int] = {}
    between: list[Floats] = []
    quads = []
    for k, face in enumerate(faces):
        centre = len(points) + k
        ids = []
        for a, b in zip(face, [*face[1:], face[0]], strict=True):
            key = (min(a, b), max(a, b))
            if key not in number:
                number[key] = len(points) + len(faces) + len(between)
                between.append((points[a] + points[b]) / 2)
            ids.append(number[key])
        quads += [(face[m], ids[m], centre, ids[m - 1]) for m in range(len(face))]
    return np.concatenate([points, middles, np.array(between)]), np.array(quads)


def _even(points: Floats, quads: Ints, base: MeshDistance) -> Floats:
    """Vertices on the scan, and evenly apart; those of a rim stay."""
    cage = Cage.from_faces(points, quads.tolist())
    t = cage.topology
    inner = ~t.on_border
    a, b = t.edge_verts.T
    many = np.maximum(t.vertex_valence, 1)[:, None]
    for _ in range(_EVENED):
        total = np.zeros_like(points)
        np.add.at(total, a, points[b])
        np.add.at(total, b, points[a])
        points = np.where(inner[:, None], 0.5 * points + 0.5 * total / many, points)
        points = np.where(inner[:, None], base.sided(points).feet, points)
    return points
