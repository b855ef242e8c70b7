"""Thicken an open piece."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.proof.crossing import crossing_faces
from zinc_otter.core.solid.thicken import thicken
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import millimetres


class Thicken(OnSelection):
    """Two walls ``distance`` mm apart, joined at the rims, which are creased if wished. The whole piece is meant.

    The second wall goes "in", "out", or "both" half the way.
    """

    kind: Literal["thicken"] = "thicken"
    distance: Annotated[Length, Field(gt=0), labelled("Thickness", "mm", step=0.25)]
    side: Annotated[
        Literal["in", "out", "both"], labelled("Second wall", words={"in": "inside", "out": "outside", "both": "half each"})
    ] = "in"
    crease_rims: Annotated[bool, labelled("Rims", words={"yes": "creased", "no": "rounded"})] = True

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        done = thicken(cage, self.distance, self.side, self.crease_rims)
        crossing = crossing_faces(done.cage)
        suspect = crossing if done.suspect is None else np.union1d(done.suspect, crossing)
        remarks = done.remarks
        if len(crossing):
            remarks = (f"The walls run through each other at {len(crossing)} marked faces; make it thinner.",)
        elif len(suspect):
            remarks = (*remarks, f"It strays by more than a tenth at {len(suspect)} marked faces.")
        else:
            remarks = (*remarks, "Nothing crosses.")
        return replace(done, suspect=suspect.astype(np.int32), remarks=remarks)

    def title(self, design: Design) -> str:
        return f"Thickened {design.piece(self.piece).name} by {millimetres(self.distance)}"
