"""Parts of the front end that need no screen, built as one script and called in a browser."""

from __future__ import annotations

import os
import subprocess
import unittest
from functools import cache
from pathlib import Path
from typing import Any, ClassVar

from playwright.sync_api import Page, sync_playwright

from tests.e2e.harness import launch

WEB = Path(__file__).parents[2] / "web"


@cache
def built_parts() -> Path:
    """The script, built anew where its sources have changed."""
    script = WEB / "build" / "parts" / "parts.js"
    sources = [WEB / "parts.ts", *(path for path in (WEB / "src").rglob("*") if path.is_file())]
    if not script.exists() or script.stat().st_mtime < max(path.stat().st_mtime for path in sources):
        environment = {**os.environ, "npm_config_loglevel": "error"}
        subprocess.run(["npm", "run", "--silent", "parts"], cwd=WEB, check=True, capture_output=True, env=environment)
    return script


class PartsCase(unittest.TestCase):
    page: ClassVar[Page]

    @classmethod
    def setUpClass(cls) -> None:
        playwright = sync_playwright().start()
        cls.addClassCleanup(playwright.stop)
        browser = launch(playwright)
        cls.addClassCleanup(browser.close)
        cls.page = browser.new_page()
        cls.page.add_script_tag(path=built_parts())

    def call(self, expression: str, given: object = None) -> Any:
        """The value of an expression in which ``Parts`` are the parts and ``given`` is what is given."""
        return self.page.evaluate(f"(given) => {expression}", given)
