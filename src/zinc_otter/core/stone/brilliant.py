"""How brilliants of any outline are cut: table, stars, mains and halves, each facet a plane."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.gem import Gem, cut_by, level, through, tilted, walls
from zinc_otter.core.stone.outlines import Outline

_EACH = 6
"""Sides of the girdle from a main facet to where the halves meet."""


def brilliant(
    outline: Outline,
    width: float,
    table: float,
    crown: float,
    pavilion: float,
    girdle: float,
    star: float,
    lower: float,
    culet: float,
) -> Gem:
    """A brilliant; shares are of the ``width`` in mm, ``crown`` and ``pavilion`` degrees across it.

    ``girdle`` is its thickness at the mains; between them the girdle is thinner, as the halves are straight and the outline
    is not. ``star`` is how far the stars reach from the table to the girdle, ``lower`` how far the lower halves do from the
    girdle to the culet. Across other directions the mains are as steep as one height of crown and pavilion asks for.
    """
    m = outline.mains
    t = np.arange(m) / m
    at, out = outline.points(t), outline.normals(t)
    between = outline.points((np.arange(m) + 0.5) / m)
    half = girdle * width / 2
    # The side of the mains at the width, where the asked angles hold.
    reach = width / 2
    rise, fall = (1 - table) * reach * np.tan(np.radians(crown)), reach * np.tan(np.radians(pavilion))
    away = (out * at).sum(axis=1)
    top = half + rise
    planes = [level(top, up=True)]
    if culet > 0:
        planes.append(level(-half - fall * (1 - culet), up=False))
    mains = [
        tilted(n, np.degrees(np.arctan2(rise, (1 - table) * d)), [*p, half]) for p, n, d in zip(at, out, away, strict=True)
    ]
    unders = [tilted(n, -np.degrees(np.arctan2(fall, d)), [*p, -half]) for p, n, d in zip(at, out, away, strict=True)]
    planes += mains + unders
    for k in range(m):
        j = (k + 1) % m
        far = float(np.linalg.norm(between[k]))
        way = between[k] / far
        one, other = np.append(table * at[k], top), np.append(table * at[j], top)
        edge = _crossed(one[:2], other[:2], way)
        tip = _on_both(mains[k], mains[j], way, edge + star * (far - edge))
        if tip[2] >= top:
            raise BadNumberError(
                "The stars of such a stone would not reach down from its table: make them longer, or the table smaller."
            )
        low = _on_both(unders[k], unders[j], way, (1 - lower) * far)
        planes.append(through(one, other, tip))
        for corner in (at[k], at[j]):
            planes.append(through(tip, [*corner, half], [*between[k], half]))
            planes.append(through(low, [*corner, -half], [*between[k], -half]))
    rim = outline.polygon(_EACH)
    return cut_by(np.vstack([np.array(planes), walls(rim)]), rim, 2 * half)


def _crossed(a: Floats, b: Floats, way: Floats) -> float:
    """How far from the origin a ray crosses the line from a to b."""
    along = b - a
    return float((a[0] * along[1] - a[1] * along[0]) / (way[0] * along[1] - way[1] * along[0]))


def _on_both(one: Floats, other: Floats, way: Floats, far: float) -> Floats:
    """The point of two planes that lies ``far`` along a level ``way``."""
    rows = np.array([one[:3], other[:3], [way[0], way[1], 0.0]])
    return np.asarray(np.linalg.solve(rows, [-one[3], -other[3], far]))
