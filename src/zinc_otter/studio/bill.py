"""The bill of a design: metal and its weight, stones by kind and size, bores."""

from __future__ import annotations

import csv
import io
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.ring_sizes import ring_words
from zinc_otter.core.solid.materials import METALS, WAX, Material
from zinc_otter.core.stone.materials import stone_material
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.images import motions_of
from zinc_otter.studio.references import Component


@dataclass(frozen=True)
class MetalLine:
    """One piece's metal: mm³ of all its ``count`` bodies, and mm of its bore where there is one."""

    piece: str
    name: str
    volume: float
    bore: float | None
    bore_words: str
    count: int = 1


@dataclass(frozen=True)
class StoneLine:
    """Stones that are alike: how many, carats of each and of all."""

    name: str
    cut: str
    material: str
    size: str
    count: int
    each: float
    carats: float


@dataclass(frozen=True)
class Finding:
    """A part that is put to it and not made of its metal: a clasp, a post, a component of the design; how many alike."""

    name: str
    count: int


@dataclass(frozen=True)
class Bill:
    """What a piece of jewelry is made of. Weights follow from the volumes: ``grams`` of a material.

    ``lacks`` are sentences on what is not in it, or not as it was asked for.
    """

    metal: tuple[MetalLine, ...]
    stones: tuple[StoneLine, ...]
    findings: tuple[Finding, ...] = ()
    lacks: tuple[str, ...] = ()

    @property
    def volume(self) -> float:
        return sum(line.volume for line in self.metal)

    def grams(self, material: Material) -> float:
        return material.weight(self.volume)

    @property
    def count(self) -> int:
        return sum(line.count for line in self.stones)

    @property
    def carats(self) -> float:
        return sum(line.carats for line in self.stones)


def bill_of(design: Design, volumes: Mapping[str, float], bores: Mapping[str, float], lacks: Sequence[str] = ()) -> Bill:
    """The bill of all that is shown; ``volumes`` in mm³ and ``bores`` in mm by the ids of pieces that are bodies."""
    shown = [piece for piece in design.pieces if piece.visible]
    metal = tuple(
        MetalLine(
            piece.id, piece.name, volumes[piece.id], bores.get(piece.id),
            ring_words(bores[piece.id]) if piece.id in bores else "", _bodies_of(design, piece),
        )
        for piece in shown if piece.id in volumes
    )  # fmt: skip
    stones: list[StoneLine] = []
    for piece in shown:
        for stone, motions in piece.form.stones if isinstance(piece.form, Repeated) else []:
            cut, each = stone.cut, stone.carats
            size = f"{cut.width:g}" if cut.is_round else f"{cut.long:g} × {cut.width:g}"
            material = stone_material(stone.material).name
            stones.append(StoneLine(piece.name, cut.what, material, size, len(motions), each, each * len(motions)))
    parts = [
        reference.name for reference in design.references
        if isinstance(reference, Component) and reference.visible and not (reference.scan or reference.stand)
    ]  # fmt: skip
    findings = tuple(Finding(name, parts.count(name)) for name in dict.fromkeys(parts))
    return Bill(metal, tuple(_alike(stones)), findings, tuple(lacks))


def _bodies_of(design: Design, piece: Piece) -> int:
    """How many bodies a piece is by itself: the images of a repeat that stay apart, as the links of a chain."""
    growth = piece.grown
    if not isinstance(growth, Repeat) or growth.bodies != "apart":
        return 1
    return len(motions_of(design, growth)) + growth.own


def _alike(lines: Sequence[StoneLine]) -> list[StoneLine]:
    """Lines of which those of one cut, material and size are one."""
    kept: dict[tuple[str, str, str], StoneLine] = {}
    for line in lines:
        key = (line.cut, line.material, line.size)
        before = kept.get(key)
        if before is None:
            kept[key] = line
        else:
            count = before.count + line.count
            name = before.name if line.name in before.name.split(", ") else f"{before.name}, {line.name}"
            kept[key] = StoneLine(name, *key, count, line.each, line.each * count)
    return list(kept.values())


def bill_csv(bill: Bill, name: str, revision: int) -> str:
    """The bill as comma-separated values (RFC 4180): a line for each body, stone and weight."""
    text = io.StringIO()
    out = csv.writer(text)
    out.writerow(["bill of", name, "revision", revision])
    out.writerow(["what", "name", "size (mm)", "count", "each", "together", "unit"])
    for body in bill.metal:
        out.writerow(
            [
                "body",
                body.name,
                "" if body.bore is None else f"bore {body.bore:.2f}",
                body.count,
                f"{body.volume / body.count:.3f}" if body.count > 1 else "",
                f"{body.volume:.3f}",
                "mm3",
            ]
        )
        if body.bore_words:
            out.writerow(["ring size", body.name, body.bore_words, "", "", "", ""])
    for stone in bill.stones:
        out.writerow(
            [
                "stone",
                f"{stone.material}, {stone.cut.lower()}",
                stone.size,
                stone.count,
                f"{stone.each:.4f}",
                f"{stone.carats:.4f}",
                "ct",
            ]
        )
    for finding in bill.findings:
        out.writerow(["finding", finding.name, "", finding.count, "", "", ""])
    for words in bill.lacks:
        out.writerow(["note", words, "", "", "", "", ""])
    for material in (*METALS, WAX):
        out.writerow(["weight", material.name, "", "", f"{material.density:g} g/cm3", f"{bill.grams(material):.3f}", "g"])
    return text.getvalue()
