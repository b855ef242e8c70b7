"""Rough a form out: primitives typed and dragged, quads laid one by one, outlines filled."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import BrowserCase


class Roughing(BrowserCase):
    one_page = True

    def begin_empty(self) -> None:
        self.page.goto(self.server.address)
        self.page.get_by_label("Name").fill("Trial")
        self.screen.button("empty").click()
        self.screen.station("Rough")
        self.screen.settled()

    def surface(self, piece: str = "p1", level: int = 4) -> np.ndarray:
        path = f"/api/designs/{self.screen.design_id}/pieces/{piece}/surface?level={level}"
        return np.array(self.server.get(path)["positions"])

    def look_down(self) -> None:
        self.screen.viewport.focus()
        for key in ("5", "0"):
            self.page.keyboard.press(key)
        self.screen.settled()

    def test_a_cylinder_whose_smooth_surface_measures_what_was_typed(self) -> None:
        self.begin_empty()
        self.page.keyboard.press("y")
        self.screen.field("Diameter").fill("1 in")
        self.screen.field("Height").fill("2*15 mm")
        self.screen.field("Faces along").fill("2")
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        points = self.surface()
        self.assertAlmostEqual(float(2 * np.hypot(points[:, 0], points[:, 1]).max()), 25.4, delta=1e-4)
        self.assertAlmostEqual(float(np.ptp(points[:, 2])), 30, delta=1e-4)
        self.assertEqual({len(face) for face in self.screen.cage()["faces"]}, {4})

    def test_a_bead_on_the_form_is_dragged_and_the_form_stays_in_hand(self) -> None:
        self.begin_empty()
        self.screen.tool("Sphere")
        self.page.get_by_text("Put down a sphere, ⌀ 40 mm").wait_for()
        self.screen.settled()
        self.page.keyboard.press("1")
        self.screen.settled()
        start = self.screen.at((20, 0, 0))
        self.screen.drag(start, self.screen.at((26, 0, 0)))
        self.assertAlmostEqual(float(self.screen.field("Diameter").input_value()), 52, delta=1.5)
        self.assertEqual(self.screen.state()["pieces"], [])
        self.screen.button("Place…").click()
        self.screen.field("Middle z").fill("11")
        self.screen.button("Put down").click()
        self.screen.steps(1)
        points = self.surface()
        self.assertAlmostEqual(float((points[:, 2].max() + points[:, 2].min()) / 2), 11, delta=1e-6)

    def test_one_side_of_a_mirror_is_kept_with_its_seam_in_the_plane(self) -> None:
        self.begin_empty()
        self.screen.tool("Capsule")
        self.screen.button("Place…").click()
        self.screen.choose("Keep", "x side of a mirror")
        self.screen.button("Put down").click()
        self.screen.steps(1)
        cage = self.screen.cage()
        points = np.array(cage["positions"])
        seam = np.unique(np.array(cage["edges"])[cage["open_edges"]])
        np.testing.assert_array_equal(points[seam, 0], 0)
        self.assertGreaterEqual(points[:, 0].min(), 0)

    def test_a_strip_of_quads_is_laid_with_two_clicks_a_face(self) -> None:
        self.begin_empty()
        self.look_down()
        self.page.keyboard.press("z")
        self.screen.station("Set out")
        self.screen.tool("Grid, snapping")
        self.page.get_by_label("Snap to grid").click()
        self.page.keyboard.press("z")
        self.screen.settled()
        # The grid's spacing at this zoom: points a little beside its crossings fall on them.
        for x, y in ((0.4, 0.3), (20.3, -0.4), (19.7, 20.4), (-0.3, 19.6)):
            self.screen.click((x, y, 0))
        self.screen.steps(1)
        np.testing.assert_allclose(
            sorted(map(tuple, self.screen.cage()["positions"])), [(0, 0, 0), (0, 20, 0), (20, 0, 0), (20, 20, 0)], atol=1e-9
        )
        self.screen.click((20, 10, 0))
        self.page.get_by_text("2 of 4 corners set").wait_for()
        self.screen.click((39.8, 20.3, 0))
        self.screen.click((40.3, 0.2, 0))
        self.screen.steps(2)
        cage = self.screen.cage()
        self.assertEqual((len(cage["faces"]), len(cage["positions"])), (2, 6))
        # An existing vertex, an existing vertex, and two points more: the corner is filled.
        for point in ((20, 0, 0), (0, 0, 0)):
            self.screen.click(point)
        self.page.get_by_text("2 of 4 corners set").wait_for()
        for point in ((0, -20, 0), (20, -20, 0)):
            self.screen.click(point)
        self.screen.steps(3)
        cage = self.screen.cage()
        self.assertEqual((len(cage["faces"]), len(cage["positions"])), (3, 8))
        points = np.array(cage["positions"])
        normals = [np.cross(points[f[1]] - points[f[0]], points[f[2]] - points[f[1]])[2] for f in cage["faces"]]
        self.assertTrue(all(n > 0 for n in normals), normals)
        self.page.keyboard.press("Control+z")
        self.screen.steps(2)
        self.assertEqual(len(self.screen.cage()["faces"]), 2)

    def test_an_outline_is_drawn_and_filled_and_a_circle_too(self) -> None:
        self.begin_empty()
        self.look_down()
        self.screen.tool("Draw outline")
        self.screen.settled()
        corners = [(0, 0), (30, -5), (45, 12), (25, 30), (2, 24)]
        for x, y in corners:
            self.screen.click((x, y, 0))
        self.page.keyboard.press("Enter")
        self.page.get_by_text("Filled an outline of 5 points").wait_for()
        self.screen.button("Fill").click()
        self.screen.steps(1)
        cage = self.screen.cage()
        self.assertEqual({len(face) for face in cage["faces"]}, {4})
        self.assertEqual(len(cage["open_edges"]), 12)
        points = self.surface()
        for corner in corners:
            self.assertLess(np.linalg.norm(points[:, :2] - corner, axis=1).min(), 1.5)
        self.screen.tool("Fill outline")
        self.screen.field("Width").fill("30")
        # What the preview says makes the card a line higher, and moves its buttons.
        self.page.get_by_text("The border stays within").wait_for()
        self.screen.settled()
        self.screen.button("Place…").click()
        self.screen.field("Middle x").fill("80")
        self.screen.button("Put down").click()
        self.screen.steps(2)
        rim = np.array(self.screen.cage("p2")["positions"])
        self.assertAlmostEqual(float(rim[:, 0].mean()), 80, delta=1e-6)
        disc = self.surface("p2")
        self.assertAlmostEqual(float(np.hypot(disc[:, 0] - 80, disc[:, 1]).max()), 15, delta=0.05)
