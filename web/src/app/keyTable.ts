/** All keys of the application in one table: the picking rules', the tools', the view's, and those of here. */
import { redo, undo } from "../live/opening";
import { pickBy, setPickKind, setThrough } from "../live/picks";
import { onceRead } from "../live/numbers";
import { pivotToPicked } from "../live/pivot";
import { usePicking } from "../live/stores/picking";
import { show, type Shows, useShow } from "../live/stores/show";
import { apply, back, repeat, takeTool } from "../live/tooling";
import { type KeyRow, type Section, withMouse } from "../model/keys";
import type { Registry } from "../model/registry";
import { rules } from "../model/rules";
import type { Kind } from "../model/types";
import { changePlace } from "../panels/parts/focus";
import { dragKeys, stepKeys, viewKeys } from "../viewport/keys";

export interface ScreenActions {
  find(): void;
  sheet(): void;
}

type Given = Omit<KeyRow, "section" | "where" | "keys" | "words">;
const row = (section: Section) => (keys: string[], words: string, act: KeyRow["act"], given: Given = {}): KeyRow => ({
  keys, words, section, where: "anywhere", act, ...given,
});

const kinds: Record<string, Kind> = { V: "vertex", E: "edge", F: "face", W: "piece" };
const all: Shows[] = ["cage", "surface", "both"];

function picking(): KeyRow[] {
  const key = row("Pick");
  return [
    key(Object.keys(kinds), "pick vertices, edges, faces, whole pieces", (k) => setPickKind(kinds[k]), { shown: "V  E  F  W" }),
    withMouse("Pick", "Shift + click", "add to the picked, or take away"),
    withMouse("Pick", "double-click", "the loop, the way the pointer lies nearest to"),
    withMouse("Pick", "drag a box", "to the right: what is wholly inside; to the left: what it touches"),
    key(["J"], "lasso instead of a box", () => show(({ lasso }) => ({ lasso: !lasso }))),
    ...rules
      .filter((rule) => rule.key)
      .map((rule) =>
        key([rule.key], `pick: ${rule.words.toLowerCase()}`, () => {
          const { pickKind, picked } = usePicking.getState();
          if (rule.fits(pickKind, picked.length)) void pickBy(rule.rule(pickKind));
        }),
      ),
    ...stepKeys,
    key(["H"], "pick through, or only what is seen", () => setThrough(!usePicking.getState().through)),
    key(["Escape"], "back out: the preview, then the tool or the selection", back, { shown: "Esc" }),
    key(["Escape"], "end comparing", () => show({ compare: null }), { shown: "Esc", holds: "comparing" }),
  ];
}

function ofTools(registry: Registry, find: () => void): KeyRow[] {
  const key = row("Tools");
  return [
    ...registry.all.flatMap((tool) => {
      if (!tool.key) return [];
      // One key deletes on every keyboard.
      const keys = tool.key === "Delete" ? ["Delete", "Backspace"] : [tool.key];
      return [key(keys, tool.name, () => takeTool(tool.id), { shown: tool.key })];
    }),
    key(["/"], "find a tool by its name", find),
  ];
}

function changing(): KeyRow[] {
  const key = row("Change");
  return [
    key(["Enter"], "apply what the tool card shows", () => onceRead(apply)),
    ...dragKeys,
    key([","], "again: do what was done last to what is picked now", repeat),
    key(["U"], "lay the pivot at what is picked", pivotToPicked),
    key(["Ctrl Z"], "undo", undo),
    key(["Ctrl Shift Z", "Ctrl Y"], "redo", redo, { shown: "Ctrl Shift Z, Ctrl Y" }),
  ];
}

function viewing(sheet: () => void): KeyRow[] {
  const key = row("View");
  return [
    ...viewKeys,
    key(["8"], "a second, flat view beside the first", () => show(({ second }) => ({ second: second ? null : "front" }))),
    key(["N"], "only the piece in hand, or all", () => show(({ isolated }) => ({ isolated: !isolated }))),
    key(["D"], "show cage, surface, or both", () => show({ shows: all[(all.indexOf(useShow.getState().shows) + 1) % all.length] })),
    key(["F6"], "from the form to the card, and back", changePlace),
    key(["?"], "this sheet", sheet),
  ];
}

export const keyTable = (registry: Registry, actions: ScreenActions): KeyRow[] => [
  ...picking(),
  ...ofTools(registry, actions.find),
  ...changing(),
  ...viewing(actions.sheet),
];
