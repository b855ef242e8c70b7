"""Which pieces a repeat shows, and where: drawn and measured as instances, and made into bodies in Make."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.symmetry import Group
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.growth.mirrored import MirroredCopy
from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.repeated import Repeated, chained
from zinc_otter.core.stone.stone import Stone
from zinc_otter.studio.design import Design, Piece

Of = str | Stone
"""What images are of: a piece with faces, by its id, or a stone."""


def images_of(design: Design, piece: Piece, with_own: bool = False) -> list[tuple[Of, Floats]]:
    """Of a piece that is images: what they are of, and their motions (k, 4, 4).

    ``with_own``: the originals' own place is one of them, where they are the first images. Raises UnknownPieceError.
    """
    growth = piece.grown
    if isinstance(growth, Repeat):
        motions = motions_of(design, growth)
        if with_own and growth.own:
            motions = np.concatenate([np.eye(4)[None], motions])
        return [(base, chained(motions, inner)) for one in growth.originals for base, inner in _shown(design, one)]
    if isinstance(growth, MirroredCopy):
        matrix, offset, _ = Group((growth.plane,)).generators[0]
        motion = np.eye(4)
        motion[:3, :3], motion[:3, 3] = matrix, offset
        return [(base, chained([motion], inner)) for base, inner in _shown(design, growth.source)]
    return list(piece.form.stones) if isinstance(piece.form, Repeated) else []


def motions_of(design: Design, growth: Repeat) -> Floats:
    """(k, 4, 4) of a repeat's images, the originals' own place not among them."""
    return growth.motions(design.piece(growth.rail).curve if growth.way == "curve" else None)


def stand_for(design: Design) -> set[str]:
    """The pieces that are part of a shown repeat, as the first of its images: in Make they are in its solid."""
    return {
        one
        for piece in design.pieces
        if piece.visible and isinstance(piece.grown, Repeat) and piece.grown.own
        for one in piece.grown.originals
    }


def cage_of(design: Design, of: Of) -> Cage:
    """The cage of what images are of. Raises UnknownPieceError."""
    return of.gem.cage if isinstance(of, Stone) else design.piece(of).cage


def _shown(design: Design, piece_id: str) -> list[tuple[Of, Floats]]:
    piece = design.piece(piece_id)
    return images_of(design, piece) if isinstance(piece.form, Repeated) else [(piece_id, np.eye(4)[None])]
