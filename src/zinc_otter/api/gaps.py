"""How near the images of repeats come to one another, for the live channel."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

import numpy as np

from zinc_otter.api.kept import Kept
from zinc_otter.api.live.shown import ShownGap
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.gaps import Gap, Placed, smallest_gap
from zinc_otter.core.proof.pseudonormals import Wiring
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.relief.sampled import seen_at
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.surface import evaluate
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.images import cage_of, images_of

_MOST_POINTS = (2_500, 20_000)
"""Dense points of a form that are looked at: in a drag, and once it is settled."""
_MOST_OF_RELIEF = 80_000
"""The same, settled, of a form with relief: of what is finer still places are taken."""


def told(gap: Gap, piece: str, other: str | None) -> ShownGap:
    return {
        "piece": piece, "other": other, "distance": gap.distance, "state": gap.state, "from": gap.here, "to": gap.there,
    }  # fmt: skip


class Gaps:
    """Tells the gaps of a design's repeats. Safe to call from several threads."""

    def __init__(self, stencils: StencilShelf) -> None:
        self._stencils = stencils
        self._wirings: Kept[tuple[str, int], Wiring] = Kept(16)
        self._meshes: Kept[tuple[str, int, bool], MeshDistance] = Kept(16)

    def of(self, design: Design, settled: bool, between: Sequence[str] = ()) -> list[ShownGap]:
        """The smallest gap of each shown repeat, its originals among the images where they are the first of them.

        Then that of every two of the pieces ``between`` which gaps are asked for; those that are gone, or curves, have none.
        """
        found: list[ShownGap] = []
        for piece in design.pieces:
            if not piece.visible or not isinstance(piece.form, Repeated) or piece.form.stones:
                # How near stones come is told with all else about them.
                continue
            things = [
                Placed(self.mesh(cage_of(design, base), settled), motions)
                for base, motions in images_of(design, piece, with_own=True)
            ]
            gap = smallest_gap(things)
            if gap is not None:
                found.append(told(gap, piece.id, None))
        there = {piece.id: piece for piece in design.pieces if piece.curve is None}
        things_of = {one: self._placed(design, there[one], settled) for one in dict.fromkeys(between) if one in there}
        for one, other in combinations(things_of, 2):
            gaps = [smallest_gap([a, b], own=False) for a in things_of[one] for b in things_of[other]]
            least = min((gap for gap in gaps if gap is not None), key=lambda gap: gap.distance, default=None)
            if least is not None:
                found.append(told(least, one, other))
        return found

    def _placed(self, design: Design, piece: Piece, settled: bool) -> list[Placed]:
        """A piece as meshes under motions: of its own, or of those that it is images of."""
        if not isinstance(piece.form, Repeated):
            return [Placed(self.mesh(piece.cage, settled), np.eye(4)[None])]
        return [Placed(self.mesh(cage_of(design, of), settled), motions) for of, motions in images_of(design, piece)]

    def mesh(self, cage: Cage, settled: bool) -> MeshDistance:
        """A cage's surface, as finely as a drag can bear, or more finely once it is settled."""
        most = _MOST_POINTS[settled]
        corners = cage.topology.corner_count
        level = next((k for k in (3, 2) if corners * 4 ** (k - 1) <= most), 1)
        depth = with_all_relief(cage.relief, level) if settled else level
        # Of very fine relief as many places are looked at as can be between two strokes; they are places of all of it.
        while level < depth and corners * 4**level <= _MOST_OF_RELIEF:
            level += 1
        return self._meshes.get((cage.digest, level, settled), lambda: self._made(cage, level, settled))

    def _made(self, cage: Cage, level: int, settled: bool) -> MeshDistance:
        # In a drag relief finer than what is looked at waits.
        fine, sampled = seen_at(cage, level, self._stencils.get) if settled else (self._stencils.get(cage, level), None)
        surface = evaluate(fine, cage)
        if sampled is None:
            wiring = self._wirings.get((cage.structure_digest, level), lambda: Wiring(fine.triangles))
            return MeshDistance(surface.points, wiring)
        return MeshDistance(sampled.points(surface), sampled.stencils.triangles)
