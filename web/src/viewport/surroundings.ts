/** What stands around a form as light: what is met in a direction, x to the right, y up, z to the eye. The names are those of true pictures. */
import type { Surroundings } from "../model/pictures";

export type Rgb = [number, number, number];

type Met = (up: number, round: number) => Rgb;

export const smooth = (x: number, low: number, high: number): number => {
  const t = Math.min(1, Math.max(0, (x - low) / (high - low)));
  return t * t * (3 - 2 * t);
};

const apart = (round: number, at: number): number => Math.abs(((round - at + 540) % 360) - 180);

/** 1 within a rectangle of directions in degrees, with edges so soft. */
const panel = (up: number, round: number, [low, high]: [number, number], [at, half]: [number, number], soft: number): number =>
  smooth(half - apart(round, at), 0, soft) * smooth(up, low, low + soft) * smooth(-up, -high, -high + soft);

const met: Record<Surroundings, Met> = {
  /** White cloth, a panel at the upper left, two dark flags and one behind. */
  tent(up, round) {
    let light = 0.34 + 0.4 * smooth(up, 0, 50) + 1.1 * smooth(up, 58, 74);
    light += 1.5 * smooth(34 - apart(round, -55), 0, 8) * smooth(up, 8, 16) * smooth(-up, -62, -52);
    for (const at of [25, 110, -120]) light *= 1 - 0.88 * smooth(12 - apart(round, at), 0, 8) * smooth(up, -8, 2) * smooth(-up, -66, -58);
    const tone = up < 0 ? 0.26 + 0.12 * smooth(-up, 0, 40) : light;
    return [tone, tone, tone];
  },
  /** A dim room with one tall window of four panes to the left, and a pale wall to the right. */
  window(up, round) {
    const room = 0.16 + 0.1 * smooth(up, -40, 60) + 0.55 * panel(up, round, [-5, 50], [95, 35], 12);
    let pane = 0;
    for (const heights of [[12, 34], [37, 62]] as [number, number][]) for (const at of [-52, -27]) pane += 11 * panel(up, round, heights, [at, 11], 1);
    return [room + 0.92 * pane, 0.9 * room + 0.98 * pane, 0.78 * room + pane];
  },
  /** A deep sky, a warm horizon where the sun has gone, and the water under both. */
  dusk(up, round) {
    const height = Math.abs(up);
    const glow = Math.exp(-height / 9) * (0.35 + 1.9 * Math.exp(-((apart(round, -60) / 42) ** 2)));
    const sky = 0.22 + 0.5 * Math.exp(-height / 35);
    const dim = 1.35 * (up < 0 ? 0.45 : 1);
    return [dim * (0.42 * sky + 2.3 * glow), dim * (0.62 * sky + 1.15 * glow), dim * (sky + 0.5 * glow)];
  },
};

/** What flat white lying face up throws back, to each colour. */
function whiteIn(one: Met): Rgb {
  const sum: Rgb = [0, 0, 0];
  let weight = 0;
  for (let up = 1; up < 90; up += 2)
    for (let round = -179; round < 180; round += 2) {
      const share = Math.sin((up * Math.PI) / 180) * Math.cos((up * Math.PI) / 180);
      one(up, round).forEach((v, k) => (sum[k] += share * v));
      weight += share;
    }
  return sum.map((v) => v / weight) as Rgb;
}

const grey = (rgb: Rgb): number => (rgb[0] + rgb[1] + rgb[2]) / 3;
const whites = Object.entries(met).map(([name, one]) => [name, whiteIn(one)] as const);
const usual = grey(whiteIn(met.tent));
/** So much brighter each is made that white lies in it as in the tent; dusk is darker. */
const scale = Object.fromEntries(whites.map(([name, white]) => [name, ((name === "dusk" ? 0.7 : 1) * usual) / grey(white)])) as Record<Surroundings, number>;

/** In linear light, by a direction of length 1. */
export function lightMet(where: Surroundings, x: number, y: number, z: number): Rgb {
  const up = (Math.asin(Math.max(-1, Math.min(1, y))) * 180) / Math.PI;
  const round = (Math.atan2(x, z) * 180) / Math.PI;
  return met[where](up, round).map((v) => v * scale[where]) as Rgb;
}

const [wide, high] = [512, 256];
const tables = new Map<Surroundings, Float32Array>();

function tableOf(where: Surroundings): Float32Array {
  let table = tables.get(where);
  if (!table) {
    tables.set(where, (table = new Float32Array(3 * wide * high)));
    for (let row = 0; row < high; row++) {
      const up = ((row + 0.5) / high - 0.5) * Math.PI;
      for (let column = 0; column < wide; column++) {
        const round = ((column + 0.5) / wide - 0.5) * 2 * Math.PI;
        table.set(lightMet(where, Math.cos(up) * Math.sin(round), Math.sin(up), Math.cos(up) * Math.cos(round)), 3 * (row * wide + column));
      }
    }
  }
  return table;
}

/** The same, looked up to two thirds of a degree: for what is asked of a hundred thousand directions at once. Added to a sum. */
export function addLightMet(sum: Rgb, where: Surroundings, x: number, y: number, z: number): void {
  const table = tableOf(where);
  const row = Math.min(high - 1, Math.floor((Math.asin(Math.max(-1, Math.min(1, y))) / Math.PI + 0.5) * high));
  const column = Math.min(wide - 1, Math.floor((Math.atan2(x, z) / (2 * Math.PI) + 0.5) * wide));
  const at = 3 * (row * wide + column);
  for (let k = 0; k < 3; k++) sum[k] += table[at + k];
}

/** The colour that what is matt takes on in it, white being 1. */
export const tinge = Object.fromEntries(
  whites.map(([name, white]) => [name, white.map((v) => (v / grey(white)) * (name === "dusk" ? 0.8 : 1))]),
) as Record<Surroundings, Rgb>;
