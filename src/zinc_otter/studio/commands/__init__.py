"""All commands. A new one is a new file here: it is found by itself."""

from __future__ import annotations

from importlib import import_module
from inspect import isabstract
from pkgutil import iter_modules
from typing import Annotated, Any, Union

from pydantic import Field, TypeAdapter

from zinc_otter.studio.commands.base import Command, Outcome, Picked

__all__ = ["AnyCommand", "Command", "Outcome", "Picked", "command_kinds", "commands", "read_command"]


def _found() -> list[type[Command]]:
    found = {
        value
        for module in iter_modules(__path__)
        for value in vars(import_module(f"{__name__}.{module.name}")).values()
        if isinstance(value, type) and issubclass(value, Command) and not isabstract(value)
    }
    return sorted(found, key=lambda command: command.__name__)


AnyCommand: Any = Annotated[Union[tuple(_found())], Field(discriminator="kind")]  # noqa: UP007
"""The discriminated union of all commands."""

_adapter: TypeAdapter[Any] = TypeAdapter(AnyCommand)


def commands() -> dict[str, type[Command]]:
    """Every command by its ``kind``."""
    return {str(command.model_fields["kind"].default): command for command in _found()}


def command_kinds() -> list[str]:
    """The ``kind`` of every command."""
    return list(commands())


def read_command(data: object) -> Command:
    """A command from plain data. Raises pydantic.ValidationError naming what is wrong."""
    command = _adapter.validate_python(data)
    assert isinstance(command, Command)
    return command
