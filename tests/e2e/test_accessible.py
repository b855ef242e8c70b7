"""axe-core over stations, cards and menus: nothing of serious or critical rank (WCAG 2.2 A and AA, best practice)."""

from __future__ import annotations

from pathlib import Path
from typing import Any

from tests.e2e.case import BrowserCase

_AXE = Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js"
_RUN = """async (within) => {
  const found = await axe.run(within ?? document, { resultTypes: ["violations"] });
  const words = (n) => `${n.target.join(" ")} :: ${n.html.slice(0, 160)}`;
  return found.violations.map((v) => [v.impact, v.id, v.nodes.map(words)]);
}"""
RANKS = ("serious", "critical")
MODERATE = ("page-has-heading-one", "landmark-one-main", "list", "heading-order")
"""Rules of a lesser rank that are kept as well."""


class Accessible(BrowserCase):
    demo = True

    def look(self, where: str, wait: int = 350, within: str | None = None) -> None:
        """Look at the whole page, or at what a selector finds on it."""
        with self.subTest(where):
            # What fades in is not to be read yet.
            self.page.wait_for_timeout(wait)
            if not self.page.evaluate("() => 'axe' in window"):
                self.page.evaluate(_AXE.read_text("utf-8"))
            found: list[Any] = self.page.evaluate(_RUN, within)
            grave = [
                f"{rank} {rule}: {node}"
                for rank, rule, nodes in found
                if rank in RANKS or rule in MODERATE
                for node in nodes[:3]
            ]
            self.assertEqual(grave, [])

    def test_the_list_of_designs(self) -> None:
        self.page.goto(self.server.address)
        self.page.get_by_label("Open Paddle grip").wait_for()
        self.look("first screen")
        self.page.get_by_label("More for Paddle grip").click()
        self.look("menu of a design")

    def test_every_station_and_every_card(self) -> None:
        # A plain form: what a tool shows of a large one takes its time, and its card is the same.
        self.begin_with({"kind": "add-box", "size": [40, 30, 20], "counts": [2, 2, 2], "size_of": "cage"})
        self.screen.click(self.screen.face_point(0))
        for station in ("Set out", "Rough", "Shape", "Refine", "Relief", "Prove", "Make"):
            self.screen.station(station)
            drawer = self.page.get_by_label(f"Tools of {station}")
            # At 1280 by 800 all tools of a station are seen at once.
            hidden = drawer.evaluate("drawer => drawer.scrollHeight - drawer.clientHeight")
            self.assertLessEqual(hidden, 0, station)
            looked = False
            names = [b.split("\n")[0] for b in drawer.locator("button[aria-pressed]").all_inner_texts()]
            for name in names:
                button = drawer.get_by_role("button", name=name, exact=False).first
                if name in ("Delete", "Heal away") or not button.is_enabled():
                    continue
                button.click()
                # What stands about a card is that of the station, and looked at with its first one.
                self.look(f"{station}: {name}", 80, "[aria-label='Tool card']" if looked else None)
                looked = True
                self.page.keyboard.press("Escape")
        self.look("after all")

    def test_menus_and_sheets(self) -> None:
        self.screen.open_design("Paddle grip")
        self.screen.press("?")
        self.page.get_by_role("dialog", name="All keys").wait_for()
        self.look("sheet of keys")
        self.page.keyboard.press("Escape")
        self.screen.press("/")
        self.look("find a tool")
        self.page.keyboard.press("Escape")
        for menu in ("Look…", "Pick by…"):
            self.page.get_by_role("button", name=menu).click()
            self.look(menu)
            self.page.keyboard.press("Escape")
        self.page.get_by_label("More for Grip").click()
        self.look("menu of a piece")
