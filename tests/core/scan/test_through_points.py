"""A surface through points alone, against the forms that they lie on."""

from __future__ import annotations

import unittest

import numpy as np
import trimesh

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.mesh import Mesh, checked_mesh
from zinc_otter.core.scan.through_points import ThroughPoints, how_near, through_points


def on_ball(count: int, seed: int = 1, radius: float = 20.0) -> np.ndarray:
    ways = np.random.default_rng(seed).normal(size=(count, 3))
    return np.asarray(radius * ways / np.linalg.norm(ways, axis=1, keepdims=True))


def on_mesh(mesh: trimesh.Trimesh, count: int) -> np.ndarray:
    return np.asarray(trimesh.sample.sample_surface(mesh, count, seed=4)[0])


def laid(points: np.ndarray, normals: np.ndarray | None = None) -> tuple[ThroughPoints, Mesh]:
    made = through_points(points, normals, lambda part, words: None)
    return made, checked_mesh(made.vertices, made.triangles)


class OnKnownForms(unittest.TestCase):
    def test_a_ball_is_closed_looks_outwards_and_has_its_volume(self) -> None:
        made, mesh = laid(on_ball(8_000))
        self.assertEqual(mesh.open_edge_count, 0)
        self.assertGreater(trimesh.Trimesh(made.vertices, made.triangles, process=False).volume, 0)
        self.assertAlmostEqual(mesh.volume / (4 / 3 * np.pi * 20**3), 1, delta=2e-3)
        self.assertLess(np.abs(np.linalg.norm(mesh.vertices, axis=1) - 20).max(), 0.1)
        # So far apart as points of that number on that area are, if each has a square of its own.
        self.assertAlmostEqual(made.apart, np.sqrt(4 * np.pi * 400 / 8_000), delta=0.05)

    def test_a_torus_keeps_its_hole(self) -> None:
        _, mesh = laid(on_mesh(trimesh.creation.torus(20, 7, major_sections=128, minor_sections=64), 20_000))
        held = trimesh.Trimesh(mesh.vertices, mesh.triangles, process=False)
        self.assertEqual((held.euler_number, held.body_count, mesh.open_edge_count), (0, 1, 0))
        self.assertAlmostEqual(mesh.volume / (2 * np.pi**2 * 20 * 49), 1, delta=5e-3)

    def test_a_box_whose_faces_lie_along_the_axes(self) -> None:
        at = np.linspace(-10, 10, 61)
        x, y = (g.ravel() for g in np.meshgrid(at, at))
        sides = [np.roll(np.column_stack([x, y, np.full(len(x), z)]), k, axis=1) for z in (-10.0, 10.0) for k in range(3)]
        _, mesh = laid(np.concatenate(sides))
        self.assertEqual(mesh.open_edge_count, 0)
        self.assertAlmostEqual(mesh.volume / 8_000, 1, delta=0.01)

    def test_two_parts_look_outwards_each(self) -> None:
        _, mesh = laid(np.concatenate([on_ball(4_000), on_ball(2_000, 2, 10.0) + [50, 0, 0]]))
        self.assertEqual(trimesh.Trimesh(mesh.vertices, mesh.triangles, process=False).body_count, 2)
        self.assertAlmostEqual(mesh.volume / (4 / 3 * np.pi * (20**3 + 10**3)), 1, delta=5e-3)

    def test_half_a_ball_stays_open_and_hardly_reaches_beyond_its_points(self) -> None:
        points = on_ball(20_000)
        made, mesh = laid(points[points[:, 2] > 0])
        self.assertGreater(mesh.open_edge_count, 50)
        self.assertGreater(mesh.vertices[:, 2].min(), -2.3 * made.apart)
        self.assertEqual(trimesh.Trimesh(mesh.vertices, mesh.triangles, process=False).body_count, 1)

    def test_a_patch_that_is_missing_stays_missing(self) -> None:
        points = on_ball(20_000)
        gone = np.linalg.norm(points - [0, 0, 20], axis=1) < 6
        _, mesh = laid(points[~gone])
        self.assertGreater(mesh.open_edge_count, 20)
        self.assertGreater(np.linalg.norm(mesh.vertices - [0, 0, 20], axis=1).min(), 4)


class NoiseAndStrays(unittest.TestCase):
    def test_noise_is_evened(self) -> None:
        points = on_ball(60_000) * (1 + np.random.default_rng(3).normal(scale=0.005, size=(60_000, 1)))
        made, mesh = laid(points)
        self.assertEqual(mesh.open_edge_count, 0)
        # Noise of 0.1 mm; neighbours lie 0.29 mm apart, so that some are taken together.
        self.assertGreater(made.apart, 0.4)
        self.assertLess(np.sqrt(((np.linalg.norm(mesh.vertices, axis=1) - 20) ** 2).mean()), 0.05)

    def test_strays_are_left_out_and_counted(self) -> None:
        strays = np.array([[60.0, 0, 0], [0, -70, 10], [0, 0, 90]])
        points = np.concatenate([on_ball(5_000), strays])
        made, mesh = laid(points)
        self.assertEqual(made.stray, 3)
        self.assertLess(np.abs(mesh.vertices).max(), 21)
        (said,) = how_near(points, made)
        self.assertIn("laid through 5,003 points", said)
        self.assertLess(float(said.split("they lie ")[1].split(" mm")[0]), 0.02)
        self.assertIn("3 stray ones were left out", said)

    def test_it_says_how_near_it_runs(self) -> None:
        made, _ = laid(on_ball(2_000))
        points = on_ball(2_000)[:60] * 1.01
        (said,) = how_near(points, made)
        told = float(said.split("they lie ")[1].split(" mm")[0])
        # An independent library's answer, triangle by triangle.
        corners = made.vertices[made.triangles]
        feet = [trimesh.triangles.closest_point(corners, np.tile(p, (len(corners), 1))) for p in points]
        off = np.array([np.linalg.norm(at - p, axis=1).min() for at, p in zip(feet, points, strict=True)])
        self.assertAlmostEqual(told, np.sqrt((off**2).mean()), delta=6e-3)

    def test_directions_of_the_file_tell_the_sides(self) -> None:
        points = on_ball(5_000)
        for sign in (1, -1):
            made, _ = laid(points, sign * points / 20)
            volume = trimesh.Trimesh(made.vertices, made.triangles, process=False).volume
            self.assertGreater(sign * volume, 30_000)


class Refused(unittest.TestCase):
    def test_too_few_all_in_one_place_and_a_cloud(self) -> None:
        random = np.random.default_rng(1)
        for points in (on_ball(40), np.zeros((500, 3)), random.uniform(-1, 1, (150, 3))):
            with self.assertRaisesRegex(FileFormatError, "make no surface"):
                laid(points)
