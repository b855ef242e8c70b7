"""What the service says of bodies, distances and archives is so, and what is refused leaves nothing behind."""

from __future__ import annotations

import io
import json
import re
import zipfile
from typing import Any
from urllib.parse import unquote

import numpy as np

from tests.api.case import BOX
from tests.api.test_solids import SolidCase
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.step import facts_of, read_step

BLOCK = {"kind": "add-box", "size": [20, 20, 20], "counts": [2, 2, 2], "name": "Grüner Stein"}


def hollow(wall: float) -> dict[str, Any]:
    return {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": wall}}


class Incomplete(SolidCase):
    def name_of(self, answer: Any) -> str:
        return unquote(answer.headers["content-disposition"].split("''")[1])

    def test_a_body_that_lacks_a_step_says_so_everywhere(self) -> None:
        state = self.begun(BLOCK, hollow(12.0))
        path = self.path(state)
        job = self.wait(self.client.post(path + "/solid").json())
        self.assertEqual(job["status"], "done")
        self.assertIn("Incomplete. Hollow: No place lies deeper", job["words"])
        certificate = self.client.get(path + "/certificate").json()
        (fault,) = certificate["faults"]
        self.assertIn("No place lies deeper", fault["words"])
        self.assertEqual(len(fault["place"]["points"]), 1)
        page = self.client.get(path + "/certificate-page")
        self.assertIn("This is not what was asked for", page.text)
        self.assertIn("incomplete", self.name_of(page))
        # Asked for plainly it is refused, by every way out; asked for as far as it goes its name and its header tell.
        for way in ("/solid.step?", "/surface-file?kind=stl&tolerance=0.2&", "/surface-file?kind=3mf&tolerance=0.2&"):
            self.assertIn("No place lies deeper", self.problem(self.client.get(path + way), 422, "unsound-body"))
            answer = self.client.get(path + way + "anyway=true")
            self.assertEqual(answer.status_code, 200)
            self.assertIn("Grüner Stein, incomplete", self.name_of(answer))
        step = self.client.get(path + "/solid.step?anyway=true").content
        head = step.split(b"ENDSEC;")[0]
        self.assertIn(b"Incomplete. Hollow", head)
        self.assertIn(b"Revision ", head)
        self.assertIn(rb"Gr\X2\00FC\X0\ner Stein", step)
        step.decode("ascii")

    def test_whole_ones_are_handed_over_under_their_name(self) -> None:
        state = self.begun(BLOCK, hollow(2.0))
        path = self.path(state)
        self.assertEqual(self.wait(self.client.post(path + "/solid").json())["words"], "Making the solid: done.")
        self.assertEqual(self.client.get(path + "/certificate").json()["faults"], [])
        self.assertEqual(self.name_of(self.client.get(path + "/solid.step")), "Grüner Stein.step")

    def test_a_failed_job_names_its_place(self) -> None:
        state = self.begun(BLOCK)
        points = np.array(self.client.get(self.path(state) + "/cage").json()["positions"])
        top = int(np.argmax(points[:, 2] - np.abs(points[:, :2]).sum(axis=1)))
        state = self.give(
            state, {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [top]}, "vector": [3, 2, -45]}
        )
        job = self.wait(self.client.post(self.path(state) + "/solid").json())
        self.assertEqual(job["status"], "failed")
        count = int(re.search(r"through itself at (\d+) faces", job["words"])[1])  # type: ignore[index]
        self.assertEqual(len(job["place"]["faces"]), count)


class DesignFiles(SolidCase):
    def test_all_pieces_in_one_file_in_the_designs_unit(self) -> None:
        state = self.begun(BLOCK, {**BOX, "centre": [60, 0, 0], "name": "Box"})
        state = self.client.patch(f"/api/designs/{state['id']}", json={"name": "Fjord lamp", "unit": "cm"}).json()
        kept = {}
        for kind in ("step", "3mf"):
            begun = self.client.post(f"/api/designs/{state['id']}/solids-file?kind={kind}&tolerance=0.02").json()
            self.assertEqual(self.wait(begun["job"])["status"], "done")
            kept[kind] = self.client.get(f"/api/files/{begun['key']}?kind={kind}&name=Lamp").content
        self.assertIn(b"CENTI", kept["step"])
        self.assertIn(b"FILE_NAME('Fjord lamp'", kept["step"])
        target = self.folder / "both.step"
        target.write_bytes(kept["step"])
        facts = facts_of(read_step(target))
        mesh = read_mesh(kept["3mf"], "3mf", None)
        self.assertEqual((facts.solids, facts.valid), (2, True))
        # Both files hold the same, in millimetres once they are read.
        self.assertAlmostEqual(mesh.volume / facts.volume, 1, delta=2e-3)

    def test_a_piece_that_cannot_be_made_is_told_and_left_out_only_if_wished(self) -> None:
        sheet = {"kind": "add-plane", "size": [40, 30], "counts": [2, 2], "name": "Sheet"}
        state = self.begun(BLOCK, sheet)
        at = f"/api/designs/{state['id']}/solids-file?kind=3mf&tolerance=0.5"
        job = self.wait(self.client.post(at).json()["job"])
        self.assertEqual(job["status"], "failed")
        self.assertIn("Sheet: Incomplete. It is not in the file: The cage is open", job["words"])
        job = self.wait(self.client.post(at + "&anyway=true").json()["job"])
        self.assertEqual(job["status"], "done")
        self.assertIn("Sheet: Incomplete", job["words"])


class Facts(SolidCase):
    def test_the_size_of_a_solid_is_told_beforehand(self) -> None:
        state = self.begun(BLOCK)
        path = self.path(state)
        facts = self.client.get(path + "/surface-facts?tolerance=0.2").json()
        self.assertEqual((facts["solid_faces"], facts["solid_words"]), (24, ""))
        self.wait(self.client.post(path + "/solid").json())
        size = len(self.client.get(path + "/solid.step").content)
        self.assertLess(abs(facts["bytes"]["step"] / size - 1), 0.15)
        large = self.begun({**BLOCK, "counts": [30, 30, 30]})
        facts = self.client.get(self.path(large) + "/surface-facts?tolerance=1").json()
        self.assertIn("5,400 faces, more than the 5,000", facts["solid_words"])


class Archives(SolidCase):
    def altered(self, state: dict[str, Any], change: Any) -> Any:
        data = self.client.get(f"/api/designs/{state['id']}/archive").content
        out = io.BytesIO()
        with zipfile.ZipFile(io.BytesIO(data)) as box, zipfile.ZipFile(out, "w") as other:
            for entry in box.namelist():
                raw = box.read(entry)
                if entry == "design.json":
                    head = json.loads(raw)
                    raw = change(head) or json.dumps(head).encode()
                other.writestr(entry, raw)
        return self.client.post("/api/designs/archives", content=out.getvalue())

    def test_what_no_command_could_have_made_is_refused_and_nothing_is_left(self) -> None:
        state = self.begun(BOX, {**BOX, "name": "Second", "centre": [60, 0, 0]}, hollow(1.0))
        before = self.client.get("/api/designs").json()

        def piece(key: str, value: Any) -> Any:
            return lambda head: head["document"]["pieces"][0].update({key: value})

        def itself(head: Any) -> None:
            own = {"kind": "combine", "id": "f1", "body": {"kind": "piece", "piece": "p1"}}
            head["document"]["pieces"][0]["followers"][0] = own

        changes: list[tuple[Any, str]] = [
            (piece("colour", 5), "colour"), (piece("colour", "pink"), "colour"), (piece("name", None), "name"),
            (piece("name", "n" * 1_000_000), "name"), (piece("visible", "yes"), "visible"), (piece("id", 7), "id"),
            (piece("id", "p2"), "one id"), (piece("group", 3), "group"), (itself, "part of the piece itself"),
            (lambda head: head.update(unit="furlong"), "designs are in mm"),
            (lambda head: head.update(name=None), "no name"),
            (lambda head: head["document"].update(next_number="many"), "number"),
            (lambda head: json.dumps(head).replace('"next_number": ', '"next_number": 1e400, "n": ').encode(), "number"),
            (lambda head: b"[" * 100_000, "broken"),
        ]  # fmt: skip
        for change, words in changes:
            with self.subTest(words):
                self.assertIn(words, self.problem(self.altered(state, change), 422, "bad-file"))
        self.assertEqual(self.client.get("/api/designs").json(), before)
        self.assertEqual(self.altered(state, lambda head: None).status_code, 201)
        for data in (b"PK\x03\x04nothing", b"", b"\0" * 5000):
            self.problem(self.client.post("/api/designs/archives", content=data), 422, "bad-file")
