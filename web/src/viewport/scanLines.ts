/** What is drawn on a scan for whoever lays quads on it: its flow as faint strokes, and its sharp lines. */
import { Group, Matrix4 } from "three";
import { flowOf, sharpLinesOf } from "../live/references";
import { useDesign } from "../live/stores/design";
import { useSharp } from "../live/stores/sharp";
import { toolInHand, useSession } from "../live/stores/session";
import { fieldsOf } from "../model/tool";
import type { ComponentState } from "../model/types";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

interface Wanted {
  component: ComponentState;
  /** Tells these strokes from others of the same component. */
  key: string;
  strokes: () => Promise<{ strokes: Float32Array }>;
}

export class ScanLines {
  readonly group = new Group();
  private readonly flow: Strokes;
  private readonly sharp: Strokes;

  constructor(changed: () => void) {
    this.flow = new Strokes(new Lines(colours.river, 1.1, { opacity: 0.36 }), wantedFlow, changed);
    this.sharp = new Strokes(new Lines(colours.crease, 2.2, { raised: true }), wantedSharp, changed);
    this.group.add(this.flow.lines.object, this.sharp.lines.object);
  }

  draw(): void {
    this.flow.draw();
    this.sharp.draw();
  }

  dispose(): void {
    this.flow.lines.dispose();
    this.sharp.lines.dispose();
  }
}

class Strokes {
  private shown: string | null = null;

  constructor(readonly lines: Lines, private readonly wanted: () => Wanted | null, private readonly changed: () => void) {
    lines.object.matrixAutoUpdate = false;
  }

  draw(): void {
    const wanted = this.wanted();
    if (wanted) this.lines.object.matrix.copy(placed(wanted.component));
    const key = wanted?.key ?? null;
    if (key === this.shown) return;
    this.shown = key;
    this.lines.set([], [], []);
    if (!wanted) return;
    void wanted.strokes().then(({ strokes }) => {
      if (this.shown !== key) return;
      const ends = [...Array(strokes.length / 3).keys()];
      this.lines.set(strokes, ends, ends.slice(0, ends.length / 2));
      this.changed();
    }, () => undefined);
  }
}

/** The component that a tool works on. */
function worksOn(id: unknown): ComponentState | null {
  const all = (useDesign.getState().design?.references ?? []).filter((r) => r.kind === "component");
  return all.find((r) => r.id === id) ?? all[0] ?? null;
}

/** Of the component that a tool works on whose card offers its flow, where that is to be seen. */
function wantedFlow(): Wanted | null {
  const { values } = useSession.getState();
  if (!("flow" in fieldsOf(toolInHand())) || !["all", "flow"].includes(String(values.flow))) return null;
  const component = worksOn(values.onto);
  return component && { component, key: component.asset, strokes: () => flowOf(component.asset) };
}

/** As the card asks for them, or as the tool in hand goes by them. */
function wantedSharp(): Wanted | null {
  const card = useSharp.getState().shown;
  const { values } = useSession.getState();
  const tool = toolInHand();
  const asked = card ?? (tool?.is === "verb" || tool?.is === "form" ? tool.sharpLines?.(values) : null);
  const component = asked ? worksOn(asked.on) : null;
  if (!asked || !component) return null;
  return { component, key: `${component.asset} ${asked.degrees}`, strokes: () => sharpLinesOf(component.asset, asked.degrees) };
}

function placed({ rotation: [a, b, c], centre: [x, y, z] }: ComponentState): Matrix4 {
  return new Matrix4().set(a[0], a[1], a[2], x, b[0], b[1], b[2], y, c[0], c[1], c[2], z, 0, 0, 0, 1);
}
