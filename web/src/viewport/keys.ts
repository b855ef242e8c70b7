/** The view's own keys, and those that belong to a drag. */
import { nudge } from "../live/nudging";
import { useShow } from "../live/stores/show";
import { type KeyRow, withMouse } from "../model/keys";
import { axisVec, times } from "../model/vec";
import { type Eye, viewNames } from "./camera";
import { mainView } from "./mainView";
import { step } from "./stepping";

const turn = Math.PI / 12;
const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

const view = (keys: string[], words: string, act: KeyRow["act"], given: Partial<KeyRow> = {}): KeyRow => ({
  keys, words, section: "View", where: "anywhere", act, ...given,
});

/** Move the eye, and draw. */
const withEye = (move: (eye: Eye, key: string) => void) => (key: string) => {
  const scene = mainView.scene;
  if (!scene) return;
  move(scene.eye, key);
  scene.draw();
};

export const viewKeys: KeyRow[] = [
  view(Object.keys(arrows), "turn the view (arrows: with nothing picked)", withEye((eye, key) => eye.orbit(-turn * arrows[key][0], -turn * arrows[key][1])), {
    where: "form", holds: "nothing picked", shown: "right drag, arrows",
  }),
  view(Object.keys(arrows).map((key) => `Shift ${key}`), "pan", withEye((eye, key) => {
    const [dx, dy] = arrows[key.replace("Shift ", "")];
    eye.pan(-40 * dx, -40 * dy);
  }), { where: "form", shown: "middle drag, Shift + right drag" }),
  withMouse("View", "Ctrl + right drag", "turn the light; up and down: brighter, darker"),
  view(["+", "-"], "zoom", withEye((eye, key) => eye.zoom(key === "+" ? 0.85 : 1 / 0.85)), { where: "form", shown: "wheel, + and −" }),
  view(viewNames.map((_, i) => String(i + 1)), viewNames.join(", "), withEye((eye, key) => eye.take(viewNames[Number(key) - 1])), { shown: "1 – 7" }),
  view(["0"], "perspective or flat", () => mainView.scene?.toggleFlat()),
  view(["."], "fit all into view", () => mainView.scene?.fit()),
];

/** Arrows nudge what is picked along the world's axis that lies nearest to the screen's; Page up and down go in depth. */
function nudgeAlong(key: string): void {
  const eye = mainView.scene?.eye;
  if (!eye) return;
  const depth = key.startsWith("Page");
  const [dx, dy] = arrows[key] ?? [0, 0];
  const direction = (depth ? eye.back : dx ? eye.right : eye.up).toArray();
  const sign = depth ? (key === "PageDown" ? 1 : -1) : dx || -dy;
  const sizes = direction.map(Math.abs);
  const axis = sizes.indexOf(Math.max(...sizes));
  const { nudge: step, grid } = useShow.getState();
  nudge(times(axisVec(axis), Math.sign(direction[axis]) * sign * (step || grid)));
}

/** From element to element: without a mouse everything can be picked. */
export const stepKeys: KeyRow[] = [
  {
    keys: Object.keys(arrows).map((key) => `Ctrl ${key}`), words: "pick the neighbour that way; with nothing picked, what lies in the middle", section: "Pick",
    where: "form", shown: "Ctrl + arrows", act: (key) => step(key.replace("Ctrl ", ""), false),
  },
  {
    keys: Object.keys(arrows).map((key) => `Ctrl Shift ${key}`), words: "add the neighbour that way", section: "Pick", where: "form",
    shown: "Ctrl Shift + arrows", act: (key) => step(key.replace("Ctrl Shift ", ""), true),
  },
];

/** What the sheet says of drags, whose keys whoever holds the drag takes; and nudging. */
export const dragKeys: KeyRow[] = [
  withMouse("Change", "digits while dragging", "make the drag exact, with units if wished"),
  {
    keys: [...Object.keys(arrows), "PageUp", "PageDown"], words: "nudge what is picked by the arrow step", section: "Change", where: "form",
    holds: "picked", shown: "arrows, Page up, down", act: nudgeAlong,
  },
  { keys: ["X"], words: "extrude as it goes", section: "Change", where: "drag", shown: "X held, or pressed while dragging" },
  {
    keys: ["PageUp", "PageDown"], words: "make the reach wider or narrower", section: "Change", where: "drag",
    shown: "wheel, Page up, down while dragging",
  },
];
