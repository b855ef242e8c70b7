import { useBench } from "../../live/bench";
import { useFollowers } from "../../live/followers";
import { TrimIcon } from "../../theme/icons";
import type { Values } from "../tool";
import { atOf, footAt, towards, towardsOf, towardsValues } from "./directions";
import { followerTool, length, pieceInHand } from "./follower";

/** The pieces that can be trimmed by: open ones, and the one that an edited trim names. */
const sheets = () => {
  const own = useFollowers.getState().editing?.follower;
  const named = own?.kind === "trim-sheet" ? own.sheet : null;
  const others = (useBench.getState().design?.pieces ?? []).filter((p) => p.id !== pieceInHand()?.id);
  return others.filter((p) => p.open_edge_count > 0 || p.id === named);
};
const plane = (v: { by: number }) => v.by === 0;

export const tool = followerTool(
  {
    id: "trim",
    name: "Trim",
    order: 22,
    Icon: TrimIcon,
    hint: "Cuts off all that lies beyond a plane or an open piece. A fillet can round the rim. The bead moves the plane.",
    fields: [
      { name: "by", label: "By", unit: "", initial: 0, step: 1, options: () => ["a plane", ...sheets().map((p) => p.name)] },
      ...towards("side", "Cut off towards", 5, (v) => v.by === 0),
      length("at", "At", 0, { step: 1, when: (v) => v.by === 0 }),
      { name: "flipped", label: "Cut off", unit: "", initial: 0, step: 1, options: ["the front of its faces", "the back of its faces"], when: (v) => v.by > 0 },
    ],
    grips: (v) => {
      const side = plane(v as { by: number }) ? towardsOf(v, "side") : null;
      return side ? [{ kind: "grip", field: "at", at: footAt(side, v.at), along: footAt(side, 1), gain: 1 }] : [];
    },
  },
  {
    kinds: ["trim", "trim-sheet"],
    make(v) {
      const normal = towardsOf(v, "side");
      if (v.by === 0) return normal && { kind: "trim", normal, point: footAt(normal, v.at) };
      const sheet = sheets()[v.by - 1];
      return sheet ? { kind: "trim-sheet", sheet: sheet.id, flipped: v.flipped === 1 } : null;
    },
    read(f): Values {
      if (f.kind === "trim-sheet") return { by: 1 + sheets().findIndex((p) => p.id === f.sheet), flipped: f.flipped ? 1 : 0 };
      const values = towardsValues("side", f.normal ?? [0, 0, 1]);
      return { ...values, by: 0, at: atOf(towardsOf(values, "side")!, f.point ?? [0, 0, 0]) };
    },
  },
);
