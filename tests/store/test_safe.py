"""What is kept stays, what is others' is left alone, and what cannot be used is told in one line."""

from __future__ import annotations

import os
import random
import shutil
import sqlite3
import subprocess
import sys
import tempfile
import threading
import time
import unittest
from contextlib import closing, suppress
from datetime import date, datetime, timedelta
from pathlib import Path

from tests import sample_cages as cages
from zinc_otter.core.primitives import box
from zinc_otter.store import Store
from zinc_otter.store.archive import read_archive
from zinc_otter.store.backups import DAYS_KEPT, keep_day
from zinc_otter.store.checkup import looked_through
from zinc_otter.store.database import PATIENCE, DatabaseError
from zinc_otter.store.failures import ReadingOnlyError, StoreBusyError, StoreDamagedError
from zinc_otter.store.folder import DATABASE, DataFolder, FolderError, FolderInUseError
from zinc_otter.store.made_files import MadeFiles
from zinc_otter.store.rescue import rescue
from zinc_otter.store.work_folder import WorkFolder
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.shelf import UnknownAssetError


def with_box(size: float) -> Design:
    return Design((Piece("p1", "Float", box((size, 1, 1), (2, 2, 2))),), 2)


class InFolder(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name) / "designs"

    def store(self) -> Store:
        self.folder.mkdir(exist_ok=True)
        store = Store(self.folder / DATABASE)
        self.addCleanup(store.close)
        return store


class Folders(InFolder):
    def take(self, **named: bool) -> DataFolder:
        taken = DataFolder.take(self.folder, **named)
        self.addCleanup(taken.release)
        return taken

    def test_a_folder_with_others_things_is_not_taken_without_a_word(self) -> None:
        self.folder.mkdir()
        (self.folder / "otter.jpg").write_bytes(b"a photo")
        with self.assertRaisesRegex(FolderError, r"holds other things already \(otter.jpg\)"):
            self.take()
        self.assertEqual([path.name for path in self.folder.iterdir()], ["otter.jpg"])
        self.take(among_others=True)
        self.assertEqual((self.folder / "otter.jpg").read_bytes(), b"a photo")

    def test_a_second_writer_is_told_who_holds_it(self) -> None:
        taken = DataFolder.take(self.folder, port=8420)
        with self.assertRaisesRegex(FolderInUseError, rf"in use by process {os.getpid()} on port 8420, since \d{{4}}"):
            DataFolder.take(self.folder)
        taken.release()
        self.take()

    def test_others_of_the_machine_do_not_look_in(self) -> None:
        taken = self.take()
        self.assertEqual(self.folder.stat().st_mode & 0o777, 0o700)
        key = taken.key
        self.assertGreaterEqual(len(key), 40)
        self.assertEqual((self.folder / "key").stat().st_mode & 0o777, 0o600)
        self.assertEqual(taken.key, key)

    def test_every_letter_of_a_path_is_only_a_letter(self) -> None:
        for name in ("we?ird#1", "a%20b", "file:x", "ä ö&mode=ro", "x;y"):
            folder = self.folder.parent / name
            folder.mkdir()
            store = Store(folder / DATABASE)
            made = store.create("Float", "mm", with_box(3))
            store.close()
            self.assertIn(DATABASE, os.listdir(folder))
            again = Store(folder / DATABASE)
            self.assertEqual(again.load(made.facts.id).facts.name, "Float")
            again.close()
        self.assertEqual(len(os.listdir(self.folder.parent)), 5)

    def test_a_work_folder_left_behind_is_cleared_and_nothing_else(self) -> None:
        self.folder.mkdir()
        left = WorkFolder.fresh(self.folder)
        (left.path / "0123456789ab.json").write_text("{}")
        (left.path / "holiday.jpg").write_bytes(b"a photo")
        other = self.folder / "work-ffffffffffff"
        other.mkdir()
        (other / "0123456789ab.json").write_text("{}")
        WorkFolder.fresh(self.folder)
        self.assertEqual([file.name for file in left.path.iterdir()], ["holiday.jpg"])
        self.assertTrue((other / "0123456789ab.json").exists())


class Made(InFolder):
    def setUp(self) -> None:
        super().setUp()
        self.time = 1_000_000.0
        self.kept = self.store()
        self.made = MadeFiles(self.folder / "made", self.kept, lambda: self.time)

    def make(self, design: str, name: str, size: int = 100) -> Path:
        self.time += 1
        path = self.made.place(design, name)
        path.write_bytes(bytes(size))
        return path

    def test_only_what_is_recorded_is_swept(self) -> None:
        photos = self.folder / "made" / "files"
        photos.mkdir(parents=True)
        for i in range(40):
            (photos / f"{i:032x}.stl").write_bytes(b"a photo")
        for i in range(40):
            self.make("d", f"files/{i + 100:032x}.stl")
        self.made.sweep_folder("files", 30)
        self.made.sweep(most_bytes=0)
        self.assertEqual(len(list(photos.iterdir())), 40)
        self.assertEqual({path.read_bytes() for path in photos.iterdir()}, {b"a photo"})

    def test_links_are_left_and_what_they_lead_to(self) -> None:
        away = self.folder / "away"
        away.mkdir()
        (away / "x.stl").write_bytes(b"a photo")
        self.make("d", "files/x.stl").unlink()
        (self.folder / "made" / "files" / "x.stl").symlink_to(away / "x.stl")
        self.make("d", "found/y.json")
        shutil.rmtree(self.folder / "made" / "found")
        (away / "y.json").write_bytes(b"a photo")
        (self.folder / "made" / "found").symlink_to(away)
        self.made.sweep(most_bytes=0)
        self.assertEqual((away / "x.stl").read_bytes(), b"a photo")
        self.assertEqual((away / "y.json").read_bytes(), b"a photo")

    def test_by_age_by_size_and_with_their_design(self) -> None:
        old = self.make("d", "solids/aa/solid-2.step")
        self.time += 31 * 24 * 3600
        first, second = self.make("d", "files/1.stl"), self.make("e", "files/2.stl")
        self.assertEqual(self.made.sweep(), 1)
        self.assertFalse(old.parent.exists())
        shared = self.make("d", "pictures/1.png")
        self.make("e", "pictures/1.png")
        self.assertEqual(self.made.space(), 300)
        self.made.forget("d")
        self.assertEqual((first.exists(), second.exists(), shared.exists()), (False, True, True))
        self.made.forget("e")
        self.assertEqual(self.made.space(), 0)
        self.assertFalse(shared.exists())

    def test_what_a_worker_left_half_written_goes_with_it(self) -> None:
        path = self.make("d", "files/1.stl")
        half = path.with_name("1.stl.12345")
        half.write_bytes(b"half")
        self.made.forget("d")
        self.assertFalse(half.exists())


class Steps(InFolder):
    def grown(self, count: int) -> tuple[Store, str]:
        store = self.store()
        saved = store.create("Float", "mm", with_box(1))
        design = with_box(2)
        for _ in range(count):
            saved = store.add_step(saved.facts.id, saved.facts.revision, "A step", {"kind": "x"}, design, None)
        return store, saved.facts.id

    def test_twelve_hundred_steps_are_seen_through_a_window_and_deleted(self) -> None:
        store, design_id = self.grown(1_200)
        saved = store.load(design_id)
        self.assertEqual((saved.earlier, len(saved.steps), saved.later), (1_050, 151, 0))
        back = store.go_to(design_id, saved.facts.revision, saved.steps[0].id)
        self.assertEqual((back.earlier, back.head_index, len(back.steps), back.later), (900, 150, 201, 100))
        early = store.steps(design_id, 200, 200)
        self.assertEqual([step.number for step in early], list(range(200)))
        store.delete(design_id)
        self.assertEqual((store.designs(), store.step_count()), ([], 0))

    def test_thinning_keeps_the_form_and_the_last_steps(self) -> None:
        store, design_id = self.grown(60)
        saved = store.load(design_id)
        back = store.go_to(design_id, saved.facts.revision, saved.steps[50].id)
        thin = store.thin(design_id, back.facts.revision, 10)
        self.assertEqual([step.number for step in thin.steps], list(range(41, 61)))
        self.assertEqual((thin.earlier, thin.steps[thin.head_index].number), (0, 50))
        self.assertEqual(thin.design.pieces[0].cage, back.design.pieces[0].cage)
        self.assertEqual(store.step_count(), 20)
        # What only the forgotten ones held is gone, and the rest still opens.
        again = store.go_to(design_id, thin.facts.revision, thin.steps[0].id)
        self.assertEqual(again.design.pieces[0].cage, with_box(2).pieces[0].cage)
        store.delete(design_id)
        with closing(sqlite3.connect(store.path)) as connection:
            for table in ("blobs", "blob_uses", "steps", "designs"):
                self.assertEqual(connection.execute(f"SELECT count(*) FROM {table}").fetchone(), (0,), table)

    def test_what_another_design_uses_stays(self) -> None:
        store, design_id = self.grown(2)
        copy = store.copy(design_id, "Copy")
        store.delete(design_id)
        self.assertEqual(store.load(copy.facts.id).design.pieces[0].cage, with_box(2).pieces[0].cage)

    def test_room_is_given_back_to_the_disk(self) -> None:
        store = self.store()
        store.put_asset("mesh", random.Random(1).randbytes(4_000_000), {})
        saved = store.create("Float", "mm", with_box(1))
        grown = store.path.stat().st_size
        self.assertEqual(store.sweep_assets(datetime.now() + timedelta(days=2)), 1)
        store.delete(saved.facts.id)
        self.assertGreater(grown, 3_900_000)
        self.assertLess(store.path.stat().st_size, 300_000)

    def test_two_uploads_of_one_thing_at_once_are_both_answered(self) -> None:
        store = self.store()
        found: list[str] = []

        def put() -> None:
            found.append(store.put_asset("mesh", b"one thing", {}).hash)

        threads = [threading.Thread(target=put) for _ in range(8)]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        self.assertEqual(len(found), 8)
        self.assertEqual(store.asset(found[0]).data, b"one thing")


class Failing(InFolder):
    def test_a_database_held_by_another_is_read_and_a_change_refused_after_a_while(self) -> None:
        store = self.store()
        saved = store.create("Float", "mm", with_box(1))
        with closing(sqlite3.connect(store.path, isolation_level=None)) as other:
            other.execute("BEGIN IMMEDIATE")
            begun = time.monotonic()
            self.assertEqual(store.load(saved.facts.id).facts.name, "Float")
            self.assertLess(time.monotonic() - begun, PATIENCE / 2)
            with self.assertRaisesRegex(StoreBusyError, "Another program holds"):
                store.rename(saved.facts.id, "Other")
            self.assertLess(time.monotonic() - begun, 4 * PATIENCE)
        self.assertEqual(store.rename(saved.facts.id, "Other").facts.name, "Other")

    def test_a_newer_version_is_only_read(self) -> None:
        store = self.store()
        saved = store.create("Float", "mm", with_box(1))
        store.close()
        with closing(sqlite3.connect(store.path)) as connection, connection:
            connection.execute("UPDATE alembic_version SET version_num = '9999'")
        newer = self.store()
        self.assertIn("newer version of Zinc Otter (tables 9999)", newer.reading)
        self.assertEqual(newer.load(saved.facts.id).facts.name, "Float")
        with self.assertRaisesRegex(ReadingOnlyError, "newer version"):
            newer.rename(saved.facts.id, "Other")

    def damaged(self) -> tuple[str, str]:
        """Two designs, and a page of the arrays of one overwritten."""
        store = self.store()
        whole = store.create("Whole", "mm", with_box(1))
        broken = store.create("Broken", "mm", Design((Piece("p1", "Form", cages.prism(40)),), 2))
        grown = Design((Piece("p1", "Form", box((9, 9, 9), (9, 9, 9))),), 2)
        first = store.add_step(broken.facts.id, 1, "Grew", {}, grown, None)
        store.close()
        with closing(sqlite3.connect(store.path)) as connection, connection:
            used = "SELECT hash FROM blobs WHERE hash IN (SELECT hash FROM blob_uses WHERE design_id = ?)"
            (largest,) = connection.execute(f"{used} ORDER BY length(data) DESC", (broken.facts.id,)).fetchone()
            connection.execute("UPDATE blobs SET data = zeroblob(200) WHERE hash = ?", (largest,))
        self.assertEqual(first.facts.revision, 2)
        return whole.facts.id, broken.facts.id

    def test_a_damaged_array_costs_its_own_design_only_and_is_named(self) -> None:
        whole, broken = self.damaged()
        store = self.store()
        self.assertEqual(store.load(whole).facts.name, "Whole")
        with self.assertRaisesRegex(StoreDamagedError, "The design “Broken” is damaged"):
            store.load(broken)
        found = looked_through(self.folder)
        self.assertTrue(any(line.startswith("Whole") and line.endswith("whole") for line in found.lines), found.lines)
        self.assertTrue(any("Broken" in line and "does not open: 1 arrays are damaged" in line for line in found.faults))
        lines = list(rescue(self.folder, self.folder.parent / "out"))
        self.assertEqual(len(lines), 2)
        self.assertTrue(any("Broken" in line and "at an earlier step" in line for line in lines), lines)
        names = sorted(read_archive(path.read_bytes()).name for path in (self.folder.parent / "out").iterdir())
        self.assertEqual(names, ["Broken", "Whole"])

    def test_damaged_pages_are_told_when_it_is_opened_and_what_is_whole_is_read(self) -> None:
        store = self.store()
        designs = [Design((Piece("p1", "F", box((i + 1, 1, 1), (2 + i // 10, 1 + i % 10, 1))),), 2) for i in range(60)]
        ids = [store.create(f"Float {i}", "mm", design).facts.id for i, design in enumerate(designs)]
        store.close()
        data = bytearray(store.path.read_bytes())
        pages = len(data) // 4096
        for page in range(pages - 6, pages - 3):
            data[4096 * page : 4096 * (page + 1)] = b"\xa5" * 4096
        store.path.write_bytes(data)
        again = self.store()
        self.assertIn("is damaged; what can be read is shown", again.reading)
        opened = 0
        for design_id in ids:
            with suppress(StoreDamagedError, UnknownAssetError):
                opened += again.load(design_id).facts.name.startswith("Float")
        self.assertGreater(opened, 20)
        self.assertGreater(len(list(rescue(self.folder, self.folder.parent / "out"))), 20)

    def test_what_is_no_database_is_one_sentence(self) -> None:
        self.folder.mkdir()
        path = self.folder / DATABASE
        path.write_bytes(b"a letter, not a database" * 400)
        with self.assertRaisesRegex(DatabaseError, "cannot be read"):
            Store(path)
        path.unlink()
        path.mkdir()
        with self.assertRaisesRegex(DatabaseError, "is a folder"):
            Store(path)
        path.rmdir()
        with closing(sqlite3.connect(path)) as connection, connection:
            connection.execute("CREATE TABLE recipes (id)")
        with self.assertRaisesRegex(DatabaseError, "not one of designs"):
            Store(path)

    def test_the_command_line_says_one_line_and_ends_with_2(self) -> None:
        self.folder.mkdir()
        (self.folder / DATABASE).mkdir()
        (self.folder.parent / "file").write_text("x")
        photos = self.folder.parent / "photos"
        photos.mkdir()
        (photos / "otter.jpg").write_bytes(b"")
        for folder in (self.folder, self.folder.parent / "file", photos):
            for command in (["serve", "--port", "0", "--data", str(folder)], ["check", "--data", str(folder)]):
                done = subprocess.run(
                    [sys.executable, "-m", "zinc_otter.command_line", *command], capture_output=True, text=True, timeout=60
                )
                self.assertEqual(done.returncode, 2, done)
                self.assertEqual(len(done.stderr.strip().splitlines()), 1, done.stderr)
                self.assertTrue(done.stderr.startswith("zinc-otter: "), done.stderr)


class Copies(InFolder):
    def test_before_tables_change_and_of_each_day_that_was_worked(self) -> None:
        store = self.store()
        store.create("Float", "mm", with_box(1))
        store.close()
        self.assertEqual([p.name for p in (self.folder / "backups").iterdir()], [f"{date.today()}.sqlite"])
        days = [date(2026, 1, 1) + timedelta(days=k) for k in range(12)]
        for day in days:
            keep_day(store.path, day)
        kept = sorted(p.stem for p in (self.folder / "backups").iterdir())
        self.assertEqual(len(kept), DAYS_KEPT)
        self.assertEqual(kept[0], "2026-01-07")

    def test_tables_of_an_earlier_version_are_copied_then_changed(self) -> None:
        store = self.store()
        saved = store.create("Float", "mm", with_box(1))
        step = store.add_step(saved.facts.id, 1, "Grew", {}, with_box(2), None)
        back = store.go_to(saved.facts.id, 2, saved.head_id)
        branch = store.add_step(saved.facts.id, back.facts.revision, "Otherwise", {}, with_box(3), None)
        shown = {"kind": "change-reference", "reference": "r1", "visible": False, "opacity": None}
        for command in ({"kind": "show-piece"}, shown, {**shown, "opacity": 0.5}):
            branch = store.add_step(saved.facts.id, branch.facts.revision, "More", command, with_box(3), None)
        store.close()
        with closing(sqlite3.connect(store.path)) as connection, connection:
            for words in (
                "DROP TABLE made_files", "DROP TABLE blob_uses", "DROP INDEX ix_steps_line", "DROP INDEX ix_steps_parent",
                "DROP INDEX ix_steps_aside",
                "ALTER TABLE steps DROP COLUMN on_line", "ALTER TABLE steps DROP COLUMN aside",
                "ALTER TABLE designs DROP COLUMN binned_at", "UPDATE alembic_version SET version_num = '0002'",
            ):  # fmt: skip
                connection.execute(words)
        again = self.store()
        self.assertTrue((self.folder / "backups" / "before-0005.sqlite").exists())
        now = again.load(saved.facts.id)
        self.assertEqual([s.id for s in now.steps][::4], [saved.head_id, branch.head_id])
        # What only showed or hid is told apart, also where it was done before there was a word for it.
        self.assertEqual([s.aside for s in now.steps], [False, False, True, True, False])
        self.assertEqual([s.place for s in now.steps], [0, 1, 1, 1, 2])
        self.assertNotIn(step.head_id, [s.id for s in now.steps])
        again.delete(saved.facts.id)
        with closing(sqlite3.connect(store.path)) as connection:
            self.assertEqual(connection.execute("SELECT count(*) FROM blobs").fetchone(), (0,))
