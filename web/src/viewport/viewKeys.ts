/** Keys of the view: digits for named views, 0 for perspective or flat, full stop to fit, arrows to turn. */
import { useEffect } from "react";
import { isTyping } from "../app/keys";
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
