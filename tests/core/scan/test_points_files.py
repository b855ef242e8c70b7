"""Files of points alone."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays

from zinc_otter.core.errors import BadNumberError, FileFormatError
from zinc_otter.core.formats.ply_tables import Lists, write_tables
from zinc_otter.core.formats.points import are_points, read_points

ROWS = arrays(np.float64, st.tuples(st.integers(1, 20), st.just(3)), elements=st.floats(-1e5, 1e5))


def text(rows: np.ndarray, between: str = " ") -> bytes:
    return "\n".join(between.join(repr(float(x)) for x in row) for row in rows).encode()


class Text(unittest.TestCase):
    @given(ROWS, st.sampled_from([" ", "\t", ",", "; ", " , "]))
    def test_it_is_read_to_the_last_bit(self, rows: np.ndarray, between: str) -> None:
        np.testing.assert_array_equal(read_points(text(rows, between), "xyz", "mm").places, rows)

    def test_remarks_blank_lines_and_a_first_line_of_its_own(self) -> None:
        rows = np.arange(12.0).reshape(4, 3)
        for first in (b"", b"4\n", b"x y z\n", b"# by hand\n", b"// by hand\n"):
            held = first + text(rows[:2]) + b"\r\n\n# more\n" + text(rows[2:]) + b"\n"
            np.testing.assert_array_equal(read_points(held, "xyz", "mm").places, rows)

    def test_directions_are_told_from_colours(self) -> None:
        ways = np.array([[0.0, 0, 1], [0.6, 0.8, 0], [1, 0, 0]])
        colours = np.array([[255.0, 0, 0], [90, 90, 0], [1, 2, 3]])
        places = np.arange(9.0).reshape(3, 3)
        held = read_points(text(np.hstack([places, ways, colours])), "xyz", "in")
        np.testing.assert_array_equal(held.normals, ways)
        np.testing.assert_allclose(held.places, 25.4 * places)
        self.assertIsNone(read_points(text(np.hstack([places, colours])), "xyz", "mm").normals)

    def test_a_long_file_is_read_in_parts(self) -> None:
        rows = np.random.default_rng(1).uniform(-50, 50, (120_000, 3))
        held = text(rows)
        self.assertGreater(len(held), 5_000_000)
        np.testing.assert_array_equal(read_points(held, "xyz", "mm").places, rows)
        broken = held.replace(b"\n", b"\nnonsense here\n", 110_001).replace(b"nonsense here\n", b"", 110_000)
        with self.assertRaisesRegex(FileFormatError, r"Line 110,002 is no point of 3 numbers: “nonsense here”"):
            read_points(broken, "xyz", "mm")

    def test_what_is_wrong_is_named(self) -> None:
        for held, words in (
            (b"1 2 3\n4 5\n", "Line 2 is no point of 3 numbers: “4 5”"),
            (b"1 2 3\n4 5 six\n", "Line 2"),
            (b"1 2 3\n4 5 nan\n", "Point 2 has a coordinate that is no number"),
            (b"1 2 3 4\n4 5 6\n", "Line 2 is no point of 4 numbers"),
            (b"1 2\n3 4\n", "Line 2 is no point of 3 numbers"),
            (b"# nothing\n", "no points"),
            (b"\0\0\0\0", "no text"),
            (b"1 2 3\n4 5 1e9\n", "kilometre"),
        ):
            with self.subTest(held=held), self.assertRaisesRegex(FileFormatError, words):
                read_points(held, "xyz", "mm")
        with self.assertRaisesRegex(BadNumberError, "XYZ files name no unit"):
            read_points(b"1 2 3\n", "xyz", None)


class Ply(unittest.TestCase):
    def held(self, faces: int, **more: np.ndarray) -> bytes:
        places = np.arange(12.0).reshape(4, 3)
        vertex = {**dict(zip("xyz", places.T, strict=True)), **more}
        lists = {"vertex_indices": Lists(np.full(faces, 3), np.arange(3 * faces) % 4)}
        return write_tables({"vertex": vertex, "face": lists} if faces else {"vertex": vertex})  # type: ignore[arg-type]

    def test_points_alone_are_told_from_a_mesh(self) -> None:
        self.assertTrue(are_points(self.held(0), "ply"))
        self.assertFalse(are_points(self.held(2), "ply"))
        self.assertFalse(are_points(self.held(0), "stl"))
        np.testing.assert_array_equal(read_points(self.held(0), "ply", "mm").places, np.arange(12.0).reshape(4, 3))

    def test_directions_are_taken(self) -> None:
        ways = np.eye(3)[[0, 1, 2, 0]]
        held = read_points(self.held(0, nx=ways[:, 0], ny=ways[:, 1], nz=ways[:, 2]), "ply", "mm")
        np.testing.assert_array_equal(held.normals, ways)

    def test_a_file_that_ends_early(self) -> None:
        with self.assertRaises(FileFormatError):
            read_points(self.held(0)[:-4], "ply", "mm")
