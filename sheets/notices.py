"""Write docs/notices.md: what the service stands on, with the licence that each package states of itself."""

from __future__ import annotations

import re
import tomllib
from importlib.metadata import Distribution, PackageNotFoundError, distribution
from pathlib import Path

ROOT = Path(__file__).parents[1]
TARGET = ROOT / "docs" / "notices.md"

HEAD = """# What Zinc Otter stands on

Zinc Otter itself is under the licence in [LICENSE](../LICENSE). The packages of the page in the browser are listed, each
with the whole text of its licence, in `/assets/notices.txt` of the running application, which the build writes.

These packages run the service. They are installed beside it, unchanged, and each brings its own licence text along. Written
by `make tables` from what the packages state of themselves. One to know of before all of it is handed on as one thing: the
solid kernel within cadquery-ocp-novtk (Open CASCADE) is under the LGPL 2.1 with an exception. Proof
sheets are set in a subset of Source Sans 3, renamed, under the SIL Open Font License 1.1, whose text lies beside it.

| Package | Version | Licence |
|---|---|---|"""


def main() -> None:
    rows = [f"| {one.metadata['Name']} | {one.version} | {licence_of(one)} |" for one in shipped()]
    TARGET.write_text("\n".join([HEAD, *rows, ""]), encoding="utf-8")
    print(TARGET.name)


def shipped() -> list[Distribution]:
    """What the service needs to run, and all that this needs in turn, by name."""
    asked = tomllib.loads((ROOT / "pyproject.toml").read_text(encoding="utf-8"))["project"]["dependencies"]
    found: dict[str, Distribution] = {}
    waiting = list(asked)
    while waiting:
        name, extras = _parts(waiting.pop())
        try:
            one = distribution(name)
        except PackageNotFoundError:
            continue  # Of another system, or of an extra that is not asked for.
        if name in found:
            continue
        found[name] = one
        for further in one.requires or ():
            needed, _, condition = further.partition(";")
            if "extra ==" not in condition or any(re.search(rf"extra == ['\"]{extra}['\"]", condition) for extra in extras):
                waiting.append(needed)
    return [found[name] for name in sorted(found)]


def licence_of(one: Distribution) -> str:
    """The licence by its expression, else by its classifier, else by what stands in its field's first line."""
    for expression in one.metadata.get_all("License-Expression", []):
        return str(expression)
    classified = [c.split(" :: ")[-1] for c in one.metadata.get_all("Classifier", []) if c.startswith("License ::")]
    stated = "\n".join(one.metadata.get_all("License", [])).strip().splitlines()
    return ", ".join(classified) or (stated[0] if stated else "in the package")


def _parts(requirement: str) -> tuple[str, set[str]]:
    match = re.match(r"([\w.-]+)\s*(?:\[([\w, -]+)\])?", requirement.strip())
    if match is None:
        raise ValueError(f"{requirement} names no package.")
    return re.sub(r"[-_.]+", "-", match[1]).lower(), {extra.strip() for extra in (match[2] or "").split(",") if extra}


if __name__ == "__main__":
    main()
