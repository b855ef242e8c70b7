"""Inset: even in width, as a region and each by itself, refused with the largest that fits."""

from __future__ import annotations

import re
import unittest

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.inset import inset
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import box, plane


class Insets(unittest.TestCase):
    def test_the_middle_of_a_grid_of_nine(self) -> None:
        sheet = plane((30, 30), (3, 3))
        done = inset(sheet, Selection.of("face", [4]), 2.0, depth=1.5)
        t = done.cage.topology
        self.assertEqual((t.vertex_count, t.face_count, t.euler_characteristic), (20, 13, 1))
        self.assertTrue(np.allclose(np.abs(done.cage.positions[16:, :2]), 3))
        self.assertTrue(np.allclose(done.cage.positions[16:, 2], 1.5))
        self.assertEqual(done.selected.ids.tolist(), [4])

    def test_along_an_open_border_its_corners_round(self) -> None:
        sheet = plane((30, 30), (3, 3))
        done = inset(sheet, Selection.of("face", np.arange(9)), 2.0)
        t = done.cage.topology
        self.assertEqual((t.face_count, t.vertex_count), (9 + 12, 16 + 12))
        ring = np.abs(done.cage.positions[16:, :2]).max(axis=1)
        self.assertTrue(np.allclose(ring, 13))
        # No border vertex has one face only any more, so none is held sharp by the boundary rule.
        self.assertEqual(t.vertex_valence[t.on_border].min(), 3)

    def test_each_face_by_itself(self) -> None:
        sheet = plane((30, 30), (3, 3))
        done = inset(sheet, Selection.of("face", np.arange(9)), 2.0, apart=True)
        self.assertEqual(done.cage.topology.face_count, 9 * 5)
        area = np.linalg.norm(done.cage.face_area_vectors[:9], axis=1)
        self.assertTrue(np.allclose(area, 36))

    def test_the_width_is_even_around_a_bent_rim(self) -> None:
        # An L of three squares: at its inner corner the ring turns the other way.
        points = [(0, 0, 0), (10, 0, 0), (20, 0, 0), (0, 10, 0), (10, 10, 0), (20, 10, 0), (0, 20, 0), (10, 20, 0)]
        cage = Cage.from_faces(points, [[0, 1, 4, 3], [1, 2, 5, 4], [3, 4, 7, 6]])
        done = inset(cage, Selection.of("face", [0, 1, 2]), 2.0)
        moved = {tuple(p) for p in done.cage.positions[8:, :2].round(9)}
        self.assertEqual(moved, {(2, 2), (10, 2), (18, 2), (18, 8), (8, 8), (8, 18), (2, 18), (2, 10)})

    def test_it_turns_over_an_edge_of_a_box(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        sides = np.flatnonzero((cube.face_normals[:, 0] > 0.9) | (cube.face_normals[:, 2] > 0.9))
        done = inset(cube, Selection.of("face", sides), 3.0)
        inner = done.cage.positions[8:]
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        self.assertTrue(np.allclose(np.abs(inner[:, 1]), 7))
        # The shared edge stays where it is, only shorter.
        self.assertEqual(np.count_nonzero(np.isclose(inner[:, 0], 10) & np.isclose(inner[:, 2], 10)), 2)

    def test_too_wide_says_what_fits(self) -> None:
        sheet = plane((30, 30), (3, 3))
        with self.assertRaises(BadNumberError) as caught:
            inset(sheet, Selection.of("face", [4]), 6.0)
        self.assertEqual(caught.exception.place.faces, (4,))
        most = float(re.search(r"up to ([\d.]+) mm", str(caught.exception))[1])  # type: ignore[index]
        self.assertTrue(4.8 < most < 5)
        inset(sheet, Selection.of("face", [4]), most)

    def test_bad_widths(self) -> None:
        for width in (0.0, -1.0, np.nan):
            self.assertRaises(BadNumberError, inset, plane((30, 30), (3, 3)), Selection.of("face", [4]), width)


if __name__ == "__main__":
    unittest.main()
