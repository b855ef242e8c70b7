"""Curves on the surface: their curvature against exact B-splines and against formulas."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.interpolate import BSpline

from tests.core.refine.shapes import at_height, lengthwise, tube
from tests.sample_cages import jittered, knob, rimmed
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.primitives import torus
from zinc_otter.core.surface import LimitSurface, build_stencils, evaluate
from zinc_otter.core.surface.curves import edge_curves, section_curves, tightest_of


def surface(cage: Cage, level: int = 3) -> LimitSurface:
    return evaluate(build_stencils(cage, level), cage)


def exact_radii(points: np.ndarray) -> tuple[float, float]:
    """Least and greatest radius of curvature of the closed uniform cubic B-spline of control points (n, 2)."""
    n = len(points)
    spline = BSpline(np.arange(-3.0, n + 4), np.concatenate([points, points[:3]]), 3)
    at = np.linspace(0, n, 4000, endpoint=False)
    d1, d2 = spline(at, 1), spline(at, 2)
    bend = np.abs(d1[:, 0] * d2[:, 1] - d1[:, 1] * d2[:, 0]) / np.linalg.norm(d1, axis=1) ** 3
    return 1 / bend.max(), 1 / bend.min()


class Sections(unittest.TestCase):
    def test_across_an_elliptic_tube_against_the_exact_spline(self) -> None:
        # A regular cage is a bicubic B-spline surface, so that its section square to straight lines is the spline itself.
        cage = tube(10)
        squeezed = cage.with_positions(cage.positions * [1.0, 0.6, 1.0])
        ring = at_height(squeezed, 0)
        verts = np.unique(squeezed.topology.edge_verts[ring])
        p = squeezed.positions[verts][:, :2]
        p = p[np.argsort(np.arctan2(p[:, 1] / 0.6, p[:, 0]))]
        least, most = exact_radii(p)
        found = section_curves(surface(squeezed), plane_at((0, 0, 1.3), (0, 0, 1)))
        self.assertEqual(len(found), 1)
        self.assertTrue(found[0].closed)
        bend = np.linalg.norm(found[0].bending, axis=1)
        self.assertAlmostEqual(1 / bend.max() / least, 1, delta=0.03)
        self.assertAlmostEqual(1 / bend.min() / most, 1, delta=0.03)
        self.assertLess(np.abs(found[0].points[:, 2] - 1.3).max(), 1e-4)
        # The centre of the bend lies within.
        inwards = (found[0].bending[:, :2] * found[0].points[:, :2]).sum(axis=1)
        self.assertTrue((inwards < 0).all())

    def test_a_torus_in_two_circles(self) -> None:
        cage = torus((60, 16), (24, 12))
        found = section_curves(surface(cage), plane_at((0, 0, 0), (0, 1, 0)))
        self.assertEqual(len(found), 2)
        self.assertEqual(len(section_curves(surface(cage), plane_at((0, 0, 0), (0, 0, 1)))), 2)
        for curve in found:
            radius = 1 / np.linalg.norm(curve.bending, axis=1)
            measured = np.linalg.norm(curve.points - curve.points.mean(axis=0), axis=1).mean()
            np.testing.assert_allclose(radius, measured, rtol=0.05)

    def test_an_open_one_and_none(self) -> None:
        found = section_curves(surface(tube(8)), plane_at((0, 0, 0), (1, 0, 0)))
        self.assertEqual([curve.closed for curve in found], [False, False])
        for curve in found:
            self.assertGreater(curve.least_radius, 1e4)
            self.assertAlmostEqual(np.ptp(curve.points[:, 2]), 60, delta=0.5)
        self.assertEqual(section_curves(surface(tube(8)), plane_at((50, 0, 0), (1, 0, 0))), [])

    def test_a_hard_rim_parts_the_curve(self) -> None:
        found = section_curves(surface(rimmed(10.0)), plane_at((0, 0.3, 0), (0, 1, 0)))
        self.assertEqual(len(found), 2)
        self.assertTrue(all(not curve.closed for curve in found))
        smooth = section_curves(surface(rimmed(0.0)), plane_at((0, 0.3, 0), (0, 1, 0)))
        self.assertEqual([curve.closed for curve in smooth], [True])

    def test_points_lie_on_the_surface(self) -> None:
        cage = jittered(knob(), 0.2)
        fine = surface(cage, 5).points
        for curve in section_curves(surface(cage, 3), plane_at(cage.positions.mean(axis=0), (0.4, 1, 0.2))):
            off = np.linalg.norm(curve.points[:, None] - fine[None], axis=2).min(axis=1)
            self.assertLess(off.max(), 0.25)


class Edges(unittest.TestCase):
    def test_a_loop_of_a_tube_is_its_spline(self) -> None:
        cage = tube(10)
        ring = at_height(cage, 0)
        p = cage.positions[np.unique(cage.topology.edge_verts[ring])][:, :2]
        least, most = exact_radii(p[np.argsort(np.arctan2(p[:, 1], p[:, 0]))])
        found = edge_curves(surface(cage), ring)
        self.assertEqual([curve.closed for curve in found], [True])
        bend = np.linalg.norm(found[0].bending, axis=1)
        self.assertAlmostEqual(1 / bend.max() / least, 1, delta=0.01)
        self.assertAlmostEqual(1 / bend.min() / most, 1, delta=0.01)

    def test_branches_end_chains(self) -> None:
        cage = tube(8)
        cross = np.concatenate([at_height(cage, 0), edge_loop(cage.topology, int(lengthwise(cage)[0]))])
        found = edge_curves(surface(cage), cross)
        self.assertEqual(len(found), 3)
        tight = tightest_of(found)
        assert tight is not None
        self.assertLess(tight.least_radius, 12)
        self.assertIsNone(tightest_of([]))


if __name__ == "__main__":
    unittest.main()
