"""Measure and write docs/refine.md: how a loop sharpens an end, and how well a form holds when one is added."""

from __future__ import annotations

import tempfile
from pathlib import Path

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.add_loop import add_loops
from zinc_otter.core.cage.picking.loops import edge_ring
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.holding import add_holding_loops
from zinc_otter.core.holding.refit import around, span_of, strays_from
from zinc_otter.core.primitives import cylinder
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.curves import section_curves, tightest_of
from zinc_otter.core.surface.nearest import NearestOnSurface
from zinc_otter.demo import put_in_demo
from zinc_otter.store import Store
from zinc_otter.studio.studio import Studio

TARGET = Path(__file__).parents[1] / "docs" / "refine.md"
SHARES = (0.25, 0.5, 0.7, 0.8, 0.9, 0.95)

HEAD = """# Refine: what the verbs do to a form

![Each verb before and after, drawn by the program from its own commands](screenshots/verbs.png)

Written by `make tables`; the sheet above is drawn by `make shots`, by the same commands that the interface gives.
"""


def main() -> None:
    TARGET.write_text("\n".join([HEAD, *sharpening(), "", *holding(), ""]), encoding="utf-8")
    print(TARGET.name)


def sharpening() -> list[str]:
    """The least radius of curvature of a section along a closed tube, as a loop is drawn to its end."""
    tube = cylinder((24, 60), (16, 4), "both")
    middles = middles_of(tube, "edge")
    ends = np.ptp(tube.positions[tube.topology.edge_verts], axis=1)
    rung = int(np.flatnonzero((ends[:, 2] > 10) & (middles[:, 2] > 20))[0])
    lines = [
        "## A loop sharpens",
        "",
        "A tube of 24 by 60 mm, closed at both ends, 16 faces round and 4 along (rings 15 mm apart). A loop pulled tight is",
        "added to the last ring and drawn to the end. The smallest radius of curvature there, of a section along the axis:",
        "",
        "| loop | from the end, mm | smallest radius, mm |",
        "|---|---:|---:|",
        f"| none | 15.00 | {_rim_radius(tube):.2f} |",
    ]
    for share in SHARES:
        done = add_loops(tube, Selection.of("edge", [rung]), shares=(share,))
        lines.append(f"| at {100 * share:.0f} % | {15 * (1 - share):.2f} | {_rim_radius(done.cage):.2f} |")
    return lines


def _rim_radius(cage: Cage) -> float:
    surface = evaluate(build_stencils(cage, 5), cage)
    # A little off the middle, where the cap's own lines do not meet.
    curves = section_curves(surface, plane_at((0, 0.4, 0), (0, 1, 0)), 2000)
    found = tightest_of(curves)
    assert found is not None
    upper = found.points[:, 2] > 15
    return float(1 / np.linalg.norm(found.bending[upper], axis=1).max())


def holding() -> list[str]:
    lines = [
        "## A form held",
        "",
        "A loop added half-way across each ring of each demo design, one at a time. *Pull tight* lets the surface follow",
        "the cage; *hold form* refits what lies near. The largest distance between the surface before and after, over all",
        "rings and for half of them, as a share of the piece's size:",
        "",
        "| design, piece | rings | size, mm | pull tight, worst | hold form, half of them | hold form, worst |",
        "|---|---:|---:|---:|---:|---:|",
    ]
    with tempfile.TemporaryDirectory() as folder:
        store = Store(Path(folder) / "demo.sqlite")
        put_in_demo(store, Studio(store))
        for facts in store.designs():
            for piece in store.load(facts.id).design.pieces:
                if piece.original is None and piece.grown is None and isinstance(piece.form, Cage):
                    lines.append(_row(f"{facts.name}, {piece.name}", piece.cage))
        store.close()
    return lines


def _row(name: str, cage: Cage) -> str:
    span = span_of(cage)
    old = NearestOnSurface(cage)
    tight, held = [], []
    left = np.ones(cage.topology.edge_count, dtype=bool)
    while left.any():
        edge = int(np.flatnonzero(left)[0])
        left[edge_ring(cage.topology, edge)] = False
        picked = Selection.of("edge", [edge])
        pulled = add_loops(cage, picked)
        tight.append(strays_from(pulled.cage, old, around(pulled.cage.topology, pulled.new_verts, 2)) / span)
        held.append(add_holding_loops(cage, picked).deviation / span)
    return (
        f"| {name} | {len(held)} | {span:.0f} | {100 * max(tight):.2f} % | {100 * float(np.median(held)):.3f} % "
        f"| {100 * max(held):.3f} % |"
    )


if __name__ == "__main__":
    main()
