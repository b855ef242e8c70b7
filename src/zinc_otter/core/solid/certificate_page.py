"""A certificate as one page to read or print: plain HTML that needs nothing beside it."""

from __future__ import annotations

from collections.abc import Sequence
from html import escape

from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.certificate import Certificate
from zinc_otter.core.solid.gate import in_short

_STYLE = """
body { font: 15px/1.45 Georgia, serif; max-width: 44rem; margin: 2.5rem auto; padding: 0 1.5rem; color: #22282b; }
h1 { font-size: 1.5rem; border-bottom: 2px solid #1f6f78; padding-bottom: .4rem; }
h2 { font-size: 1.05rem; margin: 1.6rem 0 .4rem; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: .25rem .5rem; border-bottom: 1px solid #c9ced0; vertical-align: top; }
.faults { border: 2px solid #b3261e; padding: .2rem 1rem; margin: 1rem 0; color: #b3261e; }
th { font-weight: 400; color: #5f6c73; width: 46%; }
"""


def certificate_page(certificate: Certificate, name: str, made_from: str) -> str:
    """The page; ``made_from`` is the digest of what the solid was made from, so that page and file can be told to match."""
    c, m = certificate, certificate.measured
    size = " × ".join(f"{s:,.2f}" for s in c.size)
    facts = [
        ("Watertight", "yes" if c.watertight else "no"),
        ("Closed solids", f"{c.solid_count}"),
        ("Size", f"{size} mm"),
        ("Volume", f"{c.volume:,.1f} mm³ ({c.volume / 1000:,.3f} cm³)"),
        ("Area", f"{c.area:,.1f} mm²"),
    ]
    truth = [("Largest deviation from the form's surface", f"{c.deviation:.2g} mm")]
    if c.pole_count is not None and c.seam_angle is not None:
        facts.append(("Faces", f"{c.face_count}; those of the cage with {c.pole_count} × {c.pole_count} poles each"))
        truth.append(("Largest angle at a seam that should be smooth", f"{c.seam_angle:.3f}°"))
        edges, corners = c.meant_sharp
        truth.append(("Meant to be sharp", f"{edges} edges, {corners} corners" if edges or corners else "nothing"))
    else:
        facts.append(("Faces", f"{c.face_count:,} triangles"))
    steps: list[tuple[str, str]] = []
    if m is not None:
        facts.append(("Centre of mass", ", ".join(f"{x:.2f}" for x in m.centre) + " mm"))
        crossings = f"found at {m.crossings} places" if m.crossings else "looked for among all triangles, none found"
        at = ", ".join(f"{x:.1f}" for x in m.thinnest_at)
        truth += [
            ("Crossing itself", crossings),
            ("Smallest wall", f"{m.thinnest:.2f} mm near {at} (99 of 100 sampled points have more)"),
            ("Triangles measured on", f"{m.triangle_count:,}, within {m.chord:.2g} mm"),
        ]
        if c.route == "kernel":
            truth += [
                ("Volume by triangles, found on its own", f"{m.mesh_volume:,.1f} mm³"),
                ("Largest tolerance of the kernel", f"{m.tolerance:.2g} mm"),
            ]
        steps = [(called, words or status) for _, called, status, words in m.followers]
    parts = [f"<h1>{escape(name)}</h1>"]
    if c.faults:
        head = "This is not what was asked for" if in_short(c.faults) == "incomplete" else "This is no sound solid"
        parts.append(f'<div class="faults"><h2>{head}</h2><ul>{_listed(c.faults)}</ul></div>')
    parts += [_table("The solid", facts), _table("How true it is", truth)]
    if steps:
        parts.append(_table("What was done to the form", steps))
    if c.warnings:
        parts.append(f"<h2>To look at</h2><ul>{_listed(c.warnings)}</ul>")
    parts.append(f"<p>Millimetres. Made from <code>{escape(made_from[:16])}</code>.</p>")
    title = escape(f"Certificate of {name}")
    return (
        f'<!doctype html><html lang="en"><meta charset="utf-8"><title>{title}</title><style>{_STYLE}</style>'
        f"<body>{''.join(parts)}</body></html>"
    )


def _listed(remarks: Sequence[Remark]) -> str:
    """Each with its place, if it has one."""
    items = []
    for remark in remarks:
        points = "; ".join(", ".join(f"{x:.2f}" for x in point) for point in remark.place.points[:3])
        where = f" Near {points} mm." if points else ""
        items.append(f"<li>{escape(remark.words + where)}</li>")
    return "".join(items)


def _table(title: str, rows: list[tuple[str, str]]) -> str:
    lines = "".join(f"<tr><th>{escape(name)}</th><td>{escape(value)}</td></tr>" for name, value in rows)
    return f"<h2>{escape(title)}</h2><table>{lines}</table>"
