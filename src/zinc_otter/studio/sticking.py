"""What an edit moved or added is settled on a scan at once, so that the surface stays on it."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.same_rows import same_rows
from zinc_otter.core.scan.samples import Samples, samples_of
from zinc_otter.core.scan.settling import settle
from zinc_otter.core.words import fine_length_words
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

_PLACES, _ROUNDS, _FAIR = 8_000, 4, 0.1


def places_of(component: Component, mesh: MeshDistance, count: int) -> Samples:
    """So many places of a component, where it lies."""
    turn = np.asarray(component.rotation, dtype=np.float64)
    return samples_of(mesh, count).moved(turn, np.asarray(component.centre, dtype=np.float64))


def stuck(before: Design, after: Design, piece_id: str, component: Component, mesh: MeshDistance) -> tuple[Design, str]:
    """The design with what changed of a piece settled on a component, and in words how near it lies.

    Where nothing of the component lies near, the piece stays as the edit left it, and the words say so.
    """
    was = next((piece.faces for piece in before.pieces if piece.id == piece_id), None)
    piece = after.piece(piece_id)
    if piece.curve is not None:
        return after, "A curve does not stick to a scan."
    moved = _changed(was, piece.faces)
    if not len(moved):
        return after, ""
    places = places_of(component, mesh, _PLACES)
    group = None if piece.symmetry is None else piece.symmetry.group
    told: list[str] = []

    def settled(cage: Cage, selection: Selection) -> Edit:
        done = settle(cage, selection, places, smoothness=_FAIR, group=group, slides=False, rounds=_ROUNDS)
        told.append(f"It sticks to {component.name}: {fine_length_words(done.after[0])} root mean square.")
        return done

    try:
        changed, _ = after.edited(piece_id, Selection.of("vertex", moved), settled)
    except BadSelectionError:
        return after, f"Nothing of {component.name} lies near enough to stick to."
    return changed, told[0]


def _changed(was: Cage | None, now: Cage) -> Ints:
    """Vertices that do not stand where one stood before."""
    if was is None:
        return np.arange(now.topology.vertex_count)
    places: Floats = np.concatenate([was.positions, now.positions])
    _, kind = same_rows(places)
    old, new = kind[: len(was.positions)], kind[len(was.positions) :]
    return np.flatnonzero(~np.isin(new, old))
