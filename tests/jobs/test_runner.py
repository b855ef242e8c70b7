from __future__ import annotations

import multiprocessing
import os
import tempfile
import time
import unittest
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from unittest import mock

from tests import sample_cages as cages
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.step import facts_of, read_step
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs import JobRunner, JobState, UnknownJobError
from zinc_otter.jobs.runner import BusyError, StoppedError
from zinc_otter.jobs.solid_work import CERTIFICATE, SHAPE, SHOWN, STEP, make_solid

Progress = Callable[[float, str], None]


def hangs(progress: Progress) -> None:
    progress(0.3, "Hanging")
    time.sleep(600)


def rests(progress: Progress, seconds: float) -> None:
    progress(0.1, "Resting")
    time.sleep(seconds)


def dies(progress: Progress) -> None:
    progress(0.2, "Dying")
    os._exit(7)


def refuses(progress: Progress) -> None:
    raise CoreError("The form has no inside.")


def answers(progress: Progress, folder: Path) -> None:
    (folder / "answer").write_text("42")


class Runner(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)

    def runner(self, time_limit: float = 120.0) -> JobRunner:
        runner = JobRunner(time_limit)
        self.addCleanup(runner.close)
        return runner

    def wait(self, runner: JobRunner, job_id: str, until: Callable[[JobState], bool] | None = None) -> JobState:
        deadline = time.monotonic() + 90
        while time.monotonic() < deadline:
            state = runner.state(job_id)
            if until(state) if until else state.status not in ("waiting", "running"):
                return state
            time.sleep(0.05)
        raise AssertionError(f"still {runner.state(job_id)}")

    def test_a_worker_that_dies_costs_its_own_job_only(self) -> None:
        runner = self.runner()
        state = self.wait(runner, runner.start("a", "Making it", dies))
        self.assertEqual(state.status, "failed")
        self.assertIn("ended unexpectedly", state.words)
        self.assertEqual(self.wait(runner, runner.start("b", "Making it", answers, self.folder)).status, "done")
        self.assertEqual((self.folder / "answer").read_text(), "42")

    def test_a_worker_killed_at_rest_is_replaced(self) -> None:
        runner = self.runner()
        self.wait(runner, runner.start("a", "Making it", answers, self.folder))
        for worker in multiprocessing.active_children():
            worker.kill()
            worker.join()
        time.sleep(1)
        self.assertEqual(self.wait(runner, runner.start("b", "Making it", answers, self.folder)).status, "done")

    def test_a_worker_that_hangs_is_stopped_at_its_time_limit(self) -> None:
        runner = self.runner(time_limit=4)
        state = self.wait(runner, runner.start("a", "Making it", hangs))
        self.assertEqual(state.status, "failed")
        self.assertIn("longer than 4 s", state.words)

    def test_a_clock_that_jumps_ends_nothing(self) -> None:
        runner = self.runner(time_limit=30)
        job_id = runner.start("a", "Making it", rests, 1.5)
        self.wait(runner, job_id, lambda s: s.status == "running")
        real = time.time
        with mock.patch("time.time", lambda: real() + 1e6):
            self.assertEqual(self.wait(runner, job_id).status, "done")

    def test_what_waits_is_bounded(self) -> None:
        runner = JobRunner(30, most_waiting=3)
        self.addCleanup(runner.close)
        for key in "abc":
            runner.start(key, "Making it", rests, 20)
        with self.assertRaisesRegex(BusyError, "3 pieces of work wait already"):
            runner.start("d", "Making it", rests, 20)
        self.assertEqual(runner.start("c", "Making it", rests, 20), runner.start("c", "Making it", rests, 20))

    def test_waiting_for_what_is_stopped_ends_at_once(self) -> None:
        runner = self.runner()
        job_id = runner.start("a", "Making it", hangs)
        self.wait(runner, job_id, lambda s: s.status == "running")
        with ThreadPoolExecutor(1) as pool:
            waiting = pool.submit(runner.wait, job_id)
            runner.cancel(job_id)
            self.assertIsInstance(waiting.exception(timeout=20), StoppedError)

    def test_cancel_ends_the_work(self) -> None:
        runner = self.runner()
        job_id = runner.start("a", "Making it", hangs)
        running = self.wait(runner, job_id, lambda s: s.status == "running")
        self.assertEqual((running.progress, running.words), (0.3, "Hanging"))
        self.assertEqual(runner.start("a", "Making it", hangs), job_id)
        self.assertEqual(runner.cancel(job_id).status, "cancelled")
        self.assertEqual(self.wait(runner, runner.start("b", "Making it", answers, self.folder)).status, "done")

    def test_a_refusal_keeps_its_sentence(self) -> None:
        runner = self.runner()
        state = self.wait(runner, runner.start("a", "Making it", refuses))
        self.assertEqual((state.status, state.words), ("failed", "The form has no inside."))

    def test_an_unknown_job(self) -> None:
        with self.assertRaises(UnknownJobError):
            self.runner().state("none")

    def test_a_disk_that_cannot_be_written_gets_a_sentence(self) -> None:
        runner = self.runner()
        (self.folder / "file").write_text("in the way")
        blocked = self.folder / "file" / "solid"
        state = self.wait(runner, runner.start("a", "Making the solid", make_solid, Recipe("Knob", cages.knob()), blocked))
        self.assertEqual(state.status, "failed")
        self.assertIn("could not write", state.words)

    def test_the_solid_is_made_in_the_worker(self) -> None:
        runner = self.runner()
        recipe = Recipe("Knob", cages.knob())
        state = self.wait(runner, runner.start("a", "Making the solid", make_solid, recipe, self.folder))
        self.assertEqual(state.status, "done", state.words)
        facts = facts_of(read_step(self.folder / STEP))
        self.assertEqual((facts.solids, facts.valid, facts.closed), (1, True, True))
        self.assertEqual(sorted(p.name for p in self.folder.iterdir()), sorted([CERTIFICATE, SHAPE, SHOWN, STEP]))
