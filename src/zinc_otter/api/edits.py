"""Commands carried out: at once where they are quick, else in a worker, where they can be stopped and have a time limit."""

from __future__ import annotations

import secrets
from contextlib import suppress
from contextvars import ContextVar
from dataclasses import fields, replace
from threading import Lock

from zinc_otter.core.words import told_in
from zinc_otter.jobs import JobRunner, UnknownJobError
from zinc_otter.jobs.edit_work import apply_command
from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.commands.base import Meshes
from zinc_otter.studio.design import Design, Piece

asker: ContextVar[str] = ContextVar("asker", default="")
"""Who asks, so that nobody stops what another asked for; where nobody says, all that is done to a design is one asker's."""
HEAVY = 2_500
"""Faces from which a command that works through them goes to the worker: from there on some take more than a second."""


class Edits:
    """Carries commands out. Safe to call from several threads."""

    def __init__(self, runner: JobRunner) -> None:
        self._runner = runner
        self._lock = Lock()
        self._under_way: dict[str, set[str]] = {}

    def apply(self, design_id: str, command: Command, design: Design, meshes: Meshes) -> Outcome:
        """What a command leads to. Raises what it raises, StoppedError, BusyError, JobFailedError when it takes too long."""
        if command.goes_by_meshes or command.weight(design) < HEAVY:
            return command.apply_among(design, meshes)
        # Never one that is under way already, though the same is asked for: the design may be another by now.
        job_id = self._runner.start(secrets.token_hex(8), command.title(design), apply_command, command, design, told_in())
        who = asker.get() or design_id
        with self._lock:
            self._under_way.setdefault(who, set()).add(job_id)
        try:
            outcome = self._runner.wait(job_id)
        finally:
            with self._lock:
                self._under_way[who].discard(job_id)
                if not self._under_way[who]:
                    del self._under_way[who]
        assert isinstance(outcome, Outcome)
        return replace(outcome, design=_with_own_pieces(outcome.design, design))

    def is_stoppable(self, who: str) -> bool:
        """Whether something is under way for an asker that can be stopped."""
        with self._lock:
            return who in self._under_way

    def stop(self, who: str) -> bool:
        """Stop what is under way for an asker, and for nobody else; False where nothing is that can be stopped."""
        with self._lock:
            jobs = list(self._under_way.get(who, ()))
        for job_id in jobs:
            # It may have come to its end by now.
            with suppress(UnknownJobError):
                self._runner.cancel(job_id)
        return bool(jobs)


def _alike(a: Piece, b: Piece) -> bool:
    """Whether two pieces are the same in all that is told of them; of symmetric ones it is not asked."""
    told = [field.name for field in fields(Piece) if field.name not in ("form", "symmetry", "pulled")]
    none = a.symmetry is None and b.symmetry is None
    return none and a.form.digest == b.form.digest and all(getattr(a, name) == getattr(b, name) for name in told)


def _with_own_pieces(made: Design, before: Design) -> Design:
    """The design that came back from the worker, with pieces that did not change as they were here."""
    own = {piece.id: piece for piece in before.pieces}
    pieces = []
    for piece in made.pieces:
        mine = own.get(piece.id)
        pieces.append(mine if mine is not None and _alike(mine, piece) else piece)
    return replace(made, pieces=tuple(pieces))
