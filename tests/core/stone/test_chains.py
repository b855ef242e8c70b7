"""Chains: links by what they measure inside, each through the next and no other, and as many as go."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np

from tests.studio.test_growing import after
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.link import link, pitch_of, wire_of
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.gaps import Placed, smallest_gap
from zinc_otter.core.repeated import Repeated, moved
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of

LINK = {"wire": 1.0, "length": 6.0, "width": 3.0}


def chained(curve: dict[str, Any], **own: object) -> Design:
    return after(Design(), {"kind": "add-curve", **curve}, {"kind": "lay-chain", "curve": "p1", **LINK, **own})


def images(design: Design) -> Repeated:
    form = design.piece("p3").form
    assert isinstance(form, Repeated)
    return form


def middles(wire: float, length: float, width: float, count: int = 400) -> Floats:
    """(n, 3) points along the middle of a link's wire: two half circles and two straight sides."""
    r, straight = (width + wire) / 2, length - width
    run = np.arange(count) / count * (2 * straight + 2 * np.pi * r)
    side = run >= straight + np.pi * r
    run = np.where(side, run - straight - np.pi * r, run)
    turn = np.maximum(run - straight, 0) / r
    x = np.where(run < straight, r, r * np.cos(turn))
    y = np.where(run < straight, run - straight / 2, straight / 2 + r * np.sin(turn))
    return np.column_stack([np.where(side, -x, x), np.where(side, -y, y), np.zeros(count)])


def linking(one: Floats, other: Floats) -> float:
    """How often two closed lines go through one another: the integral of C. F. Gauss, 1833."""
    a, b = np.roll(one, -1, axis=0) - one, np.roll(other, -1, axis=0) - other
    away = (one + a / 2)[:, None] - (other + b / 2)[None]
    triple = (np.cross(a[:, None], b[None]) * away).sum(axis=2)
    return float((triple / np.linalg.norm(away, axis=2) ** 3).sum() / (4 * np.pi))


class Links(unittest.TestCase):
    def test_inside_it_measures_what_was_asked(self) -> None:
        for wire, length, width in ((1, 6, 3), (1, 4, 4), (1.2, 8, 3), (0.8, 3.5, 3), (1, 4.05, 4), (1, 12, 1.5)):
            cage = link(wire, length, width)
            points = evaluate(build_stencils(cage, 3), cage).points
            middle = points[np.abs(points[:, 2]) < 1e-9]
            for axis, inside in ((1, length), (0, width)):
                on_axis = middle[np.abs(middle[:, 1 - axis]) < 1e-6][:, axis]
                self.assertAlmostEqual(2 * np.abs(on_axis).min(), inside, delta=1e-6, msg=(wire, length, width))
                self.assertAlmostEqual(2 * np.abs(on_axis).max(), inside + 2 * wire, delta=1e-6)
            self.assertAlmostEqual(float(np.ptp(points[:, 2])), wire, delta=1e-6)

    def test_the_wire_that_it_takes(self) -> None:
        for sizes in ((1, 4, 4), (1, 6, 3), (0.7, 9, 2)):
            line = middles(*sizes)
            run = float(np.linalg.norm(np.roll(line, -1, axis=0) - line, axis=1).sum())
            self.assertAlmostEqual(wire_of(*sizes), run, delta=1e-3 * run)
        # Of a round wire the volume is its section times its middle line (Pappus).
        solid = made_of_triangles(recipe_of(after(Design(), {"kind": "add-link", **LINK}), "p1"))
        self.assertAlmostEqual(solid.body.volume / (np.pi / 4 * wire_of(1, 6, 3)), 1, delta=0.01)

    def test_sizes_of_which_no_link_is_made(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "at least as long as wide"):
            link(1, 3, 4)
        with self.assertRaisesRegex(BadNumberError, r"its wire takes 1.2 mm with its play, and a link is 1 mm wide"):
            pitch_of(1, 6, 1, 0.1)
        with self.assertRaisesRegex(BadNumberError, "at least 2.2 mm long, not 2"):
            pitch_of(1, 2, 2, 0.1)


class Chained(unittest.TestCase):
    def test_each_goes_through_the_next_and_no_other(self) -> None:
        line = middles(1.0, 6.0, 3.0)
        for curve in ({"shape": "circle", "diameter": 60}, {"shape": "wave", "diameter": 70, "waves": 4}):
            motions = images(chained(curve)).parts[0].motions
            count = len(motions)
            self.assertEqual(count % 2, 0)
            lines = [moved(motion, line) for motion in motions]
            for k in range(count):
                self.assertAlmostEqual(abs(linking(lines[k], lines[(k + 1) % count])), 1, delta=0.01)
                self.assertAlmostEqual(linking(lines[k], lines[(k + 2) % count]), 0, delta=0.01)

    def test_the_play_of_straight_links_is_what_was_asked(self) -> None:
        design = chained({"shape": "polygon", "diameter": 120, "count": 3}, play=0.2)
        form = images(design)
        cage = form.parts[0].cage
        surface = build_stencils(cage, 3)
        mesh = MeshDistance(evaluate(surface, cage).points, surface.triangles)
        # Two that follow one another on one side of the triangle; round a closed curve they may stand nearer.
        gap = smallest_gap([Placed(mesh, form.parts[0].motions[4:6])])
        assert gap is not None
        length = 3 * 120 * np.sin(np.pi / 3)
        pitch = length / form.count
        self.assertLessEqual(pitch, 5.8)
        self.assertAlmostEqual(gap.distance, 6 - pitch, delta=0.01)

    def test_as_many_as_go_along_an_open_curve(self) -> None:
        design = chained({"shape": "arc", "diameter": 100, "degrees": 180}, play=0.1)
        length = np.pi * 50
        self.assertEqual(images(design).count, int(length / 5.9) + 1)
        titles, remarks = told({"kind": "lay-chain", "curve": "p1", **LINK}, {"kind": "add-curve", "shape": "arc"})
        self.assertEqual(titles, "Laid a chain along Curve, 1 wire, 6 × 3 mm inside")
        self.assertRegex(remarks, r"^\d+ links; each takes 18\.57 mm of wire, all together [\d.]+ mm\.$")

    def test_they_follow_the_curve_and_the_link(self) -> None:
        design = chained({"shape": "circle", "diameter": 60})
        before = images(design).count
        size = {"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1.5, 1.5, 1.5]}
        self.assertGreater(images(after(design, size)).count, 1.4 * before)
        thicker = {**size, "piece": "p2", "factors": [1.1, 1.1, 1.1]}
        was, now = (np.ptp(images(one).parts[0].cage.positions[:, 1]) for one in (design, after(design, thicker)))
        self.assertAlmostEqual(float(now / was), 1.1)

    def test_as_a_solid_they_are_bodies_by_themselves(self) -> None:
        design = chained({"shape": "circle", "diameter": 60})
        made = made_of_triangles(recipe_of(design, "p3"))
        count = images(design).count
        self.assertEqual(len(made.body.solid.decompose()), count)
        self.assertAlmostEqual(made.body.volume / (count * np.pi / 4 * wire_of(1, 6, 3)), 1, delta=0.02)

    def test_one_taken_out_leaves_the_others(self) -> None:
        design = chained({"shape": "circle", "diameter": 60})
        left = after(design, {"kind": "take-image-out", "piece": "p3", "image": 3})
        self.assertEqual(images(left).count, images(design).count - 1)
        kept = np.delete(images(design).parts[0].motions, 3, axis=0)
        np.testing.assert_allclose(images(left).parts[0].motions, kept)

    def test_too_many_and_no_curve(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "256 are the most: set them wider apart"):
            chained({"shape": "circle", "diameter": 6_000})
        with self.assertRaisesRegex(Exception, "is no curve: pick the curve"):
            after(Design(), {"kind": "add-link", **LINK}, {"kind": "lay-chain", "curve": "p1", **LINK})
        with self.assertRaisesRegex(BadNumberError, "does not go through"):
            chained({"shape": "circle"}, width=0.5)


def told(command: dict[str, Any], *before: dict[str, Any]) -> tuple[str, str]:
    design = after(Design(), *before)
    read = read_command(command)
    return read.title(design), " ".join(read.notes(read.apply(design)))
