"""Slide, straighten, space evenly, relax."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.refine.shapes import at_height, everything, furthest, lengthwise, tube
from tests.sample_cages import jittered
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.edits.relax import relax
from zinc_otter.core.cage.edits.slide import slide
from zinc_otter.core.cage.edits.space_evenly import space_evenly
from zinc_otter.core.cage.edits.straighten import straighten
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.holding import relax_holding
from zinc_otter.core.primitives import box, plane


class Slide(unittest.TestCase):
    def setUp(self) -> None:
        self.cage = tube(8)
        self.loop = Selection.of("edge", at_height(self.cage, 0))
        self.verts = np.unique(self.cage.topology.edge_verts[self.loop.ids])

    def test_by_a_share_and_by_mm(self) -> None:
        # Loops lie 10 mm apart.
        for amount, in_mm, height in ((0.5, False, 5), (-0.5, False, 5), (3.0, True, 3), (-3.0, True, 3)):
            moved = slide(self.cage, self.loop, amount, in_mm=in_mm).cage.positions[self.verts]
            np.testing.assert_allclose(np.abs(moved[:, 2]), height)
            self.assertEqual(len(np.unique(np.sign(moved[:, 2]))), 1)
        one, other = (slide(self.cage, self.loop, a).cage.positions[self.verts, 2] for a in (0.5, -0.5))
        np.testing.assert_allclose(one, -other)

    def test_it_stays_on_the_cage(self) -> None:
        cage = jittered(self.cage, 0.6)
        moved = slide(cage, self.loop, 0.3)
        t = cage.topology
        for v in self.verts:
            neighbours = np.setdiff1d(t.edge_verts[(t.edge_verts == v).any(axis=1)].ravel(), [v])
            away = moved.cage.positions[v] - cage.positions[v]
            ways = cage.positions[neighbours] - cage.positions[v]
            self.assertLess(np.linalg.norm(0.3 * ways - away, axis=1).min(), 1e-9)
        still = np.setdiff1d(np.arange(t.vertex_count), self.verts)
        np.testing.assert_array_equal(moved.cage.positions[still], cage.positions[still])

    def test_vertices_along_the_edge_that_goes_that_way(self) -> None:
        v = int(self.verts[0])
        moved = slide(self.cage, Selection.of("vertex", [v]), 2.0, in_mm=True, towards=(0.1, 0.2, 1.0))
        np.testing.assert_allclose(moved.cage.positions[v] - self.cage.positions[v], (0, 0, 2), atol=1e-9)

    def test_two_loops_side_by_side_slide_the_same_way(self) -> None:
        two = Selection.of("edge", np.concatenate([at_height(self.cage, 0), at_height(self.cage, 10)]))
        moved = slide(self.cage, two, 0.4).cage.positions - self.cage.positions
        changed = moved[np.abs(moved[:, 2]) > 1e-9]
        self.assertEqual(len(changed), 16)
        self.assertEqual(len(np.unique(np.sign(changed[:, 2]))), 1)

    def test_a_chain_that_turns_within_a_face_goes_across_it(self) -> None:
        sheet = plane((40, 40), (4, 4))
        t = sheet.topology

        def vertex(x: float, y: float) -> int:
            return int(np.flatnonzero(np.isclose(sheet.positions, [x, y, 0]).all(axis=1))[0])

        # From (10, 0) by (0, 0) to (0, 10): inside the turn lies the face about (5, 5).
        turn = vertex(0, 0)
        ways = [{vertex(10, 0), turn}, {turn, vertex(0, 10)}]
        edges = [e for e in range(t.edge_count) if set(t.edge_verts[e].tolist()) in ways]
        self.assertEqual(len(edges), 2)
        ends = [slide(sheet, Selection.of("edge", edges), a).cage.positions[turn] for a in (0.5, -0.5)]
        inside, outside = sorted(ends, key=lambda p: -p[0])
        np.testing.assert_allclose(inside, (5, 5, 0), atol=1e-9)
        # Outside it goes half of the way to between its two other neighbours.
        np.testing.assert_allclose(outside, (-2.5, -2.5, 0), atol=1e-9)

    def test_refusals(self) -> None:
        with self.assertRaises(BadSelectionError) as caught:
            slide(self.cage, self.loop, 15.0, in_mm=True)
        self.assertIn("only 10 mm", str(caught.exception))
        rim = Selection.of("edge", at_height(self.cage, 30))
        # One way lies the form, the other way nothing.
        ways = []
        for amount in (0.5, -0.5):
            try:
                ways.append(slide(self.cage, rim, amount).cage.positions[:, 2].max())
            except BadSelectionError as error:
                ways.append(str(error))
        self.assertIn("There is no face on that side to slide along.", ways)
        self.assertEqual(sum(isinstance(way, str) for way in ways), 1)
        self.assertRaises(BadNumberError, slide, self.cage, self.loop, 1.5)
        self.assertRaises(BadNumberError, slide, self.cage, self.loop, float("nan"))


class Straighten(unittest.TestCase):
    def test_a_loop_comes_into_one_plane_along_the_cage(self) -> None:
        cage = jittered(tube(12), 0.8)
        loop = Selection.of("edge", at_height(tube(12), 0))
        done = straighten(cage, loop)
        verts = np.unique(cage.topology.edge_verts[loop.ids])
        spread = np.linalg.svd(done.cage.positions[verts] - done.cage.positions[verts].mean(axis=0))[1]
        self.assertLess(spread[2], 1e-9)
        # Each vertex lies on one of the edges that it had.
        t = cage.topology
        for v in verts:
            ends = np.setdiff1d(t.edge_verts[(t.edge_verts == v).any(axis=1)].ravel(), verts)
            here, now = cage.positions[v], done.cage.positions[v]
            ways = cage.positions[ends] - here
            along = [now - here - (np.dot(now - here, w) / np.dot(w, w)) * w for w in ways]
            self.assertLess(min(np.linalg.norm(off) for off in along), 1e-9)

    def test_the_ends_of_a_chain_stay(self) -> None:
        cage = jittered(plane((60, 60), (6, 6)), 1.0)
        flat = plane((60, 60), (6, 6)).positions
        t = cage.topology
        row = np.flatnonzero((np.abs(flat[t.edge_verts][:, :, 1]) < 1e-9).all(axis=1))
        done = straighten(cage, Selection.of("edge", row))
        chain = picked_chains(cage, Selection.of("edge", row))[0]
        np.testing.assert_array_equal(done.cage.positions[chain.verts[[0, -1]]], cage.positions[chain.verts[[0, -1]]])
        p = done.cage.positions[chain.verts]
        # Seen along the form's normal the chain is a straight line.
        across = np.cross(p[-1] - p[0], [0, 0, 1.0])
        before = np.abs((cage.positions[chain.verts] - p[0]) @ across).max()
        self.assertLess(np.abs((p - p[0]) @ across).max(), 0.05 * before)


class SpaceEvenly(unittest.TestCase):
    def test_distances_along_the_curve_become_even(self) -> None:
        cage = jittered(tube(12), 1.0)
        loop = Selection.of("edge", at_height(tube(12), 0))
        chain = picked_chains(cage, loop)[0]
        done = space_evenly(cage, loop)
        before, after = chain.lengths(cage.positions), chain.lengths(done.cage.positions)
        self.assertLess(np.ptp(after), 0.2 * np.ptp(before))
        self.assertEqual(space_evenly(cage, loop, share=0.0).cage.digest, cage.digest)

    def test_on_a_straight_line_to_the_last_digit_and_the_ends_stay(self) -> None:
        sheet = plane((60, 60), (6, 6))
        t = sheet.topology
        row = np.flatnonzero((np.abs(sheet.positions[t.edge_verts][:, :, 1]) < 1e-9).all(axis=1))
        chain = picked_chains(sheet, Selection.of("edge", row))[0]
        p = sheet.positions.copy()
        p[chain.verts[1:-1], 0] += np.array([3.0, -2, 4, 1, -3])
        done = space_evenly(sheet.with_positions(p), Selection.of("edge", row))
        np.testing.assert_allclose(done.cage.positions, sheet.positions, atol=1e-9)

    def test_refusals(self) -> None:
        self.assertRaises(BadNumberError, space_evenly, tube(8), Selection.of("edge", [0]), share=2.0)


class Relax(unittest.TestCase):
    def test_edges_even_out_and_the_border_keeps_its_line(self) -> None:
        sheet = plane((60, 60), (6, 6))
        cage = sheet.with_positions(sheet.positions + np.random.default_rng(3).uniform(-2, 2, (49, 3)) * [1, 1, 0])
        border = np.flatnonzero(sheet.topology.on_border)
        straight = cage.positions.copy()
        straight[border] = sheet.positions[border]
        cage = cage.with_positions(straight)
        done = relax(cage, everything(cage), rounds=40)
        def spread(c) -> float:  # type: ignore[no-untyped-def]
            return float(np.std(np.linalg.norm(np.diff(c.positions[c.topology.edge_verts], axis=1)[:, 0], axis=1)))
        self.assertLess(spread(done.cage), 0.1 * spread(cage))
        np.testing.assert_allclose(np.abs(done.cage.positions[border][:, :2]).max(axis=1), 30, atol=1e-9)
        np.testing.assert_allclose(done.cage.positions[:, 2], 0, atol=1e-12)

    def test_the_form_holds(self) -> None:
        cage = jittered(tube(12, 8), 0.7)
        inner = Selection.of("vertex", np.flatnonzero(np.abs(cage.positions[:, 2]) < 20))
        free, held = relax(cage, inner, rounds=10), relax_holding(cage, inner, rounds=10)
        self.assertLess(furthest(held.cage, cage), 0.5 * furthest(free.cage, cage))
        self.assertAlmostEqual(furthest(held.cage, cage), held.deviation, delta=0.15 * held.deviation + 0.001)

    @settings(deadline=None, max_examples=15, derandomize=True)
    @given(st.integers(0, 1000))
    def test_creases_keep_their_line_and_corners_stay(self, seed: int) -> None:
        cage = box((30, 30, 30), (3, 3, 3))
        t = cage.topology
        ends = cage.positions[t.edge_verts]
        rim = np.flatnonzero(((np.abs(np.abs(ends) - 15) < 1e-9).all(axis=1)).sum(axis=1) == 2)
        sharp = np.zeros(t.edge_count)
        sharp[rim] = 10
        shaken = cage.positions + np.random.default_rng(seed).uniform(-1, 1, cage.positions.shape)
        on = (np.abs(np.abs(cage.positions) - 15) < 1e-9).sum(axis=1)
        shaken[on == 3] = cage.positions[on == 3]
        line = np.flatnonzero(on == 2)
        shaken[line] = cage.positions[line]
        start = cage.with_positions(shaken).with_sharpness(edges=sharp)
        done = relax(start, everything(start), rounds=5).cage.positions
        np.testing.assert_array_equal(done[on == 3], cage.positions[on == 3])
        np.testing.assert_allclose(np.sort(np.abs(done[line]), axis=1)[:, 1:], 15, atol=1e-9)

    def test_refusals(self) -> None:
        for rounds, strength in ((0, 0.5), (101, 0.5), (5, 1.5), (5, float("nan"))):
            self.assertRaises(BadNumberError, relax, tube(8), everything(tube(8)), rounds=rounds, strength=strength)


class Chains(unittest.TestCase):
    def test_lengthwise_edges_are_the_rungs(self) -> None:
        self.assertEqual(len(lengthwise(tube(8))), 48)


if __name__ == "__main__":
    unittest.main()
