"""Dimensions that stay: measured again whenever the form changes, and held to a number where one is asked for."""

from __future__ import annotations

from abc import abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, field, replace
from typing import ClassVar, Literal, Self

import numpy as np

from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.topology import Topology
from zinc_otter.core.dimension.measured import Aim, Measured, NoMeasureError, Unit, Way, angle, circle, distance
from zinc_otter.core.dimension.spot import (
    Located,
    LostPlaceError,
    Spot,
    carried,
    carried_vertices,
    length_along,
    located,
    points_of,
    vertices_of,
)  # fmt: skip
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.form import Form, controls
from zinc_otter.core.proving.base import Ground, Proof, Verdict, above, at
from zinc_otter.core.words import length_words, number

FormOf = Callable[[str], Form | None]

MOST_PLACES = 2_000
"""Vertices, or edges, that one dimension goes by."""


@dataclass(frozen=True)
class Dimension(Proof):
    """Measured on the smooth surface, not on its cage. With a number ``wanted`` it holds within ``tolerance``."""

    by_surface: ClassVar[bool] = False
    unit: ClassVar[Unit] = "mm"
    wanted: float | None = None
    tolerance: float = 0.1

    def __post_init__(self) -> None:
        super().__post_init__()
        if self.wanted is not None:
            above(self.what, tolerance=self.tolerance)
            if self.wanted < 0:
                raise BadNumberError(f"{self.what}: nothing measures less than 0; {self.wanted:g} was asked for.")

    @abstractmethod
    def measured(self, form_of: FormOf) -> Measured:
        """What it comes to on the forms as they stand. Raises LostPlaceError, NoMeasureError."""

    @abstractmethod
    def named(self, name_of: Callable[[str], str]) -> str:
        """What is measured, in words: ``Distance on Grip``."""

    @abstractmethod
    def moved(self, form_of: FormOf) -> tuple[str, tuple[int, ...]]:
        """The piece and the vertices that are moved where nothing else is picked. Raises LostPlaceError."""

    def asked(self, name_of: Callable[[str], str]) -> str:
        held = "" if self.wanted is None else f" {self.told(self.wanted)} ± {self.told(self.tolerance)}"
        return f"{self.named(name_of)}{held}"

    def told(self, figure: float) -> str:
        return f"{number(figure)}°" if self.unit == "°" else length_words(figure)

    def judge(self, ground: Ground) -> Verdict:
        found = self.measured(ground.form_of)
        words = self.told(found.figure)
        if found.strays > 0.005:
            words += f", round within {self.told(found.strays)}"
        off = 0.0 if self.wanted is None else found.figure - self.wanted
        if self.wanted is None:
            return Verdict("told", f"{words}.", found.figure, measured=found)
        if abs(off) <= self.tolerance + 1e-9:
            return Verdict("holds", f"{words}.", found.figure, measured=found)
        said = f"{words}, {self.told(abs(off))} too {'much' if off > 0 else 'little'}."
        return Verdict("fails", said, found.figure, at(found.label), measured=found)


@dataclass(frozen=True)
class _Between(Dimension):
    """From one place to another."""

    first: Spot = field(default_factory=lambda: Spot("axis"))
    second: Spot = field(default_factory=lambda: Spot("axis", axis="x"))

    @property
    def beside(self) -> tuple[str, ...]:
        return tuple({spot.piece for spot in (self.first, self.second) if spot.piece and spot.piece != self.piece})

    def places(self, form_of: FormOf) -> tuple[Located, Located]:
        first, second = (located(s, form_of(s.piece) if s.piece else None) for s in (self.first, self.second))
        return first, second

    def named(self, name_of: Callable[[str], str]) -> str:
        names = [name_of(spot.piece) if spot.piece else f"{spot.axis} axis" for spot in (self.first, self.second)]
        return f"{self.what} on {names[0]}" if names[0] == names[1] else f"{self.what}, {names[0]} to {names[1]}"

    def moved(self, form_of: FormOf) -> tuple[str, tuple[int, ...]]:
        spot = self.second if self.second.piece else self.first
        form = form_of(spot.piece)
        if form is None:
            raise LostPlaceError("The piece that it was measured on is gone.")
        return spot.piece, tuple(int(v) for v in vertices_of(spot, _topology(form)))

    def carried(self, piece: str, before: Form, after: Form, went: ElementMap | None) -> Self:
        first, second = (carried(s, before, after, went) if s.piece == piece else s for s in (self.first, self.second))
        return self if (first, second) == (self.first, self.second) else replace(self, first=first, second=second)


@dataclass(frozen=True)
class Distance(_Between):
    """How far the second place is from the first: straight, square to the first's line or plane, or along an axis."""

    what: ClassVar[str] = "Distance"
    way: Way = "square"
    kind: Literal["distance"] = "distance"

    def measured(self, form_of: FormOf) -> Measured:
        if self.first == self.second:
            raise NoMeasureError("A distance lies between two places, and these are one.")
        return distance(*self.places(form_of), self.way)


@dataclass(frozen=True)
class Angle(_Between):
    """The angle between edges, faces and axes, in degrees."""

    what: ClassVar[str] = "Angle"
    unit: ClassVar[Unit] = "°"
    kind: Literal["angle"] = "angle"

    def measured(self, form_of: FormOf) -> Measured:
        return angle(*self.places(form_of))


@dataclass(frozen=True)
class Round(Dimension):
    """The diameter, or the radius, of the circle that lies nearest to the surface at some vertices."""

    what: ClassVar[str] = "Diameter"
    vertices: tuple[int, ...] = ()
    radius: bool = False
    kind: Literal["round"] = "round"

    def __post_init__(self) -> None:
        super().__post_init__()
        _few(self.what, len(self.vertices))

    def named(self, name_of: Callable[[str], str]) -> str:
        return f"{'Radius' if self.radius else 'Diameter'} on {name_of(self.piece)}"

    def measured(self, form_of: FormOf) -> Measured:
        if not self.vertices:
            raise LostPlaceError("Points that it was measured at are gone: measure it again.")
        return circle(points_of(self.vertices, _form(form_of, self.piece)), radius=self.radius)

    def moved(self, form_of: FormOf) -> tuple[str, tuple[int, ...]]:
        return self.piece, self.vertices

    def carried(self, piece: str, before: Form, after: Form, went: ElementMap | None) -> Self:
        if piece != self.piece:
            return self
        found = carried_vertices(self.vertices, before, after, went, piece)
        return self if found == self.vertices else replace(self, vertices=found or ())


@dataclass(frozen=True)
class LengthAlong(Dimension):
    """How long the surface is along some edges, or a curve along legs of its polygon; ``edges`` by their two vertices."""

    what: ClassVar[str] = "Length"
    edges: tuple[tuple[int, int], ...] = ()
    kind: Literal["length"] = "length"

    def __post_init__(self) -> None:
        super().__post_init__()
        _few(self.what, len(self.edges))

    def named(self, name_of: Callable[[str], str]) -> str:
        return f"Length along {name_of(self.piece)}"

    def measured(self, form_of: FormOf) -> Measured:
        form = _form(form_of, self.piece)
        if not self.edges:
            raise LostPlaceError("Edges that it was measured along are gone: measure it again.")
        runs = [length_along(pair, form) for pair in self.edges]
        steps = [np.stack([way[:-1], way[1:]], axis=1) for _, way in runs]
        line, helper = runs[0][1], np.concatenate(steps[1:]) if len(steps) > 1 else np.zeros((0, 2, 3))
        middle = runs[len(runs) // 2][1]
        label = middle[len(middle) // 2] if len(runs) % 2 else middle[0]
        about = np.concatenate([way for _, way in runs]).mean(axis=0)
        return Measured(sum(length for length, _ in runs), "mm", line, helper, label, Aim("size", about))

    def moved(self, form_of: FormOf) -> tuple[str, tuple[int, ...]]:
        return self.piece, tuple(sorted({v for pair in self.edges for v in pair}))

    def carried(self, piece: str, before: Form, after: Form, went: ElementMap | None) -> Self:
        if piece != self.piece or not self.edges:
            return self
        found = carried_edges(self.edges, before, after, went, piece)
        return self if found == self.edges else replace(self, edges=found)


def carried_edges(
    edges: tuple[tuple[int, int], ...], before: Form, after: Form, went: ElementMap | None, piece: str
) -> tuple[tuple[int, int], ...]:
    """The same edges; one that was parted is followed from end to end over the new vertices. None where that fails."""
    found: list[tuple[int, int]] = []
    for pair in edges:
        ends = carried_vertices(pair, before, after, went, piece)
        steps = None if ends is None else _way_between(_topology(after), ends[0], ends[1], points_of(pair, before), after)
        if steps is None:
            return ()
        found += steps
    return tuple(found)


def _way_between(t: Topology, start: int, end: int, was: np.ndarray, form: Form) -> list[tuple[int, int]] | None:
    """The edges from one vertex to another, always on to the neighbour nearest to the straight way; None for no way."""
    found: list[tuple[int, int]] = []
    here = start
    for _ in range(64):
        if here == end:
            return found
        ends = t.edge_verts
        beside = np.concatenate([ends[ends[:, 0] == here, 1], ends[ends[:, 1] == here, 0]])
        if not len(beside):
            return None
        if end in beside:
            return [*found, (here, end)]
        at_them, goal = points_of(beside.tolist(), form), points_of([here, end], form)
        ahead = goal[1] - goal[0]
        left = np.linalg.norm(at_them - goal[1], axis=1)
        aside = np.linalg.norm(np.cross(at_them - goal[0], ahead / np.linalg.norm(ahead)), axis=1)
        nearer = left < np.linalg.norm(ahead)
        if not nearer.any():
            return None
        best = int(np.where(nearer, aside, np.inf).argmin())
        if aside[best] > 0.35 * np.linalg.norm(was[1] - was[0]):
            return None
        found.append((here, int(beside[best])))
        here = int(beside[best])
    return None


def _form(form_of: FormOf, piece: str) -> Form:
    form = form_of(piece)
    if form is None:
        raise LostPlaceError("The piece that it was measured on is gone.")
    return form


def _topology(form: Form) -> Topology:
    return controls(form).topology


def _few(what: str, count: int) -> None:
    if count > MOST_PLACES:
        raise BadNumberError(f"{what}: it goes by {count:,} elements; {MOST_PLACES:,} are the most.")
