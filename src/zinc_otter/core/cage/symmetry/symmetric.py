"""A cage that is its own image under a group: which corner goes to which, and how edits keep it so.

The whole cage is kept, and beside it the image of every corner under each generator. An edit is done on the whole, with
everything picked that is an image of the picked; then the images are found again by walking the new faces from the old
ones, and the positions of one part, the one in hand, are written to all others.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection, middles_of, touching_faces
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.symmetry.walking import images_after
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology, read_only
from zinc_otter.core.errors import CoreError


class SymmetryError(CoreError):
    """An edit whose result would not be symmetric; ``place`` names what has no counterpart."""

    kind = "symmetry"
    title = "The form would lose its symmetry"


@dataclass(frozen=True, eq=False)
class Symmetry:
    """The images (c,) of a topology's corners under each generator of ``group``.

    Corner c, one vertex of one face, goes to the same vertex of the same face's image; a motion that turns outside in
    takes the corner after c to the one before its image.
    """

    group: Group
    topology: Topology
    corners: tuple[Ints, ...]

    def __post_init__(self) -> None:
        for images in self.corners:
            read_only(images)

    def __eq__(self, other: object) -> bool:
        return (
            isinstance(other, Symmetry)
            and self.group == other.group
            and all(np.array_equal(a, b) for a, b in zip(self.corners, other.corners, strict=True))
        )

    # --- images -----------------------------------------------------------------------------------------------------

    @cached_property
    def _corner_images(self) -> Ints:
        return self.group.images(self.corners)

    @cached_property
    def vertices(self) -> Ints:
        """(g, n) images of each vertex under every element of the group."""
        t = self.topology
        images = np.empty((self.group.order, t.vertex_count), dtype=np.int32)
        images[:, t.face_verts] = t.face_verts[self._corner_images]
        return images

    @cached_property
    def faces(self) -> Ints:
        """(g, f) images of each face."""
        return np.asarray(self.topology.corner_face[self._corner_images[:, self.topology.face_offsets[:-1]]])

    @cached_property
    def edges(self) -> Ints:
        """(g, e) images of each edge."""
        t = self.topology
        images = np.empty((self.group.order, t.edge_count), dtype=np.int32)
        reverses = self.group.elements[2]
        for k, corners in enumerate(self._corner_images):
            # A half-edge that is turned over runs from the image of its end, which is one corner earlier.
            images[k, t.corner_edge] = t.corner_edge[t.corner_prev[corners] if reverses[k] else corners]
        return images

    def of_kind(self, kind: str) -> Ints:
        return {"vertex": self.vertices, "edge": self.edges, "face": self.faces}[kind]

    @cached_property
    def seam(self) -> Ints:
        """Edges where mirrored parts meet: both ends stay where they are under one of the mirrors."""
        held = self._held_in_mirrors
        a, b = self.topology.edge_verts.T
        own = np.arange(self.topology.edge_count)
        return np.flatnonzero((held[:, a] & held[:, b] & (self.edges == own)).any(axis=0)).astype(np.int32)

    @cached_property
    def _held_in_mirrors(self) -> Bools:
        reverses = self.group.elements[2]
        return np.asarray((self.vertices == np.arange(self.topology.vertex_count)) & reverses[:, None])

    def closed(self, selection: Selection) -> Selection:
        """The selection with everything that is an image of it."""
        return Selection.of(selection.kind, self.of_kind(selection.kind)[:, selection.ids].ravel())

    def reflected(self, selection: Selection) -> Ints:
        """Of the selection and its images those that answer by a motion which turns outside in: left is right there."""
        images = self.of_kind(selection.kind)[:, selection.ids]
        reverses = self.group.elements[2]
        known: dict[int, bool] = {}
        for column in images.T.tolist():
            if column[0] not in known:
                for image, over in zip(column, reverses.tolist(), strict=True):
                    known.setdefault(image, over)
        return np.array(sorted(image for image, over in known.items() if over), dtype=np.int32)

    def half_edge(self, element: int, corner: int) -> int:
        """The half-edge (its starting corner) on which one that leaves a corner comes to lie under one element."""
        image = int(self._corner_images[element, corner])
        return int(self.topology.corner_prev[image]) if self.group.elements[2][element] else image

    # --- positions --------------------------------------------------------------------------------------------------

    def masters(self, points: Floats, hand: Floats) -> Ints:
        """(n,) for each vertex the one among its images that is nearest to ``hand`` (3,).

        The points nearest to one point of general position, among their images, make up one part of the form
        (a Dirichlet domain).
        """
        distance = np.linalg.norm(points - hand, axis=1)
        near = distance[self.vertices]
        # Of equally near ones the first: all images of a vertex see the same numbers.
        tied = near <= near.min(axis=0) * (1 + 1e-12)
        return np.asarray(np.where(tied, self.vertices, self.topology.vertex_count).min(axis=0), dtype=np.int32)

    def spread(self, positions: Floats, masters: Ints) -> Floats:
        """(n, 3) each vertex where the symmetry takes its master; those on a mirror or the axis are drawn onto it."""
        total = np.zeros_like(positions)
        count = np.zeros(len(positions))
        own = np.arange(len(positions))
        for k in range(self.group.order):
            lands = self.vertices[k][masters] == own
            total[lands] += self.group.moved(k, positions[masters[lands]])
            count[lands] += 1
        return np.asarray(total / count[:, None])

    def strays(self, positions: Floats) -> float:
        """The largest distance in mm of a vertex from where the symmetry wants it."""
        worst = 0.0
        for k in range(1, self.group.order):
            off = positions[self.vertices[k]] - self.group.moved(k, positions)
            worst = max(worst, float(np.linalg.norm(off, axis=1).max()))
        return worst

    def hand(self, cage: Cage, picked: Selection) -> Floats:
        """(3,) a point in the part of the form that is in hand: the middle of the picked, drawn off every mirror."""
        ids = picked.ids
        middle = middles_of(cage, picked.kind)[ids].mean(axis=0) if len(ids) else cage.positions.mean(axis=0)
        span = max(float(np.ptp(cage.positions, axis=0).max()), 1e-3)
        # Towards the sides that the normals point to, by unequal amounts, so that ties are broken the same way always.
        nudge = np.zeros(3)
        for i, plane in enumerate(self.group.planes):
            nudge += np.asarray(plane.normal) * (1 + 0.37 * i)
        if self.group.axis is not None:
            across = np.cross(self.group.axis.normal, (0.31, 0.87, 0.53))
            nudge += across / max(float(np.linalg.norm(across)), 1e-9) * 0.61
        return np.asarray(middle + 1e-5 * span * nudge)

    def carried(self, done: Edit, at: Ints | None = None) -> Symmetry:
        """The symmetry after an edit; see :func:`carried_symmetry`."""
        return carried_symmetry(self, done, at)


def symmetric_edit(
    cage: Cage, symmetry: Symmetry, picked: Selection, edit: Callable[[Cage, Selection], Edit]
) -> tuple[Edit, Symmetry]:
    """Do an edit on a symmetric cage, for all images of the picked at once.

    What the edit does at the picked counts, and its images follow exactly. Of the new selection the part in hand stays
    selected, unless all images were picked. Raises what the edit raises, and SymmetryError where its result has no
    symmetry.
    """
    picked.check(cage.topology)
    closed = symmetry.closed(picked)
    done = edit(cage, closed)
    hand = symmetry.hand(cage, picked)
    same = done.cage.topology is cage.topology
    after = symmetry if same else symmetry.carried(done, touching_faces(cage.topology, closed))
    rest = cage.positions if same else (done.cage.positions if done.rest is None else done.rest)
    masters = after.masters(rest, hand)
    positions = after.spread(done.cage.positions, masters)
    # What did not move keeps its last bit.
    still = np.zeros(len(positions), dtype=bool)
    went = done.old_to_new.vertices
    stayed = np.flatnonzero(went >= 0)
    still[went[stayed]] = (done.cage.positions[went[stayed]] == cage.positions[stayed]).all(axis=1)
    still = still[masters] & still
    positions[still] = done.cage.positions[still]
    settled = Cage(
        positions,
        after.topology,
        _greatest(done.cage.edge_sharpness, after.edges),
        _greatest(done.cage.vertex_sharpness, after.vertices),
        done.cage.face_sets,
    )
    selected = _in_hand(done, settled, after, picked, closed, hand, same)
    return replace(done, cage=settled, selected=selected), after


def carried_symmetry(symmetry: Symmetry, done: Edit, at: Ints | None = None) -> Symmetry:
    """The symmetry of the cage after an edit.

    Raises SymmetryError, naming faces of the cage before it: those whose successors have no counterpart, or where there
    are none, such as for a bridge, the faces ``at`` which the edit was done.
    """
    t = done.cage.topology
    found = []
    for generator, old in enumerate(symmetry.corners):
        matrix, offset, reverses = symmetry.group.generators[generator]
        went = done.old_to_new.corners
        here = np.flatnonzero((went >= 0) & (went[old] >= 0))
        seeds = np.full(t.corner_count, -1, dtype=np.int32)
        seeds[went[here]] = went[old[here]]
        if done.old_to_new.half_edges is not None:
            _seed_half_edges(seeds, done.old_to_new.half_edges, old, symmetry.topology, t, reverses)
        images, odd = images_after(t, seeds, reverses, done.cage.positions, matrix, offset)
        if len(odd):
            before = np.flatnonzero(np.isin(done.old_to_new.faces, odd))
            raise SymmetryError(
                f"The form has {symmetry.group.described()}; this would leave its sides different at the marked faces. Make "
                "the piece independent to do it on one side only.",
                faces=before if len(before) or at is None else at,
            )
        found.append(images)
    return Symmetry(symmetry.group, t, tuple(found))


def _seed_half_edges(seeds: Ints, went: Ints, images: Ints, before: Topology, after: Topology, reverses: bool) -> None:
    """Images of the corners at which half-edges start that went on, where their own corners became several.

    A half-edge that is turned over comes from the image of its end: its start is that image's end.
    """
    partner = before.corner_prev[images] if reverses else images
    here = np.flatnonzero((went >= 0) & (went[partner] >= 0))
    lands = went[partner[here]]
    seeds[went[here]] = after.corner_next[lands] if reverses else lands


def _greatest(values: Floats, images: Ints) -> Floats:
    """The greatest value among all images."""
    return np.asarray(values[images].max(axis=0)) if values.any() else values


def _in_hand(
    done: Edit, cage: Cage, after: Symmetry, picked: Selection, closed: Selection, hand: Floats, same: bool
) -> Selection:
    if len(closed) == len(picked) or not len(done.selected):
        return done.selected
    if same and done.selected == closed:
        return picked
    kind, ids = done.selected.kind, done.selected.ids
    images = after.of_kind(kind)[:, ids]
    distance = np.linalg.norm(middles_of(cage, kind) - hand, axis=1)
    near = distance[images].min(axis=0)
    return Selection.of(kind, ids[distance[ids] <= near * (1 + 1e-9)])
