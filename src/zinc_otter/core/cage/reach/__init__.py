"""Reach: how far a change of the picked carries into what lies around it."""

from zinc_otter.core.cage.reach.profiles import PROFILES, profile
from zinc_otter.core.cage.reach.reach import Reach

__all__ = ["PROFILES", "Reach", "profile"]
