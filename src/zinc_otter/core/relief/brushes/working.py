"""Brushes that work at what is there: each touch takes a share of what is left."""

from __future__ import annotations

from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.brushes.base import Brush, Dab

_GIVES_BACK = 0.02
"""Of the relief a full touch of smoothing takes away besides evening it, so that it ends at the plain surface."""


class Smooth(Brush):
    """Evens the relief, not the form; its opposite makes it stand out."""

    kind: Literal["smooth"] = "smooth"
    measure = "share"
    mode = "works"
    done: ClassVar[str] = "Smoothed"
    undone: ClassVar[str] = "Brought out"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        risen = dab.points - dab.plain
        evened = (1 - _GIVES_BACK) * dab.mean()
        # Brought out by less, for this way round unevenness grows with every touch.
        share = dab.amount if dab.amount > 0 else 0.25 * dab.amount
        return share * dab.weights[:, None] * (evened - risen)


class Pinch(Brush):
    """Draws points together within the surface; its opposite spreads them."""

    kind: Literal["pinch"] = "pinch"
    measure = "share"
    mode = "works"
    done: ClassVar[str] = "Pinched"
    undone: ClassVar[str] = "Spread"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        # At full strength a point comes half of the way, so that none passes another.
        share = 0.5 * dab.amount if dab.amount > 0 else 0.25 * dab.amount
        return share * dab.weights[:, None] * dab.tangential(dab.centre - dab.points)


class Flatten(Brush):
    """Towards the mean plane under the brush; its opposite away from it."""

    kind: Literal["flatten"] = "flatten"
    measure = "share"
    mode = "works"
    done: ClassVar[str] = "Flattened"
    undone: ClassVar[str] = "Deepened"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        share = dab.amount if dab.amount > 0 else 0.25 * dab.amount
        return -share * dab.weights[:, None] * dab.along_normal * dab.normal


class Scrape(Brush):
    """Takes off what stands above the mean plane; its opposite fills what lies below."""

    kind: Literal["scrape"] = "scrape"
    measure = "share"
    mode = "works"
    done: ClassVar[str] = "Scraped"
    undone: ClassVar[str] = "Filled up"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        height = dab.along_normal
        over = np.maximum(height, 0) if dab.amount > 0 else np.minimum(height, 0)
        return -abs(dab.amount) * dab.weights[:, None] * over * dab.normal


class Erase(Brush):
    """Back to the plain surface."""

    kind: Literal["erase"] = "erase"
    measure = "share"
    mode = "works"
    done: ClassVar[str] = "Wiped off"
    undone: ClassVar[str] = "Wiped off"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        return abs(dab.amount) * dab.weights[:, None] * (dab.plain - dab.points)


class Mask(Brush):
    """Protects from all brushes; its opposite frees."""

    kind: Literal["mask"] = "mask"
    measure = "share"
    mode = "masks"
    done: ClassVar[str] = "Masked"
    undone: ClassVar[str] = "Unmasked"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        return dab.amount * dab.weights[:, None]
