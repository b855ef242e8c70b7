"""The smooth surface, and not the cage, comes to lie on a scan; noise, spikes and gaps are not followed."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.scan.forms import ball, torus_scan
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.symmetry import mirror, plane_at
from zinc_otter.core.cage.symmetry.assembling import assembled
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import patched_sphere, torus
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.samples import Samples, samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.core.scan.settling import settle
from zinc_otter.core.surface.nearest import nearest_on

PLACES = 12_000


def everything(cage):
    return Selection.of("face", range(cage.topology.face_count))


def surface(cage):
    return nearest_on(cage).surface_points


class OnKnownForms(unittest.TestCase):
    def test_a_ball_gets_its_radius_and_as_near_as_the_noise_allows(self) -> None:
        for noise in (0.0, 0.05, 0.2):
            start = patched_sphere(34, 4)
            start = start.with_positions(start.positions * [1.1, 1, 0.94] + [1, 0, 0.5])
            done = settle(start, everything(start), samples_of(ball(20, noise), PLACES))
            far = np.linalg.norm(surface(done.cage), axis=1)
            self.assertLess(abs(far.mean() - 20), 1e-3 * 20)
            # A fit of so many control points to many more places lies nearer to the truth than single places do.
            self.assertLess(float(np.sqrt(((far - 20) ** 2).mean())), max(0.25 * noise, 0.006))
            self.assertLess(done.after[0], done.before[0] / 5)

    def test_places_are_left_no_more_than_their_noise_apart(self) -> None:
        """Places lie between three noisy vertices: a share of (1/3)^0.5 to 1 of the noise is left, and 1.3 times that at
        most."""
        noise = 0.2
        scan = samples_of(ball(20, noise), PLACES)
        unavoidable = float(np.sqrt(((np.linalg.norm(scan.points, axis=1) - 20) ** 2).mean()))
        start = patched_sphere(38, 3)
        done = settle(start, everything(start), scan)
        self.assertLess(done.after[0], 1.3 * unavoidable)
        self.assertGreater(done.after[0], 0.7 * unavoidable)

    def test_a_torus_gets_both_its_radii(self) -> None:
        start = torus((64, 20), (20, 10))
        done = settle(start, everything(start), samples_of(torus_scan(30, 9, 0.05), PLACES))
        x, y, z = surface(done.cage).T
        ring = np.hypot(x, y)
        # Least squares for the large radius: the middle of the tube's extent, and for the small one.
        large = (ring.max() + ring.min()) / 2
        small = np.hypot(ring - 30, z).mean()
        self.assertLess(abs(large - 30), 1e-3 * 80)
        self.assertLess(abs(small - 9), 1e-3 * 80)

    def test_the_figures_are_those_of_brute_force(self) -> None:
        scan = samples_of(ball(20, 0.1), 600)
        start = patched_sphere(38, 2)
        done = settle(start, everything(start), scan)
        fine = nearest_on(done.cage)
        off = np.linalg.norm(scan.points - fine.at(scan.points)[0], axis=1)
        self.assertAlmostEqual(done.after[0], float(np.sqrt((off**2).mean())), delta=2e-3)
        self.assertEqual(done.count, 600)


class WhatIsNotFollowed(unittest.TestCase):
    def test_spikes_and_a_missing_patch(self) -> None:
        form = patched_sphere(60, 3)
        mesh = scanned(form, Scanning(spacing=1, noise=0.02, missing=7, spikes=40, looks="around"))
        start = form.with_positions(form.positions * 1.05 + np.random.default_rng(3).normal(0, 0.4, form.positions.shape))
        done = settle(start, everything(start), samples_of(MeshDistance(mesh.vertices, mesh.triangles), PLACES))
        off = np.linalg.norm(surface(done.cage) - nearest_on(form).at(surface(done.cage))[0], axis=1)
        self.assertLess(float(np.sqrt((off**2).mean())), 0.05)

    def test_fairness_keeps_a_coarse_scan_from_being_followed(self) -> None:
        scan = samples_of(ball(20, 0.6, rows=14), 900)
        start = patched_sphere(40, 6)

        def roughness(smoothness: float) -> float:
            done = settle(start, everything(start), scan, smoothness=smoothness)
            return float(np.linalg.norm(surface(done.cage), axis=1).std())

        close, fair = roughness(0.0), roughness(0.9)
        self.assertLess(fair, 0.7 * close)

    def test_what_is_not_picked_stays_to_the_last_bit(self) -> None:
        start = patched_sphere(38, 4)
        top = np.flatnonzero(start.positions[:, 2] > 8)
        done = settle(start, Selection.of("vertex", top), samples_of(ball(20), PLACES))
        rest = np.setdiff1d(np.arange(len(start.positions)), top)
        np.testing.assert_array_equal(done.cage.positions[rest], start.positions[rest])
        self.assertGreater(np.abs(done.cage.positions[top] - start.positions[top]).max(), 0.1)

    def test_a_border_stays_or_goes_onto_the_scan_but_not_along_it(self) -> None:
        whole = patched_sphere(38, 4)
        faces = np.flatnonzero(whole.positions[whole.topology.face_verts.reshape(-1, 4)].mean(axis=1)[:, 2] > 0)
        used, rings = np.unique(whole.topology.face_verts.reshape(-1, 4)[faces], return_inverse=True)
        half = type(whole).from_faces(whole.positions[used], rings.reshape(-1, 4).tolist())
        border = half.topology.on_border
        scan = samples_of(ball(20), PLACES)
        held = settle(half, everything(half), scan, border=False)
        np.testing.assert_array_equal(held.cage.positions[border], half.positions[border])
        moved = settle(half, everything(half), scan)
        step = moved.cage.positions[border] - half.positions[border]
        self.assertLess(np.abs(step[:, 2]).max(), 0.5 * np.linalg.norm(step, axis=1).max())
        inside = np.linalg.norm(surface(moved.cage), axis=1)
        self.assertLess(abs(inside - 20).max(), 0.3)


class Mirrored(unittest.TestCase):
    def test_one_side_gets_what_only_the_other_was_scanned_of(self) -> None:
        form = patched_sphere(40, 4)
        plane = plane_at((0, 0, 0), (1, 0, 0))
        faces = form.topology.face_verts.reshape(-1, 4)
        kept = faces[form.positions[faces].mean(axis=1)[:, 0] > 0]
        used, rings = np.unique(kept, return_inverse=True)
        half = type(form).from_faces(form.positions[used], rings.reshape(-1, 4).tolist())
        whole, symmetry = assembled(half, mirror(plane), 1e-6)
        scan = samples_of(ball(21), PLACES)
        seen = scan.points[:, 0] > -2
        done = settle(whole, everything(whole), Samples(scan.points[seen], scan.normals[seen]), group=symmetry.group)
        far = np.linalg.norm(surface(done.cage), axis=1)
        self.assertLess(abs(far - 21).max(), 0.05)
        self.assertLess(symmetry.strays(done.cage.positions), 0.01)

    def test_faces_with_nothing_on_them_are_named(self) -> None:
        start = patched_sphere(38, 4)
        scan = samples_of(ball(20), PLACES)
        seen = scan.points[:, 2] > -5
        done = settle(start, everything(start), Samples(scan.points[seen], scan.normals[seen]))
        assert done.suspect is not None
        middles = start.positions[start.topology.face_verts.reshape(-1, 4)].mean(axis=1)
        self.assertGreater(len(done.suspect), 4)
        self.assertLess(middles[done.suspect, 2].max(), -3)


class Refused(unittest.TestCase):
    def test_a_scan_that_is_elsewhere(self) -> None:
        start = patched_sphere(38, 2)
        scan = samples_of(ball(20), 500)
        with self.assertRaisesRegex(BadSelectionError, "place it first"):
            settle(start, everything(start), Samples(scan.points + [500, 0, 0], scan.normals))

    def test_a_scan_that_looks_inwards(self) -> None:
        start = patched_sphere(38, 2)
        scan = samples_of(ball(20), 500)
        with self.assertRaisesRegex(BadSelectionError, "Next to nothing"):
            settle(start, everything(start), Samples(scan.points, -scan.normals))

    def test_a_fairness_that_is_none(self) -> None:
        start = patched_sphere(38, 2)
        with self.assertRaises(BadNumberError):
            settle(start, everything(start), samples_of(ball(20), 500), smoothness=1.5)

    def test_a_border_that_is_all_there_is(self) -> None:
        from zinc_otter.core.primitives import plane

        sheet = plane((10, 10), (1, 1))
        with self.assertRaisesRegex(BadSelectionError, "Nothing is left to settle"):
            settle(sheet, everything(sheet), samples_of(ball(20), 500), border=False)
