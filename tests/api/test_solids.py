from __future__ import annotations

import re
import struct
import time
from typing import Any

import numpy as np

from tests import sample_cages
from tests.api.case import BOX, ServiceCase, extrude
from zinc_otter.core.formats.cages import read_cage, write_cage
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.solid.exact import Cylinder
from zinc_otter.core.words import area_words, extent, lengths_in, volume_words


class SolidCase(ServiceCase):
    one_service = True

    def path(self, state: dict[str, Any], piece: str = "p1") -> str:
        return f"/api/designs/{state['id']}/pieces/{piece}"

    def wait(self, job: dict[str, Any]) -> dict[str, Any]:
        deadline = time.monotonic() + 90
        while job["status"] in ("waiting", "running") and time.monotonic() < deadline:
            time.sleep(0.1)
            job = self.client.get(f"/api/jobs/{job['id']}").json()
        return job


class Solids(SolidCase):
    def test_make_certify_download(self) -> None:
        state = self.begun(BOX, extrude(0))
        path = self.path(state)
        self.assertIsNone(self.client.get(path + "/certificate").json())
        self.problem(self.client.get(path + "/solid.step"), 404, "no-solid")
        begun = self.client.post(path + "/solid")
        self.assertEqual(begun.status_code, 202)
        self.assertEqual(self.wait(begun.json())["status"], "done")
        certificate = self.client.get(path + "/certificate").json()
        self.assertTrue(certificate["watertight"])
        answer = self.client.get(path + "/solid.step")
        self.assertIn("Box.step", answer.headers["content-disposition"])
        target = self.folder / "back.step"
        target.write_bytes(answer.content)
        facts = facts_of(read_step(target))
        self.assertEqual((facts.solids, facts.faces), (1, certificate["face_count"]))
        self.assertLess(abs(facts.volume - certificate["volume"]) / facts.volume, 1e-6)

        # The solid belongs to the form as it was: another step asks for another one, undo finds the first again.
        changed = self.give(state, extrude(0, by=1))
        self.assertIsNone(self.client.get(path + "/certificate").json())
        self.client.post(f"/api/designs/{state['id']}/undo", json={"revision": changed["revision"]})
        self.assertEqual(self.client.get(path + "/certificate").json(), certificate)

    def test_an_open_cage_is_refused_and_its_open_edges_named(self) -> None:
        state = self.begun({"kind": "add-plane", "size": [3, 2], "counts": [1, 1]})
        for answer in (self.client.post(self.path(state) + "/solid"), self.client.get(self.path(state) + "/surface-file")):
            self.assertIn("open along 4 edges", self.problem(answer, 422, "open-cage"))
            self.assertEqual(sorted(answer.json()["place"]["edges"]), [0, 1, 2, 3])

    def test_stl_with_a_chosen_chord_tolerance(self) -> None:
        state = self.begun(BOX)
        sizes = []
        for tolerance in (1.0, 0.01):
            data = self.client.get(self.path(state) + f"/surface-file?tolerance={tolerance}").content
            (count,) = struct.unpack_from("<I", data, 80)
            self.assertEqual(len(data), 84 + 50 * count)
            sizes.append(count)
        self.assertGreater(sizes[1], 3 * sizes[0])
        for wrong in ("0", "-1", "nan", "inf", "fine"):
            self.problem(self.client.get(self.path(state) + f"/surface-file?tolerance={wrong}"), 422, "invalid")
        self.problem(self.client.get(self.path(state) + "/surface-file?tolerance=1e-9"), 422, "bad-number")

    def test_the_cage_as_a_file_comes_back_equal(self) -> None:
        state = self.begun(BOX)
        two = {"kind": "edge", "ids": [0, 1]}
        state = self.give(state, {"kind": "crease", "piece": "p1", "picked": two, "sharpness": 2.3})
        cage = self.client.get(self.path(state) + "/cage").json()
        for kind in ("usda", "usdc", "ply"):
            answer = self.client.get(self.path(state) + f"/cage-file?kind={kind}")
            self.assertIn(f".{kind}", answer.headers["content-disposition"])
            back = read_cage(answer.content, kind).cage
            np.testing.assert_array_equal(back.positions, cage["positions"])
            self.assertEqual(back.edge_sharpness[[0, 1]].tolist(), [2.3, 2.3])
        self.problem(self.client.get(self.path(state) + "/cage-file?kind=doc"), 422, "invalid")

    def test_cancel(self) -> None:
        state = self.begun({**BOX, "counts": [12, 12, 12]})
        job = self.client.post(self.path(state) + "/solid").json()
        self.assertEqual(self.client.delete(f"/api/jobs/{job['id']}").json()["status"], "cancelled")
        self.assertIsNone(self.client.get(self.path(state) + "/certificate").json())
        self.problem(self.client.get("/api/jobs/none"), 404, "unknown-job")


class Followed(SolidCase):
    """Solids of pieces with followers, by REST."""

    def add(self, state: dict[str, Any], follower: dict[str, Any]) -> dict[str, Any]:
        return self.give(state, {"kind": "add-follower", "piece": "p1", "follower": follower})

    def bossed(self) -> dict[str, Any]:
        state = self.begun(BOX)
        body = {"kind": "cylinder", "point": [0, 0, 0], "along": [0, 0, 1], "radius": 3, "height": 12}
        return self.add(state, {"kind": "combine", "body": body})

    def test_the_solid_with_its_followers_and_its_certificate_as_a_page(self) -> None:
        state = self.bossed()
        path = self.path(state)
        self.problem(self.client.get(path + "/certificate-page"), 404, "no-solid")
        self.assertEqual(self.wait(self.client.post(path + "/solid").json())["status"], "done")
        certificate = self.client.get(path + "/certificate").json()
        measured = certificate["measured"]
        self.assertAlmostEqual(certificate["volume"] / measured["mesh_volume"], 1, delta=0.01)
        self.assertEqual(measured["crossings"], 0)
        self.assertEqual([row[2] for row in measured["followers"]], ["done"])
        page = self.client.get(path + "/certificate-page")
        self.assertIn("text/html", page.headers["content-type"])
        self.assertIn(volume_words(certificate["volume"]), page.text)
        self.assertNotIn("http", page.text)
        # No number of it is told with an exponent.
        self.assertIsNone(re.search(r"\d[eE][-+]\d", page.text))
        self.assertIn("Largest tolerance of the kernel", page.text)
        # Switched off, there is another solid to be made.
        follower = state["pieces"][0]["followers"][0]
        self.give(state, {"kind": "change-follower", "piece": "p1", "follower": {**follower, "on": False}})
        self.assertIsNone(self.client.get(path + "/certificate").json())

    def test_the_page_of_a_design_in_inches_tells_inches(self) -> None:
        state = self.begun({**BOX, "size": [30, 20, 12]}, unit="in")
        path = self.path(state)
        self.assertEqual(self.wait(self.client.post(path + "/solid").json())["status"], "done")
        certificate = self.client.get(path + "/certificate").json()
        page = self.client.get(path + "/certificate-page").text
        with lengths_in("in"):
            told = extent(certificate["size"]), volume_words(certificate["volume"]), area_words(certificate["area"])
        for words in told:
            self.assertIn(words, page)
        # Files are in millimetres: so large it is in them.
        self.assertEqual(re.findall(r"[\d.,]+ mm[^<]*", page), [extent(certificate["size"]).split(" × ")[-1] + ")"])

    def test_the_finder_by_its_job_and_key(self) -> None:
        state = self.bossed()
        path = self.path(state)
        seam = [state["pieces"][0]["followers"][0]["id"], "piece"]
        begun = self.client.post(path + "/fillet-finder", json={"between": seam, "radius": 40})
        self.assertEqual(begun.status_code, 202)
        key = begun.json()["key"]
        self.assertEqual(self.wait(begun.json()["job"])["status"], "done")
        found = self.client.get(f"/api/found/{key}").json()
        self.assertTrue(0 < found["radius"] < 40)
        self.assertIsNotNone(found["chains"][0]["breaks_at"])
        self.assertIsNone(self.client.get("/api/found/" + "0" * 32).json())
        alone = {"between": ["piece", "piece"], "radius": 0.5, "near": [0, 0, 5]}
        self.problem(self.client.post(path + "/fillet-finder", json={**alone, "near": [0, 0, 1e9]}), 422, "invalid")
        failed = self.client.post(path + "/fillet-finder", json={"between": ["f77", "piece"], "radius": 1}).json()
        self.assertIn("no such edges", self.wait(failed["job"])["words"])
        wrong = self.client.post(path + "/fillet-finder", json={"between": seam, "radius": 1, "before": "f77"})
        self.problem(wrong, 422, "bad-selection")

    def test_a_step_that_does_not_hold_fails_the_job_with_its_reason(self) -> None:
        state = self.add(self.bossed(), {"kind": "hollow", "wall": 2})
        state = self.add(state, {"kind": "hollow", "wall": 0.5})
        job = self.wait(self.client.post(self.path(state) + "/solid").json())
        self.assertEqual(job["status"], "failed", job)
        self.assertIn("hollowed once", job["words"])
        self.assertIsNone(self.client.get(self.path(state) + "/certificate").json())

    def test_the_triangles_have_a_certificate_of_their_own(self) -> None:
        state = self.add(self.bossed(), {"kind": "hollow", "wall": 1.5})
        path = self.path(state)
        job = self.wait(self.client.post(path + "/triangles-certificate?tolerance=0.1").json())
        self.assertEqual(job["status"], "done", job)
        certificate = self.client.get(path + "/certificate").json()
        self.assertEqual((certificate["route"], certificate["solid_count"]), ("triangles", 1))
        self.assertIsNone(certificate["seam_angle"])
        self.assertLess(certificate["deviation"], 0.1)
        measured = certificate["measured"]
        self.assertEqual((measured["crossings"], measured["triangle_count"]), (0, certificate["face_count"]))
        self.assertAlmostEqual(measured["thinnest"], 1.5, delta=0.2)
        stl = self.client.get(path + "/surface-file?tolerance=0.1").content
        self.assertAlmostEqual(read_mesh(stl, "stl", "mm").volume / certificate["volume"], 1, delta=1e-4)
        page = self.client.get(path + "/certificate-page").text
        self.assertIn("there is no STEP file", page)
        self.assertNotIn("seam", page)
        self.problem(self.client.get(path + "/solid.step"), 404, "no-solid")
        # The kernel's counts before it, once there is one.
        self.assertEqual(self.wait(self.client.post(path + "/solid").json())["status"], "done")
        self.assertEqual(self.client.get(path + "/certificate").json()["route"], "kernel")
        waiting = self.add(state, {"kind": "fillet", "between": ["f77", "piece"]})
        job = self.wait(self.client.post(self.path(waiting) + "/triangles-certificate").json())
        self.assertIn("waits: the edges that it names are not there", job["words"])

    def test_files_of_every_kind_hold_the_body(self) -> None:
        state = self.bossed()
        for kind in ("stl", "3mf", "obj", "ply", "glb"):
            answer = self.client.get(self.path(state) + f"/surface-file?kind={kind}&tolerance=0.2")
            self.assertIn(f"Box.{kind}", answer.headers["content-disposition"])
            mesh = read_mesh(answer.content, kind, None if kind in ("3mf", "glb") else "mm")
            self.assertEqual(mesh.open_edge_count, 0, kind)
            self.assertGreater(mesh.vertices[:, 2].max(), 11.9, kind)
        facts = self.client.get(self.path(state) + "/surface-facts?tolerance=0.2").json()
        # Made for the files, they are counted.
        self.assertTrue(facts["exact"])
        self.assertAlmostEqual(facts["bytes"]["stl"] / facts["triangles"], 50, delta=1)
        for kind in ("stl", "3mf"):
            begun = self.client.post(self.path(state) + f"/surface-file?kind={kind}&tolerance=0.2").json()
            self.assertEqual(self.wait(begun["job"])["status"], "done")
            written = self.client.get(f"/api/files/{begun['key']}?kind={kind}&name=Boss")
            self.assertIn(f"Boss.{kind}", written.headers["content-disposition"])
            self.assertEqual(read_mesh(written.content, kind, "mm" if kind == "stl" else None).open_edge_count, 0)
        self.problem(self.client.get("/api/files/" + "0" * 32), 404, "no-solid")
        finer = self.client.get(self.path(state) + "/surface-facts?tolerance=0.2&angle=4").json()
        self.assertGreater(finer["triangles"], 2 * facts["triangles"])
        self.assertLessEqual(finer["turn"], 4)
        self.problem(self.client.get(self.path(state) + "/surface-facts?angle=0"), 422, "invalid")
        too_fine = self.client.get(self.path(state) + "/surface-facts?angle=0.001").json()
        self.assertEqual(too_fine["triangles"], 0)
        self.assertIn("is within reach", too_fine["words"])
        waiting = self.add(state, {"kind": "fillet", "between": ["f8", "f9"], "radius": 1})
        self.problem(self.client.get(self.path(waiting) + "/surface-file?kind=stl"), 422, "unsound-body")

    def test_an_estimate_becomes_a_count_once_the_triangles_are_made(self) -> None:
        state = self.bossed()
        asked = "?tolerance=0.1&angle=12"
        guess = self.client.get(self.path(state) + "/surface-facts" + asked).json()
        self.assertFalse(guess["exact"])
        job = self.client.post(self.path(state) + "/triangles" + asked).json()
        self.assertEqual(self.wait(job)["status"], "done")
        facts = self.client.get(self.path(state) + "/surface-facts" + asked).json()
        self.assertTrue(facts["exact"])
        self.assertLessEqual(facts["turn"], 12)
        self.assertLessEqual(facts["chord"], 0.1)
        stl = self.client.get(self.path(state) + "/surface-file?kind=stl&" + asked[1:]).content
        # 80 bytes of heading, the count, and 50 bytes a triangle.
        self.assertEqual(int.from_bytes(stl[80:84], "little"), facts["triangles"])
        self.assertEqual(len(stl), 84 + 50 * facts["triangles"])
        # The worker writes what it made before: the same triangles to the last bit.
        begun = self.client.post(self.path(state) + "/surface-file?kind=stl&" + asked[1:]).json()
        self.assertEqual(self.wait(begun["job"])["status"], "done")
        self.assertEqual(self.client.get(f"/api/files/{begun['key']}?kind=stl").content[84:], stl[84:])
        # Another form has not been counted.
        changed = self.add(state, {"kind": "scale-to-size", "length": 50})
        self.assertFalse(self.client.get(self.path(changed) + "/surface-facts" + asked).json()["exact"])

    def test_materials_carry_their_sources(self) -> None:
        materials = {m["name"]: m for m in self.client.get("/api/materials").json()}
        self.assertEqual(materials["Gold"]["density"], 19.3)
        # 92.5 % silver and 7.5 % copper by mass: 1 / (0.925 / 10.5 + 0.075 / 8.96).
        self.assertEqual(materials["Silver, 925 with copper"]["density"], 10.37)
        self.assertTrue(all(m["source"] for m in materials.values()))


class FromOutside(SolidCase):
    """Cages and STEP solids brought in by REST."""

    def test_a_cage_is_told_before_it_is_put_down(self) -> None:
        cage = sample_cages.rimmed(3.5)
        told = self.client.post("/api/cage-files?name=C:\\x\\Bowl.ply", content=write_cage(cage, "ply"))
        self.assertEqual(told.status_code, 200, told.text)
        self.assertEqual(told.json()["findings"], [])
        state = self.begun(told.json()["command"])
        self.assertEqual(state["pieces"][0]["name"], "Bowl")
        held = self.client.get(f"/api/designs/{state['id']}/pieces/p1/cage").json()
        np.testing.assert_array_equal(held["positions"], cage.positions)
        sharp = {str(e): float(s) for e, s in enumerate(cage.edge_sharpness) if s}
        self.assertEqual(held["creases"], sharp)

    def test_broken_files_get_a_sentence(self) -> None:
        for name, data, kind in (
            ("a.obj", b"v 0 0 0\nf 1 2 3\n", "bad-file"),
            ("a", b"x", "bad-file"),
            ("a.usda", b"#usda 1.0\ndef Mesh", "bad-file"),
            ("a.stl", b"\0" * 84, "bad-file"),
        ):
            self.problem(self.client.post(f"/api/cage-files?name={name}", content=data), 422, kind)
        self.problem(self.client.post("/api/solid-files?name=a.step", content=b"ISO-10303-21;\nHEADER;"), 422, "bad-file")
        self.problem(self.client.post("/api/solid-files?name=a.obj", content=b"v"), 422, "bad-file")

    def test_a_step_solid_is_kept_combined_with_and_hollowed_along(self) -> None:
        target = self.folder / "pin.step"
        write_step(Cylinder((0, 0, -20), (0, 0, 1), 3, 40).shape(), target, "Pin")
        kept = self.client.post("/api/solid-files?name=pin.step", content=target.read_bytes())
        self.assertEqual(kept.status_code, 200, kept.text)
        self.assertAlmostEqual(kept.json()["volume"], np.pi * 9 * 40, delta=8)
        state = self.begun(BOX)
        body = {"kind": "imported", "asset": kept.json()["asset"]}
        bore = {"kind": "combine", "way": "subtract", "body": body}
        state = self.give(state, {"kind": "add-follower", "piece": "p1", "follower": bore})
        path = f"/api/designs/{state['id']}/pieces/p1"
        job = self.wait(self.client.post(path + "/solid").json())
        self.assertEqual(job["status"], "done", job)
        certificate = self.client.get(path + "/certificate").json()
        self.assertAlmostEqual(certificate["volume"] / certificate["measured"]["mesh_volume"], 1, delta=0.01)
        # By triangles it is there as well, in the file as on the screen.
        answer = self.client.get(path + "/surface-file?tolerance=0.05")
        self.assertAlmostEqual(read_mesh(answer.content, "stl", "mm").volume / certificate["volume"], 1, delta=0.01)
        missing = {"kind": "combine", "body": {"kind": "imported", "asset": "0" * 64}}
        command = {"kind": "add-follower", "piece": "p1", "follower": missing}
        answer = self.client.post(
            f"/api/designs/{state['id']}/commands", json={"revision": state["revision"], "command": command}
        )
        self.problem(answer, 404, "unknown-asset")


class Bench(SolidCase):
    def test_the_bench_answers_and_shows_layers(self) -> None:
        state = self.begun(BOX)
        path = self.path(state) + "/print-bench"
        answer = self.client.post(path + "?tolerance=0.2", json={"layer": 0.25, "fill": 1.0})
        self.assertEqual(answer.status_code, 200, answer.text)
        body = answer.json()
        self.assertTrue(body["accepted"])
        self.assertAlmostEqual(body["layers"], body["size"][2] / 0.25, delta=1)
        picture = self.client.get(path + "/layer.svg?index=5&layer=0.25&tolerance=0.2")
        self.assertEqual(picture.headers["content-type"], "image/svg+xml")
        self.assertIn("<path", picture.text)
        self.problem(self.client.post(path, json={"layer": 0}), 422, "invalid")
        # What it finds is told in the unit of the design.
        state = self.begun(BOX, unit="in")
        answer = self.client.post(self.path(state) + "/print-bench?tolerance=0.2", json={"bed": [25.4, 200, 200]}).json()
        self.assertIn("the bed 1 × 7.874 × 7.874 in: too long along x", answer["objections"][0]["words"])
        self.problem(self.client.post(path, json={"layer": 1e-4}), 422, "refused")
