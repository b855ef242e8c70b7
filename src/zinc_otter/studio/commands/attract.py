"""Draw what is picked onto a component, or onto another piece."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.aligning import Nearest, attract
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands.aligning import Share
from zinc_otter.studio.commands.base import Length, Meshes, OnSelection, Outcome, no_meshes
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component


class Attract(OnSelection):
    """Move what is picked by a ``share`` of the way to the nearest point of a surface, to end ``distance`` mm before it.

    ``onto`` is the id of a component, or of another piece, whose smooth surface is meant.
    """

    kind: Literal["attract"] = "attract"
    onto: Annotated[str, Field(min_length=1, max_length=20)]
    distance: Length = 0.0
    share: Share = 1.0

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        raise NotImplementedError("An attraction needs the surface; see apply_among.")

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        if self.others:
            raise BadSelectionError("One piece at a time is drawn onto a surface.")
        if self.onto == self.piece:
            raise BadSelectionError("A piece cannot be drawn onto itself; choose another surface.")
        nearest = _nearest(design, self.onto, meshes)
        piece = design.shapeable_piece(self.piece)
        picked = self.picked.on(piece.cage)
        changed, done = design.edited(
            self.piece, picked, lambda cage, selection: attract(cage, selection, nearest, self.distance, self.share)
        )
        return Outcome(changed, self.piece, done.selected, self.picked.kind == "piece")

    def title(self, design: Design) -> str:
        return f"Drew {self.what(design)} onto {_name(design, self.onto)}"


def _name(design: Design, onto: str) -> str:
    return next((r.name for r in design.references if r.id == onto), None) or design.piece(onto).name


def _nearest(design: Design, onto: str, meshes: Meshes) -> Nearest:
    reference = next((r for r in design.references if r.id == onto), None)
    if isinstance(reference, Component):
        mesh, component = meshes(reference.asset), reference
        return lambda points: component.placed(mesh.signed(component.own(points))[1])
    if reference is not None:
        raise BadSelectionError(f"{reference.name} is a picture; draw onto a component or a piece.")
    cage = design.piece(onto).cage
    stencils = build_stencils(cage, 3 if cage.topology.face_count < 1000 else 2)
    quads = stencils.quads
    triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
    surface = MeshDistance(evaluate(stencils, cage).points, triangles)

    def nearest(points: Floats) -> Floats:
        return surface.signed(points)[1]

    return nearest
