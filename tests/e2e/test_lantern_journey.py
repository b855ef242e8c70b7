"""From a sketch and a cell to a roughed-out form in one go; and the same handles by touch."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import BrowserCase
from zinc_otter.demo.lantern_references import CELL, SKETCH


class Journey(BrowserCase):
    def points(self, piece: str) -> np.ndarray:
        return np.array(self.screen.cage(piece)["positions"])

    def test_from_a_sketch_and_a_cell_to_a_turned_loop_and_laid_quads(self) -> None:
        page, screen = self.page, self.screen
        page.goto(self.server.address)
        page.get_by_label("Name").fill("Lantern")
        screen.button("empty").click()
        screen.station("Set out")
        screen.tool("Picture")
        page.get_by_label("Picture file").set_input_files(SKETCH)
        screen.steps(1)
        screen.tool("Component")
        screen.field("Clearance").fill("2")
        page.get_by_label("Component file").set_input_files(CELL)
        screen.steps(2)
        # A housing whose smooth surface is 32 mm wide: 7 mm around the cell of 18 mm.
        page.mouse.move(500, 640)
        screen.viewport.focus()
        page.keyboard.press("y")
        screen.field("Diameter").fill("3.2 cm")
        screen.field("Height").fill("80")
        screen.field("Faces along").fill("4")
        page.keyboard.press("Enter")
        screen.steps(3)
        self.assertEqual(page.get_by_test_id("short").count(), 0)
        page.get_by_label("Hide lantern sketch").click()
        page.get_by_label("Show lantern sketch").wait_for()
        screen.settled()
        # The ring at half height, picked by a double-click on one of its edges.
        piece = screen.state()["pieces"][0]["id"]
        before = self.points(piece)
        screen.viewport.focus()
        page.keyboard.press(".")
        page.keyboard.press("e")
        screen.settled()
        waist = np.flatnonzero(np.abs(before[:, 2]) < 1e-6)
        facing = sorted(waist, key=lambda v: before[v] @ np.array([0.55, -0.75, 0]))[-2:]
        page.mouse.dblclick(*screen.at(before[facing].mean(axis=0)))
        page.get_by_test_id("chosen").get_by_text("8 edges picked").wait_for()
        page.keyboard.press("t")
        screen.choose("Pivot", "world's origin")
        screen.field("About z").fill("360/12")
        page.keyboard.press("Enter")
        screen.steps(4)
        c, s = np.sqrt(3) / 2, 0.5
        expected = before.copy()
        expected[waist] = before[waist] @ np.array([[c, s, 0], [-s, c, 0], [0, 0, 1]])
        np.testing.assert_allclose(self.points(piece), expected, atol=1e-9)
        # Drawn in to half, the surface comes too near to the cell, and the strip says so before it is kept.
        page.keyboard.press("s")
        screen.field("All").fill("50")
        page.get_by_test_id("short").wait_for()
        page.keyboard.press("Escape")
        page.get_by_test_id("short").wait_for(state="detached")
        # A sheet beside it, laid on the sketch's plane.
        page.keyboard.press("z")
        screen.choose("Working plane", "picture lantern sketch")
        screen.viewport.focus()
        for key in ("1", "0"):
            page.keyboard.press(key)
            screen.settled()
        corners = [(26, 0, -20), (40, 0, -20), (40, 0, 0), (26, 0, 0)]
        for corner in corners:
            screen.click(corner)
        screen.steps(5)
        sheet = self.points(screen.state()["pieces"][1]["id"])
        np.testing.assert_allclose(sheet[:, 1], 0, atol=1e-9)
        for corner in corners:
            self.assertLess(np.linalg.norm(sheet - corner, axis=1).min(), 0.5)


class Touch(BrowserCase):
    own_page = True

    def touch(self, kind: str, *points: tuple[float, float]) -> None:
        self.session.send(
            "Input.dispatchTouchEvent",
            {"type": kind, "touchPoints": [{"x": x, "y": y, "id": i} for i, (x, y) in enumerate(points)]},
        )

    def test_a_finger_picks_and_drags_the_handle_and_two_zoom(self) -> None:
        self.begin_box()
        self.session = self.page.context.new_cdp_session(self.page)
        top = self.screen.faces_where(lambda x, y, z: z > 9.9)
        where = self.screen.at(self.screen.face_point(top[0]))
        self.touch("touchStart", where)
        self.touch("touchEnd")
        self.screen.settled()
        self.assertIn("1 face picked", self.screen.chosen())
        before = np.array(self.screen.cage()["positions"])
        middle = before[self.screen.cage()["faces"][top[0]]].mean(axis=0)
        start = self.screen.handle_point(middle, (0, 0, 1), 0.9)
        x0, y0 = self.screen.at(start)
        x1, y1 = self.screen.at(start + [0, 0, 8])
        self.touch("touchStart", (x0, y0))
        for k in range(1, 7):
            self.touch("touchMove", (x0 + (x1 - x0) * k / 6, y0 + (y1 - y0) * k / 6))
            self.page.wait_for_timeout(40)
        self.touch("touchEnd")
        self.screen.steps(2)
        after = np.array(self.screen.cage()["positions"])
        self.assertAlmostEqual(float(after[:, 2].max()), 18, delta=1.0)
        scale = self.screen.pixels_per_mm((0, 0, 0))
        self.touch("touchStart", (300, 620))
        self.touch("touchStart", (300, 620), (420, 620))
        for k in range(1, 7):
            self.touch("touchMove", (300 - 12 * k, 620), (420 + 12 * k, 620))
        self.touch("touchEnd")
        self.screen.settled()
        self.assertGreater(self.screen.pixels_per_mm((0, 0, 0)), 1.6 * scale)
        self.assertEqual(len(self.screen.state()["steps"]), 3)
