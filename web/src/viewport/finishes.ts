/** What pieces are of, on the screen at once: a ball of it in a light tent, by which every normal finds its tone. */
import { clays } from "../theme/clays";
import { type Light, turnedBack } from "./light";
import type { Painter } from "./matcap";

type Rgb = [number, number, number];

interface Finish {
  /** What is thrown back straight on, in linear light; of what is not metal little. */
  straight: Rgb;
  /** How far its lights are drawn out, as a share of the ball. */
  rough: number;
  /** The colour under a coat, in linear light; null for metal, and "own" for the piece's clay. */
  under: Rgb | "own" | null;
  clear?: boolean;
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
  glass: { straight: [0.08, 0.08, 0.08], rough: 0, under: [0.62, 0.68, 0.66], clear: true },
  resin: { straight: [0.08, 0.08, 0.08], rough: 0, under: [0.62, 0.32, 0.07], clear: true },
  gold: { straight: gold, rough: 0.03, under: null },
  "gold-brushed": { straight: gold, rough: 0.34, under: null },
  "rose-gold": { straight: [0.98, 0.7, 0.45], rough: 0.03, under: null },
  silver: { straight: silver, rough: 0.03, under: null },
  "silver-brushed": { straight: silver, rough: 0.34, under: null },
  copper: { straight: [0.95, 0.64, 0.54], rough: 0.06, under: null },
  steel: { straight: [0.55, 0.556, 0.554], rough: 0.05, under: null },
  aluminium: { straight: [0.91, 0.92, 0.92], rough: 0.42, under: null },
};

/** Whether one sees through it. */
export const isClear = (name: string): boolean => finishes[name]?.clear === true;

const smooth = (x: number, low: number, high: number): number => {
  const t = Math.min(1, Math.max(0, (x - low) / (high - low)));
  return t * t * (3 - 2 * t);
};

/** The tent, as it is met in a direction: x to the right, y up, z to the eye. White cloth, a panel at the upper left, two dark flags. */
export function tent(x: number, y: number, z: number): number {
  const up = (Math.asin(Math.max(-1, Math.min(1, y))) * 180) / Math.PI;
  const round = (Math.atan2(x, z) * 180) / Math.PI;
  const within = (at: number, half: number) => smooth(half - Math.abs(((round - at + 540) % 360) - 180), 0, 8);
  let light = 0.34 + 0.4 * smooth(up, 0, 50) + 1.1 * smooth(up, 58, 74);
  light += 1.5 * within(-55, 34) * smooth(up, 8, 16) * smooth(-up, -62, -52);
  for (const at of [25, 110, -120]) light *= 1 - 0.88 * within(at, 12) * smooth(up, -8, 2) * smooth(-up, -66, -58);
  return up < 0 ? 0.26 + 0.12 * smooth(-up, 0, 40) : light;
}

/** Points of a small disc, by which a rough face looks about: the sunflower's. */
const about = Array.from({ length: 24 }, (_, k) => [Math.sqrt((k + 0.5) / 24) * Math.cos(2.4 * k), Math.sqrt((k + 0.5) / 24) * Math.sin(2.4 * k)]);

function thrownBack(x: number, y: number, z: number, rough: number, light: Light): number {
  const count = rough > 0.01 ? about.length : 1;
  let sum = 0;
  for (let k = 0; k < count; k++) {
    const [nx, ny] = count > 1 ? [x + rough * about[k][0], y + rough * about[k][1]] : [x, y];
    const size = Math.hypot(nx, ny, z);
    const [a, b, c] = [nx / size, ny / size, z / size];
    const [wayX, wayZ] = turnedBack(light, 2 * c * a, 2 * c * c - 1);
    sum += tent(wayX, 2 * c * b, wayZ);
  }
  return sum / count;
}

const toLinear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const toScreen = (v: number) => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * Math.min(1, v) ** (1 / 2.4) - 0.055);

/** The ball of a finish, of a piece in this clay. */
export function finishBall(name: string, colour: string, light: Light): Painter {
  const finish = finishes[name] ?? finishes.clay;
  const own = (clays[colour] ?? clays.clay).lit.map((v) => toLinear(v / 255)) as Rgb;
  const under = finish.under === "own" ? own : finish.under;
  return (x, y, z) => {
    const [keyX, keyZ] = turnedBack(light, x, z);
    const wrapped = Math.max(0, (-0.42 * keyX + 0.62 * y + 0.66 * keyZ + 0.36) / 1.36) ** 1.3;
    // What is clear lets through what stands behind it, upside down.
    const matt = finish.clear ? tent(-0.8 * keyX, -0.8 * y, -keyZ) * 0.9 + 0.15 : 0.16 + 0.84 * wrapped;
    const met = thrownBack(x, y, z, finish.rough, light);
    const grazing = (1 - z) ** 5;
    return [0, 1, 2].map((k) => {
      const share = finish.straight[k] + (1 - finish.straight[k]) * grazing * (finish.rough > 0.9 ? 0 : 1);
      return toScreen(met * share + (under ? under[k] * matt * (1 - share) : 0));
    }) as Rgb;
  };
}
