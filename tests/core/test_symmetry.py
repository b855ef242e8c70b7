"""Symmetric cages: how they are made, and how edits keep them so."""

from __future__ import annotations

import unittest

import numpy as np

from tests.sample_cages import jittered, top_faces
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.cutting import cut
from zinc_otter.core.cage.building.motion import moving, sizing, turning
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.cage.edits.move import move
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.symmetry import Group, SymmetryError, mirror, mirrored_copy, plane_at, radial, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import assembled, cut_and_assembled, following
from zinc_otter.core.cage.symmetry.whole import whole_moved
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError
from zinc_otter.core.primitives import box, cylinder, plane, torus

X = plane_at((0, 0, 0), (1, 0, 0))
Y = plane_at((0, 0, 0), (0, 1, 0))


def right_of(cage: Cage, faces: np.ndarray) -> np.ndarray:
    return faces[middles_of(cage, "face")[faces, 0] > 0]


def wedge(sectors: int) -> Cage:
    """A sheet of 2 by 2 faces between two radii, as wide as one sector about z."""
    sheet = plane((2, 1), (2, 2))
    x, y = sheet.positions[:, 0] / 2, sheet.positions[:, 1]
    turn = (y / y.max()) * np.pi / sectors
    return sheet.with_positions(np.column_stack([(10 + 4 * x) * np.cos(turn), (10 + 4 * x) * np.sin(turn), 0.3 * x]))


class Groups(unittest.TestCase):
    def test_orders(self) -> None:
        self.assertEqual(mirror(X).order, 2)
        self.assertEqual(mirror(X, Y).order, 4)
        self.assertEqual(radial((0, 0, 0), (0, 0, 1), 5).order, 5)
        self.assertEqual(radial((0, 0, 0), (0, 0, 1), 5, (1, 0, 0)).order, 10)

    def test_the_elements_close_under_the_generators(self) -> None:
        point = np.array([[3.0, 1.0, 2.0]])
        for group in (mirror(X, Y), radial((1, 2, 0), (0, 0, 1), 6, (1, 0, 0))):
            orbit = np.round(np.concatenate([group.moved(k, point) for k in range(group.order)]), 9)
            self.assertEqual(len(np.unique(orbit, axis=0)), group.order)
            for matrix, offset, _ in group.generators:
                again = np.round(orbit @ matrix.T + offset, 9)
                self.assertEqual({*map(tuple, again + 0.0)}, {*map(tuple, orbit + 0.0)})

    def test_refusals(self) -> None:
        slant = plane_at((0, 0, 0), (1, 1, 0))
        for make in (
            lambda: mirror(X, slant),
            lambda: plane_at((0, 0, 0), (0, 0, 0)),
            lambda: radial((0, 0, 0), (0, 0, 1), 1),
            lambda: radial((0, 0, 0), (0, 0, 1), 4, (0, 0, 2)),
        ):
            self.assertRaises(BadNumberError, make)


class Cutting(unittest.TestCase):
    def test_a_box_is_cut_through_its_middle_faces(self) -> None:
        done = cut(box((20, 16, 12), (3, 2, 1)), X)
        t = done.cage.topology
        # 22 faces; six of them, two on top, two below, one at each end, fall into two.
        self.assertEqual((t.face_count, t.euler_characteristic), (28, 2))
        self.assertEqual(len(done.selected), 6)
        self.assertTrue(np.all(done.cage.positions[t.edge_verts[done.selected.ids]][..., 0] == 0))

    def test_creases_and_face_sets_go_on_both_parts(self) -> None:
        cage = box((20, 16, 12), (1, 1, 1))
        along = np.flatnonzero(np.ptp(cage.positions[cage.topology.edge_verts][..., 0], axis=1) > 1)
        cage = set_crease(cage, Selection.of("edge", along[:1]), 3.0).cage
        cage = Cage(cage.positions, cage.topology, cage.edge_sharpness, None, {"top": top_faces(cage)})
        after = cut(cage, X).cage
        self.assertEqual(np.count_nonzero(after.edge_sharpness == 3.0), 2)
        self.assertEqual(len(after.face_sets["top"]), 2)
        self.assertTrue(np.all(after.face_normals[after.face_sets["top"], 2] > 0.99))

    def test_a_face_that_crosses_twice_is_named(self) -> None:
        # A face like a U lying down: the plane meets its two arms.
        points = [(-2, 0, 0), (2, 0, 0), (2, 1, 0), (-1, 1.5, 0), (2, 2, 0), (2, 3, 0), (-2, 3, 0)]
        cage = Cage.from_faces(points, [list(range(7))])
        with self.assertRaises(BadSelectionError) as caught:
            cut(cage, X)
        self.assertEqual(caught.exception.place.faces, (0,))


class Making(unittest.TestCase):
    def test_cut_and_mirrored(self) -> None:
        cage, symmetry = cut_and_assembled(jittered(box((20, 16, 12), (3, 2, 1))), X, True, 1e-6)
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertTrue(cage.topology.is_closed)
        self.assertLess(symmetry.strays(cage.positions), 1e-9)
        self.assertEqual(len(symmetry.seam), 6)

    def test_the_kept_side_is_the_one_asked_for(self) -> None:
        high = box((20, 16, 12), (2, 2, 1))
        lump = right_of(high, top_faces(high))
        high = extrude_faces(high, Selection.of("face", lump), 5.0).cage
        for positive, top in ((True, 11.0), (False, 6.0)):
            cage, _ = cut_and_assembled(high, X, positive, 1e-6)
            self.assertAlmostEqual(cage.positions[:, 2].max(), top)

    def test_two_planes(self) -> None:
        first, own = cut_and_assembled(jittered(box((20, 16, 12), (2, 2, 1)), 0.2), X, True, 0.5)
        cage, symmetry = cut_and_assembled(first, Y, True, 0.5, own)
        self.assertEqual(symmetry.group.order, 4)
        self.assertTrue(cage.topology.is_closed)
        self.assertLess(symmetry.strays(cage.positions), 1e-9)

    def test_an_open_half_is_drawn_into_the_plane(self) -> None:
        half = plane((10, 10), (2, 2))
        half = half.with_positions(half.positions + [5.2, 0, 0])
        cage, symmetry = assembled(half, Group((X,)), 0.5)
        self.assertEqual(cage.topology.face_count, 8)
        self.assertEqual(cage.topology.vertex_count, 2 * 9 - 3)
        self.assertEqual(len(symmetry.seam), 2)
        self.assertLess(symmetry.strays(cage.positions), 1e-12)
        apart, loose = assembled(half, Group((X,)), 0.1)
        self.assertEqual((apart.topology.vertex_count, len(loose.seam)), (18, 0))

    def test_a_half_beyond_the_plane_is_refused(self) -> None:
        with self.assertRaises(BadSelectionError) as caught:
            assembled(plane((10, 10), (2, 2)), Group((X,)), 0.1)
        self.assertEqual(len(caught.exception.place.vertices), 3)

    def test_the_other_side_follows(self) -> None:
        before = jittered(box((20, 16, 12), (3, 2, 1)))
        cage, symmetry = following(before, mirror(X), np.array([50.0, 0, 0]))
        self.assertLess(symmetry.strays(cage.positions), 1e-9)
        right = before.positions[:, 0] > 1
        self.assertTrue(np.array_equal(cage.positions[right], before.positions[right]))

    def test_following_needs_the_same_layout(self) -> None:
        uneven = box((20, 16, 12), (2, 2, 1))
        uneven = extrude_faces(uneven, Selection.of("face", right_of(uneven, top_faces(uneven))[:1]), 5.0).cage
        self.assertRaises(SymmetryError, following, uneven, mirror(X), np.array([50.0, 0, 0]))

    def test_sectors_join_at_their_borders(self) -> None:
        for mirrored, sectors in ((False, 6), (False, 5)):
            cage, symmetry = assembled(wedge(sectors), radial((0, 0, 0), (0, 0, 1), sectors), 1e-6)
            # A closed ring of sectors: 2 by 2 faces each, one border of three vertices shared with each neighbour.
            self.assertEqual(cage.topology.face_count, 4 * sectors)
            self.assertEqual(cage.topology.vertex_count, 6 * sectors, mirrored)
            self.assertEqual(cage.topology.euler_characteristic, 0)
            self.assertLess(symmetry.strays(cage.positions), 1e-9)

    def test_a_mirrored_sector_is_made_of_half_of_one(self) -> None:
        half = wedge(12)
        turn = np.pi / 12
        spin = np.array([[np.cos(turn), -np.sin(turn), 0], [np.sin(turn), np.cos(turn), 0], [0, 0, 1]])
        half = half.with_positions(half.positions @ spin.T)
        cage, symmetry = assembled(half, radial((0, 0, 0), (0, 0, 1), 6, (1, 0, 0)), 1e-6)
        self.assertEqual((cage.topology.face_count, cage.topology.euler_characteristic), (48, 0))
        self.assertEqual(len(symmetry.seam), 12 * 2)
        self.assertLess(symmetry.strays(cage.positions), 1e-9)

    def test_a_cylinder_follows_one_of_its_sectors(self) -> None:
        before = jittered(cylinder((20, 30), (12, 3)), 0.5)
        cage, symmetry = following(before, radial((0, 0, 0), (0, 0, 1), 4), np.array([40.0, 3, 0]))
        self.assertLess(symmetry.strays(cage.positions), 1e-9)
        self.assertEqual(cage.topology.face_count, before.topology.face_count)

    def test_parts_that_would_run_into_each_other_are_refused(self) -> None:
        sheet = plane((10, 10), (2, 2))
        self.assertRaises(UnsoundCageError, assembled, sheet, radial((0, 0, 0), (0, 0, 1), 3), 6.0)

    def test_the_image_looks_outwards(self) -> None:
        cage = jittered(box((20, 16, 12), (2, 2, 1)))
        image = mirrored_copy(cage, X)
        self.assertTrue(np.allclose(image.face_normals, cage.face_normals * [-1, 1, 1]))


class Editing(unittest.TestCase):
    def setUp(self) -> None:
        self.cage, self.symmetry = cut_and_assembled(box((20, 16, 12), (4, 2, 1)), X, True, 1e-6)

    def test_faces_at_the_seam_rise_without_wall_or_valley_whichever_side_is_picked(self) -> None:
        top = top_faces(self.cage)
        at_seam = top[np.abs(middles_of(self.cage, "face")[top, 0]) < 4]
        for side in (1, -1):
            one = at_seam[side * middles_of(self.cage, "face")[at_seam, 0] > 0]
            done, after = symmetric_edit(
                self.cage, self.symmetry, Selection.of("face", one), lambda c, s: extrude_faces(c, s, 5.0)
            )
            self.assertEqual(done.cage.topology.euler_characteristic, 2)
            # Two by two faces rise as one: eight walls, none of them in the seam.
            self.assertEqual(done.cage.topology.face_count, self.cage.topology.face_count + 8)
            walls = np.arange(self.cage.topology.face_count, done.cage.topology.face_count)
            self.assertTrue(np.all(np.abs(middles_of(done.cage, "face")[walls, 0]) > 1))
            self.assertTrue(np.all(side * middles_of(done.cage, "face")[done.selected.ids, 0] > 0))
            self.assertLess(after.strays(done.cage.positions), 1e-12)
            seam = done.cage.positions[done.cage.topology.edge_verts[after.seam]]
            self.assertTrue(np.all(seam[..., 0] == 0))
            self.assertEqual(len(after.seam), len(self.symmetry.seam) + 2)

    def test_a_move_on_one_side_is_answered_on_the_other(self) -> None:
        far = int(np.argmax(self.cage.positions @ [1, 0.1, 0.1]))
        done, after = symmetric_edit(
            self.cage, self.symmetry, Selection.of("vertex", [far]), lambda c, s: move(c, s, (3, 1, 2))
        )
        shift = done.cage.positions - self.cage.positions
        self.assertTrue(np.allclose(shift[far], (3, 1, 2)))
        self.assertTrue(np.allclose(shift[self.symmetry.vertices[1, far]], (-3, 1, 2)))
        self.assertEqual(np.count_nonzero(shift.any(axis=1)), 2)
        self.assertIs(after, self.symmetry)
        self.assertEqual(done.selected, Selection.of("vertex", [far]))

    def test_seam_vertices_stay_in_the_plane(self) -> None:
        seam = np.unique(self.cage.topology.edge_verts[self.symmetry.seam])
        done, _ = symmetric_edit(self.cage, self.symmetry, Selection.of("vertex", seam), lambda c, s: move(c, s, (3, 1, 2)))
        self.assertTrue(np.all(done.cage.positions[seam, 0] == 0))
        self.assertTrue(np.allclose(done.cage.positions[seam] - self.cage.positions[seam], (0, 1, 2)))

    def test_an_edit_of_one_side_only_is_refused(self) -> None:
        left = np.argmin(middles_of(self.cage, "face")[:, 0])

        def one_sided(cage: Cage, _: Selection) -> object:
            return delete_elements(cage, Selection.of("face", [left]))

        with self.assertRaises(SymmetryError) as caught:
            symmetric_edit(self.cage, self.symmetry, Selection.of("face", [left]), one_sided)  # type: ignore[arg-type]
        self.assertIn("independent", str(caught.exception))
        self.assertTrue(caught.exception.place.faces)

    def test_sectors_answer_too(self) -> None:
        ring = torus((30, 10), (12, 6))
        cage, symmetry = following(ring, radial((0, 0, 0), (0, 0, 1), 6), np.array([40.0, 1, 0]))
        face = int(np.argmax(middles_of(cage, "face") @ [1, 0.2, 0.1]))
        done, after = symmetric_edit(cage, symmetry, Selection.of("face", [face]), lambda c, s: extrude_faces(c, s, 4.0))
        self.assertEqual(done.cage.topology.face_count, cage.topology.face_count + 6 * 4)
        self.assertEqual(len(done.selected), 1)
        self.assertLess(after.strays(done.cage.positions), 1e-9)

    def test_as_a_whole_it_takes_its_mirror_along(self) -> None:
        for motion in (moving((5, 2, 1)), turning((0, 0, 1), 30, (1, 2, 3)), sizing((2, 2, 2), (0, 0, 1))):
            done, after = whole_moved(self.cage, self.symmetry, motion)
            self.assertLess(after.strays(done.cage.positions), 1e-9)
        slant = plane_at((0, 0, 0), (1, 1, 0))
        cage, symmetry = cut_and_assembled(box((20, 16, 12), (3, 3, 2)), slant, True, 0.5)
        self.assertRaises(SymmetryError, whole_moved, cage, symmetry, sizing((2, 1, 1), (0, 0, 0)))


if __name__ == "__main__":
    unittest.main()
