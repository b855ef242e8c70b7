"""A design as one file to keep or pass on: a zip of JSON and arrays, laid out in docs/archive.md."""

from __future__ import annotations

import hashlib
import io
import json
import re
import zipfile
import zlib
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field

import numpy as np

from zinc_otter.core.errors import CoreError, FileFormatError
from zinc_otter.core.words import Unit
from zinc_otter.store.documents import FORMAT, asset_hashes, blob_hashes, from_document, to_document
from zinc_otter.store.intake import checked_design
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Asset

KIND = "zinc-otter design"
MOST_UNPACKED = 400 * 1024 * 1024
MOST_NUMBERS = 96 * 1024 * 1024
"""Bytes of the arrays of all cages: many times what as many faces need as a design may have."""
MOST_PICTURES = 200
_PICTURE = re.compile(r"pictures/[0-9a-f]{32}\.(png|webp)")
_LONG_AGO = (1980, 1, 1, 0, 0, 0)
"""One date for all entries, so that equal designs give equal files."""


@dataclass(frozen=True, eq=False)
class Archive:
    """What an archive holds, with all that the references and followers of the design name; and true pictures of it, PNG and
    WebP by their names."""

    name: str
    unit: Unit
    design: Design
    assets: tuple[Asset, ...]
    pictures: Mapping[str, bytes] = field(default_factory=dict)


def write_archive(
    name: str, unit: Unit, design: Design, asset: Callable[[str], Asset], pictures: Mapping[str, bytes] | None = None
) -> bytes:  # fmt: skip
    """The file. Raises UnknownAssetError."""
    document, blobs = to_document(design)
    held = {digest: asset(digest) for digest in sorted(asset_hashes(document))}
    head = {
        "kind": KIND, "name": name, "unit": unit, "document": document,
        "assets": {digest: {"kind": a.kind, "facts": a.facts} for digest, a in held.items()},
    }  # fmt: skip
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as box:

        def put(path: str, data: bytes) -> None:
            box.writestr(zipfile.ZipInfo(path, _LONG_AGO), data, zipfile.ZIP_DEFLATED)

        put("design.json", json.dumps(head, indent=1, sort_keys=True).encode())
        for digest in sorted(blobs):
            put(f"arrays/{digest}.npy", zlib.decompress(blobs[digest]))
        for digest, a in held.items():
            put(f"assets/{digest}", a.data)
        for path in sorted(pictures or {}):
            put(f"pictures/{path}", (pictures or {})[path])
    return out.getvalue()


def read_archive(data: bytes) -> Archive:
    """What was written, checked: sizes before they are unpacked, arrays and assets against their hashes.

    Raises FileFormatError.
    """
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as box:
            if sum(entry.file_size for entry in box.infolist()) > MOST_UNPACKED:
                raise FileFormatError("The archive unpacks to more than 400 MB.")
            numbers = sum(entry.file_size for entry in box.infolist() if entry.filename.endswith(".npy"))
            if numbers > MOST_NUMBERS:
                held, most = numbers // 1024**2, MOST_NUMBERS // 1024**2
                raise FileFormatError(f"The cages of the archive take {held} MB; those of a design take {most} at most.")
            head = json.loads(_unpacked(box, "design.json"))
            if not isinstance(head, dict) or head.get("kind") != KIND:
                raise FileFormatError("This is no archive of a design.")
            document = head["document"]
            if not isinstance(document["format"], int) or not 1 <= document["format"] <= FORMAT + 1_000:
                raise FileFormatError("This is no archive of a design, or it is broken.")
            if document["format"] > FORMAT:
                raise FileFormatError("The archive was written by a newer version; this one cannot read it.")
            wanted = asset_hashes(document)
            blobs = {}
            for digest in blob_hashes(document) - wanted:
                raw = _unpacked(box, f"arrays/{digest}.npy", MOST_NUMBERS)
                if hashlib.sha256(raw).hexdigest() != digest:
                    raise FileFormatError("An array of the archive is not what its name says.")
                np.load(io.BytesIO(raw), allow_pickle=False)
                blobs[digest] = zlib.compress(raw, 1)
            assets = []
            for digest in sorted(wanted):
                about, contents = head["assets"][digest], _unpacked(box, f"assets/{digest}")
                if hashlib.sha256(str(about["kind"]).encode() + contents).hexdigest() != digest:
                    raise FileFormatError("A picture or mesh of the archive is not what its name says.")
                assets.append(Asset(digest, str(about["kind"]), dict(about["facts"]), contents))
            unit, name = head["unit"], head["name"]
            if unit not in ("mm", "cm", "in"):
                raise FileFormatError(f"The archive is in {str(unit)[:20]!r}; designs are in mm, cm or in.")
            if not isinstance(name, str) or not 1 <= len(name.strip()) <= 80:
                raise FileFormatError("The design of the archive has no name, or one of more than 80 letters.")
            kinds = {asset.hash: asset.kind for asset in assets}
            design = checked_design(from_document(document, blobs), kinds)
            # What can be written again can be kept, and opens.
            json.dumps(to_document(design)[0], allow_nan=False)
            named = [entry.filename for entry in box.infolist() if _PICTURE.fullmatch(entry.filename)][:MOST_PICTURES]
            pictures = {path.partition("/")[2]: _unpacked(box, path) for path in named}
            return Archive(name, unit, design, tuple(assets), pictures)
    except CoreError:
        raise
    except (
        zipfile.BadZipFile, KeyError, ValueError, TypeError, EOFError, NotImplementedError, zlib.error, RecursionError,
        OverflowError, AttributeError, IndexError, RuntimeError, MemoryError,
    ):  # fmt: skip
        raise FileFormatError("This is no archive of a design, or it is broken.") from None


def _unpacked(box: zipfile.ZipFile, path: str, most: int = MOST_UNPACKED) -> bytes:
    """An entry, counted while it is unpacked: what the directory says of sizes need not be true."""
    with box.open(path) as entry:
        data = entry.read(most + 1)
    if len(data) > most:
        raise FileFormatError(f"The archive unpacks to more than {most // 1024**2} MB.")
    return data
