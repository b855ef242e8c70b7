"""Commands carried out: at once where they are quick, else in a worker, where they can be stopped and have a time limit."""

from __future__ import annotations

from dataclasses import fields, replace
from threading import Lock

from zinc_otter.jobs import JobRunner
from zinc_otter.jobs.edit_work import apply_command
from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.commands.base import Meshes
from zinc_otter.studio.design import Design, Piece

HEAVY = 2_500
"""Faces from which a command that works through them goes to the worker: from there on some take more than a second."""


class Edits:
    """Carries commands out. Safe to call from several threads."""

    def __init__(self, runner: JobRunner) -> None:
        self._runner = runner
        self._lock = Lock()
        self._under_way: dict[str, str] = {}

    def apply(self, design_id: str, command: Command, design: Design, meshes: Meshes) -> Outcome:
        """What a command leads to. Raises what it raises, StoppedError, BusyError, JobFailedError when it takes too long."""
        if command.weight(design) < HEAVY:
            return command.apply_among(design, meshes)
        what = command.title(design)
        job_id = self._runner.start(f"{design_id} {command.model_dump_json()}", what, apply_command, command, design)
        with self._lock:
            self._under_way[design_id] = job_id
        try:
            outcome = self._runner.wait(job_id)
        finally:
            with self._lock:
                if self._under_way.get(design_id) == job_id:
                    del self._under_way[design_id]
        assert isinstance(outcome, Outcome)
        return replace(outcome, design=_with_own_pieces(outcome.design, design))

    def is_stoppable(self, design_id: str) -> bool:
        """Whether something is under way for a design that can be stopped."""
        with self._lock:
            return design_id in self._under_way

    def stop(self, design_id: str) -> bool:
        """Stop what is under way for a design; False where nothing is that can be stopped."""
        with self._lock:
            job_id = self._under_way.get(design_id)
        if job_id is None:
            return False
        self._runner.cancel(job_id)
        return True


def _alike(a: Piece, b: Piece) -> bool:
    """Whether two pieces are the same in all that is told of them; of symmetric ones it is not asked."""
    told = [field.name for field in fields(Piece) if field.name not in ("cage", "symmetry")]
    none = a.symmetry is None and b.symmetry is None
    return none and a.cage.digest == b.cage.digest and all(getattr(a, name) == getattr(b, name) for name in told)


def _with_own_pieces(made: Design, before: Design) -> Design:
    """The design that came back from the worker, with pieces that did not change as they were here."""
    own = {piece.id: piece for piece in before.pieces}
    pieces = []
    for piece in made.pieces:
        mine = own.get(piece.id)
        pieces.append(mine if mine is not None and _alike(mine, piece) else piece)
    return replace(made, pieces=tuple(pieces))
