"""All commands. A new one is a new file here: it is found by itself."""

from __future__ import annotations

from typing import Annotated, Any, Union

from pydantic import Field, TypeAdapter

from zinc_otter.core.kinds import kinds_in
from zinc_otter.studio.commands.base import Command, Outcome, Picked

__all__ = ["AnyCommand", "Command", "Outcome", "Picked", "command_kinds", "commands", "read_command"]


_KINDS = kinds_in(__name__, __path__, Command)  # type: ignore[type-abstract]

AnyCommand: Any = Annotated[Union[_KINDS], Field(discriminator="kind")]  # noqa: UP007
"""The discriminated union of all commands."""

_adapter: TypeAdapter[Any] = TypeAdapter(AnyCommand)


def commands() -> dict[str, type[Command]]:
    """Every command by its ``kind``."""
    return {str(command.model_fields["kind"].default): command for command in _KINDS}


def command_kinds() -> list[str]:
    """The ``kind`` of every command."""
    return list(commands())


def read_command(data: object) -> Command:
    """A command from plain data. Raises pydantic.ValidationError naming what is wrong."""
    command = _adapter.validate_python(data)
    assert isinstance(command, Command)
    return command
