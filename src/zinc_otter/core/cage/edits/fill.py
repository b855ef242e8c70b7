"""Fill holes: with one face, with quads, or with rings that lead on what is around the hole."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.building.chains import Chain, border_chains, open_corners, outwards
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, edges_between, rebuilt
from zinc_otter.core.cage.grid_fill import filled_rows, grid_counts
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError

Way = Literal["quads", "face", "rings"]

MOST_RINGS = 32


def fill(cage: Cage, selection: Selection, *, way: Way = "quads", rings: int = 1, turned: int = 0) -> Edit:
    """Fill the holes at what is picked: whole borders are meant, one open edge or vertex of each is enough.

    - "quads": a grid, where the border has an even number of edges from 4; otherwise refused, with what would do
    - "rings": so many rings of quads that go on from the faces around, drawing in, and a grid in the last one
    - "face": a single face of many sides

    ``turned`` rolls the grid on by so many edges. The new faces are selected. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.cage.edits.delete import delete_elements
    >>> opened = delete_elements(box((10, 10, 10), (1, 1, 1)), Selection.of("face", [0])).cage
    >>> hole = Selection.of("edge", opened.topology.open_edges[:1])
    >>> fill(opened, hole, way="face").cage.topology.is_closed
    True
    """
    if not 1 <= rings <= MOST_RINGS:
        raise BadNumberError(f"A hole is filled with 1 to {MOST_RINGS} rings; {rings} were asked for.")
    holes = _holes(cage, selection)
    blocks: list[Ints] = []
    points: list[Floats] = []
    count = cage.topology.vertex_count
    for hole in holes:
        # Faces that fill run against those around the hole.
        loop = hole.reversed().verts
        if way == "face":
            blocks.append(loop[None])
            continue
        if len(loop) < 4 or len(loop) % 2:
            raise BadSelectionError(
                f"This hole has {len(loop)} edges; quads fill an even number, from 4. Add a loop that ends at it, or fill "
                "it with a single face.",
                edges=edges_between(cage.topology, hole.pairs),
            )
        inner, quads = _quads(cage, loop, way, rings, turned)
        number = np.concatenate([loop, count + np.arange(len(inner))])
        blocks.append(number[quads])
        points.append(inner)
        count += len(inner)
    done = rebuilt(cage, np.concatenate([cage.positions, *points]), blocks)
    return Edit(done.cage, Selection.of("face", done.added), done.old_to_new)


def _holes(cage: Cage, selection: Selection) -> list[Chain]:
    t = cage.topology
    selection.check(t)
    meant = selection
    if selection.kind == "edge":
        meant = Selection.of("edge", selection.ids[t.edge_corners[selection.ids, 1] < 0])
    touched = np.zeros(t.vertex_count, dtype=bool)
    touched[vertices_of(t, meant)] = True
    # A border passes a vertex once only, so that its vertices tell holes apart; and every border goes round.
    holes = [hole for hole in border_chains(t, t.open_edges) if touched[hole.verts].any()]
    if not holes:
        raise BadSelectionError("There is no open edge here; pick an edge of the hole.")
    if any(len(hole.verts) == t.vertex_count for hole in holes) and t.face_count == 1:
        raise BadSelectionError("A single face has no hole to fill.")
    return holes


def _quads(cage: Cage, loop: Ints, way: Way, rings: int, turned: int) -> tuple[Floats, Ints]:
    """Inner points and quads over the loop (0 to n - 1) and them; the grid so turned that it lies straightest."""
    n = len(loop)
    a, b = grid_counts(n)
    ring = cage.positions[loop]
    rows = _leading_rows(cage, loop, ring, rings) if way == "rings" else [ring]
    ways = [(k, filled_rows(np.roll(ring, -k, 0), [np.roll(r, -k, 0) for r in rows], (a, b))) for k in range(n)]
    if way == "quads":
        ways = [(k, _without_row(n, points, quads)) for k, (points, quads) in ways]
    scores = np.array([_unevenness(np.roll(ring, -k, 0), points, quads) for k, (points, quads) in ways])
    # Of equally good ones the first, so that the same hole is filled the same way.
    best = int(np.flatnonzero(scores <= scores.min() * (1 + 1e-6) + 1e-12)[0])
    k, (points, quads) = ways[(best + turned) % n]
    order = np.concatenate([np.roll(np.arange(n), -k), np.arange(n, n + len(points))])
    return points, order[quads]


def _without_row(n: int, points: Floats, quads: Ints) -> tuple[Floats, Ints]:
    """A filling whose only row lies on the ring, less that row: its first n quads and points."""
    return points[n:], np.where(quads[n:] >= n, quads[n:] - n, quads[n:])


def _leading_rows(cage: Cage, loop: Ints, ring: Floats, rings: int) -> list[Floats]:
    """Rows (n, 3) that leave the border as the faces there end, and draw in to its middle."""
    t = cage.topology
    out = outwards(cage, open_corners(t, edges_between(t, np.column_stack([loop, np.roll(loop, -1)]))))
    leaving = unit(out + np.roll(out, 1, axis=0))
    middle = ring.mean(axis=0)
    to_middle = middle - ring
    reach = np.linalg.norm(to_middle, axis=1, keepdims=True)
    # The middle rises by where the faces around point to on the whole: not at all on a sheet, like a dome on a tube.
    dome = middle + 0.5 * (leaving * reach).mean(axis=0)
    rows = []
    for k in range(1, rings + 1):
        # The last row leaves a quarter of the way for the grid.
        s = 0.75 * k / rings
        # A quadratic arc: leaves the border along the faces, arrives level in the middle.
        rows.append((1 - s) ** 2 * ring + 2 * s * (1 - s) * (ring + 0.5 * reach * leaving) + s**2 * dome)
    return rows


def _unevenness(ring: Floats, points: Floats, quads: Ints) -> float:
    """How far the quads are from squares: the sum of the differences of their diagonals and of opposite sides."""
    p = np.concatenate([ring, points])[quads]
    diagonals = np.abs(np.linalg.norm(p[:, 0] - p[:, 2], axis=1) - np.linalg.norm(p[:, 1] - p[:, 3], axis=1))
    sides = np.linalg.norm(p - np.roll(p, -1, axis=1), axis=2)
    return float(diagonals.sum() + np.abs(sides[:, 0] - sides[:, 2]).sum() + np.abs(sides[:, 1] - sides[:, 3]).sum())
