"""Files that are broken by chance: each is read, or refused in words."""

from __future__ import annotations

import tempfile
from collections import Counter
from collections.abc import Callable, Iterator
from functools import cache
from pathlib import Path

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.formats.cages import write_cage
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.cages.kinds import read_cleaned
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.surfaces import Appearance, write_surface
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.tessellation import tessellate
from zinc_otter.jobs import JobRunner
from zinc_otter.jobs.bounded import bounded_memory
from zinc_otter.store.archive import read_archive, write_archive
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Asset, UnknownAssetError

CAGES, MESHES = ("obj", "ply", "usda", "usdc"), ("stl", "obj", "ply", "glb", "3mf")
_seen: Counter[str] = Counter()


def summary() -> list[str]:
    return [f"{_seen['read']} read, {_seen['refused']} refused in words"]


def trials(first: int, count: int) -> Iterator[str]:
    """Files by number, each read in a worker with limits of memory and time."""
    runner = JobRunner(time_limit=60)
    try:
        with tempfile.TemporaryDirectory() as folder:
            for number in range(first, first + count):
                yield _one(number, runner, Path(folder))
    finally:
        runner.close()


def _one(number: int, runner: JobRunner, folder: Path) -> str:
    chance = np.random.default_rng(70_000 + number)
    kinds = [("cage", kind) for kind in CAGES] + [("mesh", kind) for kind in MESHES] + [("archive", "otter")]
    what, kind = kinds[number % len(kinds)]
    path = folder / f"broken.{kind}"
    path.write_bytes(broken(_whole(what, kind), chance))
    try:
        runner.call("Reading", read_any, what, kind, path)
    except CoreError as error:
        if error.kind in ("job-failed", "busy"):
            return f"{number}: {what} .{kind}: {error}"
        _seen["refused"] += 1
        return "" if str(error)[-1:] in ".!?'\"" else f"{number}: {what} .{kind}: no sentence: {error}"
    _seen["read"] += 1
    return ""


def read_any(_: Callable[[float, str], None], what: str, kind: str, path: Path) -> None:
    """Read a file of a kind; raises what reading raises. For a worker."""
    data = path.read_bytes()
    with bounded_memory("a file"):
        if what == "cage":
            read_cleaned(data, kind, Cleaning(1e-4, 0, False), 1.0)
        elif what == "mesh":
            read_mesh(data, kind, "mm")
        else:
            read_archive(data)


def broken(data: bytes, chance: np.random.Generator) -> bytes:
    """A file after some accidents: bytes changed, cut off, doubled, left out, or numbers made strange."""
    held = bytearray(data)
    for _ in range(int(chance.integers(1, 5))):
        at, length = int(chance.integers(len(held) or 1)), int(chance.integers(1, 40))
        accident = int(chance.integers(6))
        if accident == 0:
            held[at : at + 1] = bytes([int(chance.integers(256))])
        elif accident == 1:
            del held[at : at + length]
        elif accident == 2:
            held[at:at] = held[max(at - length, 0) : at]
        elif accident == 3:
            held[at:at] = chance.bytes(length)
        elif accident == 4:
            del held[len(held) - int(chance.integers(1, max(len(held) // 2, 2))) :]
        else:
            held[at:at] = [b"-1e400", b"nan", b"99999999999", b"\xff\xff\xff\xff", b"\n", b"{["][int(chance.integers(6))]
    return bytes(held)


@cache
def _whole(what: str, kind: str) -> bytes:
    cage: Cage = box((30, 20, 10), (3, 2, 2))
    cage = cage.with_sharpness(edges=np.where(np.arange(cage.topology.edge_count) % 3, 0.0, 2.0))
    if what == "cage":
        return write_cage(cage, kind, "Float", None)
    if what == "mesh":
        return write_surface(kind, tessellate(cage, 0.5), Appearance("Float"))

    def none(_: str) -> Asset:
        raise UnknownAssetError("none")

    return write_archive("Float", "mm", Design().with_new_piece("Float", cage)[0], none)
