"""Curves that grow: sections of a form, curves laid onto one, two views combined into one in space."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np

from tests.studio.test_growing import after, move
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.tracing import by_count
from zinc_otter.core.errors import CoreError
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.studio.design import Design, FollowsError

BALL: dict[str, Any] = {"kind": "add-sphere", "diameter": 40, "size_of": "surface"}


def grow(kind: str, **more: Any) -> dict[str, Any]:
    return {"kind": "grow", "growth": {"kind": kind, **more}}


def curve_of(design: Design, piece: str) -> Curve:
    curve = design.piece(piece).curve
    assert curve is not None
    return curve


class Sections(unittest.TestCase):
    def test_of_a_ball_it_is_a_circle_and_follows(self) -> None:
        design = after(Design(), BALL, grow("section", source="p1", point=[0, 0, 8], count=16))
        at = pieces_of(curve_of(design, "p2")).dense(24)
        np.testing.assert_allclose(at[:, 2], 8, atol=1e-6)
        cage = design.piece("p1").cage
        feet, _ = nearest_on(cage).at(at)
        self.assertLess(float(np.linalg.norm(feet - at, axis=1).max()), 0.02)
        whole = {"kind": "piece", "ids": [0]}
        pulled = after(design, {"kind": "size", "piece": "p1", "picked": whole, "factors": [2, 1, 1]})
        wide = pieces_of(curve_of(pulled, "p2")).dense(24)
        self.assertAlmostEqual(float(np.ptp(wide[:, 0]) / np.ptp(at[:, 0])), 2, delta=0.01)
        with self.assertRaisesRegex(FollowsError, "shape Sphere"):
            after(design, move("p2", [0], [1, 0, 0]))
        self.assertIsNone(after(design, {"kind": "make-independent", "piece": "p2"}).piece("p2").grown)

    def test_of_a_tube_there_are_two_lines(self) -> None:
        design = after(Design(), {"kind": "add-torus", "ring": 40, "section": 10, "counts": [12, 8]})
        outer = after(design, grow("section", source="p1", count=24))
        inner = after(design, grow("section", source="p1", count=24, which=1))
        far, near = (float(np.linalg.norm(curve_of(d, "p2").points[:, :2], axis=1).mean()) for d in (outer, inner))
        self.assertGreater(far, near + 3)
        with self.assertRaisesRegex(CoreError, "no number 9"):
            after(design, grow("section", source="p1", which=8))
        with self.assertRaisesRegex(CoreError, "cuts nothing"):
            after(design, grow("section", source="p1", point=[0, 0, 900]))


class LaidOn(unittest.TestCase):
    def test_it_lies_on_the_surface_or_above_it(self) -> None:
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 24, "count": 16, "centre": [0, 0, 30]}
        for above in (0.0, 1.5):
            design = after(Design(), BALL, ring, grow("laid", curve="p2", onto="p1", above=above))
            at = pieces_of(curve_of(design, "p3")).dense(24)
            feet, _ = nearest_on(design.piece("p1").cage).at(at)
            np.testing.assert_allclose(np.linalg.norm(feet - at, axis=1), above, atol=0.02)
        pulled = after(design, move("p2", [0], [4, 0, 0]))
        self.assertNotEqual(curve_of(pulled, "p3"), curve_of(design, "p3"))

    def test_it_needs_faces(self) -> None:
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 24}
        with self.assertRaisesRegex(CoreError, "is a curve"):
            after(Design(), ring, ring, grow("laid", curve="p1", onto="p2"))


class TwoViews(unittest.TestCase):
    def test_it_looks_like_both(self) -> None:
        front = {"kind": "draw-curve", "points": [[0, 0, 0], [8, 0, 10], [3, 0, 20], [10, 0, 30]]}
        right = {"kind": "draw-curve", "points": [[0, 0, -2], [0, 6, 12], [0, -4, 34]]}
        design = after(Design(), front, right, grow("combined", first="p1", second="p2", count=24))
        at = pieces_of(curve_of(design, "p3")).dense(24)
        one, other = (pieces_of(curve_of(design, piece)).dense(2000) for piece in ("p1", "p2"))
        for point in at[::7]:
            self.assertLess(float(np.hypot(*(one[:, [0, 2]] - point[[0, 2]]).T).min()), 0.05)
            self.assertLess(float(np.hypot(*(other[:, [1, 2]] - point[[1, 2]]).T).min()), 0.05)

    def test_a_second_that_comes_back_is_refused_with_its_place(self) -> None:
        front = {"kind": "draw-curve", "points": [[0, 0, 0], [8, 0, 10], [3, 0, 20]]}
        back = {"kind": "draw-curve", "points": [[0, 0, 0], [0, 6, 20], [0, 9, 3]]}
        with self.assertRaises(CoreError) as caught:
            after(Design(), front, back, grow("combined", first="p1", second="p2"))
        self.assertIn("comes back along z", str(caught.exception))
        self.assertTrue(caught.exception.place.points)


class ByCount(unittest.TestCase):
    def test_the_more_the_nearer(self) -> None:
        t = np.linspace(0, 2 * np.pi, 300)
        wave = np.column_stack([20 * t, 8 * np.sin(2 * t), 3 * np.cos(t)])
        strays = [by_count(wave, count).deviation for count in (8, 12, 20, 40)]
        self.assertTrue(all(a > b for a, b in zip(strays[:-1], strays[1:], strict=True)), strays)
        ring = by_count(np.column_stack([9 * np.cos(t[:-1]), 9 * np.sin(t[:-1]), 0 * t[:-1]]), 12, True)
        self.assertLess(ring.deviation, 0.01)
