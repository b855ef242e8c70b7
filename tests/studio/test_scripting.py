"""The examples of docs/scripting.md, run as they stand; what they say they print they print."""

from __future__ import annotations

import contextlib
import io
import os
import re
import tempfile
import unittest
from pathlib import Path

PAGE = Path(__file__).parents[2] / "docs" / "scripting.md"


class Examples(unittest.TestCase):
    def test_each_runs_and_prints_what_it_says(self) -> None:
        examples = re.findall(r"```python\n(.*?)```", PAGE.read_text("utf-8"), re.DOTALL)
        self.assertEqual(len(examples), 4)
        checked = 0
        for example in examples:
            with self.subTest(example.splitlines()[0]), tempfile.TemporaryDirectory() as folder:
                before = os.getcwd()
                printed = io.StringIO()
                try:
                    os.chdir(folder)
                    with contextlib.redirect_stdout(printed):
                        exec(compile(example, str(PAGE), "exec"), {"__name__": "__example__"})
                finally:
                    os.chdir(before)
                said = re.findall(r"^\s*print\(.*?\)\s+# (.+)$", example, re.MULTILINE)
                checked += len(said)
                for words in said:
                    self.assertIn(words, printed.getvalue())
        self.assertEqual(checked, 5)
