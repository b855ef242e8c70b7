"""Fill holes, and delete with healing."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edits.add_loop import split_rings
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.fill import fill
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.picking import loops_of
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.symmetry import plane_at, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import cut_and_assembled
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.primitives import box, cylinder, plane


class Filling(unittest.TestCase):
    def setUp(self) -> None:
        self.tube = cylinder((20, 30), (12, 3), "none")
        t = self.tube.topology
        self.low = t.open_edges[middles_of(self.tube, "edge")[t.open_edges, 2] < 0]

    def test_with_quads(self) -> None:
        done = fill(self.tube, Selection.of("edge", self.low[:1]))
        t = done.cage.topology
        # 12 edges around: a grid of 3 by 3, four points within.
        self.assertEqual((t.face_count, t.vertex_count), (36 + 9, 48 + 4))
        self.assertEqual(len(t.open_edges), 12)
        self.assertTrue(np.all(done.cage.face_normals[done.selected.ids, 2] < -0.99))
        self.assertTrue(np.allclose(done.cage.positions[48:, 2], -15))

    def test_both_holes_at_once(self) -> None:
        done = fill(self.tube, Selection.of("edge", self.tube.topology.open_edges))
        self.assertTrue(done.cage.topology.is_closed)
        self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_rings_lead_on_what_is_around(self) -> None:
        done = fill(self.tube, Selection.of("edge", self.low[:1]), way="rings", rings=2)
        t = done.cage.topology
        self.assertEqual(t.face_count, 36 + 2 * 12 + 9)
        self.assertTrue(t.all_quads)
        # It bulges on in the direction of the tube before it closes.
        self.assertLess(done.cage.positions[:, 2].min(), -17)

    def test_a_flat_hole_stays_flat(self) -> None:
        sheet = delete_elements(plane((50, 50), (5, 5)), Selection.of("face", [12])).cage
        t = sheet.topology
        rim = t.open_edges[np.abs(middles_of(sheet, "edge")[t.open_edges, :2]).max(axis=1) < 6]
        for way in ("quads", "rings", "face"):
            done = fill(sheet, Selection.of("edge", rim[:1]), way=way)  # type: ignore[arg-type]
            self.assertTrue(np.all(done.cage.positions[:, 2] == 0), way)
            self.assertTrue(np.all(done.cage.face_normals[:, 2] > 0.99), way)

    def test_a_single_face(self) -> None:
        done = fill(self.tube, Selection.of("edge", self.low[:1]), way="face")
        self.assertEqual(done.cage.topology.face_sizes[done.selected.ids].tolist(), [12])

    def test_an_odd_hole_is_explained(self) -> None:
        tube = cylinder((20, 30), (7, 1), "none")
        with self.assertRaises(BadSelectionError) as caught:
            fill(tube, Selection.of("edge", tube.topology.open_edges[:1]))
        self.assertIn("7 edges", str(caught.exception))
        self.assertEqual(len(caught.exception.place.edges), 7)

    def test_across_a_line_of_symmetry(self) -> None:
        cage, symmetry = cut_and_assembled(box((30, 30, 10), (4, 3, 1)), plane_at((0, 0, 0), (1, 0, 0)), True, 1e-6)
        m = middles_of(cage, "face")
        gone = np.flatnonzero((m[:, 2] > 4) & (np.abs(m[:, 1]) < 1) & (np.abs(m[:, 0]) < 8))
        opened, symmetry = symmetric_edit(cage, symmetry, Selection.of("face", gone), delete_elements)
        rim = Selection.of("edge", opened.cage.topology.open_edges)
        done, after = symmetric_edit(opened.cage, symmetry, rim, fill)
        self.assertTrue(done.cage.topology.is_closed)
        self.assertLess(after.strays(done.cage.positions), 1e-9)

    def test_nothing_open(self) -> None:
        self.assertRaises(BadSelectionError, fill, box((10, 10, 10), (1, 1, 1)), Selection.of("edge", [0]))


class Healing(unittest.TestCase):
    def test_an_edge_goes_and_two_faces_become_one(self) -> None:
        sheet = plane((20, 10), (2, 1))
        inner = int(np.setdiff1d(np.arange(7), sheet.topology.open_edges)[0])
        done = heal(sheet, Selection.of("edge", [inner]))
        # Its ends had three edges; now they have two and go, too.
        self.assertEqual((done.cage.topology.face_sizes.tolist(), done.cage.topology.vertex_count), ([4], 4))

    def test_a_vertex_goes(self) -> None:
        sheet = plane((20, 20), (2, 2))
        middle = int(np.flatnonzero(~sheet.topology.on_border)[0])
        done = heal(sheet, Selection.of("vertex", [middle]))
        self.assertEqual(done.cage.topology.face_sizes.tolist(), [4])

    def test_a_loop_leaves_no_trace(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        split = split_rings(cube, Selection.of("edge", [0]))
        self.assertEqual(split.cage.topology.face_count, 10)
        loop = loops_of(split.cage.topology, Selection.of("edge", split.selected.ids[:1]))
        done = heal(split.cage, loop)
        faces = [{frozenset(face) for face in c.topology.face_verts.reshape(-1, 4).tolist()} for c in (done.cage, cube)]
        self.assertEqual(faces[0], faces[1])
        self.assertTrue(np.array_equal(done.cage.positions, cube.positions))

    def test_creases_around_and_face_sets_stay(self) -> None:
        cage = box((30, 30, 10), (3, 3, 1))
        m = middles_of(cage, "face")
        top = np.flatnonzero(m[:, 2] > 4)
        border = np.setdiff1d(
            cage.topology.corner_edge[np.isin(cage.topology.corner_face, top)],
            np.flatnonzero(np.isin(cage.topology.edge_faces, top).all(axis=1)),
        )
        sharp = np.zeros(cage.topology.edge_count)
        sharp[border] = 5.0
        done = heal(cage.with_sharpness(edges=sharp), Selection.of("face", top))
        self.assertEqual(done.cage.topology.face_sizes.max(), 12)
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness == 5.0), 12)

    def test_what_would_leave_a_ring_is_refused(self) -> None:
        tube = cylinder((20, 30), (8, 1), "none")
        self.assertRaises(BadSelectionError, heal, tube, Selection.of("face", np.arange(8)))
        self.assertRaises(BadSelectionError, heal, tube, Selection.of("face", [0]))


if __name__ == "__main__":
    unittest.main()
