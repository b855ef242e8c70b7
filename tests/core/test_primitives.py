from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from zinc_otter.core.cage.face_bound import MOST_FACES
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import box, plane

counts = st.tuples(*[st.integers(1, 6)] * 3)
sizes = st.tuples(*[st.floats(0.01, 1000)] * 3)


class Box(unittest.TestCase):
    @given(size=sizes, count=counts)
    def test_closed_all_quads_of_the_asked_size(self, size: tuple[float, ...], count: tuple[int, ...]) -> None:
        cage = box(size, count)
        nx, ny, nz = count
        self.assertEqual(cage.topology.face_count, 2 * (nx * ny + ny * nz + nz * nx))
        self.assertTrue(cage.topology.is_closed and cage.topology.all_quads)
        self.assertEqual(cage.topology.euler_characteristic, 2)
        np.testing.assert_allclose(np.ptp(cage.bounds, axis=0), size, rtol=1e-12)
        self.assertEqual(set(cage.topology.vertex_valence.tolist()) - {3, 4}, set())

    def test_it_stands_about_its_centre(self) -> None:
        np.testing.assert_allclose(box((2, 2, 2), (1, 1, 1), (5, 6, 7)).bounds.mean(axis=0), [5, 6, 7])

    def test_bad_numbers_are_refused_with_a_sentence(self) -> None:
        for size in ((0, 1, 1), (1, -2, 1), (1, 1, np.nan), (1, 1, np.inf), (1, 1, 2e6), (1, 1)):
            with self.assertRaises(BadNumberError):
                box(size, (1, 1, 1))
        for count in ((0, 1, 1), (1, 1, -3), (1, 1, 1.5), (1, 1)):
            with self.assertRaises(BadNumberError):
                box((1, 1, 1), count)  # type: ignore[arg-type]
        with self.assertRaisesRegex(BadNumberError, "the most"):
            box((1, 1, 1), (10_000_000, 1, 1))
        self.assertLess(box((1, 1, 1), (40, 40, 40)).topology.face_count, MOST_FACES)


class Plane(unittest.TestCase):
    @given(count=st.tuples(st.integers(1, 8), st.integers(1, 8)))
    def test_an_open_sheet(self, count: tuple[int, int]) -> None:
        cage = plane((30, 20), count)
        self.assertEqual(cage.topology.face_count, count[0] * count[1])
        self.assertEqual(len(cage.topology.open_edges), 2 * sum(count))
        self.assertEqual(cage.topology.euler_characteristic, 1)
        np.testing.assert_allclose(np.ptp(cage.positions, axis=0), [30, 20, 0])

    def test_bad_numbers_are_refused(self) -> None:
        for size, count in (((1, 0), (1, 1)), ((1, 1), (0, 1)), ((1, 1), (1000, 1000))):
            with self.assertRaises(BadNumberError):
                plane(size, count)
