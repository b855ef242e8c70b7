"""The proof sheet: what stands on it, where, and how large; by the marks on its pages and by its picture's own pixels."""

from __future__ import annotations

import io
import re
import unittest
from dataclasses import asdict, replace
from datetime import datetime
from pathlib import Path
from typing import Any

import numpy as np
import pypdf
from PIL import Image

from tests.core.proving.test_dimensions import BOX, Spot, ask, edge_between, face_at, hard, v
from tests.core.stone.test_laying import BAND, ROUND, done
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError
from zinc_otter.core.primitives.sized import sized_patched_sphere
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving.dimensions import Angle, Distance
from zinc_otter.core.solid.mesh.route import triangles_of
from zinc_otter.sheet.as_page import as_page
from zinc_otter.sheet.as_pdf import as_pdf
from zinc_otter.sheet.drawing import SCALES, scale_for, scale_words
from zinc_otter.sheet.paper import POINT, SIZES, Line, Page, Picture, Text, broken, width_of
from zinc_otter.sheet.sheet import OfWhat, Wanted, sheet_of
from zinc_otter.sheet.tones import tones
from zinc_otter.sheet.views import FRONT, RIGHT, TOP, Placed, picture_of
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.raster import Raster
from zinc_otter.studio.references import Component
from zinc_otter.studio.shown import Thing, surface_of

MADE = datetime(2026, 3, 4, 5, 6)


def no_mesh(asset: str) -> MeshDistance:
    raise BadSelectionError("no mesh here")


def pages_of(design: Design, wanted: Wanted | None = None, unit: Any = "mm", name: str = "Trial") -> list[Page]:
    def body(piece: str) -> tuple[Floats, Ints, float]:
        made, _ = triangles_of(recipe_of(design, piece), 0.1, 180.0, lambda _, __: None)
        return made.points, made.triangles, made.chord

    return sheet_of(design, OfWhat(name, 7, MADE, unit), wanted or Wanted(), body, no_mesh, lambda _, __: None)


def words_on(pages: list[Page]) -> list[str]:
    return [mark.words for page in pages for mark in page.marks if isinstance(mark, Text)]


class Sizes(unittest.TestCase):
    def test_scales_as_the_standard_has_them(self) -> None:
        words = {50: "50:1", 5: "5:1", 2: "2:1", 1: "1:1", 0.5: "1:2", 0.1: "1:10", 0.05: "1:20"}
        self.assertEqual({scale: scale_words(scale) for scale in words}, words)
        self.assertEqual(list(SCALES), sorted(SCALES, reverse=True))

    def test_true_size_where_it_fits_and_small_things_enlarged(self) -> None:
        at = lambda x, y, z, true=False: scale_for(np.zeros(3), np.array([x, y, z]), 277, 158, true)  # noqa: E731
        self.assertEqual(at(80, 50, 30), 1.0)
        self.assertEqual(at(20, 20, 6), 5.0)
        self.assertEqual(at(6, 21, 21), 2.0)
        self.assertEqual(at(20, 20, 6, True), 1.0)
        self.assertEqual(at(300, 50, 30), 0.5)
        self.assertEqual(at(900, 900, 900), 0.05)
        self.assertEqual(at(1e6, 1, 1), SCALES[-1])

    def test_a_picture_is_as_large_as_what_it_shows(self) -> None:
        points, triangles = surface_of(hard(done(Design(), **BOX)).piece("p1").cage, 1)
        thing = Thing(points, triangles, np.array([0.5, 0.4, 0.3]))
        for view, wide, high in ((FRONT, 40, 20), (RIGHT, 30, 20), (TOP, 40, 30)):
            placed = Placed(view, 1.0, np.zeros(3), (100.0, 100.0), wide + 10.0, high + 10.0)
            image = np.asarray(Image.open(io.BytesIO(picture_of(placed, [thing]))))
            rows, columns = np.nonzero(image.min(axis=2) < 250)
            per = image.shape[1] / placed.width
            self.assertAlmostEqual((np.ptp(columns) + 1) / per, wide, delta=2 / per)
            self.assertAlmostEqual((np.ptp(rows) + 1) / per, high, delta=2 / per)
            # And points lie on the paper where the picture shows them.
            flat = placed.on_paper(points)
            np.testing.assert_allclose(np.ptp(flat, axis=0), [wide, high], atol=1e-9)

    def test_a_ball_covers_its_disc(self) -> None:
        points, triangles = surface_of(sized_patched_sphere(20.0, 4, "surface"), 4)
        raster = Raster(300, 300)
        corners = ((points * [10, -10, 10] + [150, 150, 0]).astype(np.float32))[triangles]
        raster.add_triangles(corners, np.zeros((len(triangles), 3, 3)))
        covered = int((raster.depth > -np.inf).sum())
        self.assertAlmostEqual(covered / (np.pi * 100**2), 1, delta=5e-3)
        # The nearer of two counts: in the middle the depth is that of the upper side.
        self.assertAlmostEqual(float(raster.depth[150 * 300 + 150]), 100, delta=0.5)


class Texts(unittest.TestCase):
    def test_lines_keep_to_their_width(self) -> None:
        words = "Wall 0.62 mm where it is thinnest, of 8,192 points; 12 % of them lie below 1.5 mm. " + "W" * 90
        lines = broken(words, 40, 8.5)
        self.assertTrue(all(width_of(line, 8.5) <= 40 for line in lines))
        self.assertEqual("".join(lines).replace(" ", ""), words.replace(" ", ""))

    def test_the_tones_are_those_of_the_screen(self) -> None:
        source = (Path(__file__).parents[2] / "web/src/theme/scale.ts").read_text("utf-8")
        ends = [[float(x) for x in row.split(",")] for row in re.findall(r"\[(-?[\d.]+, -?[\d.]+, -?[\d.]+)\]", source)[:4]]
        from zinc_otter.sheet import tones as ours

        np.testing.assert_array_equal(np.concatenate([ours._FAULT, ours._SOUND]), ends)

    def test_lightness_grows_evenly_and_leaps_at_the_limit(self) -> None:
        values = np.linspace(0, 10, 201)
        found = tones(values, 0, 10, 4.0, True)
        linear = np.where(found <= 0.04045, found / 12.92, ((found + 0.055) / 1.055) ** 2.4)
        # Relative luminance as in WCAG 2.2.
        light = linear @ np.array([0.2126, 0.7152, 0.0722])
        self.assertTrue((np.diff(light) > 0).all())
        leap = np.diff(light).argmax()
        self.assertAlmostEqual(values[leap], 4.0, delta=0.06)
        # At fault it is told from white paper at 4.5 to 1 and more.
        self.assertTrue((1.05 / (light[values < 4] + 0.05) > 4.5).all())
        np.testing.assert_allclose(tones(-values, -10, 0, -4.0, False), found, atol=1e-12)


class Sheets(unittest.TestCase):
    def block(self) -> Design:
        d = hard(done(Design(), **BOX))
        ends = v(d, -20, -15, 10), v(d, 20, -15, 10)
        d = ask(d, Distance(piece="p1", first=ends[0], second=ends[1], way="straight"))
        return d

    def test_figures_with_how_they_were_found(self) -> None:
        d = done(self.block(), kind="add-proof", proof={"kind": "wall", "piece": "p1", "least": 25})
        d = done(d, kind="add-proof", proof={"kind": "sound", "piece": "p1"})
        d = replace(d, references=(Component("c1", "Clasp", "a" * 64, 12, (4, 3, 2)),))
        pages = pages_of(d)
        words = words_on(pages)
        for said in ("Findings", "Clasp", "D1  40 mm", "Trial", "1:1", "2026-03-04 05:06", "fails", "holds", "24,000 mm³"):
            self.assertIn(said, words)
        self.assertIn("limit 25 mm", words)
        self.assertIn("None has been written of these forms", " ".join(words))
        self.assertTrue(any("points of the smooth surface" in one for one in words))
        self.assertTrue(any(one.startswith("its body by triangles") for one in words))
        self.assertIn(f"{24 * 10.37:,.2f} g", words)
        pictures = [mark.words for mark in pages[0].marks if isinstance(mark, Picture)]
        self.assertEqual(pictures[:3], ["Front", "From the right", "From above"])

    def test_a_dimension_is_drawn_as_long_as_it_is(self) -> None:
        front = pages_of(self.block())[0]
        runs = [np.array(m.points) for m in front.marks if isinstance(m, Line) and m.width == 0.3 and len(m.points) == 2]
        lengths = [float(np.linalg.norm(r[1] - r[0])) for r in runs]
        self.assertTrue(any(abs(length - 40) < 1e-9 for length in lengths), lengths)
        # The ruler's own line is 50 mm.
        self.assertTrue(any(abs(length - 50) < 1e-9 for length in lengths))

    def test_in_inches_and_degrees(self) -> None:
        d = self.block()
        ends = (([20, -15, 10], [20, 0, 10]), ([0, -15, 10], [20, -15, 10]))
        edges = [Spot("edge", "p1", edge_between(d, a, b)) for a, b in ends]
        lean = Angle(piece="p1", first=edges[0], second=edges[1], wanted=80.0, tolerance=0.5)
        words = words_on(pages_of(done(d, kind="add-proof", proof=asdict(lean)), unit="in"))
        for said in ("D1  1.575 in", "D2  90° !", "80° ± 0.5°", "1.575 × 1.181 × 0.787 in"):
            self.assertIn(said, words)

    def test_what_is_hidden_open_or_gone(self) -> None:
        d = done(self.block(), **{**BOX, "name": "Lid"})
        d = done(d, kind="delete", piece="p1", picked={"kind": "face", "ids": [face_at(d, [10, 7.5, 10])]})
        d = done(d, kind="add-proof", proof={"kind": "wall", "piece": "p1", "least": 2})
        words = words_on(pages_of(d))
        self.assertIn("its surface, open", words)
        self.assertIn("cannot be told", words)
        self.assertIn("Lid", words)
        d = done(d, kind="show-piece", piece="p1", visible=False)
        self.assertNotIn("Box", words_on(pages_of(d)))
        d = done(d, kind="show-piece", piece=d.pieces[1].id, visible=False)
        with self.assertRaisesRegex(BadNumberError, "no piece is shown"):
            pages_of(d)

    def test_stones_are_counted_and_not_weighed_as_metal(self) -> None:
        d = done(Design(), **BAND)
        plain = words_on(pages_of(d, Wanted("A3")))
        self.assertNotIn("Stones", plain)
        d = done(d, kind="lay-stones", host="p1", cut=ROUND, way="round", points=[[12, 0, 0]], count=7)
        words = words_on(pages_of(d, Wanted("A3")))
        self.assertIn("A3", words)
        for said in ("Diamond, round brilliant", "1.5 mm", "7"):
            self.assertIn(said, words)
        weight = [one for one in plain if one.endswith(" g")]
        self.assertEqual([one for one in words if one.endswith(" g")], weight)

    def test_a_body_that_cannot_be_made_is_said(self) -> None:
        d = self.block()

        def body(_: str) -> tuple[Floats, Ints, float]:
            raise CoreError("The fillet is too large.")

        pages = sheet_of(d, OfWhat("Trial", 1, MADE), Wanted(), body, no_mesh, lambda _, __: None)
        self.assertIn("The fillet is too large", " ".join(words_on(pages)))

    def test_many_rows_flow_over_pages(self) -> None:
        d = self.block()
        for k in range(50):
            d = done(d, kind="add-proof", proof={"kind": "fits-in", "piece": "p1", "size": [50 + k, 40, 30]})
        pages = pages_of(d)
        self.assertGreater(len(pages), 2)
        for page in pages:
            low = max(mark.at[1] for mark in page.marks if isinstance(mark, Text))
            self.assertLess(low, page.height - 3)
        self.assertIn(f"Trial, revision 7, 2026-03-04 05:06; page 2 of {len(pages)}", words_on(pages))


class ReadBack(unittest.TestCase):
    """The files, by a library that had no part in making them."""

    def setUp(self) -> None:
        d = hard(done(Design(), **BOX))
        ends = v(d, -20, -15, 10), v(d, 20, -15, 10)
        d = ask(d, Distance(piece="p1", first=ends[0], second=ends[1], way="straight"))
        self.pages = pages_of(d, name="Clay & <paddle> Греб ώς dẫm 櫂")

    def test_the_pdf(self) -> None:
        reader = pypdf.PdfReader(io.BytesIO(as_pdf(self.pages, "Trial", MADE)))
        self.assertEqual(len(reader.pages), len(self.pages))
        # ISO 32000: 72 units to an inch.
        width, height = (float(reader.pages[0].mediabox[k]) for k in (2, 3))
        np.testing.assert_allclose([width * POINT, height * POINT], SIZES["A4"], atol=0.01)
        text = reader.pages[0].extract_text()
        for said in ("Clay & <paddle> Греб ώς dẫm ?", "D1  40 mm", "Front", "Printed at 100"):
            self.assertIn(said.replace("  ", " "), text.replace("  ", " "))
        drawn = reader.pages[0].get_contents().get_data().decode("latin-1")
        lines = re.findall(r"([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l", drawn)
        lengths = [np.hypot(float(c) - float(a), float(d) - float(b)) * POINT for a, b, c, d in lines]
        self.assertTrue(any(abs(length - 50) < 0.01 for length in lengths), "no ruler of 50 mm")
        self.assertTrue(any(abs(length - 40) < 0.01 for length in lengths), "no dimension of 40 mm")
        self.assertGreaterEqual(sum(len(page.images) for page in reader.pages), 4)

    def test_the_page(self) -> None:
        page = as_page(self.pages, "Clay & <paddle>")
        self.assertIn("<title>Clay &amp; &lt;paddle&gt;</title>", page)
        self.assertEqual(page.count('<svg xmlns="http://www.w3.org/2000/svg" width="297mm" height="210mm"'), len(self.pages))
        self.assertIn("Греб", page)
        self.assertNotIn("http://", page.replace("http://www.w3.org/2000/svg", ""))
