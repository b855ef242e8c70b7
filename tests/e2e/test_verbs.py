"""The verbs by mouse and keys: previewed, applied and undone in one step each; what comes of them is checked."""

from __future__ import annotations

import numpy as np

from tests.e2e.case import VerbCase


class Verbs(VerbCase):
    def test_mirrored_and_pulled_on_one_side(self) -> None:
        self.begin_box((40, 30, 20), (4, 3, 2))
        self.press("Shift+M")
        self.previewed()
        self.page.get_by_text("10 edges lie on the seam").wait_for()
        self.apply(2)
        self.assertEqual(self.screen.state()["pieces"][0]["symmetry"]["words"], "one mirror")
        self.press("m")
        self.pick_faces(lambda x, y, z: z > 9 and abs(x - 15) < 1 and abs(y) < 1)
        before = self.points()
        self.screen.pull((15, 0, 10), (0, 0, 1), 6)
        self.screen.steps(3)
        rise = self.points()[:, 2] - before[:, 2]
        moved = np.flatnonzero(np.abs(rise) > 1)
        self.assertEqual(len(moved), 8)
        self.assertTrue(np.allclose(np.sort(before[moved, 0]), [-20] * 2 + [-10] * 2 + [10] * 2 + [20] * 2))
        self.page.keyboard.press("Control+z")
        self.screen.steps(2)
        np.testing.assert_array_equal(self.points(), before)
        # Independent, one side goes alone.
        self.page.get_by_label("More for Box").click()
        self.page.get_by_role("menuitem", name="Make independent").click()
        self.screen.steps(3)
        self.press("m")
        self.pick_faces(lambda x, y, z: z > 9 and abs(x - 15) < 1 and abs(y) < 1)
        self.screen.pull((15, 0, 10), (0, 0, 1), 6)
        self.screen.steps(4)
        self.assertEqual(np.count_nonzero(np.abs(self.points()[:, 2] - before[:, 2]) > 1), 4)

    def test_a_piece_that_follows_is_shaped_only_once_independent(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.expected_errors = ("422",)
        self.press("Shift+M")
        self.screen.choose("Begin from", "a second piece that follows")
        self.screen.field("At").fill("30")
        self.previewed()
        self.apply(2)
        self.press(".")
        self.press("m")
        top = self.screen.faces_where(lambda x, y, z: z > 9, "p2")
        self.screen.click(self.screen.face_point(top[0], "p2"))
        self.screen.field("Along z").fill("5")
        self.page.get_by_text("follows Box in a mirror").wait_for()
        # Shaping the one that is followed shapes both.
        self.page.keyboard.press("Escape")
        top = self.screen.faces_where(lambda x, y, z: z > 9)
        self.screen.click(self.screen.face_point(top[0]))
        self.screen.field("Along z").fill("5")
        self.previewed()
        self.apply(3)
        self.assertAlmostEqual(self.points("p2")[:, 2].max(), 15)
        self.screen.click(self.screen.face_point(top[0], "p2"))
        self.screen.field("Along z").fill("2")
        self.page.get_by_text("follows Box in a mirror").wait_for()
        self.screen.button("Make independent").click()
        self.screen.steps(4)
        self.assertIsNone(self.screen.state()["pieces"][1]["grown"])

    def test_a_handle_is_bridged_and_its_pairing_shifted(self) -> None:
        self.begin_box((60, 40, 16), (6, 4, 1))
        self.pick_faces(lambda x, y, z: z > 7 and abs(abs(x) - 25) < 1 and abs(y) < 6)
        self.press("Shift+B")
        self.previewed()
        self.page.get_by_text("Closed, with 1 hole through it.").wait_for()
        self.screen.field("Segments").fill("3")
        self.previewed()
        self.apply(2)
        self.assertEqual(self.euler(), 0)
        self.assertEqual(len(self.screen.cage()["faces"]), 68 - 4 + 18)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        self.assertEqual(self.euler(), 2)

    def test_two_pieces_are_bridged_end_by_end(self) -> None:
        self.begin_box((20, 20, 20), (1, 1, 1))
        self.page.get_by_label("More for Box").click()
        self.page.get_by_role("menuitem", name="Duplicate").click()
        self.screen.steps(2)
        self.press(".")
        top = self.screen.faces_where(lambda x, y, z: z > 9, "p1")
        self.screen.click(self.screen.face_point(top[0], "p1"))
        self.press("Shift+B")
        self.page.get_by_text("A bridge joins two groups of faces").wait_for()
        self.screen.button("Keep as first end").click()
        self.page.get_by_text("First end: 1 face of Box. Now pick the other.").wait_for()
        other = self.screen.faces_where(lambda x, y, z: z > 9, "p2")
        self.screen.click(self.screen.face_point(other[0], "p2"))
        self.previewed()
        # As far apart as their edges are long: no fewer than bend well.
        self.assertEqual(self.screen.field("Segments").input_value(), "3")
        self.apply(3)
        state = self.screen.state()
        self.assertEqual(len(state["pieces"]), 1)
        self.assertEqual(self.euler(state["pieces"][0]["id"]), 2)
        self.assertEqual(len(self.screen.cage(state["pieces"][0]["id"])["faces"]), 10 + 12)

    def test_counts_that_do_not_answer_each_other_are_explained_and_mended(self) -> None:
        self.begin_box((60, 60, 10), (6, 6, 2))
        # Four edges around one face, six around two.
        def meant(x: float, y: float, z: float) -> bool:
            return z > 4 and ((abs(x + 15) < 1 and abs(y + 15) < 1) or (abs(x - 15) < 1 and abs(y - 10) < 6))

        self.pick_faces(meant)
        self.press("Shift+B")
        self.page.get_by_text("One end has 4 edges and the other 6").wait_for()
        self.screen.button("Add the missing loops").click()
        self.previewed()
        self.apply(2)
        self.assertEqual(self.euler(), 0)
        self.assertTrue(all(len(face) == 4 for face in self.screen.cage()["faces"]))

    def test_inset_by_dragging_and_again_by_a_key(self) -> None:
        self.begin_box((40, 40, 10), (2, 2, 1))
        faces = self.pick_faces(lambda x, y, z: z > 4 and x > 0 and y < 0)
        self.press("Shift+I")
        self.previewed()
        middle = self.screen.at((10, -10, 5))
        self.screen.drag(middle, (middle[0] + 40, middle[1]))
        self.screen.steps(2)
        cage = self.screen.cage()
        self.assertEqual(len(cage["faces"]), 16 + 4)
        inner = self.points()[cage["faces"][faces[0]]]
        width = 10 - np.abs(inner[:, 0] - 10).max()
        self.assertGreater(width, 2.5)
        self.assertTrue(np.allclose(np.abs(inner[:, :2] - [10, -10]), 10 - width))
        # Another face, and the same again.
        self.press("m")
        self.pick_faces(lambda x, y, z: z > 4 and x < 0 and y < 0)
        self.press(",")
        self.screen.steps(3)
        self.assertEqual(len(self.screen.cage()["faces"]), 16 + 8)

    def test_too_wide_an_inset_says_what_fits(self) -> None:
        self.begin_box((40, 40, 10), (2, 2, 1))
        self.pick_faces(lambda x, y, z: z > 4 and x > 0 and y < 0)
        self.press("Shift+I")
        self.screen.field("Width").fill("14")
        self.page.get_by_text("up to 9.8 mm fits").wait_for()
        self.assertEqual(len(self.screen.state()["steps"]), 2)

    def test_fill_heal_weld_and_zip(self) -> None:
        self.begin_box((40, 40, 10), (2, 2, 1))
        self.pick_faces(lambda x, y, z: z > 4)
        self.press("Delete")
        self.screen.steps(2)
        self.page.keyboard.press("e")
        points = self.points()
        self.screen.click((points[:, 0].max(), -10, 5))
        self.page.get_by_test_id("chosen").get_by_text("1 edge picked").wait_for()
        self.press("Shift+F")
        self.previewed()
        self.apply(3)
        self.assertEqual(self.euler(), 2)
        self.assertEqual(len(self.screen.cage()["faces"]), 16)
        # A vertex in the middle of the new top is healed away.
        self.press("m")
        self.press("v")
        self.screen.click((0, 0, 5))
        self.page.get_by_test_id("chosen").get_by_text("1 vertex picked").wait_for()
        self.press("Shift+H")
        self.screen.steps(4)
        self.assertEqual(self.euler(), 2)
        self.page.keyboard.press("Control+z")
        self.screen.steps(3)
        self.assertEqual(len(self.screen.cage()["faces"]), 16)
        # Two neighbouring vertices become one.
        self.press("v")
        self.screen.click((20, -20, 5))
        self.screen.click((20, 0, 5), shift=True)
        self.press("Shift+W")
        self.screen.choose("Weld", "all in the middle")
        self.previewed()
        self.apply(4)
        self.assertTrue((np.abs(self.points() - [20, -10, 5]).sum(axis=1) < 1e-9).any())
        self.assertEqual(self.euler(), 2)

    def test_circle_flatten_and_push(self) -> None:
        self.begin_box((40, 40, 10), (4, 4, 1))
        self.pick_faces(lambda x, y, z: z > 4 and abs(x) < 9 and abs(y) < 9)
        self.press("Shift+C")
        self.previewed()
        self.screen.field("Radius").fill("9")
        self.previewed()
        self.apply(2)
        top = self.points()
        ring = np.linalg.norm(top[:, :2], axis=1)
        self.assertEqual(np.count_nonzero((np.abs(ring - 9) < 1e-9) & (top[:, 2] > 4)), 8)
        self.press("Shift+P")
        self.screen.field("Distance").fill("3")
        self.previewed()
        self.apply(3)
        self.assertAlmostEqual(self.points()[:, 2].max(), 8)
        self.page.get_by_role("button", name="Flatten").click()
        self.previewed()
        self.screen.choose("Plane", "across z")
        self.previewed()
        self.apply(4)
        self.assertAlmostEqual(np.sort(self.points()[:, 2])[-9:].std(), 0)

    def test_a_wall_that_would_cross_is_marked_before_it_is_made(self) -> None:
        self.begin_box((40, 40, 20), (2, 2, 2))
        self.pick_faces(lambda x, y, z: z > 9)
        self.press("Delete")
        self.screen.steps(2)
        self.press("Shift+T")
        self.previewed()
        self.page.get_by_text("The wall is 1.").wait_for()
        self.screen.field("Thickness").fill("18")
        self.page.get_by_text("run through each other").wait_for()
        self.screen.field("Thickness").fill("2")
        self.page.get_by_text("The wall is 1.").wait_for()
        self.apply(3)
        self.assertEqual(self.screen.cage()["open_edges"], [])
        self.assertEqual(self.euler(), 2)

    def test_two_sheets_joined_zipped_and_turned_over(self) -> None:
        state = self.server.post("/api/designs", {"name": "Sheets"})
        for y, counts in ((-12, [2, 1]), (12, [3, 1])):
            sheet = {"kind": "add-plane", "size": [40, 20], "counts": counts, "centre": [0, y, 0], "size_of": "cage"}
            at = {"revision": state["revision"], "command": sheet}
            state = self.server.post(f"/api/designs/{state['id']}/commands", at)
        self.page.goto(f"{self.server.address}/design/{state['id']}")
        self.screen.steps(2)
        self.press(".")
        self.press("w")
        for i, piece in enumerate(("p1", "p2")):
            self.screen.click(self.screen.face_point(0, piece), shift=i > 0)
        self.page.get_by_test_id("chosen").get_by_text("2 pieces picked").wait_for()
        self.press("Shift+J")
        self.apply(3)
        self.assertEqual(len(self.screen.state()["pieces"]), 1)
        self.press("m")
        self.press("e")
        # Two edges on one side of the gap and three on the other.
        for i, (x, y) in enumerate(((-10, -2), (10, -2), (-13, 2), (0, 2), (13, 2))):
            self.screen.click((x, y, 0), shift=i > 0)
        self.page.get_by_test_id("chosen").get_by_text("5 edges picked").wait_for()
        self.press("Shift+Z")
        self.previewed()
        self.apply(4)
        # 6 and 8 vertices, of which 3 and 4 become 4 in the middle; one sheet without a hole.
        points = self.points()
        self.assertEqual((len(points), self.euler()), (11, 1))
        self.assertEqual(np.count_nonzero(np.abs(points[:, 1]) < 1e-9), 4)
        self.press("m")
        self.press("f")
        self.screen.click(self.screen.face_point(0))
        self.page.get_by_test_id("chosen").get_by_text("1 face picked").wait_for()
        self.press("Shift+N")
        self.apply(5)
        cage = self.screen.cage()
        a, b, c = (self.points()[cage["faces"][0][k]] for k in range(3))
        self.assertLess(np.cross(b - a, c - a)[2], 0)


class Reaching(VerbCase):
    # A reach stays as it was set.
    one_page = False

    def test_a_reach_set_by_number_and_widened_by_the_wheel_while_dragging(self) -> None:
        self.begin_box((60, 60, 10), (6, 6, 1))
        self.page.keyboard.press("v")
        before = self.points()
        middle = int(np.argmin(np.abs(before - [0, 0, 5]).sum(axis=1)))
        self.screen.click(before[middle])
        self.screen.field("Reach").fill("15")
        self.screen.choose("Profile", "linear")
        self.screen.viewport.focus()
        at = self.screen.handle_point(before[middle], (0, 0, 1), 0.75)
        start, end = self.screen.at(at), self.screen.at(at + [0, 0, 8])
        mouse = self.page.mouse
        mouse.move(*start)
        mouse.down()
        for i in range(1, 5):
            mouse.move(*(a + (b - a) * i / 4 for a, b in zip(start, end, strict=True)))
            self.page.wait_for_timeout(40)
        mouse.wheel(0, -600)
        # The browser hands wheel turns on when it finds time.
        for _ in range(200):
            radius = float(self.screen.field("Reach").input_value())
            if radius > 15:
                break
            self.page.wait_for_timeout(100)
        self.screen.settled()
        self.assertGreater(radius, 25)
        mouse.up()
        self.screen.steps(2)
        rise = self.points()[:, 2] - before[:, 2]
        self.assertAlmostEqual(rise[middle], 8, delta=0.3)
        beside = int(np.argmin(np.abs(before - [10, 0, 5]).sum(axis=1)))
        self.assertAlmostEqual(rise[beside] / rise[middle], 1 - 10 / radius, delta=1e-6)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)

    def test_a_profile_is_drawn_and_the_reach_kept_within_picked_faces(self) -> None:
        self.begin_box((60, 60, 10), (6, 6, 1))
        before = self.points()
        self.pick_faces(lambda x, y, z: z > 4 and 0 < x < 11 and abs(y) < 11)
        self.screen.field("Reach").fill("40")
        self.screen.button("Limit to the picked").click()
        self.screen.button("No limit again").wait_for()
        # The second point of the curve comes down to nothing, by keys.
        point = self.page.get_by_role("slider", name="Profile point 2")
        point.focus()
        for _ in range(20):
            self.page.keyboard.press("ArrowDown")
        self.page.get_by_role("combobox", name="Profile").get_by_text("drawn").wait_for()
        self.assertEqual(point.get_attribute("aria-valuenow"), "0")
        self.press("v")
        self.page.get_by_test_id("chosen").get_by_text("vertices picked").wait_for()
        corner = int(np.argmin(np.abs(before - [0, 0, 5]).sum(axis=1)))
        self.screen.click(before[corner])
        self.screen.field("Along z").fill("6")
        self.previewed()
        self.apply(2)
        rise = self.points()[:, 2] - before[:, 2]
        self.assertAlmostEqual(rise[corner], 6)
        inside = (before[:, 2] > 4) & (before[:, 0] > -0.1) & (before[:, 0] < 10.1) & (np.abs(before[:, 1]) < 10.1)
        self.assertTrue(np.all(rise[~inside] == 0))
        # 14 mm away, beyond a third of the reach, the drawn profile has nothing left; 10 mm away it has some.
        self.assertTrue(0 < rise[int(np.argmin(np.abs(before - [10, 0, 5]).sum(axis=1)))] < 2)


class EveryVerb(VerbCase):
    """Reached by its key or its name, shown before it is applied, one step, and one undo."""

    def setUp(self) -> None:
        super().setUp()
        box = {"kind": "add-box", "size": [60, 40, 20], "counts": [6, 4, 2], "size_of": "cage"}
        tube = {"kind": "add-cylinder", "name": "Tube", "diameter": 30, "height": 40, "counts": [8, 2], "caps": "open",
                "size_of": "cage", "centre": [70, 0, 0]}  # fmt: skip
        self.begin_with(box, tube)

    def test_on_faces(self) -> None:
        self.page.keyboard.press("f")
        ends = self.screen.faces_where(lambda x, y, z: z > 9 and abs(abs(x) - 15) < 1 and abs(y + 5) < 1)
        for i, face in enumerate(ends):
            self.screen.click(self.screen.face_point(face), shift=i > 0)
        self.page.get_by_test_id("chosen").get_by_text("2 faces picked").wait_for()
        self.there_and_back("x", {"Distance": "5"})
        self.there_and_back("x", {"Faces": "each by itself", "Segments": "2", "Taper": "60"})
        self.there_and_back("Shift+I")
        self.there_and_back("Shift+B")
        self.there_and_back("Shift+P", {"Distance": "2", "Reach": "12"})
        self.there_and_back("Flatten", {"Plane": "across x"})
        self.there_and_back("Shift+C")
        self.there_and_back("Shift+D", {"They become": "a part of this piece"})
        self.there_and_back("Attract", {"Share of the way": "20"})
        self.there_and_back("Shift+M")
        self.there_and_back("Shift+R", {"Begin from": "a whole, all follow one", "Sectors": "2"})

    def test_on_edges_and_vertices(self) -> None:
        self.page.keyboard.press("e")
        rim = np.array(self.screen.cage("p2")["positions"])
        front = rim[(rim[:, 2] > 19) & (rim[:, 1] < -5)]
        self.screen.click(front.mean(axis=0))
        self.page.get_by_test_id("chosen").get_by_text("1 edge picked").wait_for()
        self.there_and_back("x", {"Distance": "4"})
        self.there_and_back("Shift+F")
        self.press("l")
        self.page.get_by_test_id("chosen").get_by_text("8 edges picked").wait_for()
        self.there_and_back("Shift+L", {"Line": "along x"})
        self.there_and_back("Shift+C", {"Radius": "9"})
        self.press("v")
        self.page.get_by_test_id("chosen").get_by_text("8 vertices picked").wait_for()
        self.there_and_back("Shift+W", {"Weld": "what lies close", "Within": "12"})
        self.there_and_back("Shift+T")


class Journeys(VerbCase):
    pick_faces = Verbs.pick_faces

    def certificate(self) -> dict[str, str]:
        self.screen.station("Make")
        self.screen.button("Make solid").click()
        self.page.get_by_text("Watertight").wait_for(timeout=120_000)
        table = self.page.get_by_label("Certificate", exact=True)
        return dict(zip(table.locator("dt").all_inner_texts(), table.locator("dd").all_inner_texts(), strict=True))

    def test_a_bailer_from_nothing_to_its_certificate(self) -> None:
        page = self.page
        self.begin_box_by_hand((90, 60, 40), (4, 3, 3))
        # Open on top: one face, those like it, and gone.
        self.screen.click(self.screen.face_point(self.screen.faces_where(lambda x, y, z: z > 19)[5]))
        self.screen.button("Pick by…").click()
        page.get_by_role("menuitem", name="Similar: normal within 15°").click()
        page.get_by_test_id("chosen").get_by_text("12 faces picked").wait_for()
        self.press("Delete")
        self.screen.steps(2)
        # One side answers the other from here on.
        self.press("Shift+M")
        self.screen.choose("Plane", "across y")
        self.previewed()
        self.apply(3)
        # The lip at the front is pulled out: its edge on one side, and both go.
        self.press("m")
        self.press("e")
        lip = self.points()
        front = lip[np.lexsort((np.abs(lip[:, 1] + 20), -lip[:, 2], -lip[:, 0]))[:1]][0]
        self.screen.click((front[0], -20, front[2]))
        page.get_by_test_id("chosen").get_by_text("1 edge picked").wait_for()
        self.screen.pull((front[0], -20, front[2]), (1, 0, 0), 14)
        self.screen.steps(4)
        moved = self.points()
        self.assertEqual(np.count_nonzero(moved[:, 0] > 46), 4)
        # A handle at the back: one face, bridged to its own image.
        self.press("f")
        page.keyboard.press("5")
        self.screen.settled()
        page.keyboard.press(".")
        self.screen.settled()
        back = self.screen.faces_where(lambda x, y, z: x < -44 and abs(z) < 4 and y < -11)
        self.screen.click(self.screen.face_point(back[0]))
        page.get_by_test_id("chosen").get_by_text("1 face picked").wait_for()
        self.press("Shift+B")
        self.previewed()
        self.screen.field("Tangents").fill("150")
        self.previewed()
        self.apply(5)
        self.assertLess(self.points()[:, 0].min(), -60)
        # Two walls, 3 mm apart.
        self.press("Shift+T")
        self.screen.field("Thickness").fill("3")
        self.screen.choose("Rims", "rounded")
        page.get_by_text("The wall").first.wait_for()
        self.previewed()
        self.apply(6)
        piece = self.screen.state()["pieces"][0]
        self.assertEqual(piece["open_edge_count"], 0)
        # A bowl with one handle, and its inner wall with another: genus 2.
        self.assertEqual(self.euler(), -2)
        cage = self.points()
        mirrored = cage * [1, -1, 1]
        nearest = np.linalg.norm(cage[:, None] - mirrored[None], axis=2).min(axis=1)
        self.assertLess(nearest.max(), 1e-9)
        stated = self.certificate()
        self.assertEqual(stated["Watertight"], "yes, one closed solid")

    def test_a_lattice_shade_from_nothing(self) -> None:
        page = self.page
        page.goto(self.server.address)
        page.get_by_label("Name").fill("Shade")
        self.screen.button("empty").click()
        self.screen.station("Rough")
        self.screen.tool("Cylinder")
        self.screen.field("Diameter").fill("60")
        self.screen.field("Height").fill("70")
        self.screen.field("Faces around").fill("6")
        self.screen.choose("Caps", "none")
        self.previewed()
        page.keyboard.press("Enter")
        self.screen.steps(1)
        self.screen.viewport.focus()
        page.keyboard.press(".")
        self.screen.settled()
        page.keyboard.press("f")
        self.press("a")
        page.get_by_test_id("chosen").get_by_text("18 faces picked").wait_for()
        self.press("Shift+I")
        self.screen.choose("Faces", "each by itself")
        self.screen.field("Width").fill("4")
        self.previewed()
        self.apply(2)
        page.get_by_test_id("chosen").get_by_text("18 faces picked").wait_for()
        self.press("Delete")
        self.screen.steps(3)
        self.press("Shift+T")
        self.screen.field("Thickness").fill("3.5")
        self.screen.choose("Second wall", "half each")
        self.screen.choose("Rims", "rounded")
        page.get_by_text("The wall").first.wait_for()
        self.previewed()
        self.apply(4)
        piece = self.screen.state()["pieces"][0]
        self.assertEqual(piece["open_edge_count"], 0)
        # A tube with eighteen windows, thickened: 2 - 2g with g = 19.
        self.assertEqual(self.euler(), 2 - 2 * 19)
