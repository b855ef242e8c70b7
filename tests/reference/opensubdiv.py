"""Debian's libosd (package libosd-dev) by ctypes, as an independent reference for subdivision.

The shim is compiled on first use into the build folder and kept for as long as its source does not change.
"""

from __future__ import annotations

import ctypes
import hashlib
import subprocess
from functools import cache
from pathlib import Path
from typing import NamedTuple

import numpy as np

from zinc_otter.core.cage import Cage

SOURCE = Path(__file__).with_name("shim.cpp")
BUILD = Path(__file__).parents[2] / "build"


class _Cage(ctypes.Structure):
    _fields_ = [
        ("vertices", ctypes.c_int),
        ("faces", ctypes.c_int),
        ("face_sizes", ctypes.c_void_p),
        ("face_verts", ctypes.c_void_p),
        ("creases", ctypes.c_int),
        ("crease_pairs", ctypes.c_void_p),
        ("crease_sharpness", ctypes.c_void_p),
        ("corners", ctypes.c_int),
        ("corner_verts", ctypes.c_void_p),
        ("corner_sharpness", ctypes.c_void_p),
    ]


@cache
def _library() -> ctypes.CDLL:
    digest = hashlib.sha256(SOURCE.read_bytes()).hexdigest()[:16]
    target = BUILD / f"osd_shim_{digest}.so"
    if not target.exists():
        BUILD.mkdir(exist_ok=True)
        made = target.with_suffix(".tmp")
        subprocess.run(["g++", "-O2", "-shared", "-fPIC", "-o", made, SOURCE, "-losdCPU"], check=True)
        made.rename(target)
    return ctypes.CDLL(str(target))


class _Passed:
    """A cage in C's terms, with the arrays kept alive."""

    def __init__(self, cage: Cage) -> None:
        t = cage.topology
        edges = np.flatnonzero(cage.edge_sharpness > 0)
        corners = np.flatnonzero(cage.vertex_sharpness > 0)
        self.arrays = [
            t.face_sizes.astype(np.int32),
            t.face_verts.astype(np.int32),
            np.ascontiguousarray(t.edge_verts[edges], dtype=np.int32),
            cage.edge_sharpness[edges].astype(np.float32),
            corners.astype(np.int32),
            cage.vertex_sharpness[corners].astype(np.float32),
        ]
        sizes, verts, pairs, sharp, at, corner_sharp = (a.ctypes.data for a in self.arrays)
        self.struct = _Cage(
            t.vertex_count, t.face_count, sizes, verts, len(edges), pairs, sharp, len(corners), at, corner_sharp
        )
        self.points = np.ascontiguousarray(cage.positions)


class Reference(NamedTuple):
    """Points (n, 3) and unit normals at a level; ``of_cage`` (n_cage,) are the vertices that follow the cage's own."""

    refined: np.ndarray
    limit: np.ndarray
    normals: np.ndarray
    of_cage: np.ndarray


def surface(cage: Cage, level: int) -> Reference:
    """The reference's own refinement and limit of a cage."""
    passed = _Passed(cage)
    n = _library().osd_count(ctypes.byref(passed.struct), level)
    assert n > 0
    refined, limit, du, dv = (np.zeros((n, 3)) for _ in range(4))
    of_cage = np.zeros(len(cage.positions), dtype=np.int32)
    pointers = [ctypes.c_void_p(a.ctypes.data) for a in (passed.points, refined, limit, du, dv, of_cage)]
    assert _library().osd_surface(ctypes.byref(passed.struct), level, *pointers) == n
    normals = np.cross(du, dv)
    lengths = np.linalg.norm(normals, axis=1, keepdims=True)
    return Reference(refined, limit, normals / np.where(lengths > 0, lengths, 1), of_cage)


def seconds(cage: Cage, level: int, repeats: int) -> tuple[float, float]:
    """Best time to build the reference's stencil table, and to apply it once."""
    passed = _Passed(cage)
    build, apply = ctypes.c_double(), ctypes.c_double()
    points = ctypes.c_void_p(passed.points.ctypes.data)
    done = _library().osd_time(
        ctypes.byref(passed.struct), level, points, repeats, ctypes.byref(build), ctypes.byref(apply)
    )
    assert done == 0
    return build.value, apply.value
