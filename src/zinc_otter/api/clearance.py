"""How near the pieces come to the components that they are built around, for the live channel."""

from __future__ import annotations

from collections.abc import Mapping

import numpy as np

from zinc_otter.api.live.shown import Near
from zinc_otter.api.room import MeshShelf
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import CoreError
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

_WHILE_DRAGGING = 3_000


def clearances(design: Design, surfaces: Mapping[str, Floats], meshes: MeshShelf, settled: bool) -> list[Near]:
    """For each shown piece and component: the nearest surface point, and the distance of every vertex of the cage.

    ``surfaces`` are dense limit points (n, 3) by piece. While something is dragged a part of them stands for all, and the
    vertices of a large cage are left out; when the design is ``settled`` each one counts. Distances are in mm, below 0
    inside the component where it is closed; one that is open has no inside, and is told as not ``signed``. A scan is there
    to be lain on, and a stand to be stood on: nothing keeps clear of them.
    """
    found: list[Near] = []
    for component in design.references:
        if not isinstance(component, Component) or not component.visible or component.scan or component.stand:
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
            own = component.own(points)
            distance, at = mesh.nearest_first(own) if settled else mesh.felt.signed(own)
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
