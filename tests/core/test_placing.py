from __future__ import annotations

import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.edits.move import move, move_along_normal
from zinc_otter.core.cage.edits.size import size
from zinc_otter.core.cage.edits.turn import turn
from zinc_otter.core.cage.selection import vertices_of
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box


class Placing(unittest.TestCase):
    def setUp(self) -> None:
        self.cage = box((20, 16, 10), (2, 2, 1))
        self.top = Selection.of("face", cages.top_faces(self.cage))
        self.held = vertices_of(self.cage.topology, self.top)

    def test_move_moves_what_is_picked_and_nothing_else(self) -> None:
        done = move(self.cage, self.top, (1, -2, 3))
        shift = done.cage.positions - self.cage.positions
        np.testing.assert_allclose(shift[self.held], [[1, -2, 3]] * len(self.held))
        rest = np.setdiff1d(np.arange(len(shift)), self.held)
        np.testing.assert_array_equal(shift[rest], 0)
        self.assertEqual(done.selected, self.top)
        np.testing.assert_array_equal(done.old_to_new.faces, np.arange(self.cage.topology.face_count))

    def test_along_the_mean_normal(self) -> None:
        done = move_along_normal(self.cage, self.top, 2.5)
        np.testing.assert_allclose((done.cage.positions - self.cage.positions)[self.held], [[0, 0, 2.5]] * len(self.held))

    def test_a_quarter_turn_about_z_maps_x_to_y(self) -> None:
        done = turn(self.cage, self.top, (0, 0, 2), 90, pivot=(0, 0, 0))
        x, y, z = self.cage.positions[self.held].T
        np.testing.assert_allclose(done.cage.positions[self.held], np.column_stack([-y, x, z]), atol=1e-12)

    def test_turns_about_the_middle_by_default(self) -> None:
        done = turn(self.cage, self.top, (1, 0, 0), 37)
        middle = [0, 0, 5]
        np.testing.assert_allclose(done.cage.positions[self.held].mean(axis=0), middle, atol=1e-12)

    def test_four_quarter_turns_come_back(self) -> None:
        cage = self.cage
        for _ in range(4):
            cage = turn(cage, self.top, (0.3, -1, 2), 90).cage
        np.testing.assert_allclose(cage.positions, self.cage.positions, atol=1e-12)

    def test_size_multiplies_the_extent(self) -> None:
        done = size(self.cage, self.top, (2, 0.5, 1))
        extent = np.ptp(done.cage.positions[self.held], axis=0)
        np.testing.assert_allclose(extent, [40, 8, 0])

    def test_size_to_nothing_flattens(self) -> None:
        whole = Selection.of("vertex", range(self.cage.topology.vertex_count))
        done = size(self.cage, whole, (1, 1, 0))
        np.testing.assert_allclose(done.cage.positions[:, 2], 0)

    def test_numbers_that_make_no_sense(self) -> None:
        for wrong in (
            lambda: move(self.cage, self.top, (np.nan, 0, 0)),
            lambda: move_along_normal(self.cage, self.top, np.inf),
            lambda: turn(self.cage, self.top, (0, 0, 0), 10),
            lambda: turn(self.cage, self.top, (0, 0, 1), np.nan),
            lambda: size(self.cage, self.top, (1, -1, 1)),
            lambda: size(self.cage, self.top, (1, 1, 1), pivot=(0, np.inf, 0)),
            lambda: move(self.cage, self.top, (0, 0, 1e7)),
        ):
            with self.assertRaises(BadNumberError):
                wrong()
        with self.assertRaises(BadSelectionError):
            move(self.cage, Selection.of("face", []), (1, 0, 0))
