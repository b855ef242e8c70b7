from __future__ import annotations

import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Topology
from zinc_otter.core.errors import UnsoundCageError
from zinc_otter.core.primitives import box, plane


def topology(faces: list[list[int]], vertices: int | None = None) -> Topology:
    flat = np.array([v for face in faces for v in face], dtype=np.int32)
    offsets = np.cumsum([0, *map(len, faces)]).astype(np.int32)
    return Topology.checked(flat.max() + 1 if vertices is None else vertices, flat, offsets)


class Adjacency(unittest.TestCase):
    def test_a_cube_has_twelve_edges_and_every_corner_a_twin(self) -> None:
        t = box((1, 1, 1), (1, 1, 1)).topology
        self.assertEqual((t.vertex_count, t.edge_count, t.face_count), (8, 12, 6))
        self.assertTrue(t.is_closed)
        np.testing.assert_array_equal(t.corner_twin[t.corner_twin], np.arange(24))
        np.testing.assert_array_equal(t.vertex_valence, np.full(8, 3))

    def test_next_and_previous_walk_round_each_face(self) -> None:
        t = cages.prism(5).topology
        np.testing.assert_array_equal(t.corner_prev[t.corner_next], np.arange(t.corner_count))
        np.testing.assert_array_equal(t.corner_face[t.corner_next], t.corner_face)
        self.assertFalse(t.all_quads)

    def test_edges_join_the_two_faces_that_share_them(self) -> None:
        t = plane((2, 1), (2, 1)).topology
        shared = np.flatnonzero(t.edge_faces[:, 1] >= 0)
        self.assertEqual(len(shared), 1)
        self.assertEqual(set(t.edge_faces[shared[0]]), {0, 1})
        self.assertEqual(len(t.open_edges), 6)

    def test_edges_are_numbered_by_their_vertices(self) -> None:
        edges = cages.knob().topology.edge_verts
        self.assertTrue((edges[:, 0] < edges[:, 1]).all())
        order = np.lexsort((edges[:, 1], edges[:, 0]))
        np.testing.assert_array_equal(order, np.arange(len(edges)))

    def test_euler_poincare(self) -> None:
        self.assertEqual(cages.knob().topology.euler_characteristic, 2)
        # A disc with one hole: 2 - (two borders) = 0.
        self.assertEqual(cages.tray().topology.euler_characteristic, 0)

    def test_shells_are_told_apart(self) -> None:
        t = topology([[0, 1, 2], [0, 2, 3], [4, 5, 6]])
        self.assertEqual(t.face_shell[0], t.face_shell[1])
        self.assertNotEqual(t.face_shell[0], t.face_shell[2])

    def test_what_was_checked_is_given_again_and_what_was_refused_is_refused_again(self) -> None:
        faces = np.array([0, 1, 2, 3, 2, 1, 4, 5])
        once, again = (Topology.checked(6, faces, np.array([0, 4, 8])) for _ in range(2))
        self.assertIs(once, again)
        faces[0] = 3
        self.assertEqual(once.face_verts[0], 0, "it shares nothing with the arrays that were given")
        for _ in range(2):
            with self.assertRaisesRegex(UnsoundCageError, "one of its vertices twice"):
                Topology.checked(6, faces, np.array([0, 4, 8]))

    def test_arrays_are_closed_to_writing(self) -> None:
        with self.assertRaises(ValueError):
            box((1, 1, 1), (1, 1, 1)).topology.face_verts[0] = 5


class Soundness(unittest.TestCase):
    def refused(self, faces: list[list[int]], vertices: int | None = None) -> UnsoundCageError:
        with self.assertRaises(UnsoundCageError) as caught:
            topology(faces, vertices)
        return caught.exception

    def test_an_edge_of_three_faces_is_named(self) -> None:
        error = self.refused([[0, 1, 2], [1, 0, 3], [0, 1, 4]])
        self.assertEqual(len(error.place.edges), 1)
        self.assertIn("between vertices 0 and 1", str(error))

    def test_a_flipped_neighbour_is_named(self) -> None:
        error = self.refused([[0, 1, 2], [0, 1, 3]])
        self.assertEqual(error.place.faces, (0, 1))

    def test_a_repeated_vertex_is_named(self) -> None:
        self.assertEqual(self.refused([[0, 1, 2, 1]]).place.faces, (0,))

    def test_two_fans_at_one_vertex_are_named(self) -> None:
        error = self.refused([[0, 1, 2], [0, 3, 4]])
        self.assertEqual(error.place.vertices, (0,))

    def test_a_loose_vertex_is_named(self) -> None:
        self.assertEqual(self.refused([[0, 1, 2]], vertices=5).place.vertices, (3, 4))

    def test_too_few_vertices_and_unknown_vertices(self) -> None:
        self.refused([[0, 1, 2], [0, 1]])
        self.refused([[0, 1, 7]], vertices=3)

    def test_no_faces_at_all(self) -> None:
        with self.assertRaises(UnsoundCageError):
            Topology.checked(0, np.zeros(0, np.int32), np.zeros(1, np.int32))
