"""The kinds that a package holds, one file each: found by themselves."""

from __future__ import annotations

from collections.abc import Iterable
from importlib import import_module
from inspect import isabstract
from pkgutil import iter_modules
from typing import TypeVar

Kind = TypeVar("Kind")


def kinds_in(package: str, path: Iterable[str], base: type[Kind]) -> tuple[type[Kind], ...]:
    """All classes of a package's files that are a ``base`` and name a ``kind`` of their own, by name."""
    modules = [import_module(f"{package}.{module.name}") for module in iter_modules(path)]
    values = {value for module in modules for value in vars(module).values() if isinstance(value, type)}
    kinds = [value for value in values if issubclass(value, base) and not isabstract(value)]
    named = [kind for kind in kinds if "kind" in vars(kind).get("__annotations__", {})]
    return tuple(sorted(named, key=lambda kind: kind.__name__))
