"""Curves by mouse and keys: strokes, mirrors, pipes with beads, sweeps and skins, files; what is kept is measured."""

from __future__ import annotations

import io
from typing import Any

import ezdxf
import numpy as np
import trimesh
from svgelements import SVG, Path

from tests.e2e.case import VerbCase

Point = tuple[float, float, float]


def curve(points: Any, name: str = "Curve", **more: Any) -> dict[str, Any]:
    return {"kind": "draw-curve", "name": name, "points": [list(map(float, p)) for p in points], **more}


class Lines(VerbCase):
    def stroke(self, points: Any, steps: int = 2) -> None:
        mouse = self.page.mouse
        at = self.screen.project(np.array(points, dtype=float))
        mouse.move(*at[0])
        mouse.down()
        for x, y in at[1:]:
            mouse.move(float(x), float(y), steps=steps)
        mouse.up()
        self.screen.settled()

    def flat(self) -> None:
        self.screen.viewport.focus()
        for key in ("5", "0"):
            self.page.keyboard.press(key)
            self.screen.settled()

    def test_a_stroke_of_a_shaking_hand_closes_and_is_laid_evenly(self) -> None:
        self.begin_empty("Draw curve")
        self.flat()
        rng = np.random.default_rng(4)
        turn = np.linspace(0, 2 * np.pi * 0.995, 90)
        self.stroke(
            np.column_stack([40 * np.cos(turn), 25 * np.sin(turn), 0 * turn]) + rng.normal(0, 0.15, (90, 3)) * [1, 1, 0]
        )
        self.page.get_by_text("strays from the stroke by at most").wait_for()
        self.screen.field("Within").fill("1 mm")
        self.previewed()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        kept = self.screen.state()["pieces"][0]["curve"]
        self.assertTrue(kept["closed"])
        self.assertLess(len(self.screen.cage()["positions"]), 16)
        # Ramanujan's approximation of an ellipse's length.
        h = (15 / 65) ** 2
        length = np.pi * 65 * (1 + 3 * h / (10 + np.sqrt(4 - 3 * h)))
        self.assertAlmostEqual(kept["length"] / length, 1, delta=0.02)
        # One undo, and nothing is there; a drag of the view's own button draws nothing.
        self.page.keyboard.press("Control+z")
        self.screen.steps(0)

    def test_a_stroke_on_a_form_lies_on_it(self) -> None:
        self.begin_with({"kind": "add-sphere", "diameter": 40, "size_of": "surface"})
        self.screen.station("Rough")
        self.screen.tool("Draw curve")
        self.screen.choose("On", "forms and scans")
        self.flat()
        side = np.linspace(-12, 12, 40)
        self.stroke(np.column_stack([side, 0.3 * side, np.sqrt(400 - 1.09 * side**2)]))
        self.page.get_by_text("strays from the stroke by at most").wait_for()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        radii = np.linalg.norm(self.screen.cage("p2")["positions"], axis=1)[[0, -1]]
        np.testing.assert_allclose(radii, 20, atol=0.6)
        ends = np.array(self.screen.cage("p2")["positions"])[[0, -1], :2]
        np.testing.assert_allclose(ends, [[-12, -3.6], [12, 3.6]], atol=0.7)

    def test_a_curve_is_mirrored_live_and_pulled_on_one_side(self) -> None:
        self.begin_with(curve([(-20, 0, 0), (-8, 8, 0), (6, -5, 0), (20, 5, 0), (30, 0, 0)]))
        self.take("Curve")
        self.screen.station("Shape")
        self.screen.tool("Mirror")
        self.previewed()
        self.page.get_by_text("strays from the half that it was").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.flat()
        self.screen.press("v")
        held = np.array(self.screen.cage()["positions"])
        self.screen.press("m")
        self.screen.click(held[1])
        self.assertIn("1 vertex picked", self.screen.chosen())
        self.screen.field("Along y").fill("6")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        now = np.array(self.screen.cage()["positions"])
        np.testing.assert_allclose(now[1], held[1] + [0, 6, 0], atol=1e-9)
        np.testing.assert_allclose(now[::-1], now * [-1, 1, 1], atol=1e-12)

    def test_a_pipe_is_drawn_wider_at_a_place_by_its_bead(self) -> None:
        self.begin_with(curve([(-40, 0, 0), (-15, 0, 0), (15, 0, 0), (40, 0, 0)]))
        self.take("Curve")
        self.screen.station("Rough")
        self.screen.tool("Pipe")
        self.screen.field("Diameter").first.fill("6")
        self.screen.field("Places").fill("1")
        self.previewed()
        # The bead lies on the surface, half of 9 mm from the line, square to it.
        self.assertEqual(self.screen.field("1st diameter").input_value(), "9")
        side = (
            np.array([0.0, 0.0, 1.0])
            if self.screen.at((0, 0, 4.5)) != self.screen.at((0, 0, 0))
            else np.array([0.0, 1.0, 0.0])
        )
        start = self.screen.at(4.5 * side)
        end = self.screen.at(7.5 * side)
        self.screen.drag(start, end)
        self.assertAlmostEqual(float(self.screen.field("1st diameter").input_value()), 15, delta=0.6)
        self.screen.choose("Section", "square")
        self.screen.field("1st diameter").fill("12")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        points = np.array(self.screen.cage("p2")["positions"])
        made = self.server.get(f"/api/designs/{self.screen.design_id}/pieces/p2/surface?level=3")
        surface = np.array(made["positions"])
        middle = np.abs(surface[:, 0]) < 1.5
        self.assertAlmostEqual(float(np.abs(surface[middle][:, 1:]).max()), 6, delta=0.1)
        self.assertAlmostEqual(float(np.abs(surface[np.abs(surface[:, 0]) > 39.9][:, 1:]).max()), 3, delta=0.01)
        self.assertEqual(len(points) % 8, 0)
        # Changed by its own card: the place is there again.
        self.take("Pipe")
        self.page.get_by_label("Change how Pipe grows").click()
        self.screen.settled()
        self.assertEqual(self.screen.field("1st diameter").input_value(), "12")

    def test_a_sweep_and_a_skin_by_picking_their_lines(self) -> None:
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 10, "count": 8}
        rail = curve([(0, 0, 0), (0, 0, 20), (0, 0, 40)], "Rail")

        def over(x: float, y: float) -> Point:
            return (x, y, 60 + (4 + x / 10) * (1 - (y / 20) ** 2))

        ribs = [curve([over(x, y) for y in (-20, 0, 20)], f"Rib {k}") for k, x in enumerate((-20, 0, 20))]
        hoops = [curve([over(x, y) for x in (-20, 0, 20)], f"Hoop {k}") for k, y in enumerate((-20, 20))]
        self.begin_with(
            rail, {**ring, "name": "Low"}, {**ring, "name": "High", "diameter": 20, "centre": [0, 0, 40]}, *ribs, *hoops
        )
        self.screen.press("w")
        self.screen.station("Rough")
        self.take("Rail", "Low", "High")
        self.screen.tool("Sweep")
        self.previewed()
        self.page.get_by_text("Swept Low and High along Rail").first.wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(9)
        made = self.server.get(f"/api/designs/{self.screen.design_id}/pieces/p9/surface?level=3")
        surface = np.array(made["positions"])
        for height, radius in ((0, 5), (20, 7.5), (40, 10)):
            near = np.abs(surface[:, 2] - height) < 0.01
            reach = np.linalg.norm(surface[near][:, :2], axis=1).max()
            self.assertAlmostEqual(float(reach), radius, delta=0.06)
        self.screen.station("Rough")
        self.take("Rib 0", "Rib 1", "Rib 2", "Hoop 0", "Hoop 1")
        self.screen.tool("Skin")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(10)
        sheet = self.screen.state()["pieces"][-1]
        self.assertEqual(sheet["grown"]["kind"], "skin")
        extent = np.ptp(np.array(self.screen.cage(sheet["id"])["positions"]), axis=0)
        np.testing.assert_allclose(extent[:2], 40, atol=1e-6)

    def test_an_image_of_a_repeat_is_taken_out_by_a_click_and_the_rest_moved_between(self) -> None:
        box = {
            "kind": "add-box",
            "size": [10, 10, 10],
            "counts": [1, 1, 1],
            "size_of": "cage",
            "name": "Block",
            "centre": [30, 0, 0],
        }
        self.begin_with(box, {"kind": "grow", "growth": {"kind": "repeat", "originals": ["p1"], "count": 4}, "name": "Ring"})
        self.take("Ring")
        self.screen.station("Shape")
        self.screen.tool("Take out")
        self.flat()
        # Of the three images (a quarter, a half, three quarters round) the one opposite.
        self.screen.click((-30, 0, 4))
        self.assertEqual(self.screen.field("Image").input_value(), "2")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        pieces = self.screen.state()["pieces"]
        self.assertEqual([p["name"] for p in pieces], ["Block", "Ring", "Block, taken out"])
        self.assertEqual(pieces[1]["images"], 2)
        middle = np.array(self.screen.cage(pieces[2]["id"])["positions"]).mean(axis=0)
        np.testing.assert_allclose(middle, [-30, 0, 0], atol=1e-9)
        self.take("Ring")
        self.page.get_by_label("Change how Ring grows").click()
        self.screen.settled()
        self.screen.button("Half a step on").click()
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(4)
        self.assertEqual(self.screen.state()["pieces"][1]["grown"]["phase"], 0.5)

    def test_a_line_is_made_longer_smoothed_and_trimmed(self) -> None:
        line = curve([(-30, 0, 0), (-10, 0, 0), (0, 6, 0), (10, 0, 0), (30, 0, 0)], "Line", way="control")
        self.begin_with(line, curve([(20, -20, 0), (20, 20, 0)], "Across"))
        self.take("Line")
        self.screen.station("Refine")
        self.screen.tool("Extend curve")
        self.screen.field("Longer by").fill("30")
        self.previewed()
        before = self.screen.state()["pieces"][0]["curve"]["length"]
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        self.assertAlmostEqual(self.screen.state()["pieces"][0]["curve"]["length"], before + 30, delta=1e-6)
        self.screen.press("w")
        self.take("Line")
        self.screen.station("Refine")
        self.screen.tool("Relax")
        self.screen.field("Rounds").fill("40")
        self.screen.choose("Surface", "as it falls")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(4)
        self.assertLess(float(np.array(self.screen.cage()["positions"])[:, 1].max()), 4)
        self.take("Line", "Across")
        self.screen.station("Refine")
        self.screen.tool("Part or trim")
        self.screen.choose("Keep", "the first")
        self.previewed()
        self.page.get_by_text("The rest is cut off").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(5)
        pieces = self.screen.state()["pieces"]
        self.assertEqual([p["name"] for p in pieces], ["Line", "Across"])
        self.assertAlmostEqual(float(np.array(self.screen.cage()["positions"])[:, 0].max()), 20, delta=0.05)

    def test_a_loft_as_drawn_and_bodies_by_themselves(self) -> None:
        rings = [
            {"kind": "add-curve", "shape": "circle", "diameter": 20, "count": 8, "centre": [0, 0, z], "name": name}
            for name, z in (("Low", 0), ("High", 20), ("Middle", 10))
        ]
        ball = {"kind": "add-sphere", "diameter": 20, "size_of": "surface", "centre": [60, 0, 0], "name": "Ball"}
        self.begin_with(*rings, ball)
        self.screen.press("w")
        self.take("Low", "High", "Middle")
        self.screen.station("Rough")
        self.screen.tool("Loft")
        self.page.get_by_text("put into the order in which they lie").wait_for()
        self.screen.choose("Order and ways", "as picked and drawn")
        self.previewed()
        self.page.get_by_text("put into the order in which they lie").wait_for(state="detached")
        self.page.keyboard.press("Enter")
        self.screen.steps(5)
        heights = np.array(self.screen.cage("p5")["positions"]).reshape(8, 3, 3)[0, :, 2]
        self.assertTrue(heights[1] > heights[2])
        self.take("Ball")
        self.screen.station("Rough")
        self.screen.tool("Repeat")
        self.screen.choose("Repeated", "in rows")
        self.screen.field("Times").fill("3")
        self.screen.field("Step x").fill("12")
        self.screen.button("Place…").click()
        self.screen.choose("In Make", "each by itself")
        self.previewed()
        self.page.keyboard.press("Enter")
        self.screen.steps(6)
        self.take("Repeat")
        self.screen.station("Make")
        with self.page.expect_download(timeout=120_000) as waiting:
            self.screen.button("Download STL").click()
        path = self.folder / "balls.stl"
        waiting.value.save_as(path)
        parts = trimesh.load(path).split()
        self.assertEqual([part.is_watertight for part in parts], [True] * 3)
        np.testing.assert_allclose([part.volume for part in parts], parts[0].volume)

    def test_every_station_opens_with_a_curve_in_hand(self) -> None:
        self.begin_with({"kind": "add-curve", "shape": "circle", "diameter": 30, "count": 12, "name": "Rim"})
        self.take("Rim")
        for station in ("Set out", "Rough", "Shape", "Refine", "Relief", "Prove", "Make"):
            self.screen.station(station)
            self.screen.settled()
            self.page.wait_for_timeout(150)
        self.page.get_by_text("Rim is a curve, and encloses nothing").wait_for()

    def test_curves_go_out_and_come_in_as_files(self) -> None:
        self.begin_with({"kind": "add-curve", "shape": "circle", "diameter": 30, "count": 12, "name": "Rim"})
        self.take("Rim")
        self.screen.station("Make")
        self.screen.tool("Curve file")
        path = None
        for words in ("SVG", "DXF"):
            self.screen.choose("File", words) if self.screen.field("File").count() else None
            with self.page.expect_download(timeout=60_000) as waiting:
                self.page.get_by_role("button", name="Download").filter(has_text=words).first.click()
            path = self.folder / waiting.value.suggested_filename
            waiting.value.save_as(path)
            data = path.read_bytes()
            if words == "SVG":
                drawn = [part for part in SVG.parse(io.BytesIO(data)).elements() if isinstance(part, Path)]
                self.assertEqual(len(drawn), 1)
            else:
                self.assertEqual(len(list(ezdxf.read(io.StringIO(data.decode())).modelspace())), 1)  # type: ignore[attr-defined]
        assert path is not None
        self.screen.station("Set out")
        self.screen.tool("Curves from a file")
        self.page.get_by_label("Curve file").set_input_files(path)
        self.page.get_by_text("not applied yet").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        came = self.screen.state()["pieces"][1]["curve"]
        self.assertAlmostEqual(came["length"] / (30 * np.pi), 1, delta=2e-3)
