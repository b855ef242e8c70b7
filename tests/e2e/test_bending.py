"""Twist, bend and taper in hand: by number and by the bead, on a half, on an open sheet, in a flat view; and told apart."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import VerbCase


class Bending(VerbCase):
    def test_a_whole_piece_is_twisted_by_a_number_in_one_step(self) -> None:
        self.begin_box((20, 20, 60), (2, 2, 6))
        before = self.points()
        self.press("w")
        self.screen.click((0, -10, 5))
        self.screen.tool("Twist")
        self.previewed()
        self.screen.field("By").fill("1/4*360")
        self.page.get_by_text("Twisted Box by 90°").wait_for()
        self.apply(2)
        after = self.points()
        angle = np.radians(90 * (before[:, 2] + 30) / 60)
        x = before[:, 0] * np.cos(angle) - before[:, 1] * np.sin(angle)
        y = before[:, 0] * np.sin(angle) + before[:, 1] * np.cos(angle)
        np.testing.assert_allclose(after, np.column_stack([x, y, before[:, 2]]), atol=1e-9)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)

    def test_a_taper_by_the_bead_in_a_flat_view_comes_to_the_number_shown(self) -> None:
        self.begin_box((20, 20, 60), (2, 2, 3))
        before = self.points()
        self.press("1")
        self.press("0")
        self.press("w")
        self.screen.click((4, -10, 4))
        self.screen.tool("Taper")
        self.previewed()
        start = self.screen.at((0, 0, 0))
        self.screen.drag(start, (start[0] - 60, start[1]))
        self.screen.steps(2)
        after = self.points()
        shown = np.ptp(after[before[:, 2] == 30][:, 0]) / 20
        # 70 % to begin with, and two pixels for one per cent.
        self.assertAlmostEqual(shown, 0.4, delta=0.03)
        self.page.get_by_text(f"Tapered Box to {100 * shown:.4g} %").wait_for()
        np.testing.assert_array_equal(after[before[:, 2] == -30], before[before[:, 2] == -30])

    def test_a_mirrored_piece_bends_in_its_mirror_plane_and_not_across(self) -> None:
        self.begin_box((20, 20, 60), (2, 2, 6))
        self.press("Shift+M")
        self.screen.choose("Plane", "across y")
        self.previewed()
        self.apply(2)
        self.press("w")
        self.screen.click((0, -10, 5))
        self.screen.tool("Bend")
        self.previewed()
        self.apply(3)
        after = self.points()
        self.assertGreater(np.ptp(after[:, 0]), 22)
        self.assertEqual(self.screen.state()["pieces"][0]["symmetry"]["words"], "one mirror")
        flipped = after * [1, -1, 1]
        self.assertLess(max(np.abs(after - p).sum(axis=1).min() for p in flipped), 1e-9)
        self.screen.choose("Towards", "+ y")
        self.page.get_by_text("not the same on all sides").wait_for()
        self.screen.button("Make independent").click()
        self.screen.steps(4)
        self.assertIsNone(self.screen.state()["pieces"][0]["symmetry"])

    def test_an_open_sheet_and_what_turns_inside_out(self) -> None:
        self.begin_with({"kind": "add-plane", "size": [80, 20], "counts": [16, 2], "size_of": "cage"})
        self.press("w")
        self.screen.click((3, 3, 0))
        self.screen.tool("Bend")
        self.screen.choose("Axis", "x")
        self.screen.choose("Towards", "+ z")
        self.screen.field("By").fill("180")
        self.page.get_by_text("Bent Plane by 180°").wait_for()
        self.apply(2)
        points = self.points()
        # A half pipe: as far from its middle line everywhere, as long along it as it was.
        radius = 80 / np.pi
        np.testing.assert_allclose(np.linalg.norm(points[:, [0, 2]] - [0, radius], axis=1), radius, atol=1e-9)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        self.screen.choose("Towards", "+ y")
        self.screen.field("By").fill("600")
        self.page.get_by_text("less than 458.4° holds").wait_for()
        self.screen.field("By").fill("400")
        self.page.get_by_text("Bent Plane by 400°").wait_for()
