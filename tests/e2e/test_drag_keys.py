"""Keys while something is dragged, and what has the keys afterwards."""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Any

import numpy as np

from tests.e2e.case import VerbCase


class Dragging(VerbCase):
    def grasp(self, by: float = 4) -> Any:
        """A box of 20 with its upper face picked, and the arrow upwards dragged by some mm and held."""
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("m")
        self.press("f")
        self.screen.click((0, 0, 10))
        before = self.points()
        self.begin_dragging((0, 0, 10), by)
        return before

    def begin_dragging(self, middle: Sequence[float], by: float) -> None:
        start = self.screen.handle_point(middle, (0, 0, 1), 0.75)
        self.page.mouse.move(*self.screen.at(start))
        self.page.mouse.down()
        self.page.mouse.move(*self.screen.at(start + np.array((0, 0, by))), steps=4)
        self.screen.settled()

    def release(self) -> None:
        self.page.mouse.up()
        self.screen.settled()


class DragKeys(Dragging):
    def test_letters_do_nothing_in_a_drag(self) -> None:
        self.grasp()
        for key in ("v", "s", "t", "d", "Control+z", "Shift+d", "Delete"):
            self.page.keyboard.press(key)
        start = self.screen.handle_point((0, 0, 10), (0, 0, 1), 0.75)
        self.page.mouse.move(*self.screen.at(start + np.array((0, 0, 9.0))), steps=4)
        self.release()
        self.screen.steps(2)
        self.assertAlmostEqual(self.points()[:, 2].max(), 19, delta=0.5)
        self.assertIn("1 face picked", self.screen.chosen())
        self.assertTrue(self.page.get_by_role("button", name="Move", exact=False).first.get_attribute("aria-pressed"))

    def test_units_follow_digits_and_all_taken_back_the_hand_counts_again(self) -> None:
        # Half of what is typed is no number yet.
        self.expected_errors = ("422",)
        self.grasp()
        for key in "-.2 cm":
            self.page.keyboard.press(key)
        self.release()
        self.screen.steps(2)
        self.assertAlmostEqual(self.points()[:, 2].max(), 8, places=9)
        self.begin_dragging((0, 0, 8), 3)
        for key in ("7", "Backspace"):
            self.page.keyboard.press(key)
        self.release()
        self.screen.steps(3)
        self.assertAlmostEqual(self.points()[:, 2].max(), 11, delta=0.5)

    def test_what_is_no_number_is_not_applied_on_release(self) -> None:
        self.expected_errors = ("422",)
        before = self.grasp()
        for key in "5 xy":
            self.page.keyboard.press(key)
        # The words stay for a few seconds only, which may be gone until all is still.
        self.page.mouse.up()
        self.page.get_by_text("“5 xy” is no number: nothing was applied").wait_for()
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)

    def test_letters_do_nothing_while_a_box_is_drawn(self) -> None:
        self.begin_box((20, 20, 20), (2, 2, 2))
        self.press("f")
        corners = self.screen.project(self.points())
        (left, top), (right, bottom) = corners.min(axis=0) - 8, corners.max(axis=0) + 8
        self.page.mouse.move(left, top)
        self.page.mouse.down()
        self.page.mouse.move(right, bottom - 20, steps=4)
        self.page.keyboard.press("v")
        self.page.keyboard.press("h")
        self.page.mouse.move(right, bottom, steps=2)
        self.release()
        self.assertIn("12 faces picked", self.screen.chosen())

    def test_x_pressed_once_the_drag_has_begun_extrudes(self) -> None:
        for how in ("tapped", "held"):
            with self.subTest(how=how):
                before = self.grasp()
                if how == "tapped":
                    self.page.keyboard.press("x")
                else:
                    self.page.keyboard.down("x")
                start = self.screen.handle_point((0, 0, 10), (0, 0, 1), 0.75)
                self.page.mouse.move(*self.screen.at(start + np.array((0, 0, 8.0))), steps=4)
                self.release()
                self.page.keyboard.up("x")
                self.screen.steps(2)
                after = self.points()
                self.assertEqual(len(after), len(before) + 4)
                self.assertAlmostEqual(after[:, 2].max(), 18, delta=0.5)
                # The tool that was in hand is in hand again.
                self.screen.field("Along z").wait_for()

    def test_a_key_let_go_before_the_hand_leaves_the_drag_what_it_is(self) -> None:
        before = self.grasp()
        self.page.keyboard.down("x")
        self.page.keyboard.up("x")
        self.release()
        self.screen.steps(2)
        self.assertEqual(len(self.points()), len(before) + 4)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)


class Focus(VerbCase):
    def test_a_tool_taken_by_key_from_the_drawer_gives_the_keys_to_its_numbers(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("f")
        self.screen.click((0, 0, 10))
        self.page.get_by_label("Tools of Shape").get_by_role("button", name="Extrude").focus()
        self.page.keyboard.press("Enter")
        self.page.wait_for_function("() => document.activeElement?.closest('[aria-label=\"Tool card\"]')")
        self.page.keyboard.type("4")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.assertAlmostEqual(self.points()[:, 2].max(), 14)

    def test_one_key_leads_from_the_form_to_the_card_and_back(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("f")
        self.screen.click((0, 0, 10))
        self.press("F6")
        self.assertTrue(self.page.evaluate("document.activeElement.closest('[aria-label=\"Tool card\"]') !== null"))
        self.page.keyboard.press("F6")
        self.assertEqual(self.page.evaluate("document.activeElement.dataset.testid"), "viewport")

    def test_after_a_row_or_a_box_was_clicked_the_keys_are_the_forms(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("w")
        self.screen.click((0, 0, 10))
        self.screen.tool("Twist")
        self.previewed()
        self.page.get_by_label("Pieces").get_by_text("Box").first.click()
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)

    def test_elements_are_picked_by_keys_alone(self) -> None:
        self.begin_box((40, 30, 20), (4, 3, 2))
        for key in ("0", "1", "v", "Control+ArrowRight"):
            self.press(key)
        first = self.picked_at()
        self.assertEqual(first[1], -15, "what lies in the middle of the view, on the near side")
        for key, way in (("Right", (10, 0, 0)), ("Up", (0, 0, 10)), ("Left", (-10, 0, 0)), ("Down", (0, 0, -10))):
            before = self.picked_at()
            self.press(f"Control+Arrow{key}")
            np.testing.assert_allclose(self.picked_at() - before, way, atol=1e-9)
        self.press("Control+Shift+ArrowRight")
        self.page.get_by_test_id("chosen").get_by_text("2 vertices picked").wait_for()
        for kind, word in (("e", "edge"), ("f", "face")):
            self.press("Escape")
            self.press(kind)
            self.press("Escape")
            self.press("Control+ArrowLeft")
            self.page.get_by_test_id("chosen").get_by_text(f"1 {word} picked").wait_for()

    def picked_at(self) -> Any:
        """Where the picked vertex lies, by the fact strip."""
        self.page.get_by_test_id("chosen").get_by_text("1 vertex picked").wait_for()
        words = re.search(r"at (.*) mm", self.screen.chosen().replace("−", "-"))
        assert words is not None
        return np.array([float(x) for x in words.group(1).split(",")])


class Touch(VerbCase):
    own_page = True

    def test_one_finger_beside_the_form_turns_the_view_and_a_touch_picks_nothing(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("f")
        self.screen.click((0, 0, 10))
        hand = self.page.context.new_cdp_session(self.page)

        def finger(*points: tuple[float, float]) -> None:
            for i, (x, y) in enumerate(points):
                kind = "touchMove" if i else "touchStart"
                hand.send("Input.dispatchTouchEvent", {"type": kind, "touchPoints": [{"x": x, "y": y}]})
            hand.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})
            self.screen.settled()

        before = self.screen.viewport.get_attribute("data-view-projection")
        finger((330, 560), (380, 540), (430, 520))
        self.assertNotEqual(self.screen.viewport.get_attribute("data-view-projection"), before)
        self.assertIn("1 face picked", self.screen.chosen())
        finger((330, 560))
        self.page.get_by_test_id("chosen").get_by_text("No faces picked").wait_for()


class Haste(Dragging):
    """Without a graphics card a large form is drawn coarsely while it moves, and whole once it rests."""

    own_page = True

    def setUp(self) -> None:
        super().setUp()
        self.context.add_init_script("localStorage.setItem('zinc-otter.quick-drawing', 'no')")

    def pixels(self) -> int:
        wide = self.page.evaluate("() => document.querySelector('[data-testid=viewport] canvas').width")
        return int(wide)

    def test_in_haste_while_it_is_dragged_and_whole_after(self) -> None:
        self.begin_box((40, 40, 40), (16, 16, 16))
        self.page.get_by_role("button", name="Look…").click()
        self.page.get_by_label("Smoothness: 3").click()
        self.page.keyboard.press("Escape")
        self.press("m")
        self.press("v")
        whole = self.pixels()
        self.screen.click((20, -20, 20))
        before = np.array(self.screen.cage()["positions"])
        start = self.screen.handle_point((20, -20, 20), (1, 0, 0), 0.75)
        self.page.mouse.move(*self.screen.at(start))
        self.page.mouse.down()
        least = whole
        for k in range(1, 9):
            self.page.mouse.move(*self.screen.at(start + np.array((0.7 * k, 0, 0))))
            self.page.wait_for_timeout(60)
            least = min(least, self.pixels())
        self.assertEqual(least, whole // 2)
        # Held still it is drawn whole, too; and nothing is told to be drawn any more only then.
        self.screen.settled()
        self.assertEqual(self.pixels(), whole)
        self.release()
        self.screen.steps(2)
        self.assertEqual(self.pixels(), whole)
        after = np.array(self.screen.cage()["positions"])
        moved = np.flatnonzero((after != before).any(axis=1))
        self.assertEqual(len(moved), 1)
        self.assertGreater(after[moved[0], 0], 22)

    def test_a_small_form_is_drawn_whole_all_the_time(self) -> None:
        self.grasp()
        self.assertEqual(
            self.pixels(), self.page.evaluate("() => document.querySelector('[data-testid=viewport] canvas').clientWidth")
        )
        self.release()
