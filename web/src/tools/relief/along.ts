/** A stroke led along picked edges, or along a curve. */
import { quickLevel } from "../../model/relief";
import { drawn, verb } from "../../model/tool";
import { choice, entryOf, list, parameter } from "../shared/fields";
import { stampOrNone } from "../shared/stamps";

const axes = { z: [0, 0, 1], x: [1, 0, 0], y: [0, 1, 0] } as const;

const lines = list("Along", ({ design, pickKind, picked }) => [
  ...(pickKind === "edge" && picked.length ? [{ id: "edges", words: "the picked edges" }] : []),
  ...(design?.pieces ?? []).filter((p) => p.curve).map(({ id, name }) => ({ id, words: name })),
], { keep: true });

export const tool = verb({
  id: "stroke-along",
  name: "Stroke along",
  station: "relief",
  section: "Stamps",
  order: 45,
  icon: drawn(["M3 18c5 0 6-12 18-12", "M7 20.500c4-1 5-4 7-7M5 14c3-1 4-3 6-5"]),
  also: "curve edges path rope line",
  hint: "Leads a brush along the picked edges (E), or along a curve of the design.",
  needs: "piece",
  eager: true,
  verb: "Lead",
  missing: ({ piece, pickKind, picked, design }) => {
    if (!piece || piece.curve) return "Take a piece with faces in hand first.";
    return (pickKind === "edge" && picked.length) || design?.pieces.some((p) => p.curve) ? undefined : "Pick edges (E) first, or put a curve down.";
  },
  fields: {
    along: lines,
    brush: choice("Brush", { draw: "draw out", groove: "groove", inflate: "inflate", smooth: "smooth", pinch: "pinch", scrape: "scrape", mask: "mask" }, { keep: true }),
    radius: parameter("sculpt", "radius", { initial: 1, keep: true }),
    height: parameter("sculpt", "height", { initial: 0.3, keep: true }),
    strength: parameter("sculpt", "strength", { keep: true }),
    stamp: stampOrNone,
    opposite: parameter("sculpt", "opposite", { keep: true }),
    hardness: parameter("sculpt", "hardness", { keep: true, more: true }),
    around: parameter("sculpt", "around", { keep: true, more: true }),
    axis: choice("Axis", { z: "z", x: "x", y: "y" }, { keep: true, more: true }),
    level: { ...parameter("sculpt", "level", { keep: true, more: true }), initial: 0, min: 0 },
  },
  moreWords: "Stroke…",
  shown: {
    height: (v) => raises(v.brush),
    strength: (v) => !raises(v.brush),
    stamp: (v) => v.brush === "draw" || v.brush === "inflate",
    axis: (v) => v.around > 1,
  },
  command(v, context) {
    const { piece, picked } = context;
    const cage = piece && context.arrays(piece.id)?.cage;
    const id = entryOf(lines.entries(context), v.along)?.id;
    if (!piece || !cage || !id) return null;
    const along = id === "edges" ? { kind: "edge" as const, ids: picked } : id;
    const stamped = (v.brush === "draw" || v.brush === "inflate") && v.stamp ? v.stamp : "none";
    return {
      kind: "sculpt", piece: piece.id, brush: v.brush, along, radius: v.radius, height: v.height, strength: v.strength / 100,
      opposite: v.opposite === "yes", hardness: v.hardness / 100, around: v.around, axis: [...axes[v.axis]], stamp: stamped,
      level: v.level || Math.max(piece.relief?.depth ?? 0, quickLevel(cage)),
    };
  },
});

const raises = (brush: string) => brush === "draw" || brush === "groove" || brush === "inflate";
