"""Turn faces over, and make all of a cage look outward."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Selection, touching_faces
from zinc_otter.core.cage.shells import nesting, shell_volumes
from zinc_otter.core.cage.topology import Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def flip(cage: Cage, selection: Selection) -> Edit:
    """Turn whole shells over, outside in: every shell of which something is picked.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> bool(np.allclose(flip(cage, Selection.of("face", [0])).cage.face_normals, -cage.face_normals))
    True
    """
    t = cage.topology
    selection.check(t)
    return _flipped(cage, selection, np.unique(t.face_shell[touching_faces(t, selection)]))


def orient_outward(cage: Cage, selection: Selection) -> Edit:
    """Make all shells look outwards: closed ones hold a positive volume, those within another one a negative; open
    ones look away from their own middle. Raises BadSelectionError where they all do already.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> inside_out = flip(cage, Selection.of("face", [0])).cage
    >>> bool(np.allclose(orient_outward(inside_out, Selection.of("face", [0])).cage.face_normals, cage.face_normals))
    True
    """
    t = cage.topology
    volumes = shell_volumes(cage)
    depth = nesting(cage)
    wrong = np.flatnonzero(np.where(depth % 2 == 0, volumes < 0, volumes > 0))
    if not len(wrong):
        raise BadSelectionError("All faces look outwards already.")
    selection.check(t)
    return _flipped(cage, selection, wrong)


def _flipped(cage: Cage, selection: Selection, shells: Ints) -> Edit:
    t = cage.topology
    turns = np.isin(t.face_shell, shells)[t.corner_face]
    back = t.reversed_corners
    source = np.where(turns, back, np.arange(t.corner_count))
    topology = Topology.checked(t.vertex_count, t.face_verts[source], t.face_offsets)
    # Turning over twice is standing still, so that the same array leads there and back.
    after = Cage(cage.positions, topology, cage.edge_sharpness, cage.vertex_sharpness, cage.face_sets)
    same = ElementMap.identity(t)
    return Edit(after, selection, ElementMap(same.vertices, same.edges, same.faces, source.astype(np.int32)))
