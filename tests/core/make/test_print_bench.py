"""The simulated print bench against what can be worked out by hand."""

from __future__ import annotations

import unittest
from xml.etree import ElementTree

import manifold3d
import numpy as np

from zinc_otter.core.errors import BadNumberError, CoreError, FileFormatError
from zinc_otter.core.formats.surfaces import Appearance, write_surface
from zinc_otter.core.printing.print_bench import Job, Machine, judge, layer_picture, take
from zinc_otter.core.solid.tessellation import Triangles


def on_bench(solid: manifold3d.Manifold, kind: str = "3mf") -> Job:
    mesh = solid.to_mesh64()
    triangles = Triangles(np.asarray(mesh.vert_properties)[:, :3], np.asarray(mesh.tri_verts).astype(np.int64), 0.0)
    return take(write_surface(kind, triangles, Appearance("Trial")), kind)


def block(x: float = 20, y: float = 30, z: float = 10) -> manifold3d.Manifold:
    return manifold3d.Manifold.cube((x, y, z))


class Bench(unittest.TestCase):
    def test_a_full_block_weighs_what_its_volume_weighs(self) -> None:
        for kind in ("3mf", "stl"):
            answer = judge(on_bench(block().translate((5, 6, -40)), kind), Machine(fill=1.0))
            self.assertTrue(answer.accepted)
            self.assertEqual((answer.layers, answer.objections), (50, ()))
            self.assertAlmostEqual(answer.grams, 6 * 1.24, places=6)
            # 75 m of line at 60 mm/s, and two seconds for each layer.
            self.assertAlmostEqual(answer.metres, 6000 / (0.4 * 0.2) / 1000, places=6)
            self.assertAlmostEqual(answer.minutes, (75000 / 60 + 100) / 60, places=6)

    def test_fill_counts_between_the_closed_layers_only(self) -> None:
        answer = judge(on_bench(block()), Machine(fill=0.0))
        rim, inside = 100.0, (600 - 100 * 0.4) / 0.4
        self.assertAlmostEqual(answer.metres, (50 * rim + 6 * inside) / 1000, places=6)

    def test_it_is_refused_for_its_size_and_its_walls_with_the_places(self) -> None:
        answer = judge(on_bench(block(300, 20, 10)), Machine())
        self.assertFalse(answer.accepted)
        self.assertIn("too long along x", answer.objections[0].words)
        shell = block() - block(19, 29, 10).translate((0.5, 0.5, 1))
        answer = judge(on_bench(shell), Machine())
        (wall,) = answer.objections
        self.assertFalse(answer.accepted)
        self.assertIn("0.5 mm", wall.words)
        self.assertTrue(wall.places)
        for x, y, _ in wall.places:
            self.assertTrue(min(abs(x), abs(x - 20), abs(y), abs(y - 30)) < 0.51)
        self.assertTrue(judge(on_bench(shell), Machine(least_wall=0.4)).accepted)

    def test_overhangs_warn_by_their_angle(self) -> None:
        # A stump of a cone upside down, leaning out by 45 degrees: 2 pi times the mean radius times the slant length.
        stump = manifold3d.Manifold.cylinder(10, 5, 15, 256)
        self.assertEqual(judge(on_bench(stump), Machine(overhang=50, least_wall=0.01)).objections, ())
        (found,) = judge(on_bench(stump), Machine(overhang=40, least_wall=0.01)).objections
        self.assertFalse(found.refuses)
        self.assertAlmostEqual(float(found.words.split()[0]), np.pi * 20 * 10 * np.sqrt(2), delta=3)

    def test_a_layer_is_drawn_with_its_holes(self) -> None:
        bored = block() - manifold3d.Manifold.cylinder(30, 4, 4, 64).translate((10, 15, -5))
        job = on_bench(bored)
        rings = job.outlines(5.0)
        turned = [(r, np.roll(r, -1, axis=0)) for r in rings]
        areas = sorted(0.5 * float((a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0]).sum()) for a, b in turned)
        self.assertAlmostEqual(areas[1], 600, places=4)
        self.assertAlmostEqual(areas[0], -np.pi * 16, delta=0.2)
        picture = ElementTree.fromstring(layer_picture(job, Machine(), 10))
        paths = picture.findall("{http://www.w3.org/2000/svg}path")
        self.assertEqual([p.get("d", "").count("M") for p in paths], [2, 2])

    def test_what_is_no_body_is_not_taken(self) -> None:
        with self.assertRaisesRegex(FileFormatError, "3MF and STL"):
            take(b"", "obj")
        open_box = block().to_mesh64()
        triangles = Triangles(
            np.asarray(open_box.vert_properties)[:, :3], np.asarray(open_box.tri_verts).astype(np.int64)[1:], 0.0
        )
        with self.assertRaisesRegex(FileFormatError, "no closed body"):
            take(write_surface("stl", triangles, Appearance("Open")), "stl")
        with self.assertRaisesRegex(CoreError, "counts up to"):
            judge(on_bench(block()), Machine(layer=0.001))
        for wrong in ({"layer": 0.0}, {"fill": 1.1}, {"overhang": 90.0}, {"bed": (1.0, float("nan"), 1.0)}):
            with self.assertRaises(BadNumberError):
                Machine(**wrong)  # type: ignore[arg-type]


class Hollows(unittest.TestCase):
    def test_a_sealed_hollow_traps_resin_and_powder(self) -> None:
        sealed = block(20, 30, 12) - block(10, 10, 4).translate((5, 5, 4))
        for process, refuses in (("filament", False), ("resin", True), ("powder", True), ("metal", True)):
            found = [o for o in judge(on_bench(sealed), Machine(process=process)).objections if o.what == "hollow"]
            self.assertEqual([o.refuses for o in found], [refuses], process)
            self.assertIn("0.4 cm³", found[0].words)
            np.testing.assert_allclose(found[0].places[0], [10, 10, 6], atol=0.01)
        # With an outlet there is nothing to say.
        vented = sealed - manifold3d.Manifold.cylinder(6, 1.5, 1.5, 24).translate((10, 10, 7))
        for process in ("filament", "resin", "powder"):
            answer = judge(on_bench(vented), Machine(process=process))
            self.assertEqual([o for o in answer.objections if o.what == "hollow"], [], process)

    def test_a_single_thin_place_is_found(self) -> None:
        # A fin of 0.3 mm on a large block: far less than one place of a hundred.
        finned = block(60, 60, 20) + block(4, 0.3, 3).translate((20, 30, 20))
        walls = [o for o in judge(on_bench(finned), Machine()).objections if o.what == "wall"]
        self.assertIn("down to 0.3 mm", walls[0].words)
        for x, y, z in walls[0].places:
            self.assertTrue(19.9 < x < 24.1 and 29.9 < y < 30.4 and z > 19.9)


class WaysUp(unittest.TestCase):
    def test_a_table_is_printed_upside_down(self) -> None:
        table = block(40, 40, 3).translate((0, 0, 20))
        for x, y in ((0, 0), (36, 0), (0, 36), (36, 36)):
            table += block(4, 4, 20).translate((x, y, 0))
        answer = judge(on_bench(table), Machine())
        now, best = answer.ways[0], answer.ways[1]
        # Under the top between the legs: (40 x 40 - 4 x 4 x 4) x 20 mm³; the first of what hangs over holds by itself.
        self.assertAlmostEqual(now.supports / (1536 * 20), 1, delta=0.08)
        self.assertEqual(best.words, "-z up")
        self.assertAlmostEqual(best.supports, 0, delta=1)
        self.assertAlmostEqual(best.foot, 1600, delta=1)
        (found,) = [o for o in answer.objections if o.what == "overhang"]
        self.assertRegex(found.words, r"about 3\d(\.\d)? cm³ of supports")
        # Powder holds what hangs over.
        self.assertEqual(judge(on_bench(table), Machine(process="powder")).ways, ())

    def test_a_wedge_lies_on_its_slope(self) -> None:
        # Leaning by 60 degrees over its foot, so that no axis is up without supports.
        bar = block(10, 40, 10).rotate((0, 30, 0)).rotate((25, 0, 0))
        ways = judge(on_bench(bar), Machine(overhang=45)).ways
        self.assertGreater(ways[0].supports, 100)
        self.assertTrue(ways[1].words.startswith("on its flat side"))
        self.assertAlmostEqual(ways[1].supports, 0, delta=ways[0].supports / 50)
