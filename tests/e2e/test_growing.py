"""Forms that grow from curves, by mouse and keys: a bangle from nothing to a file; a float whose outlines still count."""

from __future__ import annotations

import io
from typing import Any

import numpy as np
import trimesh

from tests.e2e.case import BrowserCase, VerbCase

SECTOR = np.pi / 16


def around(radius: float, share: float) -> tuple[float, float, float]:
    return (radius * np.cos(share * SECTOR), radius * np.sin(share * SECTOR), 0.0)


class Bangles(VerbCase):
    half = ((31.6, 1.12), (31.7, 0.75), (33.1, 0.3))
    wave = [*(around(r, -share) for r, share in half), *(around(r, share) for r, share in half[::-1])]

    def lift(self, points: tuple[int, int], by: float, step: int) -> None:
        """Two of the curve's control points are picked and moved up by a typed number."""
        held = self.screen.cage()["positions"]
        self.screen.click(held[points[0]])
        self.screen.click(held[points[1]], shift=True)
        self.assertIn("2 vertices picked", self.screen.chosen())
        self.screen.field("Along z").fill(f"{by}")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(step)

    def test_from_nothing_to_certified_triangles(self) -> None:
        self.begin_empty("Draw curve")
        for key in ("5", "0"):
            self.screen.press(key)
        for point in self.wave:
            self.screen.click(point)
        self.page.get_by_text("mm long").first.wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        self.assertEqual(len(self.screen.cage()["positions"]), 6)
        self.assertIn("open curve of 6 points", self.page.get_by_test_id("counts").inner_text())

        # Its points are pulled like any others: here up, by number, two at a time.
        self.screen.press("m")
        self.screen.press("v")
        self.screen.press(".")
        self.lift((1, 4), 2.5, 2)
        self.lift((2, 3), 6.5, 3)
        self.lift((0, 5), -0.25, 4)

        self.screen.station("Rough")
        self.screen.tool("Pipe")
        self.screen.field("Diameter").fill("1")
        self.page.get_by_text("Piped Curve, ⌀ 1 mm").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(5)
        self.take("Pipe")
        self.screen.station("Shape")
        self.screen.tool("Mirror")
        self.screen.choose("Begin from", "a second piece that follows")
        self.screen.choose("Plane", "across z")
        self.previewed()
        self.screen.button("Mirror").last.click()
        self.screen.steps(6)

        self.screen.press("w")
        self.take("Pipe")
        self.take("Pipe, mirrored", shift=True)
        self.screen.station("Rough")
        self.screen.tool("Repeat")
        self.screen.field("Times").fill("16")
        self.page.get_by_text("16 times round an axis").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(7)
        self.assertEqual(self.screen.state()["pieces"][3]["images"], 30)
        self.assertIn("Overlap by", self.page.get_by_test_id("gap").inner_text())

        # The repeat is changed by its own card: nothing is shown before something was set.
        self.take("Repeat")
        self.page.get_by_label("Change how Repeat grows").click()
        self.screen.settled()
        self.assertEqual(self.page.get_by_text("not applied yet").count(), 0)
        self.assertEqual(self.screen.field("Times").input_value(), "16")
        self.screen.field("Moved on by").fill("50")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(8)
        self.assertEqual(self.screen.state()["pieces"][3]["images"], 32)
        self.page.keyboard.press("Control+z")
        self.screen.steps(7)

        # A point of the one curve is pulled, and all thirty-two waves are there again; one undo takes it back.
        before = self.screen.state()["pieces"]
        self.take("Curve")
        self.screen.press("v")
        held = np.array(self.screen.cage()["positions"])
        self.screen.press("m")
        self.screen.click(held[2])
        self.assertIn("1 vertex picked", self.screen.chosen())
        self.screen.field("Along z").fill("2")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(8)
        after = self.screen.state()["pieces"]
        for k in range(4):
            self.assertNotEqual(after[k]["digest"], before[k]["digest"], after[k]["name"])
        self.page.keyboard.press("Control+z")
        self.screen.steps(7)
        self.assertEqual([p["digest"] for p in self.screen.state()["pieces"]], [p["digest"] for p in before])

        self.take("Repeat")
        self.screen.station("Make")
        with self.page.expect_download(timeout=120_000) as waiting:
            self.screen.button("Download STL").click()
        target = self.folder / "bangle.stl"
        waiting.value.save_as(target)
        mesh: Any = trimesh.load(io.BytesIO(target.read_bytes()), file_type="stl")
        self.assertTrue(mesh.is_watertight)
        self.assertEqual(mesh.body_count, 1)
        # Thirty-two pipes of half a millimetre's radius, less where they meet.
        length = self.screen.state()["pieces"][0]["curve"]["length"]
        self.assertAlmostEqual(mesh.volume / (32 * length * np.pi * 0.25), 1, delta=0.12)
        self.assertAlmostEqual(float(np.linalg.norm(mesh.vertices[:, :2], axis=1).min()), 31, delta=0.3)


class Floats(BrowserCase):
    demo = True

    def test_an_outline_is_changed_and_what_was_pulled_stays_on_top(self) -> None:
        self.screen.open_design("Fishing float")
        pieces = self.screen.state()["pieces"]
        body = next(p for p in pieces if p["name"] == "Float")
        self.assertGreater(body["pulled"], 4)
        before = np.array(self.screen.cage(body["id"])["positions"])
        self.screen.press("w")
        self.screen.press("s")
        self.page.get_by_label("Pieces", exact=True).get_by_text("Outline 2", exact=True).click()
        self.screen.settled()
        self.page.get_by_label("Growth").get_by_text("Float").wait_for()
        self.assertIn("1 piece picked", self.screen.chosen())
        self.screen.field("All").fill("120")
        self.page.get_by_text("not applied yet").wait_for()
        self.page.keyboard.press("Enter")
        self.page.get_by_text("saved", exact=True).wait_for()
        now = self.screen.state()["pieces"]
        self.assertEqual(next(p for p in now if p["name"] == "Float")["pulled"], body["pulled"])
        after = np.array(self.screen.cage(body["id"])["positions"])
        self.assertGreater(float(np.abs(after - before).max()), 2)
        # What hangs on an outline further up moves less the further it is.
        top = before[:, 2] > 100
        self.assertLess(float(np.abs(after - before)[top].max()), 0.6)

        # Let go, it stays as it is, and its outline moves nothing any more.
        self.page.get_by_label("More for Float").click()
        self.page.get_by_role("menuitem", name="Make independent").click()
        self.page.get_by_label("Steps").get_by_text("Made Float independent").wait_for()
        self.assertIsNone(next(p for p in self.screen.state()["pieces"] if p["name"] == "Float")["grown"])
