"""A cage of quads proposed for a scan: a field of directions, a lattice along it, and the quads between its points.

prepared -> guides -> directions -> lattice -> drawn_together -> paired -> proposal, each knowing only those before.
"""

from zinc_otter.core.scan.proposing.proposal import Proposal, propose

__all__ = ["Proposal", "propose"]
