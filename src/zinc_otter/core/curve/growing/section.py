"""Sections of wire: round, square, half-round, flat, as points and the smooth runs between their corners."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError

Shape = Literal["round", "square", "half-round", "flat"]

CORNERS: dict[Shape, int] = {"round": 0, "square": 4, "half-round": 2, "flat": 4}
"""How many lines of hard creases run along each."""


@dataclass(frozen=True, eq=False)
class Section:
    """``points`` (n, 2) of a section 2 mm wide, against the clock, and those of them that are ``corners`` (k,)."""

    points: Floats
    corners: Ints

    def controls(self, goals: Floats) -> Floats:
        """Control points (n, ...) of a ring whose surface runs through ``goals`` (n, ...), a corner staying a corner."""
        if not len(self.corners):
            return solved(goals, True)
        made = goals.copy()
        ends = np.append(self.corners, self.corners[0] + len(goals))
        for a, b in zip(ends[:-1], ends[1:], strict=True):
            run = np.arange(a, b + 1) % len(goals)
            made[run] = solved(goals[run], False)
        return made


def section_of(shape: Shape, around: int, thickness: float = 0.5) -> Section:
    """The section of a wire, ``around`` points round it: 2 wide, and where it is "flat" ``thickness`` times as high.

    A half-round one has its flat side below, through the line that it is carried along, and is half as high as wide; the
    others lie about it. Raises BadNumberError for a count that leaves a side without a face.

    >>> section_of("square", 8).points.tolist()[0]
    [1.0, 1.0]
    """
    least = {"round": 3, "square": 4, "half-round": 5, "flat": 4}[shape]
    if around < least:
        raise BadNumberError(f"A {shape} wire has {least} faces around at least; {around} were asked for.")
    if shape == "round":
        turn = np.arange(around) * 2 * np.pi / around
        return Section(np.column_stack([np.cos(turn), np.sin(turn)]), np.zeros(0, dtype=np.int32))
    if shape == "half-round":
        below = max(1, around // 4)
        turn = np.linspace(0, np.pi, around - below + 1)
        arc = np.column_stack([np.cos(turn), np.sin(turn)])
        base = np.column_stack([np.linspace(-1, 1, below + 1)[1:-1], np.zeros(below - 1)])
        return Section(np.vstack([arc, base]), np.array([0, around - below], dtype=np.int32))
    high = 1.0 if shape == "square" else thickness
    if not (np.isfinite(high) and 0.01 <= high <= 100):
        raise BadNumberError(f"A flat wire is 0.01 to 100 times as thick as wide; {high:g} was asked for.")
    tips = np.array([(1, high), (-1, high), (-1, -high), (1, -high)], dtype=np.float64)
    # Whole faces a side: the long ones take what is over.
    shares = np.full(4, around // 4)
    longer = [0, 2, 1, 3] if high <= 1 else [1, 3, 0, 2]
    for k in longer[: around % 4]:
        shares[k] += 1
    runs = [tips[k] + (tips[(k + 1) % 4] - tips[k]) * (np.arange(n) / n)[:, None] for k, n in enumerate(shares)]
    return Section(np.vstack(runs), np.concatenate([[0], np.cumsum(shares[:-1])]).astype(np.int32))
