"""Relax vertices within the form."""

from __future__ import annotations

import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, vertex_normals, vertices_of
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError

MOST_ROUNDS = 100


def relax(cage: Cage, selection: Selection, *, rounds: int = 5, strength: float = 0.5) -> Edit:
    """Move what is picked towards the mean of its neighbours, within the form only, so many ``rounds``.

    What would lead out of the form, along the normal, is left out (G. Taubin, "A signal processing approach to fair
    surface design", 1995, with the tangential part alone). On borders and creases vertices go along these lines; corners,
    and ends of creases, stay. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((10, 10), (2, 2))
    >>> bumped = sheet.with_positions(sheet.positions + (np.arange(9) == 4)[:, None] * (3, 0, 0))
    >>> bool(relax(bumped, Selection.of("vertex", [4])).cage.positions[4, 0] < 0.2)
    True
    """
    selection.check(cage.topology)
    if not 1 <= rounds <= MOST_ROUNDS:
        raise BadNumberError(f"1 to {MOST_ROUNDS} rounds can be done; {rounds} were asked for.")
    if not (np.isfinite(strength) and 0 <= strength <= 1):
        raise BadNumberError("The strength runs from 0 to 1.")
    lines, on_line, stays = _lines(cage)
    mean = _mean_matrix(cage, lines, on_line)
    moving = np.zeros(cage.topology.vertex_count, dtype=bool)
    moving[vertices_of(cage.topology, selection)] = True
    moving &= ~stays
    current = cage
    for _ in range(rounds):
        p = current.positions
        step = mean @ p - p
        normals = vertex_normals(current, current.face_area_vectors)
        step -= (step * normals).sum(axis=1, keepdims=True) * normals
        along = _tangents(cage, lines, on_line, p)
        step[on_line] = (step[on_line] * along[on_line]).sum(axis=1, keepdims=True) * along[on_line]
        current = current.with_positions(p + strength * np.where(moving[:, None], step, 0.0))
    return same_structure(current, selection)


def _lines(cage: Cage) -> tuple[Ints, Bools, Bools]:
    """Edges (k, 2) of borders and creases; which vertices go along them; and which are corners or ends and stay."""
    t = cage.topology
    sharp = cage.edge_sharpness > 0
    sharp[t.open_edges] = True
    lines = t.edge_verts[sharp]
    count = np.bincount(lines.ravel(), minlength=t.vertex_count)
    lone = t.on_border & (t.vertex_valence == 2)
    stays = (count == 1) | (count > 2) | lone | (cage.vertex_sharpness > 0)
    return lines, (count == 2) & ~stays, stays


def _mean_matrix(cage: Cage, lines: Ints, on_line: Bools) -> csr_matrix:
    t = cage.topology
    n = t.vertex_count
    ends = np.concatenate([t.edge_verts, t.edge_verts[:, ::-1]])
    ends = ends[~on_line[ends[:, 0]]]
    both = np.concatenate([lines, lines[:, ::-1]])
    ends = np.concatenate([ends, both[on_line[both[:, 0]]]])
    count = np.bincount(ends[:, 0], minlength=n)
    return csr_matrix((1.0 / count[ends[:, 0]], (ends[:, 0], ends[:, 1])), shape=(n, n))


def _tangents(cage: Cage, lines: Ints, on_line: Bools, p: Floats) -> Floats:
    """(n, 3) directions of borders and creases at the vertices on them: from one neighbour to the other."""
    tangent = np.zeros_like(p)
    both = np.concatenate([lines, lines[:, ::-1]])
    both = both[on_line[both[:, 0]]]
    order = np.argsort(both[:, 0], kind="stable")
    ends = both[order].reshape(-1, 2, 2)
    tangent[ends[:, 0, 0]] = p[ends[:, 1, 1]] - p[ends[:, 0, 1]]
    return unit(tangent)
