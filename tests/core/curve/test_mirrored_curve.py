"""Curves with a live mirror: the two sides are images to the last bit, whatever is done to them."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.studio.test_growing import after
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.curve.making import circle
from zinc_otter.core.curve.mirroring import cut_and_mirrored, followed
from zinc_otter.core.errors import CoreError
from zinc_otter.store.documents import from_document, to_document
from zinc_otter.studio.design import Design

ACROSS_X = Plane((0.0, 0.0, 0.0), (1.0, 0.0, 0.0))
ARC = {"kind": "draw-curve", "points": [[-20, 0, 0], [-8, 8, 4], [6, -5, 0], [20, 5, 0], [30, 0, 9]]}
CUT = {"kind": "mirror", "piece": "p1", "way": "cut"}


def strays(design: Design, piece: str = "p1") -> float:
    held = design.piece(piece)
    assert held.symmetry is not None and held.curve is not None
    return held.symmetry.strays(held.curve.points)


class Beginning(unittest.TestCase):
    def test_one_side_stays_where_it_was(self) -> None:
        turn = np.arange(14) * 2 * np.pi / 14
        egg = Curve(
            np.column_stack([20 * np.cos(turn) + 5, 14 * np.sin(turn) * (1 + 0.2 * np.cos(turn)), 3 * turn * 0]), 3, True
        )
        for positive in (True, False):
            made, symmetry = cut_and_mirrored(egg, ACROSS_X, positive, 0.1)
            self.assertTrue(made.curve.closed)
            self.assertEqual(symmetry.strays(made.curve.points), 0.0)
            kept = pieces_of(egg).dense(20)
            kept = kept[(kept[:, 0] > 0) == positive]
            off = np.linalg.norm(kept - feet_on(kept, pieces_of(made.curve)), axis=1)
            # As told, at other points than those it was fitted to.
            self.assertLessEqual(float(off.max()), made.deviation * 1.05 + 1e-6)
        # Where it meets the plane squarely there is no kink to be smoothed away.
        ring = Curve(egg.points - [5, 0, 0], 3, True)
        self.assertLess(cut_and_mirrored(ring, ACROSS_X, True, 0.1)[0].deviation, 0.1)

    def test_of_a_circle_laid_out_alike_nothing_moves(self) -> None:
        made, symmetry = followed(circle(40, 12), ACROSS_X, True)
        self.assertLess(made.deviation, 1e-12)
        self.assertEqual(sorted(symmetry.vertices[1].tolist()), list(range(12)))

    def test_an_end_near_the_plane_is_drawn_onto_it(self) -> None:
        half = Curve([(20, 0, 0), (15, 8, 0), (6, 10, 0), (0.3, 10, 0)])
        made, _ = cut_and_mirrored(half, ACROSS_X, True, 0.5)
        self.assertEqual((made.curve.count, made.curve.closed, made.curve.points[3, 0]), (7, False, 0.0))
        with self.assertRaisesRegex(CoreError, "crosses the plane 0 times"):
            cut_and_mirrored(half, ACROSS_X, True, 0.1)

    def test_one_that_wanders_through_the_plane_is_refused_with_the_places(self) -> None:
        to_and_fro = Curve([(-9, 0, 0), (9, 3, 0), (-9, 6, 0), (9, 9, 0), (-9, 12, 0)], 1)
        with self.assertRaises(CoreError) as caught:
            cut_and_mirrored(to_and_fro, ACROSS_X, True, 0.1)
        self.assertIn("crosses the plane 4 times", str(caught.exception))
        self.assertEqual(len(caught.exception.place.points), 4)

    @settings(max_examples=60, deadline=None)
    @given(st.integers(0, 10_000), st.integers(4, 12), st.integers(1, 3), st.booleans(), st.booleans())
    def test_sound_or_a_sentence(self, seed: int, n: int, degree: Any, closed: bool, positive: bool) -> None:
        rng = np.random.default_rng(seed)
        turn = np.arange(n) * 2 * np.pi / n
        points = np.column_stack([20 * np.cos(turn), 15 * np.sin(turn), 0 * turn]) + rng.normal(0, 3, (n, 3))
        try:
            made, symmetry = cut_and_mirrored(Curve(points, degree, closed), ACROSS_X, positive, 0.2)
        except CoreError as error:
            self.assertIn("cross", str(error) + "cross" * ("no control point" in str(error)))
            return
        self.assertTrue(symmetry.is_sound)
        self.assertLess(symmetry.strays(made.curve.points), 1e-12)


class Edits(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), ARC, CUT)

    def test_points_are_pulled_added_drawn_out_and_taken_away_on_both_sides(self) -> None:
        one = {"kind": "vertex", "ids": [1]}
        steps: list[tuple[dict[str, Any], int]] = [
            ({"kind": "move", "piece": "p1", "picked": one, "vector": [1, 2, 3]}, 7),
            ({"kind": "extrude-along", "piece": "p1", "picked": {"kind": "vertex", "ids": [0]}, "vector": [5, 2, 0]}, 9),
            ({"kind": "delete", "piece": "p1", "picked": {"kind": "vertex", "ids": [2]}}, 7),
            ({"kind": "add-loop", "piece": "p1", "picked": {"kind": "edge", "ids": [1]}}, 9),
            ({"kind": "relax", "piece": "p1", "picked": one, "hold": False}, 9),
            ({"kind": "relax", "piece": "p1", "picked": one, "hold": True}, 9),
        ]
        design = self.design
        for command, count in steps:
            before = design
            design = after(design, command)
            self.assertEqual(design.piece("p1").cage.topology.vertex_count, count, command)
            self.assertEqual(strays(design), 0.0, command)
            self.assertNotEqual(before.piece("p1").form, design.piece("p1").form)

    def test_what_was_pulled_is_where_it_was_put(self) -> None:
        held = self.design.piece("p1").curve
        assert held is not None
        moved = after(
            self.design, {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [1]}, "vector": [1, 2, 3]}
        )
        now = moved.piece("p1").curve
        assert now is not None
        np.testing.assert_allclose(now.points[1], held.points[1] + [1, 2, 3], atol=1e-12)
        np.testing.assert_allclose(now.points[5], now.points[1] * [-1, 1, 1], atol=1e-12)

    def test_a_point_in_the_plane_stays_in_it(self) -> None:
        moved = after(
            self.design, {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [3]}, "vector": [4, 1, 0]}
        )
        self.assertEqual(moved.piece("p1").cage.positions[3, 0], 0.0)

    def test_as_a_whole_it_takes_its_mirror_along_and_a_copy_has_one(self) -> None:
        whole = {"kind": "piece", "ids": [0]}
        turned = after(self.design, {"kind": "turn", "piece": "p1", "picked": whole, "axis": [0, 0, 1], "degrees": 30})
        self.assertLess(strays(turned), 1e-12)
        copied = after(turned, {"kind": "duplicate-piece", "piece": "p1", "offset": [10, 0, 0]})
        self.assertLess(strays(copied, "p2"), 1e-12)

    def test_saved_and_read_back(self) -> None:
        back = from_document(*to_document(self.design))
        self.assertEqual(back.piece("p1").symmetry, self.design.piece("p1").symmetry)
        moved = after(back, {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [1]}, "vector": [1, 2, 3]})
        self.assertEqual(strays(moved), 0.0)

    def test_what_works_on_the_whole_line_asks_to_make_it_independent(self) -> None:
        for kind in ("reverse-curve", "resample-curve", "extend-curve"):
            with self.assertRaisesRegex(CoreError, "make it independent"):
                after(self.design, {"kind": kind, "piece": "p1"})
        free = after(self.design, {"kind": "make-independent", "piece": "p1"})
        self.assertIsNone(after(free, {"kind": "reverse-curve", "piece": "p1"}).piece("p1").symmetry)

    def test_a_pipe_on_it_is_mirrored_too(self) -> None:
        design = after(self.design, {"kind": "grow", "growth": {"kind": "pipe", "source": "p1", "diameter": 2}})
        moved = after(design, {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [1]}, "vector": [0, 2, 3]})
        points = moved.piece("p2").cage.positions
        extent = np.abs([points[:, 0].min(), points[:, 0].max()])
        self.assertAlmostEqual(float(extent[0]), float(extent[1]), places=6)
