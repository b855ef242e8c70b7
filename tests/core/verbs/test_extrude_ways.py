"""Extruding with an even wall, each face by itself, from a point, in segments; and strips from open edges."""

from __future__ import annotations

import unittest

import numpy as np

from tests.sample_cages import top_faces
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.even_shifts import offsets_of
from zinc_otter.core.cage.building.lifting import lifted
from zinc_otter.core.cage.edits.extrude import Rise, even_lift, extrude_along, extrude_edges, extrude_faces
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, patched_sphere, plane


def lumpy_sphere() -> Cage:
    sphere = patched_sphere(40, 4)
    unit = sphere.positions / np.linalg.norm(sphere.positions, axis=1)[:, None]
    lumps = 1 + 0.12 * np.sin(6 * unit[:, 0]) + 0.1 * np.cos(5 * unit[:, 2])
    return sphere.with_positions(sphere.positions * lumps[:, None])


class EvenWall(unittest.TestCase):
    def test_two_sides_of_a_cube_meet_in_a_sharp_corner(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        sides = np.flatnonzero((cube.face_normals[:, 0] < -0.9) | (cube.face_normals[:, 1] < -0.9))
        done = extrude_faces(cube, Selection.of("face", sides), 5.0, way="even")
        new = done.cage.positions[8:]
        # Six vertices around the two sides; the edge between them moves by 5 along both normals.
        self.assertEqual(len(new), 6)
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        corner = new[(new[:, 0] < -10) & (new[:, 1] < -10)]
        self.assertTrue(np.allclose(corner[:, :2], -15))
        self.assertEqual(done.suspect.tolist(), [])

    def test_on_a_lumpy_sphere_it_is_even_where_scaling_is_not(self) -> None:
        cage = lumpy_sphere()
        t = cage.topology
        lift = lifted(cage, Selection.of("face", np.arange(t.face_count - 16)))
        normals = cage.face_normals[lift.faces]
        face = np.searchsorted(lift.faces, t.corner_face[lift.corners])
        for distance in (2.0, -2.0):
            even = offsets_of(even_lift(lift, distance), normals, face, lift.slot)
            self.assertLess(np.abs(even / distance - 1).max(), 0.01)
            grown = lift.base * distance / np.linalg.norm(lift.base, axis=1).mean()
            scaled = offsets_of(grown, normals, face, lift.slot)
            self.assertGreater(np.abs(scaled / distance - 1).max(), 0.1)

    def test_a_dent_too_tight_for_the_distance_is_marked(self) -> None:
        cage = box((30, 30, 10), (3, 3, 1))
        middle = int(top_faces(cage)[4])
        dent = extrude_faces(cage, Selection.of("face", [middle]), -8.0).cage
        inner = np.setdiff1d(np.arange(dent.topology.face_count), np.flatnonzero(dent.face_normals[:, 2] < -0.9))
        done = extrude_faces(dent, Selection.of("face", inner), 6.0, way="even")
        # Walls of a pit 10 wide, each moving in by 6, pass each other; its floor shrinks to nothing.
        self.assertIn(middle, done.suspect.tolist())
        self.assertEqual(len(extrude_faces(dent, Selection.of("face", inner), 1.0, way="even").suspect), 0)


class Ways(unittest.TestCase):
    def test_each_face_by_itself(self) -> None:
        sheet = plane((20, 10), (2, 1))
        done = extrude_faces(sheet, Selection.of("face", [0, 1]), 3.0, way="each")
        # Each of two squares: four walls and four new vertices of its own.
        self.assertEqual(done.cage.topology.face_count, 2 + 8)
        self.assertEqual(done.cage.topology.vertex_count, 6 + 8)
        self.assertTrue(np.allclose(done.cage.positions[6:, 2], 3))

    def test_away_from_a_point(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        done = extrude_faces(cube, Selection.of("face", top_faces(cube)), 7.0, way="point", point=(0, 0, -10))
        base = np.array([10, 10, 20])
        self.assertTrue(np.allclose(np.abs(done.cage.positions[8:]), [10, 10, 10] + 7 * base / np.linalg.norm(base)))
        self.assertRaises(BadNumberError, extrude_faces, cube, Selection.of("face", [0]), 1.0, way="point")

    def test_segments_taper_and_turn(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        done = extrude_faces(cube, Selection.of("face", top_faces(cube)), 8.0, way="mean", point=None, rise=Rise(2, 0.5, 90))
        t = done.cage.topology
        self.assertEqual((t.face_count, t.vertex_count, t.euler_characteristic), (6 + 8, 8 + 8, 2))
        half, top = done.cage.positions[8:12], done.cage.positions[12:]
        self.assertTrue(np.allclose(half[:, 2], 14))
        # Half the way: three quarters of the size, turned by 45 degrees; on top half the size, by 90.
        self.assertTrue(np.allclose(np.linalg.norm(half[:, :2], axis=1), 0.75 * np.hypot(10, 10)))
        self.assertTrue(np.allclose(np.abs(half[:, :2]).min(axis=1), 0, atol=1e-12))
        self.assertTrue(np.allclose(np.abs(top[:, :2]), 5))

    def test_separate_faces_at_once(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        ends = np.flatnonzero(np.abs(cube.face_normals[:, 2]) > 0.9)
        done = extrude_faces(cube, Selection.of("face", ends), 5.0)
        self.assertEqual(np.ptp(done.cage.positions[:, 2]), 30)
        self.assertEqual(done.selected.ids.tolist(), ends.tolist())

    def test_bad_numbers(self) -> None:
        cube = box((20, 20, 20), (1, 1, 1))
        for rise in (Rise(0), Rise(65), Rise(1, -1), Rise(1, 1, np.nan)):
            self.assertRaises(BadNumberError, extrude_faces, cube, Selection.of("face", [0]), 1.0, rise=rise)


class Strips(unittest.TestCase):
    def test_a_whole_border_grows_evenly(self) -> None:
        sheet = plane((10, 10), (2, 2))
        done = extrude_edges(sheet, Selection.of("edge", sheet.topology.open_edges), 3.0, rise=Rise(2))
        self.assertEqual(done.cage.topology.face_count, 4 + 16)
        self.assertTrue(np.allclose(done.cage.bounds, [[-8, -8, 0], [8, 8, 0]]))
        self.assertTrue(np.all(done.cage.face_normals[:, 2] > 0.99))
        self.assertEqual(len(done.selected), 8)
        self.assertTrue(np.isin(done.selected.ids, done.cage.topology.open_edges).all())

    def test_one_edge_along_a_vector(self) -> None:
        sheet = plane((10, 10), (1, 1))
        edge = int(np.flatnonzero(sheet.positions[sheet.topology.edge_verts][..., 0].min(axis=1) > 4)[0])
        done = extrude_along(sheet, Selection.of("edge", [edge]), (0, 0, 4))
        self.assertEqual((done.cage.topology.face_count, done.cage.topology.vertex_count), (2, 6))
        self.assertEqual(done.cage.positions[4:, 2].tolist(), [4, 4])
        again = extrude_along(done.cage, done.selected, (2, 0, 0))
        self.assertEqual(again.cage.topology.face_count, 3)

    def test_an_edge_between_two_faces_is_named(self) -> None:
        sheet = plane((10, 10), (2, 1))
        inner = int(np.setdiff1d(np.arange(7), sheet.topology.open_edges)[0])
        with self.assertRaises(BadSelectionError) as caught:
            extrude_edges(sheet, Selection.of("edge", [inner]), 1.0)
        self.assertEqual(caught.exception.place.edges, (inner,))


if __name__ == "__main__":
    unittest.main()
