"""The first level of a surface as a cage of its own: the same form, to be pulled more finely."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.symmetry import Symmetry
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.relief.counterparts import counterparts, retold
from zinc_otter.core.relief.relief import Detail, Relief
from zinc_otter.core.surface.raised import Raised
from zinc_otter.core.surface.stencils import build_stencils


def next_cage(cage: Cage, symmetry: Symmetry | None = None) -> tuple[Cage, Symmetry | None]:
    """A cage of four faces for each, whose surface is that of this one with its relief; and its symmetry.

    The detail of the first level goes into the control points, that of the others goes on as relief, each a level less.
    Creases are a level less sharp, hard ones stay. Raises TooManyFacesError.

    >>> from zinc_otter.core.primitives import box
    >>> next_cage(box((10, 10, 10), (2, 2, 2)))[0].topology.face_count
    96
    """
    check_face_total(cage.topology.corner_count, cage.topology.face_count)
    relief = cage.relief
    depth = 1 if relief is None else max(relief.depth, 1)
    ours = build_stencils(cage, depth)
    raised = Raised(ours, cage)
    level = ours.levels[1]
    t = level.topology
    topology = Topology(t.vertex_count, t.face_verts, t.face_offsets)
    sharpness = np.zeros(topology.edge_count)
    sharpness[topology.corner_edge] = level.edge_sharpness[t.corner_edge]
    if topology.face_count:
        sharpness[topology.open_edges] = 0.0
    whose = np.repeat(np.arange(cage.topology.face_count), cage.topology.face_sizes)
    sets = {name: np.flatnonzero(np.isin(whose, faces)) for name, faces in cage.face_sets.items()}
    vertex_sharpness = level.vertex_sharpness.copy()
    # Corners of sheets are hard by themselves.
    single = np.bincount(topology.face_verts, minlength=topology.vertex_count) == 1
    vertex_sharpness[single] = 0.0
    finer = Cage(raised.points[1], topology, sharpness, vertex_sharpness, sets)
    images = None if symmetry is None else _images(symmetry, topology)
    if relief is None or relief.depth < 2:
        return finer, images
    theirs = build_stencils(finer, depth - 1)
    details: list[Detail | None] = []
    for k in range(1, depth):
        detail = relief.detail(k + 1)
        if detail is None:
            details.append(None)
            continue
        source = counterparts(ours.factors[1 : k + 1], theirs.factors[:k], t.vertex_count)
        below: Floats = raised.below[k + 1]
        details.append(retold(detail, (ours, k + 1, below), (theirs, k, below[source]), source, np.eye(3)))
    mask = relief.mask
    if mask is not None:
        mask = mask[counterparts(ours.factors[1:depth], theirs.factors, t.vertex_count)]
    return finer.with_relief(Relief(tuple(details), mask)), images


def _images(symmetry: Symmetry, topology: Topology) -> Symmetry:
    """Each corner became a face that starts there; where a motion turns outside in its edges change places."""
    corners: list[Ints] = []
    for images, (_, _, reverses) in zip(symmetry.corners, symmetry.group.generators, strict=True):
        order = np.array([0, 3, 2, 1] if reverses else [0, 1, 2, 3])
        corners.append((4 * images[:, None] + order).ravel().astype(np.int32))
    return Symmetry(symmetry.group, topology, tuple(corners))
