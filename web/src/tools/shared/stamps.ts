/** The stamps that there are: those that are shipped, and the design's own. */
import type { Context } from "../../model/context";
import { list } from "./fields";

const shippedStamps = ["ripple", "scale", "rope", "pebble", "hatch", "grain"];

const entries = ({ design }: Context) => [
  ...shippedStamps.map((id) => ({ id, words: id })),
  ...(design?.stamps ?? []).map(({ id, name }) => ({ id, words: name })),
];

export const anyStamp = list("Stamp", entries, { keep: true });
export const stampOrNone = list("Stamp", (context) => [{ id: "none", words: "none" }, ...entries(context)], { keep: true });

export const ownStamp = ({ design }: Context, id: unknown) => design?.stamps.find((own) => own.id === id);
