"""Whether what a command leads to runs through itself: looked at beside the command, coarsely in a drag, finer at rest."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.proof.changed import changed_faces
from zinc_otter.core.proof.crossing import crossing_faces
from zinc_otter.studio.commands.base import Command, Outcome
from zinc_otter.studio.design import Design


@dataclass(frozen=True)
class Pains:
    """Corners of faces that may be looked at: of what has changed, and of the whole form, which costs less each."""

    changed: int
    whole: int

    def level(self, changed: int, whole: int) -> int:
        """The finest level that can be borne: each has four times as many faces. 0 where none can."""
        if 4 * changed <= self.changed and 4 * whole <= self.whole:
            return 2
        return 1 if changed <= self.changed and whole <= self.whole else 0


IN_A_DRAG = Pains(400, 4_000)
AT_REST = Pains(12_000, 40_000)


@dataclass(frozen=True, eq=False)
class Looked:
    """Faces of the piece in hand that run through others, and a sentence on it; None where there is nothing to say."""

    faces: Ints
    words: str | None


def looked_at(before: Design, command: Command, outcome: Outcome, pains: Pains) -> Looked | None:
    """What is found on the piece in hand; None where nothing was built, or where there is too much of it to be looked at."""
    if outcome.piece_id is None:
        return None
    after = outcome.design.piece(outcome.piece_id).cage
    if not after.topology.face_count:
        return None
    was = next((piece.cage for piece in before.pieces if piece.id == outcome.piece_id), None)
    if was is not None and was.topology.digest == after.topology.digest:
        return None
    changed = np.arange(after.topology.face_count) if was is None else changed_faces(was, after)
    corners = np.diff(after.topology.face_offsets)
    level = pains.level(int(corners[changed].sum()), int(corners.sum()))
    if not level:
        return None
    faces = crossing_faces(after, level, changed)
    if len(faces):
        return Looked(faces, command.crossing_words(len(faces)))
    return Looked(faces, "Nothing crosses." if command.says_nothing_crosses else None)
