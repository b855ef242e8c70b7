"""What ships with us is named, with its licence."""

from __future__ import annotations

import json
import re
import unittest

from sheets.notices import TARGET, licence_of, shipped
from tests.web.case import WEB


class Notices(unittest.TestCase):
    def test_each_package_of_the_page_comes_with_the_text_of_its_licence(self) -> None:
        parts = (WEB / "dist" / "assets" / "notices.txt").read_text(encoding="utf-8").split("-" * 80)
        named = {re.search(r"^(\S+) [\d.]+ \(", part, re.M)[1]: part for part in parts}  # type: ignore[index]
        asked = json.loads((WEB / "package.json").read_text(encoding="utf-8"))["dependencies"]
        self.assertEqual(set(asked) - set(named), set())
        for name, part in named.items():
            with self.subTest(name):
                self.assertRegex(part, r"(?i)permission|redistribution|terms and conditions")
                self.assertRegex(part, r"(?i)copyright")

    def test_the_page_of_notices_holds_what_the_service_needs_now(self) -> None:
        rows = TARGET.read_text(encoding="utf-8").splitlines()
        for one in shipped():
            self.assertIn(f"| {one.metadata['Name']} | {one.version} | {licence_of(one)} |", rows)


if __name__ == "__main__":
    unittest.main()
