"""Relief by hand: brushes and stamps led over a band with the mouse, its cage pulled after, and printed."""

from __future__ import annotations

import re
from typing import Any

import numpy as np
from PIL import Image

from tests.e2e.case import VerbCase
from zinc_otter.core.formats.mesh import read_mesh

RING: dict[str, Any] = {"kind": "add-ring", "name": "Band", "width": 8}
MIRROR: dict[str, Any] = {"kind": "mirror", "piece": "p1", "way": "cut", "point": [0, 0, 0], "normal": [1, 0, 0]}


class ReliefCase(VerbCase):
    def begin_band(self, *commands: dict[str, Any]) -> None:
        self.begin_with(RING, *commands)
        self.page.get_by_text("Band", exact=True).first.click()

    def surface(self, level: int = 5) -> Any:
        told = self.server.get(f"/api/designs/{self.screen.design_id}/pieces/p1/surface?level={level}")
        return np.array(told["positions"])

    def brush(self, name: str, **fields: str) -> None:
        self.screen.tool(name)
        for label, value in fields.items():
            self.screen.field(label.capitalize()).fill(value)
        self.page.keyboard.press("Tab")

    def lead(self, points: list[Any], held: str | None = None) -> None:
        """Lead the brush over places of the model with the mouse, in one step."""
        before = self.screen.state()["head"]
        mouse = self.page.mouse
        if held:
            self.page.keyboard.down(held)
        mouse.move(*self.screen.at(points[0]))
        mouse.down()
        for point in points[1:]:
            mouse.move(*self.screen.at(point), steps=3)
        mouse.up()
        if held:
            self.page.keyboard.up(held)
        self.screen.settled()
        self.assertEqual(self.screen.state()["head"], before + 1)

    def title(self) -> str:
        return str(self.screen.state()["steps"][-1]["title"])


def on_band(degrees: float, height: float, out: float = 10.4) -> list[float]:
    """A place on the outside of the band, from its front to the right."""
    turn = np.radians(degrees - 90)
    return [float(out * np.cos(turn)), float(out * np.sin(turn)), height]


class ABand(ReliefCase):
    def test_brushed_stamped_mirrored_pulled_and_printed(self) -> None:
        page, screen = self.page, self.screen
        self.begin_band(MIRROR)
        plain = self.surface()
        screen.station("Relief")
        self.brush("Draw out", radius="1.2", height="0.4", level="5")
        self.lead([on_band(a, 1.5) for a in range(12, 48, 4)])
        self.assertEqual(self.title(), "Drew out Band by 0.4 mm")
        once = self.surface()
        lifted = np.linalg.norm(once - plain, axis=1)
        self.assertAlmostEqual(float(lifted.max()), 0.4, delta=0.05)
        # On the side that was drawn on, and on its image, and nowhere else.
        left, right = lifted[plain[:, 0] < -1e-6], lifted[plain[:, 0] > 1e-6]
        self.assertAlmostEqual(float(left.sum()), float(right.sum()), delta=1e-3)
        self.assertEqual(float(lifted[plain[:, 1] > 3].max()), 0.0)
        # With Shift held it presses in.
        self.lead([on_band(a, -1.5) for a in range(12, 48, 4)], held="Shift")
        self.assertEqual(self.title(), "Pressed in Band by 0.4 mm")
        outward = plain[:, :2] / np.linalg.norm(plain[:, :2], axis=1, keepdims=True)
        change = ((self.surface() - once)[:, :2] * outward).sum(axis=1)
        self.assertLess(float(change.min()), -0.3)
        # A stamp in its own true size is laid along a stroke.
        screen.choose("Stamp", "rope")
        self.lead([on_band(a, 0) for a in range(10, 60, 4)])
        self.assertEqual(self.title(), "Drew out Band by 0.4 mm, rope")
        self.pulled_and_printed(page)

    def pulled_and_printed(self, page: Any) -> None:
        screen = self.screen
        before = self.surface()
        screen.station("Shape")
        screen.press("w")
        screen.tool("Move")
        screen.field("Along z").fill("3")
        page.get_by_text("not applied yet").wait_for()
        page.keyboard.press("Enter")
        screen.settled()
        # Moved rigidly the detail moves rigidly.
        np.testing.assert_allclose(self.surface(), before + [0, 0, 3], atol=1e-6)
        screen.station("Make")
        told = page.get_by_text(re.compile(r"[\d,]+ triangles")).first
        told.wait_for(timeout=60_000)
        count = int(re.search(r"([\d,]+) triangles", told.inner_text()).group(1).replace(",", ""))  # type: ignore[union-attr]
        with page.expect_download(timeout=90_000) as waiting:
            screen.page.get_by_role("button", name=re.compile("3MF")).click()
        target = self.folder / "band.3mf"
        waiting.value.save_as(target)
        mesh = read_mesh(target.read_bytes(), "3mf", None)
        self.assertEqual(mesh.open_edge_count, 0)
        self.assertEqual(len(mesh.triangles), count)
        top = np.linalg.norm(mesh.vertices[:, :2], axis=1).max()
        self.assertAlmostEqual(float(top), float(np.linalg.norm(before[:, :2], axis=1).max()), delta=0.05)

    def test_undo_masks_levels_and_the_other_brushes(self) -> None:
        page, screen = self.page, self.screen
        self.begin_band()
        screen.station("Relief")
        self.brush("Draw out", radius="1.5", height="0.5", level="4")
        plain = self.surface(4)
        self.lead([on_band(a, 0) for a in (20, 30, 40)])
        raised = self.surface(4)
        page.keyboard.press("Control+z")
        screen.steps(1)
        np.testing.assert_array_equal(self.surface(4), plain)
        page.keyboard.press("Control+Shift+z")
        screen.steps(2)
        np.testing.assert_array_equal(self.surface(4), raised)
        self.brush("Mask", radius="4", strength="100", hardness="90")
        self.lead([on_band(28, 0), on_band(30, 0), on_band(34, 0)])
        page.get_by_text("Part of it is protected by a mask.").wait_for()
        masked = self.surface(4)
        # The radius is shared by all brushes; what is protected stays.
        self.assertEqual(screen.field("Radius").input_value(), "4")
        self.brush("Wipe off", radius="2", hardness="0")
        self.lead([on_band(30, 0), on_band(32, 0)])
        still = np.linalg.norm(self.surface(4) - masked, axis=1)
        near = np.linalg.norm(plain - on_band(31, 0), axis=1) < 1.5
        self.assertLess(float(still[near].max()), 0.02)
        screen.tool("Change mask")
        screen.choose("Way", "clear")
        page.keyboard.press("Enter")
        screen.settled()
        self.brush("Wipe off", radius="4", strength="100", hardness="90")
        self.lead([on_band(a, 0) for a in (20, 25, 30, 35, 40)])
        self.assertLess(float(np.linalg.norm(self.surface(4) - plain, axis=1).max()), 0.05)
        screen.tool("Levels")
        screen.choose("Way", "take all of it off")
        page.keyboard.press("Enter")
        screen.settled()
        self.assertIsNone(screen.state()["pieces"][0]["relief"])

    def test_a_drag_with_alt_sizes_the_brush_and_ctrl_smooths(self) -> None:
        page, screen = self.page, self.screen
        self.begin_band()
        screen.station("Relief")
        self.brush("Draw out", radius="1.5", height="0.5", level="4")
        x, y = screen.at(on_band(30, 0))
        page.keyboard.down("Alt")
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x + 40, y - 30, steps=4)
        page.mouse.up()
        page.keyboard.up("Alt")
        self.assertAlmostEqual(
            float(screen.field("Radius").input_value()), 1.5 + 40 / screen.pixels_per_mm(on_band(30, 0)), delta=0.3
        )
        self.assertGreater(float(screen.field("Height").input_value()), 0.6)
        self.assertEqual(screen.state()["head"], 1)
        self.lead([on_band(a, 0) for a in (20, 30, 40)])
        bumpy = self.surface(4)
        self.lead([on_band(a, 0) for a in (20, 30, 40)], held="Control")
        self.assertEqual(self.title(), "Smoothed Band")
        self.assertGreater(float(np.linalg.norm(self.surface(4) - bumpy, axis=1).max()), 0.01)

    def test_a_straight_stroke_stays_on_the_side_that_is_seen(self) -> None:
        screen = self.screen
        self.begin_band()
        screen.station("Relief")
        self.brush("Draw out", radius="1.2", height="0.4", level="5")
        screen.button("Stroke…").click()
        screen.choose("Led", "straight")
        plain = self.surface()
        self.lead([on_band(5, 0), on_band(20, 2), on_band(60, 0)])
        lifted = np.linalg.norm(self.surface() - plain, axis=1)
        # All the way between its ends, though the chord between them runs through the bore; not by way of its middle place.
        for degrees in range(10, 60, 5):
            near = np.linalg.norm(plain - on_band(degrees, 0), axis=1) < 1.0
            self.assertGreater(float(lifted[near].max()), 0.3, degrees)
        inside = np.hypot(plain[:, 0], plain[:, 1]) < 9.2
        self.assertEqual(float(lifted[inside].max()), 0.0)


class Stamped(ReliefCase):
    def test_a_picture_becomes_a_stamp_that_covers_the_band(self) -> None:
        page, screen = self.page, self.screen
        self.begin_band()
        picture = self.folder / "steps.png"
        Image.fromarray(np.repeat(np.repeat(np.array([[0, 65535]], dtype=np.uint16), 40, axis=0), 40, axis=1)).save(picture)
        screen.station("Relief")
        screen.tool("Stamps")
        screen.choose("Its edges", "fit together")
        page.set_input_files("input[type=file]", picture)
        page.get_by_text("steps, 80 × 40 pixels").wait_for()
        plain = self.surface()
        screen.press("f")
        outer = screen.faces_where(lambda x, y, z: np.hypot(x, y) > 10.2 and abs(z) < 2.5)
        state = screen.state()
        self.assertEqual(state["stamps"][0]["name"], "steps")
        screen.click(
            screen.face_point(outer[0]) if outer[0] in self.in_front(outer) else screen.face_point(self.in_front(outer)[0])
        )
        screen.tool("Cover faces")
        screen.choose("Stamp", "steps")
        screen.field("Height").fill("-0.3")
        page.get_by_text("not applied yet").wait_for()
        page.keyboard.press("Enter")
        screen.settled()
        self.assertRegex(self.title(), "Covered 1 face of Band with steps, −0.3 mm high")
        deep = np.linalg.norm(self.surface(5) - plain, axis=1)
        self.assertAlmostEqual(float(deep.max()), 0.3, delta=0.03)
        # The relief is written as a picture, and comes back as a stamp of true size.
        screen.tool("Stamps")
        with page.expect_download() as waiting:
            screen.button("Relief as a height map").click()
        written = self.folder / "map.png"
        waiting.value.save_as(written)
        with Image.open(written) as opened:
            self.assertEqual(opened.mode, "I;16")
        page.set_input_files("input[type=file]", written)
        page.get_by_text(re.compile(r"^map, [\d.]+ mm wide")).wait_for()

    def in_front(self, faces: list[int]) -> list[int]:
        cage = self.screen.cage()
        points = np.array(cage["positions"])
        return [f for f in faces if points[cage["faces"][f]].mean(axis=0)[1] < -8]

    def test_a_file_that_is_none_is_told(self) -> None:
        self.begin_band()
        self.screen.station("Relief")
        self.screen.tool("Stamps")
        bad = self.folder / "bad.png"
        bad.write_bytes(b"\x89PNG no")
        self.expected_errors = ("422", "400")
        self.page.set_input_files("input[type=file]", bad)
        self.page.get_by_text("A stamp comes as a PNG file; this is none.").wait_for()
        self.assertEqual(self.screen.state()["head"], 1)
