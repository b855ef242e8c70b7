"""Scans of forms with two like halves, and round ones: laid by their mirror plane or axis, and traced across the plane."""

from __future__ import annotations

import re
from typing import Any

import numpy as np

from tests.e2e.test_scans import ScanCase


class Placed(ScanCase):
    def begin_askew(self, command: dict[str, Any], axis: list[float], degrees: float, **how: Any) -> None:
        """A scan that came home askew, unlocked, the piece hidden."""
        self.begin_with(command)
        state = self.screen.state()
        ask = {"piece": "p1", "spacing": 1.2, "noise": 0.03, "looks": "around", **how}
        with self.page.expect_response(re.compile("/mesh$")):
            state = self.server.post(f"/api/designs/{state['id']}/scans?revision={state['revision']}", ask)
        askew = {"kind": "place-component", "reference": "r2", "vector": [4, -3, 2], "axis": axis, "degrees": degrees}
        hidden = {"kind": "show-piece", "piece": "p1", "visible": False}
        for command in ({"kind": "change-reference", "reference": "r2", "locked": False}, askew, hidden):
            at = {"revision": state["revision"], "command": command}
            state = self.server.post(f"/api/designs/{state['id']}/commands", at)
        self.screen.steps(4)
        self.screen.station("Set out")

    def turn(self) -> np.ndarray:
        return np.array(self.screen.state()["references"][0]["rotation"])

    def test_by_its_mirror_plane(self) -> None:
        # Shaped unlike along x and y, so that it has one mirror plane near: x = 0.
        form = {"kind": "add-box", "name": "Brick", "size": [30, 44, 20], "counts": [2, 2, 1]}
        self.begin_askew(form, [0.2, 0.1, 1], 14)
        self.screen.tool("By mirror plane")
        self.page.get_by_text(re.compile(r"[\d.]+ mm root mean square")).first.wait_for(timeout=60_000)
        self.screen.choose("Plane across", "x")
        self.previewed()
        self.apply(5)
        # Its own normal lies along x again, and the plane goes through 0.
        self.assertLess(np.degrees(np.arccos(min(1.0, float(np.abs(self.turn()[0]).max())))), 0.5)
        placed = self.screen.state()["references"][0]
        own = np.array(placed["rotation"]).T @ -np.array(placed["centre"])
        k = int(np.abs(self.turn()[0]).argmax())
        self.assertAlmostEqual(float(own[k]), 0, delta=0.1)
        self.page.keyboard.press("Control+z")
        self.screen.steps(4)

    def test_by_an_axis_with_the_mouse(self) -> None:
        post = {
            "kind": "add-cylinder", "name": "Post", "diameter": 24, "height": 60, "counts": [12, 3], "rim": 10,
            "size_of": "surface",
        }  # fmt: skip
        self.begin_askew(post, [1, 0.4, 0], 12)
        before = self.screen.state()["references"][0]
        turn, centre = np.array(before["rotation"]), np.array(before["centre"])
        self.screen.tool("By side or axis")
        self.screen.choose("It is", "a cylinder’s axis")
        self.screen.field("Within").fill("12")
        words = self.page.get_by_text(re.compile(r"places lie .* off it root mean square\. Its diameter is [\d.]+ mm"))
        self.look("Front")
        self.screen.click(turn @ np.array([0, -12.0, 6.0]) + centre)
        words.wait_for()
        self.screen.settled()
        # Shown as it would be laid, along z through 0, it is clicked from other sides as well.
        for look, place in (("Right", (12, 0, 0)), ("Back", (0, 12, 0)), ("Left", (-12, 0, 4))):
            first = words.inner_text()
            self.look(look)
            self.screen.click(place)
            self.page.get_by_text(first, exact=True).wait_for(state="detached")
            words.wait_for()
        told = float(re.findall(r"diameter is ([\d.]+)", words.inner_text())[0])
        self.assertAlmostEqual(told, 24, delta=0.3)
        self.apply(5)
        placed = self.screen.state()["references"][0]
        turn, centre = np.array(placed["rotation"]), np.array(placed["centre"])
        self.assertGreater(float(turn[2, 2]), np.cos(np.radians(0.5)))
        np.testing.assert_allclose((turn @ [0, 0, 0] + centre)[:2], 0, atol=0.2)

class Traced(ScanCase):
    def test_a_patch_and_a_strip_across_the_plane(self) -> None:
        page, screen = self.page, self.screen
        form = {"kind": "add-sphere", "name": "Ball", "diameter": 60, "size_of": "surface"}
        self.begin_scan(form, spacing=1.5, noise=0.02)
        screen.station("Set out")
        screen.tool("Trace")
        screen.choose("Mirrored", "across x")
        screen.choose("Goes on", "anew")
        screen.field("Quads along").fill("4")
        screen.field("across").fill("2")
        self.look("Front")
        ball = lambda x, z: (x, -np.sqrt(max(30.0**2 - x * x - z * z, 0)), z)  # noqa: E731
        for x, z in ((-12, 10), (12, 10), (12, -8), (-12, -8)):
            screen.click(ball(x, z))
        screen.steps(4)
        (piece,) = screen.state()["pieces"]
        self.assertEqual(piece["symmetry"]["planes"], [[[0, 0, 0], [1, 0, 0]]])
        cage = self.piece_cage(piece["id"])
        self.assertEqual(cage.topology.face_count, 8)
        self.assertEqual(np.count_nonzero(cage.positions[:, 0] == 0), 3)
        self.assertLess(abs(np.linalg.norm(cage.positions, axis=1) - 30).max(), 0.2)
        # On from the side below, over the plane again.
        for x, z in ((-12, -8), (12, -8), (11, -19), (-11, -19)):
            screen.click(ball(x, z))
        screen.steps(5)
        cage = self.piece_cage(piece["id"])
        self.assertEqual(cage.topology.face_count, 16)
        self.assertEqual(len(cage.topology.open_edges), 2 * (4 + 4))
        # A strip drawn from one side to the other above it: half of it, and its image.
        stroke = [screen.at(ball(x, 20)) for x in (-16, -8, 0, 6)]
        screen.drag(stroke[0], stroke[-1])
        screen.steps(6)
        cage = self.piece_cage(piece["id"])
        self.assertLess(abs(cage.positions[:, None] * [-1, 1, 1] - cage.positions[None]).sum(axis=2).min(axis=1).max(), 1e-9)
        page.keyboard.press("Control+z")
        screen.steps(5)
