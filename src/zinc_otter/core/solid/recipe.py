"""A recipe: a cage, its followers, and all that these take part of, as one value that a worker can be handed."""

from __future__ import annotations

import hashlib
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property
from typing import Any

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import NOWHERE, CoreError, Place, read_place
from zinc_otter.core.relief.carried_over import carried_over
from zinc_otter.core.relief.in_patches import with_levels
from zinc_otter.core.solid.enclosing import require_closed, require_outside_out
from zinc_otter.core.solid.followers.base import Follower, WaitsError
from zinc_otter.core.stone.stone import Stone


@dataclass(frozen=True, eq=False)
class Recipe:
    """``followers`` are in order; ``others`` are recipes of other pieces by id, ``solids`` imported STEP files by asset,
    ``stones`` what lies where (k, 4, 4) of pieces of stones. With ``apart`` (motions, 16 numbers each) its last follower,
    which unites images at these places, stands for bodies that are kept by themselves in files."""

    name: str
    cage: Cage
    followers: tuple[Follower, ...] = ()
    others: Mapping[str, Recipe] = field(default_factory=dict)
    solids: Mapping[str, bytes] = field(default_factory=dict)
    stones: Mapping[str, Sequence[tuple[Stone, Floats]]] = field(default_factory=dict)
    apart: tuple[tuple[float, ...], ...] = ()
    levels: int = 0
    """Of the relief of its cage, as patches of its solid."""

    @property
    def one(self) -> Recipe:
        """Of bodies that are kept apart the one that all are images of."""
        return replace(self, followers=self.followers[:-1], apart=()) if self.apart else self

    @property
    def places(self) -> Floats:
        """(k, 4, 4) where the bodies stand that are kept apart."""
        return np.array(self.apart).reshape(-1, 4, 4)

    def stones_of(self, piece: str) -> Sequence[tuple[Stone, Floats]]:
        """Raises WaitsError for a piece that is gone, or has no stones."""
        if not self.stones.get(piece):
            raise WaitsError("The stones that it holds are gone.")
        return self.stones[piece]

    def first(self, count: int) -> Recipe:
        """The same with the first so many followers only."""
        return replace(self, followers=self.followers[:count], apart=self.apart if count >= len(self.followers) else ())

    def sheet(self, piece: str) -> Cage:
        """The open cage of another piece, copied as its followers say. Raises WaitsError for one that is gone or closed."""
        if piece not in self.others:
            raise WaitsError("The piece of the sheet is gone.")
        other = self.others[piece]
        cage = other.cage
        for follower in other.followers:
            made = follower.on_cage(cage) if follower.on and not cage.topology.is_closed else None
            cage = cage if made is None else made
        if cage.topology.is_closed:
            raise WaitsError(f"{other.name} is closed and no sheet: subtract it, or open it.")
        return cage

    @property
    def has_relief(self) -> bool:
        """Whether any of the cages that it is made of carries relief."""
        own = self.cage.relief is not None and not self.cage.relief.is_flat
        return own or any(other.has_relief for other in self.others.values())

    @property
    def plain(self) -> Recipe:
        """The same without relief, or with as much of it as patches are to hold: what the kernel makes."""
        if not self.has_relief:
            return self
        cage = with_levels(self.cage, self.levels)
        return replace(self, cage=cage, levels=0, others={key: other.plain for key, other in self.others.items()})

    @cached_property
    def digest(self) -> str:
        """Of all that counts for the result; names for people do not. Imported solids are named by their contents."""
        parts = [self.cage.digest]
        parts += [repr(replace(follower, name="")) for follower in self.followers if follower.on]
        parts += ["apart"] if self.apart else []
        parts += [f"levels {self.levels}"] if self.levels and self.cage.relief is not None else []
        parts += [f"{key}:{other.digest}" for key, other in sorted(self.others.items())]
        for key, laid in sorted(self.stones.items()):
            parts += [f"{key}:{stone!r}:{hashlib.sha256(motions.tobytes()).hexdigest()}" for stone, motions in laid]
        return hashlib.sha256("\n".join(parts).encode()).hexdigest()


@dataclass(frozen=True)
class Note:
    """What became of one follower: "done", "off", "waits" or "failed", and why in a sentence, with the place.

    ``unchecked``: this route could not tell, and the other one may. Words of one that is done are worth knowing.
    """

    follower: str
    status: str
    words: str = ""
    place: Place = NOWHERE
    unchecked: bool = False

    @classmethod
    def read(cls, data: Mapping[str, Any]) -> Note:
        """From the mapping that ``dataclasses.asdict`` gives, by way of JSON."""
        return cls(**{**data, "place": read_place(data["place"])})


def lacking(notes: Iterable[Note]) -> str:
    """What could not be done, in its words; "" where all was."""
    return " ".join(note.words for note in notes if note.status in ("failed", "waits"))


def in_order(recipe: Recipe, notes: Iterable[Note]) -> tuple[Note, ...]:
    """Notes in the order of the followers that they are on."""
    place = {follower.id: i for i, follower in enumerate(recipe.followers)}
    return tuple(sorted(notes, key=lambda note: place[note.follower]))


def as_solid(recipe: Recipe) -> tuple[Cage, tuple[Follower, ...], list[Note]]:
    """The closed cage to begin from, the followers still to be done, and notes on those that were done to the cage.

    As long as the cage is open, followers that can work on it (copies, thickening) do. Raises OpenCageError for one that
    stays open, with the first refusal as its reason, InsideOutError for shells that look the wrong way.
    """
    cage = recipe.cage
    left = [follower for follower in recipe.followers if follower.on]
    notes = [Note(follower.id, "off") for follower in recipe.followers if not follower.on]
    while left and not cage.topology.is_closed:
        follower = left[0]
        try:
            made = follower.on_cage(cage.plain)
            if made is not None and cage.relief is not None:
                made = carried_over(cage, made).cage
        except CoreError as error:
            raise error.saying(f"{follower.called}: {error}") from None
        if made is None:
            break
        cage = made
        notes.append(Note(follower.id, "done"))
        left.pop(0)
    require_closed(cage)
    require_outside_out(cage)
    return cage, tuple(left), notes
