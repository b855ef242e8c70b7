"""Forms that relief is tried on: closed, open, half, mirrored, creased."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.primitives import box, torus
from zinc_otter.core.relief.ground import StrokeGround
from zinc_otter.core.relief.relief import Relief, at_level
from zinc_otter.core.relief.stroke import Manner
from zinc_otter.core.relief.stroking import stroked
from zinc_otter.core.surface import build_stencils


def sheet(count: int = 8, size: float = 80.0) -> Cage:
    """A flat open square sheet in the plane z = 0."""
    at = np.linspace(-size / 2, size / 2, count + 1)
    points = np.array([(x, y, 0.0) for y in at for x in at])
    n = count + 1
    faces = [[j * n + i, j * n + i + 1, (j + 1) * n + i + 1, (j + 1) * n + i] for j in range(count) for i in range(count)]
    return Cage.from_faces(points, faces)


def block() -> Cage:
    """A rounded block with a hard ring of creases at one end."""
    cage = box((40, 30, 20), (3, 2, 2))
    middles = cage.positions[cage.topology.edge_verts].mean(axis=1)
    sharp = np.where(middles[:, 0] > 19.9, 10.0, 0.0)
    return cage.with_sharpness(edges=sharp)


def ring() -> Cage:
    return torus((40, 12), (16, 8))


def rough(cage: Cage, levels: int, seed: int = 3, height: float = 0.4) -> Cage:
    """The cage with random detail on all of its levels, less on the finer ones."""
    random = np.random.default_rng(seed)
    relief: Relief = at_level(None, cage.topology, levels)
    for level in range(1, levels + 1):
        count = build_stencils(cage, level).vertex_count
        relief = relief.with_detail(level, (random.normal(size=(count, 3)) * height / 3**level).astype(np.float32))
    return cage.with_relief(relief)


def sculpted(cage: Cage, way: list[list[float]], **manner: object) -> Cage:
    """The cage with one stroke on it; places of three numbers have the full pressure."""
    given = Manner(**{"brush": "draw", "level": 4, "radius": 10.0, **manner})  # type: ignore[arg-type]
    samples: Floats = np.array([[*place, 1.0][:4] for place in way], dtype=np.float64)
    return stroked(cage, given, samples, StrokeGround(cage, given.level, build_stencils(cage, given.level)))
