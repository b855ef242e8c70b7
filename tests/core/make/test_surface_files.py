"""Closed surfaces out to files, each read back by a library that had no part in writing it."""

from __future__ import annotations

import io
import unittest
from xml.etree import ElementTree

import lib3mf
import manifold3d
import numpy as np
import trimesh

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.outline import write_outline
from zinc_otter.core.formats.surfaces import KINDS, Appearance, write_surface
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.tessellation import Triangles, tessellate

LOOK = Appearance("Grip é", CLAYS["brick"])


def bored() -> Triangles:
    solid = manifold3d.Manifold.cube((30, 20, 10), True) - manifold3d.Manifold.cylinder(20, 4, 4, 64, True)
    mesh = solid.translate((5, 6, 7)).to_mesh64()
    return Triangles(np.asarray(mesh.vert_properties)[:, :3], np.asarray(mesh.tri_verts).astype(np.int64), 0.0)


class ReadBack(unittest.TestCase):
    def test_every_kind_comes_back_watertight_with_its_volume(self) -> None:
        made = bored()
        for kind in KINDS:
            data = write_surface(kind, made, LOOK)
            mesh = read_mesh(data, kind, None if kind in ("glb", "3mf") else "mm")
            self.assertEqual(mesh.open_edge_count, 0, kind)
            self.assertAlmostEqual(mesh.volume / made.volume, 1, delta=1e-5, msg=kind)
            np.testing.assert_allclose(mesh.vertices.mean(axis=0), made.points.mean(axis=0), atol=0.5, err_msg=kind)

    def test_the_size_that_is_told_beforehand_is_about_the_file_s(self) -> None:
        made = tessellate(box((30, 20, 10), (3, 2, 2)), 0.01)
        for kind, about in KINDS.items():
            size = len(write_surface(kind, made, LOOK))
            self.assertAlmostEqual(about.bytes_each * len(made.triangles) / size, 1, delta=0.45, msg=kind)

    def test_stl_is_a_solid_for_the_mesh_library(self) -> None:
        # Binary STL: 80 bytes, a count, 50 bytes a facet (the StereoLithography interface specification, 1989).
        data = write_surface("stl", bored(), LOOK)
        facets = np.frombuffer(data, np.dtype([("n", "<f4", 3), ("p", "<f4", (3, 3)), ("a", "<u2")]), offset=84)
        points, index = np.unique(facets["p"].reshape(-1, 3), axis=0, return_inverse=True)
        solid = manifold3d.Manifold(
            manifold3d.Mesh64(points.astype(np.float64), index.reshape(-1, 3).astype(np.uint64))
        )
        self.assertEqual(solid.status(), manifold3d.Error.NoError)
        self.assertAlmostEqual(solid.volume() / bored().volume, 1, delta=1e-6)

    def test_3mf_says_millimetres_name_and_colour(self) -> None:
        wrapper = lib3mf.get_wrapper()
        model = wrapper.CreateModel()
        model.QueryReader("3mf").ReadFromBuffer(write_surface("3mf", bored(), LOOK))
        self.assertEqual(model.GetUnit(), lib3mf.ModelUnit.MilliMeter)
        objects = model.GetMeshObjects()
        self.assertTrue(objects.MoveNext())
        mesh = objects.GetCurrentMeshObject()
        self.assertEqual(mesh.GetName(), "Grip é")
        self.assertTrue(mesh.IsManifoldAndOriented())
        group, number, _ = mesh.GetObjectLevelProperty()
        colour = model.GetBaseMaterialGroupByID(group).GetDisplayColor(number)
        for value, expected in zip((colour.Red, colour.Green, colour.Blue), CLAYS["brick"], strict=True):
            self.assertAlmostEqual(value / 255, expected, delta=0.003)

    def test_glb_stands_upright_in_metres_with_normals_and_a_material(self) -> None:
        # Khronos glTF 2.0, 3.4: metres, +Y up.
        scene = trimesh.load_scene(io.BytesIO(write_surface("glb", bored(), LOOK)), file_type="glb", process=False)
        (mesh,) = scene.geometry.values()
        np.testing.assert_allclose(mesh.bounds, [[-0.010, 0.002, -0.016], [0.020, 0.012, 0.004]], atol=1e-7)
        flat = np.abs(mesh.vertex_normals).max(axis=1) > 0.999
        np.testing.assert_allclose(np.linalg.norm(mesh.vertex_normals, axis=1), 1, atol=1e-5)
        # Box faces have one normal each; the bore is round: across the axis all of its normals look towards it.
        self.assertGreaterEqual(np.count_nonzero(flat), 24)
        x, y = mesh.vertices[:, 0] - 0.005, -mesh.vertices[:, 2] - 0.006
        bore = (np.hypot(x, y) < 0.0041) & (np.abs(mesh.vertex_normals[:, 1]) < 0.5)
        self.assertGreater(np.count_nonzero(bore), 100)
        inwards = -np.column_stack([x, np.zeros(len(x)), -y])[bore] / 0.004
        np.testing.assert_allclose(mesh.vertex_normals[bore], inwards, atol=0.06)
        self.assertAlmostEqual(mesh.visual.material.metallicFactor, 0.0)

    def test_a_kind_that_there_is_not_is_refused_with_those_that_there_are(self) -> None:
        with self.assertRaisesRegex(FileFormatError, "stl, 3mf"):
            write_surface("xyz", bored(), LOOK)


class Outlines(unittest.TestCase):
    def test_a_bored_block_from_three_sides_at_full_size(self) -> None:
        for view, width, height, holes in (("front", 30, 10, 0), ("right", 20, 10, 0), ("top", 30, 20, 1)):
            drawing = ElementTree.fromstring(write_outline(bored(), view, "Block & bore"))  # type: ignore[arg-type]
            self.assertEqual(drawing.get("width"), f"{width + 2:.4f}mm")
            self.assertEqual(drawing.get("height"), f"{height + 2:.4f}mm")
            path = drawing.find("{http://www.w3.org/2000/svg}path")
            assert path is not None
            rings = [
                np.array([[float(n) for n in at.split(",")] for at in ring.strip(" MZ").split(" L")])
                for ring in path.get("d", "").split("Z")
                if ring.strip()
            ]
            self.assertEqual(len(rings), 1 + holes)
            turned = [(r, np.roll(r, -1, axis=0)) for r in rings]
            area = abs(sum(0.5 * float((a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0]).sum()) for a, b in turned))
            # A circle of 64 sides: n / 2 r^2 sin(2 pi / n).
            self.assertAlmostEqual(area, width * height - holes * 32 * 16 * np.sin(2 * np.pi / 64), delta=0.01)

    def test_up_is_up(self) -> None:
        cone = manifold3d.Manifold.cylinder(10, 5, 0.5, 32).to_mesh64()
        made = Triangles(np.asarray(cone.vert_properties)[:, :3], np.asarray(cone.tri_verts).astype(np.int64), 0.0)
        path = ElementTree.fromstring(write_outline(made, "front", "Cone")).find("{http://www.w3.org/2000/svg}path")
        assert path is not None
        points = np.array([[float(n) for n in at.split(",")] for at in path.get("d", "").strip(" MZ").split(" L")])
        top = points[points[:, 1] < 2]
        self.assertLess(float(np.ptp(top[:, 0])), 1.1)
