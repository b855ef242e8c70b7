"""What the kernel does to bodies: booleans, rounded and chamfered edges, a plane's half-space."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import numpy as np
from OCP.BRep import BRep_Builder, BRep_Tool
from OCP.BRepAlgoAPI import BRepAlgoAPI_Common, BRepAlgoAPI_Cut, BRepAlgoAPI_Fuse
from OCP.BRepCheck import BRepCheck_Analyzer
from OCP.BRepClass3d import BRepClass3d_SolidClassifier
from OCP.BRepFilletAPI import BRepFilletAPI_MakeChamfer, BRepFilletAPI_MakeFillet
from OCP.BRepOffset import BRepOffset_Mode
from OCP.BRepOffsetAPI import BRepOffsetAPI_MakeOffsetShape
from OCP.BRepPrimAPI import BRepPrimAPI_MakeBox
from OCP.GeomAbs import GeomAbs_JoinType
from OCP.gp import gp_Ax2, gp_Dir, gp_Pnt
from OCP.TopAbs import TopAbs_ShapeEnum, TopAbs_State
from OCP.TopExp import TopExp_Explorer
from OCP.TopoDS import TopoDS, TopoDS_Edge, TopoDS_Shape, TopoDS_Solid

from zinc_otter.core.cage.plane import Plane, Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import KernelError
from zinc_otter.core.solid.exact import frame_along
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    compound,
    look_ends,
    named_after,
    one_name,
    parts_of,
    points_on,
    solids_of,
)
from zinc_otter.core.solid.mesh.blend import Radius
from zinc_otter.core.solid.mesh.body import Name
from zinc_otter.core.solid.mesh.chains import distances_to_segments


def fused(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Fuse, one, other)


def cut(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Cut, one, other)


def shared(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Common, one, other)


def _boolean(algorithm: Any, one: NamedShape, other: NamedShape) -> NamedShape:
    operation = algorithm(one.shape, other.shape)
    if not operation.IsDone():
        raise KernelError("The kernel could not bring the two bodies together.")
    solids = solids_of(operation.Shape())
    if not solids:
        raise KernelError("Nothing is left of the body.")
    return named_after(operation, (one, other), compound(solids), "")


def half_space(plane: Plane, reach: float, name: Name) -> NamedShape:
    """A box of ``reach`` mm on the side that the plane's normal points to."""
    frame = frame_along(plane.normal)
    corner = np.asarray(plane.point) - reach * (frame[:, 0] + frame[:, 1])
    axes = gp_Ax2(gp_Pnt(*corner.tolist()), gp_Dir(*frame[:, 2].tolist()), gp_Dir(*frame[:, 0].tolist()))
    return one_name(BRepPrimAPI_MakeBox(axes, 2 * reach, 2 * reach, 2 * reach).Shape(), name)


def with_hollow(outer: NamedShape, inner: NamedShape) -> NamedShape:
    """The outer body with the inner one as a hollow in it: its shells turned over and put into the solids around them.

    Raises KernelError for a part of the inner body that lies in no solid of the outer.
    """
    builder = BRep_Builder()
    wholes = []
    solids = solids_of(outer.shape)
    homes = [_home(shell, solids) for shell in parts_of(inner.shape, TopAbs_ShapeEnum.TopAbs_SHELL)]
    for i, solid in enumerate(solids):
        whole = TopoDS_Solid()
        builder.MakeSolid(whole)
        for shell in parts_of(solid, TopAbs_ShapeEnum.TopAbs_SHELL):
            builder.Add(whole, shell)
        for shell, home in zip(parts_of(inner.shape, TopAbs_ShapeEnum.TopAbs_SHELL), homes, strict=True):
            if home == i:
                builder.Add(whole, shell.Reversed())
        wholes.append(whole)
    result = compound(wholes)
    return named_after(_Unchanged(), (outer, inner), result, "")


class _Unchanged:
    """The history of an operation that takes every face as it is."""

    def Modified(self, face: TopoDS_Shape) -> Sequence[TopoDS_Shape]:  # noqa: N802
        return ()

    def IsDeleted(self, face: TopoDS_Shape) -> bool:  # noqa: N802
        return False


def _home(shell: TopoDS_Shape, solids: Sequence[TopoDS_Shape]) -> int:
    explorer = TopExp_Explorer(shell, TopAbs_ShapeEnum.TopAbs_VERTEX)
    point = BRep_Tool.Pnt_s(TopoDS.Vertex(explorer.Current()))
    for i, solid in enumerate(solids):
        if BRepClass3d_SolidClassifier(solid, point, 1e-6).State() == TopAbs_State.TopAbs_IN:
            return i
    raise KernelError("The hollow would run out of the body.")


def contours(body: NamedShape, edges: Sequence[TopoDS_Edge]) -> list[list[TopoDS_Edge]]:
    """The edges by the chains that the kernel rounds in one go: those that go on without a corner."""
    maker = BRepFilletAPI_MakeFillet(body.shape)
    for edge in edges:
        if maker.Contour(edge) == 0:
            maker.Add(edge)
    return [
        [maker.Edge(i, k) for k in range(1, maker.NbEdges(i) + 1)]
        for i in range(1, maker.NbContours() + 1)
    ]


def nearest_contour(body: NamedShape, edges: Sequence[TopoDS_Edge], point: Vec) -> list[TopoDS_Edge]:
    """Of the edges, those of the chain that comes nearest to a point (mm)."""
    at = np.asarray(point)
    return min(contours(body, edges), key=lambda chain: min(_way_to(edge, at) for edge in chain))


def length_of(edges: Sequence[TopoDS_Edge]) -> float:
    """mm, along points on each edge."""
    return sum(float(np.linalg.norm(np.diff(points_on(edge), axis=0), axis=1).sum()) for edge in edges)


def _way_to(edge: TopoDS_Edge, at: Floats) -> float:
    points = points_on(edge, 33)
    return float(distances_to_segments(np.stack([points[:-1], points[1:]], axis=1), at).min())


def rounded(body: NamedShape, edges: Sequence[TopoDS_Edge], radius: Radius, name: Name) -> NamedShape:
    """The body with edges rounded by ``radius``, a function of points (p, 3) to mm (p,), linear along each edge.

    Raises KernelError.
    """
    maker = BRepFilletAPI_MakeFillet(body.shape)
    for edge in edges:
        if maker.Contour(edge) == 0:
            maker.Add(edge)
    for i in range(1, maker.NbContours() + 1):
        for k in range(1, maker.NbEdges(i) + 1):
            first, last = radius(look_ends(maker.Edge(i, k)))
            if abs(first - last) < 1e-9:
                maker.SetRadius(float(first), i, k)
            else:
                maker.SetRadius(float(first), float(last), i, k)
    return _finished(maker, body, name, "round")


def chamfered(body: NamedShape, edges: Sequence[TopoDS_Edge], distance: float, name: Name) -> NamedShape:
    """The body with edges cut off at ``distance`` mm on both sides. Raises KernelError."""
    maker = BRepFilletAPI_MakeChamfer(body.shape)
    for edge in edges:
        if maker.Contour(edge) == 0:
            maker.Add(distance, edge)
    return _finished(maker, body, name, "cut off")


def _finished(maker: Any, body: NamedShape, name: Name, what: str) -> NamedShape:
    maker.Build()
    if not maker.IsDone():
        raise KernelError(f"The kernel could not {what} the edges by so much.")
    result = maker.Shape()
    if not BRepCheck_Analyzer(result).IsValid():
        raise KernelError(f"The kernel's faces cross where it {'rounds' if what == 'round' else 'cuts off'} the edges.")
    return named_after(maker, (body,), compound(solids_of(result)), name)


def is_closed(shape: TopoDS_Shape) -> bool:
    shells = parts_of(shape, TopAbs_ShapeEnum.TopAbs_SHELL)
    return bool(shells) and all(BRep_Tool.IsClosed_s(shell) and shell.Closed() for shell in shells)


def offset_solid(body: NamedShape, by: float) -> NamedShape:
    """An imported solid grown by ``by`` mm, or shrunk. Raises KernelError."""
    maker = BRepOffsetAPI_MakeOffsetShape()
    maker.PerformByJoin(
        body.shape, by, 1e-4, BRepOffset_Mode.BRepOffset_Skin, False, False, GeomAbs_JoinType.GeomAbs_Arc
    )
    if not maker.IsDone() or not is_closed(maker.Shape()):
        raise KernelError(f"The imported solid could not be offset by {by:g} mm.")
    return one_name(maker.Shape(), body.names[0])
