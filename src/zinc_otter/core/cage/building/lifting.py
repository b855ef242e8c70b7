"""Part chosen faces from the rest, so that they can rise on walls: what extruding and insetting share."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, rebuilt
from zinc_otter.core.cage.selection import Selection, middles_of
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology, joined_labels
from zinc_otter.core.errors import BadSelectionError


@dataclass(frozen=True, eq=False)
class Lift:
    """Chosen faces, whose corners are joined to *slots*: one for each vertex of each group of faces around it.

    ``corners`` (m,) are the chosen faces' corners and ``slot`` (m,) the slot of each; ``origin`` (k,) is the vertex that
    a slot comes from, ``group`` (k,) its group of faces. Slots ``on_rim`` (k,) become vertices of their own; the others
    stay the vertices that they were. ``rim`` are the corners whose edges grow walls.
    """

    cage: Cage
    faces: Ints
    corners: Ints
    slot: Ints
    origin: Ints
    group: Ints
    on_rim: Bools
    rim: Ints

    @property
    def group_count(self) -> int:
        return int(self.group.max()) + 1

    @cached_property
    def face_group(self) -> Ints:
        """(f,) the group of each of ``faces``."""
        first = np.searchsorted(self.cage.topology.corner_face[self.corners], self.faces)
        return np.asarray(self.group[self.slot[first]])

    @cached_property
    def slot_of_corner(self) -> Ints:
        """(c,) the slot of each corner of the cage, -1 for faces that are not chosen."""
        slots = np.full(self.cage.topology.corner_count, -1, dtype=np.int32)
        slots[self.corners] = self.slot
        return slots

    @cached_property
    def corner_faces(self) -> Ints:
        """(m,) for each corner the place of its face in ``faces``."""
        return np.searchsorted(self.faces, self.cage.topology.corner_face[self.corners]).astype(np.int32)

    @property
    def base(self) -> Floats:
        """(k, 3) where the slots begin."""
        return self.cage.positions[self.origin]

    def raised(self, layers: Sequence[Floats]) -> Edit:
        """The cage with the faces risen through ``layers``, each the places (k, 3) of all slots; the last is the top.

        Between one layer and the next stands a ring of quads; slots that are not on the rim have a place on top only.
        A crease on the rim stays at the foot; one inside the group moves with it. The faces stay selected.
        """
        cage, t = self.cage, self.cage.topology
        rim_slots = np.flatnonzero(self.on_rim)
        rise = len(layers)
        number = np.full((rise + 1, len(self.origin)), -1, dtype=np.int32)
        number[0] = self.origin
        count = t.vertex_count
        for layer in range(1, rise + 1):
            number[layer, rim_slots] = count + np.arange(len(rim_slots))
            count += len(rim_slots)
        top = np.where(self.on_rim, number[rise], self.origin)
        number[rise] = top

        positions = np.concatenate([cage.positions, *(layer[rim_slots] for layer in layers)])
        inner = ~self.on_rim
        positions[self.origin[inner]] = layers[-1][inner]

        corner_verts = t.face_verts.copy()
        corner_verts[self.corners] = top[self.slot]
        slots = self.slot_of_corner
        here, ahead = slots[self.rim], slots[t.corner_next[self.rim]]
        walls = [
            np.column_stack([number[k, here], number[k, ahead], number[k + 1, ahead], number[k + 1, here]])
            for k in range(rise)
        ]
        chosen = self.slot_of_corner >= 0
        order = np.concatenate([np.flatnonzero(chosen), np.flatnonzero(~chosen)]).astype(np.int32)
        done = rebuilt(cage, positions, walls, corner_verts=corner_verts, corner_order=order)
        # Where each vertex grew from, drawn a little into its faces: there groups that meet in a point differ.
        drawn = 0.999 * self.base + 0.001 * self._slot_middles
        rest = np.concatenate([cage.positions, *([drawn[rim_slots]] * rise)])
        return Edit(done.cage, Selection.of("face", self.faces), done.old_to_new, rest[done.verts >= 0])

    @cached_property
    def _slot_middles(self) -> Floats:
        middles = middles_of(self.cage, "face")[self.cage.topology.corner_face[self.corners]]
        total = np.zeros((len(self.origin), 3))
        np.add.at(total, self.slot, middles)
        return np.asarray(total / np.bincount(self.slot, minlength=len(self.origin))[:, None])

    def inverted(self, top: Floats, least: float = 0.0) -> Ints:
        """The chosen faces that, with slots at ``top`` (k, 3), would fold over or keep less than this share of an area.

        A face that is turned right round keeps its area; but its edges run backwards.
        """
        t = self.cage.topology
        ahead = self.slot_of_corner[t.corner_next[self.corners]]
        sides = self.base[ahead] - self.base[self.slot]
        backwards = ((top[ahead] - top[self.slot]) * sides).sum(axis=1) <= 0
        before = self.cage.face_area_vectors[self.faces]
        after = self.areas(top)
        along = (after * before).sum(axis=1)
        size = (before * before).sum(axis=1)
        return np.union1d(self.faces[along <= least * size], t.corner_face[self.corners[backwards]]).astype(np.int32)

    def areas(self, places: Floats) -> Floats:
        """(f, 3) area vectors of the chosen faces with slots at ``places`` (k, 3)."""
        t = self.cage.topology
        starts = np.searchsorted(t.corner_face[self.corners], self.faces)
        here = places[self.slot]
        ahead = places[self.slot_of_corner[t.corner_next[self.corners]]]
        anchor = np.repeat(here[starts], t.face_sizes[self.faces], axis=0)
        return np.asarray(0.5 * np.add.reduceat(np.cross(here - anchor, ahead - anchor), starts, axis=0))


def lifted(cage: Cage, selection: Selection, apart: bool = False) -> Lift:
    """Part the selected faces from the rest: as connected regions, or with ``apart`` each face by itself.

    Raises BadSelectionError for anything but faces, and for a region that is a whole closed form.
    """
    if selection.kind != "face":
        raise BadSelectionError("This takes faces; pick faces first.")
    t = cage.topology
    selection.check(t)
    chosen = np.zeros(t.face_count, dtype=bool)
    chosen[selection.ids] = True
    corners = np.flatnonzero(chosen[t.corner_face]).astype(np.int32)
    if apart:
        slot: Ints = np.arange(len(corners), dtype=np.int32)
        on_rim = np.ones(len(corners), dtype=bool)
        group = np.searchsorted(selection.ids, t.corner_face[corners]).astype(np.int32)
        return Lift(cage, selection.ids, corners, slot, t.face_verts[corners], group, on_rim, corners)
    across = np.where(t.corner_twin >= 0, t.corner_face[np.maximum(t.corner_twin, 0)], -1)
    inside = (across >= 0) & chosen[np.maximum(across, 0)]
    rim = corners[~inside[corners]]
    groups = groups_of(t, selection.ids)
    _refuse_rimless(t, selection.ids, groups, rim)
    # Around a rim vertex each fan of chosen faces gets a slot of its own, so that groups touching in a point part.
    _, first, slot = np.unique(t.vertex_fans(corners), return_index=True, return_inverse=True)
    slot = slot.reshape(-1).astype(np.int32)
    origin = t.face_verts[corners[first]]
    rim_verts = np.zeros(t.vertex_count, dtype=bool)
    rim_verts[t.face_verts[rim]] = True
    rim_verts[t.face_verts[t.corner_next[rim]]] = True
    group = groups[np.searchsorted(selection.ids, t.corner_face[corners[first]])]
    return Lift(cage, selection.ids, corners, slot, origin, group, rim_verts[origin], rim)


def groups_of(t: Topology, faces: Ints) -> Ints:
    """(k,) label of the edge-connected group of each of ``faces`` (k,), ascending indices."""
    chosen = np.zeros(t.face_count, dtype=bool)
    chosen[faces] = True
    local = np.full(t.face_count, -1, dtype=np.int32)
    local[faces] = np.arange(len(faces), dtype=np.int32)
    a, b = t.edge_faces.T
    joined = (b >= 0) & chosen[a] & chosen[np.maximum(b, 0)]
    return joined_labels(len(faces), np.column_stack([local[a[joined]], local[b[joined]]]))


def ends_of(t: Topology, selection: Selection) -> Ints:
    """(k,) label of the connected group of each selected face, or of each selected edge."""
    if selection.kind == "face":
        return groups_of(t, selection.ids)
    pairs = t.edge_verts[selection.ids] if selection.kind == "edge" else np.zeros((0, 2), dtype=np.int32)
    return joined_labels(t.vertex_count, pairs)[pairs[:, 0]]


def _refuse_rimless(t: Topology, faces: Ints, groups: Ints, rim: Ints) -> None:
    with_rim = np.unique(groups[np.searchsorted(faces, t.corner_face[rim])])
    rimless = np.setdiff1d(np.unique(groups), with_rim)
    if len(rimless):
        bad = faces[np.isin(groups, rimless)]
        raise BadSelectionError(
            "A whole closed form has no rim to extrude from; leave at least one of its faces out.", faces=bad
        )
