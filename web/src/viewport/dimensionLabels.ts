/** The numbers of dimensions, over the form: buttons of the page, so that they can be read, reached by keys, and clicked. */
import { Vector3 } from "three";
import { dimensionsShown, figureWords, keptDimension, type ShownDimension } from "../live/dimensions";
import { useDesign } from "../live/stores/design";
import { makeTrue } from "../live/tooling";
import { colours } from "../theme/colours";
import type { Eye } from "./camera";

/** Height of a label in pixels, and how far one gives way to another. */
const tall = 22;

export class DimensionLabels {
  private readonly layer = document.createElement("div");
  private readonly labels = new Map<string, HTMLButtonElement>();
  private readonly point = new Vector3();

  /** In a second view they are only looked at. */
  constructor(
    private readonly host: HTMLElement,
    private readonly live: boolean,
  ) {
    Object.assign(this.layer.style, { position: "absolute", inset: "0", pointerEvents: "none", overflow: "hidden" });
    if (!live) this.layer.setAttribute("aria-hidden", "true");
    host.appendChild(this.layer);
  }

  draw(eye: Eye, shown: boolean): void {
    const list = shown ? dimensionsShown() : [];
    const ids = new Set(list.map(({ id }) => id));
    for (const [id, label] of this.labels) {
      if (ids.has(id)) continue;
      label.remove();
      this.labels.delete(id);
    }
    const taken: [number, number, number][] = [];
    for (const one of list) this.place(one, eye, taken);
  }

  private place(one: ShownDimension, { camera }: Eye, taken: [number, number, number][]): void {
    const label = this.labels.get(one.id) ?? this.made(one.id);
    const words = `${one.holds === "fails" ? "\u2717 " : ""}${figureWords(one, useDesign.getState().design?.unit ?? "mm")}`;
    if (label.textContent !== words) label.textContent = words;
    const name = `${one.asked}: ${words}. Make it another number`;
    if (label.ariaLabel !== name) label.ariaLabel = label.title = name;
    label.style.color = label.style.borderColor = one.holds === "fails" ? colours.fault : colours.ink;
    this.point.set(...one.drawn.label).project(camera);
    const { clientWidth, clientHeight } = this.host;
    const hidden = Math.abs(this.point.z) > 1;
    label.style.display = hidden ? "none" : "block";
    if (hidden) return;
    const x = ((this.point.x + 1) / 2) * clientWidth;
    const half = (14 + 7.2 * words.length) / 2;
    let y = ((1 - this.point.y) / 2) * clientHeight;
    while (taken.some(([u, v, w]) => Math.abs(u - x) < w + half && Math.abs(v - y) < tall)) y += tall;
    taken.push([x, y, half]);
    label.style.transform = `translate(${x.toFixed(1)}px, ${y.toFixed(1)}px) translate(-50%, -50%)`;
  }

  private made(id: string): HTMLButtonElement {
    const label = document.createElement("button");
    label.type = "button";
    label.dataset.testid = "dimension";
    label.tabIndex = this.live ? 0 : -1;
    Object.assign(label.style, {
      position: "absolute", left: "0", top: "0", pointerEvents: this.live ? "auto" : "none", cursor: "pointer", padding: "1px 6px", height: `${tall - 2}px`,
      font: "600 13px/16px inherit", fontFamily: "inherit", fontVariantNumeric: "tabular-nums", whiteSpace: "nowrap",
      background: colours.card, border: `1px solid ${colours.ink}`, borderRadius: "5px",
    });
    label.addEventListener("click", () => {
      const kept = keptDimension(id);
      const now = dimensionsShown().find((one) => one.id === id);
      if (kept && now) makeTrue(kept, now.figure);
    });
    // What is meant for the number is not meant for the form behind it.
    for (const type of ["pointerdown", "pointerup", "dblclick", "contextmenu"]) label.addEventListener(type, (event) => event.stopPropagation());
    this.layer.appendChild(label);
    this.labels.set(id, label);
    return label;
  }

  dispose(): void {
    this.layer.remove();
  }
}
