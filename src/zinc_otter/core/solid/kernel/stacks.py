"""Stacks of an outline and pins, as the kernel makes them."""

from __future__ import annotations

from typing import Any

import numpy as np
from OCP.BRepAlgoAPI import BRepAlgoAPI_Cut
from OCP.BRepBuilderAPI import (
    BRepBuilderAPI_MakeEdge,
    BRepBuilderAPI_MakeFace,
    BRepBuilderAPI_MakePolygon,
    BRepBuilderAPI_MakeSolid,
    BRepBuilderAPI_MakeVertex,
    BRepBuilderAPI_MakeWire,
    BRepBuilderAPI_Sewing,
)
from OCP.BRepLib import BRepLib
from OCP.BRepOffsetAPI import BRepOffsetAPI_ThruSections
from OCP.BRepPrimAPI import BRepPrimAPI_MakeRevol
from OCP.collections import HArray1_double, HArray1_gp_Pnt
from OCP.GC import GC_MakeArcOfCircle
from OCP.GeomAPI import GeomAPI_Interpolate
from OCP.gp import gp_Ax1, gp_Dir, gp_Pnt
from OCP.ShapeUpgrade import ShapeUpgrade_UnifySameDomain
from OCP.TopAbs import TopAbs_ShapeEnum
from OCP.TopoDS import TopoDS, TopoDS_Shape

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import KernelError
from zinc_otter.core.solid.exact import frame_at
from zinc_otter.core.solid.kernel.shape import NamedShape, parts_of
from zinc_otter.core.solid.stack import Pin, Ring, Stack, corners_of, ringed
from zinc_otter.core.solid.strip import Bar

_AXIS = gp_Ax1(gp_Pnt(0, 0, 0), gp_Dir(0, 0, 1))


def stacked(stack: Stack) -> TopoDS_Shape:
    """A stack as a solid in its place. Raises KernelError."""
    if stack.radius is not None:
        made = _turned([(max(stack.radius * share + out, 0.0), z) for z, share, out in stack.rings], stack.hollow)
    elif stack.hollow:
        half = len(stack.rings) // 2
        outer, inner = stack.rings[:half], stack.rings[half:][::-1]
        made = BRepAlgoAPI_Cut(_through(stack.outline, outer), _through(stack.outline, inner)).Shape()
    else:
        made = _through(stack.outline, stack.rings)
    return NamedShape(made, ()).moved(stack.motion).shape


def pinned(pin: Pin) -> TopoDS_Shape:
    """A pin as a solid in its place. Raises KernelError."""
    r, h = pin.radius, pin.length
    if pin.is_round:
        round_over = GC_MakeArcOfCircle(_flat(r, h), _flat(r * np.sqrt(0.5), h + r * np.sqrt(0.5)), _flat(0, h + r)).Value()
        edges = [_line(0, 0, r, 0), _line(r, 0, r, h), BRepBuilderAPI_MakeEdge(round_over).Edge(), _line(0, h + r, 0, 0)]
        made = _revolved(edges)
    else:
        made = _turned([(r, 0.0), (r, h)], False)
    motion = np.eye(4)
    motion[:3] = frame_at(pin.point, pin.along)
    return NamedShape(made, ()).moved(motion).shape


def barred(bar: Bar) -> TopoDS_Shape:
    """A bar of many sections as a solid of flat triangles, so that both routes have the same sides. Raises KernelError."""
    mesh = bar.mesh(0.0).to_mesh64()
    points = np.asarray(mesh.vert_properties)[:, :3]
    sewing = BRepBuilderAPI_Sewing(1e-7)
    for triangle in np.asarray(mesh.tri_verts, dtype=np.int64).reshape(-1, 3):
        outline = BRepBuilderAPI_MakePolygon(*(gp_Pnt(*points[v].tolist()) for v in triangle), True)
        sewing.Add(BRepBuilderAPI_MakeFace(outline.Wire(), True).Face())
    sewing.Perform()
    maker = BRepBuilderAPI_MakeSolid()
    for shell in parts_of(sewing.SewedShape(), TopAbs_ShapeEnum.TopAbs_SHELL):
        maker.Add(TopoDS.Shell(shell))
    solid = maker.Solid()
    BRepLib.OrientClosedSolid_s(solid)
    unify = ShapeUpgrade_UnifySameDomain(solid, True, True, False)
    unify.Build()
    return unify.Shape()


def _flat(r: float, z: float) -> gp_Pnt:
    return gp_Pnt(float(r), 0.0, float(z))


def _line(r: float, z: float, s: float, w: float) -> Any:
    return BRepBuilderAPI_MakeEdge(_flat(r, z), _flat(s, w)).Edge()


def _turned(profile: list[tuple[float, float]], hollow: bool) -> TopoDS_Shape:
    """A solid turned about z from points (radius, z); closed to the axis, or with ``hollow`` on itself."""
    corners = list(profile)
    if not hollow:
        corners = [(0.0, corners[0][1]), *corners, (0.0, corners[-1][1])]
    kept = [p for k, p in enumerate(corners) if np.hypot(*np.subtract(p, corners[k - 1])) > 1e-7]
    return _revolved([_line(*a, *b) for a, b in zip(kept, kept[1:] + kept[:1], strict=True)])


def _revolved(edges: list[Any]) -> TopoDS_Shape:
    wire = BRepBuilderAPI_MakeWire()
    for edge in edges:
        wire.Add(edge)
    if not wire.IsDone():
        raise KernelError("The section of a part of the setting does not close.")
    return BRepPrimAPI_MakeRevol(BRepBuilderAPI_MakeFace(wire.Wire()).Face(), _AXIS).Shape()


def _through(outline: Floats, rings: tuple[Ring, ...]) -> TopoDS_Shape:
    """A solid ruled between the outline at several heights."""
    corners = corners_of(outline)
    maker = BRepOffsetAPI_ThruSections(True, True, 1e-6)
    maker.CheckCompatibility(False)
    for ring in rings:
        loop = ringed(outline, ring)
        if len(loop) == 1:
            maker.AddVertex(BRepBuilderAPI_MakeVertex(gp_Pnt(*loop[0].tolist())).Vertex())
        else:
            maker.AddWire(_wire(loop, outline, corners))
    maker.Build()
    if not maker.IsDone():
        raise KernelError("The kernel could not carry an outline from ring to ring.")
    return maker.Shape()


def _wire(loop: Floats, base: Floats, corners: list[int]) -> Any:
    """The outline as one smooth closed line, or as several between its corners.

    All rings go by the parameters of the ``base`` outline, so that what is ruled between them joins like to like.
    """
    wire = BRepBuilderAPI_MakeWire()
    if not corners:
        wire.Add(_spline(loop, base, True))
        return wire.Wire()
    for start, end in zip(corners, [*corners[1:], corners[0] + len(loop)], strict=True):
        which = np.arange(start, end + 1) % len(loop)
        run = loop[which]
        if len(run) == 2:
            wire.Add(BRepBuilderAPI_MakeEdge(gp_Pnt(*run[0].tolist()), gp_Pnt(*run[1].tolist())).Edge())
        else:
            wire.Add(_spline(run, base[which], False))
    return wire.Wire()


def _spline(points: Floats, base: Floats, closed: bool) -> Any:
    ends = np.vstack([base, base[:1]]) if closed else base
    run = np.append(0.0, np.cumsum(np.linalg.norm(np.diff(ends, axis=0), axis=1)))
    held, at = HArray1_gp_Pnt(1, len(points)), HArray1_double(1, len(run))
    for k, point in enumerate(points):
        held.SetValue(k + 1, gp_Pnt(*point.tolist()))
    for k, share in enumerate(run / run[-1]):
        at.SetValue(k + 1, float(share))
    maker = GeomAPI_Interpolate(held, at, closed, 1e-9)
    maker.Perform()
    if not maker.IsDone():
        raise KernelError("The kernel could not draw a line through an outline.")
    return BRepBuilderAPI_MakeEdge(maker.Curve()).Edge()
