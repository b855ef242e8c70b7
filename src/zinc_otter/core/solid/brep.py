"""A B-rep solid of patches, its topology built explicitly: one vertex, edge and face for each of the cage's.

The kernel is Open CASCADE. It can hang or crash on bad input, so the application calls this in a worker process only.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np
from numpy.typing import NDArray
from OCP.BRep import BRep_Builder
from OCP.BRepCheck import BRepCheck_Analyzer
from OCP.collections import Array1_double, Array1_gp_Pnt, Array1_int, Array2_gp_Pnt
from OCP.Geom import Geom_BSplineCurve, Geom_BSplineSurface, Geom_Line, Geom_Plane
from OCP.Geom2d import Geom2d_Line
from OCP.gp import gp_Dir, gp_Dir2d, gp_Pnt, gp_Pnt2d
from OCP.TopAbs import TopAbs_Orientation
from OCP.TopoDS import (
    TopoDS_Compound,
    TopoDS_Edge,
    TopoDS_Face,
    TopoDS_Shape,
    TopoDS_Shell,
    TopoDS_Solid,
    TopoDS_Vertex,
    TopoDS_Wire,
)

from zinc_otter.core.cage.shells import within
from zinc_otter.core.cage.topology import Floats, Topology
from zinc_otter.core.errors import KernelError
from zinc_otter.core.solid.patches import DEGREE, Patches

TOLERANCE = 1e-6
"""mm; neighbouring patches agree to about 1e-13, so this is the kernel's working tolerance and no gap."""


def build_solid(patches: Patches, progress: Callable[[float], None] = lambda _: None) -> TopoDS_Shape:
    """A closed solid, or a compound of several: one for each shell that looks outwards, with the cavities in it.

    ``progress`` is called with fractions from 0 to 1. Raises KernelError when the kernel's own check finds a fault.
    """
    t = patches.cage.topology
    builder = BRep_Builder()
    last = patches.poles.shape[1] - 1
    verts = t.face_verts.reshape(-1, 4)
    knots, mults = _knot_arrays(patches.breaks)

    corner_poles = np.stack(
        [patches.poles[:, i, j] for i, j in ((0, 0), (last, 0), (last, last), (0, last))], axis=1
    )
    at = np.empty((t.vertex_count, 3))
    at[verts.ravel()] = corner_poles.reshape(-1, 3)
    vertices = [_vertex(builder, point) for point in at]

    # Boundary poles of each corner's edge, in the direction in which the loop runs.
    sides = np.stack(
        [patches.poles[:, :, 0], patches.poles[:, last], patches.poles[:, ::-1, last], patches.poles[:, 0, ::-1]], axis=1
    ).reshape(t.corner_count, last + 1, 3)
    first = t.edge_corners[:, 0]
    planes = _planes(patches.poles)
    # Between planes a straight edge is a line; beside a curved patch it keeps that patch's parameters.
    plain = _straight(sides[first]) & _between_planes(t, ~np.isnan(planes[:, 0, 0]))
    ends = [(vertices[t.face_verts[c]], vertices[t.face_verts[t.corner_next[c]]]) for c in first]
    edges = [
        _line_edge(builder, sides[c], *ends[k]) if plain[k] else _edge(builder, sides[c], knots, mults, *ends[k])
        for k, c in enumerate(first)
    ]
    forward = np.zeros(t.corner_count, dtype=bool)
    forward[first] = True

    shells: list[TopoDS_Shell] = []
    for _ in range(t.face_shell.max() + 1):
        made = TopoDS_Shell()
        builder.MakeShell(made)
        shells.append(made)
    for f in range(t.face_count):
        corners = range(4 * f, 4 * f + 4)
        loop = [(edges[t.corner_edge[c]], bool(forward[c])) for c in corners]
        flat = not np.isnan(planes[f, 0, 0])
        face = _plane_face(builder, planes[f], loop) if flat else _face(builder, patches.poles[f], knots, mults, loop)
        builder.Add(shells[t.face_shell[f]], face)
        if f % 32 == 0:
            progress(0.6 * f / t.face_count)

    solids = []
    inside = within(patches.cage)
    depth = inside.sum(axis=1)
    for k in np.flatnonzero(depth % 2 == 0):
        solid = TopoDS_Solid()
        builder.MakeSolid(solid)
        # Its own cavities lie one deeper, and in no shell between.
        for cavity in [k, *np.flatnonzero(inside[:, k] & (depth == depth[k] + 1))]:
            shells[cavity].Closed(True)
            builder.Add(solid, shells[cavity])
        solids.append(solid)
    whole: TopoDS_Shape = solids[0]
    if len(solids) > 1:
        whole = TopoDS_Compound()
        builder.MakeCompound(whole)
        for solid in solids:
            builder.Add(whole, solid)
    progress(0.7)
    if not BRepCheck_Analyzer(whole).IsValid():
        raise KernelError("The solid kernel found a fault in the faces of this form; look for places that cross themselves.")
    progress(1.0)
    return whole


FLAT = 1e-12
"""Of the size of the body, within which poles lie in one plane or on one line."""


def _planes(poles: Floats) -> Floats:
    """(faces, 2, 3) a point and the unit normal of each patch that is flat, with the kernel's own planes; NaN for others.

    A patch is flat where its poles lie in a plane and its corners turn one way: then the plane and the edges say it all,
    and booleans of it are exact and quick.
    """
    size = float(np.ptp(poles.reshape(-1, 3), axis=0).max())
    count = len(poles)
    last = poles.shape[1] - 1
    corners = np.stack([poles[:, i, j] for i, j in ((0, 0), (last, 0), (last, last), (0, last))], axis=1)
    along = np.roll(corners, -1, axis=1) - corners
    turns = np.cross(along, np.roll(along, -1, axis=1))
    normal = turns.sum(axis=1)
    length = np.linalg.norm(normal, axis=1, keepdims=True)
    unit = normal / np.maximum(length, 1e-300)
    centre = corners.mean(axis=1)
    off = np.abs(np.einsum("fpk,fk->fp", poles.reshape(count, -1, 3) - centre[:, None], unit)).max(axis=1)
    one_way = (np.einsum("fck,fk->fc", turns, unit) > 1e-6 * length).all(axis=1)
    flat = one_way & (off <= FLAT * size) & (length[:, 0] > 1e-9 * size * size)
    return np.where(flat[:, None, None], np.stack([centre, unit], axis=1), np.nan)


def _straight(sides: Floats) -> NDArray[np.bool_]:
    """(edges,) whether the poles (edges, n, 3) of an edge lie on the line between its ends, one after the other."""
    way = sides[:, -1] - sides[:, 0]
    length = np.linalg.norm(way, axis=1)
    unit = way / np.maximum(length, 1e-300)[:, None]
    from_start = sides - sides[:, :1]
    along = np.einsum("epk,ek->ep", from_start, unit)
    off = np.linalg.norm(from_start - along[:, :, None] * unit[:, None], axis=2).max(axis=1)
    return np.asarray((off <= FLAT * np.ptp(sides.reshape(-1, 3), axis=0).max()) & (np.diff(along, axis=1) > 0).all(axis=1))


def _between_planes(t: Topology, flat: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """(edges,) whether all faces at an edge are flat."""
    of_face = np.repeat(np.arange(t.face_count), 4)
    curved = np.zeros(t.edge_count, dtype=bool)
    curved[t.corner_edge[~flat[of_face]]] = True
    return ~curved


def _knot_arrays(breaks: Floats) -> tuple[Array1_double, Array1_int]:
    knots, mults = Array1_double(1, len(breaks)), Array1_int(1, len(breaks))
    for i, value in enumerate(breaks, start=1):
        knots.SetValue(i, float(value))
        mults.SetValue(i, DEGREE + 1 if i in (1, len(breaks)) else 1)
    return knots, mults


def _vertex(builder: BRep_Builder, point: Floats) -> TopoDS_Vertex:
    vertex = TopoDS_Vertex()
    builder.MakeVertex(vertex, gp_Pnt(*map(float, point)), TOLERANCE)
    return vertex


def _edge(
    builder: BRep_Builder, poles: Floats, knots: Array1_double, mults: Array1_int, start: Any, end: Any
) -> TopoDS_Edge:
    points = Array1_gp_Pnt(1, len(poles))
    for i, pole in enumerate(poles, start=1):
        points.SetValue(i, gp_Pnt(*map(float, pole)))
    edge = TopoDS_Edge()
    builder.MakeEdge(edge, Geom_BSplineCurve(points, knots, mults, DEGREE), TOLERANCE)
    builder.Add(edge, start.Oriented(TopAbs_Orientation.TopAbs_FORWARD))
    builder.Add(edge, end.Oriented(TopAbs_Orientation.TopAbs_REVERSED))
    builder.Range(edge, 0.0, 1.0)
    return edge


def _line_edge(builder: BRep_Builder, poles: Floats, start: Any, end: Any) -> TopoDS_Edge:
    way = poles[-1] - poles[0]
    edge = TopoDS_Edge()
    builder.MakeEdge(edge, Geom_Line(gp_Pnt(*map(float, poles[0])), gp_Dir(*map(float, way))), TOLERANCE)
    builder.Add(edge, start.Oriented(TopAbs_Orientation.TopAbs_FORWARD))
    builder.Add(edge, end.Oriented(TopAbs_Orientation.TopAbs_REVERSED))
    builder.Range(edge, 0.0, float(np.linalg.norm(way)))
    return edge


def _plane_face(builder: BRep_Builder, plane: Floats, loop: list[tuple[Any, bool]]) -> TopoDS_Face:
    (x, y, z), normal = plane.tolist()
    face = TopoDS_Face()
    builder.MakeFace(face, Geom_Plane(gp_Pnt(x, y, z), gp_Dir(*normal)), TOLERANCE)
    wire = TopoDS_Wire()
    builder.MakeWire(wire)
    for edge, is_forward in loop:
        way = TopAbs_Orientation.TopAbs_FORWARD if is_forward else TopAbs_Orientation.TopAbs_REVERSED
        builder.Add(wire, edge.Oriented(way))
    wire.Closed(True)
    builder.Add(face, wire)
    return face


# Where each side of a patch runs in its parameters: start point and direction, in loop order.
_SIDES = (((0.0, 0.0), (1.0, 0.0)), ((1.0, 0.0), (0.0, 1.0)), ((1.0, 1.0), (-1.0, 0.0)), ((0.0, 1.0), (0.0, -1.0)))


def _face(
    builder: BRep_Builder, poles: Floats, knots: Array1_double, mults: Array1_int, loop: list[tuple[Any, bool]]
) -> TopoDS_Face:
    count = len(poles)
    grid = Array2_gp_Pnt(1, count, 1, count)
    for i, row in enumerate(poles.tolist(), start=1):
        for j, (x, y, z) in enumerate(row, start=1):
            grid.SetValue(i, j, gp_Pnt(x, y, z))
    face = TopoDS_Face()
    builder.MakeFace(face, Geom_BSplineSurface(grid, knots, knots, mults, mults, DEGREE, DEGREE), TOLERANCE)
    wire = TopoDS_Wire()
    builder.MakeWire(wire)
    for (edge, is_forward), ((u, v), (du, dv)) in zip(loop, _SIDES, strict=True):
        # An edge that this face meets against its direction has its line in the parameters laid the other way round.
        if not is_forward:
            u, v, du, dv = u + du, v + dv, -du, -dv
        builder.UpdateEdge(edge, Geom2d_Line(gp_Pnt2d(u, v), gp_Dir2d(du, dv)), face, TOLERANCE)
        builder.Range(edge, face, 0.0, 1.0)
        builder.SameRange(edge, True)
        builder.SameParameter(edge, True)
        way = TopAbs_Orientation.TopAbs_FORWARD if is_forward else TopAbs_Orientation.TopAbs_REVERSED
        builder.Add(wire, edge.Oriented(way))
    wire.Closed(True)
    builder.Add(face, wire)
    return face
