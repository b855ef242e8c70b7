"""Curves with how they bend: by REST, and with every frame of the live channel that asked for them."""

from __future__ import annotations

from typing import Any

import numpy as np

from tests.api.case import move
from tests.api.test_live import TalkCase

TUBE = {"kind": "add-cylinder", "name": "Tube", "diameter": 20, "height": 60, "counts": [16, 6], "caps": "open"}
LEVEL = {"section": {"point": [0, 0, 2], "normal": [0, 0, 1]}}


class Curves(TalkCase):
    def test_by_rest(self) -> None:
        state = self.begun(TUBE)
        path = f"/api/designs/{state['id']}/pieces/p1/curves"
        answer = self.client.post(path, json={**LEVEL, "seam": True, "edges": [0, 1]})
        self.assertEqual(answer.status_code, 200)
        curves = answer.json()
        self.assertEqual(curves[0]["of"], "section")
        self.assertTrue(curves[0]["closed"])
        points = np.array(curves[0]["points"]).reshape(-1, 3)
        bending = np.array(curves[0]["bending"]).reshape(-1, 3)
        np.testing.assert_allclose(points[:, 2], 2, atol=1e-3)
        radius = np.linalg.norm(points[:, :2], axis=1).mean()
        np.testing.assert_allclose(1 / np.linalg.norm(bending, axis=1), radius, rtol=0.06)
        self.assertAlmostEqual(curves[0]["least_radius"], radius, delta=0.06 * radius)
        self.assertGreater(len([c for c in curves if c["of"] == "edges"]), 0)

    def test_what_cannot_be_is_refused(self) -> None:
        state = self.begun(TUBE)
        path = f"/api/designs/{state['id']}/pieces/p1/curves"
        flat: dict[str, Any] = {"section": {"point": [0, 0, 0], "normal": [0, 0, 0]}}
        self.assertEqual(self.client.post(path, json=flat).status_code, 422)
        self.assertEqual(self.client.post(path, json={"edges": [-1]}).status_code, 422)
        self.assertEqual(self.client.post(f"/api/designs/{state['id']}/pieces/p9/curves", json=LEVEL).status_code, 404)

    def test_with_every_frame_once_asked_for(self) -> None:
        state = self.begun(TUBE)
        with self.talk(state) as talk:
            self.assertNotIn("curves", talk.hear())
            talk.say(do="curves", seq=1, asked={"piece": "p1", **LEVEL})
            first = talk.hear()
            self.assertEqual((first["type"], len(first["curves"])), ("curves", 1))
            before = first["curves"][0]["points"].reshape(-1, 3)
            loop = [v for v, p in enumerate(self.cage(state)["positions"]) if abs(p[2]) < 0.1]
            wider = {"kind": "size", "piece": "p1", "picked": {"kind": "vertex", "ids": loop}, "factors": [1.5, 1.5, 1]}
            talk.say(do="preview", seq=2, revision=state["revision"], command=wider)
            frame = talk.hear()
            now = frame["curves"][0]["points"].reshape(-1, 3)
            self.assertGreater(np.linalg.norm(now[:, :2], axis=1).max(), np.linalg.norm(before[:, :2], axis=1).max() + 1)
            talk.say(do="curves", seq=3, asked=None)
            self.assertEqual(talk.hear()["curves"], [])
            talk.say(do="preview", seq=4, revision=state["revision"], command=move(0, by=(1, 0, 0)))
            self.assertNotIn("curves", talk.hear())

    def test_lines_of_edges_go_where_a_preview_has_other_edges(self) -> None:
        state = self.begun(TUBE)
        with self.talk(state) as talk:
            talk.hear()
            talk.say(do="curves", seq=1, asked={"piece": "p1", "edges": [0, 1, 2]})
            self.assertGreater(len(talk.hear()["curves"]), 0)
            loop = {"kind": "add-loop", "piece": "p1", "picked": {"kind": "edge", "ids": [0]}}
            talk.say(do="preview", seq=2, revision=state["revision"], command=loop)
            self.assertEqual(talk.answer()["curves"], [])

    def cage(self, state: dict[str, Any]) -> Any:
        return self.client.get(f"/api/designs/{state['id']}/pieces/p1/cage").json()
