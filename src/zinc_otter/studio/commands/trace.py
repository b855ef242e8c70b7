"""Trace a scan: lay a patch of quads on it between four corners, or a strip along a stroke."""

from __future__ import annotations

from abc import abstractmethod
from collections.abc import Sequence
from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.lay import arranged
from zinc_otter.core.cage.plane import Plane, plane_at
from zinc_otter.core.cage.symmetry import mirror
from zinc_otter.core.cage.symmetry.assembling import assembled
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadSelectionError, UnsoundCageError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.tracing import MOST, Onto, Traced, patch, strip
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Command, Direction, Length, Meshes, Outcome, PieceId, Vector, no_meshes
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.lay_face import Corner, Index
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

Quads = Annotated[int, Field(ge=1, le=MOST)]
Weld = Annotated[Annotated[Length, Field(ge=0)], labelled("Welds within", "mm", step=0.1)]


class OnScan(Command):
    """What lays quads on the component ``onto``: on a ``piece``, or without one as a new one.

    A new one is mirrored across an axis from the first, where ``mirrored`` says so. Points within ``weld`` mm of a vertex on
    the border are that vertex, and within it of a mirror they lie in it. The outside looks ``towards`` a direction where no
    neighbour decides.
    """

    piece: PieceId | None = None
    name: str = Field("Traced sheet", min_length=1, max_length=80)
    onto: Annotated[str, Field(min_length=1, max_length=20)]
    towards: Direction
    weld: Weld = 1.0
    mirrored: Annotated[
        Literal["no", "x", "y", "z"],
        labelled("Mirrored", words={"no": "no", "x": "across x", "y": "across y", "z": "across z"}),
    ] = "no"

    @abstractmethod
    def traced(self, cage: Cage | None, onto: Onto, planes: Sequence[Plane]) -> Traced:
        """The quads on the scan."""

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        component = design.reference(self.onto)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is a picture; quads are traced on a component.")
        onto = _nearest(component, meshes(component.asset))
        if self.piece is None:
            return self._begun(design, onto)
        piece = design.shapeable_piece(self.piece)
        symmetry = piece.symmetry
        planes = () if symmetry is None else symmetry.group.planes

        def laid(cage: Cage, _: Selection) -> Edit:
            return self.traced(cage, onto, planes).laid(cage, symmetry, self.towards)

        # What is picked plays no part.
        changed, done = design.edited(self.piece, Selection.of("face", [0]), laid)
        return Outcome(changed, self.piece, done.selected)

    def _begun(self, design: Design, onto: Onto) -> Outcome:
        if self.mirrored == "no":
            cage = self.traced(None, onto, ()).first_cage(self.towards)
            changed, new = design.with_new_piece(self.name, cage)
            return Outcome(changed, new.id, Selection.of("face", range(cage.topology.face_count)))
        plane = plane_at((0, 0, 0), np.eye(3)["xyz".index(self.mirrored)])
        part = self.traced(None, onto, (plane,)).first_cage(self.towards)
        try:
            whole, symmetry = assembled(part, mirror(plane), 1e-9)
        except UnsoundCageError as error:
            raise BadSelectionError(
                f"The patch would touch its mirror image in a single point: two neighbouring corners must lie in the plane "
                f"across {self.mirrored}, or none. A click within {length_words(self.weld)} of it does (Welds within)."
            ) from error
        changed, new = design.with_new_piece(self.name, whole)
        changed = changed.with_piece(replace(changed.piece(new.id), form=whole, symmetry=symmetry))
        return Outcome(changed, new.id, Selection.of("face", range(part.topology.face_count)))


class Trace(OnScan):
    """Lay a patch of ``along`` by ``across`` quads on a component between four corners: points in mm, and vertices of the
    piece.

    Two vertices together are both ends of a side; which comes first is the one that lets no sides cross. Sides that lie
    between vertices on the border take up the edges that are there.
    """

    kind: Literal["trace"] = "trace"
    corners: Annotated[tuple[Corner, ...], Field(min_length=2, max_length=4)]
    along: Annotated[Quads, labelled("Quads along")] = 1
    across: Annotated[Quads, labelled("across")] = 1

    def traced(self, cage: Cage | None, onto: Onto, planes: Sequence[Plane]) -> Traced:
        if cage is None and any(isinstance(c, int) or len(c) == 2 for c in self.corners):
            raise BadSelectionError("The first patch of a new piece is traced of new points only.")
        corners = list(self.corners) if cage is None else arranged(cage, self.corners)
        return patch(cage, corners, (self.along, self.across), onto, weld=self.weld, planes=planes)

    def title(self, design: Design) -> str:
        count = self.along * self.across
        what = "a quad" if count == 1 else f"{self.along} by {self.across} quads"
        return f"Traced {what} on {design.reference(self.onto).name}"


class TraceStrip(OnScan):
    """Lay a strip of quads on a component along a ``stroke``, ``width`` mm wide; one that ``begins`` at an edge goes on
    from it."""

    kind: Literal["trace-strip"] = "trace-strip"
    stroke: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=2_000)]
    width: Annotated[Annotated[Length, Field(gt=0)], labelled("Strip's width", "mm", step=1)] = 10.0
    begins: tuple[Index, Index] | None = None

    def traced(self, cage: Cage | None, onto: Onto, planes: Sequence[Plane]) -> Traced:
        begins = self.begins if cage is not None else None
        if begins is not None and cage is not None and max(begins) >= cage.topology.vertex_count:
            raise BadSelectionError(f"There is no vertex {max(begins)} to begin at.")
        return strip(cage, np.array(self.stroke), self.width, onto, begins=begins, weld=self.weld, planes=planes)

    def title(self, design: Design) -> str:
        return f"Traced a strip of {length_words(self.width)} on {design.reference(self.onto).name}"


def _nearest(component: Component, mesh: MeshDistance) -> Onto:
    turn = np.asarray(component.rotation, dtype=np.float64)

    def onto(points: Floats) -> tuple[Floats, Floats]:
        found = mesh.sided(component.own(points))
        return component.placed(found.feet), found.normals @ turn.T

    return onto
