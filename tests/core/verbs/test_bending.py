"""Twist, bend and taper against closed forms: solids of revolution, frusta, and what a shear-free turn must keep."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import stretch_of
from zinc_otter.core.cage.edits.bend import bend, bending
from zinc_otter.core.cage.edits.taper import taper, tapering
from zinc_otter.core.cage.edits.twist import twist, twisting
from zinc_otter.core.cage.symmetry import SymmetryError, mirror, plane_at, radial
from zinc_otter.core.cage.symmetry.assembling import following
from zinc_otter.core.cage.symmetry.whole import whole_moved
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box

Z, X = (0.0, 0.0, 1.0), (1.0, 0.0, 0.0)


def all_of(cage: Cage) -> Selection:
    return Selection.of("face", np.arange(cage.topology.face_count))


def volume(cage: Cage) -> float:
    """By the divergence theorem over fans of triangles."""
    t = cage.topology
    total = 0.0
    for f in range(t.face_count):
        p = cage.positions[t.face_verts[t.face_offsets[f] : t.face_offsets[f + 1]]]
        total += sum(float(p[0] @ np.cross(p[i], p[i + 1])) for i in range(1, len(p) - 1)) / 6
    return total


class Twist(unittest.TestCase):
    def test_slices_are_turned_as_they_are(self) -> None:
        cage = box((20, 10, 60), (4, 2, 12))
        done = twist(cage, all_of(cage), Z, 90).cage
        for z in np.unique(cage.positions[:, 2]):
            at = cage.positions[:, 2] == z
            angle = np.radians(90 * (z + 30) / 60)
            turn = np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
            np.testing.assert_allclose(done.positions[at, :2], cage.positions[at, :2] @ turn.T, atol=1e-12)
            np.testing.assert_allclose(done.positions[at, 2], z, atol=1e-12)

    def test_no_volume_changes_as_slices_grow_many(self) -> None:
        """Barr 1984: the determinant of a twist is one."""
        cages = [box((20, 10, 60), (2, 2, n)) for n in (8, 32, 128)]
        off = [abs(volume(twist(c, all_of(c), Z, 90).cage) / 12_000 - 1) for c in cages]
        self.assertLess(off[2], 2e-4)
        self.assertLess(off[2], 0.1 * off[1])

    def test_where_it_is_held_nothing_moves(self) -> None:
        cage = box((20, 10, 60), (2, 2, 6))
        for held, z in (("start", -30), ("middle", 0), ("end", 30)):
            done = twist(cage, all_of(cage), Z, 120, held=held).cage  # type: ignore[arg-type]
            at = cage.positions[:, 2] == z
            np.testing.assert_allclose(done.positions[at], cage.positions[at], atol=1e-12)
            self.assertGreater(np.abs(done.positions - cage.positions).max(), 5)

    def test_back_by_as_much(self) -> None:
        cage = box((20, 10, 60), (2, 2, 6))
        there = twist(cage, all_of(cage), (1, 2, 3), 77, pivot=(5, 5, 5)).cage
        back = twist(there, all_of(there), (1, 2, 3), -77, pivot=(5, 5, 5)).cage
        np.testing.assert_allclose(back.positions, cage.positions, atol=1e-9)


class Bend(unittest.TestCase):
    def test_a_half_circle_has_the_volume_of_pappus(self) -> None:
        """The middle of the section goes along the axis' own arc, so that the volume stays (Pappus and Guldin)."""
        for degrees in (45, 180, 350):
            cage = box((4, 6, 100), (4, 2, 200))
            bent = bend(cage, all_of(cage), Z, X, degrees).cage
            self.assertAlmostEqual(volume(bent) / 2400, 1, delta=5e-4)

    def test_an_arc_is_an_arc(self) -> None:
        cage = box((4, 4, 100), (1, 1, 20))
        bent = bend(cage, all_of(cage), Z, X, 90, held="start").cage
        radius = 100 / np.radians(90)
        centre = np.array([radius, 0, -50])
        for x in (-2, 2):
            away = np.linalg.norm((bent.positions - centre)[cage.positions[:, 0] == x][:, [0, 2]], axis=1)
            np.testing.assert_allclose(away, radius - x, atol=1e-9)

    def test_beyond_the_picked_it_goes_straight_on(self) -> None:
        cage = box((4, 4, 100), (1, 1, 10))
        middle = Selection.of("vertex", np.flatnonzero(np.abs(cage.positions[:, 2]) < 21))
        stretch = stretch_of(cage, middle, Z, (0, 0, 0))
        moved = bending(stretch, X, 90, held="middle")(cage.positions, np.ones(len(cage.positions)))
        upper = moved[(cage.positions[:, 2] > 19) & (cage.positions[:, 0] < 0) & (cage.positions[:, 1] < 0)]
        steps = np.diff(upper[np.argsort(upper[:, 2])], axis=0)
        np.testing.assert_allclose(np.linalg.norm(steps, axis=1), 10, atol=1e-9)
        np.testing.assert_allclose(steps, np.tile(steps[:1], (len(steps), 1)), atol=1e-9)
        np.testing.assert_allclose(steps[0] / 10, [np.sin(np.pi / 4), 0, np.cos(np.pi / 4)], atol=1e-9)

    def test_too_thick_is_refused_with_the_angle_that_holds(self) -> None:
        cage = box((40, 10, 50), (2, 1, 8))
        with self.assertRaises(BadNumberError) as caught:
            bend(cage, all_of(cage), Z, X, 180)
        self.assertIn("143.2°", str(caught.exception))
        self.assertTrue((np.isfinite(bend(cage, all_of(cage), Z, X, 143).cage.positions)).all())
        # The other way the same side is the outer one; a pivot on the inner side leaves room.
        bend(cage, all_of(cage), Z, X, 180, pivot=(20, 0, 0))

    def test_along_its_own_axis_is_no_side(self) -> None:
        cage = box((4, 4, 50), (1, 1, 4))
        with self.assertRaises(BadNumberError):
            bend(cage, all_of(cage), Z, Z, 30)


class Taper(unittest.TestCase):
    def test_a_frustum_has_its_volume(self) -> None:
        """V = h/3 (A + sqrt(A B) + B), Euclid XII 7 and any handbook."""
        cage = box((20, 10, 60), (2, 2, 3))
        for factor in (0.0, 0.4, 1.7):
            a, b = 200, 200 * factor**2
            told = volume(taper(cage, all_of(cage), Z, factor).cage)
            self.assertAlmostEqual(told, 20 * (a + np.sqrt(a * b) + b), places=6)

    def test_the_held_end_stays(self) -> None:
        cage = box((20, 10, 60), (2, 2, 3))
        done = taper(cage, all_of(cage), Z, 0.5, held="end").cage
        top = cage.positions[:, 2] == 30
        np.testing.assert_array_equal(done.positions[top], cage.positions[top])
        np.testing.assert_allclose(np.abs(done.positions[cage.positions[:, 2] == -30][:, 0]).max(), 5)

    def test_below_nought_is_refused(self) -> None:
        cage = box((20, 10, 60), (1, 1, 1))
        with self.assertRaises(BadNumberError):
            taper(cage, all_of(cage), Z, -0.1)


class All(unittest.TestCase):
    def test_what_has_no_extent_is_refused(self) -> None:
        cage = box((20, 10, 60), (2, 2, 3))
        top = Selection.of("face", np.flatnonzero(cage.face_normals[:, 2] > 0.9))
        for verb in (lambda: twist(cage, top, Z, 30), lambda: bend(cage, top, Z, X, 30), lambda: taper(cage, top, Z, 0.5)):
            with self.assertRaises(BadSelectionError):
                verb()

    @settings(max_examples=40, deadline=None)
    @given(st.floats(-300, 300), st.tuples(*[st.floats(-1, 1)] * 3).filter(lambda a: np.linalg.norm(a) > 0.1))
    def test_by_nothing_nothing_moves(self, by: float, axis: tuple[float, float, float]) -> None:
        cage = box((20, 10, 60), (2, 2, 3))
        np.testing.assert_allclose(twist(cage, all_of(cage), axis, 0).cage.positions, cage.positions, atol=1e-12)
        np.testing.assert_allclose(taper(cage, all_of(cage), axis, 1).cage.positions, cage.positions, atol=1e-12)
        there = twist(cage, all_of(cage), axis, by).cage.positions
        # Every point keeps its way from the axis, and its place along it.
        unit = np.array(axis) / np.linalg.norm(axis)
        np.testing.assert_allclose(there @ unit, cage.positions @ unit, atol=1e-9)
        np.testing.assert_allclose(np.linalg.norm(there, axis=1), np.linalg.norm(cage.positions, axis=1), atol=1e-9)


class Symmetric(unittest.TestCase):
    def test_a_bend_in_the_mirror_plane_keeps_the_mirror(self) -> None:
        cage, symmetry = following(box((20, 10, 60), (2, 2, 6)), mirror(plane_at((0, 0, 0), (0, 1, 0))), np.ones(3))
        bent, kept = whole_moved(cage, symmetry, bending(stretch_of(cage, all_of(cage), Z), X, 60))
        self.assertLess(kept.strays(bent.cage.positions), 1e-9)
        with self.assertRaises(SymmetryError) as caught:
            whole_moved(cage, symmetry, bending(stretch_of(cage, all_of(cage), Z), (0, 1, 0), 60))
        self.assertIn("not the same on all sides", str(caught.exception))

    def test_a_twist_keeps_sectors_and_breaks_mirrors(self) -> None:
        cage, symmetry = following(box((20, 20, 60), (2, 2, 6)), radial((0, 0, 0), Z, 4), np.array([5.0, 1, 1]))
        twisted, kept = whole_moved(cage, symmetry, twisting(stretch_of(cage, all_of(cage), Z), 80))
        self.assertLess(kept.strays(twisted.cage.positions), 1e-9)
        tapered, kept = whole_moved(cage, symmetry, tapering(stretch_of(cage, all_of(cage), Z), 0.5))
        self.assertLess(kept.strays(tapered.cage.positions), 1e-9)
        mirrored, kept = following(box((20, 10, 60), (2, 2, 6)), mirror(plane_at((0, 0, 0), (1, 0, 0))), np.ones(3))
        with self.assertRaises(SymmetryError):
            whole_moved(mirrored, kept, twisting(stretch_of(mirrored, all_of(mirrored), Z), 40))
