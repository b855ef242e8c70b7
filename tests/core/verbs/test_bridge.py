"""Bridges: holes, handles, tubes between cages, strips; genus by the Euler-Poincaré formula."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.edits.bridge import BridgeCountError, bridge
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, cylinder, plane


def block() -> Cage:
    """30 by 30 by 10, three faces along and across, one high: genus 0."""
    return box((30, 30, 10), (3, 3, 1))


def middles(cage: Cage) -> Selection:
    """The middle faces of top and bottom."""
    m = middles_of(cage, "face")
    return Selection.of("face", np.flatnonzero(np.abs(m[:, :2]).max(axis=1) < 1))


def at_ends(cage: Cage) -> Selection:
    """Two faces of the top, at its left and right end."""
    m = middles_of(cage, "face")
    on_top = m[:, 2] > m[:, 2].max() - 1e-9
    return Selection.of("face", np.flatnonzero(on_top & (np.abs(m[:, 1]) < 1) & (np.abs(m[:, 0]) > 5)))


class OneCage(unittest.TestCase):
    def test_a_hole_through_raises_the_genus_by_one(self) -> None:
        done = bridge(block(), middles(block()))
        t = done.cage.topology
        # V - E + F = 2 - 2g (Euler-Poincaré): 32 - 64 + 32 = 0, so g = 1. Two faces go, four come.
        self.assertEqual((t.vertex_count, t.edge_count, t.face_count), (32, 64, 32))
        self.assertEqual(t.euler_characteristic, 0)
        self.assertAlmostEqual(shell_volumes(done.cage)[0], 30 * 30 * 10 - 10 * 10 * 10)

    def test_a_handle_too(self) -> None:
        done = bridge(block(), at_ends(block()), segments=6, strength=1.5)
        t = done.cage.topology
        self.assertEqual(t.euler_characteristic, 0)
        self.assertEqual(t.face_count, 30 - 2 + 24)
        self.assertEqual(len(done.selected), 24)
        # It rises off the top, stands highest in its middle, and keeps its section: no row is pinched.
        rows = done.cage.positions[32:].reshape(5, 4, 3)
        heights = rows.mean(axis=1)[:, 2]
        self.assertEqual(int(np.argmax(heights)), 2)
        self.assertTrue(np.allclose(heights, heights[::-1]))
        self.assertTrue(np.allclose(np.linalg.norm(rows - np.roll(rows, -1, axis=1), axis=2), 10))

    def test_shifted_by_one_it_twists(self) -> None:
        straight, twisted = (bridge(block(), middles(block()), shift=k) for k in (0, 1))
        self.assertNotEqual(straight.cage, twisted.cage)
        self.assertEqual(twisted.cage.topology.euler_characteristic, 0)
        # Best first: the straight walls are the shortest.
        length = [
            np.linalg.norm(np.diff(d.cage.positions[d.cage.topology.edge_verts], axis=1), axis=2).sum()
            for d in (straight, twisted)
        ]
        self.assertLess(length[0], length[1])

    def test_creases_on_the_rim_stay(self) -> None:
        cage = block()
        sharp = np.zeros(cage.topology.edge_count)
        rim = cage.topology.corner_edge[np.isin(cage.topology.corner_face, middles(cage).ids)]
        sharp[rim] = 4.0
        done = bridge(cage.with_sharpness(edges=sharp), middles(cage))
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness), 8)

    def test_refusals(self) -> None:
        cage = block()
        for ids, words in (([0], "one|1"), ([0, 1], "1 is picked")):
            with self.assertRaises(BadSelectionError) as caught:
                bridge(cage, Selection.of("face", ids))
            self.assertRegex(str(caught.exception), words)
        self.assertRaises(BadNumberError, bridge, cage, middles(cage), segments=0)
        self.assertRaises(BadNumberError, bridge, cage, middles(cage), strength=-1.0)
        self.assertRaises(BadSelectionError, bridge, cage, Selection.of("vertex", [0, 5]))


class TwoCages(unittest.TestCase):
    def test_two_cubes_become_one(self) -> None:
        cube = box((10, 10, 10), (1, 1, 1))
        whole, maps = joined([cube, cube.with_positions(cube.positions + [20, 0, 0])])
        m = middles_of(whole, "face")
        facing = np.flatnonzero((np.abs(m[:, 0] - 10) < 6) & (np.abs(m[:, 1]) < 1) & (np.abs(m[:, 2]) < 1))
        done = bridge(whole, Selection.of("face", facing))
        t = done.cage.topology
        # 12 faces less 2, and 4 walls; 16 vertices; closed, one shell, genus 0.
        self.assertEqual((t.vertex_count, t.face_count, t.euler_characteristic), (16, 14, 2))
        self.assertAlmostEqual(shell_volumes(done.cage)[0], 3000)
        self.assertEqual(len(maps), 2)

    def test_open_tubes_of_one_count(self) -> None:
        low = cylinder((20, 10), (8, 1), "none")
        whole, _ = joined([low, low.with_positions(low.positions + [0, 0, 20])])
        m = middles_of(whole, "edge")
        rims = np.flatnonzero((m[:, 2] > 4.9) & (m[:, 2] < 15.1) & (np.abs(m[:, 2] - 10) > 4.9))
        rims = np.intersect1d(rims, whole.topology.open_edges)
        done = bridge(whole, Selection.of("edge", rims), segments=2)
        self.assertEqual(done.cage.topology.euler_characteristic, 0)
        self.assertEqual(len(done.cage.topology.open_edges), 16)
        self.assertTrue(np.allclose(np.hypot(*done.cage.positions[:, :2].T), 10))

    def _tubes(self, first: int, second: int) -> tuple[Cage, Selection]:
        low, high = cylinder((20, 10), (first, 1), "none"), cylinder((20, 10), (second, 1), "none")
        whole, _ = joined([low, high.with_positions(high.positions + [0, 0, 20])])
        z = middles_of(whole, "edge")[:, 2]
        rims = np.intersect1d(np.flatnonzero((np.abs(z - 5) < 0.1) | (np.abs(z - 15) < 0.1)), whole.topology.open_edges)
        return whole, Selection.of("edge", rims)

    def test_a_whole_multiple(self) -> None:
        for times in (2, 3, 4):
            cage, rims = self._tubes(4, 4 * times)
            done = bridge(cage, rims, segments=2)
            t = done.cage.topology
            self.assertEqual(t.euler_characteristic, 0)
            self.assertEqual(len(done.selected), 8)
            self.assertEqual(t.face_sizes.max(), 3 + times)

    def test_other_counts_are_explained_and_loops_offered(self) -> None:
        cage, rims = self._tubes(6, 8)
        with self.assertRaises(BridgeCountError) as caught:
            bridge(cage, rims)
        self.assertIn("6 edges and the other 8", str(caught.exception))
        self.assertIn("Adding 2", str(caught.exception))
        self.assertEqual(sorted(caught.exception.place.edges), rims.ids.tolist())
        done = bridge(cage, rims, add_loops=True)
        self.assertEqual(done.cage.topology.euler_characteristic, 0)
        self.assertEqual(len(done.selected), 8)
        self.assertTrue(done.cage.topology.all_quads)
        self.assertEqual(done.cage.topology.face_count, 8 + 8 + 8)

    def test_open_chains_make_a_strip(self) -> None:
        left = plane((10, 10), (1, 3))
        whole, _ = joined([left, left.with_positions(left.positions + [20, 0, 0])])
        x = whole.positions[whole.topology.edge_verts][..., 0]
        facing = np.flatnonzero((x.min(axis=1) == x.max(axis=1)) & (np.abs(x.mean(axis=1) - 10) < 6))
        done = bridge(whole, Selection.of("edge", facing))
        self.assertEqual((done.cage.topology.face_count, done.cage.topology.euler_characteristic), (9, 1))
        self.assertTrue(np.all(done.cage.face_normals[:, 2] > 0.99))

    def test_a_tube_on_a_group_at_an_open_border_is_refused(self) -> None:
        sheet = plane((30, 30), (3, 3))
        self.assertRaises(BadSelectionError, bridge, sheet, Selection.of("face", [0, 8]))

    def test_a_hole_in_a_sheet_is_an_end_as_well(self) -> None:
        sheet = delete_elements(plane((30, 30), (3, 3)), Selection.of("face", [4])).cage
        whole, _ = joined([sheet, sheet.with_positions(sheet.positions * [1, -1, 1] + [0, 0, 10])])
        m = middles_of(whole, "edge")
        rims = np.flatnonzero(np.abs(m[:, :2]).max(axis=1) < 5.1)
        # The second sheet is turned over, so that both look away from each other; then a tube fits between the holes.
        done = bridge(whole, Selection.of("edge", np.intersect1d(rims, whole.topology.open_edges)))
        self.assertEqual(done.cage.topology.euler_characteristic, 0)


if __name__ == "__main__":
    unittest.main()
