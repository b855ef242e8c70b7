"""The simulated scanner: what it brings home is what was asked for, and the same for the same seed."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.scan.forms import ball
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import box, patched_sphere, plane
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.samples import samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.core.surface.nearest import nearest_on


class Scanner(unittest.TestCase):
    def test_the_noise_is_the_one_asked_for(self) -> None:
        form = patched_sphere(60, 3)
        made = scanned(form, Scanning(spacing=1.0, noise=0.07, looks="around"))
        off = np.linalg.norm(made.vertices - nearest_on(form).at(made.vertices)[0], axis=1)
        self.assertAlmostEqual(float(np.sqrt((off**2).mean())), 0.07, delta=0.004)
        self.assertEqual(made.open_edge_count, 0)
        sides = np.linalg.norm(made.vertices[made.triangles[:, 0]] - made.vertices[made.triangles[:, 1]], axis=1)
        self.assertLess(sides.mean(), 1.2)

    def test_the_same_seed_gives_the_same_scan(self) -> None:
        form = patched_sphere(40, 2)
        how = Scanning(spacing=2, missing=4, spikes=3, tossed=True, seed=5)
        one, two, other = scanned(form, how), scanned(form, how), scanned(form, Scanning(spacing=2, missing=4, seed=6))
        np.testing.assert_array_equal(one.vertices, two.vertices)
        self.assertFalse(one.vertices.shape == other.vertices.shape and np.allclose(one.vertices, other.vertices))

    def test_from_a_table_the_underside_is_missing(self) -> None:
        made = scanned(patched_sphere(60, 3), Scanning(spacing=1, noise=0))
        self.assertGreater(made.open_edge_count, 10)
        # Seen from just above the table, up to 75 degrees from straight on.
        self.assertGreater(made.vertices[:, 2].min(), -28.5)
        self.assertAlmostEqual(float(made.vertices[:, 2].max()), 27.7, delta=0.3)

    def test_what_stands_in_the_way_is_in_shadow(self) -> None:
        """Under a wide roof the top of a ball is not seen from above, and too flatly from the sides."""
        ball_below, roof = patched_sphere(40, 3), box((400, 400, 10), (4, 4, 1))
        faces = [ring.tolist() for ring in ball_below.topology.face_verts.reshape(-1, 4)]
        count = len(ball_below.positions)
        both = Cage.from_faces(
            np.concatenate([ball_below.positions, roof.positions + [0, 0, 60]]),
            faces + [(ring + count).tolist() for ring in roof.topology.face_verts.reshape(-1, 4)],
        )

        def on_top(cage: Cage) -> int:
            x, y, z = scanned(cage, Scanning(spacing=3, noise=0)).vertices.T
            return int(np.count_nonzero((np.hypot(x, y) < 4) & (z > 0) & (z < 30)))

        self.assertGreater(on_top(ball_below), 5)
        self.assertEqual(on_top(both), 0)

    def test_a_missing_patch_is_as_large_as_asked(self) -> None:
        form = patched_sphere(60, 3)
        whole = scanned(form, Scanning(spacing=1, noise=0, looks="around"))
        less = scanned(form, Scanning(spacing=1, noise=0, looks="around", missing=6))
        gone = MeshDistance(*_arrays(whole)).areas.sum() - MeshDistance(*_arrays(less)).areas.sum()
        self.assertAlmostEqual(gone / (np.pi * 36), 1.1, delta=0.25)

    def test_tossed_it_lies_elsewhere_and_is_the_same_form(self) -> None:
        made = scanned(patched_sphere(60, 3), Scanning(spacing=1.5, noise=0, looks="around", tossed=True))
        middle = samples_of(MeshDistance(*_arrays(made)), 2_000).points.mean(axis=0)
        self.assertGreater(np.linalg.norm(middle), 3)
        far = np.linalg.norm(made.vertices - middle, axis=1)
        self.assertLess(np.ptp(far), 0.7)

    def test_what_is_refused(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "further apart"):
            scanned(patched_sphere(60, 3), Scanning(spacing=0.001))
        for wrong in ({"spacing": 0}, {"noise": -1}, {"grazing": 5}, {"spikes": -1}, {"spacing": np.nan}):
            with self.assertRaises(BadNumberError):
                Scanning(**wrong)
        face_down = plane((20, 20), (2, 2))
        face_down = face_down.with_positions(face_down.positions * [1, -1, 1])
        with self.assertRaisesRegex(BadNumberError, "sees nothing"):
            scanned(face_down, Scanning(spacing=2))


class EvenPlaces(unittest.TestCase):
    def test_places_stand_for_equal_areas(self) -> None:
        places = samples_of(ball(20, poles=0.001), 4_000)
        # On a ball equal heights have equal areas (Archimedes).
        counts = np.histogram(places.points[:, 2], bins=8, range=(-20, 20))[0]
        self.assertLess(abs(counts - 500).max(), 15)
        self.assertLess(abs((places.normals * places.points).sum(axis=1) / 20 - 1).max(), 0.01)


def _arrays(mesh):
    return mesh.vertices, mesh.triangles
