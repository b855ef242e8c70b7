"""Two tasks of a newcomer, by mouse and keys, with every click and key counted: few are enough, and nothing is refused."""

from __future__ import annotations

from typing import Any

import numpy as np

from tests.e2e.case import VerbCase

_COUNT = """() => {
  const made = JSON.parse(sessionStorage.getItem("made") ?? '{"clicks": 0, "keys": 0, "refusals": 0}');
  const keep = () => sessionStorage.setItem("made", JSON.stringify(made));
  window.addEventListener("pointerdown", () => { made.clicks += 1; keep(); }, true);
  window.addEventListener("keydown", (event) => {
    if (!["Shift", "Control", "Alt"].includes(event.key)) { made.keys += 1; keep(); }
  }, true);
  new MutationObserver(() => {
    const said = document.querySelectorAll(".MuiAlert-colorError, .MuiAlert-colorWarning").length;
    if (said) { made.refusals += 1; keep(); }
  }).observe(document, { subtree: true, childList: true });
}"""


class Newcomer(VerbCase):
    own_page = True

    def setUp(self) -> None:
        super().setUp()
        self.page.add_init_script(f"({_COUNT})()")
        self.page.goto(self.server.address)

    @property
    def made(self) -> dict[str, int]:
        made: dict[str, int] = self.page.evaluate("() => JSON.parse(sessionStorage.getItem('made'))")
        return made

    def click_button(self, name: str) -> None:
        self.page.get_by_role("button", name=name, exact=True).click()

    def type_into(self, label: str, text: str) -> None:
        """By keys alone, from where the keys are: the field is clicked, its number is replaced."""
        self.screen.field(label).click()
        self.page.keyboard.type(text)

    def test_a_bowl_with_a_wall_of_two_millimetres(self) -> None:
        self.click_button("with a box")
        self.screen.settled()
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        self.page.keyboard.press("5")
        self.screen.settled()
        points = self.screen.project(np.array(self.screen.cage()["positions"]))
        (left, up), (right, down) = points.min(axis=0) - 6, points.max(axis=0) + 6
        self.screen.drag((left, up), (right, down))
        self.page.keyboard.press("Delete")
        self.screen.steps(2)
        self.page.keyboard.press("Shift+T")
        self.previewed()
        self.type_into("Thickness", "2")
        self.page.get_by_text("Nothing crosses").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        cage = self.screen.cage()
        self.assertEqual((cage["open_edges"], self.euler()), ([], 2))
        made = self.made
        self.assertEqual(made["refusals"], 0)
        self.assertLessEqual(made["clicks"], 6)
        self.assertLessEqual(made["keys"], 8)

    def test_a_mirrored_handle_with_an_opening(self) -> None:
        """A block mirrored from its first row, and an opening through it at the seam."""
        self.click_button("with a box")
        self.screen.settled()
        self.type_into("Size x", "120")
        self.type_into("Faces x", "6")
        self.type_into("Faces y", "4")
        self.screen.choose("Mirrored", "across x")
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        self.page.keyboard.press(".")
        self.screen.settled()
        # Seen flat from above, a box around one face beside the seam takes it, and with Through the one below it.
        for key in ("0", "5", "h"):
            self.page.keyboard.press(key)
        self.screen.settled()
        cage: Any = self.screen.cage()
        above = [np.array(cage["positions"])[face] for face in cage["faces"]]
        face = min((f for f in above if f[:, 0].min() > -1 and f[:, 2].min() > 9), key=lambda f: abs(f.mean(axis=0)).sum())
        corners = self.screen.project(face)
        self.screen.drag(tuple(corners.min(axis=0) - 5), tuple(corners.max(axis=0) + 5))
        self.assertIn("2 faces picked", self.screen.chosen())
        self.page.keyboard.press("Shift+B")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        cage = self.screen.cage()
        self.assertEqual((cage["open_edges"], self.euler()), ([], 0), "one opening, with no wall in it")
        made = self.made
        self.assertEqual(made["refusals"], 0)
        self.assertLess(made["clicks"], 20)
        self.assertLess(made["keys"], 20)
