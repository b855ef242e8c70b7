"""Proofs that a design keeps: what is asked of its form, one file each, found by themselves."""

from __future__ import annotations

from functools import reduce
from operator import or_
from typing import TYPE_CHECKING

from zinc_otter.core.kinds import kinds_in
from zinc_otter.core.proving.base import Ground, Proof, Verdict

KINDS: tuple[type[Proof], ...] = kinds_in(__name__, __path__, Proof)  # type: ignore[type-abstract]
"""All kinds of proofs, by name."""

if TYPE_CHECKING:
    AnyProof = Proof
else:
    AnyProof = reduce(or_, KINDS)
    """Any of the proofs, told apart by their ``kind``."""

__all__ = ["KINDS", "AnyProof", "Ground", "Proof", "Verdict"]
