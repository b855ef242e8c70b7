"""A wire drawn point by point, by mouse and keys: what is kept is measured."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import VerbCase


class Wires(VerbCase):
    corners = ((-30, -20, 0), (0, 18, 0), (30, -12, 0), (52, 14, 0))

    def begin_flat(self) -> None:
        """An empty design, seen from above without perspective."""
        self.begin_empty("Draw wire")
        self.screen.viewport.focus()
        for key in ("5", "0", "-", "-"):
            self.page.keyboard.press(key)
            self.screen.settled()

    def euler_of(self, piece: str) -> int:
        cage = self.screen.cage(piece)
        return len(cage["positions"]) - len(cage["edges"]) + len(cage["faces"])

    def around_points(self, points: np.ndarray) -> np.ndarray:
        """How far each of some points lies from the nearest of the smooth surface."""
        made = self.server.get(f"/api/designs/{self.screen.design_id}/pieces/p2/surface?level=4")
        surface = np.array(made["positions"])
        return np.array([np.linalg.norm(surface - p, axis=1).min() for p in points])

    def test_an_open_one_with_its_length_told(self) -> None:
        self.begin_flat()
        for corner in self.corners:
            self.screen.click(corner)
        self.page.get_by_text("mm of wire").wait_for()
        self.screen.field("Diameter").fill("3")
        self.previewed()
        # The last point is taken back, and set again.
        self.screen.viewport.focus()
        self.page.keyboard.press("Backspace")
        self.screen.settled()
        self.screen.click(self.corners[-1])
        self.page.get_by_text("mm of wire").wait_for()
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        # Two pieces: the line, which is in hand, and the wire that follows it.
        self.assertEqual([p["name"] for p in self.screen.state()["pieces"]], ["Wire, its line", "Wire"])
        self.assertEqual(len(self.screen.cage("p1")["positions"]), 4)
        self.assertEqual(len(self.screen.cage("p2")["faces"]), 3 * 3 * 8 + 2)
        self.assertEqual(self.euler_of("p2"), 2)
        self.page.get_by_label("Steps").get_by_text("Drew a wire, ⌀ 3 mm, through 4 points").wait_for()
        # Its middle runs through what was clicked: the surface is 1.5 mm from each point that is no end.
        inner = np.array(self.corners[1:3], dtype=float)
        np.testing.assert_allclose(self.around_points(inner), 1.5, atol=0.2)
        self.page.keyboard.press("Control+z")
        self.screen.steps(0)
        self.assertEqual(self.screen.state()["pieces"], [])

    def test_a_ring_in_parts_of_an_inch_and_too_thick_a_wire(self) -> None:
        self.begin_flat()
        for corner in (*self.corners, self.corners[0]):
            self.screen.click(corner)
        self.assertEqual(self.screen.field("Ends").count(), 0)
        self.screen.field("Diameter").fill("60 mm")
        self.page.get_by_text("bends tighter than the pipe's radius").wait_for()
        self.screen.field("Diameter").fill("1/16 in")
        self.page.get_by_text("bends tighter").wait_for(state="detached")
        self.previewed()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(1)
        # A ring: as many edges as vertices and faces together.
        self.assertEqual(self.euler_of("p2"), 0)
        self.assertEqual(len(self.screen.cage("p2")["faces"]), 4 * 3 * 8)
        np.testing.assert_allclose(self.around_points(np.array(self.corners, dtype=float)), 25.4 / 32, atol=0.2)
