"""What keeping costs with a thousand designs and ten thousand steps, as ratios to one bare commit; and pictures' memory."""

from __future__ import annotations

import subprocess
import sys
import tempfile
import time
from collections.abc import Callable
from contextlib import closing
from pathlib import Path
from sqlite3 import connect

import numpy as np

from bench.timing import best
from zinc_otter.core.primitives import box
from zinc_otter.store import Store
from zinc_otter.store.archive import write_archive
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Saved

DESIGNS, STEPS = 1_000, 10_000
_PICTURE = """
import re, sys
from zinc_otter.core.primitives import box
from zinc_otter.studio.picture import picture_of
count, faces = int(sys.argv[1]), int(sys.argv[2])
one = box((40, 30, 20), (faces, faces, faces))
cages = [one.with_positions(one.positions + [50.0 * i, 0, 0]) for i in range(count)]
def peak():
    # Not getrusage: its peak is handed down from the process that began this one.
    return int(re.search(r"VmHWM:\\s+(\\d+)", open("/proc/self/status").read())[1])
before = peak()
picture_of(cages)
print((peak() - before) / 1024)
"""


def main() -> None:
    with tempfile.TemporaryDirectory() as folder:
        bare = _bare_commit(Path(folder))
        print(f"one row committed to a bare database: {bare * 1e3:.2f} ms, the measure of what follows")
        _designs(Path(folder), bare)
        _steps(Path(folder), bare)
    for count, faces in ((20, 4), (100, 2), (10, 57)):
        asked = [sys.executable, "-c", _PICTURE, str(count), str(faces)]
        grown = subprocess.run(asked, capture_output=True, text=True, check=True).stdout.strip()
        print(f"picture of {count} boxes of {6 * faces * faces:,} faces: {float(grown):.0f} MB at most on top")


def _say(what: str, seconds: float, bare: float) -> None:
    print(f"  {what}: {seconds / bare:.1f}")


def _bare_commit(folder: Path) -> float:
    with closing(connect(folder / "bare.sqlite", isolation_level=None)) as connection:
        for words in ("PRAGMA journal_mode=WAL", "PRAGMA synchronous=FULL", "CREATE TABLE rows (a)"):
            connection.execute(words)
        return best(lambda: connection.execute("INSERT INTO rows VALUES (1)"))


def _designs(folder: Path, bare: float) -> None:
    path = folder / "many" / "zinc-otter.sqlite"
    store = Store(path)
    made = [
        store.create(f"Float {i}", "mm", Design().with_new_piece("Float", box((40 + i, 30, 20), (2, 2, 2)))[0])
        for i in range(DESIGNS)
    ]
    print(f"{DESIGNS:,} designs")
    _say("list", best(lambda: store.designs()), bare)
    _say("open one", best(lambda: store.load(made[0].facts.id)), bare)
    _say("delete one", _once(lambda: store.delete(made[1].facts.id)), bare)
    store.close()
    _say("begin", best(lambda: Store(path).close()), bare)


def _steps(folder: Path, bare: float) -> None:
    store = Store(folder / "long" / "zinc-otter.sqlite")
    design = Design().with_new_piece("Float", box((40, 30, 20), (2, 2, 2)))[0]
    saved = store.create("Float", "mm", design)
    shaken = np.random.default_rng(1).normal(0, 0.1, (STEPS, 3))
    cage = design.pieces[0].cage

    def step(saved: Saved, k: int) -> Saved:
        changed = Design().with_new_piece("Float", cage.with_positions(cage.positions + shaken[k]))[0]
        return store.add_step(saved.facts.id, saved.facts.revision, "Moved", {"kind": "x"}, changed, None)

    for k in range(STEPS):
        begun = time.perf_counter()
        saved = step(saved, k)
        if k in (100, STEPS - 1):
            print(f"{k + 1:,} steps")
            _say("commit", time.perf_counter() - begun, bare)
    _say("open", best(lambda: store.load(saved.facts.id)), bare)
    _say("undo", _once(lambda: store.go_to(saved.facts.id, saved.facts.revision, saved.steps[-2].id)), bare)
    _say("archive", best(lambda: write_archive("Float", "mm", saved.design, store.asset)), bare)
    _say("delete", _once(lambda: store.delete(saved.facts.id)), bare)
    store.close()


def _once(act: Callable[[], object]) -> float:
    return best(act, repeats=1)
