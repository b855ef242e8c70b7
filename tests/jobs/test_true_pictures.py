"""True pictures: energy kept, metals as their indices say, the same scene twice the same, and scenes of designs."""

from __future__ import annotations

import io
import json
import tempfile
import unittest
from dataclasses import replace
from pathlib import Path
from unittest.mock import patch

import numpy as np
from PIL import Image

from tests.core.stone.test_laying import BAND, ROUND, done
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.picture.arranging import Arrangement, cut_open
from zinc_otter.core.picture.finishes import FINISHES, Finish, finish_named
from zinc_otter.core.picture.lights import WORDS, sphere_of
from zinc_otter.core.picture.scene import Camera, Film, Scene, Seen
from zinc_otter.core.picture.wood import wood_tones
from zinc_otter.core.primitives.sized import sized_patched_sphere
from zinc_otter.core.solid.moments import moments
from zinc_otter.core.stone.cuts.brilliants import RoundBrilliant
from zinc_otter.core.stone.stone import Stone
from zinc_otter.jobs.path_tracing import by_colour, developed, passes
from zinc_otter.jobs.triangle_work import Fineness
from zinc_otter.jobs.true_picture import SetUp, Side, take_picture
from zinc_otter.store.documents import from_document, to_document
from zinc_otter.studio.commands.finish_piece import FinishPiece
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.scenes import scene_of, stone_finish
from zinc_otter.studio.shown import Thing, corner_normals, surface_of

FRONT = Camera((0.0, -60.0, 0.0), (0.0, -1.0, 0.0), (0.0, 0.0, 1.0), 32.0)
FLAT = Camera((0.0, -600.0, 0.0), (0.0, -1.0, 0.0), (0.0, 0.0, 1.0), None, 40.0)
WHITE = (1.0, 1.0, 1.0)


def ball(finish: Finish, width: float = 20.0) -> Seen:
    points, triangles = surface_of(sized_patched_sphere(width, 4, "surface"), 4)
    return Seen(points, triangles, corner_normals(Thing(points, triangles, np.ones(3))), finish, WHITE)


def traced(scene: Scene, film: Film) -> Floats:
    *_, last = passes(scene, film)
    assert last.samples == film.samples
    return last.light


class Energy(unittest.TestCase):
    def test_a_white_furnace(self) -> None:
        """What reflects all light cannot be seen in light that is even all around."""
        for finish in (Finish("white", "matt", WHITE), Finish("clear", "clear", WHITE, index=1.5)):
            light = traced(Scene((ball(finish),), FRONT, "even"), Film(48, 36, 64))
            np.testing.assert_allclose(light[..., :3].mean(), 1, atol=0.004)
            self.assertLess(abs(light[14:22, 20:28, :3].mean() - 1), 0.01)

    def test_nothing_gives_back_more_than_it_takes(self) -> None:
        for name, finish in FINISHES.items():
            light = traced(Scene((ball(finish),), FRONT, "even"), Film(32, 24, 32))
            self.assertLess(light[9:15, 13:19, :3].mean(), 1.01, name)

    def test_every_finish_that_is_offered_can_be_traced(self) -> None:
        for name, finish in FINISHES.items():
            light = traced(Scene((ball(finish),), FRONT, "even"), Film(24, 18, 16))[6:12, 9:15, :3]
            with self.subTest(name):
                self.assertTrue(0.01 < float(light.mean()) < 1.05, light.mean())
        # Under its oil wood is as dark as it is: what is matt by its own colour, and a little that is thrown back.
        wood = traced(Scene((ball(FINISHES["wood"], 40.0),), FRONT, "even"), Film(48, 36, 64))[14:22, 20:28, :3]
        self.assertLess(abs(float(wood.mean()) - np.mean(FINISHES["wood"].colour)), 0.08)

    def test_wood_is_seen_ring_by_ring_where_it_lies(self) -> None:
        """A matt plate in even light throws back its own reflectance, at each place that of the wood there."""
        side = np.linspace(-20, 20, 241)
        x, z = (part.ravel() for part in np.meshgrid(side, side, indexing="ij"))
        i = (np.arange(240)[:, None] * 241 + np.arange(240)).ravel()
        triangles = np.concatenate([np.column_stack([i, i + 241, i + 1]), np.column_stack([i + 1, i + 241, i + 242])])
        wood = replace(finish_named("wood"), kind="matt")
        seen = Seen(np.column_stack([x, 0 * x, z]), triangles, None, wood, WHITE)
        light = traced(Scene((seen,), FLAT, "even"), Film(80, 80, 32))[4:-4, 4:-4, :3]
        at = (np.arange(80) - 39.5)[4:-4] / 2
        across, up = np.meshgrid(at, -at)
        places = np.column_stack([across.ravel(), 0 * across.ravel(), up.ravel()])
        expected = wood_tones(places)
        np.testing.assert_allclose(light.reshape(-1, 3).mean(axis=0), expected.mean(axis=0), rtol=0.03)
        self.assertGreater(np.corrcoef(light[..., 0].ravel(), expected[:, 0])[0, 1], 0.9)
        # The finish's colour, by which the view draws it from afar, is its mean.
        np.testing.assert_allclose(wood_tones(places, spacing=10.0)[0], wood.colour, atol=0.002)
        np.testing.assert_allclose(expected.mean(axis=0), wood.colour, rtol=0.03)

    def test_metals_at_normal_incidence_by_fresnel(self) -> None:
        """((n - 1)² + k²) / ((n + 1)² + k²), any optics textbook, with the indices in the renderer's own tables."""
        import mitsuba

        for symbol in ("Au", "Ag", "Cu"):
            smooth = Finish(symbol, "metal", metals=((symbol, 1.0),), roughness=0.002)
            light = traced(Scene((ball(smooth),), FRONT, "even"), Film(61, 61, 32))
            found = light[29:32, 29:32, :3].mean(axis=(0, 1))
            held = mitsuba.traverse(mitsuba.load_dict({"type": "conductor", "material": symbol}))
            n, k = (np.array(held[f"{part}.value"]).ravel() for part in ("eta", "k"))
            wanted = ((n - 1) ** 2 + k**2) / ((n + 1) ** 2 + k**2)
            np.testing.assert_allclose(found, wanted, atol=0.006)
        # Gold reflects less from red to blue (CRC Handbook, from memory: about 0.97, 0.87, 0.39 at 650, 550, 450 nm).
        gold = traced(Scene((ball(finish_named("gold")),), FRONT, "even"), Film(31, 31, 16))[15, 15, :3]
        self.assertGreater(gold[0], gold[1])
        self.assertGreater(gold[1], 1.3 * gold[2])

    def test_fire_parts_the_colours_and_keeps_the_light(self) -> None:
        stone = stone_finish(Stone())
        self.assertEqual(stone.dispersion, 0.044)
        clear = replace(stone, colour=WHITE)
        gem = RoundBrilliant(20.0).gem
        seen = Seen(gem.points, gem.triangles, None, clear, WHITE)
        above = Camera((0.0, -30.0, 60.0), (0.0, -0.447, 0.894), (0.0, 0.894, 0.447), 32.0)
        # In light that is even all round the stone cannot be seen, with fire or without.
        even = traced(Scene((seen,), above, "even"), Film(32, 24, 48, fire=True))
        np.testing.assert_allclose(even[..., :3].mean(axis=(0, 1)), 1, atol=0.02)
        parted = []
        for fire in (False, True):
            light = traced(Scene((seen,), above, "tent"), Film(64, 48, 48, fire=fire))[..., :3]
            # How far red and blue are from one another, beyond the colour of the light itself.
            red, blue = light[..., 0] / light[..., 0].mean(), light[..., 2] / light[..., 2].mean()
            parted.append(float(np.abs(red - blue)[12:36, 16:48].mean()))
        self.assertLess(parted[0], 0.02)
        self.assertGreater(parted[1], 5 * parted[0] + 0.02)
        # Where nothing parts them it takes no longer.
        self.assertEqual(len(by_colour(Scene((ball(FINISHES["gold"]),), FRONT, "tent"))), 1)
        indices = [way.bodies[0].finish.index for way in by_colour(Scene((seen,), FRONT, "tent"))]
        self.assertEqual(indices, sorted(indices))
        self.assertAlmostEqual(indices[1], clear.index + 0.006, delta=0.003)

    def test_what_lies_behind_a_stone_is_seen_through_it_where_it_is_clear_alone(self) -> None:
        dark = replace(ball(Finish("black", "matt", (0.0, 0.0, 0.0))), points=ball(FINISHES["clay"]).points * 3 + [0, 60, 0])
        clear = {"sapphire": True, "amber": True, "turquoise": False, "pearl": False, "opal": False}
        for material, is_seen in clear.items():
            stone = ball(stone_finish(Stone(material=material)))
            scenes = [Scene(bodies, FRONT, "even") for bodies in ((stone,), (stone, dark))]
            alone, before = (traced(scene, Film(31, 31, 32))[13:18, 13:18, :3].mean() for scene in scenes)
            (self.assertLess if is_seen else self.assertGreater)(before / alone, 0.6, material)

    def test_lights_are_as_bright_as_they_say(self) -> None:
        rows = (np.arange(256) + 0.5) / 256 * np.pi
        weight = np.where(rows < np.pi / 2, np.sin(rows) * np.cos(rows), 0) * (np.pi / 256) * (2 * np.pi / 512)
        for light in WORDS:
            found = sphere_of(light)
            self.assertTrue(np.isfinite(found).all() and (found >= 0).all())
            white = (found.mean(axis=2) * weight[:, None]).sum() / np.pi
            self.assertAlmostEqual(white, {"tent": 0.9, "window": 0.8, "dusk": 0.5}.get(light, 1.0), delta=1e-6)

    def test_a_light_turned_round_comes_from_elsewhere(self) -> None:
        scenes = [Scene((ball(Finish("white", "matt", WHITE)),), FRONT, "window", turn) for turn in (0.0, 180.0)]
        left, right = (traced(scene, Film(40, 40, 32))[15:25, :, :3] for scene in scenes)
        # The window stands to the left of the front; turned by half a turn it stands behind.
        self.assertGreater(left[:, 12:20].mean(), 1.1 * left[:, 20:28].mean())
        self.assertGreater(left[:, 12:20].mean(), 1.5 * right[:, 12:20].mean())


class Cameras(unittest.TestCase):
    def test_a_ball_is_as_large_as_it_is(self) -> None:
        film = Film(80, 60, 16, clear=True)
        for camera, radius in ((FLAT, 10 * 60 / 40), (FRONT, 30 * np.tan(np.arcsin(10 / 60)) / np.tan(np.radians(16)))):
            light = traced(Scene((ball(Finish("white", "matt", WHITE)),), camera, "even"), film)
            self.assertAlmostEqual(np.sqrt(light[..., 3].sum() / np.pi), radius, delta=0.02 * radius)
            self.assertAlmostEqual(light[0, 0, 3], 0, delta=1e-6)

    def test_the_same_twice_and_finer_with_more(self) -> None:
        scene = Scene((ball(finish_named("silver")),), FRONT, "tent")
        first, second = (traced(scene, Film(32, 24, 16)) for _ in range(2))
        np.testing.assert_array_equal(first, second)
        counts = [stage.samples for stage in passes(scene, Film(32, 24, 20))]
        self.assertEqual(counts, [8, 16, 20])

    def test_a_large_one_comes_in_bands_and_is_the_same(self) -> None:
        """Of the same light, and of the same place: no band is shifted, left out, or looked at twice."""
        scene = Scene((ball(Finish("white", "matt", WHITE)),), FLAT, "even")
        film = Film(96, 72, 48, clear=True)
        whole = traced(scene, film)
        with patch("zinc_otter.jobs.path_tracing._BAND", 96 * 20):
            # The sums go on to grow: each is looked at in its moment.
            stages = [(stage.samples, stage.share, stage.light) for stage in passes(scene, film)]
        self.assertEqual([samples for samples, _, _ in stages[:5]], [0, 0, 0, 8, 8])
        shares = [share for _, share, _ in stages]
        self.assertEqual(shares, sorted(set(shares)))
        self.assertEqual(shares[-1], 1.0)
        # What was not looked at yet is empty, what was is there.
        second, last = stages[1][2], stages[-1][2]
        self.assertEqual(float(np.abs(second[40:]).max()), 0.0)
        np.testing.assert_allclose(second[30, 48, 3], 1.0)
        np.testing.assert_allclose(last[..., 3], whole[..., 3], atol=0.25)
        self.assertAlmostEqual(last[..., 3].sum() / whole[..., 3].sum(), 1, delta=5e-3)

    def test_smoothed_it_is_nearer_to_what_many_samples_show(self) -> None:
        scene = Scene((ball(Finish("clay", "matt", (0.7, 0.5, 0.4))),), FRONT, "tent", floor=-10.0)
        film = Film(96, 72, 8, smooth=True)
        *_, last = passes(scene, film)
        fine = traced(scene, Film(96, 72, 512))[..., :3]
        rough, smooth = (float(np.sqrt(((light[..., :3] - fine) ** 2).mean())) for light in (last.light, last.smoothed()))
        self.assertLess(smooth, 0.5 * rough)
        # The light as a whole and what is covered stay, and so do the edges of the ball.
        np.testing.assert_allclose(last.smoothed()[..., :3].mean() / last.light[..., :3].mean(), 1, atol=0.02)
        np.testing.assert_array_equal(last.smoothed()[..., 3], last.light[..., 3])

    def test_wrong_numbers_are_refused_in_words(self) -> None:
        for words, act in (
            ("no finish", lambda: finish_named("cheese")),
            ("no light", lambda: Scene((), FRONT, "moon")),
            ("16 pixels", lambda: Film(8, 600)),
            ("at most", lambda: Film(9000, 9000)),
            ("samples", lambda: Film(64, 64, 0)),
            ("sees from", lambda: Camera((0, 0, 0), (0, -1, 0), (0, 0, 1), 170.0)),
            ("more than 0 mm", lambda: Camera((0, 0, 0), (0, -1, 0), (0, 0, 1), None, 0.0)),
        ):
            with self.assertRaisesRegex(BadNumberError, words):
                act()

    def test_development(self) -> None:
        """Mid tones by the curve of IEC 61966-2-1, brighter ones rolled off, never beyond white."""
        light = np.zeros((1, 4, 4))
        light[0, :, :3] = np.array([0.0, 0.18, 0.8, 40.0])[:, None]
        found = developed(light, 0.0)[0, :, 0]
        np.testing.assert_allclose(found[:3], [0.0, 0.4613, 0.9063], atol=1e-3)
        self.assertLessEqual(found[3], 1.0)
        self.assertGreater(found[3], 0.99)
        np.testing.assert_allclose(developed(light, 1.0)[0, 1, 0], developed(2 * light, 0.0)[0, 1, 0])


class Designs(unittest.TestCase):
    def setUp(self) -> None:
        design = done(Design(), **BAND)
        self.design = done(design, kind="lay-stones", host="p1", cut=ROUND, way="round", points=[[12, 0, 0]], count=3)

    def body(self, piece: str) -> tuple[Floats, Ints, float]:
        points, triangles = surface_of(self.design.piece(piece).cage, 2)
        return points, triangles, 0.1

    def test_stones_are_clear_and_metal_is_what_was_said(self) -> None:
        design = done(self.design, kind="finish-piece", piece="p1", finish="rose-gold")
        scene = scene_of(design, self.body, FRONT)
        self.assertEqual([seen.finish.kind for seen in scene.bodies], ["metal", "clear", "clear", "clear"])
        self.assertEqual(scene.bodies[1].finish.index, stone_finish(design.piece("p2").form.stones[0][0]).index)  # type: ignore[union-attr]
        self.assertAlmostEqual(scene.bodies[1].finish.index, 2.417)
        self.assertIsNone(scene.bodies[1].normals)
        lowest = min(seen.points[:, 2].min() for seen in scene.bodies)
        assert scene.floor is not None
        self.assertLess(scene.floor, lowest)
        self.assertIsNone(scene_of(design, self.body, FRONT, on_floor=False).floor)

    def test_a_finish_is_a_step_that_the_document_keeps(self) -> None:
        design = done(self.design, kind="finish-piece", piece="p1", finish="glass")
        document, blobs = to_document(design)
        back = from_document(json.loads(json.dumps(document)), blobs)
        self.assertEqual([piece.finish for piece in back.pieces], ["glass", "clay"])
        for piece in document["pieces"]:
            del piece["finish"]
        self.assertEqual(from_document(document, blobs).pieces[0].finish, "clay")
        self.assertIn("Glass", FinishPiece(piece="p1", finish="glass").title(design).title())
        names = FinishPiece.model_json_schema()["properties"]["finish"]["enum"]
        self.assertEqual(names, list(FINISHES))

    def test_nothing_shown_is_said(self) -> None:
        hidden = self.design
        for piece in ("p1", "p2"):
            hidden = done(hidden, kind="show-piece", piece=piece, visible=False)
        with self.assertRaisesRegex(CoreError, "no piece is shown"):
            scene_of(hidden, self.body, FRONT)

    def taken(self, folder: Path, sides: list[Design], film: Film, set_up: SetUp, camera: Camera = FRONT) -> Path:
        path = folder / "shots" / "k.png"
        recipes = {"p1": recipe_of(self.design, "p1")}
        take_picture(
            lambda share, words: None, [Side(design, recipes) for design in sides], camera, film, set_up,
            Fineness(0.3, 180.0, folder), folder / "k.shot.png", path, {"design": "Ring", "revision": 3},
        )  # fmt: skip
        return path

    def test_two_stand_side_by_side(self) -> None:
        hidden = done(self.design, kind="show-piece", piece="p2", visible=False)
        with tempfile.TemporaryDirectory() as name:
            path = self.taken(Path(name), [hidden, self.design], Film(128, 48, 16), SetUp())
            pixels = np.asarray(Image.open(path), dtype=float)
            self.assertEqual(pixels.shape, (48, 128, 3))
            alone = np.asarray(Image.open(self.taken(Path(name), [hidden, hidden], Film(128, 48, 16), SetUp())), dtype=float)
            # The first half is the same, the other has the stones.
            np.testing.assert_array_equal(pixels[:, :64], alone[:, :64])
            self.assertGreater(np.abs(pixels[:, 64:] - alone[:, 64:]).max(), 20)

    def test_many_views_go_round_once(self) -> None:
        with tempfile.TemporaryDirectory() as name:
            path = self.taken(Path(name), [self.design], Film(64, 48, 8), SetUp(turns=8))
            with Image.open(path) as image:
                rows = image.copy()
            self.assertEqual(rows.size, (6 * 64, 2 * 48))
            with Image.open(path.with_suffix(".webp")) as moving:
                self.assertEqual((moving.n_frames, moving.size), (8, (64, 48)))  # type: ignore[attr-defined]
            pixels = np.asarray(rows, dtype=float)
            views = [pixels[:48, 64 * k : 64 * (k + 1)] for k in range(6)]
            self.assertGreater(np.abs(views[0] - views[1]).max(), 30)
            single = np.asarray(Image.open(self.taken(Path(name), [self.design], Film(64, 48, 8), SetUp())), dtype=float)
            np.testing.assert_array_equal(views[0], single)

    def test_only_what_is_so_far_away_is_sharp(self) -> None:
        """An edge before the lens is a blur as wide as the lens seen from what is sharp (geometry of a thin lens)."""

        def width(aperture: float, focus: float) -> float:
            points = np.array([[-40, 0, -40], [0, 0, -40], [0, 0, 40], [-40, 0, 40]], dtype=float)
            seen = Seen(points, np.array([[0, 1, 2], [0, 2, 3]]), None, FINISHES["clay"], (0.02, 0.02, 0.02))
            scene = Scene((seen,), replace(FRONT, aperture=aperture, focus=focus), "even")
            row = traced(scene, Film(64, 16, 256, clear=True))[:, 23:, 3].mean(axis=0)
            return float(((row > 0.05) & (row < 0.95)).sum())

        self.assertLessEqual(width(8.0, 60.0), 1)
        # A disk of 2 r (60 - 30) / 30 mm, of which nine tenths lie within four fifths of its width; 16 pixels see 34.4 mm.
        disk = 2 * 8.0 * (60 - 30) / 30
        self.assertAlmostEqual(width(8.0, 30.0), 0.8 * disk * 16 / (2 * 60 * np.tan(np.radians(16))), delta=1)

    def test_an_open_sheet_is_cut_as_a_sheet(self) -> None:
        t = np.linspace(0, 1, 9)
        x, z = (part.ravel() for part in np.meshgrid(40 * t - 20, 20 * t, indexing="ij"))
        points = np.column_stack([x, 0 * x, z])
        i = (np.arange(8)[:, None] * 9 + np.arange(8)).ravel()
        triangles = np.concatenate([np.column_stack([i, i + 9, i + 1]), np.column_stack([i + 1, i + 9, i + 10])])
        below, kept = cut_open(points, triangles, plane_at((3, 0, 0), (1, 0, 0)))
        a, b, c = (below[kept[:, k]] for k in range(3))
        self.assertAlmostEqual(float(np.linalg.norm(np.cross(b - a, c - a), axis=1).sum()) / 2, 23 * 20, places=6)
        self.assertLessEqual(below[:, 0].max(), 3 + 1e-9)
        for height, left in ((50.0, len(triangles)), (-50.0, 0)):
            self.assertEqual(len(cut_open(points, triangles, plane_at((height, 0, 0), (1, 0, 0)))[1]), left)

    def test_cut_open_and_drawn_apart(self) -> None:
        arranged = Arrangement(cut=plane_at((0, 0, 0), (0, -1, 0)), apart=1.0)
        whole = scene_of(self.design, self.body, FRONT)
        opened = scene_of(self.design, self.body, FRONT, arranged=replace(arranged, apart=0.0))
        self.assertLessEqual(min(-seen.points[:, 1].max() for seen in opened.bodies), 1e-9)
        self.assertGreaterEqual(min(seen.points[:, 1].min() for seen in opened.bodies), -1e-9)
        volume = lambda seen: moments(seen.points, seen.triangles).volume  # noqa: E731
        self.assertAlmostEqual(volume(opened.bodies[0]) / volume(whole.bodies[0]), 0.5, delta=0.01)
        with self.assertRaisesRegex(CoreError, "in front of the section"):
            scene_of(self.design, self.body, FRONT, arranged=Arrangement(cut=plane_at((0, 0, -500), (0, 0, 1))))
        apart = scene_of(self.design, self.body, FRONT, arranged=Arrangement(apart=2.0))
        # The three stones are one piece: they go together, away from the middle of all.
        moves = [a.points.mean(axis=0) - b.points.mean(axis=0) for a, b in zip(apart.bodies, whole.bodies, strict=True)]
        np.testing.assert_allclose(moves[1:], [moves[1]] * 3, atol=1e-9)
        boxes = [np.concatenate([seen.points for seen in part]) for part in (whole.bodies[:1], whole.bodies[1:])]
        middles = np.array([(box.min(axis=0) + box.max(axis=0)) / 2 for box in boxes])
        everything = np.concatenate(boxes)
        middle = (everything.min(axis=0) + everything.max(axis=0)) / 2
        np.testing.assert_allclose([moves[0], moves[1]], 2 * (middles - middle), atol=1e-9)

    def test_taken_kept_and_ended_early(self) -> None:
        with tempfile.TemporaryDirectory() as name:
            folder = Path(name)
            between, path = folder / "k.shot.png", folder / "shots" / "k.png"
            said: list[str] = []

            def progress(_: float, words: str) -> None:
                said.append(words)
                if words.startswith("8 of"):
                    # What there is so far can be looked at, and is enough.
                    self.assertEqual(Image.open(io.BytesIO(between.read_bytes())).size, (64, 48))
                    between.with_suffix(".enough").touch()

            recipes = {"p1": recipe_of(self.design, "p1")}
            take_picture(
                progress, [Side(self.design, recipes)], FRONT, Film(64, 48, 64, clear=True), SetUp(on_floor=False),
                Fineness(0.3, 180.0, folder), between, path, {"design": "Ring", "revision": 3},
            )  # fmt: skip
            self.assertEqual(said[-1], "8 samples")
            image = Image.open(path)
            self.assertEqual(image.mode, "RGBA")
            self.assertEqual(image.info["Title"], "Ring, revision 3")
            self.assertEqual(json.loads(image.info["Comment"])["samples"], 8)
            self.assertEqual(sorted(one.name for one in folder.iterdir()), ["shots", "triangles"])
