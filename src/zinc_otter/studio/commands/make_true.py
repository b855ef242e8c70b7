"""Make a dimension true: what is picked is moved, sized or turned until it measures what was asked for."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.dimension.measured import Aim
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.proving.dimensions import Dimension
from zinc_otter.studio.commands.base import Command, FarEnd, Length, Outcome, Picked
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.move import Move
from zinc_otter.studio.commands.placement import Placement
from zinc_otter.studio.commands.proofs import proof_of
from zinc_otter.studio.commands.size import SizeBy
from zinc_otter.studio.commands.turn import Turn
from zinc_otter.studio.design import Design

_TRIES = 16
_ENOUGH = {"mm": 1e-7, "°": 1e-6}


class CannotBecomeTrueError(BadSelectionError):
    """A dimension that what is moved does not bring to the number that was asked for."""

    kind = "cannot-become-true"
    title = "It cannot be made so"


class MakeTrue(Command):
    """Bring a dimension to ``value`` (mm, or degrees): ``moved`` is moved along it, sized about its middle, or turned.

    Where nothing is named, its second end moves, or of a diameter and a length what they go by. A number that it is held to
    becomes this one.
    """

    kind: Literal["make-true"] = "make-true"
    proof: Annotated[str, Field(min_length=1, max_length=20)]
    value: Annotated[Length, labelled("To", "mm"), Field(ge=0)]
    moved: FarEnd | None = None

    def apply(self, design: Design) -> Outcome:
        asked = self._asked(design)
        form_of = {piece.id: piece.form for piece in design.pieces}.get
        now = asked.measured(form_of)
        if now.aim.by == "size" and self.value <= 0:
            raise BadNumberError(f"{asked.what}: it is above 0; {self.value:g} was asked for.")
        if self.moved is not None:
            piece, picked = self.moved.piece, self.moved.picked
        else:
            piece, vertices = asked.moved(form_of)
            picked = Picked(kind="vertex", ids=list(vertices))
        design.pullable_piece(piece)

        def done(by: float) -> Outcome:
            return _command(now.aim, by, piece, picked).apply(design)

        outcome = self._found(asked, now.figure, now.aim, now.unit, done)
        if asked.wanted is None:
            return outcome
        held = replace(asked, wanted=self.value)
        kept = (held if one.id == asked.id else one for one in outcome.design.proofs)
        return replace(outcome, design=replace(outcome.design, proofs=tuple(kept)))

    def _found(self, asked: Dimension, now: float, aim: Aim, unit: str, done: Callable[[float], Outcome]) -> Outcome:
        """By the secant rule: most dimensions are linear in what moves them, and found at the second try."""
        if abs(now - self.value) <= _ENOUGH[unit]:
            return done(0.0)
        before, left = 0.0, now - self.value
        by = self.value / now - 1 if aim.by == "size" else self.value - now
        best = abs(left)
        for _ in range(_TRIES):
            if aim.by == "size":
                by = min(max(by, -0.999), 999.0)
            outcome = done(by)
            after = asked.measured({piece.id: piece.form for piece in outcome.design.pieces}.get).figure - self.value
            if abs(after) <= _ENOUGH[unit]:
                return outcome
            if abs(after - left) < 1e-9 * max(abs(left), 1):
                raise CannotBecomeTrueError(
                    "Moving what is picked does not change it: pick what lies at one end of it, or nothing, so that its "
                    "second end is moved."
                )
            best = min(best, abs(after))
            step = after * (by - before) / (after - left)
            before, left, by = by, after, by - step
        raise CannotBecomeTrueError(f"Moving what is picked does not bring it to that: it stays {asked.told(best)} off.")

    def title(self, design: Design) -> str:
        asked = self._asked(design)
        names = {piece.id: piece.name for piece in design.pieces}
        return f"{asked.named(lambda key: names.get(key, 'what is gone'))} made {asked.told(self.value)}"

    def _asked(self, design: Design) -> Dimension:
        """The dimension. Raises UnknownProofError, BadSelectionError for a proof that is none."""
        proof = proof_of(design, self.proof)
        if not isinstance(proof, Dimension):
            raise BadSelectionError(f"{proof.what} is no dimension: it has no one number that could be made true.")
        return proof


def _command(aim: Aim, by: float, piece: str, picked: Picked) -> Placement:
    about = _vector(aim.about)
    if aim.by == "move":
        assert aim.way is not None
        if not np.linalg.norm(aim.way):
            raise CannotBecomeTrueError("Both places lie in one: there is no way along which to part them.")
        return Move(piece=piece, picked=picked, vector=_vector(by * aim.way))
    if aim.by == "turn":
        assert aim.way is not None
        return Turn(piece=piece, picked=picked, axis=_vector(aim.way), degrees=by, pivot=about)
    factor = 1 + by
    if aim.way is None:
        return SizeBy(piece=piece, picked=picked, factors=(factor, factor, factor), pivot=about)
    u = np.cross(aim.way, [1.0, 0, 0] if abs(aim.way[0]) < 0.9 else [0, 1.0, 0])
    u /= np.linalg.norm(u)
    frame = (_vector(u), _vector(np.cross(aim.way, u)), _vector(aim.way))
    return SizeBy(piece=piece, picked=picked, factors=(factor, factor, 1.0), pivot=about, frame=frame)


def _vector(values: Floats) -> tuple[float, float, float]:
    x, y, z = (float(v) for v in values)
    return x, y, z
