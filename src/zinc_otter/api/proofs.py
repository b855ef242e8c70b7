"""How the proofs of a design stand, for the live channel: coarse in a drag, fine at rest, again where a form changed."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import asdict
from typing import TYPE_CHECKING

import numpy as np

from zinc_otter.api.bodies import FINE, Bodies
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.kept import Kept
from zinc_otter.api.live.shown import MapBody, ShownMap, ShownProof
from zinc_otter.api.problems import PlaceSchema
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import CoreError
from zinc_otter.core.form import Form, controls
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving import Ground, Proof, Verdict
from zinc_otter.core.proving.base import Valued
from zinc_otter.core.solid.mesh.route import Made
from zinc_otter.core.solid.recipe import lacking
from zinc_otter.core.words import told_in
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.grounds import goes_by_body, ground_of, of_a_body, of_the_form
from zinc_otter.studio.references import Component

if TYPE_CHECKING:
    from zinc_otter.api.live.view import LiveView
    from zinc_otter.api.room import MeshShelf

_BINS = 24
"""Steps of a map's histogram."""


class Proofs:
    """Judges proofs, and keeps what was judged by what it was found from. Safe to call from several threads."""

    def __init__(self, gaps: Gaps, meshes: MeshShelf, bodies: Bodies, solid: Callable[[str], bytes]) -> None:
        self._gaps = gaps
        self._meshes = meshes
        self._bodies = bodies
        self._solid = solid
        self._judged: Kept[tuple[object, ...], Verdict] = Kept(400)

    def of(self, design: Design, settled: bool, with_bodies: bool = False) -> list[ShownProof]:
        """Every proof with its verdict, in the unit that is told in; those of hidden pieces as well: a form does not become
        right by being hidden."""
        found: list[ShownProof] = []
        for proof in design.proofs:
            # What does not go by the dense surface is as true in a drag.
            fine = settled or not proof.by_surface
            verdict = self._verdict(design, proof, fine, with_bodies)
            drawn = verdict.measured
            found.append({
                "id": proof.id,
                "piece": proof.piece,
                "asked": proof.called(design.names),
                "holds": verdict.holds,
                "words": verdict.words,
                "figure": verdict.figure,
                "place": PlaceSchema(**asdict(verdict.place)),
                "fine": fine,
                "drawn": None if drawn is None else {
                    "line": drawn.line.astype(np.float32),
                    "helper": drawn.helper.astype(np.float32).reshape(-1, 3),
                    "label": drawn.label.tolist(),
                    "unit": drawn.unit,
                    "sign": drawn.sign,
                },
            })  # fmt: skip
        return found

    def map_of(
        self, design: Design, proof_id: str, view: LiveView, settled: bool, with_bodies: bool = False
    ) -> ShownMap | None:
        """What a proof asks of at every row of its piece's surface as the viewer has it, or of its body, which comes along;
        None where there is no number, and for a body that is not at hand unless it is to be made now."""
        proof = next((one for one in design.proofs if one.id == proof_id), None)
        shown = None if proof is None else view.as_shown(proof.piece)
        if proof is None or shown is None:
            return None
        points, triangles, row_vertex = shown
        try:
            if goes_by_body(design, proof):
                at_hand = settled and (with_bodies or self._has_body(design, proof))
                return self._map_of_body(design, proof) if at_hand else None
            found = proof.map(self._ground(design, design.piece(proof.piece).cage, points, triangles, settled))
        except CoreError:
            return None
        return None if found is None else _shown_map(proof, found, row_vertex)

    def _map_of_body(self, design: Design, proof: Proof) -> ShownMap | None:
        """Raises CoreError."""
        made = self._bodies.shape(recipe_of(design, proof.piece, self._solid), FINE)
        found = None if lacking(made.notes) else proof.map(self._body_ground(design, proof, made))
        if found is None:
            return None
        mesh = made.body.mesh
        points, normals, corners = mesh.shaded()
        body: MapBody = {
            "points": points.astype(np.float32),
            "normals": normals.astype(np.float32),
            "triangles": corners.astype(np.int32),
        }
        return {**_shown_map(proof, found, mesh.parted[0]), "body": body}

    def _has_body(self, design: Design, proof: Proof) -> bool:
        return self._bodies.is_at_hand(recipe_of(design, proof.piece, self._solid), FINE)

    def _verdict(self, design: Design, proof: Proof, settled: bool, with_bodies: bool) -> Verdict:
        forms = {p.id: p.form for p in design.pieces if p.curve is None or not proof.by_surface}
        own = forms.get(proof.piece)
        if own is None:
            return Verdict("unknown", "Its piece is gone, or a curve by now.")
        components = {r.id: r for r in design.references if isinstance(r, Component)}
        beside = tuple(forms[one].digest if one in forms else "" for one in proof.beside)
        placed = tuple(repr(components.get(one)) for one in proof.components)
        if goes_by_body(design, proof):
            return self._of_body(design, proof, (beside, placed), settled, with_bodies)
        verdict = self._judged.get(
            (repr(proof), own.digest, beside, placed, settled, told_in()),
            lambda: self._judge(design, proof, own, settled),
        )
        return of_the_form(design, proof, verdict)

    def _of_body(
        self, design: Design, proof: Proof, around: tuple[object, ...], settled: bool, with_bodies: bool
    ) -> Verdict:
        """Bodies are made behind the hand: until then there is nothing to judge, unless they are to be made now, as those of
        hidden pieces and such as were forgotten since."""
        if not settled:
            return Verdict("unknown", "Told once the hand rests: it goes by the body.")
        recipe = recipe_of(design, proof.piece, self._solid)
        key = (repr(proof), recipe.digest, *around, True, told_in())
        kept = self._judged.peek(key)
        if kept is not None:
            return kept
        if not (with_bodies or self._bodies.is_at_hand(recipe, FINE)):
            return Verdict("unknown", "Told once its body is made.")
        try:
            made = self._bodies.shape(recipe, FINE)
        except CoreError as error:
            return Verdict("unknown", f"There is no body: {error}", place=error.place)
        return self._judged.get(key, lambda: self._judge_body(design, proof, made))

    def _judge_body(self, design: Design, proof: Proof, made: Made) -> Verdict:
        return of_a_body(proof, self._body_ground(design, proof, made), lacking(made.notes))

    def _body_ground(self, design: Design, proof: Proof, made: Made) -> Ground:
        mesh = MeshDistance(made.body.mesh.points, made.body.mesh.triangles)
        nothing = np.zeros((0, 3))
        return ground_of(
            design, design.piece(proof.piece).cage, nothing, nothing.astype(np.int64),
            lambda one: self._gaps.mesh(one, True), self._meshes.get, True, mesh,
        )  # fmt: skip

    def _judge(self, design: Design, proof: Proof, own: Form, settled: bool) -> Verdict:
        cage = controls(own)
        if proof.by_surface:
            mesh = self._gaps.mesh(cage, settled)
            points, triangles = mesh.vertices, mesh.triangles.astype(np.int64)
        else:
            points, triangles = np.zeros((0, 3)), np.zeros((0, 3), dtype=np.int64)
        ground = self._ground(design, cage, points, triangles, settled)
        try:
            return proof.judge(ground)
        except CoreError as error:
            return Verdict("unknown", str(error), place=error.place)

    def _ground(self, design: Design, cage: Cage, points: Floats, triangles: Ints, settled: bool) -> Ground:
        return ground_of(
            design, cage, points, triangles, lambda one: self._gaps.mesh(one, settled), self._meshes.get, settled
        )


def _shown_map(proof: Proof, found: Valued, point_of_row: Ints) -> ShownMap:
    low, high = found.span
    return {
        "proof": proof.id,
        "piece": proof.piece,
        "rows": found.values[point_of_row].astype(np.float32),
        "unit": found.unit,
        "limit": found.limit,
        "below": found.below,
        "both": found.both,
        "low": low,
        "high": high,
        "counts": [int(count) for count in found.counts(_BINS)],
        "share": found.share,
    }
