"""One gate for every way out: a body is whole, closed, a manifold and does not cross itself, or it is told why not."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import NOWHERE, Place, UnsoundBodyError
from zinc_otter.core.proof.crossing import meetings
from zinc_otter.core.proof.soundness import looked_over
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.recipe import Note

INCOMPLETE = "Incomplete. "
"""How a fault begins that says that a step is not in the body."""


@dataclass(frozen=True)
class Judged:
    """``faults`` are why a body is not handed on unless it is asked for all the same; ``warnings`` are only told.

    ``crossings``: how many pairs of triangles cross, of all.
    """

    faults: tuple[Remark, ...]
    warnings: tuple[Remark, ...]
    crossings: int

    @classmethod
    def read(cls, data: Mapping[str, Any]) -> Judged:
        """From the mapping that ``dataclasses.asdict`` gives, by way of JSON."""
        faults, warnings = (tuple(Remark.read(one) for one in data[key]) for key in ("faults", "warnings"))
        return cls(faults, warnings, data["crossings"])


def judged(points: Floats, triangles: Ints, notes: Iterable[Note] = ()) -> Judged:
    """Judge a body by its triangles (m, 3) over points (n, 3) mm, and by what became of its followers."""
    notes = tuple(notes)
    missing = [Remark(INCOMPLETE + note.words, note.place) for note in notes if note.status in ("waits", "failed")]
    told = [Remark(note.words, note.place) for note in notes if note.status == "done" and note.words]
    found = looked_over(points, triangles)
    return Judged((*missing, *found.faults), (*told, *found.warnings), found.crossings)


def judged_apart(points: Floats, triangles: Ints, bodies: int, notes: Iterable[Note] = ()) -> Judged:
    """The same for ``bodies`` images of one body, one behind another: where they run into each other is only told."""
    alone, ends = len(triangles) // bodies, len(points) // bodies
    first = judged(points[:ends], triangles[:alone], notes)
    found = meetings(points, triangles)
    meet = np.concatenate([found.cross, found.touch]).reshape(-1, 2) // alone
    pairs = np.unique(meet[meet[:, 0] != meet[:, 1]], axis=0)
    words = f"{bodies} bodies, each by itself as was asked"
    if len(pairs):
        count = f"{len(pairs)} {'pair' if len(pairs) == 1 else 'pairs'}"
        words = f"{words}: {count} of them meet, and are not united"
    return Judged(first.faults, (*first.warnings, Remark(f"{words}.", NOWHERE)), first.crossings)


def refuse_unsound(faults: Sequence[Remark]) -> None:
    """Raise UnsoundBodyError with all that is the matter, unless nothing is."""
    if not faults:
        return
    error = UnsoundBodyError(" ".join(fault.words for fault in faults))
    places = [fault.place for fault in faults]
    error.place = Place(
        tuple(v for place in places for v in place.vertices),
        tuple(e for place in places for e in place.edges),
        tuple(f for place in places for f in place.faces),
        tuple(p for place in places for p in place.points),
    )
    raise error


def in_short(faults: Sequence[Remark]) -> str:
    """What goes beside a file's name: "incomplete", "not sound", or nothing."""
    if any(fault.words.startswith(INCOMPLETE) for fault in faults):
        return "incomplete"
    return "not sound" if faults else ""
