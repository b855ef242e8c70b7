"""Begin from a picture and a component; units, views, section: by mouse and keys, checked on the server."""

from __future__ import annotations

import numpy as np
import trimesh
from PIL import Image, ImageDraw

from tests.e2e.case import BrowserCase


class SettingOut(BrowserCase):
    one_page = False

    def setUp(self) -> None:
        super().setUp()
        sketch = Image.new("RGB", (400, 300), (250, 246, 236))
        pen = ImageDraw.Draw(sketch)
        for x in (100, 300):
            pen.line((x, 40, x, 260), fill=(60, 50, 40), width=3)
        sketch.save(self.folder / "sketch.png")
        ball = trimesh.creation.icosphere(subdivisions=3, radius=10)
        (self.folder / "ball.stl").write_bytes(ball.export(file_type="stl"))

    def begin_empty(self) -> None:
        self.page.goto(self.server.address)
        self.page.get_by_label("Name").fill("Trial")
        self.screen.button("empty").click()
        self.screen.station("Set out")
        self.screen.settled()

    def bring(self, kind: str, name: str) -> None:
        self.screen.tool(kind)
        self.page.get_by_label(f"{kind} file").set_input_files(self.folder / name)

    def references(self) -> list[dict[str, object]]:
        return list(self.screen.state()["references"])

    def test_a_picture_is_sized_by_two_points_faded_locked_and_remembered(self) -> None:
        self.begin_empty()
        self.bring("Picture", "sketch.png")
        self.screen.steps(1)
        self.page.mouse.move(500, 700)
        for key in ("1", "0", "."):
            self.page.keyboard.press(key)
        self.screen.settled()
        self.screen.button("Mark two points").click()
        # 100 mm wide and 400 pixels, so the two lines at pixels 100 and 300 lie at x = -25 and x = 25.
        self.screen.click((-25, 0, 5))
        self.screen.click((25, 0, 5))
        self.screen.field("Distance").fill("4 in")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        picture = self.references()[0]
        self.assertAlmostEqual(float(picture["width"]), 203.2, delta=1.5)  # type: ignore[arg-type]
        self.page.get_by_label("Opacity").focus()
        self.page.keyboard.press("ArrowLeft")
        self.screen.steps(3)
        self.screen.button("In front").click()
        self.screen.steps(4)
        self.page.get_by_label("Lock sketch").click()
        self.screen.steps(5)
        self.assertTrue(self.screen.field("Width").is_disabled())
        kept = self.references()
        self.assertEqual((kept[0]["opacity"], kept[0]["in_front"], kept[0]["locked"]), (0.59, True, True))
        self.server.kill()
        self.expected_errors = ("WebSocket", "Failed to load")
        self.server.start()
        self.assertEqual(self.references(), kept)

    def test_points_alone_come_in_as_a_surface_whose_facets_are_shown_on_request(self) -> None:
        self.begin_empty()
        ways = np.random.default_rng(2).normal(size=(3_000, 3))
        points = 15 * ways / np.linalg.norm(ways, axis=1, keepdims=True)
        told = "\n".join(" ".join(f"{x:.4f}" for x in point) for point in [*points, [80.0, 0, 0]])
        (self.folder / "clay.xyz").write_text(told)
        self.screen.tool("Component")
        self.screen.choose("File's unit", "mm")
        self.bring_file("clay.xyz")
        self.screen.steps(1)
        card = self.page.get_by_label("Tool card")
        card.get_by_text("it was laid through 3,001 points").wait_for()
        self.assertIn("1 stray one was left out", card.inner_text())
        (scan,) = self.references()
        np.testing.assert_allclose(scan["size"], (30, 30, 30), rtol=0.02)

        def seen() -> bytes:
            self.page.mouse.move(640, 700)
            self.screen.settled()
            return self.page.screenshot(clip={"x": 400, "y": 150, "width": 400, "height": 300})

        plain = seen()
        self.screen.button("Facets").click()
        self.assertNotEqual(seen(), plain)
        self.screen.button("Facets").click()
        self.assertEqual(seen(), plain)

    def test_what_is_no_picture_is_refused_and_changes_nothing(self) -> None:
        self.begin_empty()
        self.expected_errors = ("422",)
        (self.folder / "letter.png").write_text("Dear otter,")
        self.bring("Picture", "letter.png")
        self.page.get_by_text("The file calls itself PNG but is no picture.").wait_for()
        (self.folder / "holes.stl").write_bytes(b"\0" * 84)
        self.bring("Component", "holes.stl")
        self.page.get_by_text("The file holds no faces.").wait_for()
        self.assertEqual((len(self.screen.state()["steps"]), self.references()), (1, []))

    def test_a_form_around_a_component_is_warned_when_it_comes_too_near(self) -> None:
        self.begin_box((44, 44, 44), (2, 2, 2))
        self.screen.station("Set out")
        self.screen.tool("Component")
        self.screen.choose("File's unit", "mm")
        self.screen.field("Clearance").fill("3")
        self.bring_file("ball.stl")
        self.screen.steps(2)
        self.assertEqual(self.page.get_by_test_id("short").count(), 0)
        self.page.keyboard.press("m")
        self.page.keyboard.press("v")
        self.screen.click((0, 0, 22))
        self.assertIn("12 mm to ball", self.page.get_by_test_id("near").inner_text())
        # The limit of a vertex of valence 4 follows it by 4/9: from 22 mm to 12.7, so 2.7 mm from the ball.
        self.screen.field("Along z").fill("-21")
        self.page.get_by_test_id("short").wait_for()
        self.assertRegex(self.page.get_by_test_id("near").inner_text(), r"^-[89].* mm to ball")
        self.assertRegex(self.page.get_by_test_id("short").inner_text(), r"within 2\.[678].* mm of ball; 3 mm are asked for")
        self.page.keyboard.press("Escape")
        self.page.get_by_test_id("short").wait_for(state="detached")

    def bring_file(self, name: str) -> None:
        self.page.get_by_label("Component file").set_input_files(self.folder / name)

    def test_units_and_expressions(self) -> None:
        self.begin_box()
        self.screen.click(self.screen.face_point(self.screen.faces_where(lambda x, y, z: z > 9.9)[0]))
        self.screen.field("Along z").fill("3/8 in")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        top = np.array(self.screen.cage()["positions"])[:, 2].max()
        self.assertAlmostEqual(top, 10 + 9.525)
        self.screen.choose("Unit", "in")
        self.page.get_by_text("in", exact=True).first.wait_for()
        self.screen.field("Along z").fill("12.7mm + 1")
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        self.assertAlmostEqual(np.array(self.screen.cage()["positions"])[:, 2].max(), top + 12.7 + 25.4)
        self.assertIn(" in", self.page.get_by_test_id("counts").inner_text())
        self.expected_errors = ("422",)
        self.screen.field("Along z").fill("3 deg")
        self.page.get_by_text("This comes to an angle; a length is needed here.").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.settled()
        self.assertEqual(len(self.screen.state()["steps"]), 4)
        self.assertEqual(self.screen.state()["unit"], "in")

    def test_a_second_view_is_live_while_the_first_is_dragged_in(self) -> None:
        self.begin_box()
        self.screen.click(self.screen.face_point(self.screen.faces_where(lambda x, y, z: z > 9.9)[0]))
        self.page.keyboard.press("8")
        self.screen.settled()
        second = self.page.get_by_test_id("second-view")
        before = second.screenshot()
        self.screen.field("Along z").fill("12")
        self.page.get_by_text("Enter applies, Esc backs out").wait_for()
        self.screen.settled()
        self.assertNotEqual(second.screenshot(), before)
        self.page.get_by_label("Second view from top").click()
        self.screen.settled()
        values = [float(x) for x in (second.get_attribute("data-view-projection") or "").split()]
        matrix = np.array(values).reshape(4, 4).T
        # Flat, and seen from above: depth depends on z alone.
        np.testing.assert_allclose(matrix[3], [0, 0, 0, 1], atol=1e-9)
        np.testing.assert_allclose(matrix[2, :2], 0, atol=1e-9)
        self.page.get_by_label("Close the second view").click()
        self.assertEqual(second.count(), 0)

    def test_the_section_opens_the_display_and_what_it_cuts_is_not_picked(self) -> None:
        self.begin_box()
        self.screen.station("Set out")
        self.screen.tool("Section")
        whole = self.screen.viewport.screenshot()
        self.page.get_by_label("Cut across y").click()
        self.screen.field("At").fill("-5")
        self.screen.settled()
        self.assertNotEqual(self.screen.viewport.screenshot(), whole)
        self.screen.viewport.focus()
        for key in ("v", "h", "7"):
            self.page.keyboard.press(key)
        self.screen.settled()
        self.screen.click((20, -15, 10))
        self.assertIn("No vertices picked", self.screen.chosen())
        self.screen.button("Other side").click()
        self.screen.click((20, 15, -10))
        self.assertIn("No vertices picked", self.screen.chosen())
        self.screen.button("Whole again").click()
        self.screen.click((20, -15, 10))
        self.assertIn("1 vertex picked, at 20, -15, 10 mm", self.screen.chosen())
