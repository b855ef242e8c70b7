"""Loose parts, spikes and holes of a scan: how many there are, and that nothing else is touched."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.scan.forms import ball_points
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, patched_sphere
from zinc_otter.core.scan.cleaning import cleaned, rims
from zinc_otter.core.scan.scanner import Scanning, scanned


class Cleaning(unittest.TestCase):
    def test_spikes_are_counted_and_laid_back_and_the_rest_stays_to_the_last_bit(self) -> None:
        form = patched_sphere(60, 3)
        plain = scanned(form, Scanning(spacing=1, noise=0.03, looks="around", seed=2))
        for count in (1, 7, 15):
            spiky = scanned(form, Scanning(spacing=1, noise=0.03, looks="around", seed=2, spikes=count))
            done = cleaned(spiky.vertices, spiky.triangles)
            self.assertEqual((done.parts, done.spikes, done.holes), (0, count, 0))
            out = np.linalg.norm(spiky.vertices - plain.vertices, axis=1) > 0.1
            self.assertEqual(int(out.sum()), count)
            np.testing.assert_array_equal(done.mesh.vertices[~out], spiky.vertices[~out])
            self.assertLess(np.linalg.norm(done.mesh.vertices[out] - plain.vertices[out], axis=1).max(), 0.35)

    def test_a_scan_without_spikes_has_none(self) -> None:
        for noise in (0.0, 0.02, 0.2):
            mesh = scanned(patched_sphere(60, 3), Scanning(spacing=1, noise=noise, looks="around"))
            self.assertEqual(cleaned(mesh.vertices, mesh.triangles).words, "nothing was to be cleaned up")

    def test_edges_of_a_form_are_no_spikes(self) -> None:
        from zinc_otter.core.cage import HARD

        cube = box((40, 40, 40), (2, 2, 2))
        sharp = cube.with_sharpness(edges=np.full(cube.topology.edge_count, HARD))
        mesh = scanned(sharp, Scanning(spacing=1, noise=0.05, looks="around"))
        done = cleaned(mesh.vertices, mesh.triangles)
        # The eight corners stand out as spikes do, and are no further off than their roundness then.
        self.assertLessEqual(done.spikes, 8)

    def test_loose_parts_are_left_out(self) -> None:
        v, f = ball_points(20, 0.0, rows=40)
        small, g = ball_points(1, 0.0, rows=6)
        both = np.concatenate([v, small + [40, 0, 0], small + [0, 50, 0]])
        done = cleaned(both, np.concatenate([f, g + len(v), g + len(v) + len(small)]))
        self.assertEqual(done.words, "2 loose parts left out")
        self.assertEqual(len(done.mesh.triangles), len(f))
        # Another one as large stays.
        twins = cleaned(np.concatenate([v, v + [60, 0, 0]]), np.concatenate([f, f + len(v)]))
        self.assertEqual((twins.parts, len(twins.mesh.triangles)), (0, 2 * len(f)))

    def test_holes_are_closed_up_to_the_rim_that_was_said(self) -> None:
        mesh = scanned(patched_sphere(60, 3), Scanning(spacing=1, noise=0, looks="around", missing=4))
        rim = rims(np.asarray(mesh.triangles, dtype=np.int64))
        self.assertEqual(len(rim), 1)
        around = mesh.vertices[rim[0]]
        long = float(np.linalg.norm(around - np.roll(around, 1, axis=0), axis=1).sum())
        self.assertEqual(cleaned(mesh.vertices, mesh.triangles, long - 0.1).holes, 0)
        done = cleaned(mesh.vertices, mesh.triangles, long + 0.1)
        self.assertEqual((done.holes, done.mesh.open_edge_count), (1, 0))
        # Turned as the rest is: the volume is that of the form.
        self.assertAlmostEqual(done.mesh.volume, 4 / 3 * np.pi * 27.7**3, delta=1_500)

    def test_rims_that_touch_are_left_alone(self) -> None:
        v = np.array([[0.0, 0, 0], [1, 0, 0], [0, 1, 0], [-1, 0, 0], [0, -1, 0]])
        self.assertEqual(cleaned(v, np.array([[0, 1, 2], [0, 3, 4]]), 100.0).holes, 0)

    def test_what_is_refused(self) -> None:
        v, f = ball_points(20, 0.0, rows=8)
        with self.assertRaises(BadNumberError):
            cleaned(v, f, -1.0)
        with self.assertRaisesRegex(BadSelectionError, "no triangles"):
            cleaned(v, f[:0])
