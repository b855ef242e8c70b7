"""How near the pieces come to the components that they are built around, for the live channel."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

import numpy as np

from zinc_otter.api.room import MeshShelf
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

_WHILE_DRAGGING = 3_000
_IN_QUESTION = 400
"""Points, nearest by the lesser mesh, that are measured against a large one itself."""


def clearances(design: Design, surfaces: Mapping[str, Floats], meshes: MeshShelf, settled: bool) -> list[dict[str, Any]]:
    """For each shown piece and component: the nearest surface point, and the distance of every vertex of the cage.

    ``surfaces`` are dense limit points (n, 3) by piece. While something is dragged a part of them stands for all, and the
    vertices of a large cage are left out; when the design is ``settled`` each one counts. Distances are in mm, below 0
    inside the component where it is closed; one that is open has no inside, and is told as not ``signed``.
    """
    found: list[dict[str, Any]] = []
    for component in design.references:
        if not isinstance(component, Component) or not component.visible:
            continue
        try:
            mesh = meshes.get(component.asset)
        except CoreError:
            # What cannot be read is not measured to; the design is worked on all the same.
            continue
        for piece in design.pieces:
            if not piece.visible or piece.id not in surfaces:
                continue
            points = surfaces[piece.id]
            if not settled and len(points) > _WHILE_DRAGGING:
                points = points[:: -(-len(points) // _WHILE_DRAGGING)]
            distance, at = (_nearest(mesh, component.own(points)) if settled else mesh.felt.signed(component.own(points)))
            least = int(np.argmin(distance))
            vertices = piece.cage.positions
            if not settled and len(vertices) > _WHILE_DRAGGING:
                vertices = vertices[:0]
            measured = mesh if settled and len(vertices) <= _WHILE_DRAGGING else mesh.felt
            found.append({
                "piece": piece.id,
                "reference": component.id,
                "asked": component.clearance,
                "distance": float(distance[least]),
                "signed": mesh.closed,
                "from": points[least].tolist(),
                "to": component.placed(at[least][None])[0].tolist(),
                "vertices": measured.signed(component.own(vertices))[0].astype(np.float32),
            })
    return found


def _nearest(mesh: MeshDistance, points: Floats) -> tuple[Floats, Floats]:
    """As :meth:`MeshDistance.signed`, where only the nearest of all points counts.

    On a large mesh its lesser one tells which points come into question; these are measured against the mesh itself.
    """
    if mesh.felt is mesh:
        return mesh.signed(points)
    rough, at = mesh.felt.signed(points)
    near = np.argsort(rough)[:_IN_QUESTION]
    exact, exact_at = mesh.signed(points[near])
    # The others were further even roughly.
    rough, at = np.maximum(rough, float(exact.min())), at.copy()
    rough[near], at[near] = exact, exact_at
    return rough, at
