"""Whether a cage encloses a solid: closed, and its shells looking the way that tells material from air."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.shells import nesting, shell_volumes
from zinc_otter.core.errors import InsideOutError, OpenCageError


def require_closed(cage: Cage) -> None:
    """Raise OpenCageError, naming the open edges, unless every edge has two faces."""
    edges = cage.topology.open_edges
    if len(edges):
        holes = _count_loops(cage, edges)
        raise OpenCageError(
            f"The cage is open along {len(edges)} edges ({holes} {'hole' if holes == 1 else 'holes'}); "
            "a solid needs a closed cage. Close it, or thicken it.",
            edges=edges,
        )


def require_outside_out(cage: Cage) -> None:
    """Raise InsideOutError, naming the faces, unless the shells of a closed cage tell what is material.

    A shell by itself looks outwards. One within another bounds a cavity and looks inwards; one within that is solid again.
    """
    volumes, depth = shell_volumes(cage), nesting(cage)
    inwards, double = (volumes < 0) & (depth % 2 == 0), (volumes > 0) & (depth % 2 == 1)
    shells = cage.topology.face_shell
    if inwards.any():
        count = int(inwards.sum())
        what = "The form is" if len(volumes) == 1 else "1 shell is" if count == 1 else f"{count} shells are"
        raise InsideOutError(
            f"{what} turned inside out: the faces look inwards. Turn them over.", faces=np.flatnonzero(inwards[shells])
        )
    if double.any():
        count = int(double.sum())
        what = "1 shell lies" if count == 1 else f"{count} shells lie"
        raise InsideOutError(
            f"{what} within another and looks the same way, so that its volume would count twice. Turn it over to make it a "
            "cavity, or move it out.",
            faces=np.flatnonzero(double[shells]),
        )


def _count_loops(cage: Cage, edges: np.ndarray) -> int:
    ends = cage.topology.edge_verts[edges]
    verts, local = np.unique(ends, return_inverse=True)
    local = local.reshape(-1, 2)
    graph = coo_matrix((np.ones(len(edges)), (local[:, 0], local[:, 1])), shape=(len(verts),) * 2)
    return int(connected_components(graph, directed=False)[0])
