"""What all commands that put down a primitive share: where it stands, and what its sizes mean."""

from __future__ import annotations

from abc import ABC, abstractmethod
from dataclasses import replace
from functools import lru_cache
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.placed import Axis, Side, placed
from zinc_otter.core.primitives.sized import SizeOf
from zinc_otter.core.primitives.standing import surface_size
from zinc_otter.core.words import extent
from zinc_otter.studio.commands.base import Length, NewPiece, Outcome, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.symmetry import Mirror
from zinc_otter.studio.design import Design

Size = Annotated[Length, Field(gt=0)]
Count = Annotated[int, Field(ge=1, le=10_000)]
Share = Annotated[float, Field(gt=0, lt=1)]
Sharpness = Annotated[float, Field(ge=0, le=10)]
CAPS = labelled("Caps", words={"both": "both", "bottom": "bottom", "top": "top", "open": "none"})


class Form(NewPiece, ABC):
    """A primitive about ``centre``, standing along ``stands``.

    ``size_of`` says whether its sizes are those of the smooth surface or of the control cage. ``keep`` keeps one side of
    a mirror plane through the centre only, with the seam in the plane: ``half`` says whether its sizes hold once it is
    "mirrored", or for the open half as it stands "alone". With ``mirrored`` the whole has a live mirror from the start: of
    its two sides one follows the other.
    """

    centre: Vector = (0.0, 0.0, 0.0)
    stands: Annotated[Axis, labelled("Stands along", words={"z": "z", "x": "x", "y": "y"})] = "z"
    size_of: Annotated[SizeOf, labelled("Sizes of", words={"surface": "smooth surface", "cage": "control cage"})] = "cage"
    keep: Annotated[
        Side,
        labelled(
            "Keep",
            words={"whole": "the whole", "x": "x side of a mirror", "y": "y side of a mirror", "z": "z side of a mirror"},
        ),
    ] = "whole"
    half: Annotated[
        Literal["mirrored", "alone"],
        labelled("Sizes hold", words={"mirrored": "once mirrored", "alone": "for the open half"}),
    ] = "mirrored"

    mirrored: Annotated[
        Literal["no", "x", "y", "z"],
        labelled("Mirrored", words={"no": "no", "x": "across x", "y": "across y", "z": "across z"}),
    ] = "no"

    @abstractmethod
    def form(self) -> Cage:
        """The form about the origin, standing along z."""

    @abstractmethod
    def called(self) -> str:
        """The form with its sizes, as in the title of its step."""

    @property
    def by_surface(self) -> bool:
        """Whether the sizes are those of the smooth surface."""
        return self.size_of == "surface"

    @property
    def stands_alone(self) -> bool:
        return self.half == "alone" and self.by_surface

    def cage(self) -> Cage:
        return put_down(self)

    def apply(self, design: Design) -> Outcome:
        done = super().apply(design)
        if self.mirrored == "no" or done.piece_id is None:
            return done
        if self.keep != "whole":
            raise BadNumberError(
                "One side that is kept has no other to follow it: put the whole down mirrored, or one side unmirrored."
            )
        normal = (float(self.mirrored == "x"), float(self.mirrored == "y"), float(self.mirrored == "z"))
        mirror = Mirror(piece=done.piece_id, way="follow", point=self.centre, normal=normal)
        return replace(done, design=mirror.apply(done.design).design)

    def title(self, design: Design) -> str:
        if self.mirrored != "no":
            return f"Put down {self.called()}, mirrored across {self.mirrored}"
        if self.keep == "whole":
            return f"Put down {self.called()}"
        when = " once mirrored" if self.by_surface and self.half == "mirrored" else ""
        return f"Put down the {self.keep} side of {self.called()}{when}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        if self.keep == "whole" or not self.by_surface:
            return ()
        now = surface_size(put_down(self))
        if self.stands_alone:
            return (f"The open half measures {extent(now)}.",)
        wanted = surface_size(put_down(self.model_copy(update={"half": "alone"})))
        if max(abs(a - b) for a, b in zip(now, wanted, strict=True)) < 0.005:
            return ()
        return (f"The sizes hold once it is mirrored; as it stands, open, its surface measures {extent(now)}.",)


@lru_cache(maxsize=16)
def put_down(command: Form) -> Cage:
    """The piece of a command, made once for putting it down and for telling how it came out."""
    return placed(formed(command), command.stands, command.centre, command.keep, command.stands_alone)


@lru_cache(maxsize=16)
def formed(command: Form) -> Cage:
    """The form of a command, made once for putting it down and for telling how true it came out."""
    return command.form()
