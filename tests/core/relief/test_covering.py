"""Stamps over faces, off geometry, and back again as height maps."""

from __future__ import annotations

import io
import json
import unittest

import numpy as np
from PIL import Image

from tests.core.relief.forms import ring, sculpted, sheet
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError, FileFormatError
from zinc_otter.core.primitives import patched_sphere
from zinc_otter.core.relief.covering import Cover, covered
from zinc_otter.core.relief.relief import Relief, ReliefError
from zinc_otter.core.relief.stamps.of_geometry import risen_over, seen_from
from zinc_otter.core.relief.stamps.shipped import shipped
from zinc_otter.core.relief.stamps.stamp import Stamp
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.stamp_files import read_stamp, write_height_map

LEVEL = 5


def points_of(cage: Cage, level: int = LEVEL) -> Floats:
    return evaluate(build_stencils(cage, level), cage).points


def triangles_of(cage: Cage, level: int = LEVEL) -> Ints:
    quads = build_stencils(cage, level).quads.astype(np.int64)
    return np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])


def cover(cage: Cage, faces: list[int] | None = None, **how: object) -> Cage:
    given = Cover(**{"stamp": shipped("ripple"), "level": LEVEL, "height": 1.0, "soft": 0.0, **how})  # type: ignore[arg-type]
    mine = np.arange(cage.topology.face_count) if faces is None else np.array(faces)
    return covered(cage, [(mine, np.eye(3), np.zeros(3))], given, build_stencils(cage, given.level))


class OverFaces(unittest.TestCase):
    def test_tiles_lie_side_by_side(self) -> None:
        done, plain = points_of(cover(sheet(), size=20.0)), points_of(sheet())
        inside = np.abs(plain[:, :2]).max(axis=1) < 38
        want = 0.5 - 0.5 * np.cos(4 * np.pi * (plain[inside, 0] / 20 + 0.5))
        np.testing.assert_allclose(done[inside, 2], want, atol=0.02)

    def test_once_over_all_it_is_not_stretched(self) -> None:
        stamp = Stamp(np.repeat(np.linspace(0, 1, 64, dtype=np.float32)[None], 32, axis=0))
        done, plain = points_of(cover(sheet(), stamp=stamp)), points_of(sheet())
        middle = (np.abs(plain[:, 1]) < 15) & (np.abs(plain[:, 0]) < 35)
        # A map twice as wide as high, over a square: as wide as holds it whole.
        np.testing.assert_allclose(done[middle, 2], (plain[middle, 0] / 160 + 0.5), atol=0.01)

    def test_round_an_axis_a_whole_number_fits(self) -> None:
        cage = ring()
        done = cover(cage, way="round", axis=plane_at((0, 0, 0), (0, 0, 1)), size=9.0)
        plain = points_of(cage)
        risen = np.linalg.norm(points_of(done) - plain, axis=1)
        out = np.hypot(plain[:, 0], plain[:, 1])
        outside = out > out.max() - 0.4
        turns = np.arctan2(plain[outside, 1], plain[outside, 0])
        order = np.argsort(turns)
        signal = np.interp(
            np.linspace(-np.pi, np.pi, 2048, endpoint=False), turns[order], risen[outside][order], period=2 * np.pi
        )
        strongest = int(np.argmax(np.abs(np.fft.rfft(signal - signal.mean()))))
        # Two ripples a tile, a whole number of tiles nearest to 9 mm each on the mean radius of what is covered.
        self.assertEqual(strongest % 2, 0)
        radius = float(np.median(np.hypot(*plain[:, :2].T)))
        self.assertEqual(strongest // 2, round(2 * np.pi * radius / 9.0))

    def test_only_what_was_picked_and_softly(self) -> None:
        plain = points_of(sheet())
        done = points_of(cover(sheet(), [27, 28, 35, 36], size=5.0, soft=3.0))
        outside = (np.abs(plain[:, :2]) > 10 + 1.0).any(axis=1)
        np.testing.assert_array_equal(done[outside], plain[outside])
        rim = np.abs(np.abs(plain[:, :2]).max(axis=1) - 10) < 1e-9
        self.assertLess(np.abs(done[rim, 2]).max(), 0.1)
        self.assertGreater(done[:, 2].max(), 0.9)

    def test_it_lies_on_what_is_there_and_leaves_what_is_masked(self) -> None:
        bump = sculpted(sheet(), [[0, 0, 0]], level=LEVEL, amount=2.0)
        both = points_of(cover(bump, size=20.0)) - points_of(bump)
        flat = np.abs(points_of(sheet())[:, 0]) > 20
        np.testing.assert_allclose(both[flat], (points_of(cover(sheet(), size=20.0)) - points_of(sheet()))[flat], atol=1e-6)
        assert bump.relief is not None
        count = build_stencils(sheet(), LEVEL).vertex_count
        masked = bump.with_relief(Relief(bump.relief.details, np.ones(count, dtype=np.float32)))
        np.testing.assert_allclose(points_of(cover(masked)), points_of(bump), atol=1e-6)

    def test_what_cannot_be_covered(self) -> None:
        with self.assertRaisesRegex(BadSelectionError, "Pick the faces"):
            cover(sheet(), [])
        with self.assertRaisesRegex(BadNumberError, "height"):
            cover(sheet(), height=np.nan)
        with self.assertRaisesRegex(BadNumberError, "needs an axis"):
            cover(sheet(), way="round")


class OffGeometry(unittest.TestCase):
    def test_a_ball_is_a_stamp_and_the_stamp_a_ball(self) -> None:
        ball = patched_sphere(10, 4)
        stamp = seen_from(points_of(ball, 4), triangles_of(ball, 4), (0.0, 0.0, 1.0))
        size = float(np.ptp(points_of(ball, 4)[:, 0]))
        self.assertAlmostEqual(stamp.width, size, delta=1e-6)
        self.assertAlmostEqual(stamp.height, size / 2, delta=0.05 * size)
        # Pressed into a plane in its own size it is the upper half of the ball again.
        done = points_of(
            sculpted(
                sheet(8, 40.0),
                [[0, 0, 0]],
                stamp=stamp,
                laid="each",
                radius=stamp.width / 2,
                amount=stamp.height,
                hardness=0.98,
                level=LEVEL,
            )
        )
        plain = points_of(sheet(8, 40.0))
        out = np.hypot(plain[:, 0], plain[:, 1])
        inside = out < 0.4 * size
        want = np.sqrt((size / 2) ** 2 - out[inside] ** 2) - size / 2 + stamp.height
        np.testing.assert_allclose(done[inside, 2], want, atol=0.15)

    def test_a_flat_thing_makes_none(self) -> None:
        flat = sheet()
        with self.assertRaisesRegex(ReliefError, "flat"):
            seen_from(points_of(flat, 2), triangles_of(flat, 2), (0.0, 0.0, 1.0))
        with self.assertRaisesRegex(ReliefError, "a line"):
            seen_from(points_of(flat, 2), triangles_of(flat, 2), (1.0, 0.0, 0.0))


class HeightMaps(unittest.TestCase):
    def test_relief_written_and_read_is_the_relief(self) -> None:
        cage = cover(sheet(), size=40.0, height=2.0, soft=5.0)
        heights, width = risen_over(points_of(cage), points_of(cage.plain), triangles_of(cage), (0.0, 0.0, 1.0), 256)
        self.assertAlmostEqual(width, 80.0, places=6)
        data = write_height_map(heights, width)
        with Image.open(io.BytesIO(data)) as opened:
            self.assertEqual((opened.mode, opened.size), ("I;16", (256, 256)))
            note = json.loads(opened.info["height map"])
        self.assertAlmostEqual(note["white"], 2.0, delta=0.02)
        stamp = read_stamp(data)
        self.assertEqual((stamp.width, stamp.height), (note["width"], note["height"]))
        again = points_of(
            sculpted(
                sheet(),
                [[0, 0, 0]],
                stamp=stamp,
                laid="each",
                radius=stamp.width / 2,
                amount=stamp.height,
                hardness=0.98,
                level=LEVEL,
            )
        )
        # Towards the open border a brush of 40 mm fades over 20.
        inside = np.abs(points_of(sheet())[:, :2]).max(axis=1) < 20
        np.testing.assert_allclose(again[inside, 2], points_of(cage)[inside, 2], atol=0.05)

    def test_pictures_of_8_and_16_bits_and_in_colour(self) -> None:
        ramp = np.linspace(0, 1, 50)
        for image in (
            Image.fromarray(np.rint(np.tile(ramp * 255, (20, 1))).astype(np.uint8)),
            Image.fromarray(np.rint(np.tile(ramp * 65_535, (20, 1))).astype(np.uint16)),
            Image.fromarray(np.repeat(np.rint(np.tile(ramp * 255, (20, 1))).astype(np.uint8)[:, :, None], 3, axis=2)),
        ):
            out = io.BytesIO()
            image.save(out, "PNG")
            stamp = read_stamp(out.getvalue())
            np.testing.assert_allclose(stamp.heights[7], ramp, atol=0.003)

    def test_too_many_pixels_and_broken_files(self) -> None:
        out = io.BytesIO()
        Image.new("L", (20_000, 4)).save(out, "PNG")
        with self.assertRaisesRegex(FileFormatError, "20,000 by 4 pixels; 16,384 a side are the most"):
            read_stamp(out.getvalue())
        good = io.BytesIO()
        Image.new("L", (64, 64), 7).save(good, "PNG")
        with self.assertRaisesRegex(FileFormatError, "breaks off"):
            read_stamp(good.getvalue()[:-40])
        with self.assertRaisesRegex(FileFormatError, "this is none"):
            read_stamp(b"GIF89a")
        large = io.BytesIO()
        Image.new("L", (3000, 1500)).save(large, "PNG")
        self.assertEqual(read_stamp(large.getvalue()).heights.shape, (512, 1024))
