"""One form in many places: images under motions, kept as these and not as faces."""

from __future__ import annotations

import hashlib
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.flip import flip
from zinc_otter.core.cage.picking import everything
from zinc_otter.core.cage.topology import Floats, read_only
from zinc_otter.core.stone.stone import Stone


@dataclass(frozen=True, eq=False)
class Images:
    """A ``cage`` under ``motions`` (k, 4, 4); those that mirror turn its faces, so that they look outwards again."""

    cage: Cage
    motions: Floats
    stone: Stone | None = None
    """What they are images of, where these are stones and the cage is only their facets."""

    def __post_init__(self) -> None:
        read_only(self.motions)

    def cages(self) -> list[Cage]:
        """Each image by itself."""
        found = []
        for motion in self.motions:
            image = self.cage.with_positions(moved(motion, self.cage.positions))
            found.append(flip(image, everything(image.topology, "face")).cage if reverses(motion) else image)
        return found


@dataclass(frozen=True, eq=False)
class Repeated:
    """The images of one or more cages."""

    parts: tuple[Images, ...]

    def under(self, motions: Floats) -> Repeated:
        """Everything again under each of ``motions`` (k, 4, 4)."""
        return Repeated(tuple(replace(part, motions=chained(motions, part.motions)) for part in self.parts))

    @property
    def stones(self) -> list[tuple[Stone, Floats]]:
        """The stones among them, and where they are (k, 4, 4)."""
        return [(part.stone, part.motions) for part in self.parts if part.stone is not None]

    @property
    def count(self) -> int:
        """How many images there are."""
        return sum(len(part.motions) for part in self.parts)

    @cached_property
    def cage(self) -> Cage:
        """All images as one cage of faces."""
        return joined([cage for part in self.parts for cage in part.cages()])[0]

    @cached_property
    def bounds(self) -> Floats:
        """(2, 3) least and greatest coordinates of the control points."""
        corners = [moved(motion, part.cage.positions) for part in self.parts for motion in part.motions]
        return np.array([np.min([c.min(axis=0) for c in corners], axis=0), np.max([c.max(axis=0) for c in corners], axis=0)])

    @cached_property
    def digest(self) -> str:
        """A hash of everything that decides where which form is."""
        h = hashlib.sha256(b"repeated")
        for part in self.parts:
            h.update(part.cage.digest.encode())
            h.update(part.motions.tobytes())
        return h.hexdigest()

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Repeated) and self.digest == other.digest

    def __hash__(self) -> int:
        return hash(self.digest)


def moved(motion: Floats, points: Floats) -> Floats:
    """Points (n, 3) under a motion (4, 4)."""
    return np.asarray(points @ motion[:3, :3].T + motion[:3, 3])


def reverses(motion: Floats) -> bool:
    """Whether a motion turns outside in."""
    return bool(np.linalg.det(motion[:3, :3]) < 0)


def chained(outer: Sequence[Floats] | Floats, inner: Sequence[Floats] | Floats) -> Floats:
    """(k m, 4, 4) every outer motion after every inner one."""
    return np.asarray((np.asarray(outer)[:, None] @ np.asarray(inner)[None]).reshape(-1, 4, 4))
