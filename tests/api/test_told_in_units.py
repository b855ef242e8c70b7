"""What the service says in words it says in the design's unit."""

from __future__ import annotations

from tests.api.case import move
from tests.api.test_live import TalkCase


class InOtherUnits(TalkCase):
    def test_titles_remarks_refusals_and_proofs_are_told_in_the_designs_unit(self) -> None:
        made = self.client.post("/api/designs", json={"name": "Inches", "unit": "in"}).json()
        ring = {"kind": "add-ring", "name": "Band", "bore": 25.4, "width": 6.35, "thickness": 2.54}
        address = f"/api/designs/{made['id']}"
        seen = self.client.post(f"{address}/preview", json={"revision": made["revision"], "command": ring}).json()
        self.assertEqual(seen["title"], "Put down a ring, bore 1, 0.25 wide, 0.1 in thick")
        # The mean of 25.4 and 2 times 2.54 mm about it.
        self.assertEqual(seen["notes"], ["Bore 1 in: ISO 79.8, US 17, JP 38. Mean length round it 3.456 in."])
        circle = {"kind": "add-curve", "shape": "circle", "diameter": 25.4}
        seen = self.client.post(f"{address}/preview", json={"revision": made["revision"], "command": circle}).json()
        self.assertRegex(seen["notes"][0], r"^3\.\d+ in long")
        torus = {"kind": "add-torus", "ring": 25.4, "section": 50.8, "counts": [8, 4]}
        wrong = self.client.post(f"{address}/preview", json={"revision": made["revision"], "command": torus})
        said = self.problem(wrong, 422, "bad-number")
        self.assertIn("A ring of 1 in has no room for a section of 2 in", said)
        state = self.give(made, {"kind": "add-box", "size": [50.8, 25.4, 12.7], "counts": [2, 2, 1]})
        self.assertEqual(state["steps"][-1]["title"], "Put down a box, 2 × 1 × 0.5 in")
        state = self.give(state, {"kind": "add-proof", "proof": {"kind": "size", "piece": "p1", "size": 50.8, "axis": "x"}})
        with self.talk(state) as talk:
            (proof,) = talk.hear()["proofs"]
            self.assertIn("2 in", proof["asked"])
            self.assertIn(" in", proof["words"])
            self.assertNotIn("mm", proof["asked"] + proof["words"])
        # Shown in another unit it is told in that one at once.
        self.client.patch(address, json={"unit": "cm"})
        with self.talk(state) as talk:
            self.assertIn("5.08 cm", talk.hear()["proofs"][0]["asked"])

    def test_in_a_drag_and_when_something_is_refused(self) -> None:
        made = self.client.post("/api/designs", json={"name": "Inches", "unit": "in"}).json()
        state = self.give(made, {"kind": "add-box", "size": [50.8, 25.4, 12.7], "counts": [2, 2, 1]})
        wall = {"kind": "add-proof", "proof": {"kind": "wall", "piece": "p1", "least": 2.54}}
        state = self.give(state, wall)
        with self.talk(state) as talk:
            talk.hear()
            command = move(0, by=(0, 0, 2))
            talk.say(do="preview", seq=1, revision=state["revision"], command=command)
            frame = talk.hear()
            self.assertRegex(frame["proofs"][0]["words"], r"Wall [\d.]+ in where it is thinnest")
            self.assertRegex(frame["preview"]["title"], r"0\.079 in")
