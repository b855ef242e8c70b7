"""A hand for scripts: picks by place instead of by index, and gives commands as a user does."""

from __future__ import annotations

from collections.abc import Callable
from pathlib import Path
from typing import Any, Protocol

import numpy as np

from zinc_otter.core.cage import Cage, Kind
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.formats.mesh import Mesh, as_asset, read_mesh
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.picture_files import read_picture
from zinc_otter.studio.shelf import Asset, Saved
from zinc_otter.studio.studio import Studio

Where = Callable[[Floats, Floats, Floats], Any]
"""Given x, y and z of the elements' middles (k,), which of them are wanted."""


class Assets(Protocol):
    """The part of the store that takes the contents of references."""

    def put_asset(self, kind: str, data: bytes, facts: dict[str, Any]) -> Asset: ...


class Hand:
    """Works on one design, on the piece it put down last."""

    def __init__(self, studio: Studio, saved: Saved, assets: Assets) -> None:
        self._studio = studio
        self._assets = assets
        self.saved = saved

    @property
    def cage(self) -> Cage:
        return self.saved.design.pieces[-1].cage

    def give(self, kind: str, **values: Any) -> None:
        """One command, one step."""
        command = read_command({"kind": kind, **values})
        self.saved = self._studio.commit(self.saved.facts.id, self.saved.facts.revision, command)

    def picture(self, path: Path, **values: Any) -> None:
        """Lay a picture file on a view, as a user does who chooses it."""
        made = read_picture(path.read_bytes(), path.suffix[1:])
        asset = self._assets.put_asset("picture", made.png, {"pixels": list(made.pixels)})
        self.give("add-picture", name=values.pop("name", path.stem), asset=asset.hash, pixels=made.pixels, **values)

    def component(self, path: Path, unit: str, **values: Any) -> None:
        """Put down a mesh file as a component."""
        self.mesh(values.pop("name", path.stem), read_mesh(path.read_bytes(), path.suffix[1:], unit), **values)

    def mesh(self, name: str, mesh: Mesh, opacity: float | None = None, **values: Any) -> None:
        """Put down a mesh as a component, seen through by so much."""
        data, facts = as_asset(mesh)
        asset = self._assets.put_asset("mesh", data, facts)
        self.give("add-component", name=name, asset=asset.hash, triangles=facts["triangles"], size=facts["size"], **values)
        if opacity is not None:
            self.give("change-reference", reference=self.saved.design.references[-1].id, opacity=opacity)

    def pick(self, kind: Kind, where: Where) -> dict[str, Any]:
        """Elements by the place of their middles."""
        middles = middles_of(self.cage, kind)
        mask: Bools = np.asarray(where(*middles.T))
        return {"kind": kind, "ids": np.flatnonzero(mask).tolist()}

    @property
    def piece(self) -> str:
        """The id of the piece put down last."""
        return self.saved.design.pieces[-1].id

    def do(self, kind: str, picked: dict[str, Any] | None = None, **values: Any) -> None:
        """A command on what is picked, by default on what the last step left selected."""
        selected = self.saved.selected or {}
        chosen = picked if picked is not None else {"kind": selected["kind"], "ids": selected["ids"]}
        self.give(kind, piece=self.saved.design.pieces[-1].id, picked=chosen, **values)
