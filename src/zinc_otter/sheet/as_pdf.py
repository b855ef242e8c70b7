"""A sheet as PDF (ISO 32000), one page of it a page, with its font in it."""

from __future__ import annotations

import io
import tempfile
from collections.abc import Sequence
from datetime import datetime
from pathlib import Path

from fontTools.ttLib import TTFont
from fpdf import FPDF

from zinc_otter.sheet.paper import Line, Page, Picture, Text, font_data, width_of


def as_pdf(pages: Sequence[Page], title: str, made: datetime) -> bytes:
    """The file, in millimetres; what the font has no letter for is a question mark."""
    first = pages[0]
    pdf = FPDF(unit="mm", format=(first.width, first.height))
    pdf.set_auto_page_break(False)
    pdf.set_margin(0)
    # The library reads fonts from files only.
    with tempfile.TemporaryDirectory() as folder:
        for bold in (False, True):
            path = Path(folder) / f"{bold}.ttf"
            path.write_bytes(font_data(bold))
            pdf.add_font("Sheet", "B" if bold else "", path)
        has = TTFont(io.BytesIO(font_data(False))).getBestCmap()
        for page in pages:
            pdf.add_page(format=(page.width, page.height))
            for mark in page.marks:
                if isinstance(mark, Line):
                    _line(pdf, mark)
                elif isinstance(mark, Text):
                    _text(pdf, mark, has)
                else:
                    _picture(pdf, mark)
        pdf.set_title(title)
        pdf.set_creation_date(made.astimezone())
        return bytes(pdf.output())


def _line(pdf: FPDF, mark: Line) -> None:
    pdf.set_draw_color(mark.colour)
    pdf.set_line_width(mark.width)
    pdf.set_dash_pattern(*((1.2, 0.8) if mark.dashed else (0, 0)))
    points = list(mark.points)
    if mark.fill is not None:
        pdf.set_fill_color(mark.fill)
        pdf.polygon(points, style="DF" if mark.width else "F")
        return
    pdf.polyline(points)


def _text(pdf: FPDF, mark: Text, has: dict[int, str]) -> None:
    pdf.set_font("Sheet", "B" if mark.bold else "", mark.size)
    pdf.set_text_color(mark.colour)
    words = "".join(letter if ord(letter) in has else "?" for letter in mark.words)
    x, y = mark.at
    shift = {"start": 0.0, "middle": 0.5, "end": 1.0}[mark.anchor]
    pdf.text(x - shift * width_of(words, mark.size, mark.bold), y, words)


def _picture(pdf: FPDF, mark: Picture) -> None:
    x, y = mark.at
    pdf.image(io.BytesIO(mark.png), x, y, mark.width, mark.height, alt_text=mark.words or None)
