"""A scene: bodies with their finishes, a floor, light, and a camera; all lengths in mm."""

from __future__ import annotations

from dataclasses import dataclass

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.picture.finishes import Colour, Finish
from zinc_otter.core.picture.lights import WORDS

MOST_PIXELS = 3840 * 2160
MOST_TURNS = 72
MOST_PIXELS_OF_TURNS = 6 * MOST_PIXELS
MOST_SAMPLES = 1024


@dataclass(frozen=True, eq=False)
class Seen:
    """A body in a scene: ``points`` (n, 3), ``triangles`` (m, 3), the normals of their corners (m, 3, 3) or None for facets,
    and the colour that it has where its finish says none."""

    points: Floats
    triangles: Ints
    normals: Floats | None
    finish: Finish
    own: Colour


@dataclass(frozen=True)
class Camera:
    """At ``eye``, looking along the opposite of ``back`` with ``up`` upwards; ``field`` degrees high, or where that is None
    flat: ``tall`` mm high in the middle. With a lens of ``aperture`` mm radius only what is ``focus`` mm away is sharp; a
    flat one has none."""

    eye: Vec
    back: Vec
    up: Vec
    field: float | None
    tall: float = 100.0
    aperture: float = 0.0
    focus: float = 100.0

    def __post_init__(self) -> None:
        if self.field is not None and not 1 <= self.field <= 120:
            raise BadNumberError(f"A camera sees from 1° to 120°; {self.field:g}° was asked for.")
        if not self.tall > 0:
            raise BadNumberError(f"A flat view is more than 0 mm high; {self.tall:g} is not.")
        if not self.aperture >= 0 or not self.focus > 0:
            raise BadNumberError("A lens has a radius of 0 mm or more, and what is sharp lies more than 0 mm away.")


@dataclass(frozen=True)
class Film:
    """``width`` by ``height`` pixels, so many ``samples`` to each; ``exposure`` in stops, ``clear`` behind the form. With
    ``fire`` red, green and blue go their own ways through what is clear, which takes three times as long. A ``smooth`` one
    is rid of grain once it is taken."""

    width: int = 960
    height: int = 720
    samples: int = 64
    exposure: float = 0.0
    clear: bool = False
    fire: bool = False
    smooth: bool = False

    def __post_init__(self) -> None:
        """Raises BadNumberError."""
        if min(self.width, self.height) < 16 or self.width * self.height > MOST_PIXELS:
            asked = f"{self.width} × {self.height} was asked for"
            raise BadNumberError(f"A picture has 16 pixels to a side at least, and {MOST_PIXELS:,} at most; {asked}.")
        if not 1 <= self.samples <= MOST_SAMPLES:
            raise BadNumberError(f"A pixel takes 1 to {MOST_SAMPLES:,} samples; {self.samples} were asked for.")


@dataclass(frozen=True, eq=False)
class Scene:
    """``light`` by its short name, turned by so many degrees about z; a ``floor`` at this height, or none."""

    bodies: tuple[Seen, ...]
    camera: Camera
    light: str = "tent"
    turned: float = 0.0
    floor: float | None = None

    def __post_init__(self) -> None:
        """Raises BadNumberError."""
        if self.light not in WORDS:
            raise BadNumberError(f"There is no light {self.light!r}.")
