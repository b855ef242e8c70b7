"""Control points added, taken away, drawn out; curves parted, joined, offset; and what is told of them."""

from __future__ import annotations

import pickle
import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.building.motion import moving, placed
from zinc_otter.core.cage.edits.flatten import flatten
from zinc_otter.core.cage.edits.space_evenly import space_evenly
from zinc_otter.core.cage.picking import band, grow, loops_of
from zinc_otter.core.cage.reach import Reach
from zinc_otter.core.curve import Curve, CurveError, pieces_of
from zinc_otter.core.curve.facts import facts_of
from zinc_otter.core.curve.fitting import strays, through
from zinc_otter.core.curve.making import circle, ellipse, helix
from zinc_otter.core.curve.points import (
    closed_up,
    drawn_out,
    joined_to_one,
    offset_in_plane,
    parted_at,
    with_points_on,
    without_points,
)
from zinc_otter.core.errors import BadSelectionError

ARCH = Curve([(0, 0, 0), (10, 15, 2), (25, 18, 0), (40, 4, -3), (52, 0, 0)])


class Polygons(unittest.TestCase):
    """What works on the vertices of a cage works on control points."""

    def test_edges_run_from_point_to_point(self) -> None:
        t = circle(20, 6).polygon.topology
        self.assertEqual((t.vertex_count, t.edge_count, t.face_count), (6, 6, 0))
        legs = {tuple(sorted((k, (k + 1) % 6))) for k in range(6)}
        self.assertEqual({tuple(pair) for pair in t.edge_verts.tolist()}, legs)
        for leg, edge in enumerate(t.edge_of_leg.tolist()):
            self.assertEqual(sorted(t.edge_verts[edge].tolist()), sorted((leg, (leg + 1) % 6)))
        self.assertEqual(ARCH.polygon.topology.edge_count, 4)
        self.assertFalse(t.is_closed)

    def test_motions_reach_and_alignment(self) -> None:
        moved = placed(ARCH.polygon, Selection.of("vertex", [2]), moving((0, 0, 5)), Reach(30.0))
        back = ARCH.with_polygon(moved.cage)
        up = back.points[:, 2] - ARCH.points[:, 2]
        self.assertEqual(up[2], 5)
        self.assertTrue(0 < up[1] < 5 and 0 < up[3] < 5)
        flat = ARCH.with_polygon(flatten(ARCH.polygon, Selection.of("vertex", range(5)), normal=(0, 0, 1)).cage)
        self.assertAlmostEqual(float(np.ptp(flat.points[:, 2])), 0)
        even = space_evenly(ARCH.polygon, Selection.of("vertex", range(5))).cage.positions
        np.testing.assert_allclose(even[[0, -1]], ARCH.points[[0, -1]], atol=1e-12)

    def test_picking(self) -> None:
        t = circle(20, 9).polygon.topology
        self.assertEqual(grow(t, Selection.of("vertex", [0])).ids.tolist(), [0, 1, 8])
        self.assertEqual(band(t, Selection.of("vertex", [0, 3])).ids.tolist(), [0, 1, 2, 3])
        self.assertEqual(len(loops_of(t, Selection.of("edge", [2]))), 9)

    def test_it_travels(self) -> None:
        back = pickle.loads(pickle.dumps(ARCH))
        self.assertEqual(back, ARCH)
        self.assertIs(back.polygon.topology, ARCH.polygon.topology)
        self.assertEqual(back.digest, ARCH.digest)
        self.assertNotEqual(Curve(ARCH.points, 2).digest, ARCH.digest)


class Points(unittest.TestCase):
    def test_one_more_with_the_form_held(self) -> None:
        for curve in (ARCH, Curve(ARCH.points, 2), circle(40, 7)):
            made, fresh = with_points_on(curve, [1, 3])
            self.assertEqual((made.curve.count, fresh.tolist()), (curve.count + 2, [2, 5]))
            self.assertLess(made.deviation, 0.02 * 40)
            self.assertAlmostEqual(made.deviation, strays(made.curve, curve))
        made, _ = with_points_on(Curve(ARCH.points, 1), [0], 0.25)
        self.assertEqual(made.deviation, 0.0)
        np.testing.assert_allclose(made.curve.points[1], ARCH.points[0] * 0.75 + ARCH.points[1] * 0.25)

    def test_a_corner_stays_a_corner(self) -> None:
        bent = Curve(ARCH.points, 3, False, [0, 0, 10, 0, 0])
        made, _ = with_points_on(bent, [0])
        self.assertEqual(made.curve.sharpness.tolist(), [0, 0, 0, 10, 0, 0])
        np.testing.assert_allclose(made.curve.points[3], ARCH.points[2])

    def test_fewer(self) -> None:
        left = without_points(ARCH, [2])
        self.assertEqual(left.curve.count, 4)
        held = without_points(circle(40, 12), [3], hold=True)
        let = without_points(circle(40, 12), [3])
        self.assertLess(held.deviation, let.deviation)
        with self.assertRaisesRegex(BadSelectionError, "keeps 3 control points"):
            without_points(circle(40, 4), [0, 1])
        with self.assertRaisesRegex(BadSelectionError, "keeps 2"):
            without_points(ARCH, range(4))

    def test_drawn_out_of_an_end(self) -> None:
        made, fresh = drawn_out(ARCH, 4, (5, 0, 0))
        self.assertEqual((made.count, fresh, made.points[5].tolist()), (6, 5, [57, 0, 0]))
        made, fresh = drawn_out(ARCH, 0, (-5, 0, 0))
        self.assertEqual((fresh, made.points[0].tolist()), (0, [-5, 0, 0]))
        for curve, at in ((ARCH, 2), (circle(10, 5), 0)):
            with self.assertRaises(BadSelectionError):
                drawn_out(curve, at, (1, 0, 0))


class Whole(unittest.TestCase):
    def test_parted_and_joined(self) -> None:
        place = pieces_of(ARCH).at([2])[0]
        first, second = (part.curve for part in parted_at(ARCH, 2))
        for end in (first.points[-1], second.points[0]):
            np.testing.assert_allclose(end, place)
        again, gap = joined_to_one(first, second.reversed())
        self.assertAlmostEqual(gap, 0)
        self.assertEqual(again.count, 7)
        self.assertLess(strays(again, ARCH), 0.6)
        (opened,) = (part.curve for part in parted_at(circle(20, 6), 2))
        self.assertEqual((opened.closed, opened.count), (False, 7))
        np.testing.assert_allclose(opened.points[0], opened.points[-1])
        self.assertEqual(closed_up(opened).count, 6)
        with self.assertRaises(BadSelectionError):
            parted_at(ARCH, 0)

    def test_what_cannot_be_joined_or_closed(self) -> None:
        with self.assertRaisesRegex(CurveError, "degree"):
            joined_to_one(ARCH, Curve(ARCH.points + 60, 2))
        with self.assertRaises(CurveError):
            closed_up(circle(20, 6))

    def test_ends_that_lie_apart_keep_their_points(self) -> None:
        whole, gap = joined_to_one(ARCH, Curve([(60, 0, 0), (70, 5, 0), (80, 0, 0)]))
        self.assertAlmostEqual(gap, 8)
        self.assertEqual(whole.count, 8)

    def test_offset_of_a_circle_is_a_circle(self) -> None:
        outer = offset_in_plane(circle(40, 24), 3, (0, 0, 1))
        far = np.linalg.norm(pieces_of(outer.curve).dense(20), axis=1)
        np.testing.assert_allclose(far, 23, atol=2e-3)
        self.assertLess(outer.deviation, 2e-3)
        inner = offset_in_plane(circle(40, 24), -3, (0, 0, 1))
        np.testing.assert_allclose(np.linalg.norm(pieces_of(inner.curve).dense(20), axis=1), 17, atol=2e-3)
        with self.assertRaisesRegex(CurveError, "turn back on itself"):
            offset_in_plane(ellipse(60, 10, 24), -4, (0, 0, 1))


class Facts(unittest.TestCase):
    def test_against_formulas(self) -> None:
        ring = facts_of(through([(20 * np.cos(t), 20 * np.sin(t), 0) for t in np.arange(48) * np.pi / 24], True))
        self.assertAlmostEqual(ring.length, 2 * np.pi * 20, delta=1e-3)
        self.assertAlmostEqual(ring.least_radius or 0, 20, delta=0.04)
        self.assertTrue(ring.plane)
        self.assertEqual(ring.crosses, ())
        screw = facts_of(helix(20, 6, 3, 16))
        self.assertFalse(screw.plane)
        self.assertAlmostEqual(screw.length, 3 * np.hypot(2 * np.pi * 10, 6), delta=0.05)
        straight = facts_of(Curve([(0, 0, 0), (10, 0, 0), (30, 0, 0)]))
        self.assertEqual((straight.least_radius, straight.tightest), (None, None))

    def test_where_it_crosses_itself(self) -> None:
        turns = np.arange(16) * np.pi / 8
        eight = through(np.column_stack([20 * np.sin(turns), 10 * np.sin(2 * turns), 0 * turns]), True)
        (at,) = facts_of(eight).crosses
        np.testing.assert_allclose(at, (0, 0, 0), atol=1e-4)
        lifted = eight.with_points(eight.points + np.column_stack([0 * turns, 0 * turns, 3 * np.cos(turns)]))
        self.assertEqual(facts_of(lifted).crosses, ())
        loop = Curve([(0, 0, 0), (20, 10, 0), (20, -10, 0), (0, 0.5, 0), (-3, 8, 0)], 1)
        self.assertEqual(len(facts_of(loop).crosses), 1)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(3, 14), st.integers(0, 2**31), st.sampled_from([1, 2, 3]), st.booleans())
    def test_random_curves(self, count: int, seed: int, degree: int, closed: bool) -> None:
        curve = Curve(np.random.default_rng(seed).uniform(-20, 20, (count, 3)), degree, closed)  # type: ignore[arg-type]
        facts = facts_of(curve)
        chords = np.linalg.norm(np.diff(pieces_of(curve).dense(64), axis=0), axis=1).sum()
        self.assertAlmostEqual(facts.length / chords, 1, delta=2e-3)
        made, fresh = with_points_on(curve, [0])
        self.assertEqual(made.curve.count, count + 1)
        self.assertEqual(without_points(made.curve, fresh).curve.count, count)
