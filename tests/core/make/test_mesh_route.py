"""Bodies of triangles: names through booleans, offsets, blends, each against a closed formula."""

from __future__ import annotations

import unittest

import manifold3d
import numpy as np

from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.walls import wall_at
from zinc_otter.core.solid.mesh.blend import blend
from zinc_otter.core.solid.mesh.body import MeshBody, mesh_body, named
from zinc_otter.core.solid.mesh.level_set import level_set
from zinc_otter.core.solid.mesh.offset import offset


def box(size: tuple[float, float, float] = (40, 40, 10), name: str = "piece") -> MeshBody:
    return named(manifold3d.Manifold.cube(size, True), name)


def boss(radius: float = 8, height: float = 20, name: str = "f1") -> MeshBody:
    return named(manifold3d.Manifold.cylinder(height, radius, radius, 256), name)


def always(radius: float):  # type: ignore[no-untyped-def]
    return lambda points: np.full(len(points), radius)


class Names(unittest.TestCase):
    def test_each_triangle_knows_what_made_it(self) -> None:
        mesh = box().joined(boss()).mesh
        self.assertEqual(mesh.names, ("f1", "piece"))
        middle = mesh.points[mesh.triangles].mean(axis=1)
        from_boss = mesh.made_by == 0
        np.testing.assert_array_equal(from_boss, middle[:, 2] > 5 + 1e-6)

    def test_edges_are_found_by_what_meets_there(self) -> None:
        edges = box().joined(boss()).mesh.edges()
        self.assertEqual(set(edges), {("f1", "f1"), ("f1", "piece"), ("piece", "piece")})
        seam = edges["f1", "piece"]
        self.assertAlmostEqual(np.linalg.norm(seam[:, 1] - seam[:, 0], axis=1).sum(), 2 * np.pi * 8, delta=0.01)
        np.testing.assert_allclose(seam[..., 2], 5, atol=1e-9)
        self.assertEqual(len(edges["piece", "piece"]), 12)

    def test_names_outlast_motions_and_mirrors(self) -> None:
        body = box().joined(boss())
        mirror = np.diag([1.0, 1.0, -1.0, 1.0])
        moved = body.moved(mirror)
        self.assertAlmostEqual(moved.volume, body.volume, places=6)
        self.assertEqual(set(moved.mesh.edges()), set(body.mesh.edges()))

    def test_normals_to_be_drawn_are_smooth_on_a_sheet_and_sharp_between(self) -> None:
        points, normals, triangles = boss().mesh.shaded()
        # On the round side they look straight away from the axis, on the lids along it.
        radial = np.column_stack([points[:, :2] / 8, np.zeros(len(points))])
        lids = np.abs(normals[:, 2]) > 0.5
        np.testing.assert_allclose(np.abs(normals[lids, 2]), 1, atol=1e-6)
        np.testing.assert_allclose(normals[~lids], radial[~lids], atol=0.02)
        self.assertEqual(triangles.max() + 1, len(points))

    def test_what_encloses_nothing_is_refused(self) -> None:
        mesh = box().mesh
        with self.assertRaisesRegex(CoreError, "enclose"):
            mesh_body(mesh.points, mesh.triangles[1:], "a")
        with self.assertRaisesRegex(CoreError, "inside out"):
            mesh_body(mesh.points, mesh.triangles[:, ::-1], "a")


class Offsets(unittest.TestCase):
    def test_a_level_set_is_closed_and_true(self) -> None:
        def ball(points: np.ndarray) -> np.ndarray:
            return np.linalg.norm(points - 1, axis=1) - 6

        off = []
        for voxel in (1.0, 0.5):
            points, triangles = level_set(ball, np.full(3, -6.5), np.full(3, 8.5), voxel)
            body = mesh_body(points, triangles, "a")
            off.append(1 - body.volume / (4 / 3 * np.pi * 216))
        # Marching is of second order.
        self.assertLess(abs(off[1]), 0.006)
        self.assertAlmostEqual(off[0] / off[1], 4, delta=1)

    def test_a_shrunk_box_is_a_box_but_for_its_cut_edges(self) -> None:
        inner = offset(box(), -2, 0.4, "h")
        assert inner is not None
        np.testing.assert_allclose(inner.size, [36, 36, 6], atol=0.02)
        self.assertAlmostEqual(inner.volume / (36 * 36 * 6), 1, delta=0.005)
        self.assertIsNone(offset(box(), -6, 0.4, "h"))

    def test_a_grown_box_is_rounded_by_steiners_formula(self) -> None:
        # J. Steiner, 1840: V + A d + M d^2 + 4/3 pi d^3, for a box of edges a, b, c: M = pi (a + b + c).
        grown = offset(box((10, 8, 6)), 2, 0.2, "h")
        assert grown is not None
        expected = 480 + 2 * (80 + 60 + 48) * 2 + np.pi * 24 * 4 + 4 / 3 * np.pi * 8
        self.assertAlmostEqual(grown.volume / expected, 1, delta=0.002)

    def test_walls_are_as_thick_as_they_were_made(self) -> None:
        inner = offset(box(), -2, 0.4, "h")
        assert inner is not None
        mesh = box().less(inner).mesh
        walls, at = wall_at(mesh.points, mesh.triangles, 500)
        self.assertEqual(walls.shape, at.shape[:1])
        self.assertAlmostEqual(float(np.median(walls)), 2, delta=0.02)
        self.assertGreater(float(np.percentile(walls, 2)), 1.9)


class Blends(unittest.TestCase):
    def ring(self, radius: float, inner: float = 8) -> float:
        """The volume between a wall, a floor and a quarter of a circle turned about the wall's axis (Pappus)."""
        area = (1 - np.pi / 4) * radius**2
        centroid = radius * (10 - 3 * np.pi) / (3 * (4 - np.pi))
        return float(area * 2 * np.pi * (inner + centroid))

    def test_a_round_in_a_hollow_corner_has_pappus_volume(self) -> None:
        body = box().joined(boss())
        for radius in (1.0, 3.0):
            done = blend(body, body.mesh.between(("f1", "piece")), always(radius), radius / 6, "f2")
            self.assertAlmostEqual((done.volume - body.volume) / self.ring(radius), 1, delta=0.04)
            mesh = done.mesh
            round_ = mesh.points[np.unique(mesh.triangles[mesh.made_by == mesh.names.index("f2")])]
            # All of it lies on the circle, or within a voxel under the sheets.
            reach = np.hypot(np.hypot(round_[:, 0], round_[:, 1]) - 8 - radius, round_[:, 2] - 5 - radius)
            self.assertLess(float(reach.min()), radius * 1.02)
            self.assertGreater(float(reach.min()), radius * 0.97)

    def test_a_round_on_a_ridge_takes_off_what_the_formula_says(self) -> None:
        body = boss(8, 20)
        done = blend(body, body.mesh.between(("f1", "f1")), always(2.0), 0.3, "f2")
        area, centroid = (1 - np.pi / 4) * 4, 2 * (10 - 3 * np.pi) / (3 * (4 - np.pi))
        expected = 2 * area * 2 * np.pi * (8 - centroid)
        self.assertAlmostEqual((body.volume - done.volume) / expected, 1, delta=0.05)

    def test_a_chamfer_takes_off_a_triangle(self) -> None:
        body = boss(8, 20)
        done = blend(body, body.mesh.between(("f1", "f1")), always(2.0), 0.3, "f2", flat=True)
        expected = 2 * 2 * 2 * np.pi * (8 - 2 / 3)
        self.assertAlmostEqual((body.volume - done.volume) / expected, 1, delta=0.05)

    def test_a_radius_may_vary_along_the_edge(self) -> None:
        body = box().joined(boss())
        varied = blend(body, body.mesh.between(("f1", "piece")), lambda p: 2 + p[:, 0] / 8, 0.2, "f2").volume - body.volume
        # The mean over the circle of what a radius of 2 + cos t gives, from 1 to 3.
        expected = np.mean([self.ring(2 + np.cos(t)) for t in np.linspace(0, 2 * np.pi, 64, endpoint=False)])
        self.assertAlmostEqual(varied / expected, 1, delta=0.05)

    def test_edges_that_are_not_there_are_said_not_to_be(self) -> None:
        with self.assertRaisesRegex(CoreError, "no such edges"):
            blend(box(), box().mesh.between(("f1", "piece")), always(1.0), 0.3, "f2")

    def test_a_ball_that_finds_no_floor_is_refused_with_the_place(self) -> None:
        plate = named(manifold3d.Manifold.cylinder(10, 8.3, 8.3, 128).translate((0, 0, -10)), "piece")
        body = plate.joined(boss(8, 20))
        with self.assertRaisesRegex(CoreError, "finds no room along"):
            blend(body, body.mesh.between(("f1", "piece")), always(9.0), 1, "f2")
