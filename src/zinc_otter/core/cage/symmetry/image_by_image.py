"""Verbs that take all that is picked as one thing, or that go by a place: done once for each image of what is picked."""

from __future__ import annotations

from collections.abc import Callable, Hashable

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.symmetry.symmetric import Symmetry
from zinc_otter.core.cage.topology import joined_labels

ImageEdit = Callable[[Cage, Selection, int, ElementMap], Edit]
"""From a cage, one image of the picked on it, the element of the group that led there, and where elements of the first
cage are by now, to an edit."""


def image_by_image(
    symmetry: Symmetry, picked: Selection, edit: Callable[[Cage, Selection], Edit], one_region: bool = False
) -> Callable[[Cage, Selection], Edit]:
    """An edit that does ``edit`` to the picked, then to each further image of it that is not the same elements.

    With ``one_region`` images that meet at a seam, faces along an edge or edges at a vertex, are one thing, done at once.
    """
    ones = [(0, one) for one in regions(symmetry, picked)] if one_region else _different(symmetry, picked, None)
    return _one_by_one(ones, lambda cage, one, _element, _went: edit(cage, one))


def for_each_image(
    symmetry: Symmetry, picked: Selection, edit: ImageEdit, told_apart: Callable[[int], Hashable] | None = None
) -> Callable[[Cage, Selection], Edit]:
    """As :func:`image_by_image`, for an edit that depends on the motion. Images of the same elements count as one, unless
    what ``told_apart`` says of their elements of the group differs, such as where a plane goes."""
    return _one_by_one(_different(symmetry, picked, told_apart), edit)


def _different(
    symmetry: Symmetry, picked: Selection, told_apart: Callable[[int], Hashable] | None
) -> list[tuple[int, Selection]]:
    different: dict[Hashable, tuple[int, Selection]] = {}
    for element, row in enumerate(symmetry.of_kind(picked.kind)[:, picked.ids]):
        key = (tuple(sorted(row.tolist())), told_apart(element) if told_apart else None)
        different.setdefault(key, (element, Selection.of(picked.kind, row)))
    return list(different.values())


def regions(symmetry: Symmetry, picked: Selection) -> list[Selection]:
    """The different images, those that meet as one."""
    ones = [one for _, one in _different(symmetry, picked, None)]
    t = symmetry.topology
    label = np.full(t.face_count if picked.kind == "face" else t.vertex_count, -1, dtype=np.int32)
    joins: list[tuple[int, int]] = []
    if picked.kind == "face":
        for k, one in enumerate(ones):
            label[one.ids] = k
        a, b = label[t.edge_faces.T]
        meets = (t.edge_faces[:, 1] >= 0) & (a >= 0) & (b >= 0) & (a != b)
        joins = np.unique(np.column_stack([a[meets], b[meets]]), axis=0).tolist()
    else:
        for k, one in enumerate(ones):
            verts = vertices_of(t, one)
            joins += [(int(other), k) for other in np.unique(label[verts]) if other >= 0]
            label[verts] = k
    group = joined_labels(len(ones), np.array(joins, dtype=np.int32).reshape(-1, 2))
    return [
        Selection.of(picked.kind, np.concatenate([one.ids for one, g in zip(ones, group, strict=True) if g == k]))
        for k in np.unique(group)
    ]


def _one_by_one(ones: list[tuple[int, Selection]], edit: ImageEdit) -> Callable[[Cage, Selection], Edit]:
    def edited(cage: Cage, _: Selection) -> Edit:
        went = ElementMap.identity(cage.topology)
        chosen: Selection | None = None
        remarks: dict[str, None] = {}
        for element, one in ones:
            done = edit(cage, went.follow(one), element, went)
            kept = np.zeros(0, dtype=np.int32) if chosen is None else done.old_to_new.follow(chosen).ids
            chosen = Selection.of(done.selected.kind, np.concatenate([kept, done.selected.ids]))
            went = went.then(done.old_to_new)
            cage = done.cage
            remarks |= dict.fromkeys(done.remarks)
        assert chosen is not None
        return Edit(cage, chosen, went, remarks=tuple(remarks))

    return edited
