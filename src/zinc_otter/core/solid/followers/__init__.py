"""Followers: the ordered steps from a form to its solid, one file for each kind; on triangles and in the kernel alike.

A new kind is a new file here: it is found by itself.
"""

from importlib import import_module
from inspect import isabstract
from pkgutil import iter_modules

from zinc_otter.core.solid.followers.base import PIECE, EdgeName, Follower, WaitsError
from zinc_otter.core.solid.followers.combine import Combine, ImportedBody, PieceBody
from zinc_otter.core.solid.followers.copies import MirrorBody, RepeatAlong, RepeatRound, ScaleToSize
from zinc_otter.core.solid.followers.hollow import Hollow, Vent
from zinc_otter.core.solid.followers.rounding import CutEdge, Fillet
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.followers.trim_sheet import TrimBySheet


def _found() -> tuple[type[Follower], ...]:
    modules = [import_module(f"{__name__}.{module.name}") for module in iter_modules(__path__)]
    values = {value for module in modules for value in vars(module).values() if isinstance(value, type)}
    kinds = [value for value in values if issubclass(value, Follower) and not isabstract(value) and "kind" in vars(value)]
    return tuple(sorted(kinds, key=lambda kind: kind.__name__))


KINDS = _found()
"""All kinds of followers, by name."""

__all__ = [
    "KINDS", "PIECE", "Combine", "CutEdge", "EdgeName", "Fillet", "Follower", "Hollow", "ImportedBody", "MirrorBody",
    "PieceBody", "RepeatAlong", "RepeatRound", "ScaleToSize", "Thickened", "Trim", "TrimBySheet", "Vent", "WaitsError",
]  # fmt: skip
