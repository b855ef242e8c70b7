"""Where a dimension begins or ends: an element of a form, a place on its surface, or an axis of the world."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.form import Form, controls
from zinc_otter.core.surface.anchors import Anchor, anchored, rooted

_SAME = 1e-6
"""Of a form's extent: so near lie two places that are one."""
_FOUND = 0.02
"""Of a form's extent: further off nothing is taken for what a lost place was."""

AXES = {"x": (1.0, 0.0, 0.0), "y": (0.0, 1.0, 0.0), "z": (0.0, 0.0, 1.0)}


class LostPlaceError(BadSelectionError):
    """A place that is on its form no more."""

    kind = "lost-place"
    title = "A place of it is gone"


@dataclass(frozen=True)
class Spot:
    """One place. ``ids`` names it on the ``piece``: a "vertex" by its number, an "edge" by its two vertices, a "face" by its
    number; a "place" on the surface lies in a face's corner at ``share``, as an Anchor does, and on a curve behind a control
    point by a share of its leg. An "axis" of the world goes by ``axis`` and has no piece; "gone" is what was lost.
    """

    kind: Literal["vertex", "edge", "face", "place", "axis", "gone"]
    piece: str = ""
    ids: tuple[int, ...] = ()
    share: tuple[float, float] = (0.0, 0.0)
    axis: Literal["x", "y", "z"] = "z"


@dataclass(frozen=True, eq=False)
class Located:
    """Where a spot is: a ``point`` (3,) on the smooth surface; of an edge and an axis the unit way ``along``, of a face the
    unit outward ``normal``."""

    point: Floats
    along: Floats | None = None
    normal: Floats | None = None


def located(spot: Spot, form: Form | None) -> Located:
    """Where it is, on the form of its piece as it stands. An edge goes straight from end to end on the surface, and its
    point lies in its middle on the surface. Raises LostPlaceError.
    """
    if spot.kind == "axis":
        return Located(np.zeros(3), along=np.array(AXES[spot.axis]))
    if form is None:
        raise LostPlaceError("The piece that it was measured on is gone.")
    if isinstance(form, Curve):
        return _on_curve(spot, form)
    cage = controls(form)
    return _of(spot, cage, cage.topology)


def points_of(vertices: Sequence[int], form: Form) -> Floats:
    """(k, 3) where vertices have their points on the surface, or on the curve. Raises LostPlaceError."""
    if isinstance(form, Curve):
        _check(vertices, form.count, "control point")
        return pieces_of(form).at(np.array(vertices, dtype=np.float64))
    cage = controls(form)
    corners = [_corner_at(cage.topology, v) for v in vertices]
    return rooted(cage, [Anchor(corner, 0.0, 0.0) for corner in corners]).points


def length_along(pair: tuple[int, int], form: Form) -> tuple[float, Floats]:
    """How long the surface is along an edge, or a curve along a leg of its polygon, and points (k, 3) on the way.

    By chords, and half as many of them: their difference tells what is left (L. F. Richardson, 1911). Raises LostPlaceError.
    """
    if isinstance(form, Curve):
        start, end = _leg(pair, form)
        way = pieces_of(form).at(np.linspace(start, end, 17))
    else:
        cage = controls(form)
        corner, ahead = _corner_along(cage.topology, pair)
        steps = np.linspace(0, 1, 9)
        first = [Anchor(corner, float(s), 0.0) for s in steps]
        # The other half lies in the part of the next corner, which looks back along it.
        second = [Anchor(ahead, 0.0, float(1 - s)) for s in steps[1:]]
        way = rooted(cage, [*first, *second]).points
    fine, coarse = _chords(way), _chords(way[::2])
    return (4 * fine - coarse) / 3, way


def vertices_of(spot: Spot, topology: Topology) -> Ints:
    """The vertices that are moved where a spot is moved; none of an axis."""
    if spot.kind == "face":
        return _ring(topology, spot.ids[0])
    if spot.kind == "place" and topology.face_count:
        return _ring(topology, int(topology.corner_face[spot.ids[0]]))
    return np.array(spot.ids if spot.kind in ("vertex", "edge", "place") else (), dtype=np.int32)


def carried(spot: Spot, before: Form, after: Form, went: ElementMap | None) -> Spot:
    """The same place once the form has become another, elements and all: by where its elements ``went``, or else by where
    it was. A place that is not found any more is "gone"."""
    if spot.kind in ("axis", "gone"):
        return spot
    if went is not None and spot.kind != "place":
        same = _mapped(spot, went, controls(after).topology)
        if same is not None:
            return same
    try:
        was = located(spot, before)
    except BadSelectionError:
        return replace(spot, kind="gone")
    return _found(spot, was.point, after)


def carried_vertices(
    ids: Sequence[int], before: Form, after: Form, went: ElementMap | None, piece: str
) -> tuple[int, ...] | None:
    """The same for vertices that count together; None where one is found no more."""
    spots = [carried(Spot("vertex", piece, (v,)), before, after, went) for v in ids]
    return tuple(spot.ids[0] for spot in spots) if all(spot.kind == "vertex" for spot in spots) else None


# --- on a cage --------------------------------------------------------------------------------------------------------


def _of(spot: Spot, cage: Cage, t: Topology) -> Located:
    if spot.kind == "vertex":
        return Located(points_of(spot.ids, cage)[0])
    if spot.kind == "edge":
        corner, _ = _corner_along(t, (spot.ids[0], spot.ids[1]))
        ends = points_of(spot.ids, cage)
        return Located(rooted(cage, [Anchor(corner, 1.0, 0.0)]).points[0], along=unit(ends[1] - ends[0]))
    if spot.kind == "face":
        _check(spot.ids, t.face_count, "face")
        at = rooted(cage, [Anchor(int(t.face_offsets[spot.ids[0]]), 1.0, 1.0)])
        return Located(at.points[0], normal=at.normals[0])
    if spot.kind == "place":
        _check(spot.ids, t.corner_count, "face")
        at = rooted(cage, [Anchor(spot.ids[0], *spot.share)])
        return Located(at.points[0], normal=at.normals[0])
    raise LostPlaceError("A place that it was measured from is gone: measure it again.")


def _ring(t: Topology, face: int) -> Ints:
    return t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]


def _corner_at(t: Topology, vertex: int) -> int:
    found = np.flatnonzero(t.face_verts == vertex)
    if not len(found):
        raise LostPlaceError(f"Vertex {vertex} is not there any more: measure it again.")
    return int(found[0])


def _corner_along(t: Topology, pair: tuple[int, int]) -> tuple[int, int]:
    """A corner from which an edge goes on, and the corner at its other end."""
    a, b = pair
    for start, end in ((a, b), (b, a)):
        corners = np.flatnonzero(t.face_verts == start)
        ahead = t.corner_next[corners]
        hit = t.face_verts[ahead] == end
        if hit.any():
            return int(corners[hit][0]), int(ahead[hit][0])
    raise LostPlaceError(f"The edge from vertex {a} to {b} is not there any more: measure it again.")


def _mapped(spot: Spot, went: ElementMap, t: Topology) -> Spot | None:
    table = went.faces if spot.kind == "face" else went.vertices
    if not all(0 <= k < len(table) for k in spot.ids):
        return None
    ids = tuple(int(table[k]) for k in spot.ids)
    if min(ids) < 0:
        return None
    if spot.kind == "edge":
        pairs = np.sort(t.edge_verts, axis=1)
        if not (pairs == sorted(ids)).all(axis=1).any():
            return None
    return replace(spot, ids=ids)


def _found(spot: Spot, point: Floats, after: Form) -> Spot:
    """What lies on a form where a place was."""
    cage = controls(after)
    extent = float(np.ptp(cage.positions, axis=0).max())
    if isinstance(after, Curve):
        made = pieces_of(after)
        steps = np.linspace(0, after.end, 16 * after.count + 1)
        near = np.linalg.norm(made.at(steps) - point, axis=1)
        if near.min() > _FOUND * extent:
            return replace(spot, kind="gone")
        k = round(float(steps[near.argmin()]))
        if np.linalg.norm(made.at([k])[0] - point) <= _SAME * extent:
            return replace(spot, kind="vertex", ids=(k % after.count,))
        leg, share = divmod(float(steps[near.argmin()]), 1)
        return replace(spot, kind="place", ids=(int(leg),), share=(share, 0.0))
    anchor = anchored(cage, point[None])[0]
    at = rooted(cage, [anchor]).points[0]
    if np.linalg.norm(at - point) > _FOUND * extent:
        return replace(spot, kind="gone")
    t = cage.topology
    ends = _ring(t, int(t.corner_face[anchor.corner])).tolist()
    own = points_of(ends, cage)
    near = np.linalg.norm(own - point, axis=1)
    if near.min() <= _SAME * extent:
        return replace(spot, kind="vertex", ids=(int(ends[int(near.argmin())]),), share=(0.0, 0.0))
    return replace(spot, kind="place", ids=(anchor.corner,), share=(anchor.u, anchor.v))


# --- on a curve -------------------------------------------------------------------------------------------------------


def _on_curve(spot: Spot, curve: Curve) -> Located:
    made = pieces_of(curve)
    if spot.kind == "vertex":
        return Located(points_of(spot.ids, curve)[0])
    if spot.kind == "edge":
        start, end = _leg((spot.ids[0], spot.ids[1]), curve)
        a, middle, b = made.at([start, (start + end) / 2, end])
        return Located(middle, along=unit(b - a))
    if spot.kind == "place":
        return Located(made.at([spot.ids[0] + spot.share[0]])[0])
    raise LostPlaceError("A place that it was measured from is gone: measure it again.")


def _leg(pair: tuple[int, int], curve: Curve) -> tuple[float, float]:
    _check(pair, curve.count, "control point")
    low, high = sorted(pair)
    if high == low + 1:
        return float(low), float(high)
    if curve.closed and (low, high) == (0, curve.count - 1):
        return float(high), float(high + 1)
    raise LostPlaceError(f"Control points {low} and {high} do not follow one another any more: measure it again.")


def _check(ids: Sequence[int], count: int, what: str) -> None:
    for k in ids:
        if not 0 <= k < count:
            raise LostPlaceError(f"{what.capitalize()} {k} is not there any more: measure it again.")


def _chords(points: Floats) -> float:
    return float(np.linalg.norm(np.diff(points, axis=0), axis=1).sum())
