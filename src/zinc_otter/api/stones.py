"""How stones lie, for the live channel: how near to one another, how deep in the metal, what they weigh."""

from __future__ import annotations

from collections.abc import Iterator

import numpy as np

from zinc_otter.api.gaps import Gaps, told
from zinc_otter.api.live.shown import ShownGap, ShownStones
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.proof.gaps import TOUCH
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.stone.spacing import Below, Laid, Spacing, below, spacing
from zinc_otter.core.stone.stone import Stone
from zinc_otter.core.words import fine_length_words, length_words
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.followers import clearances_in

_MARKED = 24
"""Places that are marked at once."""


def stones_of(piece: Piece) -> list[tuple[Stone, Floats]]:
    """The stones that a piece shows, and where they are (k, 4, 4) each."""
    return piece.form.stones if isinstance(piece.form, Repeated) else []


def told_stones(design: Design, gaps: Gaps, settled: bool) -> tuple[list[ShownGap], list[ShownStones]]:
    """The smallest gap between any two of all shown stones, and how those of each piece lie."""
    pieces = [piece for piece in design.pieces if piece.visible and stones_of(piece)]
    laid = [(stone.gem, motions) for piece in pieces for stone, motions in stones_of(piece)]
    owner = [piece.id for piece in pieces for _, motions in stones_of(piece) for _ in range(len(motions))]
    near = spacing(laid, settled)
    shown_gaps: list[ShownGap] = []
    if near is not None:
        a, b = (owner[k] for k in near.between)
        shown_gaps.append(told(near.gap, a, None if a == b else b))
    left = None if near is None else between_seats(design, near, owner)
    return shown_gaps, [_piece(design, piece, gaps, near, owner, left, settled) for piece in pieces]


def between_seats(design: Design, near: Spacing, owner: list[str]) -> tuple[set[str], float] | None:
    """How many mm of metal are left between the seats of the two nearest stones, and whose they are.

    A seat is wider than its stone by the clearance of the setting that cuts it. None where one of them has no seat.
    """
    clearances = clearances_in(design)
    a, b = (owner[k] for k in near.between)
    if a not in clearances or b not in clearances:
        return None
    return {a, b}, near.gap.distance - clearances[a] - clearances[b]


def _piece(
    design: Design, piece: Piece, gaps: Gaps, near: Spacing | None, owner: list[str],
    between: tuple[set[str], float] | None, settled: bool,
) -> ShownStones:  # fmt: skip
    stones = stones_of(piece)
    metal = _below(design, piece, [(stone.gem, motions) for stone, motions in stones], gaps, settled)
    overlaps = 0 if near is None else sum(owner[a] == piece.id or owner[b] == piece.id for a, b in near.overlapping)
    own = between[1] if between is not None and piece.id in between[0] else None
    left = None if metal is None or not np.isfinite(metal.left).any() else int(metal.left.argmin())
    out = np.flatnonzero(metal.through > TOUCH) if metal is not None else np.zeros(0, dtype=np.int64)
    return {
        "piece": piece.id,
        "count": sum(len(motions) for _, motions in stones),
        "carats": float(sum(stone.carats * len(motions) for stone, motions in stones)),
        "left": None if metal is None or left is None else float(metal.left[left]),
        "left_at": None if metal is None or left is None else _xyz(metal.lowest[left]),
        "through": 0.0 if metal is None or not len(out) else float(metal.through.max()),
        "through_at": [] if metal is None else [_xyz(metal.lowest[k]) for k in out[:_MARKED]],
        "overlaps": overlaps,
        "between": own,
        "says": list(_says(piece, near if overlaps else None, overlaps, metal, own)),
    }


def _says(piece: Piece, near: Spacing | None, overlaps: int, metal: Below | None, between: float | None) -> Iterator[str]:
    """What is the matter, and what would do."""
    width = stones_of(piece)[0][0].cut.width
    if near is not None:
        deep = -near.gap.distance
        pairs = "1 pair of stones overlaps" if overlaps == 1 else f"{overlaps} pairs of stones overlap"
        would = f"; {length_words(width - deep)} across would do" if width - deep > 0 else ""
        yield f"{pairs}, by {length_words(deep)} at most{would}."
    elif between is not None and between <= 0:
        yield (
            f"The seats of two stones run into one another, by {fine_length_words(-between)}: no metal is left between "
            f"them. Set them further apart."
        )
    if metal is not None and (out := metal.through > TOUCH).any():
        count, far = int(out.sum()), float(metal.through.max())
        which = "1 stone sticks" if count == 1 else f"{count} stones stick"
        them = "it" if count == 1 else "them"
        yield f"{which} out below, by {length_words(far)} at most: raise {them} by more than that, or thicken the form."


def _below(design: Design, piece: Piece, laid: list[Laid], gaps: Gaps, settled: bool) -> Below | None:
    """How they lie in the form that they were laid on; None where that is none, or open."""
    growth = piece.grown
    if not isinstance(growth, Stones) or not growth.host:
        return None
    host = design.piece(growth.host).form
    if not isinstance(host, Cage) or not host.topology.is_closed:
        return None
    return below(laid, gaps.mesh(host, settled))


def _xyz(point: Floats) -> list[float]:
    return [float(v) for v in point]
