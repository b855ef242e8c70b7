"""Soft shade where forms close in on one another: what a plain screen has beside what one with it has."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from tests.e2e.case import BrowserCase

BOX = {"kind": "add-box", "counts": [1, 1, 1], "size_of": "cage"}
HARD = {"kind": "crease", "picked": {"kind": "edge", "ids": list(range(12))}, "sharpness": 10}


class Shade(BrowserCase):
    own_page = True  # Drawn finely.

    def tones(self) -> NDArray[np.float64]:
        """The screen's brightness (800, 1280)."""
        tones: NDArray[np.float64] = self.screen.tones()
        return tones

    def near(self, tones: NDArray[np.float64], point: tuple[float, float, float]) -> float:
        x, y = (int(v) for v in self.screen.at(point))
        return float(tones[y - 2 : y + 3, x - 2 : x + 3].mean())

    def test_it_lies_in_the_corner_and_not_on_what_is_open_in_both_views(self) -> None:
        self.page.context.add_init_script("localStorage.setItem('zinc-otter.quick-drawing', 'no')")
        self.begin_with(
            # A floor, and a wall that stands on it, its front at y = 0; with hard edges, so that they are flat.
            {**BOX, "size": [60, 60, 4], "centre": [0, 0, -2]},
            {**HARD, "piece": "p1"},
            {**BOX, "size": [60, 4, 30], "centre": [0, 2, 15]},
            {**HARD, "piece": "p2"},
        )
        self.page.get_by_text("Surface", exact=True).first.click()
        # Nothing is marked under the pointer.
        self.page.mouse.move(900, 600)
        for _ in "perspective", "flat":
            with_it = self.tones()
            self.page.get_by_role("button", name="Look…").click()
            self.page.get_by_label("Hollows in soft shade").click()
            self.page.keyboard.press("Escape")
            self.page.get_by_label("Look", exact=True).wait_for(state="detached")
            self.page.mouse.move(900, 600)
            without = self.tones()
            corner, floor, wall = (12.0, -0.4, 0.0), (0.0, -24.0, 0.0), (12.0, 0.0, 24.0)
            self.assertLess(self.near(with_it, corner), 0.85 * self.near(without, corner))
            for open_ in floor, wall:
                self.assertAlmostEqual(self.near(with_it, open_) / self.near(without, open_), 1, delta=0.03)
            self.page.get_by_role("button", name="Look…").click()
            self.page.get_by_label("Hollows in soft shade").click()
            self.page.keyboard.press("Escape")
            self.page.get_by_label("Look", exact=True).wait_for(state="detached")
            self.screen.press("0")
            self.page.mouse.move(900, 600)
