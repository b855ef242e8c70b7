"""What a proof costs with every frame: the wall map of 600 faces in a drag, and of 100,000 points at rest.

Ratios to the ray library alone on as many rays. The aims are 50 ms and 2 s.
"""

from __future__ import annotations

import igl
import numpy as np

from bench.timing import best
from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_torus
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.walls import point_normals
from zinc_otter.core.proving import Ground
from zinc_otter.core.proving.wall import Wall
from zinc_otter.core.surface import build_stencils, evaluate


def ground(cage: Cage, level: int, fine: bool) -> Ground:
    stencils = build_stencils(cage, level)
    quads = stencils.quads.astype(np.int64)
    triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
    mesh = MeshDistance(evaluate(stencils, cage).points[: stencils.vertex_count], triangles)
    return Ground(cage, mesh.vertices, mesh.triangles, lambda: mesh, lambda _: None, lambda _: None, fine)


def library_alone(at: Ground) -> None:
    tree = igl.AABB()
    tree.init(at.points, at.triangles)
    ways = -point_normals(at.points, at.triangles)
    tree.intersect_ray_first(at.points, at.triangles, at.points + 1e-5 * ways, ways)


def main() -> None:
    cage = sized_torus((60, 15), (30, 20), "surface")
    for name, level, fine, aim in (("in a drag", 2, False, 0.05), ("at rest", 4, True, 2.0)):
        at = ground(cage, level, fine)
        alone, whole = best(lambda: library_alone(at), 3), best(lambda: Wall(least=1.0).map(at), 3)  # noqa: B023
        note = "" if whole < aim else f"   over {aim:g} s"
        print(
            f"wall map {name:10} {cage.topology.face_count} faces, {len(at.points):,} points:"
            f" {1e3 * whole:7.1f} ms   {whole / alone:5.2f} x the rays alone{note}"
        )


if __name__ == "__main__":
    main()
