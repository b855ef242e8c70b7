"""What a box and a lasso take with Through off: what is seen, in flat views too, on wholes, halves and open sheets."""

from __future__ import annotations

from tests.e2e.case import VerbCase

# Faces, edges and vertices of one side of a box of 4 by 3 by 2 faces.
TOP = {"f": "12 faces", "e": "31 edges", "v": "20 vertices"}
FRONT = {"f": "8 faces", "e": "22 edges", "v": "15 vertices"}


class Sight(VerbCase):
    one_page = False

    def begin_flat(self, view: str, *commands: dict[str, object]) -> None:
        self.begin_with(*commands)
        self.press("0")
        self.press(view)

    def box(self, **more: object) -> dict[str, object]:
        return {"kind": "add-box", "size": [40, 30, 20], "counts": [4, 3, 2], "size_of": "cage", **more}

    def band(self) -> str:
        """A box around all that is there."""
        box = self.screen.viewport.bounding_box()
        assert box is not None
        right, bottom = box["x"] + box["width"] - 160, box["y"] + box["height"] - 160
        self.screen.drag((box["x"] + 200, box["y"] + 70), (right, bottom))
        return self.screen.chosen()

    def test_in_a_flat_view_a_box_takes_the_near_side_alone(self) -> None:
        self.begin_flat("5", self.box())
        for shown in ("both", "surface", "cage"):
            for kind, count in TOP.items():
                with self.subTest(shown=shown, kind=kind):
                    self.press(kind)
                    self.assertIn(f"{count} picked", self.band())
            self.press("d")
        self.assertEqual(self.page.get_by_test_id("hidden").count(), 0)

    def test_from_the_side_too_and_from_far_away(self) -> None:
        self.begin_flat("1", self.box())
        for _ in range(2):
            for kind, count in FRONT.items():
                self.press(kind)
                self.assertIn(f"{count} picked", self.band())
            for _ in range(6):
                self.press("-")

    def test_a_lasso_takes_the_same(self) -> None:
        self.begin_flat("5", self.box())
        self.press("j")
        self.press("f")
        x, y = self.screen.at((0, 0, 0))
        mouse = self.page.mouse
        mouse.move(x - 260, y - 200)
        mouse.down()
        for dx, dy in ((260, -200), (260, 200), (-260, 200), (-260, -190)):
            mouse.move(x + dx, y + dy, steps=4)
        mouse.up()
        self.screen.settled()
        self.assertIn("12 faces picked", self.screen.chosen())

    def test_through_takes_all_and_says_how_many_are_out_of_sight(self) -> None:
        self.begin_flat("5", self.box())
        self.press("h")
        self.press("f")
        self.assertIn("52 faces picked", self.band())
        self.page.get_by_text("40 of them out of sight").wait_for()
        # Turned about, what was in sight is out of it.
        self.page.keyboard.press("h")
        self.press("Escape")
        self.band()
        self.assertIn("12 faces picked", self.screen.chosen())
        self.press("1")
        self.page.get_by_test_id("hidden").get_by_text("out of sight").wait_for()

    def test_an_open_sheet_is_taken_from_both_sides_and_not_edge_on(self) -> None:
        plane = {"kind": "add-plane", "size": [40, 30], "counts": [4, 3], "size_of": "cage"}
        self.begin_flat("5", plane)
        self.press("f")
        self.assertIn("12 faces picked", self.band())
        self.page.keyboard.press("Escape")
        self.press("6")
        self.assertIn("12 faces picked", self.band())
        self.page.keyboard.press("Escape")
        self.press("1")
        self.assertIn("No faces picked", self.band())

    def test_both_halves_of_a_mirrored_form(self) -> None:
        self.begin_flat("5", self.box(), {"kind": "mirror", "piece": "p1"})
        for kind, count in TOP.items():
            self.press(kind)
            self.assertIn(f"{count} picked", self.band())
