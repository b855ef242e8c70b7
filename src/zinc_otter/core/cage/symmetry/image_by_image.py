"""Verbs that take all that is picked as one thing: on a symmetric cage they are done once for each image of it."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry.symmetric import Symmetry


def image_by_image(
    symmetry: Symmetry, picked: Selection, edit: Callable[[Cage, Selection], Edit]
) -> Callable[[Cage, Selection], Edit]:
    """An edit that does ``edit`` to the picked, then to each further image of it that is not the same elements."""
    images = symmetry.of_kind(picked.kind)[:, picked.ids]
    different = dict.fromkeys(tuple(sorted(row)) for row in images.tolist())
    sets = [Selection.of(picked.kind, np.array(ids)) for ids in different]

    def edited(cage: Cage, _: Selection) -> Edit:
        went = ElementMap.identity(cage.topology)
        chosen: Selection | None = None
        for one in sets:
            done = edit(cage, went.follow(one))
            kept = np.zeros(0, dtype=np.int32) if chosen is None else done.old_to_new.follow(chosen).ids
            chosen = Selection.of(done.selected.kind, np.concatenate([kept, done.selected.ids]))
            went = went.then(done.old_to_new)
            cage = done.cage
        assert chosen is not None
        return Edit(cage, chosen, went, remarks=done.remarks)

    return edited
