"""What is like the picked: in valence, normal, sharpness, or by lying opposite in a mirror."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.selection import Selection, mean_normal, middles_of, vertex_normals
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError


def similar_valence(cage: Cage, selection: Selection) -> Selection:
    """Vertices with a valence, or faces with a number of corners, that a picked one has. Raises BadSelectionError."""
    selection.check(cage.topology)
    if selection.kind == "edge":
        raise BadSelectionError("Edges have no valence; pick vertices or faces.")
    counts = cage.topology.vertex_valence if selection.kind == "vertex" else cage.topology.face_sizes
    return Selection.of(selection.kind, np.flatnonzero(np.isin(counts, counts[selection.ids])))


def similar_sharpness(cage: Cage, selection: Selection) -> Selection:
    """Edges, or vertices, as sharp as a picked one. Raises BadSelectionError."""
    selection.check(cage.topology)
    if selection.kind == "face":
        raise BadSelectionError("Faces have no sharpness; pick edges or vertices.")
    sharp = cage.edge_sharpness if selection.kind == "edge" else cage.vertex_sharpness
    return Selection.of(selection.kind, np.flatnonzero(np.isin(sharp, sharp[selection.ids])))


def by_sharpness(cage: Cage, least: float) -> Selection:
    """Edges at least as sharp as ``least``, above 0. Raises BadSelectionError where there are none."""
    found = np.flatnonzero((cage.edge_sharpness >= least) & (cage.edge_sharpness > 0))
    if len(found) == 0:
        raise BadSelectionError("No edge of this piece is creased that sharply.")
    return Selection.of("edge", found)


def similar_normal(cage: Cage, selection: Selection, degrees: float) -> Selection:
    """Elements whose normal lies within an angle of the mean normal of the picked.

    Raises BadSelectionError, BadNumberError.
    """
    selection.check(cage.topology)
    if not 0 <= degrees <= 180:
        raise BadNumberError(f"The angle lies between 0 and 180 degrees; {degrees:g} does not.")
    normals = element_normals(cage, selection.kind)
    cosine = normals @ mean_normal(cage, selection)
    near = cosine >= np.cos(np.radians(degrees)) - 1e-12
    return Selection.of(selection.kind, np.flatnonzero(near & (np.abs(normals).sum(axis=1) > 0)))


def element_normals(cage: Cage, kind: str) -> Floats:
    """(k, 3) unit normals of faces, or the area-weighted mean of those around each edge or vertex."""
    t = cage.topology
    vectors = cage.face_area_vectors
    if kind == "face":
        return cage.face_normals
    if kind == "edge":
        first, second = t.edge_faces.T
        return unit(vectors[first] + np.where((second >= 0)[:, None], vectors[np.maximum(second, 0)], 0.0))
    return vertex_normals(cage, vectors)


def mirrored(cage: Cage, selection: Selection, axis: int, at: float = 0.0, tolerance: float | None = None) -> Selection:
    """The picked, and their counterparts across the plane where the axis' coordinate is ``at``.

    Counterparts lie within ``tolerance`` (mm; by default a thousandth of the cage's size) of the mirrored middles.
    Raises BadSelectionError where a picked element has none.
    """
    selection.check(cage.topology)
    middles = middles_of(cage, selection.kind)
    wanted = middles[selection.ids].copy()
    wanted[:, axis] = 2 * at - wanted[:, axis]
    slack = 1e-3 * float(np.linalg.norm(np.ptp(cage.positions, axis=0))) if tolerance is None else tolerance
    distance, there = cKDTree(middles).query(wanted)
    lost = selection.ids[distance > slack]
    if len(lost):
        raise BadSelectionError(f"{len(lost)} of the picked have no counterpart on the far side.")
    return Selection.of(selection.kind, np.concatenate([selection.ids, there]))
