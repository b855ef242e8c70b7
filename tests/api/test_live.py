"""The live channel: frames hold what changed, previews keep nothing, commits are steps."""

from __future__ import annotations

import threading
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any
from unittest import mock

import msgpack
import numpy as np
from starlette.websockets import WebSocketDisconnect

from tests.api.case import BOX, ServiceCase, extrude, move, unpacked
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.room import shown_level
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edits.move import move as move_cage
from zinc_otter.core.primitives import box
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design, Piece


class Talk:
    def __init__(self, socket: Any) -> None:
        self.socket = socket

    def say(self, **message: Any) -> None:
        self.socket.send_bytes(msgpack.packb(message))

    def hear(self) -> Any:
        return unpacked(self.socket.receive_bytes())

    def answer(self) -> Any:
        """The next thing told but that it takes a while: on a busy machine that comes first."""
        told = self.hear()
        while told["type"] == "working":
            told = self.hear()
        return told


class TalkCase(ServiceCase):
    @contextmanager
    def talk(self, state: dict[str, Any]) -> Iterator[Talk]:
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live") as socket:
            yield Talk(socket)


class Live(TalkCase):
    def test_it_begins_with_the_design_and_its_arrays(self) -> None:
        state = self.begun(BOX)
        with self.talk(state) as talk:
            first = talk.hear()
        self.assertEqual((first["type"], first["state"]), ("state", state))
        cage = box((40, 20, 10), (2, 2, 1))
        (piece,) = first["pieces"]
        np.testing.assert_array_equal(piece["cage"]["positions"].reshape(-1, 3), cage.positions)
        surface = evaluate(build_stencils(cage, piece["surface"]["level"]), cage)
        np.testing.assert_allclose(piece["surface"]["positions"].reshape(-1, 3), surface.positions, atol=1e-5)
        np.testing.assert_array_equal(piece["surface"]["quads"].reshape(-1, 4), surface.stencils.row_quads)

    def test_a_drag_sends_rows_and_a_commit_makes_one_step(self) -> None:
        state = self.begun({**BOX, "counts": [6, 6, 3]})
        with self.talk(state) as talk:
            positions = talk.hear()["pieces"][0]["surface"]["positions"].reshape(-1, 3).copy()
            for seq, x in enumerate((1.0, 2.0, 3.5), start=1):
                talk.say(do="preview", seq=seq, revision=state["revision"], command=move(0, by=(x, 0, 0)))
                frame = talk.hear()
                self.assertEqual((frame["type"], frame["seq"]), ("frame", seq))
                rows = frame["pieces"][0]["surface_rows"]
                self.assertLess(len(rows["rows"]), 0.3 * len(positions))
                positions[rows["rows"]] = rows["positions"].reshape(-1, 3)
            command = move(0, by=(3.5, 0, 0))
            talk.say(do="commit", seq=4, revision=state["revision"], command=command)
            after = talk.hear()
        self.assertEqual((after["type"], after["seq"], after["state"]["head"]), ("state", 4, 2))
        self.assertEqual(after["pieces"], [])
        cage = self.room.studio.saved(state["id"]).design.pieces[0].cage
        level = shown_level(cage.topology.face_count)
        expected = evaluate(build_stencils(cage, level), cage).positions
        np.testing.assert_allclose(positions, expected, atol=1e-4)

    def test_cancel_shows_the_design_as_it_was(self) -> None:
        state = self.begun(BOX)
        with self.talk(state) as talk:
            talk.hear()
            talk.say(do="preview", seq=1, revision=state["revision"], command=extrude(0))
            self.assertEqual(talk.hear()["preview"]["title"], "Extruded 1 face of Box by 5 mm")
            talk.say(do="cancel", seq=2)
            back = talk.hear()
        self.assertEqual(back["state"], state)
        self.assertEqual(len(back["pieces"][0]["cage"]["face_offsets"]), 17)

    def test_refusals_are_problems_and_the_channel_goes_on(self) -> None:
        state = self.begun(BOX)
        with self.talk(state) as talk:
            talk.hear()
            for message, kind in (
                ({"do": "preview", "revision": 0, "command": extrude(0)}, "stale-revision"),
                ({"do": "preview", "revision": state["revision"], "command": extrude(99)}, "bad-selection"),
                ({"do": "commit", "revision": state["revision"], "command": extrude(0, by=float("nan"))}, "invalid"),
                ({"do": "commit", "revision": state["revision"], "command": None}, "invalid"),
            ):
                talk.say(seq=7, **message)
                heard = talk.hear()
                self.assertEqual((heard["type"], heard["problem"]["type"]), ("problem", f"/problems/{kind}"))
                self.assertEqual(talk.hear()["state"]["revision"], state["revision"])
            talk.socket.send_bytes(b"\xc1 not msgpack")
            self.assertEqual(talk.hear()["problem"]["status"], 400)
            talk.say(do="dance")
            self.assertEqual(talk.hear()["type"], "problem")
            talk.say(do="commit", seq=8, revision=state["revision"], command=extrude(0))
            self.assertEqual(talk.hear()["state"]["head"], 2)

    def test_a_stop_of_a_preview_leaves_the_step_that_waits_behind_it(self) -> None:
        state = self.begun(BOX)
        studio = self.room.studio
        begun, go_on = threading.Event(), threading.Event()
        preview = studio.preview

        def slow(*args: Any) -> Any:
            begun.set()
            self.assertTrue(go_on.wait(20))
            return preview(*args)

        revision = state["revision"]
        with mock.patch.object(studio, "preview", slow), self.talk(state) as talk:
            talk.hear()
            talk.say(do="preview", seq=1, revision=revision, command=extrude(0))
            self.assertTrue(begun.wait(20))
            talk.say(do="commit", seq=2, revision=revision, command=extrude(0))
            talk.say(do="preview", seq=3, revision=revision, command=extrude(0))
            for of in (1, 3):
                talk.say(do="stop", of=of, seq=0)
            talk.say(do="cancel", seq=4)
            go_on.set()
            heard = [talk.hear()]
            while heard[-1]["seq"] != 4:
                heard.append(talk.hear())
        told = [(m["type"], m["seq"]) for m in heard if m["type"] not in ("working", "bodies")]
        self.assertEqual(told, [("frame", 1), ("state", 2), ("problem", 3), ("state", 3), ("state", 4)])
        self.assertEqual(heard[-1]["state"]["head"], 2)

    def test_a_change_by_a_script_reaches_the_viewer(self) -> None:
        state = self.begun(BOX)
        with self.talk(state) as talk:
            talk.hear()
            self.give(state, extrude(0))
            heard = talk.hear()
        self.assertEqual((heard["type"], heard["state"]["head"]), ("state", 2))

    def test_pieces_that_go(self) -> None:
        state = self.begun(BOX, {**BOX, "name": "Other"})
        with self.talk(state) as talk:
            talk.hear()
            talk.say(do="commit", seq=1, revision=state["revision"], command={"kind": "delete-piece", "piece": "p1"})
            heard = talk.hear()
        self.assertEqual(heard["gone"], ["p1"])
        self.assertEqual([p["id"] for p in heard["state"]["pieces"]], ["p2"])

    def test_a_design_that_is_not_there(self) -> None:
        with (
            self.assertRaises(WebSocketDisconnect) as caught,
            self.client.websocket_connect("ws://127.0.0.1/api/designs/none/live") as socket,
        ):
            socket.receive_bytes()
        self.assertEqual(caught.exception.code, 4404)

    def test_a_page_from_another_origin_is_not_let_in(self) -> None:
        state = self.begun(BOX)
        with self.assertRaises(WebSocketDisconnect):
            headers = {"Origin": "http://elsewhere.example"}
            with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{state['id']}/live", headers=headers) as socket:
                socket.receive_bytes()


class Views(ServiceCase):
    """What a viewer is sent adds up to the whole, whatever moves in whatever order."""

    def test_rows_add_up_over_changing_selections(self) -> None:
        cage = box((30, 30, 30), (5, 5, 5))
        view = LiveView(StencilShelf())
        level = shown_level(cage.topology.face_count)
        held: dict[str, np.ndarray] = {}

        def show(cage_now: Any) -> None:
            for piece in view.frame(Design((Piece("p1", "Form", cage_now),), 2))["pieces"]:
                if "surface" in piece:
                    held.update({name: piece["surface"][name].copy() for name in ("positions", "normals")})
                else:
                    rows = piece["surface_rows"]["rows"]
                    for name in ("positions", "normals"):
                        held[name][slice(None) if rows is None else rows] = piece["surface_rows"][name]

        show(cage)
        random = np.random.default_rng(1)
        for turn in range(12):
            picked = Selection.of("vertex", random.choice(len(cage.positions), random.choice([1, 3, 60, 120])))
            moved = cage
            for _ in range(2):
                moved = move_cage(cage, picked, tuple(random.normal(size=3))).cage
                show(moved)
            if turn % 3 == 0:
                moved = cage
                show(moved)
            cage = moved
            view.settle()
            full = evaluate(build_stencils(cage, level), cage)
            np.testing.assert_allclose(held["positions"], full.positions, atol=1e-4)
            np.testing.assert_allclose(held["normals"], full.normals, atol=1e-4)

    def test_levels_by_size(self) -> None:
        levels = [shown_level(count) for count in (6, 80, 500, 3000, 20_000)]
        self.assertEqual(levels, [4, 3, 3, 2, 1])


class Reaching(TalkCase):
    def test_weights_come_with_a_preview_and_when_asked_for(self) -> None:
        state = self.begun({**BOX, "counts": [6, 6, 2]})
        picked = {"kind": "face", "ids": [40]}
        reach = {"radius": 12.0}
        with self.talk(state) as talk:
            rows = len(talk.hear()["pieces"][0]["surface"]["positions"]) // 3
            talk.say(do="weigh", seq=1, piece="p1", picked=picked, reach=reach)
            asked = talk.hear()
            self.assertEqual((asked["type"], asked["seq"], asked["weights"]["piece"]), ("weights", 1, "p1"))
            command = {"kind": "move", "piece": "p1", "picked": picked, "vector": [0, 0, 2], "reach": reach}
            talk.say(do="preview", seq=2, revision=state["revision"], command=command)
            frame = talk.hear()
            for weights in (asked["weights"]["rows"], frame["weights"]["rows"]):
                self.assertEqual(len(weights), rows)
                self.assertTrue(0 <= weights.min() < 0.01 and 0.5 < weights.max() <= 1)
            talk.say(do="weigh", seq=3, piece="p1", picked=picked, reach={"radius": -1})
            self.assertEqual(talk.hear()["type"], "problem")

    def test_a_symmetric_piece_comes_with_its_seam_and_its_answers(self) -> None:
        state = self.begun(BOX, {"kind": "mirror", "piece": "p1"})
        with self.talk(state) as talk:
            first = talk.hear()
            cage = first["pieces"][0]["cage"]
            x = cage["positions"].reshape(-1, 3)[:, 0]
            answers = cage["images"]["vertex"]
            np.testing.assert_array_equal(x[answers], -x)
            ends = cage["edge_verts"].reshape(-1, 2)[cage["edge_seam"] == 1]
            self.assertTrue(len(ends) and np.all(x[ends] == 0))
            self.assertEqual(first["state"]["pieces"][0]["symmetry"]["words"], "one mirror")
            free = {"kind": "make-independent", "piece": "p1"}
            talk.say(do="commit", seq=1, revision=state["revision"], command=free)
            after = talk.hear()
            self.assertIsNone(after["pieces"][0]["cage"]["images"])

    def test_what_cannot_be_kept_is_told_before_it_is(self) -> None:
        tube = {"kind": "add-cylinder", "diameter": 20, "height": 30, "counts": [12, 3], "caps": "open"}
        state = self.begun(tube)
        body = {
            "revision": state["revision"],
            "command": {"kind": "thicken", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "distance": 14},
        }
        answer = self.client.post(f"/api/designs/{state['id']}/preview", json=body).json()
        self.assertTrue(answer["suspect"])
        self.assertIn("run through each other", answer["notes"][0])

    def test_refusals_name_their_kind(self) -> None:
        second = {"kind": "mirror", "piece": "p1", "way": "second", "point": [30, 0, 0]}
        state = self.begun(BOX, {"kind": "mirror", "piece": "p1"}, second, BOX)
        address = f"/api/designs/{state['id']}/commands"

        def refused(command: dict[str, Any], kind: str) -> str:
            answer = self.client.post(address, json={"revision": state["revision"], "command": command})
            return self.problem(answer, 422, kind)

        shaped = {"kind": "flip", "piece": "p2", "picked": {"kind": "face", "ids": [0]}}
        self.assertIn("follows Box", refused(shaped, "follows"))
        self.assertIn("independent", refused({"kind": "join-pieces", "pieces": ["p1", "p3"]}, "symmetry"))
