"""Forms that grow from the forms of other pieces and go on following them: one file a kind.

A new kind is a new file here: it is found by itself.
"""

from importlib import import_module
from inspect import isabstract
from pkgutil import iter_modules

from zinc_otter.core.growth.base import Growth, Outgrowth
from zinc_otter.core.growth.pulls import Pulls


def _found() -> tuple[type[Growth], ...]:
    modules = [import_module(f"{__name__}.{module.name}") for module in iter_modules(__path__)]
    values = {value for module in modules for value in vars(module).values() if isinstance(value, type)}
    kinds = [value for value in values if issubclass(value, Growth) and not isabstract(value) and "kind" in vars(value)]
    return tuple(sorted(kinds, key=lambda kind: kind.__name__))


KINDS = _found()
"""All kinds of growths, by name."""

__all__ = ["KINDS", "Growth", "Outgrowth", "Pulls"]
