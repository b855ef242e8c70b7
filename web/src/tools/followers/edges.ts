/** What the tools on edges of bodies share: the choice by what made the faces beside them, or by a click on one. */
import { type Between, meantLines, sameEdges, useBodies } from "../../live/bodies";
import { useBench } from "../../live/bench";
import { edgesOf, edgeWords } from "../../live/followers";
import type { Vec } from "../../live/look";
import type { PieceState } from "../../live/types";
import { bodyEdgeAt } from "../../viewport/bodyEdges";
import { type Pointing, useSketch } from "../../viewport/pointing";
import type { Field, Values } from "../tool";
import { length, pieceInHand } from "./follower";

const alone = (v: Values) => v.only === 1;

export const edgeFields: Field[] = [
  {
    name: "edge", label: "Edges", unit: "", initial: 0, step: 1,
    options: () => {
      const piece = pieceInHand();
      const found = edgesOf(piece);
      return piece && found.length ? found.map((edge) => edgeWords(piece, edge)) : ["no edges yet"];
    },
  },
  { name: "only", label: "Of these", unit: "", initial: 0, step: 1, options: ["all", "one alone"] },
  ...["x", "y", "z"].map((axis) => length(`near_${axis}`, `Near ${axis}`, 0, { step: 1, more: true, when: alone })),
];

export interface Chosen {
  between: Between;
  near: Vec | null;
}

/** The edges that the values mean, or null where there are none. */
export function chosenEdges(v: Values, piece: PieceState | undefined): Chosen | null {
  const between = edgesOf(piece)[v.edge];
  return between ? { between, near: alone(v) ? [v.near_x, v.near_y, v.near_z] : null } : null;
}

/** The values that mean a follower's edges. */
export function edgeValues(follower: { between?: string[]; near?: number[] | null }): Values {
  const between = (follower.between ?? ["piece", "piece"]) as Between;
  const [x, y, z] = follower.near ?? [0, 0, 0];
  const edge = Math.max(edgesOf(pieceInHand()).findIndex((e) => sameEdges(e, between)), 0);
  return { edge, only: follower.near ? 1 : 0, near_x: x, near_y: y, near_z: z };
}

useSketch.subscribe(({ hover }) => {
  if (!hover && useBodies.getState().under) useBodies.setState({ under: null });
});

/** A click on an edge of the body takes it, alone where there are others of the same name. */
export const edgePointing: Pointing = {
  active: () => true,
  find(picker, x, y) {
    const piece = pieceInHand();
    const found = piece && bodyEdgeAt(picker, piece.id, x, y);
    if (found) useBodies.setState({ under: { piece: piece.id, between: found.between, near: found.point } });
    return found ? { point: found.point, on: "edge", normal: null, vertices: [], piece: piece.id, reference: null } : null;
  },
  click(spot) {
    const piece = pieceInHand();
    const { under: found } = useBodies.getState();
    if (!piece || !found) return;
    const all = meantLines({ ...found, near: null }).length === meantLines(found).length;
    const [near_x, near_y, near_z] = spot.point.map((x) => +x.toFixed(3));
    const { values, setValues } = useBench.getState();
    setValues({ ...values, edge: edgesOf(piece).findIndex((e) => sameEdges(e, found.between)), only: all ? 0 : 1, near_x, near_y, near_z });
  },
  key: () => false,
};
