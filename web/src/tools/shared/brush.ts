/** What all brushes share: their fields, how they begin, and the command that a stroke comes to. */
import type { Context } from "../../model/context";
import type { Fields } from "../../model/fields";
import { quickLevel } from "../../model/relief";
import { brush, type Drawing, type Tool } from "../../model/tool";
import type { Command } from "../../model/types";
import { choice, entryOf, kept, parameter } from "./fields";
import { ownStamp, stampOrNone } from "./stamps";

export type Sculpt = Extract<Command, { kind: "sculpt" }>;
type Kind = Sculpt["brush"];

const strengths = {
  height: { height: parameter("sculpt", "height", { keep: true }) },
  share: { strength: parameter("sculpt", "strength", { keep: true }) },
  angle: { degrees: parameter("sculpt", "degrees", { keep: true }) },
  way: {},
} as const;

const size = { radius: parameter("sculpt", "radius", { keep: true }) };

const stamps = {
  stamp: stampOrNone,
  laid: parameter("sculpt", "laid", { keep: true }),
  turned: parameter("sculpt", "turned", { keep: true }),
};

const further = {
  level: parameter("sculpt", "level", { keep: true }),
  hardness: parameter("sculpt", "hardness", { keep: true }),
  profile: parameter("sculpt", "profile", { keep: true, more: true }),
  curve: { ...kept<[number, number][]>([[0, 1], [0.35, 0.85], [0.65, 0.15], [1, 0]]), keep: true },
  spacing: parameter("sculpt", "spacing", { keep: true, more: true }),
  steady: parameter("sculpt", "steady", { keep: true, more: true }),
  pen: parameter("sculpt", "pen", { keep: true, more: true }),
  led: choice("Led", { free: "freehand", straight: "straight" }, { keep: true, more: true }),
  mouse: choice("Mouse", { full: "always full", speed: "quick is faint" }, { keep: true, more: true }),
  reaches: choice("Touches", { seen: "what faces the eye", all: "all the way through" }, { keep: true, more: true }),
  around: parameter("sculpt", "around", { keep: true, more: true }),
  axis: choice("Axis", { z: "z", x: "x", y: "y" }, { keep: true, more: true }),
};

const axes = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] } as const;
const fieldOf = { height: "height", share: "strength", angle: "degrees", way: "radius" } as const;

const tidy = (value: number) => Number(value.toPrecision(2));

/** By the size of the piece in hand: a fifteenth of it wide, and a fifth of that high. */
function starts(context: Context): Record<string, unknown> {
  const { piece } = context;
  const cage = piece && context.arrays(piece.id)?.cage;
  if (!piece || !cage) return {};
  const radius = tidy(Math.max(...piece.size) / 15 || 5);
  return { radius, height: tidy(radius / 5), level: Math.max(piece.relief?.depth ?? 0, quickLevel(cage)) };
}

interface Given {
  brush: Kind;
  measure: keyof typeof strengths;
  name: string;
  section: string;
  order: number;
  icon: Drawing;
  hint: string;
  also: string;
  key?: string;
  opens?: boolean;
  stamped?: boolean;
  drags?: boolean;
}

const held = "Shift does the opposite, Ctrl smooths; a drag with Alt sets radius and strength.";

/** The first of the list, which is none, is meant by nothing, too. */
const isStamped = (stamp: unknown) => Boolean(stamp) && stamp !== "none";

/** A stamp of true size is laid down in it: its width is that of the brush. */
function trueSize(values: Readonly<Record<string, unknown>>, field: string, context: Context): Record<string, unknown> {
  const own = field === "stamp" ? ownStamp(context, values.stamp) : undefined;
  return own?.height ? { ...values, radius: rounded(own.width / 2), height: rounded(own.height), laid: "each" } : { ...values };
}

const rounded = (value: number) => Number(value.toPrecision(4));

/** A brush of a kind. */
export function sculpting({ brush: kind, measure, stamped = false, hint, ...given }: Given): Tool {
  const fields: Fields = { ...size, ...strengths[measure], ...(stamped ? stamps : {}), ...further };
  return brush({
    ...given,
    station: "relief",
    id: `brush-${kind}`,
    hint: `${hint} ${held}`,
    fields,
    strength: fieldOf[measure],
    moreWords: "Stroke…",
    shown: {
      ...(stamped ? { laid: (v) => isStamped(v.stamp), turned: (v) => isStamped(v.stamp) && v.laid !== "along" } : {}),
      axis: (v) => Number(v.around) > 1,
    },
    radius: (v) => Number(v.radius),
    typed: trueSize,
    starts,
    below: "ReliefLine",
    stroke({ piece, way, towards, opposite, smooth }, values, context) {
      const v = values as Record<string, unknown>;
      // Of what this brush has no field for the service takes its own.
      const numbers = [["height", 1], ["strength", 100], ["degrees", 1], ["turned", 1]] as const;
      const own = numbers.flatMap(([name, over]) => (v[name] === undefined ? [] : [[name, Number(v[name]) / over]]));
      const stamp = stamped && !smooth ? { stamp: entryOf(stampOrNone.entries(context), String(v.stamp))?.id, laid: v.laid as Sculpt["laid"] } : {};
      return {
        kind: "sculpt", piece, way, opposite: opposite && !smooth,
        brush: smooth ? "smooth" : kind,
        towards: v.reaches === "all" ? null : towards,
        level: Number(v.level), radius: Number(v.radius), hardness: Number(v.hardness) / 100, profile: v.profile as Sculpt["profile"],
        curve: v.profile === "drawn" ? (v.curve as [number, number][]) : [],
        spacing: Number(v.spacing) / 100, steady: Number(v.steady) / 100, pen: v.pen as Sculpt["pen"],
        around: Number(v.around), axis: [...axes[v.axis as keyof typeof axes]],
        ...stamp, ...(Object.fromEntries(own) as Partial<Sculpt>),
      };
    },
  });
}
