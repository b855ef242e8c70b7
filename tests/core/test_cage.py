from __future__ import annotations

import pickle
import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError, UnsoundCageError
from zinc_otter.core.primitives import box, plane


class Value(unittest.TestCase):
    def test_arrays_are_closed_to_writing(self) -> None:
        cage = cages.knob()
        for array in (cage.positions, cage.edge_sharpness, cage.vertex_sharpness):
            with self.assertRaises(ValueError):
                array[0] = 1.0

    def test_the_caller_keeps_no_hand_on_the_arrays(self) -> None:
        points = np.array([[0.0, 0, 0], [1, 0, 0], [0, 1, 0]])
        cage = Cage.from_faces(points, [[0, 1, 2]])
        points[0] = 99
        self.assertEqual(cage.positions[0, 0], 0)

    def test_equality_is_exact(self) -> None:
        cage = cages.knob()
        self.assertEqual(cage, cage.with_positions(cage.positions.copy()))
        self.assertEqual(hash(cage), hash(cage.with_positions(cage.positions)))
        nudged = cage.positions.copy()
        nudged[3, 1] = np.nextafter(nudged[3, 1], 99)
        self.assertNotEqual(cage, cage.with_positions(nudged))
        self.assertNotEqual(cage, "cage")

    def test_sharpness_is_part_of_the_structure_and_positions_are_not(self) -> None:
        cage = cages.knob()
        sharp = np.zeros(cage.topology.edge_count)
        sharp[2] = 1.5
        self.assertNotEqual(cage.structure_digest, cage.with_sharpness(edges=sharp).structure_digest)
        self.assertEqual(cage.structure_digest, cage.with_positions(cage.positions + 1).structure_digest)
        self.assertNotEqual(cage.digest, cage.with_positions(cage.positions + 1).digest)

    def test_it_travels_between_processes(self) -> None:
        cage = Cage(cages.tray().positions, cages.tray().topology, face_sets={"rim": [2, 0]})
        back = pickle.loads(pickle.dumps(cage))
        self.assertEqual(back, cage)
        self.assertEqual(back.face_sets["rim"].tolist(), [0, 2])

    def test_what_makes_no_sense_is_refused(self) -> None:
        t = box((1, 1, 1), (1, 1, 1)).topology
        points = np.zeros((8, 3))
        for wild in (np.nan, np.inf, 2e6):
            points[5, 2] = wild
            with self.assertRaises(BadNumberError) as caught:
                Cage(points, t)
            self.assertEqual(caught.exception.place.vertices, (5,))
        with self.assertRaises(UnsoundCageError):
            Cage(np.zeros((7, 3)), t)
        with self.assertRaises(BadNumberError):
            Cage(np.zeros((8, 3)), t, edge_sharpness=np.full(12, 10.5))
        with self.assertRaises(BadNumberError):
            Cage(np.zeros((8, 3)), t, vertex_sharpness=np.full(8, np.nan))
        with self.assertRaises(UnsoundCageError):
            Cage(np.zeros((8, 3)), t, face_sets={"far": [6]})


class Measures(unittest.TestCase):
    def test_area_vectors_of_a_box_cancel_and_add_up_to_its_area(self) -> None:
        cage = box((4, 3, 2), (2, 3, 1), centre=(1e5, 0, 0))
        np.testing.assert_allclose(cage.face_area_vectors.sum(axis=0), 0, atol=1e-9)
        area = np.linalg.norm(cage.face_area_vectors, axis=1).sum()
        self.assertAlmostEqual(area, 2 * (12 + 8 + 6), places=6)

    def test_normals_look_outwards(self) -> None:
        cage = box((4, 3, 2), (1, 1, 1))
        middles = cage.positions[cage.topology.face_verts.reshape(-1, 4)].mean(axis=1)
        self.assertTrue(((cage.face_normals * middles).sum(axis=1) > 0).all())

    def test_a_plane_looks_up(self) -> None:
        np.testing.assert_allclose(plane((3, 2), (2, 2)).face_normals, [[0, 0, 1]] * 4)

    def test_bounds(self) -> None:
        np.testing.assert_allclose(box((4, 3, 2), (1, 1, 1)).bounds, [[-2, -1.5, -1], [2, 1.5, 1]])
