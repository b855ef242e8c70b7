"""Delete with healing: edges go and the faces on both sides become one."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.chains import chains_of
from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology, joined_labels
from zinc_otter.core.errors import BadSelectionError


def heal(cage: Cage, selection: Selection) -> Edit:
    """Take picked edges away, or the edges at picked vertices, or those within picked faces; faces grow together.

    Vertices at which only two edges would be left go too, so that a whole loop leaves no trace. Each face that comes of
    it must have one border. Nothing stays selected. Raises BadSelectionError, UnsoundCageError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (2, 1, 1))
    >>> rows = np.flatnonzero(np.abs(cage.positions[cage.topology.edge_verts][..., 0]).max(axis=1) < 1)
    >>> heal(cage, Selection.of("edge", rows)).cage.topology.face_count  # The loop across the middle is gone.
    6
    """
    t = cage.topology
    selection.check(t)
    gone = _edges_of(t, selection) & (t.edge_corners[:, 1] >= 0)
    if not gone.any():
        raise BadSelectionError("There is no edge between two faces here, so nothing can grow together.")
    group = joined_labels(t.face_count, t.edge_faces[gone])
    together = np.bincount(group)[group] > 1
    # An edge with the same region on both sides goes as well; it would only stick into the face.
    first, second = t.edge_faces.T
    gone |= (second >= 0) & (group[first] == group[np.maximum(second, 0)])

    left = np.bincount(t.edge_verts[~gone].ravel(), minlength=t.vertex_count)
    touched = np.zeros(t.vertex_count, dtype=bool)
    touched[t.edge_verts[gone]] = True
    if selection.kind == "vertex":
        touched[selection.ids] = True
    dropped = touched & (left == 2)

    stays = ~gone[t.corner_edge] & together[t.corner_face]
    starts, ends = t.face_verts, t.face_verts[t.corner_next]
    rings: list[tuple[list[int], Ints]] = []
    for region in np.unique(group[together]):
        corners = np.flatnonzero(stays & (group[t.corner_face] == region))
        faces = np.flatnonzero(group == region)
        loops = chains_of(starts[corners], ends[corners])
        if len(loops) != 1 or not loops[0].closed:
            raise BadSelectionError(
                "The faces that would grow together leave a hole or touch themselves; they have no single border.",
                faces=faces,
            )
        rings.append((faces.tolist(), loops[0].verts))
    thinner = np.logical_or.reduceat(dropped[t.face_verts], t.face_offsets[:-1]) & ~together
    for face in np.flatnonzero(thinner).tolist():
        rings.append(([face], t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]))
    slim = [faces[0] for faces, ring in rings if np.count_nonzero(~dropped[ring]) < 3]
    if slim:
        raise BadSelectionError("A face would be left with fewer than three corners; pick less.", faces=slim)
    merged = [_merged_edges(cage, ring, dropped) for _, ring in rings]
    done = reringed(cage, cage.positions, [(faces, ring[~dropped[ring]].tolist()) for faces, ring in rings], merged)
    # Each dropped vertex makes two edges one. Fewer still means that two edges fell together and closed a hole.
    if done.cage.topology.edge_count != int((~gone).sum()) - int(dropped.sum()):
        raise BadSelectionError(
            "A hole or a face would be left with fewer than three corners; pick less.", vertices=np.flatnonzero(dropped)
        )
    return Edit(done.cage, Selection.of("face", []), done.old_to_new)


def _merged_edges(cage: Cage, ring: Ints, dropped: Bools) -> tuple[Ints, Floats]:
    """The edges that a ring has once vertices were dropped, each with the greatest sharpness of those it is made of."""
    kept = np.flatnonzero(~dropped[ring])
    around = np.column_stack([ring, np.roll(ring, -1)])
    sharpness = cage.edge_sharpness[edges_between(cage.topology, around)]
    # Begin at a kept vertex, so that no run goes over the end.
    turned = np.roll(sharpness, -kept[0])
    return (
        np.column_stack([ring[kept], ring[np.roll(kept, -1)]]),
        np.maximum.reduceat(turned, kept - kept[0]),
    )


def _edges_of(t: Topology, selection: Selection) -> Bools:
    mask = np.zeros(t.edge_count, dtype=bool)
    if selection.kind == "edge":
        mask[selection.ids] = True
    elif selection.kind == "vertex":
        chosen = np.zeros(t.vertex_count, dtype=bool)
        chosen[selection.ids] = True
        mask |= chosen[t.edge_verts].any(axis=1)
    else:
        faces = np.zeros(t.face_count, dtype=bool)
        faces[selection.ids] = True
        first, second = t.edge_faces.T
        mask |= (second >= 0) & faces[first] & faces[np.maximum(second, 0)]
    return mask
