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
from zinc_otter.studio.commands import read_command
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


class Strips(unittest.TestCase):
    def test_off_a_surface_it_stands_as_high_as_asked_and_follows_both(self) -> None:
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 24, "count": 12, "centre": [0, 0, 16]}
        design = after(Design(), BALL, ring, grow("strip", source="p2", surface="p1", height=4, count=2))
        strip = design.piece("p3").cage
        self.assertEqual(strip.topology.face_count, 24)
        # A ball of radius 20: its normals lead through its middle, so that the far side lies on one of radius 24.
        far = np.linalg.norm(strip.positions, axis=1).reshape(12, 3)[:, 2]
        made = pieces_of(Curve(strip.positions.reshape(12, 3, 3)[:, 2], 3, True)).dense(12)
        np.testing.assert_allclose(np.linalg.norm(made, axis=1), 24, atol=0.05)
        self.assertGreater(float(far.min()), 23.5)
        grown = after(design, {"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1.5] * 3})
        self.assertNotEqual(grown.piece("p3").form, design.piece("p3").form)
        with self.assertRaisesRegex(CoreError, "how high"):
            after(Design(), BALL, ring, grow("strip", source="p2", surface="p1", height=0))


class Lines(unittest.TestCase):
    def test_trimmed_one_part_is_left(self) -> None:
        line = {"kind": "draw-curve", "points": [[-30, 0, 0], [-10, 1, 0], [10, -1, 0], [30, 0, 0]]}
        across = {"kind": "draw-curve", "points": [[10, -20, 0], [10, 20, 0]]}
        for keep, side in (("longest", -1), ("first", -1), ("last", 1)):
            cut = after(Design(), line, across, {"kind": "part-curve", "piece": "p1", "by": "p2", "keep": keep})
            self.assertEqual(len(cut.pieces), 2)
            points = curve_of(cut, "p1").points[:, 0]
            self.assertTrue((side * (points - 10) > -0.1).all(), keep)

    def test_a_closed_curve_that_is_opened_loses_nothing_and_says_so(self) -> None:
        ring = after(Design(), {"kind": "add-curve", "shape": "circle", "diameter": 30, "count": 12})
        for keep in ("all", "longest", "first"):
            first = {"kind": "vertex", "ids": [0]}
            command = read_command({"kind": "part-curve", "piece": "p1", "picked": first, "keep": keep})
            opened = command.apply(ring)
            self.assertIn("It is open now", opened.remarks[0])
            self.assertEqual(command.title(ring), "Parted Curve")
            lengths = [pieces_of(curve_of(d, "p1")).length for d in (ring, opened.design)]
            self.assertAlmostEqual(lengths[0], lengths[1], delta=0.1)

    def test_longer_at_the_end_that_is_picked(self) -> None:
        from zinc_otter.studio.commands.base import InHand, Picked
        from zinc_otter.studio.commands.change_curve import ExtendCurve

        line = {"kind": "draw-curve", "points": [[-30, 0, 0], [-10, 4, 0], [10, -4, 0], [30, 0, 0]]}
        design = after(Design(), line)
        for at, end in ((0, "first"), (3, "last")):
            hand = InHand(piece="p1", picked=Picked(kind="vertex", ids=[at]))
            self.assertEqual(ExtendCurve.beginnings(design, hand), {"end": end})
        longer = after(design, {"kind": "extend-curve", "piece": "p1", "by": 12, "end": "first"})
        before, now = (pieces_of(curve_of(d, "p1")).length for d in (design, longer))
        self.assertAlmostEqual(now, before + 12, delta=0.3)
        self.assertLess(float(curve_of(longer, "p1").points[0, 0]), -38)

    def test_a_stroke_kept_as_a_curve(self) -> None:
        turn = np.linspace(0, np.pi, 120)
        stroke = np.column_stack([30 * np.cos(turn), 20 * np.sin(turn), 0 * turn]).tolist()
        design = after(Design(), {"kind": "draw-freehand", "points": stroke, "tolerance": 0.3})
        self.assertLess(curve_of(design, "p1").count, 14)

    def test_relaxed_a_curve_loses_its_kink_or_only_moves_its_points(self) -> None:
        kinked = {
            "kind": "draw-curve",
            "way": "control",
            "points": [[0, 0, 0], [10, 0, 0], [20, 9, 0], [30, 0, 0], [40, 0, 0]],
        }
        all_of_it = {"kind": "piece", "ids": [0]}
        smooth = after(Design(), kinked, {"kind": "relax", "piece": "p1", "picked": all_of_it, "rounds": 20, "hold": False})
        self.assertLess(float(curve_of(smooth, "p1").points[2, 1]), 6)
        held = after(Design(), kinked, {"kind": "relax", "piece": "p1", "picked": all_of_it, "rounds": 20, "hold": True})
        self.assertGreater(float(curve_of(held, "p1").points[2, 1]), 7)


class CrossCurves(unittest.TestCase):
    RINGS: tuple[dict[str, Any], ...] = tuple(
        {"kind": "add-curve", "shape": "circle", "diameter": wide, "count": 12, "centre": [0, 0, up]}
        for wide, up in ((40, 0), (50, 20), (30, 40))
    )

    def line(self, **more: Any) -> dict[str, Any]:
        given = {"start": [0, -60, -10], "end": [0, -60, 50], "towards": [0, -1, 0]}
        return {"kind": "cross-curve", "curves": ["p3", "p1", "p2"], **given, **more}

    def test_it_runs_through_the_near_sides_in_the_order_of_the_line(self) -> None:
        design = after(Design(), *self.RINGS, self.line())
        points = pieces_of(curve_of(design, "p4")).at([0, 1, 2])
        np.testing.assert_allclose(points, [[0, -20, 0], [0, -25, 20], [0, -15, 40]], atol=0.02)
        self.assertEqual(design.piece("p4").grown.sources, ("p1", "p2", "p3"))

    def test_in_perspective_it_lies_behind_the_line_that_was_drawn(self) -> None:
        eye = np.array([30.0, -200.0, 20.0])
        design = after(Design(), *self.RINGS, self.line(eye=eye.tolist(), start=[5, -60, -40], end=[5, -60, 90]))
        points = pieces_of(curve_of(design, "p4")).at([0, 1, 2])
        normal = np.cross([0, 0, 1], eye - [5, -60, 0])
        np.testing.assert_allclose((points - eye) @ normal / np.linalg.norm(normal), 0, atol=1e-6)
        self.assertTrue((points[:, 1] < 0).all())

    def test_it_follows_and_a_skin_over_both_follows_too(self) -> None:
        lines = [self.line(start=[x, -60, -10], end=[x, -60, 50]) for x in (-8, 0, 8)]
        arcs = [
            {"kind": "draw-curve", "points": [[r * np.sin(t), -r * np.cos(t), up] for t in np.radians([-60, -20, 20, 60])]}
            for r, up in ((20, 0), (25, 20), (15, 40))
        ]
        net = grow("skin", curves=["p1", "p2", "p3", "p4", "p5", "p6"])
        design = after(Design(), *arcs, *lines, net)
        pulled = after(design, move("p2", [1, 2], [0, -6, 0]))
        for piece in ("p4", "p5", "p6", "p7"):
            self.assertNotEqual(pulled.piece(piece).form, design.piece(piece).form, piece)
        middle = pieces_of(curve_of(pulled, "p5")).at([1])[0]
        self.assertAlmostEqual(float(middle[1]), -31, delta=0.5)

    def test_sentences(self) -> None:
        for change, words in (
            ({"start": [70, -60, -10], "end": [70, -60, 50]}, "crosses none of these"),
            ({"end": [0, -60, 8]}, "crosses Circle only|crosses Curve only"),
            ({"end": [0, -60, -10]}, "no length"),
            ({"curves": ["p1", "p9"]}, "p9"),
        ):
            with self.assertRaisesRegex(CoreError, words):
                after(Design(), *self.RINGS, self.line(**change))
