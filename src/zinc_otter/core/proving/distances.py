"""Distances that are kept: to another piece, to a component, and of the form to its own mirror image."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proving.base import Ground, Proof, Valued, Verdict, above, at
from zinc_otter.core.scan.deviation import deviates, not_covered, signed_deviation
from zinc_otter.core.words import figures, fine_length_words, length_words, number, percent_words


@dataclass(frozen=True)
class GapKept(Proof):
    """At least ``least`` mm lie between it and the piece ``other``."""

    what: ClassVar[str] = "Gap kept"
    asks_bodies: ClassVar[bool] = True
    other: str = ""
    least: float = 0.3
    kind: Literal["gap"] = "gap"

    @property
    def beside(self) -> tuple[str, ...]:
        return (self.other,)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} at least {length_words(self.least)} from {name_of(self.other)}"

    def map(self, at: Ground) -> Valued | None:
        mesh = at.other(self.other)
        return None if mesh is None else Valued(mesh.signed(at.points)[0], self.least, "mm")

    def judge(self, ground: Ground) -> Verdict:
        mesh = ground.other(self.other)
        if mesh is None:
            return Verdict("unknown", "The other piece is gone, or has no faces.")
        near, _ = mesh.signed(ground.points)
        back, _ = ground.mesh().signed(mesh.vertices)
        k, j = int(near.argmin()), int(back.argmin())
        least = min(float(near[k]), float(back[j]))
        where = ground.points[k] if near[k] <= back[j] else mesh.vertices[j]
        if least < 0:
            return Verdict("fails", f"They run into one another by {length_words(-least)}.", least, at(where))
        holds = least >= self.least - 1e-6
        return Verdict(
            "holds" if holds else "fails", f"{length_words(least)} apart where they are nearest.", least, at(where)
        )


@dataclass(frozen=True)
class ClearanceKept(Proof):
    """At least ``least`` mm lie between it and the component ``component``."""

    what: ClassVar[str] = "Clearance kept"
    asks_bodies: ClassVar[bool] = True
    component: str = ""
    least: float = 1.0
    kind: Literal["clearance"] = "clearance"

    @property
    def components(self) -> tuple[str, ...]:
        return (self.component,)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} at least {length_words(self.least)} from {name_of(self.component)}"

    def map(self, at: Ground) -> Valued | None:
        found = at.component(self.component)
        if found is None:
            return None
        mesh, own = found
        return Valued((mesh if at.fine else mesh.felt).signed(own(at.points))[0], self.least, "mm")

    def judge(self, ground: Ground) -> Verdict:
        found = ground.component(self.component)
        if found is None:
            return Verdict("unknown", "The component is gone, or cannot be read.")
        mesh, own = found
        near, _ = mesh.nearest_first(own(ground.points)) if ground.fine else mesh.felt.signed(own(ground.points))
        k = int(near.argmin())
        least = float(near[k])
        said = f"{length_words(least)} where it is nearest." if least >= 0 else f"It cuts into it by {length_words(-least)}."
        return Verdict("holds" if least >= self.least - 1e-6 else "fails", said, least, at(ground.points[k]))


@dataclass(frozen=True)
class Deviation(Proof):
    """Its surface lies within ``most`` mm of the piece ``other``, or of a ``component``, everywhere."""

    what: ClassVar[str] = "Deviation"
    asks_bodies: ClassVar[bool] = True
    other: str = ""
    component: str = ""
    most: float = 0.5
    kind: Literal["deviation"] = "deviation"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, deviation=self.most)

    @property
    def beside(self) -> tuple[str, ...]:
        return (self.other,) if self.other else ()

    @property
    def components(self) -> tuple[str, ...]:
        return (self.component,) if self.component else ()

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} within {length_words(self.most)} of {name_of(self.other or self.component)}"

    def map(self, at: Ground) -> Valued | None:
        off = self._off(at)
        return None if off is None else Valued(off, self.most, "mm", both=True)

    def judge(self, ground: Ground) -> Verdict:
        off = self._off(ground)
        if off is None:
            return Verdict("unknown", "What it is measured against is gone, or has no faces.")
        found = deviates(off, self.most)
        if found is None:
            return Verdict("unknown", "There is nothing near it to measure to: all of it lies beyond open edges.")
        side = "outside" if found.largest > 0 else "inside"
        words = (
            f"Up to {fine_length_words(abs(found.largest))} {side}, {fine_length_words(found.rms)} root mean square, "
            f"95 % within {fine_length_words(found.most)}; {figures(100 * found.within)} % of {found.count:,} points "
            "lie within it."
        )
        if found.unknown > 0:
            words += f" Of {percent_words(found.unknown)} it cannot be told: there is nothing to measure to."
        words += self._left(ground)
        largest = abs(found.largest)
        return Verdict("holds" if largest <= self.most + 1e-9 else "fails", words, largest, at(ground.points[found.row]))

    def _left(self, ground: Ground) -> str:
        """What of a component the form has not reached, in words."""
        held = ground.component(self.component) if self.component else None
        if held is None:
            return ""
        mesh, own = held
        # The component's own coordinates of the origin and the axes say how it is placed.
        origin, *axes = own(np.vstack([np.zeros(3), np.eye(3)]))
        turn = (np.array(axes) - origin).T
        placed = np.vstack([turn.T, -origin @ turn])
        area, whole = not_covered(mesh if ground.fine else mesh.felt, ground.mesh(), placed, self.most, ground.fine)
        if area <= 1e-4 * whole:
            return ""
        share = f"{number(area / 100)} cm² of the component ({percent_words(area / whole)})"
        return f" {share} lie further from the form than that."

    def _off(self, ground: Ground) -> Floats | None:
        """(n,) mm of every point of the surface outside or inside what it is measured against."""
        if self.component:
            held = ground.component(self.component)
            if held is None:
                return None
            mesh, own = held
            return signed_deviation(own(ground.points), mesh if ground.fine else mesh.felt)
        other = ground.other(self.other)
        return None if other is None else signed_deviation(ground.points, other)


@dataclass(frozen=True)
class Symmetric(Proof):
    """Its mirror image in the plane across ``axis`` at ``at`` mm lies within ``tolerance`` mm of it."""

    what: ClassVar[str] = "Symmetric"
    asks_bodies: ClassVar[bool] = True
    axis: Literal["x", "y", "z"] = "x"
    at: float = 0.0
    tolerance: float = 0.05
    kind: Literal["symmetric"] = "symmetric"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, tolerance=self.tolerance)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} alike on both sides of {self.axis} = {length_words(self.at)}"

    def _off(self, ground: Ground) -> Floats:
        """(n,) how far the image of each point lies from the form."""
        k = "xyz".index(self.axis)
        image = np.array(ground.points)
        image[:, k] = 2 * self.at - image[:, k]
        return np.abs(ground.mesh().signed(image)[0])

    def map(self, at: Ground) -> Valued | None:
        return Valued(self._off(at), self.tolerance, "mm", below=False)

    def judge(self, ground: Ground) -> Verdict:
        off = self._off(ground)
        worst = int(off.argmax())
        # Of dense triangles the image's points lie beside by no more than their sag.
        words = f"The two sides differ by {length_words(float(off[worst]))} at most."
        holds = off[worst] <= self.tolerance
        return Verdict("holds" if holds else "fails", words, float(off[worst]), at(ground.points[worst]))
