"""Creases by a factor and along a mesh's sharp lines; grids that are found, and resampled."""

from __future__ import annotations

import unittest

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.refine.shapes import at_height, everything, furthest, tube
from tests.sample_cages import jittered, knob
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edits.creases import crease_along, scale_creases
from zinc_otter.core.cage.picking.grids import grid_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.holding import resample
from zinc_otter.core.primitives import box, plane, torus
from zinc_otter.core.proof.features import LineDistance, feature_segments


class Creases(unittest.TestCase):
    def test_by_a_factor(self) -> None:
        cage = tube(8)
        values = np.linspace(0, 8, cage.topology.edge_count)
        corners = np.full(cage.topology.vertex_count, 4.0)
        sharp = cage.with_sharpness(values, corners)
        soft = scale_creases(sharp, everything(sharp), 0.5).cage
        np.testing.assert_allclose(soft.edge_sharpness, values / 2)
        np.testing.assert_allclose(soft.vertex_sharpness, 2.0)
        hard = scale_creases(sharp, everything(sharp), 3.0).cage
        np.testing.assert_allclose(hard.edge_sharpness, np.minimum(3 * values, 10))
        self.assertRaises(BadSelectionError, scale_creases, cage, everything(cage), 0.5)
        self.assertRaises(BadNumberError, scale_creases, sharp, everything(sharp), -1.0)

    def test_the_sharp_lines_of_meshes(self) -> None:
        # trimesh finds the same lines from its own adjacency: those of a box, and none on a fine sphere but by 1 degree.
        for mesh, degrees in ((trimesh.creation.box((10, 20, 30)), 30), (trimesh.creation.icosphere(3, 10.0), 1.0),
                              (trimesh.creation.cylinder(5, 20, sections=24), 20)):  # fmt: skip
            found = feature_segments(mesh.vertices, mesh.faces, degrees)
            sharp = mesh.face_adjacency_angles >= np.radians(degrees)
            self.assertEqual(len(found), np.count_nonzero(sharp))
            expected = mesh.vertices[mesh.face_adjacency_edges[sharp]].mean(axis=1)
            np.testing.assert_allclose(np.sort(found.mean(axis=1), axis=0), np.sort(expected, axis=0), atol=1e-9)

    def test_a_triangle_soup_counts_places_once(self) -> None:
        mesh = trimesh.creation.box((10, 20, 30))
        soup = mesh.vertices[mesh.faces].reshape(-1, 3)
        self.assertEqual(len(feature_segments(soup, np.arange(36).reshape(-1, 3), 30)), 12)
        self.assertRaises(BadNumberError, feature_segments, soup, np.arange(36).reshape(-1, 3), 0.0)

    def test_distances_to_lines(self) -> None:
        rng = np.random.default_rng(4)
        segments = rng.uniform(-20, 20, (40, 2, 3)) * rng.uniform(0.05, 1, (40, 1, 1))
        points = rng.uniform(-20, 20, (200, 3))
        a, b = segments.transpose(1, 0, 2)
        share = ((points[:, None] - a) * (b - a)).sum(axis=2) / ((b - a) ** 2).sum(axis=1)
        exact = np.linalg.norm(points[:, None] - a - np.clip(share, 0, 1)[..., None] * (b - a), axis=2).min(axis=1)
        np.testing.assert_allclose(LineDistance(segments)(points), exact, atol=1e-9)

    def test_like_a_box(self) -> None:
        cage = jittered(box((40, 40, 40), (4, 4, 4)), 0.1)
        mesh = trimesh.creation.box((40, 40, 40))
        lines = LineDistance(feature_segments(mesh.vertices, mesh.faces, 30))
        done = crease_along(cage, everything(cage), lines, 0.4, 6.0)
        self.assertEqual(len(done.selected), 12 * 4)
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness == 6), 48)
        with self.assertRaises(BadSelectionError):
            crease_along(cage, Selection.of("face", [0]), LineDistance(np.zeros((0, 2, 3))), 0.4, 6.0)


class Grids(unittest.TestCase):
    def test_found(self) -> None:
        for cage, counts, closed in (
            (plane((50, 40), (5, 4)), {5, 4}, [False, False]),
            (tube(8, 3), {8, 3}, [False, True]),
            (torus((40, 8), (12, 6)), {12, 6}, [True, True]),
        ):
            grid = grid_of(cage.topology, everything(cage))
            self.assertEqual(set(grid.counts), counts)
            self.assertEqual(sorted(grid.closed), closed)
            verts = grid.verts(cage.topology)
            # Neighbours in the grid share an edge of the cage.
            pairs = {tuple(sorted(e)) for e in cage.topology.edge_verts.tolist()}
            for run in (verts, verts.T):
                for line in run:
                    steps = zip(line[:-1].tolist(), line[1:].tolist(), strict=True)
                    self.assertTrue(all(tuple(sorted(step)) in pairs for step in steps))

    def test_what_is_none(self) -> None:
        sheet = plane((40, 40), (4, 4))
        for faces in ([0, 1, 2, 4], [0, 5], list(range(15))):
            self.assertRaises(BadSelectionError, grid_of, sheet.topology, Selection.of("face", faces))
        self.assertRaises(BadSelectionError, grid_of, knob().topology, everything(knob()))


class Resample(unittest.TestCase):
    def test_a_tube_holds_its_form(self) -> None:
        cage = tube(16)
        for u, v in ((16, 6), (12, 4), (24, 9)):
            done = resample(cage, everything(cage), u, v)
            self.assertEqual(done.cage.topology.face_count, u * v)
            self.assertLess(done.deviation, 0.001 * 60)
            self.assertAlmostEqual(furthest(done.cage, cage), done.deviation, delta=0.15 * done.deviation + 2e-3)

    @settings(deadline=None, max_examples=10, derandomize=True)
    @given(st.integers(0, 1000), st.integers(4, 10), st.integers(4, 10), st.sampled_from(["even", "curvature"]))
    def test_sheets(self, seed: int, u: int, v: int, density: str) -> None:
        cage = jittered(plane((50, 40), (5, 4)), 1.0, seed)
        done = resample(cage, everything(cage), u, v, density=density)  # type: ignore[arg-type]
        done.cage.topology.check()
        self.assertEqual(done.cage.topology.face_count, u * v)
        self.assertLess(done.deviation, 0.02 * 50)
        # The four corners stay.
        corners = cage.positions[cage.topology.vertex_valence == 2]
        after = done.cage.positions[done.cage.topology.vertex_valence == 2]
        for corner in corners:
            self.assertLess(np.linalg.norm(after - corner, axis=1).min(), 0.02)

    def test_more_faces_stray_less(self) -> None:
        cage = jittered(plane((50, 40), (5, 4)), 1.5)
        coarse, fine = (resample(cage, everything(cage), *n).deviation for n in ((4, 3), (10, 8)))
        self.assertLess(fine, 0.2 * coarse)

    def test_rows_gather_where_it_bends(self) -> None:
        sheet = plane((60, 30), (12, 3))
        bent = sheet.positions.copy()
        bent[:, 2] = 6 * np.exp(-((bent[:, 0] - 12) ** 2) / 30)
        cage = sheet.with_positions(bent)
        even, close = (resample(cage, everything(cage), 12, 3, density=d) for d in ("even", "curvature"))  # type: ignore[arg-type]
        def near(edit) -> int:  # type: ignore[no-untyped-def]
            return int(np.count_nonzero(np.abs(edit.cage.positions[:, 0] - 12) < 8))
        self.assertGreater(near(close), near(even))

    def test_a_region_beside_other_faces(self) -> None:
        cage = box((40, 40, 20), (4, 4, 2))
        top = Selection.of("face", np.flatnonzero(cage.face_normals[:, 2] > 0.9))
        done = resample(cage, top, 8, 4)
        self.assertEqual(len(done.selected), 32)
        self.assertTrue(done.cage.topology.is_closed)
        with self.assertRaises(BadSelectionError) as caught:
            resample(cage, top, 6, 4)
        self.assertIn("whole multiple", str(caught.exception))
        # Vertices at the border that others lean on stay, so that the form is held less well, but nothing flies off.
        for shaken in (0.0, 0.3):
            rough = jittered(cage, shaken)
            for counts in ((8, 4), (8, 8), (12, 12)):
                finer = resample(rough, top, *counts)
                self.assertLess(finer.deviation, 0.006 * 40)
                self.assertAlmostEqual(furthest(finer.cage, rough), finer.deviation, delta=0.1 * finer.deviation)
        # Same counts: what lies around does not move.
        same = resample(cage, top, 4, 4)
        around = np.flatnonzero(cage.positions[:, 2] < 9)
        np.testing.assert_array_equal(same.cage.positions[same.old_to_new.vertices[around]], cage.positions[around])

    def test_creases_on_rows_that_stay(self) -> None:
        cage = tube(16)
        sharp = np.zeros(cage.topology.edge_count)
        sharp[at_height(cage, 0)] = 10
        creased = cage.with_sharpness(edges=sharp)
        kept = resample(creased, everything(creased), 16, 12)
        self.assertEqual(np.count_nonzero(kept.cage.edge_sharpness == 10), 16)
        self.assertEqual(len(kept.remarks), 1)
        lost = resample(creased, everything(creased), 16, 5)
        self.assertEqual(np.count_nonzero(lost.cage.edge_sharpness), 0)
        self.assertIn("left out", lost.remarks[0])

    def test_refusals(self) -> None:
        cage = tube(8)
        self.assertRaises(BadNumberError, resample, cage, everything(cage), 2, 4)
        self.assertRaises(BadNumberError, resample, cage, everything(cage), 8, 0)
        self.assertRaises(BadNumberError, resample, cage, everything(cage), 8, 201)


if __name__ == "__main__":
    unittest.main()
