"""Any reference: name, show, lock, fade, lay in front or behind, keep clear of, delete."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import length_words, number
from zinc_otter.studio.commands.base import Command, Name, Outcome, PieceId
from zinc_otter.studio.commands.components import Clearance
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Picture


class ChangeReference(Command):
    """Change how a reference is named, shown and guarded; what is left out stays."""

    kind: Literal["change-reference"] = "change-reference"
    reference: PieceId
    name: Name | None = None
    visible: bool | None = None
    locked: bool | None = None
    opacity: Annotated[float, Field(ge=0.05, le=1)] | None = None
    in_front: bool | None = None
    clearance: Clearance | None = None
    scan: bool | None = None

    def apply(self, design: Design) -> Outcome:
        reference = design.reference(self.reference)
        given = self._given()
        if not given:
            raise BadSelectionError("Nothing was given to change.")
        unfit = {"clearance", "scan"} if isinstance(reference, Picture) else {"in_front"}
        if wrong := unfit & set(given):
            raise BadSelectionError(f"{reference.name} has no {min(wrong).replace('_', ' ')} to set.")
        return Outcome(design.with_reference(replace(reference, **given)))  # type: ignore[arg-type]

    def is_aside(self) -> bool:
        return set(self._given()) == {"visible"}

    def _given(self) -> dict[str, object]:
        fields = ("name", "visible", "locked", "opacity", "in_front", "clearance", "scan")
        return {key: value for key in fields if (value := getattr(self, key)) is not None}

    def title(self, design: Design) -> str:
        name = design.reference(self.reference).name
        words = {
            "name": f"Renamed {name} to {self.name}",
            "visible": f"{'Showed' if self.visible else 'Hid'} {name}",
            "locked": f"{'Locked' if self.locked else 'Unlocked'} {name}",
            "opacity": f"Faded {name} to {number(100 * (self.opacity or 0), 0)} %",
            "in_front": f"Laid {name} {'in front' if self.in_front else 'behind'}",
            "clearance": f"Asked for {length_words(self.clearance or 0)} of clearance around {name}",
            "scan": f"Took {name} for {'a scan to lie on' if self.scan else 'a part to keep clear of'}",
        }
        return next((words[key] for key in words if key in self._given()), f"Changed {name}")


class DeleteReference(Command):
    """Take a reference out of the design."""

    kind: Literal["delete-reference"] = "delete-reference"
    reference: PieceId

    def apply(self, design: Design) -> Outcome:
        design.free_reference(self.reference)
        return Outcome(design.without_reference(self.reference))

    def title(self, design: Design) -> str:
        return f"Deleted {design.reference(self.reference).name}"
