"""A channel: two walls along a row of stones, which rest in grooves between them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.repeated import moved
from zinc_otter.core.solid.followers.settings.base import Part, Parts, Seat, Setting, SettingError, watched, within
from zinc_otter.core.solid.strip import Bar
from zinc_otter.core.words import fine_length_words, length_words

_ROUND = 1.6
"""How many steps the way from the last stone to the first may be long, so that the row closes."""


@dataclass(frozen=True)
class Channel(Setting):
    """Two walls ``over`` the girdles by so many mm and ``wall`` mm thick run along the stones in their order; between them a
    slot is open, into which each wall reaches ``bite`` mm over the girdle. The ends are closed by as much metal.

    The stones' lengths lie along the row, or with ``across`` square to it.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.tile(np.eye(4), (3, 1, 1))
    >>> where[:, 1, 3], where[:, 2, 3] = [-5.5, 0, 5.5], 12.5
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Channel("f1", stones="p2"),), stones=laid)
    >>> made_of_triangles(recipe).notes[0].status
    'done'
    """

    what: ClassVar[str] = "Channel"
    wall: float = 0.6
    over: float = 0.4
    bite: float = 0.15
    kind: Literal["channel"] = "channel"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(
            self.what,
            wall=(self.wall, 0.05, 20.0),
            height_over_the_girdle=(self.over, 0.0, 20.0),
            bite=(self.bite, 0.0, 5.0),
        )

    def parts(self, seat: Seat) -> Parts:
        return self.all_parts([seat])[0]

    def all_parts(self, seats: Sequence[Seat]) -> list[Parts]:
        if len(seats) < 2:
            raise SettingError("A channel runs along two stones or more; this is one. Set it in a bezel, or flush.")
        frames = _along_the_row(seats)
        closed = _closes(seats)
        half = np.array([_half_across(seat, frame) for seat, frame in zip(seats, frames, strict=True)])
        if self.bite >= half.min():
            raise SettingError(
                f"Walls that bite {length_words(self.bite)} over stones of {fine_length_words(2 * half.min())} would "
                f"meet."
            )
        c = self.clearance
        outer, inner = half + c + self.wall, half - self.bite
        top = np.array([seat.half + self.over for seat in seats])
        foot = np.array([self._foot(seat, frame, out) for seat, frame, out in zip(seats, frames, outer, strict=True)])
        low = np.array([seat.low - c - 0.05 for seat in seats])
        ends = np.zeros(len(seats)) if closed else _ends(seats, frames)
        body = _bar(frames, outer, foot, top, closed, ends + (0 if closed else c + self.wall))
        slot = _bar(frames, inner, low, top + 1.0, closed, ends + (0 if closed else c))
        seats_cut: list[Part] = [seat.stack(seat.around(c)) for seat in seats]
        # The stones slide in from above: over the girdle the slot is as wide as it is anywhere.
        first = Parts((body,), (slot, seats_cut[0]), watched(seats[0], c + 0.05))
        return [
            first,
            *(Parts((), (cut,), watched(seat, c + 0.05)) for seat, cut in zip(seats[1:], seats_cut[1:], strict=True)),
        ]

    def _foot(self, seat: Seat, frame: Floats, out: float) -> float:
        """How far down the walls reach beside a stone: into the metal, and never out on the far side."""
        across = frame[:3, 0] @ seat.motion[:3, :3]
        points = np.array([across[:2] * out * side for side in (-1.0, -0.8, 0.8, 1.0)])
        begins, ends = seat.surface(np.column_stack([points, np.full(4, seat.half + self.over - 1e-3)]))
        met = np.isfinite(begins)
        if not met.any():
            raise SettingError(
                f"There is no metal beside {seat.words()} for a wall.", points=[tuple(seat.motion[:3, 3].tolist())]
            )
        foot = min(float(np.nanmin(begins)) - 0.2, -seat.half - 0.05)
        return max(foot, float(np.nanmax(ends)) + 0.02)


def _along_the_row(seats: Sequence[Seat]) -> list[Floats]:
    """Frames (4, 4) at the stones: y along the row, z up, x across."""
    middles = np.array([seat.motion[:3, 3] for seat in seats])
    closed = _closes(seats)
    ahead = np.roll(middles, -1, axis=0) - np.roll(middles, 1, axis=0)
    if not closed:
        ahead[0], ahead[-1] = middles[1] - middles[0], middles[-1] - middles[-2]
    found = []
    for seat, way in zip(seats, ahead, strict=True):
        up = seat.motion[:3, 2]
        flat = way - (way @ up) * up
        length = float(np.linalg.norm(flat))
        if length < 1e-9:
            raise SettingError(f"{seat.words().capitalize()} lies on its neighbour: a channel has no way there.")
        frame = np.eye(4)
        frame[:3, 1], frame[:3, 2], frame[:3, 3] = flat / length, up, seat.motion[:3, 3]
        frame[:3, 0] = np.cross(frame[:3, 1], up)
        found.append(frame)
    return found


def _closes(seats: Sequence[Seat]) -> bool:
    middles = np.array([seat.motion[:3, 3] for seat in seats])
    if len(middles) < 4:
        return False
    steps = np.linalg.norm(np.diff(middles, axis=0), axis=1)
    return bool(np.linalg.norm(middles[0] - middles[-1]) < _ROUND * np.median(steps))


def _half_across(seat: Seat, frame: Floats) -> float:
    """Half of a stone's extent square to the row."""
    across = frame[:3, 0] @ seat.motion[:3, :3]
    return float((seat.gem.outline @ across[:2]).max())


def _ends(seats: Sequence[Seat], frames: Sequence[Floats]) -> Floats:
    """By how much the first and the last section lie beyond their stones' middles."""
    found = np.zeros(len(seats))
    for k, sign in ((0, -1.0), (-1, 1.0)):
        along = frames[k][:3, 1] @ seats[k].motion[:3, :3]
        found[k] = float((sign * seats[k].gem.outline @ along[:2]).max())
    return found


def _bar(frames: Sequence[Floats], half: Floats, low: Floats, high: Floats, closed: bool, ends: Floats) -> Bar:
    sections = []
    for k, frame in enumerate(frames):
        y = 0.0 if closed else -ends[k] if k == 0 else ends[k] if k == len(frames) - 1 else 0.0
        corners = np.array([[-half[k], y, low[k]], [half[k], y, low[k]], [half[k], y, high[k]], [-half[k], y, high[k]]])
        sections.append(moved(frame, corners)[::-1])
    return Bar(np.array(sections), closed)
