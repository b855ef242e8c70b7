"""What numbers, Enter and Escape do wherever the focus is: by mouse and keys as a person would."""

from __future__ import annotations

from typing import Any

import numpy as np

from tests.e2e.case import VerbCase


class NumberCase(VerbCase):
    def begin_extruding(self) -> Any:
        """A box with its upper face picked and the tool for extruding taken by mouse; its first number."""
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.press("f")
        self.screen.click((0, 0, 10))
        self.screen.tool("Extrude")
        return self.screen.field("Distance")


class WrongNumbers(NumberCase):
    def test_a_wrong_number_blocks_applying_by_enter_and_by_the_button(self) -> None:
        self.expected_errors = ("422",)
        field = self.begin_extruding()
        before = self.points()
        field.fill("5")
        self.previewed()
        field.fill("3 bananas")
        self.page.get_by_text("no unit 'bananas'").wait_for()
        self.page.get_by_text("A number is wrong: nothing is applied").wait_for()
        field.press("Enter")
        card = self.page.get_by_label("Tool card")
        self.assertTrue(card.get_by_role("button", name="Extrude", exact=True).is_disabled())
        # Enter on the form itself leads back to the field that is wrong.
        self.page.evaluate("document.activeElement.blur()")
        self.page.keyboard.press("Enter")
        self.assertEqual(self.page.evaluate("document.activeElement.value"), "3 bananas")
        self.screen.settled()
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)
        field.fill("sqrt(3^2 + 4^2)")
        field.press("Enter")
        self.screen.steps(2)
        self.assertAlmostEqual(self.points()[:, 2].max(), 15)

    def test_a_form_is_not_put_down_with_a_wrong_size(self) -> None:
        self.expected_errors = ("422",)
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.screen.station("Rough")
        self.screen.tool("Plane")
        self.previewed()
        field = self.screen.field("Size x")
        field.fill("abc")
        self.page.get_by_text("'abc' stands where a number was expected").wait_for()
        field.press("Enter")
        self.screen.settled()
        self.screen.steps(1)
        # The whole is taken back by leaving the tool: nothing stays held.
        self.page.keyboard.press("Escape")
        self.page.keyboard.press("Escape")
        self.screen.tool("Plane")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)

    def test_what_is_too_large_is_said_in_words(self) -> None:
        self.begin_extruding().fill("1e9")
        self.page.get_by_text("at most 1000000 mm").wait_for()

    def test_a_comma_that_may_part_thousands_is_asked_about(self) -> None:
        self.expected_errors = ("422",)
        field = self.begin_extruding()
        field.fill("1,000")
        self.page.get_by_text("may be 1000 or 1.000").wait_for()
        field.press("Enter")
        self.screen.settled()
        self.screen.steps(1)
        for text, height in (("1,000.5", 1010.5), ("1,5", 11.5), ("0,125", 10.125)):
            field.fill(text)
            field.press("Enter")
            self.screen.steps(2)
            self.assertAlmostEqual(self.points()[:, 2].max(), height)
            self.page.keyboard.press("Control+z")
            self.screen.steps(1)

    def test_cards_with_buttons_of_their_own_wait_too(self) -> None:
        self.expected_errors = ("422",)
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.screen.station("Make")
        self.screen.tool("Print bench")
        hand = self.screen.button("Hand over Box")
        self.assertTrue(hand.is_enabled())
        self.screen.field("Layer").fill("thin")
        self.page.get_by_text("'thin' stands where").wait_for()
        self.assertTrue(hand.is_disabled())
        self.screen.field("Layer").fill("0.3")
        self.assertTrue(hand.is_enabled())


class Keys(NumberCase):
    def test_enter_applies_after_a_tool_was_taken_by_mouse_and_a_choice_made(self) -> None:
        self.begin_box((20, 20, 60), (2, 2, 6))
        self.press("w")
        self.screen.click((0, -10, 5))
        self.screen.tool("Twist")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.screen.tool("Bend")
        self.previewed()
        self.screen.choose("Towards", "+ y")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)

    def test_undo_and_redo_from_a_number(self) -> None:
        field = self.begin_extruding()
        before = self.points()
        field.fill("5")
        field.press("Enter")
        self.screen.steps(2)
        field.focus()
        field.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)
        field.press("Control+y")
        self.screen.steps(2)

    def test_escape_closes_the_sheet_of_keys_and_nothing_under_it(self) -> None:
        self.begin_extruding().fill("5")
        self.previewed()
        self.page.get_by_role("button", name="All keys").or_(self.page.get_by_label("All keys")).first.click()
        sheet = self.page.get_by_role("dialog", name="All keys")
        sheet.wait_for()
        sheet.get_by_role("heading", name="All keys").click()
        self.page.keyboard.press("Escape")
        sheet.wait_for(state="detached")
        self.previewed()
        self.screen.steps(1)

    def test_a_button_that_was_reached_by_key_keeps_enter(self) -> None:
        self.begin_extruding().fill("5")
        self.previewed()
        through = self.page.get_by_role("button", name="Pick through (H)")
        through.focus()
        for pressed in ("true", "false"):
            self.page.keyboard.press("Enter")
            self.assertEqual(through.get_attribute("aria-pressed"), pressed)
        self.screen.steps(1)
