"""The live channel tells how near a form comes to its components, and shows it at the level asked for."""

from __future__ import annotations

import numpy as np
import trimesh

from tests.api.case import BOX, move
from tests.api.test_live import TalkCase
from zinc_otter.api.room import shown_level


class Clearance(TalkCase):
    def test_distances_follow_a_drag(self) -> None:
        state = self.begun({**BOX, "counts": [4, 4, 2], "size": [40, 40, 40]})
        ball = trimesh.creation.icosphere(subdivisions=4, radius=10).export(file_type="stl")
        query = {"revision": state["revision"], "name": "ball.stl", "unit": "mm", "clearance": 8}
        state = self.client.post(f"/api/designs/{state['id']}/components", params=query, content=ball).json()
        cage = self.client.get(f"/api/designs/{state['id']}/pieces/p1/cage").json()
        points = np.array(cage["positions"])
        surface = np.array(self.client.get(f"/api/designs/{state['id']}/pieces/p1/surface?level=4").json()["positions"])
        with self.talk(state) as talk:
            (near,) = talk.hear()["clearances"]
            self.assertEqual((near["piece"], near["reference"], near["asked"]), ("p1", "r2", 8))
            np.testing.assert_allclose(near["vertices"], np.linalg.norm(points, axis=1) - 10, atol=0.05)
            self.assertAlmostEqual(near["distance"], float(np.linalg.norm(surface, axis=1).min()) - 10, delta=0.05)
            self.assertAlmostEqual(float(np.linalg.norm(near["to"])), 10, delta=0.05)
            middle = int(np.argmin(np.linalg.norm(points - [0, 0, 20], axis=1)))
            command = move(middle, by=(0.0, 0.0, -40.0))
            talk.say(do="preview", seq=1, revision=state["revision"], command=command)
            (near,) = talk.hear()["clearances"]
            self.assertAlmostEqual(float(near["vertices"][middle]), 10, delta=0.05)
            self.assertLess(near["distance"], 0)

    def test_an_open_component_has_no_inside_to_cut_into(self) -> None:
        state = self.begun({**BOX, "counts": [4, 4, 2], "size": [40, 40, 40]})
        ball = trimesh.creation.icosphere(subdivisions=4, radius=10)
        shell = trimesh.Trimesh(ball.vertices, ball.faces[ball.triangles_center[:, 2] < 5])
        query = {"revision": state["revision"], "name": "shell.stl", "unit": "mm"}
        data = shell.export(file_type="stl")
        state = self.client.post(f"/api/designs/{state['id']}/components", params=query, content=data).json()
        with self.talk(state) as talk:
            (near,) = talk.hear()["clearances"]
            self.assertFalse(near["signed"])
            self.assertGreater(near["distance"], 0)
            # Each vertex of the cage has its own.
            self.assertEqual(len(near["vertices"]), state["pieces"][0]["vertex_count"])

    def test_a_stand_is_there_to_be_stood_on(self) -> None:
        state = self.begun({**BOX, "counts": [4, 4, 2], "size": [40, 40, 40]})
        address = f"/api/designs/{state['id']}/stands?revision={state['revision']}"
        state = self.client.post(address, json={"stand": "hand"}).json()
        self.assertTrue(state["references"][0]["visible"])
        with self.talk(state) as talk:
            self.assertEqual(talk.hear()["clearances"], [])

    def test_without_components_there_is_nothing_to_say(self) -> None:
        with self.talk(self.begun(BOX)) as talk:
            self.assertEqual(talk.hear()["clearances"], [])

    def test_the_level_shown_is_the_one_asked_for(self) -> None:
        state = self.begun(BOX)
        with self.talk(state) as talk:
            self.assertEqual(talk.hear()["pieces"][0]["surface"]["level"], 4)
            talk.say(do="level", seq=1, level=2)
            (piece,) = talk.hear()["pieces"]
            self.assertEqual((piece["surface"]["level"], len(piece["surface"]["quads"]) // 4), (2, 16 * 16))
            talk.say(do="level", seq=2, level=9)
            self.assertEqual(talk.hear()["type"], "problem")
        self.assertEqual([shown_level(f, 4) for f in (100, 1500, 3000, 30_000)], [4, 4, 3, 1])
