"""Profiles carried along a rail, one blended into the next."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import feet_on, resampled, smoothed
from zinc_otter.core.curve.frames import Frames, minimal_frames, upright_frames
from zinc_otter.core.curve.growing.grid import Grown, grid_cage, with_caps
from zinc_otter.core.curve.growing.loft import laid_alike
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError

Stands = Literal["as it lies", "square"]
Turns = Literal["least", "upright"]
MOST_PROFILES = 50


def sweep(
    rail: Curve, profiles: Sequence[Curve], *, stands: Stands = "as it lies", turns: Turns = "least", each: int = 2,
    twist: float = 0.0, caps: Literal["open", "flat"] = "flat", second: Curve | None = None,
) -> Grown:  # fmt: skip
    """A surface by profiles along a rail, ``each`` faces for every leg of it; at its rings the profiles lie in it.

    A profile that stands "as it lies" keeps its place beside the rail, at the place of the rail nearest to its middle; one
    that is set "square" is read in its own x and y, with the rail through its origin, in the order given. Between them they
    are blended by length. Frames turn the "least" or stand "upright"; ``twist`` degrees more from end to end. A ``second``
    rail draws the width: profiles grow with its distance, and turn to it. Raises CurveError, BadNumberError.

    >>> from zinc_otter.core.curve.making import circle
    >>> made = sweep(Curve([(0, 0, 0), (20, 0, 0), (40, 0, 0)]), [circle(10, 8)], stands="square")
    >>> made.cage.topology.is_closed
    True
    """
    if not 1 <= len(profiles) <= MOST_PROFILES:
        raise CurveError(f"A sweep takes 1 to {MOST_PROFILES} profiles; {len(profiles)} were given.")
    if len({profile.closed for profile in profiles}) > 1:
        raise CurveError("The profiles of a sweep are all open, or all closed.")
    if not 1 <= each <= 64:
        raise BadNumberError(f"Each leg of the rail gets 1 to 64 faces; {each} were asked for.")
    corners = np.flatnonzero(rail.sharpness > 0)
    if (rail.degree == 1 and rail.count > 2) or len(corners):
        at = rail.points[corners[0] if len(corners) else 1]
        raise CurveError("A sweep follows a rail without corners; smooth it first.", points=[at.tolist()])
    made = pieces_of(rail)
    alike, deviation = _alike(profiles)
    steps = rail.end * each
    places = np.linspace(0, rail.end, steps, endpoint=False) if rail.closed else np.linspace(0, rail.end, steps + 1)
    own = _own_places(made, alike, rail, stands)
    every = np.union1d(places, own)
    frames = _frames(made, every, turns, second, rail)
    at_own = np.searchsorted(every, own)
    shapes = [_in_frame(profile, frames, int(k), stands) for profile, k in zip(alike, at_own, strict=True)]
    wide = np.ones(len(every)) if second is None else _widths(made, frames, every, second)
    if second is not None:
        shapes = [shape / [wide[k], 1.0, 1.0] for shape, k in zip(shapes, at_own, strict=True)]
    at_places = np.searchsorted(every, places)
    shares = np.append(places, rail.end)[: steps + 1] / rail.end
    goals = _carried(frames, at_places, _blended(made, shapes, own, places, rail), wide, np.radians(twist) * shares)
    rows = solved(goals, rail.closed)
    around = alike[0].closed
    cage = grid_cage(rows.transpose(1, 0, 2), (around, rail.closed))
    if around and not rail.closed:
        ring = np.arange(alike[0].count) * len(places)
        capped = with_caps(cage, [ring[::-1], ring + len(places) - 1])
        if shell_volumes(capped).sum() < 0:
            cage = grid_cage(rows[:, ::-1].transpose(1, 0, 2), (True, False))
            capped = with_caps(cage, [ring[::-1], ring + len(places) - 1])
        cage = capped if caps == "flat" else cage
    ahead = np.roll(goals, -1, axis=0) if rail.closed else goals[1:]
    back = ((ahead - goals[: len(ahead)]) * frames.along[at_places][: len(ahead), None]).sum(axis=2) <= 0
    tight = np.flatnonzero(back.any(axis=1))
    per_round = alike[0].count if around else alike[0].end
    suspect = (np.arange(per_round)[:, None] * steps + tight).ravel().astype(np.int32)
    remarks = ("The rail bends tighter than the profile reaches: the surface folds there.",) if len(tight) else ()
    return Grown(cage, steps, per_round, suspect, remarks, deviation)


def _alike(profiles: Sequence[Curve]) -> tuple[list[Curve], float]:
    """Of degree 3, without corners, of one count, and laid onto one another; and how far that strays."""
    smooth = [smoothed(profile) for profile in profiles]
    most = max(one.curve.count for one in smooth)
    made, deviation = [], max(one.deviation for one in smooth)
    for one in smooth:
        if one.curve.count == most:
            made.append(one.curve)
        else:
            fitted = resampled(one.curve, max(most, 4), 3)
            made.append(fitted.curve)
            deviation = max(deviation, fitted.deviation)
    return laid_alike(made), deviation


def _own_places(made: Pieces, profiles: list[Curve], rail: Curve, stands: Stands) -> Floats:
    if stands == "square":
        whole = np.linspace(0, rail.end, len(profiles) + (1 if rail.closed else 0)) if len(profiles) > 1 else np.zeros(1)
        return whole[: len(profiles)]
    each = max(8, 2_000 // len(made.bezier))
    u = np.linspace(made.breaks[0], made.breaks[-1], each * len(made.bezier) + 1)
    line = made.at(u)
    places = []
    for profile in profiles:
        middle = pieces_of(profile).dense(8).mean(axis=0)
        foot = feet_on(middle[None], made)[0]
        places.append(float(u[int(np.linalg.norm(line - foot, axis=1).argmin())]))
    if len(set(places)) < len(places):
        raise CurveError("Two profiles lie at one place of the rail; move one along it.")
    return np.array(places)


def _frames(made: Pieces, places: Floats, turns: Turns, second: Curve | None, rail: Curve) -> Frames:
    frames = upright_frames(made, places) if turns == "upright" else minimal_frames(made, places)
    if second is None:
        return frames
    across = _across(frames, places, second, rail)
    side = unit(across - (across * frames.along).sum(axis=1, keepdims=True) * frames.along)
    return Frames(frames.points, frames.along, side, np.cross(frames.along, side))


def _across(frames: Frames, places: Floats, second: Curve, rail: Curve) -> Floats:
    """From each place of the rail to the same share of the second one's length."""
    if second.closed != rail.closed:
        raise CurveError("The second rail is closed where the first is, and open where that is.")
    other = pieces_of(second)
    shares = pieces_of(rail).lengths_to(places) / pieces_of(rail).length
    points = other.at(other.places_at(shares * other.length))
    if np.linalg.norm(points[0] - frames.points[0]) > np.linalg.norm(points[-1] - frames.points[0]) and not rail.closed:
        points = other.at(other.places_at((1 - shares) * other.length))
    return np.asarray(points - frames.points)


def _widths(made: Pieces, frames: Frames, places: Floats, second: Curve) -> Floats:
    other = pieces_of(second)
    shares = made.lengths_to(places) / made.length
    one, two = (other.at(other.places_at(s * other.length)) for s in (shares, 1 - shares))
    forward = np.linalg.norm(one[0] - frames.points[0]) <= np.linalg.norm(one[-1] - frames.points[0]) or made.closed
    wide = np.linalg.norm((one if forward else two) - frames.points, axis=1)
    if wide.min() <= 1e-9 * wide.max():
        raise CurveError("The two rails meet: there the profile would have no width.")
    return np.asarray(wide)


def _in_frame(profile: Curve, frames: Frames, k: int, stands: Stands) -> Floats:
    """(n, 3) the control points of a profile along side, up and the rail at its place."""
    if stands == "square":
        return profile.points.copy()
    off = profile.points - frames.points[k]
    return np.asarray(off @ np.stack([frames.side[k], frames.up[k], frames.along[k]], axis=1))


def _blended(made: Pieces, shapes: list[Floats], own: Floats, places: Floats, rail: Curve) -> Floats:
    """(places, n, 3) the shape at each place: by length between those that are given, beyond them as the last."""
    if len(shapes) == 1:
        return np.broadcast_to(shapes[0], (len(places), *shapes[0].shape))
    order = np.argsort(own)
    known = made.lengths_to(own[order])
    stack = np.stack(shapes)[order]
    if rail.closed:
        known = np.append(known, known[0] + made.length)
        stack = np.concatenate([stack, stack[:1]])
    along = made.lengths_to(places)
    if rail.closed:
        along = np.where(along < known[0], along + made.length, along)
    flat = stack.reshape(len(stack), -1)
    return np.stack([np.interp(along, known, flat[:, j]) for j in range(flat.shape[1])], axis=1).reshape(
        len(places), *shapes[0].shape
    )


def _carried(frames: Frames, at: np.ndarray, shapes: Floats, wide: Floats, turns: Floats) -> Floats:
    """(places, n, 3) the shapes where the frames take them, wider and turned as told."""
    side, up, along = frames.side[at], frames.up[at], frames.along[at]
    x, y, z = shapes[..., 0] * wide[at][:, None], shapes[..., 1], shapes[..., 2]
    cos, sin = np.cos(turns[: len(at)])[:, None], np.sin(turns[: len(at)])[:, None]
    x, y = x * cos - y * sin, x * sin + y * cos
    across = x[..., None] * side[:, None] + y[..., None] * up[:, None]
    return np.asarray(frames.points[at][:, None] + across + z[..., None] * along[:, None])
