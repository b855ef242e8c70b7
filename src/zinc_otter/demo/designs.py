"""Put the demo designs into an empty store."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Protocol

from zinc_otter.demo.fishing_float import fishing_float
from zinc_otter.demo.ford_ring import ford_ring
from zinc_otter.demo.hand import Assets, Hand
from zinc_otter.demo.hand_bailer import hand_bailer
from zinc_otter.demo.paddle_grip import paddle_grip
from zinc_otter.demo.pebble_pendant import pebble_pendant
from zinc_otter.demo.ripple_bangle import ripple_bangle
from zinc_otter.demo.rippled_cup import rippled_cup
from zinc_otter.demo.scoop import scoop
from zinc_otter.demo.set_bangle import set_bangle
from zinc_otter.demo.shade_of_reeds import shade_of_reeds
from zinc_otter.demo.tide_lantern import tide_lantern
from zinc_otter.demo.tiller_knob import tiller_knob
from zinc_otter.demo.toggle import toggle
from zinc_otter.studio.shelf import Saved
from zinc_otter.studio.studio import Studio

# The first is the one to begin with: the list shows the one changed last first, so it is built last.
DEMOS: tuple[tuple[str, Callable[[Hand], None]], ...] = (
    ("Paddle grip", paddle_grip),
    ("Tide lantern", tide_lantern),
    ("Hand bailer", hand_bailer),
    ("Dry-bag toggle", toggle),
    ("Bailing scoop", scoop),
    ("Ripple bangle", ripple_bangle),
    ("Fishing float", fishing_float),
    ("Shade of reeds", shade_of_reeds),
    ("Pebble pendant", pebble_pendant),
    ("Ford ring", ford_ring),
    ("Ripple bangle, set", set_bangle),
    ("Tiller knob", tiller_knob),
    ("Rippled cup", rippled_cup),
)


class Library(Assets, Protocol):
    """The part of the store that is needed here."""

    def designs(self) -> list[Any]: ...

    def create(self, name: str, unit: Any) -> Saved: ...


def put_in_demo(library: Library, studio: Studio) -> None:
    """Build the demo designs, unless there are designs already."""
    if library.designs():
        return
    for name, build in reversed(DEMOS):
        build(Hand(studio, library.create(name, "mm"), library))
