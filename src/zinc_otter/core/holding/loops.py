"""Add and remove loops while the surface keeps its form."""

from __future__ import annotations

from collections.abc import Sequence

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.edits.add_loop import Ends, add_loops
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.holding.knots import inserted_knots
from zinc_otter.core.holding.refit import Held, around, held, span_of
from zinc_otter.core.surface.nearest import nearest_on

RINGS = 2
"""The control points within so many rings of a new loop are refitted."""
_ROUNDS = 2
"""Knot insertion begins so near that more rounds gain a few per cent of the deviation only."""


def add_holding_loops(
    cage: Cage, selection: Selection, *, shares: Sequence[float] = (0.5,), picked_only: bool = False, ends: Ends = "ngon"
) -> Held:
    """As :func:`add_loops`, but the surface keeps its form.

    The new points are placed by knot insertion, then the control points near by are refitted. Raises as add_loops.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> done = add_holding_loops(patched_sphere(40, 2), Selection.of("edge", [0]))
    >>> done.deviation < 0.1  # mm, of a sphere of 40
    True
    """
    done = add_loops(cage, selection, shares=shares, picked_only=picked_only, ends=ends)
    old = nearest_on(cage)
    placed = done.cage.with_positions(inserted_knots(cage, done, shares))
    rest = done.cage.positions
    near = around(placed.topology, done.new_verts, RINGS)
    moved = Edit(placed, done.selected, done.old_to_new, rest)
    return held(old, moved, near, span_of(cage), _ROUNDS)


def remove_holding(cage: Cage, selection: Selection) -> Held:
    """As :func:`heal`, but the surface keeps its form as well as fewer control points can. Raises as heal.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> more = add_holding_loops(patched_sphere(40, 2), Selection.of("edge", [0]))
    >>> remove_holding(more.cage, more.selected).cage.topology.face_count == patched_sphere(40, 2).topology.face_count
    True
    """
    done = heal(cage, selection)
    old = nearest_on(cage)
    went = done.old_to_new.vertices[around(cage.topology, vertices_of(cage.topology, selection), 1)]
    near = around(done.cage.topology, went[went >= 0], RINGS)
    return held(old, done, near, span_of(cage))

