"""Curves and what grows from them over REST and the live channel: files, facts, archives, and refusals in sentences."""

from __future__ import annotations

from typing import Any

import msgpack
import numpy as np

from tests.api.case import BOX, ServiceCase, unpacked
from tests.studio.test_growing import ARCH, PIPE, move

LEAF = (
    '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60">'
    '<path id="Leaf" d="M10 30 C30 0 70 0 90 30 C70 60 30 60 10 30 Z"/><circle cx="50" cy="30" r="12"/></svg>'
)


class Files(ServiceCase):
    def test_in_and_out_again(self) -> None:
        read = self.client.post("/api/curve-files?name=leaf.svg", content=LEAF.encode())
        self.assertEqual(read.status_code, 200, read.text)
        self.assertEqual((read.json()["count"], read.json()["closed"]), (2, 2))
        np.testing.assert_allclose(read.json()["size"][:2], [80, 45], atol=0.03)
        state = self.begun(read.json()["command"])
        self.assertEqual([p["name"] for p in state["pieces"]], ["Leaf", "Path 2"])
        self.assertEqual({p["group"] for p in state["pieces"]}, {"leaf"})
        self.assertAlmostEqual(state["pieces"][1]["curve"]["length"], 2 * np.pi * 12, delta=0.05)
        path = f"/api/designs/{state['id']}/curves-file"
        for kind, start in (("svg", b"<?xml"), ("dxf", b"  0"), ("step", b"ISO-10303-21")):
            made = self.client.get(f"{path}?kind={kind}")
            self.assertEqual(made.status_code, 200, made.text)
            self.assertTrue(made.content.startswith(start), made.content[:20])
        again = self.client.post("/api/curve-files?name=leaf.dxf", content=self.client.get(f"{path}?kind=dxf").content)
        self.assertAlmostEqual(again.json()["length"], read.json()["length"], delta=0.05)
        one = self.client.get(f"{path}?kind=svg&piece=p2").text
        self.assertEqual(one.count("<path"), 1)

    def test_what_cannot_be_read_or_written(self) -> None:
        for name, content in (("a.svg", b"nonsense"), ("a.dxf", b"nonsense"), ("a.png", b"x"), ("a.svg", b"")):
            self.problem(self.client.post(f"/api/curve-files?name={name}", content=content), 422, "bad-file")
        state = self.begun(BOX)
        path = f"/api/designs/{state['id']}/curves-file"
        self.assertIn("no curve here", self.problem(self.client.get(path), 422, "bad-selection"))
        self.assertIn("Box is no curve", self.problem(self.client.get(path + "?piece=p1"), 422, "bad-selection"))


class Growing(ServiceCase):
    def test_facts_and_ties_are_told(self) -> None:
        state = self.begun(ARCH, PIPE, move("p2", [4], [0, 0, 1]))
        line, pipe = state["pieces"]
        self.assertEqual((line["curve"]["degree"], line["curve"]["closed"], line["face_count"]), (3, False, 0))
        self.assertGreater(line["curve"]["length"], 50)
        self.assertEqual((pipe["grown"]["kind"], pipe["grown"]["source"], pipe["pulled"]), ("pipe", "p1", 1))
        thick = {"kind": "pipe", "source": "p1", "diameter": 60}
        tight = self.give(state, {"kind": "regrow", "piece": "p2", "growth": thick})
        self.assertTrue(any("bends tighter" in sentence for sentence in tight["pieces"][1]["said"]))
        self.assertTrue(tight["pieces"][1]["suspect"])

    def test_solids_of_curves_are_refused_and_those_of_pipes_are_made(self) -> None:
        state = self.begun(ARCH, PIPE)
        path = f"/api/designs/{state['id']}/pieces"
        self.problem(self.client.post(f"{path}/p1/solid"), 422, "no-faces")
        self.problem(self.client.get(f"{path}/p1/surface"), 422, "no-faces")
        self.assertEqual(self.client.post(f"{path}/p2/solid").status_code, 202)

    def test_numbers_that_cannot_be(self) -> None:
        state = self.begun(ARCH)
        path = f"/api/designs/{state['id']}/commands"
        for growth, words in (
            ({"kind": "pipe", "source": "p1", "diameter": -1}, "radius"), ({"kind": "pipe", "source": "p7"}, "no piece"),
            ({"kind": "loft", "curves": ["p1"]}, "2 to"), ({"kind": "skin", "curves": ["p1"]}, "net of 3"),
            ({"kind": "sweep", "rail": "p1", "profiles": ["p1"]}, "curves of their own"),
            ({"kind": "pipe", "source": "p1", "around": 2}, "3 to 64"), ({"kind": "moss", "source": "p1"}, "no “moss”"),
        ):  # fmt: skip
            command = {"kind": "grow", "growth": growth}
            answer = self.client.post(path, json={"revision": state["revision"], "command": command})
            self.assertIn(answer.status_code, (404, 422), growth)
            self.assertIn(words, answer.json()["detail"])
            self.assertNotIn("Value error", answer.json()["detail"])
        self.assertEqual(self.client.get(f"/api/designs/{state['id']}").json()["revision"], state["revision"])

    def test_an_archive_brings_all_of_it_back(self) -> None:
        repeat = {"kind": "grow", "growth": {"kind": "repeat", "originals": ["p2"], "count": 5}}
        state = self.begun(ARCH, PIPE, move("p2", [4], [0, 0, 1]), repeat)
        data = self.client.get(f"/api/designs/{state['id']}/archive").content
        back = self.client.post("/api/designs/archives", content=data).json()
        told = [[p["digest"], p["grown"], p["pulled"], p["images"]] for p in back["pieces"]]
        self.assertEqual(told, [[p["digest"], p["grown"], p["pulled"], p["images"]] for p in state["pieces"]])

    def test_the_channel_sends_lines_and_places(self) -> None:
        repeat = {"kind": "grow", "growth": {"kind": "repeat", "originals": ["p2"], "count": 5}}
        state = self.begun(ARCH, PIPE, repeat)
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live") as socket:
            first: Any = unpacked(socket.receive_bytes())
            by_id = {piece["id"]: piece for piece in first["pieces"]}
            self.assertEqual(len(by_id["p1"]["line"]["points"]) % 3, 0)
            self.assertEqual(len(by_id["p1"]["surface"]["quads"]), 0)
            self.assertEqual([(c["of"], len(c["motions"])) for c in by_id["p3"]["copies"]], [("p2", 4 * 16)])
            self.assertEqual(first["gaps"][0]["piece"], "p3")

    def test_the_gaps_that_are_asked_for_come_with_every_frame(self) -> None:
        def box(along: float) -> dict[str, Any]:
            return {**BOX, "size": [10, 10, 10], "counts": [1, 1, 1], "size_of": "surface", "centre": [along, 0, 0]}

        state = self.begun(box(0), box(10.5), box(29))
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live") as socket:
            self.assertEqual(unpacked(socket.receive_bytes())["gaps"], [])
            socket.send_bytes(msgpack.packb({"do": "gaps", "seq": 1, "pieces": ["p1", "p2", "p3", "gone"]}))
            told = self.answer(socket, 1)
            self.assertEqual([(g["piece"], g["other"]) for g in told["gaps"]], [("p1", "p2"), ("p1", "p3"), ("p2", "p3")])
            for gap, true in zip(told["gaps"], (0.5, 19, 8.5), strict=True):
                self.assertAlmostEqual(gap["distance"], true, places=6)
                self.assertAlmostEqual(abs(gap["to"][0] - gap["from"][0]), true, places=6)
            # Pulled half a millimetre nearer they touch; two and a half, and they run into one another by two.
            for seq, (by, state_of, distance) in enumerate(((0.5, "touch", 0.0), (2.5, "overlap", -2.0)), start=2):
                pull = move("p1", list(range(8)), [by, 0, 0])
                ask = {"do": "preview", "seq": seq, "revision": state["revision"], "command": pull}
                socket.send_bytes(msgpack.packb(ask))
                gap = self.answer(socket, seq)["gaps"][0]
                self.assertEqual(gap["state"], state_of)
                self.assertAlmostEqual(gap["distance"], distance, delta=0.02)
            socket.send_bytes(msgpack.packb({"do": "gaps", "seq": 9, "pieces": []}))
            self.assertEqual(self.answer(socket, 9)["gaps"], [])

    def answer(self, socket: Any, seq: int) -> Any:
        """What is answered to a number; what comes of itself is passed over."""
        while True:
            told: Any = unpacked(socket.receive_bytes())
            if told.get("seq") == seq:
                self.assertIn(told["type"], ("gaps", "frame"), told)
                return told
