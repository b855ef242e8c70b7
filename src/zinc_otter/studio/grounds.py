"""What a proof of a design goes by: forms, their meshes, and what lies around, from whoever has them at hand."""

from __future__ import annotations

from collections.abc import Callable

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving import Ground
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

MeshOf = Callable[[Cage], MeshDistance]


def ground_of(
    design: Design,
    cage: Cage,
    points: Floats,
    triangles: Ints,
    mesh_of: MeshOf,
    meshes: Callable[[str], MeshDistance],
    fine: bool,
) -> Ground:
    """The ground of one form, with its ``points`` and ``triangles``; ``meshes`` gives those of components' assets."""
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

    return Ground(cage, points, triangles, lambda: mesh_of(cage), other, component, fine, forms.get)
