"""Run a call of the kernel in a child process with a time limit, so that a hang or a crash costs that call only.

The child is forked from a worker that has no other threads; it dies with its parent.
"""

from __future__ import annotations

import ctypes
import os
import pickle
import resource
import select
import signal
import tempfile
from collections.abc import Callable
from pathlib import Path
from typing import TypeVar

from zinc_otter.core.errors import CoreError, KernelError

T = TypeVar("T")

_DIE_WITH_PARENT = 1
_LIBC = ctypes.CDLL(None, use_errno=True)


def guarded(what: str, seconds: float, call: Callable[[], T]) -> T:
    """The result of ``call``, which must be picklable. ``what`` begins the sentence of a failure.

    Raises the call's own CoreError, or KernelError when it takes longer than ``seconds``, crashes, or raises otherwise.
    """
    with tempfile.TemporaryDirectory(prefix="zinc-otter-kernel-") as folder:
        result = Path(folder) / "result"
        reading, writing = os.pipe()
        child = os.fork()
        if child == 0:
            os.close(reading)
            _be_child(call, result)
        os.close(writing)
        try:
            # The pipe closes when the child ends, in whatever way.
            ended, _, _ = select.select([reading], [], [], seconds)
            if not ended:
                os.kill(child, signal.SIGKILL)
        except BaseException:
            os.kill(child, signal.SIGKILL)
            raise
        finally:
            os.close(reading)
            os.waitpid(child, 0)
        if not ended:
            raise KernelError(f"{what} took longer than {seconds:g} s and was stopped.")
        if not result.exists():
            raise KernelError(f"{what} made the solid kernel give up: it crashed, or {_TOO_MUCH}.")
        done, value = pickle.loads(result.read_bytes())
    if done:
        return value
    if isinstance(value, CoreError):
        raise value
    raise KernelError(f"{what} failed in the solid kernel ({value}).")


MOST_MEMORY = 4 * 1024**3
"""Bytes that a call may take beyond what its process has."""
_TOO_MUCH = f"it asked for more than {MOST_MEMORY // 1024**3} GB of memory"


def _bound_memory() -> None:
    """Calls of the kernel were seen to ask for hundreds of gigabytes where a radius is next to nothing."""
    pages = int(Path("/proc/self/statm").read_text("ascii").split()[0])
    _, hard = resource.getrlimit(resource.RLIMIT_AS)
    most = pages * resource.getpagesize() + MOST_MEMORY
    resource.setrlimit(resource.RLIMIT_AS, (most if hard == resource.RLIM_INFINITY else min(most, hard), hard))


def _be_child(call: Callable[[], object], result: Path) -> None:
    try:
        _LIBC.prctl(_DIE_WITH_PARENT, signal.SIGKILL)
        _bound_memory()
        signal.signal(signal.SIGTERM, signal.SIG_DFL)
        try:
            answer: tuple[bool, object] = (True, call())
        except CoreError as error:
            answer = (False, error)
        except MemoryError:
            answer = (False, _TOO_MUCH)
        except Exception as error:
            words = f"{type(error).__name__}: {error}"[:200].splitlines()[0]
            answer = (False, _TOO_MUCH if "alloc" in words.lower() or "memory" in words.lower() else words)
        fresh = result.with_suffix(".new")
        fresh.write_bytes(pickle.dumps(answer))
        fresh.replace(result)
    finally:
        # Not sys.exit: what the parent has open is the parent's to close.
        os._exit(0)
