"""Make a symmetric cage: of one part, of a whole whose other side is to follow, or by cutting a whole."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.building.cutting import cut
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.selection import Selection, middles_of
from zinc_otter.core.cage.symmetry.group import Group, mirror
from zinc_otter.core.cage.symmetry.symmetric import Symmetry, SymmetryError, carried_symmetry
from zinc_otter.core.cage.symmetry.walking import contradictions, corner_places, walked
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology, joined_labels
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError

_MOST_TRIES = 24


def drawn_onto(cage: Cage, plane: Plane, tolerance: float) -> Cage:
    """The cage with its border vertices within ``tolerance`` mm of a plane drawn into it."""
    heights = plane.heights(cage.positions)
    near = np.flatnonzero(cage.topology.on_border & (np.abs(heights) <= tolerance)).astype(np.int32)
    positions = cage.positions.copy()
    positions[near] -= heights[near, None] * np.asarray(plane.normal)
    return cage.with_positions(positions)


def assembled(part: Cage, group: Group, tolerance: float, own: Symmetry | None = None) -> tuple[Cage, Symmetry]:
    """The whole made of ``part`` and its images, joined where border vertices come within ``tolerance`` mm.

    Border vertices near a mirror are drawn into it; those that meet a neighbour's are joined in the middle between the
    two. Where nothing meets, the copies stay apart and still follow one another. Creases and face sets come along.
    A part that is mirrored already keeps its ``own`` symmetry, in a plane square to the new one.
    Raises UnsoundCageError where the copies would meet in single points or run through each other, BadNumberError.
    """
    if not (np.isfinite(tolerance) and tolerance >= 0):
        raise BadNumberError("The tolerance is a length of 0 or more.")
    check_face_total(group.order * part.topology.face_count)
    for plane in group.planes:
        part = drawn_onto(part, plane, tolerance)
        _refuse_crossing(part, plane, tolerance)
    t = part.topology
    g, n, c = group.order, t.vertex_count, t.corner_count
    reverses = group.elements[2]
    points = np.concatenate([group.moved(k, part.positions) for k in range(g)])
    label = _joined(points, np.tile(t.on_border, g), n, tolerance)

    turned = t.reversed_corners
    face_verts = np.concatenate([k * n + (t.face_verts[turned] if reverses[k] else t.face_verts) for k in range(g)])
    sizes = np.tile(t.face_sizes, g)
    offsets = np.concatenate([[0], np.cumsum(sizes)]).astype(np.int32)
    count = int(label.max()) + 1
    try:
        topology = Topology.checked(count, label[face_verts].astype(np.int32), offsets)
    except UnsoundCageError as error:
        raise UnsoundCageError(
            f"The parts cannot be joined so: {str(error)[0].lower()}{str(error)[1:]} Try another tolerance.",
            faces=[face % t.face_count for face in error.place.faces],
        ) from error

    # Corner c of copy k: a copy that is turned over lists its corners backwards.
    place = np.argsort(turned)
    at = [k * c + (place if reverses[k] else np.arange(c)) for k in range(g)]
    corners = []
    for generator in range(len(group.generators)):
        images = np.empty(g * c, dtype=np.int32)
        for k, target in enumerate(_products(group, generator)):
            images[at[k]] = at[target]
        corners.append(images)
    if own is not None:
        both = mirror(*own.group.planes, *group.planes)
        before = np.empty(g * c, dtype=np.int32)
        for k in range(g):
            before[at[k]] = at[k][own.corners[0]]
        symmetry = Symmetry(both, topology, (before, *corners))
    else:
        symmetry = Symmetry(group, topology, tuple(corners))

    sums = np.zeros((count, 3))
    np.add.at(sums, label, points)
    positions = sums / np.bincount(label, minlength=count)[:, None]
    masters = symmetry.masters(positions, part.positions.mean(axis=0))
    positions = symmetry.spread(positions, masters)

    edge_sharpness = np.zeros(topology.edge_count)
    vertex_sharpness = np.zeros(count)
    for k in range(g):
        edges = edges_between(topology, label[k * n + t.edge_verts])
        np.maximum.at(edge_sharpness, edges, part.edge_sharpness)
        np.maximum.at(vertex_sharpness, label[k * n : (k + 1) * n], part.vertex_sharpness)
    face_sets = {
        name: np.concatenate([k * t.face_count + faces for k in range(g)]) for name, faces in part.face_sets.items()
    }
    return Cage(positions, topology, edge_sharpness, vertex_sharpness, face_sets), symmetry


def cut_and_assembled(
    cage: Cage, plane: Plane, keep_positive: bool, tolerance: float, own: Symmetry | None = None
) -> tuple[Cage, Symmetry]:
    """Cut a cage at a plane, keep one side, and mirror it. Raises BadSelectionError where nothing lies on that side.

    A cage that is mirrored already keeps its ``own`` symmetry, in a plane square to the new one.
    """
    x, y, z = plane.normal
    side = plane if keep_positive else Plane(plane.point, (-x, -y, -z))
    done = cut(cage, plane, tolerance)
    own = own and carried_symmetry(own, done)
    part = done.cage
    # A face that lies in the plane would lie within the whole: only what rises on the kept side stays.
    rises = side.heights(part.positions) > 1e-9 * max(float(np.ptp(part.positions, axis=0).max()), 1.0)
    t = part.topology
    beyond = np.flatnonzero(~np.logical_or.reduceat(rises[t.face_verts], t.face_offsets[:-1]))
    if len(beyond) == part.topology.face_count:
        raise BadSelectionError("Nothing of the form lies on the side that is to be kept.")
    if len(beyond):
        kept = delete_elements(part, Selection.of("face", beyond))
        own = own and carried_symmetry(own, kept)
        part = kept.cage
    return assembled(part, Group((plane,)), tolerance, own)


def sides_of(cage: Cage, plane: Plane) -> tuple[int, int]:
    """How many faces lie mostly on the negative and on the positive side of a plane."""
    heights = plane.heights(middles_of(cage, "face"))
    return int((heights < 0).sum()), int((heights > 0).sum())


def following(cage: Cage, group: Group, hand: Floats) -> tuple[Cage, Symmetry]:
    """A whole cage whose other parts follow the one at ``hand`` (3,), a point.

    The faces must be laid out alike on all sides; where they lie may differ. Raises SymmetryError.
    """
    t = cage.topology
    maps = []
    for matrix, offset, reverses in group.generators:
        found = _layout_images(cage, matrix, offset, reverses)
        if found is None:
            raise SymmetryError(_not_alike(group))
        maps.append(found)
    symmetry = Symmetry(group, t, tuple(maps))
    _check_group(symmetry)
    masters = symmetry.masters(cage.positions, hand)
    sharp = cage.edge_sharpness[_edge_masters(symmetry, cage, hand)]
    placed = Cage(
        symmetry.spread(cage.positions, masters), t, sharp, cage.vertex_sharpness[masters], cage.face_sets
    )
    return placed, symmetry


def _edge_masters(symmetry: Symmetry, cage: Cage, hand: Floats) -> Ints:
    distance = np.linalg.norm(middles_of(cage, "edge") - hand, axis=1)
    best = distance[symmetry.edges].argmin(axis=0)
    return np.asarray(symmetry.edges[best, np.arange(symmetry.topology.edge_count)])


def _check_group(symmetry: Symmetry) -> None:
    """The maps must make up the group: doing each generator as often as its order leads back."""
    own = np.arange(symmetry.topology.corner_count)
    for (_, _, reverses), images in zip(symmetry.group.generators, symmetry.corners, strict=True):
        total = own
        for _ in range(2 if reverses else symmetry.group.sectors):
            total = images[total]
        if not np.array_equal(total, own):
            raise SymmetryError(_not_alike(symmetry.group))


def _not_alike(group: Group) -> str:
    instead = "repeat one sector instead" if group.sectors else "cut it at the plane and keep one side instead"
    return f"The faces are not laid out so that the form could have {group.described()}; {instead}."


def _layout_images(cage: Cage, matrix: Floats, offset: Floats, reverses: bool) -> Ints | None:
    """Corner images of a motion that the layout of the faces has, the nearest to where things lie; None for none."""
    t = cage.topology
    images = np.full(t.corner_count, -1, dtype=np.int32)
    places = corner_places(t, cage.positions)
    tree = cKDTree(places)
    for shell in range(int(t.face_shell.max()) + 1):
        own = np.flatnonzero(t.face_shell[t.corner_face] == shell)
        if images[own[0]] >= 0:
            continue
        # Begin where the form lies truest: at the corner whose image is nearest to a corner.
        distance, _ = tree.query(places[own] @ matrix.T + offset)
        for start in own[np.argsort(distance, kind="stable")[:3]]:
            _, tries = tree.query(matrix @ places[start] + offset, k=min(_MOST_TRIES, t.corner_count))
            grown = _first_that_fits(t, images, int(start), np.atleast_1d(tries), reverses)
            if grown is not None:
                images = grown
                break
        else:
            return None
    return images if len(contradictions(t, images, reverses)) == 0 else None


def _first_that_fits(t: Topology, images: Ints, start: int, targets: Ints, reverses: bool) -> Ints | None:
    """The images grown from ``start`` going to the first of ``targets`` that its whole shell agrees to."""
    shell = t.corner_face[t.face_shell[t.corner_face] == t.face_shell[t.corner_face[start]]]
    for target in targets:
        seeds = images.copy()
        seeds[start] = target
        grown = walked(t, seeds, reverses)
        if not np.isin(contradictions(t, grown, reverses), shell).any():
            return grown
    return None


def _products(group: Group, generator: int) -> list[int]:
    """For each element the number of the one that comes of doing the generator after it."""
    matrices, offsets, _ = group.elements
    matrix, offset, _ = group.generators[generator]
    after = np.concatenate([(matrix @ matrices).reshape(-1, 9), offsets @ matrix.T + offset], axis=1)
    all_of = np.concatenate([matrices.reshape(-1, 9), offsets], axis=1)
    scale = np.concatenate([np.ones(9), np.full(3, 1 / max(1.0, float(np.abs(offsets).max())))])
    return [int(k) for k in cKDTree(all_of * scale).query(after * scale)[1]]


def _joined(points: Floats, border: Bools, n: int, tolerance: float) -> Ints:
    """(m,) labels of the vertices after those on the border that meet, of different copies, are made one."""
    span = float(np.ptp(points, axis=0).max())
    reach = max(tolerance, 1e-9 * span)
    candidates = np.flatnonzero(border)
    pairs = candidates[cKDTree(points[candidates]).query_pairs(reach, output_type="ndarray")]
    pairs = pairs[pairs[:, 0] // n != pairs[:, 1] // n]
    pairs = _mutual(points, pairs, n)
    return joined_labels(len(points), pairs)


def _mutual(points: Floats, pairs: Ints, n: int) -> Ints:
    """Of pairs (k, 2) those where each vertex is the nearest that the other finds in its copy."""
    distance = np.linalg.norm(points[pairs[:, 0]] - points[pairs[:, 1]], axis=1)
    kept = np.ones(len(pairs), dtype=bool)
    for a, b in ((0, 1), (1, 0)):
        key = pairs[:, a].astype(np.int64) * (len(points) // n) + pairs[:, b] // n
        _, which = np.unique(key, return_inverse=True)
        least = np.full(len(pairs), np.inf)
        np.minimum.at(least, which.reshape(-1), distance)
        # Equally near ones count as nearest too: the images of one vertex that all meet on the axis.
        kept &= distance <= least[which.reshape(-1)] + 1e-12
    return pairs[kept]


def _refuse_crossing(part: Cage, plane: Plane, tolerance: float) -> None:
    """A part must lie on one side of its mirror, whichever it is."""
    heights = plane.heights(part.positions)
    slack = max(tolerance, 1e-9 * float(np.abs(heights).max()))
    if (heights > slack).any() and (heights < -slack).any():
        side = 1 if (heights > slack).sum() >= (heights < -slack).sum() else -1
        beyond = np.flatnonzero(side * heights < -slack)
        raise BadSelectionError(
            f"{len(beyond)} of the part's vertices lie beyond the mirror plane, so that it would run through its image. "
            "Cut it at the plane instead.",
            vertices=beyond,
        )

