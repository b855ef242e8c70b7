"""The form is a sound solid, and weighs no more than it may."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.errors import BadNumberError, Place
from zinc_otter.core.proof.crossing import crossing_faces
from zinc_otter.core.proving.base import OPEN, Ground, Proof, Verdict, above
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.words import figures, volume_words


@dataclass(frozen=True)
class Sound(Proof):
    """Closed, and nowhere running through itself."""

    what: ClassVar[str] = "Sound"
    kind: Literal["sound"] = "sound"

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} closed, with nothing crossing"

    def judge(self, ground: Ground) -> Verdict:
        edges = ground.cage.topology.open_edges
        if len(edges):
            count = len(edges)
            words = f"It is open along {count} {'edge' if count == 1 else 'edges'}."
            return Verdict("fails", words, float(count), Place(edges=tuple(int(e) for e in edges[:200])))
        faces = crossing_faces(ground.cage, 2 if ground.fine and ground.cage.topology.face_count < 600 else 1)
        if len(faces):
            words = f"It runs through itself at {len(faces)} {'face' if len(faces) == 1 else 'faces'}."
            return Verdict("fails", words, float(len(faces)), Place(faces=tuple(int(f) for f in faces[:200])))
        return Verdict("holds", "Closed, and no crossing found among its dense faces.", 0.0)


@dataclass(frozen=True)
class WeighsAtMost(Proof):
    """In ``material`` it weighs ``most`` grams or less; by the volume within its surface."""

    what: ClassVar[str] = "Weighs at most"
    asks_bodies: ClassVar[bool] = True
    material: str = "Silver, 925 with copper"
    most: float = 10.0
    kind: Literal["weight"] = "weight"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, weight=self.most)
        if self.material not in {one.name for one in MATERIALS}:
            raise BadNumberError(f"There is no material {self.material!r} in the table.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} at most {self.most:g} g in {self.material}"

    def judge(self, ground: Ground) -> Verdict:
        if not ground.closed:
            return OPEN
        a, b, c = ground.points[ground.triangles].transpose(1, 0, 2)
        volume = float((a * np.cross(b, c)).sum() / 6)
        grams = next(one for one in MATERIALS if one.name == self.material).weight(volume)
        words = f"It weighs {figures(grams)} g, {volume_words(volume, 4)}."
        return Verdict("holds" if grams <= self.most else "fails", words, grams)
