"""A curve made longer or shorter at one of its ends."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.fitting import Fitted, feet_on, fitted_to, run_of
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import fine_length_words, length_words

Onwards = Literal["straight", "bending"]


def extended(curve: Curve, by: float, *, first: bool = False, onwards: Onwards = "straight") -> Fitted:
    """An open curve longer by ``by`` mm at its end, or with ``first`` at its beginning; below 0 it is cut shorter.

    It goes on "straight", or "bending" as it does a leg before it ends (at the end itself a cubic of this kind is
    straight). The deviation is from what it was, over its old length. Raises CurveError, BadNumberError.

    >>> made = extended(Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0)]), 5)
    >>> made.curve.points[-1].tolist(), made.deviation < 1e-9
    ([25.0, 0.0, 0.0], True)
    """
    if curve.closed:
        raise CurveError("A closed curve has no end to be made longer; part it first.")
    if not np.isfinite(by) or abs(by) < 1e-9:
        raise BadNumberError("Say by how many mm it is to become longer, or below 0 shorter.")
    if first:
        made = extended(curve.reversed(), by, onwards=onwards)
        return Fitted(made.curve.reversed(), made.deviation)
    old = pieces_of(curve)
    if by < 0:
        if -by >= old.length - 1e-6:
            raise BadNumberError(
                f"It is {fine_length_words(old.length)} long: by {length_words(-by)} shorter nothing would be "
                f"left."
            )
        return run_of(curve, float(old.breaks[0]), float(old.places_at([old.length + by])[0]))
    beyond = _beyond(curve, by, onwards)
    leg = float(np.linalg.norm(curve.points[-1] - curve.points[-2]))
    if curve.degree == 1:
        return Fitted(Curve(np.vstack([curve.points, beyond[-1]]), 1, False, np.append(curve.sharpness, 0.0)), 0.0)
    along = unit(curve.points[-1] - curve.points[-2])
    if onwards == "straight" and curve.degree == 3 and by >= leg:
        # The phantom point beyond the end becomes a true one: what there was stays to the last bit.
        runs = np.array([leg] if by - leg < 1e-6 * leg else [leg, by])
        points = np.vstack([curve.points, curve.points[-1] + along * runs[:, None]])
        return Fitted(Curve(points, 3, False, np.append(curve.sharpness, 0 * runs)), 0.0)
    count = int(np.clip(round(by / leg), 0, len(beyond)))
    inner = np.linspace(0, curve.end, 16 * curve.end + 1)
    outer = np.linspace(0, count, len(beyond) + 1)[1:]
    places = np.concatenate([inner, curve.end + outer])
    fresh = np.column_stack([np.interp(np.arange(1, count + 1), outer, beyond[:, k]) for k in range(3)])
    points = np.vstack([curve.points, fresh])
    if not count:
        # By less than half a leg the last one is stretched: a leg of its own would be crowded.
        points[-1] = beyond[-1]
        stop = curve.end - by / (leg + by)
        last = np.concatenate([[curve.end - 1, stop], np.linspace(stop, curve.end, len(beyond) + 1)[1:]])
        known = np.concatenate([[curve.end - 1, curve.end], curve.end + np.linspace(0, 1, len(beyond) + 1)[1:]])
        places = np.concatenate([inner, curve.end + np.linspace(0, 1, len(beyond) + 1)[1:]])
        places = np.where(places > curve.end - 1, np.interp(places, known, last), places)
    start = Curve(points, curve.degree, False, np.append(curve.sharpness, np.zeros(count)))
    fitted = fitted_to(start, places, np.vstack([old.at(inner), beyond]))
    off = np.linalg.norm(old.at(inner) - feet_on(old.at(inner), pieces_of(fitted)), axis=1)
    return Fitted(fitted, float(off.max()))


def _beyond(curve: Curve, by: float, onwards: Onwards) -> Floats:
    """(48, 3) points beyond the end, evenly, the last one ``by`` mm along."""
    made = pieces_of(curve)
    end, way = made.at([curve.end])[0], made.directions([curve.end])[0]
    run = np.linspace(0, by, 49)[1:, None]
    before = [max(curve.end - 1.0, curve.end / 2)]
    bend = float(made.bending(before)[0])
    if onwards == "straight" or curve.degree == 1 or bend < 1e-9:
        return np.asarray(end + way * run)
    pull = made.acceleration(before)[0]
    inwards = unit(pull - (pull @ way) * way)
    return np.asarray(end + way * np.sin(run * bend) / bend + inwards * (1 - np.cos(run * bend)) / bend)
