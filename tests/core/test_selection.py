from __future__ import annotations

import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.selection import convert, mean_normal, touching_faces, vertices_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.primitives import box, plane


class Convert(unittest.TestCase):
    def setUp(self) -> None:
        self.topology = plane((3, 3), (3, 3)).topology

    def test_down_takes_all_that_is_held(self) -> None:
        face = Selection.of("face", [4])
        self.assertEqual(len(convert(self.topology, face, "edge")), 4)
        self.assertEqual(len(convert(self.topology, face, "vertex")), 4)

    def test_up_takes_what_is_wholly_covered(self) -> None:
        verts = convert(self.topology, Selection.of("face", [4]), "vertex")
        self.assertEqual(convert(self.topology, verts, "face").ids.tolist(), [4])
        self.assertEqual(len(convert(self.topology, verts, "edge")), 4)
        self.assertEqual(len(convert(self.topology, Selection.of("vertex", [5]), "face")), 0)

    def test_there_and_back_gives_the_same_faces(self) -> None:
        faces = Selection.of("face", [0, 1, 4])
        back = convert(self.topology, convert(self.topology, faces, "edge"), "face")
        self.assertEqual(back, faces)
        self.assertIs(convert(self.topology, faces, "face"), faces)

    def test_touching_faces(self) -> None:
        self.assertEqual(len(touching_faces(self.topology, Selection.of("vertex", [5]))), 4)
        inner = np.flatnonzero(self.topology.edge_faces[:, 1] >= 0)[:1]
        self.assertEqual(len(touching_faces(self.topology, Selection.of("edge", inner))), 2)
        self.assertEqual(vertices_of(self.topology, Selection.of("edge", inner)).tolist(),
                         self.topology.edge_verts[inner[0]].tolist())  # fmt: skip


class Words(unittest.TestCase):
    def test_counts_in_words(self) -> None:
        self.assertEqual(Selection.of("face", [3]).words(), "1 face")
        self.assertEqual(Selection.of("vertex", [3, 1, 3]).words(), "2 vertices")

    def test_empty_and_unknown_are_refused(self) -> None:
        t = box((1, 1, 1), (1, 1, 1)).topology
        with self.assertRaisesRegex(BadSelectionError, "Pick some edges"):
            Selection.of("edge", []).check(t)
        with self.assertRaisesRegex(BadSelectionError, "no face 6"):
            Selection.of("face", [0, 6]).check(t)
        with self.assertRaisesRegex(BadSelectionError, "no vertex -1"):
            Selection.of("vertex", [-1]).check(t)


class MeanNormal(unittest.TestCase):
    def test_of_a_top_face(self) -> None:
        cage = box((2, 2, 2), (2, 2, 1))
        top = cages.top_faces(cage)
        np.testing.assert_allclose(mean_normal(cage, Selection.of("face", top)), [0, 0, 1], atol=1e-12)

    def test_larger_faces_count_for_more(self) -> None:
        cage = box((1, 1, 10), (1, 1, 1))
        sides = np.flatnonzero((cage.face_normals[:, 2] > 0.9) | (cage.face_normals[:, 0] > 0.9))
        normal = mean_normal(cage, Selection.of("face", sides))
        self.assertAlmostEqual(normal[0] / normal[2], 10)

    def test_a_whole_form_has_none(self) -> None:
        cage = box((1, 2, 3), (1, 1, 1))
        with self.assertRaisesRegex(BadSelectionError, "no mean normal"):
            mean_normal(cage, Selection.of("face", range(6)))
