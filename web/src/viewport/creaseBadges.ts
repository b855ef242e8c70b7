/** How sharp creases and corners are, as a number: one badge for each line of edges of one sharpness. */
import { type BufferAttribute, type Group, type Points, Vector3 } from "three";
import type { CageArrays } from "../model/types";
import { colours } from "../theme/colours";
import { type Sign, Signs } from "./signs";

const most = 60;
/** A rounded plate for edges, a lozenge for corners: told apart by form, not by colour. */
const badge = (words: string, corner: boolean): Sign => ({
  words, size: 34, grain: 96, font: words.length > 3 ? 27 : 34, line: colours.crease, path: corner ? lozenge : plate,
});

const plate: Sign["path"] = (pen) => pen.roundRect(6, 26, 84, 44, 20);
const lozenge: Sign["path"] = (pen) => {
  pen.moveTo(48, 8);
  pen.lineTo(90, 48);
  pen.lineTo(48, 88);
  pen.lineTo(6, 48);
  pen.closePath();
};

const wordsFor = (sharpness: number) => (sharpness >= 10 ? "hard" : String(Number(sharpness.toFixed(1))));

export class CreaseBadges {
  private readonly signs = new Signs();
  private badges: { points: Points; places: Vector3[] }[] = [];

  get group(): Group {
    return this.signs.group;
  }

  show(cage: CageArrays, on: boolean): void {
    this.dispose();
    if (!on) return;
    const where = (v: number) => new Vector3(...cage.positions.subarray(3 * v, 3 * v + 3));
    const put = (sharpness: number, corner: boolean, places: Vector3[]) =>
      this.badges.push({ points: this.signs.put(badge(wordsFor(sharpness), corner), [0, 0, 0], 17), places });
    for (const line of linesOf(cage).slice(0, most)) {
      const middles = line.map((e) => where(cage.edge_verts[2 * e]).add(where(cage.edge_verts[2 * e + 1])).multiplyScalar(0.5));
      put(cage.edge_sharpness[line[0]], false, middles);
    }
    cage.vertex_sharpness.forEach((sharpness, v) => sharpness > 0 && this.badges.length < 2 * most && put(sharpness, true, [where(v)]));
  }

  /** Lay each badge at that place of its line which lies nearest to the eye. */
  face(back: Vector3): void {
    for (const { points, places } of this.badges) {
      const best = places.reduce((a, b) => (b.dot(back) > a.dot(back) ? b : a));
      const attribute = points.geometry.getAttribute("position") as BufferAttribute;
      attribute.setXYZ(0, best.x, best.y, best.z);
      attribute.needsUpdate = true;
    }
  }

  dispose(): void {
    this.signs.clear();
    this.badges = [];
  }
}

/** Creased edges of one sharpness that hang together, each group in the order of a walk. */
function linesOf(cage: CageArrays): number[][] {
  const at = new Map<string, number[]>();
  const keys = (e: number) => [0, 1].map((k) => `${cage.edge_sharpness[e]} ${cage.edge_verts[2 * e + k]}`);
  const left = new Set<number>();
  cage.edge_sharpness.forEach((sharpness, e) => {
    if (sharpness <= 0) return;
    left.add(e);
    for (const key of keys(e)) at.set(key, [...(at.get(key) ?? []), e]);
  });
  const lines: number[][] = [];
  while (left.size) {
    const [start] = left;
    left.delete(start);
    const line = [start];
    // The list grows while it is walked.
    for (const edge of line) line.push(...keys(edge).flatMap((key) => at.get(key) ?? []).filter((next) => left.delete(next)));
    lines.push(line);
  }
  return lines;
}
