"""The knife: a plane through faces, which parts them, opens the form there, caps it, or takes a side away."""

from __future__ import annotations

from dataclasses import replace
from typing import Literal

import numpy as np

from zinc_otter.core.cage.building.chains import border_chains
from zinc_otter.core.cage.building.cutting import cut
from zinc_otter.core.cage.building.tearing import torn
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.fill import Way, fill
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.selection import Selection, middles_of
from zinc_otter.core.cage.topology import Bools, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError

Keep = Literal["both", "positive", "negative"]
Leave = Literal["joined", "open", "filled"]


def knife(
    cage: Cage, plane: Plane, *, faces: Selection | None = None, near: float = 0.0, keep: Keep = "both",
    leave: Leave = "joined", cap: Way = "face", sharpness: float = 0.0,
) -> Edit:  # fmt: skip
    """Cut the ``faces`` (default all) along a plane; the edges of the cut are selected.

    Vertices within ``near`` mm of the plane are used for the cut, and drawn into it. The two sides stay "joined", or
    they are left "open", or "filled" where the cut goes all round: with a ``cap`` of one face or of quads. With one side
    kept the other one's faces go, so that the cut is open unless it is filled. The cut gets a ``sharpness``.
    Raises BadSelectionError (nothing to cut there; a face that would be cut twice), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.cage.plane import plane_at
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> knife(cage, plane_at((0, 0, 1), (0, 0, 1))).cage.topology.face_count
    10
    """
    t = cage.topology
    if not (np.isfinite(near) and near >= 0):
        raise BadNumberError("How near a vertex must be to be used is a length from 0.")
    mask = None
    if faces is not None:
        faces.check(t)
        mask = np.zeros(t.face_count, dtype=bool)
        mask[faces.ids] = True
    done = cut(cage, plane, max(near, 1e-6), mask)
    on_plane = _between_sides(done.cage, plane, done.selected.ids)
    if not len(on_plane):
        raise BadSelectionError("The plane does not pass through the faces that are meant.")
    edit: Edit = replace(done, selected=Selection.of("edge", on_plane))
    if sharpness:
        edit = replace(edit, cage=set_crease(edit.cage, edit.selected, sharpness).cage)
    meant = np.arange(edit.cage.topology.face_count)
    if faces is not None:
        assert done.face_parts is not None
        meant = done.whole(faces).ids
    above = plane.heights(middles_of(edit.cage, "face")) > 0
    if keep != "both":
        edit = _without(edit, meant[above[meant] != (keep == "positive")])
    elif leave != "joined":
        # What went on before goes on on the plane's positive side.
        away = ~above[edit.cage.topology.corner_face]
        after = torn(edit.cage, on_plane, Selection.of("edge", []), away)
        sides = after.cage.topology.corner_edge[np.isin(edit.cage.topology.corner_edge, on_plane)]
        edit = Edit(after.cage, Selection.of("edge", sides), edit.old_to_new.then(after.old_to_new), after.rest)
    return _filled(edit, cap) if leave == "filled" else edit


def _between_sides(cage: Cage, plane: Plane, edges: Ints) -> Ints:
    """Of edges in the plane those with a face on each side of it, or on one side and none on the other."""
    t = cage.topology
    heights = plane.heights(middles_of(cage, "face"))
    first, second = t.edge_faces[edges].T
    other = np.where(second >= 0, heights[np.maximum(second, 0)], 0)
    return edges[(heights[first] * other < 0)]


def _without(edit: Edit, gone: Ints) -> Edit:
    if not len(gone):
        return edit
    selected: Bools = np.zeros(edit.cage.topology.edge_count, dtype=bool)
    selected[edit.selected.ids] = True
    after = delete_elements(edit.cage, Selection.of("face", gone))
    kept = after.old_to_new.edges[np.flatnonzero(selected)]
    return Edit(after.cage, Selection.of("edge", kept[kept >= 0]), edit.old_to_new.then(after.old_to_new))


def _filled(edit: Edit, cap: Way) -> Edit:
    """Close the borders of which all edges are those of the cut."""
    t = edit.cage.topology
    chosen = np.zeros(t.edge_count, dtype=bool)
    chosen[edit.selected.ids] = True
    whole = []
    for chain in border_chains(t, t.open_edges):
        edges = edges_between(t, chain.pairs)
        if chain.closed and chosen[edges].all():
            whole.append(edges)
    if not whole:
        raise BadSelectionError("The cut does not go all round, so there is nothing to fill; leave it open or joined.")
    holes = Selection.of("edge", np.concatenate(whole))
    after = fill(edit.cage, holes, way=cap)
    kept = after.old_to_new.follow(edit.selected)
    rest = None
    if edit.rest is not None:
        rest = after.cage.positions.copy()
        rest[after.old_to_new.vertices] = edit.rest
    return Edit(after.cage, kept, edit.old_to_new.then(after.old_to_new), rest)
