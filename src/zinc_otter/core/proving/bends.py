"""The surface bends nowhere more tightly than a radius: what a cutter, a fingertip or a polishing wheel asks for."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import igl
import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.sharp_edges import sharp_edges
from zinc_otter.core.proving.base import Ground, Proof, Valued, Verdict, above
from zinc_otter.core.remark import at_points
from zinc_otter.core.words import length_words, percent_words

_SHARP = 20.0
"""Degrees from one dense face to the next beyond which an edge is sharp, however near one looks."""
_MARKED = 24

Side = Literal["both", "outside", "inside"]
_WORDS = {"both": "", "outside": " outside", "inside": " inside"}


@dataclass(frozen=True)
class Bends(Proof):
    """No radius of curvature is less than ``least`` mm: ``outside``, where the form bulges, ``inside``, where it is hollow,
    or both. By quadrics laid through the dense points about each (D. Panozzo, E. Puppo, L. Rocca, "Efficient multi-scale
    curvature and crease estimation", 2010, as libigl has it); along sharp edges the radius is 0.
    """

    what: ClassVar[str] = "Bends"
    least: float = 1.0
    side: Side = "both"
    kind: Literal["bends"] = "bends"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, radius=self.least)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} bends{_WORDS[self.side]} by a radius of at least {length_words(self.least)}"

    def judge(self, ground: Ground) -> Verdict:
        found = radii(ground.points, ground.triangles, self.side)
        worst = int(found.argmin())
        tight = found < self.least - 1e-6
        sharp = int((found == 0).sum())
        least = float(found[worst])
        words = f"The smallest radius is {length_words(least)}" if least > 0 else f"It is sharp at {sharp:,} points"
        said = f"{words}, of {len(found):,} points"
        if not tight.any():
            return Verdict("holds", f"{said}.", least, at_points(ground.points[[worst]]))
        order = np.argsort(found)[: min(_MARKED, int(tight.sum()))]
        share = f"{percent_words(float(tight.mean()))} of them bend more tightly"
        return Verdict("fails", f"{said}; {share}.", least, at_points(ground.points[order]))

    def map(self, at: Ground) -> Valued | None:
        most = float(np.ptp(at.points, axis=0).max())
        return Valued(np.minimum(radii(at.points, at.triangles, self.side), most), self.least, "mm")


def radii(points: Floats, triangles: Ints, side: Side = "both") -> Floats:
    """(n,) the smallest radius of curvature in mm at each point of a mesh whose triangles look outwards; infinite where it
    does not bend to that side, 0 along sharp edges."""
    p = np.ascontiguousarray(points, dtype=np.float64)
    t = np.ascontiguousarray(triangles, dtype=np.int64)
    # Rings of neighbours that the quadrics are laid through.
    _, _, most, least, _ = igl.principal_curvature(p, t, radius=3)
    bulge, hollow = np.asarray(most).reshape(-1), -np.asarray(least).reshape(-1)
    bending = {"outside": bulge, "inside": hollow, "both": np.maximum(bulge, hollow)}[side]
    with np.errstate(divide="ignore"):
        found = np.where(bending > 1e-12, 1 / np.maximum(bending, 1e-12), np.inf)
    edges, inner = sharp_edges(p, t, _SHARP)
    meant = np.ones(len(edges), dtype=bool) if side == "both" else inner if side == "inside" else ~inner
    found[np.unique(edges[meant])] = 0.0
    return np.asarray(found)
