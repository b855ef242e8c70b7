"""Run functions in a worker process. A worker that dies or hangs costs its own job and nothing else."""

from __future__ import annotations

import json
import multiprocessing
import secrets
import shutil
import tempfile
import time
from collections.abc import Callable
from concurrent.futures import CancelledError
from concurrent.futures.process import BrokenProcessPool
from dataclasses import dataclass
from pathlib import Path
from threading import Lock, Thread, Timer
from typing import Any, Literal

from pebble import ProcessExpired, ProcessPool

from zinc_otter.core.errors import CoreError, Place

Status = Literal["waiting", "running", "done", "failed", "cancelled"]


class UnknownJobError(CoreError):
    """A job that is not, or no longer, known."""

    kind = "unknown-job"
    title = "There is no such job"
    status = 404


class BusyError(CoreError):
    """More is waiting already than can be done in a while."""

    kind = "busy"
    title = "There is too much to do at once"
    status = 503


class StoppedError(CoreError):
    """Work that was waited for, and was cancelled."""

    kind = "stopped"
    title = "It was stopped"
    status = 409


class JobFailedError(CoreError):
    """Work that ended without a result: it took too long, or its worker died."""

    kind = "job-failed"
    title = "The work did not come to an end"


@dataclass(frozen=True)
class JobState:
    """How a job stands: ``progress`` runs from 0 to 1, ``words`` says what it does or why it failed, and ``place`` where."""

    id: str
    status: Status
    progress: float
    words: str
    place: Place | None = None


class Progress:
    """Handed to the work: says how far it is, by way of a small file, so that it needs no open channel."""

    def __init__(self, path: Path) -> None:
        self._path = path

    def __call__(self, fraction: float, words: str) -> None:
        beside = self._path.with_suffix(".new")
        beside.write_text(json.dumps({"progress": fraction, "words": words}), "utf-8")
        beside.replace(self._path)

    def read(self) -> tuple[float, str] | None:
        try:
            data = json.loads(self._path.read_text("utf-8"))
        except FileNotFoundError:
            return None
        return float(data["progress"]), str(data["words"])

    def forget(self) -> None:
        self._path.unlink(missing_ok=True)


class _Job:
    def __init__(self, future: Any, progress: Progress, key: str, what: str) -> None:
        self.future = future
        self.progress = progress
        self.key = key
        self.what = what
        self.cancelled = False
        self.begun_at: float | None = None
        self.too_long = False


class JobRunner:
    """A pool of one worker process. ``work(progress, *arguments)`` must be a function importable by its name.

    The time limit counts from when work is begun, by a clock that does not jump. ``folder`` holds how far jobs are; without
    one it is a temporary one. Work at hand is bounded by ``most_waiting``.
    """

    def __init__(self, time_limit: float = 300.0, folder: Path | None = None, most_waiting: int = 32) -> None:
        self._time_limit = time_limit
        self._most_waiting = most_waiting
        self._temporary = folder is None
        self._folder = folder or Path(tempfile.mkdtemp(prefix="zinc-otter-jobs-"))
        self._watch: Thread | None = None
        self._lock = Lock()
        self._jobs: dict[str, _Job] = {}
        self._pool: ProcessPool | None = None

    def start(self, key: str, what: str, work: Callable[..., Any], *arguments: Any) -> str:
        """Start some work and return the job's id; while the same ``key`` is under way, that job's id.

        ``what`` names the work in sentences, for example "Making the solid".
        """
        with self._lock:
            for job_id, job in self._jobs.items():
                if job.key == key and not job.future.done():
                    return job_id
            for job_id in [i for i, job in self._jobs.items() if job.future.done()][:-_REMEMBERED]:
                self._jobs.pop(job_id).progress.forget()
            if sum(not job.future.done() for job in self._jobs.values()) >= self._most_waiting:
                raise BusyError(f"{self._most_waiting} pieces of work wait already; try again when some are done.")
            if self._pool is not None and not self._pool.active:
                # Its worker was killed while it had nothing to do, for instance where memory ran out.
                self._pool.stop()  # type: ignore[no-untyped-call]
                self._pool.join()
                self._pool = None
            if self._pool is None:
                # A fresh interpreter: forking a server with threads may carry locks that nobody will open.
                self._pool = ProcessPool(max_workers=1, context=multiprocessing.get_context("spawn"))
            job_id = secrets.token_hex(6)
            progress = Progress(self._folder / f"{job_id}.json")
            future = self._pool.schedule(work, args=(progress, *arguments))
            self._jobs[job_id] = _Job(future, progress, key, what)
            if self._watch is None or not self._watch.is_alive():
                self._watch = Thread(target=self._watch_time, name="time limits of jobs", daemon=True)
                self._watch.start()
            return job_id

    def _watch_time(self) -> None:
        """End what takes longer than the limit; ends itself when nothing is left to do."""
        while True:
            time.sleep(_LOOK)
            with self._lock:
                left = [job for job in self._jobs.values() if not job.future.done()]
                if not left:
                    self._watch = None
                    return
                now = time.monotonic()
                for job in left:
                    if job.begun_at is None:
                        job.begun_at = now if job.future.running() else None
                    elif now - job.begun_at > self._time_limit and not job.too_long:
                        job.too_long = True
                        job.future.cancel()

    def call(self, what: str, work: Callable[..., Any], *arguments: Any) -> Any:
        """Do some work and wait for its result. Raises the work's CoreError, BusyError, StoppedError, or JobFailedError."""
        return self.wait(self.start(secrets.token_hex(6), what, work, *arguments))

    def wait(self, job_id: str) -> Any:
        """The result of a job that was started, once there is one; it is handed out once. Raises as :meth:`call`."""
        job = self._job(job_id)
        try:
            return job.future.result()
        except CoreError:
            raise
        except Exception:
            words = _failure(job, self._time_limit) or job.what
            raise (StoppedError if job.cancelled else JobFailedError)(words) from None
        finally:
            with self._lock:
                # A result may be large: nobody asks for it again.
                self._jobs.pop(job_id, None)
            job.progress.forget()

    def is_under_way(self, key: str) -> bool:
        """Whether work of this key has not ended yet."""
        with self._lock:
            return any(job.key == key and not (job.cancelled or job.future.done()) for job in self._jobs.values())

    def when_over(self, job_id: str, act: Callable[[], None]) -> None:
        """Do something a little after a job has ended, however it did: by then its worker writes no more."""

        def soon(_: object) -> None:
            timer = Timer(_SETTLED, act)
            timer.daemon = True
            timer.start()

        self._job(job_id).future.add_done_callback(soon)

    def knows(self, job_id: str) -> bool:
        """Whether the job is one of these."""
        with self._lock:
            return job_id in self._jobs

    def cancel(self, job_id: str) -> JobState:
        """Stop a job; its worker is ended. Raises UnknownJobError."""
        job = self._job(job_id)
        if not job.future.done():
            job.cancelled = True
            job.future.cancel()
        return self.state(job_id)

    def state(self, job_id: str) -> JobState:
        """How a job stands. Raises UnknownJobError."""
        job = self._job(job_id)
        if job.cancelled:
            return JobState(job_id, "cancelled", 0.0, f"{job.what} was cancelled.")
        at = job.progress.read()
        if not job.future.done():
            if at is None:
                return JobState(job_id, "waiting", 0.0, f"{job.what}: waiting for the worker.")
            return JobState(job_id, "running", *at)
        failure = _failure(job, self._time_limit)
        if failure is None:
            # What the work said last, where there is more to say than that it is done.
            words = at[1] if at is not None and at[0] == 1.0 and at[1] != "Done" else "done."
            return JobState(job_id, "done", 1.0, f"{job.what}: {words}")
        return JobState(job_id, "failed", at[0] if at else 0.0, failure, _place(job))

    def close(self) -> None:
        """End the worker and forget all jobs."""
        with self._lock:
            if self._pool is not None:
                self._pool.stop()  # type: ignore[no-untyped-call]
                self._pool.join()
                self._pool = None
            for job in self._jobs.values():
                job.progress.forget()
            self._jobs.clear()
            if self._temporary:
                shutil.rmtree(self._folder, ignore_errors=True)

    def _job(self, job_id: str) -> _Job:
        with self._lock:
            if job_id not in self._jobs:
                raise UnknownJobError(f"There is no job {job_id!r}.")
            return self._jobs[job_id]


_REMEMBERED = 50
_SETTLED = 1.0
"""Seconds within which a worker that is ended has ended."""
_LOOK = 0.2
"""Seconds between looks at the clock."""


def _place(job: _Job) -> Place | None:
    if job.too_long:
        return None
    error = job.future.exception()
    return error.place if isinstance(error, CoreError) else None


def _failure(job: _Job, time_limit: float) -> str | None:
    if job.too_long:
        return f"{job.what} took longer than {time_limit:g} s and was stopped. Fewer faces make it quicker."
    try:
        job.future.result()
    except CancelledError:
        return f"{job.what} was cancelled."
    except (ProcessExpired, BrokenProcessPool):
        return f"{job.what} ended unexpectedly: its worker gave up. Your design is unharmed."
    except CoreError as error:
        return str(error)
    except OSError as error:
        return f"{job.what} could not write its file: {error.strerror or error}."
    except Exception as error:
        return f"{job.what} failed: {type(error).__name__}: {error}"
    return None
