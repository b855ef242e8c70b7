"""Carry out a command on a large cage. Runs in a worker process, where it can be stopped."""

from __future__ import annotations

from collections.abc import Callable

from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.design import Design


def apply_command(progress: Callable[[float, str], None], command: Command, design: Design) -> Outcome:
    """What the command leads to; raises what it raises."""
    return command.apply(design)
