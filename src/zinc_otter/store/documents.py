"""A design as a JSON document whose arrays are named by the hash of their contents."""

from __future__ import annotations

import hashlib
import io
import zlib
from collections.abc import Mapping
from dataclasses import asdict
from typing import Any

import numpy as np
from numpy.typing import NDArray

from zinc_otter.core.cage import Cage, Topology
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.references import Component, Picture, Reference

FORMAT = 2
"""1 had neither references nor locks, colours and groups of pieces; it is still read."""


def to_document(design: Design) -> tuple[dict[str, Any], dict[str, bytes]]:
    """The JSON document of a design, and its arrays as compressed blobs by hash."""
    blobs: dict[str, bytes] = {}

    def put(array: NDArray[Any]) -> str:
        buffer = io.BytesIO()
        np.save(buffer, array, allow_pickle=False)
        raw = buffer.getvalue()
        digest = hashlib.sha256(raw).hexdigest()
        blobs.setdefault(digest, zlib.compress(raw, 6))
        return digest

    def cage_document(cage: Cage) -> dict[str, Any]:
        t = cage.topology
        return {
            "positions": put(cage.positions),
            "face_verts": put(t.face_verts),
            "face_offsets": put(t.face_offsets),
            "edge_sharpness": put(cage.edge_sharpness),
            "vertex_sharpness": put(cage.vertex_sharpness),
            "face_sets": {name: put(faces) for name, faces in cage.face_sets.items()},
        }

    pieces = [{**{key: getattr(p, key) for key in _PIECE_KEYS}, "cage": cage_document(p.cage)} for p in design.pieces]
    references = [{"kind": type(r).__name__.lower(), **asdict(r)} for r in design.references]
    return {"format": FORMAT, "next_number": design.next_number, "pieces": pieces, "references": references}, blobs


def blob_hashes(document: Mapping[str, Any]) -> set[str]:
    """The hashes of all arrays that a document names, and of the assets of its references."""
    found: set[str] = asset_hashes(document)
    for piece in document["pieces"]:
        for value in piece["cage"].values():
            found.update(value.values() if isinstance(value, dict) else [value])
    return found


def asset_hashes(document: Mapping[str, Any]) -> set[str]:
    """The hashes of the pictures and meshes that a document's references show."""
    return {reference["asset"] for reference in document.get("references", [])}


def from_document(document: Mapping[str, Any], blobs: Mapping[str, bytes]) -> Design:
    """The design of a document, given its blobs."""

    def get(digest: str) -> NDArray[Any]:
        return np.asarray(np.load(io.BytesIO(zlib.decompress(blobs[digest])), allow_pickle=False))

    def cage_of(cage: Mapping[str, Any]) -> Cage:
        positions = get(cage["positions"])
        topology = Topology(len(positions), get(cage["face_verts"]), get(cage["face_offsets"]))
        face_sets = {name: get(digest) for name, digest in cage["face_sets"].items()}
        return Cage(positions, topology, get(cage["edge_sharpness"]), get(cage["vertex_sharpness"]), face_sets)

    pieces = tuple(
        Piece(**{key: p[key] for key in _PIECE_KEYS if key in p}, cage=cage_of(p["cage"])) for p in document["pieces"]
    )
    references = tuple(_reference(r) for r in document.get("references", []))
    return Design(pieces, document["next_number"], references)


_PIECE_KEYS = ("id", "name", "visible", "locked", "colour", "group", "original")


def _reference(data: Mapping[str, Any]) -> Reference:
    # JSON has no tuples; the values are frozen and compared, so lists become tuples again.
    values = {key: _frozen(value) for key, value in data.items() if key != "kind"}
    return Picture(**values) if data["kind"] == "picture" else Component(**values)


def _frozen(value: Any) -> Any:
    return tuple(_frozen(part) for part in value) if isinstance(value, list) else value
