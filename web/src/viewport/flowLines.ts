/** The flow of a scan as faint strokes on it, while it is traced and they are wanted. */
import { Matrix4 } from "three";
import { flowOf } from "../live/references";
import { useDesign } from "../live/stores/design";
import { toolInHand, useSession } from "../live/stores/session";
import { fieldsOf } from "../model/tool";
import type { ComponentState } from "../model/types";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

export class FlowLines {
  private readonly lines = new Lines(colours.river, 1.1, { opacity: 0.36 });
  private shown: string | null = null;

  constructor(private readonly changed: () => void) {
    this.lines.object.matrixAutoUpdate = false;
  }

  get object(): Lines["object"] {
    return this.lines.object;
  }

  draw(): void {
    const component = wanted();
    const asset = component?.asset ?? null;
    if (component) this.object.matrix.copy(placed(component));
    if (asset === this.shown) return;
    this.shown = asset;
    this.lines.set([], [], []);
    if (asset === null) return;
    void flowOf(asset).then(({ strokes }) => {
      if (this.shown !== asset) return;
      const ends = [...Array(strokes.length / 3).keys()];
      this.lines.set(strokes, ends, ends.slice(0, ends.length / 2));
      this.changed();
    }, () => undefined);
  }

  dispose(): void {
    this.lines.dispose();
  }
}

/** The component that a tool works on whose card offers its flow, where that is to be seen. */
function wanted(): ComponentState | null {
  const { values } = useSession.getState();
  if (!("flow" in fieldsOf(toolInHand())) || values.flow !== "shown") return null;
  const all = (useDesign.getState().design?.references ?? []).filter((r) => r.kind === "component");
  return all.find((r) => r.id === values.onto) ?? all[0] ?? null;
}

function placed({ rotation: [a, b, c], centre: [x, y, z] }: ComponentState): Matrix4 {
  return new Matrix4().set(a[0], a[1], a[2], x, b[0], b[1], b[2], y, c[0], c[1], c[2], z, 0, 0, 0, 1);
}
