"""Chamfer edges and vertices."""

from zinc_otter.core.cage.edits.chamfer.edges import chamfer_edges
from zinc_otter.core.cage.edits.chamfer.vertices import chamfer_vertices

__all__ = ["chamfer_edges", "chamfer_vertices"]
