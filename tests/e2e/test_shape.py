"""Push and pull, extrude, crease, delete, undo: by mouse and by keys; the form on the server is what counts."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image

from tests.e2e.case import BrowserCase


class Shown(BrowserCase):
    def test_the_surface_on_the_screen_follows_picked_faces(self) -> None:
        """What is drawn after a move of picked faces is what a fresh page draws, not only the numbers."""
        self.begin_box((40, 30, 20), (3, 3, 2))
        top = self.screen.faces_where(lambda x, y, z: z > 9 and abs(x) < 2 and abs(y) < 2)

        def drawn() -> np.ndarray:
            self.screen.viewport.focus()
            for key in ("Escape", "Escape", "Escape", "1", "7", "."):
                self.page.keyboard.press(key)
                self.screen.settled()
            picture = self.page.screenshot(clip={"x": 200, "y": 120, "width": 640, "height": 420})
            return np.asarray(Image.open(io.BytesIO(picture)).convert("L"), dtype=np.float64)

        before = drawn()
        self.page.keyboard.press("m")
        self.screen.click(self.screen.face_point(top[0]))
        # Twice: the tint of the first preview is gone when the second comes.
        for amount in ("3", "-4"):
            self.screen.field("Along z").fill(amount)
            self.page.get_by_text("not applied yet").wait_for()
            self.screen.settled()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        after = drawn()
        self.page.reload()
        self.screen.settled()
        fresh = drawn()
        self.assertGreater(np.abs(fresh - before).max(), 20, "the dent shows")
        self.assertLess(np.abs(after - fresh).mean(), 0.2)


class Shaping(BrowserCase):
    one_page = True

    def setUp(self) -> None:
        super().setUp()
        self.begin_box()
        self.top = self.screen.faces_where(lambda x, y, z: z > 9.9)

    def points(self) -> np.ndarray:
        return np.array(self.screen.cage()["positions"])

    def pick_top(self) -> None:
        self.screen.click(self.screen.face_point(self.top[0]))
        for face in self.top[1:]:
            self.screen.click(self.screen.face_point(face), shift=True)
        self.assertIn("4 faces picked", self.screen.chosen())

    def title(self) -> str:
        state = self.screen.state()
        return str(state["steps"][state["head"]]["title"])

    def test_an_arrow_moves_along_its_axis_and_one_drag_is_one_step(self) -> None:
        self.pick_top()
        before = self.points()
        self.screen.pull((0, 0, 10), (1, 0, 0), 8)
        self.screen.steps(2)
        shift = self.points() - before
        held = before[:, 2] > 9.9
        np.testing.assert_allclose(shift[held], [[shift[held][0, 0], 0, 0]] * held.sum(), atol=1e-9)
        self.assertAlmostEqual(shift[held][0, 0], 8, delta=0.4)
        np.testing.assert_array_equal(shift[~held], 0)
        self.assertIn("4 faces picked", self.screen.chosen())

    def test_a_patch_moves_in_its_plane(self) -> None:
        self.pick_top()
        before = self.points()
        middle = np.array([0.0, 0, 10])
        x_and_y = self.screen.handle_point(middle, (0.42, 0.42, 0), 1.0)
        self.screen.drag(self.screen.at(x_and_y), self.screen.at(x_and_y + [5, -4, 0]))
        self.screen.steps(2)
        shift = (self.points() - before)[before[:, 2] > 9.9][0]
        np.testing.assert_allclose(shift, [5, -4, 0], atol=0.4)
        self.assertEqual(shift[2], 0)

    def test_the_normal_arrow_pulls_along_the_mean_normal(self) -> None:
        side = self.screen.faces_where(lambda x, y, z: y < -14.9)
        self.screen.click(self.screen.face_point(side[1]))
        before = self.points()
        middle = before[self.screen.cage()["faces"][side[1]]].mean(axis=0)
        self.screen.pull(middle, (0, -1, 0), 6, share=0.45)
        self.screen.steps(2)
        shift = self.points() - before
        self.assertAlmostEqual(shift[:, 1].min(), -6, delta=0.4)
        self.assertIn("Pulled 1 face", self.title())

    def test_the_surface_follows_while_the_drag_goes_on(self) -> None:
        self.pick_top()
        start = self.screen.handle_point((0, 0, 10), (1, 0, 0), 0.75)
        mouse = self.page.mouse
        before = self.screen.viewport.screenshot()
        mouse.move(*self.screen.at(start))
        mouse.down()
        for step in (2, 4, 6, 9):
            mouse.move(*self.screen.at(start + [step, 0, 0]))
            self.page.wait_for_timeout(40)
        self.page.get_by_text("Enter applies, Esc backs out").wait_for()
        self.screen.settled()
        self.assertNotEqual(self.screen.viewport.screenshot(), before)
        self.assertEqual(len(self.screen.state()["steps"]), 2)
        self.page.keyboard.press("Escape")
        mouse.up()
        self.screen.settled()
        self.assertEqual(len(self.screen.state()["steps"]), 2)
        self.assertIn("4 faces picked", self.screen.chosen())

    def test_a_number_typed_during_the_drag_makes_it_exact(self) -> None:
        self.pick_top()
        before = self.points()
        start = self.screen.handle_point((0, 0, 10), (1, 0, 0), 0.75)
        self.page.mouse.move(*self.screen.at(start))
        self.page.mouse.down()
        self.page.mouse.move(*self.screen.at(start + [2, 0, 0]))
        self.page.mouse.move(*self.screen.at(start + [4, 0, 0]))
        self.page.keyboard.type("7.25")
        self.page.keyboard.press("Enter")
        self.page.mouse.up()
        self.screen.steps(2)
        self.assertEqual((self.points() - before).max(), 7.25)

    def test_typed_amounts(self) -> None:
        self.pick_top()
        before = self.points()
        self.screen.field("Along z").fill("2.5")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        np.testing.assert_allclose((self.points() - before)[before[:, 2] > 9.9], [[0, 0, 2.5]] * 9)
        self.screen.field("Along normal").fill("-2.5")
        self.screen.button("Move").last.click()
        self.screen.steps(3)
        np.testing.assert_allclose(self.points(), before, atol=1e-12)

    def test_turn_by_arc_and_by_number(self) -> None:
        self.pick_top()
        before = self.points()
        self.page.keyboard.press("t")
        self.screen.settled()
        middle = np.array([0.0, 0, 10])
        # The arc about z has the innermost radius.
        at = [self.screen.handle_point(middle, (np.cos(a), np.sin(a), 0), 0.83) for a in (-1.2, -0.9, -0.6)]
        self.screen.drag(self.screen.at(at[0]), self.screen.at(at[2]), moves=8)
        self.screen.steps(2)
        x, y = self.points()[np.argmax(before @ [1, 1, 100])][:2]
        turned = np.degrees(np.arctan2(y, x) - np.arctan2(15, 20))
        self.assertAlmostEqual(turned, np.degrees(0.6), delta=2)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        self.screen.field("About z").fill("90")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        top = self.points()[before[:, 2] > 9.9]
        np.testing.assert_allclose(np.ptp(top, axis=0), [30, 40, 0], atol=1e-9)

    def test_size_by_bead_and_by_number(self) -> None:
        self.pick_top()
        before = self.points()
        self.page.keyboard.press("s")
        self.screen.settled()
        bead = self.screen.handle_point((0, 0, 10), (1, 0, 0), 0.95)
        self.screen.drag(self.screen.at(bead), self.screen.at(bead * [1.5, 1, 1]))
        self.screen.steps(2)
        extent = np.ptp(self.points()[before[:, 2] > 9.9], axis=0)
        self.assertAlmostEqual(extent[0], 60, delta=2.5)
        self.assertEqual(extent[1], 30)
        self.screen.field("All").fill("50")
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        self.assertAlmostEqual(np.ptp(self.points()[before[:, 2] > 9.9], axis=0)[1], 15)

    def test_extrude_by_drag_and_by_number_several_times(self) -> None:
        self.screen.click(self.screen.face_point(self.top[0]))
        middle = self.points()[self.screen.cage()["faces"][self.top[0]]].mean(axis=0)
        self.page.keyboard.press("x")
        self.screen.settled()
        self.screen.pull(middle, (0, 0, 1), 9, share=0.45)
        self.screen.steps(2)
        height = self.points()[:, 2].max()
        self.assertAlmostEqual(height, 19, delta=0.5)
        self.assertIn("1 face picked", self.screen.chosen())
        self.screen.field("Distance").fill("6")
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        self.page.keyboard.press("Enter")
        self.screen.steps(4)
        self.assertAlmostEqual(self.points()[:, 2].max(), height + 12)
        cage = self.screen.cage()
        self.assertEqual(len(cage["faces"]), 16 + 3 * 4)
        self.assertEqual(cage["open_edges"], [])

    def test_a_crease_tightens_the_surface(self) -> None:
        surface = f"/api/designs/{self.screen.design_id}/pieces/p1/surface?level=3"
        widest = np.array(self.server.get(surface)["positions"])[:, 0].max()
        self.page.keyboard.press("e")
        edges = [(20, 7.5, 10), (20, -7.5, 10), (10, -15, 10), (-10, -15, 10)]
        self.screen.click(edges[0])
        for edge in edges[1:]:
            self.screen.click(edge, shift=True)
        self.assertIn("4 edges picked", self.screen.chosen())
        self.page.keyboard.press("c")
        self.screen.settled()
        self.screen.field("Sharpness").fill("11")
        self.page.get_by_text("at most 10").wait_for()
        self.screen.field("Sharpness").fill("3.5")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.assertEqual(sorted(self.screen.cage()["creases"].values()), [3.5] * 4)
        self.assertGreater(np.array(self.server.get(surface)["positions"])[:, 0].max(), widest + 0.5)
        self.assertIn("sharpness 3.5", self.title())

    def test_delete_faces_and_whole_pieces(self) -> None:
        self.pick_top()
        self.page.keyboard.press("Delete")
        self.screen.steps(2)
        self.assertEqual(len(self.screen.cage()["faces"]), 12)
        self.assertIn("8 open edges", self.page.get_by_test_id("counts").inner_text())
        self.page.get_by_label("More for Box").click()
        self.page.get_by_role("menuitem", name="Delete").click()
        self.screen.steps(3)
        self.assertEqual(self.screen.state()["pieces"], [])
        self.page.get_by_text("Nothing here yet").wait_for()
        self.page.keyboard.press("Control+z")
        self.screen.steps(2)
        self.assertEqual(len(self.screen.cage()["faces"]), 12)

    def test_undo_redo_and_a_click_on_a_step(self) -> None:
        self.pick_top()
        forms = [self.points()]
        for amount in ("3", "-5", "4"):
            self.screen.field("Along z").fill(amount)
            self.page.keyboard.press("Enter")
            self.screen.steps(len(forms) + 1)
            forms.append(self.points())
        self.screen.button("Undo").click()
        self.screen.steps(3)
        np.testing.assert_array_equal(self.points(), forms[2])
        self.screen.button("Redo").click()
        self.screen.steps(4)
        np.testing.assert_array_equal(self.points(), forms[3])
        self.page.get_by_label("Steps").get_by_text("Put down a box").click()
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), forms[0])
        self.assertEqual(len(self.screen.state()["steps"]), 5)

    def test_a_tool_by_its_name_and_the_sheet_of_keys(self) -> None:
        self.page.keyboard.press("/")
        self.page.get_by_role("listbox").wait_for()
        groups = self.page.locator("[role=listbox] > li > p").all_inner_texts()
        self.assertEqual(groups, ["Set out", "Rough", "Shape", "Refine", "Relief", "Prove", "Make"])
        self.page.get_by_role("combobox", name="Find a tool").fill("extr")
        self.page.keyboard.press("Enter")
        self.page.get_by_text("Pick faces (F), a piece (W) or edges (E) first.").wait_for()
        self.page.keyboard.press("?")
        self.page.get_by_role("dialog", name="All keys").wait_for()
        self.page.get_by_role("button", name="Close").click()

    def test_a_whole_form_cannot_be_extruded_and_the_card_says_why(self) -> None:
        self.page.keyboard.press("a")
        self.page.keyboard.press("x")
        self.screen.settled()
        self.screen.field("Distance").fill("4")
        self.page.get_by_text("has no rim to extrude from").wait_for()
        self.assertEqual(len(self.screen.state()["steps"]), 2)

    def test_two_pages_on_one_design_stay_together(self) -> None:
        other = self.page.context.new_page()
        other.goto(self.page.url)
        other.get_by_label("Steps").get_by_text("Put down a box").wait_for()
        self.pick_top()
        self.screen.field("Along z").fill("3")
        self.page.keyboard.press("Enter")
        other.get_by_label("Steps").get_by_text("Moved 4 faces of Box by z 3 mm").wait_for()

    def test_hide_show_and_rename_a_piece(self) -> None:
        shown = self.screen.viewport.screenshot()
        self.page.get_by_label("Hide Box").click()
        self.page.get_by_label("Show Box").wait_for()
        self.screen.settled()
        self.assertNotEqual(self.screen.viewport.screenshot(), shown)
        self.page.get_by_label("Show Box").click()
        self.page.get_by_label("Hide Box").wait_for()
        self.page.get_by_label("More for Box").click()
        self.page.get_by_role("menuitem", name="Rename").click()
        self.page.get_by_label("Piece name").fill("Housing")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.assertEqual(self.screen.state()["pieces"][0]["name"], "Housing")
