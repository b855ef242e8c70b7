"""Sweeps against the formulas of cylinder, cone and torus; skins against the curves of their nets."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.curve.test_growing import dense, lies_in, volume_and_area
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.curve import Curve, CurveError, pieces_of
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.growing import skin, sweep
from zinc_otter.core.curve.making import circle, helix, rounded_rectangle
from zinc_otter.core.errors import BadNumberError, CoreError

RAIL = Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0), (30, 0, 0)])


def across(curve: Curve, x: float) -> Curve:
    """A flat curve, stood up across the x axis."""
    return curve.with_points(np.column_stack([np.full(curve.count, x), curve.points[:, 0], curve.points[:, 1]]))


class Sweeps(unittest.TestCase):
    def test_one_circle_is_a_cylinder_and_two_are_a_cone(self) -> None:
        """V = pi r^2 h, and pi h (R^2 + R r + r^2) / 3; a circle of 16 points keeps its area to 3e-4."""
        tube = sweep(RAIL, [across(circle(20, 16), 0)])
        self.assertAlmostEqual(volume_and_area(tube)[0] / (np.pi * 100 * 30), 1, delta=5e-4)
        cone = sweep(RAIL, [across(circle(10, 12), 30), across(circle(20, 16), 0)])
        self.assertAlmostEqual(volume_and_area(cone)[0] / (np.pi * 30 / 3 * (100 + 50 + 25)), 1, delta=1e-3)
        self.assertTrue(tube.cage.topology.is_closed and shell_volumes(cone.cage)[0] > 0)

    def test_round_a_ring_as_pappus_says(self) -> None:
        torus = sweep(circle(60, 24), [circle(10, 12)], stands="square")
        self.assertAlmostEqual(volume_and_area(torus)[0] / (2 * np.pi * 30 * np.pi * 25), 1, delta=1e-3)
        self.assertTrue(torus.cage.topology.is_closed)
        self.assertEqual(len(torus.suspect), 0)

    def test_the_profiles_lie_in_it(self) -> None:
        bar = across(rounded_rectangle(12, 6, 2), 30)
        made = sweep(RAIL, [across(circle(10, 16), 0), bar])
        # A border is the curve of its control points: at the end these are the profile's own.
        ends = made.cage.positions[np.abs(made.cage.positions[:, 0] - 30) < 1e-9]
        self.assertEqual({tuple(p.round(9)) for p in ends}, {tuple(p.round(9)) for p in bar.points})
        waist = across(circle(8, 16), 15)
        three = sweep(RAIL, [across(circle(10, 16), 0), waist, across(circle(10, 16), 30)])
        self.assertLess(lies_in(three, waist), 5e-3)

    def test_a_second_rail_draws_the_width(self) -> None:
        second = Curve([(0, 10, 0), (10, 10, 0), (20, 20, 0), (30, 20, 0)])
        flat = Curve([(0, 0, 0), (0, 5, 2), (0, 10, 0)])
        made = sweep(RAIL, [flat], second=second)
        points, _ = dense(made, 3)
        for x, wide in ((0.0, 10.0), (30.0, 20.0)):
            ring = points[np.abs(points[:, 0] - x) < 1e-6]
            self.assertAlmostEqual(float(ring[:, 1].max()), wide, delta=0.02)

    def test_upright_frames_do_not_lean(self) -> None:
        ribbon = Curve([(-3, 0, 0), (0, 0, 0), (3, 0, 0)])
        made = sweep(helix(40, 20, 1.5, 8), [ribbon], stands="square", turns="upright")
        points = made.cage.positions.reshape(3, -1, 3)
        np.testing.assert_allclose(points[0, :, 2], points[2, :, 2], atol=1e-6)

    def test_too_tight_a_bend_is_marked(self) -> None:
        made = sweep(circle(20, 12), [circle(30, 8)], stands="square")
        self.assertGreater(len(made.suspect), 0)
        self.assertIn("bends tighter", made.remarks[0])

    def test_what_cannot_be(self) -> None:
        corner = Curve([(0, 0, 0), (10, 0, 0), (10, 10, 0)], 1)
        for rail, profiles, words in (
            (RAIL, [], "1 to"), (RAIL, [circle(9, 6), Curve([(0, 0, 0), (1, 1, 0)])], "all open"),
            (corner, [circle(2, 6)], "corners"),
            (RAIL, [across(circle(9, 6), 10), across(circle(7, 6), 10)], "one place"),
        ):  # fmt: skip
            with self.assertRaisesRegex(CurveError, words):
                sweep(rail, profiles)
        with self.assertRaises(BadNumberError):
            sweep(RAIL, [circle(9, 6)], each=0)
        with self.assertRaisesRegex(CurveError, "second rail is closed"):
            sweep(RAIL, [across(circle(9, 6), 0)], second=circle(50, 8))


def net(columns: int, rows: int, height: float = 3.0) -> tuple[list[Curve], list[Curve]]:
    """Curves over a wavy ground, both ways, that cross exactly."""
    xs, ys = np.linspace(0, 40, columns), np.linspace(0, 30, rows)

    def at(x: float, y: float) -> tuple[float, float, float]:
        return (x, y, height * np.sin(x / 10) * np.cos(y / 12))

    return [through([at(x, y) for x in xs]) for y in ys], [through([at(x, y) for y in ys]) for x in xs]


class Skins(unittest.TestCase):
    def test_the_curves_of_the_net_lie_in_it(self) -> None:
        lengthwise, crosswise = net(5, 4)
        made = skin([*lengthwise, *crosswise], each=3)
        for curve in (*lengthwise, *crosswise):
            self.assertLess(lies_in(made, curve), 1e-4)
        self.assertLess(made.deviation, 1e-4)

    @settings(max_examples=20, deadline=None)
    @given(st.integers(0, 2**31), st.integers(2, 5), st.integers(2, 5))
    def test_in_any_order_and_direction(self, seed: int, columns: int, rows: int) -> None:
        random = np.random.default_rng(seed)
        curves = [c.reversed() if random.random() < 0.5 else c for family in net(columns, rows) for c in family]
        random.shuffle(curves)  # type: ignore[arg-type]
        made = skin(curves)
        made.cage.topology.check()
        self.assertLess(max(lies_in(made, curve) for curve in curves), 0.02 + made.deviation)

    def test_a_tube_of_hoops_and_ribs(self) -> None:
        hoops = [
            through([(r * np.cos(a), r * np.sin(a), z) for a in np.arange(12) * np.pi / 6], True)
            for r, z in ((20, 0), (28, 15), (22, 35), (12, 50))
        ]
        ribs = [through([pieces_of(hoop).at([k])[0] for hoop in hoops]) for k in (0, 3, 6, 9)]
        made = skin([*ribs, *hoops])
        self.assertEqual(len(made.cage.topology.open_edges), 2 * 4 * 2)
        # With fewer faces than the hoops have points it cannot hold them all round, and says by how much.
        self.assertLess(max(lies_in(made, curve) for curve in (*hoops, *ribs)), 1.02 * made.deviation + 1e-3)
        finer = skin([*ribs, *hoops], each=3)
        self.assertLess(max(lies_in(finer, curve) for curve in (*hoops, *ribs)), 1e-3)

    def test_what_misses_is_drawn_together_or_named(self) -> None:
        lengthwise, crosswise = net(4, 3)
        lifted = crosswise[1].with_points(crosswise[1].points + [0, 0, 0.05])
        made = skin([*lengthwise, crosswise[0], lifted, *crosswise[2:]], tolerance=0.1)
        self.assertIn("drawn together", made.remarks[1])
        far = crosswise[1].with_points(crosswise[1].points + [0, 0, 4])
        with self.assertRaises(CurveError) as caught:
            skin([*lengthwise, crosswise[0], far, *crosswise[2:]], tolerance=0.1)
        self.assertTrue(caught.exception.place.points)

    def test_what_is_no_net(self) -> None:
        lengthwise, crosswise = net(4, 3)
        for curves in (lengthwise, [*lengthwise, crosswise[0]], [lengthwise[0], crosswise[0]]):
            with self.assertRaises(CoreError):
                skin(curves)
        slant = through([(0, 0, 0), (20, 15, 0), (40, 30, 0)])
        flat_length, flat_cross = net(3, 3, 0.0)
        with self.assertRaises(CurveError):
            skin([*flat_length, *flat_cross, slant])
