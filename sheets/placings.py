"""Measure random placings of stones in random settings on random smooth cages; part of `make solids`.

Each is seeded. Counted are those that the kernel makes, those that the triangles make and certify alone, those that are
refused with words that name what is the matter, and those that are wrong: a body that is not closed, that crosses itself, a
STEP file that reads back to another volume.
"""

from __future__ import annotations

import tempfile
from collections import Counter
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np

from tests.kernel import made_in_kernel
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.primitives import box
from zinc_otter.core.primitives.ring import ring_band
from zinc_otter.core.primitives.sized import sized_patched_sphere, sized_torus
from zinc_otter.core.solid.followers.settings.base import Setting
from zinc_otter.core.solid.gate import judged
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.stone.cuts import KINDS
from zinc_otter.core.stone.laying import LaidBy, laid_places
from zinc_otter.core.stone.stone import Stone
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.followers import read_follower

PLACINGS = 100
STEP_TRUE = 1e-6
Say = Callable[[str], None]


def smooth_cage(chance: np.random.Generator) -> Cage:
    """A closed form of 15 to 25 mm: a block with a stem, a ball, a band or a torus, every vertex shaken."""
    which = chance.integers(4)
    if which == 0:
        block = box((20, 16, 12), (2, 2, 1))
        top = np.flatnonzero(block.face_normals[:, 2] > 0.999)
        cage = extrude_faces(block, Selection.of("face", top[:1]), 6.0).cage
    elif which == 1:
        cage = sized_patched_sphere(20.0, 3, "surface")
    elif which == 2:
        cage = ring_band(17.0, (6.0, 4.0), (3.0, 2.2), "D", 16)
    else:
        cage = sized_torus((18, 7), (10, 8), "surface")
    return cage.with_positions(cage.positions + chance.uniform(-0.25, 0.25, cage.positions.shape))


def placing(seed: int) -> tuple[str, Recipe]:
    """What is set how, and its recipe."""
    chance = np.random.default_rng(seed)
    cage = smooth_cage(chance)
    kind = KINDS[int(chance.integers(len(KINDS)))]
    plain = kind()
    cut = plain.sized(float(chance.uniform(1.6, 3.0)) / plain.width)
    points = evaluate(build_stencils(cage, 3), cage).points
    at = points[int(chance.integers(len(points)))]
    laid = LaidBy("points", (tuple(float(x) for x in at),))  # type: ignore[arg-type]
    follower: dict[str, Any]
    follower, sink = (
        ({"kind": "bezel", "wall": float(chance.uniform(0.3, 0.8)), "base": str(chance.choice(["open", "closed"]))}, -0.4),
        ({"kind": "prongs", "count": int(chance.integers(3, 7)), "lean": float(chance.uniform(0, 12))}, -0.8),
        ({"kind": "flush"}, 0.4),
        ({"kind": "beads"}, 0.25),
    )[int(chance.integers(4))]
    growth = Stones("p1", "", Stone(cut), laid_places(cage, laid, cut.width), sink, 0.0, laid)
    stones = growth.grow([cage]).form.stones  # type: ignore[union-attr]
    step = read_follower({"id": "f1", "stones": "p2", **follower})
    assert isinstance(step, Setting)
    return f"{kind.what.lower()} in {step.what.lower()}", Recipe("Trial", cage, (step,), stones={"p2": stones})


def tried(seed: int) -> tuple[str, str]:
    """What became of a placing: "kernel", "triangles", "refused" or "wrong", and words."""
    _, recipe = placing(seed)
    by_mesh = made_of_triangles(recipe)
    (note,) = by_mesh.notes
    if note.status != "done":
        return "refused", note.words
    mesh = by_mesh.body.mesh
    faults = judged(mesh.points, mesh.triangles, by_mesh.notes).faults
    if faults:
        return "wrong", faults[0].words
    try:
        made = made_in_kernel(recipe, by_mesh)
    except CoreError as error:
        return "triangles", str(error)
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "set.step"
        write_step(made.body.shape, path, "set")
        facts = facts_of(read_step(path))
    if not (facts.closed and facts.valid) or abs(facts.volume / made.volume - 1) > STEP_TRUE:
        return "wrong", f"read back: {facts.volume:.6g} mm³ for {made.volume:.6g}"
    return "kernel", note.words


def placings(say: Say = print) -> list[str]:
    """Lines of the table."""
    counted: Counter[str] = Counter()
    by_setting: dict[str, Counter[str]] = {}
    lines = []
    for seed in range(PLACINGS):
        what, _ = placing(seed)
        state, words = tried(seed)
        counted[state] += 1
        by_setting.setdefault(what.split(" in ")[1], Counter())[state] += 1
        say(f"placing {seed} {what}: {state} {words}")
        if state in ("triangles", "wrong"):
            lines.append(f"- {seed}, {what}: {state}. {words}")
    head = [
        f"{PLACINGS} random stones of twelve cuts in random settings on random smooth forms (`sheets/placings.py`):", "",
        "| setting | in the kernel | by triangles only | refused in words | wrong |", "|---|---|---|---|---|",
    ]  # fmt: skip
    for name, found in [*sorted(by_setting.items()), ("all", counted)]:
        head.append(f"| {name} | {found['kernel']} | {found['triangles']} | {found['refused']} | {found['wrong']} |")
    return [*head, "", *lines]


if __name__ == "__main__":
    print("\n".join(placings()))
