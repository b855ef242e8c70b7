from __future__ import annotations

import struct
import time
from typing import Any

from tests.api.case import BOX, ServiceCase, extrude
from zinc_otter.core.formats.step import look_at, read_step


class Solids(ServiceCase):
    def path(self, state: dict[str, Any], piece: str = "p1") -> str:
        return f"/api/designs/{state['id']}/pieces/{piece}"

    def wait(self, job: dict[str, Any]) -> dict[str, Any]:
        deadline = time.monotonic() + 90
        while job["status"] in ("waiting", "running") and time.monotonic() < deadline:
            time.sleep(0.1)
            job = self.client.get(f"/api/jobs/{job['id']}").json()
        return job

    def test_make_certify_download(self) -> None:
        state = self.begun(BOX, extrude(0))
        path = self.path(state)
        self.assertIsNone(self.client.get(path + "/certificate").json())
        self.problem(self.client.get(path + "/solid.step"), 404, "no-solid")
        begun = self.client.post(path + "/solid")
        self.assertEqual(begun.status_code, 202)
        self.assertEqual(self.wait(begun.json())["status"], "done")
        certificate = self.client.get(path + "/certificate").json()
        self.assertTrue(certificate["watertight"])
        answer = self.client.get(path + "/solid.step")
        self.assertIn("Box.step", answer.headers["content-disposition"])
        target = self.folder / "back.step"
        target.write_bytes(answer.content)
        facts = look_at(read_step(target))
        self.assertEqual((facts.solids, facts.faces), (1, certificate["face_count"]))
        self.assertLess(abs(facts.volume - certificate["volume"]) / facts.volume, 1e-6)

        # The solid belongs to the form as it was: another step asks for another one, undo finds the first again.
        changed = self.give(state, extrude(0, by=1))
        self.assertIsNone(self.client.get(path + "/certificate").json())
        self.client.post(f"/api/designs/{state['id']}/undo", json={"revision": changed["revision"]})
        self.assertEqual(self.client.get(path + "/certificate").json(), certificate)

    def test_an_open_cage_is_refused_and_its_open_edges_named(self) -> None:
        state = self.begun({"kind": "add-plane", "size": [3, 2], "counts": [1, 1]})
        for answer in (self.client.post(self.path(state) + "/solid"), self.client.get(self.path(state) + "/surface.stl")):
            self.assertIn("open along 4 edges", self.problem(answer, 422, "open-cage"))
            self.assertEqual(sorted(answer.json()["place"]["edges"]), [0, 1, 2, 3])

    def test_stl_with_a_chosen_chord_tolerance(self) -> None:
        state = self.begun(BOX)
        sizes = []
        for tolerance in (1.0, 0.01):
            data = self.client.get(self.path(state) + f"/surface.stl?tolerance={tolerance}").content
            (count,) = struct.unpack_from("<I", data, 80)
            self.assertEqual(len(data), 84 + 50 * count)
            sizes.append(count)
        self.assertGreater(sizes[1], 3 * sizes[0])
        for wrong in ("0", "-1", "nan", "inf", "fine"):
            self.problem(self.client.get(self.path(state) + f"/surface.stl?tolerance={wrong}"), 422, "invalid")
        self.problem(self.client.get(self.path(state) + "/surface.stl?tolerance=1e-9"), 422, "bad-number")

    def test_cancel(self) -> None:
        state = self.begun({**BOX, "counts": [12, 12, 12]})
        job = self.client.post(self.path(state) + "/solid").json()
        self.assertEqual(self.client.delete(f"/api/jobs/{job['id']}").json()["status"], "cancelled")
        self.assertIsNone(self.client.get(self.path(state) + "/certificate").json())
        self.problem(self.client.get("/api/jobs/none"), 404, "unknown-job")
