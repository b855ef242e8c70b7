"""A certificate as one page to read or print: plain HTML that needs nothing beside it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from importlib import resources

from mako.template import Template

from zinc_otter.core.proof.walls import SAMPLES
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.certificate import Certificate
from zinc_otter.core.solid.gate import in_short
from zinc_otter.core.solid.materials import METALS, WAX
from zinc_otter.core.words import (
    Unit,
    area_words,
    bare_length,
    extent,
    figures,
    fine_length_words,
    length_words,
    lengths_in,
    told_in,
    volume_words,
)
from zinc_otter.studio.bill import StoneLine

# All that is put in is escaped, unless a template says otherwise.
_PAGE = Template(
    resources.files(__package__).joinpath("templates", "certificate.html").read_text("utf-8"), default_filters=["h"]
)


@dataclass(frozen=True)
class OfWhat:
    """What a certificate is of: the ``design`` and its ``revision``, when it is told, the ``unit`` that is worked in, and
    the per cent by which files are ``larger``."""

    design: str
    revision: int
    date: str
    unit: Unit = "mm"
    larger: float = 0.0


def certificate_page(
    certificate: Certificate, name: str, made_from: str, of: OfWhat, stones: Sequence[StoneLine] = (),
    asked: Sequence[tuple[str, str]] = (),
) -> str:  # fmt: skip
    """The page; ``made_from`` is the digest of what the solid was made from, so that page and file can be told to match.

    ``stones`` are those that are laid on it; ``asked`` are the proofs of its piece, what each asks and what was found.
    """
    with lengths_in(of.unit):
        return _page(certificate, name, made_from, of, stones, asked)


def _page(
    certificate: Certificate, name: str, made_from: str, of: OfWhat, stones: Sequence[StoneLine],
    asked: Sequence[tuple[str, str]],
) -> str:  # fmt: skip
    c, m = certificate, certificate.measured
    with lengths_in("mm"):
        in_files = extent(c.size)
    facts = [
        ("Watertight", "yes" if c.watertight else "no"),
        ("Closed solids", f"{c.solid_count}"),
        ("Size", extent(c.size) + ("" if of.unit == "mm" else f" ({in_files})")),
        ("Volume", f"{volume_words(c.volume)} ({figures(c.volume / 1000, 6)} cm³)"),
        ("Area", area_words(c.area)),
    ]
    truth = [("Largest deviation from the form's surface", _tiny(c.deviation))]
    if c.pole_count is not None and c.seam_angle is not None:
        facts.append(("Faces", f"{c.face_count}; those of the cage with {c.pole_count} × {c.pole_count} poles each"))
        truth.append(("Largest angle at a seam that should be smooth", f"{c.seam_angle:.3f}°"))
        edges, corners = c.meant_sharp
        truth.append(("Meant to be sharp", f"{edges} edges, {corners} corners" if edges or corners else "nothing"))
    else:
        facts.append(("Faces", f"{c.face_count:,} triangles"))
    steps: list[tuple[str, str]] = []
    if m is not None:
        facts.append(("Centre of mass", _at(m.centre)))
        crossings = f"found at {m.crossings} places" if m.crossings else "looked for among all triangles, none found"
        truth += [
            ("Crossing itself", crossings),
            (
                "Smallest wall",
                f"{length_words(m.thinnest)} near {_at(m.thinnest_at)} (the least of up to {SAMPLES:,} places)",
            ),
            ("Triangles measured on", f"{m.triangle_count:,}, within {_tiny(m.chord)}"),
        ]
        if c.route == "kernel":
            truth += [
                ("Volume by triangles, found on its own", volume_words(m.mesh_volume)),
                ("Largest tolerance of the kernel", _tiny(m.tolerance)),
            ]
        steps = [(called, words or status) for _, called, status, words in m.followers]
    page: str = _PAGE.render_unicode(
        name=name,
        made_from=made_from[:16],
        verdict="This is not what was asked for" if in_short(c.faults) == "incomplete" else "This is no sound solid",
        faults=_listed(c.faults),
        about=f"{name} of {of.design}, revision {of.revision}, told {of.date}.",
        larger=f"{of.larger:g}" if of.larger else "",
        weights=[(m.name, f"{m.weight(c.volume):,.2f} g", f"{m.density:g} g/cm³; {m.source}") for m in (*METALS, WAX)],
        stones=[
            (
                f"{line.count} × {line.material}, {line.cut.lower()}",
                f"{line.size} mm; {line.each:.4g} ct each, {line.carats:.4g} ct",
            )
            for line in stones
        ],
        tables=[
            ("The solid", facts),
            ("How true it is", truth),
            *([("What was done to the form", steps)] if steps else []),
            *([("What was asked of the form", asked)] if asked else []),
        ],
        warnings=_listed(c.warnings),
    )
    return page


def _tiny(mm: float) -> str:
    """With two digits that count and no exponent."""
    return f"under 0.000001 {told_in()}" if 0 < mm < 1e-6 else fine_length_words(mm)


def _at(point: Sequence[float]) -> str:
    return f"{', '.join(bare_length(x) for x in point)} {told_in()}"


def _listed(remarks: Sequence[Remark]) -> list[str]:
    """Each with its place, if it has one."""
    items = []
    for remark in remarks:
        points = "; ".join(map(_at, remark.place.points[:3]))
        items.append(f"{remark.words} Near {points}." if points else remark.words)
    return items
