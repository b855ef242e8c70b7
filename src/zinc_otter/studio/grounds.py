"""What a proof of a design goes by: forms, their meshes, and what lies around, from whoever has them at hand."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving import Ground, Proof, Verdict
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

MeshOf = Callable[[Cage], MeshDistance]
BodyOf = Callable[[str], tuple[MeshDistance, str]]
"""From a piece with followers to its body, and what that lacks of them, in words. Raises CoreError."""


def ground_of(
    design: Design,
    cage: Cage,
    points: Floats,
    triangles: Ints,
    mesh_of: MeshOf,
    meshes: Callable[[str], MeshDistance],
    fine: bool,
    body: MeshDistance | None = None,
) -> Ground:
    """The ground of one form, with its ``points`` and ``triangles``; ``meshes`` gives those of components' assets. Of a
    ``body`` they are that one's."""
    forms = {p.id: p.form for p in design.pieces}
    faced = {p.id: p.cage for p in design.pieces if p.curve is None}
    components = {r.id: r for r in design.references if isinstance(r, Component)}

    def other(piece: str) -> MeshDistance | None:
        return mesh_of(faced[piece]) if piece in faced else None

    def component(key: str) -> tuple[MeshDistance, Callable[[Floats], Floats]] | None:
        if key not in components:
            return None
        try:
            return meshes(components[key].asset), components[key].own
        except CoreError:
            return None

    if body is not None:
        own, shown = body, body.triangles.astype(np.int64)
        return Ground(cage, body.vertices, shown, lambda: own, other, component, fine, forms.get, body=True)
    return Ground(cage, points, triangles, lambda: mesh_of(cage), other, component, fine, forms.get)


def goes_by_body(design: Design, proof: Proof) -> bool:
    """Whether a proof is asked of a body, and its piece has followers that make one."""
    piece = next((one for one in design.pieces if one.id == proof.piece), None)
    return proof.of_body and piece is not None and any(follower.on for follower in piece.followers)


def of_the_form(design: Design, proof: Proof, verdict: Verdict) -> Verdict:
    """The verdict that says so where it is on a form of which followers make something else."""
    piece = next((one for one in design.pieces if one.id == proof.piece), None)
    if proof.of_body or not proof.asks_bodies or piece is None or not any(follower.on for follower in piece.followers):
        return verdict
    return replace(verdict, words=f"{verdict.words} That is the form's, before its followers.")


def of_a_body(proof: Proof, ground: Ground, lacking: str) -> Verdict:
    """The verdict on a body; where it is ``lacking`` one of its followers it is none."""
    try:
        verdict = proof.judge(ground)
    except CoreError as error:
        return Verdict("unknown", str(error), place=error.place)
    if not lacking:
        return verdict
    return replace(verdict, holds="unknown", words=f"Of the body without one of its followers: {verdict.words} {lacking}")
