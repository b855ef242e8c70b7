"""Sharp lines of noisy scans: of forms whose edges are known, all of them are found, near, and nothing else is."""

from __future__ import annotations

import itertools
import unittest

import numpy as np
from scipy.spatial import cKDTree
from scipy.spatial.transform import Rotation

from tests.core.scan.forms import ball_points, hard_box, prism
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import torus
from zinc_otter.core.proof.features import LineDistance, feature_segments
from zinc_otter.core.scan.denoising import denoised
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.core.scan.sharp_lines import sharp_lines, without_small_loops, without_spurs
from zinc_otter.core.scan.through_points import through_points


def places(lines: np.ndarray, step: float = 0.3) -> np.ndarray:
    return np.concatenate([np.linspace(a, b, int(np.linalg.norm(b - a) / step) + 2) for a, b in lines])


class Found(unittest.TestCase):
    def check(self, vertices, triangles, lines, off: float, degrees: float = 30) -> None:
        found = sharp_lines(vertices, triangles, degrees)
        long = np.linalg.norm(found[:, 0] - found[:, 1], axis=1).mean()
        far = LineDistance(lines)(found.mean(axis=1))
        # Nothing but the edges, and all of them.
        self.assertLess(np.sqrt((far**2).mean()), off)
        self.assertLess((far > 2 * long).mean(), 0.01)
        near = cKDTree(found.mean(axis=1)).query(places(lines))[0]
        self.assertGreater((near < 1.5 * long).mean(), 0.99)

    def test_a_block_with_noise_up_to_half_of_its_spacing(self) -> None:
        form, lines = hard_box()
        for noise, spacing in ((0.05, 0.8), (0.2, 0.4)):
            with self.subTest(noise=noise, spacing=spacing):
                mesh = scanned(form, Scanning(spacing=spacing, noise=noise, looks="around", seed=4))
                self.check(mesh.vertices, mesh.triangles, lines, 1.6 * noise + 0.05)

    def test_it_lies_anyhow(self) -> None:
        form, lines = hard_box()
        mesh = scanned(form, Scanning(spacing=0.6, noise=0.1, looks="around"))
        for seed in range(2):
            turn = Rotation.random(random_state=seed).as_matrix()
            shift = np.array([300, -80, 41.5])
            self.check(mesh.vertices @ turn.T + shift, mesh.triangles, lines @ turn.T + shift, 0.2)

    def test_obtuse_edges(self) -> None:
        for sides, noise in ((6, 0.1), (8, 0.05)):
            with self.subTest(sides):
                form = prism(sides)
                lines = form.positions[form.topology.edge_verts]
                mesh = scanned(form, Scanning(spacing=0.6, noise=noise, looks="around"))
                self.check(mesh.vertices, mesh.triangles, lines, 0.35, degrees=25)

    def test_points_without_triangles(self) -> None:
        chance = np.random.default_rng(0)
        half = np.array([20, 15, 10])
        points = []
        for k, side in itertools.product(range(3), (-1, 1)):
            others = [n for n in range(3) if n != k]
            p = chance.uniform(-half, half, (int(16 * np.prod(half[others])), 3))
            p[:, k] = side * half[k] + chance.normal(0, 0.05, len(p))
            points.append(p)
        made = through_points(np.concatenate(points), None, lambda share, words: None)
        # The surface through them is rounded by about their distance.
        self.check(made.vertices, made.triangles, hard_box()[1], 0.5)

    def test_an_open_scan_does_not_take_its_rim_for_a_line(self) -> None:
        form, lines = hard_box()
        mesh = scanned(form, Scanning(spacing=0.6, noise=0.1, looks="turntable", grazing=60))
        found = sharp_lines(mesh.vertices, mesh.triangles, 30)
        self.assertLess(LineDistance(lines)(found.mean(axis=1)).max(), 1.5)

    def test_round_forms_have_none(self) -> None:
        for noise in (0.05, 0.2):
            self.assertEqual(len(sharp_lines(*ball_points(20, noise), 30)), 0)
        mesh = scanned(torus((70, 24), (12, 8)), Scanning(spacing=0.8, noise=0.1, looks="around"))
        self.assertEqual(len(sharp_lines(mesh.vertices, mesh.triangles, 30)), 0)


class Clean(unittest.TestCase):
    def test_the_lines_of_a_mesh_without_noise_are_its_own_edges(self) -> None:
        form, _ = hard_box()
        mesh = scanned(form, Scanning(spacing=0.6, noise=0, looks="around"))
        for degrees in (10, 60):
            own = feature_segments(mesh.vertices, mesh.triangles, degrees)
            np.testing.assert_array_equal(sharp_lines(mesh.vertices, mesh.triangles, degrees), own)

    def test_triangles_apart_are_welded(self) -> None:
        form, lines = hard_box()
        mesh = scanned(form, Scanning(spacing=0.8, noise=0.1, looks="around"))
        apart = mesh.vertices[mesh.triangles].reshape(-1, 3)
        found = sharp_lines(apart, np.arange(len(apart)).reshape(-1, 3), 30)
        self.assertLess(LineDistance(lines)(found.mean(axis=1)).max(), 1.0)

    def test_wrong_angles_and_nothing(self) -> None:
        form, _ = hard_box()
        mesh = scanned(form, Scanning(spacing=2, noise=0, looks="around"))
        for degrees in (0.0, -3.0, 181.0, np.nan):
            self.assertRaises(BadNumberError, sharp_lines, mesh.vertices, mesh.triangles, degrees)


class Spurs(unittest.TestCase):
    def test_rings_of_a_few_edges_are_opened_where_they_turn_least(self) -> None:
        line = [[k, k + 1] for k in range(10)]
        double = [[3, 20], [20, 21], [21, 5]]
        edges, turn = np.array(line + double), np.array([90.0] * 10 + [88, 50, 87])
        self.assertEqual(without_small_loops(edges, turn).tolist(), [*line, [3, 20], [21, 5]])
        ring = np.array([[k, (k + 1) % 6] for k in range(6)])
        np.testing.assert_array_equal(without_small_loops(ring, np.full(6, 90.0)), ring)

    def test_short_ways_off_a_line_go_and_its_own_ends_stay(self) -> None:
        line = [[k, k + 1] for k in range(30)]
        spur = [[12, 40], [40, 41]]
        branch = [[18, 50], *([k, k + 1] for k in range(50, 56))]
        self.assertEqual(without_spurs(np.array(line + spur + branch)).tolist(), line + branch)
        self.assertEqual(without_spurs(np.array([[0, 1]])).tolist(), [[0, 1]])
        forked = [[12, 40], [40, 41], [40, 42]]
        self.assertEqual(without_spurs(np.array(line + forked)).tolist(), line)
        ring = [[k, (k + 1) % 6] for k in range(6)]
        self.assertEqual(without_spurs(np.array([*ring, [2, 9]])).tolist(), ring)


class Denoised(unittest.TestCase):
    def test_noise_goes_and_corners_stay(self) -> None:
        form, _ = hard_box()
        half = np.array([20, 15, 10])
        mesh = scanned(form, Scanning(spacing=0.8, noise=0.1, looks="around"))

        def off(v):
            """How far from the block's sides, as a box' signed distance tells it."""
            over = np.abs(v) - half
            return np.linalg.norm(np.maximum(over, 0), axis=1) + np.minimum(over.max(axis=1), 0)

        before, after = off(mesh.vertices), off(denoised(mesh.vertices, mesh.triangles))
        self.assertLess(np.sqrt((after**2).mean()), 0.4 * np.sqrt((before**2).mean()))
        corners = np.array(list(itertools.product(*[(-x, x) for x in half])))
        near = cKDTree(denoised(mesh.vertices, mesh.triangles)).query(corners)[0]
        self.assertLess(near.max(), 0.4)

    def test_what_is_flat_stays_where_it_is(self) -> None:
        form, _ = hard_box()
        mesh = scanned(form, Scanning(spacing=2, noise=0, looks="around"))
        np.testing.assert_allclose(denoised(mesh.vertices, mesh.triangles), mesh.vertices, atol=1e-6)
