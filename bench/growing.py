"""What a pull of one point of a curve costs the server where a pipe grows from it and is repeated, gaps and all.

A wire of 32 points, 8 faces round, 16 copies; ratios to building and evaluating its cage afresh. The aim is 33 ms.
"""

from __future__ import annotations

from itertools import count

import numpy as np

from bench.timing import best
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.live.packing import pack
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design

LEVEL, AIM = 2, 0.033


def wire(points: int = 32, copies: int = 16) -> Design:
    t = np.linspace(0, 1, points)
    line = np.column_stack([30 + 3 * np.sin(9 * t), 9 * t - 4.5, 8 * np.sin(4 * t)])
    design = Design()
    for command in (
        {"kind": "draw-curve", "points": line.tolist()},
        {"kind": "grow", "growth": {"kind": "pipe", "source": "p1", "diameter": 1, "each": 2}},
        {"kind": "grow", "growth": {"kind": "repeat", "originals": ["p2"], "count": copies}},
    ):
        design = read_command(command).apply(design).design
    return design


def main() -> None:
    design = wire()
    cage = design.piece("p2").cage
    afresh = best(lambda: evaluate(build_stencils(cage, LEVEL), cage))
    shelf = StencilShelf()
    view, gaps = LiveView(shelf), Gaps(shelf)
    view.smooth_to(LEVEL)
    view.frame(design)
    steps = count(1)

    def pulled() -> Design:
        shift = [0, 0, 0.01 * next(steps)]
        picked = {"kind": "vertex", "ids": [12]}
        return read_command({"kind": "move", "piece": "p1", "picked": picked, "vector": shift}).apply(design).design

    def frame() -> None:
        after = pulled()
        pack({"frame": view.frame(after), "gaps": gaps.of(after, settled=False)})

    grown, alone, whole = best(pulled), best(lambda: gaps.of(pulled(), False)), best(frame)
    faces = cage.topology.face_count
    print(f"One of 32 points pulled, {faces} faces of pipe, 16 copies: {1e3 * afresh:.1f} ms to build afresh")
    for name, time in (("grown anew", grown), ("with gaps told", alone), ("the whole frame", whole)):
        print(f"       {name:20} {1e3 * time:7.1f} ms   {time / afresh:5.2f} x" + ("" if time < AIM else "   over 33 ms"))


if __name__ == "__main__":
    main()
