"""The list of pieces and what stands among the steps; nudges; glass; and a view that is there again."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image

from tests.e2e.case import VerbCase

BOXES = [
    *(
        {"kind": "add-box", "name": name, "size": [20, 20, 20], "counts": [1, 1, 1], "size_of": "cage"}
        for name in ("Lid", "Pin", "Body")
    ),
    {"kind": "move", "piece": "p2", "picked": {"kind": "piece", "ids": [0]}, "vector": [40, 0, 0]},
    {"kind": "move", "piece": "p3", "picked": {"kind": "piece", "ids": [0]}, "vector": [80, 0, 0]},
]


class Steps(VerbCase):
    def test_a_run_of_nudges_is_one_step_also_when_each_was_kept(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        before = self.points()
        self.press("1")
        self.press("f")
        self.screen.click((0, -10, 0))
        for _ in range(3):
            self.page.keyboard.press("ArrowRight")
            # Long enough for each to have been kept by itself.
            self.screen.settled()
        self.screen.steps(2)
        moved = self.points() - before
        grid = float(np.abs(moved).max()) / 3
        self.assertGreater(grid, 0.01)
        self.assertEqual(len(self.screen.state()["steps"]), 3)
        # Another way of changing ends the run.
        self.page.wait_for_timeout(2100)
        self.page.keyboard.press("ArrowRight")
        self.screen.steps(3)
        self.page.keyboard.press("Control+z")
        self.screen.steps(2)
        np.testing.assert_allclose(self.points() - before, moved)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)

    def test_showing_and_hiding_are_undone_but_no_steps_of_the_form(self) -> None:
        self.begin_with(*BOXES)
        titles = self.page.get_by_label("Steps").get_by_role("listitem")
        count = titles.count()
        self.screen.button("Hide Pin").click()
        self.screen.button("Show Pin").wait_for()
        self.screen.settled()
        self.assertEqual(titles.count(), count)
        self.assertEqual([p["visible"] for p in self.screen.state()["pieces"]], [True, False, True])
        # The next step of the form has the next number.
        self.screen.button("More for Body").click()
        self.page.get_by_role("menuitem", name="Make a variant").click()
        self.screen.steps(len(BOXES) + 1)
        self.page.keyboard.press("Control+z")
        self.screen.steps(len(BOXES))
        self.page.keyboard.press("Control+z")
        self.screen.button("Hide Pin").wait_for()
        self.assertEqual([p["visible"] for p in self.screen.state()["pieces"]], [True, True, True])
        self.screen.steps(len(BOXES))


class Groups(VerbCase):
    def test_a_groups_name_eye_and_lock_are_for_all_of_it(self) -> None:
        self.begin_with(*BOXES, {"kind": "group-pieces", "pieces": ["p1", "p2"], "group": "Top"})
        self.page.get_by_role("button", name="Pick all of Top").click()
        self.screen.settled()
        self.assertIn("2 pieces", self.screen.chosen())
        self.press("Escape")
        self.assertIn("No pieces", self.screen.chosen())
        self.page.get_by_role("button", name="Pick all of Top").click()
        self.screen.settled()
        self.assertIn("2 pieces", self.screen.chosen())
        self.screen.button("Hide all of Top").click()
        self.screen.button("Show all of Top").wait_for()
        self.assertEqual([p["visible"] for p in self.screen.state()["pieces"]], [False, False, True])
        # The eye of one is for one.
        self.screen.button("Show Pin").click()
        self.screen.button("Hide Pin").wait_for()
        self.assertEqual([p["visible"] for p in self.screen.state()["pieces"]], [False, True, True])
        self.screen.button("Lock all of Top").click()
        self.screen.button("Unlock all of Top").wait_for()
        self.assertEqual([p["locked"] for p in self.screen.state()["pieces"]], [True, True, False])

    def test_a_piece_is_seen_through(self) -> None:
        # A pin within a body: its colour is seen only once the body is glass.
        inner = {**BOXES[1], "size": [8, 8, 8]}
        self.begin_with(BOXES[0], inner, {"kind": "colour-piece", "piece": "p2", "colour": "brick"})
        before = self.pixel()
        self.screen.button("More for Lid").click()
        self.page.get_by_role("menuitem", name="See through it").click()
        self.screen.settled()
        through = self.pixel()
        self.assertGreater(np.abs(through - before).max(), 12)
        self.screen.button("More for Lid").click()
        self.page.get_by_role("menuitem", name="See it whole again").click()
        self.screen.settled()
        self.assertLess(np.abs(self.pixel() - before).max(), 4)
        self.screen.steps(3)

    def pixel(self) -> np.ndarray:
        """The colour where the middle of the form lies."""

        self.page.mouse.move(640, 790)
        self.page.wait_for_timeout(300)
        x, y = self.screen.at((3, -3, 2))
        image = np.asarray(Image.open(io.BytesIO(self.page.screenshot())).convert("RGB"), dtype=float)
        return image[int(y) - 2 : int(y) + 3, int(x) - 2 : int(x) + 3].mean(axis=(0, 1))


class View(VerbCase):
    one_page = False

    def test_a_design_is_seen_again_as_it_was_left(self) -> None:
        self.begin_box()
        address = self.page.url
        self.press("6")
        self.press("0")
        self.press("+")
        self.page.wait_for_timeout(600)
        left = self.screen.viewport.get_attribute("data-view-projection")
        assert left is not None
        self.page.goto(self.server.address)
        self.page.goto(address)
        self.screen.steps(1)
        again = self.screen.viewport.get_attribute("data-view-projection")
        assert again is not None
        np.testing.assert_allclose(*([float(x) for x in m.split()] for m in (again, left)), atol=1e-6)
        # Another design is seen whole, in perspective.
        self.begin_box((200, 20, 20))
        other = self.screen.viewport.get_attribute("data-view-projection")
        self.assertNotEqual(other, again)
