"""The proposal itself: a sound cage of quads, of about as many as were asked for."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry import Symmetry, mirror
from zinc_otter.core.cage.symmetry.assembling import assembled
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.progress import Progress
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.features import LineDistance
from zinc_otter.core.scan.cleaning import rims
from zinc_otter.core.scan.proposing.directions import directions
from zinc_otter.core.scan.proposing.drawn_together import CORNER, GUIDE, PLANE, RIM, Coarse, drawn_together
from zinc_otter.core.scan.proposing.guides import Guides
from zinc_otter.core.scan.proposing.lattice import lattice
from zinc_otter.core.scan.proposing.paired import paired
from zinc_otter.core.scan.proposing.prepared import SHARP, prepared
from zinc_otter.core.scan.samples import Samples
from zinc_otter.core.scan.settling import Settled, settle
from zinc_otter.core.scan.sharp_lines import sharp_edges

LEAST, MOST = 24, 5_000
_FINE = 34
"""Triangles of the prepared scan for each quad."""
_TRIES = 3
_NEAR_ENOUGH = 0.12
"""The count may be off by this share."""
_EVENED = 8
_CLEAR = 0.05
"""What is not in a mirror's plane keeps off it by this share of the lattice's side."""


@dataclass(frozen=True, eq=False)
class Proposal:
    """A ``cage`` of quads on the scan, hard along its sharp lines where it follows them: of a mirrored one the whole, with
    its ``symmetry``, and the ``part`` that it is made of."""

    cage: Cage
    symmetry: Symmetry | None = None
    part: Cage | None = None

    @property
    def irregular(self) -> int:
        """How many vertices within have not four edges."""
        t = self.cage.topology
        return int(np.count_nonzero(~t.on_border & (t.vertex_valence != 4)))

    def settled(self, places: Samples) -> tuple[Floats, Settled]:
        """Settled on places of the scan: the positions of the cage, or of its part (n, 3), and how near the whole lies."""
        everything = Selection.of("face", range(self.cage.topology.face_count))
        done = settle(self.cage, everything, places, group=None if self.symmetry is None else self.symmetry.group)
        if self.part is None or self.symmetry is None:
            return done.cage.positions, done
        # The whole numbers its vertices otherwise.
        positions = done.cage.positions[cKDTree(self.cage.positions).query(self.part.positions)[1]]
        normal = np.asarray(self.symmetry.group.planes[0].normal) > 0.5
        return np.where((self.part.positions == 0) & normal, 0.0, positions), done


def propose(
    mesh: MeshDistance, count: int, half: int | None = None, progress: Progress = lambda share, words: None, *,
    sharp: bool = True,
) -> Proposal:  # fmt: skip
    """A cage of about ``count`` quads whose vertices lie on a scan, with ``half`` mirrored where that coordinate is 0.
    With ``sharp`` its edges run along the scan's sharp lines and are hard there. Raises BadNumberError, BadSelectionError.

    First a coarse mesh of quads and a few triangles, of a quarter as many; then each face is parted into quads from its
    middle to its edges' (E. Catmull, J. Clark, 1978), so that all are quads.
    """
    if not LEAST <= count <= MOST:
        raise BadNumberError(f"A proposal has {LEAST} to {MOST:,} quads; {count} were asked for.")
    area = float(mesh.areas.sum())
    side = 2 * np.sqrt(area / count)
    progress(0.05, "making the scan even")
    v, f = prepared(mesh.vertices, mesh.triangles, int(np.clip(_FINE * count, 6_000, 60_000)), side / 5, half, sharp)
    count = count if half is None else -(-count // 2)
    progress(0.3, "laying directions")
    guides = Guides(sharp_edges(v, f, SHARP) if sharp else np.zeros((0, 2), dtype=np.int64), len(v))
    crosses = directions(v, f, guides)
    loops = rims(f)
    rim = np.concatenate(loops) if loops else np.zeros(0, dtype=np.int64)
    lines = np.zeros(len(v), dtype=np.int64)
    lines[rim] = RIM
    if half is not None:
        _mark_plane(lines, v, loops, half)
    lines[guides.vertices] |= GUIDE
    lines[guides.corners] |= CORNER
    drawn = LineDistance(v[guides.edges])
    best: tuple[float, Floats, list[list[int]], Coarse] | None = None
    for k in range(_TRIES):
        progress(0.4 + 0.15 * k, "laying a lattice")
        laid = lattice(v, crosses, side, np.union1d(rim, guides.inner))
        coarse = drawn_together(f, crosses, laid, side, lines, guides)
        points = coarse.points
        if len(coarse.guides):
            points[coarse.on & GUIDE > 0] = drawn.feet(points[coarse.on & GUIDE > 0])
            corner = coarse.on & CORNER > 0
            points[corner] = v[coarse.left[corner]]
        if half is not None:
            points[:, half] = np.where(coarse.on & PLANE, 0.0, np.maximum(points[:, half], _CLEAR * side))
        apart = map(tuple, np.sort(coarse.guides, axis=1).tolist())
        faces = paired(points, coarse.triangles, crosses.normals[coarse.nearest], crosses.along[coarse.nearest], apart)
        made = sum(len(face) for face in faces)
        off = abs(np.log(made / count))
        if best is None or off < best[0]:
            best = off, points, faces, coarse
        if off <= _NEAR_ENOUGH:
            break
        side *= float(np.sqrt(np.clip(made / count, 0.3, 3.0)))
    assert best is not None
    progress(0.9, "laying the quads on the scan")
    base = MeshDistance(v, f)
    coarse = best[3]
    positions, quads, hard = _parted(best[1], best[2], coarse.guides)
    part = Cage.from_faces(positions, quads.tolist())
    values = np.zeros(part.topology.edge_count)
    values[edges_between(part.topology, hard)] = HARD
    part = part.with_sharpness(edges=values)
    corners = np.flatnonzero(coarse.on & CORNER)
    part = part.with_positions(_even(part, base, half, _CLEAR * side / 2, drawn, corners))
    if half is None:
        return Proposal(part)
    whole, symmetry = assembled(part, mirror(plane_at(np.zeros(3), np.eye(3)[half])), 1e-7 * side)
    return Proposal(whole, symmetry, part)


def _mark_plane(lines: Ints, v: Floats, loops: list[Ints], half: int) -> None:
    """A second line: of a rim what lies in the plane, and a third where it leaves it."""
    for loop in loops:
        flat = v[loop, half] == 0
        lines[loop] = np.where(flat, PLANE, RIM)
        ends = flat & ~(np.roll(flat, 1) & np.roll(flat, -1))
        lines[loop[ends]] = RIM | PLANE


def _parted(points: Floats, faces: list[list[int]], guides: Ints) -> tuple[Floats, Ints, Ints]:
    """Each face in quads from its middle to the middles of its edges; and what becomes of edges ``guides`` (g, 2)."""
    middles = np.array([points[face].mean(axis=0) for face in faces])
    number: dict[tuple[int, int], int] = {}
    between: list[Floats] = []
    quads = []
    for k, face in enumerate(faces):
        centre = len(points) + k
        ids = []
        for a, b in zip(face, [*face[1:], face[0]], strict=True):
            key = (min(a, b), max(a, b))
            if key not in number:
                number[key] = len(points) + len(faces) + len(between)
                between.append((points[a] + points[b]) / 2)
            ids.append(number[key])
        quads += [(face[m], ids[m], centre, ids[m - 1]) for m in range(len(face))]
    halves = [(end, number[min(a, b), max(a, b)]) for a, b in guides.tolist() for end in (a, b)]
    along = np.array(halves, dtype=np.int64).reshape(-1, 2)
    return np.concatenate([points, middles, np.array(between)]), np.array(quads), along


def _even(part: Cage, base: MeshDistance, half: int | None, clear: float, drawn: LineDistance, corners: Ints) -> Floats:
    """Vertices on the scan, and evenly apart; those of a rim or a sharp line along it, and its ``corners`` where they are.
    Of a ``half`` what is not in the plane stays ``clear`` mm of it."""
    points, t = part.positions, part.topology
    on_rim = t.on_border
    hard = part.edge_sharpness > 0
    on_line = np.zeros(len(points), dtype=bool)
    on_line[t.edge_verts[hard]] = True
    lies_along = hard.copy()
    lies_along[t.open_edges] = True
    # Neighbours that pull: of a vertex within all, of one on a rim or a line those along it.
    a = np.concatenate([t.edge_verts[:, 0], t.edge_verts[:, 1]])
    b = np.concatenate([t.edge_verts[:, 1], t.edge_verts[:, 0]])
    pulls = ~(on_rim | on_line)[a] | np.tile(lies_along, 2)
    a, b = a[pulls], b[pulls]
    many = np.maximum(np.bincount(a, minlength=len(points)), 1)[:, None]
    flat = points[:, half] == 0 if half is not None else np.zeros(len(points), dtype=bool)
    in_plane = np.asarray(on_rim & flat)
    # Where a rim leaves the plane it has its corner.
    leaves = on_rim & ~in_plane if half is not None else np.zeros(len(points), dtype=bool)
    held = in_plane & (np.bincount(a, leaves[b] & on_rim[a], len(points)) > 0)
    held[corners] = True
    at: Floats = points.copy()
    for _ in range(_EVENED):
        total = np.zeros_like(at)
        np.add.at(total, a, at[b])
        at[~held] = base.sided((0.5 * at + 0.5 * total / many)[~held]).feet
        along = on_line & ~held
        if along.any():
            at[along] = drawn.feet(at[along])
        if half is not None:
            at[:, half] = np.where(in_plane, 0.0, np.maximum(at[:, half], clear))
    return at
