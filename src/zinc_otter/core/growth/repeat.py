"""Other pieces again and again: round an axis, in rows, along a curve."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.plane import Vec, plane_at
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.frames import minimal_frames, upright_frames
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth
from zinc_otter.core.repeated import Images, Repeated
from zinc_otter.core.words import length_words, number

MOST_COPIES = 256
MOST_IN_ALL = 2_048


@dataclass(frozen=True)
class Repeat(Growth):
    """``count`` images of the ``originals`` (ids), which are the first of them while the ``phase`` is 0.

    - "round": about the axis ``along`` through ``point``, over ``degrees``
    - "rows": by ``step`` mm, and ``rows`` of them by ``aside`` mm
    - "curve": along the curve ``rail``, evenly by its length, turning with it; ``upright`` holds their z. With a ``pitch``
      in mm they are as many as stand so far apart, or a little nearer round a closed one; each is ``turned`` by so many
      degrees about the way against the one before, as links of a chain are

    ``phase`` moves all by so many steps: a half lays them between. ``left_out`` are images that stand on their own by now.
    As a solid the images are "united" where they meet, or bodies "apart": so are those of one original, as long as nothing
    is done to the repeat as a whole.
    """

    what: ClassVar[str] = "Repeat"
    tie: ClassVar[str] = " again and again"
    pulled: ClassVar[bool] = False
    originals: tuple[str, ...] = ()
    way: Literal["round", "rows", "curve"] = "round"
    count: int = 6
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    degrees: float = 360.0
    step: Vec = (20.0, 0.0, 0.0)
    rows: int = 1
    aside: Vec = (0.0, 20.0, 0.0)
    rail: str = ""
    upright: bool = False
    pitch: float = 0.0
    turned: float = 0.0
    phase: float = 0.0
    left_out: tuple[int, ...] = ()
    bodies: Literal["united", "apart"] = "united"
    kind: Literal["repeat"] = "repeat"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not 1 <= self.count <= MOST_COPIES or not 1 <= self.rows <= MOST_COPIES:
            raise BadNumberError(f"A piece is repeated 1 to {MOST_COPIES} times; {self.count} were asked for.")
        if self.way == "curve" and not self.rail:
            raise GrowthError("Say along which curve it is to be repeated.")
        if self.pitch < 0:
            raise BadNumberError(f"Images stand 0 or more apart; {length_words(self.pitch)} is not.")

    @property
    def sources(self) -> tuple[str, ...]:
        return (*self.originals, self.rail) if self.way == "curve" else self.originals

    @property
    def own(self) -> bool:
        """Whether the originals are the first of the images themselves."""
        return self.phase == 0 and self.way != "curve"

    def motions(self, rail: Curve | None = None) -> Floats:
        """(k, 4, 4) of all images that it makes, the originals' own place not among them."""
        places = self._places(rail)
        return places[self._kept(len(places))]

    def numbers(self, rail: Curve | None = None) -> list[int]:
        """Which of its places, counted from 0, the images of :meth:`motions` stand at."""
        return self._kept(len(self._places(rail)))

    def _kept(self, places: int) -> list[int]:
        return [k for k in range(places) if k not in self.left_out and not (k == 0 and self.own)]

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        originals = list(forms[: len(self.originals)])
        rail = forms[-1] if self.way == "curve" else None
        if rail is not None and not isinstance(rail, Curve):
            raise GrowthError("It is repeated along a curve; pick one.")
        motions = self.motions(rail)
        parts: list[Images] = []
        for form in originals:
            if isinstance(form, Curve):
                raise GrowthError("Curves are not repeated by themselves: repeat what has grown from them.")
            whole = form if isinstance(form, Repeated) else Repeated((Images(form, np.eye(4)[None]),))
            parts += whole.under(motions).parts
        total = sum(len(part.motions) for part in parts)
        if total > MOST_IN_ALL:
            raise GrowthError(f"That would be {total:,} images; {MOST_IN_ALL:,} are the most.")
        if not total:
            raise GrowthError("Nothing is left to be repeated: all images stand on their own.")
        return Outgrowth(Repeated(tuple(parts)))

    def deed(self, name_of: NameOf) -> str:
        names = " and ".join(name_of(one) for one in self.originals)
        if self.way == "rows":
            return f"Repeated {names} {self.count}" + (f" by {self.rows}" if self.rows > 1 else "") + " times in rows"
        if self.way == "curve":
            how_many = f"{self.count} times" if not self.pitch else f"every {length_words(self.pitch)}"
            return f"Repeated {names} {how_many} along {name_of(self.rail)}"
        part = "" if abs(self.degrees) == 360 else f" over {number(self.degrees)}°"
        return f"Repeated {names} {self.count} times round an axis{part}"

    def _places(self, rail: Curve | None) -> Floats:
        if self.way == "round":
            whole = abs(self.degrees) == 360
            step = self.degrees / (self.count if whole else max(self.count - 1, 1))
            axis = plane_at(self.point, self.along)
            return np.array([_turn(axis.point, axis.normal, (k + self.phase) * step) for k in range(self.count)])
        if self.way == "rows":
            shifts = [
                (k + self.phase) * np.asarray(self.step) + row * np.asarray(self.aside)
                for row in range(self.rows)
                for k in range(self.count)
            ]
            return np.array([_shift(by) for by in shifts])
        assert rail is not None
        return self._along(rail)

    def _along(self, rail: Curve) -> Floats:
        """What stands at the origin, z up and y ahead, is carried along the rail."""
        made = pieces_of(rail)
        lengths = self._lengths(made.length, rail.closed)
        count = len(lengths)
        order = np.argsort(lengths, kind="stable")
        places = made.places_at(lengths[order])
        frames = upright_frames(made, places) if self.upright else minimal_frames(made, places, (0.0, 0.0, 1.0))
        motions = np.tile(np.eye(4), (count, 1, 1))
        across = np.cross(frames.along, frames.up if self.upright else frames.side)
        top = frames.up if self.upright else frames.side
        turn = np.radians(self.turned * order)[:, None]
        across, top = np.cos(turn) * across + np.sin(turn) * top, np.cos(turn) * top - np.sin(turn) * across
        motions[order, :3, 0], motions[order, :3, 1], motions[order, :3, 2] = across, frames.along, top
        motions[order, :3, 3] = frames.points
        return motions

    def _lengths(self, length: float, closed: bool) -> Floats:
        """How far along a curve of so many mm each image stands."""
        if not self.pitch:
            steps = self.count if closed else max(self.count - 1, 1)
            share = np.mod((np.arange(self.count) + self.phase) / steps, 1.0 + (0 if closed else 1e-12))
            return np.asarray(share * length)
        count = math.ceil(length / self.pitch - 1e-9) if closed else math.floor(length / self.pitch + 1e-9) + 1
        if closed and self.turned:
            # The last one is to be to the first as each to the next, up to a half turn.
            closing = (n for n in range(count, count + 9) if abs(math.remainder(n * self.turned, 180.0)) < 1e-6)
            count = next(closing, count)
        if count > MOST_COPIES:
            raise BadNumberError(
                f"Along {length_words(length)} that would be {count:,} images; {MOST_COPIES} are the most: set them wider "
                f"apart."
            )
        if closed:
            return np.asarray(np.mod(np.arange(count) + self.phase, count) * length / count)
        # What is left over lies half before the first and half behind the last.
        first = (length - (count - 1) * self.pitch) / 2
        return np.asarray(np.clip(first + (np.arange(count) + self.phase) * self.pitch, 0.0, length))


def _turn(point: Vec, along: Vec, degrees: float) -> Floats:
    matrix = np.eye(4)
    if degrees:
        matrix[:3, :3] = Rotation.from_rotvec(np.asarray(along) * np.radians(degrees)).as_matrix()
        matrix[:3, 3] = np.asarray(point) - matrix[:3, :3] @ np.asarray(point)
    return matrix


def _shift(by: Floats) -> Floats:
    matrix = np.eye(4)
    matrix[:3, 3] = by
    return matrix
