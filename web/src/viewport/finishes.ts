/** What pieces are of, on the screen at once: a ball of it in a light tent, by which every normal finds its tone. */
import { clays } from "../theme/clays";
import { type Light, turnedBack } from "./light";
import type { Painter } from "./matcap";
import { addLightMet, lightMet, type Rgb, tinge } from "./surroundings";

interface Finish {
  /** What is thrown back straight on, in linear light; of what is not metal little. */
  straight: Rgb;
  /** How far its lights are drawn out, as a share of the ball. */
  rough: number;
  /** The colour under a coat, in linear light; null for metal, and "own" for the piece's clay. */
  under: Rgb | "own" | null;
  clear?: Clear;
}

/** What is looked through: its refractive index, and the share of each colour that passes one face. */
export interface Clear {
  index: number;
  tint: Rgb;
}

const coat: Rgb = [0.04, 0.04, 0.04];
const gold: Rgb = [1.0, 0.76, 0.34];
const silver: Rgb = [0.97, 0.955, 0.91];

/** Colours of metals at normal incidence by Fresnel's formula, as the true picture has them; names as the service has them. */
const finishes: Record<string, Finish> = {
  clay: { straight: [0, 0, 0], rough: 1, under: "own" },
  glazed: { straight: coat, rough: 0.03, under: "own" },
  plastic: { straight: coat, rough: 0.3, under: [0.78, 0.77, 0.74] },
  rubber: { straight: coat, rough: 0.55, under: [0.03, 0.032, 0.034] },
  wood: { straight: coat, rough: 0.42, under: [0.39, 0.223, 0.11] },
  glass: { straight: [0.08, 0.08, 0.08], rough: 0, under: [0.62, 0.68, 0.66], clear: { index: 1.52, tint: [0.96, 0.98, 0.97] } },
  resin: { straight: [0.08, 0.08, 0.08], rough: 0, under: [0.62, 0.32, 0.07], clear: { index: 1.54, tint: [0.95, 0.72, 0.35] } },
  gold: { straight: gold, rough: 0.03, under: null },
  "gold-brushed": { straight: gold, rough: 0.34, under: null },
  "rose-gold": { straight: [0.98, 0.7, 0.45], rough: 0.03, under: null },
  silver: { straight: silver, rough: 0.03, under: null },
  "silver-brushed": { straight: silver, rough: 0.34, under: null },
  copper: { straight: [0.95, 0.64, 0.54], rough: 0.06, under: null },
  steel: { straight: [0.55, 0.556, 0.554], rough: 0.05, under: null },
  aluminium: { straight: [0.91, 0.92, 0.92], rough: 0.42, under: null },
};

/** Whether its colour goes by place. */
export const isGrained = (name: string): boolean => name === "wood";

/** How one looks through it; null through what is not clear. */
export const clearness = (name: string): Clear | null => finishes[name]?.clear ?? null;

/** Points of a small disc, by which a rough face looks about: the sunflower's. */
const disc = (count: number) =>
  Array.from({ length: count }, (_, k) => [Math.sqrt((k + 0.5) / count) * Math.cos(2.4 * k), Math.sqrt((k + 0.5) / count) * Math.sin(2.4 * k)]);
/** More of them where they lie further apart: light that is turned by a drag is painted anew with each move. */
const [polished, brushed] = [disc(7), disc(24)];

function thrownBack(x: number, y: number, z: number, rough: number, light: Light): Rgb {
  const about = rough < 0.01 ? [[0, 0]] : rough < 0.1 ? polished : brushed;
  const count = about.length;
  const sum: Rgb = [0, 0, 0];
  for (const [atX, atY] of about) {
    const [nx, ny] = [x + rough * atX, y + rough * atY];
    const size = Math.hypot(nx, ny, z);
    const [a, b, c] = [nx / size, ny / size, z / size];
    const [wayX, wayZ] = turnedBack(light, 2 * c * a, 2 * c * c - 1);
    addLightMet(sum, light.around, wayX, 2 * c * b, wayZ);
  }
  return sum.map((v) => v / count) as Rgb;
}

const toLinear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const toScreen = (v: number) => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * Math.min(1, v) ** (1 / 2.4) - 0.055);

const nothing: Rgb = [0, 0, 0];

/** So many pixels across tell all of its ball: the lights of a rough one have no edges. */
export const grainOf = (name: string): number => ((finishes[name] ?? finishes.clay).rough < 0.1 ? 256 : 96);

/** The ball of a finish, of a piece in this clay. */
export function finishBall(name: string, colour: string, light: Light): Painter {
  const finish = finishes[name] ?? finishes.clay;
  const own = (clays[colour] ?? clays.clay).lit.map((v) => toLinear(v / 255)) as Rgb;
  const under = finish.under === "own" ? own : finish.under;
  return (x, y, z) => {
    const [keyX, keyZ] = turnedBack(light, x, z);
    const wrapped = Math.max(0, (-0.42 * keyX + 0.62 * y + 0.66 * keyZ + 0.36) / 1.36) ** 1.3;
    // What is clear lets through what stands behind it, upside down.
    const behind = finish.clear ? lightMet(light.around, -0.8 * keyX, -0.8 * y, -keyZ) : nothing;
    const met = thrownBack(x, y, z, finish.rough, light);
    const grazing = (1 - z) ** 5;
    return [0, 1, 2].map((k) => {
      const share = finish.straight[k] + (1 - finish.straight[k]) * grazing * (finish.rough > 0.9 ? 0 : 1);
      const matt = finish.clear ? behind[k] * 0.9 + 0.15 : (0.16 + 0.84 * wrapped) * tinge[light.around][k];
      return toScreen(met[k] * share + (under ? under[k] * matt * (1 - share) : 0));
    }) as Rgb;
  };
}
