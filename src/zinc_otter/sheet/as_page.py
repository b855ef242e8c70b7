"""A sheet as one HTML page of drawings (SVG) at true size: nothing beside it is needed."""

from __future__ import annotations

import base64
from collections.abc import Sequence
from xml.sax.saxutils import escape, quoteattr

from zinc_otter.sheet.paper import POINT, Line, Mark, Page, Picture, Text, font_data

_STYLE = """@page {{ size: {width}mm {height}mm; margin: 0 }}
@font-face {{ font-family: "Sheet Sans"; font-weight: 400; src: url(data:font/ttf;base64,{regular}) }}
@font-face {{ font-family: "Sheet Sans"; font-weight: 600; src: url(data:font/ttf;base64,{bold}) }}
body {{ margin: 0; background: #d9d6cf }}
svg {{ display: block; margin: 6mm auto; background: #fff; font-family: "Sheet Sans", sans-serif }}
@media print {{ body {{ background: #fff }} svg {{ margin: 0; break-after: page }} }}"""


def as_page(pages: Sequence[Page], title: str) -> str:
    """The document. Printed at 100 % a millimetre is a millimetre (CSS Values and Units Level 3, section 5.2)."""
    first = pages[0]
    style = _STYLE.format(
        width=first.width,
        height=first.height,
        regular=base64.b64encode(font_data(False)).decode(),
        bold=base64.b64encode(font_data(True)).decode(),
    )
    drawn = "\n".join(_svg(page, f"{title}, page {k + 1} of {len(pages)}") for k, page in enumerate(pages))
    return (
        f'<!doctype html>\n<html lang="en">\n<meta charset="utf-8">\n<title>{escape(title)}</title>\n'
        f"<style>{style}</style>\n<body>\n{drawn}\n</body>\n</html>\n"
    )


def _svg(page: Page, title: str) -> str:
    size = f'width="{page.width:g}mm" height="{page.height:g}mm" viewBox="0 0 {page.width:g} {page.height:g}"'
    marks = "\n".join(_mark(mark) for mark in page.marks)
    return f'<svg xmlns="http://www.w3.org/2000/svg" {size}>\n<title>{escape(title)}</title>\n{marks}\n</svg>'


def _mark(mark: Mark) -> str:
    if isinstance(mark, Line):
        points = " ".join(f"{x:.3f},{y:.3f}" for x, y in mark.points)
        dashes = ' stroke-dasharray="1.2 0.8"' if mark.dashed else ""
        return (
            f'<polyline points="{points}" fill="{mark.fill or "none"}" stroke="{mark.colour}" '
            f'stroke-width="{mark.width:g}" stroke-linejoin="round"{dashes}/>'
        )
    if isinstance(mark, Text):
        x, y = mark.at
        return (
            f'<text x="{x:.3f}" y="{y:.3f}" font-size="{mark.size * POINT:.3f}" font-weight="{600 if mark.bold else 400}" '
            f'fill="{mark.colour}" text-anchor="{mark.anchor}">{escape(mark.words)}</text>'
        )
    assert isinstance(mark, Picture)
    x, y = mark.at
    data = base64.b64encode(mark.png).decode()
    return (
        f'<image x="{x:.3f}" y="{y:.3f}" width="{mark.width:.3f}" height="{mark.height:.3f}" '
        f'preserveAspectRatio="none" role="img" aria-label={quoteattr(mark.words)} href="data:image/png;base64,{data}"/>'
    )
