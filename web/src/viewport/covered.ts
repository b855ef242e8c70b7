/** What lies over a view: the form is fitted into what is left. */
import { useShow } from "../live/stores/show";
import type { Covered } from "./camera";

/** Bars lie over the top of the main view, the drawer over its side and the tool card over its foot, so many pixels at least; over a second view its own bar alone. */
export function coveredBy(foot: number, second: boolean): Covered {
  if (second) return { top: 40, bottom: 20, left: 0 };
  const card = document.querySelector<HTMLElement>("[aria-label='Tool card']")?.offsetHeight ?? 0;
  const drawer = document.querySelector<HTMLElement>("aside[aria-label^='Tools of']")?.offsetWidth ?? 0;
  return { top: useShow.getState().compare ? 200 : 60, bottom: Math.max(foot, card + 24), left: drawer && drawer + 12 };
}
