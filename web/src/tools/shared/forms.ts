/** What the tools for primitives share: where they stand, what their sizes mean, and beads on the form. */
import type { Context } from "../../model/context";
import type { Fields, NumberField, ValuesOf } from "../../model/fields";
import { form, type FormOf, type Grip, type Tool } from "../../model/tool";
import type { Command } from "../../model/types";
import { axisVec, plus, type Vec } from "../../model/vec";
import { length, parameter } from "./fields";
import { grip, pointGrips } from "./placing";

/** A size of a form: more than nothing. */
export const size = (label: string, initial: number, own: Partial<NumberField> = {}): NumberField => length(label, initial, { min: 0.001, ...own });

const standing = {
  size_of: parameter("add-box", "size_of", { initial: "surface" }),
  mirrored: parameter("add-box", "mirrored"),
  stands: parameter("add-box", "stands", { more: true }),
  keep: parameter("add-box", "keep", { more: true }),
  half: parameter("add-box", "half", { more: true }),
  at_x: length("Middle x", 0, { more: true }),
  at_y: length("Middle y", 0, { more: true }),
  at_z: length("Middle z", 0, { more: true }),
};
type Standing = typeof standing;
type Stands = Standing["stands"]["initial"];

const turned: Record<Stands, Vec> = { z: [0, 1, 2], x: [1, 2, 0], y: [2, 0, 1] };

/** A direction of the form's own in the world. */
export const own = (stands: Stands, k: number): Vec => axisVec(turned[stands][k]);

const middle = (v: ValuesOf<Standing>): Vec => [v.at_x, v.at_y, v.at_z];

/** Lays beads: each by `share` of its size from the middle, along one of the form's own axes. */
export class Beads<N extends string> {
  constructor(private readonly values: ValuesOf<Standing> & Readonly<Record<N, unknown>>) {}

  own(k: number): Vec {
    return own(this.values.stands, k);
  }

  at(field: N, k: number, share = 0.5): Grip<N> {
    const along = this.own(k);
    return grip(field, plus(middle(this.values), along, (this.values[field] as number) * share), along, 1 / share);
  }
}

type Given<F extends Fields> = Pick<FormOf<F>, "id" | "name" | "key" | "order" | "icon" | "hint" | "also" | "fields" | "below"> & {
  shown?: { readonly [K in keyof F]?: (values: ValuesOf<F>, context: Context) => boolean };
  form(values: ValuesOf<F>): object;
  beads?(values: ValuesOf<F>, beads: Beads<keyof F & string>): Grip<keyof F & string>[];
  /** Where sizes of surface and cage are the same, the choice is left out. */
  oneSize?: boolean;
};

export function formTool<const F extends Fields>({ form: made, beads, oneSize, fields, shown, ...rest }: Given<F>): Tool {
  type All = ValuesOf<F> & ValuesOf<Standing>;
  return form<Fields>({
    ...rest,
    station: "rough",
    verb: "Put down",
    fields: { ...fields, ...standing },
    shown: {
      ...(shown as object),
      size_of: () => !oneSize,
      keep: (v) => v.mirrored === "no",
      half: (v) => v.mirrored === "no" && v.keep !== "whole" && v.size_of === "surface",
    },
    command: (values) => {
      const v = values as All;
      return { ...made(v), centre: middle(v), stands: v.stands, mirrored: v.mirrored, keep: v.mirrored === "no" ? v.keep : "whole", half: v.half, size_of: v.size_of } as Command;
    },
    grips: (values) => {
      const v = values as All;
      return [...(beads?.(v, new Beads(v)) ?? []), ...pointGrips(["at_x", "at_y", "at_z"], middle(v))];
    },
  });
}
