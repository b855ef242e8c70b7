"""Where a stand is put down for what it shows, and how large it is there."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.form import controls
from zinc_otter.core.picture.stands import BREADTH_OF_A_FINGER, RING_FINGER, STANDS, StandName
from zinc_otter.core.proof.bore import bore
from zinc_otter.studio.design import Design
from zinc_otter.studio.shown import mesh_of

_NO_TURN = ((1.0, 0.0, 0.0), (0.0, 1.0, 0.0), (0.0, 0.0, 1.0))


@dataclass(frozen=True)
class Place:
    """How a stand lies, as a component does; and the ``size`` in mm that fits, where one follows from what it shows."""

    rotation: tuple[Vec, Vec, Vec]
    centre: Vec
    size: float | None = None


def place_for(design: Design, stand: StandName, piece_id: str | None) -> Place:
    """A cone or a finger goes through the bore of a piece, of a hand its third one, a hook through it from above; a block
    and a table lie under what is shown, and the others stand in its middle. Raises UnknownPieceError."""
    if piece_id is not None and STANDS[stand].through:
        cage = controls(design.piece(piece_id).form)
        found = None
        if isinstance(cage, Cage) and cage.topology.is_closed:
            mesh = mesh_of(cage)
            found = bore(mesh.vertices, mesh.triangles)
        if found is not None:
            middle = (cage.positions.min(axis=0) + cage.positions.max(axis=0)) / 2
            along = np.asarray(found.along)
            at = np.asarray(found.point) + ((middle - found.point) @ along) * along
            if stand == "hook":
                x, y, z = (at + [0, 0, found.diameter / 2]).tolist()
                return Place(_through(along), (x, y, z))
            first, second, third = (tuple(row) for row in frame_along(found.along).tolist())
            size = found.diameter
            if stand == "hand":
                size *= BREADTH_OF_A_FINGER
                at = at - frame_along(found.along) @ (size * np.array(RING_FINGER))
            x, y, z = at.tolist()
            return Place((first, second, third), (x, y, z), size)
    shown = [controls(piece.form).positions for piece in design.pieces if piece.visible]
    if not shown:
        return Place(_NO_TURN, (0.0, 0.0, 0.0))
    points = np.concatenate(shown)
    low, high = points.min(axis=0), points.max(axis=0)
    x, y, z = ((low + high) / 2).tolist()
    if stand in ("block", "table"):
        return Place(_NO_TURN, (x, float(low[1]) - 0.2 * float(high[1] - low[1]) if stand == "table" else y, float(low[2])))
    return Place(_NO_TURN, (x, y, float(high[2]) if stand == "hook" else z))


def _through(along: Floats) -> tuple[Vec, Vec, Vec]:
    """The turn about z that lets a hook's bar, which runs along y, go along an axis (3,) seen from above; none for an
    upright one."""
    flat = along * [1, 1, 0]
    if np.linalg.norm(flat) < 0.1:
        return _NO_TURN
    s, c = (float(part) for part in unit(flat)[:2])
    return ((c, s, 0.0), (-s, c, 0.0), (0.0, 0.0, 1.0))
