"""Tables that flow over pages: a head, rows whose texts are broken to their columns, and a new page where one is full."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from zinc_otter.sheet.paper import FAULT, INK, LIGHT, POINT, RIVER, ZINC, Line, Page, Text, broken

_SIZE = 8.5
_LEAD = _SIZE * POINT * 1.28
MARGIN = 12.0


class Flow:
    """Writes from top to bottom; ``fresh`` gives the next page where one is full."""

    def __init__(self, fresh: Callable[[], Page]) -> None:
        self._fresh = fresh
        self.page = fresh()
        self.y = MARGIN + 4.0

    @property
    def width(self) -> float:
        return self.page.width - 2 * MARGIN

    def room(self, height: float) -> None:
        """Go on to a new page unless so much fits on this one."""
        if self.y + height > self.page.height - MARGIN:
            self.page = self._fresh()
            self.y = MARGIN + 4.0

    def title(self, words: str, below: float = 20.0) -> None:
        """A heading, with so much room below it at least."""
        self.room(below)
        self.page.add(Text((MARGIN, self.y + 1), words, 11.5, True, RIVER))
        self.y += 6.5

    def words(self, sentence: str) -> None:
        for line in broken(sentence, self.width, _SIZE):
            self.room(_LEAD)
            self.page.add(Text((MARGIN, self.y), line, _SIZE, colour=ZINC))
            self.y += _LEAD
        self.y += 1.0

    def table(self, title: str, heads: Sequence[str], shares: Sequence[float], rows: Sequence[Sequence[str]]) -> None:
        """Columns by their ``shares`` of the width; a text that begins with ``!`` is marked as a fault. None of no rows."""
        if not rows:
            return
        self.title(title)
        total = sum(shares)
        wide = [self.width * share / total for share in shares]
        left = [MARGIN + sum(wide[:k]) for k in range(len(wide))]
        self._row([broken(head, w - 2, _SIZE, True) for head, w in zip(heads, wide, strict=True)], left, head=True)
        for row in rows:
            self._row([broken(cell, w - 2, _SIZE) for cell, w in zip(row, wide, strict=True)], left)
        self.y += 4.0

    def _row(self, cells: list[list[str]], left: list[float], head: bool = False) -> None:
        tall = _LEAD * max(len(lines) for lines in cells) + 1.4
        self.room(tall)
        for lines, x in zip(cells, left, strict=True):
            fault = lines[0].startswith("!")
            for k, line in enumerate(lines):
                colour = ZINC if head else FAULT if fault else INK
                words = line.removeprefix("!").strip() if k == 0 else line
                self.page.add(Text((x, self.y + k * _LEAD), words, _SIZE, head or fault, colour))
        self.y += tall
        edge = self.y - _LEAD + 0.6
        self.page.add(Line(((MARGIN, edge), (MARGIN + self.width, edge)), LIGHT, 0.3 if head else 0.15))
