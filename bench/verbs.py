"""What a preview of each verb costs the server on cages of about 500 and 2,000 faces, shown at level 2.

A preview is the command applied and the frame built: refinement and evaluation of the new cage are in it. Figures are ratios
to building and evaluating the same cage afresh; the aim is under 100 ms at 500 faces.
"""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

import numpy as np

from bench.timing import best
from zinc_otter.api.live.packing import pack
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.primitives import box
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design, Piece

LEVEL, AIM = 2, 0.100


def shaken(cage: Cage) -> Cage:
    noise = np.random.default_rng(2).uniform(-0.15, 0.15, cage.positions.shape)
    return cage.with_positions(cage.positions + noise)


def begun(count: int) -> Design:
    """A closed box, one mirrored, and an open one, of ``count`` faces along each edge."""
    solid = shaken(box((40, 40, 40), (count,) * 3))
    design = Design((Piece("p1", "Form", solid), Piece("p2", "Mirrored", solid), Piece("p3", "Open", solid)), 4)
    top = {"kind": "face", "ids": where(solid, lambda m: m[:, 2] > 19)}
    for command in ({"kind": "delete", "piece": "p3", "picked": top}, {"kind": "mirror", "piece": "p2", "tolerance": 1}):
        design = read_command(command).apply(design).design
    return design


def where(cage: Cage, test: Callable[[np.ndarray], np.ndarray], kind: str = "face") -> list[int]:
    return [int(i) for i in np.flatnonzero(test(middles_of(cage, kind)))]  # type: ignore[arg-type]


def previews(design: Design) -> dict[str, dict[str, Any]]:
    """For each verb a command on a patch of the form, or on all of it where that is what it takes."""
    cage, mirrored, opened = (piece.cage for piece in design.pieces)
    t = cage.topology
    patch = {"kind": "face", "ids": where(cage, lambda m: (m[:, 2] > 19) & (np.abs(m[:, :2]).max(axis=1) < 12))}
    half = {"kind": "face", "ids": where(mirrored, lambda m: (m[:, 2] > 19) & (m[:, 0] > 0) & (m[:, 0] < 12))}
    ends = {"kind": "face", "ids": where(cage, lambda m: (np.abs(m[:, 2]) > 19) & (np.abs(m[:, :2]).max(axis=1) < 8))}
    rim = {"kind": "edge", "ids": [int(edge) for edge in opened.topology.open_edges]}
    vertex = {"kind": "vertex", "ids": [int(np.argmax(cage.positions @ [0.1, 0.2, 1]))]}
    pair = {"kind": "vertex", "ids": [int(v) for v in t.edge_verts[where(cage, lambda m: m[:, 2] > 19, "edge")[40]]]}
    everything = {"kind": "face", "ids": list(range(t.face_count))}
    whole = {"kind": "piece", "ids": [0]}
    reach = {"reach": {"radius": 15}}
    return {
        "move a vertex that reaches": {"kind": "move", "piece": "p1", "picked": vertex, "vector": [0, 0, 2], **reach},
        "push a patch": {"kind": "move-each", "piece": "p1", "picked": patch, "distance": 1},
        "extrude, even wall": {"kind": "extrude", "piece": "p1", "picked": patch, "distance": 2, "way": "even"},
        "extrude, mirrored": {"kind": "extrude", "piece": "p2", "picked": half, "distance": 2, "way": "even"},
        "extrude each, 3 segments": {
            "kind": "extrude", "piece": "p1", "picked": patch, "distance": 2, "way": "each", "segments": 3,
        },
        "extrude a border": {"kind": "extrude", "piece": "p3", "picked": rim, "distance": 2},
        "inset a patch": {"kind": "inset", "piece": "p1", "picked": patch, "width": 0.3},
        "inset each face of all": {"kind": "inset", "piece": "p1", "picked": everything, "width": 0.2, "apart": True},
        "bridge, 4 segments": {"kind": "bridge", "piece": "p1", "picked": ends, "segments": 4, "strength": 1},
        "weld two": {"kind": "weld", "piece": "p1", "picked": pair},
        "fill": {"kind": "fill", "piece": "p3", "picked": rim},
        "heal": {"kind": "heal", "piece": "p1", "picked": pair},
        "detach": {"kind": "detach", "piece": "p1", "picked": patch},
        "flatten": {"kind": "flatten", "piece": "p1", "picked": patch},
        "circle": {"kind": "circle", "piece": "p1", "picked": patch},
        "flip": {"kind": "flip", "piece": "p1", "picked": patch},
        "mirror": {"kind": "mirror", "piece": "p1", "tolerance": 1},
        "thicken, with crossings": {"kind": "thicken", "piece": "p3", "picked": whole, "distance": 1},
        **refinements(cage, patch, everything, whole),
    }  # fmt: skip


def refinements(cage: Cage, patch: Any, everything: Any, whole: Any) -> dict[str, dict[str, Any]]:
    """The verbs that add control."""
    t = cage.topology
    ends = cage.positions[t.edge_verts]
    along = np.abs(ends[:, 0] - ends[:, 1])
    middle = ends.mean(axis=1)
    rungs = np.flatnonzero((middle[:, 2] > 19) & (along[:, 0] > 2) & (np.abs(middle[:, :2]) < 3).all(axis=1))
    rung = {"kind": "edge", "ids": [int(rungs[0])]}
    loop = {"kind": "edge", "ids": edge_loop(t, int(np.flatnonzero((middle[:, 2] > 19) & (along[:, 1] > 2))[3])).tolist()}
    rim = {"kind": "edge", "ids": np.flatnonzero((ends[:, :, 2] > 19).all(axis=1) & (np.abs(middle[:, 0]) > 19)).tolist()}
    return {
        "add loop, pulled tight": {"kind": "add-loop", "piece": "p1", "picked": rung},
        "add loop, form held": {"kind": "add-loop", "piece": "p1", "picked": rung, "form": "hold"},
        "remove a loop, form held": {"kind": "remove", "piece": "p1", "picked": loop, "form": "hold"},
        "split a patch, 3 by 2": {"kind": "split", "piece": "p1", "picked": patch, "along": 3, "across": 2},
        "knife through all": {"kind": "knife", "piece": "p1", "picked": whole, "point": [0, 0, 1], "normal": [0.2, 0.1, 1]},
        "chamfer, 3 faces, round": {
            "kind": "chamfer", "piece": "p1", "picked": rim, "distance": 0.6, "segments": 3, "profile": "round",
        },
        "slide a loop": {"kind": "slide", "piece": "p1", "picked": loop, "share": 0.4},
        "straighten a loop": {"kind": "straighten", "piece": "p1", "picked": loop},
        "space a loop evenly": {"kind": "space-evenly", "piece": "p1", "picked": loop},
        "relax all": {"kind": "relax", "piece": "p1", "picked": everything, "hold": False},
        "relax a patch, form held": {"kind": "relax", "piece": "p1", "picked": patch},
        "spin": {"kind": "spin", "piece": "p1", "picked": rung},
        "collapse": {"kind": "collapse", "piece": "p1", "picked": rung},
        "resample a side, form held": {
            "kind": "resample", "piece": "p1", "u": 18, "v": 18,
            "picked": {"kind": "face", "ids": np.flatnonzero(cage.face_normals[:, 2] > 0.7).tolist()},
        },
    }  # fmt: skip


def main() -> None:
    print(f"Previews of verbs, shown at level {LEVEL}")
    for count in (9, 18):
        design = begun(count)
        cage = design.pieces[0].cage
        base = best(lambda cage=cage: evaluate(build_stencils(cage, LEVEL), cage).normals)  # type: ignore[misc]
        print(f"{cage.topology.face_count:6} faces; built and evaluated in {1e3 * base:.1f} ms")
        over = []
        for name, given in previews(design).items():
            command = read_command(given)
            took = one_preview(command, design)
            print(f"       {name:28} {1e3 * took:7.1f} ms   {took / base:6.2f} x")
            if took > AIM:
                over.append(name)
        if over:
            print(f"       over {1e3 * AIM:.0f} ms: {', '.join(over)}")


def one_preview(command: Any, design: Design) -> float:
    """The command and the frame of what it leads to, each time with nothing built before."""
    times = []
    for _ in range(5):
        view = LiveView(StencilShelf())
        view.smooth_to(LEVEL)
        view.frame(design)
        times.append(best(lambda view=view: pack(view.frame(command.apply(design).design)), 1))  # type: ignore[misc]
    return min(times)


if __name__ == "__main__":
    main()
