"""Scans by hand: a scan of a clay grip, traced with the mouse as one mirrored half, settled, measured, and made solid; and
the tools around it."""

from __future__ import annotations

import json
import re
from pathlib import Path
from typing import Any

import numpy as np

from tests.core.scan.forms import hard_box
from tests.e2e.case import VerbCase
from zinc_otter.core.cage import Cage
from zinc_otter.core.proof.features import LineDistance
from zinc_otter.core.surface.nearest import NearestOnSurface, nearest_on
from zinc_otter.demo.hand import Hand
from zinc_otter.demo.paddle_grip import paddle_grip
from zinc_otter.store import Store
from zinc_otter.studio.commands.add_cage import AddCage
from zinc_otter.studio.studio import Studio


def clay_grip(folder: Path) -> Cage:
    store = Store(folder / "clay.sqlite")
    studio = Studio(store)
    made = store.create("Clay", "mm")
    paddle_grip(Hand(studio, made, store))
    return studio.saved(made.facts.id).design.pieces[0].cage


class ScanCase(VerbCase):
    def begin_scan(self, command: dict[str, Any], **how: Any) -> None:
        """A design with a scan of what a command puts down, and that no more."""
        state = self.server.post("/api/designs", {"name": "Scan"})
        address = f"/api/designs/{state['id']}"
        state = self.server.post(f"{address}/commands", {"revision": state["revision"], "command": command})
        ask = {"piece": "p1", "spacing": 0.8, "noise": 0.05, "looks": "around", **how}
        state = self.server.post(f"{address}/scans?revision={state['revision']}", ask)
        gone = {"kind": "delete-piece", "piece": "p1"}
        state = self.server.post(f"{address}/commands", {"revision": state["revision"], "command": gone})
        # The scan's mesh comes by itself.
        with self.page.expect_response(re.compile("/mesh$")):
            self.page.goto(f"{self.server.address}/design/{state['id']}")
        self.screen.steps(3)
        self.screen.viewport.focus()
        self.page.keyboard.press(".")
        self.screen.settled()

    def look(self, name: str) -> None:
        self.page.get_by_role("button", name=re.compile(f"^{name} view")).click()
        self.page.mouse.move(640, 700)
        self.screen.settled()

    def piece_cage(self, piece: str) -> Cage:
        told = self.screen.cage(piece)
        cage = Cage.from_faces(np.array(told["positions"]), told["faces"])
        return cage

    def off(self, piece: str, form: NearestOnSurface) -> np.ndarray:
        points = nearest_on(self.piece_cage(piece)).surface_points
        return np.asarray(np.linalg.norm(points - form.at(points)[0], axis=1))


class ByHand(ScanCase):
    def test_a_clay_grip_is_traced_settled_measured_and_made_solid(self) -> None:
        page, screen = self.page, self.screen
        clay = clay_grip(self.folder)
        form = nearest_on(clay)
        self.begin_scan(json.loads(AddCage.of("Clay grip", clay).model_dump_json()))
        screen.station("Set out")
        screen.tool("Trace")
        screen.choose("Mirrored", "across x")
        screen.choose("Goes on", "anew")
        for label in ("Quads along", "across"):
            screen.field(label).fill("2")
        # Folded to one line the card leaves the whole form to be seen.
        screen.button("Fold the card to one line").click()
        count = 3

        def on_clay(x: float, y: float, z: float) -> tuple[float, float, float]:
            found = form.at(np.array([[x, y, z]], dtype=np.float64))[0][0]
            return (0.0 if x == 0 else float(found[0]), float(found[1]), float(found[2]))

        # Along the bar at three places, front and back, upper and lower; then the neck's foot.
        named = {
            f"{side}{height}{place}": on_clay(x, y, z)
            for place, x in (("0", 0), ("1", 18), ("2", 44)) for side, y in (("f", -20), ("b", 20))
            for height, z in (("u", 9 if x < 40 else 7), ("l", -8 if x < 40 else -9))
        }  # fmt: skip
        foot = {"fn0": (0, -20), "fn1": (13, -14), "bn0": (0, 20), "bn1": (13, 14)}
        named |= {name: on_clay(x, y, -57) for name, (x, y) in foot.items()}

        def lay(*corners: str) -> None:
            nonlocal count
            before = self.faces_told()
            for corner in corners:
                screen.click(named[corner])
            count += 1
            screen.steps(count)
            # Where vertices came to lie is where the next patch takes them up.
            told = self.points("p3")
            for corner in corners:
                nearest = int(np.linalg.norm(told - named[corner], axis=1).argmin())
                self.assertLess(np.linalg.norm(told[nearest] - named[corner]), 1.5, corner)
                named[corner] = tuple(told[nearest])
            self.assertEqual(self.faces_told(), before + 8)

        self.look("Front")
        lay("fu0", "fl0", "fl1", "fu1")
        lay("fu1", "fl1", "fl2", "fu2")
        lay("fl0", "fn0", "fn1", "fl1")
        self.look("Back")
        lay("bu0", "bl0", "bl1", "bu1")
        lay("bu1", "bl1", "bl2", "bu2")
        lay("bl0", "bn0", "bn1", "bl1")
        self.look("Top")
        lay("fu0", "fu1", "bu1", "bu0")
        lay("fu1", "fu2", "bu2", "bu1")
        self.look("Right")
        lay("fu2", "fl2", "bl2", "bu2")
        self.look("Low")
        lay("fn0", "fn1", "bn1", "bn0")
        lay("fl1", "fl2", "bl2", "bl1")
        # The neck's side is hidden by the bar but from below.
        self.look("Right")
        screen.drag((800, 400), (800, 320), button="right")
        lay("fl1", "fn1", "bn1", "bl1")
        cage = self.piece_cage("p3")
        self.assertTrue(cage.topology.is_closed)
        self.assertEqual(cage.topology.face_count, 96)
        before = float(np.sqrt((self.off("p3", form) ** 2).mean()))

        # One step back takes one patch, and no more.
        page.keyboard.press("Control+z")
        screen.steps(count - 1)
        self.assertEqual(self.faces_told(), 88)
        page.keyboard.press("Control+Shift+Z")
        screen.steps(count)

        screen.station("Refine")
        self.press("w")
        screen.tool("Settle")
        self.previewed()
        page.get_by_text(re.compile(r"Root mean square [\d.]+ mm before, [\d.]+ mm after")).wait_for()
        self.apply(count + 1)
        after = float(np.sqrt((self.off("p3", form) ** 2).mean()))
        self.assertLess(after, before / 4)
        self.assertLess(after, 0.6)

        screen.station("Prove")
        screen.tool("Deviation")
        screen.field("Within").fill("0.3")
        self.previewed()
        self.apply(count + 2)
        line = page.get_by_label("Proofs", exact=True)
        told = line.get_by_text(re.compile(r"Up to [\d.]+ mm (outside|inside), [\d.]+ mm root mean square")).inner_text()
        rms = float(re.findall(r"([\d.]+) mm root mean square", told)[0])
        self.assertAlmostEqual(rms, after, delta=0.25 * after + 0.03)
        page.get_by_label(re.compile("^Map: Traced sheet")).click()
        legend = page.get_by_label("Map", exact=True)
        legend.get_by_text("+0.3 mm", exact=True).wait_for()
        legend.get_by_text("−0.3 mm", exact=True).wait_for()
        legend.get_by_text(re.compile("% beyond the limit")).wait_for()
        self.look("Front")
        page.mouse.move(*screen.at(on_clay(6, -20, 0)))
        page.get_by_test_id("map-under").get_by_text(re.compile(r"^[+−]?[\d.]+ mm here$")).wait_for()

        screen.station("Make")
        screen.tool("Solid")
        screen.button("Make solid").click()
        page.get_by_text("yes, one closed solid").wait_for(timeout=120_000)

    def faces_told(self) -> int:
        pieces = self.screen.state()["pieces"]
        return len(self.screen.cage(pieces[0]["id"])["faces"]) if pieces else 0


class Proposed(ScanCase):
    def test_quads_are_proposed_seen_kept_and_taken_back(self) -> None:
        page, screen = self.page, self.screen
        ball = {"kind": "add-sphere", "name": "Ball", "diameter": 50}
        self.begin_scan(ball, spacing=1.2)
        screen.station("Set out")
        screen.tool("Propose quads")
        screen.field("Quads, about").fill("96")
        screen.choose("Mirrored", "across x")
        screen.button("Propose").click()
        told = page.get_by_test_id("proposed")
        told.wait_for(timeout=60_000)
        self.assertRegex(told.inner_text(), r"^\d+ quads, \d+ vertices with not four edges; 0\.0\d+ mm root mean square")
        self.assertEqual(screen.state()["pieces"], [], "what is shown is not kept")
        screen.button("Drop it").click()
        screen.button("Propose").click()
        told.wait_for(timeout=60_000)
        screen.button("Keep it").click()
        screen.steps(4)
        cage = self.piece_cage("p3")
        self.assertTrue(cage.topology.is_closed)
        self.assertTrue((cage.topology.face_sizes == 4).all())
        far = np.linalg.norm(nearest_on(cage).surface_points, axis=1)
        self.assertLess(float(np.sqrt(((far - far.mean()) ** 2).mean())), 0.3)
        self.assertEqual(screen.state()["pieces"][0]["symmetry"]["planes"], [[[0, 0, 0], [1, 0, 0]]])
        page.keyboard.press("Control+z")
        screen.steps(3)
        self.assertEqual(screen.state()["pieces"], [])


    def test_along_the_sharp_lines_of_a_noisy_scan_or_not(self) -> None:
        page, screen = self.page, self.screen
        form, lines = hard_box()
        self.begin_scan(json.loads(AddCage.of("Block", form).model_dump_json()), noise=0.1)
        screen.station("Set out")
        screen.tool("Propose quads")
        screen.field("Quads, about").fill("60")
        screen.button("Propose").click()
        told = page.get_by_test_id("proposed")
        told.wait_for(timeout=60_000)
        hard = int(re.findall(r"(\d+) edges hard along its sharp lines", told.inner_text())[0])
        screen.button("Keep it").click()
        screen.steps(4)
        cage = screen.cage("p3")
        edges = np.array(cage["edges"])[[int(e) for e, sharpness in cage["creases"].items() if sharpness == 10]]
        self.assertEqual(len(edges), hard)
        ends = np.array(cage["positions"])[edges]
        self.assertLess(LineDistance(lines)(ends.reshape(-1, 3)).max(), 0.5)
        # Left alone, nothing of the next one is hard.
        screen.choose("Sharp lines", "left")
        screen.button("Propose").click()
        told.wait_for(timeout=60_000)
        self.assertNotIn("hard", told.inner_text())


class Scanned(ScanCase):
    def test_a_piece_is_scanned_tossed_and_laid_back(self) -> None:
        page, screen = self.page, self.screen
        corner = {"kind": "vertex", "ids": [0]}
        self.begin_with(
            {"kind": "add-box", "name": "Brick", "size": [50, 30, 20], "counts": [3, 2, 2]},
            {"kind": "move", "piece": "p1", "picked": corner, "vector": [-8, -5, -6]},
        )
        self.press("w")
        screen.click([0, 0, 10])
        screen.station("Set out")
        screen.tool("Scan a piece")
        screen.field("Noise").fill("0.04")
        screen.choose("Looks", "from all sides")
        screen.button("Scan it").click()
        screen.steps(3)
        (made,) = screen.state()["references"]
        self.assertEqual((made["name"], made["scan"]), ("Scan of Brick", True))
        # It lies on the piece: nothing is said to be cut into.
        self.assertEqual(page.get_by_text("cuts into").count(), 0)

        # Locked it is not moved, and the card says what to do.
        screen.tool("Best fit")
        page.get_by_text("Scan of Brick is locked: unlock it").wait_for()
        page.get_by_label("Unlock Scan of Brick").click()
        screen.steps(4)
        state = screen.state()
        askew = {
            "kind": "place-component", "reference": made["id"], "vector": [3, -2, 2], "axis": [0.3, 0.2, 1], "degrees": 12,
        }  # fmt: skip
        self.server.post(f"/api/designs/{state['id']}/commands", {"revision": state["revision"], "command": askew})
        screen.steps(5)
        page.get_by_text(re.compile("% of it meets the piece")).wait_for()
        self.apply(6)
        (placed,) = screen.state()["references"]
        np.testing.assert_allclose(placed["rotation"], np.eye(3), atol=2e-3)
        np.testing.assert_allclose(placed["centre"], [0, 0, 0], atol=0.05)

    def test_by_pairs_of_points_with_the_mouse(self) -> None:
        page, screen = self.page, self.screen
        self.begin_with({"kind": "add-box", "name": "Brick", "size": [40, 40, 20], "counts": [2, 2, 1], "size_of": "cage"})
        state = screen.state()
        ask = {"piece": "p1", "spacing": 2, "noise": 0, "looks": "around"}
        with page.expect_response(re.compile("/mesh$")):
            state = self.server.post(f"/api/designs/{state['id']}/scans?revision={state['revision']}", ask)
        for command in (
            {"kind": "change-reference", "reference": "r2", "locked": False},
            {"kind": "place-component", "reference": "r2", "vector": [60, 0, 0]},
        ):
            at = {"revision": state["revision"], "command": command}
            state = self.server.post(f"/api/designs/{state['id']}/commands", at)
        screen.steps(4)
        page.keyboard.press(".")
        screen.settled()
        screen.station("Set out")
        screen.tool("By pairs of points")
        form = nearest_on(self.piece_cage("p1"))
        for x, y in ((-8, -8), (9, -7), (2, 10)):
            top = form.at(np.array([[x, y, 15.0]]))[0][0]
            page.get_by_text(re.compile("click a point on the component")).wait_for()
            screen.click(top + [60, 0, 0])
            page.get_by_text(re.compile("click where that point belongs")).wait_for()
            screen.click(top)
        self.previewed()
        self.apply(5)
        (placed,) = screen.state()["references"]
        self.assertLess(np.linalg.norm(placed["centre"]), 1.5)
        self.assertLess(np.abs(np.array(placed["rotation"]) - np.eye(3)).max(), 0.08)

    def test_by_a_flat_side_with_the_mouse(self) -> None:
        """A brick that came home askew is laid on the ground by two clicks on its top."""
        page, screen = self.page, self.screen
        brick = {"kind": "add-box", "name": "Brick", "size": [40, 40, 20], "counts": [2, 2, 1], "size_of": "cage"}
        hard = {"kind": "crease", "piece": "p1", "picked": {"kind": "edge", "ids": list(range(32))}, "sharpness": 10}
        self.begin_with(brick, hard)
        state = screen.state()
        ask = {"piece": "p1", "spacing": 1.5, "noise": 0.02, "looks": "around"}
        with page.expect_response(re.compile("/mesh$")):
            state = self.server.post(f"/api/designs/{state['id']}/scans?revision={state['revision']}", ask)
        askew = {"kind": "place-component", "reference": "r2", "vector": [0, 0, 7], "axis": [0.3, 1, 0.1], "degrees": 9}
        hidden = {"kind": "show-piece", "piece": "p1", "visible": False}
        for command in ({"kind": "change-reference", "reference": "r2", "locked": False}, askew, hidden):
            at = {"revision": state["revision"], "command": command}
            state = self.server.post(f"/api/designs/{state['id']}/commands", at)
        screen.steps(5)
        placed = state["references"][0]
        turn, centre = np.array(placed["rotation"]), np.array(placed["centre"])
        screen.station("Set out")
        screen.tool("By side or axis")
        screen.click(turn @ np.array([-6, -5, 10.0]) + centre)
        words = page.get_by_text(re.compile("places lie .* off it root mean square"))
        words.wait_for()
        first = words.inner_text()
        # The preview shows it laid: the next click is meant for what is seen there.
        screen.click((7, 6, 0))
        page.get_by_text(first, exact=True).wait_for(state="detached")
        words.wait_for()
        self.apply(6)
        (placed,) = screen.state()["references"]
        # Its top looks straight up, and lies on the ground.
        up = np.array(placed["rotation"]) @ [0, 0, 1]
        self.assertLess(np.degrees(np.arccos(min(1.0, float(up[2])))), 0.2)
        top = np.array(placed["rotation"]) @ [0, 0, 10] + np.array(placed["centre"])
        self.assertAlmostEqual(float(top[2]), 0, delta=0.05)


class Working(ScanCase):
    def begin_beside(self, **how: Any) -> None:
        """A ball, and its scan."""
        self.begin_with({"kind": "add-sphere", "name": "Ball", "diameter": 50})
        state = self.screen.state()
        ask = {"piece": "p1", "spacing": 1.5, "noise": 0.02, "looks": "around", **how}
        with self.page.expect_response(re.compile("/mesh$")):
            self.server.post(f"/api/designs/{state['id']}/scans?revision={state['revision']}", ask)
        self.screen.steps(2)

    def test_what_is_moved_sticks_to_the_scan_while_that_is_on(self) -> None:
        page, screen = self.page, self.screen
        self.begin_beside()
        positions = self.points()
        top = int(positions[:, 2].argmax())
        page.get_by_label("Stick to Scan of Ball").click()
        self.press("v")
        screen.click(positions[top])
        self.press("m")
        screen.field("Along z").fill("5")
        self.previewed()
        page.get_by_text(re.compile(r"It sticks to Scan of Ball: [\d.]+ mm root mean square")).wait_for()
        self.apply(3)
        self.assertLess(self.points()[top, 2] - positions[top, 2], 1.5)
        page.get_by_label("Stick to Scan of Ball").click()
        screen.field("Along z").fill("5")
        self.previewed()
        self.apply(4)
        self.assertGreater(self.points()[top, 2] - positions[top, 2], 4.0)

    def test_a_scan_is_cleaned_up_from_its_card(self) -> None:
        page, screen = self.page, self.screen
        self.begin_beside(spikes=5, missing=4)
        page.get_by_role("button", name="Scan of Ball", exact=True).click()
        screen.field("Close rims up to").fill("60")
        screen.button("Clean up").click()
        screen.steps(3)
        title = "Cleaned up Scan of Ball: 5 spikes laid back, 1 hole closed"
        page.locator("[aria-label=Steps]").get_by_text(title).wait_for()
        page.get_by_text(re.compile("When it came in: a simulated scan: .*; 5 spikes laid back, 1 hole closed")).wait_for()
        before = screen.state()["references"][0]["asset"]
        # Taken for a part again it is to be kept clear of.
        screen.choose("It is", "a part to keep clear of")
        screen.steps(4)
        self.assertEqual(screen.state()["references"][0]["asset"], before)
        page.get_by_label("Stick to Scan of Ball").wait_for(state="detached")
        page.get_by_label("Clearance").wait_for()
