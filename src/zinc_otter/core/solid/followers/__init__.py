"""Followers: the ordered steps from a form to its solid, one file for each kind; on triangles and in the kernel alike.

A new kind is a new file here: it is found by itself.
"""

from zinc_otter.core.kinds import kinds_in
from zinc_otter.core.solid.followers.base import PIECE, EdgeName, Follower, WaitsError
from zinc_otter.core.solid.followers.combine import Combine, ImportedBody, PieceBody
from zinc_otter.core.solid.followers.copies import MirrorBody, RepeatAlong, RepeatRound, ScaleToSize
from zinc_otter.core.solid.followers.hollow import Hollow, Vent
from zinc_otter.core.solid.followers.rounding import CutEdge, Fillet
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.followers.trim_sheet import TrimBySheet

KINDS = kinds_in(__name__, __path__, Follower)
"""All kinds of followers, by name."""

__all__ = [
    "KINDS", "PIECE", "Combine", "CutEdge", "EdgeName", "Fillet", "Follower", "Hollow", "ImportedBody", "MirrorBody",
    "PieceBody", "RepeatAlong", "RepeatRound", "ScaleToSize", "Thickened", "Trim", "TrimBySheet", "Vent", "WaitsError",
]  # fmt: skip
