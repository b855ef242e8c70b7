"""Ways to print, and what each asks for. Common practice, no source; machines differ, so that each number can be changed."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class PrintProcess:
    """``layer``, ``line`` and ``wall`` in mm, ``overhang`` in degrees from upright, ``density`` in g/cm³.

    ``supports`` tells whether what hangs over needs any; what is ``trapped`` in a hollow without an outlet stays there, and
    refuses it unless it is empty. A layer takes ``pause`` seconds beside its lines, which are drawn at ``speed`` mm/s; light
    that falls on a whole layer draws them all but at once.
    """

    id: str
    name: str
    layer: float
    line: float
    wall: float
    overhang: float
    density: float
    supports: bool
    trapped: str
    pause: float
    speed: float


PROCESSES = (
    PrintProcess("filament", "Filament", 0.2, 0.4, 1.2, 50.0, 1.24, True, "", 2.0, 60.0),
    PrintProcess("resin", "Resin, by light", 0.05, 0.1, 0.8, 45.0, 1.18, True, "resin", 9.0, 10_000.0),
    PrintProcess("powder", "Powder, sintered", 0.1, 0.3, 0.8, 89.0, 1.01, False, "powder", 12.0, 5_000.0),
    PrintProcess("metal", "Metal powder, molten", 0.04, 0.15, 0.5, 45.0, 7.9, True, "powder", 12.0, 900.0),
)


def process_of(key: str) -> PrintProcess:
    """The process of an id. Raises KeyError."""
    return next(process for process in PROCESSES if process.id == key)
