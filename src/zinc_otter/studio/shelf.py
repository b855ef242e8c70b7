"""What the studio needs of a place that keeps designs: the values it hands out, and its methods."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any, Protocol

from zinc_otter.core.errors import CoreError
from zinc_otter.core.words import Unit
from zinc_otter.studio.design import Design


class UnknownDesignError(CoreError):
    """A design, or a step of one, that the store does not have."""

    kind = "unknown-design"
    title = "There is no such design"
    status = 404


class UnknownAssetError(CoreError):
    """A picture or mesh that the store does not have."""

    kind = "unknown-asset"
    title = "There is no such picture, mesh or solid"
    status = 404


class StaleRevisionError(CoreError):
    """A change made against a revision that is no longer the present one."""

    kind = "stale-revision"
    title = "The design has moved on"
    status = 409


class StoreFullError(CoreError):
    """The disk could not take the change; nothing was changed."""

    kind = "store-full"
    title = "The disk is full"
    status = 507


@dataclass(frozen=True, eq=False)
class Asset:
    """The contents of a reference, found by the hash of ``data``: "picture" (a PNG) or "mesh" (arrays of mm)."""

    hash: str
    kind: str
    facts: dict[str, Any]
    data: bytes


@dataclass(frozen=True)
class StepFacts:
    id: int
    number: int
    title: str
    created_at: datetime
    aside: bool = False
    """Whether it changed only what is seen: it is undone like the others, but is none of the form's steps."""
    place: int = 0
    """Its number among the form's steps alone."""


@dataclass(frozen=True)
class DesignFacts:
    id: str
    name: str
    unit: Unit
    created_at: datetime
    changed_at: datetime
    revision: int
    step_count: int
    binned_at: datetime | None = None
    """When it was put into the bin; None while it is not there."""


@dataclass(frozen=True, eq=False)
class Saved:
    """A design as it stands: the id of the present step, and what was selected then.

    ``steps`` are those about the present one; ``earlier`` and ``later`` count those of the list before and after them.
    """

    facts: DesignFacts
    design: Design
    steps: tuple[StepFacts, ...]
    head_id: int
    selected: dict[str, Any] | None
    earlier: int = 0
    later: int = 0

    @property
    def head_index(self) -> int:
        return next(i for i, step in enumerate(self.steps) if step.id == self.head_id)


class Shelf(Protocol):
    """Keeps designs and their steps. Every call is whole or not at all, and may come from any thread."""

    def load(self, design_id: str) -> Saved:
        """A design at its present step. Raises UnknownDesignError."""

    def rename(self, design_id: str, name: str | None, unit: Unit | None = None) -> Saved:
        """Give a design another name, or another unit to be shown in; no step."""

    def delete(self, design_id: str) -> None:
        """Delete a design with all its steps."""

    def thin(self, design_id: str, revision: int, keep: int) -> Saved:
        """Forget all steps but the last ``keep`` up to the present one, and those after it. Raises StaleRevisionError."""

    def add_step(
        self,
        design_id: str,
        revision: int,
        title: str,
        command: dict[str, Any],
        design: Design,
        selected: dict[str, Any] | None,
        aside: bool = False,
        instead: bool = False,
    ) -> Saved:
        """Keep a change as a new step, or ``instead`` of the present one. Raises StaleRevisionError, StoreFullError."""

    def before(self, design_id: str) -> Design:
        """The design before its present step. Raises UnknownDesignError, also at the first step."""

    def at_step(self, design_id: str, step_id: int) -> Design:
        """The design as it was at a step of the list. Raises UnknownDesignError."""

    def go_to(self, design_id: str, revision: int, step_id: int) -> Saved:
        """Make a step of the list the present one. Raises StaleRevisionError, UnknownDesignError."""
