"""USD: the cage as a subdivision mesh with creases and corners (OpenUSD, UsdGeomMesh schema).

Points and sharpness are single precision there; ours are kept beside them in double, and count for as long as they agree.
"""

from __future__ import annotations

import re
import tempfile
from pathlib import Path
from typing import Any

import numpy as np

# Loaded with this module, on the main thread: the library waits for the interpreter's lock while it holds the loader's, so
# that loading it in one thread while another loads anything stops both for ever.
from pxr import Gf, Sdf, Tf, Usd, UsdGeom, Vt

from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages.loaded import Build, Loaded, cage_of
from zinc_otter.core.srgb import from_linear, to_linear

_PRECISE, _PRECISE_CREASES, _PRECISE_CORNERS = "precisePoints", "preciseCreases", "preciseCorners"
_MM = 0.001
Colour = tuple[float, float, float]


def write(cage: Cage, name: str, kind: str = "usda", colour: Colour | None = None) -> bytes:
    """A stage in millimetres, z up, with one mesh; ``kind`` is "usda" (text) or "usdc" (binary), ``colour`` is sRGB."""
    t = cage.topology
    stage = Usd.Stage.CreateInMemory(f"cage.{kind}")
    UsdGeom.SetStageMetersPerUnit(stage, _MM)
    UsdGeom.SetStageUpAxis(stage, UsdGeom.Tokens.z)
    mesh = UsdGeom.Mesh.Define(stage, f"/{_identifier(name)}")
    stage.SetDefaultPrim(mesh.GetPrim())
    mesh.CreatePointsAttr(Vt.Vec3fArray.FromNumpy(cage.positions.astype(np.float32)))
    mesh.CreateFaceVertexCountsAttr(Vt.IntArray.FromNumpy(t.face_sizes.astype(np.int32)))
    mesh.CreateFaceVertexIndicesAttr(Vt.IntArray.FromNumpy(t.face_verts.astype(np.int32)))
    mesh.CreateSubdivisionSchemeAttr(UsdGeom.Tokens.catmullClark)
    mesh.CreateInterpolateBoundaryAttr(UsdGeom.Tokens.edgeAndCorner)
    mesh.CreateExtentAttr(Vt.Vec3fArray.FromNumpy(cage.bounds.astype(np.float32)))
    sharp, corner = np.flatnonzero(cage.edge_sharpness > 0), np.flatnonzero(cage.vertex_sharpness > 0)
    if len(sharp):
        mesh.CreateCreaseIndicesAttr(Vt.IntArray.FromNumpy(t.edge_verts[sharp].ravel().astype(np.int32)))
        mesh.CreateCreaseLengthsAttr(Vt.IntArray.FromNumpy(np.full(len(sharp), 2, dtype=np.int32)))
        mesh.CreateCreaseSharpnessesAttr(Vt.FloatArray.FromNumpy(cage.edge_sharpness[sharp].astype(np.float32)))
    if len(corner):
        mesh.CreateCornerIndicesAttr(Vt.IntArray.FromNumpy(corner.astype(np.int32)))
        mesh.CreateCornerSharpnessesAttr(Vt.FloatArray.FromNumpy(cage.vertex_sharpness[corner].astype(np.float32)))
    prim = mesh.GetPrim()
    prim.SetDisplayName(name)
    if colour is not None:
        # Colours are linear there.
        linear = to_linear(colour).tolist()
        mesh.CreateDisplayColorAttr(Vt.Vec3fArray([Gf.Vec3f(*linear)]))
    points = prim.CreateAttribute(_PRECISE, Sdf.ValueTypeNames.Double3Array, custom=True)
    points.Set(Vt.Vec3dArray.FromNumpy(cage.positions))
    for key, values in ((_PRECISE_CREASES, cage.edge_sharpness[sharp]), (_PRECISE_CORNERS, cage.vertex_sharpness[corner])):
        prim.CreateAttribute(key, Sdf.ValueTypeNames.DoubleArray, custom=True).Set(Vt.DoubleArray.FromNumpy(values))
    taken: set[str] = set()
    for key, ids in cage.face_sets.items():
        # Two names may be one once they are spelled as the format wants it.
        plain = _identifier(key)
        own = next(one for one in (plain, *(f"{plain}_{i}" for i in range(2, 10_000))) if one not in taken)
        taken.add(own)
        subset = UsdGeom.Subset.Define(stage, mesh.GetPath().AppendChild(own))
        subset.CreateElementTypeAttr(UsdGeom.Tokens.face)
        subset.CreateIndicesAttr(Vt.IntArray.FromNumpy(ids.astype(np.int32)))
        subset.GetPrim().SetDisplayName(key)
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / f"cage.{kind}"
        stage.GetRootLayer().Export(str(path))
        return path.read_bytes()


def read(data: bytes, build: Build = cage_of) -> Loaded:
    """All meshes of a file as one cage, in millimetres, z up.

    Raises FileFormatError (no USD, no mesh, a file that leans on others), UnsoundCageError.
    """
    kind = "usdc" if data.startswith(b"PXR-USDC") else "usda" if data.lstrip().startswith(b"#usda") else ""
    if not kind:
        raise FileFormatError("This is no USD file: it begins neither as its text nor as its binary kind.")
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / f"cage.{kind}"
        path.write_bytes(data)
        try:
            layer = Sdf.Layer.FindOrOpen(str(path))
            if layer is None:
                raise FileFormatError("This USD file is broken.")
            if layer.GetExternalReferences():
                raise FileFormatError("This USD file leans on other files; save it as one file first.")
            stage = Usd.Stage.Open(layer)
        except Tf.ErrorException:
            # What the library says of it names its own source files.
            raise FileFormatError("This USD file is broken.") from None
        to_mm = UsdGeom.GetStageMetersPerUnit(stage) / _MM
        y_up = UsdGeom.GetStageUpAxis(stage) == UsdGeom.Tokens.y
        meshes = [UsdGeom.Mesh(prim) for prim in stage.Traverse() if prim.IsA(UsdGeom.Mesh)]
        if not meshes:
            raise FileFormatError("This USD file holds no mesh.")
        cages = [_cage(mesh, to_mm, y_up, build) for mesh in meshes]
        schemes = {str(mesh.GetSubdivisionSchemeAttr().Get() or "catmullClark") for mesh in meshes} - {"catmullClark"}
        name, colour = str(meshes[0].GetPrim().GetDisplayName() or ""), _colour(meshes[0])
    told = tuple(_SCHEMES.get(scheme, f"Its scheme is {scheme}; here it is Catmull-Clark's.") for scheme in sorted(schemes))
    if len(cages) == 1:
        return Loaded(cages[0], told, name, colour)
    return Loaded(joined(cages)[0], (f"{len(cages)} meshes were joined into one cage.", *told))


_SCHEMES = {
    "none": "The file means its faces as they are; here they are a smooth surface's cage. Crease what should stay sharp.",
    "loop": "The file means Loop's scheme, for triangles; here the surface is Catmull-Clark's, which differs a little.",
    "bilinear": "The file means flat faces; here they are a cage. Crease what should stay sharp.",
}


def _colour(mesh: Any) -> Colour | None:
    """The one colour of a mesh, as sRGB; None where it has none, or several."""
    values = mesh.GetDisplayColorAttr().Get()
    if values is None or len(values) != 1:
        return None
    r, g, b = (float(c) for c in from_linear([float(c) for c in values[0]]))
    return r, g, b


def _cage(mesh: Any, to_mm: float, y_up: bool, build: Build) -> Cage:
    points = np.asarray(mesh.GetPointsAttr().Get() or [], dtype=np.float64).reshape(-1, 3)
    points = _precisely(mesh, _PRECISE, points)
    matrix = np.asarray(UsdGeom.Xformable(mesh).ComputeLocalToWorldTransform(0))
    turn = np.array([[1.0, 0, 0], [0, 0, 1], [0, -1, 0]]) if y_up else np.eye(3)
    if not np.array_equal(matrix, np.eye(4)) or y_up or to_mm != 1.0:
        points = ((points @ matrix[:3, :3] + matrix[3, :3]) * to_mm) @ turn
    sizes = np.asarray(mesh.GetFaceVertexCountsAttr().Get() or [], dtype=np.int64)
    verts = np.asarray(mesh.GetFaceVertexIndicesAttr().Get() or [], dtype=np.int64)
    mirrors = np.linalg.det(matrix[:3, :3]) < 0
    if (mesh.GetOrientationAttr().Get() == UsdGeom.Tokens.leftHanded) != mirrors and len(sizes):
        verts = np.concatenate([ring[::-1] for ring in np.split(verts, np.cumsum(sizes)[:-1])])
    sharpness = _precisely(mesh, _PRECISE_CORNERS, _floats(mesh.GetCornerSharpnessesAttr()))
    corners = (_ints(mesh.GetCornerIndicesAttr()), sharpness)
    sets = {}
    for subset in UsdGeom.Subset.GetAllGeomSubsets(UsdGeom.Imageable(mesh)):
        prim = subset.GetPrim()
        called = prim.GetDisplayName() or prim.GetName()
        # Two may be shown under one name: none of them is lost for that.
        own = next(one for one in (called, *(f"{called} {i}" for i in range(2, 10_000))) if one not in sets)
        sets[own] = _ints(subset.GetIndicesAttr())
    return build(points, verts, sizes, _creases(mesh), corners, sets)


def _creases(mesh: Any) -> tuple[np.ndarray, Floats]:
    """Vertex pairs and sharpness: a crease of several edges has one value for all of them, or one for each."""
    verts, lengths = _ints(mesh.GetCreaseIndicesAttr()), _ints(mesh.GetCreaseLengthsAttr())
    values = _precisely(mesh, _PRECISE_CREASES, _floats(mesh.GetCreaseSharpnessesAttr()))
    if lengths.sum() != len(verts) or (lengths < 2).any() or len(values) not in (len(lengths), int((lengths - 1).sum())):
        raise FileFormatError("The creases of this USD file do not add up.")
    runs = np.split(verts, np.cumsum(lengths)[:-1]) if len(lengths) else []
    steps = [np.column_stack([run[:-1], run[1:]]) for run in runs]
    pairs = np.concatenate(steps) if steps else np.zeros((0, 2), dtype=np.int64)
    return pairs, np.repeat(values, lengths - 1) if len(values) == len(lengths) else values


def _precisely(mesh: Any, key: str, single: Floats) -> Floats:
    """Values as they were in double, for as long as the file's own ones are these in single precision."""
    attribute = mesh.GetPrim().GetAttribute(key)
    if not attribute or not attribute.HasValue():
        return single
    double = np.asarray(attribute.Get(), dtype=np.float64)
    if double.size != single.size:
        return single
    double = double.reshape(single.shape)
    return double if np.array_equal(double.astype(np.float32), single.astype(np.float32)) else single


def _ints(attribute: Any) -> np.ndarray:
    return np.asarray(attribute.Get() if attribute.HasValue() else [], dtype=np.int64)


def _floats(attribute: Any) -> Floats:
    return np.asarray(attribute.Get() if attribute.HasValue() else [], dtype=np.float64)


def _identifier(name: str) -> str:
    """A name as USD takes it: letters, digits and underscores, no digit first."""
    plain = re.sub(r"\W", "_", name, flags=re.ASCII) or "Cage"
    return f"_{plain}" if plain[0].isdigit() else plain
