"""The first screen, beginning, showing, turning the view, picking."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import BrowserCase


class FirstScreen(BrowserCase):
    own_page = True

    demo = True

    def test_demo_designs_as_pictures_and_ways_to_begin(self) -> None:
        self.page.goto(self.server.address)
        for name in ("Paddle grip", "Dry-bag toggle", "Bailing scoop"):
            picture = self.page.get_by_label(f"Open {name}").locator("img")
            picture.wait_for()
            self.page.wait_for_function("i => i.complete && i.naturalWidth === 480", arg=picture.element_handle())
        for way in ("with a box", "with a plane", "empty"):
            self.assertTrue(self.screen.button(way).is_enabled())

    def test_copy_rename_delete(self) -> None:
        self.page.goto(self.server.address)
        self.page.get_by_label("More for Dry-bag toggle").click()
        self.page.get_by_role("menuitem", name="Copy").click()
        self.page.get_by_text("Dry-bag toggle copy", exact=True).wait_for()
        self.page.get_by_label("More for Dry-bag toggle copy").click()
        self.page.get_by_role("menuitem", name="Rename").click()
        self.page.get_by_label("Design name").fill("Toggle with a notch")
        self.page.keyboard.press("Enter")
        self.page.get_by_text("Toggle with a notch", exact=True).wait_for()
        self.page.get_by_label("More for Toggle with a notch").click()
        self.page.get_by_role("menuitem", name="Put into the bin").click()
        self.page.get_by_label("Open Toggle with a notch").wait_for(state="detached")
        self.assertEqual(len(self.server.get("/api/designs")), 13)

    def test_an_address_of_nothing(self) -> None:
        self.page.goto(self.server.address + "/design/0123456789ab")
        self.page.get_by_text("This design is not here any more.").wait_for()


class Looking(BrowserCase):
    def eye(self) -> np.ndarray:
        """The direction from the form to the eye: rows of the view-projection that give depth and width."""
        values = [float(x) for x in (self.screen.viewport.get_attribute("data-view-projection") or "").split()]
        return np.array(values).reshape(4, 4).T

    def test_a_box_of_chosen_sizes_and_counts(self) -> None:
        self.begin_box_by_hand((44, 32, 18), (3, 2, 1))
        cage = self.screen.cage()
        np.testing.assert_allclose(np.ptp(np.array(cage["positions"]), axis=0), [44, 32, 18])
        self.assertEqual(len(cage["faces"]), 2 * (6 + 2 + 3))
        self.assertIn("22 faces", self.page.get_by_test_id("counts").inner_text())

    def test_a_preview_of_the_box_is_shown_and_esc_backs_out(self) -> None:
        self.page.goto(self.server.address)
        self.screen.button("with a box").click()
        self.page.get_by_text("Put down a box, 40 × 30 × 20 mm").wait_for()
        self.expected_errors = ("422",)
        self.screen.field("Size x").fill("x")
        self.page.get_by_text("'x' stands where a number was expected.").wait_for()
        self.screen.field("Size x").fill("55")
        self.page.get_by_text("Put down a box, 55 × 30 × 20 mm").wait_for()
        self.page.keyboard.press("Escape")
        self.page.get_by_text("Nothing here yet").wait_for()
        self.assertEqual(self.screen.state()["pieces"], [])

    def test_cage_surface_and_both(self) -> None:
        self.begin_box()
        pictures = {}
        for shown in ("Cage", "Surface", "Both"):
            self.page.get_by_label(f"Show {shown.lower()}").click()
            self.page.mouse.move(640, 700)
            self.screen.settled()
            pictures[shown] = self.screen.viewport.screenshot()
        self.assertEqual(len(set(pictures.values())), 3)
        self.page.keyboard.press("d")
        self.screen.settled()
        self.assertEqual(self.page.get_by_label("Show cage").get_attribute("aria-pressed"), "true")

    def test_named_views_by_dial_and_by_key(self) -> None:
        self.begin_box()
        toward = {
            "Front": (0, -1, 0),
            "Right": (1, 0, 0),
            "Back": (0, 1, 0),
            "Left": (-1, 0, 0),
            "Top": (0, 0, 1),
            "Low": (0, 0, -1),
        }
        for key, (name, direction) in enumerate(toward.items(), start=1):
            for act in (
                lambda n=name, k=key: self.page.get_by_label(f"{n} view (key {k})").click(),
                lambda k=key: self.page.keyboard.press(str(k)),
            ):
                self.page.keyboard.press("7")
                self.screen.settled()
                act()
                self.screen.settled()
                # A point nearer to the eye has the smaller depth; the other two axes keep theirs.
                near, middle = (np.append(np.array(direction) * d, 1.0) @ self.eye()[3] for d in (5, 0))
                self.assertAlmostEqual(middle - near, 5, delta=0.01)

    def test_perspective_or_flat(self) -> None:
        self.begin_box()
        self.assertGreater(np.abs(self.eye()[3, :3]).max(), 0.1)
        self.page.keyboard.press("0")
        self.screen.settled()
        np.testing.assert_allclose(self.eye()[3], [0, 0, 0, 1], atol=1e-9)
        self.assertEqual(self.screen.button("Flat").get_attribute("aria-pressed"), "true")

    def test_orbit_pan_zoom_fit(self) -> None:
        self.begin_box()
        corner = np.array([20.0, -15, 10])
        start = self.screen.at(corner)
        self.screen.drag((600, 400), (700, 430), button="right")
        turned = self.screen.at(corner)
        self.assertGreater(np.hypot(turned[0] - start[0], turned[1] - start[1]), 20)
        self.screen.drag((600, 400), (650, 420), button="middle")
        panned = self.screen.at(corner)
        self.assertAlmostEqual(panned[0] - turned[0], 50, delta=12)
        self.assertAlmostEqual(panned[1] - turned[1], 20, delta=8)
        before = self.screen.pixels_per_mm(corner)
        self.page.mouse.move(*panned)
        self.page.mouse.wheel(0, -400)
        self.screen.settled()
        self.assertGreater(self.screen.pixels_per_mm(corner), 1.3 * before)
        under = self.screen.at(corner)
        self.assertLess(np.hypot(under[0] - panned[0], under[1] - panned[1]), 12)
        self.page.get_by_label("Fit all into view").click()
        self.screen.settled()
        box = self.screen.viewport.bounding_box()
        assert box is not None
        for x in (-20, 20):
            for y in (-15, 15):
                px, py = self.screen.at((x, y, 10))
                self.assertTrue(box["x"] < px < box["x"] + box["width"] and box["y"] < py < box["y"] + box["height"])

    def test_the_light_is_turned_and_made_brighter_by_a_drag(self) -> None:
        self.begin_box()
        self.page.get_by_text("Surface", exact=True).first.click()
        corner = np.array([20.0, -15, 10])
        middle = self.screen.at((0, 0, 0))
        clip = {"x": middle[0] - 30, "y": middle[1] - 30, "width": 60, "height": 60}

        def bright() -> float:
            self.page.mouse.move(900, 640)
            return float(self.screen.tones(clip).mean())

        before, stood = bright(), self.screen.at(corner)
        self.page.keyboard.down("Control")
        self.screen.drag((600, 400), (660, 360), button="right")
        self.page.keyboard.up("Control")
        self.assertEqual(self.screen.at(corner), stood)
        self.assertGreater(bright(), 1.03 * before)
        self.page.get_by_role("button", name="Look…").click()
        for what, value in (("turned", 30), ("brighter", 0.4)):
            shown = self.page.get_by_label(f"Light {what}").get_attribute("aria-valuenow")
            self.assertAlmostEqual(float(shown or "nan"), value, delta=1e-6)


class Picking(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.begin_box()
        self.top = self.screen.faces_where(lambda x, y, z: z > 9.9)

    def test_faces_hover_click_shift_and_esc(self) -> None:
        first, second = self.top[:2]
        self.page.mouse.move(*self.screen.at(self.screen.face_point(first)))
        self.page.get_by_text(f"Click takes face {first}").wait_for()
        self.screen.click(self.screen.face_point(first))
        self.assertIn("1 face picked, cage area 300 mm²", self.screen.chosen())
        self.screen.click(self.screen.face_point(second), shift=True)
        self.assertIn("2 faces picked", self.screen.chosen())
        self.screen.click(self.screen.face_point(first), shift=True)
        self.assertIn("1 face picked", self.screen.chosen())
        self.page.keyboard.press("Escape")
        self.assertIn("No faces picked", self.screen.chosen())

    def test_vertices(self) -> None:
        self.page.keyboard.press("v")
        self.screen.click((20, -15, 10))
        self.assertIn("1 vertex picked, at 20, -15, 10 mm", self.screen.chosen())

    def test_edges(self) -> None:
        self.page.get_by_label("Pick edges (E)").click()
        self.screen.click((20, -7.5, 10))
        self.assertIn("1 edge picked, length 15 mm", self.screen.chosen())

    def test_only_what_is_seen_or_through(self) -> None:
        self.page.keyboard.press("v")
        hidden = (-20, 15, -10)
        self.screen.click(hidden)
        self.assertIn("No vertices picked", self.screen.chosen())
        self.page.keyboard.press("h")
        self.screen.click(hidden)
        self.assertIn("at -20, 15, -10 mm", self.screen.chosen())

    def test_a_box_takes_what_is_inside_or_what_it_touches(self) -> None:
        self.page.keyboard.press("5")
        self.screen.settled()
        x0, y0 = self.screen.at((-26, 19, 10))
        x1, y1 = self.screen.at((3, -19, 10))
        self.screen.drag((x0, y0), (x1, y1))
        self.assertIn("2 faces picked", self.screen.chosen())
        self.page.keyboard.press("Escape")
        self.screen.drag((x1, y1), (x0, y0))
        self.assertIn("4 faces picked", self.screen.chosen())
        self.page.get_by_label("Show cage").click()
        self.page.keyboard.press("v")
        self.screen.drag((x0, y0), (x1, y1))
        self.assertIn("6 vertices picked", self.screen.chosen())
        self.page.keyboard.press("h")
        self.screen.drag((x0, y0), (x1, y1))
        self.assertIn("12 vertices picked", self.screen.chosen())

    def test_all_by_key_and_nothing_by_a_click_beside(self) -> None:
        self.page.keyboard.press("e")
        self.page.keyboard.press("a")
        self.screen.settled()
        self.assertIn(f"{len(self.screen.cage()['edges'])} edges picked", self.screen.chosen())
        self.page.mouse.click(980, 560)
        self.screen.settled()
        self.assertIn("No edges picked", self.screen.chosen())
