from __future__ import annotations

import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.creases import set_corner, set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, plane


class Delete(unittest.TestCase):
    def test_a_face_leaves_a_hole(self) -> None:
        cage = cages.knob()
        done = delete_elements(cage, Selection.of("face", [3]))
        self.assertEqual(len(done.cage.topology.open_edges), 4)
        self.assertEqual(done.old_to_new.faces[3], -1)
        self.assertEqual(len(done.selected), 0)

    def test_around_a_vertex_or_an_edge(self) -> None:
        sheet = plane((3, 3), (3, 3))
        self.assertEqual(delete_elements(sheet, Selection.of("vertex", [5])).cage.topology.face_count, 5)
        inner = np.flatnonzero(sheet.topology.edge_faces[:, 1] >= 0)[:1]
        self.assertEqual(delete_elements(sheet, Selection.of("edge", inner)).cage.topology.face_count, 7)

    def test_what_remains_keeps_its_place_its_creases_and_its_sets(self) -> None:
        cage = cages.rimmed(3.0)
        named = Cage(cage.positions, cage.topology, cage.edge_sharpness, face_sets={"some": [0, 5, 9]})
        done = delete_elements(named, Selection.of("face", [5]))
        kept = np.flatnonzero(done.old_to_new.vertices >= 0)
        np.testing.assert_array_equal(done.cage.positions[done.old_to_new.vertices[kept]], cage.positions[kept])
        edges = np.flatnonzero(done.old_to_new.edges >= 0)
        np.testing.assert_array_equal(
            done.cage.edge_sharpness[done.old_to_new.edges[edges]], cage.edge_sharpness[edges]
        )
        np.testing.assert_array_equal(done.cage.face_sets["some"], done.old_to_new.faces[[0, 9]])

    def test_faces_that_would_touch_in_a_point_are_parted(self) -> None:
        sheet = plane((2, 2), (2, 2))
        done = delete_elements(sheet, Selection.of("face", [0, 3]))
        self.assertEqual(done.cage.topology.face_count, 2)
        self.assertEqual(done.cage.topology.vertex_count, 8)

    def test_nothing_left_is_refused(self) -> None:
        with self.assertRaisesRegex(BadSelectionError, "the piece itself"):
            delete_elements(plane((1, 1), (1, 1)), Selection.of("face", [0]))


class Creasing(unittest.TestCase):
    def test_edges_get_their_sharpness_and_the_form_stays(self) -> None:
        cage = box((2, 2, 2), (1, 1, 1))
        done = set_crease(cage, Selection.of("edge", [2, 7]), 2.5)
        self.assertEqual(np.flatnonzero(done.cage.edge_sharpness).tolist(), [2, 7])
        np.testing.assert_array_equal(done.cage.positions, cage.positions)
        again = set_crease(done.cage, Selection.of("edge", [2]), 0)
        self.assertEqual(np.flatnonzero(again.cage.edge_sharpness).tolist(), [7])

    def test_picked_faces_crease_their_edges(self) -> None:
        done = set_crease(box((2, 2, 2), (1, 1, 1)), Selection.of("face", [0]), 10)
        self.assertEqual((done.cage.edge_sharpness == 10).sum(), 4)

    def test_corners(self) -> None:
        done = set_corner(box((2, 2, 2), (1, 1, 1)), Selection.of("vertex", [6]), 10)
        self.assertEqual(done.cage.vertex_sharpness[6], 10)

    def test_outside_of_its_range(self) -> None:
        for sharpness in (-0.1, 10.01, np.nan):
            with self.assertRaises(BadNumberError):
                set_crease(box((2, 2, 2), (1, 1, 1)), Selection.of("edge", [0]), sharpness)

    def test_one_vertex_holds_no_edge(self) -> None:
        with self.assertRaises(BadSelectionError):
            set_crease(box((2, 2, 2), (1, 1, 1)), Selection.of("vertex", [0]), 1)
