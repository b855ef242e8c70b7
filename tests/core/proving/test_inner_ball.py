"""The largest ball inside, against formulas: slab at an angle, wedge, torus, ball in ball, and beside the ray's measure."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.proving.test_proofs import ground
from zinc_otter.core.primitives.sized import sized_box, sized_patched_sphere, sized_torus
from zinc_otter.core.proof.inner_ball import inner_balls
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.proof.walls import point_normals
from zinc_otter.core.proving.wall import Wall, thickness


def wall_of(*sides: tuple[np.ndarray, np.ndarray]) -> tuple[np.ndarray, np.ndarray]:
    """Samples and normals of plane sides, each a grid of points (k, 3) with one outward normal."""
    points = np.concatenate([grid for grid, _ in sides])
    return points, np.concatenate([np.tile(normal, (len(grid), 1)) for grid, normal in sides])


def plane(origin: list[float], along: list[float], across: list[float], step: float) -> np.ndarray:
    u, v = np.meshgrid(np.arange(0, 40, step), np.arange(-20, 20, step), indexing="ij")
    return np.array(origin) + u.reshape(-1, 1) * np.array(along) + v.reshape(-1, 1) * np.array(across)


class InnerBalls(unittest.TestCase):
    def test_in_a_wedge_the_ball_tells_less_than_the_ray(self) -> None:
        angle = np.radians(30)
        c, s = float(np.cos(angle)), float(np.sin(angle))
        # Samples of the far side lie between those of the near one, as they fall.
        near = plane([0.0, 0.0, 0.0], [1, 0, 0], [0, 1, 0], 0.5)
        far = plane([0.0, 0.13, 0.0], [c, 0, s], [0, 1, 0], 0.5)
        points, normals = wall_of((near, np.array([0.0, 0, -1])), (far, np.array([-s, 0, c])))
        which = np.flatnonzero((near[:, 0] >= 4) & (near[:, 0] <= 16) & (abs(near[:, 1]) < 5))
        x = near[which, 0]
        found = inner_balls(points, normals, which, x * np.tan(angle))
        # Touching both sides at x from the edge: r = x tan(angle / 2).
        np.testing.assert_allclose(found, 2 * x * np.tan(angle / 2), rtol=2e-3)

    def test_a_slab_at_an_angle_is_as_thick_both_ways(self) -> None:
        turn = np.radians(37)
        c, s = float(np.cos(turn)), float(np.sin(turn))
        up = np.array([-s, 0, c])
        low = plane([0.0, 0.0, 0.0], [c, 0, s], [0, 1, 0], 0.7)
        points, normals = wall_of((low, -up), (low + 2.0 * up + [0.3 * c, 0.2, 0.3 * s], up))
        which = np.flatnonzero((abs(low[:, 1]) < 10) & (low[:, 0] > 5) & (low[:, 0] < 25))
        np.testing.assert_allclose(inner_balls(points, normals, which, np.full(len(which), 2.0)), 2.0, rtol=1e-3)

    def test_a_torus_by_its_section(self) -> None:
        at = ground(sized_torus((30, 6), (24, 12), "surface"))
        found = thickness(at, np.arange(0, len(at.points), 7), "ball")
        np.testing.assert_allclose(found, 6.0, rtol=0.01)

    def test_a_ball_within_what_a_nearly_round_form_allows(self) -> None:
        # A patched sphere strays from round by a thousandth; the ball within is touched all round, so that a normal which
        # is that much off moves its far side, and its size, by some per cent. It is never told too large.
        at = ground(sized_patched_sphere(20.0, 4, "surface"))
        found = thickness(at, np.arange(0, len(at.points), 61), "ball")
        self.assertLess(found.max(), 20.02)
        self.assertGreater(found.min(), 18.5)

    def test_a_ball_in_a_ball(self) -> None:
        outer, inner = (ground(sized_patched_sphere(size, 4, "surface")) for size in (20.0, 16.0))
        points = np.concatenate([outer.points, inner.points])
        triangles = np.concatenate([outer.triangles, inner.triangles[:, ::-1] + len(outer.points)])
        normals, rays = point_normals(points, triangles), Rays(points, triangles)
        which = np.arange(0, len(points), 41)
        straight = rays.out(points[which] - 2e-5 * normals[which], -normals[which])
        which = which[np.isfinite(straight)]
        self.assertGreater(len(which), 0.95 * len(straight))
        found = inner_balls(points, normals, which, straight[np.isfinite(straight)])
        # Both surfaces are spheres within a thousandth of their radius; 2 mm lie between them.
        np.testing.assert_allclose(found, 2.0, atol=0.02)

    def test_no_ball_is_larger_than_the_way_straight_inwards(self) -> None:
        at = ground(sized_box((30.0, 20.0, 8.0), (3, 2, 1), "surface"))
        which = np.arange(0, len(at.points), 5)
        self.assertTrue((thickness(at, which, "ball") <= thickness(at, which) + 1e-9).all())

    def test_the_proof_says_by_which(self) -> None:
        proof = Wall(least=5.0, by="ball", piece="p1")
        self.assertEqual(proof.asked(lambda _: "Hull"), "Wall of Hull at least 5 mm, by the ball inside")
        at = ground(sized_torus((30, 6), (24, 12), "surface"))
        self.assertEqual(proof.judge(at).holds, "holds")
        self.assertEqual(Wall(least=6.2, by="ball").judge(at).holds, "fails")
