"""Profiles carried along a rail."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

from zinc_otter.core.curve.growing import sweep
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth, curve_of


@dataclass(frozen=True)
class Sweep(Growth):
    """``profiles`` (ids) along ``rail``, "as it lies" beside it or "square" to it; with a ``second`` rail for the width."""

    what: ClassVar[str] = "Sweep"
    rail: str = ""
    profiles: tuple[str, ...] = ()
    second: str = ""
    stands: Literal["as it lies", "square"] = "as it lies"
    turns: Literal["least", "upright"] = "least"
    each: int = 2
    ends: Literal["open", "flat"] = "flat"
    twist: float = 0.0
    kind: Literal["sweep"] = "sweep"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not self.profiles:
            raise GrowthError("A sweep takes a rail and one profile at least.")
        if len({self.rail, self.second, *self.profiles}) < 2 + len(self.profiles):
            raise GrowthError("Rails and profiles of a sweep are curves of their own.")

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.rail, *self.profiles, *([self.second] if self.second else []))

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        rail, *others = (curve_of(form, "A sweep") for form in forms)
        second = others.pop() if self.second else None
        made = sweep(
            rail, others, stands=self.stands, turns=self.turns, each=self.each, twist=self.twist, caps=self.ends,
            second=second,
        )  # fmt: skip
        return Outgrowth(made.cage, made.suspect, made.remarks)

    def deed(self, name_of: NameOf) -> str:
        return f"Swept {' and '.join(name_of(one) for one in self.profiles)} along {name_of(self.rail)}"
