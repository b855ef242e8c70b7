"""Strokes of a hand, curves made longer and evened out: against the lines that they were drawn along."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.evening import evened
from zinc_otter.core.curve.extending import extended
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.making import circle
from zinc_otter.core.curve.tracing import freehand
from zinc_otter.core.errors import CoreError


def shaken(points: np.ndarray, by: float, seed: int = 3) -> np.ndarray:
    return points + np.random.default_rng(seed).normal(0, by, points.shape) * [1, 1, 0]


def ring(radius: float, n: int = 400) -> np.ndarray:
    turn = np.linspace(0, 2 * np.pi, n, endpoint=False)
    return np.column_stack([radius * np.cos(turn), radius * np.sin(turn), 0 * turn])


class Freehand(unittest.TestCase):
    def test_the_shaking_of_a_hand_is_evened_out(self) -> None:
        made = freehand(shaken(ring(20), 0.08), 0.4, closed=True)
        self.assertTrue(made.curve.closed)
        self.assertLess(made.curve.count, 9)
        self.assertLessEqual(made.deviation, 0.4)
        # Nearer to the circle that was meant than the stroke itself came.
        off = np.abs(np.linalg.norm(pieces_of(made.curve).dense(30)[:, :2], axis=1) - 20)
        self.assertLess(float(off.max()), 0.2)

    def test_corners_are_where_the_hand_turned(self) -> None:
        side = np.linspace(0, 30, 100)
        one = np.column_stack([side, 0 * side, 0 * side])
        other = np.column_stack([30 + 0 * side, side, 0 * side])
        curve = freehand(shaken(np.vstack([one, other]), 0.08), 0.4).curve
        self.assertEqual(curve.count, 3)
        at = np.flatnonzero(curve.sharpness)
        self.assertEqual(at.tolist(), [1])
        np.testing.assert_allclose(curve.points[1], [30, 0, 0], atol=0.4)

    def test_a_straight_stroke_has_two_points(self) -> None:
        line = np.column_stack([np.linspace(0, 50, 80), np.zeros((80, 2))])
        self.assertEqual(freehand(shaken(line, 0.05), 0.4).curve.count, 2)

    def test_what_shakes_by_more_than_asked_says_how_much(self) -> None:
        made = freehand(shaken(ring(20), 0.3), 0.1, closed=True)
        self.assertGreater(made.deviation, 0.1)
        self.assertLess(made.curve.count, 40)

    def test_a_drop_with_one_corner(self) -> None:
        turn = np.linspace(0, np.pi / 2, 200)
        drop = np.column_stack([30 * np.sin(2 * turn) * np.cos(turn), 30 * np.sin(2 * turn) * np.sin(turn), 0 * turn])
        made = freehand(drop[:-1], 0.2, closed=True)
        self.assertLessEqual(made.deviation, 0.2)
        self.assertEqual(int((made.curve.sharpness > 0).sum()), 1)
        self.assertLess(freehand(drop, 0.2).deviation, 0.21)

    def test_wrong_numbers(self) -> None:
        for points, tolerance in (([(0, 0, 0)] * 3, 0.5), (ring(5), 0.0), (ring(5), float("nan"))):
            with self.assertRaises(CoreError):
                freehand(points, tolerance)


def random_curve(seed: int, n: int, degree: int = 3) -> Curve:
    rng = np.random.default_rng(seed)
    return Curve(np.cumsum(rng.normal(0, 1, (n, 3)) + [4, 0, 0], axis=0), degree)  # type: ignore[arg-type]


class Extending(unittest.TestCase):
    def test_straight_on_by_more_than_a_leg_what_there_was_stays_exactly(self) -> None:
        curve = random_curve(1, 6)
        made = extended(curve, 25.0)
        before, after = pieces_of(curve), pieces_of(made.curve)
        np.testing.assert_allclose(after.at(np.linspace(0, 5, 200)), before.at(np.linspace(0, 5, 200)), atol=1e-12)
        self.assertAlmostEqual(after.length, before.length + 25, places=9)
        end, way = before.at([5.0])[0], before.directions([5.0])[0]
        np.testing.assert_allclose(made.curve.points[-1], end + 25 * way, atol=1e-9)

    @settings(max_examples=60, deadline=None)
    @given(st.integers(0, 10_000), st.integers(3, 9), st.integers(1, 3), st.floats(-4, 20), st.booleans(), st.booleans())
    def test_the_length_is_what_was_asked_within_what_is_told(
        self, seed: int, n: int, degree: int, by: float, first: bool, bending: bool
    ) -> None:
        curve = random_curve(seed, n, degree)
        try:
            made = extended(curve, by, first=first, onwards="bending" if bending else "straight")
        except CoreError:
            self.assertTrue(abs(by) < 1e-9 or pieces_of(curve).length + by < 1e-3)
            return
        stays = -1 if first else 0
        np.testing.assert_allclose(made.curve.points[stays], curve.points[stays], atol=1e-9)
        grown = pieces_of(made.curve).length - pieces_of(curve).length
        self.assertAlmostEqual(grown, by, delta=0.02 * pieces_of(curve).length + 4 * made.deviation)

    def test_bending_on_along_its_circle(self) -> None:
        turn = np.linspace(0, np.pi / 2, 10)
        arc = through(np.column_stack([30 * np.cos(turn), 30 * np.sin(turn), 0 * turn]))
        made = extended(arc, 20.0, onwards="bending").curve
        new = pieces_of(made).at(np.linspace(arc.end, made.end, 50))
        self.assertLess(float(np.abs(np.linalg.norm(new, axis=1) - 30).max()), 0.9)

    def test_what_has_no_end_or_would_vanish(self) -> None:
        with self.assertRaisesRegex(CoreError, "closed curve has no end"):
            extended(circle(10, 8), 3)
        with self.assertRaisesRegex(CoreError, "nothing would be left"):
            extended(random_curve(2, 5), -500)


class Evening(unittest.TestCase):
    def test_a_kink_goes_and_the_rest_stays(self) -> None:
        points = np.column_stack([np.arange(12.0) * 5, np.zeros(12), np.zeros(12)])
        points[5, 1] = 4
        made = evened(Curve(points), np.arange(3, 8), rounds=40, strength=1.0).curve
        self.assertLess(float(np.abs(made.points[3:8, 1]).max()), 2)
        np.testing.assert_array_equal(made.points[[0, 1, 2, 8, 9, 10, 11]], points[[0, 1, 2, 8, 9, 10, 11]])

    def test_straight_lines_and_corners_stay_and_a_circle_hardly_shrinks(self) -> None:
        line = Curve(np.column_stack([np.arange(8.0), np.zeros((8, 2))]))
        np.testing.assert_allclose(evened(line, np.arange(8), rounds=50).curve.points, line.points, atol=1e-12)
        cornered = Curve([(0, 0, 0), (10, 0, 0), (10, 10, 0), (20, 10, 0)], 3, False, [0, 10, 0, 0])
        self.assertEqual(evened(cornered, [1, 2], rounds=9).curve.points[1].tolist(), [10, 0, 0])
        shrunk = evened(circle(20, 24), np.arange(24), rounds=5).curve
        self.assertGreater(float(np.linalg.norm(shrunk.points, axis=1).min()) / 10, 0.99)

    @settings(max_examples=30, deadline=None)
    @given(st.integers(0, 10_000), st.integers(4, 12), st.integers(1, 30))
    def test_held_it_stays_the_curve_that_it_was(self, seed: int, n: int, rounds: int) -> None:
        curve = random_curve(seed, n)
        held = evened(curve, np.arange(n), rounds=rounds, hold=True)
        free = evened(curve, np.arange(n), rounds=rounds)
        self.assertLessEqual(held.deviation, free.deviation + 0.1)
