"""What a caster asks for: metals, walls, hollows, corners, sprues, and the bill."""

from __future__ import annotations

import csv
import io
import unittest
from dataclasses import replace

import numpy as np
import trimesh

from tests.core.stone.test_laying import ROUND, band, done
from tests.core.stone.test_settings import plate
from tests.kernel import made_in_kernel
from zinc_otter.core.proof.casting import PROCESSES, cast_proof, inner_corners
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.solid.materials import MATERIALS, METALS, WAX
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.tessellation import Triangles
from zinc_otter.jobs.triangle_work import grown_by
from zinc_otter.studio.bill import bill_csv, bill_of
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.references import Component

CAST = PROCESSES[0]


def parts(mesh: trimesh.Trimesh) -> tuple[np.ndarray, np.ndarray]:
    return np.asarray(mesh.vertices), np.asarray(mesh.faces)


class Metals(unittest.TestCase):
    def test_what_a_jeweller_casts_is_there(self) -> None:
        names = " ".join(metal.name for metal in METALS)
        wanted_all = "750|585 yellow|585 white|375|Silver, 925|Platinum, 950|Palladium|Brass|Bronze|Titanium|Steel"
        for wanted in wanted_all.split("|"):
            self.assertIn(wanted, names)
        self.assertTrue(any("Resin" in material.name for material in MATERIALS))
        self.assertTrue(all(material.source for material in MATERIALS))

    def test_alloys_lie_between_their_metals_as_the_trade_has_them(self) -> None:
        # Handbook values of alloys, from memory: 18 ct yellow about 15.4 to 15.5, 14 ct about 13.0 to 13.7, 9 ct about 11.2,
        # sterling silver 10.36, platinum 950 about 20.7.
        density = {metal.name: metal.density for metal in METALS}
        for name, low, high in (
            ("Gold, 750 with silver and copper alike", 15.3, 15.6), ("Gold, 585 yellow", 13.0, 13.8),
            ("Gold, 375 yellow", 10.9, 11.6), ("Silver, 925 with copper", 10.30, 10.40),
            ("Platinum, 950 with ruthenium", 20.5, 20.8),
        ):  # fmt: skip
            self.assertTrue(low <= density[name] <= high, f"{name} {density[name]}")

    def test_weights_and_the_ratio_to_wax(self) -> None:
        silver = next(metal for metal in METALS if "925" in metal.name)
        self.assertAlmostEqual(silver.weight(1000), silver.density)
        # A wax of a gram becomes about eleven of sterling: common practice says 10 to 11.
        self.assertAlmostEqual(silver.weight(1) / WAX.weight(1), 10.8, delta=0.5)


class Proof(unittest.TestCase):
    def test_a_sound_ball_holds(self) -> None:
        found = cast_proof(*parts(trimesh.creation.icosphere(4, 5.0)), CAST)
        self.assertEqual(found.faults, ())
        self.assertGreater(found.wall, 9)

    def test_a_thin_plate_is_told_with_its_wall(self) -> None:
        found = cast_proof(*parts(trimesh.creation.box((20, 20, 0.5))), CAST)
        (fault,) = found.faults
        self.assertRegex(fault.words, r"thinner than 0.8 mm, at least 0.5 mm")
        self.assertAlmostEqual(found.wall, 0.5, delta=1e-3)
        self.assertTrue(fault.place.points)

    def test_a_hollow_without_an_outlet(self) -> None:
        outer, inner = trimesh.creation.icosphere(4, 5.0), trimesh.creation.icosphere(3, 3.0)
        inner.invert()
        found = cast_proof(*parts(trimesh.util.concatenate([outer, inner])), CAST)
        self.assertEqual(found.cavities, 1)
        self.assertRegex(found.faults[0].words, "1 hollow has no outlet")
        np.testing.assert_allclose(found.faults[0].place.points[0], 0, atol=0.05)

    def test_inner_corners_and_not_outer_ones(self) -> None:
        box = trimesh.creation.box((10, 10, 10))
        self.assertEqual(len(inner_corners(*parts(box))), 0)
        body = made_of_triangles(recipe_of(_stepped(), "p1")).body.mesh
        corners = inner_corners(body.points, body.triangles)
        self.assertGreater(len(corners), 0)
        np.testing.assert_allclose(corners[:, 2], 2.0, atol=1e-3)

    def test_weak_prongs(self) -> None:
        found = cast_proof(*parts(trimesh.creation.icosphere(3, 5.0)), CAST, prongs=[0.9, 0.6])
        self.assertRegex(found.faults[0].words, "Prongs of 0.6 mm are thinner than the 0.8 mm")


def _stepped() -> Design:
    """A plate with a cylinder on its top."""
    body = {"kind": "cylinder", "point": [0, 0, 0], "along": [0, 0, 1], "radius": 3, "height": 6}
    return done(plate(), kind="add-follower", piece="p1", follower={"kind": "combine", "body": body})


class Sprues(unittest.TestCase):
    def test_a_stub_stands_in_the_metal_on_both_routes(self) -> None:
        follower = {"kind": "sprue", "diameter": 2.0, "length": 7.0, "point": [1, 2, 2], "along": [0, 0, 1]}
        recipe = recipe_of(done(plate(), kind="add-follower", piece="p1", follower=follower), "p1")
        by_mesh = made_of_triangles(recipe)
        bare = made_of_triangles(recipe.first(0)).body.volume
        self.assertAlmostEqual(by_mesh.body.volume - bare, np.pi * 7, delta=0.02 * np.pi * 7)
        self.assertAlmostEqual(made_in_kernel(recipe, by_mesh).volume - bare, np.pi * 7, delta=0.02 * np.pi * 7)
        # Turned round, its foot would come out on the far side: it does not.
        follower = {**follower, "along": [0, 0, -1], "point": [1, 2, -2], "length": 30}
        body = made_of_triangles(recipe_of(done(plate(), kind="add-follower", piece="p1", follower=follower), "p1")).body
        self.assertAlmostEqual(float(body.mesh.points[:, 2].max()), 2.0, delta=1e-6)

    def test_in_the_air_it_is_refused(self) -> None:
        follower = {"kind": "sprue", "point": [90, 0, 2], "along": [0, 0, 1]}
        (note,) = made_of_triangles(recipe_of(done(plate(), kind="add-follower", piece="p1", follower=follower), "p1")).notes
        self.assertRegex(note.words, "no metal below the sprue")


class Bills(unittest.TestCase):
    def test_stones_that_are_alike_are_one_line(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0]])
        design = done(design, kind="lay-stones", host="p1", cut=ROUND, points=[[0, 12, 0], [0, -12, 0]])
        design = done(
            design,
            kind="lay-stones",
            host="p1",
            cut={"kind": "oval", "width": 2, "length": 3},
            material="ruby",
            points=[[-12, 0, 0]],
        )
        bill = bill_of(design, {"p1": 1000.0}, {"p1": 16.0})
        self.assertEqual([(line.cut, line.count) for line in bill.stones], [("Round brilliant", 3), ("Oval brilliant", 1)])
        self.assertAlmostEqual(bill.carats, sum(line.each * line.count for line in bill.stones))
        rows = list(csv.reader(io.StringIO(bill_csv(bill, "Trial, one", 7))))
        self.assertEqual(rows[0], ["bill of", "Trial, one", "revision", "7"])
        kinds = [row[0] for row in rows]
        self.assertEqual((kinds.count("stone"), kinds.count("body"), kinds.count("weight")), (2, 1, len(METALS) + 1))
        silver = next(row for row in rows if "925" in row[1])
        self.assertAlmostEqual(float(silver[5]), 10.37, delta=0.01)

    def test_links_findings_and_what_is_lacking(self) -> None:
        design = done(Design(), kind="add-curve", shape="circle", diameter=60)
        design = done(design, kind="lay-chain", curve="p1")
        asset = "a" * 64
        parts = (
            Component("c1", "Clasp", asset, 12, (4, 3, 2)), Component("c2", "Clasp", asset, 12, (4, 3, 2)),
            Component("c3", "Scan", asset, 12, (4, 3, 2), scan=True),
            Component("c4", "Neck", asset, 12, (4, 3, 2), stand=True),
            Component("c5", "Box", asset, 12, (4, 3, 2), visible=False),
        )  # fmt: skip
        bill = bill_of(replace(design, references=parts), {"p3": 640.0}, {}, ("Lid is not weighed. It is open.",))
        (chain,) = bill.metal
        form = design.piece("p3").form
        assert isinstance(form, Repeated)
        self.assertEqual(chain.count, form.count)
        self.assertEqual([(one.name, one.count) for one in bill.findings], [("Clasp", 2)])
        rows = list(csv.reader(io.StringIO(bill_csv(bill, "Trial", 1))))
        body = next(row for row in rows if row[0] == "body")
        self.assertEqual((body[3], body[5]), (str(form.count), "640.000"))
        self.assertAlmostEqual(float(body[4]) * form.count, 640, delta=0.05)
        self.assertIn(["finding", "Clasp", "", "2", "", "", ""], rows)
        self.assertIn(["note", "Lid is not weighed. It is open.", "", "", "", "", ""], rows)

    def test_hidden_pieces_are_not_billed(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0]])
        design = done(design, kind="show-piece", piece="p2", visible=False)
        self.assertEqual(bill_of(design, {}, {}).stones, ())


class Shrinkage(unittest.TestCase):
    def test_files_are_larger_by_so_much(self) -> None:
        mesh = Triangles(np.array([[1.0, 2, 3], [4, 5, 6], [7, 8, 10]]), np.array([[0, 1, 2]]), 0.01, 1.0)
        np.testing.assert_allclose(grown_by(mesh, 2.5).points, mesh.points * 1.025)
        self.assertIs(grown_by(mesh, 0.0), mesh)
