"""A link of a chain: wire bent to a ring with straight sides. As round as long it is a jump ring."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.curve.making import ellipse, rounded_rectangle
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import check_sizes
from zinc_otter.core.words import bare_length, extent, length_words

_ROUND_IT = 12
"""Faces along a round one."""


def link(wire: float, length: float, width: float, around: int = 8) -> Cage:
    """A link of ``wire`` mm, ``length`` along y and ``width`` along x inside; ``around`` faces round the wire.

    Raises BadNumberError for sizes that make none.

    >>> link(1, 6, 3).topology.is_closed
    True
    """
    check_sizes((wire, length, width), 3)
    if width > length:
        raise BadNumberError(f"A link is at least as long as wide inside; {extent((length, width))} were asked for.")
    # So little longer than wide that no straight side is to be seen, and a curve had next to no room for one.
    if length - width < 0.02 * width:
        line = ellipse(width + wire, length + wire, _ROUND_IT)
    else:
        line = rounded_rectangle(width + wire, length + wire, (width + wire) / 2)
    return pipe(line, wire / 2, around).cage


def wire_of(wire: float, length: float, width: float) -> float:
    """The mean length in mm of the wire that a link takes, along its middle.

    >>> round(wire_of(1, 4, 4), 3)
    15.708
    """
    return float(2 * (length - width) + np.pi * (width + wire))


def pitch_of(wire: float, length: float, width: float, play: float) -> float:
    """How far apart links of a chain stand, mm, so that each has ``play`` mm to the next.

    Raises BadNumberError where the next one does not go through, or links run into the next but one.
    """
    if not (np.isfinite(play) and play >= 0):
        raise BadNumberError(f"The play between links is 0 or more; {length_words(play)} is not.")
    if width < wire + 2 * play:
        raise BadNumberError(
            f"The next link does not go through: its wire takes {length_words(wire + 2 * play)} with its play, and a link "
            f"is {length_words(width)} wide inside."
        )
    if length < 2 * (wire + play):
        raise BadNumberError(
            f"Two links meet in each: inside it is at least {length_words(2 * (wire + play))} long, not "
            f"{bare_length(length)}."
        )
    return length - play
