"""How far a form lies from a scan: against formulas and brute force, on both sides, and where there is nothing to measure
to."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.scan.forms import ball, ball_points
from zinc_otter.core.proof.distance import MeshDistance, nearest_on_triangles
from zinc_otter.core.scan.deviation import deviates, not_covered, signed_deviation

STAYS = np.vstack([np.eye(3), np.zeros(3)])


class Signed(unittest.TestCase):
    def test_outside_is_above_and_inside_below_also_of_an_open_scan(self) -> None:
        scan = ball(20, poles=0.3)
        self.assertFalse(scan.closed)
        way = np.random.default_rng(1).normal(size=(500, 3))
        way[:, 2] *= 0.5
        way /= np.linalg.norm(way, axis=1, keepdims=True)
        for far in (0.7, -0.7):
            off = signed_deviation((20 + far) * way, scan)
            known = np.isfinite(off)
            self.assertGreater(known.mean(), 0.95)
            self.assertLess(abs(off[known] - far).max(), 0.02)

    def test_beyond_an_open_rim_there_is_no_telling(self) -> None:
        scan = ball(20, poles=0.5)
        off = signed_deviation(np.array([[0, 0, 20.3], [0, 0, -19.0], [20.1, 0, 0]]), scan)
        self.assertTrue(np.isnan(off[:2]).all())
        self.assertAlmostEqual(off[2], 0.1, delta=0.01)

    def test_against_brute_force(self) -> None:
        scan = ball(20, 0.3, rows=16)
        points = np.random.default_rng(2).normal(size=(40, 3))
        points *= np.random.default_rng(3).uniform(19, 21, (40, 1)) / np.linalg.norm(points, axis=1, keepdims=True)
        corners = scan.vertices[scan.triangles]
        least = [
            np.linalg.norm(nearest_on_triangles(np.tile(p, (len(corners), 1)), corners)[0] - p, axis=1).min() for p in points
        ]
        off = scan.sided(points)
        np.testing.assert_allclose(np.abs(off.distance), least, atol=1e-9)

    def test_sides_as_the_winding_number_tells_them(self) -> None:
        """A. Jacobson, L. Kavan, O. Sorkine-Hornung, "Robust inside-outside segmentation using generalized winding numbers",
        SIGGRAPH 2013: by solid angles of all triangles, and no nearest place."""
        import igl
        import trimesh

        mesh = trimesh.creation.icosphere(subdivisions=3, radius=20)
        rough = np.random.default_rng(6).normal(0, 0.2, (len(mesh.vertices), 1))
        mesh = trimesh.Trimesh(mesh.vertices * (1 + rough / 20), mesh.faces, process=False)
        closed = MeshDistance(np.asarray(mesh.vertices), np.asarray(mesh.faces))
        self.assertTrue(closed.closed)
        points = np.random.default_rng(4).normal(size=(300, 3)) * 11
        inside = igl.winding_number(closed.vertices, closed.triangles, points) > 0.5
        np.testing.assert_array_equal(closed.sided(points).distance < 0, np.asarray(inside).reshape(-1))


class Figures(unittest.TestCase):
    def test_by_hand(self) -> None:
        found = deviates(np.array([0.1, -0.4, 0.2, np.nan, 0.0]), 0.2)
        assert found is not None
        self.assertEqual((found.row, found.largest, found.count), (1, -0.4, 4))
        self.assertAlmostEqual(found.rms, (0.21 / 4) ** 0.5)
        self.assertAlmostEqual(found.within, 0.75)
        self.assertAlmostEqual(found.unknown, 0.2)
        self.assertIsNone(deviates(np.full(3, np.nan), 1))

    def test_what_is_not_covered_is_told_as_an_area(self) -> None:
        scan, form = ball(20, poles=1e-3), ball(20.05)
        vertices, triangles = ball_points(20, 0.0)
        upper = triangles[(vertices[triangles][..., 2] > 0).all(axis=1)]
        half = MeshDistance(vertices, upper)
        sphere = 4 * np.pi * 400
        self.assertLess(not_covered(scan, form, STAYS, 0.2)[0], 0.005 * sphere)
        left, whole = not_covered(scan, half, STAYS, 0.2)
        self.assertAlmostEqual(whole, sphere, delta=0.01 * sphere)
        self.assertAlmostEqual(left, sphere / 2, delta=0.03 * sphere)

    def test_a_scan_that_lies_elsewhere_is_measured_where_it_lies(self) -> None:
        moved = np.vstack([np.eye(3), [0, 0, 30.0]])
        left, whole = not_covered(ball(20), ball(20), moved, 0.2)
        self.assertGreater(left, 0.9 * whole)
