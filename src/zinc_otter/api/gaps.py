"""How near the images of repeats come to one another, for the live channel."""

from __future__ import annotations

import numpy as np

from zinc_otter.api.kept import Kept
from zinc_otter.api.live_messages import ShownGap
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.gaps import Placed, smallest_gap
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.surface import evaluate
from zinc_otter.studio.design import Design
from zinc_otter.studio.images import images_of

_MOST_POINTS = (2_500, 20_000)
"""Dense points of a form that are looked at: in a drag, and once it is settled."""


class Gaps:
    """Tells the gaps of a design's repeats. Safe to call from several threads."""

    def __init__(self, stencils: StencilShelf) -> None:
        self._stencils = stencils
        self._meshes: Kept[tuple[str, int], MeshDistance] = Kept(16)

    def of(self, design: Design, settled: bool) -> list[ShownGap]:
        """The smallest gap of each shown repeat, its originals among the images where they are the first of them."""
        found: list[ShownGap] = []
        for piece in design.pieces:
            if not piece.visible or not isinstance(piece.form, Repeated):
                continue
            things = [
                Placed(self._mesh(design.piece(base).cage, settled), motions)
                for base, motions in images_of(design, piece, with_own=True)
            ]
            gap = smallest_gap(things)
            if gap is not None:
                found.append(
                    {"piece": piece.id, "distance": gap.distance, "state": gap.state, "from": gap.here, "to": gap.there}
                )
        return found

    def _mesh(self, cage: Cage, settled: bool) -> MeshDistance:
        most = _MOST_POINTS[settled]
        corners = cage.topology.corner_count
        level = next((k for k in (3, 2) if corners * 4 ** (k - 1) <= most), 1)
        return self._meshes.get((cage.digest, level), lambda: self._made(cage, level))

    def _made(self, cage: Cage, level: int) -> MeshDistance:
        stencils = self._stencils.get(cage, level)
        quads = stencils.quads.astype(np.int64)
        triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
        return MeshDistance(evaluate(stencils, cage).points[: stencils.vertex_count], triangles)
