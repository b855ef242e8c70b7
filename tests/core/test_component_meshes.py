"""Components from files of other tools' making (written by trimesh and lib3mf), refusals, and distances to them."""

from __future__ import annotations

import io
import struct
import tempfile
import unittest
import zipfile
from pathlib import Path

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.errors import BadNumberError, FileFormatError
from zinc_otter.core.formats.mesh import Mesh, read_mesh
from zinc_otter.core.proof.distance import MeshDistance


def sample(kind: str = "box") -> trimesh.Trimesh:
    if kind == "box":
        return trimesh.creation.box(extents=(30, 20, 10))
    return trimesh.creation.icosphere(subdivisions=3, radius=10)


def as_3mf(mesh: trimesh.Trimesh, unit: str = "MilliMeter") -> bytes:
    import lib3mf

    wrapper = lib3mf.get_wrapper()
    model = wrapper.CreateModel()
    model.SetUnit(getattr(lib3mf.ModelUnit, unit))
    thing = model.AddMeshObject()
    for point in mesh.vertices.tolist():
        position = lib3mf.Position()
        position.Coordinates = (lib3mf.ctypes.c_float * 3)(*point)
        thing.AddVertex(position)
    for corners in mesh.faces.tolist():
        triangle = lib3mf.Triangle()
        triangle.Indices = (lib3mf.ctypes.c_uint32 * 3)(*corners)
        thing.AddTriangle(triangle)
    model.AddBuildItem(thing, wrapper.GetIdentityTransform())
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "a.3mf"
        model.QueryWriter("3mf").WriteToFile(str(path))
        return path.read_bytes()


class Reading(unittest.TestCase):
    def test_each_format_gives_the_same_box(self) -> None:
        box = sample()
        metres = box.copy()
        metres.apply_transform([[0.001, 0, 0, 0], [0, 0, 0.001, 0], [0, -0.001, 0, 0], [0, 0, 0, 1]])
        files = {
            "stl": box.export(file_type="stl"),
            "obj": box.export(file_type="obj").encode(),
            "ply": box.export(file_type="ply"),
            "glb": metres.export(file_type="glb"),
            "3mf": as_3mf(box),
        }
        for kind, data in files.items():
            mesh = read_mesh(data, kind, "mm")
            np.testing.assert_allclose(np.ptp(mesh.vertices, axis=0), (30, 20, 10), rtol=1e-6, err_msg=kind)
            self.assertEqual((len(mesh.vertices), len(mesh.triangles)), (8, 12), kind)
            self.assertAlmostEqual(mesh.volume, 6000, delta=0.01)
            self.assertEqual((mesh.open_edge_count, mesh.notes), (0, ()), kind)

    def test_units(self) -> None:
        data = sample().export(file_type="stl")
        self.assertAlmostEqual(float(np.ptp(read_mesh(data, "stl", "in").vertices[:, 0])), 762, places=3)
        self.assertAlmostEqual(float(np.ptp(read_mesh(as_3mf(sample(), "Inch"), "3mf", None).vertices[:, 0])), 762, places=3)
        with self.assertRaisesRegex(BadNumberError, "STL files name no unit"):
            read_mesh(data, "stl", None)

    def test_a_text_stl(self) -> None:
        data = sample().export(file_type="stl_ascii").encode()
        self.assertEqual(len(read_mesh(data, "stl", "mm").triangles), 12)

    def test_turned_and_open_meshes_say_so(self) -> None:
        box = sample()
        box.invert()
        turned = read_mesh(box.export(file_type="stl"), "stl", "mm")
        self.assertGreater(turned.volume, 0)
        self.assertIn("looked inwards", turned.notes[0])
        gap = trimesh.Trimesh(sample().vertices, sample().faces[1:], process=False)
        self.assertIn("open along 3 edges", read_mesh(gap.export(file_type="stl"), "stl", "mm").notes[0])


class Refusals(unittest.TestCase):
    def test_bad_files_are_named(self) -> None:
        box = sample()
        stl = bytearray(box.export(file_type="stl"))
        struct.pack_into("<f", stl, 84 + 12, float("nan"))
        far = box.copy()
        far.apply_scale(1e9)
        header = b"ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\n"
        for kind, data, sentence in (
            ("stl", bytes(stl), "no numbers"),
            ("stl", b"\0" * 80 + struct.pack("<I", 0), "no faces"),
            ("stl", b"\0" * 80 + struct.pack("<I", 5_000_000), "does not fit"),
            ("stl", b"solid" + b"\nfacet normal" * 5_000_001, "5,000,001 faces"),
            ("stl", b"just a letter", "does not fit"),
            ("obj", b"v 1 2 3\n", "no faces"),
            ("obj", b"\0\1\2" * 9, "no text"),
            ("obj", b"v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 9\n", "."),
            ("ply", header + b"element face 5000001\nproperty list uchar int corners\nend_header\n", "5,000,001 faces"),
            ("ply", header.replace(b"3", b"999999999", 1) + b"element face 1\nend_header\n", "too many"),
            ("ply", b"poly", "no header"),
            ("glb", b"glTF" + b"\0" * 40, "no description"),
            ("glb", b"nothing", "does not begin"),
            ("3mf", b"PK nothing", "no such container"),
            ("exe", b"MZ", "none of these"),
            ("stl", far.export(file_type="stl"), "further than a kilometre"),
        ):
            with self.assertRaisesRegex(FileFormatError, sentence, msg=f"{kind} {sentence}"):
                read_mesh(data, kind, "mm")

    def test_a_container_that_unpacks_to_too_much(self) -> None:
        held = io.BytesIO()
        with zipfile.ZipFile(held, "w", zipfile.ZIP_DEFLATED) as box:
            for number in range(5):
                box.writestr(f"3D/{number}.model", b"<model>" + b" " * 90_000_000)
        self.assertLess(len(held.getvalue()), 1_000_000)
        with self.assertRaisesRegex(FileFormatError, "unpacks to more"):
            read_mesh(held.getvalue(), "3mf", None)

    def test_entities_have_no_place(self) -> None:
        held = io.BytesIO()
        with zipfile.ZipFile(held, "w") as box:
            box.writestr("3D/3dmodel.model", b'<!DOCTYPE m [<!ENTITY a "b">]><model><triangle v1="0"/></model>')
        with self.assertRaisesRegex(FileFormatError, "entities"):
            read_mesh(held.getvalue(), "3mf", None)

    @settings(max_examples=60, deadline=None)
    @given(st.sampled_from(["stl", "obj", "ply", "glb", "3mf"]), st.binary(max_size=300), st.integers(0, 400))
    def test_any_bytes_are_a_mesh_or_a_refusal(self, kind: str, noise: bytes, cut: int) -> None:
        good = {"stl": "stl", "obj": "obj", "ply": "ply", "glb": "glb", "3mf": "glb"}[kind]
        data = sample().export(file_type=good)
        whole = data.encode() if isinstance(data, str) else data
        for attempt in (noise, whole[:cut] + noise + whole[cut:], whole[:cut]):
            try:
                self.assertGreater(len(read_mesh(attempt, kind, "mm").triangles), 0)
            except FileFormatError as error:
                self.assertTrue(str(error).endswith("."))


class Distances(unittest.TestCase):
    def measured(self, mesh: trimesh.Trimesh) -> MeshDistance:
        return MeshDistance(np.asarray(mesh.vertices), np.asarray(mesh.faces))

    def test_from_a_box_by_hand(self) -> None:
        distance, nearest = self.measured(sample()).signed(
            np.array([[20, 0, 0], [0, 0, 0], [15, 10, 7], [18, 14, 5], [14, 0, 0], [15, 0, 0.0]])
        )
        np.testing.assert_allclose(distance, [5, -5, 2, 5, -1, 0], atol=1e-12)
        np.testing.assert_allclose(nearest[0], (15, 0, 0))

    def test_against_brute_force_over_all_triangles(self) -> None:
        from zinc_otter.core.proof.distance import nearest_on_triangles

        mesh = trimesh.creation.annulus(4, 9, 12)
        points = np.random.default_rng(3).uniform(-15, 15, (300, 3))
        distance, nearest = self.measured(mesh).signed(points)
        for point, d, at in zip(points, distance, nearest, strict=True):
            corners = np.asarray(mesh.triangles)
            there, _ = nearest_on_triangles(np.broadcast_to(point, (len(corners), 3)), corners)
            best = np.linalg.norm(there - point, axis=1).min()
            self.assertAlmostEqual(abs(d), best, places=9)
            self.assertAlmostEqual(float(np.linalg.norm(at - point)), best, places=9)

    def test_the_sign_against_the_cone_written_out(self) -> None:
        """Near sharp edges and the tip the pseudonormal must agree with the inequality that the cone is."""
        mesh = trimesh.creation.cone(6, 14, sections=9)
        points = np.random.default_rng(4).uniform(-9, 16, (400, 3))
        distance, _ = self.measured(mesh).signed(points)
        x, y, z = points.T
        turn = np.pi / 9
        # The cone over a regular nonagon, written out: inside where the height allows the distance from the axis.
        corners = np.asarray(mesh.vertices)[np.abs(mesh.vertices[:, 2]) < 1e-9]
        phase = np.arctan2(corners[:, 1], corners[:, 0])[np.hypot(corners[:, 0], corners[:, 1]) > 1][0]
        angle = (np.arctan2(y, x) - phase) % (2 * turn) - turn
        apothem = 6 * np.cos(turn) * (1 - z / 14)
        inside = (z > 0) & (z < 14) & (np.hypot(x, y) * np.cos(angle) < apothem)
        clear = np.abs(distance) > 1e-6
        np.testing.assert_array_equal((distance < 0)[clear], inside[clear])

    def test_a_sphere_far_and_near(self) -> None:
        found, _ = self.measured(sample("sphere")).signed(np.array([[0, 0, 500.0], [0, 25, 0], [0.1, 0, 0]]))
        np.testing.assert_allclose(found, [490, 15, -9.9], atol=0.12)

    def test_meshes_of_one_large_and_many_small_triangles(self) -> None:
        fine = trimesh.creation.icosphere(subdivisions=4, radius=1)
        plate = trimesh.creation.box(extents=(400, 400, 1))
        plate.apply_translation((0, 0, -10))
        both = trimesh.util.concatenate([fine, plate])
        found, _ = self.measured(both).signed(np.array([[150, 150, 0], [0, 0, 4], [199, 0, -9]]))
        np.testing.assert_allclose(found, [9.5, 3, 0.5], atol=5e-3)


class Values(unittest.TestCase):
    def test_a_mesh_knows_its_volume_and_gaps(self) -> None:
        box = sample()
        mesh = Mesh(np.asarray(box.vertices), np.asarray(box.faces))
        self.assertAlmostEqual(mesh.volume, 6000)
        self.assertEqual(mesh.open_edge_count, 0)
