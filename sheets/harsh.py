"""Measure harsh forms: cages that solids find hard, bodies whose volume is known, and fillets; part of `make solids`.

Each is seeded: the number in the table makes the same form again. What comes out is counted as *made*, *refused* (with words
that name what is the matter), or *wrong*: a file that is no solid, a volume that is off, an answer that does not hold.
"""

from __future__ import annotations

import tempfile
import time
from collections import Counter
from collections.abc import Callable
from dataclasses import replace
from pathlib import Path

import numpy as np

from tests.kernel import find_radius, made_in_kernel
from zinc_otter.core.cage import HARD, Cage, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives import box
from zinc_otter.core.primitives.sized import sized_patched_sphere, sized_poled_sphere, sized_torus
from zinc_otter.core.solid.exact import Ball, Block, Cone, Cylinder
from zinc_otter.core.solid.followers import Combine, CutEdge, Fillet, Follower, Hollow, Trim
from zinc_otter.core.solid.followers.copies import MirrorBody, RepeatAlong
from zinc_otter.core.solid.kernel.finder import Budget
from zinc_otter.core.solid.kernel.shape import crowded_edges, one_name
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.patches import volume_and_area
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.solid.seams import largest_seam

Say = Callable[[str], None]
CAGES, FILLETS = 80, 30
STEP_TRUE = 1e-6
"""Of the volume, what a STEP file read back may be off."""


# --- cages ------------------------------------------------------------------------------------------------------------


def of_cells(cells: set[tuple[int, int, int]]) -> Cage:
    """The surface of unit cells that share faces: of any genus."""
    corners: dict[tuple[int, int, int], int] = {}
    faces = []
    for cell in sorted(cells):
        for axis in range(3):
            for way in (0, 1):
                beside = list(cell)
                beside[axis] += 2 * way - 1
                if tuple(beside) in cells:
                    continue
                u, v = (axis + 1) % 3, (axis + 2) % 3
                ring = []
                for du, dv in ((0, 0), (1, 0), (1, 1), (0, 1)) if way else ((0, 0), (0, 1), (1, 1), (1, 0)):
                    at = list(cell)
                    at[axis] += way
                    at[u] += du
                    at[v] += dv
                    ring.append(corners.setdefault((at[0], at[1], at[2]), len(corners)))
                faces.append(ring)
    return Cage.from_faces(np.array(list(corners), dtype=np.float64), faces)


def plate_with_holes(holes: int) -> Cage:
    """One cell thick, with so many holes through it: its genus."""
    return of_cells({(i, j, 0) for i in range(2 * holes + 1) for j in range(3)} - {(2 * k + 1, 1, 0) for k in range(holes)})


def prism(sides: int) -> Cage:
    turn = 2 * np.pi * np.arange(sides) / sides
    ring = np.column_stack([np.cos(turn), np.sin(turn)])
    points = np.concatenate([np.column_stack([ring, np.full(sides, z)]) for z in (0.0, 1.5)])
    walls = [[i, (i + 1) % sides, (i + 1) % sides + sides, i + sides] for i in range(sides)]
    return Cage.from_faces(points, [*walls, list(range(sides))[::-1], list(range(sides, 2 * sides))])


def harsh_cage(seed: int) -> tuple[str, Cage]:
    """A cage to try solids on, and what is harsh about it."""
    chance = np.random.default_rng(5000 + seed)
    kind = seed % 8
    if kind == 0:
        valence = 6 + seed // 8 % 11
        words, cage = f"pole of valence {valence}", sized_poled_sphere(2, (valence, 2 + int(chance.integers(3))), "surface")
    elif kind == 1:
        words, cage = "torus", sized_torus((3, 0.6 + 1.8 * chance.random()), (5 + seed % 9, 3 + seed % 5), "surface")
    elif kind in (2, 3):
        genus = 1 + seed // 8 % 5
        words, cage = f"genus {genus}", plate_with_holes(genus)
    elif kind == 4:
        sides = 3 + seed // 8 % 8
        words, cage = f"{sides}-gons", prism(sides)
    else:
        words, cage = "box", box((3, 2, 1.5), [int(n) for n in chance.integers(1, 4, 3)])
    size = float(np.ptp(cage.positions, axis=0).min())
    cage = cage.with_positions(cage.positions + chance.normal(0, 0.07 * size * chance.random(), cage.positions.shape))
    if kind in (3, 5, 6):
        sharp = np.where(chance.random(cage.topology.edge_count) < 0.4, HARD, 0.0)
        if kind != 5:
            sharp = np.where(chance.random(len(sharp)) < 0.5, 4 * chance.random(len(sharp)), sharp)
        cage = cage.with_sharpness(edges=sharp)
        words += ", hard creases" if kind == 5 else ", hard and soft creases"
    scale = [1.0, 10.0, 0.02, 1000.0][seed % 4]
    away = 1e5 if seed % 10 == 9 else 0.0
    words += f", {3 * scale:g} mm" + (", 1e5 mm away" if away else "")
    return words, cage.with_positions(cage.positions * scale + away)


def tried_cage(seed: int) -> tuple[str, str, float]:
    """What became of a cage, in words, and the seam angle of its solid."""
    _, cage = harsh_cage(seed)
    recipe = Recipe("Harsh", cage)
    try:
        by_mesh = made_of_triangles(recipe)
        made = made_in_kernel(recipe, by_mesh)
    except CoreError as error:
        return "refused", str(error), 0.0
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "harsh.step"
        write_step(made.body.shape, path, "Harsh")
        shape = read_step(path)
    facts = facts_of(shape)
    volume = volume_and_area(made.patches)[0]
    seam = largest_seam(made.patches).degrees
    if not (facts.valid and facts.closed) or crowded_edges(one_name(shape, "")):
        return "wrong", "the STEP file read back is no solid", seam
    if abs(facts.volume / volume - 1) > STEP_TRUE:
        return "wrong", f"volume off by {facts.volume / volume - 1:.1e}", seam
    return "made", "", seam


# --- bodies of known volume -------------------------------------------------------------------------------------------


def hard_box(size: tuple[float, float, float]) -> Cage:
    cage = box(size, (2, 2, 2))
    return set_crease(cage, Selection.of("edge", range(cage.topology.edge_count)), HARD).cage


def known_bodies() -> list[tuple[str, Cage, tuple[Follower, ...], float]]:
    """Bodies on a block of 40 by 30 by 20 mm, and their volumes by formula."""
    block, whole = hard_box((40, 30, 20)), 24_000.0
    pi, found = np.pi, []

    def add(words: str, volume: float, *followers: Follower) -> None:
        named = tuple(replace(follower, id=f"f{k + 1}") for k, follower in enumerate(followers))
        found.append((words, block, named, volume))

    for r in (0.5, 1.5, 3.0, 6.0, 9.0):
        bore = Combine(way="subtract", body=Cylinder((0, 0, -20), (0, 0, 1), r, 40))
        add(f"bore of radius {r:g}", whole - 20 * pi * r * r, bore)
        add(f"pin of radius {r:g}", whole + 5 * pi * r * r, Combine(body=Cylinder((0, 0, 5), (0, 0, 1), r, 10)))
        add(f"half a ball of {r:g}", whole - 2 / 3 * pi * r**3, Combine(way="subtract", body=Ball((0, 0, 10), r)))
        add(f"cone of {r:g} on top", whole + pi * r * r * 6 / 3, Combine(body=Cone((0, 0, 10), (0, 0, 1), r, 0.0, 6.0)))
    # Rounds and chamfers about a circle: the area of their section, and the way of its middle (Pappus).
    middle = (10 - 3 * pi) / (12 - 3 * pi)
    for r in (0.3, 1.0, 2.5):
        bore = Combine(way="subtract", body=Cylinder((0, 0, -20), (0, 0, 1), 5.0, 40))
        pin = Combine(body=Cylinder((0, 0, 5), (0, 0, 1), 5.0, 10))
        for words, area, out, cut in (
            ("round", (1 - pi / 4) * r * r, middle * r, Fillet(between=("f1", "piece"), radius=r)),
            ("chamfer", r * r / 2, r / 3, CutEdge(between=("f1", "piece"), distance=r)),
        ):
            ring = area * 2 * pi * (5 + out)
            add(f"{words} of {r:g} at a pin's foot", whole + 125 * pi + ring, pin, cut)
            add(f"{words} of {r:g} at both rims of a bore", whole - 500 * pi - 2 * ring, bore, cut)
    for wall in (0.5, 2.0, 9.9):
        inside = (40 - 2 * wall) * (30 - 2 * wall) * (20 - 2 * wall)
        add(f"hollow, wall {wall:g}", whole - inside, Hollow(wall=wall))
    add("hollow, opened", 40 * 30 * 18 - 36 * 26 * 16, Hollow(wall=2.0, opening=((0.0, 0.0, 8.0), (0.0, 0.0, 1.0))))
    for r in (0.2, 1.0, 3.0):
        rib = Combine(body=Block((0, 0, 14), (4, 30, 10)))
        bead = 2 * (1 - pi / 4) * r * r * 30
        add(f"flush rib, fillet {r:g}", whole + 4 * 30 * 9 + bead, rib, Fillet(between=("f1", "piece"), radius=r))
    add("trim aslant", whole / 2, Trim(normal=(1.0, 2.0, 3.0)))
    add("mirrored", 2 * whole - 5 * 30 * 20, MirrorBody(point=(17.5, 0, 0)))
    add("64 in a row, touching", (63 * 39 + 40) * 600, RepeatAlong(count=64, spacing=39.0))
    add("64 in a row, apart", 64 * whole, RepeatAlong(count=64, spacing=45.0))
    row = [Combine(way="subtract", body=Cylinder((-18 + 3.2 * k, 0, -20), (0, 0, 1), 1.2, 40)) for k in range(12)]
    add("12 bores in a chain", whole - 12 * 20 * pi * 1.44, *row)
    return found


def tried_body(cage: Cage, followers: tuple[Follower, ...], volume: float) -> tuple[str, str, float]:
    recipe = Recipe("Known", cage, followers)
    begun = time.monotonic()
    try:
        made = made_in_kernel(recipe, made_of_triangles(recipe))
    except CoreError as error:
        return "refused", str(error), time.monotonic() - begun
    seconds = time.monotonic() - begun
    missing = [note.words for note in made.notes if note.status != "done"]
    if missing:
        return "refused", missing[0], seconds
    off = abs(made.volume / volume - 1)
    return ("made" if off < 2e-6 else "wrong"), f"{off:.0e}", seconds


# --- fillets ----------------------------------------------------------------------------------------------------------


def harsh_fillet(seed: int) -> tuple[str, Cage, Follower, float]:
    """A body with a seam to be rounded, and the radius wished for: often more than there is room for."""
    chance = np.random.default_rng(7000 + seed)
    wish = float([0.3, 1.0, 3.0, 32.0][seed % 4])
    if seed % 5 == 0:
        ring = sized_torus((19, 2.4), (16, 6), "surface")
        return "boss on a ring", ring, Combine("f1", body=Cylinder((9.5, 0, 0), (1, 0, 0), 0.6 + chance.random(), 3)), wish
    if seed % 5 == 1:
        return "rib on a block", hard_box((40, 30, 20)), Combine("f1", body=Block((0, 0, 14), (4, 30, 10))), wish
    if seed % 5 == 2:
        tilt = (float(chance.normal()) / 3, float(chance.normal()) / 3, 1.0)
        pin = Combine("f1", body=Cylinder((0, 0, 0), tilt, 3 + 2 * chance.random(), 22))
        return "pin aslant on a ball", sized_patched_sphere(30, 2, "surface"), pin, wish
    if seed % 5 == 3:
        cage = box((30, 25, 20), [int(n) for n in chance.integers(2, 4, 3)])
        shaken = cage.with_positions(cage.positions + chance.normal(0, 0.8, cage.positions.shape))
        return "pin on a shaken box", shaken, Combine("f1", body=Cylinder((0, 0, 0), (0, 0, 1), 4, 16)), wish
    bore = Combine("f1", way="subtract", body=Cylinder((0, 0, -30), (0.2, 0, 1), 2 + 3 * chance.random(), 60))
    return "bore aslant through a ball", sized_patched_sphere(30, 2, "surface"), bore, wish


def tried_fillet(seed: int) -> tuple[str, str, float, float]:
    """What became of the finder\'s answer when it was applied, in words, the answer, and the seconds that it took."""
    _, cage, first, wish = harsh_fillet(seed)
    recipe = Recipe("Fillet", cage, (first,))
    made = made_in_kernel(recipe, made_of_triangles(recipe))
    begun = time.monotonic()
    found = find_radius(recipe, made.body, ("f1", "piece"), wish, Budget(10, 40), clock=time.monotonic)
    seconds = time.monotonic() - begun
    if found.radius == 0:
        return "none found", f"by triangles {found.by_triangles:g} mm" if found.by_triangles else "", 0.0, seconds
    asked = replace(recipe, followers=(first, Fillet("f2", between=("f1", "piece"), radius=found.radius)))
    try:
        notes = made_in_kernel(asked, made_of_triangles(asked)).notes
    except CoreError as error:
        return "wrong", str(error), found.radius, seconds
    missing = [note.words for note in notes if note.status != "done"]
    return ("wrong", missing[0], found.radius, seconds) if missing else ("holds", found.ended, found.radius, seconds)


# --- the page ---------------------------------------------------------------------------------------------------------


def page(say: Say) -> list[str]:
    """The tables, as lines of Markdown."""
    lines = [
        "## Harsh cages", "",
        f"{CAGES} cages by number: poles to valence 16, tori, genus to 5, faces of 3 to 10 sides, hard and soft creases,",
        "0.06 mm to 3 m, some 1e5 mm from the origin, all of them shaken. *Made*: the STEP file read back is valid and",
        f"closed, each edge between two faces, its volume right to {STEP_TRUE:g}.", "",
    ]  # fmt: skip
    results = []
    for seed in range(CAGES):
        state, words, seam = tried_cage(seed)
        results.append((seed, state, words, seam))
        say(f"cage {seed} {harsh_cage(seed)[0]}: {state} {words} {seam:.2f}")
    counts = Counter(state for _, state, _, _ in results)
    lines += ["| made | refused | wrong |", "|---|---|---|",
              f"| {counts['made']} | {counts['refused']} | {counts['wrong']} |", ""]  # fmt: skip
    seams = sorted(seam for _, state, _, seam in results if state == "made")
    lines += [f"Largest seam angle: median {seams[len(seams) // 2]:.2f}°, at most {seams[-1]:.2f}°.", ""]
    for seed, state, words, _ in results:
        if state != "made":
            lines.append(f"- {seed}, {harsh_cage(seed)[0]}: {state}. {words}")
    lines += ["", "## Bodies of known volume", "", "On a block of 40 by 30 by 20 mm; the volume by formula.", "",
              "| body | | off by | seconds |", "|---|---|---|---|"]  # fmt: skip
    for words, cage, followers, volume in known_bodies():
        state, off, seconds = tried_body(cage, followers, volume)
        lines.append(f"| {words} | {state} | {off} | {seconds:.1f} |")
        say(lines[-1])
    lines += ["", "## The finder, and its answers applied", "", "Budgets of 10 s a try and 40 s in all.", "",
              "| | body | wished | answer | when applied | seconds |", "|---|---|---|---|---|---|"]  # fmt: skip
    for seed in range(FILLETS):
        state, words, radius, seconds = tried_fillet(seed)
        body, _, _, wish = harsh_fillet(seed)
        told = state if words in ("", "found") else f"{state} ({'the time was up' if words == 'time' else words})"
        lines.append(f"| {seed} | {body} | {wish:g} | {radius:g} | {told} | {seconds:.0f} |")
        say(lines[-1])
    return lines
