"""Followers on both routes: the same recipe of triangles and in the kernel, against formulas where there are some."""

from __future__ import annotations

import tempfile
import unittest
from dataclasses import replace
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from tests.kernel import made_in_kernel
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.errors import BadNumberError, CoreError, KernelError, OpenCageError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.solid.exact import Ball, Block, Cylinder
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.followers import (
    KINDS,
    Combine,
    CutEdge,
    Fillet,
    Follower,
    Hollow,
    MirrorBody,
    PieceBody,
    RepeatAlong,
    RepeatRound,
    ScaleToSize,
    Thickened,
    Trim,
    Vent,
)
from zinc_otter.core.solid.kernel.route import KernelMade
from zinc_otter.core.solid.kernel.shape import triangulated
from zinc_otter.core.solid.mesh.route import Made, made_of_triangles, triangles_of
from zinc_otter.core.solid.patches import volume_and_area
from zinc_otter.core.solid.recipe import Recipe


def hard_block(size: tuple[float, float, float] = (20.0, 16.0, 12.0)) -> Cage:
    """A box whose edges are all hard, so that its surface is the box itself."""
    cage = box(size, (1, 1, 1))
    return cage.with_sharpness(
        edges=np.full(cage.topology.edge_count, 10.0), vertices=np.full(cage.topology.vertex_count, 10.0)
    )


class RouteCase(unittest.TestCase):
    def both(
        self, cage: Cage, *followers: Follower, delta: float = 0.01, **others: Recipe
    ) -> tuple[Made, KernelMade]:
        recipe = Recipe("Trial", cage, followers, others)
        by_mesh = made_of_triangles(recipe)
        made = made_in_kernel(recipe, by_mesh)
        self.assertEqual({note.status for note in made.notes}, {"done"}, made.notes)
        self.assertAlmostEqual(made.volume / by_mesh.body.volume, 1, delta=delta)
        return by_mesh, made


class Formulas(RouteCase):
    """On a box with hard edges each step's volume is known."""

    def test_union_and_difference_with_a_cylinder(self) -> None:
        block = hard_block()
        bore = Cylinder((0, 0, -20), (0, 0, 1), 3, 40)
        _, made = self.both(block, Combine("f1", way="subtract", body=bore))
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 - np.pi * 9 * 12, delta=0.05)
        _, made = self.both(block, Combine("f1", body=replace(bore, point=(0, 0, 0))))
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 + np.pi * 9 * 34, delta=0.05)
        _, made = self.both(block, Combine("f1", way="intersect", body=bore))
        self.assertAlmostEqual(made.volume, np.pi * 9 * 12, delta=0.05)

    def test_trim_cuts_off_what_the_normal_points_to(self) -> None:
        _, made = self.both(hard_block(), Trim("f1", point=(99, 99, 2), normal=(0, 0, 1)))
        self.assertAlmostEqual(made.volume, 20 * 16 * 8, delta=0.05)
        slanted = Trim("f1", point=(0, 0, 0), normal=(1, 0, 1))
        by_mesh, made = self.both(hard_block(), slanted)
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 / 2, delta=0.05)
        mesh = by_mesh.body.mesh
        cut = mesh.triangles[mesh.made_by == mesh.names.index("f1")]
        np.testing.assert_allclose(mesh.points[cut].sum(axis=2) - mesh.points[cut][..., 1], 0, atol=1e-9)

    def test_hollow_leaves_the_wall(self) -> None:
        _, made = self.both(hard_block(), Hollow("f1", wall=2))
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 - 16 * 12 * 8, delta=0.5)
        opened = Hollow("f1", wall=2, opening=((0, 0, 0), (0, 0, 1)))
        _, made = self.both(hard_block(), opened)
        self.assertAlmostEqual(made.volume, (20 * 16 - 16 * 12) * 4 + 20 * 16 * 2, delta=0.5)
        vented = Hollow("f1", wall=2, vents=(Vent((0, 0, 6), (0, 0, 1), 1.5),))
        _, made = self.both(hard_block(), vented)
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 - 16 * 12 * 8 - np.pi * 2.25 * 2, delta=0.5)

    def test_a_hollow_follows_what_was_joined_and_cut_before(self) -> None:
        # A boss on the block: within, a boss 2 mm thinner and lower; where the two meet, shifted parts meet too.
        boss = Combine("f1", body=Cylinder((0, 0, 0), (0, 0, 1), 5, 16))
        _, made = self.both(hard_block(), boss, Hollow("f2", wall=2))
        solid = 20 * 16 * 12 + np.pi * 25 * 10
        self.assertAlmostEqual(made.volume, solid - 16 * 12 * 8 - np.pi * 9 * 10, delta=0.5)
        # A bore keeps a wall of its own around it.
        bore = Combine("f1", way="subtract", body=Cylinder((0, 0, -20), (0, 0, 1), 3, 40))
        _, made = self.both(hard_block(), bore, Hollow("f2", wall=2))
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 - np.pi * 9 * 12 - (16 * 12 - np.pi * 25) * 8, delta=0.5)

    def test_rounds_and_chamfers_by_name(self) -> None:
        boss = Combine("f1", body=Cylinder((0, 0, 0), (0, 0, 1), 4, 16))
        area = 1 - np.pi / 4
        centroid = (10 - 3 * np.pi) / (3 * (4 - np.pi))
        plain = 20 * 16 * 12 + np.pi * 16 * 10
        _, made = self.both(hard_block(), boss, Fillet("f2", between=("f1", "piece"), radius=1))
        self.assertAlmostEqual(made.volume - plain, area * 2 * np.pi * (4 + centroid), delta=0.02)
        _, made = self.both(hard_block(), boss, CutEdge("f2", between=("f1", "piece"), distance=1))
        self.assertAlmostEqual(made.volume - plain, 0.5 * 2 * np.pi * (4 + 1 / 3), delta=0.02)
        _, made = self.both(hard_block(), boss, Fillet("f2", between=("f1", "f1"), radius=1))
        self.assertAlmostEqual(plain - made.volume, area * 2 * np.pi * (4 - centroid), delta=0.02)

    def test_one_edge_alone_by_a_point_near_it(self) -> None:
        block, quarter = 20 * 16 * 12, 1 - np.pi / 4
        for near, length in (((10.0, 8.0, 1.0), 12), ((0.0, -8.5, -6.0), 20)):
            _, made = self.both(hard_block(), Fillet("f1", near=near, radius=1.5))
            self.assertAlmostEqual(block - made.volume, quarter * 1.5**2 * length, delta=0.01)
            by_mesh, made = self.both(hard_block(), CutEdge("f1", near=near, distance=1.5))
            self.assertAlmostEqual(block - made.volume, 1.5**2 / 2 * length, delta=0.01)
            self.assertAlmostEqual(block - by_mesh.body.volume, 1.5**2 / 2 * length, delta=0.3)
        # All round a pin where it comes out above, and not below.
        pin = Combine("f1", body=Cylinder((0, 0, -10), (0, 0, 1), 4, 20))
        _, made = self.both(hard_block(), pin, Fillet("f2", between=("f1", "piece"), near=(0, 0, 9), radius=2))
        centre = 4 + 2 * (5 / 6 - np.pi / 4) / quarter
        pinned = block + np.pi * 16 * 8
        self.assertAlmostEqual(made.volume - pinned, 2 * np.pi * centre * quarter * 4, delta=0.02)
        # A hollow follows it.
        _, made = self.both(hard_block(), Fillet("f1", near=(10.0, 0.0, 6.0), radius=3), Hollow("h", wall=1))
        self.assertAlmostEqual(made.volume, block - quarter * 9 * 16 - (18 * 14 * 10 - quarter * 4 * 14), delta=0.1)

    def test_a_hollow_under_a_round_keeps_its_wall_in_the_corner(self) -> None:
        boss = Combine("f1", body=Cylinder((0, 0, 0), (0, 0, 1), 5, 16))
        fillet = Fillet("f2", between=("f1", "piece"), radius=1)
        _, made = self.both(hard_block((30, 30, 12)), boss, fillet, Hollow("f3", wall=2))
        ring = self._ring(1, 5) - self._ring(3, 3)
        solid = 30 * 30 * 12 + np.pi * 25 * 10 - 26 * 26 * 8 - np.pi * 9 * 10
        self.assertAlmostEqual(made.volume, solid + ring, delta=0.6)

    def _ring(self, radius: float, inner: float) -> float:
        centroid = radius * (10 - 3 * np.pi) / (3 * (4 - np.pi))
        return float((1 - np.pi / 4) * radius**2 * 2 * np.pi * (inner + centroid))

    def test_copies(self) -> None:
        away = hard_block().with_positions(hard_block().positions + [30, 0, 0])
        one = 20 * 16 * 12
        for follower, count in (
            (MirrorBody("f1"), 2),
            (RepeatRound("f1", count=5, phase=0.5), 5),
            (RepeatRound("f1", count=2, angle=90), 2),
            (RepeatAlong("f1", along=(0, 0, 1), count=3, spacing=15), 3),
        ):
            _, made = self.both(away, follower)
            self.assertAlmostEqual(made.volume, count * one, delta=0.1, msg=str(follower))
        # Where copies overlap they are one: three steps of 10 mm of a block 20 mm long.
        _, made = self.both(hard_block(), RepeatAlong("f1", along=(1, 0, 0), count=3, spacing=10))
        self.assertAlmostEqual(made.volume, 40 * 16 * 12, delta=0.1)

    def test_half_a_step_lies_between(self) -> None:
        ring = RepeatRound(count=16, phase=0.5)
        turned = ring.motions()[0][:3, :3] @ [1, 0, 0]
        # 16 repeats leave 22.5 degrees each; half a step is 11.25.
        self.assertAlmostEqual(float(np.degrees(np.arctan2(turned[1], turned[0]))), 11.25)

    def test_scaled_to_a_size_all_measures_follow(self) -> None:
        for measure, factor in (("longest", 2), ("z", 40 / 12), ("y", 2.5)):
            follower = ScaleToSize("f1", measure=measure, length=40)  # type: ignore[arg-type]
            _, made = self.both(hard_block(), follower)
            self.assertAlmostEqual(made.volume / (20 * 16 * 12 * factor**3), 1, delta=1e-5)
        ends = ScaleToSize("f1", measure="distance", length=30, ends=((0, 0, -6), (0, 0, 6)))
        _, made = self.both(hard_block(), ends, Hollow("f2", wall=2))
        self.assertAlmostEqual(made.volume, 2.5**3 * 20 * 16 * 12 - 46 * 36 * 26, delta=5)

    def test_another_piece_with_followers_of_its_own(self) -> None:
        other = Recipe("Other", hard_block((4, 4, 40)), (Trim("f9", point=(0, 0, 15), normal=(0, 0, 1)),))
        _, made = self.both(hard_block(), Combine("f1", body=PieceBody("p2")), p2=other)
        self.assertAlmostEqual(made.volume, 20 * 16 * 12 + 16 * (14 + 9), delta=0.1)


class Forms(RouteCase):
    def test_a_smooth_cage_through_all_of_it_and_as_step(self) -> None:
        cage = cages.knob()
        low, high = cage.bounds
        middle = (low + high) / 2
        size = float((high - low).max())
        steps: tuple[Follower, ...] = (
            Combine("f1", body=Cylinder((middle[0], middle[1], middle[2]), (0, 0, 1), 0.15 * size, 1.2 * size)),
            Fillet("f2", between=("f1", "piece"), radius=0.02 * size),
            Hollow("f3", wall=0.03 * size),
            Trim("f4", point=tuple(middle), normal=(0, 0, -1)),  # type: ignore[arg-type]
        )
        # On so rough a form the shifted cage keeps the wall to a few hundredths of it.
        _, made = self.both(cage, *steps, delta=0.04)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "a.step"
            write_step(made.body.shape, path, "Knob", (0.8, 0.4, 0.2))
            facts = facts_of(read_step(path))
            self.assertIn("COLOUR_RGB('',0.8", path.read_text("utf-8"))
        self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))
        self.assertAlmostEqual(facts.volume / made.volume, 1, delta=1e-6)
        self.assertEqual(set(made.body.names), {"piece", "f1", "f2", "f3", "f4"})

    def test_without_followers_the_kernel_gives_the_patches_volume(self) -> None:
        recipe = Recipe("Knob", cages.knob())
        made = made_in_kernel(recipe, made_of_triangles(recipe))
        self.assertAlmostEqual(made.volume / volume_and_area(fit_patches(cages.knob()))[0], 1, delta=1e-5)

    def test_a_sheet_is_copied_and_thickened_before_it_is_a_solid(self) -> None:
        sheet = plane((30, 20), (3, 2))
        steps = (RepeatAlong("f1", along=(0, 0, 1), count=2, spacing=9), Thickened("f2", distance=2))
        recipe = Recipe("Sheet", sheet, steps)
        made = made_of_triangles(recipe)
        self.assertAlmostEqual(made.body.volume / (2 * 30 * 20 * 2), 1, delta=0.06)
        with self.assertRaises(OpenCageError):
            made_of_triangles(Recipe("Sheet", sheet, (Trim("f1"),)))

    def test_half_a_form_is_whole_with_its_mirror_image(self) -> None:
        whole = box((20.0, 16.0, 12.0), (2, 2, 2))
        quads = whole.topology.face_verts.reshape(-1, 4)
        left = np.flatnonzero(whole.positions[quads, 0].mean(axis=1) < 0)
        half = delete_elements(whole, Selection.of("face", left)).cage
        expected = made_of_triangles(Recipe("Trial", whole)).body.volume
        _, made = self.both(half, MirrorBody("f1"), delta=0.01)
        self.assertAlmostEqual(made.volume / expected, 1, delta=2e-3)

    def test_what_is_to_be_printed_keeps_the_tolerance(self) -> None:
        middle = tuple(np.mean(cages.knob().bounds, axis=0))
        trim = Trim("f1", point=middle)  # type: ignore[arg-type]
        recipe = Recipe("Ball", cages.knob(), (trim,))
        (coarse, _), (fine, _) = triangles_of(recipe, 0.5), triangles_of(recipe, 0.05)
        self.assertLess(fine.chord, 0.05)
        self.assertGreater(len(fine.triangles), 2 * len(coarse.triangles))


class Waiting(unittest.TestCase):
    def notes(self, *followers: Follower) -> list[tuple[str, str]]:
        made = made_of_triangles(Recipe("Trial", hard_block(), followers))
        return [(note.status, note.words) for note in made.notes]

    def test_a_fillet_waits_for_edges_that_are_not_there(self) -> None:
        apart = Combine("f1", body=Ball((99, 0, 0), 3))
        _, (status, words) = self.notes(apart, Fillet("f2", "Seam", between=("f1", "piece")))
        self.assertEqual(status, "waits")
        self.assertIn("Seam waits", words)

    def test_a_piece_that_is_gone_is_waited_for(self) -> None:
        ((status, words),) = self.notes(Combine("f1", body=PieceBody("p7")))
        self.assertEqual((status, "gone" in words), ("waits", True))

    def test_what_cannot_be_done_is_passed_over_and_says_why(self) -> None:
        first, second = self.notes(Hollow("f1", wall=7), Trim("f2", point=(0, 0, 0)))
        self.assertEqual((first[0], second[0]), ("failed", "done"))
        self.assertIn("7 mm", first[1])

    def test_switched_off_it_does_nothing(self) -> None:
        made = made_of_triangles(Recipe("Trial", hard_block(), (Trim("f1", on=False),)))
        self.assertAlmostEqual(made.body.volume, 20 * 16 * 12, places=3)
        self.assertEqual(made.notes[0].status, "off")

    def test_the_digest_follows_what_counts_and_not_names(self) -> None:
        def digest(*followers: Follower) -> str:
            return Recipe("Trial", hard_block(), followers).digest

        first = digest(Hollow("f1", wall=1))
        self.assertEqual(digest(Hollow("f1", "Shell", wall=1)), first)
        self.assertEqual(digest(Hollow("f1", wall=1), Trim("f2", on=False)), first)
        self.assertNotEqual(digest(Hollow("f1", wall=1.1)), first)
        self.assertNotEqual(digest(Hollow("f2", wall=1)), first)

    def test_a_second_hollow_is_refused_by_the_kernel_route(self) -> None:
        recipe = Recipe("Trial", hard_block(), (Hollow("f1", wall=1), Hollow("f2", wall=0.4)))
        with self.assertRaisesRegex(CoreError, "hollowed once"):
            made_in_kernel(recipe, made_of_triangles(recipe))

    def test_a_form_that_runs_through_itself_is_told_before_the_kernel_is_asked(self) -> None:
        cage = box((20, 20, 20), (2, 2, 2))
        moved = cage.positions.copy()
        moved[moved[:, 2] > 9] -= [0, 0, 26]
        recipe = Recipe("Trial", cage.with_positions(moved), ())
        with self.assertRaisesRegex(CoreError, "through itself|inside out"):
            made_in_kernel(recipe, made_of_triangles(recipe))

    def test_numbers_that_make_no_sense_are_refused(self) -> None:
        for make in (
            lambda: Hollow(wall=0),
            lambda: Fillet(radius=-1),
            lambda: Fillet(end_radius=float("nan")),
            lambda: RepeatRound(count=0),
            lambda: RepeatAlong(spacing=0),
            lambda: Trim(normal=(0, 0, 0)),
            lambda: Trim(point=(float("inf"), 0, 0)),
            lambda: ScaleToSize(measure="distance"),
            lambda: Combine(body=Block(size=(1, 2, 0))),
        ):
            with self.assertRaises(BadNumberError):
                make()

    def test_a_kernel_result_of_another_volume_is_not_believed(self) -> None:
        recipe = Recipe("Trial", hard_block(), (Trim("f1", point=(0, 0, 2)),))
        made = made_of_triangles(recipe)
        lying = replace(made, done={"f1": replace(made.done["f1"], after=0.9 * made.done["f1"].after)})
        with self.assertRaisesRegex(KernelError, "not believed"):
            made_in_kernel(recipe, lying)

    def test_every_kind_has_a_name_and_is_told_apart(self) -> None:
        kinds = {kind().kind for kind in KINDS if kind is not ScaleToSize} | {"scale-to-size"}  # type: ignore[attr-defined]
        self.assertEqual(len(kinds), len(KINDS))
        self.assertTrue(all(kind().called for kind in KINDS))


class Shown(unittest.TestCase):
    def test_triangles_of_the_kernels_body_are_closed_in_sum(self) -> None:
        recipe = Recipe("Trial", hard_block(), (Hollow("f1", wall=2),))
        made = made_in_kernel(recipe, made_of_triangles(recipe))
        shown = triangulated(made.body, 0.1)
        self.assertAlmostEqual(shown.moments.volume, 20 * 16 * 12 - 16 * 12 * 8, delta=0.1)
        self.assertAlmostEqual(shown.moments.area, 2 * (20 * 16 + 20 * 12 + 16 * 12 + 16 * 12 + 16 * 8 + 12 * 8), delta=0.1)
        np.testing.assert_allclose(shown.moments.centre, 0, atol=1e-6)
