"""The fillet of a scan along a line, and the crease that is as tight: against fillets and creases that are known."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage import HARD, Cage
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.rounded_line import rounding, sharpness_like
from zinc_otter.core.scan.samples import Samples, samples_of
from zinc_otter.core.surface import build_stencils, evaluate


def fillet(radius: float, turn: float, noise: float, hollow: bool = False, seed: int = 3) -> Samples:
    """Places along y on two flanks that turn by degrees and the arc between them, about the origin, bulging up."""
    random = np.random.default_rng(seed)
    half, width, count = np.radians(turn) / 2, 8.0, 3_000
    arc = radius * 2 * half
    s = random.uniform(-width - arc / 2, width + arc / 2, count)
    angle = np.clip(s / max(radius, 1e-12), -half, half)
    beyond = np.sign(s) * np.maximum(np.abs(s) - arc / 2, 0)
    x = radius * np.sin(angle) + beyond * np.cos(half)
    z = radius * np.cos(angle) - np.abs(beyond) * np.sin(half)
    normals = np.column_stack([np.sin(angle), np.zeros(count), np.cos(angle)])
    if radius == 0:
        normals = np.column_stack([np.sign(s) * np.sin(half), np.zeros(count), np.full(count, np.cos(half))])
    points = np.column_stack([x, random.uniform(-5, 5, count), z - radius / np.cos(half)])
    points = points + noise * random.normal(size=(count, 1)) * normals
    return Samples(points, -normals if hollow else normals)


class OnKnownFillets(unittest.TestCase):
    def test_radius_and_turn_wherever_it_lies(self) -> None:
        forms = ((1.0, 90.0, 0.0), (2.0, 60.0, 0.03), (3.0, 120.0, 0.05), (1.0, 90.0, 0.05))
        for k, (radius, turn, noise) in enumerate(forms):
            for hollow in (False, True):
                with self.subTest(radius=radius, turn=turn, noise=noise, hollow=hollow):
                    spin = Rotation.random(random_state=k).as_matrix()
                    scan = fillet(radius, turn, noise, hollow).moved(spin, np.array([30.0, -20, 5]))
                    found = rounding(scan, np.array([30.0, -20, 5]), spin @ [0, 1, 0], 6.0, 8.0)
                    assert found is not None
                    self.assertAlmostEqual(found.radius, radius, delta=0.1 * radius)
                    self.assertAlmostEqual(found.turn, turn, delta=3)
                    self.assertEqual(found.hollow, hollow)
                    self.assertFalse(found.is_sharp)
                    self.assertAlmostEqual(found.off, noise, delta=0.25 * noise + 1e-6)

    def test_a_sharp_edge_is_sharp_as_far_as_noise_can_tell(self) -> None:
        found = rounding(fillet(0.0, 90.0, 0.05), np.zeros(3), np.array([0.0, 1, 0]), 6.0, 8.0)
        assert found is not None
        self.assertLess(found.radius, 0.25)

    def test_a_flat_side_has_no_line_and_few_places_tell_none(self) -> None:
        self.assertIsNone(rounding(fillet(1.0, 2.0, 0.05), np.zeros(3), np.array([0.0, 1, 0]), 6.0, 8.0))
        few = fillet(1.0, 90.0, 0.0)
        self.assertIsNone(rounding(Samples(few.points[:20], few.normals[:20]), np.zeros(3), np.array([0.0, 1, 0]), 6.0, 8.0))


class LikeCreases(unittest.TestCase):
    def setUp(self) -> None:
        self.cage = box((40, 30, 20), (3, 3, 2))
        middle = self.cage.positions[self.cage.topology.edge_verts].mean(axis=1)
        top = self.cage.positions[:, 2].max() - 1e-6
        side = np.abs(self.cage.positions[:, 1]).max() - 1e-6
        self.edges = np.flatnonzero((middle[:, 2] > top) & (np.abs(middle[:, 1]) > side))

    def scan(self, sharpness: float) -> Samples:
        levels = self.cage.edge_sharpness.copy()
        levels[self.edges] = sharpness
        cage: Cage = self.cage.with_sharpness(edges=levels)
        stencils = build_stencils(cage, 5)
        mesh = MeshDistance(evaluate(stencils, cage).points, stencils.triangles)
        held = samples_of(mesh, 16_000)
        noise = np.random.default_rng(1).normal(scale=0.02, size=(len(held.points), 1))
        return Samples(held.points + noise * held.normals, held.normals)

    def test_a_crease_is_found_from_its_own_scan(self) -> None:
        for sharpness in (0.0, 1.0, 1.5, 2.0):
            with self.subTest(sharpness):
                found = sharpness_like(self.cage, self.edges, self.scan(sharpness))
                self.assertAlmostEqual(found.sharpness, sharpness, delta=0.3)
                self.assertEqual(found.edges, 6)
        self.assertEqual(sharpness_like(self.cage, self.edges, self.scan(HARD)).sharpness, HARD)

    def test_where_there_is_nothing_to_tell_it_says_so(self) -> None:
        sheet = plane((40, 40), (4, 4))
        inner = np.setdiff1d(np.arange(sheet.topology.edge_count), sheet.topology.open_edges)
        flat = Samples(np.random.default_rng(1).uniform(-20, 20, (4_000, 3)) * [1, 1, 0], np.tile([0.0, 0, 1], (4_000, 1)))
        with self.assertRaisesRegex(BadSelectionError, "no line along"):
            sharpness_like(sheet, inner, flat)
        with self.assertRaisesRegex(BadSelectionError, "no line along"):
            sharpness_like(self.cage, self.edges, Samples(flat.points + [500, 0, 0], flat.normals))
        with self.assertRaisesRegex(BadSelectionError, "border is a line anyway"):
            sharpness_like(sheet, sheet.topology.open_edges, flat)
