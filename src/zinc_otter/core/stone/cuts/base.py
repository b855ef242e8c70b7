"""What a cut is: a few lengths and proportions, and the solid that they make."""

from __future__ import annotations

from abc import ABC, abstractmethod
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import ClassVar, TypeVar

import numpy as np

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.words import bare_length, length_words

SMALLEST, LARGEST = 0.2, 500.0
"""mm across."""

C = TypeVar("C", bound="Cut")


@dataclass(frozen=True)
class Cut(ABC):
    """A stone's form. Lengths are mm, shares per cent of the width, angles degrees; equal ones give the same solid."""

    what: ClassVar[str]
    """What a stone of this cut is called."""

    bounds: ClassVar[dict[str, tuple[float, float]]] = {}
    """Within what numbers of its own have to lie, by their names."""

    is_round: ClassVar[bool] = False
    """Whether its girdle is a circle."""

    width: float = 5.0

    def __post_init__(self) -> None:
        """Raises BadNumberError, naming the number, the bound and what was asked for."""
        if not (np.isfinite(self.width) and SMALLEST <= self.width <= LARGEST):
            raise BadNumberError(
                f"A stone is {bare_length(SMALLEST)} to {length_words(LARGEST)} across; {length_words(self.width)} is "
                f"not."
            )
        for name, (least, most) in self.bounds.items():
            value = getattr(self, name)
            if not (np.isfinite(value) and least <= value <= most):
                raise BadNumberError(
                    f"The {name.replace('_', ' ')} of a {self.what.lower()} is {least:g} to {most:g}; {value:g} is not."
                )

    @property
    def long(self) -> float:
        """mm along its length."""
        return self.width

    @property
    def spread(self) -> tuple[float, float]:
        """How far it reaches along x and y, mm, for what goes round it as round an ellipse."""
        return self.width, self.long

    @abstractmethod
    def made(self) -> Gem:
        """The solid. Raises BadNumberError where the proportions make none."""

    @property
    def gem(self) -> Gem:
        """The solid, kept."""
        return gem_of(self)

    def sized(self: C, factor: float) -> C:
        """The same proportions, all lengths ``factor`` times as large."""
        return replace(self, width=self.width * factor)

    @property
    def called(self) -> str:
        """For example ``round brilliant ⌀ 6.5 mm``."""
        if self.is_round:
            return f"{self.what.lower()} ⌀ {length_words(self.width)}"
        return f"{self.what.lower()} {length_words(self.long).removesuffix(' mm')} × {length_words(self.width)}"


@dataclass(frozen=True)
class LongCut(Cut):
    """A cut with a ``length`` of its own, from its width up."""

    length: float = 7.0

    def __post_init__(self) -> None:
        super().__post_init__()
        if not (np.isfinite(self.length) and self.width <= self.length <= 20 * self.width):
            raise BadNumberError(
                f"A {self.what.lower()} is as long as it is wide, or up to 20 times that; "
                f"{length_words(self.length)} by {length_words(self.width)} is not."
            )

    @property
    def long(self) -> float:
        return self.length

    def sized(self: C, factor: float) -> C:
        return replace(self, width=self.width * factor, length=self.length * factor)  # type: ignore[call-arg, attr-defined]


@lru_cache(maxsize=256)
def gem_of(cut: Cut) -> Gem:
    """The solid of a cut, kept for the next time that it is asked for."""
    return cut.made()
