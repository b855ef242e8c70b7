"""Settings on both routes against formulas, on flat, curved and sculpted ground."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from scipy.spatial import ConvexHull

from tests.core.stone.test_laying import BAND, done
from tests.kernel import made_in_kernel
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.solid.followers.settings.base import Set
from zinc_otter.core.solid.followers.settings.bezel import Bezel
from zinc_otter.core.solid.followers.settings.prongs import Prongs
from zinc_otter.core.solid.gate import judged
from zinc_otter.core.solid.kernel.check import exact_volume
from zinc_otter.core.solid.kernel.shape import one_name
from zinc_otter.core.solid.mesh.route import Made, made_of_triangles
from zinc_otter.core.solid.stack import Pin, Stack, moved_out
from zinc_otter.core.stone.cuts import KINDS
from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import follower_document, read_follower, recipe_of

PLATE: dict[str, Any] = {"kind": "add-box", "name": "Plate", "size": [24, 24, 4], "counts": [4, 4, 1]}
HARD = {"kind": "crease", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "sharpness": 10}
SETTINGS: tuple[tuple[dict[str, Any], float], ...] = (
    ({"kind": "bezel"}, -0.5),
    ({"kind": "bezel", "base": "open", "taper": 5.0}, -1.2),
    ({"kind": "prongs", "count": 4}, -0.8),
    ({"kind": "prongs", "count": 6, "wire": 0.7, "lean": 8.0, "rails": 1, "tip": "claw"}, -1.8),
    ({"kind": "prongs", "count": 3, "way": "double", "tip": "flat"}, -0.8),
    ({"kind": "flush"}, 0.5),
    ({"kind": "beads"}, 0.3),
)


def plate() -> Design:
    """A block with hard edges, so that its top is flat at z = 2."""
    return done(done(Design(), **PLATE), **HARD)


def set_on(design: Design, cut: dict[str, Any], point: list[float], follower: dict[str, Any], sink: float) -> Design:
    design = done(design, kind="lay-stones", host="p1", cut=cut, points=[point], sink=sink)
    return done(design, kind="add-follower", piece="p1", follower={"stones": "p2", **follower})


def made(design: Design) -> tuple[Made, float]:
    recipe = recipe_of(design, "p1")
    return made_of_triangles(recipe), made_of_triangles(recipe.first(0)).body.volume


class Formulas(unittest.TestCase):
    def test_a_bezel_on_a_plate(self) -> None:
        c, wall, over, ledge, sink = 0.02, 0.5, 0.6, 0.3, -0.5
        cut = {"kind": "round", "width": 4.0}
        design = set_on(
            plate(), cut, [0, 0, 2], {"kind": "bezel", "wall": wall, "over": over, "ledge": ledge, "clearance": c}, sink
        )
        gem = RoundBrilliant(4.0).gem
        half, low = gem.girdle / 2, gem.height[0]
        r, surface = 2.0, sink
        top, out = half + over, r + c + wall
        # Above the plate the wall is a cylinder; inside, from the top: the bore, the cone of the ledge, and the well below.
        standing = np.pi * out**2 * (top - surface)
        slope = (-half - low) / r
        rest = -half - ledge * slope - c - 1e-3
        bore = np.pi * (r + c) ** 2 * (top - (-half - c))
        cone = np.pi * (-half - c - rest) / 3 * ((r + c) ** 2 + (r + c) * (r + c - ledge) + (r + c - ledge) ** 2)
        well = np.pi * (r + c - ledge) ** 2 * (rest - (low - c - 0.05))
        body, bare = made(design)
        self.assertEqual([note.status for note in body.notes], ["done"])
        self.assertAlmostEqual(body.body.volume - bare, standing - bore - cone - well, delta=0.005 * standing)

    def test_four_straight_prongs_on_a_plate(self) -> None:
        wire, over, sink = 0.8, 0.6, -2.5
        cut = {"kind": "round", "width": 3.0, "girdle": 2.0}
        follower = {"kind": "prongs", "count": 4, "wire": wire, "over": over, "tip": "flat"}
        body, bare = made(set_on(plate(), cut, [0, 0, 2], follower, sink))
        gem = RoundBrilliant(3.0, girdle=2.0).gem
        # Cylinders from the plate to the tips; the stone cuts its notches, found by points thrown at random.
        area = np.pi * wire**2 / 4
        height = gem.girdle / 2 + over - sink
        middle = 1.5 + 0.02 + wire / 2 - 0.35 * wire
        z, share = (np.array(part) for part in zip(*gem.profile, strict=True))
        chance = np.random.default_rng(4)
        a, rho = 2 * np.pi * chance.random(400_000), wire / 2 * np.sqrt(chance.random(400_000))
        x, y = middle + rho * np.cos(a), rho * np.sin(a)
        at = sink + height * chance.random(400_000)
        reach = np.interp(at, z, share, left=-1, right=-1) * 1.5 + 0.02
        notch = float((np.hypot(x, y) < reach).mean())
        self.assertAlmostEqual(body.body.volume - bare, 4 * area * height * (1 - notch), delta=0.02 * 4 * area * height)

    def test_a_flush_seat_is_the_stone_and_what_opens_above_it(self) -> None:
        sink, c = 0.6, 0.02
        cut = {"kind": "round", "width": 3.0}
        body, bare = made(set_on(plate(), cut, [0, 0, 2], {"kind": "flush", "bright": 0.0, "clearance": c}, sink))
        gem = RoundBrilliant(3.0).gem
        half, low = gem.girdle / 2, gem.height[0]
        r = 1.5
        cylinder = np.pi * (r + c) ** 2 * (sink + half)
        cone = np.pi * (-half - low) / 3 * ((r + c) ** 2 + (r + c) * c + c**2)
        self.assertAlmostEqual(bare - body.body.volume, cylinder + cone, delta=0.01 * (cylinder + cone))


class OnAllGround(unittest.TestCase):
    """Watertight, with nothing crossing, held, and on both routes the same."""

    def hold(
        self, design: Design, cut: dict[str, Any], point: list[float], kernel: bool, every: slice = slice(None)
    ) -> None:  # fmt: skip
        for follower, sink in SETTINGS[every]:
            with self.subTest(follower=follower, cut=cut["kind"]):
                now = set_on(design, cut, point, follower, sink)
                recipe = recipe_of(now, "p1")
                by_mesh = made_of_triangles(recipe)
                self.assertEqual([(note.status, note.words) for note in by_mesh.notes], [("done", "")])
                mesh = by_mesh.body.mesh
                self.assertEqual(judged(mesh.points, mesh.triangles, by_mesh.notes).faults, ())
                if kernel:
                    solid = made_in_kernel(recipe, by_mesh)
                    bare = made_of_triangles(recipe.first(0)).body.volume
                    change, there = by_mesh.body.volume - bare, solid.volume
                    self.assertAlmostEqual(there / by_mesh.body.volume, 1, delta=4e-3)
                    self.assertTrue(np.isfinite(change))

    def test_round_stones_flat_and_bent(self) -> None:
        # Every other setting here, and between a band and sculpted ground all of them.
        self.hold(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], kernel=True, every=slice(0, None, 2))

    def test_ovals_on_a_band(self) -> None:
        wide = done(Design(), kind="add-ring", bore=18.0, width=8.0, thickness=3.0, profile="D")
        self.hold(wide, {"kind": "oval", "width": 2.6, "length": 3.4}, [0, 12, 0], kernel=True, every=slice(1, None, 3))

    def test_other_outlines(self) -> None:
        # Every third setting for each, and between three of them all.
        for k, kind in enumerate(("pear", "step", "cushion", "rectangular", "cabochon", "trillion")):
            long = {} if kind == "trillion" else {"length": 4.0}
            self.hold(plate(), {"kind": kind, "width": 3.0, **long}, [0, 0, 2], kernel=False, every=slice(k % 3, None, 3))

    def test_sculpted_ground(self) -> None:
        design = plate()
        cage = design.piece("p1").faces
        top = np.flatnonzero(cage.positions[:, 2] > 1.9)
        for k, vertex in enumerate(top.tolist()):
            lift = [0, 0, 0.5 * float(np.sin(3.0 * k))]
            design = done(design, kind="move", piece="p1", picked={"kind": "vertex", "ids": [vertex]}, vector=lift)
        self.hold(design, {"kind": "round", "width": 2.6}, [3, 3, 2], kernel=True, every=slice(1, None, 2))


class SeatsAlone(unittest.TestCase):
    def test_cut_into_the_form_and_as_bodies_by_themselves(self) -> None:
        above, sink = 2.0, 0.6
        for cut in ({"kind": "round", "width": 3.0}, {"kind": "step", "width": 3.0, "length": 4.0}):
            design = set_on(plate(), cut, [0, 0, 2], {"kind": "seats", "clearance": 0.0, "above": above}, sink)
            ((stone, _),) = design.piece("p2").form.stones  # type: ignore[union-attr]
            gem = stone.gem
            # Frustums of its outline below the girdle's upper edge, and above it a prism; no less than the stone there.
            area = float(ConvexHull(gem.outline).volume)
            steps = [(z, share) for z, share in gem.profile if z <= gem.girdle / 2 + 1e-9]
            below = sum(
                area * (high - low) * (a * a + a * b + b * b) / 3
                for (low, a), (high, b) in zip(steps, steps[1:], strict=False)
            )
            self.assertGreaterEqual(below, ConvexHull(gem.points[gem.points[:, 2] <= gem.girdle / 2 + 1e-9]).volume - 1e-9)
            body, bare = made(design)
            self.assertEqual([(note.status, note.words) for note in body.notes], [("done", "")])
            self.assertAlmostEqual((bare - body.body.volume) / (below + area * (sink - gem.girdle / 2)), 1, delta=0.02)
            follower = {**design.piece("p1").followers[0].__dict__, "kind": "seats", "way": "alone"}
            alone = done(design, kind="change-follower", piece="p1", follower=follower)
            recipe = recipe_of(alone, "p1")
            by_mesh = made_of_triangles(recipe)
            self.assertAlmostEqual(by_mesh.body.volume / (below + area * above), 1, delta=0.02)
            self.assertAlmostEqual(made_in_kernel(recipe, by_mesh).volume / by_mesh.body.volume, 1, delta=0.02)

    def test_two_cutters_are_two_bodies(self) -> None:
        cut, points = {"kind": "round", "width": 3.0}, [[-5, 0, 2], [5, 0, 2]]
        design = done(plate(), kind="lay-stones", host="p1", cut=cut, points=points)
        design = done(design, kind="add-follower", piece="p1", follower={"kind": "seats", "stones": "p2", "way": "alone"})
        self.assertEqual(len(made_of_triangles(recipe_of(design, "p1")).body.solid.decompose()), 2)
        with self.assertRaisesRegex(BadNumberError, "Seats: the way up is 0.05 to 50; 0 is not"):
            read_follower({"kind": "seats", "id": "f1", "stones": "p2", "above": 0.0})


class Feet(unittest.TestCase):
    def test_no_foot_comes_out_below(self) -> None:
        """In a thin plate feet end within it, however deep they would go."""
        thin = done(done(Design(), **{**PLATE, "size": [24, 24, 0.8]}), **HARD)
        cut = {"kind": "round", "width": 3.0}
        for follower in ({"kind": "prongs", "wire": 1.0}, {"kind": "bezel"}):
            body, _ = made(set_on(thin, cut, [0, 0, 0.4], follower, -1.4))
            self.assertEqual([note.status for note in body.notes], ["done"])
            self.assertGreaterEqual(float(body.body.mesh.points[:, 2].min()), -0.4 - 1e-6)

    def test_a_prong_in_the_air_is_refused_with_its_place(self) -> None:
        design = done(Design(), **BAND)
        body, bare = made(set_on(design, {"kind": "round", "width": 6.0}, [12, 0, 0], {"kind": "prongs"}, -4.0))
        (note,) = body.notes
        self.assertEqual(note.status, "failed")
        self.assertRegex(note.words, "There is no metal below a prong of stone 1")
        self.assertTrue(note.place.points)
        self.assertEqual(body.body.volume, bare)

    def test_rays_tell_where_metal_begins_and_ends(self) -> None:
        body = made_of_triangles(recipe_of(plate(), "p1")).body
        rays = Rays(body.mesh.points, body.mesh.triangles)
        points = np.array([[1.0, 1, 5], [1, 1, 0.5], [30, 0, 5]])
        first, last = rays.through(points, np.tile([0.0, 0, -1], (3, 1)))
        np.testing.assert_allclose(first, [3, 0, np.inf], atol=1e-5)
        np.testing.assert_allclose(last, [7, 2.5, np.inf], atol=1e-5)


class Held(unittest.TestCase):
    def words(self, follower: dict[str, Any], sink: float) -> str:
        body, _ = made(set_on(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], follower, sink))
        return body.notes[0].words

    def test_a_stone_that_is_not_held_is_said(self) -> None:
        self.assertRegex(self.words({"kind": "flush"}, -0.2), "Stone 1 is not held")
        self.assertRegex(self.words({"kind": "bezel", "over": 0.0}, -0.5), "not held")
        self.assertRegex(self.words({"kind": "prongs", "over": 0.0, "tip": "flat"}, -0.5), "not held")
        # Two prongs opposite hold it, two on one side would not: half of the way round may be open.
        self.assertEqual(self.words({"kind": "prongs", "count": 2}, -0.5), "")
        self.assertEqual(self.words({"kind": "bezel"}, -0.5), "")

    def test_gone_stones_are_waited_for(self) -> None:
        design = set_on(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], {"kind": "bezel"}, -0.5)
        design = done(design, kind="delete-piece", piece="p2")
        body, bare = made(design)
        self.assertEqual(body.notes[0].status, "waits")
        self.assertEqual(body.body.volume, bare)


class InARow(unittest.TestCase):
    def pins(self, way: str) -> int:
        design = plate()
        points = [[x, 0.0, 2.0] for x in (-4.4, -2.2, 0.0, 2.2, 4.4)]
        design = done(design, kind="lay-stones", host="p1", cut={"kind": "round", "width": 2.0}, points=points, sink=-1.0)
        follower = {"kind": "prongs", "stones": "p2", "wire": 0.8, "way": way}
        recipe = recipe_of(done(design, kind="add-follower", piece="p1", follower=follower), "p1")
        (settled,) = (one.follower for one in made_of_triangles(recipe).done.values())
        assert isinstance(settled, Set)
        return sum(isinstance(part, Pin) for part in settled.added)

    def test_shared_prongs_are_one(self) -> None:
        # Twenty prongs alone; shared, of the four between two neighbours there are two: eight less.
        self.assertEqual(self.pins("single"), 20)
        self.assertEqual(self.pins("shared"), 12)

    def test_a_setting_follows_the_cage(self) -> None:
        design = set_on(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], {"kind": "bezel"}, -0.5)
        before, _ = made(design)
        design = done(design, kind="move", piece="p1", picked={"kind": "piece", "ids": [0]}, vector=[0, 0, 9])
        after, _ = made(design)
        self.assertAlmostEqual(after.body.volume, before.body.volume, delta=1e-3)
        np.testing.assert_allclose(after.body.mesh.points[:, 2].max() - before.body.mesh.points[:, 2].max(), 9, atol=1e-6)

    def test_a_hollow_keeps_its_wall_about_the_seats(self) -> None:
        design = set_on(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], {"kind": "flush"}, 0.5)
        recipe = recipe_of(design, "p1")
        done_by = made_of_triangles(recipe).done
        (settled,) = (one.follower for one in done_by.values())
        assert isinstance(settled, Set)
        deeper = settled.deeper(0.5)
        assert isinstance(deeper, Set)
        self.assertEqual(len(deeper.added), 0)
        for small, large in zip(settled.taken, deeper.taken, strict=True):
            self.assertGreater(large.mesh(0.01).volume(), small.mesh(0.01).volume())


class Channels(unittest.TestCase):
    def rowed(self, cut: dict[str, Any], points: list[list[float]], **follower: Any) -> Design:
        design = done(plate(), kind="lay-stones", host="p1", cut=cut, points=points, sink=-0.4)
        return done(design, kind="add-follower", piece="p1", follower={"kind": "channel", "stones": "p2", **follower})

    def test_two_walls_along_a_row_on_both_routes(self) -> None:
        wall, over, bite, c = 0.6, 0.5, 0.2, 0.02
        points = [[0.0, 2.2 * k, 2.0] for k in range(-2, 3)]
        design = self.rowed({"kind": "round", "width": 2.0}, points, wall=wall, over=over, bite=bite)
        recipe = recipe_of(design, "p1")
        by_mesh = made_of_triangles(recipe)
        self.assertEqual([(n.status, n.words) for n in by_mesh.notes], [("done", "")])
        mesh = by_mesh.body.mesh
        self.assertEqual(judged(mesh.points, mesh.triangles, by_mesh.notes).faults, ())
        self.assertAlmostEqual(made_in_kernel(recipe, by_mesh).volume / by_mesh.body.volume, 1, delta=1e-3)
        # The walls stand as wide and as high as was asked, and are closed at the ends by as much.
        gem = RoundBrilliant(2.0).gem
        high = mesh.points[mesh.points[:, 2] > 2.2]
        np.testing.assert_allclose(np.abs(high[:, 0]).max(), 1.0 + c + wall, atol=1e-6)
        np.testing.assert_allclose(np.abs(high[:, 1]).max(), 4.4 + 1.0 + c + wall, atol=1e-6)
        self.assertAlmostEqual(float(high[:, 2].max()), 2.4 + gem.girdle / 2 + over, delta=1e-6)
        # Between two stones the slot is as wide as the walls leave it.
        rays = Rays(mesh.points, mesh.triangles)
        height = 2.4 + gem.girdle / 2 + over - 0.05
        for x in (0.0, 1.0 - bite - 0.01, -(1.0 - bite - 0.01)):
            first, _ = rays.through(np.array([[x, 1.1, height]]), np.array([[0.0, 0, -1]]))
            self.assertGreater(float(first[0]), 0.5, x)
        first, _ = rays.through(np.array([[1.0 - bite + 0.01, 1.1, height]]), np.array([[0.0, 0, -1]]))
        self.assertEqual(float(first[0]), 0.0)

    def test_a_row_round_a_ring_closes(self) -> None:
        ring = done(Design(), kind="add-ring", bore=17.0, width=4.5, thickness=2.4, profile="flat", around=24)
        ring = done(ring, kind="lay-stones", host="p1", cut={"kind": "round", "width": 1.8}, way="round",
                    points=[[0, 10.9, 0]], count=30, sink=0.3)  # fmt: skip
        ring = done(ring, kind="add-follower", piece="p1", follower={"kind": "channel", "stones": "p2", "wall": 0.5})
        by_mesh = made_of_triangles(recipe_of(ring, "p1"))
        self.assertEqual([(n.status, n.words) for n in by_mesh.notes], [("done", "")])
        mesh = by_mesh.body.mesh
        self.assertEqual(judged(mesh.points, mesh.triangles, by_mesh.notes).faults, ())

    def test_one_stone_is_no_row_and_a_bite_leaves_a_slot(self) -> None:
        body, _ = made(self.rowed({"kind": "round", "width": 2.0}, [[0, 0, 2]]))
        self.assertRegex(body.notes[0].words, "two stones or more")
        body, _ = made(self.rowed({"kind": "round", "width": 2.0}, [[0, 0, 2], [0, 3, 2]], bite=1.5))
        self.assertRegex(body.notes[0].words, "would meet")


class Parts(unittest.TestCase):
    def test_stacks_and_pins_are_the_same_on_both_routes(self) -> None:
        where = np.eye(4)
        where[:3, 3] = [3, 4, 5]
        for kind in KINDS:
            cut = kind()
            outline = cut.gem.outline
            for rings in (((-1.0, 0.2, 0.1), (0.0, 1.0, 0.05), (1.0, 1.0, 0.3)), ((-0.5, 1.0, -0.2), (0.5, 1.0, 0.4))):
                stack = Stack(outline, rings, where, cut.width / 2 if cut.is_round else None)
                mesh, solid = stack.mesh(1e-3).volume(), exact_volume(one_name(stack.shape(), "s"))
                self.assertAlmostEqual(mesh / solid, 1, delta=3e-3, msg=kind.__name__)
        for is_round in (True, False):
            pin = Pin((1, 2, 3), (0.0, 0.6, 0.8), 0.4, 2.0, is_round)
            exact = np.pi * 0.16 * 2 + (2 / 3 * np.pi * 0.064 if is_round else 0)
            self.assertAlmostEqual(exact_volume(one_name(pin.shape(), "p")), exact, delta=1e-6)
            self.assertAlmostEqual(pin.mesh(1e-4).volume(), exact, delta=1e-3)

    def test_an_outline_moved_out_by_steiner(self) -> None:
        # J. Steiner, 1840: area + perimeter × d + pi d² for a smooth convex outline.
        outline = RoundBrilliant(4.0).gem.outline
        grown = moved_out(outline, 0.5)
        np.testing.assert_allclose(np.linalg.norm(grown, axis=1), 2.5, rtol=1e-3)
        square = np.array([[1.0, -1], [1, 1], [-1, 1], [-1, -1]])
        np.testing.assert_allclose(moved_out(square, 0.5), 1.5 * square, atol=1e-12)
        np.testing.assert_allclose(moved_out(square, -0.25), 0.75 * square, atol=1e-12)

    def test_documents_come_back(self) -> None:
        for follower, _ in SETTINGS:
            one = read_follower({"stones": "p2", **follower})
            self.assertEqual(read_follower(follower_document(one)), one)

    def test_bad_numbers(self) -> None:
        for words, make in (
            ("Bezel: the wall is 0.05 to 20; -1 is not", lambda: Bezel(wall=-1.0)),
            ("Prongs: the count is 2 to 8; 9 is not", lambda: Prongs(count=9)),
            ("not finite", lambda: Bezel(over=float("nan"))),
            ("clearance", lambda: Prongs(clearance=-0.1)),
        ):
            with self.assertRaisesRegex(BadNumberError, words):
                make()
        body, _ = made(set_on(plate(), {"kind": "round", "width": 3.0}, [0, 0, 2], {"kind": "bezel", "ledge": 2.0}, -0.5))
        self.assertRegex(body.notes[0].words, "leaves no opening under a stone of 3 mm")
