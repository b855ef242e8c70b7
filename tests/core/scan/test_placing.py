"""Placements and mirror planes found again, from noisy scans that were turned and moved on purpose."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial.transform import Rotation

from tests.sample_cages import jittered
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, patched_sphere
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.mirror_plane import mirror_plane
from zinc_otter.core.scan.placing import Rigid, best_fit, by_pairs, turn_onto
from zinc_otter.core.scan.samples import Samples, samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned


def lump():
    """A form that is like itself in no way."""
    return jittered(box((60, 40, 30), (3, 2, 2)), 4.0, 11)


def paddle():
    """A form of one mirror plane, x = 0, and no other."""
    cage = box((60, 40, 30), (4, 2, 2))
    x, y, z = cage.positions.T
    lift = np.where(y > 10, 6, 0) + np.where(z > 5, 3 + 0.1 * y, 0)
    return cage.with_positions(np.column_stack([x * (1 + 0.01 * y), y + 0.02 * x * x / 3, z + lift]))


def mesh_of(cage, **how) -> MeshDistance:
    made = scanned(cage, Scanning(**{"spacing": 1.2, "noise": 0.05, "looks": "around", **how}))
    return MeshDistance(made.vertices, made.triangles)


class ByPairs(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(st.integers(0, 10**6), st.integers(3, 8))
    def test_points_that_were_moved_are_brought_back_exactly(self, seed: int, count: int) -> None:
        chance = np.random.default_rng(seed)
        points = chance.normal(size=(count, 3)) * 20
        turn = Rotation.random(random_state=seed).as_matrix()
        there = points @ turn.T + [3, -4, 5]
        found = by_pairs(points, there)
        self.assertLess(np.abs(found.motion.moved(points) - there).max(), 1e-8)
        self.assertAlmostEqual(float(np.linalg.det(found.motion.matrix)), 1)

    def test_as_by_an_independent_library(self) -> None:
        chance = np.random.default_rng(5)
        points = chance.normal(size=(6, 3)) * 20
        there = points @ Rotation.random(random_state=1).as_matrix().T + chance.normal(size=(6, 3))
        found = by_pairs(points, there)
        # scipy's own solution of Wahba's problem, about the middles.
        turn, off = Rotation.align_vectors(there - there.mean(axis=0), points - points.mean(axis=0))
        np.testing.assert_allclose(found.motion.matrix, turn.as_matrix(), atol=1e-9)
        self.assertAlmostEqual(found.rms, off / 6**0.5)

    def test_what_is_refused(self) -> None:
        line = np.array([[0.0, 0, 0], [1, 0, 0], [2, 0, 0]])
        with self.assertRaisesRegex(BadNumberError, "one line"):
            by_pairs(line, line)
        with self.assertRaisesRegex(BadNumberError, "three pairs"):
            by_pairs(line[:2], line[:2])
        with self.assertRaisesRegex(BadNumberError, "nowhere"):
            by_pairs(line * np.nan, line)


class BestFit(unittest.TestCase):
    def test_fifty_of_fifty_starts_within_twenty_degrees(self) -> None:
        scan, onto = samples_of(mesh_of(lump(), missing=6, spikes=10), 3_000), mesh_of(lump(), noise=0.0)
        middle = scan.points.mean(axis=0)
        chance = np.random.default_rng(5)
        for _ in range(50):
            axis = chance.normal(size=3)
            turn = Rotation.from_rotvec(axis / np.linalg.norm(axis) * np.radians(chance.uniform(5, 20))).as_matrix()
            begin = Rigid(turn, middle - turn @ middle + chance.normal(size=3) * 1.5)
            found = best_fit(scan, onto, begin)
            self.assertLess(float(np.linalg.norm(found.motion.moved(middle[None])[0] - middle)), 0.05)
            self.assertLess(found.motion.degrees, 0.1)
            self.assertLess(found.rms, 0.07)

    def test_a_turned_form_about_its_own_axis_comes_to_rest(self) -> None:
        """What cannot be told does not run away."""
        scan, onto = samples_of(mesh_of(patched_sphere(40, 3)), 2_000), mesh_of(patched_sphere(40, 3), noise=0.0)
        found = best_fit(scan, onto, Rigid(np.eye(3), np.array([1.0, 0.5, 0])))
        self.assertLess(found.rms, 0.06)
        self.assertLess(float(np.linalg.norm(found.motion.moved(np.zeros((1, 3))))), 0.5)

    def test_one_that_looks_the_other_way_is_refused(self) -> None:
        scan, onto = samples_of(mesh_of(lump()), 800), mesh_of(lump(), noise=0.0)
        with self.assertRaisesRegex(BadSelectionError, "hardly meet"):
            best_fit(Samples(scan.points, -scan.normals), onto)


class MirrorPlanes(unittest.TestCase):
    def test_the_plane_is_found_wherever_the_scan_lies(self) -> None:
        made = scanned(paddle(), Scanning(spacing=1.2, noise=0.08, missing=6, spikes=6))
        for seed in range(1, 2):
            turn = Rotation.random(random_state=seed).as_matrix()
            found = mirror_plane(MeshDistance(made.vertices @ turn.T + [30, -20, 10], made.triangles))
            normal = np.asarray(found.plane.normal)
            self.assertLess(np.degrees(np.arccos(min(1.0, abs(float(normal @ turn[:, 0]))))), 0.1)
            self.assertLess(abs(float((np.asarray(found.plane.point) - [30, -20, 10]) @ normal)), 0.05)
            # Two noisy sides differ by the square root of two of the noise.
            self.assertAlmostEqual(found.rms, 0.08 * 2**0.5, delta=0.04)

    def test_one_that_has_none_says_so(self) -> None:
        found = mirror_plane(mesh_of(lump()))
        self.assertGreater(found.rms, 0.5)

    def test_the_smallest_turn_onto_an_axis(self) -> None:
        way = np.array([0.6, 0, 0.8])
        turn = turn_onto(way, np.array([0, 0, 1.0]))
        np.testing.assert_allclose(turn @ way, [0, 0, 1], atol=1e-12)
        self.assertAlmostEqual(np.degrees(Rotation.from_matrix(turn).magnitude()), np.degrees(np.arccos(0.8)))
        # A normal and its opposite are one plane: the nearer way round is taken.
        np.testing.assert_allclose(turn_onto(-way, np.array([0, 0, 1.0])) @ way, [0, 0, 1], atol=1e-12)
