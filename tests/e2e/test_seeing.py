"""Small windows, 200 % zoom, rings around what has the keys, the system's colours, and stillness where it is asked for."""

from __future__ import annotations

import re
from typing import Any

import numpy as np

from tests.e2e.case import VerbCase

_RING = """() => {
  const at = document.activeElement;
  let under = at.parentElement;
  const ground = (e) => getComputedStyle(e).backgroundColor;
  while (under && /, 0\\)$|transparent/.test(ground(under))) under = under.parentElement;
  const s = getComputedStyle(at);
  const sector = at.querySelector(":scope > path");
  if (sector) {
    const drawn = getComputedStyle(sector);
    const [ring, wide, ground] = [drawn.stroke, parseFloat(drawn.strokeWidth), drawn.fill];
    return { what: at.getAttribute("aria-label"), ring, wide, ground, none: false };
  }
  const field = at.closest(".MuiInputBase-root")?.querySelector("fieldset");
  const line = field ? getComputedStyle(field) : null;
  return {
    none: at === document.body,
    what: at.getAttribute("aria-label") ?? at.innerText.slice(0, 40),
    ring: line ? line.borderTopColor : s.outlineColor,
    wide: line ? parseFloat(line.borderTopWidth) : s.outlineStyle === "none" ? 0 : parseFloat(s.outlineWidth),
    ground: under ? ground(under) : "rgb(244, 241, 234)",
  };
}"""


def luminance(colour: str) -> float:
    """Relative luminance of WCAG 2.2 (definition), from "rgb(…)"."""
    part = np.array([float(x) for x in re.findall(r"[\d.]+", colour)[:3]]) / 255
    linear = np.where(part <= 0.04045, part / 12.92, ((part + 0.055) / 1.055) ** 2.4)
    return float(linear @ [0.2126, 0.7152, 0.0722])


def contrast(one: str, other: str) -> float:
    high, low = sorted((luminance(one), luminance(other)), reverse=True)
    return (high + 0.05) / (low + 0.05)


class Rings(VerbCase):
    own_page = True

    def test_whatever_has_the_keys_has_a_ring_of_3_to_1(self) -> None:
        self.begin_box()
        self.press("f")
        self.screen.click((10, 0, 10))
        self.press("x")
        seen = set()
        self.screen.button("All designs").focus()
        for _ in range(75):
            self.page.keyboard.press("Tab")
            found: dict[str, Any] = self.page.evaluate(_RING)
            if found["none"]:
                # After the last the browser itself has the keys.
                continue
            seen.add(found["what"])
            with self.subTest(found["what"]):
                self.assertGreaterEqual(found["wide"], 1, found)
                self.assertGreaterEqual(contrast(found["ring"], found["ground"]), 3, found)
        self.assertGreater(len(seen), 40)


class SystemsColours(VerbCase):
    own_page = True

    def test_what_is_chosen_is_framed_and_all_can_be_read(self) -> None:
        self.begin_box()
        self.page.emulate_media(forced_colors="active")
        self.press("f")
        chosen = self.page.get_by_role("button", name="Pick faces (F)")
        self.assertEqual(chosen.evaluate("e => getComputedStyle(e).outlineStyle"), "solid")
        other = self.page.get_by_role("button", name="Pick edges (E)")
        self.assertEqual(other.evaluate("e => getComputedStyle(e).outlineStyle"), "none")
        self.screen.click((10, 0, 10))
        self.press("x")
        self.screen.field("Distance").fill("4")
        self.apply(2)
        self.assertEqual(len(self.screen.cage()["faces"]), 20)

    def test_nothing_moves_where_stillness_is_asked_for(self) -> None:
        self.begin_box()
        quick = "e => parseFloat(getComputedStyle(e).transitionDuration)"
        button = self.screen.button("Undo")
        self.assertGreater(button.evaluate(quick), 0.05)
        self.page.emulate_media(reduced_motion="reduce")
        self.assertLess(button.evaluate(quick), 0.001)


class LittleRoom(VerbCase):
    own_page = True

    def work(self) -> None:
        """Extrude a face by mouse, with all that it takes in reach."""
        self.press(".")
        self.page.get_by_role("button", name="Pick faces (F)").click()
        self.screen.settled()
        self.screen.click(self.screen.face_point(self.screen.faces_where(lambda x, y, z: z > 9 and x > 0 and y < 0)[0]))
        self.screen.station("Shape")
        self.screen.tool("Extrude")
        self.screen.settled()
        self.screen.field("Distance").fill("4")
        self.previewed()
        card = self.page.get_by_label("Tool card")
        card.get_by_role("button", name="Extrude").click()
        self.page.wait_for_function("() => document.documentElement.dataset.asking !== '1'")
        self.screen.settled()
        self.assertEqual(len(self.screen.state()["steps"]), 3)
        self.assertEqual(len(self.screen.cage()["faces"]), 20)
        wide, shown = self.page.evaluate("[document.documentElement.scrollWidth, innerWidth]")
        self.assertLessEqual(wide, shown, "nothing hangs out at the side")

    def test_a_face_is_extruded_at_200_per_cent(self) -> None:
        # 1280 by 800 at 200 % is a page of 640 by 400.
        self.begin_box()
        self.page.set_viewport_size({"width": 640, "height": 400})
        self.work()
        # The steps are folded away, and one click off.
        self.screen.button("Show pieces and steps").click()
        self.page.get_by_label("Steps").get_by_text("Extruded").wait_for()
        self.screen.button("Fold pieces and steps away").click()
        self.assertFalse(self.overlaps())

    def test_a_face_is_extruded_at_1024_by_768(self) -> None:
        self.begin_box()
        self.page.set_viewport_size({"width": 1024, "height": 768})
        self.work()
        self.assertFalse(self.overlaps())

    def overlaps(self) -> list[str]:
        """Which of the panels lie over one another."""
        names = ["Tools of Shape", "Tool card", "View dial", "Pieces and steps"]
        boxes = {n: b for n in names if (b := self.page.get_by_label(n, exact=True).first.bounding_box()) is not None}
        found = []
        for i, (one, a) in enumerate(boxes.items()):
            for other, b in list(boxes.items())[i + 1 :]:
                apart = (
                    a["x"] + a["width"] <= b["x"] + 1 or b["x"] + b["width"] <= a["x"] + 1
                    or a["y"] + a["height"] <= b["y"] + 1 or b["y"] + b["height"] <= a["y"] + 1
                )  # fmt: skip
                if not apart:
                    found.append(f"{one} and {other}")
        return found
