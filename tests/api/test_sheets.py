"""Proof sheets over the service: drawn as a job, fetched, refused, called off, and of the revision that they name."""

from __future__ import annotations

import io
from typing import Any

import pypdf

from tests.api.case import BOX, extrude
from tests.api.test_solids import SolidCase


class Sheets(SolidCase):
    def begin(self, state: dict[str, Any], **asked: Any) -> Any:
        return self.client.post(f"/api/designs/{state['id']}/sheet", json=asked)

    def text(self, key: str) -> str:
        answer = self.client.get(f"/api/sheets/{key}?kind=pdf&name=Trial")
        self.assertEqual(answer.headers["content-type"], "application/pdf")
        self.assertIn("Trial.pdf", answer.headers["content-disposition"])
        return "\n".join(page.extract_text() for page in pypdf.PdfReader(io.BytesIO(answer.content)).pages)

    def test_drawn_and_fetched_both_ways(self) -> None:
        state = self.begun(BOX, extrude(0))
        begun = self.begin(state, paper="Letter", material="Gold, 750 rose")
        self.assertEqual(begun.status_code, 202)
        job = self.wait(begun.json()["job"])
        self.assertEqual((job["status"], job["words"]), ("done", "Drawing the sheet: 2 pages"))
        text = self.text(begun.json()["key"])
        for said in (f"Revision: {state['revision']}", "Letter", "gold, 750 rose", "Box.step"):
            self.assertIn(said, text.replace("\n", " "))
        page = self.client.get(f"/api/sheets/{begun.json()['key']}?kind=html")
        self.assertIn("279.4mm", page.text)

    def test_a_sheet_stays_of_its_revision(self) -> None:
        state = self.begun(BOX)
        begun = self.begin(state).json()
        self.wait(begun["job"])
        self.give(state, extrude(0, by=3))
        self.assertIn(f"revision {state['revision']},", self.text(begun["key"]))

    def test_bad_questions_are_refused_in_words(self) -> None:
        state = self.begun(BOX)
        self.assertEqual(self.begin(state, paper="B5").status_code, 422)
        self.assertIn("no material called", self.problem(self.begin(state, material="Cheese"), 422, "bad-selection"))
        self.problem(self.client.get(f"/api/sheets/{'0' * 32}"), 404, "no-solid")
        self.problem(self.client.post("/api/designs/none/sheet", json={}), 404, "unknown-design")

    def test_nothing_shown_is_said(self) -> None:
        state = self.begun(BOX, {"kind": "show-piece", "piece": "p1", "visible": False})
        job = self.wait(self.begin(state).json()["job"])
        self.assertEqual(job["status"], "failed")
        self.assertIn("no piece is shown", job["words"])

    def test_called_off_it_leaves_nothing_behind(self) -> None:
        state = self.begun(BOX, {"kind": "add-proof", "proof": {"kind": "wall", "piece": "p1"}})
        begun = self.begin(state).json()
        self.client.delete(f"/api/jobs/{begun['job']['id']}")
        self.assertEqual(self.wait(begun["job"])["status"], "cancelled")
        for kind in ("pdf", "html"):
            self.problem(self.client.get(f"/api/sheets/{begun['key']}?kind={kind}"), 404, "no-solid")
