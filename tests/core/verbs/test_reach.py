"""Reach: weights along the cage and through space, profiles, limits; finger waves in two gestures."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import moving, placed, sizing, turning
from zinc_otter.core.cage.edits.push import push
from zinc_otter.core.cage.reach import PROFILES, Reach, profile
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.symmetry import plane_at, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import cut_and_assembled
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import box, cylinder, plane


def sheet() -> tuple[Cage, int]:
    """10 by 10 squares of 1 mm, and the vertex in its middle."""
    cage = plane((10, 10), (10, 10))
    return cage, int(np.argmin(np.abs(cage.positions).sum(axis=1)))


def folded() -> tuple[Cage, int, int]:
    """A strip bent over itself: its two ends lie 1 mm apart through the air, and 19 along the strip."""
    n = 20
    along = np.arange(n + 1)
    x = np.where(along <= 9, along, np.where(along <= 10, 9, 19 - along))
    z = np.where(along <= 9, 0.0, 1.0)
    points = np.concatenate([np.column_stack([x, np.full(n + 1, y), z]) for y in (0.0, 1.0)])
    faces = [[i, i + 1, i + n + 2, i + n + 1] for i in range(n)]
    return Cage.from_faces(points, faces), 0, 19


class Weights(unittest.TestCase):
    def test_profiles_run_from_one_to_nothing(self) -> None:
        s = np.linspace(0, 1, 101)
        for name, shape in PROFILES.items():
            values = shape(s)
            self.assertEqual(values[0], 1, name)
            self.assertTrue(np.all(np.diff(values) <= 1e-12) and values.min() >= 0, name)
            if name != "flat":
                self.assertAlmostEqual(values[-1], 0, msg=name)
        # By hand: the cubic step, the square, the circle and the line at a half.
        half = {name: float(shape(np.array([0.5]))[0]) for name, shape in PROFILES.items()}
        self.assertEqual(half["smooth"], 0.5)
        self.assertEqual(half["sharp"], 0.25)
        self.assertAlmostEqual(half["round"], np.sqrt(3) / 2)
        self.assertEqual((half["linear"], half["flat"]), (0.5, 1.0))

    def test_a_drawn_profile_passes_its_points_and_stays_between(self) -> None:
        points = [(0.0, 1.0), (0.3, 0.9), (0.5, 0.2), (1.0, 0.0)]
        shape = profile("drawn", points)
        for distance, share in points:
            self.assertAlmostEqual(float(shape(np.array([distance]))[0]), share)
        values = shape(np.linspace(0, 1, 200))
        self.assertTrue(np.all(np.diff(values) <= 1e-12))
        for bad in ([(0, 1)], [(0, 1), (0, 0.5)], [(0, 2), (1, 0)], [(0, np.nan), (1, 0)]):
            self.assertRaises(BadNumberError, profile, "drawn", bad)
        self.assertRaises(BadNumberError, profile, "wavy")

    def test_along_the_cage(self) -> None:
        cage, middle = sheet()
        weights = Reach(3.0, profile="linear").weights(cage, Selection.of("vertex", [middle]))
        away = np.abs(cage.positions[:, :2])
        # Over squares and their diagonals: the shorter side counts sqrt 2, the rest 1.
        distance = np.sqrt(2) * away.min(axis=1) + (away.max(axis=1) - away.min(axis=1))
        self.assertTrue(np.allclose(weights, np.clip(1 - distance / 3, 0, None)))

    def test_in_space(self) -> None:
        cage, middle = sheet()
        weights = Reach(3.0, True, "linear").weights(cage, Selection.of("vertex", [middle]))
        self.assertTrue(np.allclose(weights, np.clip(1 - np.linalg.norm(cage.positions, axis=1) / 3, 0, None)))

    def test_a_fold_is_near_through_the_air_and_far_along_the_surface(self) -> None:
        cage, near, far = folded()
        picked = Selection.of("vertex", [near])
        self.assertEqual(Reach(5.0).weights(cage, picked)[far], 0)
        self.assertGreater(Reach(5.0, True).weights(cage, picked)[far], 0.5)

    def test_within_other_elements_and_not_through_them(self) -> None:
        cage, middle = sheet()
        half = Selection.of("face", np.flatnonzero(middles_of(cage, "face")[:, 0] < 0))
        weights = Reach(4.0, within=half).weights(cage, Selection.of("vertex", [middle]))
        self.assertTrue(np.all(weights[cage.positions[:, 0] > 0.1] == 0))
        self.assertGreater(np.count_nonzero(weights[cage.positions[:, 0] < -0.1]), 10)

    def test_no_radius_is_only_the_picked(self) -> None:
        cage, middle = sheet()
        self.assertEqual(np.flatnonzero(Reach(0.0).weights(cage, Selection.of("vertex", [middle]))).tolist(), [middle])
        self.assertRaises(BadNumberError, Reach(-1.0).weights, cage, Selection.of("vertex", [middle]))


class Motions(unittest.TestCase):
    def test_a_move_carries_by_its_weights(self) -> None:
        cage, middle = sheet()
        reach = Reach(3.0)
        done = placed(cage, Selection.of("vertex", [middle]), moving((0, 0, 2)), reach)
        weights = reach.weights(cage, Selection.of("vertex", [middle]))
        self.assertTrue(np.allclose(done.cage.positions - cage.positions, np.outer(weights, (0, 0, 2))))
        self.assertTrue(np.array_equal(done.weights, weights))

    def test_a_turn_carries_by_angles_not_along_chords(self) -> None:
        cage, middle = sheet()
        done = placed(cage, Selection.of("vertex", [middle]), turning((0, 0, 1), 90, (0, 0, 0)), Reach(4.0))
        self.assertTrue(np.allclose(np.linalg.norm(done.cage.positions, axis=1), np.linalg.norm(cage.positions, axis=1)))

    def test_sizing_and_pushing(self) -> None:
        cage, middle = sheet()
        picked = Selection.of("vertex", [middle])
        sized = placed(cage, picked, sizing((1, 1, 1.5), (0, 0, -2)), Reach(3.0, profile="linear"))
        self.assertAlmostEqual(sized.cage.positions[middle, 2], 1.0)
        out = push(cage, picked, 1.5, reach=Reach(3.0))
        self.assertAlmostEqual(out.cage.positions[middle, 2], 1.5)
        self.assertTrue(0 < out.cage.positions[middle + 1, 2] < 1.5)

    def test_finger_waves_from_one_row_in_two_gestures(self) -> None:
        grip = cylinder((24, 120), (12, 24), "none")
        row = np.flatnonzero((grip.positions[:, 0] > 10) & (np.abs(grip.positions[:, 1]) < 4))
        z = grip.positions[row, 2]
        # One gesture for what lies between the fingers, one for where they rest.
        crests = Selection.of("vertex", row[np.abs(np.mod(z, 20)) < 1])
        first = push(grip, crests, 3.0, reach=Reach(8.0))
        rests = Selection.of("vertex", row[np.abs(np.mod(z, 20) - 10) < 1])
        waves = push(first.cage, rests, -3.0, reach=Reach(8.0))
        profile_of = waves.cage.positions[row][np.argsort(z), 0] - grip.positions[row][np.argsort(z), 0]
        turns = np.count_nonzero(np.diff(np.sign(np.diff(profile_of))))
        self.assertGreaterEqual(turns, 10)
        behind = grip.positions[:, 0] < -8
        self.assertTrue(np.array_equal(waves.cage.positions[behind], grip.positions[behind]))

    def test_over_the_seam_of_a_mirrored_form(self) -> None:
        cage, symmetry = cut_and_assembled(box((20, 16, 12), (6, 4, 3)), plane_at((0, 0, 0), (1, 0, 0)), True, 1e-6)
        near = int(np.argmin(np.abs(cage.positions - [10 / 3, 0, 6]).sum(axis=1)))
        done, after = symmetric_edit(
            cage, symmetry, Selection.of("vertex", [near]), lambda c, s: placed(c, s, moving((1, 0, 2)), Reach(6.0))
        )
        self.assertLess(after.strays(done.cage.positions), 1e-12)
        x, y, z = cage.positions.T
        seam = np.flatnonzero((np.abs(x) < 1e-9) & (z > 5) & (np.abs(y) < 1))
        self.assertTrue(np.all(done.cage.positions[seam, 2] > 6.1))
        self.assertTrue(np.all(done.cage.positions[seam, 0] == 0))


if __name__ == "__main__":
    unittest.main()
