"""Stands: closed, as large as asked, where a ring or what hangs belongs; and put down for what they show."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.stone.test_laying import BAND, done
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.picture.stands import STANDS, stand_mesh
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.pseudonormals import is_closed
from zinc_otter.core.solid.moments import moments
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.shown import mesh_of
from zinc_otter.studio.standing import place_for


def width_at(points: np.ndarray, triangles: np.ndarray, x: float, y: float, z: float) -> float:
    """As far as rays along +x and -x from within go, together."""
    mesh = MeshDistance(points, triangles)
    at = np.array([[x, y, z]] * 2)
    return float(mesh.first_hit(at, np.array([[1.0, 0, 0], [-1.0, 0, 0]])).sum())


class Meshes(unittest.TestCase):
    def test_all_are_closed_bodies_that_look_outwards(self) -> None:
        for name in STANDS:
            points, triangles = stand_mesh(name)
            self.assertTrue(is_closed(triangles), name)
            self.assertGreater(moments(points, triangles).volume, 0, name)

    def test_as_wide_as_asked_where_a_ring_sits(self) -> None:
        for name, size in (("cone", 17.3), ("finger", 21.0), ("cone", 60.0)):
            self.assertAlmostEqual(width_at(*stand_mesh(name, size), 0, 0, 0), size, delta=0.006 * size)

    def test_sizes_go_with_the_number(self) -> None:
        for name, stand in STANDS.items():
            small, large = (stand_mesh(name, k * stand.usual)[0] for k in (1, 3))
            np.testing.assert_allclose(np.ptp(large, axis=0), 3 * np.ptp(small, axis=0), rtol=0.03)

    def test_a_block_and_a_table_end_at_the_ground(self) -> None:
        for name in ("block", "table"):
            self.assertAlmostEqual(float(stand_mesh(name)[0][:, 2].max()), 0, delta=0.3)

    def test_wrong_sizes_and_names(self) -> None:
        for size in (0.0, -3.0, 1e6, float("nan")):
            with self.assertRaisesRegex(BadNumberError, "lies between 0.85 and 340 mm"):
                stand_mesh("cone", size)
        self.assertRaises(BadNumberError, stand_mesh, "gallows")


class Placed(unittest.TestCase):
    def setUp(self) -> None:
        self.band = done(Design(), **BAND)

    def test_through_a_bore_however_it_lies(self) -> None:
        for turn in ([0.0, 0, 1], [1.0, 0, 0]):
            picked = {"kind": "piece", "ids": [0]}
            asked = {"kind": "turn", "piece": "p1", "picked": picked, "axis": turn, "degrees": 90, "pivot": [0, 0, 0]}
            design = read_command(asked).apply(self.band).design
            bore = place_for(design, "cone", "p1")
            assert bore.size is not None
            points, triangles = stand_mesh("cone", bore.size)
            lies = points @ np.array(bore.rotation).T + np.array(bore.centre)
            # It fills the bore, and cuts no more than its taper into it.
            surface = mesh_of(design.piece("p1").cage).vertices
            deep = MeshDistance(lies, triangles).signed(surface)[0].min()
            self.assertGreater(deep, -0.5)
            self.assertLess(deep, 0.1)
            finger = place_for(design, "finger", "p1")
            self.assertEqual(finger.size, bore.size)

    def test_the_third_finger_of_a_hand_is_in_the_ring(self) -> None:
        thin = done(Design(), **{**BAND, "ring": 19, "section": 2})
        place = place_for(thin, "hand", "p1")
        assert place.size is not None
        points, triangles = stand_mesh("hand", place.size)
        mesh = MeshDistance(points @ np.array(place.rotation).T + np.array(place.centre), triangles)
        bore = place_for(thin, "cone", "p1")
        self.assertLess(mesh.signed(np.array([bore.centre]))[0][0], -0.4 * (bore.size or 0))
        # The finger fills it, and is no wider but by a little; the others are beside it.
        deep = mesh.signed(mesh_of(thin.piece("p1").cage).vertices)[0].min()
        self.assertGreater(deep, -1.0)
        self.assertLess(deep, 0.2)

    def test_a_hook_goes_through_a_loop_that_hangs_on_it(self) -> None:
        for axis in ([1.0, 0, 0], [0, 1.0, 0]):
            picked = {"kind": "piece", "ids": [0]}
            turned = {"kind": "turn", "piece": "p1", "picked": picked, "axis": axis, "degrees": 90, "pivot": [0, 0, 0]}
            design = read_command(turned).apply(self.band).design
            place = place_for(design, "hook", "p1")
            points, triangles = stand_mesh("hook", 24)
            hook = MeshDistance(points @ np.array(place.rotation).T + np.array(place.centre), triangles)
            # The bar lies in the hole under the loop's upper side, and cuts into nothing.
            inside = np.array(place.centre) - [0, 0, 2]
            self.assertLess(hook.signed(inside[None])[0][0], -1)
            self.assertGreater(hook.signed(mesh_of(design.piece("p1").cage).vertices)[0].min(), -0.4)

    def test_under_what_is_shown(self) -> None:
        place = place_for(self.band, "block", "p1")
        low = self.band.piece("p1").cage.positions.min(axis=0)
        self.assertEqual((place.centre[2], place.size), (low[2], None))
        self.assertEqual(place_for(Design(), "bust", None).centre, (0.0, 0.0, 0.0))
