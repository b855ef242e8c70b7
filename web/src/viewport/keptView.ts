/** Where each design was last looked at from, by hand, in this browser. */
import { keep, kept } from "../live/stores/kept";
import type { Eye } from "./camera";

const atMost = 50;
const rest = 400;
type Stands = Record<string, number[]>;

function stands(): Stands {
  try {
    const said = JSON.parse(kept("views") ?? "{}") as unknown;
    return said && typeof said === "object" && !Array.isArray(said) ? (said as Stands) : {};
  } catch {
    return {};
  }
}

export function keptView(design: string | null): number[] | null {
  const said = design === null ? null : stands()[design];
  const fits = Array.isArray(said) && said.length === 7 && said.every((x) => Number.isFinite(x)) && said[3] > 0;
  return fits ? said : null;
}

let timer = 0;

/** Kept once the eye rests; what was never turned by hand is left to fit. */
export function keepView(design: string | null, eye: Eye): void {
  clearTimeout(timer);
  if (design === null || !eye.byHand) return;
  const stand = eye.stand;
  timer = window.setTimeout(() => {
    const { [design]: _, ...others } = stands();
    const last = Object.entries(others).slice(1 - atMost);
    keep("views", JSON.stringify({ ...Object.fromEntries(last), [design]: stand }));
  }, rest);
}
