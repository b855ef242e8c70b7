"""Proofs that a design keeps, against formulas; kept, changed, stale and looked at again."""

from __future__ import annotations

import json
import re
import unittest
from pathlib import Path
from typing import Any

import numpy as np

from tests import sample_cages
from tests.core.stone.test_laying import BAND, done
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.primitives.ring import ring_band
from zinc_otter.core.primitives.sized import sized_box, sized_patched_sphere, sized_torus, sized_tube
from zinc_otter.core.printing.processes import PROCESSES as PRINTED
from zinc_otter.core.proof.casting import PROCESSES as CAST
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving import KINDS, Ground, Proof
from zinc_otter.core.proving.balance import CentreOfMass, StandsUp
from zinc_otter.core.proving.bends import Bends, radii
from zinc_otter.core.proving.distances import ClearanceKept, Deviation, GapKept, Symmetric
from zinc_otter.core.proving.facing import Draft, Overhang
from zinc_otter.core.proving.sizes import BoreHeld, FitsIn, SizeHeld
from zinc_otter.core.proving.soundly import Sound, WeighsAtMost
from zinc_otter.core.proving.wall import Wall
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.store.documents import from_document, to_document
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.proofs import proof_document, read_proof


def mesh_of(cage: Cage, level: int = 4) -> MeshDistance:
    stencils = build_stencils(cage, level)
    quads = stencils.quads.astype(np.int64)
    triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
    return MeshDistance(evaluate(stencils, cage).points[: stencils.vertex_count], triangles)


def ground(cage: Cage, level: int = 4, others: dict[str, Cage] | None = None, fine: bool = True) -> Ground:
    mesh = mesh_of(cage, level)
    held = {key: mesh_of(other) for key, other in (others or {}).items()}
    own = lambda points: points  # noqa: E731
    return Ground(
        cage, mesh.vertices, mesh.triangles, lambda: mesh, held.get,
        lambda key: (held[key], own) if key in held else None, fine,
    )  # fmt: skip


def hard_block(size: tuple[float, float, float]) -> Cage:
    block = sized_box(size, (2, 2, 2), "cage")
    return block.with_sharpness(edges=np.full(block.topology.edge_count, 10.0))


def cone(wide: float, high: float, faces: int = 64) -> Cage:
    """A pyramid of so many sides, hard all over: its centre of mass lies a quarter of its height up."""
    t = np.arange(faces) * 2 * np.pi / faces
    points = np.vstack([np.column_stack([np.cos(t), np.sin(t), 0 * t]) * wide / 2, [[0, 0, high]]])
    sides = [[k, (k + 1) % faces, faces] for k in range(faces)]
    cage = Cage.from_faces(points, [*sides, list(range(faces))[::-1]])
    return cage.with_sharpness(edges=np.full(cage.topology.edge_count, 10.0))


class Balance(unittest.TestCase):
    def test_a_block_tips_over_its_narrower_side(self) -> None:
        verdict = StandsUp(least=20).judge(ground(hard_block((40, 12, 30)), 2))
        assert verdict.figure is not None
        self.assertAlmostEqual(verdict.figure, np.degrees(np.arctan(6 / 15)), delta=1e-6)
        self.assertEqual(verdict.holds, "holds")
        self.assertEqual(StandsUp(least=22).judge(ground(hard_block((40, 12, 30)), 2)).holds, "fails")
        # Laid on another side: 15 over 6 and 20 over 6.
        lying = StandsUp(up=(0, 1, 0), least=60).judge(ground(hard_block((40, 12, 30)), 2))
        self.assertAlmostEqual(lying.figure or 0, np.degrees(np.arctan(15 / 6)), delta=1e-6)

    def test_a_cone_on_its_foot_and_on_its_tip(self) -> None:
        foot = StandsUp(least=5).judge(ground(cone(20, 40), 3))
        # A quarter of its height up, over a foot of 10 mm.
        self.assertAlmostEqual(foot.figure or 0, np.degrees(np.arctan(10 / 10)), delta=0.4)
        tip = StandsUp(up=(0, 0, -1), least=5).judge(ground(cone(20, 40), 3))
        self.assertEqual(tip.holds, "fails")
        self.assertLess(tip.figure or 0, 1)

    def test_what_leans_too_far_falls_over(self) -> None:
        block = hard_block((10, 10, 40))
        shear = block.positions.copy()
        shear[:, 0] += 0.6 * (shear[:, 2] + 20)
        verdict = StandsUp().judge(ground(block.with_positions(shear), 2))
        self.assertEqual(verdict.holds, "fails")
        self.assertIn("falls over", verdict.words)

    def test_the_centre_of_mass_by_formulas(self) -> None:
        for axis, least, most, holds in (("z", 9.5, 10.5, "holds"), ("z", 10.6, 12, "fails"), ("x", -0.1, 0.1, "holds")):
            verdict = CentreOfMass(axis=axis, least=least, most=most).judge(ground(cone(20, 40), 3))
            self.assertEqual(verdict.holds, holds, verdict.words)
        self.assertAlmostEqual(CentreOfMass().judge(ground(cone(20, 40), 3)).figure or 0, 10, delta=0.1)
        block = CentreOfMass(axis="x", least=-1, most=1).judge(ground(hard_block((40, 12, 30)), 2))
        self.assertEqual((block.holds, block.words), ("holds", "It lies at x 0, y 0, z 0 mm."))
        self.assertIn("too low", CentreOfMass(least=20, most=30).judge(ground(cone(20, 40), 3)).words)

    def test_open_forms_and_wrong_numbers(self) -> None:
        opened = delete_elements(hard_block((10, 10, 10)), Selection.of("face", [0])).cage
        for proof in (CentreOfMass(), StandsUp()):
            self.assertEqual(proof.judge(ground(opened, 2)).holds, "unknown")
        for wrong in (lambda: CentreOfMass(least=5, most=4), lambda: StandsUp(least=90), lambda: StandsUp(up=(0, 0, 0))):
            self.assertRaises(BadNumberError, wrong)


class Walls(unittest.TestCase):
    def test_a_tube_by_its_diameters(self) -> None:
        tube = sized_tube((20, 17, 30), (16, 4, 1), 10.0, "surface")
        verdict = Wall(least=1.4).judge(ground(tube))
        # At the rims rays run along hard edges; the wall itself is 1.5 mm.
        self.assertEqual(verdict.holds, "holds")
        assert verdict.figure is not None
        self.assertAlmostEqual(verdict.figure, 1.5, delta=0.06)
        verdict = Wall(least=1.7).judge(ground(tube))
        self.assertEqual(verdict.holds, "fails")
        self.assertRegex(verdict.words, "lie below 1.7 mm")
        self.assertTrue(verdict.place.points)

    def test_a_torus_and_a_ball_measure_their_section(self) -> None:
        for cage, wall in (
            (sized_torus((30, 6), (24, 12), "surface"), 6.0),
            (sized_patched_sphere(20.0, 4, "surface"), 20.0),
        ):
            verdict = Wall(least=0.5).judge(ground(cage))
            assert verdict.figure is not None
            self.assertAlmostEqual(verdict.figure / wall, 1, delta=0.01)

    def test_the_map_has_a_value_at_every_point(self) -> None:
        at = ground(sized_torus((30, 6), (24, 12), "surface"))
        found = Wall(least=2.0).map(at)
        self.assertEqual(found.values.shape, (len(at.points),))
        np.testing.assert_allclose(found.values, 6.0, rtol=0.01)

    def test_no_ray_slips_between_triangles(self) -> None:
        # A form as even as this sends rays through the very corners of its far side.
        for fine in (True, False):
            at = ground(sized_torus((20, 4), (16, 8), "surface"), 3, fine=fine)
            np.testing.assert_allclose(Wall().map(at).values, 4.0, rtol=0.02)

    def test_an_open_form_has_no_wall(self) -> None:
        self.assertEqual(Wall().judge(ground(sample_cages.tray())).holds, "unknown")

    def test_coarse_in_a_drag(self) -> None:
        verdict = Wall().judge(ground(sized_torus((30, 6), (24, 12), "surface"), fine=False))
        count = int(verdict.words.split("of ")[-1].split()[0].replace(",", ""))
        self.assertLess(count, 3_100)


class Sizes(unittest.TestCase):
    def test_an_extent_within_its_tolerance(self) -> None:
        box = sized_box((40, 20, 10), (3, 2, 1), "surface")
        for axis, size in zip("xyz", (40, 20, 10), strict=True):
            proof = SizeHeld(axis=axis, size=size + 0.05, tolerance=0.1)  # type: ignore[arg-type]
            self.assertEqual(proof.judge(ground(box)).holds, "holds")
        verdict = SizeHeld(axis="x", size=41, tolerance=0.1).judge(ground(box))
        self.assertEqual(verdict.holds, "fails")
        self.assertRegex(verdict.words, "It measures 40 mm, 1 mm too short")

    def test_it_fits_as_it_stands_or_turned(self) -> None:
        box = sized_box((40, 20, 10), (3, 2, 1), "surface")
        self.assertEqual(FitsIn(size=(10.1, 40.1, 20.1)).judge(ground(box)).holds, "holds")
        verdict = FitsIn(size=(10.1, 40.1, 20.1), turned=False).judge(ground(box))
        self.assertRegex(verdict.words, "29.9 mm too much")

    def test_a_bore(self) -> None:
        ring = ring_band(17.3, (5, 5), (2, 2), "D", 16)
        self.assertEqual(BoreHeld(diameter=17.3).judge(ground(ring)).holds, "holds")
        self.assertRegex(BoreHeld(diameter=18.0).judge(ground(ring)).words, "too narrow")
        box = sized_box((4, 4, 4), (2, 2, 2), "surface")
        self.assertRegex(BoreHeld(diameter=18.0).judge(ground(box)).words, "No cylinder goes through")


class Distances(unittest.TestCase):
    def test_a_gap_between_two_balls(self) -> None:
        ball = sized_patched_sphere(10.0, 4, "surface")
        away = ball.with_positions(ball.positions + [11.5, 0, 0])
        at = ground(ball, others={"p2": away})
        verdict = GapKept(other="p2", least=1.0).judge(at)
        assert verdict.figure is not None
        self.assertEqual(verdict.holds, "holds")
        self.assertAlmostEqual(verdict.figure, 1.5, delta=0.01)
        near = ground(ball, others={"p2": ball.with_positions(ball.positions + [9.0, 0, 0])})
        self.assertRegex(GapKept(other="p2").judge(near).words, "run into one another by 1 mm|by 0.9")
        self.assertEqual(GapKept(other="gone").judge(at).holds, "unknown")

    def test_clearance_to_a_component(self) -> None:
        ball = sized_patched_sphere(10.0, 4, "surface")
        at = ground(ball, others={"r1": ball.with_positions(ball.positions * 0.5)})
        # A ball about another of half its size: 2.5 mm all round.
        verdict = ClearanceKept(component="r1", least=2.0).judge(at)
        assert verdict.figure is not None
        self.assertAlmostEqual(verdict.figure, 2.5, delta=0.02)
        self.assertEqual(ClearanceKept(component="r1", least=3.0).judge(at).holds, "fails")

    def test_symmetry_and_what_breaks_it(self) -> None:
        torus = sized_torus((20, 4), (16, 8), "surface")
        self.assertEqual(Symmetric(axis="x").judge(ground(torus)).holds, "holds")
        moved = torus.with_positions(torus.positions + np.where(np.arange(128)[:, None] == 3, [0.0, 0, 1.5], 0.0))
        verdict = Symmetric(axis="y").judge(ground(moved))
        self.assertEqual(verdict.holds, "fails")
        self.assertRegex(verdict.words, "differ by")
        aside = torus.with_positions(torus.positions + [2.0, 0, 0])
        self.assertEqual(Symmetric(axis="x", at=2.0).judge(ground(aside)).holds, "holds")


class Facing(unittest.TestCase):
    def test_the_draft_of_a_ball_by_its_zone(self) -> None:
        # Of a ball the zone within d degrees of its equator is sin d of its area (Archimedes).
        ball = sized_patched_sphere(20.0, 6, "surface")
        for degrees in (5.0, 20.0):
            verdict = Draft(least=degrees).judge(ground(ball))
            assert verdict.figure is not None
            self.assertAlmostEqual(verdict.figure, 100 * np.sin(np.radians(degrees)), delta=0.8)

    def test_the_overhang_of_a_ball_by_its_cap(self) -> None:
        # What looks down by more than d degrees is a cap of (1 - sin d) / 2 of the area.
        ball = sized_patched_sphere(20.0, 6, "surface")
        for degrees in (30.0, 60.0):
            verdict = Overhang(most=degrees, along=(0, 1, 0)).judge(ground(ball))
            assert verdict.figure is not None
            self.assertAlmostEqual(verdict.figure, 100 * (1 - np.sin(np.radians(degrees))) / 2, delta=0.8)

    def test_a_block_on_the_floor_hangs_over_nowhere(self) -> None:
        box = sized_box((20, 20, 10), (2, 2, 1), "cage")
        hard = box.with_sharpness(np.full(box.topology.edge_count, 10.0))
        self.assertEqual(Overhang().judge(ground(hard)).holds, "holds")
        self.assertEqual(Draft(least=1.0).judge(ground(hard)).holds, "fails")


class Soundness(unittest.TestCase):
    def test_closed_open_and_crossing(self) -> None:
        torus = sized_torus((20, 4), (16, 8), "surface")
        self.assertEqual(Sound().judge(ground(torus)).holds, "holds")
        open_one = delete_elements(torus, Selection.of("face", [3])).cage
        verdict = Sound().judge(ground(open_one))
        self.assertRegex(verdict.words, "open along 4 edges")
        self.assertEqual(len(verdict.place.edges), 4)
        pulled = torus.positions.copy()
        pulled[:8] += [-30.0, 0, 0]
        self.assertRegex(Sound().judge(ground(torus.with_positions(pulled))).words, "runs through itself|Closed")

    def test_weight_by_pappus(self) -> None:
        # Volume 2 pi² R r²: the torus of 20 and 4 is 789.6 mm³.
        torus = sized_torus((20, 4), (24, 12), "surface")
        silver = next(m for m in MATERIALS if "925" in m.name)
        grams = silver.weight(2 * np.pi**2 * 10 * 4)
        verdict = WeighsAtMost(most=grams * 1.02).judge(ground(torus, 4))
        assert verdict.figure is not None
        self.assertEqual(verdict.holds, "holds")
        self.assertAlmostEqual(verdict.figure / grams, 1, delta=0.01)
        self.assertEqual(WeighsAtMost(most=grams * 0.9).judge(ground(torus)).holds, "fails")
        self.assertEqual(WeighsAtMost().judge(ground(sample_cages.tray())).holds, "unknown")


class Bending(unittest.TestCase):
    def test_a_torus_by_its_radii(self) -> None:
        # 36 over all and 24 through it: 3 mm of section about a circle of 15.
        at = ground(sized_torus((30, 6), (24, 12), "surface"), 3)
        outside, inside = radii(at.points, at.triangles, "outside"), radii(at.points, at.triangles, "inside")
        # The surface strays from a torus by little, its curvature by two per cent.
        np.testing.assert_allclose(outside, 3.0, rtol=0.03)
        # Hollow it is along its bore only, by the bore's own radius.
        self.assertAlmostEqual(inside.min(), 12.0, delta=0.15)
        out = np.hypot(at.points[:, 0], at.points[:, 1])
        self.assertTrue(np.isinf(inside[out > 16]).all())
        for least, fails in ((2.9, False), (3.2, True)):
            self.assertEqual(Bends(least=least).judge(at).holds, "fails" if fails else "holds")
        for least, fails in ((11.5, False), (12.5, True)):
            self.assertEqual(Bends(least=least, side="inside").judge(at).holds, "fails" if fails else "holds")

    def test_a_pipe_along_a_helix(self) -> None:
        # The centre line's radius is (r² + c²) / r; the pipe is hollow towards its axis by that less its own.
        turn = np.linspace(0, 2 * np.pi, 24)
        spring = Curve(np.column_stack([20 * np.cos(turn), 20 * np.sin(turn), 4 * turn]))
        at = ground(pipe(spring, 3.0, 12, each=3).cage, 3)
        middle = np.abs(at.points[:, 2] - 4 * np.pi) < 6
        found = radii(at.points, at.triangles, "outside")[middle]
        np.testing.assert_allclose(np.median(found), 3.0, rtol=0.02)
        inside = radii(at.points, at.triangles, "inside")[middle]
        self.assertAlmostEqual(inside.min(), (20**2 + 4**2) / 20 - 3, delta=0.6)

    def test_sharp_edges_have_no_radius_and_know_their_side(self) -> None:
        block = sized_box((30.0, 20.0, 8.0), (3, 2, 1), "surface")
        sharp = block.with_sharpness(edges=np.full(block.topology.edge_count, 10.0))
        at = ground(sharp, 2)
        verdict = Bends(least=0.5).judge(at)
        self.assertEqual((verdict.holds, verdict.figure), ("fails", 0.0))
        self.assertIn("sharp", verdict.words)
        self.assertEqual(Bends(least=0.5, side="inside").judge(at).holds, "holds")


class Deviating(unittest.TestCase):
    def test_a_displaced_copy_by_its_displacement(self) -> None:
        ball = sized_patched_sphere(20.0, 4, "surface")
        larger = ball.with_positions(ball.positions * 1.03)
        at = ground(larger, 3, {"p2": ball})
        verdict = Deviation(piece="p1", other="p2", most=0.31).judge(at)
        self.assertEqual(verdict.holds, "holds")
        assert verdict.figure is not None
        self.assertAlmostEqual(verdict.figure, 0.3, delta=5e-3)
        self.assertIn("0.3 mm root mean square", verdict.words)
        self.assertIn("100 % of", verdict.words)
        failing = Deviation(piece="p1", component="p2", most=0.2)
        self.assertEqual(failing.judge(at).holds, "fails")
        found = failing.map(at)
        np.testing.assert_allclose(found.values, 0.3, atol=6e-3)
        self.assertTrue(found.both)
        self.assertEqual(Deviation(piece="p1", other="p9").judge(at).holds, "unknown")

    def test_the_card_offers_what_processes_ask_for(self) -> None:
        source = (Path(__file__).parents[3] / "web/src/tools/prove/wall.ts").read_text("utf-8")
        table = source.split("const made")[1].split("}")[0]
        offered = {name: float(wall) for name, wall in re.findall(r"(\w+): (\d\.\d)", table)}
        for process in PRINTED:
            self.assertEqual(offered[process.id], process.wall)
        for process in CAST:
            self.assertEqual(offered[process.id], process.wall)


class Kept(unittest.TestCase):
    def proofs(self) -> list[Proof]:
        return [kind() for kind in KINDS]

    def test_documents_come_back_equal(self) -> None:
        for proof in self.proofs():
            self.assertEqual(read_proof(json.loads(json.dumps(proof_document(proof)))), proof)

    def test_a_design_keeps_them_through_its_document(self) -> None:
        design = done(Design(), **BAND)
        for proof in ({"kind": "wall", "least": 1.2}, {"kind": "sound"}, {"kind": "fits-in", "size": [30, 30, 10]}):
            design = done(design, kind="add-proof", proof={"piece": "p1", **proof})
        document, blobs = to_document(design)
        back = from_document(json.loads(json.dumps(document)), blobs)
        self.assertEqual(back.proofs, design.proofs)
        self.assertEqual([proof.id for proof in back.proofs], ["q2", "q3", "q4"])
        old = {key: value for key, value in document.items() if key != "proofs"}
        self.assertEqual(from_document(old, blobs).proofs, ())

    def test_changed_and_removed(self) -> None:
        design = done(done(Design(), **BAND), kind="add-proof", proof={"kind": "wall", "piece": "p1", "least": 1})
        design = done(design, kind="change-proof", proof={"kind": "wall", "piece": "p1", "id": "q2", "least": 2})
        (proof,) = design.proofs
        assert isinstance(proof, Wall)
        self.assertEqual(proof.least, 2)
        self.assertEqual(done(design, kind="remove-proof", proof="q2").proofs, ())

    def refuse(self, words: str, design: Design, **command: Any) -> None:
        with self.assertRaisesRegex(CoreError, words):
            read_command(command).apply(design)

    def test_refusals(self) -> None:
        design = done(Design(), **BAND)
        self.refuse("has no piece", design, kind="add-proof", proof={"kind": "wall", "piece": "p9"})
        self.refuse("distance to itself", design, kind="add-proof", proof={"kind": "gap", "piece": "p1", "other": "p1"})
        self.refuse(
            "has no reference", design, kind="add-proof", proof={"kind": "clearance", "piece": "p1", "component": "r9"}
        )
        self.refuse("has no proof", design, kind="remove-proof", proof="q9")
        for words, make in (
            ("least is above 0", lambda: Wall(least=-1.0)),
            ("not finite", lambda: SizeHeld(size=float("nan"))),
            ("no material", lambda: WeighsAtMost(material="cheese")),
            ("0 to 90", lambda: Overhang(most=120.0)),
            ("direction", lambda: Draft(along=(0.0, 0.0, 0.0))),
        ):
            with self.assertRaisesRegex(BadNumberError, words):
                make()
