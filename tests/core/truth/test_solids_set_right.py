"""Solids: cavities, seams, corners of sheets, copies, flush faces, and bodies that are not what was asked for."""

from __future__ import annotations

import tempfile
import unittest
from dataclasses import replace
from pathlib import Path

import numpy as np

from tests.core.truth.test_crossings import shells
from tests.kernel import made_in_kernel
from tests.sample_cages import cornered, darted, knob, rimmed
from zinc_otter.core.cage import HARD, Cage, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.flip import flip
from zinc_otter.core.errors import InsideOutError, KernelError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.primitives.sized import (
    sized_capsule,
    sized_cone,
    sized_cylinder,
    sized_patched_sphere,
    sized_poled_sphere,
    sized_torus,
)
from zinc_otter.core.solid.brep import build_solid
from zinc_otter.core.solid.certificate import certify
from zinc_otter.core.solid.exact import Ball, Block, Cylinder
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.followers.combine import Combine, PieceBody
from zinc_otter.core.solid.followers.copies import RepeatAlong, RepeatRound
from zinc_otter.core.solid.followers.hollow import Hollow
from zinc_otter.core.solid.followers.rounding import Fillet
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.gate import judged
from zinc_otter.core.solid.kernel.check import crowded_edges
from zinc_otter.core.solid.kernel.route import KernelMade
from zinc_otter.core.solid.kernel.shape import solids_of
from zinc_otter.core.solid.mesh.route import Made, made_of_triangles
from zinc_otter.core.solid.patches import interpolated_patches, volume_and_area
from zinc_otter.core.solid.recipe import Recipe, as_solid
from zinc_otter.core.solid.seams import largest_seam
from zinc_otter.core.solid.tessellation import tessellate
from zinc_otter.core.solid.thicken import thicken


def hard(cage: Cage) -> Cage:
    return set_crease(cage, Selection.of("edge", range(cage.topology.edge_count)), HARD).cage


def both_routes(cage: Cage, *followers: object, others: dict[str, Recipe] | None = None) -> tuple[Made, KernelMade]:
    recipe = Recipe("Form", cage, tuple(followers), others or {})  # type: ignore[arg-type]
    made = made_of_triangles(recipe)
    return made, made_in_kernel(recipe, made)


def cube_in_cube(inner: float = 8.0, inwards: bool = True) -> Cage:
    whole = shells(box((20, 20, 20), (1, 1, 1)), box((inner, inner, inner), (1, 1, 1)))
    whole = hard(whole)
    first = np.flatnonzero(whole.topology.face_shell == 1)[:1]
    return flip(whole, Selection.of("face", first)).cage if inwards else whole


class Cavities(unittest.TestCase):
    def test_an_inner_shell_that_looks_inwards_is_a_cavity(self) -> None:
        by_mesh, made = both_routes(cube_in_cube())
        self.assertAlmostEqual(made.volume, 8000 - 512, delta=1e-3)
        self.assertAlmostEqual(by_mesh.body.volume, 8000 - 512, delta=1e-6)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "hollow.step"
            write_step(made.body.shape, path, "hollow")
            facts = facts_of(read_step(path))
        self.assertEqual((facts.solids, facts.valid, facts.closed), (1, True, True))
        self.assertAlmostEqual(facts.volume, 8000 - 512, delta=1e-3)
        certificate = certify(made.patches, True, 1)
        self.assertAlmostEqual(certificate.volume, 8000 - 512, delta=1e-6)

    def test_one_that_looks_the_same_way_is_refused_with_its_faces(self) -> None:
        with self.assertRaisesRegex(InsideOutError, "within another and looks the same way") as refused:
            as_solid(Recipe("Form", cube_in_cube(inwards=False)))
        self.assertEqual(refused.exception.place.faces, tuple(range(6, 12)))

    def test_a_form_inside_out_is_refused_and_turned_over_it_is_made(self) -> None:
        cage = hard(box((10, 10, 10), (1, 1, 1)))
        turned = flip(cage, Selection.of("face", [0])).cage
        with self.assertRaisesRegex(InsideOutError, "inside out") as refused:
            as_solid(Recipe("Form", turned))
        back = flip(turned, Selection.of("face", refused.exception.place.faces)).cage
        self.assertAlmostEqual(both_routes(back)[1].volume, 1000, delta=1e-3)

    def test_shells_side_by_side_that_touch_are_two_solids_and_it_is_said(self) -> None:
        block = box((10, 10, 10), (1, 1, 1))
        both = hard(shells(block, block.with_positions(block.positions * 0.5 + [7.5, 0, 0])))
        by_mesh, made = both_routes(both)
        self.assertAlmostEqual(made.volume, 1125, delta=1e-3)
        said = judged(by_mesh.body.mesh.points, by_mesh.body.mesh.triangles)
        self.assertEqual(said.faults, ())


class Seams(unittest.TestCase):
    def test_primitives_with_poles_stay_under_one_degree(self) -> None:
        for name, cage in {
            "poled sphere": sized_poled_sphere(40, (8, 6), "surface"),
            "cone": sized_cone((20, 0, 30), (8, 4), "both", 0.3, 0.0, 0.0, "surface"),
            "sphere": sized_patched_sphere(40, 2, "surface"),
            "cylinder": sized_cylinder((20, 30), (8, 4), "both", 0.3, 0.0, "surface"),
            "capsule": sized_capsule((20, 50), (2, 2), "surface"),
        }.items():
            self.assertLess(largest_seam(fit_patches(cage)).degrees, 1.0, name)

    def test_high_valences(self) -> None:
        for valence, most in ((6, 1.0), (8, 1.0), (12, 3.0)):
            cage = sized_poled_sphere(40, (valence, 2), "surface")
            before, after = interpolated_patches(cage), fit_patches(cage)
            self.assertLess(largest_seam(after).degrees, most)
            self.assertGreater(largest_seam(before).degrees, 1.0)
            self.assertAlmostEqual(volume_and_area(after)[0] / volume_and_area(before)[0], 1.0, delta=2e-5)
            solid = facts_of(build_solid(after), with_volume=False)
            self.assertTrue(solid.valid and solid.closed)

    def test_soft_creases_count_and_hard_ones_do_not(self) -> None:
        for cage in (rimmed(2.0), rimmed(3.5), darted(HARD), cornered(HARD, HARD), cornered(HARD), knob()):
            self.assertLess(largest_seam(fit_patches(cage)).degrees, 0.5)
        tight = largest_seam(fit_patches(rimmed(9.0)))
        self.assertGreater(tight.degrees, 45)
        self.assertEqual(tight.sharpness, 9.0)
        certificate = certify(fit_patches(rimmed(9.0)), True, 1)
        (told,) = [warning for warning in certificate.warnings if "Creases sharper than" in warning.words]
        self.assertEqual(len(told.place.points), 1)
        self.assertEqual(certify(fit_patches(rimmed(HARD)), True, 1).meant_sharp, (12, 0))


class Sheets(unittest.TestCase):
    def test_a_flat_sheet_is_a_plate(self) -> None:
        sheet = plane((40, 30), (4, 4))
        for side in ("in", "out", "both"):
            made = thicken(sheet, 2.0, side)  # type: ignore[arg-type]
            volume, area = volume_and_area(fit_patches(made.cage))
            self.assertAlmostEqual(volume, 2400, places=6)
            self.assertAlmostEqual(area, 2 * 1200 + 2 * 70 * 2, places=6)

    def test_rims_corners_and_seams_of_flat_and_curved_sheets(self) -> None:
        flat = plane((40, 30), (4, 4))
        points = flat.positions.copy()
        points[:, 2] = (points[:, 0] ** 2 - points[:, 1] ** 2) / 60
        for sheet in (flat, flat.with_positions(points)):
            for square in (True, False):
                made = thicken(sheet, 2.0, "both", square).cage
                self.assertLess(largest_seam(fit_patches(made)).degrees, 0.05)
                body = tessellate(made, 0.01)
                corner = sheet.positions[np.argmax(sheet.positions @ [1, 1, 0])]
                near = body.points[np.linalg.norm((body.points - corner)[:, :2], axis=1) < 3]
                reach = (near @ [0.6, 0.4, 0]).max()
                # Square rims keep the corner from wall to wall; round ones round it by less than a tenth.
                self.assertGreater(reach, corner @ [0.6, 0.4, 0] - (1e-6 if square and sheet is flat else 0.4))
                self.assertEqual(judged(body.points, body.triangles).faults, ())

    def test_the_follower_does_the_same(self) -> None:
        _, made = both_routes(plane((40, 30), (4, 4)), Thickened("t", distance=2.0, side="both"))
        self.assertAlmostEqual(made.volume, 2400, delta=1e-3)


class Bodies(unittest.TestCase):
    def test_bores_that_touch_are_refused_where_they_do(self) -> None:
        one, other = (Cylinder((x, 0, -20), (0, 0, 1), 5, 40) for x in (-5, 5))
        bores = [Combine("f1", way="subtract", body=one), Combine("f2", way="subtract", body=other)]
        with self.assertRaisesRegex(KernelError, "touch along a line") as refused:
            both_routes(hard(box((40, 40, 10), (2, 2, 1))), *bores)
        x, y, _ = refused.exception.place.points[0]
        self.assertLess(np.hypot(x, y), 1e-3)
        apart = replace(bores[1], body=Cylinder((5.5, 0, -20), (0, 0, 1), 5, 40))
        _, made = both_routes(hard(box((40, 40, 10), (2, 2, 1))), bores[0], apart)
        self.assertEqual(crowded_edges(made.body), [])
        self.assertAlmostEqual(made.volume, 16000 - 2 * 250 * np.pi, delta=0.01)

    def test_a_rib_that_is_flush_takes_a_fillet(self) -> None:
        rib = Combine("r", body=Block((0, 0, 10), (4, 20, 12)))
        for radius in (0.5, 2.0):
            fillet = Fillet("f", between=("piece", "r"), radius=radius)
            _, made = both_routes(hard(box((40, 20, 10), (2, 2, 1))), rib, fillet)
            wanted = 8000 + 4 * 20 * 11 + 2 * (1 - np.pi / 4) * radius**2 * 20
            self.assertAlmostEqual(made.volume, wanted, delta=0.01)

    def test_a_hollow_just_thinner_than_half_a_block(self) -> None:
        block = hard(box((20, 20, 20), (2, 2, 2)))
        self.assertAlmostEqual(both_routes(block, Hollow("h", wall=9.9))[1].volume, 8000 - 0.2**3, delta=1e-3)
        by_mesh, made = both_routes(block, Hollow("h", wall=11.0))
        (note,) = made.notes
        self.assertEqual(note.status, "failed")
        self.assertIn("No place lies deeper than 10 mm", note.words)
        np.testing.assert_allclose(note.place.points[0], (0, 0, 0), atol=1e-3)

    def test_copies_that_do_not_touch_stand_beside_one_another(self) -> None:
        ball = sized_patched_sphere(4, 2, "surface")
        one = both_routes(ball)[1].volume
        row = RepeatAlong("d", along=(0, 0, 1), count=3, spacing=9.0)
        _, made = both_routes(ball, RepeatRound("c", point=(40, 0, 0), count=8), row)
        self.assertAlmostEqual(made.volume / one, 24, delta=1e-4)
        self.assertEqual(len(solids_of(made.body.shape)), 24)
        # Faces are those of the ball, 24 times: nothing was joined.
        self.assertEqual(len(made.body.names), 24 * ball.topology.face_count)

    def test_flat_faces_are_planes_and_a_long_row_of_touching_blocks_is_one_body(self) -> None:
        block = hard(box((40, 30, 20), (2, 2, 2)))
        _, made = both_routes(block, RepeatAlong("f1", count=64, spacing=39.0))
        self.assertAlmostEqual(made.volume, (63 * 39 + 40) * 600, delta=1e-6)
        self.assertEqual(len(solids_of(made.body.shape)), 1)
        with tempfile.TemporaryDirectory() as folder:
            write_step(made.body.shape, Path(folder) / "row.step", "Row")
            text = (Path(folder) / "row.step").read_text("utf-8")
        self.assertIn("PLANE(", text)
        self.assertNotIn("B_SPLINE_SURFACE", text)

    def test_copies_that_touch_are_joined(self) -> None:
        block = hard(box((4, 4, 4), (1, 1, 1)))
        _, made = both_routes(block, RepeatAlong("c", along=(1, 0, 0), count=12, spacing=3.0))
        self.assertAlmostEqual(made.volume, (11 * 3 + 4) * 16, delta=1e-3)

    def test_what_is_missing_from_a_body_is_its_first_fault(self) -> None:
        block = hard(box((20, 20, 20), (2, 2, 2)))
        for follower, words in (
            (Hollow("f", wall=12.0), "No place lies deeper"),
            (Trim("f", point=(0, 0, -50)), "cuts all of the body off"),
            (Combine("f", way="intersect", body=Ball((90, 0, 0), 3)), "leaves nothing of the body"),
            (Combine("f", body=PieceBody("gone")), "piece is gone"),
        ):
            by_mesh, made = both_routes(block, follower)
            said = judged(by_mesh.body.mesh.points, by_mesh.body.mesh.triangles, made.notes)
            self.assertEqual(len(said.faults), 1)
            self.assertRegex(said.faults[0].words, f"^Incomplete. .*{words}")

    def test_what_reaches_nothing_is_told_and_is_no_fault(self) -> None:
        _, made = both_routes(hard(box((20, 20, 20), (2, 2, 2))), Combine("f", way="subtract", body=Ball((90, 0, 0), 3)))
        self.assertEqual([(n.status, "changes nothing" in n.words) for n in made.notes], [("done", True)])

    def test_a_fillet_too_small_for_the_triangles_is_vouched_for_by_the_kernel(self) -> None:
        pin = Combine("p", body=Cylinder((0, 0, 0), (0, 0, 1), 60, 90))
        by_mesh, made = both_routes(
            hard(box((300, 300, 100), (2, 2, 1))), pin, Fillet("f", between=("piece", "p"), radius=0.02)
        )
        self.assertTrue(by_mesh.notes[1].unchecked, by_mesh.notes)
        self.assertEqual([note.status for note in made.notes], ["done", "done"])
        self.assertIn("by the kernel alone", made.notes[1].words)
        plain = 9_000_000 + np.pi * 3600 * 40
        # The volume of a hollow round of radius r about a circle of radius R (Pappus).
        self.assertAlmostEqual(made.volume - plain, (1 - np.pi / 4) * 0.02**2 * 2 * np.pi * 60, delta=0.02)


class Cores(unittest.TestCase):
    def test_a_ring_in_the_kernel_is_the_torus_of_pappus(self) -> None:
        _, made = both_routes(sized_torus((18, 3), (24, 12), "surface"))
        self.assertAlmostEqual(made.volume, 2 * np.pi**2 * 9 * 1.5**2, delta=0.5)
