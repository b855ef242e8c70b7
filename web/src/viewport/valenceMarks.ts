/** Extraordinary vertices, marked by their valence as a number in a disc: never by colour alone. */
import type { Group } from "three";
import type { CageArrays } from "../model/types";
import { type Sign, Signs } from "./signs";

const tones: Record<number, string> = { 3: "#1F6F78", 5: "#6B4A36" };
const disc = (valence: number): Sign => ({
  words: String(valence), size: 17, grain: 64, font: 44, fill: tones[valence] ?? "#B3261E", ink: "#FFFFFF",
  path: (pen) => pen.arc(32, 32, 30, 0, 2 * Math.PI),
});

export class ValenceMarks {
  private readonly signs = new Signs();

  get group(): Group {
    return this.signs.group;
  }

  /** Inner vertices whose valence is not 4. */
  show(cage: CageArrays, on: boolean): void {
    this.dispose();
    if (!on) return;
    const count = cage.positions.length / 3;
    const valence = new Int32Array(count);
    const border = new Uint8Array(count);
    for (let e = 0; e < cage.edge_verts.length / 2; e++)
      for (const v of cage.edge_verts.subarray(2 * e, 2 * e + 2)) {
        valence[v] += 1;
        if (cage.edge_open[e]) border[v] = 1;
      }
    const at = new Map<number, number[]>();
    for (let v = 0; v < count; v++)
      if (!border[v] && valence[v] !== 4) {
        const list = at.get(valence[v]) ?? [];
        list.push(cage.positions[3 * v], cage.positions[3 * v + 1], cage.positions[3 * v + 2]);
        at.set(valence[v], list);
      }
    for (const [n, flat] of at) this.signs.put(disc(n), flat, 18);
  }

  dispose(): void {
    this.signs.clear();
  }
}
