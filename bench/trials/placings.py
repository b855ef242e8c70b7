"""Stones set by chance on smooth forms made by chance: what each route makes of them, and whether the two agree."""

from __future__ import annotations

import tempfile
from collections import Counter
from collections.abc import Iterator
from dataclasses import asdict
from functools import partial
from pathlib import Path
from typing import Any

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives.sized import sized_box, sized_patched_sphere, sized_torus
from zinc_otter.core.solid.gate import judged
from zinc_otter.core.solid.kernel import route
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.stone.cuts import KINDS
from zinc_otter.core.stone.cuts.drawn import DrawnCabochon
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.jobs.kernel_guard import guarded
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of

_CUTS = tuple(kind() for kind in KINDS if kind is not DrawnCabochon)
_SETTINGS: tuple[dict[str, Any], ...] = (
    {"kind": "bezel"}, {"kind": "bezel", "base": "open", "taper": 5.0}, {"kind": "prongs", "count": 4},
    {"kind": "prongs", "count": 6, "lean": 8.0, "rails": 1}, {"kind": "flush"}, {"kind": "beads"}, {"kind": "seats"},
)  # fmt: skip
_AGREE = 0.01
"""Of the volume, between the routes."""
_AS_WRITTEN = 1e-6
"""Of the volume, between what was made and its STEP file read back."""
_seen: Counter[str] = Counter()


def summary() -> list[str]:
    return [
        f"{_seen['kernel']} made by the kernel, {_seen['triangles']} certified by triangles alone, "
        f"{_seen['refused']} refused in words"
    ]


def trials(first: int, count: int) -> Iterator[str]:
    """Placings by number."""
    for number in range(first, first + count):
        try:
            yield _one(number)
        except CoreError as error:
            _seen["refused"] += 1
            yield "" if str(error)[-1:] in ".!?" else f"{number}: no sentence: {error}"


def _form(chance: np.random.Generator) -> Cage:
    forms = (
        sized_patched_sphere(24, 4, "surface"), sized_torus((26, 9), (12, 8), "surface"),
        sized_box((26, 18, 12), (4, 3, 2), "surface"),
    )  # fmt: skip
    cage = forms[int(chance.integers(len(forms)))]
    return cage.with_positions(cage.positions + chance.normal(size=cage.positions.shape) * 0.5)


def _one(number: int) -> str:
    chance = np.random.default_rng(80_000 + number)
    cage = _form(chance)
    points = evaluate(build_stencils(cage, 2), cage).points
    width = float(chance.uniform(1.5, 4.0))
    plain = _CUTS[int(chance.integers(len(_CUTS)))]
    cut = asdict(plain.sized(width / plain.width))
    sink = float(chance.uniform(-0.2, 0.2)) * width
    design, _ = Design().with_new_piece("Form", cage)
    at = points[int(chance.integers(len(points)))].tolist()
    for command in (
        {"kind": "lay-stones", "host": "p1", "cut": cut, "points": [at], "sink": sink},
        {"kind": "add-follower", "piece": "p1", "follower": {**_SETTINGS[number % len(_SETTINGS)], "stones": "p2"}},
    ):
        design = read_command(command).apply(design).design
    recipe = recipe_of(design, "p1")
    by_mesh = made_of_triangles(recipe)
    (note,) = by_mesh.notes
    if note.status != "done":
        _seen["refused"] += 1
        return "" if note.words else f"{number}: refused without a word"
    mesh = by_mesh.body.mesh
    faults = judged(mesh.points, mesh.triangles).faults
    if faults:
        return f"{number}: by triangles: {faults[0].words}"
    made = partial(route.made_in_kernel, within=guarded)(recipe, by_mesh)
    (told,) = made.notes
    if told.status != "done":
        _seen["triangles"] += 1
        return ""
    off = abs(made.volume / by_mesh.body.volume - 1)
    if off > _AGREE:
        return f"{number}: the routes differ by {100 * off:.2f} %"
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "set.step"
        write_step(made.body.shape, path, "set")
        facts = facts_of(read_step(path))
    if not (facts.closed and facts.valid) or abs(facts.volume / made.volume - 1) > _AS_WRITTEN:
        return f"{number}: read back it is {facts.volume:.6g} mm³, and was {made.volume:.6g}"
    _seen["kernel"] += 1
    return ""
