/** The keys of the application, in one list: what they do, and how the sheet names them. */
import { useEffect } from "react";
import { useBench, type Display } from "../live/bench";
import { useLook } from "../live/look";
import { ruleForKey, rules } from "../live/rules";
import type { Kind } from "../live/types";
import { pivotToPicked } from "../panels/PlacingBar";
import { tools } from "../tools/all";
import { viewNames } from "../viewport/camera";

export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target as HTMLElement;
  return at.tagName === "INPUT" || at.tagName === "TEXTAREA" || at.isContentEditable === true;
}

const kinds: Record<string, Kind> = { v: "vertex", e: "edge", f: "face", w: "piece" };
const displays: Display[] = ["cage", "surface", "both"];

export const keySheet: [section: string, rows: [keys: string, words: string][]][] = [
  [
    "Pick",
    [
      ["V  E  F  W", "pick vertices, edges, faces, whole pieces"],
      ["Shift + click", "add to the picked, or take away"],
      ["double-click", "the loop, the way the pointer lies nearest to"],
      ["drag a box", "to the right: what is wholly inside; to the left: what it touches"],
      ["J", "lasso instead of a box"],
      ...rules.filter((r) => r.key).map((r): [string, string] => [r.key, `pick: ${r.words.toLowerCase()}`]),
      ["H", "pick through, or only what is seen"],
      ["Esc", "back out: the preview, then the tool or the selection"],
    ],
  ],
  [
    "Tools",
    [
      ...tools.filter((t) => t.key).map((t): [string, string] => {
        const key = t.key!.length === 1 ? t.key!.toUpperCase() : t.key!;
        return [t.shift ? `Shift ${key}` : key, t.name];
      }),
      ["/", "find a tool by its name"],
    ],
  ],
  [
    "Change",
    [
      ["Enter", "apply what the tool card shows"],
      ["digits while dragging", "make the drag exact, with units if wished"],
      ["arrows, Page up, down", "nudge what is picked by the arrow step"],
      ["X held while dragging", "extrude as it goes"],
      [",", "again: do what was done last to what is picked now"],
      ["wheel, Page up, down while dragging", "make the reach wider or narrower"],
      ["U", "lay the pivot at what is picked"],
      ["Ctrl Z", "undo"],
      ["Ctrl Shift Z, Ctrl Y", "redo"],
    ],
  ],
  [
    "View",
    [
      ["right drag, arrows", "turn the view (arrows: with nothing picked)"],
      ["middle drag, Shift + right drag", "pan"],
      ["wheel, + and −", "zoom"],
      ["1 – 7", viewNames.join(", ")],
      ["0", "perspective or flat"],
      ["8", "a second, flat view beside the first"],
      ["N", "only the piece in hand, or all"],
      [".", "fit all into view"],
      ["D", "show cage, surface, or both"],
      ["?", "this sheet"],
    ],
  ],
];

export function useKeys(actions: { find(): void; sheet(): void }): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const bench = useBench.getState();
      const look = useLook.getState();
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      if ((event.ctrlKey || event.metaKey) && (key === "z" || key === "y")) {
        if (isTyping(event)) return;
        event.preventDefault();
        if (key === "y" || event.shiftKey) bench.redo();
        else bench.undo();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (key === "Escape" && look.compare) return look.set({ compare: null });
      if (key === "Escape") {
        // Keys belong to the form again.
        if (isTyping(event)) (event.target as HTMLElement).blur();
        return bench.back();
      }
      if (isTyping(event)) return;
      const inButton = (event.target as HTMLElement).closest?.("button, [role=button], [role=option]");
      const rule = ruleForKey(key, event.shiftKey);
      const tool = tools.find((t) => (t.key === key && !!t.shift === event.shiftKey) || (t.key === "Delete" && key === "Backspace"));
      if (key === "Enter" && !inButton) bench.apply();
      else if (key === ",") bench.again();
      else if (kinds[key] && !event.shiftKey) bench.setPickKind(kinds[key]);
      else if (key === "d" && !event.shiftKey) bench.setDisplay(displays[(displays.indexOf(bench.display) + 1) % displays.length]);
      else if (key === "h" && !event.shiftKey) bench.setThrough(!bench.through);
      else if (rule) void (rule.fits(bench.pickKind, bench.picked.length) ? bench.pickBy(rule.rule(bench.pickKind)) : undefined);
      else if (key === "n" && !event.shiftKey) look.set({ isolated: !look.isolated });
      else if (key === "j" && !event.shiftKey) look.set({ lasso: !look.lasso });
      else if (key === "u" && !event.shiftKey) pivotToPicked();
      else if (key === "8") look.set({ second: look.second ? null : "front" });
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
