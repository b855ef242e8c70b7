/** Dragged amounts as round numbers. */
import { useLook } from "../live/look";
import type { Values } from "../tools/tool";

/** An amount by the grid where that is on, else by what a pixel can tell. */
export function stepOf(amount: number, pixel: number): number {
  const { snaps, grid } = useLook.getState();
  return snaps.grid ? Math.round(amount / grid) * grid : Object.values(rounded({ amount }, pixel))[0];
}

/** Round to what a pixel can tell: no drag means 12.3048771 mm. */
export function rounded(values: Values, pixel: number): Values {
  const digits = Math.max(0, Math.min(4, Math.ceil(-Math.log10(pixel)) + 0));
  return Object.fromEntries(Object.entries(values).map(([name, value]) => [name, Number(value.toFixed(digits)) + 0]));
}

