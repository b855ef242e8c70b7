"""What a growth is: a pure function from the forms of other pieces, and a few numbers, to a form."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable, Sequence
from dataclasses import astuple, dataclass, field
from functools import lru_cache
from typing import ClassVar

import numpy as np

from zinc_otter.core.cage.cage import LARGEST_LENGTH
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.form import Form
from zinc_otter.core.numbers_of import numbers_of

NameOf = Callable[[str], str]
"""What people call a piece, by its id."""


class GrowthError(CoreError):
    """What a form is to grow from is not what it can grow from."""

    kind = "growth"
    title = "Nothing can grow from this"


@dataclass(frozen=True, eq=False)
class Outgrowth:
    """The form that has grown; ``suspect`` are faces where it is not what it promises, ``remarks`` sentences on it."""

    form: Form
    suspect: Ints = field(default_factory=lambda: np.zeros(0, dtype=np.int32))
    remarks: tuple[str, ...] = ()


@dataclass(frozen=True)
class Growth(ABC):
    """How one piece grows from others. Equal ones grow the same from the same."""

    what: ClassVar[str]
    """What a piece that grows so is called when it has no name of its own."""

    tie: ClassVar[str] = ""
    """Behind "A follows B" in a sentence: how it does."""

    pulled: ClassVar[bool] = True
    """Whether its own control points can be pulled, on top of what it grows to."""

    def __post_init__(self) -> None:
        """Raises BadNumberError for a number that is not finite or too large; further checks are the kinds' own."""
        if not all(np.isfinite(number) and abs(number) <= LARGEST_LENGTH for number in numbers_of(astuple(self))):
            raise BadNumberError(f"{self.what}: a number is not finite, or larger than {LARGEST_LENGTH:g}.")

    @property
    @abstractmethod
    def sources(self) -> tuple[str, ...]:
        """The ids of the pieces that it grows from, in the order in which their forms are given to ``grow``."""

    @abstractmethod
    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        """The form. Raises CoreError."""

    def carried(self, source: str, before: Form, after: Form) -> Growth:
        """The same where the form of a ``source`` has become another, faces and all: what it names there is found again."""
        return self

    @abstractmethod
    def deed(self, name_of: NameOf) -> str:
        """What was done, in words that begin a sentence: ``Piped Rim, ⌀ 2 mm``."""


def curve_of(form: Form, what: str) -> Curve:
    """The curve that ``what`` grows from. Raises GrowthError for a cage."""
    if not isinstance(form, Curve):
        raise GrowthError(f"{what} grows from a curve; pick one, or take a chain of edges out as a curve first.")
    return form


@lru_cache(maxsize=256)
def grown(growth: Growth, forms: tuple[Form, ...]) -> Outgrowth:
    """As :meth:`Growth.grow`, kept: while one form is pulled what hangs on the others is not made anew."""
    return growth.grow(forms)
