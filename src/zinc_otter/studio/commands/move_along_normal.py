"""Push or pull what is picked along its mean normal."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import Motion, along_normal
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length
from zinc_otter.studio.commands.placement import Placement, reaching
from zinc_otter.studio.design import Design


class MoveAlongNormal(Placement):
    """Move by ``distance`` mm along the mean normal: out when positive, in when negative."""

    on_curves = False

    kind: Literal["move-along-normal"] = "move-along-normal"
    distance: Length

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return along_normal(cage, picked, self.distance)

    def title(self, design: Design) -> str:
        verb = "Pulled" if self.distance >= 0 else "Pushed"
        return f"{verb} {self.what(design)} by {length_words(abs(self.distance))}{reaching(self.reach)}"
