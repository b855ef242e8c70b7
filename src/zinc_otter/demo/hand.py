"""A hand for scripts: picks by place instead of by index, and gives commands as a user does."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np

from zinc_otter.core.cage import Cage, Kind
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.shelf import Saved
from zinc_otter.studio.studio import Studio

Where = Callable[[Floats, Floats, Floats], Any]
"""Given x, y and z of the elements' middles (k,), which of them are wanted."""


class Hand:
    """Works on one design, on the piece it put down last."""

    def __init__(self, studio: Studio, saved: Saved) -> None:
        self._studio = studio
        self.saved = saved

    @property
    def cage(self) -> Cage:
        return self.saved.design.pieces[-1].cage

    def give(self, kind: str, **values: Any) -> None:
        """One command, one step."""
        command = read_command({"kind": kind, **values})
        self.saved = self._studio.commit(self.saved.facts.id, self.saved.facts.revision, command)

    def pick(self, kind: Kind, where: Where) -> dict[str, Any]:
        """Elements by the place of their middles."""
        middles = middles_of(self.cage, kind)
        mask: Bools = np.asarray(where(*middles.T))
        return {"kind": kind, "ids": np.flatnonzero(mask).tolist()}

    def do(self, kind: str, picked: dict[str, Any] | None = None, **values: Any) -> None:
        """A command on what is picked, by default on what the last step left selected."""
        selected = self.saved.selected or {}
        chosen = picked if picked is not None else {"kind": selected["kind"], "ids": selected["ids"]}
        self.give(kind, piece=self.saved.design.pieces[-1].id, picked=chosen, **values)
