"""Extrude faces, as regions or one by one; and the edges of an open border."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.building.chains import open_corners, outwards
from zinc_otter.core.cage.building.even_shifts import even_shifts, offsets_of
from zinc_otter.core.cage.building.lifting import Lift, lifted
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, edges_between, rebuilt
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints, joined_labels
from zinc_otter.core.errors import BadNumberError, BadSelectionError

LEAST_DISTANCE = 1e-6
MOST_SEGMENTS = 64

Way = Literal["even", "mean", "each", "point"]


@dataclass(frozen=True)
class Rise:
    """How walls rise: in so many ``segments``, the top sized by ``taper`` and turned by ``degrees`` about its middle."""

    segments: int = 1
    taper: float = 1.0
    degrees: float = 0.0

    def check(self) -> None:
        if not 1 <= self.segments <= MOST_SEGMENTS:
            raise BadNumberError(f"Walls rise in 1 to {MOST_SEGMENTS} segments; {self.segments} were asked for.")
        if not (np.isfinite(self.taper) and self.taper >= 0):
            raise BadNumberError("A taper is a factor of 0 or more: 1 keeps the size.")
        if not np.isfinite(self.degrees):
            raise BadNumberError("The turn needs a plain number of degrees.")

    def layers(self, base: Floats, shifts: Floats, group: Ints) -> list[Floats]:
        """The places (k, 3) of all slots on each layer, the last on top."""
        made = []
        count = np.bincount(group)
        axis = np.zeros((len(count), 3))
        np.add.at(axis, group, shifts)
        axis = unit(axis)
        for k in range(1, self.segments + 1):
            share = k / self.segments
            places = base + share * shifts
            if self.taper != 1 or self.degrees:
                middle = np.zeros((len(count), 3))
                np.add.at(middle, group, places)
                middle = (middle / count[:, None])[group]
                spin = Rotation.from_rotvec(np.radians(self.degrees) * share * axis[group])
                places = middle + np.asarray(spin.apply(places - middle)) * (1 + (self.taper - 1) * share)
            made.append(places)
        return made


PLAIN = Rise()


def extrude_faces(
    cage: Cage,
    selection: Selection,
    distance: float,
    *,
    way: Way = "mean",
    point: Sequence[float] | None = None,
    rise: Rise = PLAIN,
) -> Edit:
    """Extrude the selected faces by ``distance`` mm; a negative one goes inwards.

    - "even": every face moves by the distance along its own normal, so that the wall is even
    - "mean": each connected region goes along its own mean normal
    - "each": each face by itself, along its own normal
    - "point": away from a ``point`` (3,)

    The moved faces stay selected, so that extruding again goes on. A crease on the rim stays at the foot of the new wall;
    one inside the region moves with it. Where an even wall cannot be kept, in tight dents, the faces are ``suspect``.
    Raises BadSelectionError (no faces, a whole closed shell, a region without a mean normal), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> top = Selection.of("face", np.flatnonzero(cage.face_normals[:, 2] > 0.9))
    >>> float(extrude_faces(cage, top, 4.0).cage.positions[:, 2].max())
    9.0
    """
    rise.check()
    if not np.isfinite(distance) or abs(distance) < LEAST_DISTANCE:
        raise BadNumberError("An extrusion needs a distance other than 0.")
    lift = lifted(cage, selection, apart=way == "each")
    if way == "even":
        shifts = even_lift(lift, distance)
    elif way == "point":
        shifts = _from_point(lift, point, distance)
    else:
        shifts = distance * _mean_normals(lift)[lift.group]
    done = lift.raised(rise.layers(lift.base, shifts, lift.group))
    if way != "even":
        return done
    suspect = uneven(lift, shifts, distance)
    words = "1 marked face" if len(suspect) == 1 else f"{len(suspect)} marked faces"
    remarks = (f"The wall cannot be kept even at {words}.",) if len(suspect) else ()
    return replace(done, suspect=suspect, remarks=remarks)


def extrude_along(cage: Cage, selection: Selection, vector: Sequence[float], *, rise: Rise = PLAIN) -> Edit:
    """Extrude the selected faces, or edges of an open border, by one ``vector`` (3,) mm; see :func:`extrude_faces`.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> extrude_along(cage, Selection.of("face", [0]), (0, 0, 3)).cage.topology.face_count
    10
    """
    rise.check()
    step = np.asarray(vector, dtype=np.float64)
    if not np.isfinite(step).all() or np.linalg.norm(step) < LEAST_DISTANCE:
        raise BadNumberError("An extrusion needs a distance other than 0.")
    if selection.kind == "edge":
        return _strips(cage, selection, lambda border: np.broadcast_to(step, (len(border.verts), 3)), rise)
    lift = lifted(cage, selection)
    return lift.raised(rise.layers(lift.base, np.broadcast_to(step, lift.base.shape), lift.group))


def extrude_edges(cage: Cage, selection: Selection, distance: float, *, rise: Rise = PLAIN) -> Edit:
    """Grow strips of faces from edges of an open border, ``distance`` mm on in the direction in which the faces end.

    The new outer edges are selected, so that extruding again goes on. Raises BadSelectionError where an edge is not open.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((10, 10), (1, 1))
    >>> extrude_edges(sheet, Selection.of("edge", [0]), 4.0).cage.topology.face_count
    2
    """
    rise.check()
    if not np.isfinite(distance) or abs(distance) < LEAST_DISTANCE:
        raise BadNumberError("An extrusion needs a distance other than 0.")
    return _strips(cage, selection, lambda border: distance * border.outwards(cage), rise)


def even_lift(lift: Lift, distance: float) -> Floats:
    """(k, 3) shifts of all slots for an even wall."""
    return even_shifts(lift.cage.face_normals[lift.faces], lift.corner_faces, lift.slot, len(lift.origin), distance)


def uneven(lift: Lift, shifts: Floats, distance: float) -> Ints:
    """Faces that an even wall fails: more than 1 % off, folded over, or shrunk to less than a seventh."""
    offsets = offsets_of(shifts, lift.cage.face_normals[lift.faces], lift.corner_faces, lift.slot)
    off = np.abs(offsets - distance) > 0.01 * abs(distance)
    return np.union1d(lift.faces[off], lift.inverted(lift.base + shifts, 1 / 7)).astype(np.int32)


def _mean_normals(lift: Lift) -> Floats:
    """(groups, 3) unit mean normals."""
    vectors = lift.cage.face_area_vectors[lift.faces]
    total, size = np.zeros((lift.group_count, 3)), np.zeros(lift.group_count)
    np.add.at(total, lift.face_group, vectors)
    np.add.at(size, lift.face_group, np.linalg.norm(vectors, axis=1))
    lost = np.flatnonzero(np.linalg.norm(total, axis=1) <= 1e-9 * size)
    if len(lost):
        raise BadSelectionError(
            "The picked faces look to all sides, so they have no mean normal; pick one side of them.",
            faces=lift.faces[lift.face_group == lost[0]],
        )
    return unit(total)


def _from_point(lift: Lift, point: Sequence[float] | None, distance: float) -> Floats:
    if point is None:
        raise BadNumberError("Extruding away from a point needs the point.")
    away = unit(lift.base - np.asarray(point, dtype=np.float64))
    if not np.isfinite(away).all() or not away.any(axis=1).all():
        raise BadNumberError("The point to extrude from lies on a picked vertex, or nowhere.")
    return distance * away


@dataclass(frozen=True, eq=False)
class _Border:
    """Open edges that grow: their half-edges, and the vertices (k,) at them, with the place of each in that list."""

    corners: Ints
    verts: Ints
    start: Ints
    end: Ints
    group: Ints

    def outwards(self, cage: Cage) -> Floats:
        """(k, 3) unit directions in which the faces at the border end: in the face, square to its edge."""
        out = outwards(cage, self.corners)
        # At a bend so far that both strips are as wide as was asked for.
        total, count = np.zeros((len(self.verts), 3)), np.zeros(len(self.verts))
        for at in (self.start, self.end):
            np.add.at(total, at, out)
            np.add.at(count, at, 1)
        size = (total * total).sum(axis=1) / count
        return np.asarray(total / np.maximum(size, 0.25)[:, None])


def _strips(cage: Cage, selection: Selection, shifts_of: Callable[[_Border], Floats], rise: Rise) -> Edit:
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("Strips grow from edges; pick edges of an open border.")
    corners = open_corners(t, selection.ids)
    ends = np.column_stack([t.face_verts[corners], t.face_verts[t.corner_next[corners]]])
    verts, where = np.unique(ends, return_inverse=True)
    where = where.reshape(-1, 2)
    border = _Border(corners, verts, where[:, 0], where[:, 1], joined_labels(len(verts), where))
    k = len(verts)
    layers = rise.layers(cage.positions[verts], shifts_of(border), border.group)
    number = np.concatenate([verts[None], t.vertex_count + np.arange(rise.segments * k).reshape(rise.segments, k)])
    start, end = where.T
    quads = [
        np.column_stack([number[j, end], number[j, start], number[j + 1, start], number[j + 1, end]])
        for j in range(rise.segments)
    ]
    done = rebuilt(cage, np.concatenate([cage.positions, *layers]), quads)
    outer = edges_between(done.cage.topology, done.verts[number[-1][where]])
    rest = np.concatenate([cage.positions, *([cage.positions[verts]] * rise.segments)])
    return Edit(done.cage, Selection.of("edge", outer), done.old_to_new, rest)
