"""Triangles, STL and OBJ, read back by code that is not the project's own."""

from __future__ import annotations

import struct
import unittest

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.errors import BadNumberError, FileFormatError, UnsoundCageError
from zinc_otter.core.formats.obj import read_obj, write_obj
from zinc_otter.core.formats.stl import write_stl
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.solid.tessellation import split_quads, tessellate
from zinc_otter.core.surface import build_stencils, evaluate


class Tessellation(unittest.TestCase):
    def test_every_edge_has_two_triangles_that_run_against_each_other(self) -> None:
        mesh = tessellate(cages.knob(), 0.05)
        a, b = mesh.triangles.ravel(), np.roll(mesh.triangles, -1, axis=1).ravel()
        forward = set(zip(a.tolist(), b.tolist(), strict=True))
        self.assertEqual(len(forward), len(a))
        self.assertTrue(all((w, v) in forward for v, w in forward))

    def test_the_chord_keeps_its_tolerance(self) -> None:
        cage = cages.knob()
        dense = evaluate(build_stencils(cage, 6), cage).points
        for tolerance in (0.5, 0.05, 0.01):
            mesh = tessellate(cage, tolerance)
            self.assertLessEqual(mesh.chord, tolerance)
            # Checked from the other side: no dense surface point is far from the nearest triangle's plane.
            corners = mesh.points[mesh.triangles]
            middles = corners.mean(axis=1)
            normals = np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0])
            normals /= np.linalg.norm(normals, axis=1, keepdims=True)
            some = dense[:: len(dense) // 300]
            nearest = ((some[:, None] - middles[None]) ** 2).sum(axis=2).argmin(axis=1)
            height = np.abs(((some - middles[nearest]) * normals[nearest]).sum(axis=1))
            self.assertLess(np.quantile(height, 0.98), 2 * tolerance)

    def test_finer_means_more(self) -> None:
        self.assertGreater(len(tessellate(cages.knob(), 0.01).triangles), len(tessellate(cages.knob(), 0.3).triangles))

    def test_quads_are_split_along_the_shorter_diagonal(self) -> None:
        points = np.array([[0.0, 0, 0], [1, 0, 0], [3, 3, 0], [0, 1, 0]])
        triangles = split_quads(points, np.array([[0, 1, 2, 3]]))
        self.assertTrue(all({1, 3} <= set(triangle) for triangle in triangles.tolist()))

    def test_wrong_tolerances(self) -> None:
        for tolerance in (0, -1, np.nan, np.inf):
            with self.assertRaises(BadNumberError):
                tessellate(cages.knob(), tolerance)
        with self.assertRaisesRegex(BadNumberError, "within reach"):
            tessellate(cages.jittered(box((500, 500, 500), (6, 6, 6)), 20), 1e-5)


class Stl(unittest.TestCase):
    # The StereoLithography interface specification, 3D Systems, 1989: read here byte by byte.
    def test_layout(self) -> None:
        mesh = tessellate(cages.knob(), 0.1)
        data = write_stl(mesh, "knob é")
        self.assertFalse(data.startswith(b"solid"))
        (count,) = struct.unpack_from("<I", data, 80)
        self.assertEqual(count, len(mesh.triangles))
        self.assertEqual(len(data), 84 + 50 * count)
        for i in (0, count // 2, count - 1):
            values = struct.unpack_from("<12fH", data, 84 + 50 * i)
            corners = np.array(values[3:12]).reshape(3, 3)
            np.testing.assert_allclose(corners, mesh.points[mesh.triangles[i]], rtol=1e-5, atol=1e-5)
            normal = np.cross(corners[1] - corners[0], corners[2] - corners[0])
            np.testing.assert_allclose(values[:3], normal / np.linalg.norm(normal), atol=1e-3)
            self.assertEqual(values[12], 0)

    def test_the_volume_of_the_file_is_the_volume_of_the_form(self) -> None:
        mesh = tessellate(cages.rimmed(10), 0.01)
        data = write_stl(mesh)
        facets = np.frombuffer(data, dtype=np.dtype([("n", "<f4", 3), ("p", "<f4", (3, 3)), ("a", "<u2")]), offset=84)
        a, b, c = np.moveaxis(facets["p"].astype(np.float64), 1, 0)
        self.assertAlmostEqual(np.einsum("ij,ij->", a, np.cross(b, c)) / 6 / mesh.volume, 1, places=5)


class Obj(unittest.TestCase):
    def test_there_and_back(self) -> None:
        cage = cages.knob()
        text = write_obj(cage.positions, cage.topology.face_verts.reshape(-1, 4))
        self.assertEqual(read_obj(text), cages.Cage.from_faces(cage.positions, cage.topology.face_verts.reshape(-1, 4)))

    def test_what_files_in_the_wild_hold(self) -> None:
        text = """# a comment
o thing
v 0 0 0 1.0
v 1 0 0  # trailing
vn 0 0 1
v 1 1 0
v 0 1 0
f 1/1/1 2//1 3 -1
"""
        cage = read_obj(text)
        self.assertEqual(cage.topology.face_verts.tolist(), [0, 1, 2, 3])

    def test_a_wrong_line_is_named(self) -> None:
        for text, line in (("v 1 2\n", 1), ("v 0 0 0\nv a b c\n", 2), ("v 0 0 0\nf 1 2 3\n", 2), ("v 0 0 0\nf 0 1 1\n", 2),
                           ("v 0 0 0\nf\n", 2)):  # fmt: skip
            with self.assertRaisesRegex(FileFormatError, f"Line {line} "):
                read_obj(text)
        with self.assertRaisesRegex(FileFormatError, "no faces"):
            read_obj("v 0 0 0\n")
        with self.assertRaises(UnsoundCageError):
            read_obj("v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 3\nf 1 2 3\n")

    def test_a_plane_is_written_with_all_digits(self) -> None:
        sheet = plane((1, 1 / 3), (1, 1))
        self.assertIn(repr(float(sheet.positions[1, 1])), write_obj(sheet.positions, np.array([[0, 2, 3, 1]])))
