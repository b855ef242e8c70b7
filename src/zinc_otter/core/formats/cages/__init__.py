"""Files that hold control cages: one file a kind, all of one shape, found by their suffix.

Lengths are millimetres unless the format has a unit of its own.
"""

from zinc_otter.core.formats.cages.kinds import READ, WRITTEN, lost, read_cage, write_cage
from zinc_otter.core.formats.cages.loaded import Loaded

__all__ = ["READ", "WRITTEN", "Loaded", "lost", "read_cage", "write_cage"]
