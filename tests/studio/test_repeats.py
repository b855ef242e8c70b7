"""Repeats: where their images are, that they follow, the gaps between them, and what they come to in Make."""

from __future__ import annotations

import itertools
import json
import tempfile
import unittest
from pathlib import Path
from typing import Any

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError
from scipy.spatial.transform import Rotation

from tests.studio.test_growing import ARCH, after, move
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.formats.surfaces import Appearance
from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.gaps import Placed, smallest_gap
from zinc_otter.core.repeated import Repeated, moved
from zinc_otter.core.solid.certificate import read_certificate
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.solid.tessellation import tessellate
from zinc_otter.jobs.solid_work import CERTIFICATE, STEP, make_solid
from zinc_otter.jobs.triangle_work import Fineness, made_body, write_file
from zinc_otter.store.documents import blob_hashes, from_document, to_document
from zinc_otter.studio.design import Design, FollowsError
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.images import stand_for

BLOCK: dict[str, Any] = {
    "kind": "add-box", "size": [6, 4, 2], "counts": [1, 1, 1], "centre": [20, 0, 0], "size_of": "cage"
}  # fmt: skip


def repeat(*originals: str, **more: Any) -> dict[str, Any]:
    return {"kind": "grow", "growth": {"kind": "repeat", "originals": list(originals), **more}}


def triangles_of(vertices: np.ndarray, quads: np.ndarray) -> MeshDistance:
    return MeshDistance(vertices, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]]).astype(np.int64))


class Images(unittest.TestCase):
    def test_round_an_axis(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=5))
        form = design.piece("p2").form
        assert isinstance(form, Repeated)
        self.assertEqual(form.count, 4)
        original = design.piece("p1").cage.positions.copy()
        for k, image in enumerate(form.parts[0].cages(), start=1):
            turned = Rotation.from_euler("z", 72 * k, degrees=True).apply(original)
            np.testing.assert_allclose(image.positions, turned, atol=1e-12)
        # Moved on by half a step all five lie between.
        half = after(design, {"kind": "regrow", "piece": "p2", "growth": {"kind": "repeat", "originals": ["p1"], "count": 5,
                                                                          "phase": 0.5}})  # fmt: skip
        form = half.piece("p2").form
        assert isinstance(form, Repeated)
        self.assertEqual(form.count, 5)
        turned = Rotation.from_euler("z", 36, degrees=True).apply(original)
        np.testing.assert_allclose(form.parts[0].cages()[0].positions, turned, atol=1e-12)

    def test_in_rows_and_along_a_curve(self) -> None:
        rows = Repeat(("p1",), "rows", 3, step=(9, 0, 0), rows=2, aside=(0, 7, 0)).motions()
        self.assertEqual(rows[:, :3, 3].tolist(), [[9, 0, 0], [18, 0, 0], [0, 7, 0], [9, 7, 0], [18, 7, 0]])
        ring = {"kind": "add-curve", "shape": "circle", "diameter": 40, "count": 24}
        design = after(Design(), BLOCK, ring, repeat("p1", way="curve", rail="p2", count=8, upright=True))
        form = design.piece("p3").form
        assert isinstance(form, Repeated)
        at = form.parts[0].motions[:, :3, 3]
        np.testing.assert_allclose(np.linalg.norm(at, axis=1), 20, atol=0.01)
        for motion in form.parts[0].motions:
            np.testing.assert_allclose(motion[:3, :3] @ motion[:3, :3].T, np.eye(3), atol=1e-12)
            np.testing.assert_allclose(motion[:3, 2], [0, 0, 1], atol=1e-9)
        # It follows its rail, too.
        wider = after(design, {"kind": "size", "piece": "p2", "picked": {"kind": "piece", "ids": [0]}, "factors": [2, 2, 2]})
        form = wider.piece("p3").form
        assert isinstance(form, Repeated)
        np.testing.assert_allclose(np.linalg.norm(form.parts[0].motions[:, :3, 3], axis=1), 40, atol=0.02)

    def test_nested_and_mirrored(self) -> None:
        mirrored = {"kind": "mirror", "piece": "p1", "way": "second", "normal": [0, 0, 1], "point": [0, 0, 5]}
        design = after(Design(), BLOCK, mirrored,
                       repeat("p1", "p2", count=3), repeat("p3", way="rows", count=2, step=[0, 0, 30]))  # fmt: skip
        form = design.piece("p4").form
        assert isinstance(form, Repeated)
        self.assertEqual(form.count, 4)
        whole = form.cage
        self.assertEqual(whole.topology.face_count, 4 * 6)
        self.assertTrue((shell_volumes(whole) > 0).all(), "an image is inside out")
        pulled = after(design, move("p1", [0], [-2, 0, 0]))
        for k, image in enumerate(pulled.piece("p4").form.cage.positions.reshape(4, 8, 3)):  # type: ignore[union-attr]
            self.assertFalse(np.array_equal(image, whole.positions.reshape(4, 8, 3)[k]))

    def test_they_are_not_pulled_but_their_original_is(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=4))
        with self.assertRaisesRegex(FollowsError, "shape Box"):
            after(design, move("p2", [0], [1, 0, 0]))
        free = after(design, {"kind": "make-independent", "piece": "p2"})
        self.assertEqual(free.piece("p2").cage.topology.face_count, 18)
        after(free, move("p2", [0], [1, 0, 0]))

    def test_copies_and_variants_of_it_stand_alone(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=4))
        copied = {"kind": "duplicate-piece", "piece": "p2", "offset": [0, 0, 9]}
        done = after(design, copied, {"kind": "make-variant", "piece": "p2"})
        for piece in ("p3", "p4"):
            self.assertEqual(done.piece(piece).cage.topology.face_count, 18)
        document, blobs = to_document(done)
        self.assertEqual(from_document(document, blobs).piece("p4").form, done.piece("p4").form)

    def test_one_is_taken_out_alone(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=4))
        done = after(design, {"kind": "take-image-out", "piece": "p2", "image": 1})
        form = done.piece("p2").form
        assert isinstance(form, Repeated)
        self.assertEqual(form.count, 2)
        before = design.piece("p2").form.parts[0].cages()[1]  # type: ignore[union-attr]
        np.testing.assert_allclose(done.piece("p3").cage.positions, before.positions)
        pulled = after(done, move("p1", [0], [3, 0, 0]))
        self.assertEqual(pulled.piece("p3").form, done.piece("p3").form)
        with self.assertRaises(BadSelectionError):
            after(design, {"kind": "take-image-out", "piece": "p2", "image": 9})

    def test_wrong_numbers(self) -> None:
        design = after(Design(), BLOCK, ARCH)
        for command, error in (
            (repeat("p1", count=0), "0 were asked for"), (repeat("p1", count=5_000), "1 to 256 times"),
            (repeat("p2"), "repeat what has grown"), (repeat("p1", way="curve"), "along which curve"),
            (repeat("p1", along=[0, 0, 0]), "direction"), (repeat("p9"), "no piece"),
        ):  # fmt: skip
            with self.assertRaisesRegex((CoreError, ValidationError), error):
                after(design, command)

    def test_it_is_kept_as_what_it_grows_from(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=40))
        document, blobs = to_document(design)
        self.assertNotIn("cage", document["pieces"][1])
        self.assertEqual(blob_hashes(document), set(blobs))
        self.assertEqual(from_document(document, blobs).piece("p2").form, design.piece("p2").form)

    def test_a_document_that_does_not_say_what_it_grows_from(self) -> None:
        document, blobs = to_document(after(Design(), BLOCK, repeat("p1", count=4)))
        document["pieces"][1]["grown"] = None
        with self.assertRaises(CoreError):
            from_document(document, blobs)

    def test_a_drag_sends_no_image(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=60))
        view = LiveView(StencilShelf())
        first = view.frame(design)["pieces"]
        self.assertEqual([len(p["copies"][0]["motions"]) for p in first if "copies" in p], [59 * 16])
        moved_on = view.frame(after(design, move("p1", [0], [1, 0, 0])))["pieces"]
        self.assertEqual([p["id"] for p in moved_on], ["p1"])


class Gap(unittest.TestCase):
    def told(self, design: Design, settled: bool = True) -> Any:
        (gap,) = Gaps(StencilShelf()).of(design, settled)
        return gap

    def test_of_blocks_in_a_row(self) -> None:
        """Hard-edged blocks 6 mm long, 9 mm from one to the next: 3 mm between them; then touching; then overlapping."""
        hard = {"kind": "crease", "piece": "p1", "picked": {"kind": "edge", "ids": list(range(12))}, "sharpness": 10}
        corner = {"kind": "corner", "piece": "p1", "picked": {"kind": "vertex", "ids": list(range(8))}, "sharpness": 10}
        for step, state, wide in ((9, "apart", 3.0), (6, "touch", 0.0), (5, "overlap", -1.0)):
            design = after(Design(), BLOCK, hard, corner, repeat("p1", way="rows", count=3, step=[step, 0, 0]))
            gap = self.told(design)
            self.assertEqual(gap["state"], state)
            self.assertAlmostEqual(gap["distance"], wide, places=6)

    def test_it_is_told_while_it_is_pulled(self) -> None:
        design = after(Design(), ARCH, {"kind": "grow", "growth": {"kind": "pipe", "source": "p1", "diameter": 2}},
                       repeat("p2", way="rows", count=4, step=[0, 0, 6]))  # fmt: skip
        before = self.told(design, False)
        self.assertEqual(before["state"], "apart")
        twisted = after(design, move("p1", [2], [0, 0, 9]))
        self.assertNotAlmostEqual(self.told(twisted, False)["distance"], before["distance"], places=2)
        thick = {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 6.5}}
        self.assertEqual(self.told(after(design, thick), False)["state"], "overlap")

    @settings(max_examples=20, deadline=None)
    @given(st.integers(0, 2**31), st.integers(2, 5))
    def test_against_all_pairs(self, seed: int, count: int) -> None:
        random = np.random.default_rng(seed)
        cages = [box(tuple(random.uniform(2, 6, 3)), (1, 2, 1)) for _ in range(2)]
        meshes = [triangles_of(cage.positions, cage.topology.face_verts.reshape(-1, 4)) for cage in cages]
        things = []
        for mesh in meshes:
            motions = np.tile(np.eye(4), (count, 1, 1))
            motions[:, :3, :3] = Rotation.random(count, random_state=int(random.integers(1 << 30))).as_matrix()
            motions[:, :3, 3] = random.uniform(-25, 25, (count, 3))
            things.append(Placed(mesh, motions))
        every = [(thing.mesh, motion) for thing in things for motion in thing.motions]
        best = np.inf
        for (one, a), (other, b) in itertools.combinations(every, 2):
            for mesh, to, vertices, of in ((one, a, other.vertices, b), (other, b, one.vertices, a)):
                best = min(best, float(mesh.signed(moved(np.linalg.inv(to), moved(of, vertices)))[0].min()))
        gap = smallest_gap(things)
        assert gap is not None
        self.assertAlmostEqual(gap.distance, best, places=9)
        apart = float(np.linalg.norm(np.subtract(gap.here, gap.there)))
        self.assertAlmostEqual(apart, abs(gap.distance), places=9)

    def test_of_one_alone_there_is_none(self) -> None:
        cube = box((2, 2, 2), (1, 1, 1))
        mesh = triangles_of(cube.positions, cube.topology.face_verts.reshape(-1, 4))
        self.assertIsNone(smallest_gap([Placed(mesh, np.eye(4)[None])]))


class InMake(unittest.TestCase):
    def test_bodies_stand_beside_one_another_or_become_one(self) -> None:
        design = after(Design(), BLOCK, repeat("p1", count=5))
        one = made_of_triangles(recipe_of(design, "p1")).body.volume
        five = made_of_triangles(recipe_of(design, "p2")).body
        self.assertAlmostEqual(five.volume / one, 5, places=6)
        self.assertEqual(stand_for(design), {"p1"})
        near = after(Design(), BLOCK, repeat("p1", way="rows", count=3, step=[3, 0, 0]))
        merged = made_of_triangles(recipe_of(near, "p2")).body
        self.assertLess(merged.volume, 2.6 * one)
        self.assertGreater(merged.volume, 1.5 * one)

    def test_with_what_follows_the_original(self) -> None:
        drill = {"kind": "cylinder", "point": [20, 0, 0], "along": [0, 0, 1], "radius": 0.8, "height": 40}
        bore = {"kind": "combine", "way": "subtract", "body": drill}
        design = after(Design(), {**BLOCK, "size": [6, 6, 6]}, repeat("p1", count=4))
        plain = made_of_triangles(recipe_of(design, "p2")).body.volume
        try:
            bored = after(design, {"kind": "add-follower", "piece": "p1", "follower": bore})
        except CoreError as error:
            self.fail(str(error))
        after_bore = made_of_triangles(recipe_of(bored, "p1")).body.volume
        self.assertAlmostEqual(made_of_triangles(recipe_of(bored, "p2")).body.volume / after_bore, 4, places=4)
        self.assertGreater(plain, 4 * after_bore)


class KeptApart(unittest.TestCase):
    """Three balls in a row that run into one another: as one body, and as three."""

    def recipe(self, bodies: str, step: float) -> Recipe:
        ball: dict[str, Any] = {"kind": "add-sphere", "diameter": 20, "size_of": "surface"}
        growth = {"kind": "repeat", "originals": ["p1"], "way": "rows", "count": 3, "step": [step, 0, 0], "bodies": bodies}
        return recipe_of(after(Design(), ball, {"kind": "grow", "growth": growth}), "p2")

    def test_in_files_of_triangles(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            fineness = Fineness(0.02, 20.0, Path(folder))
            alone = tessellate(self.recipe("apart", 12).cage, 0.02, 20.0).volume
            united, _, _ = made_body(self.recipe("united", 12), fineness)
            apart, _, said = made_body(self.recipe("apart", 12), fineness)
            self.assertAlmostEqual(apart.volume, 3 * alone, places=6)
            self.assertLess(united.volume, 0.95 * apart.volume)
            self.assertEqual(said.faults, ())
            self.assertIn("3 bodies, each by itself as was asked: 2 pairs of them meet", said.warnings[-1].words)
            stl = Path(folder) / "row.stl"
            write_file(lambda *_: None, self.recipe("apart", 12), "stl", fineness, Appearance("Row"), stl)
            parts = trimesh.load(stl).split()
            self.assertEqual([round(part.volume / alone, 6) for part in parts], [1.0, 1.0, 1.0])
            self.assertEqual([part.is_watertight for part in parts], [True] * 3)
            self.assertNotIn("meet", made_body(self.recipe("apart", 30), fineness)[2].warnings[-1].words)

    def test_in_step(self) -> None:
        with tempfile.TemporaryDirectory() as holder:
            for bodies, solids in (("united", 1), ("apart", 3)):
                folder = Path(holder) / bodies
                make_solid(lambda *_: None, self.recipe(bodies, 12), folder)
                text = (folder / STEP).read_text()
                self.assertEqual(text.count("MANIFOLD_SOLID_BREP("), solids)
                certificate = read_certificate(json.loads((folder / CERTIFICATE).read_text("utf-8")))
                self.assertEqual((certificate.solid_count, certificate.faults), (solids, ()))
                told = " ".join(one.words for one in certificate.warnings)
                self.assertEqual("2 pairs of them meet" in told, bodies == "apart")

    def test_what_is_done_to_the_whole_needs_one_body(self) -> None:
        self.assertTrue(self.recipe("apart", 12).apart)
        self.assertEqual(self.recipe("apart", 12).first(0).apart, ())
        self.assertNotEqual(self.recipe("apart", 12).digest, self.recipe("united", 12).digest)
