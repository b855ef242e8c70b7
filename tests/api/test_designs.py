from __future__ import annotations

import json
from pathlib import Path

import numpy as np

from tests.api.case import BOX, ServiceCase, extrude
from zinc_otter.api.app import create_app
from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box
from zinc_otter.core.surface import build_stencils, evaluate

ROOT = Path(__file__).parents[2]


class Designs(ServiceCase):
    def test_create_list_rename_copy_delete(self) -> None:
        made = self.client.post("/api/designs", json={"name": "  Grip ", "unit": "in"})
        self.assertEqual(made.status_code, 201)
        self.assertEqual((made.json()["name"], made.json()["unit"]), ("Grip", "in"))
        path = f"/api/designs/{made.json()['id']}"
        self.assertEqual(self.client.patch(path, json={"name": "Haft"}).json()["name"], "Haft")
        copy = self.client.post(path + "/copy", json={"name": "Haft copy"})
        self.assertEqual(copy.status_code, 201)
        self.assertEqual([d["name"] for d in self.client.get("/api/designs").json()], ["Haft copy", "Haft"])
        self.assertEqual(self.client.delete(path).status_code, 204)
        self.problem(self.client.get(path), 404, "unknown-design")
        self.assertEqual(len(self.client.get("/api/designs").json()), 1)

    def test_commands_undo_redo_go_to(self) -> None:
        state = self.begun(BOX, extrude(0), extrude(0, by=2))
        path = f"/api/designs/{state['id']}"
        self.assertEqual((state["head"], state["selected"]["ids"], state["pieces"][0]["face_count"]), (3, [0], 24))
        state = self.client.post(path + "/undo", json={"revision": state["revision"]}).json()
        self.assertEqual((state["head"], state["pieces"][0]["face_count"]), (2, 20))
        state = self.client.post(path + "/redo", json={"revision": state["revision"]}).json()
        self.assertEqual(state["head"], 3)
        first = state["steps"][1]["id"]
        state = self.client.post(path + "/go-to", json={"revision": state["revision"], "step": first}).json()
        self.assertEqual((state["head"], len(state["steps"])), (1, 4))

    def test_preview_keeps_nothing(self) -> None:
        state = self.begun(BOX)
        path = f"/api/designs/{state['id']}"
        body = {"revision": state["revision"], "command": extrude(0)}
        preview = self.client.post(path + "/preview", json=body).json()
        self.assertEqual(preview["title"], "Extruded 1 face of Box by 5 mm")
        self.assertEqual(preview["pieces"][0]["face_count"], 20)
        self.assertEqual(self.client.get(path).json(), state)

    def test_arrays_for_scripts(self) -> None:
        state = self.begun(BOX)
        piece = f"/api/designs/{state['id']}/pieces/p1"
        cage = self.client.get(piece + "/cage").json()
        expected = box((40, 20, 10), (2, 2, 1))
        np.testing.assert_array_equal(cage["positions"], expected.positions)
        np.testing.assert_array_equal(np.ravel(cage["faces"]), expected.topology.face_verts)
        surface = self.client.get(piece + "/surface?level=2").json()
        made = evaluate(build_stencils(expected, 2), expected)
        np.testing.assert_array_equal(surface["positions"], made.positions)
        np.testing.assert_array_equal(surface["quads"], made.stencils.row_quads)
        self.problem(self.client.get(piece + "/surface?level=9"), 422, "invalid")

    def test_the_picture_follows_the_design(self) -> None:
        state = self.begun(BOX)
        path = f"/api/designs/{state['id']}/picture.png"
        first = self.client.get(path)
        self.assertEqual(first.headers["content-type"], "image/png")
        self.give(state, extrude(0, by=30))
        self.assertNotEqual(self.client.get(path).content, first.content)


class BadInput(ServiceCase):
    """Each gets a clear 4xx, and nothing has changed."""

    def setUp(self) -> None:
        super().setUp()
        self.state = self.begun(BOX)
        self.path = f"/api/designs/{self.state['id']}"

    def tearDown(self) -> None:
        self.assertEqual(self.client.get(self.path).json(), self.state)
        super().tearDown()

    def refused(self, command: object, status: int = 422, kind: str = "invalid", revision: int | None = None) -> str:
        at = self.state["revision"] if revision is None else revision
        content = json.dumps({"revision": at, "command": command})
        answer = self.client.post(self.path + "/commands", content=content, headers={"Content-Type": "application/json"})
        return self.problem(answer, status, kind)

    def test_boxes_of_no_and_of_too_many_faces(self) -> None:
        self.assertIn("counts.1", self.refused({**BOX, "counts": [1, 0, 1]}))
        self.assertIn("counts.2", self.refused({**BOX, "counts": [1, 1, 10_000_000]}))
        self.assertIn("30,000 are the most", self.refused({**BOX, "counts": [5000, 5000, 5000]}, kind="too-many-faces"))

    def test_sizes_that_are_no_numbers(self) -> None:
        for wrong in (float("nan"), float("inf"), "wide", None, -4):
            self.assertIn("size.0", self.refused({**BOX, "size": [wrong, 1, 1]}))

    def test_a_stale_revision(self) -> None:
        self.assertIn("by now", self.refused(extrude(0), 409, "stale-revision", revision=1))

    def test_unknown_pieces_faces_and_commands(self) -> None:
        self.assertIn("no piece 'p7'", self.refused({**extrude(0), "piece": "p7"}, 404, "unknown-piece"))
        self.assertIn("no face 99", self.refused(extrude(99), kind="bad-selection"))
        self.refused({"kind": "melt"})
        self.refused("nothing")
        self.problem(self.client.get(self.path + "/pieces/p7/cage"), 404, "unknown-piece")

    def test_the_elements_at_fault_are_named(self) -> None:
        body = {"revision": self.state["revision"], "command": extrude(*range(16))}
        answer = self.client.post(self.path + "/commands", json=body)
        self.assertEqual(answer.json()["place"]["faces"], list(range(16)))

    def test_a_name_of_ten_thousand_letters(self) -> None:
        for name in ("x" * 10_000, "", "   "):
            self.problem(self.client.patch(self.path, json={"name": name}), 422, "invalid")
            self.problem(self.client.post("/api/designs", json={"name": name}), 422, "invalid")
        self.refused({"kind": "rename-piece", "piece": "p1", "name": "x" * 10_000})

    def test_no_json_at_all(self) -> None:
        answer = self.client.post(self.path + "/commands", content=b"{{{", headers={"Content-Type": "application/json"})
        self.problem(answer, 422, "invalid")

    def test_unknown_paths_and_methods(self) -> None:
        self.problem(self.client.put(self.path), 405, "http")


class Guarded(ServiceCase):
    def test_a_page_from_another_origin(self) -> None:
        for origin in ("http://elsewhere.example", "http://127.0.0.1:9999", "null"):
            answer = self.client.post("/api/designs", json={"name": "x"}, headers={"Origin": origin})
            self.problem(answer, 403, "guard")
        self.assertEqual(self.client.get("/api/designs").json(), [])
        answer = self.client.post("/api/designs", json={"name": "x"}, headers={"Origin": "http://127.0.0.1"})
        self.assertEqual(answer.status_code, 201)

    def test_another_host_name(self) -> None:
        for host in ("elsewhere.example", "127.0.0.1.elsewhere.example:80", ""):
            self.problem(self.client.get("/api/designs", headers={"Host": host}), 403, "guard")
        self.assertEqual(self.client.get("/api/designs", headers={"Host": "localhost:8420"}).status_code, 200)

    def test_a_body_without_end(self) -> None:
        answer = self.client.post("/api/designs", headers={"Content-Length": str(10**9)}, content=b"x")
        self.problem(answer, 413, "guard")


class Contract(ServiceCase):
    def test_the_description_in_docs_is_the_present_one(self) -> None:
        written = json.loads((ROOT / "docs" / "openapi.json").read_text("utf-8"))
        self.assertEqual(written, json.loads(json.dumps(create_app(None).openapi())), "run `make types`")

    def test_the_documentation_page_fetches_nothing_from_elsewhere(self) -> None:
        page = self.client.get("/docs").text
        self.assertIn("swagger-ui-bundle.js", page)
        self.assertNotIn("http://", page)
        self.assertNotIn("https://", page)


class Problems(ServiceCase):
    def test_every_kind_of_problem_leads_to_a_page(self) -> None:
        state = self.begun(BOX)
        for answer in (
            self.client.get("/api/designs/none"),
            self.client.get("/api/nothing/here"),
            self.client.put("/api/designs"),
            self.client.post(f"/api/designs/{state['id']}/commands", json={"revision": 1, "command": BOX}),
            self.client.post("/api/designs", json={"name": ""}),
        ):
            self.assertEqual(answer.headers["content-type"], "application/problem+json", answer.text)
            page = self.client.get(answer.json()["type"])
            self.assertEqual(page.status_code, 200, answer.text)
            self.assertRegex(page.text, r"<p>.{20,}[.]</p>")
        self.problem(self.client.get("/problems/none"), 404, "http")
        self.problem(self.client.get("/api/nothing/here"), 404, "http")

    def test_each_kind_says_one_thing(self) -> None:
        said: dict[str, tuple[str, int]] = {}
        left = [CoreError]
        while left:
            error = left.pop()
            left += error.__subclasses__()
            self.assertEqual(said.setdefault(error.kind, (error.title, error.status)), (error.title, error.status))
        self.assertGreater(len(said), 25)

    def test_what_is_created_has_a_place_and_what_is_known_is_not_sent_again(self) -> None:
        made = self.client.post("/api/designs", json={"name": "Float"})
        place = made.headers["location"]
        first = self.client.get(place)
        self.assertEqual(first.json()["id"], made.json()["id"])
        again = self.client.get(place, headers={"If-None-Match": first.headers["etag"]})
        self.assertEqual((again.status_code, again.content), (304, b""))
        self.client.patch(place, json={"name": "Other"})
        self.assertEqual(self.client.get(place, headers={"If-None-Match": first.headers["etag"]}).json()["name"], "Other")
