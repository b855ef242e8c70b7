"""What a proof is: a question to a form that is asked again whenever the form changes, and its verdict."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable, Mapping
from dataclasses import astuple, dataclass
from typing import ClassVar, Literal, Self

import numpy as np

from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.dimension.measured import Measured
from zinc_otter.core.errors import NOWHERE, BadNumberError, Place
from zinc_otter.core.form import Form
from zinc_otter.core.numbers_of import numbers_of
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.remark import at_points

Holds = Literal["holds", "fails", "unknown", "told"]


@dataclass(frozen=True)
class Verdict:
    """Whether it ``holds``, the ``words`` of it with the figure that was found, that ``figure``, and where it is worst.

    "unknown" where it cannot be told, as of an open form that should weigh something: the words say why. "told" where
    nothing is asked for but the figure. A dimension says by ``measured`` how it is drawn.
    """

    holds: Holds
    words: str
    figure: float | None = None
    place: Place = NOWHERE
    measured: Measured | None = None


@dataclass(frozen=True, eq=False)
class Ground:
    """What a proof goes by: the form's ``cage``, its surface as ``points`` (n, 3) and ``triangles`` (m, 3), watertight where
    the cage is closed, the surfaces of other pieces and of components by their ids (None for what is gone), and all pieces'
    forms.

    ``fine`` is False while something is dragged: then the surface is coarse, and less of it is looked at. Of a ``body``, the
    form with its followers, points and triangles are that one's; it is closed whatever the form is.
    """

    cage: Cage
    points: Floats
    triangles: Ints
    mesh: Callable[[], MeshDistance]
    other: Callable[[str], MeshDistance | None]
    component: Callable[[str], tuple[MeshDistance, Callable[[Floats], Floats]] | None]
    fine: bool = True
    form_of: Callable[[str], Form | None] = lambda _: None
    body: bool = False

    @property
    def closed(self) -> bool:
        return self.body or self.cage.topology.is_closed


@dataclass(frozen=True, eq=False)
class Valued:
    """A number everywhere on the surface, for a map: ``values`` (n,) at its points in a ``unit``; those beyond ``limit`` are
    at fault, which is ``below`` it or above. Of numbers that go to ``both`` sides of 0 it is how far they may go; where
    there is no number they are not one."""

    values: Floats
    limit: float
    unit: Literal["mm", "°"]
    below: bool = True
    both: bool = False

    @property
    def at_fault(self) -> Bools:
        if self.both:
            return np.asarray(np.abs(self.values) > self.limit)
        return np.asarray(self.values < self.limit if self.below else self.values > self.limit)

    @property
    def known(self) -> Floats:
        """The values that are numbers."""
        return self.values[np.isfinite(self.values)]

    @property
    def share(self) -> float:
        """How much of what has a number is at fault."""
        return float(np.count_nonzero(self.at_fault)) / max(len(self.known), 1)

    @property
    def span(self) -> tuple[float, float]:
        """Where the scale begins and ends: to the very worst at the end that is at fault; a few far ones at the other would
        only pale the rest. The limit stands on it, wherever the form lies."""
        known = self.known if len(self.known) else np.array([self.limit])
        if self.both:
            return min(float(known.min()), -self.limit), max(float(known.max()), self.limit)
        low, high = (float(x) for x in np.percentile(known, [0, 99.5] if self.below else [0.5, 100]))
        return min(low, self.limit), max(high, self.limit)

    def counts(self, bins: int) -> Ints:
        """(bins,) how many points lie in even steps of the span."""
        low, high = self.span
        return np.histogram(np.clip(self.known, low, high), bins=bins, range=(low, high if high > low else low + 1.0))[0]


@dataclass(frozen=True)
class Proof(ABC):
    """One question to the form of ``piece``, or with ``of_body`` to what its followers make of it. Equal ones are answered
    alike; ``id`` names it in its design."""

    what: ClassVar[str]
    """What it is called."""

    by_surface: ClassVar[bool] = True
    """Whether it looks at the dense surface; what does not can be asked of a curve as well."""

    asks_bodies: ClassVar[bool] = False
    """Whether it can be asked of a body: it goes by points and triangles alone."""

    id: str = ""
    piece: str = ""
    of_body: bool = False

    def __post_init__(self) -> None:
        """Raises BadNumberError for a number that is not finite or too large; further checks are the kinds' own."""
        if self.of_body and not self.asks_bodies:
            raise BadNumberError(f"{self.what}: this is asked of the form alone, before its followers.")
        if not all(np.isfinite(number) and abs(number) <= LARGEST_LENGTH for number in numbers_of(astuple(self))):
            raise BadNumberError(f"{self.what}: a number is not finite, or larger than {LARGEST_LENGTH:g}.")

    @property
    def beside(self) -> tuple[str, ...]:
        """The other pieces that it looks at."""
        return ()

    @property
    def components(self) -> tuple[str, ...]:
        """The components that it looks at."""
        return ()

    @abstractmethod
    def asked(self, name_of: Callable[[str], str]) -> str:
        """What is asked, in words: ``Wall of Grip at least 0.8 mm``."""

    def called(self, names: Mapping[str, str]) -> str:
        """The same, with what pieces and components are called by their ids."""
        return self.asked(lambda key: names.get(key, "what is gone"))

    @abstractmethod
    def judge(self, at: Ground) -> Verdict:
        """The verdict on the form as it stands."""

    def carried(self, piece: str, before: Form, after: Form, went: ElementMap | None) -> Self:
        """The same once the form of a ``piece`` has become another, elements and all: what it names there is found again, by
        where the elements ``went`` if that is known."""
        return self

    def map(self, at: Ground) -> Valued | None:
        """What it asks of as a number at every point of the surface; None for what has none, or an open form."""
        return None


def above(what: str, **lengths: float) -> None:
    """Raise BadNumberError for a number that is not above 0; its name says which."""
    for name, length in lengths.items():
        if not length > 0:
            raise BadNumberError(f"{what}: the {name.replace('_', ' ')} is above 0; {length:g} is not.")


def at(point: Floats) -> Place:
    """The place of one point (3,)."""
    return at_points(np.asarray(point)[None])


OPEN = Verdict("unknown", "The form is open: this can be told of a closed one only.")
