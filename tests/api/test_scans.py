"""Scans by REST: made by the simulated scanner, placed, traced, proposed for, settled on, measured against, and kept."""

from __future__ import annotations

import time
from concurrent.futures import ThreadPoolExecutor
from typing import Any

import numpy as np
import trimesh
from scipy.spatial.transform import Rotation

from tests.api.case import ServiceCase, unpacked
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.store.documents import from_document, to_document
from zinc_otter.studio.references import Component

SCAN = {"piece": "p1", "spacing": 1.2, "noise": 0.03, "looks": "around"}


class ScanCase(ServiceCase):
    one_service = True

    def setUp(self) -> None:
        super().setUp()
        self.state = self.begun({"kind": "add-sphere", "name": "Clay", "diameter": 40})

    def scan(self, **more: Any) -> dict[str, Any]:
        answer = self.client.post(
            f"/api/designs/{self.state['id']}/scans", params={"revision": self.state["revision"]}, json={**SCAN, **more}
        )
        self.assertEqual(answer.status_code, 200, answer.text)
        self.state = answer.json()
        return dict(self.state["references"][-1])

    def done(self, command: dict[str, Any]) -> None:
        self.state = self.give(self.state, command)

    def refused(self, command: dict[str, Any], kind: str) -> str:
        body = {"revision": self.state["revision"], "command": command}
        sentence = self.problem(self.client.post(f"/api/designs/{self.state['id']}/commands", json=body), 422, kind)
        self.assertEqual(self.client.get(f"/api/designs/{self.state['id']}").json()["revision"], self.state["revision"])
        return sentence

    def component(self) -> tuple[Component, MeshDistance]:
        design = self.room.studio.saved(self.state["id"]).design
        component = design.references[-1]
        assert isinstance(component, Component)
        return component, self.room.meshes.get(component.asset)

    def cage(self, piece: str) -> Any:
        return self.room.studio.saved(self.state["id"]).design.piece(piece).cage

    def at(self, longitude: float, latitude: float) -> list[float]:
        a, b = np.radians([longitude, latitude])
        way = np.array([np.cos(a) * np.cos(b), np.sin(a) * np.cos(b), np.sin(b)])
        component, mesh = self.component()
        return [float(x) for x in component.placed(mesh.sided(component.own(20 * way[None])).feet)[0]]


class Scanner(ScanCase):
    def test_its_flow_is_told_as_strokes_on_it(self) -> None:
        self.scan()
        component, mesh = self.component()
        answer = self.client.get(f"/api/assets/{component.asset}/flow")
        strokes = unpacked(answer.content)["strokes"].reshape(-1, 2, 3)
        self.assertGreater(len(strokes), 500)
        off = mesh.sided(strokes.mean(axis=1).astype(np.float64)).distance
        self.assertLess(float(np.abs(off).max()), 0.6)
        self.assertIn("immutable", answer.headers["cache-control"])

    def test_how_far_it_lies_from_the_scan_stands_on_the_certificates_page(self) -> None:
        made = self.scan()
        self.done({"kind": "add-proof", "proof": {"kind": "deviation", "piece": "p1", "component": made["id"], "most": 0.5}})
        path = f"/api/designs/{self.state['id']}/pieces/p1"
        job = self.client.post(path + "/solid").json()
        for _ in range(600):
            state = self.client.get(f"/api/jobs/{job['id']}").json()["status"]
            if state not in ("waiting", "queued", "running"):
                break
            time.sleep(0.1)
        self.assertEqual(state, "done")
        page = self.client.get(path + "/certificate-page").text
        self.assertIn("What was asked of the form", page)
        self.assertIn("Scan of Clay", page)
        # The share and the count of points that it was found from.
        self.assertRegex(page, r"0\.0\d+ mm root mean square, 95 % within 0\.\d+ mm; 100 % of [\d,]+ points lie within it")

    def test_a_scan_is_a_component_to_lie_on_and_one_step(self) -> None:
        before = self.state["revision"]
        made = self.scan()
        self.assertEqual((made["name"], made["scan"], made["locked"]), ("Scan of Clay", True, True))
        self.assertEqual(self.state["revision"], before + 1)
        self.assertEqual(self.state["steps"][-1]["title"], "Put down the scan Scan of Clay")
        component, mesh = self.component()
        off = np.linalg.norm(mesh.vertices - nearest_on(self.cage("p1")).at(mesh.vertices)[0], axis=1)
        self.assertAlmostEqual(float(np.sqrt((off**2).mean())), 0.03, delta=0.004)
        design = self.room.studio.saved(self.state["id"]).design
        document, blobs = to_document(design)
        self.assertEqual(from_document(document, blobs).references, design.references)
        # One that was kept before there were scans is a part.
        del document["references"][0]["scan"]
        self.assertFalse(from_document(document, blobs).references[0].scan)  # type: ignore[union-attr]
        self.done({"kind": "change-reference", "reference": component.id, "scan": False})
        self.assertEqual(self.state["steps"][-1]["title"], "Took Scan of Clay for a part to keep clear of")

    def test_what_the_scanner_refuses_changes_nothing(self) -> None:
        address = f"/api/designs/{self.state['id']}/scans"
        query = {"revision": self.state["revision"]}
        for wrong, kind in (({"spacing": 1e-4}, "bad-number"), ({"piece": "p9"}, "unknown-piece")):
            answer = self.client.post(address, params=query, json={**SCAN, **wrong})
            self.assertIn(answer.status_code, (404, 422))
            self.assertEqual(answer.json()["type"], f"/problems/{kind}")
        for wrong in ({"noise": -1}, {"looks": "through"}, {"spikes": 10**6}, {"colour": "red"}):
            self.assertEqual(self.client.post(address, params=query, json={**SCAN, **wrong}).status_code, 422)
        stale = self.client.post(address, params={"revision": query["revision"] - 1}, json=SCAN)
        self.problem(stale, 409, "stale-revision")
        self.assertEqual(self.client.get(f"/api/designs/{self.state['id']}").json()["references"], [])


class Placing(ScanCase):
    def setUp(self) -> None:
        super().setUp()
        self.done({"kind": "add-box", "name": "Brick", "size": [50, 30, 20], "counts": [3, 2, 2]})
        self.done({
            "kind": "move", "piece": "p2", "picked": {"kind": "vertex", "ids": [0]}, "vector": [-6, -3, -5],
        })  # fmt: skip
        self.scan(piece="p2", tossed=True, seed=3)
        self.done({"kind": "change-reference", "reference": "r3", "locked": False})

    def off(self) -> float:
        component, mesh = self.component()
        placed = component.placed(mesh.vertices)
        far = placed - nearest_on(self.cage("p2")).at(placed)[0]
        return float(np.sqrt((far**2).sum(axis=1).mean()))

    def test_by_three_pairs_and_then_by_the_best_fit(self) -> None:
        self.assertGreater(self.off(), 3)
        component, mesh = self.component()
        # The hand is some half a millimetre off at each end.
        true = nearest_on(self.cage("p2")).surface_points
        chance = np.random.default_rng(1)
        turn, where = self.true_place(mesh, true)
        there = true[chance.choice(len(true), 5, replace=False)]
        here = component.placed((there - where) @ turn) + chance.normal(0, 0.3, (5, 3))
        self.done({"kind": "place-by-pairs", "reference": "r3", "here": here.tolist(), "there": there.tolist()})
        self.assertLess(self.off(), 1.0)
        self.done({"kind": "fit-component", "reference": "r3", "onto": "p2"})
        self.assertLess(self.off(), 0.05)
        self.assertEqual(self.state["steps"][-1]["title"], "Fitted Scan of Brick to Brick")
        revision = self.state["revision"]
        undone = self.client.post(f"/api/designs/{self.state['id']}/undo", json={"revision": revision}).json()
        self.assertNotEqual(undone["references"][0]["centre"], self.state["references"][0]["centre"])

    def true_place(self, mesh: MeshDistance, true: np.ndarray) -> tuple[np.ndarray, np.ndarray]:
        """How the scan was tossed, found by laying it back from many sides."""
        from zinc_otter.core.scan.placing import Rigid, best_fit
        from zinc_otter.core.scan.samples import samples_of
        from zinc_otter.studio.shown import mesh_of

        onto, scan = mesh_of(self.cage("p2")), samples_of(mesh, 1_500)
        best = None
        for seed in range(40):
            turn = Rotation.random(random_state=seed).as_matrix()
            found = best_fit(scan, onto, Rigid(turn, true.mean(axis=0) - turn @ scan.points.mean(axis=0)))
            if best is None or found.rms < best.rms:
                best = found
        assert best is not None
        return best.motion.matrix, best.motion.offset

    def test_a_locked_one_stays_and_says_why(self) -> None:
        self.done({"kind": "change-reference", "reference": "r3", "locked": True})
        self.assertIn("locked", self.refused({"kind": "fit-component", "reference": "r3", "onto": "p2"}, "locked"))

    def test_points_on_a_line_are_refused(self) -> None:
        line = [[0, 0, 0], [1, 0, 0], [2, 0, 0]]
        command = {"kind": "place-by-pairs", "reference": "r3", "here": line, "there": line}
        self.assertIn("one line", self.refused(command, "bad-number"))

    def test_its_mirror_plane_is_laid_across_an_axis(self) -> None:
        self.done({"kind": "delete-reference", "reference": "r3"})
        self.done({"kind": "add-box", "name": "Wedge", "size": [50, 30, 20], "counts": [4, 2, 2]})
        cage = self.cage("p4")
        back = np.flatnonzero((cage.positions[:, 1] > 5) & (cage.positions[:, 2] > 5)).tolist()
        self.done({"kind": "move", "piece": "p4", "picked": {"kind": "vertex", "ids": back}, "vector": [0, 3, 8]})
        made = self.scan(piece="p4", tossed=True, seed=4)
        self.done({"kind": "change-reference", "reference": made["id"], "locked": False})
        self.done({"kind": "stand-on-mirror", "reference": made["id"], "axis": "x"})
        component, mesh = self.component()
        placed = MeshDistance(component.placed(mesh.vertices), mesh.triangles)
        image = placed.sided(placed.vertices * [-1, 1, 1])
        self.assertLess(float(np.sqrt((image.distance**2).mean())), 0.08)
        self.assertAlmostEqual(float(np.linalg.det(np.array(component.rotation))), 1)


class Tracing(ScanCase):
    def setUp(self) -> None:
        super().setUp()
        self.scan()
        self.base = {"onto": "r2", "towards": [1, 1, 0]}

    def test_traced_settled_and_proved(self) -> None:
        corners = [self.at(*c) for c in ((70, -40), (20, -40), (20, 40), (70, 40))]
        self.done({"kind": "trace", **self.base, "corners": corners, "along": 3, "across": 4})
        self.assertEqual(self.state["steps"][-1]["title"], "Traced 3 by 4 quads on Scan of Clay")
        self.assertEqual(self.state["selected"]["piece"], "p3")
        cage = self.cage("p3")
        ids = [int(np.linalg.norm(cage.positions - c, axis=1).argmin()) for c in corners[1:3]]
        more = [ids, self.at(-30, 40), self.at(-30, -40)]
        self.done({"kind": "trace", **self.base, "piece": "p3", "corners": more, "along": 1, "across": 3})
        self.assertEqual(self.cage("p3").topology.face_count, 12 + 12)
        def rms() -> float:
            points = nearest_on(self.cage("p3")).surface_points
            off = np.linalg.norm(points - nearest_on(self.cage("p1")).at(points)[0], axis=1)
            return float(np.sqrt((off**2).mean()))

        before = rms()
        self.done({"kind": "settle", "piece": "p3", "picked": {"kind": "piece", "ids": [0]}, "onto": "r2"})
        self.assertLess(rms(), before / 4)
        self.assertLess(rms(), 0.05)
        self.assertEqual(self.state["steps"][-1]["title"], "Settled Traced sheet on Scan of Clay")
        stroke = [self.at(-30 - k, 0) for k in range(0, 60, 4)]
        self.done({"kind": "trace-strip", **self.base, "piece": "p3", "stroke": stroke, "width": 10, "weld": 0.5})
        self.assertEqual(self.cage("p3").topology.face_count, 26)

    def test_mirrored_from_the_first_patch(self) -> None:
        corners = [self.at(*c) for c in ((89, -30), (40, -30), (40, 30), (91, 30))]
        self.done({"kind": "trace", **self.base, "corners": corners, "along": 2, "across": 2, "mirrored": "x"})
        piece = self.room.studio.saved(self.state["id"]).design.piece("p3")
        assert piece.symmetry is not None
        self.assertEqual(piece.cage.topology.face_count, 8)
        self.assertEqual(piece.symmetry.strays(piece.cage.positions), 0.0)
        # One corner alone in the plane is no way to begin.
        askew = [self.at(*c) for c in ((90, -30), (40, -30), (40, 30), (70, 30))]
        sentence = self.refused({"kind": "trace", **self.base, "corners": askew, "mirrored": "x"}, "bad-selection")
        self.assertIn("touch its mirror image in a single point", sentence)

    def test_what_is_refused(self) -> None:
        good = [self.at(*c) for c in ((70, -40), (20, -40), (20, 40), (70, 40))]
        for corners, sentence in (
            ([*good[:3], good[0]], "fall on one another"), ([[0, 1], *good[:2]], "of new points only"),
            (good[:3], "four corners"), ([good[0], good[2], good[1], good[3]], "would cross"),
        ):  # fmt: skip
            body = {"revision": self.state["revision"], "command": {"kind": "trace", **self.base, "corners": corners}}
            answer = self.client.post(f"/api/designs/{self.state['id']}/commands", json=body)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(sentence, answer.json()["detail"])
        short = {"kind": "trace-strip", **self.base, "stroke": [good[0], good[0]], "width": 10}
        self.assertIn("too short", self.refused(short, "bad-number"))
        settle = {"kind": "settle", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "onto": "r9"}
        body = {"revision": self.state["revision"], "command": settle}
        self.assertEqual(self.client.post(f"/api/designs/{self.state['id']}/commands", json=body).status_code, 404)


class Proposals(ScanCase):
    def propose(self, **asked: Any) -> dict[str, Any]:
        begun = self.client.post(f"/api/designs/{self.state['id']}/proposals", json={"component": "r2", **asked})
        self.assertEqual(begun.status_code, 202, begun.text)
        job = begun.json()["job"]["id"]
        for _ in range(400):
            report = self.client.get(f"/api/jobs/{job}").json()
            if report["status"] not in ("waiting", "running"):
                break
            time.sleep(0.1)
        self.assertEqual(report["status"], "done", report)
        return dict(self.client.get(f"/api/proposals/{begun.json()['key']}").json())

    def test_a_proposal_becomes_a_piece_by_a_command_that_says_it_is_half(self) -> None:
        self.scan()
        found = self.propose(count=60, mirrored="y")
        self.assertLess(found["after"][0], 0.1)
        self.assertEqual(found["quads"], 2 * len(found["faces"]))
        command = {"kind": "add-cage", "name": "Quads", "positions": found["positions"], "faces": found["faces"]}
        self.done({**command, "mirrored": "y"})
        piece = self.room.studio.saved(self.state["id"]).design.piece("p3")
        assert piece.symmetry is not None
        self.assertTrue(piece.cage.topology.is_closed)
        self.assertEqual(piece.cage.topology.face_count, found["quads"])
        points = nearest_on(piece.cage).surface_points
        off = np.linalg.norm(points - nearest_on(self.cage("p1")).at(points)[0], axis=1)
        self.assertLess(float(np.sqrt((off**2).mean())), 0.1)

    def test_what_cannot_be_proposed(self) -> None:
        self.scan()
        address = f"/api/designs/{self.state['id']}/proposals"
        self.assertEqual(self.client.post(address, json={"component": "r2", "count": 3}).status_code, 422)
        self.assertEqual(self.client.post(address, json={"component": "r9"}).status_code, 404)
        self.problem(self.client.get("/api/proposals/" + "0" * 32), 404, "no-solid")


class CleanedUp(ScanCase):
    def test_a_scan_is_cleaned_up_as_one_step_that_says_how_many(self) -> None:
        made = self.scan(spikes=6, missing=3)
        address = f"/api/designs/{self.state['id']}/components/{made['id']}/cleaned"
        answer = self.client.post(address, params={"revision": self.state["revision"], "holes": 40})
        self.assertEqual(answer.status_code, 200, answer.text)
        state = answer.json()
        self.assertEqual(state["steps"][-1]["title"], "Cleaned up Scan of Clay: 6 spikes laid back, 1 hole closed")
        (now,) = state["references"]
        self.assertNotEqual(now["asset"], made["asset"])
        mesh = self.room.meshes.get(now["asset"])
        self.assertTrue(mesh.closed)
        undone = self.client.post(f"/api/designs/{state['id']}/undo", json={"revision": state["revision"]}).json()
        self.assertEqual(undone["references"][0]["asset"], made["asset"])
        again = self.client.post(f"/api/designs/{state['id']}/redo", json={"revision": undone["revision"]}).json()
        clean = self.client.post(address, params={"revision": again["revision"], "holes": 40})
        self.assertIn("nothing was changed", self.problem(clean, 422, "bad-selection"))
        undone = self.client.post(f"/api/designs/{state['id']}/undo", json={"revision": again["revision"]}).json()
        wrong = self.client.post(address, params={"revision": undone["revision"], "holes": -1})
        self.assertEqual(wrong.status_code, 422)
        gone = self.client.post(address.replace(made["id"], "r9"), params={"revision": undone["revision"]})
        self.assertEqual(gone.status_code, 404)


class Sticking(ScanCase):
    def test_what_is_moved_and_added_stays_on_the_scan(self) -> None:
        self.scan()
        self.done({"kind": "settle", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "onto": "r2"})

        def off() -> float:
            component, mesh = self.component()
            points = nearest_on(self.cage("p1")).surface_points
            return float(np.abs(mesh.sided(component.own(points)).distance).max())

        lies = off()
        cage = self.cage("p1")
        top = int(cage.positions[:, 2].argmax())
        move = {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [top]}, "vector": [1, 0.5, 4]}
        self.done({**move, "stick": "r2"})
        after = self.cage("p1").positions
        # It went along, not away; and nothing else moved.
        self.assertGreater(np.linalg.norm((after - cage.positions)[top, :2]), 0.7)
        self.assertEqual(np.count_nonzero((after != cage.positions).any(axis=1)), 1)
        sticks = off()
        self.assertLess(sticks, lies + 1.0)
        undone = self.client.post(f"/api/designs/{self.state['id']}/undo", json={"revision": self.state["revision"]})
        self.state = undone.json()
        self.done(move)
        self.assertGreater(off(), 2 * sticks, "without it it would lie far off")

    def test_far_from_the_scan_it_does_as_ever_and_says_so(self) -> None:
        self.scan()
        self.done({"kind": "add-box", "name": "Far", "size": [10, 10, 10], "counts": [1, 1, 1]})
        whole = {"kind": "piece", "ids": [0]}
        self.done({"kind": "move", "piece": "p3", "picked": whole, "vector": [300, 0, 0], "stick": "r2"})
        self.assertAlmostEqual(float(self.cage("p3").positions[:, 0].mean()), 300.0)
        refused = {"kind": "move", "piece": "p1", "picked": whole, "vector": [1, 0, 0], "stick": "r9"}
        body = {"revision": self.state["revision"], "command": refused}
        self.assertEqual(self.client.post(f"/api/designs/{self.state['id']}/commands", json=body).status_code, 404)


class ReadIn(ScanCase):
    """A large file: how far it is can be asked for, and it can be stopped, with nothing changed."""

    NAME = "0123456789abcdef"

    def send(self) -> Any:
        data = trimesh.creation.icosphere(subdivisions=7, radius=30).export(file_type="stl")
        asked = f"revision={self.state['revision']}&name=ball.stl&unit=mm&scan=true&watch={self.NAME}"
        return self.client.post(f"/api/designs/{self.state['id']}/components?{asked}", content=data)

    def watched(self, until: Any) -> list[dict[str, Any]]:
        seen: list[dict[str, Any]] = []
        for _ in range(1_500):
            told = self.client.get(f"/api/reading/{self.NAME}").json()
            if told is None and seen:
                break
            if told is not None:
                seen.append(told)
                if until(told):
                    break
            time.sleep(0.02)
        return seen

    def test_its_progress_is_told_while_it_is_read(self) -> None:
        self.assertIsNone(self.client.get(f"/api/reading/{self.NAME}").json())
        with ThreadPoolExecutor(1) as pool:
            answer = pool.submit(self.send)
            seen = self.watched(lambda told: False)
        self.assertEqual(answer.result().status_code, 200, answer.result().text)
        self.assertEqual(answer.result().json()["references"][-1]["triangles"], 327_680)
        parts = [told["progress"] for told in seen]
        self.assertEqual(parts, sorted(parts))
        words = " ".join(dict.fromkeys(told["words"] for told in seen))
        self.assertIn("327,680 triangles", words)
        self.assertIsNone(self.client.get(f"/api/reading/{self.NAME}").json())

    def test_stopped_it_changes_nothing(self) -> None:
        before = self.state["revision"]
        with ThreadPoolExecutor(1) as pool:
            answer = pool.submit(self.send)
            self.watched(lambda told: told["status"] == "running")
            self.client.delete(f"/api/reading/{self.NAME}")
        self.problem(answer.result(), 409, "stopped")
        state = self.client.get(f"/api/designs/{self.state['id']}").json()
        self.assertEqual((state["revision"], state["references"]), (before, []))
        # And the next one is read.
        self.assertEqual(self.send().status_code, 200)

    def test_names_that_are_none(self) -> None:
        self.problem(self.client.get("/api/reading/elsewhere"), 422, "invalid")
