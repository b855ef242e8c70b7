"""Every command on what is picked, found by itself and drawn from its own description: sound, or refused in words.

Whatever is added to the commands is drawn from the day it is there. Numbers come from the bounds that the description gives.
"""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.selection import count_of
from zinc_otter.core.cage.symmetry import mirror, plane_at
from zinc_otter.core.cage.symmetry.assembling import following
from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box, cylinder, plane
from zinc_otter.studio.commands import commands, read_command
from zinc_otter.studio.commands.base import BesideMeshes, OnSelection
from zinc_otter.studio.design import Design, Piece

_MOST = 6.0
"""Lengths and other numbers without near bounds are drawn up to here, so that forms stay of one size."""


def found() -> dict[str, type[OnSelection]]:
    return {
        kind: command
        for kind, command in commands().items()
        if issubclass(command, OnSelection) and not issubclass(command, BesideMeshes)
    }


def drawn(schema: dict[str, Any], defs: dict[str, Any]) -> st.SearchStrategy[Any]:
    """Values of a JSON schema."""
    if "$ref" in schema:
        return drawn(defs[schema["$ref"].rsplit("/", 1)[-1]], defs)
    if "const" in schema:
        return st.just(schema["const"])
    if "enum" in schema:
        return st.sampled_from(schema["enum"])
    for several in ("anyOf", "oneOf"):
        if several in schema:
            return st.one_of([drawn(one, defs) for one in schema[several]])
    kind = schema.get("type")
    if kind in ("number", "integer"):
        low = max(schema.get("minimum", schema.get("exclusiveMinimum", -_MOST)), -_MOST)
        high = max(min(schema.get("maximum", schema.get("exclusiveMaximum", _MOST)), _MOST), low)
        if kind == "integer":
            return st.integers(int(low), int(high))
        return st.floats(
            low, high, exclude_min="exclusiveMinimum" in schema, exclude_max=schema.get("exclusiveMaximum") == high
        )
    if kind == "boolean":
        return st.booleans()
    if kind == "null":
        return st.none()
    if kind == "array":
        if "prefixItems" in schema:
            return st.tuples(*[drawn(one, defs) for one in schema["prefixItems"]]).map(list)
        least = schema.get("minItems", 0)
        return st.lists(drawn(schema["items"], defs), min_size=least, max_size=max(least, min(schema.get("maxItems", 3), 3)))
    if kind == "string":
        return st.just("A set")
    if kind == "object":
        return st.fixed_dictionaries({name: drawn(one, defs) for name, one in schema.get("properties", {}).items()})
    raise AssertionError(f"nobody knows how to draw {schema}")


def strategy(command: type[OnSelection]) -> st.SearchStrategy[dict[str, Any]]:
    schema = command.model_json_schema()
    defs = schema.get("$defs", {})
    # What is picked is drawn on the form itself.
    own = {n: s for n, s in schema["properties"].items() if n not in ("piece", "picked", "others", "far", "reach", "kind")}
    needed = {n: drawn(s, defs) for n, s in own.items() if n in schema.get("required", ())}
    return st.fixed_dictionaries(needed, optional={n: drawn(s, defs) for n, s in own.items() if n not in needed})


STRATEGIES = {kind: strategy(command) for kind, command in found().items()}
one_command = st.sampled_from(sorted(STRATEGIES)).flatmap(lambda kind: st.tuples(st.just(kind), STRATEGIES[kind]))
steps = st.lists(
    st.tuples(one_command, st.sampled_from(["vertex", "edge", "face", "piece"]), st.integers(0, 10**6)),
    min_size=4,
    max_size=8,
)


def begun(form: str) -> Design:
    cage: Cage = {
        "box": lambda: box((20, 16, 12), (3, 2, 2)),
        "sheet": lambda: plane((20, 20), (4, 3)),
        "tube": lambda: cylinder((20, 24), (8, 2), "none"),
        "mirrored": lambda: box((20, 16, 12), (4, 2, 2)),
    }[form]()
    design, piece = Design().with_new_piece("Form", cage)
    if form == "mirrored":
        made, symmetry = following(cage, mirror(plane_at((0, 0, 0), (1, 0, 0))), np.ones(3))
        design = design.with_piece(Piece(piece.id, "Form", made, symmetry=symmetry))
    return design


def picked(cage: Cage, kind: str, seed: int) -> dict[str, Any]:
    if kind == "piece":
        return {"kind": kind, "ids": [0]}
    count = count_of(cage.topology, kind)  # type: ignore[arg-type]
    random = np.random.default_rng(seed)
    ids = random.choice(count, size=min(count, int(random.integers(1, 5))), replace=False)
    return {"kind": kind, "ids": sorted(int(i) for i in ids)}


class EveryCommand(unittest.TestCase):
    def test_there_are_many(self) -> None:
        kinds = set(found())
        self.assertGreater(len(kinds), 30)
        self.assertLessEqual({"twist", "bend", "taper", "extrude", "move", "chamfer"}, kinds)

    @settings(max_examples=120, deadline=None, suppress_health_check=[HealthCheck.too_slow])
    @given(form=st.sampled_from(["box", "sheet", "tube", "mirrored"]), asked=steps)
    def test_leaves_the_design_sound_or_says_why_not(self, form: str, asked: list[Any]) -> None:
        design = begun(form)
        for (kind, values), what, seed in asked:
            piece = design.pieces[0]
            before = piece.cage.positions.copy()
            given_ = {"kind": kind, "piece": piece.id, "picked": picked(piece.cage, what, seed), **values}
            try:
                outcome = read_command(given_).apply(design)
            except CoreError as error:
                self.assertGreater(len(str(error)), 15, kind)
                outcome = None
            except ValidationError:
                outcome = None
            np.testing.assert_array_equal(piece.cage.positions, before, err_msg=f"{kind} changed what it was given")
            if outcome is None or not outcome.design.pieces:
                continue
            design = outcome.design
            after = design.pieces[0]
            after.cage.topology.check()
            self.assertTrue(np.isfinite(after.cage.positions).all(), kind)
            if after.symmetry is not None:
                span = max(float(np.ptp(after.cage.positions, axis=0).max()), 1.0)
                self.assertLessEqual(after.symmetry.strays(after.cage.positions), 1e-6 * span, kind)
            if (
                outcome.selected is not None
                and len(outcome.selected.ids)
                and outcome.piece_id == after.id
                and not outcome.whole
            ):
                Selection.check(outcome.selected, after.cage.topology)
            if after.cage.topology.face_count > 400:
                return
