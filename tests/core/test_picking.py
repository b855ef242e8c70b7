"""Loops, rings, bands, growing and shrinking against their definitions, on cages that were changed at random."""

from __future__ import annotations

import unittest
from collections import deque

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.test_edit_properties import picked_by
from tests.sample_cages import knob, prism, rimmed, tray
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.cage.picking import (
    band,
    border,
    by_sharpness,
    edge_loop,
    edge_ring,
    everything,
    face_strip,
    grow,
    invert,
    loops_of,
    mirrored,
    rings_of,
    shrink,
    similar_normal,
    similar_sharpness,
    similar_valence,
)
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, cylinder, patched_sphere, plane, torus

KINDS = ["vertex", "edge", "face"]


@st.composite
def cages(draw: st.DrawFn) -> Cage:
    """A start, and a few faces of it extruded or deleted."""
    starts = [box((9, 8, 7), (3, 2, 2)), plane((9, 9), (4, 3)), torus((30, 8), (6, 5)), cylinder((9, 9), (8, 3)), prism(5)]
    cage = draw(st.sampled_from(starts))
    for seed, what in draw(st.lists(st.tuples(st.integers(0, 2**32 - 1), st.booleans()), max_size=3)):
        picked = picked_by(cage, "face", seed)
        try:
            cage = extrude_faces(cage, picked, 1.5).cage if what else delete_elements(cage, picked).cage
        except (BadSelectionError, BadNumberError):
            continue
    return cage


def faces_at_vertex(cage: Cage, vertex: int) -> set[int]:
    t = cage.topology
    return {int(t.corner_face[c]) for c in range(t.corner_count) if t.face_verts[c] == vertex}


def face_edges(cage: Cage, face: int) -> list[int]:
    t = cage.topology
    return t.corner_edge[t.face_offsets[face] : t.face_offsets[face + 1]].tolist()


class Walks(unittest.TestCase):
    @settings(max_examples=50, deadline=None)
    @given(cages(), st.integers(0, 10**6))
    def test_a_loop_is_closed_under_going_straight_on(self, cage: Cage, seed: int) -> None:
        """Brute force: at an inner vertex of valence 4 the edge that shares no face goes on; nothing else does."""
        t = cage.topology
        start = seed % t.edge_count
        is_open = set(t.open_edges.tolist())
        found, waiting = {start}, deque([start])
        while waiting:
            edge = waiting.popleft()
            for vertex in t.edge_verts[edge].tolist():
                there = [e for e in range(t.edge_count) if vertex in t.edge_verts[e] and e != edge]
                if edge in is_open:
                    onward = [e for e in there if e in is_open]
                elif len(there) == 3 and not is_open & set(there):
                    own = set(t.edge_faces[edge].tolist())
                    onward = [e for e in there if not own & set(t.edge_faces[e].tolist())]
                else:
                    onward = []
                for e in onward:
                    if e not in found:
                        found.add(e)
                        waiting.append(e)
        walked = edge_loop(t, start)
        self.assertEqual(set(walked.tolist()), found)
        self.assertEqual(len(walked), len(found))

    @settings(max_examples=50, deadline=None)
    @given(cages(), st.integers(0, 10**6))
    def test_a_ring_is_closed_under_crossing_quads(self, cage: Cage, seed: int) -> None:
        t = cage.topology
        start = seed % t.edge_count
        found, waiting = {start}, deque([start])
        while waiting:
            edge = waiting.popleft()
            for face in t.edge_faces[edge].tolist():
                sides = face_edges(cage, face) if face >= 0 else []
                if len(sides) == 4:
                    opposite = sides[(sides.index(edge) + 2) % 4]
                    if opposite not in found:
                        found.add(opposite)
                        waiting.append(opposite)
        walked = edge_ring(t, start).tolist()
        self.assertEqual(set(walked), found)
        strip = set(face_strip(t, start).tolist())
        expected = {f for e in found for f in t.edge_faces[e].tolist() if f >= 0 and t.face_sizes[f] == 4}
        self.assertEqual(strip, expected)

    def test_loops_on_a_torus_go_round(self) -> None:
        t = torus((30, 8), (6, 5)).topology
        lengths = {len(edge_loop(t, e)) for e in range(t.edge_count)}
        self.assertEqual(lengths, {6, 5})
        self.assertEqual(len(face_strip(t, 0)), 5 if len(edge_loop(t, 0)) == 6 else 6)

    def test_loops_end_at_the_corners_of_a_sphere_of_patches(self) -> None:
        cage = patched_sphere(10, 4)
        corner = int(np.flatnonzero(cage.topology.vertex_valence == 3)[0])
        edge = int(np.flatnonzero((cage.topology.edge_verts == corner).any(axis=1))[0])
        self.assertEqual(len(edge_loop(cage.topology, edge)), 4)

    def test_one_face_or_vertex_needs_a_direction(self) -> None:
        cage = torus((30, 8), (6, 5))
        t = cage.topology
        with self.assertRaisesRegex(BadSelectionError, "second face beside"):
            loops_of(t, Selection.of("face", [0]))
        with self.assertRaisesRegex(BadSelectionError, "does not belong"):
            loops_of(t, Selection.of("face", [0]), int(t.corner_edge[-1]))
        across = int(t.corner_edge[1])
        self.assertEqual(len(loops_of(t, Selection.of("face", [0]), across)), 6)
        pair = t.edge_faces[across]
        self.assertEqual(loops_of(t, Selection.of("face", pair)), loops_of(t, Selection.of("face", [0]), across))
        along = int(t.corner_edge[0])
        self.assertEqual(len(loops_of(t, Selection.of("vertex", [0]), along)), len(edge_loop(t, along)))
        self.assertEqual(len(rings_of(t, Selection.of("edge", [along]))), len(edge_ring(t, along)))
        self.assertEqual(len(rings_of(t, Selection.of("vertex", t.edge_verts[along]))), 2 * len(edge_ring(t, along)))


class Bands(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(cages(), st.sampled_from(KINDS), st.integers(0, 10**6), st.integers(0, 10**6))
    def test_a_band_is_a_connected_way_from_one_to_the_other(self, cage: Cage, kind: str, i: int, j: int) -> None:
        t = cage.topology
        count = len(everything(t, kind))  # type: ignore[arg-type]
        a, b = i % count, j % count
        if a == b:
            return
        picked = Selection.of(kind, [a, b])  # type: ignore[arg-type]
        try:
            found = band(t, picked)
        except BadSelectionError:
            self.assertGreater(t.face_shell.max(), 0)
            return
        self.assertTrue({a, b} <= set(found.ids.tolist()))
        # Walk within the band by neighbours of the right sort.
        members = set(found.ids.tolist())
        reached, waiting = {a}, deque([a])
        while waiting:
            here = waiting.popleft()
            for there in members - reached:
                if self.neighbours(cage, kind, here, there):
                    reached.add(there)
                    waiting.append(there)
        self.assertEqual(reached, members)

    def neighbours(self, cage: Cage, kind: str, a: int, b: int) -> bool:
        t = cage.topology
        if kind == "vertex":
            return any({a, b} == set(pair) for pair in t.edge_verts.tolist())
        if kind == "face":
            return any({a, b} == set(pair) for pair in t.edge_faces.tolist())
        return bool(set(t.edge_verts[a].tolist()) & set(t.edge_verts[b].tolist())) or bool(
            (set(t.edge_faces[a].tolist()) & set(t.edge_faces[b].tolist())) - {-1}
        )

    def test_on_a_strip_the_shorter_way_round(self) -> None:
        t = torus((30, 8), (10, 5)).topology
        strip = face_strip(t, int(t.corner_edge[1]))
        self.assertEqual(len(strip), 10)
        self.assertEqual(len(band(t, Selection.of("face", strip[[1, 4]]))), 4)
        self.assertEqual(len(band(t, Selection.of("face", strip[[1, 9]]))), 3)

    def test_off_the_strip_a_shortest_chain(self) -> None:
        t = plane((10, 10), (5, 5)).topology
        self.assertEqual(len(band(t, Selection.of("face", [0, 24]))), 9)
        self.assertEqual(len(band(t, Selection.of("vertex", [0, 35]))), 11)
        self.assertEqual(len(band(t, Selection.of("face", [0, 4]))), 5)

    def test_two_elements_are_needed(self) -> None:
        with self.assertRaisesRegex(BadSelectionError, "two picked elements; 3 are"):
            band(box((1, 1, 1), (1, 1, 1)).topology, Selection.of("face", [0, 1, 2]))


class Growth(unittest.TestCase):
    @settings(max_examples=50, deadline=None)
    @given(cages(), st.sampled_from(KINDS), st.integers(0, 2**32 - 1))
    def test_against_brute_force(self, cage: Cage, kind: str, seed: int) -> None:
        t = cage.topology
        picked = picked_by(cage, kind, seed)
        chosen = set(picked.ids.tolist())
        everyone = range(len(everything(t, picked.kind)))
        if kind == "vertex":
            verts = [{v} for v in everyone]
            for a, b in t.edge_verts.tolist():
                verts[a].add(b)
            near = lambda a, b: b in verts[a] or a in verts[b]  # noqa: E731
        else:
            held = [set(t.edge_verts[i].tolist()) for i in everyone] if kind == "edge" else [
                set(t.face_verts[t.face_offsets[i] : t.face_offsets[i + 1]].tolist()) for i in everyone
            ]  # fmt: skip
            near = lambda a, b: bool(held[a] & held[b])  # noqa: E731
        grown = {i for i in everyone if any(near(i, j) for j in chosen)}
        self.assertEqual(set(grow(t, picked).ids.tolist()), grown)
        kept = {i for i in chosen if not any(near(i, j) for j in everyone if j not in chosen)}
        self.assertEqual(set(shrink(t, picked).ids.tolist()), kept)
        self.assertEqual(set(invert(t, picked).ids.tolist()), set(everyone) - chosen)

    def test_growing_and_shrinking_in_the_middle_undo_each_other(self) -> None:
        t = plane((9, 9), (9, 9)).topology
        middle = Selection.of("face", [40])
        self.assertEqual(len(grow(t, grow(t, middle))), 25)
        self.assertEqual(shrink(t, grow(t, middle)), middle)

    def test_borders(self) -> None:
        t = tray().topology
        self.assertEqual(border(t, Selection.of("face", [])).ids.tolist(), t.open_edges.tolist())
        closed = box((1, 1, 1), (2, 2, 2)).topology
        self.assertEqual(len(border(closed, Selection.of("face", [0]))), 4)
        for picked in (Selection.of("face", []), everything(closed, "face"), Selection.of("edge", [1])):
            with self.assertRaises(BadSelectionError):
                border(closed, picked)


class Alike(unittest.TestCase):
    def test_by_valence_and_sharpness(self) -> None:
        cage = knob()
        five = np.flatnonzero(cage.topology.vertex_valence == 5)
        self.assertEqual(similar_valence(cage, Selection.of("vertex", five[:1])).ids.tolist(), five.tolist())
        sharp = rimmed(2.5)
        edges = np.flatnonzero(sharp.edge_sharpness == 2.5)
        self.assertEqual(similar_sharpness(sharp, Selection.of("edge", edges[:1])).ids.tolist(), edges.tolist())
        self.assertEqual(by_sharpness(sharp, 2).ids.tolist(), edges.tolist())
        for refused in (
            lambda: by_sharpness(sharp, 3),
            lambda: similar_valence(sharp, Selection.of("edge", [0])),
            lambda: similar_sharpness(sharp, Selection.of("face", [0])),
        ):
            with self.assertRaises(BadSelectionError):
                refused()

    def test_by_normal(self) -> None:
        cage = box((3, 3, 3), (3, 3, 3))
        top = np.flatnonzero(cage.face_normals[:, 2] > 0.9)
        self.assertEqual(similar_normal(cage, Selection.of("face", top[:1]), 5).ids.tolist(), top.tolist())
        self.assertEqual(len(similar_normal(cage, Selection.of("face", top[:1]), 90)), 9 + 4 * 9)
        with self.assertRaises(BadNumberError):
            similar_normal(cage, Selection.of("face", top[:1]), 200)

    def test_the_same_on_the_far_side(self) -> None:
        cage = box((4, 3, 2), (4, 3, 2))
        for kind in KINDS:
            found = mirrored(cage, picked_by(cage, kind, 5), 0)
            self.assertEqual(mirrored(cage, found, 0), found)
        with self.assertRaisesRegex(BadSelectionError, "no counterpart"):
            mirrored(knob(), Selection.of("face", [0]), 0)
