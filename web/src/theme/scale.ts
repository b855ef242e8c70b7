/** The scale of maps: lightness goes up evenly with the value, and leaps where the limit is, so that it survives colour blindness and print. */

type Rgb = [number, number, number];

/** Oklab (B. Ottosson, 2020) of the ends: what is at fault warm and dark, what holds cool and light. */
const fault: [Rgb, Rgb] = [[0.24, 0.09, 0.03], [0.5, 0.13, 0.05]];
const sound: [Rgb, Rgb] = [[0.64, -0.07, -0.03], [0.94, -0.01, 0.03]];

// Of numbers to both sides of 0: pale in the middle, to the end of what may be, then on to the end; inside cool, outside warm.
const middle: Rgb = [0.96, 0, 0.015];
const inside: [Rgb, Rgb, Rgb] = [[0.84, -0.03, -0.05], [0.55, -0.03, -0.13], [0.26, 0, -0.13]];
const outside: [Rgb, Rgb, Rgb] = [[0.84, 0.04, 0.06], [0.55, 0.12, 0.08], [0.26, 0.09, 0.04]];
const nothing: Rgb = [0.74, 0, 0];

/** Linear light of an Oklab colour, as buffers of the viewport hold it. */
function linear([l, a, b]: Rgb): Rgb {
  const [x, y, z] = [l + 0.3963377774 * a + 0.2158037573 * b, l - 0.1055613458 * a - 0.0638541728 * b, l - 0.0894841775 * a - 1.291485548 * b].map((v) => v ** 3);
  const part = (v: number) => Math.min(1, Math.max(0, v));
  return [
    part(4.0767416621 * x - 3.3077115913 * y + 0.2309699292 * z),
    part(-1.2684380046 * x + 2.6097574011 * y - 0.3413193965 * z),
    part(-0.0041960863 * x - 0.7034186147 * y + 1.707614701 * z),
  ];
}

const between = ([one, other]: [Rgb, Rgb], share: number): Rgb => one.map((v, k) => v + (other[k] - v) * Math.min(1, Math.max(0, share))) as Rgb;

export interface Scale {
  low: number;
  high: number;
  limit: number;
  below: boolean;
  both: boolean;
}

function toBothSides(value: number, { low, high, limit }: Scale): Rgb {
  if (Number.isNaN(value)) return linear(nothing);
  const [edge, from, to] = value > 0 ? outside : inside;
  const [off, end] = [Math.abs(value), value > 0 ? high : -low];
  return linear(off <= limit ? between([middle, edge], limit ? off / limit : 1) : between([from, to], end > limit ? (off - limit) / (end - limit) : 1));
}

/** The colour of a value in linear light: the worse, the darker. */
export function toneOf(value: number, scale: Scale): Rgb {
  if (scale.both) return toBothSides(value, scale);
  const { low, high, limit, below } = scale;
  // Counted from the bad end, so that worse is less whichever side is at fault.
  const [bad, good] = below ? [low, high] : [high, low];
  const share = (from: number, to: number) => (to === from ? 1 : (value - from) / (to - from));
  const fails = below ? value < limit : value > limit;
  return linear(fails ? between(fault, share(bad, limit)) : between(sound, share(limit, good)));
}

/** The same for the page. */
export function cssTone(value: number, scale: Scale): string {
  const gamma = (v: number) => Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
  return `rgb(${toneOf(value, scale).map(gamma).join(" ")})`;
}
