"""Lengths in sentences: in the unit that is told in, and no other thread's."""

from __future__ import annotations

import unittest
from concurrent.futures import ThreadPoolExecutor

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from zinc_otter.core.words import along_axes, extent, fine_length_words, length_words, lengths_in, told_in


class Words(unittest.TestCase):
    def test_in_millimetres_unless_said_otherwise(self) -> None:
        self.assertEqual((length_words(12.346), extent((40, 20.5, 1))), ("12.35 mm", "40 × 20.5 × 1 mm"))
        self.assertEqual((fine_length_words(0.00423), fine_length_words(0)), ("0.0042 mm", "0 mm"))
        self.assertEqual((along_axes((2, 0, -1.5)), along_axes((0, 0, 1e-4))), ("x 2, z −1.5 mm", "less than 0.01 mm"))

    def test_in_inches_and_centimetres(self) -> None:
        with lengths_in("in"):
            self.assertEqual((length_words(25.4), extent((25.4, 12.7))), ("1 in", "1 × 0.5 in"))
            self.assertEqual(along_axes((0, -6.35, 0)), "y −0.25 in")
            self.assertEqual(fine_length_words(0.0127), "0.0005 in")
            with lengths_in("cm"):
                self.assertEqual((length_words(123.4), fine_length_words(0.05)), ("12.34 cm", "0.005 cm"))
            self.assertEqual(told_in(), "in")
        self.assertEqual(told_in(), "mm")

    @given(st.floats(0.001, 1e5), st.sampled_from(["mm", "cm", "in"]))
    def test_what_is_told_is_the_length_to_its_last_decimal(self, mm: float, unit) -> None:
        per, digits = {"mm": (1.0, 2), "cm": (10.0, 3), "in": (25.4, 3)}[unit]
        with lengths_in(unit):
            told = length_words(mm)
            fine = fine_length_words(mm)
        self.assertTrue(told.endswith(f" {unit}"))
        self.assertLessEqual(abs(float(told.split()[0]) * per - mm), 0.5001 * per * 10.0**-digits + 1e-9 * mm)
        # Finely told, two digits count at least.
        self.assertLess(abs(float(fine.split()[0]) * per - mm), max(0.051 * mm, 0))

    def test_one_thread_tells_nothing_to_another(self) -> None:
        def told(unit) -> str:
            with lengths_in(unit):
                return length_words(254)

        with ThreadPoolExecutor(4) as pool:
            self.assertEqual(list(pool.map(told, ["in", "cm", "mm"] * 20)), ["10 in", "25.4 cm", "254 mm"] * 20)
        self.assertEqual(length_words(np.float64(254)), "254 mm")
