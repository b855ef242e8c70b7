"""Planes and axes found from picked places of noisy scans, against the boxes and cylinders that these were made from."""

from __future__ import annotations

import unittest

import numpy as np
import trimesh
from scipy.spatial.transform import Rotation

from zinc_otter.core.errors import CoreError
from zinc_otter.core.scan.regions import around, axis_of, plane_of
from zinc_otter.core.scan.samples import Samples


def scanned(mesh: trimesh.Trimesh, noise: float, seed: int) -> tuple[Samples, Rotation, np.ndarray]:
    """Places of a mesh with noise, turned and moved at random."""
    rng = np.random.default_rng(seed)
    points, faces = trimesh.sample.sample_surface(mesh, 20_000, seed=seed)
    turn, shift = Rotation.random(random_state=seed), rng.normal(0, 30, 3)
    noisy = points + rng.normal(0, noise, points.shape)
    return Samples(turn.apply(noisy) + shift, turn.apply(mesh.face_normals[faces])), turn, shift


class Planes(unittest.TestCase):
    def test_the_side_of_a_block_is_found_within_a_tenth_of_a_degree(self) -> None:
        block = trimesh.creation.box((60, 40, 20))
        for seed in range(20):
            scan, turn, shift = scanned(block, 0.05, seed)
            picked = turn.apply([(-10, 5, 10), (12, -6, 10)]) + shift
            found = plane_of(around(scan, picked, 12))
            degrees = np.degrees(np.arccos(np.clip(found.way @ turn.apply([0, 0, 1]), -1, 1)))
            self.assertLess(degrees, 0.1)
            self.assertAlmostEqual(float((turn.inv().apply(found.point - shift))[2]), 10, delta=0.05)
            self.assertAlmostEqual(found.rms, 0.05, delta=0.01)

    def test_an_edge_that_was_picked_along_is_left_out(self) -> None:
        scan, turn, shift = scanned(trimesh.creation.box((60, 40, 20)), 0.02, 3)
        # Within 9 mm of a place 6 mm off the edge there is some of the next side.
        found = plane_of(around(scan, turn.apply([(24, 0, 10)]) + shift, 9))
        self.assertLess(np.degrees(np.arccos(min(1.0, abs(float(found.way @ turn.apply([0, 0, 1])))))), 1.0)


class Axes(unittest.TestCase):
    def test_of_a_cylinder_axis_and_radius(self) -> None:
        rod = trimesh.creation.cylinder(8, 50, sections=256)
        for seed in range(20):
            scan, turn, shift = scanned(rod, 0.04, seed)
            ring = [(8 * np.cos(a), 8 * np.sin(a), z) for a, z in ((0, -6), (2, 5), (4, 0))]
            found = axis_of(around(scan, turn.apply(ring) + shift, 7))
            degrees = np.degrees(np.arccos(np.clip(abs(found.way @ turn.apply([0, 0, 1])), -1, 1)))
            self.assertLess(degrees, 0.2)
            self.assertAlmostEqual(found.radius, 8, delta=0.02)
            own = turn.inv().apply(found.point - shift)
            self.assertLess(float(np.linalg.norm(own[:2] - own[2] * 0)), 0.15)

    def test_half_of_it_is_enough(self) -> None:
        scan, turn, shift = scanned(trimesh.creation.cylinder(12, 60, sections=256), 0.03, 4)
        found = axis_of(around(scan, turn.apply([(12, 0, 0), (8.5, 8.5, 4)]) + shift, 6))
        self.assertAlmostEqual(found.radius, 12, delta=0.15)

    def test_sentences(self) -> None:
        scan, turn, shift = scanned(trimesh.creation.box((60, 40, 20)), 0.02, 5)
        on = turn.apply([(0, 0, 10)]) + shift
        for radius, words in ((0.01, "take a larger radius"), (0.0, "above 0"), (float("nan"), "above 0")):
            with self.assertRaisesRegex(CoreError, words):
                around(scan, on, radius)
        with self.assertRaisesRegex(CoreError, "all but flat"):
            axis_of(around(scan, on, 8))
