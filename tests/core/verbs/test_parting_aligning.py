"""Detach, join, flip, agree; flatten, line up, circle, attract."""

from __future__ import annotations

import unittest

import numpy as np

from tests.sample_cages import jittered, top_faces
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.edits.attract import attract
from zinc_otter.core.cage.edits.circle import circle
from zinc_otter.core.cage.edits.detach import detach, taken_out
from zinc_otter.core.cage.edits.flatten import flatten
from zinc_otter.core.cage.edits.flip import flip, orient_outward
from zinc_otter.core.cage.edits.line_up import line_up
from zinc_otter.core.cage.selection import middles_of, vertices_of
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, cylinder, plane


class Parting(unittest.TestCase):
    def test_a_detached_face_shares_nothing(self) -> None:
        cube = box((30, 30, 10), (3, 3, 1))
        top = top_faces(cube)
        done = detach(cube, Selection.of("face", top))
        t = done.cage.topology
        # The top's rim of 12 vertices is there twice.
        self.assertEqual((t.vertex_count, t.face_count, len(t.open_edges)), (32 + 12, 30, 24))
        self.assertEqual(int(t.face_shell.max()), 1)
        self.assertEqual(done.selected.ids.tolist(), top.tolist())
        self.assertTrue(np.array_equal(done.cage.face_normals, cube.face_normals))

    def test_two_faces_that_touch_in_a_point_part_there(self) -> None:
        sheet = plane((20, 20), (2, 2))
        done = detach(sheet, Selection.of("face", [0, 3]))
        self.assertEqual(int(done.cage.topology.face_shell.max()) + 1, 4)

    def test_creases_stay_on_both_sides(self) -> None:
        cube = box((10, 10, 10), (1, 1, 1))
        done = detach(cube.with_sharpness(edges=np.full(12, 2.0)), Selection.of("face", [0]))
        self.assertTrue(np.all(done.cage.edge_sharpness == 2.0))

    def test_taken_out_as_two_cages(self) -> None:
        cube = box((30, 30, 10), (3, 3, 1))
        out, left = taken_out(cube, Selection.of("face", top_faces(cube)))
        self.assertEqual((out.cage.topology.face_count, left.cage.topology.face_count), (9, 21))
        self.assertRaises(BadSelectionError, taken_out, cube, Selection.of("face", np.arange(30)))

    def test_joined_each_stays_as_it_stands(self) -> None:
        cube = box((10, 10, 10), (1, 1, 1))
        named = Cage(cube.positions, cube.topology, np.full(12, 3.0), None, {"all": np.arange(6)})
        whole, maps = joined([named, cube, named])
        self.assertEqual((whole.topology.vertex_count, whole.topology.face_count), (24, 18))
        self.assertEqual(np.count_nonzero(whole.edge_sharpness == 3.0), 24)
        self.assertEqual(whole.face_sets["all"].tolist(), [*range(6), *range(12, 18)])
        self.assertEqual(maps[1].follow(Selection.of("face", [0])).ids.tolist(), [6])

    def test_flipped_twice_is_itself(self) -> None:
        cube = jittered(box((10, 10, 10), (2, 1, 1)))
        once = flip(cube, Selection.of("face", [0]))
        self.assertLess(shell_volumes(once.cage)[0], 0)
        self.assertTrue(np.allclose(once.cage.face_normals, -cube.face_normals))
        self.assertEqual(flip(once.cage, Selection.of("face", [0])).cage, cube)

    def test_normals_agree_and_a_hollow_looks_inwards(self) -> None:
        cube = box((30, 30, 30), (1, 1, 1))
        inner = cube.with_positions(cube.positions / 3)
        apart = flip(cube.with_positions(cube.positions / 3 + [50, 0, 0]), Selection.of("face", [0])).cage
        whole, _ = joined([cube, inner, apart])
        done = orient_outward(whole, Selection.of("face", [0]))
        self.assertTrue(np.allclose(shell_volumes(done.cage), [27000, -1000, 1000]))
        self.assertRaises(BadSelectionError, orient_outward, done.cage, Selection.of("face", [0]))


class Aligning(unittest.TestCase):
    def test_flattened_onto_the_best_plane(self) -> None:
        # z = 0.5 x with equal and opposite bumps of 1 along its normal: the best plane is the slope itself.
        slope = np.array([-0.5, 0, 1]) / np.hypot(0.5, 1)
        sheet = plane((20, 20), (3, 3))
        p = sheet.positions.copy()
        p[:, 2] = 0.5 * p[:, 0]
        sign = np.where(np.indices((4, 4)).sum(axis=0) % 2 == 0, 1, -1).ravel()
        bumpy = sheet.with_positions(p + np.outer(sign, slope))
        done = flatten(bumpy, Selection.of("face", np.arange(9)))
        self.assertTrue(np.allclose(done.cage.positions @ slope, 0, atol=1e-9))
        half = flatten(bumpy, Selection.of("face", np.arange(9)), share=0.5)
        self.assertTrue(np.allclose(np.abs(half.cage.positions @ slope), 0.5))

    def test_to_a_world_plane_or_parallel_through_the_middle(self) -> None:
        cube = jittered(box((20, 20, 20), (2, 2, 2)))
        top = Selection.of("vertex", np.flatnonzero(cube.positions[:, 2] > 8))
        done = flatten(cube, top, normal=(0, 0, 2), point=(0, 0, 12))
        self.assertTrue(np.all(done.cage.positions[top.ids, 2] == 12))
        self.assertTrue(np.array_equal(done.cage.positions[top.ids, :2], cube.positions[top.ids, :2]))
        done = flatten(cube, top, normal=(0, 0, 1))
        self.assertTrue(np.allclose(done.cage.positions[top.ids, 2], cube.positions[top.ids, 2].mean()))

    def test_refusals(self) -> None:
        cube = box((20, 20, 20), (2, 2, 2))
        edge = Selection.of("edge", [0])
        self.assertRaises(BadSelectionError, flatten, cube, edge)
        self.assertRaises(BadNumberError, flatten, cube, edge, normal=(0, 0, 0))
        self.assertRaises(BadNumberError, flatten, cube, edge, normal=(0, 0, 1), share=1.5)

    def test_lined_up_on_an_axis_at_even_distances(self) -> None:
        sheet = plane((20, 20), (4, 4))
        row = np.flatnonzero(np.abs(sheet.positions[:, 1]) < 1e-9)
        sheet = jittered(sheet)
        edges = Selection.of("edge", np.flatnonzero(np.isin(sheet.topology.edge_verts, row).all(axis=1)))
        done = line_up(sheet, edges, along=(1, 0, 0), point=(0, 3, 1), even=True)
        moved = done.cage.positions[row]
        self.assertTrue(np.allclose(moved[:, 1:], [3, 1]))
        self.assertTrue(np.allclose(np.diff(np.sort(moved[:, 0])), np.ptp(moved[:, 0]) / 4))
        best = line_up(sheet, edges).cage.positions[row]
        self.assertLess(np.linalg.svd(best - best.mean(axis=0))[1][1], 1e-9)

    def test_a_square_loop_made_round(self) -> None:
        tube = cylinder((20, 30), (8, 2), "none")
        z = tube.positions[:, 2]
        ring = np.flatnonzero(z > 14)
        p = tube.positions.copy()
        p[ring] *= [1.4, 0.7, 1]
        tube = tube.with_positions(p + [3, 2, 0])
        edges = Selection.of("edge", np.flatnonzero(np.isin(tube.topology.edge_verts, ring).all(axis=1)))
        done = circle(tube, edges, radius=7.5)
        away = done.cage.positions[ring] - [3, 2, 15]
        self.assertTrue(np.allclose(np.linalg.norm(away, axis=1), 7.5))
        angle = np.sort(np.arctan2(away[:, 1], away[:, 0]))
        self.assertTrue(np.allclose(np.diff(angle), np.pi / 4))
        kept = circle(tube, edges, radius=None, even=False).cage.positions[ring] - [3, 2, 15]
        before = tube.positions[ring] - [3, 2, 15]
        self.assertTrue(np.allclose(np.arctan2(*kept[:, :2].T), np.arctan2(*before[:, :2].T)))
        self.assertAlmostEqual(float(np.linalg.norm(kept, axis=1).mean()), float(np.linalg.norm(before, axis=1).mean()))

    def test_the_border_of_faces_and_open_chains(self) -> None:
        sheet = plane((50, 50), (5, 5))
        m = middles_of(sheet, "face")
        faces = Selection.of("face", np.flatnonzero(np.abs(m[:, :2]).max(axis=1) < 11))
        done = circle(sheet, faces, radius=12.0)
        rim = [v for v in vertices_of(sheet.topology, faces) if np.abs(sheet.positions[v, :2]).max() > 10]
        self.assertTrue(np.allclose(np.linalg.norm(done.cage.positions[rim], axis=1), 12))
        self.assertRaises(BadSelectionError, circle, sheet, Selection.of("edge", [0]))
        self.assertRaises(BadNumberError, circle, sheet, faces, radius=0.0)

    def test_drawn_onto_a_sphere(self) -> None:
        cube = box((20, 20, 20), (2, 2, 2))

        def sphere(points: np.ndarray) -> np.ndarray:
            return 15 * points / np.linalg.norm(points, axis=1)[:, None]

        everything = Selection.of("face", np.arange(24))
        done = attract(cube, everything, sphere)
        self.assertTrue(np.allclose(np.linalg.norm(done.cage.positions, axis=1), 15))
        near = attract(
            cube, Selection.of("vertex", [int(np.argmin(np.abs(cube.positions).sum(axis=1)))]), sphere, distance=1.0
        )
        self.assertTrue(np.isclose(np.linalg.norm(near.cage.positions, axis=1), 14).any())


if __name__ == "__main__":
    unittest.main()
