"""What a stroke costs with every sample at 250,000 points, with a brush that reaches 2,000 and 20,000; levels; a step on
disk.

Ratios to a plain evaluation of the same surface in the same run. The aims are 12 and 33 ms a frame.
"""

from __future__ import annotations

import time

import numpy as np

from bench.timing import best
from zinc_otter.api.live.packing import pack
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.schemas import PieceState
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.relief.levels import finer
from zinc_otter.core.relief.relief import at_level, memory_of, point_counts
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.store.documents import blob_hashes, to_document
from zinc_otter.studio.commands.sculpt import Sculpt
from zinc_otter.studio.design import Design

_LEVEL = 5


def sheet(count: int) -> Cage:
    at = np.linspace(-50, 50, count + 1)
    points = np.array([(x, y, 0.0) for y in at for x in at])
    n = count + 1
    faces = [[j * n + i, j * n + i + 1, (j + 1) * n + i + 1, (j + 1) * n + i] for j in range(count) for i in range(count)]
    return Cage.from_faces(points, faces)


def stroke(radius: float, samples: int, brush: str) -> Sculpt:
    way = [[-20 + 0.1 * radius * k, 3 * np.sin(k / 3), 0, 1] for k in range(samples)]
    return Sculpt(
        piece="p1",
        brush=brush,
        level=_LEVEL,
        radius=radius,
        height=1,
        towards=(0, 0, 1),
        way=[float(x) for w in way for x in w],
    )


def samples_cost(radius: float, brush: str, plain: float, aim: float) -> None:
    # On rough ground: where nothing stands up there is nothing to smooth.
    relief = at_level(None, sheet(16).topology, _LEVEL)
    rough = np.random.default_rng(1).normal(scale=0.02, size=(point_counts(sheet(16).topology, _LEVEL)[-1], 3))
    design, _ = Design().with_new_piece("Sheet", sheet(16).with_relief(relief.with_detail(_LEVEL, rough.astype(np.float32))))
    view = LiveView(StencilShelf())
    view.frame(design)
    took, sent = [], []
    for samples in range(1, 31):
        command = stroke(radius, samples, brush)
        begin = time.perf_counter()
        done = command.apply(design).design
        frame = view.frame(done)
        PieceState.of(done, done.pieces[0])
        data = pack(frame)
        took.append(time.perf_counter() - begin)
        sent.append(len(data))
    usual = float(np.median(took[1:]))
    note = "" if usual < aim else f"   over {1e3 * aim:.0f} ms"
    reach = int(np.pi * radius**2 / (100 / 16 / 2**_LEVEL) ** 2)
    print(
        f"stroke {brush:7} {reach:6,} of 263,169: {1e3 * usual:6.1f} ms each, {usual / plain:5.2f} x evaluating plain;"
        f" first {1e3 * took[0]:6.0f} ms; {np.median(sent) / 1e3:6.1f} kB{note}"
    )
    if brush == "draw":
        before, _ = to_document(design)
        after, blobs = to_document(done)
        fresh = sum(len(blobs[digest]) for digest in blob_hashes(after) - blob_hashes(before))
        print(f"  a step of that stroke on disk: {fresh / 1e3:.0f} kB")


def main() -> None:
    cage = sheet(16)
    stencils = build_stencils(cage, _LEVEL)
    plain = best(lambda: evaluate(stencils, cage), 3)
    for radius, aim in ((5.0, 0.012), (15.5, 0.033)):
        for brush in ("draw", "smooth", "scrape"):
            samples_cost(radius, brush, plain, aim)
    fine = sheet(32)
    for _ in range(4):
        fine = finer(fine)
    once = best(lambda: finer(fine), 3)
    points = point_counts(fine.topology, 5)[-1]
    print(
        f"a level up to {points:,} points: {1e3 * once:.1f} ms, {memory_of(points) / 1e6:.0f} MB of detail, 12 bytes a point"
    )
    whole = best(lambda: build_stencils(fine, 5), 1)
    print(f"  its surface built once: {whole:.1f} s")


if __name__ == "__main__":
    main()
