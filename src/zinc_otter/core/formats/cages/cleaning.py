"""Clean-up on the way in: near vertices merged, what is no face dropped, faces turned alike, what is joined wrongly parted,
small holes filled, triangles paired to quads. Each is told with its count, and nothing goes unsaid."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import ArrayLike
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.formats.cages.facing import mirrored, next_corners, turned_over
from zinc_otter.core.formats.cages.loaded import cage_of, refuse_broken, refuse_strange_marks
from zinc_otter.core.formats.cages.pairing import quads_of
from zinc_otter.core.same_rows import same_places

SCANNED = 0.15
"""From this share of faces that stay triangles a mesh is taken for a scan."""
Polygons = tuple[Ints, Ints]
"""Vertices of all faces one after another, and how many each has."""


@dataclass(frozen=True)
class Cleaning:
    """What is to be set right. ``merge`` mm: vertices nearer than this become one; ``holes``: up to so many edges round
    are filled; ``pair``: two triangles that make a good quad become one."""

    merge: float = 1e-4
    holes: int = 0
    pair: bool = False

    def __post_init__(self) -> None:
        if not (np.isfinite(self.merge) and self.merge >= 0):
            raise BadNumberError("Vertices are merged within a length of 0 or more.")
        if self.holes < 0:
            raise BadNumberError("Holes are filled up to a number of edges of 0 or more.")


@dataclass(frozen=True)
class Finding:
    """One thing that was set right: what, how often, and in words."""

    what: str
    count: int
    words: str


@dataclass(eq=False)
class Cleaner:
    """Builds cages as ``cage_of`` does, cleaned first; what it did is in ``findings``."""

    cleaning: Cleaning
    scale: float = 1.0
    findings: list[Finding] = field(default_factory=list)

    def __call__(
        self,
        positions: Floats,
        face_verts: Ints,
        face_sizes: Ints,
        creases: tuple[Ints, Floats] | None = None,
        corners: tuple[Ints, Floats] | None = None,
        face_sets: Mapping[str, ArrayLike] | None = None,
    ) -> Cage:
        positions = np.asarray(positions, dtype=np.float64) * self.scale
        sizes, flat = np.asarray(face_sizes, dtype=np.int64), np.asarray(face_verts, dtype=np.int64)
        refuse_broken(positions, flat, sizes)
        refuse_strange_marks(len(positions), creases, corners)
        kept = np.arange(len(sizes))
        label, points = self._merged(positions, flat)
        flat = label[flat]
        (flat, sizes), kept = self._without_bad((flat, sizes), kept)
        if self.cleaning.pair:
            (flat, sizes), kept = self._paired(points, (flat, sizes), kept)
        flat = self._uncrossed(points, (flat, sizes))
        flat = self._turned(points, (flat, sizes))
        flat, points, origin = self._parted(points, (flat, sizes))
        flat, sizes = self._filled(flat, sizes)
        used, flat = np.unique(flat, return_inverse=True)
        points, origin = points[used], origin[used]
        return cage_of(
            points, flat.reshape(-1), sizes, self._creases(creases, label, origin, (flat.reshape(-1), sizes)),
            _corners(corners, label, origin), _sets(face_sets, kept),
        )  # fmt: skip

    def _note(self, what: str, count: int, one: str, many: str) -> None:
        if count:
            self.findings.append(Finding(what, count, one if count == 1 else many.format(count)))

    # --- one after another ------------------------------------------------------------------------------------------

    def _merged(self, positions: Floats, flat: Ints) -> tuple[Ints, Floats]:
        """For each vertex the number of the one that it becomes, and the places of these."""
        n = len(positions)
        # The first of each heap keeps its place, so that what is merged with nothing keeps it to the last bit.
        first, label = same_places(positions, self.cleaning.merge)
        lone = n - len(np.unique(flat))
        self._note(
            "merged",
            n - len(first),
            "1 vertex was merged with one beside it.",
            "{} vertices were merged with others beside them.",
        )
        self._note("unused", lone, "1 vertex of no face was left out.", "{} vertices of no face were left out.")
        return label, positions[first]

    def _without_bad(self, faces: Polygons, kept: Ints) -> tuple[Polygons, Ints]:
        flat, sizes = faces
        # Corners that repeat the one before them go; a face of fewer than three is none.
        face = np.repeat(np.arange(len(sizes)), sizes)
        start = np.concatenate([[0], np.cumsum(sizes)[:-1]])
        before = np.arange(len(flat)) - 1
        before[start] = start + sizes - 1
        stays = flat != flat[before]
        flat, face = flat[stays], face[stays]
        sizes = np.bincount(face, minlength=len(sizes))
        whole = sizes >= 3
        # Nor is one that comes to a vertex twice.
        key = np.sort(face * (int(flat.max(initial=0)) + 1) + flat)
        twice = np.unique(key[1:][key[1:] == key[:-1]] // (int(flat.max(initial=0)) + 1))
        whole[twice] = False
        self._note(
            "degenerate", int((~whole).sum()), "1 face without area was dropped.", "{} faces without area were dropped."
        )
        flat, sizes, kept = flat[whole[face]], sizes[whole], kept[whole]
        double = _doubled(flat, sizes)
        self._note(
            "doubled",
            int(double.sum()),
            "1 face that lay on another was dropped.",
            "{} faces that lay on others were dropped.",
        )
        face = np.repeat(np.arange(len(sizes)), sizes)
        return (flat[~double[face]], sizes[~double]), kept[~double]

    def _paired(self, points: Floats, faces: Polygons, kept: Ints) -> tuple[Polygons, Ints]:
        flat, sizes = faces
        triangles = np.flatnonzero(sizes == 3)
        start = np.concatenate([[0], np.cumsum(sizes)[:-1]]).astype(np.int64)
        t = flat[start[triangles][:, None] + np.arange(3)]
        quads, of = quads_of(points, t)
        if len(quads) == 0:
            return faces, kept
        gone = np.zeros(len(sizes), dtype=bool)
        gone[triangles[of.ravel()]] = True
        self.findings.append(
            Finding(
                "paired", len(quads),
                f"{2 * len(quads)} of {len(triangles)} triangles were paired to {len(quads)} quad{'s' * (len(quads) != 1)}.",
            )
        )
        left = len(triangles) - 2 * len(quads)
        if left > SCANNED * (len(quads) + left) and left + len(quads) > 200:
            self.findings.append(
                Finding(
                    "scanned", left,
                    f"{100 * left / (left + len(quads)):.0f} % of the faces stay triangles: they are those of a scan rather "
                    "than a cage's. To shape it, bring it in as a component and lay quads on it.",
                )
            )
        face = np.repeat(np.arange(len(sizes)), sizes)
        rest = ~gone
        return (
            (np.concatenate([flat[rest[face]], quads.ravel()]), np.concatenate([sizes[rest], np.full(len(quads), 4)])),
            np.concatenate([kept[rest], kept[triangles[of[:, 0]]]]),
        )

    def _uncrossed(self, points: Floats, faces: Polygons) -> Ints:
        """Quads that cross themselves, with two corners in each other's place: their neighbours tell in what order."""
        flat, sizes = faces
        start = np.concatenate([[0], np.cumsum(sizes)[:-1]]).astype(np.int64)
        quads = start[sizes == 4][:, None] + np.arange(4)
        crossed = quads[_bow_ties(points[flat[quads]])]
        if not len(crossed):
            return flat
        after = next_corners(sizes)
        n = len(points)
        others = np.ones(len(flat), dtype=bool)
        others[crossed] = False
        keys = np.unique(np.sort(np.stack([flat, flat[after]], axis=1)[others], axis=1) @ [n, 1])
        flat = flat.copy()
        for corners in crossed:
            ring = flat[corners]
            orders = [ring[list(order)] for order in ((0, 1, 3, 2), (0, 2, 1, 3))]

            def shared(order: Ints) -> int:
                ends = np.sort(np.stack([order, np.roll(order, -1)], axis=1), axis=1) @ [n, 1]
                return int(np.isin(ends, keys).sum())

            flat[corners] = max(orders, key=shared)
        self._note(
            "uncrossed",
            len(crossed),
            "1 face that crossed itself was put in order.",
            "{} faces that crossed themselves were put in order.",
        )
        return flat

    def _turned(self, points: Floats, faces: Polygons) -> Ints:
        """Neighbours made to agree, and closed parts to look outwards."""
        flat, sizes = faces
        flip = turned_over(points, flat, sizes)
        self._note("turned", int(flip.sum()), "1 face was turned over.", "{} faces were turned over.")
        return np.where(np.repeat(flip, sizes), flat[mirrored(sizes)], flat)

    def _parted(self, points: Floats, faces: Polygons) -> tuple[Ints, Floats, Ints]:
        """Corners of one vertex that no chain of well-joined faces connects become vertices of their own."""
        flat, sizes = faces
        after = next_corners(sizes)
        a, b = flat, flat[after]
        n = len(points)
        # A half-edge is well joined when it has just one twin, and is itself the only one of its way.
        key, twin = a * n + b, b * n + a
        order = np.argsort(key, kind="stable")
        at = np.searchsorted(key[order], twin)
        found = (at < len(key)) & (key[order][np.minimum(at, len(key) - 1)] == twin)
        _, index, times = np.unique(key, return_inverse=True, return_counts=True)
        lone = times[index] == 1
        partner = order[np.minimum(at, len(key) - 1)]
        good = found & lone & lone[partner]
        one, other = np.flatnonzero(good), partner[good]
        # Across it, the corner at its beginning goes with the corner after its twin.
        graph = coo_matrix((np.ones(len(one)), (one, after[other])), shape=(len(flat), len(flat)))
        _, fan = connected_components(graph, directed=False)
        fans, first, which = np.unique(fan, return_index=True, return_inverse=True)
        # In the order of the vertices that they come from, so that a sound file keeps its numbers.
        order = np.lexsort((first, flat[first]))
        place = np.empty(len(fans), dtype=np.int64)
        place[order] = np.arange(len(fans))
        origin, new = flat[first][order], place[which.reshape(-1)]
        extra = len(fans) - len(np.unique(flat))
        self._note(
            "parted",
            extra,
            "1 vertex was parted where faces did not join as a surface.",
            "{} vertices were parted where faces did not join as a surface.",
        )
        return new.reshape(-1), points[origin], origin

    def _filled(self, flat: Ints, sizes: Ints) -> Polygons:
        after = next_corners(sizes)
        n = int(flat.max(initial=0)) + 1
        key, twin = flat * n + flat[after], flat[after] * n + flat
        rim = np.flatnonzero(~np.isin(twin, key))
        onward = dict(zip(flat[after[rim]].tolist(), flat[rim].tolist(), strict=True))
        rings: list[list[int]] = []
        while onward:
            begun = next(iter(onward))
            ring = [begun]
            at = onward.pop(begun)
            while at != begun and at in onward:
                ring.append(at)
                at = onward.pop(at)
            if at == begun and 3 <= len(ring) <= self.cleaning.holes:
                rings.append(ring)
        self._note("filled", len(rings), "1 hole was filled.", "{} holes were filled.")
        if not rings:
            return flat, sizes
        return np.concatenate([flat, *map(np.array, rings)]), np.concatenate([sizes, [len(ring) for ring in rings]])

    def _creases(
        self, creases: tuple[Ints, Floats] | None, label: Ints, origin: Ints, faces: Polygons
    ) -> tuple[Ints, Floats] | None:
        if creases is None or len(creases[0]) == 0:
            return None
        flat, sizes = faces
        n = len(label) + 1
        after = next_corners(sizes)
        ends = np.stack([flat, flat[after]], axis=1)
        old = np.sort(origin[ends], axis=1) @ [n, 1]
        wanted = np.sort(label[creases[0]], axis=1) @ [n, 1]
        order = np.argsort(wanted)
        at = np.minimum(np.searchsorted(wanted[order], old), len(wanted) - 1)
        hit = wanted[order][at] == old
        lost = len(np.unique(wanted)) - len(np.unique(old[hit]))
        self._note(
            "uncreased",
            lost,
            "1 crease ran where there is no edge any more.",
            "{} creases ran where there is no edge any more.",
        )
        return ends[hit], np.asarray(creases[1])[order][at[hit]]


def _bow_ties(quads: Floats) -> np.ndarray:
    """(k,) which quads (k, 4, 3) cross themselves: at two corners they turn one way and at two the other."""
    before, after = quads - np.roll(quads, 1, axis=1), np.roll(quads, -1, axis=1) - quads
    turns = np.cross(before, after)
    longest = turns[np.arange(len(quads)), np.linalg.norm(turns, axis=2).argmax(axis=1)]
    return np.asarray(((turns * longest[:, None]).sum(axis=2) < 0).sum(axis=1) == 2)


def _doubled(flat: Ints, sizes: Ints) -> np.ndarray:
    """Which faces have just the vertices of one before them."""
    double = np.zeros(len(sizes), dtype=bool)
    start = np.concatenate([[0], np.cumsum(sizes)[:-1]]).astype(np.int64)
    for size in np.unique(sizes):
        faces = np.flatnonzero(sizes == size)
        rings = np.sort(flat[start[faces][:, None] + np.arange(size)], axis=1)
        _, first = np.unique(rings, axis=0, return_index=True)
        double[np.setdiff1d(faces, faces[first])] = True
    return double


def _corners(corners: tuple[Ints, Floats] | None, label: Ints, origin: Ints) -> tuple[Ints, Floats] | None:
    if corners is None or len(corners[0]) == 0:
        return None
    sharp = np.zeros(len(label))
    np.maximum.at(sharp, label[np.asarray(corners[0], dtype=np.int64)], corners[1])
    value = sharp[origin]
    return np.flatnonzero(value > 0), value[value > 0]


def _sets(face_sets: Mapping[str, ArrayLike] | None, kept: Ints) -> dict[str, Ints]:
    return {name: np.flatnonzero(np.isin(kept, np.asarray(ids))).astype(np.int32) for name, ids in (face_sets or {}).items()}
