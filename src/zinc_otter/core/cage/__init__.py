"""The control cage: its arrays, its adjacency, primitives, selection, and one file for each family of edits."""

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Kind, Selection
from zinc_otter.core.cage.topology import Topology

__all__ = ["HARD", "Cage", "Edit", "ElementMap", "Kind", "Selection", "Topology"]
