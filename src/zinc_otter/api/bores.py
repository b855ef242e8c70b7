"""The bores of pieces, for the live channel."""

from __future__ import annotations

from zinc_otter.api.gaps import Gaps
from zinc_otter.api.live.shown import ShownBore
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.proof.bore import bore
from zinc_otter.core.ring_sizes import ring_words
from zinc_otter.studio.design import Design

_MOST_FACES = 3_000


def told_bores(design: Design, gaps: Gaps, settled: bool) -> list[ShownBore]:
    """Of each shown closed piece of one body that has a hole."""
    found: list[ShownBore] = []
    for piece in design.pieces:
        cage = piece.form
        if not piece.visible or not isinstance(cage, Cage):
            continue
        t = cage.topology
        if not t.is_closed or t.face_count > _MOST_FACES or t.vertex_count - t.edge_count + t.face_count > 0:
            continue
        mesh = gaps.mesh(cage, settled)
        made = bore(mesh.vertices, mesh.triangles)
        if made is not None:
            found.append({
                "piece": piece.id, "diameter": made.diameter, "point": list(made.point), "along": list(made.along),
                "words": ring_words(made.diameter),
            })  # fmt: skip
    return found
