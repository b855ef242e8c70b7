/** A stamp laid over picked faces: once, or in tiles, flat or round an axis. */
import { quickLevel } from "../../model/relief";
import { drawn, verb } from "../../model/tool";
import { choice, entryOf, parameter } from "../shared/fields";
import { anyStamp } from "../shared/stamps";

const axes = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const;

export const tool = verb({
  id: "cover",
  name: "Cover faces",
  station: "relief",
  section: "Stamps",
  order: 44,
  icon: drawn(["M4 18l4-12h12l-4 12z", "M9.500 14l1-3M13 14l1-3M6 12.500h11.500"]),
  also: "tile texture pattern project stamp picture",
  hint: "Lays a stamp over the picked faces (F), or the whole piece (W). Below 0 it is pressed in. Round an axis a whole number of tiles fits.",
  needs: "selection",
  takes: ["face", "piece"],
  verb: "Cover",
  fields: {
    stamp: anyStamp,
    height: parameter("cover-faces", "height", { keep: true }),
    tiles: choice("Tiles", { tiled: "of a size", once: "once over all" }, { keep: true }),
    size: parameter("cover-faces", "size", { keep: true }),
    way: parameter("cover-faces", "way", { keep: true }),
    axis: choice("Axis", { z: "z", x: "x", y: "y" }, { keep: true }),
    from: choice("Seen", { normal: "from their mean normal", view: "as it is seen now" }, { keep: true }),
    soft: parameter("cover-faces", "soft", { keep: true, more: true }),
    turned: parameter("cover-faces", "turned", { keep: true, more: true }),
    level: { ...parameter("cover-faces", "level", { keep: true }), initial: 0, min: 0 },
  },
  shown: {
    size: (v) => v.tiles === "tiled",
    axis: (v) => v.way === "round",
    from: (v) => v.way === "flat",
  },
  moreWords: "Edge…",
  eager: true,
  command(v, context) {
    const { target, piece, view } = context;
    const cage = piece && context.arrays(piece.id)?.cage;
    const stamp = entryOf(anyStamp.entries(context), v.stamp);
    if (!target || !cage || !stamp) return null;
    const level = v.level || Math.max(piece.relief?.depth ?? 0, quickLevel(cage));
    return {
      kind: "cover-faces", piece: target.piece, picked: target.picked, stamp: stamp.id, level, height: v.height,
      size: v.tiles === "once" ? 0 : v.size, way: v.way, axis: [...axes[v.axis]], turned: v.turned, soft: v.soft,
      along: v.way === "flat" && v.from === "view" ? view.frame[2] : null,
    };
  },
});
