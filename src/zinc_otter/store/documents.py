"""A design as a JSON document whose arrays are named by the hash of their contents."""

from __future__ import annotations

import hashlib
import io
import zlib
from collections.abc import Mapping
from dataclasses import asdict, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from zinc_otter.core.cage import Cage, Topology
from zinc_otter.core.cage.symmetry import Group, Plane, Symmetry
from zinc_otter.core.cage.symmetry.line_symmetry import LineSymmetry
from zinc_otter.core.curve import Curve
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.form import Form, controls
from zinc_otter.core.growth import Growth, Pulls
from zinc_otter.core.growth.mirrored import MirroredCopy
from zinc_otter.core.relief.stamps.stamp import Stamp
from zinc_otter.core.repeated import Repeated
from zinc_otter.store.relief_documents import read_relief, relief_blobs, relief_document
from zinc_otter.studio.design import Design, OwnStamp, Piece, growing_order
from zinc_otter.studio.followers import follower_document, read_follower
from zinc_otter.studio.growths import growth_document, read_growth
from zinc_otter.studio.proofs import proof_document, read_proof
from zinc_otter.studio.references import Component, Picture, Reference

FORMAT = 12
"""1 had neither references nor locks, colours and groups of pieces, 2 no symmetry, 3 no followers, 4 neither curves nor what
grows, only mirrored copies, 5 neither stones nor proofs, 6 no dimensions and finishes, 7 no scans, 8 no relief, 11 neither
images that stand so far apart nor seams that are proved; they are still read."""


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
            **({} if cage.relief is None else {"relief": relief_document(cage.relief, put)}),
        }

    def form_document(form: Form) -> dict[str, Any]:
        if isinstance(form, Repeated):
            # It is what grows from the others, and holds nothing of its own.
            return {"images": form.count}
        if not isinstance(form, Curve):
            return {"cage": cage_document(form)}
        return {
            "curve": {
                "points": put(form.points),
                "sharpness": put(form.sharpness),
                "degree": form.degree,
                "closed": form.closed,
            }
        }

    def symmetry_document(symmetry: Symmetry | None) -> dict[str, Any] | None:
        if symmetry is None:
            return None
        return {"group": asdict(symmetry.group), "corners": [put(images) for images in symmetry.corners]}

    pieces = [
        {
            **{key: getattr(p, key) for key in _PIECE_KEYS},
            **form_document(p.form),
            "symmetry": symmetry_document(p.symmetry),
            "grown": None if p.grown is None else growth_document(p.grown),
            "pulled": None if p.pulled is None else {"layout": p.pulled.layout, "local": put(p.pulled.local)},
            "followers": [follower_document(follower) for follower in p.followers],
        }
        for p in design.pieces
    ]
    references = [{"kind": type(r).__name__.lower(), **asdict(r)} for r in design.references]
    proofs = [proof_document(proof) for proof in design.proofs]
    stamps = [
        {
            "id": own.id, "name": own.name, "tiles": own.stamp.tiles, "width": own.stamp.width, "height": own.stamp.height,
            "heights": put(own.stamp.heights),
        }
        for own in design.stamps
    ]  # fmt: skip
    parts = {"pieces": pieces, "references": references, "proofs": proofs, "stamps": stamps}
    return {"format": FORMAT, "next_number": design.next_number, **parts}, blobs


def blob_hashes(document: Mapping[str, Any]) -> set[str]:
    """The hashes of all arrays that a document names, and of the assets of its references."""
    found: set[str] = asset_hashes(document)
    found.update(stamp["heights"] for stamp in document.get("stamps", ()))
    for piece in document["pieces"]:
        for key, value in piece.get("cage", {}).items():
            if key == "relief":
                continue
            found.update(value.values() if isinstance(value, dict) else [value])
        if relief := piece.get("cage", {}).get("relief"):
            found.update(relief_blobs(relief))
        found.update(piece["curve"][key] for key in ("points", "sharpness") if "curve" in piece)
        if piece.get("pulled"):
            found.add(piece["pulled"]["local"])
        if piece.get("symmetry"):
            found.update(piece["symmetry"]["corners"])
    return found


def asset_hashes(document: Mapping[str, Any]) -> set[str]:
    """The hashes of the pictures and meshes that a document's references show, and of the solids that followers take."""
    return set(asset_kinds(document))


def asset_kinds(document: Mapping[str, Any]) -> dict[str, str]:
    """Of each such hash, what it must be: "picture", "mesh" or "solid"."""
    shown = {"picture": "picture", "component": "mesh"}
    found = {reference["asset"]: shown[reference["kind"]] for reference in document.get("references", [])}
    for piece in document["pieces"]:
        for follower in piece.get("followers", ()):
            found |= dict.fromkeys(read_follower(follower).solids, "solid")
    return found


def from_document(document: Mapping[str, Any], blobs: Mapping[str, bytes]) -> Design:
    """The design of a document, given its blobs."""

    def get(digest: str) -> NDArray[Any]:
        return np.asarray(np.load(io.BytesIO(zlib.decompress(blobs[digest])), allow_pickle=False))

    def cage_of(cage: Mapping[str, Any]) -> Cage:
        positions = get(cage["positions"])
        topology = Topology(len(positions), get(cage["face_verts"]), get(cage["face_offsets"]))
        face_sets = {name: get(digest) for name, digest in cage["face_sets"].items()}
        relief = read_relief(cage["relief"], topology, get) if "relief" in cage else None
        return Cage(positions, topology, get(cage["edge_sharpness"]), get(cage["vertex_sharpness"]), face_sets, relief)

    def form_of(p: Mapping[str, Any]) -> Form:
        if "images" in p:
            if not p.get("grown"):
                raise BadNumberError(f"{p.get('name', 'A piece')} is images of others, and does not say of which.")
            return Repeated(())
        if "curve" not in p:
            return cage_of(p["cage"])
        curve = p["curve"]
        return Curve(get(curve["points"]), curve["degree"], curve["closed"], get(curve["sharpness"]))

    def piece_of(p: Mapping[str, Any]) -> Piece:
        form = form_of(p)
        symmetry = None
        if (held := p.get("symmetry")) and not isinstance(form, Repeated):
            corners = tuple(get(digest) for digest in held["corners"])
            kind = LineSymmetry if isinstance(form, Curve) else Symmetry
            symmetry = kind(_group(held["group"]), controls(form).topology, corners)
        pulled = p.get("pulled") and Pulls(p["pulled"]["layout"], get(p["pulled"]["local"]))
        facts = {key: p[key] for key in _PIECE_KEYS if key in p}
        followers = tuple(read_follower(follower) for follower in p.get("followers", ()))
        return Piece(**facts, form=form, symmetry=symmetry, grown=_growth(p), pulled=pulled or None, followers=followers)

    pieces = tuple(piece_of(p) for p in document["pieces"])
    references = tuple(_reference(r) for r in document.get("references", []))
    proofs = tuple(read_proof(proof) for proof in document.get("proofs", ()))
    stamps = tuple(
        OwnStamp(s["id"], s["name"], Stamp(get(s["heights"]), s["tiles"], s["width"], s["height"]))
        for s in document.get("stamps", ())
    )
    design = Design(pieces, document["next_number"], references, proofs, stamps)
    for piece in growing_order(design.pieces):
        if isinstance(piece.form, Repeated):
            grown = design.regrown(piece)
            design = replace(design, pieces=tuple(grown if p.id == piece.id else p for p in design.pieces))
    return design


_PIECE_KEYS = ("id", "name", "visible", "locked", "colour", "finish", "group", "original", "relief_in_solid")


def _growth(p: Mapping[str, Any]) -> Growth | None:
    if p.get("grown"):
        return read_growth(p["grown"])
    if old := p.get("follows"):
        return MirroredCopy(old["source"], _plane(old["plane"]))
    return None


def _group(data: Mapping[str, Any]) -> Group:
    axis = data["axis"] and _plane(data["axis"])
    return Group(tuple(_plane(plane) for plane in data["planes"]), axis or None, data["sectors"])


def _plane(data: Mapping[str, Any]) -> Plane:
    return Plane(_frozen(data["point"]), _frozen(data["normal"]))


def _reference(data: Mapping[str, Any]) -> Reference:
    # JSON has no tuples; the values are frozen and compared, so lists become tuples again.
    values = {key: _frozen(value) for key, value in data.items() if key != "kind"}
    return Picture(**values) if data["kind"] == "picture" else Component(**values)


def _frozen(value: Any) -> Any:
    return tuple(_frozen(part) for part in value) if isinstance(value, list) else value
