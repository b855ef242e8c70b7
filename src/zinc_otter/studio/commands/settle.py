"""Settle a surface on a scan."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.scan.settling import Settled, settle
from zinc_otter.core.words import fine_length_words
from zinc_otter.studio.commands.aligning import Share
from zinc_otter.studio.commands.base import BesideMeshes, Meshes
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component
from zinc_otter.studio.sticking import places_of

PLACES = 16_000
"""Places of the scan that are fitted to."""


class Settle(BesideMeshes):
    """Move the control points of what is picked so that the smooth surface lies on a component, by least squares.

    It goes by places spread over all of the component, and by none that stands out like a spike. ``smoothness``: how
    fair the surface stays where the component is rough. What is not picked stays.
    """

    kind: Literal["settle"] = "settle"
    onto: Annotated[str, Field(min_length=1, max_length=20)]
    smoothness: Annotated[Share, labelled("Fairness", "%", step=5)] = 0.1
    border: Annotated[
        bool, labelled("Border", words={"yes": "goes onto it", "no": "stays"})
    ] = True

    def edit_beside(self, design: Design, meshes: Meshes) -> Callable[[Cage, Selection], Edit]:
        component = design.reference(self.onto)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is a picture; there is no surface to settle on.")
        scan = places_of(component, meshes(component.asset), PLACES)
        symmetry = design.piece(self.piece).symmetry

        def done(cage: Cage, selection: Selection) -> Edit:
            settled = settle(
                cage, selection, scan, smoothness=self.smoothness, border=self.border,
                group=None if symmetry is None else symmetry.group,
            )  # fmt: skip
            return _told(settled)

        return done

    def title(self, design: Design) -> str:
        return f"Settled {self.what(design)} on {design.reference(self.onto).name}"


def _told(done: Settled) -> Settled:
    (rms, most), (rms_after, most_after) = done.before, done.after
    remark = (
        f"Root mean square {fine_length_words(rms)} before, {fine_length_words(rms_after)} after; largest "
        f"{fine_length_words(most)} before, {fine_length_words(most_after)} after, of {done.count:,} places of the scan."
    )
    bare = 0 if done.suspect is None else len(done.suspect)
    if bare:
        faces = "1 face has" if bare == 1 else f"{bare} faces have"
        remark += f" {faces} nothing of the scan on them: they go with their neighbours."
    return replace(done, remarks=(remark,))
