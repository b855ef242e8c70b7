"""A jeweller's bench by mouse and keys: a pendant from nothing, a ring by its size, stones that follow, files read back."""

from __future__ import annotations

import csv
import io
import re

import numpy as np

from tests.e2e.test_followers import FollowerCase
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.step import facts_of, read_step
from zinc_otter.core.proof.pseudonormals import is_closed
from zinc_otter.core.stone.cuts.rounded import Cabochon


class ByHand(FollowerCase):
    def begin(self) -> None:
        self.page.goto(self.server.address)
        self.page.get_by_label("Name").fill("Trial")
        self.screen.button("empty").click()
        self.page.get_by_label("Tools of Rough").wait_for()

    def put_down(self, tool: str, step: int, **fields: str) -> None:
        self.screen.tool(tool)
        self.fill(**fields)
        self.page.get_by_text("not applied yet").wait_for()
        self.screen.press("Enter")
        self.screen.steps(step)

    def stones(self) -> np.ndarray:
        """Where the stones of the second piece lie, by the middles of their facets."""
        return np.array(self.screen.cage("p2")["positions"])

    def applied(self, step: int) -> None:
        self.page.get_by_text("not applied yet").wait_for()
        self.screen.press("Enter")
        self.screen.steps(step)

    def bill(self) -> list[list[str]]:
        self.screen.tool("Bill")
        self.page.get_by_test_id("bill").wait_for(timeout=60_000)
        return list(csv.reader(io.StringIO(self.download("CSV").decode())))

    def test_a_pendant_from_nothing_to_files(self) -> None:
        page, screen = self.page, self.screen
        self.begin()
        self.put_down("Box", 1, Size_x="15", Size_y="19", Size_z="3")
        screen.station("Make")
        screen.tool("Stones")
        page.get_by_text("Click on a form, where the stone is to be.").wait_for()
        screen.choose("Cut", "Cabochon")
        screen.choose("Of", "Moonstone (feldspar)")
        self.fill(Width="7", Length="9", Sunk_by="-0.2")
        screen.click([0, 0, 1.5])
        page.get_by_test_id("stones").get_by_text("1 stone,").wait_for()
        carats = Cabochon(7.0, 9.0).gem.volume / 1000 * 2.57 / 0.2
        told = float(page.get_by_test_id("stones").inner_text().split(", ")[1].split()[0])
        self.assertAlmostEqual(told, carats, delta=0.01)
        self.applied(2)

        screen.tool("Bezel")
        self.fill(Wall="0.6", Over_the_girdle="0.9", Taper="5")
        self.applied(3)
        page.get_by_test_id("body-facts").wait_for()
        followers = screen.state()["pieces"][0]["followers"]
        self.assertEqual([(f["kind"], f["stones"], f["wall"]) for f in followers], [("bezel", "p2", 0.6)])

        rows = self.bill()
        (stone,) = (row for row in rows if row[0] == "stone")
        self.assertEqual((stone[1], stone[2], stone[3]), ("Moonstone (feldspar), cabochon", "9 × 7", "1"))
        self.assertAlmostEqual(float(stone[5]), carats, delta=1e-3)
        volume = float(next(row for row in rows if row[0] == "body")[5])
        silver = float(next(row for row in rows if "925" in row[1])[5])
        self.assertAlmostEqual(silver, 10.37 * volume / 1000, delta=0.005)
        self.assertIn(f"{silver:.2f}" if silver < 10 else f"{silver:.1f}", page.get_by_test_id("metal-weight").inner_text())

        # The body as a file, larger for shrinkage, read back: closed, and as large as it says.
        screen.tool("Solid")
        self.fill(Larger_by="2")
        mesh = read_mesh(self.download("Download 3MF"), "3mf", "mm")
        self.assertIn("2 % larger", self.downloaded.name)
        self.assertTrue(is_closed(mesh.triangles))
        a, b, c = mesh.vertices[mesh.triangles].transpose(1, 0, 2)
        self.assertAlmostEqual(float((a * np.cross(b, c)).sum() / 6) / (volume * 1.02**3), 1, delta=8e-3)
        self.fill(Larger_by="0")
        screen.button("Make solid").click()
        self.assertAlmostEqual(self.volume() / volume, 1, delta=5e-3)
        self.download("Download STEP")
        facts = facts_of(read_step(self.downloaded))
        self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))

        # The form is pulled below: stone and setting go along.
        before, height = self.stones(), self.size_told()
        screen.station("Shape")
        screen.press("f")
        top = screen.faces_where(lambda x, y, z: z > 1.4)
        for i, face in enumerate(top):
            screen.click(screen.face_point(face), shift=i > 0)
        page.get_by_test_id("chosen").get_by_text(f"{len(top)} face").wait_for()
        screen.press("m")
        screen.field("Along z").fill("2")
        self.applied(4)
        moved = self.stones() - before
        self.assertGreater(moved[:, 2].min(), 1.0)
        self.assertLess(np.ptp(moved[:, 2]), 1e-6)
        screen.station("Make")
        page.wait_for_function(
            "before => !document.querySelector('[data-testid=body-facts]').innerText.endsWith(before)", arg=height
        )

    def size_told(self) -> str:
        return self.page.get_by_test_id("body-facts").inner_text().split("× ")[-1]

    def test_a_ring_by_its_size_and_a_row_of_stones_round_it(self) -> None:
        page, screen = self.page, self.screen
        self.begin()
        self.put_down("Ring", 1, Bore="US 7")
        page.get_by_test_id("bore").get_by_text("US 7").wait_for()
        inner = np.hypot(
            *np.array(screen.server.get(f"/api/designs/{screen.design_id}/pieces/p1/surface?level=4")["positions"])[:, :2].T
        )
        self.assertAlmostEqual(2 * float(inner.min()), 11.63 + 0.8128 * 7, delta=0.005)
        screen.station("Make")
        screen.tool("Stones")
        self.fill(Width="1.6", Sunk_by="0.25")
        screen.choose("Laid", "round an axis, from a click")
        self.fill(Stones="14")
        # On the outside of the band, in front.
        outside = float(np.hypot(*np.array(screen.cage()["positions"])[:, :2].T).max())
        spot = np.array([0, -outside * 0.985, 0.3])
        screen.click(spot)
        page.get_by_test_id("stones").get_by_text("14 stones").wait_for()
        self.applied(2)
        self.assertEqual(screen.state()["pieces"][1]["images"], 14)
        page.get_by_test_id("gap").get_by_text(re.compile("between stones of")).wait_for()
        screen.tool("Flush")
        self.applied(3)
        self.assertEqual(screen.state()["pieces"][0]["followers"][0]["kind"], "flush")
        # Too many: they overlap, and it is said with what would do.
        page.get_by_label("Pieces", exact=True).get_by_text("Round brilliant").click()
        page.get_by_label("Change how Round brilliant grows").click()
        self.fill(Stones="60")
        short = page.get_by_test_id("stones-short")
        short.get_by_text(re.compile("60 pairs of stones overlap, by .* across would do")).wait_for()
        page.keyboard.press("Escape")
        screen.settled()
        # With the stones in hand it is the form that holds them.
        screen.tool("Casting")
        screen.button("Prove Ring").click()
        page.get_by_test_id("cast-answer").wait_for(timeout=60_000)

    def test_a_ring_with_a_section_and_shoulders_of_its_own(self) -> None:
        page, screen = self.page, self.screen
        self.begin()
        screen.tool("Ring")
        self.fill(Bore="US 7", Width="6", Thickness="2.4")
        screen.choose("Profile", "free, by its corners")
        # The side corner is dragged inwards and up, the outer one typed.
        side = page.get_by_role("slider", name="Side corner")
        box = side.bounding_box()
        assert box is not None
        x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
        screen.drag((x, y), (x - 20, y - 10))
        page.get_by_role("slider", name="Outer corner").focus()
        corner = page.get_by_role("group", name="Outer corner")
        corner.get_by_label("To the side").fill("40")
        corner.get_by_label("Sharp", exact=True).fill("3")
        page.get_by_label("Ridge", exact=True).fill("10")
        screen.choose("Shank", "with shoulders")
        self.fill(Width_below="3", Thickness_below="1.6", Shoulder_width="4", Thickness_there="1.8")
        self.applied(1)
        surface = np.array(self.server.get(f"/api/designs/{screen.design_id}/pieces/p1/surface?level=4")["positions"])
        self.assertAlmostEqual(2 * float(np.hypot(*surface[:, :2].T).min()), 11.63 + 0.8128 * 7, delta=0.005)
        bore = (11.63 + 0.8128 * 7) / 2
        self.assertAlmostEqual(float(surface[:, 1].max()) - bore, 2.4, delta=1e-3)
        self.assertAlmostEqual(-float(surface[:, 1].min()) - bore, 1.6, delta=1e-3)
        top, low = (surface[np.abs(surface[:, 0]) + 9 * (sign * surface[:, 1] < 0) < 0.1] for sign in (1, -1))
        self.assertAlmostEqual(float(np.ptp(top[:, 2])), 6, delta=0.02)
        self.assertAlmostEqual(float(np.ptp(low[:, 2])), 3, delta=0.02)
        # Its outer corner lies at 40 % of the side, and comes to a ridge: both are hard to be seen in the cage.
        cage = screen.cage()
        self.assertEqual(sum(value == 10 for value in cage["creases"].values()), 16)
        self.assertEqual(sum(value == 3 for value in cage["creases"].values()), 2 * 16)

    def test_a_chain_is_laid_pulled_and_weighed(self) -> None:
        page, screen = self.page, self.screen
        self.begin_with({"kind": "add-curve", "shape": "circle", "diameter": 60, "count": 8})
        screen.station("Rough")
        screen.tool("Chain")
        self.fill(Wire="18 ga", Length_inside="6", Width_inside="3")
        # 18 gauge is 1.024 mm by ASTM B258.
        told = page.get_by_text(re.compile(r"^\d+ links; each takes 18\.6\d mm of wire"))
        told.wait_for()
        count = int(told.inner_text().split()[0])
        self.assertEqual(count, 2 * np.ceil(np.pi * 60 / 5.9 / 2))
        self.applied(2)
        pieces = screen.state()["pieces"]
        seen = [(piece["name"], piece["visible"]) for piece in pieces[1:]]
        self.assertEqual(seen, [("Link of Chain", False), ("Chain", True)])
        self.assertEqual(pieces[2]["images"], count)
        page.get_by_test_id("gap").get_by_text("between images of Chain").wait_for()

        # The curve made larger takes more links.
        screen.press("w")
        page.get_by_label("Pieces", exact=True).get_by_text("Curve").first.click()
        screen.station("Shape")
        screen.tool("Size")
        self.fill(All="150")
        self.applied(3)
        more = screen.state()["pieces"][2]["images"]
        self.assertEqual(more, 2 * np.ceil(np.pi * 90 / 5.9 / 2))

        screen.station("Make")
        rows = self.bill()
        (body,) = (row for row in rows if row[0] == "body")
        self.assertEqual((body[1], body[3]), ("Chain", str(more)))
        wire = 2 * 3 + np.pi * (3 + 1.0237)
        self.assertAlmostEqual(float(body[4]), wire * np.pi * 1.0237**2 / 4, delta=0.3)

    def test_a_cabochon_by_a_drawn_outline_follows_its_curve(self) -> None:
        page, screen = self.page, self.screen
        leaf = [[4, 0, 4], [2, 3.3, 4], [-2.6, 4, 4], [-4.6, -0.6, 4], [0, -2.6, 4]]
        self.begin_with(
            {"kind": "add-box", "name": "Plate", "size": [24, 24, 4], "counts": [4, 4, 1]},
            {"kind": "draw-curve", "name": "Leaf", "points": leaf, "closed": True},
        )
        screen.station("Make")
        screen.press("w")
        page.get_by_label("Pieces", exact=True).get_by_text("Leaf").first.click()
        screen.tool("Stones")
        screen.choose("Cut", "Drawn cabochon")
        screen.choose("Lie on", "Plate")
        # What its curve says is asked for no second time.
        for label in ("Width", "Laid", "Size by"):
            self.assertEqual(screen.field(label).count(), 0, label)
        self.applied(3)
        stones = screen.state()["pieces"][2]
        self.assertEqual((stones["grown"]["kind"], stones["grown"]["laid"]["way"]), ("stones", "within"))
        across = np.ptp(np.array(screen.cage("p3")["positions"]), axis=0)
        page.get_by_label("Pieces", exact=True).get_by_text("Plate").first.click()
        screen.tool("Bezel")
        self.fill(Wall="0.6")
        self.applied(4)
        shown = page.get_by_test_id("body-facts")
        shown.get_by_text("By triangles").wait_for()
        narrow = shown.inner_text()
        # The outline is pulled: the stone and its bezel become as much larger.
        page.get_by_label("Pieces", exact=True).get_by_text("Leaf").first.click()
        screen.station("Shape")
        screen.press("v")
        point = max(screen.cage("p2")["positions"])
        screen.click(point)
        page.get_by_test_id("chosen").get_by_text("at").wait_for()
        screen.tool("Move")
        screen.field("Along x").fill("2")
        self.applied(5)
        wider = np.ptp(np.array(screen.cage("p3")["positions"]), axis=0)
        self.assertGreater(wider[0], across[0] + 1)
        self.assertAlmostEqual(float(wider[1]), float(across[1]), delta=0.5)
        screen.station("Make")
        page.get_by_label("Pieces", exact=True).get_by_text("Plate").first.click()
        page.wait_for_function("t => document.querySelector('[data-testid=body-facts]').innerText !== t", arg=narrow)
        # Bent inwards it is no outline of a stone, and the words say where to pull.
        page.get_by_label("Pieces", exact=True).get_by_text("Leaf").first.click()
        screen.station("Shape")
        screen.press("v")
        screen.click(max(screen.cage("p2")["positions"]))
        screen.tool("Move")
        screen.field("Along x").fill("-7")
        page.get_by_text("bends inwards at the marked place").first.wait_for()

    def test_a_wrong_size_keeps_the_ring_as_it_was(self) -> None:
        page, screen = self.page, self.screen
        self.begin()
        self.expected_errors = ("422",)
        screen.tool("Ring")
        self.fill(Bore="US banana")
        page.get_by_text("is no North American ring size").wait_for()
        screen.press("Enter")
        self.assertEqual(screen.state()["pieces"], [])
        self.fill(Bore="ISO 54")
        self.applied(1)
        self.assertAlmostEqual(float(page.get_by_test_id("bore").inner_text().split()[2]), 54 / np.pi, delta=0.01)
