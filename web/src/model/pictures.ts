/** What a true picture is taken by, in words. */
import type { DesignState, PictureAsk } from "./types";

export const lights = { tent: "Light tent", window: "North window", dusk: "Dusk by the water", even: "Even, from all around" } as const;
/** Those of them that stand around in the view as well. */
export type Surroundings = Exclude<keyof typeof lights, "even">;
export const sizes = { "640 × 480": [640, 480], "960 × 720": [960, 720], "1600 × 1200": [1600, 1200], "3840 × 2160": [3840, 2160] } as const;
export const sizeWords = Object.fromEntries(Object.keys(sizes).map((words) => [words, words])) as Record<keyof typeof sizes, string>;
export const fines = { "16": "quick", "64": "fine", "256": "very fine" } as const;
export const backgrounds = { floor: "on a floor", clear: "on nothing" } as const;
export const turns = Object.fromEntries([0, 45, 90, 135, 180, 225, 270, 315].map((t) => [String(t), `${t}°`]));
/** The lens' radius, as a share of how far away what is looked at is. */
export const lenses = { "0": "all of it", "0.008": "what is in the middle", "0.025": "that alone" } as const;
export const aparts = { "0": "as they are", "0.5": "a little", "1": "well apart", "2": "far apart" } as const;
export const views = { "1": "one", "12": "12 all round", "24": "24 all round", "36": "36 all round" } as const;

/** What can stand beside it: the two that are compared, and earlier steps of the form, the latest first. */
export function besides(design: DesignState, compared: [string, string] | null): Record<string, string> {
  const steps = design.steps.slice(0, design.head).filter((step) => !step.aside).slice(-12).reverse();
  return { nothing: "nothing", ...(compared && { compared: "the two compared" }), ...Object.fromEntries(steps.map((step) => [`step ${step.id}`, `step ${step.place}: ${step.title}`])) };
}

export function besideOf(chosen: string, compared: [string, string] | null): PictureAsk["beside"] {
  if (chosen === "compared") return compared && { pieces: compared, step: null };
  return chosen.startsWith("step ") ? { step: Number(chosen.slice(5)), pieces: null } : null;
}
