"""The kinds that a package holds, one file each: found by themselves."""

from __future__ import annotations

from collections.abc import Iterable
from importlib import import_module
from inspect import isabstract
from pkgutil import walk_packages
from typing import TypeVar

Kind = TypeVar("Kind")


def kinds_in(package: str, path: Iterable[str], base: type[Kind]) -> tuple[type[Kind], ...]:
    """All classes of a package's files, and of packages in it, that are a ``base`` and name a ``kind``, by name."""
    modules = [import_module(module.name) for module in walk_packages(path, f"{package}.")]
    values = {value for module in modules for value in vars(module).values() if isinstance(value, type)}
    kinds = [value for value in values if issubclass(value, base) and not isabstract(value)]
    named = [kind for kind in kinds if "kind" in vars(kind).get("__annotations__", {})]
    return tuple(sorted(named, key=lambda kind: kind.__name__))
