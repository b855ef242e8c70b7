"""The kernel kept at arm's length: calls that hang, crash or lie; and the finder of radii."""

from __future__ import annotations

import os
import signal
import time
import unittest
from dataclasses import replace

import numpy as np

from tests.kernel import find_radius, made_in_kernel
from zinc_otter.core.cage import HARD, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.errors import BadNumberError, KernelError
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.exact import Block, Cylinder
from zinc_otter.core.solid.followers.combine import Combine
from zinc_otter.core.solid.followers.copies import MirrorBody
from zinc_otter.core.solid.followers.rounding import Fillet
from zinc_otter.core.solid.kernel.check import accepted, exact_volume
from zinc_otter.core.solid.kernel.finder import Budget
from zinc_otter.core.solid.kernel.operations import cut, fused, rounded, with_hollow
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    bend_at,
    edges_between,
    is_hollow_edge,
    one_name,
    sharp_edges,
)
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.kernel_guard import guarded


def block(size: tuple[float, float, float] = (40, 40, 10)) -> NamedShape:
    return one_name(Block((0, 0, 0), size).shape(), "piece")


def bossed() -> NamedShape:
    """A plate 10 mm thick with a boss of radius 5 that stands 4 mm over it."""
    return fused(block(), one_name(Cylinder((0, 0, 0), (0, 0, 1), 5, 9).shape(), "f1"))


class Guard(unittest.TestCase):
    def test_a_result_comes_back_with_its_names(self) -> None:
        body = guarded("Joining", 30, bossed)
        self.assertEqual(set(body.names), {"piece", "f1"})
        self.assertEqual(len(edges_between(body, ("f1", "piece"))), 1)
        self.assertAlmostEqual(exact_volume(body), 16000 + np.pi * 25 * 4, delta=0.1)

    def test_a_hang_is_stopped_in_time(self) -> None:
        begun = time.monotonic()
        with self.assertRaisesRegex(KernelError, "Waiting took longer than 0.3 s"):
            guarded("Waiting", 0.3, lambda: time.sleep(60))
        self.assertLess(time.monotonic() - begun, 10)

    def test_a_crash_costs_that_call_only(self) -> None:
        with self.assertRaisesRegex(KernelError, "give up"):
            guarded("Crashing", 30, lambda: os.kill(os.getpid(), signal.SIGSEGV))
        self.assertEqual(guarded("Going on", 30, lambda: 7), 7)

    def test_its_own_refusals_come_through_and_others_are_put_into_words(self) -> None:
        def refuse() -> None:
            raise BadNumberError("The radius is a length above 0.")

        with self.assertRaisesRegex(BadNumberError, "above 0"):
            guarded("Trying", 30, refuse)
        with self.assertRaisesRegex(KernelError, "Dividing failed in the solid kernel .*ZeroDivisionError"):
            guarded("Dividing", 30, lambda: 1 / 0)


class Check(unittest.TestCase):
    def test_a_result_is_accepted_when_its_volume_moved_as_it_should(self) -> None:
        body = bossed()
        before = exact_volume(body)
        done = rounded(body, edges_between(body, ("f1", "piece")), lambda p: np.full(len(p), 1.0), "f2")
        change = exact_volume(done) - before
        self.assertGreater(change, 0)
        self.assertAlmostEqual(accepted("Fillet", done, before, change * 1.1, change * 0.2), before + change, places=6)
        with self.assertRaisesRegex(KernelError, "Fillet: .*not believed"):
            accepted("Fillet", done, before, -change, change * 0.2)
        # A body returned as it was, done and valid, is no result either.
        with self.assertRaisesRegex(KernelError, "not believed"):
            accepted("Hollow", body, before, -5000.0, 100.0)

    def test_what_runs_out_of_the_body_is_no_hollow(self) -> None:
        inside, outside = block((20, 20, 5)), one_name(Block((90, 0, 0), (2, 2, 2)).shape(), "h")
        self.assertAlmostEqual(exact_volume(with_hollow(block(), inside)), 16000 - 2000, delta=0.1)
        with self.assertRaisesRegex(KernelError, "out of the body"):
            with_hollow(block(), outside)


class Edges(unittest.TestCase):
    def test_hollow_corners_and_ridges_are_told_apart(self) -> None:
        body = bossed()
        (seam,) = edges_between(body, ("f1", "piece"))
        self.assertTrue(is_hollow_edge(body, seam))
        self.assertAlmostEqual(bend_at(body, seam), 90, places=6)
        ridges = edges_between(body, ("piece", "piece"))
        self.assertEqual(len(ridges), 12)
        self.assertFalse(any(is_hollow_edge(body, edge) for edge in ridges))
        pocket = cut(block(), one_name(Block((0, 0, 5), (10, 10, 6)).shape(), "f1"))
        floor = edges_between(pocket, ("f1", "f1"))
        self.assertEqual(len(floor), 8)
        self.assertTrue(all(is_hollow_edge(pocket, edge) for edge in floor))
        self.assertEqual(len(sharp_edges(pocket)), 24)


def plate(*bosses: Combine) -> tuple[Recipe, NamedShape]:
    """The recipe of a plate of 40 by 40 by 10 mm with these on it, and what the kernel makes of it."""
    cage = box((40, 40, 10), (2, 2, 1))
    cage = set_crease(cage, Selection.of("edge", range(cage.topology.edge_count)), HARD).cage
    recipe = Recipe("Plate", cage, bosses)
    return recipe, made_in_kernel(recipe, made_of_triangles(recipe)).body


BOSS = Combine("f1", body=Cylinder((0, 0, 0), (0, 0, 1), 5, 9))


class Finder(unittest.TestCase):
    def test_the_largest_radius_at_a_boss_is_its_height(self) -> None:
        # A round of radius r needs r of the boss's side, which is 4 mm high: exactly known.
        recipe, body = plate(BOSS)
        found = find_radius(recipe, body, ("f1", "piece"), 10.0)
        self.assertLessEqual(found.radius, 4.0)
        self.assertGreaterEqual(found.radius, 4.0 * 0.97)
        self.assertEqual(found.ended, "found")
        (chain,) = found.chains
        self.assertAlmostEqual(chain.bend or 0, 4.0, places=6)
        self.assertIn("another edge", chain.reason)
        self.assertAlmostEqual(float(np.hypot(*(chain.breaks_at or (0, 0, 0))[:2])), 5, places=6)
        failed = [t.radius for t in found.tries if t.failure]
        self.assertTrue(all(radius > found.radius for radius in failed))
        # What it answers is taken when it is applied, and so is a little less.
        for radius in (found.radius, 0.97 * found.radius):
            asked = replace(recipe, followers=(BOSS, Fillet("f2", between=("f1", "piece"), radius=radius)))
            notes = made_in_kernel(asked, made_of_triangles(asked)).notes
            self.assertEqual([note.status for note in notes], ["done", "done"])

    def test_a_wish_that_holds_takes_one_try(self) -> None:
        found = find_radius(*plate(BOSS), ("f1", "piece"), 1.5)
        self.assertEqual((found.radius, len(found.tries)), (1.5, 1))
        self.assertIsNone(found.chains[0].breaks_at)

    def test_a_wish_far_beyond_the_form_finds_the_same(self) -> None:
        found = find_radius(*plate(BOSS), ("f1", "piece"), 400.0)
        self.assertGreaterEqual(found.radius, 4.0 * 0.97)
        self.assertLess(len(found.tries), 12)

    def test_each_chain_has_its_own(self) -> None:
        # Two bosses with a gap of 3 mm: alone each takes more than half of it, together they touch at 1.5 mm each.
        both = MirrorBody("f2", point=(6.5, 0, 0), normal=(1, 0, 0))
        recipe, body = plate(replace(BOSS, body=Cylinder((0, 0, 0), (0, 0, 1), 5, 9)), both)  # type: ignore[arg-type]
        found = find_radius(recipe, body, ("f1", "piece"), 2.6, Budget(20, 200))
        self.assertEqual(len(found.chains), 2)
        self.assertTrue(all(2.5 < chain.holds <= 2.6 for chain in found.chains), found.chains)
        self.assertLessEqual(found.radius, 1.5)
        self.assertGreaterEqual(found.radius, 1.5 * 0.96)

    def test_edges_that_are_not_there_are_said_not_to_be(self) -> None:
        with self.assertRaisesRegex(KernelError, "no such edges"):
            find_radius(*plate(), ("f1", "piece"), 1.0)

    def test_a_try_that_takes_too_long_counts_as_failed_and_triangles_are_offered(self) -> None:
        found = find_radius(*plate(BOSS), ("f1", "piece"), 2.0, Budget(1e-4, 6), clock=time.monotonic)
        self.assertEqual(found.radius, 0)
        self.assertTrue(all("took longer" in (t.failure or "") for t in found.tries))
        self.assertEqual(found.by_triangles, 2.0)

    def test_a_budget_of_time_ends_it_with_the_best_so_far(self) -> None:
        ticks = iter(np.arange(0, 1e4, 30.0))
        found = find_radius(*plate(BOSS), ("f1", "piece"), 10.0, Budget(20, 200), clock=lambda: float(next(ticks)))
        self.assertEqual(found.ended, "time")
        self.assertGreater(found.radius, 0)
        self.assertIn(found.radius, [t.radius for t in found.tries if t.failure is None])

    def test_a_call_that_asks_for_too_much_memory_is_refused_in_words(self) -> None:
        with self.assertRaisesRegex(KernelError, "Growing failed .*asked for more than 4 GB"):
            guarded("Growing", 30, lambda: np.zeros(10**11).nbytes)
