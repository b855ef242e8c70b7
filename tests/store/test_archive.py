"""A design as one file, and back: equal to the last bit, and nothing believed that was not checked."""

from __future__ import annotations

import io
import json
import tempfile
import unittest
import zipfile
from pathlib import Path

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.solid.followers import Combine, Fillet, Hollow, PieceBody
from zinc_otter.demo import put_in_demo
from zinc_otter.store import Store
from zinc_otter.store.archive import read_archive, write_archive
from zinc_otter.store.documents import to_document
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.studio import Studio


class Archives(unittest.TestCase):
    @classmethod
    def setUpClass(cls) -> None:
        cls.holder = tempfile.TemporaryDirectory()
        cls.store = Store(Path(cls.holder.name) / "z.sqlite")
        cls.studio = Studio(cls.store)
        put_in_demo(cls.store, cls.studio)
        lantern = next(f for f in cls.store.designs() if f.name == "Tide lantern")
        pieces = cls.studio.saved(lantern.id).design.pieces
        for follower in (
            Combine(body=PieceBody(pieces[-1].id)),
            Fillet(between=("piece", "f1"), radius=0.5, end_radius=0.7),
            Hollow(wall=1.2),
        ):
            revision = cls.studio.saved(lantern.id).facts.revision
            command = read_command({"kind": "add-follower", "piece": pieces[0].id, "follower": follower})
            cls.studio.commit(lantern.id, revision, command)

    @classmethod
    def tearDownClass(cls) -> None:
        cls.store.close()
        cls.holder.cleanup()

    def written(self, name: str) -> bytes:
        saved = self.studio.saved(next(f.id for f in self.store.designs() if f.name == name))
        return write_archive(saved.facts.name, saved.facts.unit, saved.design, self.store.asset)

    def test_every_demo_design_comes_back_equal(self) -> None:
        for facts in self.store.designs():
            data = self.written(facts.name)
            held = read_archive(data)
            self.assertEqual((held.name, held.unit), (facts.name, facts.unit))
            self.assertEqual(to_document(held.design), to_document(self.studio.saved(facts.id).design))
            self.assertEqual(self.written(facts.name), data)

    def test_into_an_empty_store_with_its_references(self) -> None:
        held = read_archive(self.written("Tide lantern"))
        self.assertTrue(held.assets)
        with tempfile.TemporaryDirectory() as folder:
            other = Store(Path(folder) / "z.sqlite")
            for asset in held.assets:
                other.put_asset(asset.kind, asset.data, asset.facts)
            made = other.create(held.name, held.unit, held.design)
            again = write_archive(made.facts.name, made.facts.unit, other.load(made.facts.id).design, other.asset)
            self.assertEqual(again, self.written("Tide lantern"))
            other.close()

    def changed(self, path: str, data: bytes | None) -> bytes:
        """The toggle's archive with an entry changed, or left out; "*" stands for the first array."""
        out = io.BytesIO()
        with zipfile.ZipFile(io.BytesIO(self.written("Dry-bag toggle"))) as box, zipfile.ZipFile(out, "w") as to:
            names = box.namelist()
            target = next(n for n in names if n.startswith("arrays/")) if path == "*" else path
            for name in names:
                if name != target:
                    to.writestr(name, box.read(name))
                elif data is not None:
                    to.writestr(name, data)
        return out.getvalue()

    def test_what_is_broken_is_refused_in_a_sentence(self) -> None:
        head = json.loads(zipfile.ZipFile(io.BytesIO(self.written("Dry-bag toggle"))).read("design.json"))
        newer = {**head, "document": {**head["document"], "format": 99}}
        for data, words in (
            (b"no zip", "no archive"),
            (self.written("Dry-bag toggle")[:500], "no archive"),
            (self.changed("design.json", b"{}"), "no archive of a design"),
            (self.changed("design.json", None), "broken"),
            (self.changed("design.json", json.dumps(newer).encode()), "newer version"),
            (self.changed("*", b"\x93NUMPY"), "not what its name says"),
            (self.changed("*", None), "broken"),
        ):
            with self.assertRaises(FileFormatError) as refusal:
                read_archive(data)
            self.assertIn(words, str(refusal.exception))

    def test_what_would_unpack_to_gigabytes_is_not_unpacked(self) -> None:
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as box, box.open("design.json", "w", force_zip64=True) as entry:
            for _ in range(450):
                entry.write(b" " * 1024 * 1024)
        self.assertLess(len(out.getvalue()), 1024 * 1024)
        with self.assertRaisesRegex(FileFormatError, "400 MB"):
            read_archive(out.getvalue())
