"""From what is picked to what is meant: loops, rings, bands, growing, borders, and what is alike."""

from zinc_otter.core.cage.picking.alike import by_sharpness, mirrored, similar_normal, similar_sharpness, similar_valence
from zinc_otter.core.cage.picking.band import band
from zinc_otter.core.cage.picking.growth import border, everything, grow, invert, shrink
from zinc_otter.core.cage.picking.loops import edge_loop, edge_ring, face_strip, loops_of, rings_of

__all__ = [
    "band", "border", "by_sharpness", "edge_loop", "edge_ring", "everything", "face_strip", "grow", "invert", "loops_of",
    "mirrored", "rings_of", "shrink", "similar_normal", "similar_sharpness", "similar_valence",
]  # fmt: skip
