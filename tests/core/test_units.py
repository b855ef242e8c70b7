"""Expressions with units: the values by hand, and sentences for all that is wrong."""

from __future__ import annotations

import math
import time
import unittest
from concurrent.futures import ThreadPoolExecutor
from threading import Barrier
from unittest import mock

import pint
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core import units
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.units import read_number


class Values(unittest.TestCase):
    def test_lengths(self) -> None:
        # The international inch is 25.4 mm exactly (international yard and pound agreement, 1959).
        for text, expected in (
            ("12", 12), ("12.5mm", 12.5), ("3/8 in", 9.525), ("12.5mm + 2", 14.5), ("1 3/8 in", 34.925), ('2"', 50.8),
            ("1 ft", 304.8), ("1,5 cm", 15), ("-4", -4), ("2*(3+4) mm", 14), ("10 mm / 4", 2.5), ("20 thou", 0.508),
            ("(1 + 2) cm", 30), ("100 mm * 2 in / 1 in", 200), ("−3 × 2", -6), ("1e2", 100), (".5in", 12.7),
            ("1/2 in + 1/4 in", 19.05), ("3 m - 2 m", 1000), ("250 µm", 0.25), ("50 % * 10 mm", 5),
        ):  # fmt: skip
            self.assertAlmostEqual(read_number(text, "length"), expected, places=9, msg=text)

    def test_wire_gauges_and_number_drills(self) -> None:
        """ASTM B258: 0.812 mm for gauge 20, 1.024 for 18, 0.127 for 36; number drills after ASME B94.11M, in inches."""
        for text, expected in (
            ("20 ga", 0.812), ("18 gauge", 1.024), ("36 ga", 0.127), ("0 ga", 8.251), ("60 drill", 1.016),
            ("1 drill", 5.791), ("2 * 20 ga", 1.624), ("20 ga + 1 mm", 1.812),
        ):  # fmt: skip
            self.assertAlmostEqual(read_number(text, "length"), expected, delta=6e-4, msg=text)
        for text in ("41 ga", "2.5 ga", "0 drill", "81 drill", "2 mm ga"):
            with self.assertRaises(BadNumberError, msg=text):
                read_number(text, "length")
        with self.assertRaises(BadNumberError):
            read_number("20 ga", "angle")

    def test_bare_numbers_are_in_the_designs_unit(self) -> None:
        self.assertAlmostEqual(read_number("2", "length", "in"), 50.8)
        self.assertAlmostEqual(read_number("2 + 10 mm", "length", "cm"), 30)
        self.assertAlmostEqual(read_number("2 * 10 mm", "length", "cm"), 20)

    def test_angles_shares_and_numbers(self) -> None:
        self.assertAlmostEqual(read_number("360/12", "angle"), 30)
        self.assertAlmostEqual(read_number("1/12 turn", "angle"), 30)
        self.assertAlmostEqual(read_number("90° - 0.5", "angle"), 89.5)
        self.assertAlmostEqual(read_number("2 rad", "angle"), math.degrees(2))
        self.assertAlmostEqual(read_number("50%", "share"), 50)
        self.assertAlmostEqual(read_number("100/3", "share"), 100 / 3)
        self.assertAlmostEqual(read_number("1:3", "share"), 25)
        self.assertAlmostEqual(read_number("1/2 : 1", "share"), 100 / 3)
        self.assertEqual(read_number("2*3", "number"), 6)
        self.assertEqual(read_number("10 cm / 2 cm", "number"), 5)

    def test_a_product_of_an_angle_stays_one_in_degrees(self) -> None:
        for text, expected in (
            ("2*30 deg", 60), ("90 deg/2", 45), ("2 turns/4", 180), ("50 % * 90 deg", 45), ("2*asin(0.5)", 60),
        ):  # fmt: skip
            self.assertAlmostEqual(read_number(text, "angle"), expected, places=9, msg=text)
        self.assertAlmostEqual(read_number("1 turn / 90 deg", "number"), 4)
        self.assertAlmostEqual(read_number("50 % * 2", "share"), 100)
        self.assertAlmostEqual(read_number("50 % * 50 %", "share"), 25)
        # A length times an angle is the length of the arc.
        self.assertAlmostEqual(read_number("12 mm * 90 deg", "length"), 6 * math.pi)

    def test_powers_roots_and_angles(self) -> None:
        for text, expected in (
            ("2^3", 8), ("2**3", 8), ("5²", 25), ("2³", 8), ("-2^2", -4), ("2^-1", 0.5), ("2^3^2", 512), ("(-2)^3", -8),
            ("pi", math.pi), ("2 pi", 2 * math.pi), ("π/4", math.pi / 4), ("sqrt(2)", math.sqrt(2)), ("abs(3 - 5)", 2),
            ("sin(30)", 0.5), ("cos(60 deg)", 0.5), ("tan(45°)", 1), ("sin((pi/6) rad)", 0.5), ("4^0.5", 2),
        ):  # fmt: skip
            self.assertAlmostEqual(read_number(text, "number"), expected, places=12, msg=text)
        for text, expected in (("sqrt((3 mm)^2 + (4 mm)^2)", 5), ("sqrt(1 in * 4 in)", 50.8), ("pi*10", 31.41592653589793)):
            self.assertAlmostEqual(read_number(text, "length"), expected, places=9, msg=text)
        self.assertAlmostEqual(read_number("2^0.5", "length", "cm"), 10 * math.sqrt(2))
        self.assertAlmostEqual(read_number("atan(1)", "angle"), 45)

    def test_digits_in_groups(self) -> None:
        for text, expected in (
            ("1,000.5", 1000.5), ("1,000,000", 1e6), ("1.000.000", 1e6), ("1.000,5", 1000.5), ("1.000.000,5", 1000000.5),
            ("0,125", 0.125), ("12,5", 12.5), ("1.000", 1), ("1,0000", 1), ("1,000.5 + 1", 1001.5),
        ):  # fmt: skip
            self.assertAlmostEqual(read_number(text, "number"), expected, places=9, msg=text)

    @settings(deadline=None)
    @given(st.floats(-1e5, 1e5), st.floats(0.01, 1e5), st.sampled_from("+-*/"))
    def test_arithmetic_is_the_usual(self, a: float, b: float, sign: str) -> None:
        expected = {"+": a + b, "-": a - b, "*": a * b, "/": a / b}[sign]
        self.assertTrue(math.isclose(read_number(f"{a!r} {sign} {b!r}", "number"), expected, rel_tol=1e-12, abs_tol=1e-12))


class AtOnce(unittest.TestCase):
    def test_the_first_numbers_may_be_read_together(self) -> None:
        # Quantities of one registry cannot be added to those of another, so that there must be one from the beginning.
        made: list[pint.UnitRegistry] = []
        began = Barrier(4)

        class Slow(pint.UnitRegistry):  # type: ignore[misc]
            def __init__(self) -> None:
                made.append(self)
                time.sleep(0.1)
                super().__init__()

        def read(text: str) -> float:
            began.wait()
            return read_number(text, "length")

        units._made.cache_clear()
        with mock.patch("pint.UnitRegistry", Slow), ThreadPoolExecutor(4) as readers:
            values = list(readers.map(read, ("9/2", "9/2 mm", "1 + 2", "1 cm + 2")))
        self.assertEqual((values, len(made)), ([4.5, 4.5, 3.0, 12.0], 1))


class Refusals(unittest.TestCase):
    def test_what_is_wrong_is_said(self) -> None:
        for text, asked, sentence in (
            ("", "length", "A number is needed"),
            ("3 +", "length", "ends where a number"),
            ("3 furlong", "length", "no unit 'furlong'.*mm, cm"),
            ("3 deg", "length", "comes to an angle; a length is needed"),
            ("3 mm", "angle", "comes to a length; an angle is needed"),
            ("3 mm", "number", "a plain number is needed"),
            ("3 mm * 2 mm", "length", "neither a length nor an angle"),
            ("3 mm + 2 deg", "length", "cannot be added"),
            ("(3", "length", "closing bracket"),
            ("3)", "length", "operator was expected"),
            ("3 4", "length", "operator was expected"),
            ("3 mm mm", "length", "already has a unit"),
            ("(3 mm) mm", "length", "already has a unit"),
            ("1/0", "length", "divides by zero"),
            ("1/0 in", "length", "divides by zero"),
            ("1e300*1e300", "length", "more than a number can hold"),
            ("__import__('os')", "length", "."),
            ("2***9", "length", "stands where a number"),
            ("2^3 mm", "length", "plain number, not a length"),
            ("(-8)^(1/3)", "length", "base above 0"),
            ("0^-1", "length", "divides by zero"),
            ("9^9^9^9", "length", "more than a number can hold"),
            ("sqrt(-4)", "length", "no square root"),
            ("sqrt 4", "length", "followed by brackets"),
            ("sin(3 mm)", "number", "of an angle, not of a length"),
            ("asin(2)", "angle", "from -1 to 1"),
            ("tan(90)", "number", "no tangent"),
            ("30 deg * 30 deg", "angle", "neither a length nor an angle"),
            ("2mm*2mm + 2 deg*2 deg", "length", "Something else and something else cannot"),
            ("1,000", "length", "1000 or 1.000"),
            ("12,500 + 1", "length", "12500 or 12.500"),
            ("3 $", "length", "'\\$' has no place"),
            ("(" * 40 + "1" + ")" * 40, "length", "within each other"),
            ("-" * 60 + "1", "length", "within each other"),
            ("1+" * 80 + "1", "length", "at most 100 characters"),
            ("0:0", "share", "is no ratio"),
            ("-1:3", "share", "is no ratio"),
            ("1e308:1e308", "share", "is no ratio"),
            ("1:2:3", "share", "':' has no place"),
            ("1:3", "length", "':' has no place"),
        ):
            with self.assertRaisesRegex(BadNumberError, sentence, msg=text):
                read_number(text, asked)  # type: ignore[arg-type]

    @settings(deadline=None)
    @given(st.text(max_size=60) | st.text("0123456789.,()+-*/^² pisqrtanod°%m", max_size=30))
    def test_any_text_is_a_number_or_a_refusal(self, text: str) -> None:
        try:
            self.assertTrue(math.isfinite(read_number(text, "length")))
        except BadNumberError as error:
            self.assertTrue(str(error).endswith("."))
