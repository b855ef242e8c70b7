"""Strokes of a scan's flow: along the axes of a capped tube, round a ring, and on what is no surface a sentence."""

from __future__ import annotations

import unittest

import numpy as np
import trimesh

from zinc_otter.core.errors import CoreError
from zinc_otter.core.scan.flow import flow


class Strokes(unittest.TestCase):
    def test_on_a_cylinder_they_run_along_and_round_it(self) -> None:
        rod = trimesh.creation.cylinder(10, 60, sections=96).subdivide_to_size(3)
        noisy = rod.vertices + np.random.default_rng(1).normal(0, 0.02, rod.vertices.shape)
        strokes = flow(noisy, rod.faces, 800)
        self.assertTrue(400 < len(strokes) / 2 < 1800)
        middles, ways = strokes.mean(axis=1), strokes[:, 1] - strokes[:, 0]
        # On its side, off the ends; a stroke lies along the axis or square to it.
        side = (np.linalg.norm(middles[:, :2], axis=1) > 9.5) & (np.abs(middles[:, 2]) < 22)
        slant = np.degrees(np.arccos(np.clip(np.abs(ways[side, 2]) / np.linalg.norm(ways[side], axis=1), 0, 1)))
        self.assertGreater(float(((slant < 12) | (slant > 78)).mean()), 0.95)
        # As many this way as that: they come in pairs that cross.
        self.assertAlmostEqual(float((slant < 45).mean()), 0.5, delta=0.02)
        # They lie on the surface, a little above it.
        off = np.linalg.norm(middles[side][:, :2], axis=1) - 10
        self.assertTrue((np.abs(off) < 0.5).all())

    def test_on_a_ring_they_run_round_it(self) -> None:
        ring = trimesh.creation.torus(30, 8, major_sections=96, minor_sections=32)
        strokes = flow(np.array(ring.vertices), np.array(ring.faces), 800)
        middles, ways = strokes.mean(axis=1), strokes[:, 1] - strokes[:, 0]
        round_about = np.column_stack([-middles[:, 1], middles[:, 0], 0 * middles[:, 0]])
        round_about /= np.linalg.norm(round_about, axis=1, keepdims=True)
        slant = np.degrees(np.arccos(np.clip(np.abs((ways * round_about).sum(axis=1)) / np.linalg.norm(ways, axis=1), 0, 1)))
        self.assertGreater(float(((slant < 15) | (slant > 75)).mean()), 0.9)

    def test_a_lone_sliver_is_no_surface(self) -> None:
        with self.assertRaises(CoreError):
            flow(np.array([(0, 0, 0), (1, 0, 0), (0, 1, 0)], dtype=float), np.array([(0, 1, 2)]))
