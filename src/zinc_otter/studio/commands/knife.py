"""The knife."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import HARD, Cage, Edit, Selection
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.edits.knife import knife
from zinc_otter.core.cage.picking import everything
from zinc_otter.core.cage.plane import Plane, plane_at
from zinc_otter.core.cage.selection import touching_faces
from zinc_otter.core.cage.symmetry import for_each_image
from zinc_otter.core.cage.symmetry.domains import part_of_faces
from zinc_otter.core.cage.topology import Ints
from zinc_otter.studio.commands.base import Direction, Length, OnSelection, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Knife(OnSelection):
    """Cut the picked faces, or with a piece picked all of it, along the plane through ``point`` with a ``normal``.

    Vertices within ``near`` mm are used for the cut and drawn into the plane. ``keep`` a side, or both; ``leave`` them
    "joined", "open" or "filled" with a ``cap``. The edges of the cut get a ``sharpness``. Of a symmetric piece every image
    of the plane goes "through" the whole, or "each" through its own part alone, as a mitre does.
    """

    shows_result = True
    kind: Literal["knife"] = "knife"
    point: Vector
    normal: Direction
    near: Annotated[Length, Field(ge=0), labelled("Vertices within", "mm", step=0.1)] = 0.0
    keep: Annotated[
        Literal["both", "positive", "negative"],
        labelled("Keeps", words={"both": "both sides", "positive": "one side", "negative": "the other side"}),
    ] = "both"
    leave: Annotated[
        Literal["joined", "open", "filled"],
        labelled("Leaves it", words={"joined": "joined", "open": "open", "filled": "filled"}),
    ] = "joined"
    cap: Annotated[Literal["face", "quads"], labelled("Fills with", words={"face": "one face", "quads": "quads"})] = "face"
    sides: Annotated[
        Literal["through", "each"],
        labelled("Mirrored", words={"through": "through both sides", "each": "each side by itself"}),
    ] = "through"
    sharpness: Annotated[float, Field(ge=0, le=HARD, allow_inf_nan=False), labelled("Sharpness")] = 0.0

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return self._cut(cage, plane_at(self.point, self.normal), selection)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        piece = design.piece(piece_id)
        symmetry, picked = piece.symmetry, self.picked.on(piece.faces)
        if symmetry is None:
            return super().edited(design, piece_id)
        picked.check(piece.cage.topology)
        faces = Selection.of("face", touching_faces(piece.cage.topology, picked))
        whole = len(faces) == piece.cage.topology.face_count
        planes = [symmetry.group.moved_plane(k, plane_at(self.point, self.normal)) for k in range(symmetry.group.order)]

        part = part_of_faces(symmetry, piece.cage, self.point) if self.sides == "each" else None
        if part is not None:
            return design.edited(piece_id, picked, self._each(symmetry.closed(faces).ids, part, planes))

        def cut(cage: Cage, one: Selection, element: int, _: ElementMap) -> Edit:
            return self._cut(cage, planes[element], everything(cage.topology, "face") if whole else one)

        edit = for_each_image(symmetry, faces, cut, lambda element: _same_for_one_plane(planes[element]))
        return design.edited(piece_id, picked, edit)

    def _each(self, faces: Ints, part: Ints, planes: list[Plane]) -> Callable[[Cage, Selection], Edit]:
        """Each plane through those of the meant faces, and of their images, that lie in its own part."""

        def edited(cage: Cage, _: Selection) -> Edit:
            went = ElementMap.identity(cage.topology)
            chosen = Selection.of("edge", [])
            for element, plane in enumerate(planes):
                own = went.follow(Selection.of("face", faces[part[faces] == element]))
                done = self._cut(cage, plane, own)
                kept = done.old_to_new.follow(chosen).ids
                chosen = Selection.of("edge", np.concatenate([kept, done.selected.ids]))
                went, cage = went.then(done.old_to_new), done.cage
            return Edit(cage, chosen, went)

        return edited

    def _cut(self, cage: Cage, plane: Plane, selection: Selection) -> Edit:
        selection.check(cage.topology)
        faces = touching_faces(cage.topology, selection)
        some = None if len(faces) == cage.topology.face_count else Selection.of("face", faces)
        return knife(
            cage, plane, faces=some, near=self.near, keep=self.keep, leave=self.leave, cap=self.cap, sharpness=self.sharpness
        )

    def title(self, design: Design) -> str:
        how = {"joined": "", "open": ", left open", "filled": ", filled"}[self.leave]
        return f"Cut {self.what(design)}{', one side kept' if self.keep != 'both' else ''}{how}"


def _same_for_one_plane(plane: Plane) -> tuple[float, ...]:
    """What two planes that are the same, whichever side is positive, have in common."""
    normal = np.asarray(plane.normal)
    first = normal[np.flatnonzero(np.abs(normal) > 1e-6)[0]]
    facing = normal * np.sign(first)
    return tuple(float(x) + 0.0 for x in np.round([*facing, facing @ np.asarray(plane.point)], 6))
