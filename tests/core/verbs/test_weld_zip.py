"""Weld and zip: counts and coordinates by hand; chains of unequal counts leave no hole and no vertex over."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.edits.detach import detach
from zinc_otter.core.cage.edits.weld import close_groups, weld, weld_close
from zinc_otter.core.cage.edits.zip import zip_chains
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError
from zinc_otter.core.primitives import box, cylinder, plane


def two_sheets(few: int, many: int, gap: float = 1.0) -> tuple[Cage, Selection]:
    """Two sheets side by side, with ``few`` and ``many`` edges along the gap; the edges there are picked."""
    low, high = plane((12, 4), (few, 1)), plane((12, 4), (many, 1))
    whole, _ = joined([low, high.with_positions(high.positions + [0, 4 + gap, 0])])
    y = middles_of(whole, "edge")[:, 1]
    along = np.flatnonzero((np.abs(y - 2) < 1e-9) | (np.abs(y - 2 - gap) < 1e-9))
    return whole, Selection.of("edge", np.intersect1d(along, whole.topology.open_edges))


class Welding(unittest.TestCase):
    def test_two_corners_of_a_face_make_a_triangle(self) -> None:
        sheet = plane((10, 10), (1, 1))
        done = weld(sheet, Selection.of("vertex", [0, 1]))
        self.assertEqual((done.cage.topology.vertex_count, done.cage.topology.face_sizes.tolist()), (3, [3]))
        new = done.cage.positions[done.selected.ids[0]]
        self.assertTrue(np.allclose(new, sheet.positions[[0, 1]].mean(axis=0)))

    def test_onto_a_vertex_and_at_a_point(self) -> None:
        cube = box((20, 20, 20), (2, 2, 2))
        a, b = cube.topology.edge_verts[0].tolist()
        done = weld(cube, Selection.of("vertex", [a, b]), onto=b)
        self.assertTrue(np.array_equal(done.cage.positions[done.selected.ids[0]], cube.positions[b]))
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        done = weld(cube, Selection.of("vertex", [a, b]), point=(1, 2, 3))
        self.assertEqual(done.cage.positions[done.selected.ids[0]].tolist(), [1, 2, 3])
        self.assertRaises(BadSelectionError, weld, cube, Selection.of("vertex", [a, b]), onto=25)

    def test_what_lies_close_closes_a_cut(self) -> None:
        cube = box((30, 30, 10), (3, 3, 1))
        cut = detach(cube, Selection.of("face", [0, 1])).cage
        self.assertFalse(cut.topology.is_closed)
        everything = Selection.of("vertex", np.arange(cut.topology.vertex_count))
        done = weld_close(cut, everything, 0.01)
        self.assertEqual(done.cage.topology.face_count, cube.topology.face_count)
        self.assertTrue(done.cage.topology.is_closed)
        groups = close_groups(cut, everything, 0.01)
        self.assertEqual(len(np.unique(groups)), cube.topology.vertex_count)
        self.assertRaises(BadSelectionError, weld_close, cube, Selection.of("vertex", np.arange(32)), 0.01)
        self.assertRaises(BadNumberError, weld_close, cube, Selection.of("vertex", [0]), -1.0)

    def test_the_sharper_crease_stays(self) -> None:
        cut = detach(box((30, 30, 10), (3, 3, 1)), Selection.of("face", [0])).cage
        sharp = np.zeros(cut.topology.edge_count)
        sharp[cut.topology.open_edges[0]] = 3.0
        done = weld_close(cut.with_sharpness(edges=sharp), Selection.of("vertex", np.arange(len(cut.positions))), 0.01)
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness == 3.0), 1)

    def test_opposite_corners_of_a_tube_cannot(self) -> None:
        tube = cylinder((20, 10), (8, 1), "none")
        ring = np.flatnonzero(tube.positions[:, 2] > 4)
        with self.assertRaises(UnsoundCageError) as caught:
            weld(tube, Selection.of("vertex", ring[[0, 4]]))
        self.assertEqual(caught.exception.place.vertices, tuple(ring[[0, 4]]))


class Zipping(unittest.TestCase):
    def test_equal_counts_meet_in_the_middle(self) -> None:
        cage, edges = two_sheets(3, 3)
        done = zip_chains(cage, edges)
        t = done.cage.topology
        self.assertEqual((t.vertex_count, t.face_count, t.euler_characteristic), (12, 6, 1))
        line = done.cage.positions[np.unique(t.edge_verts[done.selected.ids])]
        self.assertTrue(np.allclose(line[:, 1], 2.5))
        self.assertTrue(np.allclose(sorted(line[:, 0]), [-6, -2, 2, 6]))

    def test_on_the_first_or_the_second(self) -> None:
        cage, edges = two_sheets(2, 3)
        for where, y in (("first", 2.0), ("second", 3.0)):
            done = zip_chains(cage, edges, where=where)  # type: ignore[arg-type]
            line = done.cage.positions[np.unique(done.cage.topology.edge_verts[done.selected.ids])]
            self.assertTrue(np.allclose(line[:, 1], y), where)

    @settings(deadline=None, max_examples=40)
    @given(st.integers(1, 7), st.integers(1, 7), st.floats(0, 3))
    def test_any_counts_leave_no_hole_and_no_vertex_over(self, few: int, many: int, gap: float) -> None:
        cage, edges = two_sheets(few, many, gap)
        done = zip_chains(cage, edges)
        t = done.cage.topology
        most = max(few, many)
        self.assertEqual(len(done.selected), most)
        self.assertTrue(np.all(t.edge_corners[done.selected.ids] >= 0))
        self.assertEqual(t.euler_characteristic, 1)
        self.assertEqual(t.vertex_count, 2 * (few + 1) + 2 * (many + 1) - (few + 1) - (many + 1) + most + 1)

    def test_closed_loops(self) -> None:
        for first, second in ((8, 8), (6, 8), (4, 12)):
            low, high = cylinder((20, 10), (first, 1), "none"), cylinder((20, 10), (second, 1), "none")
            whole, _ = joined([low, high.with_positions(high.positions + [0, 0, 11])])
            z = middles_of(whole, "edge")[:, 2]
            rims = np.flatnonzero((np.abs(z - 5) < 0.1) | (np.abs(z - 6) < 0.1))
            done = zip_chains(whole, Selection.of("edge", np.intersect1d(rims, whole.topology.open_edges)))
            self.assertEqual(done.cage.topology.euler_characteristic, 0)
            self.assertEqual(len(done.cage.topology.open_edges), first + second)
            self.assertEqual(len(done.selected), max(first, second))

    def test_a_slit_closes_upon_itself(self) -> None:
        cube = box((30, 30, 10), (3, 3, 1))
        cut = detach(cube, Selection.of("face", np.arange(4))).cage
        loops = cut.topology.open_edges
        shell = cut.topology.face_shell[cut.topology.edge_faces[loops, 0]]
        done = zip_chains(cut, Selection.of("edge", loops[shell == shell[0]]))
        self.assertEqual(len(done.cage.topology.open_edges), np.count_nonzero(shell != shell[0]))

    def test_refusals(self) -> None:
        cage, _ = two_sheets(2, 2)
        inner = np.setdiff1d(np.arange(cage.topology.edge_count), cage.topology.open_edges)
        self.assertRaises(BadSelectionError, zip_chains, cage, Selection.of("edge", inner[:1]))
        self.assertRaises(BadSelectionError, zip_chains, cage, Selection.of("face", [0]))


if __name__ == "__main__":
    unittest.main()
