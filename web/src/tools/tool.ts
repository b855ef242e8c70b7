/** The shape of every tool. A new tool is a new file in this folder: it is found by itself. */
import type { ComponentType } from "react";
import type { SvgIconProps } from "@mui/material/SvgIcon";
import type { Command, Kind } from "../live/types";

export type StationId = "set-out" | "rough" | "shape" | "refine" | "prove" | "make";
export type Values = Record<string, number>;

export interface Field {
  name: string;
  label: string;
  unit: string;
  initial: number;
  step: number;
  min?: number;
  max?: number;
  whole?: boolean;
  /** Keep the value after it was applied, so that the same can be done again. */
  keep?: boolean;
  slider?: boolean;
}

export interface Target {
  piece: string;
  picked: { kind: Kind; ids: number[] };
}

/** A part of the handle; axes are 0, 1, 2 for x, y, z. */
export type Part =
  | { kind: "axis"; axis: number }
  | { kind: "plane"; axis: number }
  | { kind: "arc"; axis: number }
  | { kind: "knob"; axis: number }
  | { kind: "normal" }
  | { kind: "bead" };

/** How far a part was dragged: mm along it, degrees about it, or a factor; for a plane a vector in mm. */
export type Drag = { part: Part; amount: number; vector: [number, number, number] };

export interface Tool {
  id: string;
  name: string;
  /** The one key that takes the tool up. */
  key: string;
  station: StationId;
  order: number;
  Icon: ComponentType<SvgIconProps>;
  hint: string;
  needs: "nothing" | "selection" | "faces" | "piece";
  /** The verb on the card's button. */
  verb: string;
  fields: Field[];
  /** The command for these values, or null while they would change nothing. */
  command?(values: Values, target: Target | null): Command | null;
  parts?: Part[];
  /** The values after a drag of a part, and the field that a number typed meanwhile goes to. */
  dragged?(drag: Drag): { values: Values; field: string };
  /** Sets other values that follow from one that was typed. */
  typed?(values: Values, field: string): Values;
  /** Done at once when taken up, with nothing to set. */
  atOnce?: boolean;
  /** In place of fields: a card of its own. */
  Card?: ComponentType;
}

export const axes = [0, 1, 2];
export const axisNames = ["x", "y", "z"] as const;
