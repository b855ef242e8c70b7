"""Faces with new rings keep what lies between them: creases, face sets, and where old elements went."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.cutting import cut
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.edits.add_loop import split_rings
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.edits.zip import zip_chains
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.primitives import plane


def creased(cage: Cage, edges: np.ndarray, sharpness: float = 3.0) -> Cage:
    values = cage.edge_sharpness.copy()
    values[edges] = sharpness
    return cage.with_sharpness(edges=values)


def along(cage: Cage, axis: int) -> np.ndarray:
    """Which edges run along an axis."""
    return np.ptp(cage.positions[cage.topology.edge_verts], axis=1)[:, axis] > 1e-9


class Creases(unittest.TestCase):
    def test_zipped_sheets_keep_those_that_lead_to_the_seam(self) -> None:
        low, high = plane((12, 4), (2, 1)), plane((12, 4), (3, 1))
        whole, _ = joined([low, high.with_positions(high.positions + [0, 5, 0])])
        middles = middles_of(whole, "edge")
        # The inner edge of the lower sheet lies between two faces that both gain a corner.
        inner = np.flatnonzero(along(whole, 1) & (np.abs(middles[:, 0]) < 1) & (middles[:, 1] < 2))
        self.assertEqual(len(inner), 1)
        cage = creased(whole, inner)
        rims = np.flatnonzero((np.abs(middles[:, 1] - 2) < 1e-9) | (np.abs(middles[:, 1] - 3) < 1e-9))
        done = zip_chains(cage, Selection.of("edge", np.intersect1d(rims, whole.topology.open_edges)))
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness == 3.0), 1)
        self.assertEqual(done.cage.edge_sharpness[done.old_to_new.edges[inner[0]]], 3.0)

    def test_cut_at_a_slant_keeps_those_on_either_side(self) -> None:
        sheet = plane((40, 40), (4, 4))
        cage = creased(sheet, np.arange(sheet.topology.edge_count))
        done = cut(cage, plane_at((3, 0, 0), (1, 0.45, 0)))
        t = done.cage.topology
        fresh = np.isin(np.arange(t.edge_count), done.selected.ids)
        # All old edges and all their parts are as sharp as they were; only the line of the cut is new, and smooth.
        self.assertTrue(np.all(done.cage.edge_sharpness[~fresh] == 3.0))
        self.assertTrue(np.all(done.cage.edge_sharpness[fresh] == 0.0))

    def test_two_rings_side_by_side_keep_the_line_between_them(self) -> None:
        sheet = plane((40, 40), (4, 4))
        between = np.flatnonzero(along(sheet, 0) & (np.abs(middles_of(sheet, "edge")[:, 1]) < 1e-9))
        cage = creased(sheet, between)
        rungs = np.flatnonzero(along(sheet, 1) & (middles_of(sheet, "edge")[:, 0] < -19))
        done = split_rings(cage, Selection.of("edge", rungs))
        self.assertEqual(done.cage.topology.face_count, 32)
        self.assertEqual(np.count_nonzero(done.cage.edge_sharpness == 3.0), 4)

    def test_healed_regions_side_by_side_too_and_a_merged_edge_takes_the_sharper(self) -> None:
        sheet = plane((40, 20), (4, 2))
        middles = middles_of(sheet, "edge")
        middle_line = np.flatnonzero(along(sheet, 0) & (np.abs(middles[:, 1]) < 1e-9))
        # Every second upright edge goes, above and below: regions of two faces, four in all, meet along the line.
        gone = np.flatnonzero(along(sheet, 1) & (np.abs(np.abs(middles[:, 0]) - 10) < 1e-9))
        values = np.zeros(sheet.topology.edge_count)
        values[middle_line] = [1.0, 4.0, 2.0, 2.0]
        done = heal(sheet.with_sharpness(edges=values), Selection.of("edge", gone))
        self.assertEqual(done.cage.topology.face_sizes.tolist(), [4, 4, 4, 4])
        self.assertEqual(sorted(done.cage.edge_sharpness[done.cage.edge_sharpness > 0].tolist()), [2.0, 4.0])


class Sets(unittest.TestCase):
    def test_all_parts_stay_and_what_only_gained_a_corner_goes_on(self) -> None:
        sheet = plane((40, 20), (4, 2))
        named = Cage(sheet.positions, sheet.topology, None, None, {"left": [0, 1]})
        rung = np.flatnonzero(along(sheet, 1) & (middles_of(sheet, "edge")[:, 0] < -19))[:1]
        done = split_rings(named, Selection.of("edge", rung))
        self.assertTrue(np.all(middles_of(done.cage, "face")[done.cage.face_sets["left"], 0] < 0))
        before = np.linalg.norm(sheet.face_area_vectors[[0, 1]], axis=1).sum()
        after = np.linalg.norm(done.cage.face_area_vectors[done.cage.face_sets["left"]], axis=1).sum()
        self.assertAlmostEqual(after, before)
        kept = done.old_to_new.faces >= 0
        went = done.old_to_new.faces[kept]
        self.assertTrue(np.allclose(middles_of(done.cage, "face")[went], middles_of(sheet, "face")[kept]))


if __name__ == "__main__":
    unittest.main()
