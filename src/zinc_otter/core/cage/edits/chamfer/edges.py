"""Chamfer edges: each becomes a strip between two new lines, at a distance that is measured on its faces."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.edits.chamfer.fans import Fans, check_asked, fans_of, largest_distance
from zinc_otter.core.cage.edits.chamfer.profile import Faces, section
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.growing_points import GrowingPoints
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.words import fine_length_words

MOST_SEGMENTS = 16


def chamfer_edges(
    cage: Cage, selection: Selection, distance: float, *, segments: int = 1, is_round: bool = False, quads: bool = True,
    keep_creases: bool = False,
) -> Edit:  # fmt: skip
    """Chamfer picked edges so that the new ones lie ``distance`` mm from the old, measured in the faces beside.

    ``segments`` faces lie across, flat or ``is_round``. Where three or more chamfers meet, or one ends, ``quads`` closes it
    in quads: an odd number of segments becomes the next even one for that. The chamfered edges' sharpness goes, or with
    ``keep_creases`` stays on both outer lines. The new lines are selected.
    Raises BadSelectionError (an open edge; more than the faces allow, with how much they do), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> done = chamfer_edges(cage, Selection.of("edge", range(12)), 2.0)
    >>> done.cage.topology.is_closed, done.cage.topology.vertex_count
    (True, 56)
    """
    t = cage.topology
    check_asked(t, selection, "edge", distance)
    if not 1 <= segments <= MOST_SEGMENTS:
        raise BadNumberError(f"A chamfer has 1 to {MOST_SEGMENTS} faces across; {segments} were asked for.")
    lone = selection.ids[t.edge_corners[selection.ids, 1] < 0]
    if len(lone):
        raise BadSelectionError("An open edge has one face only, so it cannot be chamfered.", edges=lone)
    chosen = np.zeros(t.edge_count, dtype=bool)
    chosen[selection.ids] = True
    fans = fans_of(cage, chosen)
    picked = int(chosen.sum())
    check_face_total(t.face_count + segments * picked + (segments // 2) ** 2 * len(fans.drifts), t.face_count)
    most, edge = largest_distance(cage, fans)
    if distance >= 0.999 * most:
        raise BadSelectionError(
            f"There is room for a chamfer of {fine_length_words(most)} here; {fine_length_words(distance)} would use up "
            f"a face.", edges=[edge]
        )
    meets = any(len(around) > 2 and v not in fans.on_border for v, around in fans.sectors.items()) or bool(fans.ends)
    remarks: tuple[str, ...] = ()
    if quads and segments % 2 and meets:
        segments += 1
        remarks = ("A middle line was added, so that corners and ends are of quads.",)
    return _Chamfer(cage, chosen, fans, distance, segments, is_round, quads).done(keep_creases, remarks)


class _Chamfer:
    """One chamfer being made."""

    def __init__(
        self, cage: Cage, chosen: Bools, fans: Fans, distance: float, segments: int, is_round: bool, quads: bool
    ) -> None:
        self.cage, self.chosen, self.fans = cage, chosen, fans
        self.segments, self.is_round, self.quads = segments, is_round, quads
        drifts = np.array(fans.drifts).reshape(-1, 3)
        moved = cage.positions[fans.origins] + distance * drifts
        self.faces = Faces(GrowingPoints(np.concatenate([cage.positions, moved])))
        self.sections: dict[tuple[int, int], list[int]] = {}
        self.split_faces: dict[int, int] = {}

    def done(self, keep_creases: bool, remarks: tuple[str, ...]) -> Edit:
        cage, t = self.cage, self.cage.topology
        for vertex in self.fans.sectors:
            self._sections_at(vertex)
        for vertex in self.fans.ends:
            self._end_at(vertex)
        own, lines, outer = self._strips()
        old_rings, corner_verts, leaving, kept = self._old_faces()
        positions = self.faces.points.all
        rings = [([face], ring) for face, ring in old_rings] + [([], ring) for ring in [*own, *self.faces.rings]]
        split: list[tuple[Ints, Floats | float]] = [kept]
        if keep_creases:
            values = np.repeat(cage.edge_sharpness[self.chosen], 2)
            split.append((np.array(outer, dtype=np.int64), values))
        result = reringed(cage, positions, rings, split, corner_verts, leaving)
        after = result.cage.topology
        picked = edges_between(after, result.verts[np.array(lines, dtype=np.int64)])
        rest = positions.copy()
        rest[t.vertex_count : t.vertex_count + len(self.fans.origins)] = cage.positions[self.fans.origins]
        back = np.empty((after.vertex_count, 3))
        there = result.verts >= 0
        back[result.verts[there]] = rest[there]
        return Edit(result.cage, Selection.of("edge", picked), result.old_to_new, back, remarks=remarks)

    # --- at the vertices --------------------------------------------------------------------------------------------

    def _section(self, vertex: int, right: int, left: int, edge: int | None = None) -> list[int]:
        """The section from right to left: about the vertex, or about the place on one ``edge`` that both lie beside."""
        p = self.faces.points
        apex = self.cage.positions[vertex]
        if edge is not None:
            a, b = self.cage.topology.edge_verts[edge]
            along = unit(self.cage.positions[b if a == vertex else a] - apex)
            apex = apex + along * float(((p[right] + p[left]) / 2 - apex) @ along)
        points = section(p[right], apex, p[left], self.segments, self.is_round)
        return [right, *self.faces.put(points[1:-1]), left]

    def _sections_at(self, vertex: int) -> None:
        """The section across each chamfered edge at a vertex, from the right of it to its left, seen from the vertex."""
        around = self.fans.sectors[vertex]
        border = vertex in self.fans.on_border
        crossed = [(edge, around[k - 1][0], made) for k, (made, edge) in enumerate(around) if edge >= 0]
        if len(crossed) == 2 and not border:
            (one, right, left), (other, _, _) = crossed
            run = self._section(vertex, right, left)
            self.sections[vertex, one], self.sections[vertex, other] = run, run[::-1]
            return
        sides = []
        for edge, right, left in crossed:
            sides.append(self._section(vertex, right, left, edge))
            self.sections[vertex, edge] = sides[-1]
        if border and len(sides) > 1:
            self.faces.rings.append([v for side in sides for v in side[:-1]] + [sides[-1][-1], vertex])
        elif len(sides) > 2:
            if self.quads and self.segments % 2 == 0:
                self.faces.corner(sides, self.is_round)
            else:
                self.faces.rings.append([v for side in sides for v in side[:-1]])

    def _end_at(self, vertex: int) -> None:
        end = self.fans.ends[vertex]
        run = self._section(vertex, end.right, end.left, end.edge)
        self.sections[vertex, end.edge] = run
        even = self.quads and self.segments % 2 == 0
        if end.way == "face":
            t = self.cage.topology
            self.fans.rings[end.corner] = run
            face = int(t.corner_face[end.corner])
            if even and t.face_sizes[face] == 4 and self._plain(face, end.corner):
                self.split_faces[face] = end.corner
            return
        others = [end.beyond if end.way == "fade" else vertex]
        if even:
            self.faces.cap(run, others)
        else:
            self.faces.rings.append([*run, *others])

    def _plain(self, face: int, corner: int) -> bool:
        """Whether no other corner of a face becomes more than one vertex."""
        t = self.cage.topology
        corners = range(t.face_offsets[face], t.face_offsets[face + 1])
        ends = [end.corner for end in self.fans.ends.values() if end.way == "face"]
        return all(c == corner or (c not in ends and len(self.fans.rings.get(c, [0])) == 1) for c in corners)

    # --- along the edges, and in the old faces ----------------------------------------------------------------------

    def _strips(self) -> tuple[list[list[int]], list[tuple[int, int]], list[tuple[int, int]]]:
        """The quads of the strips, all their lines, and the two outer ones of each chamfered edge."""
        rings, lines, outer = [], [], []
        for edge in np.flatnonzero(self.chosen).tolist():
            a, b = self.cage.topology.edge_verts[edge].tolist()
            here, there = self.sections[a, edge], self.sections[b, edge][::-1]
            rings += [[here[i], there[i], there[i + 1], here[i + 1]] for i in range(self.segments)]
            lines += list(zip(here, there, strict=True))
            outer += [(here[0], there[0]), (here[-1], there[-1])]
        return rings, lines, outer

    def _old_faces(self) -> tuple[list[tuple[int, list[int]]], Ints, Ints, tuple[Ints, Floats]]:
        """The rings of the old faces at chamfered vertices, what their corners become, from where their half-edges start
        now, and their edges' sharpness."""
        t = self.cage.topology
        corner_verts, leaving = t.face_verts.astype(np.int64), t.face_verts.astype(np.int64)
        found: list[tuple[int, list[int]]] = []
        pairs: list[tuple[int, int]] = []
        values: list[float] = []
        for face in sorted({int(t.corner_face[c]) for c in self.fans.rings}):
            corners = range(int(t.face_offsets[face]), int(t.face_offsets[face + 1]))
            parts = [self.fans.rings.get(c, [int(t.face_verts[c])]) for c in corners]
            for k, corner in enumerate(corners):
                leaving[corner] = parts[k][-1]
                corner_verts[corner] = parts[k][0] if len(parts[k]) == 1 else -1
                edge = int(t.corner_edge[corner])
                if not self.chosen[edge]:
                    pairs.append((parts[k][-1], parts[(k + 1) % len(parts)][0]))
                    values.append(float(self.cage.edge_sharpness[edge]))
            if face in self.split_faces:
                at = list(corners).index(self.split_faces[face])
                others = [parts[(at + k) % 4][0] for k in (1, 2, 3)]
                cap = Faces(self.faces.points)
                cap.cap(parts[at], others)
                found += [(face, ring) for ring in cap.rings]
            else:
                found.append((face, [v for part in parts for v in part]))
        return found, corner_verts, leaving, (np.array(pairs, dtype=np.int64), np.array(values))
