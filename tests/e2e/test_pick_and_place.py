"""Loops, bands, lasso, named sets; pivots, frames, nudges; whole pieces and variants. Coordinates by hand."""

from __future__ import annotations

import numpy as np
from playwright.sync_api import Locator

from tests.e2e.case import BrowserCase, VerbCase


class PickingByRules(BrowserCase):
    one_page = False

    def setUp(self) -> None:
        super().setUp()
        self.begin_box((60, 40, 20), (6, 4, 2))
        self.screen.station("Set out")

    def middle(self, face: int) -> np.ndarray:
        cage = self.screen.cage()
        return np.array(cage["positions"])[cage["faces"][face]].mean(axis=0)

    def chosen(self, words: str) -> None:
        self.page.get_by_test_id("chosen").get_by_text(words).wait_for()

    def test_loops_by_double_click_rings_bands_and_growth_by_key(self) -> None:
        self.page.keyboard.press("e")
        self.page.mouse.dblclick(*self.screen.at((10, 5, 10)))
        # Round the box across x = 10: four edges along y above, two down each side, four below.
        self.chosen("12 edges picked")
        self.page.keyboard.press("Escape")
        self.screen.click((10, 5, 10))
        self.page.keyboard.press("r")
        self.chosen("16 edges picked")
        self.page.keyboard.press("f")
        self.page.keyboard.press("Escape")
        top = self.screen.faces_where(lambda x, y, z: z > 9.9 and y == -5)
        self.screen.click(self.screen.face_point(top[0]))
        self.screen.click(self.screen.face_point(top[3]), shift=True)
        self.page.keyboard.press("k")
        self.chosen("4 faces picked")
        self.page.keyboard.press("g")
        self.chosen("18 faces picked")
        self.page.keyboard.press("Shift+g")
        self.chosen("4 faces picked")
        self.page.keyboard.press("i")
        self.chosen("84 faces picked")
        self.page.keyboard.press("Shift+a")
        self.chosen("No faces picked")

    def test_a_strip_of_faces_by_double_click_and_the_far_side(self) -> None:
        face = self.screen.faces_where(lambda x, y, z: z > 9.9 and x == 25 and y == -5)[0]
        x, y, z = self.middle(face)
        # Near to its edge at greater x the strip runs along x, round the box.
        self.page.mouse.dblclick(*self.screen.at((x + 3.5, y, z)))
        self.chosen("16 faces picked")
        self.page.keyboard.press("Escape")
        self.screen.click((x, y, z))
        self.page.keyboard.press("q")
        self.chosen("2 faces picked")

    def test_faces_are_named_and_recalled_and_kinds_converted(self) -> None:
        top = self.screen.faces_where(lambda x, y, z: z > 9.9)
        self.screen.click(self.screen.face_point(top[0]))
        self.page.get_by_role("button", name="Pick by…").click()
        self.page.get_by_role("menuitem", name="Similar: normal within 15°").click()
        self.chosen("24 faces picked")
        self.page.get_by_role("button", name="Pick by…").click()
        self.page.get_by_label("Name the picked faces").fill("Lid")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.assertEqual(self.screen.state()["pieces"][0]["face_sets"], {"Lid": 24})
        self.page.keyboard.press("Shift+a")
        self.chosen("No faces picked")
        self.page.get_by_role("button", name="Pick by…").click()
        self.page.get_by_role("menuitem", name="Lid").click()
        self.chosen("24 faces picked")
        self.page.keyboard.press("v")
        self.chosen("35 vertices picked")
        self.page.keyboard.press("e")
        self.chosen("58 edges picked")

    def test_a_lasso_takes_what_lies_within_it(self) -> None:
        self.screen.viewport.focus()
        for key in ("5", "v", "j"):
            self.page.keyboard.press(key)
        self.page.get_by_label("Show cage").click()
        self.screen.settled()
        path = [self.screen.at((x, y, 10)) for x, y in ((-15, -15), (15, -15), (15, 5), (-15, 5), (-15, -14))]
        mouse = self.page.mouse
        mouse.move(*path[0])
        mouse.down()
        for point in path[1:]:
            mouse.move(*point, steps=4)
        mouse.up()
        self.screen.settled()
        # x = -10, 0, 10 and y = -10, 0, on the upper side only.
        self.chosen("6 vertices picked")


class Placing(VerbCase):
    one_page = False

    def setUp(self) -> None:
        super().setUp()
        self.begin_box((40, 30, 20), (2, 2, 1))

    def pick_top(self) -> None:
        top = self.screen.faces_where(lambda x, y, z: z > 9.9)
        self.screen.click(self.screen.face_point(top[0]))
        for face in top[1:]:
            self.screen.click(self.screen.face_point(face), shift=True)

    def test_a_turn_of_360_by_12_about_a_picked_vertex(self) -> None:
        before = self.points()
        self.page.keyboard.press("v")
        self.screen.click((20, -15, 10))
        self.page.keyboard.press("u")
        self.page.keyboard.press("f")
        self.page.keyboard.press("Escape")
        self.page.keyboard.press("t")
        self.pick_top()
        self.screen.field("About z").fill("360/12")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        c, s = np.sqrt(3) / 2, 0.5
        expected = before.copy()
        held = before[:, 2] > 9.9
        x, y = before[held, 0] - 20, before[held, 1] + 15
        expected[held, 0], expected[held, 1] = 20 + c * x - s * y, -15 + s * x + c * y
        np.testing.assert_allclose(self.points(), expected, atol=1e-9)

    def test_sizing_to_nothing_along_a_picked_edge_lines_things_up(self) -> None:
        self.page.keyboard.press("v")
        self.screen.click((0, -15, 10))
        self.screen.field("Along z").fill("6")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        # The edge from (20, -15, 10) to (0, -15, 16): lined up across it, all picked points share their place along it.
        self.page.keyboard.press("e")
        self.page.keyboard.press("Escape")
        self.screen.click((12, -15, 12.4))
        self.page.keyboard.press("s")
        self.screen.choose("Along the axes of", "picked edge")
        self.screen.choose("Pivot", "world's origin")
        self.screen.field("Along x").fill("0")
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        along = np.array([20.0, 0, -6]) / np.hypot(20, 6)
        moved = [p for p in self.points() if abs(p[1] + 15) < 1e-9 and p[2] > -9]
        flat = sorted(abs(float(p @ along)) for p in moved)
        self.assertLess(flat[1], 1e-9)

    def test_a_typed_number_goes_on_with_what_is_added_and_goes_with_another_pick(self) -> None:
        before = self.points()
        self.screen.press("v")
        self.screen.press("m")
        self.screen.click((20, -15, 10))
        self.screen.field("Along z").fill("5")
        self.previewed()
        self.screen.click((0, -15, 10), shift=True)
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        risen = self.points()[:, 2] - before[:, 2]
        np.testing.assert_allclose(sorted(risen)[-3:], [0, 5, 5], atol=1e-9)
        # Typed, but then something else is picked: the number is for neither.
        self.screen.click((20, 15, 10))
        self.screen.field("Along z").fill("4")
        self.previewed()
        self.screen.click((0, 15, 10))
        self.assertEqual(self.screen.field("Along z").input_value(), "0")
        self.assertEqual(self.page.get_by_text("not applied yet").count(), 0)
        self.page.keyboard.press("Enter")
        # Refused or called off, the same number typed again counts again.
        self.screen.field("Along z").fill("4")
        self.previewed()
        self.page.keyboard.press("Escape")
        self.screen.settled()
        self.screen.field("Along z").fill("4")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)

    def test_arrows_nudge_by_a_chosen_step(self) -> None:
        self.screen.station("Set out")
        self.screen.tool("Grid, snapping")
        self.screen.field("Arrow step").fill("2.5")
        for key in "m1v":
            self.screen.press(key)
        self.screen.click((20, -15, 10))
        self.page.keyboard.press("ArrowRight")
        self.screen.steps(2)
        # Pressed again before the last was kept, they add up.
        for _ in range(4):
            self.page.keyboard.press("ArrowUp")
        self.page.get_by_test_id("chosen").get_by_text("at 22.5, -15, 20 mm").wait_for()
        self.page.keyboard.press("Control+z")
        self.page.get_by_test_id("chosen").get_by_text("at 22.5, -15, 20 mm").wait_for(state="detached")

    def test_with_x_held_a_drag_extrudes_in_one_step_and_the_move_tool_returns(self) -> None:
        self.pick_top()
        count = len(self.screen.cage()["faces"])
        self.page.keyboard.down("x")
        self.screen.settled()
        self.screen.pull((0, 0, 10), (1, 0, 0), 7)
        self.page.keyboard.up("x")
        self.screen.steps(2)
        cage = self.screen.cage()
        self.assertEqual(len(cage["faces"]), count + 8)
        moved = np.array(cage["positions"])[[v for f in cage["faces"] for v in f]]
        self.assertAlmostEqual(float(moved[:, 0].max()), 27, delta=0.6)
        self.assertEqual(self.move_button().get_attribute("aria-pressed"), "true")

    def move_button(self) -> Locator:
        return self.page.get_by_role("complementary").get_by_role("button", name="Move", exact=True)

    def test_each_along_its_own_normal_by_number(self) -> None:
        self.page.keyboard.press("a")
        self.screen.field("Each its own").fill("2")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        points = self.points()
        self.assertAlmostEqual(float(points[:, 2].max()), 12)
        # The middle of an edge has two sides: its own normal lies halfway between them.
        self.assertAlmostEqual(float(points[:, 0].max()), 20 + np.sqrt(2))

    def test_snapping_to_a_vertex_ends_a_drag_exactly_there(self) -> None:
        self.screen.station("Set out")
        self.screen.tool("Grid, snapping")
        self.page.get_by_label("Snap to vertices").click()
        self.page.keyboard.press("m")
        self.page.keyboard.press("v")
        self.page.keyboard.press("h")
        self.screen.click((0, 0, 10))
        start = self.screen.handle_point((0, 0, 10), (1, 0, 0), 0.75)
        self.screen.drag(self.screen.at(start), self.screen.at((20, -15, 10)), moves=10)
        self.screen.steps(2)
        self.assertIn("at 20, 0, 10 mm", self.screen.chosen())

    def test_whole_pieces_move_together_and_variants_are_compared(self) -> None:
        self.page.get_by_label("More for Box").click()
        self.page.get_by_role("menuitem", name="Duplicate").click()
        self.screen.steps(2)
        before = [self.points("p1"), self.points("p2")]
        self.page.keyboard.press("w")
        pieces = self.page.get_by_label("Pieces", exact=True)
        pieces.get_by_text("Box", exact=True).click()
        pieces.get_by_text("Box 2", exact=True).click(modifiers=["Shift"])
        self.assertIn("2 pieces picked", self.screen.chosen())
        self.page.keyboard.press("m")
        self.screen.field("Along y").fill("9")
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        for piece, was in zip(("p1", "p2"), before, strict=True):
            np.testing.assert_allclose(self.points(piece), was + [0, 9, 0], atol=1e-9)
        self.page.get_by_label("More for Box", exact=True).click()
        self.page.get_by_role("menuitem", name="Make a variant").click()
        self.screen.steps(4)
        self.page.get_by_label("More for Box, variant 1").click()
        self.page.get_by_role("menuitem", name="Compare with Box", exact=True).click()
        self.screen.settled()
        beside = self.screen.viewport.screenshot()
        self.screen.button("Laid over").click()
        self.screen.settled()
        self.assertNotEqual(self.screen.viewport.screenshot(), beside)
        self.page.get_by_role("region", name="Compare").get_by_role("button", name="Keep this one").last.click()
        self.screen.steps(5)
        self.assertEqual([p["name"] for p in self.screen.state()["pieces"]], ["Box", "Box 2"])

    def test_locked_pieces_say_so(self) -> None:
        self.page.get_by_label("Lock Box").click()
        self.screen.steps(2)
        # It lets clicks through; by its rules it is picked all the same.
        self.screen.press("f")
        self.screen.press("a")
        self.screen.field("Along z").fill("3")
        self.page.get_by_text("Box is locked; unlock it first.").wait_for()
        self.assertEqual(len(self.screen.state()["steps"]), 3)
