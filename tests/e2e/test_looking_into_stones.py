"""What the viewport shows within a faceted stone, beside rays that are followed through it here.

Source of the laws: M. Born, E. Wolf, "Principles of Optics", 7th ed. 1999, sections 1.5.1 (refraction) and 1.5.2 (Fresnel's
formulas). That a flat stone of a low index lets one look through its middle ("windowing"), where one of diamond throws light
back to the eye: R. Webster, "Gems", 5th ed. 1994, on the brilliant's angles.
"""

from __future__ import annotations

import io
from typing import Any

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from tests.e2e.case import BrowserCase
from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
from zinc_otter.core.stone.materials import stone_material

Floats = NDArray[np.float64]
CUT = RoundBrilliant(6.0)


def bent(ways: Floats, normals: Floats, ratio: float) -> tuple[Floats, NDArray[np.bool_]]:
    """Directions (n, 3) behind faces whose normals look against them, and which pass at all: Snell's law."""
    cosine = -(ways * normals).sum(axis=1)
    below = 1 - ratio**2 * (1 - cosine**2)
    out = ratio * ways + (ratio * cosine - np.sqrt(np.maximum(below, 0)))[:, None] * normals
    return out, below > 0


def passed(cosine: Floats, from_: float, to: float) -> Floats:
    """The share (n,) of light without polarisation that passes: Fresnel's formulas."""
    behind = np.sqrt(np.maximum(1 - (from_ / to) ** 2 * (1 - cosine**2), 0))
    s = (from_ * cosine - to * behind) / (from_ * cosine + to * behind)
    p = (to * cosine - from_ * behind) / (to * cosine + from_ * behind)
    return np.where(behind > 0, 1 - (s**2 + p**2) / 2, 0)


def light_from_above(places: Floats, index: float, light: Any, tint: Floats) -> Floats:
    """What an eye straight above sees (n,) of ``light`` (of directions) at places (n, 2) on the table, the mean of three
    colours; within the stone they take on its ``tint`` (3,) over 2.6 of its heights, as the viewport has it."""
    normals, offsets = CUT.gem.normals, (CUT.gem.normals * CUT.gem.points[[loop[0] for loop in CUT.gem.facets]]).sum(axis=1)
    at = np.column_stack([places, np.full(len(places), CUT.gem.height[1])])
    ways = np.tile([0.0, 0.0, -1.0], (len(places), 1))
    share = passed(np.ones(len(places)), 1, index)[:, None] * np.ones(3)
    seen = np.repeat((1 - passed(np.ones(1), 1, index)) * light(np.array([[0.0, 0.0, 1.0]])), len(places))
    deep = 2.6 * np.subtract(*CUT.gem.height[::-1])
    for _ in range(7):
        towards = ways @ normals.T
        far = np.where(towards > 1e-6, (offsets - at @ normals.T) / np.where(towards > 1e-6, towards, 1), np.inf)
        facet = np.argmin(np.maximum(far, 0), axis=1)
        rows = np.arange(len(at))
        way = np.maximum(far[rows, facet], 0)
        at = at + way[:, None] * ways
        share = share * tint ** (way / deep)[:, None]
        normal, cosine = normals[facet], towards[rows, facet]
        out, passes = bent(ways, -normal, index)
        through = passed(cosine, index, 1)
        seen += np.where(passes, share.mean(axis=1) * through * light(out), 0)
        share = share * (1 - through)[:, None]
        ways = ways - 2 * cosine[:, None] * normal
    return seen


class LookingIn(BrowserCase):
    own_page = True  # Drawn with all its pixels.

    def brightness(self, material: str) -> tuple[Floats, Floats]:
        """Places (n, 2) on the table in mm, and how bright (n,) they are on the screen, in linear light."""
        stone = {"kind": "round", "width": CUT.width}
        self.begin_with(
            {"kind": "add-box", "size": [30, 30, 2], "counts": [2, 2, 1], "size_of": "cage"},
            # On its culet in the air, its girdle 5 mm above the box.
            {"kind": "lay-stones", "host": "p1", "cut": stone, "material": material, "points": [[0, 0, 1]], "sink": -5},
        )
        screen = self.screen
        self.page.get_by_label("Top view").click()
        screen.settled()
        if self.page.get_by_role("button", name="Perspective", exact=True).count():
            screen.press("0")
        self.page.mouse.move(*screen.at((0, 0, 5)))
        self.page.mouse.wheel(0, -720)
        screen.settled()
        # The pointer marks what lies under it.
        self.page.mouse.move(*screen.at((0, 9, 1)))
        screen.settled()
        reach = 0.9 * CUT.table / 100 * CUT.width / 2
        steps = np.linspace(-reach, reach, 61)
        places = np.stack(np.meshgrid(steps, steps), axis=-1).reshape(-1, 2)
        places = places[np.hypot(*places.T) < reach]
        at = screen.project(np.column_stack([places, np.full(len(places), 5.0)])).astype(int)
        picture = np.asarray(Image.open(io.BytesIO(self.page.screenshot())).convert("RGB"), dtype=float) / 255
        return places, (picture[at[:, 1], at[:, 0]] ** 2.2).mean(axis=1)

    def test_it_is_as_bright_where_its_facets_send_light_to_the_eye(self) -> None:
        def tent(out: Floats) -> Floats:
            """About as the tent is: light from the screen's top, more from the zenith, and the eye's own head."""
            up = out[:, 1]
            return np.where(up < 0, 0.3, 0.34 + 0.5 * np.maximum(up, 0) + 1.1 * (up > 0.91)) * (out[:, 2] < 0.96)

        found = {}
        for material, index in (("diamond", 2.417), ("topaz", 1.62), ("sapphire", 1.766)):
            places, bright = self.brightness(material)
            hexed = stone_material(material).tint
            tint = (np.array([int(hexed[k : k + 2], 16) for k in (1, 3, 5)]) / 255) ** 2.2
            expected = light_from_above(places, index, tent, tint)
            found[material] = np.corrcoef(bright, expected)[0, 1]
            self.assertLess(abs(bright.mean() / expected.mean() - 1), 0.2, material)
        self.assertGreater(min(found.values()), 0.5, found)
