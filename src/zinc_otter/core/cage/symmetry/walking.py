"""Find the image of every corner from the images of a few, by walking the faces on both sides at once."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints, Topology


def walked(t: Topology, seeds: Ints, reverses: bool) -> Ints:
    """(c,) corner images grown from ``seeds`` (c,), -1 where none is known, over faces and across edges.

    Where the two sides differ, what comes out contradicts itself; :func:`contradictions` finds it.
    """
    images = seeds.copy()
    fresh = np.flatnonzero(images >= 0).astype(np.int32)
    ahead, back = (t.corner_prev, t.corner_next) if reverses else (t.corner_next, t.corner_prev)
    while len(fresh):
        there = images[fresh]
        twin = t.corner_twin[fresh]
        # Half-edge c runs from its corner to the next one; its image starts, when turned over, one corner earlier.
        start = t.corner_prev[there] if reverses else there
        far = t.corner_twin[start]
        across = (twin >= 0) & (far >= 0)
        # Of the face across, the corner at the end of c's edge ... twin[c] sits at the next corner's vertex.
        landing = t.corner_next[far[across]] if reverses else far[across]
        targets = np.concatenate([t.corner_next[fresh], t.corner_prev[fresh], twin[across]])
        values = np.concatenate([ahead[there], back[there], landing])
        new = images[targets] < 0
        targets, first = np.unique(targets[new], return_index=True)
        images[targets] = values[new][first]
        fresh = targets.astype(np.int32)
    return images


def contradictions(t: Topology, images: Ints, reverses: bool) -> Ints:
    """Faces at which ``images`` (c,) is no symmetry: unknown, twice used, or not keeping faces and edges together."""
    known = images >= 0
    there = np.maximum(images, 0)
    ahead = t.corner_prev if reverses else t.corner_next
    bad = ~known
    bad |= t.face_sizes[t.corner_face] != t.face_sizes[t.corner_face[there]]
    bad |= images[t.corner_next] != ahead[there]
    start = t.corner_prev[there] if reverses else there
    far = t.corner_twin[start]
    twin = t.corner_twin
    open_here, open_there = twin < 0, far < 0
    landing = np.where(far >= 0, t.corner_next[np.maximum(far, 0)] if reverses else far, -1)
    bad |= open_here != open_there
    both = ~open_here & ~open_there
    bad[both] |= images[twin[both]] != landing[both]
    bad |= np.bincount(there[known], minlength=t.corner_count)[there] > 1
    return np.unique(t.corner_face[bad]).astype(np.int32)


def images_after(
    t: Topology, seeds: Ints, reverses: bool, positions: Floats, matrix: Floats, offset: Floats
) -> tuple[Ints, Ints]:
    """Corner images (c,) grown from seeds, shells without one matched by where they lie; and the faces that have none."""
    images = walked(t, seeds, reverses)
    unknown = np.flatnonzero(images < 0)
    if not len(unknown):
        return images, contradictions(t, images, reverses)
    images = walked(t, _seeded_by_place(t, images, unknown, reverses, positions, matrix, offset), reverses)
    # A shell that is nobody's image may still be laid out like itself: here places decide.
    there = positions[t.face_verts[images[unknown]]]
    off = np.linalg.norm(positions[t.face_verts[unknown]] @ matrix.T + offset - there, axis=1)
    astray = unknown[off > 1e-6 * max(float(np.ptp(positions, axis=0).max()), 1.0)]
    return images, np.union1d(contradictions(t, images, reverses), t.corner_face[astray]).astype(np.int32)


def _seeded_by_place(
    t: Topology, images: Ints, unknown: Ints, reverses: bool, positions: Floats, matrix: Floats, offset: Floats
) -> Ints:
    """One seed for each shell that has none: the corner that lies where the motion takes one of its corners."""
    places = corner_places(t, positions)
    free = np.setdiff1d(np.arange(t.corner_count), images[images >= 0])
    if len(free) == 0:
        return images
    tree = cKDTree(places[free])
    shells = t.face_shell[t.corner_face[unknown]]
    _, first = np.unique(shells, return_index=True)
    seeded = images.copy()
    for corner in unknown[first]:
        moved = matrix @ places[corner] + offset
        seeded[corner] = free[tree.query(moved)[1]]
    return seeded


def corner_places(t: Topology, positions: Floats) -> Floats:
    """(c, 3) a point near each corner's vertex, within its face, so that corners of one vertex differ."""
    sums = np.add.reduceat(positions[t.face_verts], t.face_offsets[:-1], axis=0)
    middles = sums / t.face_sizes[:, None]
    return np.asarray(0.75 * positions[t.face_verts] + 0.25 * middles[t.corner_face])
