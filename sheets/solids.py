"""Measure and write docs/solids.md: how often the steps to a solid hold, how long they take, how true they are.

`make solids`. Each form is joined with a cylinder that comes out of its largest side, the seam is filleted, the body
hollowed and cut open by a plane. Every failure is counted with its reason.
"""

from __future__ import annotations

import tempfile
import time
from collections import Counter
from collections.abc import Iterator
from dataclasses import dataclass, field
from pathlib import Path

import numpy as np

from sheets.harsh import page
from tests.kernel import made_in_kernel
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.exact import Cylinder
from zinc_otter.core.solid.followers import Combine, Fillet, Follower, Hollow, Trim
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.patches import largest_deviation
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.solid.seams import largest_seam
from zinc_otter.demo import put_in_demo
from zinc_otter.store import Store
from zinc_otter.studio.studio import Studio

TARGET = Path(__file__).parents[1] / "docs" / "solids.md"
RANDOM = 40

HEAD = """# Solids: what holds, how long it takes, how true it is

Written by `make solids`, on {where}. Each form is joined with an exact cylinder out of its top (*union*), the seam is
rounded by 4 % of the form's least extent (*fillet*), the body is hollowed to a wall as thick (*hollow*), and cut open across
the middle (*trim*). A step holds when the kernel's result is valid, closed, and has changed the volume as the route by
triangles has; each runs in a process of its own for 90 s at most.
"""


@dataclass
class Row:
    """One form: what became of each step, and its measures."""

    name: str
    faces: int
    valence: int
    seconds: dict[str, float] = field(default_factory=dict)
    failure: tuple[str, str] | None = None
    deviation: float = 0.0
    seam: float = 0.0
    apart: float = 0.0


STEPS = ("union", "fillet", "hollow", "trim")


def main() -> None:
    demos = [measured(name, cage) for name, cage in demo_cages()]
    print("demo designs done", flush=True)
    rows = []
    for i in range(RANDOM):
        rows.append(measured(f"{i + 1}", random_cage(i)))
        print(i + 1, rows[-1].faces, rows[-1].failure, {k: round(v, 1) for k, v in rows[-1].seconds.items()}, flush=True)
    text = [
        HEAD.format(where="two cores"),
        "## The demo designs",
        "",
        *table(demos),
        "",
        f"## {RANDOM} random smooth cages",
        "",
    ]
    harsh = page(lambda words: print(words, flush=True))
    TARGET.write_text("\n".join([*text, *summary(rows), "", *harsh, ""]), encoding="utf-8")
    print(TARGET.name)


def demo_cages() -> Iterator[tuple[str, Cage]]:
    with tempfile.TemporaryDirectory() as folder:
        store = Store(Path(folder) / "z.sqlite")
        studio = Studio(store)
        put_in_demo(store, studio)
        for facts in store.designs():
            for piece in studio.saved(facts.id).design.pieces:
                if piece.cage.topology.is_closed and "variant" not in piece.name:
                    yield f"{facts.name}: {piece.name}", piece.cage
        store.close()


def random_cage(seed: int) -> Cage:
    """A smooth closed cage of 24 to about 110 faces, valence 5 and under: a box, waved, with up to two arms drawn out."""
    chance = np.random.default_rng(1000 + seed)
    counts = [int(n) for n in chance.integers(2, 5, 3)]
    cage = box(
        (float(30 + 20 * chance.random()), float(25 + 15 * chance.random()), float(25 + 20 * chance.random())), counts
    )
    for _ in range(int(chance.integers(0, 3))):
        t = cage.topology
        sides = np.flatnonzero(np.abs(cage.face_normals[:, 2]) < 0.5)
        # An arm out of a corner of the box would raise a valence above 5.
        calm = [f for f in sides if t.vertex_valence[t.face_verts[4 * f : 4 * f + 4]].max() <= 4]
        calm = [f for f in calm if t.vertex_valence[t.face_verts[4 * f : 4 * f + 4]].min() == 4] or calm
        if calm:
            face = calm[int(chance.integers(len(calm)))]
            cage = extrude_faces(cage, Selection.of("face", [face]), float(6 + 6 * chance.random())).cage
    waves = chance.normal(size=(3, 3)) / 30
    shifts = 2.2 * np.sin(cage.positions @ waves.T + 6 * chance.random(3))
    return cage.with_positions(cage.positions + shifts)


def recipe_for(cage: Cage) -> Recipe:
    low, high = cage.bounds
    middle, size = (low + high) / 2, high - low
    least = float(size.min())
    x, y, z = (float(v) for v in middle)
    boss = Cylinder((x, y, z), (0.0, 0.0, 1.0), 0.16 * float(min(size[:2])), 0.5 * float(size[2]) + 0.2 * least)
    steps: tuple[Follower, ...] = (
        Combine("union", body=boss),
        Fillet("fillet", between=("piece", "union"), radius=0.04 * least),
        Hollow("hollow", wall=0.04 * least),
        Trim("trim", point=(x, y, z), normal=(0.0, 0.0, -1.0)),
    )
    return Recipe("Trial", cage, steps)


def measured(name: str, cage: Cage) -> Row:
    row = Row(name, cage.topology.face_count, int(cage.topology.vertex_valence.max()))
    recipe = recipe_for(cage)
    marks: list[tuple[float, str]] = []
    try:
        by_mesh = made_of_triangles(recipe)
        for note in by_mesh.notes:
            if note.status != "done":
                raise CoreError(f"{note.follower}: {note.words}")
        made = made_in_kernel(recipe, by_mesh, progress=lambda _, words: marks.append((time.monotonic(), words)))
        marks.append((time.monotonic(), "end"))
        row.apart = abs(made.volume / by_mesh.body.volume - 1)
        row.deviation, row.seam = largest_deviation(made.patches), largest_seam(made.patches).degrees
    except CoreError as error:
        marks.append((time.monotonic(), "end"))
        at = next((s for s in STEPS if str(error).lower().startswith(s)), STEPS[max(0, len(marks) - 3)])
        row.failure = at, str(error)
    for (begun, words), (ended, _) in zip(marks, marks[1:], strict=False):
        step = next((s for s in STEPS if words.lower().startswith(s)), None)
        if step is not None:
            row.seconds[step] = ended - begun
    return row


def held(row: Row, step: str) -> bool | None:
    """Whether a step held; None when it was not come to."""
    if row.failure is None:
        return True
    order = STEPS.index(row.failure[0])
    return None if STEPS.index(step) > order else STEPS.index(step) < order


def table(rows: list[Row]) -> list[str]:
    lines = ["| form | faces | valence | union | fillet | hollow | trim | deviation, mm | seam | routes apart |",
             "|---|---|---|---|---|---|---|---|---|---|"]  # fmt: skip
    for row in rows:
        cells = []
        for step in STEPS:
            state = held(row, step)
            seconds = row.seconds.get(step, 0.0)
            cells.append(f"{seconds:.1f} s" if state else "not tried" if state is None else "**no**")
        tail = (
            f"{row.deviation:.2g} | {row.seam:.2f}° | {100 * row.apart:.2f} %"
            if row.failure is None
            else f"| | {row.failure[1]}"
        )
        lines.append(f"| {row.name} | {row.faces} | {row.valence} | {' | '.join(cells)} | {tail} |")
    return lines


def summary(rows: list[Row]) -> list[str]:
    faces, valence = [row.faces for row in rows], max(row.valence for row in rows)
    lines = [
        f"{min(faces)} to {max(faces)} faces, valence {valence} and under.", "",
        "| step | tried | held | rate | median | longest |", "|---|---|---|---|---|---|",
    ]  # fmt: skip
    for step in STEPS:
        tried = [row for row in rows if held(row, step) is not None]
        good = [row for row in tried if held(row, step)]
        seconds = sorted(row.seconds.get(step, 0.0) for row in tried)
        lines.append(
            f"| {step} | {len(tried)} | {len(good)} | {100 * len(good) / max(len(tried), 1):.0f} % | "
            f"{seconds[len(seconds) // 2]:.1f} s | {seconds[-1]:.1f} s |"
        )
    whole = [row for row in rows if row.failure is None]
    if whole:
        lines += [
            "",
            f"Of the {len(whole)} that held to the end: largest deviation from the form's surface "
            f"{max(row.deviation for row in whole):.2g} mm, largest seam angle {max(row.seam for row in whole):.2f}°, "
            f"volumes of the two routes within {100 * max(row.apart for row in whole):.1f} % of each other (of the wall).",
        ]
    reasons = Counter(f"{row.failure[0]}: {row.failure[1]}" for row in rows if row.failure)
    if reasons:
        lines += ["", "What failed, and what was said:", ""]
        lines += [f"- {count} × {reason}" for reason, count in reasons.most_common()]
    return lines


if __name__ == "__main__":
    main()
