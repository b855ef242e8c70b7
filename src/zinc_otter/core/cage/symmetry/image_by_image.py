"""Verbs that take all that is picked as one thing, or that go by a place: done once for each image of what is picked."""

from __future__ import annotations

from collections.abc import Callable, Hashable

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry.symmetric import Symmetry

ImageEdit = Callable[[Cage, Selection, int, ElementMap], Edit]
"""From a cage, one image of the picked on it, the element of the group that led there, and where elements of the first
cage are by now, to an edit."""


def image_by_image(
    symmetry: Symmetry, picked: Selection, edit: Callable[[Cage, Selection], Edit]
) -> Callable[[Cage, Selection], Edit]:
    """An edit that does ``edit`` to the picked, then to each further image of it that is not the same elements."""
    return for_each_image(symmetry, picked, lambda cage, one, _element, _went: edit(cage, one))


def for_each_image(
    symmetry: Symmetry, picked: Selection, edit: ImageEdit, told_apart: Callable[[int], Hashable] | None = None
) -> Callable[[Cage, Selection], Edit]:
    """As :func:`image_by_image`, for an edit that depends on the motion. Images of the same elements count as one, unless
    what ``told_apart`` says of their elements of the group differs, such as where a plane goes."""
    images = symmetry.of_kind(picked.kind)[:, picked.ids]
    different: dict[Hashable, tuple[int, Selection]] = {}
    for element, row in enumerate(images):
        key = (tuple(sorted(row.tolist())), told_apart(element) if told_apart else None)
        different.setdefault(key, (element, Selection.of(picked.kind, row)))

    def edited(cage: Cage, _: Selection) -> Edit:
        went = ElementMap.identity(cage.topology)
        chosen: Selection | None = None
        remarks: dict[str, None] = {}
        for element, one in different.values():
            done = edit(cage, went.follow(one), element, went)
            kept = np.zeros(0, dtype=np.int32) if chosen is None else done.old_to_new.follow(chosen).ids
            chosen = Selection.of(done.selected.kind, np.concatenate([kept, done.selected.ids]))
            went = went.then(done.old_to_new)
            cage = done.cage
            remarks |= dict.fromkeys(done.remarks)
        assert chosen is not None
        return Edit(cage, chosen, went, remarks=tuple(remarks))

    return edited
