import { useBench } from "../../live/bench";
import { useFollowers } from "../../live/followers";
import { SolidFile } from "../../panels/cards/SolidFile";
import { CombineIcon } from "../../theme/icons";
import type { Vec } from "../../live/look";
import type { Field, Values } from "../tool";
import { towards, towardsOf, towardsValues } from "./directions";
import { followerTool, length, pieceInHand, place, pointOf } from "./follower";

type Solid =
  | { kind: "cylinder"; point: Vec; along: Vec; radius: number; height: number }
  | { kind: "cone"; point: Vec; along: Vec; radius: number; top_radius: number; height: number }
  | { kind: "ball"; point: Vec; radius: number }
  | { kind: "block"; point: Vec; size: Vec }
  | { kind: "piece"; piece: string }
  | { kind: "imported"; asset: string; point?: Vec; turned?: Vec };

const ways = ["union", "subtract", "intersect"] as const;
const bodies = ["cylinder", "cone", "ball", "block"] as const;
/** Whether it stands at a place of its own: all but another piece. */
const placed = (v: Values) => v.body < bodies.length || isImported(v);
const isImported = (v: Values) => v.body >= bodies.length + others().length;
const axes: Vec[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1]];

const imported = () => {
  const { solids, editing } = useFollowers.getState();
  const body = editing?.follower.kind === "combine" ? (editing.follower.body as Solid | undefined) : undefined;
  const own = body?.kind === "imported" && !solids.some((s) => s.asset === body.asset) ? [{ asset: body.asset, name: "imported solid" }] : [];
  return [...own, ...solids];
};

const others = () => (useBench.getState().design?.pieces ?? []).filter((p) => p.id !== pieceInHand()?.id);

export const tool = followerTool(
  {
    id: "combine",
    name: "Combine",
    order: 20,
    Icon: CombineIcon,
    hint: "Joins, cuts away or keeps what is shared with an exact body or another piece. The cage below stays.",
    fields: [
      { name: "way", label: "Do", unit: "", initial: 0, step: 1, options: ["union", "subtract", "intersect"] },
      { name: "body", label: "With", unit: "", initial: 0, step: 1, options: () => [...bodies, ...others().map((p) => p.name), ...imported().map((s) => s.name)] },
      ...place(placed),
      ...["x", "y", "z"].map((k): Field => ({ name: `turn_${k}`, label: `Turned about ${k}`, unit: "°", initial: 0, step: 5, when: isImported })),
      ...towards("along", "Towards", 2, (v) => v.body < 2),
      length("radius", "Radius", 10, { min: 0.01, when: (v) => v.body < 3 }),
      length("top", "Top radius", 5, { min: 0, when: (v) => v.body === 1 }),
      length("height", "Height", 20, { min: 0.01, when: (v) => v.body < 2 }),
      ...["width", "depth", "tall"].map((name, k) => length(name, ["Width", "Depth", "Height"][k], 20, { min: 0.01, when: (v) => v.body === 3 })),
    ],
    Below: SolidFile,
    grips: (v) => {
      if (!placed(v)) return [];
      const at = pointOf(v);
      return [0, 1, 2].map((k) => ({ kind: "grip" as const, field: "xyz"[k], at, along: axes[k], gain: 1 }));
    },
  },
  {
    kinds: ["combine"],
    make(v): { kind: "combine"; way: (typeof ways)[number]; body: Solid } | null {
      const way = ways[v.way];
      const along = towardsOf(v, "along");
      if (!along) return null;
      const point = pointOf(v);
      if (v.body === 0) return { kind: "combine", way, body: { kind: "cylinder", point, along, radius: v.radius, height: v.height } };
      if (v.body === 1) return { kind: "combine", way, body: { kind: "cone", point, along, radius: v.radius, top_radius: v.top, height: v.height } };
      if (v.body === 2) return { kind: "combine", way, body: { kind: "ball", point, radius: v.radius } };
      if (v.body === 3) return { kind: "combine", way, body: { kind: "block", point, size: [v.width, v.depth, v.tall] as Vec } };
      const solid = imported()[v.body - 4 - others().length];
      if (solid) return { kind: "combine", way, body: { kind: "imported", asset: solid.asset, point, turned: [v.turn_x, v.turn_y, v.turn_z] } };
      const other = others()[v.body - 4];
      return other ? { kind: "combine", way, body: { kind: "piece", piece: other.id } } : null;
    },
    read(f): Values {
      const way = ways.indexOf(f.way ?? "union");
      const body = f.body as Solid | undefined;
      if (!body) return { way };
      if (body.kind === "piece") return { way, body: 4 + others().findIndex((p) => p.id === body.piece) };
      const [x, y, z] = body.point ?? [0, 0, 0];
      if (body.kind === "imported") {
        const [turn_x, turn_y, turn_z] = body.turned ?? [0, 0, 0];
        return { way, x, y, z, turn_x, turn_y, turn_z, body: 4 + others().length + imported().findIndex((s) => s.asset === body.asset) };
      }
      const at = { way, x, y, z, body: bodies.indexOf(body.kind) };
      if (body.kind === "block") {
        const [width, depth, tall] = body.size;
        return { ...at, width, depth, tall };
      }
      if (body.kind === "ball") return { ...at, radius: body.radius };
      const round = { ...at, ...towardsValues("along", body.along), radius: body.radius, height: body.height };
      return body.kind === "cone" ? { ...round, top: body.top_radius } : round;
    },
  },
);
