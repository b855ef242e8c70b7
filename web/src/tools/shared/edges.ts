/** What the tools on edges of bodies share: the choice by what made the faces beside them, or by a click on one. */
import { type Between, edgesOn, edgeWords, meantLines } from "../../model/bodies";
import type { Context } from "../../model/context";
import type { Fields, ValuesOf } from "../../model/fields";
import type { Pointing } from "../../model/tool";
import type { Values } from "../../model/values";
import type { Vec } from "../../model/vec";
import { choice, entryOf, list } from "./fields";
import { length } from "./follower";

const edgesHere = ({ body, editing }: Context): Between[] => edgesOn(body, editing?.follower ?? null);

/** Two makers tell the edges between them, whichever is named first. */
const idOf = (between: Between): string => [...between].sort().join(" ");

const near = (axis: string) => length(`Near ${axis}`, 0, { step: 1, more: true });

export const edgeFields = {
  edge: list("Edges", (context) => {
    const { piece } = context;
    const found = edgesHere(context);
    return piece && found.length
      ? found.map((between) => ({ id: idOf(between), words: edgeWords(piece, between) }))
      : [{ id: "", words: "no edges yet" }];
  }),
  only: choice("Of these", { all: "all", alone: "one alone" }),
  near_x: near("x"),
  near_y: near("y"),
  near_z: near("z"),
} satisfies Fields;

type EdgeValues = ValuesOf<typeof edgeFields>;
const alone = (v: EdgeValues) => v.only === "alone";

export const edgeShown = { near_x: alone, near_y: alone, near_z: alone };

export interface Chosen {
  between: Between;
  near: Vec | null;
}

/** The edges that the values mean, or null where there are none. */
export function chosenEdges(v: EdgeValues, context: Context): Chosen | null {
  const found = edgesHere(context);
  const between = entryOf(found.map((edge) => ({ id: idOf(edge), edge })), v.edge)?.edge;
  return between ? { between, near: alone(v) ? [v.near_x, v.near_y, v.near_z] : null } : null;
}

/** As `chosenEdges`, for the values of whatever tool is in hand. */
export const chosenBy = (values: Values, context: Context): Chosen | null =>
  "edge" in values && "near_x" in values ? chosenEdges(values as unknown as EdgeValues, context) : null;

/** The values that mean a follower's edges. */
export function edgeValues(follower: { between?: string[]; near?: number[] | null }): EdgeValues {
  const between = (follower.between ?? ["piece", "piece"]) as Between;
  const [near_x, near_y, near_z] = follower.near ?? [0, 0, 0];
  return { edge: idOf(between), only: follower.near ? "alone" : "all", near_x, near_y, near_z };
}

/** A click on an edge of the body takes it, alone where there are others of the same name. */
export const edgePointing: Pointing = {
  active: () => true,
  query: () => ({ bodyEdges: true }),
  click(spot, _towards, { piece, body }, hands) {
    if (!piece || !spot.between) return;
    const meant = { piece: piece.id, between: spot.between, near: spot.point };
    const all = meantLines({ ...meant, near: null }, body).length === meantLines(meant, body).length;
    const [near_x, near_y, near_z] = spot.point.map((x) => +x.toFixed(3));
    hands.set({ edge: idOf(spot.between), only: all ? "all" : "alone", near_x, near_y, near_z } satisfies EdgeValues);
  },
};
