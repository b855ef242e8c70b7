"""A B-rep whose faces know what made them, through booleans, fillets and motions."""

from __future__ import annotations

import tempfile
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from functools import cached_property
from pathlib import Path
from typing import Any

import numpy as np
from OCP.BinTools import BinTools
from OCP.Bnd import Bnd_Box
from OCP.BRep import BRep_Builder, BRep_Tool
from OCP.BRepAdaptor import BRepAdaptor_Curve, BRepAdaptor_Surface
from OCP.BRepBndLib import BRepBndLib
from OCP.BRepBuilderAPI import BRepBuilderAPI_Transform
from OCP.BRepLProp import BRepLProp_SLProps
from OCP.BRepMesh import BRepMesh_IncrementalMesh
from OCP.collections import (
    IndexedDataMap_TopoDS_Shape_List_TopoDS_Shape_TopTools_ShapeMapHasher as ShapeListMap,
)
from OCP.gp import gp_Pnt, gp_Trsf, gp_Vec
from OCP.ShapeAnalysis import ShapeAnalysis_ShapeTolerance
from OCP.TopAbs import TopAbs_Orientation, TopAbs_ShapeEnum
from OCP.TopExp import TopExp, TopExp_Explorer
from OCP.TopLoc import TopLoc_Location
from OCP.TopoDS import TopoDS, TopoDS_Compound, TopoDS_Edge, TopoDS_Face, TopoDS_Shape

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.solid.mesh.body import Name
from zinc_otter.core.solid.moments import Moments, moments


@dataclass(frozen=True, eq=False)
class NamedShape:
    """A shape in mm; ``names`` holds what made each of its faces, in the order of ``faces_of``."""

    shape: TopoDS_Shape
    names: tuple[Name, ...]

    def __getstate__(self) -> tuple[bytes, tuple[Name, ...]]:
        with tempfile.TemporaryDirectory(prefix="zinc-otter-kernel-") as folder:
            path = Path(folder) / "shape"
            BinTools.Write_s(self.shape, str(path))
            return path.read_bytes(), self.names

    def __setstate__(self, state: tuple[bytes, tuple[Name, ...]]) -> None:
        shape = TopoDS_Shape()
        with tempfile.TemporaryDirectory(prefix="zinc-otter-kernel-") as folder:
            path = Path(folder) / "shape"
            path.write_bytes(state[0])
            BinTools.Read_s(shape, str(path))
        object.__setattr__(self, "shape", shape)
        object.__setattr__(self, "names", state[1])

    def moved(self, matrix: Floats) -> NamedShape:
        """Under a motion, a mirroring or a scaling: the upper 3 by 4 part of a matrix."""
        motion = gp_Trsf()
        motion.SetValues(*np.asarray(matrix, dtype=np.float64)[:3, :4].ravel().tolist())
        return NamedShape(BRepBuilderAPI_Transform(self.shape, motion, True).Shape(), self.names)

    def renamed(self, name: Name) -> NamedShape:
        return NamedShape(self.shape, (name,) * len(self.names))


def one_name(shape: TopoDS_Shape, name: Name) -> NamedShape:
    return NamedShape(shape, (name,) * len(faces_of(shape)))


def parts_of(shape: TopoDS_Shape, kind: TopAbs_ShapeEnum) -> list[TopoDS_Shape]:
    """All parts of a kind, each once, in the explorer's order, which survives writing and reading."""
    found = _Same()
    explorer = TopExp_Explorer(shape, kind)
    while explorer.More():
        found.get(explorer.Current(), True)
        explorer.Next()
    return found.keys()


def faces_of(shape: TopoDS_Shape) -> list[TopoDS_Face]:
    return [TopoDS.Face(face) for face in parts_of(shape, TopAbs_ShapeEnum.TopAbs_FACE)]


def solids_of(shape: TopoDS_Shape) -> list[TopoDS_Shape]:
    return parts_of(shape, TopAbs_ShapeEnum.TopAbs_SOLID)


def compound(shapes: Sequence[TopoDS_Shape]) -> TopoDS_Shape:
    """The shapes side by side; one alone stays what it is."""
    if len(shapes) == 1:
        return shapes[0]
    whole = TopoDS_Compound()
    builder = BRep_Builder()
    builder.MakeCompound(whole)
    for shape in shapes:
        builder.Add(whole, shape)
    return whole


class _Same:
    """Things by shape: two shapes are the same when they share geometry and place, whichever way round they are."""

    def __init__(self) -> None:
        self._found: dict[int, list[tuple[TopoDS_Shape, Any]]] = {}
        self._order: list[TopoDS_Shape] = []

    def get(self, shape: TopoDS_Shape, otherwise: Any) -> Any:
        """What is kept for a shape; if nothing is, ``otherwise`` is kept for it."""
        kept = self._found.setdefault(hash(shape), [])
        for other, value in kept:
            if other.IsSame(shape):
                return value
        kept.append((shape, otherwise))
        self._order.append(shape)
        return otherwise

    def keys(self) -> list[TopoDS_Shape]:
        return list(self._order)


def named_after(operation: Any, inputs: Iterable[NamedShape], result: TopoDS_Shape, new: Name) -> NamedShape:
    """The result of an operation that keeps a history; faces that come from no input bear the name ``new``."""
    known = _Same()
    for body in inputs:
        for face, name in zip(faces_of(body.shape), body.names, strict=True):
            modified = list(operation.Modified(face))
            for piece in modified:
                known.get(piece, name)
            if not modified and not operation.IsDeleted(face):
                known.get(face, name)
    return NamedShape(result, tuple(known.get(face, new) for face in faces_of(result)))


# --- edges by name ----------------------------------------------------------------------------------------------------


def edges_between(body: NamedShape, names: tuple[Name, Name]) -> list[TopoDS_Edge]:
    """Edges whose two faces bear these names and meet at an angle: of more than 10 degrees for a name with itself, else of
    more than a half, for faces that are flush have no edge between them."""
    wanted = tuple(sorted(names))
    least = 10.0 if names[0] == names[1] else 0.5
    return [
        edge
        for edge, (one, other), own in _edges_with_sides(body)
        if own == wanted and _bend(edge, one, other) > least
    ]


def _edges_with_sides(
    body: NamedShape,
) -> Iterator[tuple[TopoDS_Edge, tuple[TopoDS_Face, TopoDS_Face], tuple[Name, ...]]]:
    """Edges between two faces, with these and their names in alphabetical order."""
    name_of = _Same()
    for face, name in zip(faces_of(body.shape), body.names, strict=True):
        name_of.get(face, name)
    around = ShapeListMap()
    TopExp.MapShapesAndUniqueAncestors_s(
        body.shape, TopAbs_ShapeEnum.TopAbs_EDGE, TopAbs_ShapeEnum.TopAbs_FACE, around
    )
    for i in range(1, around.Extent() + 1):
        edge = TopoDS.Edge(around.FindKey(i))
        faces = [TopoDS.Face(face) for face in around.FindFromIndex(i)]
        if len(faces) == 2 and not BRep_Tool.Degenerated_s(edge):
            yield edge, (faces[0], faces[1]), tuple(sorted(name_of.get(face, "") for face in faces))


def has_flush_faces(body: NamedShape) -> bool:
    """Whether somewhere faces that different things made meet without an angle."""
    return any(len(set(own)) > 1 and _bend(edge, *sides) < 0.5 for edge, sides, own in _edges_with_sides(body))


def crowded_edges(body: NamedShape) -> list[tuple[TopoDS_Edge, int]]:
    """Edges that more than two faces meet at, and how many do."""
    around = ShapeListMap()
    TopExp.MapShapesAndUniqueAncestors_s(
        body.shape, TopAbs_ShapeEnum.TopAbs_EDGE, TopAbs_ShapeEnum.TopAbs_FACE, around
    )
    counts = [(i, around.FindFromIndex(i).Size()) for i in range(1, around.Extent() + 1)]
    return [(TopoDS.Edge(around.FindKey(i)), count) for i, count in counts if count > 2]


def sharp_edges(body: NamedShape) -> list[TopoDS_Edge]:
    """Edges whose two faces meet at over 10 degrees, whatever made them."""
    return [
        edge
        for edge, (one, other), _ in _edges_with_sides(body)
        if _bend(edge, one, other) > 10
    ]


def _bend(edge: TopoDS_Edge, one: TopoDS_Face, other: TopoDS_Face) -> float:
    """Degrees between the normals of two faces in the middle of their edge."""
    normals = [look_along(edge, face, [0.5])[1][0] for face in (one, other)]
    return float(np.degrees(np.arccos(np.clip(normals[0] @ normals[1], -1, 1))))


def look_ends(edge: TopoDS_Edge) -> Floats:
    """(2, 3) where an edge begins and ends, in its own direction."""
    points = []
    for vertex in (TopExp.FirstVertex_s(edge, True), TopExp.LastVertex_s(edge, True)):
        at = BRep_Tool.Pnt_s(vertex)
        points.append([at.X(), at.Y(), at.Z()])
    return np.array(points)


def points_on(edge: TopoDS_Edge, count: int = 9) -> Floats:
    """(count, 3) points along an edge, its ends among them."""
    curve = BRepAdaptor_Curve(edge)
    at = np.linspace(curve.FirstParameter(), curve.LastParameter(), count)
    return np.array([(p.X(), p.Y(), p.Z()) for p in (curve.Value(float(u)) for u in at)])


def sides_of(body: NamedShape, edge: TopoDS_Edge) -> list[TopoDS_Face]:
    """The faces that an edge belongs to."""
    return [f for f in faces_of(body.shape) if any(e.IsSame(edge) for e in parts_of(f, TopAbs_ShapeEnum.TopAbs_EDGE))]


def bend_at(body: NamedShape, edge: TopoDS_Edge) -> float:
    """Degrees between the normals of the two faces in the middle of an edge."""
    one, other = sides_of(body, edge)
    return _bend(edge, one, other)


def is_hollow_edge(body: NamedShape, edge: TopoDS_Edge) -> bool:
    """Whether the two faces at an edge meet in a hollow corner, seen from outside, and not on a ridge."""
    sides = sides_of(body, edge)
    if len(sides) != 2:
        return False
    (at, normal, _), (_, other, _) = (look_along(edge, face, [0.5]) for face in sides)
    # Into a face, square to the edge: along the loop of the face its inside lies to the left, seen from outside.
    first, last = BRep_Tool.Range_s(edge)
    curve = BRepAdaptor_Curve(edge)
    middle, along = gp_Pnt(), gp_Vec()
    curve.D1((first + last) / 2, middle, along)
    way = np.array([along.X(), along.Y(), along.Z()])
    for own in parts_of(sides[1], TopAbs_ShapeEnum.TopAbs_EDGE):
        if own.IsSame(edge):
            turned = own.Orientation() == TopAbs_Orientation.TopAbs_REVERSED
            way = -way if turned else way
    into = np.cross(other[0], way)
    return bool(normal[0] @ into > 0)


def reach_of(body: NamedShape) -> float:
    """No less than the diagonal of the body in mm: by its poles, quick and somewhat too large."""
    box = Bnd_Box()
    BRepBndLib.Add_s(body.shape, box, False)
    low, high = box.CornerMin(), box.CornerMax()
    return float(np.linalg.norm([high.X() - low.X(), high.Y() - low.Y(), high.Z() - low.Z()]))


def extent(body: NamedShape) -> Floats:
    """(3,) size in mm, by triangles within 1/10,000 of it."""
    points = triangulated(body, reach_of(body) * 1e-4).points
    return np.asarray(np.ptp(points, axis=0))


def look_along(edge: TopoDS_Edge, face: TopoDS_Face, shares: Sequence[float]) -> tuple[Floats, Floats, Floats]:
    """Points (k, 3), unit normals outwards (k, 3), and smallest radii of curvature (k,) in mm of a face along its edge."""
    surface = BRepAdaptor_Surface(face)
    sign = -1.0 if face.Orientation() == TopAbs_Orientation.TopAbs_REVERSED else 1.0
    first, last = BRep_Tool.Range_s(edge)
    line = BRep_Tool.CurveOnSurface_s(edge, face, first, last)
    points, normals, radii = [], [], []
    for share in shares:
        at = line.Value(first + share * (last - first))
        look = BRepLProp_SLProps(surface, at.X(), at.Y(), 2, 1e-7)
        p = look.Value()
        points.append([p.X(), p.Y(), p.Z()])
        if look.IsNormalDefined():
            n = look.Normal()
            normals.append([sign * n.X(), sign * n.Y(), sign * n.Z()])
        else:
            normals.append([0.0, 0.0, 0.0])
        bend = max(abs(look.MaxCurvature()), abs(look.MinCurvature())) if look.IsCurvatureDefined() else 0.0
        radii.append(1 / bend if bend > 1e-9 else np.inf)
    return np.array(points), np.array(normals), np.array(radii)


# --- triangles --------------------------------------------------------------------------------------------------------


@dataclass(frozen=True, eq=False)
class ShapeTriangles:
    """A shape as triangles to be drawn: points (n, 3) mm and normals (n, 3) for each face apart."""

    points: Floats
    normals: Floats
    triangles: Ints
    made_by: Ints
    names: tuple[Name, ...]

    @cached_property
    def moments(self) -> Moments:
        """Its volume, area and centre of mass."""
        return moments(self.points, self.triangles)


def triangulated(body: NamedShape, chord: float, angle: float = 0.3) -> ShapeTriangles:
    """Triangles within ``chord`` mm and ``angle`` radians of the shape; they meet along its edges."""
    BRepMesh_IncrementalMesh(body.shape, chord, False, angle)
    names = tuple(sorted(set(body.names)))
    points, normals, triangles, made_by = [], [], [], []
    start = 0
    for face, name in zip(faces_of(body.shape), body.names, strict=True):
        place = TopLoc_Location()
        mesh = BRep_Tool.Triangulation_s(face, place)
        if mesh is None:
            continue
        motion = place.Transformation()
        nodes = (mesh.Node(i).Transformed(motion) for i in range(1, mesh.NbNodes() + 1))
        p = np.array([(q.X(), q.Y(), q.Z()) for q in nodes])
        t = np.array([mesh.Triangle(i).Get() for i in range(1, mesh.NbTriangles() + 1)], dtype=np.int64) - 1
        if face.Orientation() == TopAbs_Orientation.TopAbs_REVERSED:
            t = t[:, ::-1]
        points.append(p)
        normals.append(_smooth(p, t))
        triangles.append(t + start)
        made_by.append(np.full(len(t), names.index(name), dtype=np.int32))
        start += len(p)
    return ShapeTriangles(
        np.concatenate(points), np.concatenate(normals), np.concatenate(triangles), np.concatenate(made_by), names
    )


def _smooth(points: Floats, triangles: Ints) -> Floats:
    a, b, c = (points[triangles[:, k]] for k in range(3))
    area = np.cross(b - a, c - a)
    out = np.zeros_like(points)
    for k in range(3):
        np.add.at(out, triangles[:, k], area)
    return unit(out)


def largest_tolerance(body: NamedShape) -> float:
    """mm: within how much the kernel takes points, edges and faces of the body for equal, at the worst place."""
    return float(ShapeAnalysis_ShapeTolerance().Tolerance(body.shape, 1))


def welded(shape: TopoDS_Shape) -> tuple[Floats, Ints]:
    """Points (n, 3) mm and triangles (m, 3) of a shape, its faces joined along their edges."""
    body = one_name(shape, "")
    return joined_triangles(body, triangulated(body, reach_of(body) * 2e-4))


def joined_triangles(body: NamedShape, made: ShapeTriangles) -> tuple[Floats, Ints]:
    """Points and triangles of a body, its faces joined along their edges."""
    # Faces come with points of their own; along their edges these agree.
    grid = 1e-6 * max(reach_of(body), 1e-6)
    _, first, index = np.unique(np.rint(made.points / grid), axis=0, return_index=True, return_inverse=True)
    triangles = index.reshape(-1)[made.triangles]
    flat = (triangles == np.roll(triangles, 1, axis=1)).any(axis=1)
    return made.points[first], triangles[~flat]
