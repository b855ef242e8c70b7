"""A scan of a million triangles: read, its tree, one place, twenty thousand; a patch traced; 600 faces settled; a proposal.

Figures are ratios to building and evaluating the stencils of a cage of 600 faces at level 3.
"""

from __future__ import annotations

import struct

import numpy as np

from bench.timing import best
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.formats.mesh import as_asset, read_mesh
from zinc_otter.core.primitives import box, patched_sphere
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.deviation import signed_deviation
from zinc_otter.core.scan.proposing import propose
from zinc_otter.core.scan.samples import samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.core.scan.settling import settle
from zinc_otter.core.scan.tracing import patch
from zinc_otter.core.surface import build_stencils, evaluate

_ROWS = 512


def _ball() -> tuple[Floats, Ints]:
    """A million triangles of a ball of 50 mm, with a little noise."""
    u = np.linspace(0.002, np.pi - 0.002, _ROWS)[:, None]
    v = np.arange(2 * _ROWS)[None] * np.pi / _ROWS
    way = np.stack(np.broadcast_arrays(np.sin(u) * np.cos(v), np.sin(u) * np.sin(v), np.cos(u)), axis=-1).reshape(-1, 3)
    i, j = np.arange(_ROWS - 1)[:, None], np.arange(2 * _ROWS)[None]
    wide = 2 * _ROWS
    a, b = i * wide + j, i * wide + (j + 1) % wide
    triangles = np.concatenate([np.stack(t, axis=-1).reshape(-1, 3) for t in ((a, a + wide, b), (b, a + wide, b + wide))])
    return way * (50 + np.random.default_rng(1).normal(0, 0.01, (len(way), 1))), triangles


def _stl(points: Floats, triangles: Ints) -> bytes:
    facets = np.zeros(len(triangles), dtype=[("n", "<f4", 3), ("v", "<f4", (3, 3)), ("a", "<u2")])
    facets["v"] = points[triangles]
    return b"\0" * 80 + struct.pack("<I", len(facets)) + facets.tobytes()


def main() -> None:
    cage = box((40, 40, 40), (10, 10, 10))
    unit = best(lambda: evaluate(build_stencils(cage, 3), cage).normals, 3)
    print(f"\nScans, as ratios to stencils and surface of 600 faces at level 3 ({unit * 1e3:.0f} ms)")

    def told(what: str, seconds: float, aim: float | None = None) -> None:
        print(f"  {what:<58}{seconds / unit:8.2f}   {seconds * 1e3:8.0f} ms" + (f"   aim {aim * 1e3:.0f} ms" if aim else ""))

    points, triangles = _ball()
    data = _stl(points, triangles)
    told("1,000,000 triangles read from STL, and two lesser meshes", best(lambda: as_asset(read_mesh(data, "stl", "mm")), 1))
    told("their tree", best(lambda: MeshDistance(points, triangles), 1))
    mesh = MeshDistance(points, triangles)
    told("first place, with all that is made for it", best(lambda: mesh.sided(points[:1]), 1))
    told("another place", best(lambda: mesh.sided(points[:1])), 0.05)
    some = points[:: len(points) // 20_000][:20_000] * 1.003
    told("20,000 places", best(lambda: signed_deviation(some, mesh)))
    form = patched_sphere(100, 10)
    lesser = scanned(form, Scanning(spacing=1.2, noise=0.05, looks="around"))
    scan = MeshDistance(lesser.vertices, lesser.triangles)
    scan.sided(some[:1])
    told("20,000 places of a lesser mesh, as in a drag", best(lambda: signed_deviation(some, scan.felt)), 0.04)

    def onto(at: Floats) -> tuple[Floats, Floats]:
        found = mesh.sided(at)
        return found.feet, found.normals

    places_at = ((0.5, -0.3), (0.2, -0.3), (0.2, 0.3), (0.5, 0.3))
    corners = [50 * np.array([np.cos(a), np.sin(a), h]) / np.hypot(1, h) for a, h in places_at]
    told("a patch of 4 by 4 quads traced", best(lambda: patch(None, corners, (4, 4), onto)), 0.05)
    start = form.with_positions(form.positions * 1.02)
    everything = Selection.of("face", range(form.topology.face_count))
    places = samples_of(scan, 16_000)
    told(f"{form.topology.face_count} faces settled", best(lambda: settle(start, everything, places), 2), 2.0)
    told("400 quads proposed", best(lambda: propose(scan, 400), 1))


if __name__ == "__main__":
    main()
