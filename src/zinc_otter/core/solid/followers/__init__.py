"""Followers: the ordered steps from a form to its solid, one file for each kind; on triangles and in the kernel alike."""

from zinc_otter.core.solid.followers.base import PIECE, EdgeName, Follower, WaitsError
from zinc_otter.core.solid.followers.combine import Combine, ImportedBody, PieceBody
from zinc_otter.core.solid.followers.copies import MirrorBody, RepeatAlong, RepeatRound, ScaleToSize
from zinc_otter.core.solid.followers.hollow import Hollow, Vent
from zinc_otter.core.solid.followers.rounding import CutEdge, Fillet
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.followers.trim_sheet import TrimBySheet

KINDS: tuple[type[Follower], ...] = (
    Thickened, Combine, Trim, TrimBySheet, Hollow, Fillet, CutEdge, MirrorBody, RepeatRound, RepeatAlong, ScaleToSize,
)  # fmt: skip

__all__ = [
    "KINDS", "PIECE", "Combine", "CutEdge", "EdgeName", "Fillet", "Follower", "Hollow", "ImportedBody", "MirrorBody",
    "PieceBody", "RepeatAlong", "RepeatRound", "ScaleToSize", "Thickened", "Trim", "TrimBySheet", "Vent", "WaitsError",
]  # fmt: skip
