"""True pictures over the service: begun, looked at between, fetched, listed, called off, refused."""

from __future__ import annotations

import io
import time
import zipfile
from typing import Any

import numpy as np
from PIL import Image

from tests.api.case import BOX, extrude
from tests.api.test_solids import SolidCase

CAMERA = {"eye": [0, -90, 30], "back": [0, -0.9487, 0.3162], "up": [0, 0.3162, 0.9487], "field": 32, "tall": 50}


class PictureCase(SolidCase):
    def begin(self, state: dict[str, Any], **asked: Any) -> Any:
        small = {"camera": CAMERA, "width": 64, "height": 48, "samples": 8}
        return self.client.post(f"/api/designs/{state['id']}/true-pictures", json={**small, **asked})

    def kept(self, state: dict[str, Any]) -> list[dict[str, Any]]:
        return self.client.get(f"/api/designs/{state['id']}/true-pictures").json()


class Pictures(PictureCase):
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

    def test_it_pauses_and_goes_on(self) -> None:
        state = self.begun(BOX)
        begun = self.begin(state, width=320, height=240, samples=40).json()
        words = lambda: self.client.get(f"/api/jobs/{begun['job']['id']}").json()["words"]  # noqa: E731
        while self.client.get(f"/api/true-pictures/{begun['key']}").status_code == 404:
            time.sleep(0.05)
        rest = f"/api/true-pictures/{begun['key']}/rest"
        self.assertEqual(self.client.post(rest).status_code, 204)
        for _ in range(200):
            if "Paused at" in words():
                break
            time.sleep(0.1)
        held = words()
        self.assertRegex(held, r"Paused at (8|16|24|32) of 40 samples$")
        time.sleep(1.5)
        self.assertEqual(words(), held)
        self.assertEqual(self.client.post(rest, params={"on": False}).status_code, 204)
        self.assertEqual(self.wait(begun["job"])["words"], "Taking the picture: 40 samples")
        # Of one that has ended nothing is left to pause.
        self.client.post(rest)
        self.assertEqual([path.name for path in self.folder.rglob("*.rest")], [])

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

    def test_beside_an_earlier_step_and_of_two_pieces_one_each(self) -> None:
        state = self.begun(BOX)
        earlier = state["steps"][-1]["id"]
        state = self.give(state, {"kind": "finish-piece", "piece": "p1", "finish": "silver"})
        sides = []
        for beside in ({"step": earlier}, {"pieces": ["p1", "p2"]}):
            if "pieces" in beside:
                state = self.give(state, {**BOX, "name": "Other"})
            begun = self.begin(state, beside=beside, width=128).json()
            self.assertEqual(self.wait(begun["job"])["status"], "done")
            image = Image.open(io.BytesIO(self.client.get(f"/api/true-pictures/{begun['key']}").content))
            self.assertEqual(image.size, (128, 48))
            sides.append(image)
        # Clay on the left, silver on the right; and of two pieces in one place the silver one by itself, and the clay one.
        for image, silver in zip(sides, (1, 0), strict=True):
            halves = [np.asarray(image.crop((x, 12, x + 64, 36)), dtype=float).mean(axis=(0, 1)) for x in (0, 64)]
            redder = [half[0] / half[2] for half in halves]
            self.assertGreater(redder[1 - silver], redder[silver] + 0.02)
        self.assertEqual(self.begin(state, beside={}).status_code, 422)
        self.problem(self.begin(state, beside={"step": 10**6}), 404, "unknown-design")
        self.problem(self.begin(state, beside={"pieces": ["p1", "p9"]}), 404, "unknown-piece")

    def test_what_is_no_picture_in_an_archive_is_left_out(self) -> None:
        state = self.begun(BOX)
        self.wait(self.begin(state).json()["job"])
        archive = self.client.get(f"/api/designs/{state['id']}/archive").content
        out = io.BytesIO()
        with zipfile.ZipFile(io.BytesIO(archive)) as box, zipfile.ZipFile(out, "w") as lying:
            for name in box.namelist():
                data = box.read(name)
                lying.writestr(name, data[: len(data) // 2] if name.startswith("pictures/") else data)
            lying.writestr(f"pictures/{'0' * 32}.webp", b"no picture")
            lying.writestr("pictures/../../escape.png", b"nowhere")
        back = self.client.post("/api/designs/archives", content=out.getvalue())
        self.assertEqual(back.status_code, 201)
        self.assertLessEqual(len(self.kept(back.json())), 1)
        self.assertEqual(list(self.folder.parent.glob("escape*")), [])

    def test_a_turntable_cut_open(self) -> None:
        state = self.begun(BOX)
        begun = self.begin(state, turns=4, cut={"axis": 1, "at": 0, "flip": True}).json()
        job = self.wait(begun["job"])
        self.assertEqual(job["words"], "Taking the picture: 4 views, 8 samples each")
        self.assertEqual(self.kept(state)[0]["turns"], 4)
        answer = self.client.get(f"/api/true-pictures/{begun['key']}?moving=true")
        self.assertEqual(answer.headers["content-type"], "image/webp")
        with Image.open(io.BytesIO(answer.content)) as moving:
            self.assertEqual((moving.n_frames, moving.size), (4, (64, 48)))  # type: ignore[attr-defined]
        single = self.begin(state).json()
        self.wait(single["job"])
        self.problem(self.client.get(f"/api/true-pictures/{single['key']}?moving=true"), 404, "no-solid")
        asked = self.begin(state, turns=72, width=1600, height=1200)
        self.assertIn("take fewer, or smaller", self.problem(asked, 422, "bad-number"))

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


class Cleared(PictureCase):
    """What is cleared is cleared for all: in a service of its own."""

    one_service = False

    def test_they_go_with_the_archive_and_stay_when_files_are_cleared(self) -> None:
        state = self.begun(BOX)
        for turns in (1, 3):
            self.wait(self.begin(state, turns=turns, light="dusk").json()["job"])
            time.sleep(1.1)
        kept = self.kept(state)
        self.assertEqual([one["turns"] for one in kept], [3, 1])
        self.client.delete("/api/keeping/made")
        self.assertEqual(self.kept(state), kept)
        archive = self.client.get(f"/api/designs/{state['id']}/archive").content
        back = self.client.post("/api/designs/archives", content=archive).json()
        again = self.kept(back)
        # The same pictures under keys of their own; yesterday's are still of the revision that they were taken at.
        for one, other in zip(kept, again, strict=True):
            self.assertNotEqual(one.pop("key"), key := other.pop("key"))
            self.assertEqual(one, other)
        moving = self.client.get(f"/api/true-pictures/{key}?moving=true")
        self.assertEqual(moving.status_code, 404)
        first = self.kept(back)[0]["key"]
        self.assertEqual(self.client.get(f"/api/true-pictures/{first}?moving=true").status_code, 200)
        # Thrown away here it is still there.
        self.assertEqual(self.client.delete(f"/api/designs/{back['id']}/true-pictures/{first}").status_code, 204)
        self.problem(self.client.get(f"/api/true-pictures/{first}"), 404, "no-solid")
        self.assertEqual((len(self.kept(back)), len(self.kept(state))), (1, 2))
        self.problem(self.client.delete(f"/api/designs/{state['id']}/true-pictures/{first}"), 404, "no-solid")
        # A copy of the design has them as well, and keeps them when that is deleted.
        copied = self.client.post(f"/api/designs/{state['id']}/copy", json={"name": "Copy"}).json()
        self.client.delete(f"/api/designs/{state['id']}")
        mine = self.kept(copied)
        self.assertEqual([one["turns"] for one in mine], [3, 1])
        self.assertEqual(self.client.get(f"/api/true-pictures/{mine[1]['key']}").status_code, 200)
        self.client.delete(f"/api/designs/{copied['id']}")
        self.assertEqual([path.name for path in self.folder.rglob("shots/*.webp")], [])
