"""Reference pictures: lay them on a view's plane, place them, and size them by what is known of them."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, StringConstraints

from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Command, Name, Number, Outcome, PieceId, Vector
from zinc_otter.studio.commands.forms import Size
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Picture

AssetHash = Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{64}$")]
FlatView = Literal["front", "back", "right", "left", "top", "bottom"]
Pixels = tuple[Annotated[float, Field(ge=0, le=1e5)], Annotated[float, Field(ge=0, le=1e5)]]
Side = Annotated[int, Field(ge=1, le=100_000)]


class AddPicture(Command):
    """Lay a picture that was uploaded on the plane of a flat view, ``width`` mm wide."""

    kind: Literal["add-picture"] = "add-picture"
    name: Name
    asset: AssetHash
    pixels: tuple[Side, Side]
    view: FlatView = "front"
    width: Size = 100.0
    centre: Vector = (0.0, 0.0, 0.0)

    def apply(self, design: Design) -> Outcome:
        picture = Picture("", self.name, self.asset, self.pixels, self.view, self.centre, self.width)
        return Outcome(design.with_new_reference(picture)[0])

    def title(self, design: Design) -> str:
        return f"Laid the picture {self.name} on the {self.view} view"


class PlacePicture(Command):
    """Give a picture another middle, width, turn within its plane, or view; what is left out stays."""

    kind: Literal["place-picture"] = "place-picture"
    reference: PieceId
    centre: Vector | None = None
    width: Size | None = None
    degrees: Number | None = None
    view: FlatView | None = None

    def apply(self, design: Design) -> Outcome:
        given = {k: v for k in ("centre", "width", "degrees", "view") if (v := getattr(self, k)) is not None}
        return Outcome(design.with_reference(replace(free_picture(design, self.reference), **given)))

    def title(self, design: Design) -> str:
        name = design.reference(self.reference).name
        if self.width is not None and self.centre is None and self.degrees is None:
            return f"Made {name} {length_words(self.width)} wide"
        return f"Placed {name}"


class MeasurePicture(Command):
    """Size a picture by two points on it, in pixels from its upper left, and the true ``distance`` between them in mm.

    The point midway between the two stays where it is.
    """

    kind: Literal["measure-picture"] = "measure-picture"
    reference: PieceId
    start: Pixels
    end: Pixels
    distance: Size

    def apply(self, design: Design) -> Outcome:
        picture = free_picture(design, self.reference)
        across, down = np.subtract(self.end, self.start)
        apart = float(np.hypot(across, down))
        if apart < 1:
            raise BadNumberError("The two points lie in the same place on the picture; mark two that are apart.")
        midway = np.add(self.start, self.end) / 2
        sized = replace(picture, width=self.distance / apart * picture.pixels[0])
        shift = picture.place_of(*midway) - sized.place_of(*midway)
        x, y, z = (np.asarray(picture.centre) + shift).tolist()
        return Outcome(design.with_reference(replace(sized, centre=(x, y, z))))

    def title(self, design: Design) -> str:
        return f"Sized {design.reference(self.reference).name} by two points, {length_words(self.distance)} apart"


def free_picture(design: Design, reference_id: str) -> Picture:
    """The picture, to be changed. Raises UnknownPieceError, LockedError, BadSelectionError for no picture."""
    reference = design.free_reference(reference_id)
    if not isinstance(reference, Picture):
        raise BadSelectionError(f"{reference.name} is no picture.")
    return reference
