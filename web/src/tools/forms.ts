/** What the tools for primitives share: where they stand, what their sizes mean, and beads on the form. */
import type { Vec } from "../live/look";
import { axisNames, type Field, type Part, type Tool, type Values } from "./tool";

export const size = (name: string, label: string, initial: number, more: Partial<Field> = {}): Field => ({
  name, label, unit: "mm", initial, step: 1, min: 0.001, ...more,
});
export const count = (name: string, label: string, initial: number, min = 1): Field => ({
  name, label, unit: "", initial, step: 1, min, whole: true,
});
/** How much of the way to its goal a verb goes. */
export const shareOfTheWay = (more: Partial<Field> = {}): Field => ({
  name: "share", label: "Share of the way", unit: "%", initial: 100, step: 10, min: 0, max: 100, ...more,
});
export const sharpness = (name: string, label: string, more: Partial<Field> = {}): Field => ({
  name, label, unit: "", initial: 0, step: 0.5, min: 0, max: 10, ...more,
});

const place = (name: string): Field => ({ name: `at ${name}`, label: `Middle ${name}`, unit: "mm", initial: 0, step: 1, more: true });

const stand: Field = { name: "stands", label: "Stands along", unit: "", initial: 0, step: 1, options: ["z", "x", "y"], more: true };
const keep: Field = {
  name: "keep", label: "Keep", unit: "", initial: 0, step: 1,
  options: ["the whole", "x side of a mirror", "y side of a mirror", "z side of a mirror"], more: true,
};
const half: Field = {
  name: "half", label: "Sizes hold", unit: "", initial: 0, step: 1, options: ["once mirrored", "for the open half"], more: true,
  when: (v) => v.keep > 0 && !v["size of"],
};
const sizeOf: Field = {
  name: "size of", label: "Sizes of", unit: "", initial: 0, step: 1, options: ["smooth surface", "control cage"],
};

const caps: Record<number, "open" | "bottom" | "top" | "both"> = { 0: "both", 1: "bottom", 2: "top", 3: "open" };
export const capsField: Field = {
  name: "caps", label: "Caps", unit: "", initial: 0, step: 1, options: ["both", "bottom", "top", "none"],
};
export const capsOf = (v: Values) => caps[v.caps];

const turned: Record<number, [number, number, number]> = { 0: [0, 1, 2], 1: [1, 2, 0], 2: [2, 0, 1] };

/** A direction of the form's own in the world: own axis k goes to the world's axis turned[stands][k]. */
export function own(values: Values, k: number): Vec {
  const direction: Vec = [0, 0, 0];
  direction[turned[values.stands ?? 0][k]] = 1;
  return direction;
}

const middle = (v: Values): Vec => [v["at x"] ?? 0, v["at y"] ?? 0, v["at z"] ?? 0];

/** A bead that sets a size: it lies `share` of the size from the middle along one of the form's own axes. */
export function grip(v: Values, field: string, k: number, share = 0.5, from = 0): Extract<Part, { kind: "grip" }> {
  const along = own(v, k);
  const at = middle(v).map((x, i) => x + along[i] * (from + v[field] * share)) as Vec;
  return { kind: "grip", field, at, along, gain: 1 / share };
}

type Form = Pick<Tool, "id" | "name" | "key" | "order" | "Icon" | "hint" | "fields"> & {
  form(values: Values): object;
  sizes?(values: Values): Extract<Part, { kind: "grip" }>[];
  /** Where sizes of surface and cage are the same, the choice is left out. */
  oneSize?: boolean;
};

export function formTool({ form, sizes, oneSize, fields, ...rest }: Form): Tool {
  return {
    ...rest,
    station: "rough",
    needs: "nothing",
    verb: "Put down",
    fields: [...fields, ...(oneSize ? [] : [sizeOf]), stand, keep, half, ...axisNames.map(place)],
    command: (v) => ({
      ...(form(v) as { kind: "add-sphere"; diameter: number }),
      centre: middle(v),
      stands: (["z", "x", "y"] as const)[v.stands],
      keep: (["whole", "x", "y", "z"] as const)[v.keep],
      half: v.half ? "alone" : "mirrored",
      size_of: v["size of"] ? "cage" : "surface",
    }),
    grips: (v) => [
      ...(sizes?.(v) ?? []),
      ...[0, 1, 2].map((k) => {
        const along = [0, 0, 0].map((_, i) => (i === k ? 1 : 0)) as Vec;
        return { kind: "grip" as const, field: `at ${axisNames[k]}`, at: middle(v), along, gain: 1 };
      }),
    ],
  };
}
