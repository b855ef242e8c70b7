"""What goes wrong outside of the form: workers killed, disks full, files far too large. Nothing else is lost."""

from __future__ import annotations

import multiprocessing
import os
import resource
import struct
import subprocess
import sys
import time
import unittest
from typing import Any

import numpy as np

from tests.api.case import BOX
from tests.api.test_solids import SolidCase
from zinc_otter.core.formats.step import write_step
from zinc_otter.core.solid.exact import Cylinder


def processes_below(pid: int) -> list[int]:
    """Ids of the live children of a process, by the kernel's own list."""
    found = []
    for entry in os.listdir("/proc"):
        if entry.isdigit():
            try:
                with open(f"/proc/{entry}/stat", encoding="utf-8") as file:
                    fields = file.read().rsplit(")", 1)[1].split()
            except OSError:
                continue
            if int(fields[1]) == pid and fields[0] != "Z":
                found.append(int(entry))
    return found


class Workers(SolidCase):
    def running(self, job: dict[str, Any], words: str) -> dict[str, Any]:
        deadline = time.monotonic() + 60
        while words not in job["words"] and time.monotonic() < deadline:
            self.assertIn(job["status"], ("waiting", "running"), job)
            time.sleep(0.01)
            job = self.client.get(f"/api/jobs/{job['id']}").json()
        self.assertIn(words, job["words"])
        return job

    def kill_workers(self) -> list[int]:
        """Kill all workers at once; the ids of the processes that these had begun."""
        workers = [child for child in multiprocessing.active_children() if child.pid]
        below = [pid for worker in workers for pid in processes_below(worker.pid or 0)]
        for worker in workers:
            worker.kill()
            worker.join()
        # Until the pool has seen it, a job may still be given to a worker that is no more.
        time.sleep(1)
        return below

    def test_a_worker_killed_in_mid_fillet_costs_its_own_job_only(self) -> None:
        state = self.begun(BOX)
        body = {"kind": "cylinder", "point": [0, 0, 0], "along": [0, 0, 1], "radius": 3, "height": 12}
        state = self.give(state, {"kind": "add-follower", "piece": "p1", "follower": {"kind": "combine", "body": body}})
        seam = [state["pieces"][0]["followers"][0]["id"], "piece"]
        path = self.path(state)
        asked = {"between": seam, "radius": 40}
        job = self.client.post(path + "/fillet-finder", json=asked).json()["job"]
        self.running(job, "Trying a radius")
        below = self.kill_workers()
        # The server answers throughout; the job says what became of it; what the kernel was trying ends as well.
        self.assertEqual(self.client.get(f"/api/designs/{state['id']}").status_code, 200)
        ended = self.wait(job)
        self.assertEqual(ended["status"], "failed")
        self.assertIn("its worker gave up. Your design is unharmed", ended["words"])
        deadline = time.monotonic() + 10
        while any(os.path.exists(f"/proc/{pid}") for pid in below) and time.monotonic() < deadline:
            time.sleep(0.05)
        self.assertFalse([pid for pid in below if os.path.exists(f"/proc/{pid}")])
        # Nothing is lost: the same can be asked for again.
        after = self.client.get(f"/api/designs/{state['id']}").json()
        self.assertEqual((after["revision"], after["pieces"]), (state["revision"], state["pieces"]))
        begun = self.client.post(path + "/fillet-finder", json=asked).json()
        self.assertEqual(self.wait(begun["job"])["status"], "done")
        self.assertGreater(self.client.get(f"/api/found/{begun['key']}").json()["radius"], 0)

    def test_a_disk_that_is_full_leaves_no_half_file(self) -> None:
        state = self.begun(BOX)
        path = self.path(state)
        coarse = self.client.post(path + "/surface-file?kind=stl&tolerance=1").json()
        self.assertEqual(self.wait(coarse["job"])["status"], "done")
        # The limit on a file's size stands in for the disk's end; the worker inherits it when it is begun anew.
        self.kill_workers()
        soft, hard = resource.getrlimit(resource.RLIMIT_FSIZE)
        resource.setrlimit(resource.RLIMIT_FSIZE, (1024 * 1024, hard))
        try:
            fine = self.client.post(path + "/surface-file?kind=stl&tolerance=0.006").json()
            job = self.wait(fine["job"])
        finally:
            resource.setrlimit(resource.RLIMIT_FSIZE, (soft, hard))
        self.assertEqual(job["status"], "failed", job)
        self.assertIn("could not write its file: File too large", job["words"])
        self.assertEqual([file.name for file in (self.folder / "made" / "files").iterdir()], [f"{coarse['key']}.stl"])
        self.problem(self.client.get(f"/api/files/{fine['key']}?kind=stl"), 404, "no-solid")
        self.assertEqual(self.client.get(f"/api/files/{coarse['key']}?kind=stl").status_code, 200)
        self.kill_workers()
        again = self.client.post(path + "/surface-file?kind=stl&tolerance=0.006").json()
        self.assertEqual(self.wait(again["job"])["status"], "done")


class Loading(unittest.TestCase):
    def test_the_usd_library_is_there_before_any_thread_is(self) -> None:
        # Loaded by a thread while another loads anything, it may stop both for ever.
        look = "import sys, threading, zinc_otter.api.app; sys.exit(not ('pxr.Usd' in sys.modules))"
        self.assertEqual(subprocess.run([sys.executable, "-c", look]).returncode, 0)


class Files(SolidCase):
    def test_too_many_triangles_are_refused_by_their_number(self) -> None:
        count = 5_200_000
        data = b"\0" * 80 + struct.pack("<I", count) + np.random.default_rng(1).bytes(50 * count)
        state = self.begun(BOX)
        params = {"revision": state["revision"], "name": "scan.stl", "unit": "mm"}
        answer = self.client.post(f"/api/designs/{state['id']}/components", params=params, content=data)
        self.assertIn("5,200,000 faces; 5,000,000 are the most for a component", self.problem(answer, 422, "bad-file"))
        count = 2_400_000
        data = data[:80] + struct.pack("<I", count) + data[84 : 84 + 50 * count]
        answer = self.client.post("/api/cage-files?name=scan.stl&unit=mm", content=data)
        self.assertIn("2,400,000 faces; 2,000,000 are the most for a cage", self.problem(answer, 422, "bad-file"))
        self.assertEqual(list(self.room.work.path.glob("*.incoming")), [])
        self.assertEqual(self.client.get(f"/api/designs/{state['id']}").json()["revision"], state["revision"])

    def test_a_step_file_cut_off_anywhere_is_refused(self) -> None:
        target = self.folder / "pin.step"
        write_step(Cylinder((0, 0, -20), (0, 0, 1), 3, 40).shape(), target, "Pin")
        whole = target.read_bytes()
        for share in (0.02, 0.3, 0.7, 0.95):
            answer = self.client.post("/api/solid-files?name=pin.step", content=whole[: int(share * len(whole))])
            self.problem(answer, 422, "bad-file")
        self.assertEqual(self.client.post("/api/solid-files?name=pin.step", content=whole).status_code, 200)

    def test_an_obj_that_names_vertices_it_does_not_have(self) -> None:
        for last in ("9", "-9", "0", "99999999999999999999"):
            data = f"v 0 0 0\nv 1 0 0\nv 1 1 0\nf 1 2 {last}\n".encode()
            self.assertIn("4", self.problem(self.client.post("/api/cage-files?name=a.obj", content=data), 422, "bad-file"))
