"""Cabochons whose outline is a curve: sizes and weight by formulas, settings on both routes, and what is no outline."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from manifold3d import CrossSection, JoinType

from tests.core.stone.test_laying import band, done
from tests.core.stone.test_settings import plate
from tests.kernel import made_in_kernel
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.solid.gate import judged
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.stone.cuts.drawn import DrawnCabochon, widths
from zinc_otter.core.stone.stone import Stone
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of

LEAF = [[6, 0, 5], [3, 5, 5], [-4, 6, 5], [-7, -1, 5], [0, -4, 5]]


def with_curve(design: Design, points: Any = LEAF, **more: Any) -> Design:
    return done(design, kind="draw-curve", name="Leaf", points=points, **{"closed": True, **more})


def laid(design: Design, curve: str = "p2", host: str = "p1", sink: float = 0.0, **cut: Any) -> Design:
    where = {"way": "within", "curve": curve, "host": host, "sink": sink}
    return done(design, kind="lay-stones", cut={"kind": "drawn", **cut}, material="quartz", **where)


def only(design: Design, piece: str) -> tuple[Stone, np.ndarray]:
    ((stone, motions),) = design.piece(piece).form.stones  # type: ignore[union-attr]
    return stone, motions[0]


class Outline(unittest.TestCase):
    def test_it_is_that_of_the_curve_seen_from_above(self) -> None:
        design = laid(with_curve(plate()), dome=30.0, girdle=10.0)
        stone, at = only(design, "p3")
        curve = CrossSection([pieces_of(design.piece("p2").form).dense(200)[:-1, :2]])  # type: ignore[arg-type]
        here = stone.gem.outline @ at[:2, :2].T + at[:2, 3]
        mine = CrossSection([here])
        self.assertLess(((mine - curve).area() + (curve - mine).area()) / curve.area(), 2e-3)
        # Volume: two thirds of a dome, and the band, over the area; by another library's area of the same corners.
        width = stone.cut.width
        area = mine.area()
        self.assertAlmostEqual(stone.gem.volume, area * width * (2 / 3 * 0.3 + 0.1), delta=1e-9 * area * width)
        self.assertAlmostEqual(stone.carats, stone.gem.volume * 2.65 / 1000 / 0.2, delta=1e-9)
        np.testing.assert_allclose(at[:3, 2], [0, 0, 1], atol=1e-12)
        self.assertAlmostEqual(at[2, 3], 2.0, delta=1e-9)

    def test_a_circle_is_a_round_cabochon(self) -> None:
        a = np.arange(24) * np.pi / 12
        design = with_curve(plate(), np.column_stack([5 * np.cos(a), 5 * np.sin(a), 0 * a + 4]).tolist())
        stone, _ = only(laid(design), "p3")
        radius = float(np.linalg.norm(pieces_of(design.piece("p2").form).dense(8)[0, :2]))  # type: ignore[arg-type]
        self.assertAlmostEqual(stone.cut.width, 2 * radius, delta=0.01)
        self.assertAlmostEqual(stone.cut.long, 2 * radius, delta=0.01)

    def test_corners_stay_corners(self) -> None:
        triangle = [[6, -4, 4], [0, 7, 4], [-6, -4, 4]]
        stone, at = only(laid(with_curve(plate(), triangle, way="straight")), "p3")
        here = stone.gem.outline @ at[:2, :2].T + at[:2, 3]
        for corner in triangle:
            self.assertLess(np.linalg.norm(here - corner[:2], axis=1).min(), 1e-9)
        self.assertAlmostEqual(stone.cut.width, widths(np.array(triangle)[:, :2])[0], delta=1e-9)

    def test_least_and_largest_widths(self) -> None:
        for wide, long in ((2.0, 5.0), (3.0, 3.0)):
            box = np.array([[0, 0], [wide, 0], [wide, long], [0, long]])
            c, s = np.cos(0.4), np.sin(0.4)
            least, most = widths(box @ [[c, s], [-s, c]])
            self.assertAlmostEqual(least, wide)
            self.assertAlmostEqual(most, np.hypot(wide, long))

    def test_it_follows_the_curve_and_the_form(self) -> None:
        design = laid(with_curve(plate()))
        before, _ = only(design, "p3")
        pulled = done(design, kind="move", piece="p2", picked={"kind": "vertex", "ids": [0]}, vector=[1.5, 0, 0])
        self.assertGreater(only(pulled, "p3")[0].carats, before.carats * 1.02)
        raised = done(design, kind="move", piece="p1", picked={"kind": "piece", "ids": [0]}, vector=[0, 0, 3])
        self.assertAlmostEqual(only(raised, "p3")[1][2, 3], 5.0, delta=1e-9)

    def test_on_no_form_it_lies_in_the_plane_of_the_curve(self) -> None:
        upright = [[x, 2.0, y] for x, y, _ in LEAF]
        _, at = only(laid(with_curve(Design(), upright), "p1", ""), "p2")
        np.testing.assert_allclose(at[:3, 2], [0, -1, 0], atol=1e-9)
        self.assertAlmostEqual(at[1, 3], 2.0, delta=1e-9)
        np.testing.assert_allclose(at[:3, :3] @ at[:3, :3].T, np.eye(3), atol=1e-12)

    def test_the_way_round_of_the_curve_is_all_one(self) -> None:
        one, _ = only(laid(with_curve(plate())), "p3")
        other, _ = only(laid(with_curve(plate(), LEAF[::-1])), "p3")
        self.assertAlmostEqual(one.carats, other.carats, delta=2e-3 * one.carats)


class Set(unittest.TestCase):
    """Settings go by the outline, on both routes alike."""

    def test_on_a_plate_and_on_a_band(self) -> None:
        small = (np.array(LEAF) * [0.25, 0.25, 0] + [0, 0, 3]).tolist()
        upright = [[13.0, 0.22 * x, 0.22 * y] for x, y, _ in LEAF]
        ways = (({"kind": "bezel", "taper": 4.0}, 0.0), ({"kind": "prongs", "count": 5}, -0.4), ({"kind": "flush"}, 0.5))
        for design, points, exact in ((plate(), small, "bezel"), (band(), upright, "prongs")):
            for follower, sink in ways:
                stones = laid(with_curve(design, points), sink=sink)
                with self.subTest(follower=follower["kind"]):
                    now = done(stones, kind="add-follower", piece="p1", follower={"stones": "p3", **follower})
                    recipe = recipe_of(now, "p1")
                    by_mesh = made_of_triangles(recipe)
                    self.assertEqual([(note.status, note.words) for note in by_mesh.notes], [("done", "")])
                    mesh = by_mesh.body.mesh
                    self.assertEqual(judged(mesh.points, mesh.triangles, by_mesh.notes).faults, ())
                    if follower["kind"] == exact:
                        self.assertAlmostEqual(made_in_kernel(recipe, by_mesh).volume / by_mesh.body.volume, 1, delta=4e-3)

    def test_a_bezel_on_a_plate_by_a_formula(self) -> None:
        wall, c = 0.5, 0.02
        stones = laid(with_curve(plate(), (np.array(LEAF) * [0.6, 0.6, 1]).tolist()), girdle=10.0)
        follower = {"kind": "bezel", "stones": "p3", "wall": wall, "over": 0.6, "ledge": 0.0, "clearance": c}
        body = made_of_triangles(recipe_of(done(stones, kind="add-follower", piece="p1", follower=follower), "p1"))
        bare = made_of_triangles(recipe_of(stones, "p1")).body.volume
        stone, _ = only(stones, "p3")
        ring = CrossSection([stone.gem.outline])
        area = {out: ring.offset(out, JoinType.Miter).area() for out in (c, c + wall)}
        half = stone.gem.girdle / 2
        # Above the plate the wall without the stone's place, below it what the stone takes.
        wanted = (area[c + wall] - area[c]) * (half + 0.6) - area[c] * (half + c)
        self.assertAlmostEqual(body.body.volume - bare, wanted, delta=0.01 * area[c + wall] * (half + 0.6))


class Refused(unittest.TestCase):
    def told(self, design: Design, **more: Any) -> CoreError:
        with self.assertRaises(CoreError) as caught:
            laid(design, **more)
        return caught.exception

    def test_what_is_no_outline(self) -> None:
        inwards = [[6, 0, 5], [1, 1, 5], [0, 6, 5], [-6, 0, 5], [0, -6, 5]]
        error = self.told(with_curve(plate(), inwards))
        self.assertIn("bends inwards", str(error))
        # The place is where the curve is nearest to the bend.
        self.assertLess(np.linalg.norm(np.array(error.place.points[0])[:2] - [1.5, 1.5]), 2.0)
        self.assertIn("open", str(self.told(with_curve(plate(), closed=False))))
        eight = [[5, 5, 4], [-5, -5, 4], [5, -5, 4], [-5, 5, 4]]
        crossed = self.told(with_curve(plate(), eight))
        self.assertIn("crosses itself", str(crossed))
        # Where it crosses, and not where it begins.
        self.assertLess(np.linalg.norm(np.array(crossed.place.points)[:, :2], axis=1).max(), 1.0)
        self.assertTrue(crossed.place.points)
        flat = [[5, 0, 4], [0, 0, 6], [-5, 0, 4], [0, 0, 3]]
        self.assertIn("encloses nothing", str(self.told(with_curve(plate(), flat))))

    def test_a_drawn_cut_without_its_curve_and_a_curve_without_a_drawn_cut(self) -> None:
        design = with_curve(plate())
        for wrong in (
            {"cut": {"kind": "drawn"}, "way": "points", "points": [[0, 0, 2]]},
            {"cut": {"kind": "round"}, "way": "within", "curve": "p2"},
            {"cut": {"kind": "drawn"}, "way": "within"},
        ):
            with self.assertRaises(CoreError):
                done(design, kind="lay-stones", host="p1", **wrong)
        with self.assertRaisesRegex(BadNumberError, "as large as its curve"):
            done(design, kind="lay-stones", host="p1", cut={"kind": "drawn"}, way="within", curve="p2", carats=2.0)

    def test_outlines_that_do_not_run_about_their_middle(self) -> None:
        with self.assertRaises(BadNumberError):
            DrawnCabochon(outline=((0.0, 0.0), (1.0, 0.0), (0.0, 1.0)))
        with self.assertRaises(BadNumberError):
            DrawnCabochon(outline=((1.0, 0.0), (-1.0, 0.0)))
        with self.assertRaisesRegex(CoreError, "grows from a curve"):
            laid(plate(), "p1")
