"""The errors that the core raises: each names in a plain sentence what is wrong, and where."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass


@dataclass(frozen=True)
class Place:
    """Elements of one cage at fault, so that the viewport can light them up."""

    vertices: tuple[int, ...] = ()
    edges: tuple[int, ...] = ()
    faces: tuple[int, ...] = ()


class CoreError(ValueError):
    """Base of every refusal of the core. ``str(error)`` is a sentence for the designer.

    ``kind`` is a short stable name for programs; ``place`` names the elements at fault.
    """

    kind = "refused"

    def __init__(
        self,
        sentence: str,
        *,
        vertices: Iterable[int] = (),
        edges: Iterable[int] = (),
        faces: Iterable[int] = (),
    ) -> None:
        super().__init__(sentence)
        self.place = Place(
            tuple(int(v) for v in vertices), tuple(int(e) for e in edges), tuple(int(f) for f in faces)
        )


class UnsoundCageError(CoreError):
    """A cage that breaks a rule: an edge with three faces, a flipped neighbour, a repeated vertex."""

    kind = "unsound-cage"


class BadNumberError(CoreError):
    """A number that is not finite, or outside what makes sense for its use."""

    kind = "bad-number"


class BadSelectionError(CoreError):
    """A selection that is empty, out of range, or of no use for the edit asked for."""

    kind = "bad-selection"


class OpenCageError(CoreError):
    """A closed cage was needed; ``place.edges`` holds the open edges."""

    kind = "open-cage"


class KernelError(CoreError):
    """The solid kernel did not give a sound result."""

    kind = "kernel"


class FileFormatError(CoreError):
    """A file that cannot be read as what it claims to be."""

    kind = "bad-file"
