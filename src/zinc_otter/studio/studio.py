"""The studio: preview, commit, undo and redo on the designs of a shelf."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from threading import RLock
from typing import Any
from weakref import WeakValueDictionary

from zinc_otter.core.cage import Selection
from zinc_otter.core.words import Unit, lengths_in
from zinc_otter.studio.commands import Command, Outcome, Picked
from zinc_otter.studio.commands.base import Meshes, no_meshes
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Saved, Shelf, StaleRevisionError


@dataclass(frozen=True, eq=False)
class _Preview:
    design_id: str
    revision: int
    command: Command
    outcome: Outcome


Applier = Callable[[str, Command, Design, Meshes], Outcome]
"""Carries out a command on a design of an id: at once, or where it can be stopped."""


def at_once(_: str, command: Command, design: Design, meshes: Meshes) -> Outcome:
    return command.apply_among(design, meshes)


class _Changing:
    """The lock of a design that is being changed; it goes when nobody holds it."""

    def __init__(self) -> None:
        self.lock = RLock()


class Studio:
    """One place through which every change of a design goes. Safe to call from several threads.

    What takes long on one design holds up no other: each has a lock of its own.
    """

    def __init__(self, shelf: Shelf, meshes: Meshes = no_meshes, apply: Applier = at_once) -> None:
        self._shelf = shelf
        self._meshes = meshes
        self._apply = apply
        self._lock = RLock()
        self._open: dict[str, Saved] = {}
        self._previews: dict[str, _Preview] = {}
        self._deleted: set[str] = set()
        self._changing: WeakValueDictionary[str, _Changing] = WeakValueDictionary()

    def saved(self, design_id: str) -> Saved:
        """The design as it stands. Raises UnknownDesignError."""
        with self._lock:
            if design_id in self._open:
                return self._open[design_id]
        return self._keep(self._shelf.load(design_id))

    def preview(self, design_id: str, revision: int, command: Command) -> Outcome:
        """What a command would lead to, told in the design's unit; nothing is kept. Raises StaleRevisionError and what the
        command raises."""
        saved = self._at(design_id, revision)
        with lengths_in(saved.facts.unit):
            outcome = self._apply(design_id, command, saved.design, self._meshes)
        with self._lock:
            self._previews.pop(design_id, None)
            self._previews[design_id] = _Preview(design_id, revision, command, outcome)
            while len(self._previews) > _MOST_OPEN:
                self._previews.pop(next(iter(self._previews)))
        return outcome

    def commit(self, design_id: str, revision: int, command: Command, instead: bool = False) -> Saved:
        """Keep a command as one step: the last preview, when it was of the same command. Raises as preview does.

        ``instead`` of the present step: a run of small ones is one step, told by its sum.
        """
        with self._change(design_id):
            with self._lock:
                last = self._previews.pop(design_id, None)
            saved = self._at(design_id, revision)
            design = self._shelf.before(design_id) if instead else saved.design
            with lengths_in(saved.facts.unit):
                if not instead and last is not None and last.revision == revision and last.command == command:
                    outcome = last.outcome
                else:
                    outcome = self._apply(design_id, command, design, self._meshes)
                title = command.title(design)
            return self._keep(
                self._shelf.add_step(
                    design_id,
                    revision,
                    title,
                    command.model_dump(mode="json"),
                    outcome.design,
                    _selected_document(outcome),
                    command.is_aside(),
                    instead,
                )
            )

    def cancel(self, design_id: str) -> Saved:
        """Drop the last preview."""
        with self._lock:
            self._previews.pop(design_id, None)
        return self.saved(design_id)

    def undo(self, design_id: str, revision: int) -> Saved:
        """Go one step back; at the first step nothing happens."""
        saved = self._at(design_id, revision)
        return self.go_to(design_id, revision, saved.steps[max(saved.head_index - 1, 0)].id)

    def redo(self, design_id: str, revision: int) -> Saved:
        """Go one step on; at the last step nothing happens."""
        saved = self._at(design_id, revision)
        return self.go_to(design_id, revision, saved.steps[min(saved.head_index + 1, len(saved.steps) - 1)].id)

    def at_step(self, design_id: str, step_id: int) -> Design:
        """The design as it was at a step of its list. Raises UnknownDesignError."""
        return self._shelf.at_step(design_id, step_id)

    def go_to(self, design_id: str, revision: int, step_id: int) -> Saved:
        """Make a step of the list the present one."""
        with self._change(design_id):
            return self._keep(self._shelf.go_to(design_id, revision, step_id))

    def rename(self, design_id: str, name: str | None, unit: Unit | None = None) -> Saved:
        """Another name, or another unit to be shown in."""
        with self._change(design_id):
            return self._keep(self._shelf.rename(design_id, name, unit))

    def thin(self, design_id: str, revision: int, keep: int) -> Saved:
        """Forget all steps but the last ``keep`` up to the present one, and those after it."""
        with self._change(design_id):
            return self._keep(self._shelf.thin(design_id, revision, keep))

    def delete(self, design_id: str) -> None:
        with self._change(design_id):
            self._shelf.delete(design_id)
            with self._lock:
                self._deleted.add(design_id)
                self._open.pop(design_id, None)
                self._previews.pop(design_id, None)

    @contextmanager
    def _change(self, design_id: str) -> Iterator[None]:
        """Changes of one design come one after the other."""
        with self._lock:
            changing = self._changing.get(design_id)
            if changing is None:
                changing = self._changing[design_id] = _Changing()
        with changing.lock:
            yield

    def _keep(self, saved: Saved) -> Saved:
        """Hold what was last read or kept; what is newer by now stays, and what was deleted meanwhile is not held."""
        with self._lock:
            if saved.facts.id in self._deleted:
                return saved
            held = self._open.pop(saved.facts.id, None)
            newest = held if held is not None and held.facts.revision > saved.facts.revision else saved
            self._open[saved.facts.id] = newest
            while len(self._open) > _MOST_OPEN:
                self._open.pop(next(iter(self._open)))
        return saved

    def _at(self, design_id: str, revision: int) -> Saved:
        saved = self.saved(design_id)
        if saved.facts.revision != revision:
            raise StaleRevisionError(
                f"The design is at revision {saved.facts.revision} by now; this change was made against {revision}."
            )
        return saved


_MOST_OPEN = 16


def _selected_document(outcome: Outcome) -> dict[str, Any] | None:
    if outcome.piece_id is None:
        return None
    selected = outcome.selected or Selection.of("face", [])
    kind, ids = ("piece", [0]) if outcome.whole else (selected.kind, selected.ids.tolist())
    return {"piece": outcome.piece_id, **Picked(kind=kind, ids=ids).model_dump()}
