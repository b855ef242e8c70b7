"""How many faces a control cage may have: asked before the work, since a slip of a number costs minutes otherwise."""

from __future__ import annotations

from zinc_otter.core.errors import TooManyFacesError

MOST_FACES = 30_000
"""More faces than this in a control cage are taken for a slip: a cage lives from having few."""


def check_face_total(total: int, before: int = 0) -> None:
    """Raise TooManyFacesError for more faces than a cage may have, unless it had as many ``before``."""
    if total > max(MOST_FACES, before):
        raise TooManyFacesError(f"That would make {total:,} faces; {MOST_FACES:,} are the most for one cage.")
