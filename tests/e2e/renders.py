"""How often each component of the interface is drawn anew, counted in a browser on a build that keeps their names."""

from __future__ import annotations

import os
import re
import subprocess
from collections import Counter
from functools import cache
from pathlib import Path

from playwright.sync_api import Page

WEB = Path(__file__).parents[2] / "web"

COUNTING = """
(() => {
  const counts = {};
  const nameOf = ({ type }) => (typeof type === "function" ? type.name : type?.type?.name ?? type?.render?.name);
  const count = (fiber) => {
    const name = nameOf(fiber);
    if (name && [0, 11, 14, 15].includes(fiber.tag)) counts[name] = (counts[name] ?? 0) + 1;
  };
  const whole = (fiber) => {
    for (let f = fiber; f; f = f.sibling) { count(f); whole(f.child); }
  };
  const changed = (fiber) => {
    const before = fiber.alternate;
    if (!before) { count(fiber); whole(fiber.child); return; }
    // React marks what it has really called.
    if (fiber.flags & 1) count(fiber);
    if (fiber.child !== before.child) for (let f = fiber.child; f; f = f.sibling) changed(f);
  };
  window.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    supportsFiber: true, renderers: new Map(), inject: () => 1, onCommitFiberUnmount() {}, onPostCommitFiberRoot() {},
    onCommitFiberRoot: (_, root) => changed(root.current),
  };
  window.rendered = { take: () => { const now = { ...counts }; for (const key in counts) delete counts[key]; return now; } };
})()
"""


@cache
def named_build() -> Path:
    """The front end with the names of its functions kept, built anew where its sources have changed."""
    done = WEB / "build" / "named"
    newest = max(path.stat().st_mtime for path in (WEB / "src").rglob("*") if path.is_file())
    if not (done / "index.html").exists() or (done / "index.html").stat().st_mtime < newest:
        environment = {**os.environ, "npm_config_loglevel": "error"}
        subprocess.run(["npm", "run", "--silent", "named"], cwd=WEB, check=True, capture_output=True, env=environment)
    return done


@cache
def own_components() -> frozenset[str]:
    """The names of our own components: those of the libraries are drawn with them."""
    found = set()
    for path in (WEB / "src").rglob("*.tsx"):
        found |= set(re.findall(r"function ([A-Z]\w*)\(", path.read_text("utf-8")))
    return frozenset(found)


def count_renders(page: Page) -> None:
    """Call before the page is opened."""
    page.add_init_script(COUNTING)


def rendered(page: Page) -> dict[str, int]:
    """How often each of our components was drawn since this was asked last."""
    counts: dict[str, int] = page.evaluate("() => window.rendered.take()")
    found: Counter[str] = Counter()
    for name, count in counts.items():
        # Where two have one name the build tells them apart by a number.
        found[name.partition("$")[0]] += count
    return {name: found[name] for name in sorted(found) if name in own_components()}
