"""Closed curves filled with quads: the border is the curve, and the sheet within is as large as it encloses."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.studio.test_growing import after, move
from zinc_otter.core.cage import Cage
from zinc_otter.core.curve import Curve, CurveError, pieces_of
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.curve.growing import fill
from zinc_otter.core.curve.making import circle, ellipse, polygon, wave
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design


def dense(cage: Cage) -> tuple[np.ndarray, np.ndarray]:
    """Points of the limit surface along the sheet's border, and the vector area of all its quads (half diagonals' cross)."""
    stencils = build_stencils(cage, 4)
    points, quads = evaluate(stencils, cage).points, stencils.quads
    a, b = quads.ravel(), np.roll(quads, -1, axis=1).ravel()
    pairs, times = np.unique(np.sort(np.column_stack([a, b]), axis=1), axis=0, return_counts=True)
    p = points[quads]
    area = np.cross(p[:, 2] - p[:, 0], p[:, 3] - p[:, 1]).sum(axis=0) / 2
    return points[np.unique(pairs[times == 1])], area


def enclosed(curve: Curve) -> np.ndarray:
    """The vector area within a closed curve, by Stokes's theorem: half the sum of cross products of its dense points."""
    points = pieces_of(curve).dense(400)
    return np.cross(points[:-1], points[1:]).sum(axis=0) / 2


class Filling(unittest.TestCase):
    def test_with_as_many_faces_as_points_the_border_is_the_curve(self) -> None:
        for curve in (circle(40, 12), ellipse(60, 24, 16), wave(40, 3, 0, 5, 8), polygon(30, 6)):
            made = fill(curve, curve.count)
            self.assertEqual((made.deviation, made.remarks), (0, ()))
            border, area = dense(made.cage)
            np.testing.assert_allclose(feet_on(border, pieces_of(curve)), border, atol=1e-8)
            np.testing.assert_allclose(area, enclosed(curve), rtol=1e-3, atol=1e-3)

    def test_with_others_it_strays_by_what_is_said(self) -> None:
        curve = ellipse(60, 24, 16)
        made = fill(curve, 12)
        self.assertIn("strays from the curve by at most", made.remarks[0])
        border, _ = dense(made.cage)
        far = np.linalg.norm(feet_on(border, pieces_of(curve)) - border, axis=1).max()
        self.assertLessEqual(far, made.deviation + 1e-6)
        self.assertGreater(far, 0.5 * made.deviation)

    def test_straight_legs_keep_their_corners(self) -> None:
        made = fill(polygon(30, 6), 18, 2)
        border, area = dense(made.cage)
        corners = polygon(30, 6).points
        self.assertLess(np.linalg.norm(corners[:, None] - border[None], axis=2).min(axis=1).max(), 1e-9)
        self.assertAlmostEqual(float(area[2]), 6 * 15**2 * np.sqrt(3) / 4, delta=1e-6)

    def test_it_looks_to_where_the_curve_runs_counter_clockwise(self) -> None:
        self.assertGreater(dense(fill(circle(20, 8), 8).cage)[1][2], 0)
        self.assertLess(dense(fill(circle(20, 8).reversed(), 8).cage)[1][2], 0)

    def test_sentences(self) -> None:
        turns = np.arange(12) * np.pi / 6
        eight = Curve(np.column_stack([20 * np.sin(turns), 10 * np.sin(2 * turns), 0 * turns]), 3, True)
        with self.assertRaisesRegex(CurveError, "crosses itself at"):
            fill(eight, 12)
        with self.assertRaisesRegex(CurveError, "is open. Close it first"):
            fill(Curve([(0, 0, 0), (10, 0, 0), (10, 10, 0)]), 12)
        with self.assertRaisesRegex(BadNumberError, "even number"):
            fill(circle(20, 8), 9)
        with self.assertRaisesRegex(BadNumberError, "one ring"):
            fill(circle(20, 8), 8, 0)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(3, 14), st.integers(0, 2**31), st.sampled_from([1, 2, 3]), st.integers(2, 12))
    def test_random_curves_give_a_sound_sheet_or_a_sentence(self, count: int, seed: int, degree: Any, half: int) -> None:
        random = np.random.default_rng(seed)
        turns = np.arange(count) * 2 * np.pi / count
        radii = random.uniform(8, 20, count)
        points = np.column_stack([radii * np.cos(turns), radii * np.sin(turns), random.uniform(-6, 6, count)])
        curve = Curve(points, degree, True)
        try:
            made = fill(curve, 2 * half)
        except CoreError as error:
            self.assertRegex(str(error), r"\.$")
            return
        topology = made.cage.topology
        self.assertTrue((topology.face_sizes == 4).all())
        self.assertEqual(topology.vertex_count - topology.edge_count + topology.face_count, 1)


class Following(unittest.TestCase):
    def test_a_pulled_curve_pulls_its_patch(self) -> None:
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 40, "count": 12}
        grow = {"kind": "grow", "growth": {"kind": "filled", "source": "p1", "around": 12}}
        design = after(Design(), ring, grow)
        pulled = after(design, move("p1", [0, 1], [4, 0, 6]))
        curve = pulled.piece("p1").curve
        assert curve is not None
        np.testing.assert_array_equal(pulled.piece("p2").cage.positions, fill(curve, 12).cage.positions)
