"""Tables of PLY: text, either order of bytes, lists among numbers; what others write is read, and what is broken is not."""

from __future__ import annotations

import struct
import unittest

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.ply_tables import Lists, Tables, read_tables, write_tables

HEAD = (
    "ply\nformat {} 1.0\ncomment made by hand\nobj_info none\n"
    "element vertex 2\nproperty float x\nproperty uchar shade\n"
    "element strip 3\nproperty short first\nproperty list uchar int run\n"
    "property double weight\nproperty list uint short other\n"
    "element end 1\nproperty ushort n\nend_header\n"
)
ROWS = [(7, [1, -2, 3], 0.25, []), (-8, [], 1e-9, [5]), (9, [70000], -4.5, [1, -1, 2])]


def packed(order: str) -> bytes:
    body = b"".join(struct.pack(order + "fB", x, shade) for x, shade in ((0.5, 200), (-1.5, 3)))
    for first, run, weight, other in ROWS:
        body += struct.pack(f"{order}hB{len(run)}i", first, len(run), *run)
        body += struct.pack(f"{order}dI{len(other)}h", weight, len(other), *other)
    name = "binary_little_endian" if order == "<" else "binary_big_endian"
    return HEAD.format(name).encode() + body + struct.pack(order + "H", 65535)


def text(ending: str = "\n") -> bytes:
    lines = ["0.5 200", "-1.5 3"]
    for first, run, weight, other in ROWS:
        lines.append(" ".join(str(n) for n in (first, len(run), *run, weight, len(other), *other)))
    return (HEAD.format("ascii") + "\n".join([*lines, "65535", ""])).replace("\n", ending).encode()


class Reading(unittest.TestCase):
    def read_as_written(self, tables: Tables) -> None:
        self.assertEqual(tables.comments, ("made by hand", "none"))
        vertex, strip = tables.elements["vertex"], tables.elements["strip"]
        np.testing.assert_array_equal(vertex["x"], [0.5, -1.5])
        np.testing.assert_array_equal(vertex["shade"], [200, 3])
        np.testing.assert_array_equal(strip["first"], [7, -8, 9])
        np.testing.assert_array_equal(strip["weight"], [0.25, 1e-9, -4.5])
        for name, column in (("run", 1), ("other", 3)):
            lists = strip[name]
            assert isinstance(lists, Lists)
            self.assertEqual(lists.sizes.tolist(), [len(row[column]) for row in ROWS])
            self.assertEqual(lists.flat.tolist(), [n for row in ROWS for n in row[column]])
        self.assertEqual(tables.elements["end"]["n"].tolist(), [65535])  # type: ignore[union-attr]

    def test_either_order_of_bytes_and_text_say_the_same(self) -> None:
        for data in (packed("<"), packed(">"), text(), text("\r\n")):
            with self.subTest(data[:40]):
                self.read_as_written(read_tables(data))

    def test_each_part_cut_short_is_refused(self) -> None:
        for data in (packed("<"), packed(">"), text().rstrip()):
            start = data.index(b"end_header") + len(b"end_header\n")
            for end in range(start, len(data) - (4 if data.startswith(b"ply\nformat a") else 0)):
                with self.assertRaises(FileFormatError):
                    read_tables(data[:end])

    def test_what_another_library_writes(self) -> None:
        ball = trimesh.creation.icosphere(subdivisions=2)
        for encoding in ("ascii", "binary"):
            tables = read_tables(ball.export(file_type="ply", encoding=encoding))
            places = np.column_stack([tables.elements["vertex"][axis] for axis in "xyz"])  # type: ignore[arg-type]
            np.testing.assert_allclose(places, ball.vertices, atol=1e-7)
            faces = next(iter(tables.elements["face"].values()))
            assert isinstance(faces, Lists)
            np.testing.assert_array_equal(faces.flat.reshape(-1, 3), ball.faces)

    def test_broken_headers_name_the_line(self) -> None:
        for line, told in (
            ("property list float int run", "property list float int run"),
            ("property quaternion q", "property quaternion q"),
            ("format ascii 2.0", "format ascii 2.0"),
            ("element vertex -3", "-3 elements"),
            ("element vertex 999999999", "999999999 elements"),
        ):
            with self.subTest(line), self.assertRaises(FileFormatError) as caught:
                read_tables(f"ply\nformat ascii 1.0\nelement v 1\n{line}\nend_header\n1\n".encode())
            self.assertIn(told, str(caught.exception))
        with self.assertRaises(FileFormatError):
            read_tables(b"ply\nelement v 0\nend_header\n")

    def test_a_whole_number_is_no_other(self) -> None:
        for word in ("1.5", "inf", "nan", "1e300"):
            with self.subTest(word), self.assertRaises(FileFormatError):
                read_tables(f"ply\nformat ascii 1.0\nelement v 1\nproperty int n\nend_header\n{word}\n".encode())

    @settings(deadline=None, max_examples=60, derandomize=True)
    @given(st.sampled_from([packed("<"), packed(">"), text()]), st.data())
    def test_nothing_but_a_sentence_comes_of_damage(self, data: bytes, draw: st.DataObject) -> None:
        damaged = bytearray(data)
        for _ in range(draw.draw(st.integers(1, 6))):
            damaged[draw.draw(st.integers(0, len(data) - 1))] = draw.draw(st.integers(0, 255))
        try:
            read_tables(bytes(damaged))
        except FileFormatError as error:
            self.assertTrue(str(error).endswith("."))


class Writing(unittest.TestCase):
    def test_what_is_written_comes_back(self) -> None:
        lists = Lists(np.array([3, 0, 5]), np.arange(8))
        vertex = {"x": np.array([0.1, -2.0]), "n": np.array([1, 2])}
        data = write_tables({"vertex": vertex, "face": {"ring": lists}}, ["one"])
        tables = read_tables(data)
        self.assertEqual(tables.comments, ("one",))
        self.assertEqual(tables.elements["vertex"]["x"].tolist(), [0.1, -2.0])  # type: ignore[union-attr]
        self.assertEqual(tables.elements["vertex"]["n"].tolist(), [1, 2])  # type: ignore[union-attr]
        ring = tables.elements["face"]["ring"]
        assert isinstance(ring, Lists)
        self.assertEqual((ring.sizes.tolist(), ring.flat.tolist()), ([3, 0, 5], list(range(8))))


if __name__ == "__main__":
    unittest.main()
