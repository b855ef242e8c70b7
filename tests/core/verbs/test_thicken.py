"""Thicken against closed formulas, and against the volumes of an independent mesh library; crossings found."""

from __future__ import annotations

import unittest

import manifold3d
import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.inset import inset
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.symmetry import plane_at, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import cut_and_assembled
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, cylinder, patched_sphere
from zinc_otter.core.proof.crossing import crossing_faces, crossing_pairs
from zinc_otter.core.solid.tessellation import Triangles, tessellate
from zinc_otter.core.solid.thicken import thicken
from zinc_otter.core.surface import build_stencils, evaluate

OUT = {"in": 0.0, "out": 2.0, "both": 1.0}


def open_sphere() -> Cage:
    sphere = patched_sphere(40, 4)
    return delete_elements(sphere, Selection.of("face", np.flatnonzero(middles_of(sphere, "face")[:, 2] > 17))).cage


def as_solid(mesh: Triangles) -> manifold3d.Manifold:
    made = manifold3d.Manifold(manifold3d.Mesh64(mesh.points, mesh.triangles.astype(np.uint64)))
    assert made.status() == manifold3d.Error.NoError
    return made


def lidded(points: np.ndarray, quads: np.ndarray) -> manifold3d.Manifold:
    """An open surface of quads as a solid, closed by a fan over its only rim."""
    triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
    sides = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]])
    there = {(int(a), int(b)) for a, b in sides}
    rim = np.array([(a, b) for a, b in there if (b, a) not in there])
    fan = np.column_stack([rim[:, 1], rim[:, 0], np.full(len(rim), len(points))])
    with_middle = np.concatenate([points, points[rim[:, 0]].mean(axis=0)[None]])
    return as_solid(Triangles(with_middle, np.concatenate([triangles, fan]), 0.0))


class Walls(unittest.TestCase):
    def test_a_tube(self) -> None:
        tube = cylinder((20, 30), (12, 4), "none")
        # The limit surface is a tube of nearly round section; its mean radius is taken from dense limit points.
        points = evaluate(build_stencils(tube, 4), tube).positions
        radius = np.sqrt((np.hypot(points[:, 0], points[:, 1]) ** 2).mean())
        for side, out in OUT.items():
            done = thicken(tube, 2.0, side)  # type: ignore[arg-type]
            self.assertEqual(done.cage.topology.euler_characteristic, 0)
            self.assertTrue(done.cage.topology.is_closed)
            self.assertEqual(done.suspect.tolist(), [])
            self.assertRegex(done.remarks[0], r"The wall is (1\.9|2)[\d.]* to 2[\d.]* mm thick")
            # Volume of a tube: pi (R^2 - r^2) h.
            formula = np.pi * ((radius + out) ** 2 - (radius + out - 2) ** 2) * 30
            mesh = tessellate(done.cage, 0.01)
            self.assertAlmostEqual(mesh.volume / formula, 1, delta=0.002)
            solid = as_solid(mesh)
            self.assertAlmostEqual(solid.volume() / mesh.volume, 1, delta=1e-6)
            self.assertEqual(solid.genus(), 1)

    def test_a_sphere_with_a_hole(self) -> None:
        sphere = open_sphere()
        mesh = build_stencils(sphere, 4)
        points = evaluate(mesh, sphere).points
        a, b, c, d = (points[mesh.quads[:, k]] for k in range(4))
        # The solid angle of the open sphere, from its area: a wall of it holds a third of it times R^3 - r^3.
        area = np.linalg.norm(np.cross(c - a, d - b), axis=1).sum() / 2
        radius = np.linalg.norm(points, axis=1).mean()
        for side, out in OUT.items():
            done = thicken(sphere, 2.0, side)  # type: ignore[arg-type]
            formula = area / radius**2 / 3 * ((radius + out) ** 3 - (radius + out - 2) ** 3)
            self.assertAlmostEqual(tessellate(done.cage, 0.03).volume / formula, 1, delta=0.005)
            self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_against_the_difference_of_two_solids(self) -> None:
        # A deep bowl. Its smooth surface, and the same moved along its exact normals point by point, are closed over
        # their rims; the independent library takes one from the other. Our wall comes from moved control points. Both are
        # compared below the rim, where a lid and a band of faces differ.
        sphere = patched_sphere(40, 4)
        upper = np.flatnonzero(middles_of(sphere, "face")[:, 2] > 0)
        bowl = delete_elements(sphere, Selection.of("face", upper)).cage
        stencils = build_stencils(bowl, 4)
        surface = evaluate(stencils, bowl)
        for side, out in OUT.items():
            whole = as_solid(tessellate(thicken(bowl, 2.0, side).cage, 0.03))  # type: ignore[arg-type]
            outer, inner = (lidded(surface.positions + by * surface.normals, stencils.quads) for by in (out, out - 2))
            wall, expected = (solid.trim_by_plane((0, 0, -1), 1) for solid in (whole, outer - inner))
            self.assertAlmostEqual(wall.volume() / expected.volume(), 1, delta=0.001)
            # Nor does either stick out of the other: by less than a fiftieth of a millimetre over both sides of the wall.
            stray = (wall - expected).volume() + (expected - wall).volume()
            self.assertLess(stray, 0.02 * (outer.surface_area() + inner.surface_area()))
            self.assertEqual(whole.genus(), 0)

    def test_the_wall_is_even_on_the_smooth_surface(self) -> None:
        sphere = open_sphere()
        stencils = build_stencils(sphere, 3)
        outer = evaluate(stencils, sphere)
        done = thicken(sphere, 2.0, "in")
        n = sphere.topology.vertex_count
        inner = evaluate(stencils, sphere.with_positions(done.cage.positions[n:]))
        wall = ((outer.positions - inner.positions) * outer.normals).sum(axis=1)
        self.assertLess(np.abs(wall - 2).max(), 0.02 * 2)

    def test_rims_are_creased_if_wished(self) -> None:
        tube = cylinder((20, 30), (12, 4), "none")
        self.assertEqual(np.count_nonzero(thicken(tube, 2.0).cage.edge_sharpness), 48)
        soft = thicken(tube, 2.0, "in", False).cage
        self.assertEqual(np.count_nonzero(soft.edge_sharpness), 0)
        self.assertLess(tessellate(soft, 0.02).volume, tessellate(thicken(tube, 2.0).cage, 0.02).volume)

    def test_creases_and_sets_are_on_both_walls(self) -> None:
        tube = cylinder((20, 30), (12, 4), "none")
        sharp = np.zeros(tube.topology.edge_count)
        inner = np.setdiff1d(np.arange(len(sharp)), tube.topology.open_edges)[:5]
        sharp[inner] = 3.0
        named = Cage(tube.positions, tube.topology, sharp, None, {"band": [0, 1]})
        after = thicken(named, 2.0).cage
        # Five on either wall, and as many from wall to wall, where they come to the border.
        self.assertEqual(np.count_nonzero(after.edge_sharpness == 3.0), 15)
        self.assertEqual(after.face_sets["band"].tolist(), [0, 1, 48, 49])

    def test_faces_of_many_sides(self) -> None:
        points = [(0, 0, 0), (9, 0, 0), (12, 6, 1), (5, 11, 0), (-3, 6, 1), (20, 3, 0)]
        sheet = Cage.from_faces(points, [[0, 1, 2, 3, 4], [2, 1, 5]])
        done = thicken(sheet, 1.0, "both")
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        self.assertTrue(done.cage.topology.is_closed)

    def test_refusals(self) -> None:
        self.assertRaises(BadSelectionError, thicken, box((10, 10, 10), (1, 1, 1)), 1.0)
        for distance in (0.0, -1.0, np.inf):
            self.assertRaises(BadNumberError, thicken, open_sphere(), distance)

    def test_a_mirrored_lattice(self) -> None:
        tube = cylinder((40, 40), (12, 3), "none")
        framed = inset(tube, Selection.of("face", np.arange(36)), 2.5, apart=True)
        lattice = delete_elements(framed.cage, framed.selected).cage
        cage, symmetry = cut_and_assembled(lattice, plane_at((0, 0, 0), (1, 0, 0)), True, 1e-6)
        everything = Selection.of("face", np.arange(cage.topology.face_count))
        done, after = symmetric_edit(cage, symmetry, everything, lambda c, s: thicken(c, 2.0, "both", False))
        self.assertTrue(done.cage.topology.is_closed)
        self.assertLess(after.strays(done.cage.positions), 1e-9)


class Crossings(unittest.TestCase):
    def test_a_wall_thicker_than_the_tube_crosses(self) -> None:
        tube = cylinder((20, 30), (12, 4), "none")
        self.assertEqual(len(crossing_faces(thicken(tube, 3.0).cage)), 0)
        done = thicken(tube, 12.0)
        self.assertGreater(len(crossing_faces(done.cage)), 0)
        self.assertGreater(len(done.suspect), 0)

    def test_pairs_against_brute_force(self) -> None:
        rng = np.random.default_rng(3)
        points = rng.uniform(0, 10, (150, 3))
        triangles = np.arange(150).reshape(-1, 3)
        points = (points.reshape(-1, 3, 3) * 0.3 + rng.uniform(0, 5, (50, 1, 3))).reshape(-1, 3)
        found = {tuple(pair) for pair in crossing_pairs(points, triangles).tolist()}
        self.assertEqual(found, self._all(points, triangles))
        self.assertGreater(len(found), 5)

    def _all(self, points: np.ndarray, triangles: np.ndarray) -> set[tuple[int, int]]:
        """Every edge against every triangle, by solving for where they meet."""
        found = set()
        for a in range(len(triangles)):
            for b in range(len(triangles)):
                if a == b:
                    continue
                p, q = points[triangles[a]], points[triangles[b]]
                for k in range(3):
                    start, end = p[k], p[(k + 1) % 3]
                    matrix = np.column_stack([end - start, q[0] - q[1], q[0] - q[2]])
                    t, u, v = np.linalg.solve(matrix, q[0] - start)
                    if 0 < t < 1 and u > 0 and v > 0 and u + v < 1:
                        found.add((min(a, b), max(a, b)))
        return found


if __name__ == "__main__":
    unittest.main()
