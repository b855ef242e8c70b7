"""Relief by REST and the live channel: strokes as steps, kept and undone, carried over, in files and in certificates."""

from __future__ import annotations

import io
import time
from typing import Any

import numpy as np
from PIL import Image

from tests.api.case import ServiceCase, unpacked
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.proof.pseudonormals import is_closed
from zinc_otter.core.relief.relief import ReliefError
from zinc_otter.core.solid.moments import moments
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.store.documents import blob_hashes, from_document, to_document

RING: dict[str, Any] = {"kind": "add-ring", "name": "Band"}


def stroke(way: list[list[float]], **more: Any) -> dict[str, Any]:
    samples = [number for place in way for number in [*place, 1.0][:4]]
    return {
        "kind": "sculpt",
        "piece": "p1",
        "brush": "draw",
        "level": 4,
        "radius": 1.5,
        "height": 0.3,
        "way": samples,
        **more,
    }


class ReliefCase(ServiceCase):
    one_service = True

    def setUp(self) -> None:
        super().setUp()
        self.state = self.begun(RING)

    def done(self, command: dict[str, Any]) -> None:
        self.state = self.give(self.state, command)

    def refused(self, command: dict[str, Any], status: int, kind: str) -> str:
        body = {"revision": self.state["revision"], "command": command}
        answer = self.client.post(f"/api/designs/{self.state['id']}/commands", json=body)
        sentence = self.problem(answer, status, kind)
        self.assertEqual(self.client.get(f"/api/designs/{self.state['id']}").json()["revision"], self.state["revision"])
        return sentence

    @property
    def design(self) -> Any:
        return self.room.studio.saved(self.state["id"]).design

    def surface(self, level: int = 4) -> Any:
        cage = self.design.piece("p1").cage
        return evaluate(build_stencils(cage, level), cage).points

    def finished(self, job: dict[str, Any]) -> dict[str, Any]:
        for _ in range(600):
            state = self.client.get(f"/api/jobs/{job['id']}").json()
            if state["status"] not in ("waiting", "queued", "running"):
                return dict(state)
            time.sleep(0.1)
        self.fail("The job does not end.")


class Strokes(ReliefCase):
    def test_one_stroke_is_one_step_and_undo_is_exact(self) -> None:
        plain = self.surface()
        self.done(stroke([[10.8, 0, 0], [10.5, 2, 0.5]]))
        self.assertEqual(self.state["steps"][-1]["title"], "Drew out Band by 0.3 mm")
        self.assertEqual(self.state["pieces"][0]["relief"], {"depth": 4, "masked": False})
        raised = self.surface()
        self.assertAlmostEqual(float(np.linalg.norm(raised - plain, axis=1).max()), 0.3, delta=0.03)
        undone = self.client.post(f"/api/designs/{self.state['id']}/undo", json={"revision": self.state["revision"]}).json()
        np.testing.assert_array_equal(self.surface(), plain)
        self.assertIsNone(undone["pieces"][0]["relief"])
        self.state = self.client.post(f"/api/designs/{self.state['id']}/redo", json={"revision": undone["revision"]}).json()
        np.testing.assert_array_equal(self.surface(), raised)

    def test_it_rides_on_the_cage(self) -> None:
        self.done(stroke([[10.8, 0, 0]]))
        before = self.surface()
        self.done(
            {
                "kind": "turn",
                "piece": "p1",
                "picked": {"kind": "piece", "ids": [0]},
                "degrees": 90,
                "axis": [0, 0, 1],
                "pivot": [0, 0, 0],
            }
        )
        turn = np.array([[0.0, -1, 0], [1, 0, 0], [0, 0, 1]])
        np.testing.assert_allclose(self.surface(), before @ turn.T, atol=1e-9)

    def test_an_edit_of_faces_says_what_becomes_of_it(self) -> None:
        self.done(stroke([[10.8, 0, 0]]))
        cage = self.design.piece("p1").cage
        edge = int(np.argmin(np.linalg.norm(cage.positions[cage.topology.edge_verts].mean(axis=1) + [10.8, 0, 0], axis=1)))
        command = {"kind": "add-loop", "piece": "p1", "picked": {"kind": "edge", "ids": [edge]}, "form": "hold"}
        body = {"revision": self.state["revision"], "command": command}
        previewed = self.client.post(f"/api/designs/{self.state['id']}/preview", json=body).json()
        self.assertTrue(any("relief is carried over within" in note for note in previewed["notes"]), previewed["notes"])
        high = np.ptp(self.surface()[:, 0])
        self.done(command)
        self.assertAlmostEqual(float(np.ptp(self.surface()[:, 0])), float(high), delta=0.02)

    def test_a_copy_and_a_mirror_image_have_it_too(self) -> None:
        self.done(stroke([[10.8, 0, 0]]))
        self.done({"kind": "mirror", "piece": "p1", "way": "second", "point": [20, 0, 0], "normal": [1, 0, 0]})
        image = self.design.pieces[1].cage
        points = evaluate(build_stencils(image, 4), image).points
        np.testing.assert_allclose(points[:, 0].min(), 40 - self.surface()[:, 0].max(), atol=1e-5)

    def test_of_a_mirrored_piece_both_sides_are_done(self) -> None:
        self.done({"kind": "mirror", "piece": "p1", "way": "cut", "point": [0, 0, 0], "normal": [1, 0, 0]})
        self.done(stroke([[9.3, 5.4, 0], [9, 6, 0.5]]))
        points = self.surface()
        other = points * [-1, 1, 1]
        order, found = (np.lexsort(np.round(p, 4).T) for p in (points, other))
        np.testing.assert_allclose(points[order], other[found], atol=1e-4)
        self.assertGreater(np.linalg.norm(points[:, :2], axis=1).max(), 10.6)

    def test_a_half_that_is_mirrored_takes_its_relief_along(self) -> None:
        self.done(stroke([[7.4, -7.4, 0], [6, -8.5, 0.5]]))
        self.done(stroke([[-7.4, -7.4, 1]], height=0.2))
        raised = self.surface()
        for way, keep in (("cut", "positive"), ("follow", "positive"), ("follow", "negative")):
            with self.subTest(way=way, keep=keep):
                self.done(
                    {"kind": "mirror", "piece": "p1", "way": way, "keep": keep, "point": [0, 0, 0], "normal": [1, 0, 0]}
                )
                points = self.surface()
                order, found = (np.lexsort(np.round(p, 4).T) for p in (points, points * [-1, 1, 1]))
                np.testing.assert_allclose(points[order], (points * [-1, 1, 1])[found], atol=1e-4)
                side = 1 if keep == "positive" else -1
                kept, before = (p[p[:, 0] * side > 0.5] for p in (points, raised))
                self.assertAlmostEqual(
                    float(np.linalg.norm(kept[:, :2], axis=1).max()),
                    float(np.linalg.norm(before[:, :2], axis=1).max()),
                    delta=2e-3,
                )
                undone = self.client.post(f"/api/designs/{self.state['id']}/undo", json={"revision": self.state["revision"]})
                self.state = undone.json()

    def test_pieces_that_are_joined_keep_what_both_had(self) -> None:
        self.done({"kind": "add-sphere", "name": "Stud", "diameter": 6})
        self.done({"kind": "move", "piece": "p2", "picked": {"kind": "piece", "ids": [0]}, "vector": [0, 0, 20]})
        self.done(stroke([[10.4, 0, 0]]))
        self.done({**stroke([[0, 0, 23]], level=3), "piece": "p2"})
        top = evaluate(build_stencils(self.design.piece("p2").cage, 3), self.design.piece("p2").cage).points[:, 2].max()
        out = np.linalg.norm(self.surface()[:, :2], axis=1).max()
        self.done({"kind": "join-pieces", "pieces": ["p1", "p2"]})
        self.assertAlmostEqual(float(self.surface()[:, 2].max()), float(top), delta=1e-3)
        self.assertAlmostEqual(float(np.linalg.norm(self.surface()[:, :2], axis=1).max()), float(out), delta=1e-4)

    def test_levels_and_masks_as_steps(self) -> None:
        self.done(stroke([[10.8, 0, 0]]))
        self.done(stroke([[10.8, 0, 0]], brush="mask", strength=1.0))
        self.assertTrue(self.state["pieces"][0]["relief"]["masked"])
        self.done({"kind": "change-mask", "piece": "p1", "way": "clear"})
        raised = self.surface()
        self.done({"kind": "change-relief", "piece": "p1", "way": "finer"})
        self.assertEqual(self.state["pieces"][0]["relief"]["depth"], 5)
        self.done({"kind": "change-relief", "piece": "p1", "way": "folded"})
        np.testing.assert_array_equal(self.surface(), raised)
        self.done({"kind": "change-relief", "piece": "p1", "way": "plain"})
        self.assertIsNone(self.state["pieces"][0]["relief"])
        self.assertIn("no relief", self.refused({"kind": "change-relief", "piece": "p1", "way": "folded"}, 422, "relief"))

    def test_wrong_strokes_change_nothing(self) -> None:
        self.assertIn("Level 7 would have 2,097,152 points", self.refused(stroke([[10.8, 0, 0]], level=7), 422, "relief"))
        self.assertIn("level 6 is the finest", self.refused(stroke([[10.8, 0, 0]], level=7), 422, "relief"))
        self.refused(stroke([[10.8, 0, 0]], radius=0), 422, "invalid")
        self.refused({**stroke([[10.8, 0, 0]]), "way": [10.8, 0, "NaN", 1]}, 422, "invalid")
        self.refused({**stroke([[10.8, 0, 0]]), "way": [1.0, 2.0]}, 422, "bad-number")
        self.refused(stroke([[10.8, 0, 0]], brush="lick"), 422, "invalid")
        self.state = self.give(self.state, {"kind": "add-curve", "name": "Line"})
        self.refused({**stroke([[0, 0, 0]]), "piece": self.state["pieces"][-1]["id"]}, 422, "no-faces")


def _with_block(piece: dict[str, Any], key: str, digest: str) -> dict[str, Any]:
    relief = piece["cage"]["relief"]
    details = [*relief["details"][:3], {**relief["details"][3], key: digest}]
    return {**piece, "cage": {**piece["cage"], "relief": {**relief, "details": details}}}


class Kept(ReliefCase):
    def test_a_stroke_costs_what_it_changed(self) -> None:
        self.done(stroke([[10.8, 0, 0]], level=5))
        first, blobs = to_document(self.design)
        self.assertEqual(blob_hashes(first), set(blobs))
        again = from_document(first, blobs)
        self.assertEqual(again.piece("p1").cage, self.design.piece("p1").cage)
        self.done(stroke([[-10.8, 0, 0]], level=5, radius=0.5))
        second, more = to_document(self.design)
        fresh = sum(len(more[digest]) for digest in blob_hashes(second) - blob_hashes(first))
        whole = self.design.piece("p1").cage.relief.detail(5).nbytes
        self.assertLess(fresh, whole / 15)

    def test_a_block_that_does_not_fit_is_refused(self) -> None:
        self.done(stroke([[10.4, 0, 0]]))
        document, blobs = to_document(self.design)
        blocks = document["pieces"][0]["cage"]["relief"]["details"][3]
        for key in ("-1", "9999"):
            with self.assertRaisesRegex(ReliefError, f"Block {key} of the relief does not fit its level"):
                from_document(
                    {**document, "pieces": [_with_block(document["pieces"][0], key, next(iter(blocks.values())))]}, blobs
                )

    def test_it_outlives_the_service(self) -> None:
        self.done(stroke([[10.8, 0, 0]], brush="mask", strength=1.0))
        self.done(stroke([[10.8, 0, 0], [0, 10.8, 0]]))
        raised = self.surface()
        self.room.studio._open.clear()
        np.testing.assert_array_equal(self.surface(), raised)
        self.assertIsNotNone(self.design.piece("p1").cage.relief.mask)


class Shown(ReliefCase):
    def test_only_rows_that_moved_are_sent(self) -> None:
        self.done(stroke([[10.8, 0, 0]]))
        with self.client.websocket_connect(f"ws://127.0.0.1/api/designs/{self.state['id']}/live") as socket:
            whole = unpacked(socket.receive_bytes())["pieces"][0]["surface"]
            self.assertEqual(whole["level"], 4)
            import msgpack

            ask = {"do": "preview", "seq": 1, "revision": self.state["revision"], "command": stroke([[-10.8, 0, 0]])}
            socket.send_bytes(msgpack.packb(ask))
            frame = unpacked(socket.receive_bytes())
            while frame["type"] != "frame":
                frame = unpacked(socket.receive_bytes())
            rows = frame["pieces"][0]["surface_rows"]
            moved = rows["positions"].reshape(-1, 3)
            self.assertLess(len(moved), len(whole["positions"]) / 3 / 8)
            self.assertTrue((np.linalg.norm(moved - [-10.8, 0, 0], axis=1) < 2.2).all())


class Made(ReliefCase):
    def body(self, kind: str) -> tuple[Any, Any]:
        answer = self.client.get(f"/api/designs/{self.state['id']}/pieces/p1/surface-file?kind={kind}&tolerance=0.005")
        self.assertEqual(answer.status_code, 200, answer.text)
        mesh = read_mesh(answer.content, kind, None if kind == "3mf" else "mm")
        return mesh.vertices, mesh.triangles

    def test_it_is_in_files_of_triangles_closed_and_as_large(self) -> None:
        self.done(stroke([[10.8, 0, 0], [10, 4, 0]]))
        cage = self.design.piece("p1").cage
        fine = build_stencils(cage, 6)
        points = evaluate(fine, cage).points
        quads = fine.quads
        want = moments(points, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])).volume
        plain = evaluate(build_stencils(cage, 6), cage.plain).points
        bare = moments(plain, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])).volume
        for kind in ("3mf", "stl"):
            with self.subTest(kind):
                vertices, triangles = self.body(kind)
                self.assertTrue(is_closed(np.asarray(triangles)))
                volume = moments(vertices, triangles).volume
                self.assertLess(abs(volume - want), 0.05 * (want - bare))

    def test_the_certificate_says_that_the_kernel_leaves_it_out(self) -> None:
        self.done(stroke([[10.8, 0, 0], [10, 4, 0]]))
        base = f"/api/designs/{self.state['id']}/pieces/p1"
        job = self.client.post(f"{base}/solid").json()
        self.assertEqual(self.finished(job)["status"], "done")
        certificate = self.client.get(f"{base}/certificate").json()
        self.assertTrue(
            any("Relief is in the triangles only" in w["words"] for w in certificate["warnings"]), certificate["warnings"]
        )
        self.assertEqual(certificate["faults"], [])


class InSolids(ReliefCase):
    def test_a_step_says_how_many_levels_and_is_kept_and_undone(self) -> None:
        self.done(stroke([[10.8, 0, 0], [10.8, 0, 1]]))
        before = self.state["pieces"][0]["made_from"]
        self.done({"kind": "relief-in-solid", "piece": "p1", "levels": 1})
        self.assertEqual(self.state["pieces"][0]["relief_in_solid"], 1)
        self.assertEqual(self.state["steps"][-1]["title"], "The solid of Band holds 1 level of its relief")
        self.assertNotEqual(self.state["pieces"][0]["made_from"], before)
        back = from_document(*to_document(self.design))
        self.assertEqual(back.piece("p1").relief_in_solid, 1)
        job = self.finished(self.client.post(f"/api/designs/{self.state['id']}/pieces/p1/solid").json())
        self.assertEqual(job["status"], "done", job)
        facts = self.client.get(f"/api/designs/{self.state['id']}/pieces/p1/surface-facts").json()
        self.assertEqual(facts["solid_faces"], 4 * 128)
        told = self.client.get(f"/api/designs/{self.state['id']}/pieces/p1/certificate").json()
        self.assertEqual((told["face_count"], told["faults"]), (4 * 128, []))
        self.assertIn("the first level is in this solid", " ".join(w["words"] for w in told["warnings"]))

    def test_too_many_faces_and_too_many_levels(self) -> None:
        self.refused({"kind": "relief-in-solid", "piece": "p1", "levels": 4}, 422, "invalid")
        self.done({"kind": "add-torus", "ring": 40, "section": 12, "counts": [40, 24]})
        self.done({"kind": "change-relief", "piece": "p2", "way": "finer"})
        self.refused({"kind": "relief-in-solid", "piece": "p2", "levels": 3}, 422, "too-many-faces")


class Stamps(ReliefCase):
    def png(self, picture: Any) -> bytes:
        out = io.BytesIO()
        picture.save(out, "PNG")
        return out.getvalue()

    def take(self, data: bytes, name: str = "steps.png", status: int = 200) -> Any:
        answer = self.client.post(
            f"/api/designs/{self.state['id']}/stamps",
            params={"revision": self.state["revision"], "name": name},
            content=data,
        )
        self.assertEqual(answer.status_code, status, answer.text)
        return answer

    def test_a_picture_is_a_stamp_of_the_design_kept_and_used(self) -> None:
        ramp = Image.fromarray(np.tile(np.linspace(0, 65_535, 64).astype(np.uint16), (32, 1)))
        self.state = self.take(self.png(ramp)).json()
        (stamp,) = self.state["stamps"]
        self.assertEqual((stamp["name"], stamp["pixels"], stamp["height"]), ("steps", [64, 32], 0.0))
        self.done(stroke([[10.4, 0, 0]], stamp=stamp["id"], laid="each", hardness=0.9))
        self.assertEqual(self.state["steps"][-1]["title"], "Drew out Band by 0.3 mm, steps")
        document, blobs = to_document(self.design)
        again = from_document(document, blobs)
        np.testing.assert_array_equal(again.stamps[0].stamp.heights, self.design.stamps[0].stamp.heights)
        self.assertEqual(blob_hashes(document), set(blobs))
        raised = self.surface()
        self.done({"kind": "forget-stamp", "stamp": stamp["id"]})
        self.assertEqual(self.state["stamps"], [])
        np.testing.assert_array_equal(self.surface(), raised)
        self.refused(stroke([[10.4, 0, 0]], stamp=stamp["id"]), 404, "unknown-piece")

    def test_a_piece_is_a_stamp_and_its_relief_a_picture(self) -> None:
        self.refused_map()
        self.done({"kind": "stamp-from-piece", "piece": "p1", "side": "top"})
        self.assertAlmostEqual(self.state["stamps"][0]["width"], 20.9, delta=0.2)
        self.done(
            {"kind": "cover-faces", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "stamp": "rope", "way": "round"}
        )
        answer = self.client.get(f"/api/designs/{self.state['id']}/pieces/p1/height-map?side=front&pixels=200")
        self.assertEqual((answer.status_code, answer.headers["content-type"]), (200, "image/png"))
        self.state = self.take(answer.content, "map.png").json()
        self.assertGreater(self.state["stamps"][-1]["height"], 0.2)

    def refused_map(self) -> None:
        answer = self.client.get(f"/api/designs/{self.state['id']}/pieces/p1/height-map")
        self.assertIn("no relief", self.problem(answer, 422, "bad-selection"))

    def test_files_that_are_none(self) -> None:
        self.assertIn("this is none", self.problem(self.take(b"no", status=422), 422, "bad-file"))
        self.assertIn(".jpg is none", self.problem(self.take(b"no", "a.jpg", 422), 422, "bad-file"))
        wide = self.png(Image.new("L", (20_000, 2)))
        self.assertIn("20,000 by 2 pixels", self.problem(self.take(wide, status=422), 422, "bad-file"))

    def test_a_large_picture_may_come_as_other_pictures_do(self) -> None:
        # More than a plain request may have: it is read, and judged as a picture.
        data = b"\x89PNG" + bytes(17 * 1024 * 1024)
        self.assertIn("this is none", self.problem(self.take(data, status=422), 422, "bad-file"))

    def test_a_mirrored_piece_is_covered_on_all_sides(self) -> None:
        self.done({"kind": "mirror", "piece": "p1", "way": "cut", "point": [0, 0, 0], "normal": [1, 0, 0]})
        cage = self.design.piece("p1").cage
        middles = cage.positions[cage.topology.face_verts.reshape(-1, 4)].mean(axis=1)
        face = int(np.argmax(middles @ [0.7, -0.7, 0.1]))
        plain = self.surface()
        picked = {"kind": "face", "ids": [face]}
        self.done(
            {
                "kind": "cover-faces",
                "piece": "p1",
                "picked": picked,
                "stamp": "scale",
                "size": 1.5,
                "height": -0.2,
                "soft": 0.1,
            }
        )
        risen = np.linalg.norm(self.surface() - plain, axis=1)
        one, other = (np.sort(risen[plain[:, 0] * side > 1e-6]) for side in (1, -1))
        np.testing.assert_allclose(one, other, atol=1e-5)
        self.assertGreater(risen.max(), 0.1)


class Led(ReliefCase):
    def test_along_edges_and_along_a_curve(self) -> None:
        self.done({"kind": "add-curve", "name": "Hoop", "shape": "circle", "diameter": 20.9})
        led = {**stroke([]), "along": self.state["pieces"][-1]["id"], "radius": 0.8}
        plain = self.surface()
        self.done(led)
        risen = np.linalg.norm(self.surface() - plain, axis=1)
        turns = np.arctan2(plain[risen > 0.2, 1], plain[risen > 0.2, 0])
        self.assertLess(float(np.diff(np.sort(turns)).max()), 0.1)
        self.assertLess(float(np.abs(plain[risen > 0.05, 2]).max()), 0.9)
        cage = self.design.piece("p1").cage
        middles = cage.positions[cage.topology.edge_verts].mean(axis=1)
        edge = int(np.argmax(middles @ [0.0, -1.0, 0.2]))
        self.done({**stroke([]), "along": {"kind": "edge", "ids": [edge]}, "radius": 0.8, "opposite": True})
        self.refused({**stroke([]), "along": {"kind": "face", "ids": [0]}}, 422, "bad-selection")
        self.refused(stroke([]), 422, "bad-number")

    def test_the_first_level_becomes_the_cage_and_the_surface_a_component(self) -> None:
        self.done(stroke([[10.4, 0, 0]]))
        before = np.sort(np.linalg.norm(self.surface(), axis=1))
        self.done({"kind": "change-relief", "piece": "p1", "way": "next"})
        self.assertEqual((self.state["pieces"][0]["face_count"], self.state["pieces"][0]["relief"]["depth"]), (512, 3))
        np.testing.assert_allclose(np.sort(np.linalg.norm(self.surface(3), axis=1)), before, atol=1e-5)
        answer = self.client.post(
            f"/api/designs/{self.state['id']}/pieces/p1/baked", params={"revision": self.state["revision"]}
        )
        self.assertEqual(answer.status_code, 200, answer.text)
        component = answer.json()["references"][-1]
        self.assertEqual((component["name"], component["triangles"]), ("Band, as triangles", 512 * 64 * 2))
