"""Patches and strips of quads on a scan: where their vertices lie, what they take up, and how they are mirrored."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.scan.forms import ball
from zinc_otter.core.cage.symmetry import mirror, plane_at
from zinc_otter.core.cage.symmetry.assembling import assembled
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError
from zinc_otter.core.scan.tracing import patch, strip

SCAN = ball(30, poles=0.05)


def onto(points):
    found = SCAN.sided(points)
    return found.feet, found.normals


def at(longitude: float, latitude: float, radius: float = 30.0) -> np.ndarray:
    a, b = np.radians([longitude, latitude])
    return radius * np.array([np.cos(a) * np.cos(b), np.sin(a) * np.cos(b), np.sin(b)])


def corner(cage, point) -> int:
    return int(np.linalg.norm(cage.positions - point, axis=1).argmin())


FOUR = [at(60, -30), at(20, -30), at(20, 30), at(60, 30)]


class Patches(unittest.TestCase):
    def test_a_grid_lies_on_the_scan_evenly(self) -> None:
        cage = patch(None, FOUR, (4, 5), onto).first_cage((1, 1, 0))
        self.assertEqual(cage.topology.face_count, 20)
        self.assertLess(abs(np.linalg.norm(cage.positions, axis=1) - 30).max(), 0.03)
        sides = np.linalg.norm(np.diff(cage.positions[cage.topology.edge_verts], axis=1)[:, 0], axis=1)
        self.assertLess(sides.max() / sides.min(), 2.2)
        self.assertGreater((cage.face_normals.mean(axis=0) * [1, 1, 0]).sum(), 0)

    def test_the_next_one_goes_on_from_a_side_and_takes_up_its_edges(self) -> None:
        cage = patch(None, FOUR, (3, 4), onto).first_cage((1, 1, 0))
        a, b = corner(cage, FOUR[1]), corner(cage, FOUR[2])
        made = patch(cage, [a, b, at(-20, 30), at(-20, -30)], (9, 2), onto)
        done = made.laid(cage, None, (1, 0, 0))
        # Four edges lie along that side, whatever was asked for.
        self.assertEqual(done.cage.topology.face_count - cage.topology.face_count, 8)
        self.assertEqual(len(made.points), 5 * 2)
        middles = done.cage.positions[done.cage.topology.face_verts.reshape(-1, 4)].mean(axis=1)
        self.assertGreater((done.cage.face_normals * middles).sum(axis=1).min(), 0)

    def test_the_last_gap_is_filled_without_a_new_corner(self) -> None:
        ring = [patch(None, [at(-45, -20), at(45, -20), at(45, 20), at(-45, 20)], (2, 1), onto).first_cage((1, 0, 0))]
        cage = ring[0]
        for begin, end in ((45, 135), (135, 225)):
            a, b = corner(cage, at(begin, -20)), corner(cage, at(begin, 20))
            cage = patch(cage, [a, b, at(end, 20), at(end, -20)], (1, 2), onto).laid(cage, None, at(end, 0)).cage
        one, two = (corner(cage, at(225, z)) for z in (-20, 20))
        three, four = (corner(cage, at(-45, z)) for z in (20, -20))
        made = patch(cage, [one, two, three, four], (1, 2), onto)
        done = made.laid(cage, None, at(270, 0))
        self.assertEqual(len(made.points), 2)
        self.assertEqual(len(done.cage.topology.open_edges), 2 * 8)

    def test_points_weld_to_what_lies_near(self) -> None:
        cage = patch(None, FOUR, (1, 1), onto).first_cage((1, 1, 0))
        beside = [at(20.5, -30), at(20, 29.5), at(-20, 30), at(-20, -30)]
        self.assertEqual(len(patch(cage, beside, (1, 1), onto, weld=1.0).points), 2)
        self.assertEqual(len(patch(cage, beside, (1, 1), onto, weld=0.1).points), 4)

    @settings(max_examples=40, deadline=None)
    @given(st.integers(1, 7), st.integers(1, 7), st.floats(-40, 40), st.floats(10, 50))
    def test_whatever_the_counts_it_is_sound_and_on_the_scan(self, u: int, v: int, turn: float, wide: float) -> None:
        corners = [at(turn + wide, -25), at(turn, -25), at(turn, 35), at(turn + wide, 35)]
        cage = patch(None, corners, (u, v), onto).first_cage(at(turn, 0))
        self.assertEqual(cage.topology.face_count, u * v)
        self.assertLess(abs(np.linalg.norm(cage.positions, axis=1) - 30).max(), 0.05)


class Mirrored(unittest.TestCase):
    plane = plane_at((0, 0, 0), (1, 0, 0))

    def test_a_side_near_the_plane_is_drawn_into_it_and_stays_on_the_scan(self) -> None:
        corners = [at(89, -30), at(40, -30), at(40, 30), at(91, 30)]
        part = patch(None, corners, (3, 4), onto, weld=1.0, planes=[self.plane]).first_cage((1, 1, 0))
        in_plane = part.positions[:, 0] == 0
        self.assertEqual(np.count_nonzero(in_plane), 5)
        self.assertLess(abs(np.linalg.norm(part.positions, axis=1) - 30).max(), 0.03)
        whole, symmetry = assembled(part, mirror(self.plane), 1e-9)
        self.assertEqual(whole.topology.face_count, 24)
        self.assertEqual(symmetry.strays(whole.positions), 0.0)

    def test_what_is_laid_on_one_side_is_laid_on_the_other(self) -> None:
        part = patch(None, [at(90, -30), at(40, -30), at(40, 30), at(90, 30)], (2, 3), onto, planes=[self.plane], weld=0.5)
        whole, symmetry = assembled(part.first_cage((1, 1, 0)), mirror(self.plane), 1e-9)
        a, b = corner(whole, at(40, -30)), corner(whole, at(40, 30))
        made = patch(whole, [a, b, at(0, 30), at(0, -30)], (1, 2), onto, planes=symmetry.group.planes)
        done = made.laid(whole, symmetry, (1, 0, 0))
        self.assertEqual(done.cage.topology.face_count - whole.topology.face_count, 2 * 6)
        self.assertLess(abs(np.linalg.norm(done.cage.positions, axis=1) - 30).max(), 0.05)
        mirrored = done.cage.positions * [-1, 1, 1]
        near = np.linalg.norm(done.cage.positions[:, None] - mirrored[None], axis=2).min(axis=0)
        self.assertLess(near.max(), 1e-9)


class AcrossTheMirror(unittest.TestCase):
    plane = plane_at((0, 0, 0), (1, 0, 0))

    def whole(self, made):
        part = made.first_cage((0, 1, 0))
        whole, symmetry = assembled(part, mirror(self.plane), 1e-9)
        self.assertEqual(symmetry.strays(whole.positions), 0.0)
        self.assertLess(abs(np.linalg.norm(whole.positions, axis=1) - 30).max(), 0.05)
        return whole, symmetry

    def test_a_patch_over_the_plane_is_halved_there(self) -> None:
        # From 60 degrees on one side to 120 on the other: the plane lies at 90.
        for turn in range(4):
            corners = [at(60, -30), at(120, -30), at(120, 30), at(60, 30)]
            counts = (4, 3) if turn % 2 == 0 else (3, 4)
            made = patch(None, corners[turn:] + corners[:turn], counts, onto, planes=[self.plane])
            whole, _ = self.whole(made)
            self.assertEqual(whole.topology.face_count, 12)
            self.assertEqual(np.count_nonzero(whole.positions[:, 0] == 0), 4)
            self.assertEqual(len(whole.topology.open_edges), 2 * (4 + 3))
            middle = whole.positions[whole.positions[:, 0] == 0]
            # Where the straight side crosses it, laid on the ball.
            self.assertAlmostEqual(middle[:, 2].min(), -30 * 0.5 / np.hypot(0.5, 0.75), delta=0.1)

    def test_the_half_that_reaches_further_counts_and_an_odd_count_is_one_more(self) -> None:
        made = patch(None, [at(50, -30), at(100, -30), at(100, 30), at(50, 30)], (3, 1), onto, planes=[self.plane])
        whole, _ = self.whole(made)
        self.assertEqual(whole.topology.face_count, 4)
        self.assertAlmostEqual(whole.positions[:, 0].max(), at(50, 30)[0], delta=0.05)
        self.assertAlmostEqual(whole.positions[:, 0].min(), -at(50, 30)[0], delta=0.05)

    def test_a_corner_in_the_plane_and_one_beyond_leave_four(self) -> None:
        made = patch(None, [at(50, -30), at(110, -30), at(90, 30), at(50, 30)], (2, 2), onto, planes=[self.plane], weld=0.5)
        whole, _ = self.whole(made)
        self.assertEqual(np.count_nonzero(whole.positions[:, 0] == 0), 3)

    def test_a_bridge_over_the_plane_goes_on_from_the_side_that_is_there(self) -> None:
        part = patch(None, [at(60, -30), at(30, -30), at(30, 30), at(60, 30)], (1, 2), onto).first_cage((1, 1, 0))
        whole, symmetry = assembled(part, mirror(self.plane), 1e-9)
        ids = [corner(whole, p) for p in (at(60, -30), at(120, -30), at(120, 30), at(60, 30))]
        made = patch(whole, ids, (2, 9), onto, planes=symmetry.group.planes)
        edit = made.laid(whole, symmetry, (0, 1, 0))
        done, symmetry = edit.cage, symmetry.carried(edit)
        # Two rows of one quad on each side, sewn to both halves.
        self.assertEqual(done.topology.face_count, 4 + 4)
        self.assertEqual(len(done.topology.open_edges), 2 * (4 + 2))
        # And once more over the pole: between two edges that meet the plane in what was laid now.
        ids = [corner(done, p) for p in (at(60, 30), at(120, 30))]
        again = patch(done, [*ids, at(120, 60), at(60, 60)], (1, 1), onto, planes=symmetry.group.planes)
        last = again.laid(done, symmetry, (0, 1, 1)).cage
        self.assertEqual(last.topology.face_count, 8 + 2)
        self.assertEqual(last.topology.vertex_count - last.topology.edge_count + last.topology.face_count, 1)

    def test_a_patch_with_no_four_sided_half_is_refused(self) -> None:
        for corners in (
            [at(60, -30), at(95, -30), at(60, 30), at(20, 0)],
            [at(20, 0), at(100, -30), at(105, 0), at(100, 30)],
        ):
            with self.assertRaisesRegex(BadSelectionError, "no four-sided half"):
                patch(None, corners, (1, 1), onto, planes=[self.plane])

    def test_a_strip_across_ends_in_the_plane(self) -> None:
        for slant in (0, 12):
            stroke = np.array([at(k, slant * (k - 80) / 80) for k in range(30, 108, 3)])
            made = strip(None, stroke, 8.0, onto, planes=[self.plane])
            whole, _ = self.whole(made)
            self.assertEqual(np.count_nonzero(whole.positions[:, 0] == 0), 2)
            self.assertEqual(len(whole.topology.open_edges), 2 * whole.topology.face_count + 2)
            self.assertGreaterEqual(made.points[:, 0].min(), 0)

    def test_a_strip_along_the_plane_is_half_as_wide_on_each_side(self) -> None:
        stroke = np.array([at(90 + 3 * np.sin(k), k) for k in range(-40, 50, 3)])
        made = strip(None, stroke, 10.0, onto, planes=[self.plane])
        whole, _ = self.whole(made)
        self.assertEqual(whole.topology.face_count, 2 * len(made.faces))
        self.assertAlmostEqual(np.ptp(whole.positions[:, 0]), 10, delta=3.5)
        self.assertEqual(np.count_nonzero(whole.positions[:, 0] == 0), len(made.faces) + 1)


class Strips(unittest.TestCase):
    def test_a_strip_keeps_its_width_along_a_stroke(self) -> None:
        stroke = np.array([at(k, 15) for k in range(0, 100, 3)])
        made = strip(None, stroke, 8.0, onto)
        self.assertEqual(len(made.faces), 6)
        pairs = made.points.reshape(-1, 2, 3)
        np.testing.assert_allclose(np.linalg.norm(pairs[:, 0] - pairs[:, 1], axis=1), 8, atol=0.15)
        self.assertLess(abs(np.linalg.norm(made.points, axis=1) - 30).max(), 0.03)

    def test_one_that_begins_at_an_edge_goes_on_from_it(self) -> None:
        cage = patch(None, FOUR, (1, 1), onto).first_cage((1, 1, 0))
        a, b = corner(cage, FOUR[1]), corner(cage, FOUR[2])
        stroke = np.array([at(k, 0) for k in range(20, -50, -3)])
        done = strip(cage, stroke, 29.0, onto, begins=(a, b), length=12.0).laid(cage, None, (1, 0, 0))
        t = done.cage.topology
        within = np.setdiff1d(np.arange(t.edge_count), t.open_edges)
        self.assertIn(sorted((a, b)), t.edge_verts[within].tolist())
        self.assertEqual(done.cage.topology.face_count, 1 + 3)

    def test_a_stroke_round_the_form_closes_on_its_beginning(self) -> None:
        stroke = np.array([at(k, 0) for k in range(0, 361, 3)])
        first = strip(None, stroke[:40], 8.0, onto).first_cage((1, 1, 0))
        ends = [corner(first, at(117, 8)), corner(first, at(117, -8))]
        done = strip(first, stroke[39:], 8.0, onto, begins=(ends[0], ends[1]), weld=4.5).laid(first, None, (-1, 0, 0))
        # Two rims, and no open end.
        t = done.cage.topology
        self.assertEqual(t.vertex_count - t.edge_count + t.face_count, 0)
        self.assertEqual(len(t.open_edges), 2 * t.face_count)


class Refused(unittest.TestCase):
    def test_what_makes_no_patch(self) -> None:
        cage = patch(None, FOUR, (3, 2), onto).first_cage((1, 1, 0))
        with self.assertRaisesRegex(BadNumberError, "1 to 60"):
            patch(None, FOUR, (0, 1), onto)
        with self.assertRaisesRegex(BadNumberError, "nowhere"):
            patch(None, [*FOUR[:3], np.array([np.nan, 0, 0])], (1, 1), onto)
        with self.assertRaisesRegex(BadSelectionError, "fall on one another"):
            patch(cage, [FOUR[1], FOUR[1] + 0.01, at(0, 0), at(0, -30)], (1, 1), onto, weld=1.0)
        with self.assertRaisesRegex(BadSelectionError, "no vertex 99"):
            patch(cage, [99, 0, at(0, 0), at(0, -30)], (1, 1), onto)
        with self.assertRaisesRegex(BadNumberError, "too short"):
            strip(None, np.array([at(0, 0), at(0.1, 0)]), 10.0, onto)

    def test_sides_that_face_one_another_with_different_edges(self) -> None:
        one = patch(None, FOUR, (3, 2), onto).first_cage((1, 1, 0))
        # Beyond the gap lies a patch with three edges where this one has two.
        other = patch(one, [at(-20, -30), at(-60, -30), at(-60, 30), at(-20, 30)], (2, 3), onto)
        both = other.laid(one, None, (1, -1, 0)).cage
        corners = [corner(both, p) for p in (at(20, -30), at(20, 30), at(-20, 30), at(-20, -30))]
        with self.assertRaisesRegex(BadSelectionError, "one has 2 edges and the other 3") as caught:
            patch(both, corners, (1, 1), onto)
        self.assertEqual(len(caught.exception.place.vertices), 7)

    def test_a_third_face_at_an_edge(self) -> None:
        cage = patch(None, FOUR, (1, 1), onto).first_cage((1, 1, 0))
        ids = [corner(cage, p) for p in FOUR]
        both = patch(cage, [ids[1], ids[2], at(-20, 30), at(-20, -30)], (1, 1), onto).laid(cage, None, (1, 0, 0)).cage
        again = patch(both, [ids[1], ids[2], at(0, 60), at(0, 50)], (1, 1), onto)
        with self.assertRaises(UnsoundCageError):
            again.laid(both, None, (1, 0, 0))
