import type { Context } from "../../model/context";
import { drawn } from "../../model/tool";
import type { SolidFile } from "../../model/types";
import type { Vec } from "../../model/vec";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle, choice, list } from "../shared/fields";
import { followerTool, length, otherPieces, point, pointOf, pointValues } from "../shared/follower";
import { pointGrips } from "../shared/placing";

type Solid =
  | { kind: "cylinder"; point: Vec; along: Vec; radius: number; height: number }
  | { kind: "cone"; point: Vec; along: Vec; radius: number; top_radius: number; height: number }
  | { kind: "ball"; point: Vec; radius: number }
  | { kind: "block"; point: Vec; size: Vec }
  | { kind: "piece"; piece: string }
  | { kind: "imported"; asset: string; point?: Vec; turned?: Vec };

const exact = ["cylinder", "cone", "ball", "block"] as const;
/** What a solid from a file is called in the list of what there is to combine with. */
export const fromFile = (asset: string): string => `file ${asset}`;

/** Solids from files: those that were brought in, and the one that an edited follower names. */
function filesOf({ solids, editing }: Context): Pick<SolidFile, "asset" | "name">[] {
  const body = editing?.follower.kind === "combine" ? (editing.follower.body as Solid | undefined) : undefined;
  const own = body?.kind === "imported" && !solids.some((s) => s.asset === body.asset) ? [{ asset: body.asset, name: "imported solid" }] : [];
  return [...own, ...solids];
}

const is = (...bodies: string[]) => (v: { body?: unknown }) => bodies.includes((v.body as string) || "cylinder");
const imported = (v: { body?: unknown }) => String(v.body).startsWith("file ");
const round = is("cylinder", "cone", "ball");
const tall = is("cylinder", "cone");
const block = is("block");
/** Whether it stands at a place of its own: all but another piece. */
const placed = (v: { body?: unknown }) => is(...exact)(v) || imported(v);

export const tool = followerTool({
  id: "combine",
  name: "Combine",
  order: 20,
  icon: drawn(["M9.500 4a6 6 0 1 0 3.200 11.100", "M14.500 8a6 6 0 1 1-4.200 10.300", "M14.500 8c-.6-2.300-2.500-4-5-4"], [[12, 12]]),
  also: "subtract add unite cut boolean hole join intersect",
  hint: "Joins, cuts away or keeps what is shared with an exact body or another piece. The cage below stays.",
  fields: {
    way: choice("Do", { union: "union", subtract: "subtract", intersect: "intersect" }),
    body: list("With", (context) => [
      ...exact.map((id) => ({ id, words: id })),
      ...otherPieces(context).map(({ id, name }) => ({ id, words: name })),
      ...filesOf(context).map(({ asset, name }) => ({ id: fromFile(asset), words: name })),
    ]),
    ...point,
    turn_x: angle("Turned about x", 0), turn_y: angle("Turned about y", 0), turn_z: angle("Turned about z", 0),
    ...towards("along", "Towards", "+z"),
    radius: length("Radius", 10, { min: 0.01 }),
    top: length("Top radius", 5, { min: 0 }),
    height: length("Height", 20, { min: 0.01 }),
    width: length("Width", 20, { min: 0.01 }), depth: length("Depth", 20, { min: 0.01 }), tall: length("Height", 20, { min: 0.01 }),
  },
  shown: {
    x: placed, y: placed, z: placed, turn_x: imported, turn_y: imported, turn_z: imported, ...typedShown("along", tall),
    radius: round, top: is("cone"), height: tall, width: block, depth: block, tall: block,
  },
  below: "SolidFile",
  grips: (v) => (placed(v) ? pointGrips(["x", "y", "z"], pointOf(v)) : []),
  kinds: ["combine"],
  make(v, _piece, context): { kind: "combine"; way: typeof v.way; body: Solid } | null {
    const { way } = v;
    const along = directionOf(v, "along");
    if (!along) return null;
    const at = pointOf(v);
    if (is("cylinder")(v)) return { kind: "combine", way, body: { kind: "cylinder", point: at, along, radius: v.radius, height: v.height } };
    if (is("cone")(v)) return { kind: "combine", way, body: { kind: "cone", point: at, along, radius: v.radius, top_radius: v.top, height: v.height } };
    if (is("ball")(v)) return { kind: "combine", way, body: { kind: "ball", point: at, radius: v.radius } };
    if (block(v)) return { kind: "combine", way, body: { kind: "block", point: at, size: [v.width, v.depth, v.tall] } };
    const file = filesOf(context).find(({ asset }) => fromFile(asset) === v.body);
    if (file) return { kind: "combine", way, body: { kind: "imported", asset: file.asset, point: at, turned: [v.turn_x, v.turn_y, v.turn_z] } };
    const other = otherPieces(context).find((p) => p.id === v.body);
    return other ? { kind: "combine", way, body: { kind: "piece", piece: other.id } } : null;
  },
  read(f) {
    const way = f.way ?? "union";
    const body = f.body as Solid | undefined;
    if (!body) return { way };
    if (body.kind === "piece") return { way, body: body.piece };
    const at = { way, ...pointValues(body.point) };
    if (body.kind === "imported") {
      const [turn_x, turn_y, turn_z] = body.turned ?? [0, 0, 0];
      return { ...at, body: fromFile(body.asset), turn_x, turn_y, turn_z };
    }
    if (body.kind === "block") {
      const [width, depth, high] = body.size;
      return { ...at, body: body.kind, width, depth, tall: high };
    }
    if (body.kind === "ball") return { ...at, body: body.kind, radius: body.radius };
    const turned = { ...at, body: body.kind, ...towardsValues("along", body.along), radius: body.radius, height: body.height };
    return body.kind === "cone" ? { ...turned, top: body.top_radius } : turned;
  },
});
