"""Measures, units, fields, keys and tools, called one by one."""

from __future__ import annotations

import json
import math
import re
import subprocess
import tempfile
import unittest
from pathlib import Path

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from tests.web.case import WEB, PartsCase
from zinc_otter.core.picture.finishes import FINISHES
from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box
from zinc_otter.core.printing.print_bench import Machine
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.words import Unit, bulk_words, lengths_in, volume_words
from zinc_otter.studio.commands import read_command

def arrays(cage: Cage) -> dict[str, list[float]]:
    """A cage as the browser has it."""
    t = cage.topology
    return {
        "positions": cage.positions.ravel().tolist(), "face_verts": t.face_verts.tolist(),
        "face_offsets": t.face_offsets.tolist(), "edge_verts": t.edge_verts.ravel().tolist(),
        "edge_faces": t.edge_faces.ravel().tolist(),
    }  # fmt: skip


def ring(cage: Cage, face: int) -> list[int]:
    t = cage.topology
    found: list[int] = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]].tolist()
    return found


_CAGE = """(() => { const c = given.cage; return { positions: new Float64Array(c.positions),
  face_verts: new Int32Array(c.face_verts), face_offsets: new Int32Array(c.face_offsets),
  edge_verts: new Int32Array(c.edge_verts), edge_faces: new Int32Array(c.edge_faces) }; })()"""


class Measures(PartsCase):
    def measure(self, call: str, cage: Cage, **more: object) -> object:
        return self.call(f"Parts.measure.{call.replace('CAGE', _CAGE)}", {"cage": arrays(cage), **more})

    def test_the_mean_normal_is_the_cores(self) -> None:
        cage = box((40, 30, 20), (2, 2, 1))
        rng = np.random.default_rng(4)
        cage = cage.with_positions(cage.positions + rng.normal(0, 2, cage.positions.shape))
        faces = [0, 3, 5]
        points = [cage.positions[ring(cage, f)] for f in faces]
        area = sum(np.cross(p[1:-1] - p[0], p[2:] - p[0]).sum(axis=0) / 2 for p in points)
        told = self.measure('meanNormal(CAGE, "face", given.faces)', cage, faces=faces)
        np.testing.assert_allclose(told, area / np.linalg.norm(area), atol=1e-12)

    def test_opposite_faces_have_no_mean_normal(self) -> None:
        cage = box((2, 2, 2), (1, 1, 1))
        self.assertEqual(self.measure('meanNormal(CAGE, "face", [0, 1, 2, 3, 4, 5])', cage), [0, 0, 0])
        self.assertIsNone(self.measure('selectionFrame(CAGE, "face", [0, 1, 2, 3, 4, 5])', cage))

    def test_a_frame_is_square_and_right_handed(self) -> None:
        cage = box((40, 30, 20), (2, 2, 1))
        rng = np.random.default_rng(7)
        cage = cage.with_positions(cage.positions + rng.normal(0, 3, cage.positions.shape))
        for call in ('selectionFrame(CAGE, "face", [2])', "edgeFrame(CAGE, 5)"):
            frame = np.array(self.measure(call, cage))
            np.testing.assert_allclose(frame @ frame.T, np.eye(3), atol=1e-12)
            self.assertAlmostEqual(np.linalg.det(frame), 1, places=12)

    def test_figures_in_words(self) -> None:
        cage = box((40, 30, 20), (1, 1, 1))
        edge = next(
            e for e, (a, b) in enumerate(cage.topology.edge_verts)
            if abs(cage.positions[a] - cage.positions[b])[0] > 1
        )  # fmt: skip
        self.assertEqual(self.measure('figure(CAGE, "edge", [given.edge], "mm")', cage, edge=edge), "length 40 mm")
        self.assertEqual(self.measure('figure(CAGE, "edge", [given.edge], "in")', cage, edge=edge), "length 1.575 in")
        self.assertEqual(self.measure('figure(CAGE, "vertex", [], "mm")', cage), "")
        self.assertEqual(self.measure('figure(CAGE, "vertex", [0], "cm")', cage), "at -2, -1.5, -1 cm")
        self.assertEqual(
            self.measure('figure(CAGE, "piece", [0], "mm")', cage), f"cage area {2 * (40 * 30 + 40 * 20 + 30 * 20)} mm²"
        )

    def test_vertices_of_everything(self) -> None:
        cage = box((2, 2, 2), (1, 1, 1))
        self.assertEqual(sorted(self.measure('verticesOf(CAGE, "face", [0, 1])', cage)),
                         sorted({*ring(cage, 0), *ring(cage, 1)}))  # fmt: skip
        self.assertEqual(self.measure('verticesOf(CAGE, "piece", [])', cage), [])
        self.assertEqual(len(self.measure('verticesOf(CAGE, "piece", [0])', cage)), 8)


class Vectors(PartsCase):
    @settings(max_examples=40, deadline=None)
    @given(st.lists(st.floats(-100, 100), min_size=9, max_size=9))
    def test_the_way_to_a_segment(self, numbers: list[float]) -> None:
        p, a, b = np.array(numbers).reshape(3, 3)
        told = self.call("Parts.vec.toSegment(given[0], given[1], given[2])", [p.tolist(), a.tolist(), b.tolist()])
        dense = a + np.linspace(0, 1, 2001)[:, None] * (b - a)
        nearest = np.linalg.norm(dense - p, axis=1).min()
        self.assertLessEqual(told["distance"], nearest + 1e-9)
        self.assertGreaterEqual(told["distance"], nearest - np.linalg.norm(b - a) / 2000 - 1e-9)

    def test_within_a_line_that_bends_in(self) -> None:
        line = [[0, 0], [10, 0], [10, 10], [5, 4], [0, 10]]
        inside = [self.call("Parts.vec.withinLine(given[0], given[1], given[2])", [x, y, line]) for x, y in
                  ((5, 2), (5, 8), (1, 5), (9, 5), (11, 5))]  # fmt: skip
        self.assertEqual(inside, [True, False, True, True, False])

    def test_angles(self) -> None:
        self.assertAlmostEqual(self.call("Parts.vec.degreesBetween([1, 0, 0], [-1, 0, 0])"), 180)
        self.assertAlmostEqual(self.call("Parts.vec.degreesBetween([1, 0, 0], [1, 1, 0])"), 45)
        self.assertEqual(self.call("Parts.vec.unit([0, 0, 0])"), [0, 0, 0])

    def test_round_grid_spacings(self) -> None:
        for least, wanted in ((0.9, 1), (1.1, 2), (2.5, 5), (6, 10), (0.013, 0.02), (430, 500)):
            self.assertAlmostEqual(self.call("Parts.roundSpacing(given)", least), wanted)


class Units(PartsCase):
    @settings(max_examples=30, deadline=None)
    @given(st.floats(-1e6, 1e6), st.sampled_from(["mm", "cm", "in"]))
    def test_there_and_back(self, mm: float, unit: str) -> None:
        back = self.call("Parts.units.fromUnit(Parts.units.toUnit(given[0], given[1]), given[1])", [mm, unit])
        self.assertTrue(math.isclose(back, mm, rel_tol=1e-12, abs_tol=1e-12))

    def test_words(self) -> None:
        words = [self.call("Parts.units.lengthWords(given[0], given[1])", list(x)) for x in
                 ((25.4, "in"), (0.004, "mm"), (-0.001, "mm"), (12.5, "cm"), (100, "mm"))]  # fmt: skip
        self.assertEqual(words, ["1 in", "0 mm", "0 mm", "1.25 cm", "100 mm"])

    def test_steps_are_round_in_the_unit(self) -> None:
        steps = [self.call("Parts.units.roundStep(given[0], given[1])", list(x)) / per for x, per in
                 (((1, "in"), 25.4), ((0.05, "in"), 25.4), ((10, "in"), 25.4), ((5, "cm"), 10), ((0.1, "mm"), 1))]  # fmt: skip
        np.testing.assert_allclose(steps, [0.05, 0.002, 0.5, 0.5, 0.1], rtol=1e-12)

    @settings(max_examples=30, deadline=None)
    @given(st.floats(1e-3, 1e9), st.sampled_from(["mm", "cm", "in"]))
    def test_volumes_are_told_as_the_service_tells_them(self, mm3: float, unit: Unit) -> None:
        with lengths_in(unit):
            told = [volume_words(mm3), bulk_words(mm3)]
        here = [f"Parts.units.{name}(given[0], given[1])" for name in ("volumeWords", "bulkWords")]
        self.assertEqual([self.call(one, [mm3, unit]) for one in here], told)


class Fields(PartsCase):
    def wrong(self, value: float, unit: str = "mm", **bounds: object) -> str | None:
        field = {"is": "number", "label": "Wall", "unit": "mm", "initial": 1, "step": 1, **bounds}
        said: str | None = self.call("Parts.fields.whatIsWrong(given[0], given[1], given[2])", [field, value, unit])
        return said

    def test_bounds_in_words_in_the_designs_unit(self) -> None:
        self.assertEqual(self.wrong(0, above=0), "more than 0 mm")
        self.assertIsNone(self.wrong(1e-9, above=0))
        self.assertEqual(self.wrong(0.05, min=0.1), "at least 0.1 mm")
        self.assertEqual(self.wrong(30, "in", max=25.4), "at most 1 in")
        self.assertEqual(self.wrong(25.4, "in", below=25.4), "less than 1 in")
        self.assertEqual(self.wrong(1.5, whole=True), "whole numbers only")

    def test_bounds_are_those_of_the_service(self) -> None:
        description = json.loads((WEB.parent / "docs" / "openapi.json").read_text("utf-8"))
        schema = description["components"]["schemas"]["Chamfer"]["properties"]
        given_ = self.call('Parts.parameters["chamfer"]')
        self.assertEqual(given_["segments"]["max"], schema["segments"]["maximum"])
        self.assertEqual(given_["distance"]["above"], schema["distance"]["exclusiveMinimum"])
        self.assertEqual(given_["distance"]["label"], schema["distance"]["x-card"]["label"])
        # Shares are kept from 0 to 1 and shown in per cent.
        self.assertEqual(self.call('Parts.parameters["flatten"].share.max'), 100)

    def test_what_is_kept_after_a_step(self) -> None:
        settled = self.call(
            "Parts.fields.settledValues({a: {initial: 1, keep: true}, b: {initial: 2}, c: {initial: 3, keep: true}}, {a: 5, b: 6})"
        )
        self.assertEqual(settled, {"a": 5, "b": 2, "c": 3})

    def test_drags_are_rounded_to_what_a_pixel_can_tell(self) -> None:
        self.assertEqual(self.call('Parts.fields.roundedTo({x: 12.30487, way: "even"}, 0.2)'), {"x": 12.3, "way": "even"})
        self.assertEqual(self.call("Parts.fields.roundedTo({x: -0.0001}, 3)"), {"x": 0})


class Keys(PartsCase):
    TABLE = "Parts.keyTable(Parts.registry, { find() {}, sheet() {} })"

    def test_no_key_does_two_things(self) -> None:
        self.assertEqual(self.call(f"Parts.keys.clashesIn({self.TABLE})"), [])

    def test_a_clash_is_found(self) -> None:
        added = """[...TABLE, { keys: ["Shift B"], words: "a second thing", section: "Tools", where: "anywhere" }]"""
        found = self.call(f"Parts.keys.clashesIn({added.replace('TABLE', self.TABLE)})")
        self.assertEqual(found, ["Shift B: Bridge / a second thing"])

    def test_what_excludes_one_another_does_not_clash(self) -> None:
        rows = [
            {"keys": ["ArrowUp"], "words": "turn", "section": "View", "where": "form", "holds": "nothing picked"},
            {"keys": ["ArrowUp"], "words": "nudge", "section": "Change", "where": "form", "holds": "picked"},
        ]
        self.assertEqual(self.call("Parts.keys.clashesIn(given)", rows), [])
        self.assertEqual(len(self.call("Parts.keys.clashesIn(given)", [{**row, "holds": "always"} for row in rows])), 1)

    def test_names_of_keys(self) -> None:
        plain = {"shiftKey": False, "ctrlKey": False, "metaKey": False, "altKey": False}
        for pressed, name in (
            ({"key": "x"}, "X"), ({"key": "X", "shiftKey": True}, "Shift X"), ({"key": "?", "shiftKey": True}, "?"),
            ({"key": "z", "ctrlKey": True, "shiftKey": True}, "Ctrl Shift Z"), ({"key": "z", "metaKey": True}, "Ctrl Z"),
            ({"key": "ArrowUp", "shiftKey": True}, "Shift ArrowUp"), ({"key": "ü", "shiftKey": True}, "Shift Ü"),
            ({"key": "x", "altKey": True}, None),
        ):  # fmt: skip
            self.assertEqual(self.call("Parts.keys.keyOf(given)", {**plain, **pressed}), name)

    def test_every_key_of_a_tool_is_on_the_sheet(self) -> None:
        tools = self.call("Parts.registry.all.filter((t) => t.key).map((t) => [t.name, t.key])")
        rows = self.call(f"{self.TABLE}.filter((r) => r.section === 'Tools').map((r) => [r.words, r.shown ?? r.keys[0]])")
        self.assertGreater(len(tools), 25)
        self.assertEqual([tool for tool in tools if tool not in rows], [])


class Tools(PartsCase):
    CONTEXT = """({ design: { pieces: [], references: [] }, preview: null, piece: { id: "p1", name: "Box", called: {} },
      pickKind: given?.kind ?? "face", picked: [0], target: { piece: "p1", picked: { kind: given?.kind ?? "face", ids: [0] } },
      placing: { pivot: null, frame: null, reach: null },
      view: { frame: [[1, 0, 0], [0, 1, 0], [0, 0, 1]], eye: null, pixel: 1 },
      sketch: { spots: [], closed: false, towards: [0, 0, 1], on: null, marking: null }, values: {}, far: null, editing: null,
      solids: [], body: undefined, rail: null, reference: null, section: null, curveSection: null, arrays: () => undefined })"""

    def test_each_names_cards_and_tools_that_are_there(self) -> None:
        cards = set(self.call("Parts.cardNames()"))
        tools = self.call("Parts.registry.all.map(({ id, card, below, then, springsTo }) => ({ id, card, below, then, springsTo }))")
        ids = {tool["id"] for tool in tools}
        for tool in tools:
            for name in ("card", "below"):
                self.assertIn(tool.get(name) or next(iter(cards)), cards, tool)
            for name in ("then", "springsTo"):
                self.assertIn(tool.get(name) or tool["id"], ids, tool)
        self.assertLessEqual({one["tool"] for one in self.call("Parts.beginnings")}, ids)

    def test_values_begin_as_choices_that_there_are(self) -> None:
        wrong = self.call("""Parts.registry.all.flatMap((tool) => Object.entries(tool.fields ?? {}).flatMap(([name, field]) =>
          field.is === "choice" && !(field.initial in field.words) ? [`${tool.id}.${name}`] : /\\s/.test(name) ? [name] : []))""")
        self.assertEqual(wrong, [])

    def test_what_begins_is_within_its_bounds(self) -> None:
        wrong = self.call("""Parts.registry.all.flatMap((tool) => Object.entries(tool.fields ?? {}).flatMap(([name, field]) => {
          const said = field.is === "number" ? Parts.fields.whatIsWrong(field, field.initial, "mm") : null;
          return said ? [`${tool.id}.${name}: ${said}`] : []; }))""")
        self.assertEqual(wrong, [])

    def test_shown_fields_are_fields(self) -> None:
        wrong = self.call("""Parts.registry.all.flatMap((tool) =>
          Object.keys(tool.shown ?? {}).filter((name) => !(name in tool.fields)).map((name) => `${tool.id}.${name}`))""")
        self.assertEqual(wrong, [])

    def command(self, tool: str, values: str = "{}", kind: str = "face") -> object:
        return self.call(f"""(() => {{ const tool = Parts.registry.get("{tool}");
          return tool.command({{ ...Parts.fields.initialValues(tool.fields), ...{values} }}, {self.CONTEXT}); }})()""", {"kind": kind})

    def test_commands_of_values(self) -> None:
        at = {"piece": "p1", "picked": {"kind": "face", "ids": [0]}}
        self.assertIsNone(self.command("move"))
        self.assertEqual(self.command("move", "{ x: 3 }"), {"kind": "move", **at, "vector": [3, 0, 0]})
        self.assertEqual(self.command("move", "{ each: 2 }"), {"kind": "move-each", **at, "distance": 2})
        self.assertEqual(
            self.command("extrude"),
            {"kind": "extrude", **at, "distance": 10, "way": "even", "segments": 1, "taper": 1, "degrees": 0},
        )
        self.assertEqual(self.command("inset", '{ apart: "yes" }'), {"kind": "inset", **at, "width": 2, "depth": 0, "apart": True})
        self.assertEqual(self.command("turn", "{ y: 30 }"), {"kind": "turn", **at, "axis": [0, 1, 0], "degrees": 30})

    def test_each_tool_that_makes_a_command_makes_one_the_service_reads(self) -> None:
        """At its initial values, or slightly beside them where those would change nothing."""
        made = 0
        for tool in self.call("Parts.registry.all.filter((t) => t.command).map((t) => t.id)"):
            for kind in ("face", "edge", "vertex", "piece"):
                command = self.command(tool, "{ distance: 1 }" if tool in ("push", "slide") else "{}", kind)
                if command is None:
                    continue
                made += 1
                try:
                    read_command(command)
                except ValidationError as error:
                    self.fail(f"{tool} on {kind}: {error}")
        self.assertGreater(made, 100)

    def test_directions_are_read_back(self) -> None:
        for given_ in ([0, 0, -2], [1, 0, 0], [1, 2, -2]):
            values = self.call('Parts.directions.towardsValues("side", given)', given_)
            back = self.call('Parts.directions.directionOf(given, "side")', {"side_x": 0, "side_y": 0, "side_z": 1, **values})
            np.testing.assert_allclose(back, np.array(given_) / np.linalg.norm(given_), atol=1e-6)
        self.assertIsNone(
            self.call('Parts.directions.directionOf(given, "side")', {"side": "typed", "side_x": 0, "side_y": 0, "side_z": 0})
        )


class Waiting(PartsCase):
    def test_what_the_hand_does_meanwhile_waits_its_turn(self) -> None:
        order = self.call("""(() => { const done = []; const turns = new Parts.Turns(() => true);
          turns.await(7); turns.take(() => done.push("a")); turns.take(() => { done.push("b"); turns.await(8); });
          turns.take(() => done.push("c")); turns.answered(6); done.push("7"); turns.answered(7); done.push("8"); turns.answered(8);
          return done; })()""")
        self.assertEqual(order, ["7", "a", "b", "8", "c"])

    def test_rows_that_moved_are_laid_where_they_belong(self) -> None:
        moved = self.call("""(() => { const pieces = new Parts.Pieces(); const heard = []; pieces.listen((c) => heard.push(c[0].what));
          const three = (n) => new Float32Array(3 * n);
          pieces.take({ gone: [], pieces: [{ id: "p", cage: { positions: new Float64Array(6) }, surface: { positions: three(3), normals: three(3) } }] });
          pieces.take({ gone: [], pieces: [{ id: "p", cage_rows: { rows: new Int32Array([1]), positions: new Float64Array([1, 2, 3]) },
            surface_rows: { rows: new Int32Array([2]), positions: new Float32Array([4, 5, 6]), normals: new Float32Array([0, 0, 1]) } }] });
          const { cage, surface } = pieces.byId.get("p");
          return [[...cage.positions], [...surface.positions], heard]; })()""")
        self.assertEqual(moved, [[0, 0, 0, 1, 2, 3], [0, 0, 0, 0, 0, 0, 4, 5, 6], ["whole", "moved"]])


class Layers(PartsCase):
    """The graph of imports, drawn from the sources by other means than the linter's."""

    ORDER = ("model", "theme", "live", "tools", "panels", "viewport", "app")
    MAY = {
        "model": set(), "theme": {"model"}, "live": {"model", "theme"}, "tools": {"model"},
        "panels": {"model", "theme", "live", "tools"}, "viewport": {"model", "theme", "live", "tools"},
        "app": {"model", "theme", "live", "tools", "panels", "viewport"},
    }  # fmt: skip

    def graph(self) -> dict[Path, set[Path]]:
        root = WEB / "src"
        files = [p for p in root.rglob("*") if p.suffix in (".ts", ".tsx") and not p.name.endswith(".d.ts")]
        graph: dict[Path, set[Path]] = {}
        for path in files:
            text = path.read_text("utf-8")
            named = re.findall(r"(?:^|\n)(?:import|export)\b[^;]*?from \"(\.[^\"]+)\"|import\(\"(\.[^\"]+)\"\)", text)
            found = set()
            for spec in (a or b for a, b in named):
                base = (path.parent / spec).resolve()
                found |= {p for p in (base.with_name(base.name + end) for end in (".ts", ".tsx")) if p.exists()}
            for pattern in re.findall(r"import\.meta\.glob[^(]*\(\"([^\"]+)\"", text):
                ups = pattern.count("../")
                found |= set([path.parent, *path.parent.parents][ups].glob(pattern[3 * ups :].removeprefix("./")))
            graph[path] = found - {path}
        return graph

    def test_no_arrow_upward(self) -> None:
        root = WEB / "src"
        layer = {path: path.relative_to(root).parts[0] for path in self.graph()}
        wrong = [
            f"{path.relative_to(root)} -> {other.relative_to(root)}"
            for path, others in self.graph().items() if layer[path] in self.MAY
            for other in others if layer[other] != layer[path] and layer[other] not in self.MAY[layer[path]]
        ]  # fmt: skip
        self.assertEqual(wrong, [])
        self.assertGreater(sum(len(others) for others in self.graph().values()), 400)

    def test_no_circle(self) -> None:
        graph = self.graph()
        left = dict(graph)
        while True:
            leaves = [path for path, others in left.items() if not others & left.keys()]
            if not leaves:
                break
            for path in leaves:
                del left[path]
        self.assertEqual(sorted(path.name for path in left), [])

    def test_no_file_asks_for_a_tool_by_its_id(self) -> None:
        """But the tools themselves, and what a new design begins with."""
        ids = self.call("Parts.registry.all.map((t) => t.id)")
        pattern = re.compile(r"(?:toolId|tool\.id|tool\?\.id|takeTool\()\s*(?:===|!==)?\s*\"(" + "|".join(ids) + r")\"")
        wrong = [path.name for path in self.graph() if "tools" not in path.parts and pattern.search(path.read_text("utf-8"))]
        self.assertEqual(wrong, [])


class Compiling(unittest.TestCase):
    WRONG = {
        "v.width > 0": "v.widht > 0",
        'v.apart === "yes"': 'v.apart === "each"',
        'field: "depth"': 'field: "deep"',
        'parameter("inset", "depth"': 'parameter("inset", "dept"',
    }  # fmt: skip

    def test_a_misspelt_field_or_a_wrong_choice_does_not_compile(self) -> None:
        right = (WEB / "src" / "tools" / "shape" / "inset.ts").read_text("utf-8")
        right = right.replace('"../', '"../../src/tools/').replace("src/tools/../", "src/")
        (WEB / "build").mkdir(exist_ok=True)
        with tempfile.TemporaryDirectory(dir=WEB / "build") as folder:
            here = Path(folder)
            (here / "right.ts").write_text(right, "utf-8")
            for i, (sound, wrong) in enumerate(self.WRONG.items()):
                self.assertIn(sound, right)
                (here / f"wrong{i}.ts").write_text(right.replace(sound, wrong), "utf-8")
            (here / "tsconfig.json").write_text('{ "extends": "../../tsconfig.json", "include": ["*.ts"] }', "utf-8")
            command = ["npx", "tsc", "--noEmit", "--pretty", "false", "-p", folder]
            told = subprocess.run(command, cwd=WEB, capture_output=True, text=True, check=False).stdout
        self.assertEqual(sorted(set(re.findall(r"(\w+)\.ts\(", told))), [f"wrong{i}" for i in range(len(self.WRONG))], told)


class Scales(PartsCase):
    """The scale of maps: even, with a leap at the limit, told from paper and from clay."""

    def lightness(self, values: list[float], **scale: object) -> np.ndarray:
        """CIE L* (ISO/CIE 11664-4) of the tones, from their linear light by Rec. 709's luminance."""
        script = "given.values.map((value) => Parts.scale.toneOf(value, given.scale))"
        tones = np.array(self.call(script, {"values": values, "scale": scale}))
        luminance = tones @ [0.2126, 0.7152, 0.0722]
        return np.where(luminance > 0.008856, 116 * np.cbrt(luminance) - 16, 903.3 * luminance)

    def test_worse_is_darker_all_along_and_leaps_at_the_limit(self) -> None:
        for below in (True, False):
            values = np.linspace(0, 10, 101)
            light = self.lightness(values.tolist(), low=0, high=10, limit=4, below=below)
            if not below:
                values, light = values[::-1], light[::-1]
            self.assertGreater(np.diff(light).min(), 0)
            leap = int(np.argmax(np.diff(light)))
            self.assertAlmostEqual(float(values[leap]), 4, delta=0.11)
            self.assertGreater(float(np.diff(light)[leap]), 8)
            # On either side it goes up evenly.
            for part in (light[: leap + 1], light[leap + 1 :]):
                steps = np.diff(part)
                self.assertLess(steps.max(), 2.2 * steps.min())

    def test_what_is_at_fault_stands_out_from_paper(self) -> None:
        # Contrast by WCAG 2.2, 1.4.11: 3 to 1 at least for what carries meaning; paper has a luminance of 0.88.
        light = self.lightness([0.0, 3.9], low=0, high=10, limit=4, below=True)
        luminance = ((light + 16) / 116) ** 3
        self.assertGreater(float(((0.88 + 0.05) / (luminance + 0.05)).min()), 3)

    def test_a_form_without_any_spread_has_a_colour(self) -> None:
        self.assertTrue(np.isfinite(self.lightness([2.0], low=2, high=2, limit=2, below=True)).all())


class IsoLines(PartsCase):
    def test_levels_are_round_in_the_unit(self) -> None:
        told = self.call("Parts.isoLines.isoLevels(0.13, 2.4, 1)", {})
        self.assertEqual(told["step"], 0.5)
        np.testing.assert_allclose(told["values"], [0.5, 1, 1.5, 2])
        inches = self.call("Parts.isoLines.isoLevels(-10, 40, 25.4)", {})
        np.testing.assert_allclose(inches["step"] / 25.4, 0.2)
        np.testing.assert_allclose(np.array(inches["values"]) / inches["step"], np.rint(np.array(inches["values"]) / inches["step"]), atol=1e-9)
        self.assertEqual(self.call("Parts.isoLines.isoLevels(2, 2, 1)", {}), {"step": 0, "values": []})

    def test_lines_lie_where_the_value_is_and_join_up(self) -> None:
        """On a grid of triangles whose values are heights over a slope the lines are straight; round a cone they close."""
        n = 24
        x, y = (part.ravel() for part in np.meshgrid(np.linspace(-1, 1, n), np.linspace(-1, 1, n), indexing="ij"))
        points = np.column_stack([x, y, 0 * x])
        i = (np.arange(n - 1)[:, None] * n + np.arange(n - 1)).ravel()
        triangles = np.concatenate([np.column_stack([i, i + n, i + 1]), np.column_stack([i + 1, i + n, i + n + 1])])
        for values, of in ((x, lambda p: p[:, 0]), (np.hypot(x, y), lambda p: np.hypot(p[:, 0], p[:, 1]))):
            given = {"values": values.tolist(), "triangles": triangles.ravel().tolist(), "points": points.ravel().tolist()}
            told = self.call("Parts.isoLines.isoSegments(given.values, given.triangles, given.points, [0.25, 0.5])", given)
            ends = np.array(told).reshape(-1, 2, 3)
            off = np.abs(of(ends.reshape(-1, 3))[:, None] - [0.25, 0.5]).min(axis=1)
            self.assertLess(off.max(), 0.02)
            _, count = np.unique(np.round(ends.reshape(-1, 3), 9), axis=0, return_counts=True)
            # Each end is another line's, but for those on the border of the grid.
            self.assertLessEqual((count == 1).sum(), 4)
        # Where nothing can be told there are no lines.
        given["values"] = [None] * len(x)
        self.assertEqual(self.call("Parts.isoLines.isoSegments(given.values.map(() => NaN), given.triangles, given.points, [0.25])", given), [])


class Mending(PartsCase):
    def test_the_faces_at_places_of_the_surface(self) -> None:
        cage = box((40.0, 30.0, 20.0), (3, 2, 2))
        stencils = build_stencils(cage, 2)
        points = evaluate(stencils, cage).positions
        quads, of = stencils.row_quads, stencils.face_of_quad
        # A row within a face belongs to that face's quads alone.
        within = [int(np.intersect1d(np.unique(quads[of == face]), np.setdiff1d(quads, quads[of != face]))[0])
                  for face in range(cage.topology.face_count)]  # fmt: skip
        given = {
            "surface": {"positions": points.ravel().tolist(), "quads": quads.ravel().tolist(), "face_of_quad": of.tolist()},
            "points": (points[[within[7], within[3], within[7]]] + 0.01).tolist(),
        }
        self.assertEqual(self.call("Parts.facesAt(given.points, given.surface)", given), [3, 7])
        self.assertEqual(self.call("Parts.facesAt([], given.surface)", given), [])

    def test_what_mends_a_proof_is_a_tool(self) -> None:
        ways = "typeof t.mends === 'function' ? [t.mends({}), t.mends({edges: [1]})] : [t.mends]"
        each = f"Parts.registry.all.filter((t) => t.mends).flatMap((t) => {ways})"
        named = self.call(f"{each}.map(({{ tool }}) => [tool, Parts.registry.get(tool) !== null])")
        self.assertGreater(len(named), 14)
        self.assertEqual([name for name, known in named if not known], [])


class Finishes(PartsCase):
    def test_what_is_looked_through_is_so_in_true_pictures_too(self) -> None:
        for name, finish in FINISHES.items():
            shown = self.call("Parts.clearness(given)", name)
            wanted = {"index": finish.index, "tint": list(finish.colour or ())} if finish.kind == "clear" else None
            self.assertEqual(shown, wanted, name)


class Surroundings(PartsCase):
    def met(self, where: str, ways: np.ndarray) -> np.ndarray:
        call = "given.ways.map(([x, y, z]) => Parts.surroundings.lightMet(given.where, x, y, z))"
        return np.array(self.call(call, {"where": where, "ways": ways.tolist()}))

    def test_white_lies_as_bright_in_each_but_dusk(self) -> None:
        """By Lambert's cosine law, summed here over directions spread evenly by the golden angle."""
        k = np.arange(4000) + 0.5
        up = np.sqrt(1 - k / 4000)  # Of a half sphere the more the steeper: weighted by the cosine.
        round_ = np.pi * (1 + 5**0.5) * k
        ways = np.column_stack([np.sqrt(1 - up**2) * np.sin(round_), up, np.sqrt(1 - up**2) * np.cos(round_)])
        white = {where: float(self.met(where, ways).mean()) for where in ("tent", "window", "dusk")}
        self.assertAlmostEqual(white["window"] / white["tent"], 1, delta=0.05)
        self.assertAlmostEqual(white["dusk"] / white["tent"], 0.7, delta=0.05)

    def test_dusk_is_warm_where_the_sun_has_gone_and_blue_above_and_the_window_is_to_the_left(self) -> None:
        left = np.array([[-np.sin(np.radians(60)), 0.02, np.cos(np.radians(60))], [0.0, 1.0, 0.0]])
        (horizon, above) = self.met("dusk", left)
        self.assertGreater(horizon[0], 2 * horizon[2])
        self.assertGreater(above[2], 2 * above[0])
        up, turn = np.radians(25), np.radians(52)
        panes = np.array([[s * np.sin(turn) * np.cos(up), np.sin(up), np.cos(turn) * np.cos(up)] for s in (-1, 1)])
        pane, across = self.met("window", panes)
        self.assertGreater(pane.min(), 10 * across.max())


class FitsIn(PartsCase):
    def test_the_bed_is_that_of_the_print_bench_and_another_size_is_typed(self) -> None:
        box = {"into": "bed", "x": 1, "y": 2, "z": 3, "turned": "yes"}
        typed = "Parts.registry.get('prove-fits').typed(given[0], given[1])"
        told = self.call(typed, [box, "into"])
        self.assertEqual((told["x"], told["y"], told["z"]), Machine().bed)
        self.assertEqual(self.call(typed, [told, "z"])["into"], "own")
        self.assertEqual(self.call(typed, [told, "turned"])["into"], "bed")
