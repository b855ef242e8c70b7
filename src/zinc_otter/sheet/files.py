"""The files that go with a sheet, each with its unit and how true it is."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from zinc_otter.core.words import length_words, number
from zinc_otter.sheet.tables import Flow


@dataclass(frozen=True)
class Written:
    """A file that was handed over: its ``name`` and ``kind``, the ``unit`` that it is in, the ``tolerance`` (mm) and
    ``angle`` (degrees) of its triangles (None for patches), by how many per cent it is ``larger``, and when (``at``)."""

    name: str
    kind: str
    unit: str
    tolerance: float | None
    angle: float
    larger: float
    at: str

    @property
    def how(self) -> str:
        """How true it is, in the unit that is told in."""
        said = "patches; its certificate says how near"
        if self.tolerance is not None:
            said = f"triangles within {length_words(self.tolerance)}"
            if self.angle < 180:
                said += f", turning {number(self.angle)}° at most"
        return f"{said}; {number(self.larger, 3)} % larger" if self.larger else said


def put_files(flow: Flow, files: Sequence[Written], bodies: Sequence[str]) -> None:
    """Their table. Of ``bodies`` (names) of which none was written that is said: a sheet is not to promise files."""
    if not bodies:
        return
    flow.table(
        "Files", ["File", "Written", "Unit", "How true"], [6, 3, 1.5, 7],
        [[one.name, one.at, one.unit, one.how] for one in files],
    )  # fmt: skip
    if not files:
        flow.title("Files")
        flow.words("None has been written of these forms as they are now: write them in Make, and draw this sheet again.")
