"""Cylinders, cones, spheres, tubes, tori, capsules: Euler's formula, valences, evenness, at every face count."""

from __future__ import annotations

import math
import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.grid_fill import filled_ring, grid_counts, ring_of_grid
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import (
    capsule,
    cone,
    cylinder,
    patched_sphere,
    poled_sphere,
    torus,
    truncated_cone,
    tube,
)
from zinc_otter.core.primitives.placed import half, placed

around_even = st.integers(2, 10).map(lambda n: 2 * n)


def volume(cage: Cage) -> float:
    """By the divergence theorem; positive where faces look outwards."""
    t = cage.topology
    first = cage.positions[t.face_verts[t.face_offsets[:-1]]]
    return float((cage.face_area_vectors * first).sum() / 3)


def valences(cage: Cage) -> dict[int, int]:
    found = np.bincount(cage.topology.vertex_valence)
    return {int(n): int(found[n]) for n in np.flatnonzero(found)}


class Properties(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(around_even, st.integers(1, 6))
    def test_a_capped_cylinder_is_a_sphere_to_euler_with_eight_threes(self, around: int, along: int) -> None:
        cage = cylinder((20, 30), (around, along))
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertTrue(cage.topology.is_closed and cage.topology.all_quads)
        # Four corners of the grid at each cap; where it is one face wide a corner serves for two.
        self.assertEqual(sum((4 - n) * count for n, count in valences(cage).items()), 8)
        self.assertLessEqual(max(valences(cage)), 4)
        self.assertGreater(volume(cage), 0)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(3, 12), st.integers(1, 5), st.sampled_from(["open", "bottom", "top"]))
    def test_caps_left_off_leave_borders(self, around: int, along: int, caps: str) -> None:
        around += around % 2 if caps != "open" else 0
        cage = truncated_cone((20, 12, 30), (around, along), caps)  # type: ignore[arg-type]
        borders = 2 if caps == "open" else 1
        self.assertEqual(len(cage.topology.open_edges), borders * around)
        self.assertEqual(cage.topology.euler_characteristic, 2 - borders)

    @settings(max_examples=25, deadline=None)
    @given(around_even, st.integers(1, 5))
    def test_a_cone_has_one_tip(self, around: int, along: int) -> None:
        cage = cone((20, 30), (around, along))
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertEqual(cage.topology.vertex_valence[np.argmax(cage.positions[:, 2])], around)
        self.assertGreater(volume(cage), 0)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(3, 12), st.integers(1, 4), st.integers(1, 3))
    def test_tubes_and_tori_have_genus_one_and_only_valence_four(self, around: int, along: int, across: int) -> None:
        for cage in (tube((20, 14, 30), (around, along, across)), torus((30, 8), (around, along + 2))):
            self.assertEqual(cage.topology.euler_characteristic, 0)
            self.assertEqual(list(valences(cage)), [4])
            self.assertGreater(volume(cage), 0)

    @settings(max_examples=10, deadline=None)
    @given(st.integers(1, 10))
    def test_a_sphere_of_six_patches_has_eight_threes_and_even_faces(self, count: int) -> None:
        cage = patched_sphere(20, count)
        t = cage.topology
        expected = {3: 8} if count == 1 else {3: 8, 4: 6 * count * count - 6}
        self.assertEqual(valences(cage), expected)
        self.assertEqual((t.face_count, t.euler_characteristic), (6 * count * count, 2))
        areas = np.linalg.norm(cage.face_area_vectors, axis=1)
        self.assertLess(areas.max() / areas.min(), 1.5)

    @settings(max_examples=20, deadline=None)
    @given(st.integers(3, 12), st.integers(2, 8))
    def test_a_sphere_with_poles_has_two_of_them(self, around: int, rows: int) -> None:
        cage = poled_sphere(20, (around, rows))
        t = cage.topology
        self.assertEqual((t.face_count, t.euler_characteristic), (around * rows, 2))
        poles = np.flatnonzero(np.abs(cage.positions[:, 2]) > 9.999)
        self.assertEqual(t.vertex_valence[poles].tolist(), [around, around])
        self.assertGreater(volume(cage), 0)

    @settings(max_examples=15, deadline=None)
    @given(st.integers(1, 4), st.integers(1, 5))
    def test_a_capsule_is_straight_in_the_middle_and_round_at_its_ends(self, half_across: int, along: int) -> None:
        cage = capsule((10, 24), (2 * half_across, along))
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertEqual(valences(cage)[3], 8)
        points = cage.positions
        nearest = np.column_stack([np.zeros((len(points), 2)), np.clip(points[:, 2], -7, 7)])
        np.testing.assert_allclose(np.linalg.norm(points - nearest, axis=1), 5, rtol=1e-12)

    def test_a_fine_cylinder_and_torus_approach_the_handbook_volumes(self) -> None:
        # Pappus's centroid theorem: 2 pi^2 R r^2 for the torus; pi d^2 / 4 h for the cylinder.
        self.assertAlmostEqual(volume(torus((30, 8), (120, 80))) / (2 * math.pi**2 * 15 * 16), 1, delta=2e-3)
        self.assertAlmostEqual(volume(cylinder((20, 30), (120, 2))) / (math.pi * 100 * 30), 1, delta=1e-3)


class Caps(unittest.TestCase):
    def test_a_ring_is_filled_without_gaps_or_folds(self) -> None:
        turn = 2 * np.pi * np.arange(12) / 12
        ring = np.column_stack([10 * np.cos(turn), 6 * np.sin(turn), np.zeros(12)])
        inside, quads = filled_ring(ring, 0.25)
        cage = Cage.from_faces(np.concatenate([ring, inside]), quads.tolist())
        self.assertEqual(len(quads), 12 + 9)
        self.assertTrue((cage.face_area_vectors[:, 2] > 0).all())
        # The area of a polygon by the shoelace formula.
        x, y = ring[:, 0], ring[:, 1]
        polygon = 0.5 * float(np.sum(x * np.roll(y, -1) - y * np.roll(x, -1)))
        self.assertAlmostEqual(float(cage.face_area_vectors[:, 2].sum()), polygon)

    @settings(max_examples=30, deadline=None)
    @given(around_even)
    def test_the_border_of_the_grid_is_walked_once(self, around: int) -> None:
        a, b = grid_counts(around)
        ring = ring_of_grid(a, b)
        self.assertEqual(len(set(ring.tolist())), around)
        i, j = ring // (b + 1), ring % (b + 1)
        steps = np.abs(np.roll(i, -1) - i) + np.abs(np.roll(j, -1) - j)
        self.assertEqual(steps.tolist(), [1] * around)


class Placing(unittest.TestCase):
    def test_standing_along_each_axis_keeps_volume_and_side(self) -> None:
        form = truncated_cone((20, 12, 30), (8, 2))
        for axis in "xyz":
            there = placed(form, axis, (5, 6, 7))  # type: ignore[arg-type]
            self.assertAlmostEqual(volume(there), volume(form))
            low, high = there.bounds
            self.assertAlmostEqual((high - low)["xyz".index(axis)], 30)
            np.testing.assert_allclose((low + high) / 2, (5, 6, 7), atol=1e-9)

    def test_one_side_of_a_mirror_leaves_its_seam_in_the_plane(self) -> None:
        side = placed(cylinder((20, 30), (8, 2)), "z", (3, 0, 0), "x")
        ends = np.unique(side.topology.edge_verts[side.topology.open_edges])
        self.assertGreater(len(ends), 0)
        self.assertEqual(np.unique(side.positions[ends, 0]).tolist(), [3.0])
        self.assertGreaterEqual(side.positions[:, 0].min(), 3.0)

    def test_faces_across_the_mirror_are_refused(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "lie across the mirror plane of y"):
            half(cylinder((20, 30), (5, 2), "open"), 1)


class Refusals(unittest.TestCase):
    def test_wrong_numbers_say_what_is_wrong(self) -> None:
        for sentence, act in (
            ("even number of edges", lambda: cylinder((20, 30), (7, 2))),
            ("inner diameter must be smaller", lambda: tube((20, 20, 5), (8, 1, 1))),
            ("would meet in the middle", lambda: torus((10, 10), (8, 6))),
            ("at least as long as it is wide", lambda: capsule((10, 8), (4, 2))),
            ("even face count across", lambda: capsule((10, 18), (3, 2))),
            ("from 3", lambda: poled_sphere(10, (2, 4))),
            ("30,000 are the most", lambda: torus((50, 10), (500, 500))),
            ("inset lies between 0 and 1", lambda: cylinder((20, 30), (8, 2), "both", 1.0)),
        ):
            with self.assertRaisesRegex(BadNumberError, sentence):
                act()
