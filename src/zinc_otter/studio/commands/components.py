"""Reference components: put a mesh down as something to build around, and place it."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field
from scipy.spatial.transform import Rotation

from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.studio.commands.base import Command, Direction, Length, Name, Number, Outcome, PieceId, Vector
from zinc_otter.studio.commands.pictures import AssetHash
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

Clearance = Annotated[Length, Field(ge=0)]


class AddComponent(Command):
    """Put down a mesh that was uploaded; its asset is in mm, turned by ``rotation`` (rows). It is locked, so that it is not
    dragged by chance. A ``stand`` is what pieces are shown on."""

    kind: Literal["add-component"] = "add-component"
    name: Name
    asset: AssetHash
    triangles: Annotated[int, Field(ge=1)]
    size: tuple[Length, Length, Length]
    centre: Vector = (0.0, 0.0, 0.0)
    clearance: Clearance = 0.0
    scan: bool = False
    stand: bool = False
    rotation: tuple[Vector, Vector, Vector] = ((1.0, 0.0, 0.0), (0.0, 1.0, 0.0), (0.0, 0.0, 1.0))

    def apply(self, design: Design) -> Outcome:
        turn = np.array(self.rotation)
        if np.abs(turn @ turn.T - np.eye(3)).max() > 1e-6 or np.linalg.det(turn) < 0:
            raise BadNumberError("The rotation of a component is none: its rows are not square to one another.")
        made = Component(
            "", self.name, self.asset, self.triangles, self.size, self.rotation, self.centre, self.clearance,
            opacity=1.0 if self.stand else 0.45, scan=self.scan, stand=self.stand,
        )  # fmt: skip
        return Outcome(design.with_new_reference(made)[0])

    def title(self, design: Design) -> str:
        return f"Put down the {'scan' if self.scan else 'stand' if self.stand else 'component'} {self.name}"


class RecastComponent(Command):
    """Give a component another mesh, where it lies: one that came of its own, such as by cleaning it up, said in
    ``words``."""

    kind: Literal["recast-component"] = "recast-component"
    reference: PieceId
    asset: AssetHash
    triangles: Annotated[int, Field(ge=1)]
    size: tuple[Length, Length, Length]
    words: Annotated[str, Field(min_length=1, max_length=200)]

    def apply(self, design: Design) -> Outcome:
        component = design.reference(self.reference)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is no component.")
        made = replace(component, asset=self.asset, triangles=self.triangles, size=self.size)
        return Outcome(design.with_reference(made), remarks=(f"{self.words[0].upper()}{self.words[1:]}.",))

    def title(self, design: Design) -> str:
        return f"Cleaned up {design.reference(self.reference).name}: {self.words}"


class PlaceComponent(Command):
    """Move a component by a vector, or turn it by ``degrees`` about an ``axis`` through its own origin."""

    kind: Literal["place-component"] = "place-component"
    reference: PieceId
    vector: Vector = (0.0, 0.0, 0.0)
    axis: Direction = (0.0, 0.0, 1.0)
    degrees: Number = 0.0

    def apply(self, design: Design) -> Outcome:
        component = free_component(design, self.reference)
        length = float(np.linalg.norm(self.axis))
        if length < 1e-12:
            raise BadNumberError("The axis to turn about has no length.")
        spin = Rotation.from_rotvec(np.asarray(self.axis) / length * np.radians(self.degrees))
        a, b, c = (tuple(row) for row in (spin.as_matrix() @ np.asarray(component.rotation)).tolist())
        x, y, z = np.add(component.centre, self.vector).tolist()
        return Outcome(design.with_reference(replace(component, rotation=(a, b, c), centre=(x, y, z))))

    def title(self, design: Design) -> str:
        return f"Placed {design.reference(self.reference).name}"


def free_component(design: Design, key: str) -> Component:
    """A component that may be moved. Raises BadSelectionError, LockedError."""
    component = design.free_reference(key)
    if not isinstance(component, Component):
        raise BadSelectionError(f"{component.name} is no component.")
    return component
