"""True pictures over the service: begun, looked at between, fetched, listed, called off, refused."""

from __future__ import annotations

import io
import time
from typing import Any

from PIL import Image

from tests.api.case import BOX, extrude
from tests.api.test_solids import SolidCase

CAMERA = {"eye": [0, -90, 30], "back": [0, -0.9487, 0.3162], "up": [0, 0.3162, 0.9487], "field": 32, "tall": 50}


class Pictures(SolidCase):
    def begin(self, state: dict[str, Any], **asked: Any) -> Any:
        small = {"camera": CAMERA, "width": 64, "height": 48, "samples": 8}
        return self.client.post(f"/api/designs/{state['id']}/true-pictures", json={**small, **asked})

    def kept(self, state: dict[str, Any]) -> list[dict[str, Any]]:
        return self.client.get(f"/api/designs/{state['id']}/true-pictures").json()

    def test_taken_fetched_and_kept_beside_yesterdays(self) -> None:
        state = self.begun(BOX)
        self.assertEqual(self.kept(state), [])
        first = self.begin(state).json()
        job = self.wait(first["job"])
        self.assertEqual((job["status"], job["words"]), ("done", "Taking the picture: 8 samples"))
        answer = self.client.get(f"/api/true-pictures/{first['key']}")
        self.assertEqual(answer.headers["content-type"], "image/png")
        image = Image.open(io.BytesIO(answer.content))
        self.assertEqual((image.size, image.mode), ((64, 48), "RGB"))
        # In another finish it is another picture, of another revision.
        changed = self.give(state, {"kind": "finish-piece", "piece": "p1", "finish": "copper"})
        time.sleep(1.1)
        second = self.begin(changed, light="dusk", background="clear").json()
        self.wait(second["job"])
        listed = self.kept(state)
        self.assertEqual([one["key"] for one in listed], [second["key"], first["key"]])
        self.assertEqual([one["revision"] for one in listed], [changed["revision"], state["revision"]])
        self.assertEqual([one["light"] for one in listed], ["dusk", "tent"])
        clear = Image.open(io.BytesIO(self.client.get(f"/api/true-pictures/{second['key']}").content))
        self.assertEqual(clear.getpixel((0, 0))[3], 0)
        # Of another design it is not.
        self.assertEqual(self.kept(self.begun(BOX, extrude(0))), [])

    def test_called_off_it_leaves_nothing_behind(self) -> None:
        state = self.begun(BOX)
        begun = self.begin(state, width=640, height=480, samples=512).json()
        while self.client.get(f"/api/true-pictures/{begun['key']}").status_code == 404:
            time.sleep(0.1)
        self.client.delete(f"/api/jobs/{begun['job']['id']}")
        self.assertEqual(self.client.get(f"/api/jobs/{begun['job']['id']}").json()["status"], "cancelled")
        self.problem(self.client.get(f"/api/true-pictures/{begun['key']}"), 404, "no-solid")
        self.assertEqual(self.kept(state), [])
        time.sleep(2.5)
        left = [path.name for path in self.folder.rglob(f"*{begun['key']}*")]
        self.assertEqual(left, [])

    def test_a_picture_keeps_no_solid_waiting(self) -> None:
        state = self.begun(BOX)
        begun = self.begin(state, width=640, height=480, samples=512).json()
        made = self.client.post(f"/api/designs/{state['id']}/pieces/p1/triangles").json()
        self.assertEqual(self.wait(made)["status"], "done")
        self.assertIn(self.client.get(f"/api/jobs/{begun['job']['id']}").json()["status"], ("waiting", "running"))
        # Fine enough is fine enough.
        while self.client.get(f"/api/true-pictures/{begun['key']}").status_code == 404:
            time.sleep(0.1)
        self.assertEqual(self.client.post(f"/api/true-pictures/{begun['key']}/enough").status_code, 204)
        job = self.wait(begun["job"])
        self.assertRegex(job["words"], r"Taking the picture: \d+ samples")
        self.assertLess(self.kept(state)[0]["samples"], 512)

    def test_bad_questions_are_refused_in_words(self) -> None:
        state = self.begun(BOX, {"kind": "show-piece", "piece": "p1", "visible": False})
        self.assertEqual(self.begin(state, samples=0).status_code, 422)
        self.assertEqual(self.begin(state, light="moon").status_code, 422)
        self.assertIn("at most", self.problem(self.begin(state, width=3840, height=3840), 422, "bad-number"))
        job = self.wait(self.begin(state).json()["job"])
        self.assertEqual(job["status"], "failed")
        self.assertIn("no piece is shown", job["words"])
        self.problem(self.client.get(f"/api/true-pictures/{'0' * 32}"), 404, "no-solid")
        none = self.client.post("/api/designs/none/true-pictures", json={"camera": CAMERA})
        self.problem(none, 404, "unknown-design")
