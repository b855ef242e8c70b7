"""Places spread evenly over the area of a mesh: what fits, placements and figures are found from."""

from __future__ import annotations

from dataclasses import dataclass
from weakref import WeakKeyDictionary

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proof.distance import MeshDistance

_GOLDEN = (0.7548776662466927, 0.5698402909980532)
"""Steps of an even sequence in the unit square (M. Roberts, "The unreasonable effectiveness of quasirandom sequences",
2018)."""


@dataclass(frozen=True, eq=False)
class Samples:
    """``points`` (k, 3) mm and outward unit ``normals`` (k, 3)."""

    points: Floats
    normals: Floats

    def moved(self, matrix: Floats, offset: Floats) -> Samples:
        """Under a motion of matrix (3, 3), which may turn over, and offset (3,); the normals still look outwards."""
        return Samples(self.points @ matrix.T + offset, self.normals @ matrix.T)


_kept: WeakKeyDictionary[MeshDistance, dict[int, Samples]] = WeakKeyDictionary()
"""Of a mesh of millions it takes a while, and in a drag the same are asked for again and again."""


def samples_of(mesh: MeshDistance, count: int) -> Samples:
    """So many places, each standing for the same area; the same ones each time."""
    known = _kept.setdefault(mesh, {})
    if count not in known:
        known[count] = _spread(mesh, count)
    return known[count]


def _spread(mesh: MeshDistance, count: int) -> Samples:
    run = np.cumsum(mesh.areas)
    steps = np.arange(1, count + 1)
    which = np.searchsorted(run, (steps - 0.5) / count * run[-1])
    which = np.minimum(which, len(run) - 1)
    u, v = ((0.5 + steps * step) % 1 for step in _GOLDEN)
    over = u + v > 1
    u, v = np.where(over, 1 - u, u), np.where(over, 1 - v, v)
    shares = np.column_stack([1 - u - v, u, v])
    corners = mesh.triangles[which]
    points = (shares[..., None] * mesh.vertices[corners]).sum(axis=1)
    normals = unit((shares[..., None] * mesh.vertex_normals[corners]).sum(axis=1))
    return Samples(points, normals)
