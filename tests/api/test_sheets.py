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
        for said in (f"Revision: {state['revision']}", "Letter", "gold, 750 rose"):
            self.assertIn(said, text.replace("\n", " "))
        page = self.client.get(f"/api/sheets/{begun.json()['key']}?kind=html")
        self.assertIn("279.4mm", page.text)

    def test_it_names_the_files_that_were_written_of_what_it_shows(self) -> None:
        state = self.begun(BOX)
        at = f"/api/designs/{state['id']}"

        def told(state: dict[str, Any]) -> str:
            begun = self.begin(state).json()
            self.wait(begun["job"])
            return " ".join(self.text(begun["key"]).split())

        self.assertIn("None has been written of these forms", told(state))
        asked = "kind=3mf&tolerance=0.02&angle=15&larger=1.5"
        written = self.client.post(f"{at}/pieces/p1/surface-file?{asked}").json()
        self.wait(written["job"])
        # Written is not handed over.
        self.assertIn("None has been written", told(state))
        self.client.get(f"/api/files/{written['key']}?kind=3mf&name=Box for the caster")
        self.client.get(f"{at}/pieces/p1/surface-file?kind=glb")
        both = self.client.post(f"{at}/solids-file?kind=3mf").json()
        self.wait(both["job"])
        self.client.get(f"/api/files/{both['key']}?kind=3mf&name=All of it")
        words = told(state)
        today = r"\d{4}-\d\d-\d\d \d\d:\d\d"
        how = r"triangles within 0\.02 mm, turning 15° at most; 1\.5 % larger"
        self.assertRegex(words, rf"Box for the caster\.3mf {today} mm {how}")
        self.assertRegex(words, rf"Box\.glb {today} m triangles within 0\.05 mm")
        self.assertRegex(words, rf"All of it\.3mf {today} mm triangles within 0\.05 mm")
        # Begun once more it was handed over all the same, and so it was when the files are thrown away here.
        self.wait(self.client.post(f"{at}/pieces/p1/surface-file?{asked}").json()["job"])
        self.client.delete("/api/keeping/made")
        self.assertIn("Box for the caster.3mf", told(state))
        # Of another form they are not; back at this one they are again.
        after = self.give(state, extrude(0, by=3))
        self.assertIn("None has been written", told(after))
        back = self.client.post(f"{at}/undo", json={"revision": after["revision"]}).json()
        self.assertIn("Box for the caster.3mf", told(back))

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
