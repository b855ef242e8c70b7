"""Where curves pass one another, and curves parted there: against plane geometry, and against dense points."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial.distance import cdist

from tests.studio.test_growing import after
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.crossings import passes
from zinc_otter.core.curve.making import circle, ellipse
from zinc_otter.core.curve.points import parted
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.design import Design

ACROSS = Curve([(12, -40, 0), (12, 40, 0)], 1)


class Passes(unittest.TestCase):
    def test_a_line_across_an_ellipse(self) -> None:
        # x = 12 meets x²/30² + y²/15² = 1 at y = ±15·√(1 − (12/30)²).
        made = pieces_of(ellipse(60, 30, 48))
        places, least = passes(made, pieces_of(ACROSS), 1e-6)
        self.assertEqual(len(places), 2)
        self.assertLess(least, 1e-9)
        high = 15 * np.sqrt(1 - (12 / 30) ** 2)
        np.testing.assert_allclose(np.sort(made.at(places)[:, 1]), [-high, high], atol=2e-3)
        np.testing.assert_allclose(made.at(places)[:, 0], 12, atol=1e-9)

    def test_beside_one_another_in_space(self) -> None:
        above = Curve([(12, -40, 2), (12, 40, 2)], 1)
        made = pieces_of(circle(40, 24))
        places, least = passes(made, pieces_of(above), 0.1)
        self.assertEqual(len(places), 0)
        self.assertAlmostEqual(least, 2, places=9)
        self.assertEqual(len(passes(made, pieces_of(above), 2.001)[0]), 2)

    def test_one_far_away(self) -> None:
        places, least = passes(pieces_of(circle(40, 24)), pieces_of(Curve([(100, 0, 0), (100, 0, 50)], 1)), 0.1)
        self.assertEqual(len(places), 0)
        self.assertAlmostEqual(least, 80, delta=1e-3)


class Parting(unittest.TestCase):
    def test_legs_part_without_a_trace(self) -> None:
        first, second, third = parted(Curve([(0, 0, 0), (10, 0, 0), (10, 10, 0)], 1), [0.3, 1.5])
        for part, goal in ((first, [(0, 0), (3, 0)]), (second, [(3, 0), (10, 0), (10, 5)]), (third, [(10, 5), (10, 10)])):
            np.testing.assert_allclose(part.curve.points[:, :2], goal, atol=1e-12)
            self.assertLess(part.deviation, 1e-12)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(4, 12), st.integers(0, 2**31), st.sampled_from([2, 3]), st.booleans(), st.floats(0.3, 0.7))
    def test_parts_lie_on_what_they_were(self, count: int, seed: int, degree: Any, closed: bool, share: float) -> None:
        """Their ends meet on the curve, and they stray by no more than is said."""
        random = np.random.default_rng(seed)
        steps = random.uniform(2, 9, (count, 3)) * random.choice([-1, 1, 1], (count, 3))
        curve = Curve(np.cumsum(steps, axis=0), degree, closed)
        made = pieces_of(curve)
        place = made.breaks[0] + share * (made.breaks[-1] - made.breaks[0])
        parts = parted(curve, [place])
        self.assertEqual(len(parts), 1 if closed else 2)
        where = made.at([place])[0]
        for end in (parts[0].curve.points[-1], parts[-1].curve.points[0]):
            np.testing.assert_allclose(end, where, atol=1e-9)
        dense = made.dense(400)
        for part in parts:
            far = cdist(pieces_of(part.curve).dense(60), dense).min(axis=1).max()
            self.assertLess(far, part.deviation + 0.05 + np.linalg.norm(np.diff(dense, axis=0), axis=1).max())


class PartingPieces(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), {"kind": "add-curve", "shape": "circle", "diameter": 40, "count": 24})

    def lined(self, *points: tuple[float, float, float]) -> Design:
        return after(self.design, {"kind": "draw-curve", "points": points, "way": "straight"})

    def test_a_ring_that_a_line_passes(self) -> None:
        parts = after(self.lined((12, -40, 0), (12, 40, 0)), {"kind": "part-curve", "piece": "p1", "by": "p2"})
        curves = [piece.curve for piece in parts.pieces if piece.id != "p2"]
        self.assertEqual([curve and curve.closed for curve in curves], [False, False])
        ends = np.vstack([curve.points[[0, -1]] for curve in curves if curve])
        np.testing.assert_allclose(np.abs(ends), np.tile([12, 16, 0], (4, 1)), atol=1e-3)

    def test_sentences(self) -> None:
        for points, words in (
            (((12, -40, 3), (12, 40, 3)), "comes no nearer to .* than 3 mm"),
            (((50, 0, 0), (60, 9, 0)), "comes no nearer to .* than 30.* mm"),
        ):
            with self.assertRaisesRegex(BadSelectionError, words):
                after(self.lined(*points), {"kind": "part-curve", "piece": "p1", "by": "p2"})
        tip = self.lined((20, 0, 0), (60, 9, 0))
        with self.assertRaisesRegex(BadSelectionError, "passes it at an end only"):
            after(tip, {"kind": "part-curve", "piece": "p2", "by": "p1"})
        with self.assertRaisesRegex(BadSelectionError, "pick two"):
            after(tip, {"kind": "part-curve", "piece": "p1", "by": "p1"})
        with self.assertRaisesRegex(BadSelectionError, "pick one"):
            after(tip, {"kind": "part-curve", "piece": "p1"})
