"""Which files were handed over, and of what: noted as they are begun and fetched, so that a sheet can name them."""

from __future__ import annotations

import hashlib
import json
import logging
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import datetime
from pathlib import PurePath
from typing import Any

from zinc_otter.api.room import Room
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.sheet.files import Written
from zinc_otter.store.made_files import NOTES

_KEPT = 200
"""Notes of a design; those that are older are forgotten."""


@dataclass(frozen=True)
class WhatFor:
    """What a file holds: ``recipes`` as a ``kind``, told in a ``unit``, by triangles of a ``tolerance`` (mm) and ``angle``
    (degrees), or with no tolerance as patches; by how many per cent it is ``larger``."""

    recipes: tuple[Recipe, ...]
    kind: str
    unit: str = "mm"
    tolerance: float | None = None
    angle: float = 180.0
    larger: float = 0.0


def begun(room: Room, design_id: str, key: str, what: WhatFor) -> None:
    """Note what the file of this key will hold; one that was handed over before stays so."""
    _put(room, design_id, key, {**_noted(room, key), **_facts(what)})


def fetched(room: Room, key: str, name: str) -> None:
    """Note under which name the file of this key was handed over."""
    try:
        facts = _noted(room, key)
        if facts:
            room.made.path(_name_of(key)).write_text(json.dumps({**facts, "name": name, "at": _now()}), "utf-8")
            return
    except OSError:
        pass
    # A file is handed over whether or not that can be noted.
    logging.getLogger("zinc_otter").warning("that %s was handed over is not noted", name)


def handed(room: Room, design_id: str, name: str, what: WhatFor) -> None:
    """Note a file that was made and handed over at once."""
    facts = _facts(what)
    key = hashlib.sha256(json.dumps([name, facts]).encode()).hexdigest()[:32]
    _put(room, design_id, key, {**facts, "name": name, "at": _now()})


def written_of(room: Room, design_id: str, recipes: Iterable[Recipe]) -> tuple[Written, ...]:
    """The files that hold nothing but what these recipes make, as they are now; the latest first."""
    present = {recipe.digest for recipe in recipes}
    found = []
    for path in room.made.of(design_id, NOTES):
        facts = _noted(room, PurePath(path).stem)
        if "name" in facts and facts["of"] and set(facts["of"]) <= present:
            found.append(
                Written(facts["name"], facts["kind"], facts["unit"], facts["tolerance"], facts["angle"], facts["larger"],
                        facts["at"])
            )  # fmt: skip
    return tuple(sorted(found, key=lambda one: one.at, reverse=True))


def _facts(what: WhatFor) -> dict[str, Any]:
    return {
        "of": [recipe.digest for recipe in what.recipes], "kind": what.kind, "unit": what.unit,
        "tolerance": what.tolerance, "angle": what.angle, "larger": what.larger,
    }  # fmt: skip


def _noted(room: Room, key: str) -> dict[str, Any]:
    """What is noted of the file of this key; nothing where that is nowhere, or broken."""
    try:
        facts: dict[str, Any] = json.loads(room.made.path(_name_of(key)).read_text("utf-8"))
    except (OSError, ValueError):
        return {}
    return facts


def _name_of(key: str) -> str:
    return f"{NOTES}/{key}.json"


def _put(room: Room, design_id: str, key: str, facts: dict[str, Any]) -> None:
    try:
        room.made.place(design_id, _name_of(key)).write_text(json.dumps(facts), "utf-8")
        room.made.sweep_folder(NOTES, _KEPT, design_id)
    except (CoreError, OSError) as error:
        logging.getLogger("zinc_otter").warning("a file is not noted: %s", error)


def _now() -> str:
    return datetime.now().strftime("%Y-%m-%d %H:%M")
