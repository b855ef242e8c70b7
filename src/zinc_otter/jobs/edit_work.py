"""Carry out a command on a large cage. Runs in a worker process, where it can be stopped."""

from __future__ import annotations

from collections.abc import Callable

from zinc_otter.core.words import Unit, lengths_in
from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.design import Design


def apply_command(progress: Callable[[float, str], None], command: Command, design: Design, unit: Unit) -> Outcome:
    """What the command leads to, told in a unit; raises what it raises."""
    with lengths_in(unit):
        return command.apply(design)
