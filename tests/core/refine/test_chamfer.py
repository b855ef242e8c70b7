"""Chamfers: distances on the faces, the round section, corners, ends, and what there is no room for."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.refine.shapes import at_height, everything, tube
from tests.sample_cages import jittered, knob
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.chamfer import chamfer_edges, chamfer_vertices
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.cage.symmetry import plane_at, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import cut_and_assembled
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, plane

CORNERS = [[x, y, z] for z in (0, 10) for y in (0, 10) for x in (0, 10)]
FACES = [[0, 2, 3, 1], [4, 5, 7, 6], [0, 1, 5, 4], [1, 3, 7, 5], [3, 2, 6, 7], [2, 0, 4, 6]]


def cube() -> Cage:
    return Cage.from_faces(CORNERS, FACES)


def all_edges(cage: Cage) -> Selection:
    return everything(cage, "edge")


class Distances(unittest.TestCase):
    def test_5_mm_means_5_mm_on_both_faces(self) -> None:
        cage = box((40, 40, 40), (4, 4, 4))
        rim = [e for e in range(cage.topology.edge_count)
               if np.allclose(cage.positions[cage.topology.edge_verts[e]][:, 1:], 20)]  # fmt: skip
        done = chamfer_edges(cage, Selection.of("edge", rim), 5.0)
        p = done.cage.positions
        lines = np.unique(done.cage.topology.edge_verts[done.selected.ids])
        inner = lines[np.abs(p[lines, 0]) < 14]
        for v in inner:
            # On the upper face 5 mm from the edge, or on the side.
            self.assertIn(tuple(np.round(p[v, 1:], 9)), {(15.0, 20.0), (20.0, 15.0), (17.5, 17.5)})

    def test_on_slanting_faces_the_distance_is_square_to_the_edge(self) -> None:
        rng = np.random.default_rng(5)
        for _ in range(5):
            # Two flat quads that meet in a slanted edge, each a parallelogram.
            a, b = rng.uniform(-10, 10, 3), rng.uniform(20, 30, 3)
            u, v = rng.uniform(-10, 10, 3) + [0, 20, 0], rng.uniform(-10, 10, 3) - [0, 20, 4]
            fold = Cage.from_faces([a, b, b + u, a + u, a + v, b + v], [[0, 1, 2, 3], [1, 0, 4, 5]])
            edge = int(np.flatnonzero(fold.topology.edge_corners[:, 1] >= 0)[0])
            done = chamfer_edges(fold, Selection.of("edge", [edge]), 2.0)
            along = (b - a) / np.linalg.norm(b - a)
            moved = np.unique(done.cage.topology.edge_verts[done.selected.ids])
            self.assertEqual(len(moved), 4)
            off = done.cage.positions[moved] - a
            distance = np.linalg.norm(off - np.outer(off @ along, along), axis=1)
            np.testing.assert_allclose(distance, 2.0)

    def test_a_loop_of_a_tube(self) -> None:
        cage = tube(12)
        done = chamfer_edges(cage, Selection.of("edge", at_height(cage, 0)), 2.0)
        lines = np.unique(done.cage.topology.edge_verts[done.selected.ids])
        heights = np.unique(np.round(done.cage.positions[lines][:, 2], 9))
        self.assertEqual(heights.tolist(), [-2.0, 2.0])
        self.assertTrue(done.cage.topology.all_quads)
        self.assertEqual(done.cage.topology.face_count, cage.topology.face_count + 12)


class Sections(unittest.TestCase):
    def test_a_round_section_lies_on_its_circle(self) -> None:
        # Two faces at an angle: the circle that touches both at the distance d has radius d tan(angle / 2).
        for angle in (60.0, 90.0, 140.0):
            turn = np.radians(angle)
            side = 30 * np.array([0, np.cos(turn), np.sin(turn)])
            points = [[0, 0, 0], [50, 0, 0], [50, 30, 0], [0, 30, 0], side, side + [50, 0, 0]]
            fold = Cage.from_faces(points, [[0, 1, 2, 3], [1, 0, 4, 5]])
            edge = int(np.flatnonzero(fold.topology.edge_corners[:, 1] >= 0)[0])
            done = chamfer_edges(fold, Selection.of("edge", [edge]), 4.0, segments=6, is_round=True)
            radius = 4 * np.tan(turn / 2)
            bisector = np.array([np.cos(turn / 2), np.sin(turn / 2)])
            centre = bisector * 4 / np.cos(turn / 2)
            arc = done.cage.positions[np.unique(done.cage.topology.edge_verts[done.selected.ids])]
            self.assertEqual(len(arc), 14)
            np.testing.assert_allclose(np.linalg.norm(arc[:, 1:] - centre, axis=1), radius, rtol=1e-9)
            # At even angles: all chords alike.
            section = arc[np.abs(arc[:, 0]) < 1e-9]
            seen = np.sort(np.arctan2(*(section[:, 1:] - centre).T[::-1]))
            gaps = np.diff([*seen, seen[0] + 2 * np.pi])
            np.testing.assert_allclose(np.sort(gaps)[:6], np.radians(180 - angle) / 6, rtol=1e-6)

    def test_a_cube_with_all_edges_round_is_a_rounded_box(self) -> None:
        # Volume of a box of 6 mm swept by a ball of 2 mm (Steiner's formula for the parallel body of a convex one).
        formula = 6**3 + 6 * 36 * 2 + 3 * np.pi * 6 * 4 + 4 / 3 * np.pi * 8
        # Chords lie within their circle: what is missing falls to a quarter with twice as many.
        done = [chamfer_edges(cube(), all_edges(cube()), 2.0, segments=n, is_round=True) for n in (8, 16)]
        missing = [1 - shell_volumes(edit.cage)[0] / formula for edit in done]
        self.assertLess(missing[0], 0.003)
        self.assertAlmostEqual(missing[0] / missing[1], 4, delta=0.1)
        p = done[0].cage.positions
        corner = p[(p < 2 + 1e-9).all(axis=1)]
        np.testing.assert_allclose(np.linalg.norm(corner - 2, axis=1), 2.0, rtol=1e-6)

    def test_a_flat_one_takes_away_what_it_should(self) -> None:
        # A long edge of a box, chamfered by d, loses d^2 / 2 for each mm of its length.
        cage = box((40, 40, 40), (1, 1, 1))
        edge = int(at_height(cage, 20)[0])
        done = chamfer_edges(cage, Selection.of("edge", [edge]), 3.0, segments=1, quads=False)
        self.assertAlmostEqual(shell_volumes(done.cage)[0], 40**3 - 4.5 * 40)


class CornersAndEnds(unittest.TestCase):
    def test_where_three_meet_there_are_quads(self) -> None:
        for segments in (1, 2, 3, 4):
            for is_round in (False, True):
                done = chamfer_edges(cube(), all_edges(cube()), 2.0, segments=segments, is_round=is_round)
                self.assertTrue(done.cage.topology.all_quads)
                self.assertEqual(done.cage.topology.euler_characteristic, 2)
                self.assertEqual(bool(done.remarks), segments % 2 == 1)
                even = segments + segments % 2
                self.assertEqual(done.cage.topology.face_count, 6 + 12 * even + 8 * 3 * (even // 2) ** 2)

    def test_left_as_they_fall(self) -> None:
        done = chamfer_edges(cube(), all_edges(cube()), 2.0, segments=1, quads=False)
        self.assertEqual(np.bincount(done.cage.topology.face_sizes).tolist(), [0, 0, 0, 8, 18])

    def test_ends_of_single_edges_are_of_quads_at_valence_3_and_4(self) -> None:
        cage = jittered(box((20, 16, 12), (3, 3, 3)), 0.3)
        for edge in range(0, cage.topology.edge_count, 3):
            for segments in (1, 2, 4):
                done = chamfer_edges(cage, Selection.of("edge", [edge]), 0.5, segments=segments, is_round=True)
                self.assertTrue(done.cage.topology.all_quads)
                self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_one_that_runs_to_the_border(self) -> None:
        sheet = plane((40, 40), (4, 4))
        t = sheet.topology
        row = np.flatnonzero((np.abs(sheet.positions[t.edge_verts][:, :, 1]) < 1e-9).all(axis=1))
        done = chamfer_edges(sheet, Selection.of("edge", row), 2.0)
        self.assertTrue(done.cage.topology.all_quads)
        self.assertEqual(done.cage.topology.face_count, 16 + 4)
        np.testing.assert_allclose(np.linalg.norm(done.cage.face_area_vectors.sum(axis=0)), 1600)

    @settings(deadline=None, max_examples=60, derandomize=True)
    @given(st.integers(0, 10**6), st.integers(1, 12), st.integers(1, 4), st.booleans())
    def test_any_edges_leave_a_sound_cage_or_a_reason(self, seed: int, count: int, segments: int, is_round: bool) -> None:
        cage = knob()
        edges = np.random.default_rng(seed).choice(cage.topology.edge_count, count, replace=False)
        try:
            done = chamfer_edges(cage, Selection.of("edge", edges), 0.4, segments=segments, is_round=is_round)
        except BadSelectionError as error:
            self.assertGreater(len(str(error)), 20)
            return
        done.cage.topology.check()
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        self.assertEqual(len(done.selected) % count, 0)
        # No face is turned inside out.
        went = done.old_to_new.faces
        kept = np.flatnonzero(went >= 0)
        facing = (done.cage.face_normals[went[kept]] * cage.face_normals[kept]).sum(axis=1)
        self.assertGreater(facing.min(), 0)

    def test_vertices(self) -> None:
        done = chamfer_vertices(cube(), everything(cube(), "vertex"), 2.0)
        # A cube with its corners cut: 6 octagons, 8 triangles; each corner loses d^3 / 6.
        self.assertEqual(np.bincount(done.cage.topology.face_sizes)[[3, 8]].tolist(), [8, 6])
        self.assertAlmostEqual(shell_volumes(done.cage)[0], 1000 - 8 * 8 / 6)
        self.assertEqual(len(done.selected), 8)
        self.assertRaises(BadSelectionError, chamfer_vertices, cube(), everything(cube(), "vertex"), 5.0)
        regular = box((40, 40, 40), (4, 4, 4))
        inner = int(np.flatnonzero(np.isclose(regular.positions, [0, 0, 20]).all(axis=1))[0])
        one = chamfer_vertices(regular, Selection.of("vertex", [inner]), 3.0)
        self.assertEqual(one.cage.topology.face_sizes[one.selected.ids].tolist(), [4])
        corners = one.cage.positions[one.cage.topology.face_verts[np.isin(one.cage.topology.corner_face, one.selected.ids)]]
        np.testing.assert_allclose(np.linalg.norm(corners - [0, 0, 20], axis=1), 3.0)


class CreasesAndRoom(unittest.TestCase):
    def test_creases_go_or_stay_on_both_sides(self) -> None:
        cage = box((40, 40, 40), (1, 1, 1))
        rim = at_height(cage, 20)
        sharp = np.zeros(12)
        sharp[rim] = 4.0
        other = int(np.setdiff1d(np.arange(12), rim)[0])
        sharp[other] = 2.0
        creased = cage.with_sharpness(edges=sharp)
        gone = chamfer_edges(creased, Selection.of("edge", rim), 3.0)
        self.assertEqual(np.unique(gone.cage.edge_sharpness).tolist(), [0.0, 2.0])
        kept = chamfer_edges(creased, Selection.of("edge", rim), 3.0, keep_creases=True)
        self.assertEqual(np.count_nonzero(kept.cage.edge_sharpness == 4.0), 8)

    def test_what_there_is_no_room_for_is_refused_with_what_there_is(self) -> None:
        with self.assertRaises(BadSelectionError) as caught:
            chamfer_edges(cube(), all_edges(cube()), 5.0)
        self.assertIn("room for a chamfer of 5 mm", str(caught.exception))
        self.assertEqual(len(caught.exception.place.edges), 1)
        chamfer_edges(cube(), all_edges(cube()), 4.9)

    def test_refusals(self) -> None:
        for distance in (0.0, -1.0, np.inf, np.nan):
            self.assertRaises(BadNumberError, chamfer_edges, cube(), all_edges(cube()), distance)
        self.assertRaises(BadNumberError, chamfer_edges, cube(), all_edges(cube()), 1.0, segments=17)
        self.assertRaises(BadSelectionError, chamfer_edges, cube(), everything(cube()), 1.0)
        sheet = plane((20, 20), (2, 2))
        self.assertRaises(BadSelectionError, chamfer_edges, sheet, Selection.of("edge", sheet.topology.open_edges[:1]), 1.0)

    def test_corners_in_a_mirror(self) -> None:
        # Every corner of every face becomes two, so that only half-edges tell what answers to what.
        cage, symmetry = cut_and_assembled(box((20, 16, 12), (2, 1, 1)), plane_at((0, 0, 0), (1, 0, 0)), True, 0.1)
        done, after = symmetric_edit(cage, symmetry, everything(cage, "vertex"), lambda c, s: chamfer_vertices(c, s, 1.5))
        self.assertLess(after.strays(done.cage.positions), 1e-9)
        ends = [e for e in range(cage.topology.edge_count) if len(symmetry.edges) and e not in symmetry.seam]
        for edge in ends:
            for segments in (1, 2):
                done, after = symmetric_edit(
                    cage,
                    symmetry,
                    Selection.of("edge", [edge]),
                    lambda c, s, n=segments: chamfer_edges(c, s, 1.0, segments=n),
                )
                self.assertLess(after.strays(done.cage.positions), 1e-9)

    def test_a_whole_cube_in_a_mirror(self) -> None:
        # No corner of any face survives as it was: the images are found by what the corners became.
        cage, symmetry = cut_and_assembled(box((20, 16, 12), (2, 1, 1)), plane_at((0, 0, 0), (1, 0, 0)), True, 0.1)
        for segments in (1, 2, 4):
            done, after = symmetric_edit(
                cage,
                symmetry,
                everything(cage, "edge"),
                lambda c, s, n=segments: chamfer_edges(c, s, 1.5, segments=n, is_round=True),
            )
            self.assertLess(after.strays(done.cage.positions), 1e-9)
            self.assertTrue(done.cage.topology.all_quads)


if __name__ == "__main__":
    unittest.main()
