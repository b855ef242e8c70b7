"""The patches around an extraordinary vertex, made tangent along all seams that leave it, together.

There a limit surface shrinks by another factor than a half from level to level, so that how the boundary curves are run
through is as much in the way as the poles beside them. Both are moved: by Gauss and Newton on the angles along all seams of
the ring, each pole held to its place by a spring that is stiff along the normal and soft within the surface.
"""

from __future__ import annotations

from dataclasses import replace

import numpy as np
from scipy.linalg import solve

from zinc_otter.core.cage.cage import HARD, unit
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.solid.patches import Patches

MOST_VERTICES = 300
"""Of more than so many, as a scan's triangles have, the worst are done; the certificate tells what is left."""
_ROUNDS = 12
_ALONG, _NORMAL = 0.01, 0.15
"""How stiff a pole is held, as the angle by which the way of its own length to the boundary counts."""


def agreed_around(patches: Patches, vertices: Ints) -> Patches:
    """The patches with those around each of ``vertices`` brought to agree, one vertex after another."""
    poles = patches.poles.copy()
    for vertex in vertices[:MOST_VERTICES]:
        _Ring(patches, poles, int(vertex)).settle()
    return replace(patches, poles=poles)


class _Ring:
    """The unknown poles around one vertex: those of each spoke near it, and of each patch beside its two spokes."""

    def __init__(self, patches: Patches, poles: Floats, vertex: int) -> None:
        self._poles = poles
        t = patches.cage.topology
        m = poles.shape[1]
        self._reach = min(4, (m - 1) // 2 - 1)
        # Corners around the vertex in turn: each one's half-edge goes out along a spoke.
        self._corners = _around(t, vertex)
        count = len(self._corners)
        self._grids = [_local(m, int(c) % 4) for c in self._corners]
        self._faces = [int(c) // 4 for c in self._corners]
        spans = min(self._reach + 1, len(patches.breaks) - 1)
        at = np.interp(np.arange(1, 4 * spans + 1) / 4, np.arange(len(patches.breaks)), patches.breaks)
        self._basis, self._slopes = patches.basis(at), patches.basis(at, 1)
        own = [(a, 1) for a in range(1, self._reach + 1)] + [(1, b) for b in range(2, self._reach + 1)]
        self._own = own
        self._unknowns = count * (self._reach + len(own))
        # A hard crease that ends here is not to be smooth.
        edges = t.corner_edge[self._corners]
        self._smooth = (patches.cage.edge_sharpness[edges] < HARD).astype(np.float64)[:, None]

    def settle(self) -> None:
        """Move the poles."""
        grids = self._read()
        first = grids.copy()
        springs, scale = self._springs(first)
        best = self._worst(grids)
        for _ in range(_ROUNDS):
            miss, slope = self._linear(grids)
            held = np.einsum("uxy,uy->ux", springs, self._at(grids) - self._at(first)) / scale
            gram = slope.T @ slope
            stiff = np.zeros_like(gram).reshape(self._unknowns, 3, self._unknowns, 3)
            k = np.arange(self._unknowns)
            stiff[k, :, k] = np.einsum("uyx,uyz->uxz", springs, springs) / scale**2
            gram += stiff.reshape(gram.shape)
            goal = -(slope.T @ miss) - (np.einsum("uyx,uy->ux", springs, held) / scale).ravel()
            step = solve(gram, goal, assume_a="pos", check_finite=False).reshape(-1, 3)
            tried = self._moved(grids, step)
            worst = self._worst(tried)
            if worst > 0.98 * best:
                if worst < best:
                    grids = tried
                break
            grids, best = tried, worst
        self._write(grids)

    # --- the unknowns: spokes first, each its poles outwards, then each patch's own -------------------------------------

    def _at(self, grids: Floats) -> Floats:
        spokes = [grids[i, j, 0] for i in range(len(grids)) for j in range(1, self._reach + 1)]
        return np.array(spokes + [grids[i, a, b] for i in range(len(grids)) for a, b in self._own])

    def _moved(self, grids: Floats, step: Floats) -> Floats:
        moved = grids.copy()
        count, reach = len(grids), self._reach
        spokes = step[: count * reach].reshape(count, reach, 3)
        moved[:, 1 : reach + 1, 0] += spokes
        # The patch after a spoke has it along its other side.
        moved[:, 0, 1 : reach + 1] += np.roll(spokes, -1, axis=0)
        own = step[count * reach :].reshape(count, len(self._own), 3)
        for k, (a, b) in enumerate(self._own):
            moved[:, a, b] += own[:, k]
        return moved

    def _springs(self, grids: Floats) -> tuple[Floats, float]:
        """(u, 3, 3) how stiff each pole is held, and the length of a pole's way to the boundary."""
        count = len(grids)
        across = np.linalg.norm(grids[:, 1 : self._reach + 1, 1] - grids[:, 1 : self._reach + 1, 0], axis=-1)
        scale = float(np.median(across))
        du = grids[:, 1:, :-1] - grids[:, :-1, :-1]
        dv = grids[:, :-1, 1:] - grids[:, :-1, :-1]
        normals = unit(np.cross(du, dv))
        at = [normals[i, j, 0] for i in range(count) for j in range(1, self._reach + 1)]
        at += [normals[i, a, b] for i in range(count) for a, b in self._own]
        n = np.array(at)
        tip = unit(np.cross(grids[:, 1, 0] - grids[:, 0, 0], grids[:, 0, 1] - grids[:, 0, 0]).sum(axis=0))
        stiff = np.full(len(n), _NORMAL)
        for i in range(count):
            # The first pole of a spoke stays in the tangent plane of the point.
            n[i * self._reach] = tip
            stiff[i * self._reach] = 100.0
        outer = n[:, :, None] * n[:, None, :]
        return _ALONG * (np.eye(3) - outer) + stiff[:, None, None] * outer, scale

    # --- the angles -----------------------------------------------------------------------------------------------------

    def _vectors(self, grids: Floats) -> tuple[Floats, Floats, Floats]:
        """(n, s, 3) along each spoke, and across it into the patch on either side."""
        spoke, inner = grids[:, :, 0], grids[:, :, 1]
        # The patch before has this spoke as its other side.
        before = np.roll(grids, 1, axis=0)
        along = np.einsum("sj,njx->nsx", self._slopes, spoke)
        left = np.einsum("sj,njx->nsx", self._basis, inner - spoke)
        right = np.einsum("sj,njx->nsx", self._basis, before[:, 1] - before[:, 0])
        return along, left, right

    def _worst(self, grids: Floats) -> float:
        along, left, right = self._vectors(grids)
        one, other = np.cross(along, left), np.cross(right, along)
        sine = np.linalg.norm(np.cross(one, other), axis=-1)
        return float((np.arctan2(sine, (one * other).sum(axis=-1)) * self._smooth).max())

    def _linear(self, grids: Floats) -> tuple[Floats, Floats]:
        """The sines of all angles (r,), and how they change with each unknown (r, 3 u)."""
        along, left, right = self._vectors(grids)
        one, other = np.cross(along, left), np.cross(right, along)
        size = np.linalg.norm(along, axis=-1) / np.maximum(
            np.linalg.norm(one, axis=-1) * np.linalg.norm(other, axis=-1), 1e-300
        )
        size *= self._smooth
        count, samples = size.shape
        miss = (along * np.cross(left, right)).sum(axis=-1) * size
        by_along = np.cross(left, right) * size[..., None]
        by_left = np.cross(right, along) * size[..., None]
        by_right = np.cross(along, left) * size[..., None]
        reach, own = self._reach, len(self._own)
        slope = np.zeros((count, samples, self._unknowns, 3))
        base = count * reach
        place = {ab: k for k, ab in enumerate(self._own)}
        for i in range(count):
            before = (i - 1) % count
            for j in range(1, reach + 1):
                b, d = self._basis[:, j, None], self._slopes[:, j, None]
                slope[i, :, i * reach + j - 1] += d * by_along[i] - b * (by_left[i] + by_right[i])
                slope[i, :, base + i * own + place[j, 1]] += b * by_left[i]
                slope[i, :, base + before * own + place[1, j]] += b * by_right[i]
        return miss.ravel(), slope.reshape(count * samples, -1)

    # --- in and out of the patches --------------------------------------------------------------------------------------

    def _read(self) -> Floats:
        return np.stack([self._poles[f][i, j] for f, (i, j) in zip(self._faces, self._grids, strict=True)])

    def _write(self, grids: Floats) -> None:
        for k, (face, (i, j)) in enumerate(zip(self._faces, self._grids, strict=True)):
            self._poles[face, i, j] = grids[k]


def _around(t: Topology, vertex: int) -> Ints:
    """The corners of an inner vertex, counter-clockwise: each one's half-edge leads on to the next one's face."""
    start = int(np.argmax(t.face_verts == vertex))
    found = [start]
    while True:
        # The patch after has this corner's other side as its spoke: the half-edge that comes in, turned round.
        before = found[-1] // 4 * 4 + (found[-1] - 1) % 4
        onward = int(t.corner_twin[before])
        if onward == start:
            return np.array(found)
        found.append(onward)


def _local(m: int, corner: int) -> tuple[Ints, Ints]:
    """Where the poles of a patch lie, seen from one of its corners: along the half-edge that leaves it, and across."""
    a, b = np.meshgrid(np.arange(m), np.arange(m), indexing="ij")
    last = m - 1
    return [(a, b), (last - b, a), (last - a, last - b), (b, last - a)][corner]
