"""How evenly a form and its mirror image meet in the mirror's plane."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.selection import Selection, middles_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, Place
from zinc_otter.core.proving.base import Ground, Proof, Verdict
from zinc_otter.core.remark import at_points
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.words import figures, fine_length_words, length_words

_FAR = 0.02
"""mm from the plane up to which a border counts as lying in it."""
_STRAYS = 1.0
"""mm up to which a border is taken for one that was meant to lie in it."""
_MARKED = 24


@dataclass(frozen=True)
class SeamEven(Proof):
    """In the plane across ``axis`` at ``at`` mm the form and its mirror image meet at ``most`` degrees or less.

    Of a half, as it stands, it is the border in that plane that counts; of a whole what lies in it: its side of greater
    ``axis``, and that mirrored. Images that meet without an angle bend alike there, too, so that a highlight runs across
    without a break: across a plane of symmetry a height and its image have the same second derivative.
    """

    what: ClassVar[str] = "Seam even"
    axis: Literal["x", "y", "z"] = "x"
    at: float = 0.0
    most: float = 1.0
    kind: Literal["seam"] = "seam"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not 0 < self.most <= 180:
            raise BadNumberError(f"{self.what}: the angle is above 0 and up to 180°; {self.most:g}° is not.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        plane = f"{self.axis} = {length_words(self.at)}"
        return f"{name_of(self.piece)} and its image meet at {self.most:g}° or less in {plane}"

    def judge(self, ground: Ground) -> Verdict:
        k = "xyz".index(self.axis)
        half = _one_side(ground.cage, k, self.at)
        stencils = build_stencils(half, 3 if ground.fine and half.topology.face_count < 2_000 else 2)
        surface = evaluate(stencils, half)
        is_open = len(half.topology.open_edges) > 0
        line = _border_along(surface.points, stencils.quads, k) if is_open else np.arange(len(surface.points))
        off = np.abs(surface.points[line, k] - self.at)
        there = line[off < _FAR]
        if not len(there):
            return Verdict("unknown", f"Nothing of it lies in the plane {self.axis} = {length_words(self.at)}.")
        angles = 2 * np.degrees(np.arcsin(np.clip(np.abs(surface.normals[there, k]), 0, 1)))
        worst = int(angles.argmax())
        figure = float(angles[worst])
        words = f"They meet at up to {figures(figure, 2)}°, looked at in {len(there):,} places."
        if is_open and figure > self.most:
            words += " It is open there; with a live mirror, or welded to its image, the two become one smooth surface."
        beside = line[(off >= _FAR) & (off < _STRAYS) & is_open]
        if len(beside):
            far = np.abs(surface.points[beside, k] - self.at)
            strays = fine_length_words(float(far.max()))
            words += f" Its border strays from the plane by up to {strays}: a gap is left there."
            return Verdict("fails", words, figure, _places(surface.points[beside], far))
        holds = figure <= self.most + 1e-9
        return Verdict("holds" if holds else "fails", words, figure, _places(surface.points[there], angles))


def _one_side(cage: Cage, k: int, at: float) -> Cage:
    """The cage without what lies on the lesser side of a plane, where it is creased all along it; else as it is.

    Beyond a hard crease the surface does not hang on the other side; through a soft one it runs on, and is one surface.
    """
    t = cage.topology
    middles = middles_of(cage, "face")[:, k]
    if not len(middles) or middles.min() >= at or middles.max() <= at:
        return cage
    ends = np.abs(cage.positions[t.edge_verts, k] - at).max(axis=1) < _FAR
    if not (ends.any() and (cage.edge_sharpness[ends] >= HARD).all()):
        return cage
    return delete_elements(cage, Selection.of("face", np.flatnonzero(middles < at))).cage


def _border_along(points: Floats, quads: Ints, k: int) -> Ints:
    """The points of border edges that run along a plane square to an axis: not those of a rim that comes to it."""
    edges = np.stack([quads, np.roll(quads, -1, axis=1)], axis=2).reshape(-1, 2)
    _, first, count = np.unique(np.sort(edges, axis=1), axis=0, return_index=True, return_counts=True)
    border = edges[first[count == 1]]
    way = points[border[:, 1]] - points[border[:, 0]]
    return np.unique(border[np.abs(way[:, k]) < 0.5 * np.linalg.norm(way, axis=1)])


def _places(points: Floats, worse: Floats) -> Place:
    return at_points(points[np.argsort(-worse)[:_MARKED]])
