/** The keys of the application, in one list: what they do, and how the sheet names them. */
import { useEffect } from "react";
import { useBench, type Display } from "../live/bench";
import type { Kind } from "../live/types";
import { tools } from "../tools/all";
import { viewNames } from "../viewport/camera";

export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target as HTMLElement;
  return at.tagName === "INPUT" || at.tagName === "TEXTAREA" || at.isContentEditable === true;
}

const kinds: Record<string, Kind> = { v: "vertex", e: "edge", f: "face" };
const displays: Display[] = ["cage", "surface", "both"];

export const keySheet: [section: string, rows: [keys: string, words: string][]][] = [
  [
    "Pick",
    [
      ["V  E  F", "pick vertices, edges, faces"],
      ["Shift + click", "add to the picked, or take away"],
      ["drag a box", "to the right: what is wholly inside; to the left: what it touches"],
      ["A", "pick all of the piece"],
      ["H", "pick through, or only what is seen"],
      ["Esc", "back out: the preview, then the tool or the selection"],
    ],
  ],
  ["Tools", [...tools.map((t): [string, string] => [t.key.toUpperCase(), t.name]), ["/", "find a tool by its name"]]],
  [
    "Change",
    [
      ["Enter", "apply what the tool card shows"],
      ["digits while dragging", "make the drag exact"],
      ["Ctrl Z", "undo"],
      ["Ctrl Shift Z, Ctrl Y", "redo"],
    ],
  ],
  [
    "View",
    [
      ["right drag, arrows", "turn the view"],
      ["middle drag, Shift + right drag", "pan"],
      ["wheel, + and −", "zoom"],
      ["1 – 7", viewNames.join(", ")],
      ["0", "perspective or flat"],
      [".", "fit all into view"],
      ["D", "show cage, surface, or both"],
      ["?", "this sheet"],
    ],
  ],
];

export function useKeys(actions: { find(): void; sheet(): void; all(): void }): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const bench = useBench.getState();
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      if ((event.ctrlKey || event.metaKey) && (key === "z" || key === "y")) {
        if (isTyping(event)) return;
        event.preventDefault();
        if (key === "y" || event.shiftKey) bench.redo();
        else bench.undo();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (key === "Escape") return bench.back();
      if (isTyping(event)) return;
      const inButton = (event.target as HTMLElement).closest?.("button, [role=button], [role=option]");
      const tool = tools.find((t) => t.key === key || (t.key === "Delete" && key === "Backspace"));
      if (key === "Enter" && !inButton) bench.apply();
      else if (kinds[key]) bench.setPickKind(kinds[key]);
      else if (key === "d") bench.setDisplay(displays[(displays.indexOf(bench.display) + 1) % displays.length]);
      else if (key === "h") bench.setThrough(!bench.through);
      else if (key === "a") actions.all();
      else if (key === "/") actions.find();
      else if (key === "?") actions.sheet();
      else if (tool) bench.takeTool(tool.id);
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [actions]);
}
