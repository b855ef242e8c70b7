"""Lay components where they belong: by pairs of points, onto a piece, and by their own mirror plane."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.scan.mirror_plane import mirror_plane
from zinc_otter.core.scan.placing import Placed, Rigid, best_fit, by_pairs, turn_onto
from zinc_otter.core.scan.regions import around, axis_of, plane_of
from zinc_otter.core.scan.samples import Samples, samples_of
from zinc_otter.core.words import fine_length_words, length_words, number
from zinc_otter.studio.commands.base import Command, Length, Meshes, Outcome, PieceId, Vector, no_meshes
from zinc_otter.studio.commands.components import free_component
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component
from zinc_otter.studio.shown import mesh_of

PLACES = 8_000


class PlaceByPairs(Command):
    """Lay a component so that points ``here`` on it, as it lies, come as near as can be to those ``there``: three or
    more."""

    kind: Literal["place-by-pairs"] = "place-by-pairs"
    reference: PieceId
    here: Annotated[tuple[Vector, ...], Field(min_length=3, max_length=50)]
    there: Annotated[tuple[Vector, ...], Field(min_length=3, max_length=50)]

    def apply(self, design: Design) -> Outcome:
        component = free_component(design, self.reference)
        placed = by_pairs(np.array(self.here), np.array(self.there))
        apart = f"{fine_length_words(placed.rms)} apart root mean square, {fine_length_words(placed.most)} at most"
        words = f"The pairs lie {apart}."
        return Outcome(design.with_reference(_moved(component, placed.motion)), remarks=(words,))

    def title(self, design: Design) -> str:
        return f"Placed {design.reference(self.reference).name} by {len(self.here)} pairs of points"


class FitComponent(Command):
    """Lay a component onto the surface of a piece where it fits best, from where it lies now."""

    kind: Literal["fit-component"] = "fit-component"
    reference: PieceId
    onto: PieceId

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        component = free_component(design, self.reference)
        piece = design.piece(self.onto)
        scan = samples_of(meshes(component.asset), PLACES)
        lies = Rigid(np.asarray(component.rotation, dtype=np.float64), np.asarray(component.centre, dtype=np.float64))
        found = best_fit(scan, mesh_of(piece.faces), lies)
        back = Rigid(lies.matrix.T, -lies.matrix.T @ lies.offset)
        motion = back.then(found.motion)
        return Outcome(design.with_reference(_moved(component, motion)), remarks=(_fit_words(found, motion, lies.offset),))

    def title(self, design: Design) -> str:
        return f"Fitted {design.reference(self.reference).name} to {design.piece(self.onto).name}"


class StandOnMirror(Command):
    """Lay a component so that its own mirror plane comes to lie across an ``axis``, at 0: turned and moved as little as that
    takes. Says how true a mirror image of itself it is."""

    kind: Literal["stand-on-mirror"] = "stand-on-mirror"
    reference: PieceId
    axis: Literal["x", "y", "z"] = "x"

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        component = free_component(design, self.reference)
        found = mirror_plane(meshes(component.asset))
        normal = np.asarray(component.rotation, dtype=np.float64) @ np.asarray(found.plane.normal)
        on = component.placed(np.asarray(found.plane.point)[None])[0]
        turn = turn_onto(normal, np.eye(3)["xyz".index(self.axis)])
        middle = np.asarray(component.centre, dtype=np.float64)
        shift = middle - turn @ middle
        k = "xyz".index(self.axis)
        shift[k] -= (turn @ on + shift)[k]
        words = (
            f"Its two sides differ by {fine_length_words(found.rms)} root mean square, 95 % of them by less than "
            f"{fine_length_words(found.most)}."
        )
        if found.rms > 0.02 * max(component.size):
            words += " That is no mirror image: look at it."
        return Outcome(design.with_reference(_moved(component, Rigid(turn, shift))), remarks=(words,))

    def title(self, design: Design) -> str:
        return f"Laid the mirror plane of {design.reference(self.reference).name} across {self.axis}"


class LayByRegion(Command):
    """Lay a component by a region of it: the plane nearest to all within ``radius`` mm of ``places`` comes to lie across an
    ``axis``, at 0, or the axis of the cylinder there along it; turned and moved as little as that takes."""

    kind: Literal["lay-by-region"] = "lay-by-region"
    reference: PieceId
    places: Annotated[tuple[Vector, ...], Field(min_length=1, max_length=50)]
    radius: Annotated[Length, Field(gt=0), labelled("Within", "mm", step=1)] = 5.0
    what: Annotated[
        Literal["plane", "axis"], labelled("It is", words={"plane": "a flat side", "axis": "a cylinder’s axis"})
    ] = "plane"
    axis: Annotated[Literal["x", "y", "z"], labelled("Laid to", words={"z": "z", "x": "x", "y": "y"})] = "z"

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        component = free_component(design, self.reference)
        scan = samples_of(meshes(component.asset), _PLACES_OF_A_REGION)
        turned = np.asarray(component.rotation, dtype=np.float64)
        lies = Samples(component.placed(scan.points), scan.normals @ turned.T)
        part = around(lies, np.array(self.places), self.radius)
        found = plane_of(part) if self.what == "plane" else axis_of(part)
        k = "xyz".index(self.axis)
        turn = turn_onto(found.way, np.eye(3)[k])
        shift = found.point - turn @ found.point
        # A plane is moved along the axis alone, an axis across it alone.
        moves = np.arange(3) == k if self.what == "plane" else np.arange(3) != k
        shift[moves] -= (turn @ found.point + shift)[moves]
        of = "" if not found.radius else f" Its diameter is {fine_length_words(2 * found.radius)}."
        words = f"{found.count:,} places lie {fine_length_words(found.rms)} off it root mean square.{of}"
        if found.rms > 0.02 * max(component.size):
            words += f" That is no {'flat side' if self.what == 'plane' else 'cylinder'}: look at it."
        return Outcome(design.with_reference(_moved(component, Rigid(turn, shift))), remarks=(words,))

    def title(self, design: Design) -> str:
        name = design.reference(self.reference).name
        if self.what == "plane":
            return f"Laid a flat side of {name} across {self.axis}"
        return f"Laid the axis of {name} along {self.axis}"


_PLACES_OF_A_REGION = 60_000


def _moved(component: Component, motion: Rigid) -> Component:
    a, b, c = (tuple(row) for row in _orthonormal(motion.matrix @ np.asarray(component.rotation)).tolist())
    x, y, z = motion.moved(np.asarray(component.centre, dtype=np.float64)[None])[0].tolist()
    return replace(component, rotation=(a, b, c), centre=(x, y, z))


def _orthonormal(matrix: Floats) -> Floats:
    """What rounding left of a rotation, made one again."""
    u, _, vt = np.linalg.svd(matrix)
    return np.asarray(u @ vt)


def _fit_words(found: Placed, motion: Rigid, middle: Floats) -> str:
    moved = float(np.linalg.norm(motion.moved(middle[None])[0] - middle))
    return (
        f"It lies {fine_length_words(found.rms)} off root mean square, 95 % of it within {fine_length_words(found.most)}; "
        f"{number(100 * found.met, 1)} % of it meets the piece. Turned by {number(motion.degrees)}°, moved by "
        f"{length_words(moved)}."
    )
