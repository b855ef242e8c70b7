import type { Context } from "../../model/context";
import { drawn } from "../../model/tool";
import { world } from "../../model/vec";
import { atOf, directionOf, footAt, towards, towardsValues, typedShown } from "../shared/directions";
import { choice, list } from "../shared/fields";
import { followerTool, length, otherPieces } from "../shared/follower";
import { grip } from "../shared/placing";

const plane = "plane";

/** The pieces that can be trimmed by: open ones, and the one that an edited trim names. */
function sheets(context: Context) {
  const own = context.editing?.follower;
  const named = own?.kind === "trim-sheet" ? own.sheet : null;
  return otherPieces(context).filter((p) => p.open_edge_count > 0 || p.id === named);
}

const byPlane = (v: { by?: unknown }) => v.by === plane || v.by === "";

export const tool = followerTool({
  id: "trim",
  name: "Trim",
  order: 22,
  icon: drawn(["M5 13c0-6 3-9 7-9s7 3 7 9", "M3 13h18", "M6.500 16.500c1.500 2 3.200 3 5.500 3s4-1 5.500-3"]),
  also: "cut slice plane",
  hint: "Cuts off all that lies beyond a plane or an open piece. A fillet can round the rim. The bead moves the plane.",
  fields: {
    by: list("By", (context) => [{ id: plane, words: "a plane" }, ...sheets(context).map(({ id, name }) => ({ id, words: name }))]),
    ...towards("side", "Cut off towards", "-z", "Towards"),
    at: length("At", 0, { step: 1 }),
    flipped: choice("Cut off", { front: "the front of its faces", back: "the back of its faces" }),
  },
  shown: { ...typedShown("side", byPlane), at: byPlane, flipped: (v) => !byPlane(v) },
  grips(v) {
    const side = byPlane(v) ? directionOf(v, "side") : null;
    return side ? [grip("at", footAt(side, v.at), footAt(side, 1))] : [];
  },
  kinds: ["trim", "trim-sheet"],
  make(v, _piece, context) {
    const normal = directionOf(v, "side");
    if (byPlane(v)) return normal && { kind: "trim", normal, point: footAt(normal, v.at) };
    const sheet = sheets(context).find((p) => p.id === v.by);
    return sheet ? { kind: "trim-sheet", sheet: sheet.id, flipped: v.flipped === "back" } : null;
  },
  read(f) {
    if (f.kind === "trim-sheet") return { by: f.sheet, flipped: f.flipped ? "back" : "front" };
    const values = towardsValues("side", f.normal ?? [0, 0, 1]);
    const side = directionOf({ side: "-z", side_x: 0, side_y: 0, side_z: 1, ...values }, "side") ?? world[2];
    return { ...values, by: plane, at: atOf(side, f.point ?? [0, 0, 0]) };
  },
});
