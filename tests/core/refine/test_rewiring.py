"""Split, spin, collapse."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.refine.shapes import at_height, everything, lengthwise, tube
from tests.sample_cages import jittered, knob, prism
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.collapse import collapse
from zinc_otter.core.cage.edits.spin import spin
from zinc_otter.core.cage.edits.split import split_edges, split_faces
from zinc_otter.core.cage.picking.loops import edge_loop, edge_ring
from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError
from zinc_otter.core.primitives import box, plane


class Split(unittest.TestCase):
    def test_faces_into_n_by_m(self) -> None:
        sheet = plane((30, 20), (3, 2))
        done = split_faces(sheet, everything(sheet), 3, 2)
        self.assertEqual(done.cage.topology.face_count, 6 * 6)
        self.assertTrue(done.cage.topology.all_quads)
        self.assertEqual(len(done.selected), 36)
        # Even spacing: each new face has the same area.
        areas = np.linalg.norm(done.cage.face_area_vectors, axis=1)
        np.testing.assert_allclose(areas, 600 / 36)

    def test_the_first_number_counts_along_the_first_edge(self) -> None:
        sheet = plane((30, 20), (1, 1))
        a, b = sheet.positions[sheet.topology.face_verts[:2]]
        done = split_faces(sheet, everything(sheet), 5, 1)
        along = (b - a) / np.linalg.norm(b - a)
        self.assertEqual(len(np.unique(np.round(done.cage.positions @ along, 9))), 6)

    def test_neighbours_gain_corners(self) -> None:
        cage = box((20, 16, 12), (3, 3, 3))
        done = split_faces(cage, Selection.of("face", [0]), 2, 3)
        sizes = np.bincount(done.cage.topology.face_sizes)
        self.assertEqual(done.cage.topology.face_count, 54 + 5)
        self.assertEqual(sizes[4], 49 + 6)
        self.assertEqual(sizes[5] + sizes[6], 4)

    def test_directions_that_meet_crosswise_need_one_number(self) -> None:
        # Around a corner of a box the three directions meet.
        cage = box((10, 10, 10), (1, 1, 1))
        self.assertRaises(BadSelectionError, split_faces, cage, everything(cage), 2, 3)
        done = split_faces(cage, everything(cage), 3, 3)
        self.assertEqual(done.cage.topology.face_count, 54)
        self.assertTrue(done.cage.topology.all_quads)

    def test_edges_into_parts(self) -> None:
        cage = knob()
        done = split_edges(cage, Selection.of("edge", [0, 1]), 4)
        self.assertEqual(done.cage.topology.vertex_count, cage.topology.vertex_count + 6)
        self.assertEqual(len(done.selected), 8)
        self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_creases_and_sets_go_to_all_parts(self) -> None:
        sheet = plane((30, 20), (3, 2))
        cage = Cage(sheet.positions, sheet.topology, np.full(sheet.topology.edge_count, 3.0), None, {"left": [0]})
        done = split_faces(cage, Selection.of("face", [0, 1]), 2, 2)
        self.assertEqual(len(done.cage.face_sets["left"]), 4)
        old = done.edge_parts
        assert old is not None
        np.testing.assert_allclose(done.cage.edge_sharpness[old[:, 1]], 3.0)

    def test_refusals(self) -> None:
        self.assertRaises(BadSelectionError, split_faces, prism(), Selection.of("face", [5]), 2, 2)
        self.assertRaises(BadNumberError, split_faces, knob(), Selection.of("face", [0]), 1, 1)
        self.assertRaises(BadNumberError, split_faces, knob(), Selection.of("face", [0]), 0, 2)
        self.assertRaises(BadNumberError, split_edges, knob(), Selection.of("edge", [0]), 65)
        self.assertRaises(BadSelectionError, split_edges, knob(), Selection.of("face", [0]), 2)


class Spin(unittest.TestCase):
    @settings(deadline=None, max_examples=30, derandomize=True)
    @given(st.integers(0, 10**6), st.booleans())
    def test_forth_and_back_is_what_it_was(self, seed: int, backwards: bool) -> None:
        cage = jittered(box((20, 16, 12), (3, 3, 3)), 0.3)
        t = cage.topology
        inner = np.flatnonzero((t.vertex_valence[t.edge_verts] == 4).all(axis=1))
        edge = int(inner[seed % len(inner)])
        once = spin(cage, Selection.of("edge", [edge]), backwards=backwards)
        once.cage.topology.check()
        self.assertTrue(once.cage.topology.all_quads)
        a, b = t.edge_verts[edge]
        self.assertEqual(set(once.cage.topology.edge_verts[once.selected.ids[0]]) & {a, b}, set())
        back = spin(once.cage, once.selected, backwards=not backwards)
        self.assertEqual(set(back.cage.topology.edge_verts[back.selected.ids[0]]), {a, b})
        np.testing.assert_array_equal(back.cage.topology.edge_verts, t.edge_verts)

    def test_three_times_between_quads_comes_round(self) -> None:
        cage = box((20, 16, 12), (4, 4, 4))
        t = cage.topology
        edge = int(np.flatnonzero((t.vertex_valence[t.edge_verts] == 4).all(axis=1))[3])
        edit = spin(cage, Selection.of("edge", [edge]))
        for _ in range(2):
            edit = spin(edit.cage, edit.selected)
        np.testing.assert_array_equal(edit.cage.topology.edge_verts, t.edge_verts)

    def test_the_crease_goes_with_it(self) -> None:
        cage = box((20, 16, 12), (3, 3, 3))
        t = cage.topology
        edge = int(np.flatnonzero((t.vertex_valence[t.edge_verts] == 4).all(axis=1))[0])
        sharp = cage.edge_sharpness.copy()
        sharp[edge] = 4.0
        done = spin(cage.with_sharpness(edges=sharp), Selection.of("edge", [edge]))
        self.assertEqual(done.cage.edge_sharpness[done.selected.ids].tolist(), [4.0])
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness), 1)

    def test_refusals(self) -> None:
        sheet = plane((30, 20), (3, 2))
        self.assertRaises(BadSelectionError, spin, sheet, Selection.of("edge", sheet.topology.open_edges[:1]))
        cube = box((10, 10, 10), (1, 1, 1))
        with self.assertRaises(BadSelectionError) as caught:
            spin(cube, Selection.of("edge", [0]))
        self.assertEqual(len(caught.exception.place.vertices), 2)
        cage = box((20, 16, 12), (3, 3, 3))
        face = cage.topology.corner_edge[:2]
        self.assertRaises(BadSelectionError, spin, cage, Selection.of("edge", face))


class Collapse(unittest.TestCase):
    def test_a_face_becomes_a_vertex_in_its_middle(self) -> None:
        cage = box((20, 16, 12), (3, 3, 3))
        middle = cage.positions[cage.topology.face_verts[:4]].mean(axis=0)
        done = collapse(cage, Selection.of("face", [0]))
        self.assertEqual(done.cage.topology.face_count, 53)
        np.testing.assert_allclose(done.cage.positions[done.selected.ids[0]], middle)
        self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_an_edge_and_a_loop(self) -> None:
        cage = tube(8)
        one = collapse(cage, Selection.of("edge", lengthwise(cage)[:1]))
        self.assertEqual(one.cage.topology.vertex_count, cage.topology.vertex_count - 1)
        # A border loop drawn into one point closes that end.
        rim = at_height(cage, 30)
        closed = collapse(cage, Selection.of("edge", rim))
        self.assertEqual(len(closed.cage.topology.open_edges), 8)
        self.assertEqual(closed.cage.topology.euler_characteristic, 1)

    def test_a_ring_takes_a_strip_away(self) -> None:
        cage = tube(8)
        rung = int(lengthwise(cage)[20])
        self.assertEqual(len(edge_ring(cage.topology, rung)), 8)
        done = collapse(cage, Selection.of("edge", [rung]), rings=True)
        self.assertEqual(done.cage.topology.face_count, cage.topology.face_count - 8)
        self.assertEqual(len(done.selected), 8)
        self.assertTrue(done.cage.topology.all_quads)

    def test_refusals(self) -> None:
        cage = tube(8)
        self.assertRaises(BadSelectionError, collapse, cage, Selection.of("vertex", [0]))
        self.assertRaises(CoreError, collapse, cage, everything(cage))
        # An inner loop drawn into a point would pinch the tube.
        loop = edge_loop(cage.topology, int(at_height(cage, 0)[0]))
        self.assertRaises(CoreError, collapse, cage, Selection.of("edge", loop))


if __name__ == "__main__":
    unittest.main()
