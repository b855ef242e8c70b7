"""Relief goes on when faces become others, and what of it is lost is said truly."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.relief.forms import ring, rough, sculpted, sheet
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.holding.loops import add_holding_loops
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.relief.carried_over import carried_over
from zinc_otter.core.surface import build_stencils, evaluate


def mesh(cage: Cage, level: int) -> tuple[Floats, MeshDistance]:
    stencils = build_stencils(cage, level)
    points = evaluate(stencils, cage).points
    quads = stencils.quads.astype(np.int64)
    return points, MeshDistance(points, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]]))


class CarriedOver(unittest.TestCase):
    def test_where_faces_stay_it_stays_to_the_last_digit(self) -> None:
        cage = sculpted(ring(), [[26, 0, 0], [24, 9, 2]], radius=4.0, amount=0.6)
        far = int(np.argmin(cage.positions[cage.topology.face_verts.reshape(-1, 4)].mean(axis=1)[:, 0]))
        done = extrude_faces(cage.plain, Selection.of("face", [far]), 5.0)
        carried = carried_over(cage, done.cage, done.rest)
        self.assertEqual(carried.share, 0.0)
        self.assertLess(carried.strays, 1e-4)
        before, after = mesh(cage, 4)[0], mesh(carried.cage, 4)[0]
        raised = before[np.linalg.norm(before - mesh(cage.plain, 4)[0], axis=1) > 1e-6]
        # The same points are there: not only the same surface.
        gaps = np.linalg.norm(raised[::37, None] - after[None], axis=2).min(axis=1)
        self.assertLess(gaps.max(), 1e-4)

    def test_held_through_a_loop_more(self) -> None:
        cage = sculpted(ring(), [[26, 0, 0], [24, 9, 2]], radius=5.0, amount=0.6)
        edge = int(np.argmin(np.linalg.norm(cage.positions[cage.topology.edge_verts].mean(axis=1) - [26, 4, 0], axis=1)))
        done = add_holding_loops(cage.plain, Selection.of("edge", [edge]))
        carried = carried_over(cage, done.cage, done.rest)
        self.assertLess(carried.share, 0.01)
        before, _ = mesh(cage, 4)
        _, after = mesh(carried.cage, 4)
        strays = np.abs(after.signed(before)[0])
        # What is said of the loss is what is measured by all points.
        self.assertLess(strays.max(), max(2 * carried.strays, 0.02))
        self.assertIn("carried over within", carried.words)

    def test_what_goes_with_its_faces_is_told(self) -> None:
        cage = sculpted(sheet(4), [[0, 0, 0]], radius=15.0)
        done = delete_elements(cage.plain, Selection.of("face", [5, 6, 9, 10]))
        carried = carried_over(cage, done.cage, done.rest)
        self.assertGreater(carried.share, 0.5)
        self.assertRegex(carried.words, r"\d+ % of it is gone with its faces")

    def test_a_second_level_is_told_at_the_finest(self) -> None:
        cage = rough(ring(), 2)
        done = extrude_faces(cage.plain, Selection.of("face", [0]), 3.0)
        relief = carried_over(cage, done.cage, done.rest).cage.relief
        assert relief is not None
        self.assertEqual(relief.depth, 2)
        self.assertIsNone(relief.detail(1))
        self.assertTrue(relief.detail(2).any())  # type: ignore[union-attr]
