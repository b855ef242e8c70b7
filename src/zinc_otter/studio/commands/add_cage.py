"""Put down a cage that is given whole: brought in from a file, or made by a script."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.face_bound import MOST_FACES
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.symmetry import mirror
from zinc_otter.core.cage.symmetry.assembling import assembled
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands.base import NewPiece, Outcome, Vector
from zinc_otter.studio.commands.pieces import Colour
from zinc_otter.studio.design import Design

Index = Annotated[int, Field(ge=0, lt=2**31)]
Sharpness = Annotated[float, Field(ge=0, le=10)]


class AddCage(NewPiece):
    """A cage: vertices in mm, faces as rings of their numbers, creases by their two ends, corners, and face sets.

    With ``mirrored`` it is the half of one that lies on the positive side across that axis: the border that lies in the
    plane at 0 is where it meets its image.
    """

    kind: Literal["add-cage"] = "add-cage"
    positions: Annotated[list[Vector], Field(min_length=3, max_length=2 * MOST_FACES)]
    faces: Annotated[
        list[Annotated[list[Index], Field(min_length=3, max_length=1000)]], Field(min_length=1, max_length=MOST_FACES)
    ]
    creases: Annotated[list[tuple[Index, Index, Sharpness]], Field(max_length=4 * MOST_FACES)] = []
    corners: Annotated[list[tuple[Index, Sharpness]], Field(max_length=2 * MOST_FACES)] = []
    face_sets: Annotated[dict[str, list[Index]], Field(max_length=200)] = {}
    colour: Colour = "clay"
    mirrored: Literal["no", "x", "y", "z"] = "no"

    def apply(self, design: Design) -> Outcome:
        done = super().apply(design)
        assert done.piece_id is not None
        piece = replace(done.design.piece(done.piece_id), colour=self.colour)
        if self.mirrored != "no":
            plane = plane_at((0, 0, 0), np.eye(3)["xyz".index(self.mirrored)])
            whole, symmetry = assembled(piece.cage, mirror(plane), 1e-6)
            piece = replace(piece, form=whole, symmetry=symmetry)
        return replace(done, design=done.design.with_piece(piece))

    def cage(self) -> Cage:
        cage = Cage.from_faces(np.array(self.positions, dtype=np.float64), self.faces)
        t = cage.topology
        edges, verts = np.zeros(t.edge_count), np.zeros(t.vertex_count)
        if self.creases:
            found = edges_between(t, np.array([crease[:2] for crease in self.creases], dtype=np.int64))
            if (found < 0).any():
                a, b, _ = self.creases[int(np.argmax(found < 0))]
                raise BadSelectionError(f"A crease runs between vertices {a} and {b}, where there is no edge.")
            edges[found] = [crease[2] for crease in self.creases]
        for vertex, sharpness in self.corners:
            if vertex >= t.vertex_count:
                raise BadSelectionError(f"A corner names vertex {vertex}, which is not there.")
            verts[vertex] = sharpness
        sets = {name: np.array(ids, dtype=np.int32) for name, ids in self.face_sets.items()}
        for name, ids in sets.items():
            if len(ids) and ids.max() >= t.face_count:
                raise BadSelectionError(f"The face set {name} names face {ids.max()}, which is not there.")
        return Cage(cage.positions, t, edges, verts, sets)

    @classmethod
    def of(cls, name: str, cage: Cage, colour: str = "clay") -> AddCage:
        """The command that puts this cage down."""
        t = cage.topology
        sharp, corners = np.flatnonzero(cage.edge_sharpness), np.flatnonzero(cage.vertex_sharpness)
        return cls(
            name=name,
            colour=colour,
            positions=[tuple(p) for p in cage.positions.tolist()],
            faces=[ring.tolist() for ring in np.split(t.face_verts, t.face_offsets[1:-1])],
            creases=[
                (int(a), int(b), float(s)) for (a, b), s in zip(t.edge_verts[sharp], cage.edge_sharpness[sharp], strict=True)
            ],
            corners=[(int(v), float(cage.vertex_sharpness[v])) for v in corners],
            face_sets={name: ids.tolist() for name, ids in cage.face_sets.items()},
        )

    def title(self, design: Design) -> str:
        return f"Brought in {self.name}, {len(self.faces) * (1 if self.mirrored == 'no' else 2)} faces"
