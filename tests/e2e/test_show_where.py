"""Refusals and warnings show where: by the button beside their words, also from a flat view, and the way out is offered."""

from __future__ import annotations

import re
from typing import Any

import numpy as np

from tests.e2e.case import BrowserCase

BLOCK: dict[str, Any] = {"kind": "add-box", "size": [20, 20, 20], "counts": [2, 2, 2], "name": "Block"}
HARD: dict[str, Any] = {"kind": "crease", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "sharpness": 10}


def hollow(wall: float) -> dict[str, Any]:
    return {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": wall}}


class ShowWhere(BrowserCase):
    one_page = True

    def middle_of_view(self, point: tuple[float, float, float]) -> float:
        """How far from the middle of what is free a point appears, as a share of the window's height."""
        x, y = self.screen.at(point)
        return float(np.hypot(x - 590, y - 250)) / 800

    def test_a_crossing_form_lights_its_faces_and_the_eye_goes_there(self) -> None:
        self.begin_with(BLOCK)
        points = np.asarray(self.screen.cage()["positions"])
        top = int(np.argmax(points[:, 2] - np.abs(points[:, :2]).sum(axis=1)))
        move = {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [top]}, "vector": [3, 2, -45]}
        self.begin_with(BLOCK, move)
        self.screen.press("1")
        self.screen.station("Make")
        self.screen.button("Make solid").click()
        refused = self.page.get_by_test_id("refused")
        refused.get_by_text("runs through itself at").wait_for()
        before = self.page.get_by_test_id("viewport").screenshot()
        refused.get_by_role("button", name="Show where").click()
        self.screen.settled()
        self.assertNotEqual(self.page.get_by_test_id("viewport").screenshot(), before)
        self.assertLess(self.middle_of_view((0, 0, -10)), 0.25)

    def test_an_incomplete_body_is_told_and_written_only_as_far_as_it_goes(self) -> None:
        self.begin_with(BLOCK, hollow(12.0))
        self.screen.station("Make")
        self.screen.button("Make solid").click()
        self.page.get_by_text("Certificate of Block: incomplete").wait_for(timeout=60_000)
        self.page.get_by_test_id("fault").get_by_text("No place lies deeper than").wait_for()
        self.page.get_by_test_id("fault").get_by_role("button", name="Show where").click()
        self.screen.settled()
        self.assertLess(self.middle_of_view((0, 0, 0)), 0.2)
        with self.page.expect_download() as held:
            self.screen.button("STEP as far as it goes").click()
        self.assertEqual(held.value.suggested_filename, "Block, incomplete.step")
        self.page.get_by_role("button", name="Download STL").click()
        refused = self.page.get_by_test_id("not-written")
        refused.get_by_text("Nothing was written. Incomplete.").wait_for()
        with self.page.expect_download() as held:
            refused.get_by_role("button", name="Write it as far as it goes").click()
        self.assertEqual(held.value.suggested_filename, "Block, as far as it goes.stl")
        # Nothing is said any more of what was shown, once the tool is laid aside.
        self.screen.press("Escape")
        self.assertEqual(self.page.get_by_test_id("not-written").count(), 0)

    def test_a_form_inside_out_is_turned_over_by_one_click(self) -> None:
        self.begin_with(BLOCK, {"kind": "flip", "piece": "p1", "picked": {"kind": "face", "ids": [0]}})
        self.expected_errors = ("422",)
        self.screen.station("Make")
        self.screen.button("Make solid").click()
        alert = self.page.get_by_role("alert").filter(has_text="inside out")
        alert.get_by_role("button", name="Show where").wait_for()
        alert.get_by_role("button", name="Turn over").click()
        self.screen.steps(3)
        self.screen.button("Make solid").click()
        self.page.get_by_text("Certificate of Block").wait_for(timeout=60_000)

    def test_several_pieces_go_into_one_file(self) -> None:
        self.begin_with(BLOCK, {**BLOCK, "name": "Other", "centre": [40, 0, 0]})
        self.screen.station("Make")
        with self.page.expect_download(timeout=90_000) as held:
            self.screen.button("Download all as STEP").click()
        data = held.value.path().read_bytes()
        self.assertEqual(len(re.findall(rb"MANIFOLD_SOLID_BREP\(", data)), 2)
        self.assertIn(b"'Other'", data)

    def test_a_kept_half_says_for_what_its_sizes_hold(self) -> None:
        self.begin_with()
        self.screen.station("Rough")
        self.screen.tool("Sphere")
        self.screen.button("Place…").click()
        self.screen.choose("Keep", "z side of a mirror")
        self.page.get_by_text("as it stands, open, its surface measures 44.33 × 44.33 × 20 mm").wait_for()
        self.screen.choose("Sizes hold", "for the open half")
        self.page.get_by_text("The open half measures 40 × 40 × 20 mm.").wait_for()
        self.screen.button("Put down").click()
        self.screen.steps(1)
        steps = self.page.get_by_role("region", name="Steps", exact=True)
        steps.get_by_text("Put down the z side of a sphere, ⌀ 40 mm", exact=True).wait_for()
