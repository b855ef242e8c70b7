/** What of Look this browser keeps: how forms are shown, not which. */
import { keep, kept } from "./kept";

const initial = {
  shows: "both" as "cage" | "surface" | "both",
  material: "clay" as "clay" | "finish" | "metal" | "stripes",
  isolines: 0,
  wire: 0,
  normals: false,
  valences: false,
  backs: true,
  bodies: true,
  dimensions: true,
  lasso: false,
  nudge: 0,
};
export type KeptLook = typeof initial;

const words: Partial<Record<keyof KeptLook, readonly string[]>> = { shows: ["cage", "surface", "both"], material: ["clay", "finish", "metal", "stripes"] };

/** What was kept, as far as it can be understood; what cannot is as it is at first. */
export function rememberedLook(): KeptLook {
  try {
    const said = JSON.parse(kept("look") ?? "{}") as Record<string, unknown>;
    const fits = ([name, value]: [string, unknown]) => {
      const known = initial[name as keyof KeptLook];
      const among = words[name as keyof KeptLook];
      return typeof value === typeof known && (!among || among.includes(value as string)) && (typeof value !== "number" || (Number.isFinite(value) && value >= 0));
    };
    return { ...initial, ...Object.fromEntries(Object.entries(said).filter(fits)) };
  } catch {
    return initial;
  }
}

export function keepLook(look: KeptLook): void {
  keep("look", JSON.stringify(Object.fromEntries(Object.keys(initial).map((name) => [name, look[name as keyof KeptLook]]))));
}
