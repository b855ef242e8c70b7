/** Keys of the view: digits for named views, 0 for perspective or flat, full stop to fit, arrows to turn or to nudge. */
import { useEffect } from "react";
import type { Vector3 } from "three";
import { isTyping } from "../app/keys";
import { useBench } from "../live/bench";
import { useLook, type Vec } from "../live/look";
import { type ViewName, viewNames } from "./camera";
import type { Scene } from "./scene";

const turn = Math.PI / 12;

export function useViewKeys(scene: Scene | null, toggleFlat: () => void): void {
  useEffect(() => {
    if (!scene) return;
    const press = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      const view: ViewName | undefined = viewNames[Number(event.key) - 1];
      const onView = (event.target as HTMLElement).closest?.("[data-testid=viewport]") || event.target === document.body;
      const { eye } = scene;
      if (view) eye.take(view);
      else if (event.key === "0") toggleFlat();
      else if (event.key === ".") scene.fit();
      else if (!onView) return;
      else if (event.key === "+") eye.zoom(0.85);
      else if (event.key === "-") eye.zoom(1 / 0.85);
      else if (nudges(event, scene)) void 0;
      else if (event.key.startsWith("Arrow")) {
        const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [0, 0];
        if (event.shiftKey) eye.pan(-40 * dx, -40 * dy);
        else eye.orbit(-turn * dx, -turn * dy);
      } else return;
      event.preventDefault();
      scene.draw();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [scene, toggleFlat]);
}

/** Arrows nudge what is picked along the world's axis that lies nearest to the screen's; Page up and down go in depth. */
function nudges(event: KeyboardEvent, { eye }: Scene): boolean {
  const bench = useBench.getState();
  if (event.shiftKey || !bench.picked.length || bench.preview) return false;
  const ways: Record<string, [Vector3, number]> = {
    ArrowLeft: [eye.right, -1],
    ArrowRight: [eye.right, 1],
    ArrowUp: [eye.up, 1],
    ArrowDown: [eye.up, -1],
    PageUp: [eye.back, -1],
    PageDown: [eye.back, 1],
  };
  const way = ways[event.key];
  if (!way) return false;
  const [direction, sign] = way;
  const { nudge, grid } = useLook.getState();
  const parts = direction.toArray();
  const axis = parts.map(Math.abs).indexOf(Math.max(...parts.map(Math.abs)));
  const vector: Vec = [0, 0, 0];
  vector[axis] = Math.sign(parts[axis]) * sign * (nudge || grid);
  bench.nudge(vector);
  return true;
}
