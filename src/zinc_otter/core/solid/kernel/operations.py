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
from OCP.collections import List_TopoDS_Shape
from OCP.GeomAbs import GeomAbs_JoinType
from OCP.gp import gp_Ax2, gp_Dir, gp_Pnt
from OCP.ShapeFix import ShapeFix_Shape
from OCP.ShapeUpgrade import ShapeUpgrade_UnifySameDomain
from OCP.TopAbs import TopAbs_ShapeEnum, TopAbs_State
from OCP.TopExp import TopExp_Explorer
from OCP.TopoDS import TopoDS, TopoDS_Edge, TopoDS_Shape, TopoDS_Solid

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Plane, Vec, frame_along
from zinc_otter.core.cage.topology import Floats, joined_labels
from zinc_otter.core.errors import KernelError
from zinc_otter.core.proof.near_boxes import near_boxes
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    compound,
    has_flush_faces,
    look_ends,
    named_after,
    one_name,
    parts_of,
    points_on,
    reach_of,
    solids_of,
    triangulated,
)
from zinc_otter.core.solid.mesh.blend import Radius
from zinc_otter.core.solid.mesh.body import Name
from zinc_otter.core.solid.mesh.chains import STRAIGHT, distances_to_segments
from zinc_otter.core.words import length_words


def fused(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Fuse, one, other)


def all_fused(body: NamedShape, motions: Sequence[Floats]) -> NamedShape:
    """Images of a body under motions (4, 4) as one: those that touch are brought together in one go, others stand beside.

    Raises KernelError.
    """
    groups = _touching(body, motions)
    parts = [body.moved(matrix) for matrix in motions]
    done = [parts[group[0]] if len(group) == 1 else _fused_at_once([parts[k] for k in group]) for group in groups]
    if len(done) == 1:
        return done[0]
    names = tuple(name for part in done for name in part.names)
    return NamedShape(compound([solid for part in done for solid in solids_of(part.shape)]), names)


def fused_with(body: NamedShape, parts: Sequence[NamedShape]) -> NamedShape:
    """The body and many parts as one, in one go. Raises KernelError."""
    return _at_once(BRepAlgoAPI_Fuse(), [body, *parts]) if parts else body


def cut_with(body: NamedShape, parts: Sequence[NamedShape]) -> NamedShape:
    """The body less many parts, in one go. Raises KernelError."""
    return _at_once(BRepAlgoAPI_Cut(), [body, *parts]) if parts else body


def _fused_at_once(parts: Sequence[NamedShape]) -> NamedShape:
    return _at_once(BRepAlgoAPI_Fuse(), parts)


def _at_once(operation: Any, parts: Sequence[NamedShape]) -> NamedShape:
    """An operation of the first part with all others."""
    arguments, tools = List_TopoDS_Shape(), List_TopoDS_Shape()
    arguments.Append(parts[0].shape)
    for part in parts[1:]:
        tools.Append(part.shape)
    operation.SetArguments(arguments)
    operation.SetTools(tools)
    operation.SetRunParallel(True)
    operation.Build()
    return _finished_boolean(operation, parts)


def _touching(body: NamedShape, motions: Sequence[Floats]) -> list[list[int]]:
    """Groups of images that come nearer to one another than their triangles can tell."""
    chord = 2e-3 * reach_of(body)
    made = triangulated(body, chord)
    own = made.points[made.triangles]
    corners = np.concatenate([own @ matrix[:3, :3].T + matrix[:3, 3] for matrix in motions])
    of = np.repeat(np.arange(len(motions)), len(own))
    margin = 2 * chord * max(float(np.cbrt(abs(np.linalg.det(matrix[:3, :3])))) for matrix in motions)
    links = [np.zeros((0, 2), dtype=np.int64)]
    for pairs in near_boxes(corners.min(axis=1) - margin, corners.max(axis=1) + margin):
        ends = of[pairs]
        links.append(np.unique(ends[ends[:, 0] != ends[:, 1]], axis=0))
    label = joined_labels(len(motions), np.concatenate(links))
    return [np.flatnonzero(label == k).tolist() for k in np.unique(label)]


def cut(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Cut, one, other)


def shared(one: NamedShape, other: NamedShape) -> NamedShape:
    return _boolean(BRepAlgoAPI_Common, one, other)


def _boolean(algorithm: Any, one: NamedShape, other: NamedShape) -> NamedShape:
    return _finished_boolean(algorithm(one.shape, other.shape), (one, other))


def _finished_boolean(operation: Any, parts: Sequence[NamedShape]) -> NamedShape:
    if not operation.IsDone():
        raise KernelError("The kernel could not bring the bodies together.")
    solids = solids_of(operation.Shape())
    if not solids:
        raise KernelError("Nothing is left of the body.")
    return named_after(operation, parts, compound(solids), "")


def flush_faces_joined(body: NamedShape, edges: Sequence[TopoDS_Edge]) -> tuple[NamedShape, list[TopoDS_Edge]]:
    """The body with faces joined that lie on one surface though other things made them, and the same edges on it.

    Where a rib is flush with a side an edge runs that is none, and no fillet gets past it. What has no such edge stays.
    """
    if not has_flush_faces(body):
        return body, list(edges)
    unify = ShapeUpgrade_UnifySameDomain(body.shape, True, True, False)
    for edge in edges:
        unify.KeepShape(edge)
    unify.SetAngularTolerance(SAME_SURFACE)
    unify.Build()
    history = unify.History()
    solids = solids_of(unify.Shape())
    if len(solids) != len(solids_of(body.shape)) or not BRepCheck_Analyzer(unify.Shape()).IsValid():
        return body, list(edges)
    joined = named_after(_Told(history), (body,), compound(solids), "")
    kept = parts_of(joined.shape, TopAbs_ShapeEnum.TopAbs_EDGE)
    carried = []
    for edge in edges:
        after = [*history.Modified(edge)] or [edge]
        carried += [TopoDS.Edge(one) for one in kept if any(one.IsSame(other) for other in after)]
    return joined, carried


class _Told:
    """The history of a simplification, in the words of an operation's."""

    def __init__(self, history: Any) -> None:
        self._history = history

    def Modified(self, face: TopoDS_Shape) -> Sequence[TopoDS_Shape]:  # noqa: N802
        return list(self._history.Modified(face))

    def IsDeleted(self, face: TopoDS_Shape) -> bool:  # noqa: N802
        return bool(self._history.IsRemoved(face))


SAME_SURFACE = 1e-6
"""Radians between normals of faces that are taken for one surface."""


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
    """The edges by chains: those that go on without a corner, as on the mesh route (``mesh/chains.py``).

    The kernel's own contours end already where a seam of the faces turns by a little.
    """
    if not edges:
        return []
    grid = 1e-6 * reach_of(body)
    lines = [points_on(edge, 33) for edge in edges]
    ends = np.array([point for line in lines for point in (line[0], line[-1])])
    away = unit(np.array([way for line in lines for way in (line[1] - line[0], line[-2] - line[-1])]))
    _, place = np.unique(np.rint(ends / grid), axis=0, return_inverse=True)
    links = []
    for at in np.flatnonzero(np.bincount(place.reshape(-1)) == 2):
        one, other = np.flatnonzero(place.reshape(-1) == at)
        if away[one] @ away[other] < -STRAIGHT:
            links.append((one // 2, other // 2))
    label = joined_labels(len(edges), np.array(links, dtype=np.int64).reshape(-1, 2))
    return [[edges[int(k)] for k in np.flatnonzero(label == chain)] for chain in np.unique(label)]


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
    body, edges = flush_faces_joined(body, edges)
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
    body, edges = flush_faces_joined(body, edges)
    maker = BRepFilletAPI_MakeChamfer(body.shape)
    for edge in edges:
        if maker.Contour(edge) == 0:
            maker.Add(distance, edge)
    return _finished(maker, body, name, "cut off")


def _finished(maker: Any, body: NamedShape, name: Name, what: str) -> NamedShape:
    maker.Build()
    if not maker.IsDone():
        raise KernelError(f"The kernel could not {what} the edges by so much.")
    result, history = maker.Shape(), maker
    if not BRepCheck_Analyzer(result).IsValid():
        # On small radii over many small faces the seams come out a little off; the kernel can often mend them itself.
        mending = ShapeFix_Shape(result)
        mending.Perform()
        result, history = mending.Shape(), _Mended(maker, mending.Context())
        if not BRepCheck_Analyzer(result).IsValid():
            raise KernelError(f"The kernel's faces cross where it {'rounds' if what == 'round' else 'cuts off'} the edges.")
    return named_after(history, (body,), compound(solids_of(result)), name)


class _Mended:
    """The history of an operation whose result was mended."""

    def __init__(self, operation: Any, context: Any) -> None:
        self._operation, self._context = operation, context

    def Modified(self, face: TopoDS_Shape) -> Sequence[TopoDS_Shape]:  # noqa: N802
        return [self._context.Apply(one) for one in list(self._operation.Modified(face)) or [face]]

    def IsDeleted(self, face: TopoDS_Shape) -> bool:  # noqa: N802
        return bool(self._operation.IsDeleted(face))


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
        raise KernelError(f"The imported solid could not be offset by {length_words(by)}.")
    return one_name(maker.Shape(), body.names[0])
