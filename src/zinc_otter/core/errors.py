"""The errors that the core raises: each names in a plain sentence what is wrong, and where."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Any, Self

Point = tuple[float, float, float]


@dataclass(frozen=True)
class Place:
    """Where something is the matter, so that it can be shown: elements of one cage, and ``points`` in space, mm."""

    vertices: tuple[int, ...] = ()
    edges: tuple[int, ...] = ()
    faces: tuple[int, ...] = ()
    points: tuple[Point, ...] = ()


NOWHERE = Place()


def read_place(data: Mapping[str, Any]) -> Place:
    """From the mapping that ``dataclasses.asdict`` gives, by way of JSON."""
    points = tuple((float(x), float(y), float(z)) for x, y, z in data["points"])
    return Place(tuple(data["vertices"]), tuple(data["edges"]), tuple(data["faces"]), points)


class CoreError(ValueError):
    """Base of every refusal of the core. ``str(error)`` is a sentence for the designer.

    ``kind`` is a short stable name for programs, ``title`` what all of a kind have in common, in words, and ``status`` the
    HTTP status (RFC 9110) by which a service answers; ``place`` tells where: elements at fault, or points in mm.
    """

    kind = "refused"
    title = "This cannot be done"
    status = 422

    def __init__(
        self,
        sentence: str,
        *,
        vertices: Iterable[int] = (),
        edges: Iterable[int] = (),
        faces: Iterable[int] = (),
        points: Iterable[Iterable[float]] = (),
    ) -> None:
        super().__init__(sentence)
        self.place = Place(
            tuple(int(v) for v in vertices),
            tuple(int(e) for e in edges),
            tuple(int(f) for f in faces),
            tuple((float(x), float(y), float(z)) for x, y, z in points),
        )

    def saying(self, sentence: str) -> Self:
        """The same refusal of the same place in other words."""
        other = type(self)(sentence)
        other.place = self.place
        return other


class UnsoundCageError(CoreError):
    """A cage that breaks a rule: an edge with three faces, a flipped neighbour, a repeated vertex."""

    kind = "unsound-cage"


class BadNumberError(CoreError):
    """A number that is not finite, or outside what makes sense for its use."""

    kind = "bad-number"


class TooManyFacesError(BadNumberError):
    """A cage, or a design, of more faces than can be worked with."""

    kind = "too-many-faces"
    title = "It would have too many faces"


class BadSelectionError(CoreError):
    """A selection that is empty, out of range, or of no use for the edit asked for."""

    kind = "bad-selection"


class OpenCageError(CoreError):
    """A closed cage was needed; ``place.edges`` holds the open edges."""

    kind = "open-cage"
    title = "The cage is open"


class InsideOutError(CoreError):
    """Shells that look the wrong way: inwards alone, or outwards within another; ``place.faces`` holds them."""

    kind = "inside-out"
    title = "The form is turned inside out"


class UncheckedError(CoreError):
    """One of the two routes cannot tell, for want of fineness; the other one may well be able to."""

    kind = "unchecked"


class UnsoundBodyError(CoreError):
    """A body that is not what was asked for, or bounds no solid: incomplete, open, crossing itself."""

    kind = "unsound-body"
    title = "The body is not what was asked for, or no solid"


class KernelError(CoreError):
    """The solid kernel did not give a sound result."""

    kind = "kernel"


class FileFormatError(CoreError):
    """A file that cannot be read as what it claims to be."""

    kind = "bad-file"
    title = "This file cannot be used"
