"""What commands on picked elements do to the control points of a curve."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage import Edit, Selection
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.line_topology import LineTopology
from zinc_otter.core.cage.selection import vertices_of
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.evening import evened
from zinc_otter.core.curve.fitting import Fitted
from zinc_otter.core.curve.points import drawn_out, with_points_on, without_points
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import fine_length_words


def points_deleted(curve: Curve, picked: Selection, hold: bool = False) -> Edit:
    """The picked control points gone. Raises BadSelectionError."""
    picked.check(curve.polygon.topology)
    gone = vertices_of(curve.polygon.topology, picked)
    fitted = without_points(curve, gone, hold)
    went = np.full(curve.count, -1, dtype=np.int32)
    left = np.setdiff1d(np.arange(curve.count), gone)
    went[left] = np.arange(len(left))
    return _edit(curve, fitted, went, [], hold)


def points_added(curve: Curve, picked: Selection, share: float) -> Edit:
    """A control point more on each picked leg, the form held. Raises BadSelectionError."""
    topology = curve.polygon.topology
    assert isinstance(topology, LineTopology)
    if picked.kind != "edge":
        raise BadSelectionError("Points are added on legs of the control polygon; pick edges.")
    picked.check(topology)
    legs = np.flatnonzero(np.isin(topology.edge_of_leg, picked.ids))
    fitted, fresh = with_points_on(curve, legs.tolist(), share)
    went = np.setdiff1d(np.arange(fitted.curve.count), fresh).astype(np.int32)
    return _edit(curve, fitted, went, fresh, True)


def point_drawn_out(curve: Curve, picked: Selection, by: float | Sequence[float]) -> Edit:
    """A control point more beyond the picked end: by a vector, or by so many mm straight on. Raises BadSelectionError.

    Of a curve that has a mirror both ends come picked.
    """
    if picked.kind != "vertex" or len(picked) not in (1, 2):
        raise BadSelectionError("A point is drawn out of an end of an open curve; pick its first or last control point.")
    picked.check(curve.polygon.topology)
    end = int(picked.ids[-1])
    if len(picked) == 2:
        first = point_drawn_out(curve, Selection.of("vertex", picked.ids[:1]), by)
        last = point_drawn_out(curve.with_polygon(first.cage), Selection.of("vertex", [end + 1]), by)
        return replace(last, old_to_new=first.old_to_new, selected=first.selected)
    if isinstance(by, int | float):
        inner = 1 if end == 0 else curve.count - 2
        way = curve.points[end] - curve.points[inner]
        by = way / np.linalg.norm(way) * by
    made, fresh = drawn_out(curve, end, by)
    went = np.arange(curve.count, dtype=np.int32) + (1 if end == 0 else 0)
    return _edit(curve, Fitted(made, 0.0), went, [fresh], False)


def points_evened(curve: Curve, picked: Selection, rounds: int, strength: float, hold: bool) -> Edit:
    """The picked control points brought to bend evenly, or with ``hold`` moved along the curve. Raises BadNumberError."""
    picked.check(curve.polygon.topology)
    these = vertices_of(curve.polygon.topology, picked)
    fitted = evened(curve, these, rounds=rounds, strength=strength, hold=hold)
    return _edit(curve, fitted, np.arange(curve.count, dtype=np.int32), these, True)


def _edit(before: Curve, fitted: Fitted, went: Ints, selected: ArrayLike, told: bool) -> Edit:
    gone = np.full(before.polygon.topology.edge_count, -1, dtype=np.int32)
    empty = np.zeros(0, dtype=np.int32)
    said = (f"It strays from the form by at most {fine_length_words(fitted.deviation)}.",) if told else ()
    chosen = Selection.of("vertex", np.asarray(selected, dtype=np.int32))
    return Edit(fitted.curve.polygon, chosen, ElementMap(went, gone, empty, empty), remarks=said)
