"""A scan cleaned up: loose parts left out, spikes laid back, small holes closed; and how many of each there were."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import coo_matrix, csr_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.formats.mesh import Mesh
from zinc_otter.core.proof.pseudonormals import Pseudonormals, Wiring

_LOOSE = 0.02
"""Of the largest part's area: smaller ones are loose."""
_STANDS_OUT = 8.0
"""How many times the common roughness a vertex stands out that is a spike."""
_EVEN = 0.03
"""Of the spacing: a scan is taken to be at least so rough."""
_ALONE = 2.5
"""How many times as far as any neighbour a spike stands out."""
_ROUNDS = 3


@dataclass(frozen=True, eq=False)
class Cleaned:
    """The mesh, and how many ``parts`` were left out, ``spikes`` laid back and ``holes`` closed."""

    mesh: Mesh
    parts: int
    spikes: int
    holes: int

    @property
    def did_nothing(self) -> bool:
        return not (self.parts or self.spikes or self.holes)

    @property
    def words(self) -> str:
        counts = (self.parts, self.spikes, self.holes)
        done = (("loose part", "left out"), ("spike", "laid back"), ("hole", "closed"))
        said = [f"{k} {what}{'' if k == 1 else 's'} {how}" for k, (what, how) in zip(counts, done, strict=True) if k]
        return ", ".join(said) or "nothing was to be cleaned up"


def cleaned(vertices: Floats, triangles: Ints, holes: float = 0.0) -> Cleaned:
    """Clean a mesh up; holes whose rim is no longer than ``holes`` mm are closed by a fan. Raises BadNumberError,
    BadSelectionError where nothing is left.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> from zinc_otter.core.scan.scanner import Scanning, scanned
    >>> scan = scanned(patched_sphere(40, 3), Scanning(spacing=1, noise=0.02, missing=2, spikes=5, looks="around"))
    >>> cleaned(scan.vertices, scan.triangles, 40.0).words
    '5 spikes laid back, 1 hole closed'
    """
    if not (np.isfinite(holes) and holes >= 0):
        raise BadNumberError("The rim up to which holes are closed is 0 mm or longer.")
    v, f, parts = _large_part(vertices, np.asarray(triangles, dtype=np.int64))
    v, spikes = _laid_back(v, f)
    v, f, count = closed(v, f, holes)
    return Cleaned(Mesh(v, f.astype(np.int32)), parts, spikes, count)


def parts_of(count: int, f: Ints) -> tuple[int, Ints]:
    """How many parts hang together, and the part (count,) of each vertex."""
    links = coo_matrix((np.ones(2 * len(f)), (np.r_[f[:, 0], f[:, 1]], np.r_[f[:, 1], f[:, 2]])), (count, count))
    found, part = connected_components(links, directed=False)
    return int(found), np.asarray(part)


def areas_of(v: Floats, f: Ints) -> Floats:
    return np.asarray(np.linalg.norm(np.cross(v[f[:, 1]] - v[f[:, 0]], v[f[:, 2]] - v[f[:, 0]]), axis=1) / 2)


def rims(f: Ints) -> list[Ints]:
    """The open loops of a mesh, each run along with the triangles beside it on its left; what is no loop is left out."""
    ends = np.stack([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]], axis=1).reshape(-1, 2)
    count = int(f.max(initial=0)) + 1
    open_ends = ends[~np.isin(ends @ [count, 1], ends @ [1, count])]
    once = np.bincount(open_ends[:, 0], minlength=count) == 1
    # Where rims touch in a point it is not known which one goes on.
    following = {a: b for a, b in open_ends.tolist() if once[a]}
    found = []
    while following:
        begin, at = following.popitem()
        loop = [begin]
        while at != begin and at in following:
            loop.append(at)
            at = following.pop(at)
        if at == begin:
            found.append(np.array(loop))
    return found


def _large_part(v: Floats, f: Ints) -> tuple[Floats, Ints, int]:
    if not len(f):
        raise BadSelectionError("The scan has no triangles.")
    _, part = parts_of(len(v), f)
    of_face = part[f[:, 0]]
    each = np.bincount(of_face, areas_of(v, f))
    stays = each >= _LOOSE * each.max()
    gone = int(np.count_nonzero(~stays[np.unique(of_face)]))
    used, joined = np.unique(f[stays[of_face]], return_inverse=True)
    return v[used], joined.reshape(-1, 3), gone


def _laid_back(v: Floats, f: Ints) -> tuple[Floats, int]:
    """Vertices that stand out from the middle of their neighbours by far more than others do, laid there."""
    n = len(v)
    ends = np.concatenate([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]])
    links = csr_matrix((np.ones(len(ends)), (ends[:, 0], ends[:, 1])), (n, n))
    links = ((links + links.T) > 0).astype(np.float64)
    many = np.maximum(np.asarray(links.sum(axis=1)).reshape(-1, 1), 1)
    rim = np.zeros(n, dtype=bool)
    for loop in rims(f):
        rim[loop] = True
    found = np.zeros(n, dtype=bool)
    step = float(np.median(np.linalg.norm(v[ends[:, 0]] - v[ends[:, 1]], axis=1)))
    v = v.copy()
    for _ in range(_ROUNDS):
        normals = unit(Pseudonormals(v, Wiring(f)).of_vertices)
        out = ((v - links @ v / many) * normals).sum(axis=1)
        usual = max(1.4826 * float(np.median(np.abs(out - np.median(out)))), _EVEN * step)
        # Beside a spike its neighbours seem to stand in a little; along an edge of the form they stand out as much.
        most = np.maximum.reduceat(np.abs(out)[links.indices], links.indptr[:-1])
        spikes = (np.abs(out) > _STANDS_OUT * usual) & ~rim & (np.abs(out) > _ALONE * most)
        if not spikes.any():
            break
        found |= spikes
        v[spikes] = (links @ v / many)[spikes]
    return v, int(found.sum())


def closed(v: Floats, f: Ints, longest: float) -> tuple[Floats, Ints, int]:
    """With holes whose rims are no longer closed by a fan about their middle, and how many."""
    middles: list[Floats] = []
    fans: list[Ints] = []
    for loop in rims(f) if longest > 0 else []:
        rim = v[loop]
        if np.linalg.norm(rim - np.roll(rim, 1, axis=0), axis=1).sum() > longest:
            continue
        fans.append(np.column_stack([np.roll(loop, -1), loop, np.full(len(loop), len(v) + len(middles))]))
        middles.append(rim.mean(axis=0))
    if not fans:
        return v, f, 0
    return np.concatenate([v, middles]), np.concatenate([f, *fans]), len(fans)
