"""Creases of many edges at once: by a factor, and along the sharp lines of a component."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Annotated, Literal
from weakref import WeakKeyDictionary

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import HARD, Cage, Edit, Selection
from zinc_otter.core.cage.edits.creases import crease_along, scale_creases, set_crease
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.features import LineDistance
from zinc_otter.core.scan.rounded_line import LikeScan, sharpness_like
from zinc_otter.core.scan.samples import Samples
from zinc_otter.core.scan.sharp_lines import sharp_lines
from zinc_otter.core.words import fine_length_words, length_words, number
from zinc_otter.studio.commands.base import BesideMeshes, Length, Meshes, Number, OnSelection, Outcome
from zinc_otter.studio.commands.crease import Sharpness
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.settle import PLACES
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component
from zinc_otter.studio.sticking import places_of


class ScaleCreases(OnSelection):
    """Multiply the sharpness of all creases and corners of what is picked by a ``factor``: below 1 softens."""

    is_quick = True

    kind: Literal["scale-creases"] = "scale-creases"
    factor: Annotated[Number, Field(ge=0, le=HARD), labelled("To", "%", step=10)]

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return scale_creases(cage, selection, self.factor)

    def title(self, design: Design) -> str:
        verb = "Softened" if self.factor < 1 else "Sharpened"
        return f"{verb} the creases of {self.what(design)} to {number(100 * self.factor)} %"


class CreaseLike(BesideMeshes):
    """Crease the picked edges that run along a component's sharp lines, where it turns by ``angle`` degrees or more.

    An edge runs along one where both its ends and its middle lie ``within`` mm of it. By "scan" picked edges are creased as
    tightly as the component is rounded along them, noise or not: its radius is found there, and told.
    """

    shows_result = True
    kind: Literal["crease-like"] = "crease-like"
    like: Annotated[str, Field(min_length=1, max_length=20)]
    by: Annotated[
        Literal["lines", "scan"], labelled("By", words={"lines": "its sharp lines", "scan": "its radius there"})
    ] = "lines"
    angle: Annotated[float, Field(gt=0, le=180, allow_inf_nan=False), labelled("Sharp from", "°", step=5)] = 30.0
    within: Annotated[Length, Field(gt=0), labelled("Within", "mm", step=0.1)] = 0.5
    sharpness: Annotated[Sharpness, labelled("Sharpness", step=0.5)] = HARD

    def edit_beside(self, design: Design, meshes: Meshes) -> Callable[[Cage, Selection], Edit]:
        component = design.reference(self.like)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is a picture; it has no sharp lines to follow.")
        mesh = meshes(component.asset)
        if self.by == "scan":
            return self._as_the_scan(places_of(component, mesh, PLACES))
        segments = _lines_of(mesh, self.angle)
        lines = LineDistance(component.placed(segments.reshape(-1, 3)).reshape(-1, 2, 3))

        return lambda cage, selection: crease_along(cage, selection, lines, self.within, self.sharpness)

    def _as_the_scan(self, scan: Samples) -> Callable[[Cage, Selection], Edit]:
        def done(cage: Cage, selection: Selection) -> Edit:
            selection.check(cage.topology)
            if selection.kind != "edge" or self.picked.kind == "piece":
                raise BadSelectionError("How sharp a scan is is told along picked edges (E): those of one line at a time.")
            found = sharpness_like(cage, selection.ids, scan)
            return replace(set_crease(cage, selection, found.sharpness), remarks=(_like_told(found),))

        return done

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        done = super().apply_among(design, meshes)
        if self.by == "scan":
            return done
        assert done.selected is not None
        # Counted on what came of it: on a symmetric piece the other sides are creased as well.
        before, after = design.piece(self.piece).cage, done.design.piece(self.piece).cage
        return replace(done, remarks=(_told(before, after, done.selected),))

    def title(self, design: Design) -> str:
        if self.by == "scan":
            return f"Creased {self.what(design)} as {design.reference(self.like).name} is rounded there"
        # How many of the picked edges run along its lines is not known before it is done.
        return f"Creased {design.piece(self.piece).name} along the sharp lines of {design.reference(self.like).name}"


_found: WeakKeyDictionary[MeshDistance, dict[float, Floats]] = WeakKeyDictionary()
"""Of meshes that are at hand, while they are: a card asks with every number that is set on it."""


def _lines_of(mesh: MeshDistance, degrees: float) -> Floats:
    held = _found.setdefault(mesh, {})
    if degrees not in held:
        held.clear()
        held[degrees] = sharp_lines(mesh.vertices, mesh.triangles, degrees)
    return held[degrees]


def _like_told(found: LikeScan) -> str:
    """The fillet of the scan, and which sharpness is as tight."""
    seen = found.rounding
    of = "1 edge" if found.edges == 1 else f"{found.edges} edges"
    said = f"Along {of} the scan turns by {number(seen.turn, 0)}°"
    if seen.is_sharp:
        said += f", sharp as far as its {fine_length_words(seen.off)} of noise can tell"
    else:
        said += f" with a radius of {length_words(seen.radius)}; it lies within {fine_length_words(seen.off)} of that"
    words = "smooth" if found.sharpness == 0 else "hard" if found.sharpness >= HARD else number(found.sharpness)
    return f"{said}: sharpness {words}. Settle what lies about them once it is kept."


def _told(before: Cage, after: Cage, found: Selection) -> str:
    """How many edges have another sharpness than before, and what became of others that run along the lines."""
    changed = after.edge_sharpness != before.edge_sharpness
    on_border = np.isin(found.ids, before.topology.open_edges)
    same = int((~on_border & ~changed[found.ids]).sum())
    count = int(changed.sum() - changed[before.topology.open_edges].sum())
    words = f"{count} {'edge is' if count == 1 else 'edges are'} creased along its sharp lines"
    if same:
        words += f"; {same} more {'was' if same == 1 else 'were'} just as sharp before"
    if on_border.any():
        words += f"; {int(on_border.sum())} on the open border stay as they are: a border is a line anyway"
    return words + "."
