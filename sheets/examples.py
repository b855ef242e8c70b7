"""One example of each verb: a form before, what is picked on it, and the command."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

import numpy as np

from zinc_otter.core.cage.selection import middles_of
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design

Given = dict[str, Any]
Test = Callable[[np.ndarray, np.ndarray, np.ndarray], np.ndarray]


@dataclass(frozen=True)
class Example:
    """A verb by its name: the commands that lead up to it, what is picked, and what is done."""

    name: str
    before: list[Given]
    kind: str = "face"
    where: Test = lambda x, y, z: x > -1e9
    command: Given = field(default_factory=dict)

    def shown(self) -> tuple[Design, Given, Design]:
        """The design before, what is picked, and the design after."""
        design = Design()
        for given in self.before:
            design = read_command(given).apply(design).design
        picked: Given = {"kind": "piece", "ids": [0]}
        if self.kind != "piece":
            middles = middles_of(design.pieces[0].cage, self.kind)  # type: ignore[arg-type]
            picked = {"kind": self.kind, "ids": np.flatnonzero(self.where(*middles.T)).tolist()}
        command = read_command(_with(self.command, picked))
        return design, picked, command.apply(design).design


def _with(command: Given, picked: Given) -> Given:
    takes = {"piece": "p1", "picked": picked}
    if command["kind"] in ("mirror", "repeat-around"):
        takes.pop("picked")
    return {**takes, **command}


def box(*counts: int, size: tuple[float, float, float] = (40, 30, 20)) -> Given:
    return {"kind": "add-box", "name": "Form", "size": size, "counts": counts or (4, 3, 2), "size_of": "cage"}


def sheet(*counts: int) -> Given:
    return {"kind": "add-plane", "name": "Form", "size": [40, 30], "counts": counts or (5, 4)}


TUBE: Given = {
    "kind": "add-cylinder", "name": "Form", "diameter": 24, "height": 36, "counts": [10, 4], "caps": "open",
    "size_of": "cage",
}  # fmt: skip

COLUMN = box(2, 2, 8, size=(14, 14, 44))


def do(kind: str, before: list[Given], of: str, where: Test, **values: Any) -> Given:
    """A command on elements by the place of their middles, for leading up to an example."""
    shown = Example("", before, of, where, {"kind": kind, **values})
    _, picked, _ = shown.shown()
    return _with({"kind": kind, **values}, picked)


top: Test = lambda x, y, z: z > 9.9  # noqa: E731
patch: Test = lambda x, y, z: (z > 9.9) & (np.abs(x) < 11) & (np.abs(y) < 4)  # noqa: E731
ends: Test = lambda x, y, z: (z > 9.9) & (np.abs(np.abs(x) - 15) < 0.1) & (np.abs(y) < 1)  # noqa: E731
rung: Test = lambda x, y, z: (z > 9.9) & (np.abs(x - 15) < 0.1) & (np.abs(y - 5) < 0.1)  # noqa: E731
tube_rung: Test = lambda x, y, z: (np.abs(z - 13.5) < 0.1) & (y < -11)  # noqa: E731
tube_loop: Test = lambda x, y, z: np.abs(z - 9) < 0.1  # noqa: E731
rim: Test = lambda x, y, z: (z > 9.9) & ((np.abs(x) > 19.9) | (np.abs(y) > 14.9))  # noqa: E731
notch: Test = lambda x, y, z: (  # noqa: E731
    ((np.abs(np.abs(x) - 10) < 0.1) & (y > 7.6)) | ((np.abs(y - 7.5) < 0.1) & (np.abs(x) < 6))
)


def _opened() -> list[Given]:
    start = [box()]
    return [*start, do("delete", start, "face", lambda x, y, z: (z > 9) & (np.abs(y) < 4) & (np.abs(x) < 11))]


def _notched() -> list[Given]:
    start = [sheet(4, 4)]
    return [*start, do("delete", start, "face", lambda x, y, z: (np.abs(x) < 6) & (y > 6))]


def _beside(at: tuple[float, float]) -> Test:
    return lambda x, y, z: (np.abs(x - at[0]) < 0.1) & (np.abs(y - at[1]) < 0.1)


def _uneven() -> list[Given]:
    start = [sheet()]
    for at, vector in (((-4, 0), [3, 2, 0]), ((4, 7.5), [-3, -2, 0]), ((12, 0), [-3, 3, 0]), ((-12, -7.5), [3, 3, 0])):
        start.append(do("move", start, "vertex", _beside(at), vector=vector))
    return start


def _wavy() -> list[Given]:
    start: list[Given] = [TUBE]
    return [*start, do("move", start, "vertex", lambda x, y, z: (np.abs(z) < 0.1) & (x > 0), vector=[0, 0, 4])]


def _hump() -> list[Given]:
    start = [sheet(8, 6)]
    return [*start, do("move", start, "vertex", lambda x, y, z: (np.abs(x) < 1) & (np.abs(y) < 1), vector=[0, 0, 12],
                       reach={"radius": 20})]  # fmt: skip


def _creased() -> list[Given]:
    start = [box()]
    return [*start, do("crease", start, "edge", rim, sharpness=10)]


def _lopsided() -> list[Given]:
    start = [box()]
    return [*start, do("extrude", start, "face", lambda x, y, z: (z > 9.9) & (x > 9) & (np.abs(y) < 4), distance=12)]

EXAMPLES = [
    Example("Move, with reach", [sheet(8, 6)], "vertex", lambda x, y, z: (np.abs(x) < 1) & (np.abs(y) < 1),
            {"kind": "move", "vector": [0, 0, 12], "reach": {"radius": 20}}),
    Example("Turn", [box()], "face", lambda x, y, z: x > 19.9, {"kind": "turn", "axis": [0, 1, 0], "degrees": 35}),
    Example("Size", [box()], "face", lambda x, y, z: x > 19.9, {"kind": "size", "factors": [1, 0.4, 0.4]}),
    Example("Push", [box()], "face", patch, {"kind": "move-each", "distance": 6}),
    Example("Twist", [COLUMN], "piece", command={"kind": "twist", "axis": [0, 0, 1], "degrees": 120}),
    Example("Bend", [COLUMN], "piece", command={"kind": "bend", "axis": [0, 0, 1], "towards": [0, 1, 0], "degrees": 100}),
    Example("Taper", [COLUMN], "piece", command={"kind": "taper", "axis": [0, 0, 1], "factor": 0.35}),
    Example("Extrude", [box()], "face", patch, {"kind": "extrude", "distance": 10}),
    Example("Extrude, each face", [box()], "face", top, {"kind": "extrude", "distance": 6, "way": "each", "taper": 0.6}),
    Example("Inset", [box()], "face", top, {"kind": "inset", "width": 3, "depth": -4}),
    Example("Bridge", [box()], "face", ends, {"kind": "bridge", "segments": 5, "strength": 1.2}),
    Example("Thicken", [TUBE], "piece", command={"kind": "thicken", "distance": 4}),
    Example("Mirror", _lopsided(), "piece", command={"kind": "mirror"}),
    Example("Repeat around", [sheet()], "piece", command={"kind": "repeat-around", "way": "open", "sectors": 3,
                                                          "point": [-30, 0, 0]}),
    Example("Delete", [box()], "face", patch, {"kind": "delete"}),
    Example("Fill", _opened(), "edge", lambda x, y, z: (z > 9.9) & (np.abs(x) < 6) & (np.abs(np.abs(y) - 5) < 0.1),
            {"kind": "fill"}),
    Example("Zip", _notched(), "edge", notch, {"kind": "zip"}),
    Example("Weld", [box()], "vertex", lambda x, y, z: (z > 9.9) & (np.abs(x) < 11) & (np.abs(y - 5) < 0.1),
            {"kind": "weld"}),
    Example("Heal away", [box()], "edge", lambda x, y, z: (z > 9.9) & (np.abs(x) < 9) & (np.abs(y - 5) < 0.1),
            {"kind": "heal"}),
    Example("Detach", [box()], "face", lambda x, y, z: x > 19.9, {"kind": "detach"}),
    Example("Flatten", _hump(), "face", lambda x, y, z: np.hypot(x, y) < 10, {"kind": "flatten"}),
    Example("Line up", _uneven(), "vertex", lambda x, y, z: np.abs(y - 0) < 4, {"kind": "line-up", "along": [1, 0, 0]}),
    Example("Circle", [box()], "face", patch, {"kind": "circle", "radius": 9}),
    Example("Add loop, pulled tight", [TUBE], "edge", tube_rung, {"kind": "add-loop", "shares": [0.8]}),
    Example("Add loop, form held", [TUBE], "edge", tube_rung, {"kind": "add-loop", "shares": [0.8], "form": "hold"}),

               Example("Loops, ended in quads", [box(4, 4, 2)], "edge",
            lambda x, y, z: (z > 9.9) & (np.abs(x - 5) < 0.1) & (np.abs(y) < 8),
            {"kind": "add-loop", "shares": [0.33, 0.67], "span": "picked", "ends": "quads"}),
    Example("Remove, form held", [TUBE], "edge", lambda x, y, z: np.abs(z) < 0.1, {"kind": "remove", "form": "hold"}),
    Example("Split", [box()], "face", patch, {"kind": "split", "along": 3, "across": 2}),
    Example("Knife, one side kept", [box()], "piece", command={"kind": "knife", "point": [4, 0, 0], "normal": [-1, 0.5, 0.2],
                                                               "keep": "positive", "leave": "filled", "sharpness": 10}),
    Example("Chamfer, flat", [box()], "edge", rim, {"kind": "chamfer", "distance": 3}),
    Example("Chamfer, round", [box(1, 1, 1)], "edge", lambda x, y, z: x > -1e9,
            {"kind": "chamfer", "distance": 5, "segments": 4, "profile": "round"}),
    Example("Chamfer of vertices", [box()], "vertex", lambda x, y, z: (z > 9.9) & (np.abs(x) < 1) & (np.abs(y - 5) < 0.1),
            {"kind": "chamfer", "distance": 4}),
    Example("Crease", [box()], "edge", rim, {"kind": "crease", "sharpness": 10}),
    Example("Soften creases", _creased(), "piece", command={"kind": "scale-creases", "factor": 0.12}),
    Example("Slide", [TUBE], "edge", tube_loop, {"kind": "slide", "share": -0.7}),
    Example("Straighten", _wavy(), "edge", lambda x, y, z: (np.abs(z) < 5) & (np.hypot(x, y) < 11.9),
            {"kind": "straighten"}),
    Example("Space evenly", _uneven(), "edge", lambda x, y, z: np.abs(y) < 2.2, {"kind": "space-evenly"}),
    Example("Relax", _uneven(), "face", command={"kind": "relax", "rounds": 30, "hold": False}),
    Example("Spin", [box()], "edge", rung, {"kind": "spin"}),
    Example("Collapse", [box()], "face", lambda x, y, z: (z > 9.9) & (np.abs(x - 5) < 0.1) & (np.abs(y) < 1),
            {"kind": "collapse"}),
    Example("Resample", _hump(), "face", command={"kind": "resample", "u": 5, "v": 12}),
]  # fmt: skip
