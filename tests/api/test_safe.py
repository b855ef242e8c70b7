"""Who may speak to the service, how much at once, and what becomes of it when something is held, full, or slow."""

from __future__ import annotations

import errno
import io
import zipfile
from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from pathlib import Path
from unittest import mock

import msgpack
import numpy as np
from fastapi.testclient import TestClient
from starlette.websockets import WebSocketDisconnect

from tests.api.case import BOX, ServiceCase, move, unpacked
from zinc_otter.api import guard
from zinc_otter.api.app import create_app
from zinc_otter.api.edits import asker
from zinc_otter.core.cage.face_bound import MOST_FACES
from zinc_otter.core.primitives import box
from zinc_otter.jobs.runner import StoppedError
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.commands.base import no_meshes
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.picture import picture_key

WRONG_PLACES = {"Origin": "http://elsewhere.example"}, {"Origin": "http://["}, {"Sec-Fetch-Site": "cross-site"}, {
    "Sec-Fetch-Site": "same-site", "Sec-Fetch-Mode": "no-cors", "Sec-Fetch-Dest": "image",
}  # fmt: skip


class Doors(ServiceCase):
    def setUp(self) -> None:
        super().setUp()
        app = create_app(self.room, key="k" * 40)
        self.locked = TestClient(app, "http://127.0.0.1:8420", raise_server_exceptions=False, follow_redirects=False)

    def test_without_the_key_nothing_is_told(self) -> None:
        for path in ("/api/designs", "/openapi.json", "/assets/x.js"):
            self.assertEqual(self.locked.get(path).status_code, 401, path)
        self.problem(self.locked.get("/api/designs"), 401, "locked-out")
        page = self.locked.get("/")
        self.assertEqual(page.status_code, 401)
        self.assertIn("ends in “?key=…”", page.text)
        self.assertEqual(self.locked.get("/?key=" + "x" * 40).status_code, 401)
        self.assertEqual(self.locked.get("/api/designs?key=" + "k" * 40).status_code, 401)
        self.assertEqual(self.locked.get("/api/health").status_code, 200)
        live = "ws://127.0.0.1:8420/api/designs/x/live"
        with self.assertRaises(WebSocketDisconnect), self.locked.websocket_connect(live) as socket:
            socket.receive_bytes()

    def test_the_printed_address_leaves_a_cookie_of_this_port_and_goes_on_without_the_key(self) -> None:
        let_in = self.locked.get("/design/abc?key=" + "k" * 40 + "&x=1")
        self.assertEqual((let_in.status_code, let_in.headers["location"]), (303, "/design/abc?x=1"))
        cookie = let_in.headers["set-cookie"]
        self.assertTrue(cookie.startswith("zinc-otter-8420="), cookie)
        self.assertIn("HttpOnly", cookie)
        self.assertIn("samesite=strict", cookie.lower())
        self.assertEqual(self.locked.get("/api/designs").status_code, 200)
        away = self.locked.get("//elsewhere.example/?key=" + "k" * 40)
        self.assertNotIn("elsewhere.example/", away.headers.get("location", "").removeprefix("/elsewhere.example"))

    def test_a_program_gives_it_as_a_bearer(self) -> None:
        self.assertEqual(self.locked.get("/api/designs", headers={"Authorization": "Bearer " + "k" * 40}).status_code, 200)
        self.assertEqual(self.locked.get("/api/designs", headers={"Authorization": "Bearer kkk"}).status_code, 401)

    def test_pages_of_other_places_fetch_nothing(self) -> None:
        for headers in WRONG_PLACES:
            self.problem(self.client.get("/api/designs", headers=headers), 403, "guard")
        leads = {"Sec-Fetch-Site": "cross-site", "Sec-Fetch-Mode": "navigate", "Sec-Fetch-Dest": "document"}
        self.assertEqual(self.client.get("/", headers=leads).status_code, 200)
        self.problem(self.client.get("/api/designs", headers=leads), 403, "guard")
        frame = {**leads, "Sec-Fetch-Dest": "iframe"}
        self.problem(self.client.get("/", headers=frame), 403, "guard")

    def test_every_answer_is_strict(self) -> None:
        for path in ("/", "/docs", "/api/designs", "/api/nothing", "/favicon.svg"):
            headers = self.client.get(path).headers
            policy = headers["content-security-policy"]
            self.assertIn("frame-ancestors 'none'", policy, path)
            self.assertIn("default-src 'none'", policy, path)
            self.assertNotIn("unsafe", policy, path)
            self.assertEqual(headers["x-content-type-options"], "nosniff", path)
            self.assertEqual(headers["x-frame-options"], "DENY", path)
            self.assertEqual(headers["referrer-policy"], "no-referrer", path)
        one, other = (self.client.get("/").headers["content-security-policy"] for _ in range(2))
        self.assertNotEqual(one, other, "a nonce is used once")


class Arriving(ServiceCase):
    def test_odd_paths_and_messages_are_no_faults(self) -> None:
        for path in ("/%00", "/" + "x" * 5000, "/a/" * 2000, "/..%2f..%2fetc%2fpasswd"):
            self.assertEqual(self.client.get(path).status_code, 200, path[:20])
        state = self.begun(BOX)
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live") as socket:
            self.assertEqual(unpacked(socket.receive_bytes())["type"], "state")
            socket.send_text("hello")
            self.assertEqual(unpacked(socket.receive_bytes())["problem"]["title"], "Unreadable")
            for level in (1.0, True, "2", 9):
                socket.send_bytes(msgpack.packb({"do": "level", "seq": 5, "level": level}))
                self.assertIn("level", unpacked(socket.receive_bytes())["problem"]["detail"])
                # And the design as it stands.
                self.assertEqual(unpacked(socket.receive_bytes())["seq"], 5)
            socket.send_bytes(msgpack.packb({"do": "level", "seq": 6, "level": 1}))
            self.assertEqual(unpacked(socket.receive_bytes())["seq"], 6)

    def test_picks_of_what_is_not_there_are_refused(self) -> None:
        state = self.begun(BOX)
        path = f"/api/designs/{state['id']}/pieces/p1/pick"
        for kind in ("vertex", "edge", "face"):
            asked = {"rule": {"rule": "convert", "to": "edge"}, "picked": {"kind": kind, "ids": [999]}}
            self.assertIn(f"no {kind} 999", self.problem(self.client.post(path, json=asked), 422, "bad-selection"))
        state = self.give(state, {"kind": "mirror", "piece": "p1", "way": "cut", "point": [0, 0, 0], "normal": [1, 0, 0]})
        command = {"kind": "resample", "piece": "p1", "picked": {"kind": "edge", "ids": [20]}, "u": 3, "v": 3}
        asked = {"revision": state["revision"], "command": command}
        answer = self.client.post(f"/api/designs/{state['id']}/preview", json=asked)
        self.assertIn("Pick the faces", self.problem(answer, 422, "bad-selection"))

    def test_bodies_together_are_bounded(self) -> None:
        app = guard.Guard(create_app(self.room), most_together=3_000_000)
        client = TestClient(app, base_url="http://127.0.0.1", raise_server_exceptions=False)
        state = self.begun(BOX)
        path = f"/api/designs/{state['id']}/pictures?revision=1&name=a.png"
        self.assertEqual(client.post(path, content=bytes(2_000_000)).status_code, 422)
        app._held = 2_000_000
        refused = client.post(path, content=bytes(2_000_000))
        self.assertIn("as many as there is room for", self.problem(refused, 503, "busy"))
        self.assertEqual(refused.headers["retry-after"], "10")
        self.assertEqual(client.get("/api/designs").status_code, 200)
        self.assertEqual(app._held, 2_000_000)

    def test_a_component_is_no_picture(self) -> None:
        state = self.begun(BOX)
        picture = self.room.store.put_asset("picture", b"a picture", {"pixels": [1, 1]})
        command = {"kind": "add-component", "name": "X", "asset": picture.hash, "triangles": 1, "size": [1, 1, 1]}
        answer = self.client.post(f"/api/designs/{state['id']}/commands", json={"revision": 2, "command": command})
        self.assertIn("is no mesh in the store", self.problem(answer, 404, "unknown-asset"))
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live") as socket:
            self.assertEqual(unpacked(socket.receive_bytes())["type"], "state")

    def test_archives_that_claim_more_than_they_hold_are_refused(self) -> None:
        before = len(self.client.get("/api/designs").json())
        packed = io.BytesIO()
        with zipfile.ZipFile(packed, "w", zipfile.ZIP_DEFLATED) as held:
            held.writestr("design.json", "[" * 200_000)
        deep = packed.getvalue()
        huge = b"\x93NUMPY\x01\x00v\x00{'descr': '<f8', 'fortran_order': False, 'shape': (10000000000,), }"
        with zipfile.ZipFile(packed := io.BytesIO(), "w", zipfile.ZIP_DEFLATED) as held:
            held.writestr("arrays/0.npy", bytes(120 * 1024**2))
        numbers = packed.getvalue()
        refused = self.problem(self.client.post("/api/designs/archives", content=numbers), 422, "bad-file")
        self.assertIn("take 120 MB; those of a design take 96 at most", refused)
        for data in (b"", b"PK\x03\x04", deep, deep[: len(deep) // 2], huge):
            self.problem(self.client.post("/api/designs/archives", content=data), 422, "bad-file")
        self.assertEqual(len(self.client.get("/api/designs").json()), before)


class Keeping(ServiceCase):
    def test_a_picture_is_of_what_is_there_whatever_was_deleted(self) -> None:
        first = self.begun(BOX)
        one = self.client.get(f"/api/designs/{first['id']}/picture.png").content
        self.client.delete(f"/api/designs/{first['id']}")
        second = self.begun({"kind": "add-sphere", "diameter": 30})
        other = self.client.get(f"/api/designs/{second['id']}/picture.png").content
        self.assertTrue(one.startswith(b"\x89PNG") and other.startswith(b"\x89PNG"))
        self.assertNotEqual(one, other)
        again = self.begun(BOX)
        self.assertEqual(self.client.get(f"/api/designs/{again['id']}/picture.png").content, one)

    def test_keys_of_pictures_follow_what_is_shown(self) -> None:
        cage = box((1, 2, 3), (2, 2, 2))
        keys = {
            picture_key(Design(pieces))
            for pieces in (
                (Piece("p1", "A", cage),), (Piece("p1", "A", cage, visible=False),), (),
                (Piece("p1", "A", cage.with_positions(2 * cage.positions)),),
            )
        }  # fmt: skip
        self.assertEqual(len(keys), 3)
        self.assertEqual(picture_key(Design((Piece("p9", "B", cage),))), picture_key(Design((Piece("p1", "A", cage),))))

    def test_a_full_disk_keeps_no_half_picture_and_lets_designs_be_deleted(self) -> None:
        state = self.begun(BOX)
        full = OSError(errno.ENOSPC, "No space left on device")
        with mock.patch.object(Path, "write_bytes", side_effect=full):
            answer = self.client.get(f"/api/designs/{state['id']}/picture.png")
            self.assertTrue(answer.content.startswith(b"\x89PNG"))
            path = f"/api/designs/{state['id']}/components?revision=2&name=a.stl&unit=mm"
            answer = self.client.post(path, content=b"x" * 99)
            self.assertIn("could not be taken in: No space left", self.problem(answer, 507, "store-full"))
        self.assertEqual(list((self.folder / "made").rglob("*.png")), [])
        with mock.patch.object(self.room.studio, "delete", side_effect=[self.full(), None]) as deleting:
            self.assertEqual(self.client.delete(f"/api/designs/{state['id']}").status_code, 204)
        self.assertEqual(deleting.call_count, 2)
        self.assertTrue((self.folder / "reserve").exists())

    @staticmethod
    def full() -> Exception:
        from zinc_otter.studio.shelf import StoreFullError

        return StoreFullError("full")

    def test_what_was_made_goes_with_its_design_and_by_asking(self) -> None:
        state = self.begun(BOX)
        self.client.get(f"/api/designs/{state['id']}/picture.png")
        keeping = self.client.get("/api/keeping").json()
        self.assertGreater(keeping["made"], 1000)
        self.assertGreater(keeping["designs"], 10_000)
        self.assertEqual(self.client.delete("/api/keeping/made").json()["made"], 0)
        self.client.get(f"/api/designs/{state['id']}/picture.png")
        self.client.delete(f"/api/designs/{state['id']}")
        self.assertEqual(self.client.get("/api/keeping").json()["made"], 0)
        self.assertEqual(list((self.folder / "made").rglob("*.png")), [])

    def test_the_answer_to_a_command_does_not_grow_with_the_steps(self) -> None:
        state = self.begun(BOX)
        sizes = []
        for k in range(260):
            body = {"revision": state["revision"], "command": move(0, by=(0.01, 0, 0))}
            answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
            state = answer.json()
            if k in (200, 259):
                sizes.append(len(answer.content))
        self.assertLess(sizes[1], 1.02 * sizes[0])
        self.assertEqual((state["earlier"], state["head"]), (111, 150))
        early = self.client.get(f"/api/designs/{state['id']}/steps?before=111").json()
        self.assertEqual([step["number"] for step in early], list(range(111)))
        thin = self.client.post(f"/api/designs/{state['id']}/thin", json={"revision": state["revision"], "keep": 5}).json()
        self.assertEqual((thin["earlier"], len(thin["steps"]), thin["head"]), (0, 5, 4))
        stale = self.client.post(f"/api/designs/{state['id']}/thin", json={"revision": 1, "keep": 5})
        self.problem(stale, 409, "stale-revision")


class Bounds(ServiceCase):
    def refused(self, state: dict, command: dict) -> str:  # type: ignore[type-arg]
        body = {"revision": state["revision"], "command": command}
        return self.problem(self.client.post(f"/api/designs/{state['id']}/preview", json=body), 422, "too-many-faces")

    def test_no_command_makes_more_faces_than_can_be_worked_with(self) -> None:
        state = self.begun({**BOX, "counts": [16, 16, 16]})
        whole = {"kind": "piece", "ids": [0]}
        said = self.refused(state, {"kind": "split", "piece": "p1", "picked": whole, "along": 64, "across": 64})
        self.assertIn(f"6,291,456 faces; {MOST_FACES:,} are the most", said)
        self.refused(state, {"kind": "repeat-around", "piece": "p1", "sectors": 128})
        edges = {"kind": "edge", "ids": list(range(3072))}
        self.refused(state, {"kind": "chamfer", "piece": "p1", "picked": edges, "distance": 0.1, "segments": 16})

    def test_a_long_command_is_carried_out_elsewhere_and_can_be_stopped(self) -> None:
        state, other = self.begun({**BOX, "counts": [40, 40, 40]}), self.begun(BOX)
        vertices = {"kind": "piece", "ids": [0]}
        relax = {"kind": "relax", "piece": "p1", "picked": vertices, "rounds": 100, "strength": 1.0}
        path = f"/api/designs/{state['id']}/commands"
        with ThreadPoolExecutor(1) as pool:
            under_way = pool.submit(self.client.post, path, json={"revision": state["revision"], "command": relax})
            # Meanwhile another design takes its steps.
            self.give(other, move(0, by=(1, 0, 0)))
            while not self.room.edits.is_stoppable(state["id"]):
                self.assertFalse(under_way.done(), "it was done before it could be stopped")
            self.assertTrue(self.room.edits.stop(state["id"]))
            self.problem(under_way.result(), 409, "stopped")
        now = self.client.get(f"/api/designs/{state['id']}").json()
        self.assertEqual(now["revision"], state["revision"])
        done = self.client.post(path, json={"revision": state["revision"], "command": {**relax, "rounds": 1}})
        self.assertEqual(done.status_code, 200, done.text)
        self.assertFalse(self.room.edits.stop(state["id"]))

    def test_nobody_stops_or_is_given_what_another_asked_for(self) -> None:
        state = self.begun({**BOX, "counts": [30, 30, 30]})
        asked = {"kind": "relax", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "rounds": 100, "hold": False}
        relax, design = read_command(asked), self.room.studio.saved(state["id"]).design
        (moved,) = design.pieces
        other = design.with_piece(replace(moved, form=moved.cage.with_positions(2 * moved.cage.positions)))

        def by(who: str, design: Design) -> Design:
            asker.set(who)
            return self.room.edits.apply(state["id"], relax, design, no_meshes).design

        with ThreadPoolExecutor(2) as pool:
            mine, yours = pool.submit(by, "me", design), pool.submit(by, "you", other)
            while not (self.room.edits.is_stoppable("me") and self.room.edits.is_stoppable("you")):
                self.assertFalse(mine.done() and yours.done(), "they were done before they could be stopped")
            self.assertFalse(self.room.edits.stop("somebody"))
            self.assertTrue(self.room.edits.stop("me"))
            self.assertIsInstance(mine.exception(), StoppedError)
            # What comes is made of the design that was handed over, not of one for which the same was asked before.
            self.assertAlmostEqual(float(np.ptp(yours.result().pieces[0].cage.positions[:, 0])), 80, delta=2)

    def test_what_comes_back_from_the_worker_is_what_is_made_here(self) -> None:
        state = self.begun({**BOX, "counts": [24, 24, 24]}, BOX)
        command = {"kind": "inset", "piece": "p1", "picked": {"kind": "face", "ids": [0, 5, 9]}, "width": 0.2}
        before = self.room.studio.saved(state["id"]).design
        inset = read_command(command)
        after = self.room.studio.preview(state["id"], state["revision"], inset).design
        self.assertIs(after.pieces[1], before.pieces[1])
        here = inset.apply(before).design
        self.assertTrue(np.array_equal(here.pieces[0].cage.positions, after.pieces[0].cage.positions))
        self.assertEqual(here.pieces[0].cage, after.pieces[0].cage)
