"""From cage to files: the certificate, the downloads read back, the server killed and started again."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import BrowserCase
from zinc_otter.core.cage import Cage
from zinc_otter.core.formats.cages import read_cage
from zinc_otter.core.formats.step import facts_of, read_step
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.patches import largest_deviation
from zinc_otter.core.solid.seams import largest_seam
from zinc_otter.core.surface import build_stencils, evaluate


class Making(BrowserCase):
    demo = True

    def make(self) -> dict[str, str]:
        self.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
        self.screen.button("Make solid").click()
        self.page.get_by_text("Watertight").wait_for(timeout=90_000)
        table = self.page.get_by_label("Certificate", exact=True)
        return dict(zip(table.locator("dt").all_inner_texts(), table.locator("dd").all_inner_texts(), strict=True))

    def test_the_cage_of_an_open_piece_as_a_file(self) -> None:
        self.screen.open_design("Bailing scoop")
        self.screen.station("Make")
        self.screen.tool("Cage file")
        held = self.screen.cage()
        for words, kind in (("USD", "usdc"), ("PLY", "ply")):
            cage = read_cage(self.download(f"Download the cage as {words}"), kind).cage
            self.assertEqual(self.downloaded.name, f"Scoop.{kind}")
            np.testing.assert_array_equal(cage.positions, held["positions"])
            self.assertEqual(len(cage.topology.open_edges), len(held["open_edges"]))
            sharp = {str(e): float(cage.edge_sharpness[e]) for e in np.flatnonzero(cage.edge_sharpness)}
            self.assertEqual(sharp, held["creases"])

    def test_the_paddle_grip_as_step_and_stl(self) -> None:
        self.screen.open_design("Paddle grip")
        stated = self.make()
        self.assertEqual(stated["Watertight"], "yes, one closed solid")
        self.assertTrue(self.download("Download STEP").startswith(b"ISO-10303-21;"))
        self.assertEqual(self.downloaded.name, "Grip.step")
        facts = facts_of(read_step(self.downloaded))
        self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))

        held = self.screen.cage()
        plain = Cage.from_faces(held["positions"], held["faces"])
        sharp = np.zeros(plain.topology.edge_count)
        for edge, value in held["creases"].items():
            sharp[int(edge)] = value
        cage = plain.with_sharpness(edges=sharp)
        self.assertEqual(facts.faces, len(held["faces"]))
        stencils = build_stencils(cage, 6)
        points = evaluate(stencils, cage).points
        a, b, c, d = (points[stencils.quads[:, i]] for i in range(4))
        mesh = sum(np.einsum("ij,ij->", p, np.cross(q, r)) for p, q, r in ((a, b, c), (a, c, d))) / 6
        self.assertLess(abs(facts.volume - mesh) / mesh, 1e-4)
        volume = float(stated["Volume"].split()[0].replace(",", ""))
        self.assertAlmostEqual(volume, facts.volume, delta=0.06)

        patches = fit_patches(cage)
        self.assertAlmostEqual(float(stated["Largest deviation"].split()[0]), largest_deviation(patches), delta=1e-4)
        self.assertAlmostEqual(float(stated["Largest seam angle"][:-1]), largest_seam(patches).degrees, delta=1e-3)

        self.screen.field("Chord tolerance").fill("0.2")
        stl = self.download("Download STL")
        facets = np.frombuffer(stl, dtype=np.dtype([("n", "<f4", 3), ("p", "<f4", (3, 3)), ("a", "<u2")]), offset=84)
        p, q, r = np.moveaxis(facets["p"].astype(np.float64), 1, 0)
        self.assertLess(abs(np.einsum("ij,ij->", p, np.cross(q, r)) / 6 - mesh) / mesh, 0.01)

    def test_an_open_cage_gets_a_sentence_and_its_open_edges_light_up(self) -> None:
        self.expected_errors = ("422",)
        self.screen.open_design("Bailing scoop")
        self.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
        self.screen.settled()
        before = self.screen.viewport.screenshot()
        self.screen.button("Make solid").click()
        self.page.get_by_text("The cage is open along").wait_for()
        self.screen.settled()
        self.assertNotEqual(self.screen.viewport.screenshot(), before)

    def test_a_job_can_be_cancelled(self) -> None:
        self.screen.open_design("Paddle grip")
        self.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
        self.screen.button("Make solid").click()
        self.screen.button("Cancel").click()
        self.screen.button("Make solid").wait_for()
        self.page.wait_for_timeout(500)
        self.assertIsNone(self.server.get(f"/api/designs/{self.screen.design_id}/pieces/p1/certificate"))


class Journey(BrowserCase):
    own_page = True

    def test_from_a_box_to_a_step_file_with_the_server_killed_in_between(self) -> None:
        self.expected_errors = ("ERR_CONNECTION", "WebSocket", "Failed to load")
        self.begin_box()
        top = self.screen.faces_where(lambda x, y, z: z > 9.9)
        self.screen.click(self.screen.face_point(top[3]))
        self.page.keyboard.press("x")
        self.screen.settled()
        self.screen.field("Distance").fill("12")
        self.page.keyboard.press("Enter")
        self.screen.steps(2)
        self.page.keyboard.press("Enter")
        self.screen.steps(3)
        steps, cage = self.screen.state()["steps"], self.screen.cage()

        # A gesture is in hand when the server dies.
        self.screen.field("Distance").fill("3")
        self.page.get_by_text("not applied yet").wait_for()
        self.server.kill()
        self.page.get_by_text("no connection, trying again").wait_for()
        self.server.start()
        self.page.get_by_text("saved", exact=True).wait_for()
        self.assertEqual(self.screen.state()["steps"], steps)
        self.assertEqual(self.screen.cage(), cage)

        # The browser goes too, and comes back.
        address = self.page.url
        self.page.close()
        page = self.context.new_page()
        from tests.e2e.harness import Screen

        self.screen = Screen(page, self.server)
        self.page = page
        page.goto(address)
        self.screen.steps(3)
        page.keyboard.press("Control+z")
        self.screen.steps(2)

        page.get_by_role("navigation").get_by_text("Make", exact=True).click()
        self.screen.button("Make solid").click()
        page.get_by_text("yes, one closed solid").wait_for(timeout=90_000)
        with page.expect_download() as waiting:
            self.screen.button("Download STEP").click()
        target = self.folder / "journey.step"
        waiting.value.save_as(target)
        facts = facts_of(read_step(target))
        self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))
        self.assertEqual(facts.faces, 20)


class Inches(BrowserCase):
    def test_what_is_made_is_told_in_inches(self) -> None:
        self.begin_with({"kind": "add-box", "size": [50.8, 25.4, 25.4], "counts": [2, 2, 2], "size_of": "surface"})
        self.screen.choose("Unit", "in")
        hollow = {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": 0.635}}
        self.screen.server.give(self.screen.state(), hollow)
        facts = self.page.get_by_test_id("body-facts")
        facts.get_by_text("2 × 1 × 1 in").wait_for(timeout=60_000)
        self.page.get_by_label("Followers").get_by_text("0.025 in").wait_for()
        self.screen.station("Make")
        self.screen.tool("Print bench")
        # From 1.2 mm a step up, which is round in inches.
        self.screen.field("Least wall").press("ArrowUp")
        self.assertEqual(self.screen.field("Least wall").input_value(), "0.0522")
        self.screen.button("Hand over Box").click()
        self.page.get_by_text("have a wall under 0.052 in, down to 0.02").wait_for(timeout=60_000)
        self.page.get_by_text(" in³ of air").or_(self.page.get_by_text("in³ within")).first.wait_for()
        self.screen.tool("Bill")
        self.page.get_by_test_id("bill").get_by_text("in³").wait_for(timeout=60_000)
        self.screen.tool("Solid")
        self.screen.button("Make solid").click()
        self.page.get_by_text("Watertight").wait_for(timeout=90_000)
        self.page.get_by_role("button", name="figures").click()
        table = self.page.get_by_label("Certificate", exact=True)
        said = dict(zip(table.locator("dt").all_inner_texts(), table.locator("dd").all_inner_texts(), strict=True))
        self.assertEqual(said["Size"], "2 × 1 × 1 in")
        self.assertEqual([f"{name} {value}" for name, value in said.items() if "mm" in value], [])
