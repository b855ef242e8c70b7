"""Large meshes and cages: equal rows by keys, points that grow, lesser meshes, and edits whose time grows linearly."""

from __future__ import annotations

import tracemalloc
import unittest

import numpy as np
import trimesh
from hypothesis import given
from hypothesis import strategies as st

from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edits.chamfer.edges import chamfer_edges
from zinc_otter.core.cage.edits.split import split_faces
from zinc_otter.core.cage.face_bound import MOST_FACES
from zinc_otter.core.cage.growing_points import GrowingPoints
from zinc_otter.core.errors import FileFormatError, TooManyFacesError
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.coarse_mesh import simplified
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.same_rows import same_rows
from zinc_otter.studio.design import MOST_IN_DESIGN, Design

numbers = st.sampled_from([0.0, -0.0, 1.0, -1.0, 1e-300, 1e300, 3.5, 2.0**53])


class SameRows(unittest.TestCase):
    @given(st.lists(st.tuples(numbers, numbers, numbers), min_size=1, max_size=40))
    def test_they_are_what_sorting_whole_rows_finds(self, rows: list[tuple[float, float, float]]) -> None:
        values = np.array(rows)
        first, which = same_rows(values)
        self.assertTrue(np.array_equal(values[first][which], values))
        self.assertEqual(len(first), len(np.unique(values, axis=0)))

    def test_integers_too(self) -> None:
        values = np.random.default_rng(1).integers(-3, 3, (5000, 3))
        first, which = same_rows(values)
        self.assertTrue(np.array_equal(values[first][which], values))
        self.assertEqual(len(first), len(np.unique(values, axis=0)))


class Growing(unittest.TestCase):
    def test_points_keep_their_numbers(self) -> None:
        points = GrowingPoints(np.zeros((2, 3)))
        for k in range(1, 200):
            self.assertEqual(points.put(np.full((k % 3, 3), float(k))), list(range(len(points) - k % 3, len(points))))
        self.assertEqual(len(points), len(points.all))
        self.assertTrue(np.array_equal(points[[2, 3]], [[1, 1, 1], [2, 2, 2]]))


class Lesser(unittest.TestCase):
    def setUp(self) -> None:
        ball = trimesh.creation.icosphere(subdivisions=6, radius=30)
        self.vertices, self.triangles = np.asarray(ball.vertices) + [1e5, 0, 0], np.asarray(ball.faces)
        self.felt = simplified(self.vertices, self.triangles, 6_000)

    def test_few_triangles_lie_close_to_many_also_far_from_the_origin(self) -> None:
        points, faces = self.felt
        self.assertLessEqual(len(faces), 6_000)
        self.assertLess(np.abs(np.linalg.norm(points - [1e5, 0, 0], axis=1) - 30).max(), 0.05)
        same = simplified(self.vertices, self.triangles, 10**9)
        self.assertIs(same[0], self.vertices)

    def test_the_nearest_of_many_points_is_measured_to_the_mesh_itself(self) -> None:
        mesh = MeshDistance(self.vertices, self.triangles, self.felt)
        points = np.random.default_rng(2).normal(0, 1, (3_000, 3))
        points = 33 * points / np.linalg.norm(points, axis=1, keepdims=True) + [1e5, 0, 0]
        points[77] = [1e5 + 30.25, 0, 0]
        rough, at = mesh.nearest_first(points)
        exact, exact_at = mesh.signed(points)
        self.assertEqual(int(np.argmin(rough)), int(np.argmin(exact)))
        self.assertAlmostEqual(float(rough.min()), float(exact.min()), delta=1e-9)
        self.assertTrue(np.allclose(at[77], exact_at[77], atol=1e-9))
        self.assertLess(np.abs(rough - exact).max(), 0.06)


class Bounds(unittest.TestCase):
    def test_chamfers_of_many_edges_are_those_of_few(self) -> None:
        # Each vertex is chamfered by itself: a part of a large cage comes out as in a small one.
        cage = box((40, 40, 40), (10, 10, 10))
        done = chamfer_edges(cage, Selection.of("edge", range(cage.topology.edge_count)), 0.5)
        counts = np.bincount(done.cage.topology.face_sizes)
        self.assertEqual(counts[4], done.cage.topology.face_count)

    def test_more_than_can_be_worked_with_is_refused_before_the_work(self) -> None:
        cage = box((40, 40, 40), (20, 20, 20))
        with self.assertRaisesRegex(TooManyFacesError, "9,830,400 faces; 30,000 are the most"):
            split_faces(cage, Selection.of("face", range(2_400)), 64, 64)

    def test_a_design_has_a_bound_of_its_own(self) -> None:
        cage = box((40, 40, 40), (70, 70, 70))
        self.assertLess(cage.topology.face_count, MOST_FACES)
        design = Design()
        for _ in range(MOST_IN_DESIGN // cage.topology.face_count):
            design = design.with_new_piece("Float", cage)[0]
        with self.assertRaisesRegex(TooManyFacesError, "200,000 are the most together"):
            design.with_new_piece("Float", cage)
        # What is there can still be changed, and made less.
        moved = design.pieces[0]
        self.assertEqual(len(design.with_piece(moved).pieces), len(design.pieces))


class TooLarge(unittest.TestCase):
    def test_a_scan_of_six_millions_is_refused_by_its_count_before_anything_is_made_of_it(self) -> None:
        data = bytes(80) + (6_000_000).to_bytes(4, "little") + bytes(50 * 6_000_000)
        tracemalloc.start()
        try:
            with self.assertRaisesRegex(FileFormatError, "6,000,000 faces; 5,000,000 are the most"):
                read_mesh(data, "stl", "mm")
            self.assertLess(tracemalloc.get_traced_memory()[1], 10_000_000)
        finally:
            tracemalloc.stop()

    def test_a_scan_in_metres_that_was_read_in_mm_says_so(self) -> None:
        ball = trimesh.creation.icosphere(subdivisions=2, radius=0.03).export(file_type="stl")
        self.assertIn("it is only 0.06 mm large; look at its unit", read_mesh(ball, "stl", "mm").notes)
        self.assertEqual(read_mesh(ball, "stl", "m").notes, ())

    def test_a_scan_of_nothing(self) -> None:
        with self.assertRaisesRegex(FileFormatError, "no faces"):
            read_mesh(bytes(84), "stl", "mm")
