"""What a pull costs the server where 200 brilliants lie along a curve, or on a band: places, gaps and metal told.

Ratios to building and evaluating the band's cage afresh. The aim is 33 ms.
"""

from __future__ import annotations

from itertools import count
from typing import Any

from bench.timing import best
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.live.packing import pack
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.api.stones import told_stones
from zinc_otter.core.stone.spacing import spacing
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design

COUNT, LEVEL, AIM = 200, 2, 0.033
STONE = {"kind": "round", "width": 1.5}


def given(*commands: dict[str, Any]) -> Design:
    design = Design()
    for command in commands:
        design = read_command(command).apply(design).design
    return design


def along_a_curve() -> Design:
    return given(
        {"kind": "add-curve", "shape": "circle", "diameter": 110, "count": 32},
        {"kind": "lay-stones", "curve": "p1", "way": "curve", "cut": STONE, "count": COUNT},
    )


def on_a_band() -> Design:
    return given(
        {"kind": "add-torus", "ring": 100, "section": 10, "counts": [48, 12], "size_of": "surface"},
        {"kind": "lay-stones", "host": "p1", "way": "round", "points": [[55, 0, 0]], "cut": STONE, "count": COUNT},
    )


def main() -> None:
    band = on_a_band()
    cage = band.piece("p1").cage
    afresh = best(lambda: evaluate(build_stencils(cage, LEVEL), cage))
    print(f"{COUNT} brilliants; {1e3 * afresh:.1f} ms to build a band of {cage.topology.face_count} faces afresh")
    for name, design in (("along a curve", along_a_curve()), ("on a band", band)):
        shelf = StencilShelf()
        view, gaps, steps = LiveView(shelf), Gaps(shelf), count(1)
        view.smooth_to(LEVEL)
        view.frame(design)
        stones = [(stone.gem, motions) for stone, motions in design.piece("p2").form.stones]  # type: ignore[union-attr]

        def pulled(design: Design = design, steps: Any = steps) -> Design:
            picked = {"kind": "vertex", "ids": [3]}
            shift = [0, 0, 0.01 * next(steps)]
            return read_command({"kind": "move", "piece": "p1", "picked": picked, "vector": shift}).apply(design).design

        def frame(pulled: Any = pulled, view: LiveView = view, gaps: Gaps = gaps) -> None:
            after = pulled()
            pack({"frame": view.frame(after), "stones": told_stones(after, gaps, settled=False)})

        alone = best(lambda: spacing(stones, False))  # noqa: B023
        for what, time in (("laid anew", best(pulled)), ("gaps alone", alone), ("the whole frame", best(frame))):
            note = "" if time < AIM else "   over 33 ms"
            print(f"       {name:14} {what:18} {1e3 * time:7.1f} ms   {time / afresh:5.2f} x{note}")


if __name__ == "__main__":
    main()
