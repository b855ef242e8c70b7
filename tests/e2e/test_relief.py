"""Relief by hand: brushes and stamps led over a band with the mouse, its cage pulled after, and printed."""

from __future__ import annotations

import re
from typing import Any

import numpy as np
from PIL import Image
from scipy.spatial import cKDTree

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
    def test_brushed_mirrored_pulled_and_printed(self) -> None:
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


class Further(ReliefCase):
    def test_one_stroke_goes_eight_times_round(self) -> None:
        self.begin_band()
        plain = self.surface()
        self.screen.station("Relief")
        self.brush("Draw out", radius="1", height="0.4", level="5")
        self.screen.button("Stroke…").click()
        self.screen.field("Times round").fill("8")
        self.page.keyboard.press("Tab")
        self.lead([on_band(a, 0) for a in (-4, -2, 0, 2, 4)])
        lifted = np.linalg.norm(self.surface() - plain, axis=1)
        turn = np.degrees(np.arctan2(plain[:, 1], plain[:, 0])) + 90
        for k in range(8):
            away = np.abs((turn - 45 * k + 180) % 360 - 180)
            self.assertAlmostEqual(float(lifted[away < 3].max()), 0.4, delta=0.06, msg=str(45 * k))
            self.assertEqual(float(lifted[np.abs(away - 22.5) < 2].max()), 0.0)

    def test_a_pen_that_presses_less_raises_less(self) -> None:
        self.begin_with({"kind": "add-plane", "size": [60, 60], "counts": [4, 4]})
        self.screen.station("Relief")
        self.brush("Draw out", radius="8", height="2", level="4")
        pen = self.context.new_cdp_session(self.page)

        def send(kind: str, at: tuple[float, float], force: float, buttons: int = 1) -> None:
            told = {"type": kind, "x": at[0], "y": at[1], "button": "left", "buttons": buttons, "clickCount": 1}
            pen.send("Input.dispatchMouseEvent", {**told, "pointerType": "pen", "force": force})

        for step, (y, force) in enumerate(((-15.0, 0.25), (15.0, 1.0)), 2):
            way = [self.screen.at((x, y, 0)) for x in np.linspace(-15, 15, 9)]
            send("mouseMoved", way[0], 0.0, 0)
            send("mousePressed", way[0], force)
            for at in way[1:]:
                send("mouseMoved", at, force)
            send("mouseReleased", way[-1], 0.0, 0)
            self.screen.steps(step)
        points = self.surface(4)
        light, full = (float(points[np.abs(points[:, 1] - y) < 8, 2].max()) for y in (-15, 15))
        self.assertAlmostEqual(full, 2.0, delta=0.05)
        self.assertAlmostEqual(light, 0.25 * 2.0, delta=0.05)

    def test_a_rope_is_led_along_a_loop_of_edges_in_whole_tiles(self) -> None:
        self.begin_band()
        plain = self.surface()
        self.screen.press("e")
        cage = self.screen.cage()
        points = np.array(cage["positions"])
        middles = points[np.array(cage["edges"])].mean(axis=1)
        outside = np.linalg.norm(middles[:, :2], axis=1)
        front = np.flatnonzero((middles[:, 1] < 0) & (np.abs(middles[:, 0]) < 3) & (outside > outside.max() - 0.3))
        edge = int(front[np.abs(middles[front][:, 2]).argmin()])
        self.page.mouse.dblclick(*self.screen.at(middles[edge]))
        self.screen.settled()
        self.assertIn("edges picked", self.screen.chosen())
        self.screen.station("Relief")
        self.screen.tool("Stroke along")
        self.screen.field("Radius").fill("1")
        self.screen.field("Height").fill("0.4")
        self.screen.choose("Stamp", "rope")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.assertIn("rope", self.title())
        lifted = np.linalg.norm(self.surface() - plain, axis=1)
        self.assertGreater(float(lifted.max()), 0.25)
        # All round, and on the outside alone.
        turn = np.degrees(np.arctan2(plain[:, 1], plain[:, 0])) % 360
        for k in range(12):
            here = (turn >= 30 * k) & (turn < 30 * k + 30)
            self.assertGreater(float(lifted[here].max()), 0.2, str(k))
        self.assertEqual(float(lifted[np.linalg.norm(plain[:, :2], axis=1) < 9].max()), 0.0)

    def test_levels_are_made_the_cage_and_all_of_it_a_component(self) -> None:
        self.begin_band()
        self.screen.station("Relief")
        self.brush("Draw out", radius="3", height="0.6", level="3")
        self.lead([on_band(a, 0) for a in (-10, -5, 0, 5, 10)])
        before = self.surface(4)
        faces = self.screen.state()["pieces"][0]["face_count"]
        self.screen.tool("Levels")
        self.screen.choose("Way", "make the first one the cage")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        piece = self.screen.state()["pieces"][0]
        self.assertEqual(piece["face_count"], 4 * faces)
        self.assertEqual(piece["relief"]["depth"], 2)
        # The same surface: places of the fourth level are now those of the third.
        self.assertLess(float(cKDTree(self.surface(3)).query(before)[0].max()), 2e-3)
        self.page.get_by_role("button", name="Band as a component of triangles").click()
        self.screen.steps(4)
        component = self.screen.state()["references"][0]
        self.assertEqual(component["kind"], "component")
        self.assertGreater(component["triangles"], 4_000)
