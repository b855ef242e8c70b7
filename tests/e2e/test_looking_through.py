"""What the viewport shows behind a piece of glass, beside Snell's law.

Sources: the sideways shift of a ray by a plate of thickness t, met at an angle θ, t sin θ (1 - cos θ / √(n² - sin² θ)), and
the path through a ball: E. Hecht, "Optics", 5th ed. 2017, sections 4.4 and 5.2.
"""

from __future__ import annotations

import math

import numpy as np
from numpy.typing import NDArray

from tests.e2e.case import BrowserCase

INDEX = 1.52
HARD = {"kind": "crease", "picked": {"kind": "edge", "ids": list(range(12))}, "sharpness": 10}
BOX = {"kind": "add-box", "counts": [1, 1, 1], "size_of": "cage"}
# A dark rod along x, which reaches far to both sides of what is looked through.
ROD = [{**BOX, "size": [160, 2, 2]}, {**HARD, "piece": "p1"}, {"kind": "finish-piece", "piece": "p1", "finish": "rubber"}]


def through_ball(height: float, radius: float, below: float) -> float:
    """Where a ray that comes down at ``height`` beside the axis of a ball is when it is ``below`` mm under its middle."""
    first = math.asin(height / radius)
    second = math.asin(math.sin(first) / INDEX)
    turned = 2 * (first - second)
    # Seen from the middle its chord spans an angle of π - 2 second.
    at = math.pi - 2 * second + first
    x, z = radius * math.sin(at), radius * math.cos(at)
    return x - (below + z) * math.tan(turned)


class Glass(BrowserCase):
    own_page = True  # Drawn with all its pixels.

    def seen_from_above(self, *commands: dict[str, object]) -> NDArray[np.float64]:
        """The brightness (800, 1280) of a design with the rod, as it is of, square from above in a flat view."""
        self.page.context.add_init_script("localStorage.setItem('zinc-otter.quick-drawing', 'no')")
        self.begin_with(*ROD, *commands)
        self.page.get_by_text("Surface", exact=True).first.click()
        self.page.get_by_role("button", name="Look…").click()
        self.page.get_by_label("Material: as it is of").click()
        self.page.keyboard.press("Escape")
        self.page.get_by_label("Top view").click()
        self.screen.settled()
        if self.page.get_by_role("button", name="Perspective", exact=True).count():
            self.screen.press("0")
        return self.picture()

    def picture(self) -> NDArray[np.float64]:
        self.page.mouse.move(900, 640)
        tones: NDArray[np.float64] = self.screen.tones()
        return tones

    def dark_at(self, picture: NDArray[np.float64], x: float, around: float, within: float) -> float:
        """Where, in mm along y, the dark of the rod lies in the column at ``x``; looked for so far around a place."""
        rows = np.linspace(around - within, around + within, 400)
        at = self.screen.project(np.column_stack([np.full(400, x), rows, np.zeros(400)])).astype(int)
        dark = np.maximum(150 - picture[at[:, 1], at[:, 0]], 0)
        self.assertGreater(dark.max(), 20, "no rod is seen there")
        return float((dark * rows).sum() / dark.sum())

    def test_a_plate_aslant_shifts_what_lies_behind_it_as_snell_has_it(self) -> None:
        thick, slant = 20.0, math.radians(40)
        picture = self.seen_from_above(
            {**BOX, "size": [50, 80, thick], "centre": [0, 0, 60]},
            {**HARD, "piece": "p2"},
            {"kind": "turn", "piece": "p2", "picked": {"kind": "piece", "ids": [0]}, "axis": [1, 0, 0], "degrees": 40},
            {"kind": "finish-piece", "piece": "p2", "finish": "glass"},
        )
        shift = thick * math.sin(slant) * (1 - math.cos(slant) / math.sqrt(INDEX**2 - math.sin(slant) ** 2))
        beside, behind = self.dark_at(picture, 50, 0, 6), self.dark_at(picture, 0, 0, 12)
        self.assertAlmostEqual(beside, 0, delta=0.3)
        self.assertAlmostEqual(abs(behind - beside), shift, delta=0.3)

    def test_a_ball_turns_what_lies_behind_it_over(self) -> None:
        radius, height = 20.0, 11.0
        # The rod is laid where a ray that meets the ball 11 mm above its middle comes to, 60 mm below.
        aside = through_ball(height, radius, 60)
        self.assertLess(aside, -5)
        picture = self.seen_from_above(
            {"kind": "move", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "vector": [0, aside, -1]},
            {"kind": "add-sphere", "diameter": 2 * radius, "count": 4, "centre": [0, 0, 60], "size_of": "surface"},
            {"kind": "finish-piece", "piece": "p2", "finish": "glass"},
        )
        self.assertAlmostEqual(self.dark_at(picture, 0, height, 4), height, delta=0.5)
        self.assertAlmostEqual(self.dark_at(picture, 50, aside, 6), aside, delta=0.3)

    def test_what_stands_before_it_is_not_seen_in_it(self) -> None:
        picture = self.seen_from_above(
            {"kind": "move", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "vector": [0, 0, 120]},
            {"kind": "add-sphere", "diameter": 40, "count": 4, "centre": [0, 0, 60], "size_of": "surface"},
            {"kind": "finish-piece", "piece": "p2", "finish": "glass"},
        )
        self.assertAlmostEqual(self.dark_at(picture, 0, 0, 3), 0, delta=0.3)
        rows = np.array([-12.0, -9, -6, -4, 4, 6, 9, 12])
        at = self.screen.project(np.column_stack([np.zeros(8), rows, np.full(8, 60.0)])).astype(int)
        self.assertGreater(picture[at[:, 1], at[:, 0]].min(), 140)

    def test_what_is_asked_to_be_seen_through_is_drawn_faintly_and_bends_nothing(self) -> None:
        self.seen_from_above(
            {**BOX, "size": [50, 80, 20], "centre": [0, 0, 60]},
            {**HARD, "piece": "p2"},
            {"kind": "turn", "piece": "p2", "picked": {"kind": "piece", "ids": [0]}, "axis": [1, 0, 0], "degrees": 40},
            {"kind": "finish-piece", "piece": "p2", "finish": "glass"},
        )
        self.page.get_by_label("More for Box 2").click()
        self.page.get_by_role("menuitem", name="See through it").click()
        picture = self.picture()
        rows = np.linspace(-12, 12, 400)
        at = self.screen.project(np.column_stack([np.zeros(400), rows, np.zeros(400)])).astype(int)
        tones = picture[at[:, 1], at[:, 0]]
        self.assertAlmostEqual(rows[np.argmin(tones)], 0, delta=1.5)
