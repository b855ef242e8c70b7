from __future__ import annotations

import os
import signal
import sqlite3
import subprocess
import sys
import tempfile
import unittest
from datetime import datetime, timedelta
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage
from zinc_otter.store import Store
from zinc_otter.store.documents import blob_hashes, from_document, to_document
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.shelf import StaleRevisionError, StoreFullError, UnknownDesignError


def design_of(cage: Cage) -> Design:
    return Design((Piece("p1", "Form", cage), Piece("p2", "Hidden", cages.tray(), visible=False)), 3)


class Documents(unittest.TestCase):
    def test_there_and_back_to_the_last_bit(self) -> None:
        cage = Cage(cages.prism(5).positions, cages.prism(5).topology, face_sets={"ends": [5, 6]})
        document, blobs = to_document(design_of(cage))
        back = from_document(document, blobs)
        self.assertEqual(back.pieces[0].cage, cage)
        self.assertEqual([(p.id, p.name, p.visible) for p in back.pieces], [("p1", "Form", True), ("p2", "Hidden", False)])
        self.assertEqual(back.next_number, 3)
        self.assertEqual(blob_hashes(document), set(blobs))

    def test_equal_arrays_are_kept_once(self) -> None:
        cage = cages.knob()
        twice = Design((Piece("p1", "One", cage), Piece("p2", "Other", cage)), 3)
        _, blobs = to_document(twice)
        self.assertEqual(len(blobs), len(to_document(Design((Piece("p1", "One", cage),), 2))[1]))


class Keeping(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "data" / "z.sqlite"
        self.time = datetime(2026, 5, 1)
        self.store = Store(self.path, now=self.now)
        self.addCleanup(lambda: self.store.close())

    def now(self) -> datetime:
        self.time += timedelta(seconds=1)
        return self.time

    def step(self, design_id: str, revision: int, cage: Cage, title: str = "A step"):  # type: ignore[no-untyped-def]
        return self.store.add_step(design_id, revision, title, {"kind": "x"}, design_of(cage), None)

    def test_all_is_there_after_opening_again(self) -> None:
        made = self.store.create("Grip", "in")
        saved = self.step(made.facts.id, 1, cages.knob())
        self.store.close()
        self.store = Store(self.path)
        again = self.store.load(made.facts.id)
        self.assertEqual(again.facts, saved.facts)
        self.assertEqual(again.steps, saved.steps)
        self.assertEqual(again.design.pieces[0].cage, cages.knob())

    def test_it_is_sqlite_in_wal_mode_with_migrations_noted(self) -> None:
        with sqlite3.connect(self.path) as connection:
            self.assertEqual(connection.execute("PRAGMA journal_mode").fetchone(), ("wal",))
            self.assertEqual(connection.execute("SELECT version_num FROM alembic_version").fetchall(), [("0005",)])

    def test_tables_are_those_of_the_models(self) -> None:
        from alembic.autogenerate import compare_metadata
        from alembic.migration import MigrationContext

        from zinc_otter.store.models import Base

        with self.store._engine.connect() as connection:
            self.assertEqual(compare_metadata(MigrationContext.configure(connection), Base.metadata), [])

    def test_the_list_has_the_last_changed_first(self) -> None:
        one = self.store.create("One", "mm")
        self.store.create("Two", "mm")
        self.assertEqual([d.name for d in self.store.designs()], ["Two", "One"])
        self.step(one.facts.id, 1, cages.knob())
        self.assertEqual([(d.name, d.step_count) for d in self.store.designs()], [("One", 1), ("Two", 0)])

    def test_stale_revisions_leave_no_trace(self) -> None:
        made = self.store.create("Grip", "mm")
        self.step(made.facts.id, 1, cages.knob())
        with self.assertRaises(StaleRevisionError):
            self.step(made.facts.id, 1, cages.tray())
        self.assertEqual(self.store.step_count(), 2)
        self.assertEqual(self.store.load(made.facts.id).facts.revision, 2)

    def test_copy_rename_delete(self) -> None:
        made = self.store.create("Grip", "cm")
        self.step(made.facts.id, 1, cages.knob())
        copy = self.store.copy(made.facts.id, "Grip copy")
        self.assertEqual((copy.facts.unit, copy.facts.name), ("cm", "Grip copy"))
        self.assertEqual(copy.design.pieces[0].cage, cages.knob())
        self.assertEqual(self.store.rename(copy.facts.id, "Haft").facts.name, "Haft")
        self.store.delete(made.facts.id)
        # The copy still has its arrays, though the design they came from is gone.
        self.assertEqual(self.store.load(copy.facts.id).design.pieces[0].cage, cages.knob())
        self.store.delete(copy.facts.id)
        with sqlite3.connect(self.path) as connection:
            for table in ("designs", "steps", "blobs"):
                self.assertEqual(connection.execute(f"SELECT count(*) FROM {table}").fetchone(), (0,))
        store = self.store
        for act in (lambda: store.load("none"), lambda: store.delete("none"), lambda: store.copy("none", "x")):
            with self.assertRaises(UnknownDesignError):
                act()

    def test_a_full_disk_gets_a_sentence_and_changes_nothing(self) -> None:
        made = self.store.create("Grip", "mm")
        self.step(made.facts.id, 1, cages.knob())
        # SQLite's own limit stands in for the disk's: no page more than there are.
        with self.store._engine.connect() as connection:
            raw = connection.connection.driver_connection
            pages = raw.execute("PRAGMA page_count").fetchone()[0]
            raw.execute(f"PRAGMA max_page_count = {pages}")
        large = cages.jittered(cages.box((9, 9, 9), (20, 20, 20)))
        with self.assertRaisesRegex(StoreFullError, "Nothing was changed"):
            self.step(made.facts.id, 2, large)
        saved = self.store.load(made.facts.id)
        self.assertEqual((saved.facts.revision, len(saved.steps)), (2, 2))
        self.assertEqual(saved.design.pieces[0].cage, cages.knob())

    def test_killed_in_the_middle_of_writing_every_kept_step_is_whole(self) -> None:
        made = self.store.create("Grip", "mm")
        script = (
            "import sys, pathlib, numpy as np\n"
            "from zinc_otter.store import Store\n"
            "from zinc_otter.core.primitives import box\n"
            "from zinc_otter.studio.design import Design, Piece\n"
            "store = Store(pathlib.Path(sys.argv[1]))\n"
            "for i in range(1, 10000):\n"
            "    cage = box((i, 1, 1), (10, 10, 10))\n"
            "    store.add_step(sys.argv[2], i, 's', {}, Design((Piece('p1', 'n', cage),), 2), None)\n"
            "    print(i, flush=True)\n"
        )
        writer = subprocess.Popen(
            [sys.executable, "-c", script, str(self.path), made.facts.id], stdout=subprocess.PIPE, text=True
        )
        assert writer.stdout is not None
        for line in writer.stdout:
            if int(line) >= 12:
                break
        os.kill(writer.pid, signal.SIGKILL)
        rest = writer.stdout.read().split()
        writer.wait()
        writer.stdout.close()
        told = max([12, *map(int, rest)])
        saved = self.store.load(made.facts.id)
        self.assertIn(len(saved.steps) - 1, (told, told + 1))
        extent = np.ptp(saved.design.pieces[0].cage.positions[:, 0])
        self.assertAlmostEqual(extent, len(saved.steps) - 1)
