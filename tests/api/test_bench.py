"""A jeweller's bench by the service: stones in frames, casting, the bill, files larger for shrinkage."""

from __future__ import annotations

import csv
import io
import struct
from typing import Any

import numpy as np

from tests.api.test_live import TalkCase
from tests.api.test_solids import SolidCase
from zinc_otter.core.formats.step import facts_of, read_step

RING: dict[str, Any] = {"kind": "add-ring", "bore": 17.3, "width": 5, "thickness": 2.2, "profile": "D"}
STONE: dict[str, Any] = {
    "kind": "lay-stones",
    "host": "p1",
    "cut": {"kind": "round", "width": 2.0},
    "points": [[0, 10.8, 0], [3, 10.4, 0]],
    "sink": 0.35,
}
FLUSH: dict[str, Any] = {"kind": "add-follower", "piece": "p1", "follower": {"kind": "flush", "stones": "p2"}}


class Frames(TalkCase):
    one_service = True

    def test_stones_come_as_instances_and_what_they_look_like_once(self) -> None:
        state = self.begun(RING, STONE)
        with self.talk(state) as talk:
            first = talk.hear()
            (copies,) = next(p for p in first["pieces"] if p["id"] == "p2")["copies"]
            self.assertEqual(len(copies["motions"]), 32)
            points = copies["gem"]["points"].reshape(-1, 3, 3)
            normals = np.cross(points[:, 1] - points[:, 0], points[:, 2] - points[:, 0])
            told = copies["gem"]["normals"].reshape(-1, 3, 3)[:, 0]
            self.assertGreater((normals * told).sum(axis=1).min(), 0)
            talk.say(do="preview", seq=1, revision=state["revision"], command={**STONE, "piece": "p2", "sink": 0.5})
            frame = talk.hear()
            (copies,) = frame["pieces"][0]["copies"]
            self.assertNotIn("gem", copies)
            self.assertEqual(frame["preview"]["notes"], ["2 stones: 0.0301 ct each, 0.0602 ct together."])

    def test_gaps_weights_and_bores_are_told_with_them(self) -> None:
        state = self.begun(RING, STONE)
        with self.talk(state) as talk:
            first = talk.hear()
            (stones,) = first["stones"]
            self.assertEqual((stones["piece"], stones["count"], stones["overlaps"], stones["says"]), ("p2", 2, 0, []))
            self.assertAlmostEqual(stones["carats"], 0.0602, delta=1e-3)
            # The ring is 2.2 thick: what is left below the culet is that less the sink and the pavilion.
            self.assertAlmostEqual(stones["left"], 2.2 - 0.35 - 0.035 - np.tan(np.radians(40.75)), delta=0.05)
            (gap,) = first["gaps"]
            self.assertEqual((gap["piece"], gap["other"], gap["state"]), ("p2", None, "apart"))
            (bore,) = first["bores"]
            self.assertAlmostEqual(bore["diameter"], 17.3, delta=0.01)
            self.assertIn("US 7", bore["words"])
            nearer = {**STONE, "piece": "p2", "points": [[0, 10.8, 0], [1, 10.8, 0]]}
            talk.say(do="preview", seq=1, revision=state["revision"], command=nearer)
            frame = talk.hear()
            self.assertEqual(frame["gaps"][0]["state"], "overlap")
            self.assertRegex(frame["stones"][0]["says"][0], r"1 pair of stones overlaps, by .* mm across would do")
            deep = {**STONE, "piece": "p2", "sink": 1.8}
            talk.say(do="preview", seq=2, revision=state["revision"], command=deep)
            frame = talk.hear()
            self.assertRegex(frame["stones"][0]["says"][0], "2 stones stick out below, by .* raise them")
            self.assertEqual(len(frame["stones"][0]["through_at"]), 2)

    def test_the_metal_between_seats_is_told_once_stones_are_set(self) -> None:
        state = self.begun(RING, STONE)
        with self.talk(state) as talk:
            first = talk.hear()
            self.assertIsNone(first["stones"][0]["between"])
            gap = first["gaps"][0]["distance"]
        set_so = {**FLUSH, "follower": {**FLUSH["follower"], "clearance": 0.05}}
        state = self.begun(RING, STONE, set_so)
        with self.talk(state) as talk:
            (stones,) = talk.hear()["stones"]
            self.assertAlmostEqual(stones["between"], gap - 0.1, delta=1e-9)
        close = {**STONE, "points": [[0, 10.8, 0], [2.2, 10.6, 0]]}
        state = self.begun(RING, close, {**set_so, "follower": {**set_so["follower"], "clearance": 0.2}})
        with self.talk(state) as talk:
            (stones,) = talk.hear()["stones"]
            self.assertLess(stones["between"], 0)
            self.assertRegex(stones["says"][0], "^The seats of two stones run into one another, by 0\\.[1-4]")


class Bench(SolidCase):
    def test_casting_says_what_hinders_and_where(self) -> None:
        state = self.begun(RING, STONE, FLUSH)
        path = self.path(state) + "/casting"
        answer = self.client.post(path, json={"process": "cast"}).json()
        words = " ".join(fault["words"] for fault in answer["faults"])
        self.assertFalse(answer["holds"])
        self.assertRegex(words, "sharp inner corner")
        thin = self.client.post(path, json={"process": "cast", "wall": 3.0}).json()
        self.assertTrue(any("thinner than 3 mm" in fault["words"] for fault in thin["faults"]))
        wide = self.client.post(path, json={"process": "cast", "gap": 5.0}).json()
        self.assertTrue(any("of metal are left; 5 mm are asked for" in fault["words"] for fault in wide["faults"]))
        plain = self.begun({**RING, "profile": "court"})
        self.assertTrue(self.client.post(self.path(plain) + "/casting", json={}).json()["holds"])
        self.assertIn(
            "There is no process called 'magic'",
            self.problem(self.client.post(path, json={"process": "magic"}), 422, "bad-number"),
        )
        self.problem(self.client.post(path, json={"wall": -1}), 422, "invalid")
        self.assertEqual([p["id"] for p in self.client.get("/api/processes").json()], ["cast", "wax", "metal"])

    def test_the_bill_and_as_a_file(self) -> None:
        state = self.begun(RING, STONE, FLUSH)
        bill = self.client.get(f"/api/designs/{state['id']}/bill").json()
        (body,) = bill["metal"]
        self.assertAlmostEqual(body["bore"], 17.3, delta=0.02)
        self.assertIn("US 7", body["bore_words"])
        (stones,) = bill["stones"]
        self.assertEqual((stones["count"], stones["size"]), (2, "2"))
        silver = next(w for w in bill["weights"] if "925" in w["material"])
        self.assertAlmostEqual(silver["grams"], body["volume"] * silver["density"] / 1000, delta=1e-9)
        self.assertAlmostEqual(silver["wax"], silver["density"] / 0.96, delta=1e-9)
        answer = self.client.get(f"/api/designs/{state['id']}/bill.csv")
        self.assertIn("Trial%2C%20bill.csv", answer.headers["content-disposition"])
        rows = list(csv.reader(io.StringIO(answer.text)))
        self.assertEqual([row[3] for row in rows if row[0] == "stone"], ["2"])

    def test_what_is_not_weighed_or_lacks_a_follower_is_said(self) -> None:
        sheet = {"kind": "add-plane", "size": [30, 20], "counts": [3, 2], "name": "Lid"}
        hollow = {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": 9.0}}
        state = self.begun(RING, sheet, hollow)
        bill = self.client.get(f"/api/designs/{state['id']}/bill").json()
        self.assertEqual([line["name"] for line in bill["metal"]], ["Ring"])
        lacks = sorted(bill["lacks"])
        self.assertRegex(lacks[0], "^Lid is not weighed. .*open")
        self.assertRegex(lacks[1], "^Ring is weighed as it is without one of its followers. Hollow: ")

    def test_what_is_part_of_another_body_is_not_weighed_twice(self) -> None:
        state = self.begun(RING, {"kind": "add-box", "size": [4, 4, 4], "counts": [1, 1, 1], "centre": [0, 11, 0]})
        self.assertEqual(len(self.client.get(f"/api/designs/{state['id']}/bill").json()["metal"]), 2)
        united = {"kind": "combine", "way": "union", "body": {"kind": "piece", "piece": "p2"}}
        state = self.give(state, {"kind": "add-follower", "piece": "p1", "follower": united})
        self.assertEqual([m["piece"] for m in self.client.get(f"/api/designs/{state['id']}/bill").json()["metal"]], ["p1"])

    def test_files_larger_for_shrinkage_say_so_in_their_names(self) -> None:
        state = self.begun(RING)
        path = self.path(state)
        sizes = []
        for larger in (0, 4):
            answer = self.client.get(path + f"/surface-file?larger={larger}")
            self.assertEqual("4%20%25%20larger" in answer.headers["content-disposition"], larger > 0)
            (count,) = struct.unpack_from("<I", answer.content, 80)
            facets = np.frombuffer(answer.content, dtype=np.uint8, offset=84).reshape(count, 50)
            corners = facets[:, 12:48].copy().view("<f4").reshape(-1, 3)
            sizes.append(np.ptp(corners, axis=0))
        np.testing.assert_allclose(sizes[1], 1.04 * sizes[0], rtol=1e-5)
        self.assertEqual(self.wait(self.client.post(path + "/solid").json())["status"], "done")
        volumes = []
        for larger in (0, 4):
            answer = self.client.get(path + f"/solid.step?larger={larger}")
            target = self.folder / f"{larger}.step"
            target.write_bytes(answer.content)
            volumes.append(facts_of(read_step(target)).volume)
        self.assertAlmostEqual(volumes[1] / volumes[0], 1.04**3, delta=1e-6)
        page = self.client.get(path + "/certificate-page?larger=4")
        self.assertIn("are 4 % larger than what stands here", page.text)
        self.assertIn("Gold, 585 yellow", page.text)
        self.assertIn(f"of Trial, revision {state['revision']}", page.text)
        self.problem(self.client.get(path + "/surface-file?larger=90"), 422, "invalid")

    def test_a_page_in_inches_says_both(self) -> None:
        state = self.begun(RING)
        self.client.patch(f"/api/designs/{state['id']}", json={"unit": "in"})
        path = self.path(state)
        self.assertEqual(self.wait(self.client.post(path + "/triangles-certificate").json())["status"], "done")
        page = self.client.get(path + "/certificate-page").text
        self.assertRegex(page, r">0\.8\d* × 0\.8\d* × 0\.1\d* in \([\d.]+ × [\d.]+ × [\d.]+ mm\)<")


class Refused(SolidCase):
    def test_bad_stones_change_nothing(self) -> None:
        state = self.begun(RING)
        for wrong, words in (
            ({"points": [[0, 10.8, 0]] * 5, "way": "round", "count": 100_000}, "500,000 stones|1 to 1,000 stones"),
            ({"cut": {"kind": "round", "width": 99}}, "larger than the form"),
            ({"cut": {"kind": "round", "width": 2, "table": 200}}, "table"),
            ({"material": "cheese"}, "no stone of 'cheese'"),
            ({"host": "p7"}, "no piece"),
        ):
            body = {"revision": state["revision"], "command": {**STONE, **wrong}}
            answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
            self.assertIn(answer.status_code, (404, 422), answer.text)
            self.assertRegex(answer.json()["detail"], words)
        self.assertEqual(self.client.get(f"/api/designs/{state['id']}").json()["revision"], state["revision"])

    def test_a_bezel_thinner_than_nothing(self) -> None:
        state = self.begun(RING, STONE)
        follower = {"kind": "bezel", "stones": "p2", "wall": -0.5}
        body = {"revision": state["revision"], "command": {"kind": "add-follower", "piece": "p1", "follower": follower}}
        answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
        self.assertEqual(answer.status_code, 422)
        self.assertRegex(answer.json()["detail"], "the wall is 0.05 to 20")
        self.assertIn("is no North American ring size", self.client.get("/api/number?text=US%20banana").json()["detail"])


class Proofs(TalkCase):
    one_service = True

    def test_proofs_are_told_with_every_frame_and_turn_while_a_form_is_pulled(self) -> None:
        state = self.begun({"kind": "add-torus", "ring": 20, "section": 4, "counts": [16, 8], "size_of": "surface"})
        for proof in (
            {"kind": "wall", "least": 1.5},
            {"kind": "size", "axis": "z", "size": 4, "tolerance": 0.2},
            {"kind": "sound"},
        ):
            state = self.give(state, {"kind": "add-proof", "proof": {"piece": "p1", **proof}})
        self.assertEqual([proof["kind"] for proof in state["proofs"]], ["wall", "size", "sound"])
        with self.talk(state) as talk:
            first = talk.hear()
            self.assertEqual([p["holds"] for p in first["proofs"]], ["holds"] * 3)
            self.assertTrue(all(p["fine"] for p in first["proofs"]))
            self.assertRegex(first["proofs"][0]["asked"], r"^Wall of Torus at least 1.5 mm$")
            squeeze = {"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1, 1, 0.3]}
            talk.say(do="preview", seq=1, revision=state["revision"], command=squeeze)
            frame = talk.hear()
            self.assertEqual([p["holds"] for p in frame["proofs"]], ["fails", "fails", "holds"])
            self.assertFalse(frame["proofs"][0]["fine"])
            self.assertTrue(frame["proofs"][0]["place"]["points"])
            talk.say(do="cancel", seq=2)
            while True:
                after = talk.hear()
                if after["type"] == "state":
                    break
            self.assertEqual([p["holds"] for p in after["proofs"]], ["holds"] * 3)

    def test_a_map_comes_with_every_frame_while_it_is_wanted(self) -> None:
        state = self.begun({"kind": "add-torus", "ring": 20, "section": 4, "counts": [16, 8], "size_of": "surface"})
        for proof in ({"kind": "wall", "least": 4.5}, {"kind": "size", "axis": "z", "size": 4}):
            state = self.give(state, {"kind": "add-proof", "proof": {"piece": "p1", **proof}})
        with self.talk(state) as talk:
            first = talk.hear()
            self.assertNotIn("map", first)
            talk.say(do="map", seq=1, proof="q2")
            told = talk.hear()
            self.assertEqual((told["type"], told["map"]["piece"], told["map"]["unit"]), ("map", "p1", "mm"))
            rows = told["map"]["rows"]
            self.assertEqual(len(rows), len(first["pieces"][0]["surface"]["positions"]) // 3)
            # A torus is as thick as its section everywhere.
            np.testing.assert_allclose(rows, 4.0, rtol=0.02)
            self.assertEqual((told["map"]["share"], told["map"]["limit"]), (1.0, 4.5))
            self.assertGreater(sum(told["map"]["counts"]), 1000)
            fatter = {"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1.5, 1.5, 1.5]}
            talk.say(do="preview", seq=2, revision=state["revision"], command=fatter)
            frame = talk.hear()
            np.testing.assert_allclose(frame["map"]["rows"], 6.0, rtol=0.02)
            self.assertEqual(frame["map"]["share"], 0.0)
            for proof in ("q3", "q99"):
                talk.say(do="map", seq=3, proof=proof)
                told = talk.hear()
                while told["type"] != "map":
                    told = talk.hear()
                self.assertIsNone(told["map"])

    def heard(self, talk: Any, kind: str) -> dict[str, Any]:
        """The next message of a kind."""
        told = talk.hear()
        while told["type"] != kind:
            told = talk.hear()
        return dict(told)

    def told_proofs(self, talk: Any) -> dict[str, Any]:
        """What comes by itself, once the bodies are made."""
        return dict(self.heard(talk, "proofs")["proofs"][0])

    def test_a_wall_is_that_of_the_body_once_there_are_followers(self) -> None:
        hard = {"kind": "crease", "piece": "p1", "picked": {"kind": "edge", "ids": list(range(12))}, "sharpness": 10}
        block = {"kind": "add-box", "size": [30, 30, 20], "counts": [1, 1, 1], "size_of": "cage"}
        wall = {"kind": "wall", "piece": "p1", "least": 1.5}
        hollow = {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": 1.0}}
        state = self.begun(block, hard, {"kind": "add-proof", "proof": {**wall, "of_body": True}})
        with self.talk(state) as talk:
            # Without followers the body is the form, and nothing is to be waited for.
            (proof,) = talk.hear()["proofs"]
            self.assertEqual((proof["holds"], round(proof["figure"], 3)), ("holds", 20.0))
        state = self.give(state, hollow)
        with self.talk(state) as talk:
            (proof,) = talk.hear()["proofs"]
            self.assertEqual((proof["holds"], proof["words"]), ("unknown", "Told once its body is made."))
            told = self.told_proofs(talk)
            self.assertEqual(told["holds"], "fails")
            self.assertAlmostEqual(told["figure"], 1.0, delta=0.05)
            # Its map is one of the body, which comes along: of 1 mm all over but at edges, and as it is drawn.
            talk.say(do="map", seq=1, proof=state["proofs"][0]["id"])
            mapped = self.heard(talk, "map")["map"]
            body = mapped["body"]
            self.assertEqual((len(body["points"]), len(body["normals"])), (3 * len(mapped["rows"]),) * 2)
            self.assertEqual(body["triangles"].max() + 1, len(mapped["rows"]))
            self.assertAlmostEqual(float(np.median(mapped["rows"])), 1.0, delta=0.02)
            reach = np.abs(body["points"].reshape(-1, 3)).max(axis=0)
            np.testing.assert_allclose(reach, [15, 15, 10], atol=1e-4)
            # While it is dragged there is no body of it yet, and no figure is made up.
            wider = {"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1.2, 1, 1]}
            talk.say(do="preview", seq=2, revision=state["revision"], command=wider)
            frame = self.heard(talk, "frame")
            self.assertRegex(frame["proofs"][0]["words"], "^Told once the hand rests")
            self.assertIsNone(frame["map"])
            # Kept, it comes again by itself once the body is there.
            talk.say(do="commit", seq=3, revision=state["revision"], command=wider)
            state = self.heard(talk, "state")["state"]
            told = self.heard(talk, "proofs")
            self.assertAlmostEqual(float(np.abs(told["map"]["body"]["points"][::3]).max()), 18.0, delta=1e-4)
        # Asked of the form it says whose wall it is.
        state = self.give(state, {"kind": "change-proof", "proof": {**wall, "id": state["proofs"][0]["id"]}})
        with self.talk(state) as talk:
            (proof,) = talk.hear()["proofs"]
            self.assertEqual(proof["holds"], "holds")
            self.assertRegex(proof["words"], r"That is the form's, before its followers\.$")
        # A body that lacks what was asked for is no proof.
        again = {**wall, "id": state["proofs"][0]["id"], "of_body": True}
        state = self.give(state, {"kind": "change-proof", "proof": again})
        thick = {**state["pieces"][0]["followers"][0], "wall": 12.0}
        state = self.give(state, {"kind": "change-follower", "piece": "p1", "follower": thick})
        with self.talk(state) as talk:
            told = self.told_proofs(talk)
            self.assertEqual(told["holds"], "unknown")
            self.assertRegex(told["words"], "^Of the body without one of its followers: Wall 20 mm .* Hollow: ")

    def test_the_body_of_a_hidden_piece_is_judged_as_well(self) -> None:
        hidden = {"kind": "show-piece", "piece": "p1", "visible": False}
        wall = {"kind": "wall", "piece": "p1", "least": 1.5, "of_body": True}
        hollow = {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": 1.0}}
        block = {"kind": "add-box", "size": [31, 30, 20], "counts": [2, 2, 2]}
        state = self.begun(block, hollow, {"kind": "add-proof", "proof": wall}, hidden)
        with self.talk(state) as talk:
            told = self.told_proofs(talk)
        self.assertEqual(told["holds"], "fails")
        self.assertAlmostEqual(told["figure"], 1.0, delta=0.05)
        # Found once it is told at once, also where the body itself was forgotten since.
        self.room.bodies._shapes.drop(lambda _: True)
        with self.talk(state) as talk:
            self.assertEqual(talk.hear()["proofs"][0]["holds"], "fails")

    def test_what_goes_by_the_cage_is_not_asked_of_a_body(self) -> None:
        state = self.begun({"kind": "add-box", "size": [30, 30, 20], "counts": [1, 1, 1]})
        command = {"kind": "add-proof", "proof": {"piece": "p1", "kind": "sound", "of_body": True}}
        body = {"revision": state["revision"], "command": command}
        answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
        self.assertEqual(answer.status_code, 422)
        self.assertIn("asked of the form alone", answer.json()["detail"])
