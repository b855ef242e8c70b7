"""Curves in files: written, read back by these readers and by others, at real size; and what is broken gets a sentence."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

import numpy as np
from ezdxf.filemanagement import read as read_any_dxf
from scipy.interpolate import BSpline

from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.curve import MOST_POINTS
from zinc_otter.core.curve.fitting import strays
from zinc_otter.core.curve.making import circle, helix, polygon
from zinc_otter.core.curve.tracing import straight, traced
from zinc_otter.core.errors import CoreError, FileFormatError
from zinc_otter.core.formats.curves import Drawn, read_curves, write_curves

ARCH = Curve([(0, 0, 0), (10, 15, 0), (25, 18, 0), (40, 4, 0)], 3, False, [0, 0, 10, 0])
FLAT = [Drawn("Ring", circle(40, 8)), Drawn("Arch", ARCH), Drawn("Star & five", polygon(20, 5))]


def svg(body: str, more: str = 'width="100mm" height="60mm" viewBox="0 0 100 60"') -> bytes:
    return f'<svg xmlns="http://www.w3.org/2000/svg" {more}>{body}</svg>'.encode()


class RoundTrips(unittest.TestCase):
    def test_flat_ones_by_svg_and_dxf(self) -> None:
        for kind in ("svg", "dxf"):
            back = read_curves(write_curves(FLAT, kind), kind)  # type: ignore[arg-type]
            self.assertEqual(len(back), 3)
            for given, read in zip(FLAT, back, strict=True):
                self.assertEqual(read.curve.closed, given.curve.closed, kind)
                self.assertLess(strays(given.curve, read.curve), 0.011, f"{kind} {given.name}")
            self.assertEqual(back[2].curve.degree, 1)
            self.assertEqual(int((back[1].curve.sharpness > 0).sum()), 1)
        self.assertEqual(read_curves(write_curves(FLAT, "svg"), "svg")[2].name, "Star & five")

    def test_in_space_by_dxf_and_the_spline_is_the_curve(self) -> None:
        screw = helix(20, 6, 2.5, 12)
        data = write_curves([Drawn("Screw", screw)], "dxf")
        (back,) = read_curves(data, "dxf")
        self.assertLess(strays(screw, back.curve), 0.011)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "screw.dxf"
            path.write_bytes(data)
            with path.open() as stream:
                (spline,) = read_any_dxf(stream).modelspace().query("SPLINE")
        # Evaluated by scipy: at its knots and between them it is this curve.
        other = BSpline(np.array(list(spline.knots)), np.array([list(p) for p in spline.control_points]), 3)
        u = np.linspace(0, screw.end, 200)
        np.testing.assert_allclose(other(u), pieces_of(screw).at(u), atol=1e-9)

    def test_by_step_the_kernel_measures_the_same_length(self) -> None:
        from OCP.BRepGProp import BRepGProp
        from OCP.GProp import GProp_GProps

        from zinc_otter.core.formats.step import read_step

        curves = [ARCH, helix(20, 6, 2.5, 12), circle(40, 8)]
        data = write_curves([Drawn(f"C{k}", curve) for k, curve in enumerate(curves)], "step")
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "curves.step"
            path.write_bytes(data)
            shape = read_step(path)
        facts = GProp_GProps()
        BRepGProp.LinearProperties_s(shape, facts)
        total = sum(pieces_of(curve).length for curve in curves)
        self.assertAlmostEqual(facts.Mass() / total, 1, delta=1e-6)

    def test_views(self) -> None:
        upright = Curve([(0, 5, 0), (10, 5, 20), (30, 5, 0)], 1)
        (front,) = read_curves(write_curves([Drawn("Line", upright)], "svg", "front"), "svg")
        np.testing.assert_allclose(front.curve.points[:, :2], upright.points[:, [0, 2]], atol=1e-4)


class RealSize(unittest.TestCase):
    def test_units_of_svg(self) -> None:
        line = '<path d="M10 10 L60 10 L60 40"/>'
        (made,) = read_curves(svg(line), "svg")
        np.testing.assert_allclose(made.curve.points[:, :2], [[10, -10], [60, -10], [60, -40]], atol=1e-4)
        (larger,) = read_curves(svg(line, 'width="20cm" height="12cm" viewBox="0 0 100 60"'), "svg")
        self.assertAlmostEqual(float(np.ptp(larger.curve.points[:, 0])), 100, places=3)
        (plain,) = read_curves(svg('<path d="M0 0 L96 0"/>', ""), "svg")
        self.assertAlmostEqual(float(np.ptp(plain.curve.points[:, 0])), 25.4, places=4)

    def test_round_things_of_svg(self) -> None:
        """A circle, an ellipse and a rectangle with round corners, against their formulas."""
        shapes = '<circle cx="50" cy="30" r="20"/><rect x="5" y="5" width="40" height="20" rx="6"/>'
        ring, bar = read_curves(svg(shapes), "svg")
        far = np.linalg.norm(pieces_of(ring.curve).dense(16)[:, :2] - [50, -30], axis=1)
        np.testing.assert_allclose(far, 20, atol=0.011)
        self.assertTrue(ring.curve.closed and bar.curve.closed)
        self.assertAlmostEqual(pieces_of(bar.curve).length, 2 * (28 + 8) + 2 * np.pi * 6, delta=0.05)

    def test_dxf_of_inches_and_of_no_unit(self) -> None:
        for unit, scale, wide in ((1, 1.0, 254.0), (4, 1.0, 10.0), (0, 25.4, 254.0), (0, 1.0, 10.0)):
            text = (
                f"0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n{unit}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
                "0\nLINE\n8\n0\n10\n0\n20\n0\n11\n10\n21\n0\n0\nENDSEC\n0\nEOF\n"
            )
            (line,) = read_curves(text.encode(), "dxf", scale)
            self.assertAlmostEqual(float(np.ptp(line.curve.points[:, 0])), wide, msg=f"unit {unit}")


class Traced(unittest.TestCase):
    def test_within_the_tolerance_and_with_few_points(self) -> None:
        t = np.linspace(0, 2 * np.pi, 400)
        wave = np.column_stack([20 * t, 8 * np.sin(2 * t), 3 * np.cos(t)])
        counts = []
        for tolerance in (1.0, 0.1, 0.01):
            made = traced(wave, tolerance)
            self.assertLessEqual(made.deviation, tolerance)
            counts.append(made.curve.count)
        self.assertTrue(counts[0] < counts[1] < counts[2] < 80, counts)

    def test_corners_stay(self) -> None:
        zigzag = [(0, 0, 0), (5, 5, 0), (10, 0, 0), (15, 5, 0)]
        made = traced(zigzag, 0.01)
        np.testing.assert_allclose(made.curve.points, zigzag, atol=1e-9)
        self.assertEqual(made.curve.sharpness.tolist(), [0, 10, 10, 0])

    def test_too_little(self) -> None:
        for points in ([], [(1, 1, 1)], [(1, 1, 1), (1, 1, 1)]):
            with self.assertRaises(CoreError):
                traced(np.array(points).reshape(-1, 3), 0.1)
        with self.assertRaises(CoreError):
            straight(np.zeros((5, 3)), True)


class Broken(unittest.TestCase):
    def test_each_gets_a_sentence(self) -> None:
        for data, kind, words in (
            (b"no svg at all <", "svg", "no SVG"), (svg(""), "svg", "no path"), (b"\x00\x01", "dxf", "no DXF"),
            (b"0\nEOF\n", "dxf", "DXF|no line"), (b"x", "txt", "SVG or DXF"),
            (svg('<path d="M5 5 L5 5"/>'), "svg", "no path"), (b"\xff\xfe<svg", "svg", "no SVG"),
        ):  # fmt: skip
            with self.assertRaisesRegex(FileFormatError, words, msg=repr(data)):
                read_curves(data, kind)

    def test_a_path_of_ten_thousand_points(self) -> None:
        t = np.linspace(0, 400, 10_000)
        path = "M" + " L".join(f"{x:.4f} {y:.4f}" for x, y in zip(t, 10 * np.sin(t / 9), strict=True))
        with self.assertRaisesRegex(FileFormatError, f"{MOST_POINTS:,}"):
            read_curves(svg(f'<path d="{path}"/>'), "svg")
