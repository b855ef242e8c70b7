"""Forms whose surfaces are known by formula, and scans of them."""

from __future__ import annotations

import itertools

import numpy as np

from zinc_otter.core.cage import HARD, Cage, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.distance import MeshDistance


def grid(rows: int, columns: int, closed_rows: bool) -> Ints:
    """Triangles of points (rows, columns) that close round along columns, and along rows too where told so."""
    i = np.arange(rows if closed_rows else rows - 1)[:, None]
    j = np.arange(columns)[None]
    a, b = i * columns + j, i * columns + (j + 1) % columns
    c, d = (i + 1) % rows * columns + j, (i + 1) % rows * columns + (j + 1) % columns
    one, two = np.stack([a, c, b], axis=-1), np.stack([b, c, d], axis=-1)
    return np.concatenate([one.reshape(-1, 3), two.reshape(-1, 3)])


def ball_points(radius: float, noise: float, rows: int = 110, seed: int = 0, poles: float = 0.02) -> tuple[Floats, Ints]:
    """A ball but for its poles, with normal noise along its radius."""
    u = np.linspace(poles, np.pi - poles, rows)[:, None]
    v = np.arange(2 * rows)[None] * np.pi / rows
    way = np.stack(np.broadcast_arrays(np.sin(u) * np.cos(v), np.sin(u) * np.sin(v), np.cos(u)), axis=-1).reshape(-1, 3)
    far = radius + np.random.default_rng(seed).normal(0, noise, len(way)) if noise else np.full(len(way), radius)
    return way * far[:, None], grid(rows, 2 * rows, False)


def torus_points(large: float, small: float, noise: float, rows: int = 90, seed: int = 0) -> tuple[Floats, Ints]:
    """A torus about z with normal noise."""
    u = np.arange(rows)[:, None] * 2 * np.pi / rows
    v = np.arange(3 * rows)[None] * 2 * np.pi / (3 * rows)
    normal = np.stack(np.broadcast_arrays(np.cos(u) * np.cos(v), np.cos(u) * np.sin(v), np.sin(u)), axis=-1).reshape(-1, 3)
    middle = np.stack(np.broadcast_arrays(np.cos(v) + 0 * u, np.sin(v) + 0 * u, 0 * u * v), axis=-1).reshape(-1, 3)
    off = small + np.random.default_rng(seed).normal(0, noise, len(normal)) if noise else np.full(len(normal), small)
    # With u the outer way first, the grid would look inwards.
    return large * middle + off[:, None] * normal, grid(rows, 3 * rows, True)[:, ::-1]


def ball(radius: float, noise: float = 0.0, **more: float) -> MeshDistance:
    return MeshDistance(*ball_points(radius, noise, **more))  # type: ignore[arg-type]


def torus_scan(large: float, small: float, noise: float = 0.0) -> MeshDistance:
    return MeshDistance(*torus_points(large, small, noise))


def pierced_plate() -> Cage:
    """A plate with two holes: of genus 2."""
    cells = {(i, j) for i in range(5) for j in range(3) if not (j == 1 and i in (1, 3))}
    number: dict[tuple[int, int, int], int] = {}
    points: list[tuple[float, float, float]] = []
    faces: list[list[int]] = []

    def at(i: int, j: int, k: int) -> int:
        if (i, j, k) not in number:
            number[i, j, k] = len(points)
            points.append((i * 20 - 50, j * 20 - 30, k * 18 - 9))
        return number[i, j, k]

    for i, j in sorted(cells):
        faces.append([at(i, j, 1), at(i + 1, j, 1), at(i + 1, j + 1, 1), at(i, j + 1, 1)])
        faces.append([at(i, j, 0), at(i, j + 1, 0), at(i + 1, j + 1, 0), at(i + 1, j, 0)])
        sides = {(0, -1): (0, 0, 1, 0), (1, 0): (1, 0, 1, 1), (0, 1): (1, 1, 0, 1), (-1, 0): (0, 1, 0, 0)}
        for (di, dj), (a, b, c, d) in sides.items():
            if (i + di, j + dj) not in cells:
                p, q = (i + a, j + b), (i + c, j + d)
                faces.append([at(*p, 0), at(*q, 0), at(*q, 1), at(*p, 1)])
    return Cage.from_faces(np.array(points, dtype=np.float64), faces)


def prism(sides: int, radius: float = 15, height: float = 30) -> Cage:
    """Flat sides about z with hard edges, its ends parted from their middles so that they stay flat."""
    t = np.arange(sides) * 2 * np.pi / sides
    ring = np.column_stack([radius * np.cos(t), radius * np.sin(t)])
    points = np.concatenate([np.column_stack([ring, np.full(sides, z)]) for z in (-height / 2, height / 2)])
    around = [(k, (k + 1) % sides) for k in range(sides)]
    faces = [[a, b, sides + b, sides + a] for a, b in around]
    faces += [list(range(sides))[::-1], list(range(sides, 2 * sides))]
    cage = Cage.from_faces(points, faces)
    return set_crease(cage, Selection.of("edge", range(cage.topology.edge_count)), HARD).cage


def hard_box() -> tuple[Cage, Floats]:
    """A block of 40 by 30 by 20 mm with hard edges, and these edges (12, 2, 3)."""
    half = np.array([20, 15, 10])
    cage = box((40, 30, 20), (4, 3, 2))
    ends = cage.positions[cage.topology.edge_verts]
    on = ((np.abs(np.abs(ends) - half) < 1e-9).all(axis=1).sum(axis=1) >= 2).nonzero()[0]
    corners = np.array(list(itertools.product(*[(-x, x) for x in half])), dtype=float)
    lines = [(p, q) for p, q in itertools.combinations(corners, 2) if (np.abs(p - q) > 1e-9).sum() == 1]
    return set_crease(cage, Selection.of("edge", on), HARD).cage, np.array(lines)
