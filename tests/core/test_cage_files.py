"""Cages in files: they come back equal; other libraries read them; broken ones are refused with a sentence."""

from __future__ import annotations

import io
import tempfile
import unittest
from pathlib import Path

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st
from pxr import Gf, Usd, UsdGeom
from scipy.spatial import cKDTree

from tests import sample_cages as cages
from tests.reference import opensubdiv
from zinc_otter.command_line import main
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError, FileFormatError
from zinc_otter.core.formats.cages import lost, read_cage, write_cage
from zinc_otter.core.surface import build_stencils, evaluate

FORMS = [cages.knob, cages.tray, cages.prism, lambda: cages.rimmed(2.3), lambda: cages.cornered(3.1, 0.7)]


def dressed(form: int, seed: int) -> Cage:
    """One of the sample cages with random creases, corners and face sets."""
    cage = FORMS[form]()
    rng = np.random.default_rng(seed)
    t = cage.topology
    edges = np.where(rng.random(t.edge_count) < 0.3, rng.uniform(0.01, 10, t.edge_count), 0)
    verts = np.where(rng.random(t.vertex_count) < 0.2, rng.uniform(0.01, 10, t.vertex_count), 0)
    sets = {"upper half": np.flatnonzero(rng.random(t.face_count) < 0.5), "3rd": [0]}
    return Cage(cage.positions, t, edges, verts, sets)


class RoundTrips(unittest.TestCase):
    @settings(deadline=None, max_examples=25, derandomize=True)
    @given(st.integers(0, len(FORMS) - 1), st.integers(0, 10**6), st.sampled_from(["ply", "usda", "usdc", "usd"]))
    def test_all_of_a_cage_comes_back_equal(self, form: int, seed: int, kind: str) -> None:
        cage = dressed(form, seed)
        self.assertEqual(read_cage(write_cage(cage, kind, "My cage"), kind).cage, cage)
        self.assertEqual(lost(cage, kind), ())

    def test_obj_holds_the_polygons_and_says_what_is_lost(self) -> None:
        cage = dressed(2, 4)
        back = read_cage(write_cage(cage, "obj"), "obj").cage
        self.assertEqual(back, Cage(cage.positions, cage.topology))
        self.assertEqual(lost(cage, ".OBJ"), ("creases", "face sets"))


class OtherReaders(unittest.TestCase):
    def test_usd_core_sees_a_subdivision_mesh_that_refines_to_ours(self) -> None:
        cage = dressed(3, 5)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "cage.usdc"
            path.write_bytes(write_cage(cage, "usdc", "Grip"))
            stage = Usd.Stage.Open(str(path))
            mesh = UsdGeom.Mesh(stage.GetDefaultPrim())
            self.assertEqual(stage.GetDefaultPrim().GetName(), "Grip")
            self.assertEqual(UsdGeom.GetStageMetersPerUnit(stage), 0.001)
            self.assertEqual(UsdGeom.GetStageUpAxis(stage), "Z")
            self.assertEqual(mesh.GetSubdivisionSchemeAttr().Get(), "catmullClark")
            self.assertEqual(mesh.GetInterpolateBoundaryAttr().Get(), "edgeAndCorner")
            verts, counts = mesh.GetFaceVertexIndicesAttr().Get(), mesh.GetFaceVertexCountsAttr().Get()
            self.assertTrue(UsdGeom.Mesh.ValidateTopology(verts, counts, len(mesh.GetPointsAttr().Get()))[0])
            # The mesh as the schema has it, refined by the independent library, is our surface.
            points = np.array(mesh.GetPointsAttr().Get(), dtype=np.float64)
            faces = np.split(np.array(verts), np.cumsum(counts)[:-1])
            theirs = Cage.from_faces(points, [face.tolist() for face in faces])
            pairs = np.array(mesh.GetCreaseIndicesAttr().Get()).reshape(-1, 2)
            sharp = np.zeros(theirs.topology.edge_count)
            for (a, b), value in zip(pairs, mesh.GetCreaseSharpnessesAttr().Get(), strict=True):
                at = np.flatnonzero((theirs.topology.edge_verts == sorted((a, b))).all(axis=1))
                sharp[at] = value
            corner = np.zeros(theirs.topology.vertex_count)
            corner[list(mesh.GetCornerIndicesAttr().Get())] = mesh.GetCornerSharpnessesAttr().Get()
            theirs = theirs.with_sharpness(sharp, corner)
        stencils = build_stencils(cage, 3)
        ours = stencils.refined(cage.positions)
        refined = opensubdiv.surface(theirs, 3).refined
        off, _ = cKDTree(refined).query(ours)
        self.assertLess(off.max() / np.abs(ours).max(), 1e-5)
        self.assertGreater(len(evaluate(stencils, cage).points), 100)

    def test_trimesh_reads_ply_and_obj(self) -> None:
        cage = cages.knob()
        for kind in ("ply", "obj"):
            mesh = trimesh.load(io.BytesIO(write_cage(cage, kind)), file_type=kind, process=False)
            self.assertEqual(len(mesh.vertices), cage.topology.vertex_count)
            self.assertEqual(len(mesh.faces), 2 * cage.topology.face_count)
            np.testing.assert_allclose(mesh.vertices, cage.positions, rtol=1e-6)

    def test_we_read_what_others_write(self) -> None:
        box = trimesh.creation.box((10, 20, 30))
        for kind in ("ply", "obj"):
            data = box.export(file_type=kind)
            cage = read_cage(data if isinstance(data, bytes) else data.encode(), kind).cage
            self.assertEqual((cage.topology.face_count, cage.topology.euler_characteristic), (12, 2))

    def test_units_up_axis_transforms_orientation_and_long_creases_of_usd(self) -> None:
        stage = Usd.Stage.CreateInMemory()
        UsdGeom.SetStageMetersPerUnit(stage, 0.01)
        UsdGeom.SetStageUpAxis(stage, UsdGeom.Tokens.y)
        for k, name in enumerate(("One", "Two")):
            mesh = UsdGeom.Mesh.Define(stage, f"/{name}")
            mesh.CreatePointsAttr([(0, 0, 0), (1, 0, 0), (1, 1, 0), (0, 1, 0), (2, 0, 0), (2, 1, 0)])
            mesh.CreateFaceVertexCountsAttr([4, 4])
            mesh.CreateFaceVertexIndicesAttr([0, 1, 2, 3, 1, 4, 5, 2])
            mesh.CreateCreaseIndicesAttr([3, 2, 5])
            mesh.CreateCreaseLengthsAttr([3])
            mesh.CreateCreaseSharpnessesAttr([4.0])
            mesh.CreateOrientationAttr(UsdGeom.Tokens.leftHanded)
            UsdGeom.XformCommonAPI(mesh).SetTranslate(Gf.Vec3d(0, 0, 5 * k))
        loaded = read_cage(stage.GetRootLayer().ExportToString().encode(), "usda")
        self.assertEqual(loaded.remarks, ("2 meshes were joined into one cage.",))
        cage = loaded.cage
        # 1 unit is 10 mm; y goes up to z, z comes towards us to -y.
        np.testing.assert_allclose(cage.bounds, [[0, -50, 0], [20, 0, 10]])
        self.assertEqual(np.count_nonzero(cage.edge_sharpness == 4.0), 4)
        # Left-handed faces that looked to +z in y-up looked away: now they look to +y.
        np.testing.assert_allclose(cage.face_normals, np.tile([0, 1, 0], (4, 1)), atol=1e-9)


class Broken(unittest.TestCase):
    def test_each_says_what_is_wrong(self) -> None:
        ply = write_cage(cages.knob(), "ply")
        usda = write_cage(cages.rimmed(3.0), "usda").decode()
        for kind, data, sentence in (
            ("ply", b"", "does not begin"),
            ("ply", ply[: len(ply) // 2], "no PLY"),
            ("ply", b"ply\nformat ascii 1.0\nelement vertex 99999999999\nend_header\n", "cannot hold"),
            ("ply", b"ply\nformat ascii 1.0\nelement vertex 1\nproperty float x\nend_header\n0\n", "no vertices with x"),
            ("usda", b"#usda 1.0\n(", "broken"),
            ("usdc", b"PXR-USDC" + b"\0" * 90, "broken"),
            ("usd", b"hello", "no USD"),
            ("usda", b"#usda 1.0\n", "no mesh"),
            ("usda", b"#usda 1.0\n(\n    subLayers = [@/etc/passwd@]\n)\n", "leans on other files"),
            ("usda", usda.replace("faceVertexIndices = [0", "faceVertexIndices = [900").encode(), "names vertex"),
            ("usda", usda.replace("int[] creaseLengths = [2", "int[] creaseLengths = [3").encode(), "do not add up"),
            ("obj", b"\xff\xfe", "no text file"),
            ("obj", b"v 0 0 0\nf 1 2 9\n", "Line 2"),
            ("xyz", b"", r"No cage is kept in \.xyz"),
        ):
            with self.subTest(kind=kind, data=data[:30]), self.assertRaisesRegex(FileFormatError, sentence):
                read_cage(data, kind)

    @settings(deadline=None, max_examples=60, derandomize=True)
    @given(st.sampled_from(["ply", "obj"]), st.integers(0, 10**6), st.integers(1, 12))
    def test_any_bytes_changed_are_a_cage_or_a_refusal(self, kind: str, seed: int, many: int) -> None:
        data = bytearray(write_cage(cages.prism(), kind))
        rng = np.random.default_rng(seed)
        for at in rng.integers(0, len(data), many):
            data[at] = int(rng.integers(0, 256))
        try:
            read_cage(bytes(data), kind)
        except CoreError as error:
            self.assertGreater(len(str(error)), 10)


class Convert(unittest.TestCase):
    def test_from_file_to_file(self) -> None:
        cage = dressed(1, 3)
        with tempfile.TemporaryDirectory() as folder:
            start = Path(folder) / "tray.usda"
            start.write_bytes(write_cage(cage, "usda"))
            for step in ("tray.ply", "tray.usdc", "tray.usda"):
                target = Path(folder) / step
                self.assertEqual(main(["convert", str(start), str(target)]), 0)
                start = target
            self.assertEqual(read_cage(start.read_bytes(), "usda").cage, cage)
            self.assertEqual(main(["convert", str(start), str(Path(folder) / "tray.obj")]), 0)
            self.assertEqual(main(["convert", str(start), str(Path(folder) / "tray.doc")]), 2)
            self.assertEqual(main(["convert", str(Path(folder) / "none.obj"), str(start)]), 2)


if __name__ == "__main__":
    unittest.main()
