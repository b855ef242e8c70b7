"""The commands that add control: each by its name, on symmetric pieces too."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
import trimesh

from tests.studio.test_pieces_and_forms import after, outcome
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.studio.commands import Command, read_command
from zinc_otter.studio.design import Design

BOX = {"kind": "add-box", "name": "Body", "size": [40, 30, 20], "counts": [4, 3, 2]}
SHEET = {"kind": "add-plane", "name": "Sheet", "size": [40, 30], "counts": [4, 3]}
TUBE = {"kind": "add-cylinder", "name": "Tube", "diameter": 20, "height": 60, "counts": [16, 6], "caps": "open"}
MIRROR = {"kind": "mirror", "piece": "p1"}


def picked(design: Design, kind: Any, test: Any) -> dict[str, Any]:
    middles = middles_of(design.piece("p1").cage, kind)
    return {"kind": kind, "ids": [int(i) for i, m in enumerate(middles) if test(*m)]}


def on(design: Design, kind: str, of: str, test: Any, **values: Any) -> dict[str, Any]:
    return {"kind": kind, "piece": "p1", "picked": picked(design, of, test), **values}


def right_rung(x: float, y: float, z: float) -> bool:
    """The edge of the top that runs along x between 10 and 20, in the middle of the far row."""
    return z > 9 and abs(x - 15) < 0.1 and abs(y - 5) < 0.1


# Verb, what is picked on a box, and further values; done on the plain and on the mirrored box.
CASES: list[tuple[str, str, Any, dict[str, Any]]] = [
    ("add-loop", "edge", right_rung, {"shares": [0.3]}),
    ("add-loop", "edge", right_rung, {"shares": [0.25, 0.5, 0.75], "form": "hold"}),
    ("remove", "edge", lambda x, y, z: z > 9 and abs(x - 10) < 0.1 and abs(y) < 4, {"loops": True, "form": "hold"}),
    ("remove", "edge", right_rung, {}),
    ("split", "face", lambda x, y, z: z > 9 and x > 10 and y > 5, {"along": 2, "across": 3}),
    ("split", "edge", right_rung, {"along": 3}),
    ("knife", "face", lambda x, y, z: z > 9, {"point": [0, 2, 0], "normal": [0, 1, 0]}),
    ("chamfer", "edge", right_rung, {"distance": 1.0, "segments": 2, "profile": "round"}),
    ("chamfer", "edge", lambda x, y, z: x > 19 and z > 9, {"distance": 1.5}),
    ("chamfer", "vertex", lambda x, y, z: x > 19 and z > 9 and y > 14, {"distance": 1.5}),
    ("slide", "edge", lambda x, y, z: z > 9 and abs(x - 10) < 0.1 and abs(y) < 11, {"share": 0.4}),
    ("slide", "edge", lambda x, y, z: z > 9 and abs(x - 10) < 0.1 and abs(y) < 11, {"distance": -1.5}),
    ("slide", "vertex", lambda x, y, z: z > 9 and abs(x - 10) < 0.1 and abs(y - 5) < 0.1,
     {"distance": 2, "towards": [1, 0, 0]}),
    ("straighten", "edge", lambda x, y, z: z > 9 and abs(x - 10) < 0.1 and abs(y) < 11, {}),
    ("space-evenly", "edge", lambda x, y, z: z > 9 and abs(y - 5) < 0.1, {}),
    ("relax", "face", lambda x, y, z: z > 9, {"rounds": 3}),
    ("relax", "face", lambda x, y, z: True, {"rounds": 3, "hold": False}),
    ("spin", "edge", right_rung, {}),
    ("collapse", "edge", right_rung, {}),
    ("collapse", "edge", right_rung, {"rings": True}),
    ("resample", "face", lambda x, y, z: z > 9, {"u": 4, "v": 3}),
]  # fmt: skip


class EachCommand(unittest.TestCase):
    def test_on_a_box_and_on_a_mirrored_one(self) -> None:
        for start in (after(Design(), BOX), after(Design(), BOX, MIRROR)):
            for kind, of, test, values in CASES:
                piece = start.piece("p1")
                with self.subTest(kind=kind, mirrored=piece.symmetry is not None, values=values):
                    given = on(start, kind, of, test, **values)
                    self.assertTrue(given["picked"]["ids"])
                    done = outcome(start, given)
                    changed = done.design.piece("p1")
                    changed.cage.topology.check()
                    # What has nothing to even out on a regular box may leave it as it is.
                    if kind not in ("straighten", "space-evenly", "resample", "relax"):
                        self.assertNotEqual(changed.cage.digest, piece.cage.digest)
                    if piece.symmetry is not None:
                        assert changed.symmetry is not None
                        self.assertLess(changed.symmetry.strays(changed.cage.positions), 1e-9)

    def test_what_is_held_says_by_how_much_it_strays(self) -> None:
        tube = after(Design(), TUBE)
        around = on(tube, "add-loop", "edge", lambda x, y, z: abs(z) < 0.1 and x > 9 and y > 0, form="hold")
        done = outcome(tube, around)
        self.assertRegex(done.remarks[0], r"strays .* % of the size")
        self.assertEqual(outcome(tube, {**around, "form": "tight"}).remarks, ())

    def test_a_cut_through_a_whole_piece_picks_the_cut(self) -> None:
        tube = after(Design(), TUBE)
        whole = {"kind": "piece", "ids": [0]}
        done = outcome(tube, {"kind": "knife", "piece": "p1", "picked": whole, "point": [0, 0, 3], "normal": [0, 0, 1]})
        assert done.selected is not None
        self.assertFalse(done.whole)
        self.assertEqual((done.selected.kind, len(done.selected)), ("edge", 16))

    def test_bad_numbers_are_refused_by_name(self) -> None:
        base = {"piece": "p1", "picked": {"kind": "edge", "ids": [0]}}
        for given in (
            {"kind": "add-loop", "shares": [0.0]}, {"kind": "add-loop", "shares": []}, {"kind": "chamfer", "distance": 0},
            {"kind": "chamfer", "distance": 1, "segments": 17}, {"kind": "slide", "share": 2},
            {"kind": "resample", "u": 0, "v": 3},
            {"kind": "split", "along": 65}, {"kind": "relax", "rounds": 0}, {"kind": "scale-creases", "factor": -1},
            {"kind": "knife", "point": [0, 0, 0], "normal": [0, 0, float("nan")]},
        ):  # fmt: skip
            with self.subTest(given=given), self.assertRaises(ValueError):
                read_command({**base, **given})


class OnOneSide(unittest.TestCase):
    """What goes by a place in space, or takes the picked as one thing, is done on each side of a symmetric piece."""

    def check(self, done: Any, sides: int) -> Any:
        piece = done.design.piece("p1")
        assert piece.symmetry is not None
        piece.cage.topology.check()
        self.assertLess(piece.symmetry.strays(piece.cage.positions), 1e-9)
        self.assertEqual(piece.symmetry.group.order, sides)
        return piece.cage

    def test_the_knife_in_a_mirror(self) -> None:
        box = after(Design(), {**BOX, "size_of": "cage"}, MIRROR)
        faces = box.piece("p1").cage.topology.face_count
        for given, more in (
            ({"picked": {"kind": "piece", "ids": [0]}, "normal": [1, 0, 0]}, 20),
            ({"picked": picked(box, "face", lambda x, y, z: z > 9 and x > 11), "normal": [1, 0, 0]}, 6),
            ({"picked": {"kind": "piece", "ids": [0]}, "normal": [1, 0.2, 0], "leave": "filled", "keep": "negative"}, None),
        ):
            done = outcome(box, {"kind": "knife", "piece": "p1", "point": [14, 0, 0], **given})
            cage = self.check(done, 2)
            if more is not None:
                self.assertEqual(cage.topology.face_count, faces + more)
                self.assertEqual(np.count_nonzero(np.isclose(cage.positions[:, 0], 14)),
                                 np.count_nonzero(np.isclose(cage.positions[:, 0], -14)))  # fmt: skip
                # The side in hand stays picked, or both where the whole was.
                assert done.selected is not None
                self.assertEqual(len(done.selected), 20 if given["picked"]["kind"] == "piece" else 3)
            else:
                self.assertTrue(cage.topology.is_closed)
                self.assertLess(cage.bounds[1, 0], 20)

    def test_an_oblique_plane_through_each_side_by_itself(self) -> None:
        whole = {"kind": "piece", "ids": [0]}
        flat = after(Design(), {**BOX, "size_of": "cage"}, MIRROR)
        # It meets the mirror's plane at x = 0, y = 0: a V, not an X.
        plane = {"kind": "knife", "piece": "p1", "picked": whole, "point": [8, 4, 0], "normal": [-1, 2, 0]}
        crossed = self.check(outcome(flat, plane), 2)
        self.assertTrue(np.isclose(np.abs(crossed.positions[:, 0]), -2 * crossed.positions[:, 1]).sum() > 4, "an X")
        done = outcome(flat, {**plane, "sides": "each"})
        cage = self.check(done, 2)
        assert done.selected is not None
        ends = cage.positions[cage.topology.edge_verts[done.selected.ids]].reshape(-1, 3)
        np.testing.assert_allclose(np.abs(ends[:, 0]), 2 * ends[:, 1], atol=1e-9)
        self.assertTrue(cage.topology.is_closed)
        # All round on each side, meeting at the seam.
        self.assertGreaterEqual(ends[:, 1].min(), -1e-9)
        kept = self.check(outcome(flat, {**plane, "sides": "each", "keep": "negative"}), 2)
        middles = kept.positions[kept.topology.face_verts]
        self.assertLessEqual((2 * middles[:, 1] - np.abs(middles[:, 0])).max(), 1e-9)

    def test_each_side_needs_faces_that_have_a_side(self) -> None:
        odd = after(Design(), {**BOX, "counts": [3, 3, 2], "size_of": "cage"}, {**MIRROR, "way": "follow"})
        cut = {"kind": "knife", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "point": [8, 4, 0],
               "normal": [-1, 2, 0], "sides": "each"}  # fmt: skip
        with self.assertRaisesRegex(CoreError, "lie across the seam") as refused:
            outcome(odd, cut)
        self.assertTrue(refused.exception.place.faces)

    def test_the_knife_in_sectors(self) -> None:
        tube = after(Design(), {**TUBE, "size_of": "cage"}, {
            "kind": "repeat-around", "piece": "p1", "way": "follow", "sectors": 4, "towards": [1, 0.1, 0],
        })  # fmt: skip
        whole = {"kind": "piece", "ids": [0]}
        done = outcome(tube, {"kind": "knife", "piece": "p1", "picked": whole, "point": [9, 0, 0], "normal": [1, 0, 0],
                              "keep": "negative"})  # fmt: skip
        cage = self.check(done, 4)
        self.assertLess(np.abs(cage.positions[:, :2]).max(), 9 + 1e-9)

    def test_resampled_on_one_side(self) -> None:
        box = after(Design(), {**BOX, "counts": [6, 4, 2], "size_of": "cage"}, MIRROR)
        faces = box.piece("p1").cage.topology.face_count
        side = picked(box, "face", lambda x, y, z: z > 9 and x > 7 and abs(y) < 8)
        self.assertEqual(len(side["ids"]), 4)
        for u, v, more in ((4, 2, 4), (2, 4, 4), (4, 4, 12), (2, 2, 0)):
            done = outcome(box, {"kind": "resample", "piece": "p1", "picked": side, "u": u, "v": v})
            cage = self.check(done, 2)
            self.assertEqual(cage.topology.face_count, faces + 2 * more)
            assert done.selected is not None
            self.assertEqual(len(done.selected), u * v)

    def test_resampled_sides_that_meet_at_the_seam(self) -> None:
        box = after(Design(), {**BOX, "counts": [6, 4, 2], "size_of": "cage"}, MIRROR)
        faces = box.piece("p1").cage.topology.face_count
        half = picked(box, "face", lambda x, y, z: z > 9 and x > 0)
        self.assertEqual(len(half["ids"]), 12)
        # It is 3 faces by 4, in whichever order they are counted: of these pairs those are multiples that fit the order.
        counts = set()
        for u, v in ((3, 8), (4, 6), (8, 3), (6, 4)):
            try:
                done = outcome(box, {"kind": "resample", "piece": "p1", "picked": half, "u": u, "v": v})
            except BadSelectionError:
                continue
            cage = self.check(done, 2)
            self.assertEqual(cage.topology.face_count, faces + 2 * (u * v - 12))
            counts.add(u * v)
        self.assertEqual(counts, {24})


class RowsAndColumns(unittest.TestCase):
    """The control points of a regular sheet."""

    def test_a_row_raised_by_one_typed_amount(self) -> None:
        sheet = after(Design(), SHEET)
        row = picked(sheet, "vertex", lambda x, y, z: abs(x) < 0.1)
        self.assertEqual(len(row["ids"]), 4)
        done = after(sheet, {"kind": "move", "piece": "p1", "picked": row, "vector": [0, 0, 7.5]})
        z = done.piece("p1").cage.positions[:, 2]
        self.assertEqual(sorted(set(z.tolist())), [0.0, 7.5])
        # A sheet that is pulled by one row is curved across it, and straight along.
        self.assertEqual(np.count_nonzero(z), 4)

    def test_straight_in_one_direction_by_creasing_its_edges(self) -> None:
        from zinc_otter.core.surface import build_stencils, evaluate

        sheet = after(Design(), {**SHEET, "counts": [6, 6]})
        wave = [{"kind": "move", "piece": "p1", "picked": picked(sheet, "vertex", lambda x, y, z, k=k: abs(x - k) < 0.1),
                 "vector": [0, 0, 5]} for k in (-40 / 6, 40 / 6)]  # fmt: skip
        bent = after(sheet, *wave)
        tilted = after(bent, {"kind": "move", "piece": "p1", "vector": [0, 0, 4],
                              "picked": picked(bent, "vertex", lambda x, y, z: abs(y) < 0.1)})  # fmt: skip
        rows = picked(tilted, "edge", lambda x, y, z: True)
        ends = tilted.piece("p1").cage.positions[tilted.piece("p1").cage.topology.edge_verts]
        rows["ids"] = [e for e in rows["ids"] if abs(ends[e, 0, 1] - ends[e, 1, 1]) < 0.1]
        creased = after(tilted, {"kind": "crease", "piece": "p1", "picked": rows, "sharpness": 10}).piece("p1").cage
        stencils = build_stencils(creased, 4)
        points = evaluate(stencils, creased).points
        # Across the creased rows the surface is straight from row to row: on the line half-way it is the mean of both.
        step = 30 / 6
        line = points[np.abs(points[:, 0]) < 1e-6]
        line = line[np.argsort(line[:, 1])]
        for y in np.arange(-12.5, 15, step):
            height = np.interp(y, line[:, 1], line[:, 2])
            low, high = (np.interp(y + d, line[:, 1], line[:, 2]) for d in (-step / 2, step / 2))
            self.assertAlmostEqual(height, (low + high) / 2, places=6)
        # Along them it is curved.
        along = points[np.abs(points[:, 1] - 5) < 1e-6]
        self.assertGreater(np.ptp(along[:, 2]), 2)


def rounded_block(size: tuple[float, float, float], radius: float, noise: float) -> MeshDistance:
    """The scan of a block whose edges are rounded: a ball goes round a smaller block (a Minkowski sum)."""
    inner = np.array(size) / 2 - radius
    ball = trimesh.creation.icosphere(4, 1.0)
    around = [ball.vertices * radius + inner * (2 * np.array(corner) - 1) for corner in np.ndindex(2, 2, 2)]
    hull = trimesh.Trimesh(np.concatenate(around)).convex_hull.subdivide_to_size(1.5)
    jitter = np.random.default_rng(2).normal(scale=noise, size=(len(hull.vertices), 1))
    return MeshDistance(hull.vertices + jitter * hull.vertex_normals, hull.faces)


class LikeAComponent(unittest.TestCase):
    def test_the_edges_that_run_along_its_sharp_lines(self) -> None:
        design = after(Design(), {**BOX, "size_of": "cage"}, {
            "kind": "add-component", "name": "Block", "asset": "a" * 64, "triangles": 12, "size": [40, 30, 20],
        })  # fmt: skip
        mesh = trimesh.creation.box((40, 30, 20))
        like = design.references[0].id
        asked = {"kind": "crease-like", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "like": like, "within": 0.2}
        command: Command = read_command(asked)
        done = command.apply_among(design, lambda asset: MeshDistance(mesh.vertices, mesh.faces))
        cage = done.design.piece("p1").cage
        self.assertEqual(np.count_nonzero(cage.edge_sharpness == 10), 4 * (4 + 3 + 2))
        self.assertIn("36 edges", done.remarks[0])
        assert done.selected is not None
        self.assertEqual(len(done.selected), 36)
        with self.assertRaises(BadSelectionError):
            command.apply(design)

    def test_the_sharp_lines_of_a_noisy_scan(self) -> None:
        design = after(Design(), {**BOX, "size_of": "cage"}, {
            "kind": "add-component", "name": "Clay", "asset": "a" * 64, "triangles": 12, "size": [40, 30, 20],
        })  # fmt: skip
        block = trimesh.creation.box((40, 30, 20)).subdivide_to_size(0.9)
        jitter = np.random.default_rng(5).normal(scale=0.08, size=block.vertices.shape)
        scan = MeshDistance(block.vertices + jitter, block.faces)
        asked = {
            "kind": "crease-like", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "like": design.references[0].id,
        }  # fmt: skip
        done = read_command(asked).apply_among(design, lambda asset: scan)
        # As of the block without noise: its twelve edges, and no other.
        self.assertEqual(np.count_nonzero(done.design.piece("p1").cage.edge_sharpness == 10), 4 * (4 + 3 + 2))

    def test_picked_edges_are_as_tight_as_a_scan_is_rounded(self) -> None:
        design = after(Design(), {**BOX, "counts": [3, 3, 2]}, {
            "kind": "add-component", "name": "Clay", "asset": "a" * 64, "triangles": 12, "size": [40, 30, 20],
        })  # fmt: skip
        like = design.references[0].id
        top = on(design, "crease-like", "edge", lambda x, y, z: z > 9 and abs(y) > 14, like=like, by="scan")
        for radius, least, most in ((1.5, 1.0, 1.75), (4.0, 0.0, 0.25)):
            scan = rounded_block((40, 30, 20), radius, 0.02)
            done = read_command(top).apply_among(design, lambda asset, scan=scan: scan)
            (said,) = done.remarks
            self.assertIn("Along 6 edges the scan turns by 9", said)
            told = float(said.split("a radius of ")[1].split(" mm")[0])
            self.assertAlmostEqual(told, radius, delta=0.1 * radius)
            creased = done.design.piece("p1").cage.edge_sharpness
            self.assertTrue(least <= creased.max() <= most, creased.max())
            self.assertEqual(np.count_nonzero(creased), 6 if creased.max() else 0)
        with self.assertRaisesRegex(BadSelectionError, "picked edges"):
            read_command({**top, "picked": {"kind": "piece", "ids": [0]}}).apply_among(design, lambda asset: scan)

    def test_softened_to_a_share(self) -> None:
        box = after(Design(), BOX)
        creased = after(box, on(box, "crease", "edge", lambda x, y, z: z > 9, sharpness=6))
        whole = {"kind": "piece", "ids": [0]}
        soft = after(creased, {"kind": "scale-creases", "piece": "p1", "picked": whole, "factor": 0.5})
        self.assertEqual(set(soft.piece("p1").cage.edge_sharpness.tolist()), {0.0, 3.0})


if __name__ == "__main__":
    unittest.main()
