"""Faces laid corner by corner, and outlines filled with quads."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import HARD, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.lay import first_face, lay_face
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError
from zinc_otter.core.primitives import box
from zinc_otter.core.primitives.outline import (
    border_deviation,
    circle,
    drawn,
    ellipse,
    filled,
    rounded_rectangle,
    sampled,
)
from zinc_otter.core.surface import build_stencils, evaluate

UP = (0.0, 0.0, 1.0)


class Laying(unittest.TestCase):
    def test_a_first_face_looks_where_it_is_told(self) -> None:
        square = [(0, 0, 0), (0, 10, 0), (10, 10, 0), (10, 0, 0)]
        for towards in (UP, (0, 0, -1)):
            cage = first_face(square, towards)
            self.assertGreater(float(cage.face_normals[0] @ towards), 0.99)

    def test_a_strip_goes_on_with_two_points_a_face(self) -> None:
        cage = first_face([(0, 0, 0), (10, 0, 0), (10, 10, 0), (0, 10, 0)], UP)
        edge = [v for v in range(4) if cage.positions[v, 0] == 10]
        for step in range(1, 4):
            x = 10 * (step + 1)
            low, high = sorted(edge, key=lambda v: cage.positions[v, 1])
            done = lay_face(cage, [low, high, (x, 10, 0), (x, 0, 0)], UP)
            cage = done.cage
            edge = [v for v in range(len(cage.positions)) if cage.positions[v, 0] == x]
            self.assertEqual(done.selected, Selection.of("face", [step]))
        self.assertEqual((cage.topology.vertex_count, cage.topology.face_count), (10, 4))
        self.assertTrue((cage.face_normals[:, 2] > 0.99).all())

    def test_creases_stay_and_triangles_are_faces_too(self) -> None:
        cage = set_crease(first_face([(0, 0, 0), (1, 0, 0), (1, 1, 0), (0, 1, 0)], UP), Selection.of("edge", [0]), 3).cage
        pair = cage.topology.edge_verts[0]
        done = lay_face(cage, [int(pair[0]), int(pair[1]), (0.5, -2, 0)], UP)
        self.assertEqual(done.cage.topology.face_sizes.tolist(), [4, 3])
        self.assertEqual(done.cage.edge_sharpness[done.old_to_new.edges[0]], 3)

    def test_what_makes_no_face_is_refused(self) -> None:
        cage = first_face([(0, 0, 0), (1, 0, 0), (1, 1, 0), (0, 1, 0)], UP)
        bow = [(0, 0, 0), (2, 2, 0), (2, 0, 0), (0, 1, 0)]
        for corners, error, sentence in (
            ([(0, 0, 0), (1, 1, 0), (2, 2, 0)], BadNumberError, "on one line"),
            (bow, BadNumberError, "cross"),
            ([(0, 0, 0), (1, 1, 0)], BadNumberError, "three or four"),
            ([0, 1, 9, (3, 3, 3)], BadSelectionError, "no vertex 9"),
            ([0, (5, 5, 0), (6, 5, 0), (6, 0, 1)], UnsoundCageError, "single point"),
            ([(float("nan"), 0, 0), (1, 1, 0), (2, 0, 0)], BadNumberError, "nowhere"),
        ):
            with self.assertRaisesRegex(error, sentence):
                lay_face(cage, corners, UP)  # type: ignore[arg-type]
        with self.assertRaisesRegex(UnsoundCageError, "two are the most"):
            edge = box((1, 1, 1), (1, 1, 1)).topology.edge_verts[0]
            lay_face(box((1, 1, 1), (1, 1, 1)), [int(edge[0]), int(edge[1]), (5, 5, 0), (6, 7, 0)], UP)


class Outlines(unittest.TestCase):
    def test_the_border_of_a_circle_follows_it(self) -> None:
        deviations = []
        for around in (8, 16, 32):
            cage = filled(circle(40), around)
            surface = evaluate(build_stencils(cage, 3), cage)
            limits = surface.points[:around]
            np.testing.assert_allclose(np.hypot(limits[:, 0], limits[:, 1]), 20, rtol=1e-9)
            deviations.append(border_deviation(cage, circle(40), around))
            self.assertTrue(cage.topology.all_quads)
            self.assertEqual(len(cage.topology.open_edges), around)
        # A cubic spline comes closer by 16 for each halving (C. de Boor, "A Practical Guide to Splines", 1978, chapter V).
        self.assertLess(deviations[0], 0.4)
        for coarse, fine in zip(deviations, deviations[1:], strict=False):
            self.assertGreater(coarse / fine, 12)

    def test_the_deviation_is_that_of_the_dense_surface(self) -> None:
        cage = filled(ellipse(40, 24), 12)
        surface = evaluate(build_stencils(cage, 5), cage)
        t = build_stencils(cage, 5).finest.topology
        rim = surface.points[np.unique(t.edge_verts[t.open_edges])]
        off = np.abs(np.hypot(rim[:, 0] / 20, rim[:, 1] / 12) - 1).max()
        reported = border_deviation(cage, ellipse(40, 24), 12)
        self.assertGreater(off * 20, 0.5 * reported)
        self.assertLess(off * 12, 2 * reported)

    def test_sharp_corners_stay_sharp(self) -> None:
        cage = filled(rounded_rectangle(40, 20, 0), 16)
        self.assertEqual(np.count_nonzero(cage.vertex_sharpness == HARD), 4)
        surface = evaluate(build_stencils(cage, 3), cage)
        for corner in ((20, 10), (-20, 10), (-20, -10), (20, -10)):
            self.assertLess(np.linalg.norm(surface.points[:, :2] - corner, axis=1).min(), 1e-9)
        self.assertLess(border_deviation(cage, rounded_rectangle(40, 20, 0), 16), 1e-9)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(4, 20), st.integers(1, 3), st.floats(10, 60), st.floats(0.0, 1.0))
    def test_every_patch_is_sound_and_looks_up(self, half: int, rings: int, width: float, round_share: float) -> None:
        outline = rounded_rectangle(width, 30, round_share * min(width, 30) / 2)
        cage = filled(outline, 2 * half, rings)
        cage.topology.check()
        self.assertTrue((cage.face_area_vectors[:, 2] > 0).all())
        self.assertEqual(cage.topology.euler_characteristic, 1)

    def test_drawn_outlines_smooth_and_straight(self) -> None:
        bean = [(0, 0), (20, -6), (40, 0), (42, 14), (22, 9), (0, 16)]
        for smooth in (True, False):
            outline = drawn(bean, smooth)
            cage = filled(outline, 24, 2)
            limits = evaluate(build_stencils(cage, 2), cage).points[:24, :2]
            through, corners = sampled(outline, 24)
            np.testing.assert_allclose(limits, through, atol=1e-9)
            self.assertEqual(np.count_nonzero(corners), 0 if smooth else 6)
        clockwise = filled(drawn(bean[::-1], True), 24)
        self.assertTrue((clockwise.face_area_vectors[:, 2] > 0).all())

    def test_refusals(self) -> None:
        star = [(np.cos(a) * r, np.sin(a) * r) for a, r in zip(np.arange(14) * np.pi / 7, [20, 1] * 7, strict=True)]
        for sentence, act in (
            ("crosses itself", lambda: drawn([(0, 0), (10, 10), (10, 0), (0, 9)], False)),
            ("at least three", lambda: drawn([(0, 0), (10, 10)], True)),
            ("same place", lambda: drawn([(0, 0), (10, 10), (10, 10), (0, 9)], True)),
            ("radius lies between", lambda: rounded_rectangle(20, 10, 6)),
            ("as many faces around", lambda: filled(drawn([(0, 0), (9, 0), (9, 9), (4, 12), (0, 9)], False), 4)),
            ("even number of edges", lambda: filled(circle(10), 9)),
            ("bends in too far", lambda: filled(drawn(star, False), 14)),
        ):
            with self.assertRaisesRegex(BadNumberError, sentence):
                act()
