"""Exact bodies on both routes, against the formulas of their volumes; and what lies within them at a distance."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.solid.exact import Ball, Block, Cone, Cylinder
from zinc_otter.core.solid.kernel.check import exact_volume
from zinc_otter.core.solid.kernel.shape import NamedShape, one_name

# Volumes of the cylinder, the stump of a cone, the sphere: any handbook of mathematics.
BODIES = (
    (Cylinder((1, 2, 3), (1, 1, 0), 4, 9), np.pi * 16 * 9),
    (Cone((0, 0, 5), (0, 2, 1), 6, 2, 9), np.pi * 9 / 3 * (36 + 12 + 4)),
    (Cone((0, 0, 5), (0, 0, -1), 6, 0, 9), np.pi * 36 * 9 / 3),
    (Ball((-3, 0, 1), 5), 4 / 3 * np.pi * 125),
    (Block((1, 1, 1), (2, 3, 4)), 24.0),
)


class Volumes(unittest.TestCase):
    def test_triangles_tend_to_the_formula_from_inside(self) -> None:
        for body, volume in BODIES:
            off = [1 - body.mesh(chord).volume() / volume for chord in (0.1, 0.01)]
            self.assertGreaterEqual(off[1], -1e-12, body)
            self.assertLess(off[1], 0.009, body)
            self.assertLessEqual(off[1], off[0])

    def test_the_kernel_gives_the_formula(self) -> None:
        for body, volume in BODIES:
            self.assertAlmostEqual(exact_volume(one_name(body.shape(), "a")) / volume, 1, delta=1e-4, msg=str(body))

    def test_both_routes_stand_in_the_same_place(self) -> None:
        for body, _ in BODIES:
            low_high = np.array(body.mesh(0.005).bounding_box()).reshape(2, 3)
            self.assertLess(np.abs(_box(one_name(body.shape(), "a")) - low_high).max(), 0.03, body)

    def test_points_of_a_grown_body_lie_at_the_distance(self) -> None:
        for body, _ in BODIES:
            for by in (-0.7, 0.5):
                grown = body.grown(by)
                assert grown is not None
                one, other = (_box(one_name(b.shape(), "a")) for b in (body, grown))
                if isinstance(body, Block | Ball):
                    np.testing.assert_allclose(other - one, [[-by] * 3, [by] * 3], atol=0.02)
                # Every wall of the inner body keeps the distance from every wall of the outer: it holds for the volumes of
                # a cylinder and of a cone by their formulas, with radius, slope and height moved.
                if isinstance(body, Cylinder):
                    expected = np.pi * (4 + by) ** 2 * (9 + 2 * by)
                    self.assertAlmostEqual(grown.mesh(1e-4).volume() / expected, 1, delta=1e-3)

    def test_a_cone_shrinks_square_to_its_side(self) -> None:
        cone = Cone((0, 0, 0), (0, 0, 1), 6, 0, 8)
        inner = cone.grown(-1)
        assert inner is not None
        # The side leans 3 : 4; the point of the foot's rim nearest to it keeps 1 mm.
        normal = np.array([8, 6]) / 10
        rim = np.array([inner.radius, inner.point[2]])
        self.assertAlmostEqual(float((np.array([6, 0]) - rim) @ normal), 1, places=9)
        tip = np.array([0, inner.point[2] + inner.height])
        self.assertAlmostEqual(float((np.array([0, 8]) - tip) @ normal), 1, places=9)

    def test_nothing_is_left_of_what_is_too_thin(self) -> None:
        for body in (Cylinder(radius=2, height=9), Cylinder(radius=9, height=2), Ball(radius=1), Block(size=(9, 9, 2))):
            self.assertIsNone(body.grown(-2), body)

    def test_sizes_that_make_no_body_are_refused_by_name(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "radius"):
            Cylinder(radius=0)
        with self.assertRaisesRegex(BadNumberError, "height"):
            Cone(height=float("nan"))
        with self.assertRaisesRegex(BadNumberError, "direction"):
            Cylinder(along=(0, 0, 0))
        with self.assertRaisesRegex(BadNumberError, "depth"):
            Block(size=(1, -1, 1))


def _box(body: NamedShape) -> np.ndarray:
    from zinc_otter.core.solid.kernel.shape import triangulated

    points = triangulated(body, 0.01, 0.2).points
    return np.array([points.min(axis=0), points.max(axis=0)])
