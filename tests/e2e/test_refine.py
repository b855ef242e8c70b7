"""Adding control by mouse and keys: loops, cuts, chamfers, creases, and what moves along the cage; results are checked."""

from __future__ import annotations

from typing import Any

import numpy as np
import trimesh

from tests.e2e.case import VerbCase


def edges_where(cage: Any, test: Any) -> list[int]:
    """Edges of a cage whose two ends (x, y, z) pass a test."""
    points = np.array(cage["positions"])
    return [i for i, (a, b) in enumerate(cage["edges"]) if test(points[a], points[b])]


class RefineCase(VerbCase):
    def edge_middle(self, edge: int, piece: str = "p1") -> np.ndarray:
        cage = self.screen.cage(piece)
        return np.asarray(np.array(cage["positions"])[cage["edges"][edge]].mean(axis=0))

    def pick_edges(self, test: Any, piece: str = "p1") -> list[int]:
        """By clicks on their middles, with "through" on, so that what lies behind is picked as well."""
        self.press("e")
        edges = edges_where(self.screen.cage(piece), test)
        for i, edge in enumerate(edges):
            self.screen.click(self.edge_middle(edge, piece), shift=i > 0)
        return edges

    def sharpness(self, piece: str = "p1") -> dict[int, float]:
        return {int(edge): float(s) for edge, s in self.screen.cage(piece)["creases"].items()}


class Loops(RefineCase):
    def test_a_loop_by_number_and_by_its_bead(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 1))
        before = self.points()
        # The edge of the upper front that runs from x = 10 to x = 30; the nearer end is at 10.
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and min(a[1], b[1]) < -19 and max(a[1], b[1]) < -19
                        and sorted((round(a[0]), round(b[0]))) == [10, 30])  # fmt: skip
        self.press("Shift+O")
        # As a ratio: one part from the near end, three to the other.
        self.screen.field("At").fill("1:3")
        self.page.get_by_text("Added a loop to Box at 25 %").wait_for()
        self.page.get_by_test_id("chosen").get_by_text("6 edges picked").wait_for()
        self.apply(2)
        new = self.points()[:, 0]
        self.assertEqual(np.count_nonzero(np.abs(new - 15) < 1e-9), 6)
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        np.testing.assert_array_equal(self.points(), before)
        # Now by dragging the bead, which lies at the middle of the edge: 5 mm further out is 75 %.
        start = self.screen.at((20, -20, 10))
        self.screen.drag(start, self.screen.at((25, -20, 10)))
        value = float(self.screen.field("At").input_value())
        self.assertAlmostEqual(value, 75, delta=4)
        self.apply(2)
        new = self.points()[:, 0]
        self.assertEqual(np.count_nonzero(np.abs(new - (10 + value / 5)) < 1e-9), 6)

    def test_several_held_and_their_deviation_said_before(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 2))
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and max(a[1], b[1]) < -19
                        and sorted((round(a[0]), round(b[0]))) == [10, 30])  # fmt: skip
        self.press("Shift+O")
        self.screen.field("Loops").fill("2")
        self.screen.choose("Surface", "hold form")
        self.previewed()
        note = self.page.get_by_text("It strays from the form by at most")
        note.wait_for()
        self.assertEqual(len(self.points()), 34, "nothing is kept yet")
        self.apply(2)
        self.assertEqual(len(self.points()), 34 + 2 * 8)
        self.assertEqual(self.euler(), 2)

    def test_what_cannot_end_in_quads_says_what_can(self) -> None:
        self.begin_box((60, 40, 20), (3, 3, 1))
        self.press("e")
        ends = edges_where(self.screen.cage(), lambda a, b: a[2] > 9 and b[2] > 9 and abs(a[0] - b[0]) > 1
                           and max(abs(a[0]), abs(b[0])) < 11 and abs(a[1]) < 7)  # fmt: skip
        self.assertEqual(len(ends), 2)
        for i, edge in enumerate(ends):
            self.screen.click(self.edge_middle(edge), shift=i > 0)
        self.press("Shift+O")
        self.screen.choose("Runs", "from picked to picked")
        self.screen.choose("Ends in", "quads")
        self.page.get_by_text("Quads close the ends of an even number of loops").wait_for()
        self.screen.field("Loops").fill("2")
        self.previewed()
        self.apply(2)
        cage = self.screen.cage()
        self.assertEqual({len(face) for face in cage["faces"]}, {4})
        self.assertEqual(len(cage["faces"]), 30 + 2 + 2 * 3)


class Cuts(RefineCase):
    def test_a_line_drawn_across_the_view_cuts_in_one_plane(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 2))
        before = self.screen.cage()
        self.press("1")
        self.press("Shift+K")
        self.screen.field("Vertices within").fill("0")
        for point in ((-32, -20, -3), (32, -20, 5)):
            self.page.mouse.move(*self.screen.at(point))
            self.page.mouse.click(*self.screen.at(point))
            self.screen.settled()
        self.previewed()
        self.apply(2)
        after = self.screen.cage()
        new = np.array(after["positions"])[len(before["positions"]) :]
        # On each of the front and the back it meets four upright edges and the row between them; on the sides one edge each.
        self.assertEqual(len(new), 12)
        # All new points are in one plane; seen from the eye it is the line that was drawn.
        off = np.linalg.svd(new - new.mean(axis=0))[1]
        self.assertLess(off[2], 1e-6)
        seen = self.screen.project(new)
        (x0, y0), (x1, y1) = self.screen.at((-32, -20, -3)), self.screen.at((32, -20, 5))
        across = ((seen[:, 0] - x0) * (y1 - y0) - (seen[:, 1] - y0) * (x1 - x0)) / np.hypot(x1 - x0, y1 - y0)
        self.assertLess(np.abs(across).max(), 2.5)
        self.assertEqual(len(after["faces"]), len(before["faces"]) + 12)

    def test_one_side_kept_and_filled(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 2))
        self.press("Shift+K")
        self.screen.choose("Line", "across x")
        self.screen.field("At").fill("4")
        self.screen.choose("Leaves it", "filled")
        self.screen.choose("Keeps", "one side")
        self.previewed()
        self.apply(2)
        cage = self.screen.cage()
        self.assertAlmostEqual(np.array(cage["positions"])[:, 0].min(), 4)
        self.assertEqual(len(cage["open_edges"]), 0)
        self.assertEqual(self.euler(), 2)

    def test_a_chamfer_of_2_mm_measures_2_mm(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 1))
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and max(a[1], b[1]) < -19)
        self.page.get_by_test_id("chosen").get_by_text("3 edges picked").wait_for()
        self.press("Shift+E")
        self.screen.field("Faces across").fill("2")
        self.screen.choose("Section", "round")
        self.previewed()
        self.apply(2)
        points = self.points()
        # On the upper face 2 mm from the edge, on the front 2 mm below it, and between them on the circle about both.
        inner = points[np.abs(points[:, 0]) < 11]
        self.assertEqual(np.count_nonzero(np.isclose(inner[:, 2], 10) & np.isclose(inner[:, 1], -18)), 2)
        self.assertEqual(np.count_nonzero(np.isclose(inner[:, 2], 8) & np.isclose(inner[:, 1], -20)), 2)
        arc = 2 - 2 * np.cos(np.pi / 4)
        self.assertEqual(np.count_nonzero(np.isclose(inner[:, 2], 10 - arc) & np.isclose(inner[:, 1], -20 + arc)), 2)
        self.assertEqual({len(face) for face in self.screen.cage()["faces"]}, {4})
        # Too much says how much there is.
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        self.expected_errors = ("422",)
        self.press("Shift+E")
        self.screen.field("Distance").fill("25")
        self.page.get_by_text("There is room for a chamfer of").wait_for()


class Sharpness(RefineCase):
    def test_painted_along_edges_in_one_stroke(self) -> None:
        self.begin_box((60, 60, 20), (3, 3, 1))
        self.press("7")
        self.screen.settled()
        self.screen.station("Refine")
        self.screen.tool("Paint creases")
        self.screen.field("Sharpness").fill("4")
        self.screen.viewport.focus()
        # Along the row of edges at y = 10 on the upper face.
        self.screen.drag(self.screen.at((-25, 10, 10)), self.screen.at((25, 10, 10)), moves=24)
        self.screen.steps(2)
        cage = self.screen.cage()
        row = edges_where(cage, lambda a, b: a[2] > 9 and b[2] > 9 and abs(a[1] - 10) < 0.1 and abs(b[1] - 10) < 0.1)
        self.assertEqual(self.sharpness(), dict.fromkeys(row, 4.0))
        self.page.keyboard.press("Control+z")
        self.screen.steps(1)
        self.assertEqual(self.sharpness(), {})

    def test_by_drag_and_softened_all_at_once(self) -> None:
        self.begin_box((60, 60, 20), (3, 3, 1))
        rim = self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and max(a[1], b[1]) < -29)
        self.press("c")
        self.screen.field("Sharpness").fill("0")
        self.screen.viewport.focus()
        middle = np.array([0.0, -30, 10])
        x, y = self.screen.at(middle)
        self.screen.drag((x, y), (x + 80, y))
        self.screen.steps(2)
        found = self.sharpness()
        self.assertEqual(set(found), set(rim))
        value = next(iter(found.values()))
        self.assertAlmostEqual(value, 4, delta=1)
        self.press("w")
        self.screen.click((0, 0, 10))
        self.screen.tool("Soften creases")
        self.screen.field("To").fill("50")
        self.previewed()
        self.apply(3)
        self.assertEqual(self.sharpness(), dict.fromkeys(rim, value / 2))


class AlongTheCage(RefineCase):
    def test_a_loop_slides_by_its_bead_and_by_length(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 1))
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and abs(a[0] - 10) < 0.1 and abs(b[0] - 10) < 0.1)
        self.press("l")
        self.page.get_by_test_id("chosen").get_by_text("6 edges picked").wait_for()
        self.press("Shift+S")
        self.screen.choose("By", "length")
        self.screen.field("Distance").fill("3")
        self.previewed()
        self.apply(2)
        x = self.points()[:, 0]
        there = [float(v) for v in np.unique(np.round(x, 9)) if 0 < v < 29]
        self.assertEqual(len(there), 1)
        self.assertIn(there[0], (7.0, 13.0))
        self.screen.field("Distance").fill("-3")
        self.previewed()
        self.apply(3)
        self.assertEqual(np.count_nonzero(np.isclose(self.points()[:, 0], 10)), 6)
        self.screen.choose("By", "share of the way")
        at = self.screen.at((10, 0, 0))
        self.screen.drag(at, (at[0] + 60, at[1]))
        self.screen.steps(4)
        moved = [float(v) for v in np.unique(np.round(self.points()[:, 0], 6)) if 0 < v < 29]
        self.assertEqual(len(moved), 1)
        self.assertGreater(abs(moved[0] - 10), 3)

    def test_a_vertex_follows_the_pointer_along_an_edge(self) -> None:
        self.begin_box((60, 40, 20), (3, 2, 1))
        before = self.points()
        self.press("v")
        vertex = int(np.flatnonzero(np.isclose(before, [10, 0, 10]).all(axis=1))[0])
        self.screen.click(before[vertex])
        self.press("Shift+S")
        start, end = self.screen.at((10, 0, 10)), self.screen.at((16, 0, 10))
        self.screen.drag(start, end)
        self.screen.steps(2)
        moved = self.points() - before
        self.assertEqual(np.flatnonzero(np.abs(moved).max(axis=1) > 1e-9).tolist(), [vertex])
        self.assertGreater(moved[vertex, 0], 3)
        np.testing.assert_allclose(moved[vertex, 1:], 0, atol=1e-9)


class EveryTool(RefineCase):
    """Reached by key or name, shown before it is applied, one step, and one undo."""

    def setUp(self) -> None:
        super().setUp()
        box = {"kind": "add-box", "size": [60, 40, 20], "counts": [6, 4, 2], "size_of": "cage"}
        bulge = {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [9, 30, 40]}, "vector": [1, 1, 1]}
        self.begin_with(box, bulge)

    def test_on_edges(self) -> None:
        self.screen.station("Refine")
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and abs(a[1] + 10) < 2 and abs(b[1] + 10) < 2
                        and 5 < (a[0] + b[0]) / 2 < 16)  # fmt: skip
        self.press("m")
        for take, values in (
            ("Shift+O", {"Surface": "hold form"}),
            ("Shift+Delete", {"Takes": "their whole loops"}),
            ("Shift+Q", {"Into": "3"}),
            ("Shift+E", {"Distance": "1.5"}),
            ("Shift+Y", {}),
            ("Shift+U", {}),
            ("Shift+U", {"Takes": "their whole rings"}),
        ):
            with self.subTest(take=take, values=values):
                self.there_and_back(take, values)

    def test_on_loops_and_faces(self) -> None:
        self.pick_edges(lambda a, b: a[2] > 9 and b[2] > 9 and abs(a[1] + 10) < 2 and abs(b[1] + 10) < 2
                        and 5 < (a[0] + b[0]) / 2 < 16)  # fmt: skip
        self.press("l")
        self.screen.station("Refine")
        for take in ("Space evenly", "Straighten"):
            with self.subTest(take=take):
                self.there_and_back(take)
                self.screen.station("Refine")
        self.press("f")
        self.page.get_by_test_id("chosen").get_by_text("faces picked").wait_for()
        top = self.screen.faces_where(lambda x, y, z: z > 9.9)
        self.screen.click(self.screen.face_point(top[0]))
        self.press("a")
        self.there_and_back("Shift+V", {"Rounds": "3"})
        grid = self.screen.faces_where(lambda x, y, z: z > 9.9 and -1 < x < 21 and -1 < y < 21)
        self.assertEqual(len(grid), 4)
        for i, face in enumerate(grid):
            self.screen.click(self.screen.face_point(face), shift=i > 0)
        self.screen.station("Refine")
        # Other faces lie around: whole multiples only, which the card says.
        self.expected_errors = ("422",)
        self.screen.tool("Resample")
        self.screen.field("Faces").fill("3")
        self.page.get_by_text("a whole multiple of it").wait_for()
        self.there_and_back("Resample", {"Faces": "4", "by": "2"})
        self.press("w")
        self.screen.station("Refine")
        self.there_and_back("Shift+K", {"Line": "across y", "At": "3", "Leaves it": "filled"})


class Curves(RefineCase):
    demo = True

    def test_a_section_with_its_smallest_radius(self) -> None:
        self.screen.open_design("Dry-bag toggle")
        self.screen.station("Refine")
        self.screen.tool("Curves")
        self.page.get_by_label("Section across y").click()
        words = self.page.get_by_text("Smallest radius")
        words.wait_for()
        path = f"/api/designs/{self.screen.design_id}/pieces/p1/curves"
        curves = self.server.post(path, {"section": {"point": [0, 0, 0], "normal": [0, 1, 0]}})
        least = min(c["least_radius"] for c in curves if c["least_radius"])
        self.assertIn(f"{least:.2f}".rstrip("0").rstrip("."), words.inner_text())
        # Picked edges have a comb too, and without a section it is theirs that is told.
        self.page.get_by_label("Section across y").click()
        self.page.get_by_label("picked edges").check()
        self.pick_edges(lambda a, b: abs(a[0] - 17) < 0.1 and abs(b[0] - 17) < 0.1 and a[2] > 3 and b[2] > 3)
        self.page.get_by_text("on the picked edges at").wait_for()


class LikeAComponent(RefineCase):
    def test_edges_along_the_sharp_lines_of_a_block(self) -> None:
        self.begin_box((40, 30, 20), (4, 3, 2))
        block = self.folder / "block.stl"
        block.write_bytes(trimesh.creation.box((40, 30, 20)).export(file_type="stl"))
        self.screen.station("Set out")
        self.screen.tool("Component")
        self.page.locator("input[type=file]").set_input_files(block)
        self.screen.steps(2)
        self.page.get_by_label("Hide block").click()
        self.page.get_by_label("Show block").wait_for()
        self.screen.settled()
        self.press("w")
        self.screen.click((0, 0, 10))
        self.screen.station("Refine")
        self.screen.tool("Crease like")
        self.page.get_by_text("36 edges are creased along its sharp lines.").wait_for()
        self.apply(3)
        self.assertEqual(list(self.sharpness().values()), [10.0] * 36)
        self.page.get_by_test_id("chosen").get_by_text("36 edges picked").wait_for()


class OfASheet(RefineCase):
    """The control points of a regular sheet: rows, columns, and one direction straight."""

    def test_a_row_is_raised_and_one_direction_made_straight(self) -> None:
        self.begin_with({"kind": "add-plane", "name": "Sheet", "size": [60, 40], "counts": [6, 4], "size_of": "cage"})
        before = self.points()
        self.press("v")
        # A double-click takes the row that the pointer lies nearest to: a little off a vertex, along it.
        self.page.mouse.dblclick(*self.screen.at((10, 2, 0)))
        self.page.get_by_test_id("chosen").get_by_text("5 vertices picked").wait_for()
        self.press("m")
        self.screen.field("Along z").fill("9")
        self.previewed()
        self.apply(2)
        rise = self.points()[:, 2] - before[:, 2]
        np.testing.assert_allclose(rise, np.where(np.isclose(before[:, 0], 10), 9, 0))
        # The edges of the other direction by their loops, creased: straight from row to row across them. The border is
        # hard of itself.
        self.pick_edges(lambda a, b: abs(a[1] - b[1]) < 0.1 and abs(a[1]) < 11 and min(a[0], b[0]) < -25)
        self.page.get_by_test_id("chosen").get_by_text("3 edges picked").wait_for()
        self.press("l")
        self.page.get_by_test_id("chosen").get_by_text("18 edges picked").wait_for()
        self.press("c")
        self.screen.field("Sharpness").fill("10")
        self.previewed()
        self.apply(3)
        sharp = self.sharpness()
        points, ends = self.points(), self.screen.cage()["edges"]
        self.assertEqual(len(sharp), 18)
        self.assertTrue(all(abs(points[a][1] - points[b][1]) < 0.1 for a, b in (ends[e] for e in sharp)))


class OnOneSide(RefineCase):
    def test_a_mirrored_piece_is_cut_and_cut_off_on_both_sides_and_its_seam_has_a_comb(self) -> None:
        self.begin_box((60, 40, 20), (6, 2, 1))
        self.press("Shift+M")
        self.previewed()
        self.apply(2)
        faces = len(self.screen.cage()["faces"])
        self.press("Shift+K")
        self.screen.choose("Line", "across x")
        self.screen.field("At").fill("24")
        self.previewed()
        self.apply(3)
        x = self.points()[:, 0]
        self.assertEqual(np.count_nonzero(np.isclose(x, 24)), np.count_nonzero(np.isclose(x, -24)))
        self.assertEqual(len(self.screen.cage()["faces"]), faces + 2 * 6)
        self.press("m")
        self.press("v")
        self.screen.click((30, -20, 10))
        self.press("Shift+E")
        self.screen.field("Distance").fill("3")
        self.previewed()
        self.apply(4)
        sizes = sorted(len(face) for face in self.screen.cage()["faces"])
        self.assertEqual(sizes.count(3), 2)
        # The curve in which the sides meet.
        self.screen.station("Refine")
        self.screen.tool("Curves")
        self.page.get_by_label("seam").check()
        self.page.get_by_text("on the seam at").wait_for()


    def test_an_oblique_line_cuts_each_side_by_itself(self) -> None:
        self.begin_box((60, 40, 20), (6, 2, 1))
        self.press("Shift+M")
        self.previewed()
        self.apply(2)
        for key in ("5", "0"):
            self.press(key)
        before = self.points()
        self.press("Shift+K")
        self.screen.choose("Mirrored", "each side by itself")
        for point in ((4, 2, 10), (26, 13, 10)):
            self.screen.click(point)
        self.previewed()
        self.apply(3)
        fresh = self.points()[len(before) :]
        # Where it was drawn, and its mirror image; nothing on the lines gone on beyond the seam.
        self.assertGreater(len(fresh), 8)
        np.testing.assert_allclose(np.abs(fresh[:, 0]), 2 * fresh[:, 1], atol=0.3)
        self.assertEqual(np.count_nonzero(fresh[:, 0] > 0.3), np.count_nonzero(fresh[:, 0] < -0.3))
        self.assertEqual(self.screen.state()["pieces"][0]["symmetry"]["words"], "one mirror")


class InSectors(RefineCase):
    def test_a_loop_and_a_chamfer_in_one_of_four(self) -> None:
        tube = {"kind": "add-cylinder", "name": "Tube", "diameter": 40, "height": 40, "counts": [8, 4], "caps": "open",
                "size_of": "cage"}  # fmt: skip
        around = {"kind": "repeat-around", "piece": "p1", "way": "follow", "sectors": 4, "towards": [0.1, -1, 0]}
        self.begin_with(tube, around)
        faces = len(self.screen.cage()["faces"])
        cage = self.screen.cage()
        uprights = edges_where(cage, lambda a, b: abs(a[2] - b[2]) > 1 and a[1] < -12 and 0 < (a[2] + b[2]) / 2 < 10)
        self.press("e")
        self.screen.click(self.edge_middle(uprights[0]))
        self.press("Shift+E")
        self.screen.field("Distance").fill("1")
        self.previewed()
        self.apply(3)
        self.assertGreaterEqual(len(self.screen.cage()["faces"]), faces + 4)
        piece = self.screen.state()["pieces"][0]
        self.assertEqual(piece["symmetry"]["words"], "4 sectors")
        points = self.points()
        turned = points @ np.array([[0.0, 1, 0], [-1, 0, 0], [0, 0, 1]])
        self.assertLess(np.linalg.norm(points[:, None] - turned[None], axis=2).min(axis=1).max(), 1e-9)


class Journey(RefineCase):
    demo = True

    def test_the_paddle_grip_is_refined_undone_and_redone(self) -> None:
        self.screen.open_design("Paddle grip")
        start = self.screen.state()["head"]
        self.screen.steps(start)
        digests = [self.screen.state()["pieces"][0]["digest"]]

        def kept(step: int) -> None:
            self.screen.steps(start + step)
            digests.append(self.screen.state()["pieces"][0]["digest"])

        # The palm was pulled to one side: it is mirrored again about x, so that both halves stay alike.
        self.press("Shift+M")
        self.previewed()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        kept(1)
        # At the collar two loops: one pulled tight, one that holds the form and says by how much it strays.
        for step, (form, band) in enumerate((("pull tight", (-61, -37)), ("hold form", (-37, -25))), start=2):
            self.pick_edges(lambda a, b, band=band: abs(a[0]) < 0.1 and abs(b[0]) < 0.1 and max(a[1], b[1]) < -10
                            and abs(min(a[2], b[2]) - band[0]) < 0.1 and abs(max(a[2], b[2]) - band[1]) < 0.1)  # fmt: skip
            self.press("Shift+O")
            self.screen.choose("Surface", form)
            self.screen.field("At").fill("85" if step == 2 else "50")
            self.previewed()
            if form == "hold form":
                self.page.get_by_text("It strays from the form by at most").wait_for()
            self.screen.viewport.focus()
            self.page.keyboard.press("Enter")
            kept(step)
        # The shaft's rim, picked by its sharpness, is chamfered by 2 mm.
        rim = [e for e, s in self.sharpness().items() if s == 10]
        self.assertEqual(len(rim), 8)
        front = next(e for e in rim if self.edge_middle(e)[1] < -10)
        self.screen.click(self.edge_middle(front))
        self.screen.button("Pick by…").click()
        self.page.get_by_role("menuitem", name="Similar: same sharpness").click()
        self.page.get_by_test_id("chosen").get_by_text("8 edges picked").wait_for()
        self.press("Shift+E")
        self.previewed()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        kept(4)
        # Three waves for the fingers: vertices of the bar's front are drawn in, each with what lies around it.
        # One of them lies under the surface, which is hollow there: it is picked through.
        self.press("1")
        self.press("h")
        for wave, x in enumerate((16.0, 36.0, 0.0)):
            self.press("Escape")
            self.press("m")
            self.press("v")
            points = self.points()
            fits = np.abs(points[:, 0] - x) + 3 * np.abs(points[:, 2]) + np.where(points[:, 1] < -8, 0, 100)
            vertex = int(np.argmin(fits))
            self.screen.click(points[vertex])
            self.page.get_by_test_id("chosen").get_by_text("1 vertex picked").wait_for()
            if wave == 0:
                self.screen.field("Reach").fill("9")
            self.screen.field("Along y").fill("1.5")
            self.previewed()
            self.screen.viewport.focus()
            self.page.keyboard.press("Enter")
            kept(5 + wave)
            moved = np.linalg.norm(self.points() - points, axis=1)
            self.assertAlmostEqual(moved[vertex], 1.5, places=6)
            # What was done on one side was done on the other: where the vertex is not on the seam there are two.
            self.assertEqual(np.count_nonzero(np.isclose(moved, 1.5)), 1 if abs(points[vertex, 0]) < 0.1 else 2)
        self.press("h")
        # The palm on top is flattened.
        self.press("5")
        self.press("f")
        points = self.points()
        faces = self.screen.cage()["faces"]
        palm = [i for i, face in enumerate(faces) if points[face][:, 2].min() > 10 and abs(points[face][:, 0].mean()) < 17]
        self.assertGreater(len(palm), 2)
        for i, face in enumerate(palm):
            self.screen.click(self.screen.face_point(face), shift=i > 0)
        self.screen.station("Shape")
        self.screen.tool("Flatten")
        self.screen.choose("Plane", "across z")
        self.previewed()
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        kept(8)
        # Its seam was kept: the cage is its own mirror image, and no edge is open.
        cage = self.screen.cage()
        points = np.array(cage["positions"])
        mirrored = points * [-1, 1, 1]
        nearest = np.linalg.norm(points[:, None] - mirrored[None], axis=2).min(axis=1)
        self.assertLess(nearest.max(), 1e-9)
        self.assertEqual(len(cage["open_edges"]), 0)
        self.assertEqual(self.screen.state()["pieces"][0]["symmetry"]["words"], "one mirror")
        # Undone to the start, and all of it redone.
        for step in range(7, -1, -1):
            self.page.keyboard.press("Control+z")
            self.screen.steps(start + step)
            self.assertEqual(self.screen.state()["pieces"][0]["digest"], digests[step])
        for step in range(1, 9):
            self.page.keyboard.press("Control+Shift+z")
            self.screen.steps(start + step)
            self.assertEqual(self.screen.state()["pieces"][0]["digest"], digests[step])
