from __future__ import annotations

import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.extrude import extrude_along, extrude_faces
from zinc_otter.core.cage.selection import vertices_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, plane


def cage_volume(cage: Cage) -> float:
    """Volume of a cage with planar quads, by the divergence theorem over fans of triangles."""
    p = cage.positions[cage.topology.face_verts.reshape(-1, 4)]
    fans = ((p[:, 0], p[:, 1], p[:, 2]), (p[:, 0], p[:, 2], p[:, 3]))
    return float(sum(np.einsum("ij,ij->", a, np.cross(b, c)) for a, b, c in fans)) / 6


class Extrude(unittest.TestCase):
    def setUp(self) -> None:
        self.cage = box((20, 20, 10), (2, 2, 1))
        self.top = Selection.of("face", cages.top_faces(self.cage))

    def test_it_adds_one_wall_for_each_rim_edge_and_keeps_the_form_closed(self) -> None:
        done = extrude_faces(self.cage, self.top, 5)
        t = done.cage.topology
        self.assertEqual(t.face_count, self.cage.topology.face_count + 8)
        self.assertTrue(t.is_closed)
        self.assertEqual(t.euler_characteristic, 2)
        self.assertAlmostEqual(cage_volume(done.cage), 20 * 20 * 15)

    def test_inwards_takes_away(self) -> None:
        one = Selection.of("face", self.top.ids[:1])
        done = extrude_faces(self.cage, one, -4)
        self.assertAlmostEqual(cage_volume(done.cage), 20 * 20 * 10 - 10 * 10 * 4)

    def test_again_and_again_goes_on_from_the_moved_faces(self) -> None:
        done = extrude_faces(self.cage, self.top, 5)
        for _ in range(3):
            self.assertEqual(done.selected, self.top)
            done = extrude_faces(done.cage, done.selected, 2)
        self.assertAlmostEqual(done.cage.bounds[1, 2], 5 + 5 + 6)
        self.assertEqual(done.cage.topology.euler_characteristic, 2)

    def test_groups_go_their_own_ways(self) -> None:
        sides = Selection.of("face", np.flatnonzero(np.abs(self.cage.face_normals[:, 0]) > 0.9))
        done = extrude_faces(self.cage, sides, 7)
        np.testing.assert_allclose(done.cage.bounds[:, 0], [-17, 17])

    def test_groups_that_touch_in_a_point_part_there(self) -> None:
        sheet = plane((30, 30), (3, 3))
        done = extrude_faces(sheet, Selection.of("face", [0, 4]), 5)
        self.assertEqual(done.cage.topology.vertex_count, 16 + 8)
        self.assertEqual(len(done.cage.topology.open_edges), len(sheet.topology.open_edges))

    def test_a_group_moves_along_its_mean_normal(self) -> None:
        shaken = cages.jittered(self.cage)
        done = extrude_faces(shaken, self.top, 3)
        area = shaken.face_area_vectors[self.top.ids].sum(axis=0)
        before = shaken.positions[shaken.topology.face_verts.reshape(-1, 4)[self.top.ids]]
        after = done.cage.positions[done.cage.topology.face_verts.reshape(-1, 4)[self.top.ids]]
        np.testing.assert_allclose(after - before, np.broadcast_to(3 * area / np.linalg.norm(area), before.shape))

    def test_a_crease_on_the_rim_stays_at_the_foot(self) -> None:
        creased = set_crease(self.cage, Selection.of("edge", cages.rim_edges(self.cage)), 4).cage
        done = extrude_faces(creased, self.top, 5)
        sharp = np.flatnonzero(done.cage.edge_sharpness == 4)
        self.assertEqual(len(sharp), 8)
        np.testing.assert_allclose(done.cage.positions[done.cage.topology.edge_verts[sharp]][:, :, 2], 5)

    def test_a_crease_inside_the_group_moves_with_it(self) -> None:
        e = self.cage.topology.edge_verts
        heights = self.cage.positions[e][:, :, 2]
        inner = np.flatnonzero((heights.min(axis=1) > 4) & ~np.isin(np.arange(len(e)), cages.rim_edges(self.cage)))
        creased = set_crease(self.cage, Selection.of("edge", inner), 2).cage
        done = extrude_faces(creased, self.top, 5)
        sharp = np.flatnonzero(done.cage.edge_sharpness == 2)
        self.assertEqual(len(sharp), len(inner))
        np.testing.assert_allclose(done.cage.positions[done.cage.topology.edge_verts[sharp]][:, :, 2], 10)
        np.testing.assert_array_equal(np.sort(done.old_to_new.edges[inner]), sharp)

    def test_face_sets_follow(self) -> None:
        named = Cage(self.cage.positions, self.cage.topology, face_sets={"palm": self.top.ids})
        done = extrude_faces(named, self.top, 5)
        np.testing.assert_array_equal(done.cage.face_sets["palm"], self.top.ids)

    def test_what_cannot_be_extruded(self) -> None:
        with self.assertRaisesRegex(BadSelectionError, "takes faces"):
            extrude_faces(self.cage, Selection.of("edge", [0]), 1)
        with self.assertRaisesRegex(BadSelectionError, "no rim"):
            extrude_faces(self.cage, Selection.of("face", range(self.cage.topology.face_count)), 1)
        for distance in (0.0, np.nan, np.inf):
            with self.assertRaises(BadNumberError):
                extrude_faces(self.cage, self.top, distance)

    def test_n_gons_too(self) -> None:
        prism = cages.prism(6)
        n_gon = np.flatnonzero(prism.topology.face_sizes == 6)[1:]
        done = extrude_faces(prism, Selection.of("face", n_gon), 4)
        self.assertTrue(done.cage.topology.is_closed)
        self.assertEqual(done.cage.topology.face_count, prism.topology.face_count + 6)


class Along(unittest.TestCase):
    def test_along_a_vector_every_moved_vertex_goes_by_it(self) -> None:
        cage = box((10, 10, 10), (2, 2, 2))
        top = Selection.of("face", np.flatnonzero(cage.face_normals[:, 2] > 0.9))
        done = extrude_along(cage, top, (3, 0, 4))
        moved = vertices_of(done.cage.topology, done.selected)
        before = cage.positions[vertices_of(cage.topology, top)]
        np.testing.assert_allclose(
            np.sort(done.cage.positions[moved], axis=0), np.sort(before + [3, 0, 4], axis=0), atol=1e-12
        )
        self.assertEqual(done.cage.topology.euler_characteristic, 2)
        with self.assertRaises(BadNumberError):
            extrude_along(cage, top, (0, 0, 0))
