"""A surface laid through points that come without triangles.

After H. Hoppe, T. DeRose, T. Duchamp, J. McDonald, W. Stuetzle, "Surface Reconstruction from Unorganized Points",
SIGGRAPH 1992: planes through neighbours, sides told along a spanning tree, a signed distance, and its zero by marching
cubes, only where points are near. The distance blends the planes about a place, which evens noise (R. Kolluri,
"Provably good moving least squares", 2005).
"""

from __future__ import annotations

from dataclasses import dataclass

import igl
import numpy as np
from scipy.sparse import coo_matrix, csr_matrix
from scipy.sparse.csgraph import breadth_first_order, connected_components, minimum_spanning_tree
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.progress import Progress
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.pseudonormals import sums_at
from zinc_otter.core.same_rows import same_rows
from zinc_otter.core.scan.cleaning import closed
from zinc_otter.core.words import fine_length_words

LEAST_POINTS = 100
_MOST_CENTRES = 400_000
"""Planes that are laid: of more points those of a cell are taken together."""
_NEIGHBOURS = 12
_COUNTED = 8
_ROUGH = 0.2
"""How far points may lie off their planes, of how far they lie apart."""
_CELL = 1.25
"""Edge of the grid's cells, of how far planes lie apart."""
_REACH = 2.5
"""How far from the nearest plane the distance is told, in cells."""
_EDGE = 2.2
"""How far the surface goes on beyond the last point, of how far planes lie apart."""
_GAP = 12.0
"""Rims up to so many times as long are closed: points that lie anyhow leave some."""
_BLENDED = 8
_STRAY = 4.0
"""What lies so many times further from its neighbours than is usual belongs to nothing."""

_MEASURED = 20_000


@dataclass(frozen=True, eq=False)
class ThroughPoints:
    """Vertices (n, 3) in mm and triangles (m, 3); how far planes lie ``apart`` (mm); how many points were ``stray``."""

    vertices: Floats
    triangles: Ints
    apart: float
    stray: int


def through_points(points: Floats, normals: Floats | None, progress: Progress) -> ThroughPoints:
    """A surface of triangles through points (n, 3) in mm, looking outwards, or where ``normals`` (n, 3) of them look.

    It is open where points end or are missing for more than about three times their distance; noise is evened over about
    as much. Walls thinner than that run together. Raises FileFormatError where points make no surface.
    """
    progress(0.0, f"Looking for the neighbours of {len(points):,} points")
    cell = 0.0
    while True:
        centres, given, near, lone = _with_neighbours(*_thinned(points, normals, cell))
        planes, apart, rough = _planes(centres, near)
        if rough <= _ROUGH * apart:
            break
        # Noise of half a distance makes no surface: the mean of four points has half the noise at twice the distance.
        cell = 2.0 * apart
    progress(0.3, f"Laying {len(centres):,} planes through them")
    if given is not None:
        facing = np.where((planes * given).sum(axis=1) < 0, -1.0, 1.0)
        planes = facing[:, None] * planes
    else:
        progress(0.35, "Telling their outer sides")
        planes = _outwards(centres, planes, near)
    vertices, triangles = _surface(centres, planes, apart, progress)
    vertices, triangles, _ = closed(vertices, triangles, _GAP * apart)
    if not len(triangles):
        raise FileFormatError("The points make no surface: no two of them lie on one side of a form.")
    return ThroughPoints(vertices, triangles, apart, lone)


def how_near(points: Floats, made: ThroughPoints) -> tuple[str, ...]:
    """What was made of the points, in words: how many they were and how near to them the surface runs."""
    some = points[:: max(1, len(points) // _MEASURED)]
    feet, _ = MeshDistance(made.vertices, made.triangles).nearest_feet(some)
    off = np.sort(np.linalg.norm(some - feet, axis=1))
    # Strays would tell how far they lie, and nothing of the surface.
    off = off[off <= _STRAY * made.apart] if made.stray else off
    usual = fine_length_words(float(np.sqrt((off**2).mean())))
    far = fine_length_words(float(off[int(0.95 * (len(off) - 1))]))
    ones = "1 stray one was" if made.stray == 1 else f"{made.stray:,} stray ones were"
    stray = f"; {ones} left out" if made.stray else ""
    return (
        f"it was laid through {len(points):,} points, some {fine_length_words(made.apart)} apart where it took them"
        f" together: they lie {usual} off it on average (rms), 95 % within {far}{stray}",
    )


def _thinned(points: Floats, normals: Floats | None, cell: float) -> tuple[Floats, Floats | None]:
    """The points, those within a cell as their mean; cells are larger where there are too many points."""
    low = points.min(axis=0)
    extent = float(np.ptp(points, axis=0).max())
    cell = max(cell, extent * 1e-6)
    if len(points) > _MOST_CENTRES:
        cell = max(cell, 0.5 * extent / np.sqrt(_MOST_CENTRES))
    while True:
        first, which = same_rows(np.floor((points - low) / max(cell, 1e-300)))
        if len(first) <= _MOST_CENTRES:
            break
        # Cells of a surface go by the square of their size.
        cell *= 1.05 * np.sqrt(len(first) / _MOST_CENTRES)
    count = np.bincount(which)[:, None]
    means = sums_at(which, points, len(first)) / count
    return means, None if normals is None else sums_at(which, normals, len(first)) / count


def _with_neighbours(centres: Floats, given: Floats | None) -> tuple[Floats, Floats | None, Ints, int]:
    """The centres that have neighbours, these by number with each itself first, and how many have none."""
    if len(centres) < LEAST_POINTS:
        raise FileFormatError(f"The points make no surface: they are {len(centres)}, and {LEAST_POINTS} are the least.")
    away, near = cKDTree(centres).query(centres, _NEIGHBOURS + 1, workers=-1)
    lone = away[:, 4] > _STRAY * float(np.median(away[:, 4]))
    if lone.any():
        # Once is enough: more than half of all lie no further from one another than is usual.
        centres, given = centres[~lone], None if given is None else given[~lone]
        _, near = cKDTree(centres).query(centres, _NEIGHBOURS + 1, workers=-1)
    return centres, given, near, int(np.count_nonzero(lone))


def _planes(centres: Floats, near: Ints) -> tuple[Floats, float, float]:
    """(n, 3) unit normals of the planes that fit neighbours best, whichever side they look to; how far (mm) centres lie
    apart, and from their planes."""
    found, off = np.empty_like(centres), np.empty(len(centres))
    for first in range(0, len(centres), 100_000):
        part = slice(first, first + 100_000)
        arms = centres[near[part]] - centres[near[part]].mean(axis=1, keepdims=True)
        values, axes = np.linalg.eigh(np.einsum("nki,nkj->nij", arms, arms))
        found[part], off[part] = axes[:, :, 0], np.sqrt(np.maximum(values[:, 0], 0) / near.shape[1])
    # So many of them lie within a disc of that radius.
    disc = np.linalg.norm(centres[near[:, _COUNTED]] - centres, axis=1)
    return found, float(np.median(disc)) * np.sqrt(np.pi / _COUNTED), float(np.median(off))


def _outwards(centres: Floats, planes: Floats, near: Ints) -> Floats:
    """The normals turned to one side: along a tree that crosses as few sharp bends as can be, each part outwards."""
    n = len(centres)
    one = np.repeat(np.arange(n), near.shape[1] - 1)
    other = near[:, 1:].ravel()
    along = (planes[one] * planes[other]).sum(axis=1)
    # A weight of nothing would be no edge.
    cost = coo_matrix((1 - np.abs(along) + 1e-6, (one, other)), shape=(n, n)).tocsr()
    tree = minimum_spanning_tree(cost)
    _, part = connected_components(tree, directed=False)
    _, roots = np.unique(part, return_index=True)
    before = _before(tree, roots)
    flips = (planes * planes[before]).sum(axis=1) < 0
    turned, seen = flips.copy(), before.copy()
    while (seen != seen[seen]).any():
        # Each looks twice as far back as the time before.
        turned ^= turned[seen]
        seen = seen[seen]
    planes = np.where(turned, -1.0, 1.0)[:, None] * planes
    middle = sums_at(part, centres, len(roots)) / np.bincount(part)[:, None]
    inwards = np.bincount(part, ((centres - middle[part]) * planes).sum(axis=1)) < 0
    return np.asarray(np.where(inwards[part], -1.0, 1.0)[:, None] * planes)


def _before(tree: csr_matrix, roots: Ints) -> Ints:
    """(n,) what comes before each in a tree seen from its root; a root itself."""
    n = tree.shape[0]
    links = tree.tocoo()
    # One root of all roots, so that one walk is enough.
    a, b = np.concatenate([links.row, np.full(len(roots), n)]), np.concatenate([links.col, roots])
    whole = coo_matrix((np.ones(len(a)), (a, b)), shape=(n + 1, n + 1)).tocsr()
    _, before = breadth_first_order(whole, n, directed=False)
    found = before[:n].copy()
    found[roots] = roots
    return np.asarray(found)


def _surface(centres: Floats, planes: Floats, apart: float, progress: Progress) -> tuple[Floats, Ints]:
    """Where the blended distance from the planes is nothing, near points only."""
    cell = _CELL * apart
    # Not through the points themselves: a plane along the axes would lie in corners of the grid.
    low = centres.min(axis=0) - 2.37 * cell
    at = np.floor((centres - low) / cell).astype(np.int64)
    count = at.max(axis=0) + 3
    steps = np.array([count[1] * count[2], count[2], 1])
    around = np.stack(np.meshgrid(*[np.arange(-1, 2)] * 3, indexing="ij"), axis=-1).reshape(-1, 3)
    cells = np.unique((np.unique(at @ steps)[:, None] + around @ steps).ravel())
    # In the order of the corners of P. Bourke's tables, which the library has.
    corners = np.array([[0, 0, 0], [1, 0, 0], [1, 1, 0], [0, 1, 0], [0, 0, 1], [1, 0, 1], [1, 1, 1], [0, 1, 1]])
    keys = cells[:, None] + corners @ steps
    nodes, which = np.unique(keys, return_inverse=True)
    which = which.reshape(keys.shape)
    places = low + cell * np.column_stack([nodes // steps[0], nodes // steps[1] % count[1], nodes % count[2]])
    progress(0.6, f"Telling {len(places):,} distances")
    tree = cKDTree(centres)
    distance, near = _blended(tree, centres, planes, places, apart)
    keep = (near < _REACH * cell)[which].all(axis=1)
    side = distance[which] < 0
    keep &= side.any(axis=1) & ~side.all(axis=1)
    progress(0.85, "Laying triangles")
    used, local = np.unique(which[keep], return_inverse=True)
    if not len(used):
        return np.zeros((0, 3)), np.zeros((0, 3), dtype=np.int64)
    vertices, triangles, _ = igl.marching_cubes(distance[used], places[used], local.reshape(-1, 8).astype(np.int64), 0.0)
    if not len(triangles):
        return vertices, triangles
    away, _ = tree.query(vertices, workers=-1)
    inside = (away < _EDGE * apart)[triangles].all(axis=1)
    return _facing(vertices, triangles[inside], tree, planes)


def _blended(tree: cKDTree, centres: Floats, planes: Floats, places: Floats, apart: float) -> tuple[Floats, Floats]:
    """The signed distance (k,) from the planes about each place, and how far (k,) the nearest one is."""
    distance, nearest = np.empty(len(places)), np.empty(len(places))
    for first in range(0, len(places), 200_000):
        part = slice(first, first + 200_000)
        away, which = tree.query(places[part], _BLENDED, workers=-1)
        arms = places[part][:, None] - centres[which]
        heights = (arms * planes[which]).sum(axis=2)
        weights = np.exp(-((away**2 - away[:, :1] ** 2) / apart**2))
        distance[part] = (weights * heights).sum(axis=1) / weights.sum(axis=1)
        nearest[part] = away[:, 0]
    return distance, nearest


def _facing(vertices: Floats, triangles: Ints, tree: cKDTree, planes: Floats) -> tuple[Floats, Ints]:
    """Triangles turned as the planes look, all at once: the tables turn them all to one side."""
    if not len(triangles):
        return vertices, triangles
    a, b, c = (vertices[triangles[:, k]] for k in range(3))
    _, near = tree.query((a + b + c) / 3, workers=-1)
    agree = (np.cross(b - a, c - a) * planes[near]).sum()
    return vertices, triangles if agree > 0 else np.ascontiguousarray(triangles[:, ::-1])
