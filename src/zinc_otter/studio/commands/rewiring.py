"""Spin edges, collapse what is picked, and give grids other counts."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, JsonValue

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.edits.collapse import collapse
from zinc_otter.core.cage.edits.spin import spin
from zinc_otter.core.cage.picking.grids import grid_of
from zinc_otter.core.cage.symmetry import for_each_image
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.holding import resample
from zinc_otter.core.holding.resample import MOST
from zinc_otter.studio.commands.base import InHand, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Spin(OnSelection):
    """Turn each picked edge on by one corner of the two faces that it parts, or ``backwards``."""

    kind: Literal["spin"] = "spin"
    backwards: Annotated[bool, labelled("Goes", words={"no": "on by one", "yes": "back by one"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return spin(cage, selection, backwards=self.backwards)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        piece = design.piece(piece_id)
        picked = self.picked.on(piece.faces)
        if piece.symmetry is None or picked.kind != "edge":
            return super().edited(design, piece_id)
        picked.check(piece.cage.topology)
        # In a mirror the other way round is the same.
        over = piece.symmetry.reflected(picked)
        return design.edited(
            piece_id, picked, lambda cage, chosen: spin(cage, chosen, backwards=self.backwards, contrary=over)
        )

    def title(self, design: Design) -> str:
        return f"Spun {self.what(design)}"


class Collapse(OnSelection):
    """Draw what hangs together of the picked into one vertex; with ``rings`` each edge of the rings of the picked edges."""

    kind: Literal["collapse"] = "collapse"
    rings: Annotated[bool, labelled("Takes", words={"no": "the picked", "yes": "their whole rings"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return collapse(cage, selection, rings=self.rings)

    def title(self, design: Design) -> str:
        return f"Collapsed {'the rings of ' if self.rings else ''}{self.what(design)}"


class Resample(OnSelection):
    """Give a grid of picked faces ``u`` by ``v`` faces and hold its form; rows lie evenly, or closer where it bends more."""

    kind: Literal["resample"] = "resample"
    u: Annotated[int, Field(ge=1, le=MOST), labelled("Faces")]
    v: Annotated[int, Field(ge=1, le=MOST), labelled("by")]
    density: Annotated[
        Literal["even", "curvature"], labelled("Rows", words={"even": "evenly", "curvature": "closer where it bends"})
    ] = "even"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return resample(cage, selection, self.u, self.v, density=self.density)

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        curve = design.piece(hand.piece).curve
        if curve is not None:
            return {"count": curve.count, "degree": str(curve.degree)}
        cage = design.piece(hand.piece).faces
        u, v = grid_of(cage.topology, hand.picked.on(cage)).counts
        return {"u": u, "v": v}

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        piece = design.piece(piece_id)
        symmetry, picked = piece.symmetry, self.picked.on(piece.faces)
        if symmetry is None or picked.kind != "face":
            return super().edited(design, piece_id)
        picked.check(piece.cage.topology)
        # Each side is a grid of its own, and "u" counts along the same edge of it.
        t = piece.cage.topology
        start = int(t.face_offsets[picked.ids[0]])
        own, closed = grid_of(t, picked, start), symmetry.closed(picked)
        if len(closed) > len(picked):
            try:
                both = grid_of(t, closed, start)
            except BadSelectionError:
                pass
            else:
                # The sides meet and make up one grid: it gets as many more faces as it has more of them.
                u, v = (n * b // a for n, a, b in zip((self.u, self.v), own.counts, both.counts, strict=True))
                return design.edited(
                    piece_id, picked, lambda cage, one: resample(cage, one, u, v, density=self.density, along=start)
                )

        def of_one(cage: Cage, one: Selection, element: int, went: ElementMap) -> Edit:
            half_edge = int(went.corners[symmetry.half_edge(element, start)])
            return resample(cage, one, self.u, self.v, density=self.density, along=half_edge if half_edge >= 0 else None)

        return design.edited(piece_id, picked, for_each_image(symmetry, picked, of_one))

    def title(self, design: Design) -> str:
        return f"Resampled {self.what(design)} to {self.u} by {self.v}"
