/** What is drawn over the form for a moment: points being set, the pivot, the section's edge, and clearances. */
import { BufferAttribute, BufferGeometry, CanvasTexture, Group, Points, PointsMaterial } from "three";
import { useShow } from "../live/stores/show";
import { useGaps } from "../live/stores/gaps";
import { useRing } from "../live/stores/ring";
import { useNear } from "../live/stores/near";
import { colours } from "../theme/colours";
import { Combs } from "./combs";
import { DimensionLines } from "./dimensionLines";
import { Lines } from "./lines";
import { ScanLines } from "./scanLines";
import { useDrawn, useSketch, useSpot } from "../live/stores/sketch";
import { squareCanvas } from "./canvas";

const spotTones: Record<string, string> = {
  vertex: colours.selection, edge: colours.selection, face: colours.river, image: colours.river, reference: colours.river,
  picture: colours.otter, plane: colours.otter,
};

export class Overlay {
  readonly group = new Group();
  private readonly path = new Lines(colours.selection, 2.5, { onTop: true });
  private readonly next = new Lines(colours.hover, 2, { onTop: true });
  private readonly stroke = new Lines(colours.river, 3, { onTop: true });
  private readonly ring = new Lines(colours.river, 2, { onTop: true });
  private readonly gap = new Lines(colours.river, 2.5, { onTop: true });
  private readonly short = new Lines(colours.fault, 3.5, { onTop: true, dashed: true });
  private readonly combs = new Combs();
  private readonly dimensions = new DimensionLines();
  private readonly dots = dots(9);
  private readonly hover = dots(13, true);
  private readonly pivot = dots(17, true);
  /** Where images come nearest to one another. */
  private readonly places = dots(15, true);
  private readonly meetings = dots(15, true);

  private readonly onScan: ScanLines;

  constructor(changed: () => void) {
    this.onScan = new ScanLines(changed);
    this.group.add(this.onScan.group);
    for (const line of this.lines) this.group.add(line.object);
    this.group.add(this.dots, this.hover, this.pivot, this.places, this.meetings, this.combs.group, this.dimensions.group);
  }

  private get lines(): Lines[] {
    return [this.path, this.next, this.stroke, this.ring, this.gap, this.short];
  }

  draw(): void {
    this.combs.draw();
    this.dimensions.draw();
    this.onScan.draw();
    const { spots, closed, paired, freehand, apart } = useSketch.getState();
    const hover = useSpot.getState().spot;
    const flat = spots.flatMap((spot) => spot.point);
    const count = spots.length;
    const pairs = Array.from({ length: Math.max(0, count - 1) }, (_, i) => (apart || (paired && i % 2) ? [] : [i, i + 1])).flat();
    if (closed && count > 2) pairs.push(count - 1, 0);
    draw(this.path, flat, pairs);
    const { line } = useDrawn.getState();
    draw(this.stroke, line.flatMap((spot) => spot.point), line.slice(1).flatMap((_, i) => [i, i + 1]));
    const rim = useRing.getState().points ?? [];
    draw(this.ring, rim, Array.from({ length: rim.length / 3 }, (_, i) => [i, (i + 1) % (rim.length / 3)]).flat());
    const goesOn = count > 0 && !closed && !freehand && !apart && !(paired && count % 2 === 0);
    draw(this.next, hover && goesOn ? [...spots[count - 1].point, ...hover.point] : [], hover && goesOn ? [0, 1] : []);
    put(this.dots, freehand ? [] : flat, colours.selection);
    put(this.hover, hover ? hover.point : [], hover ? spotTones[hover.on] : colours.hover);
    put(this.pivot, useShow.getState().pivot ?? [], colours.otter);
    const near = useNear.getState().list;
    const gaps = useGaps.getState().list;
    const short = [...near.filter((n) => n.distance < n.asked), ...gaps.filter((g) => g.state !== "apart")];
    put(this.places, gaps.filter((g) => g.state !== "apart").flatMap((g) => g.from), colours.fault);
    put(this.meetings, gaps.filter((g) => g.state === "apart").flatMap((g) => g.from), colours.otter);
    const long = [...near.filter((n) => n.distance >= n.asked && n.asked > 0), ...gaps.filter((g) => g.state === "apart")];
    for (const [line, list] of [[this.gap, long], [this.short, short]] as const) {
      draw(line, list.flatMap((n) => [...n.from, ...n.to]), [...Array(2 * list.length).keys()]);
    }
  }

  dispose(): void {
    this.combs.dispose();
    this.onScan.dispose();
    this.dimensions.dispose();
    for (const line of this.lines) line.dispose();
    for (const points of [this.dots, this.hover, this.pivot, this.places, this.meetings]) points.geometry.dispose();
  }
}

function draw(line: Lines, points: number[], pairs: number[]): void {
  line.set(points, new Int32Array(pairs), [...Array(pairs.length / 2).keys()]);
}

let ring: CanvasTexture | null = null;

/** A ring with a dot: it marks a place without hiding it. */
function ringTexture(): CanvasTexture {
  if (ring) return ring;
  const { canvas, pen } = squareCanvas(64);
  pen.strokeStyle = pen.fillStyle = "#FFFFFF";
  pen.lineWidth = 9;
  pen.beginPath();
  pen.arc(32, 32, 25, 0, 2 * Math.PI);
  pen.stroke();
  pen.beginPath();
  pen.arc(32, 32, 8, 0, 2 * Math.PI);
  pen.fill();
  return (ring = new CanvasTexture(canvas));
}

function dots(size: number, ringed = false): Points {
  const material = new PointsMaterial({ size, sizeAttenuation: false, depthTest: false, transparent: true });
  if (ringed) material.map = ringTexture();
  const points = new Points(new BufferGeometry(), material);
  points.renderOrder = 60;
  points.frustumCulled = false;
  points.visible = false;
  return points;
}

function put(points: Points, flat: number[], color: string): void {
  points.visible = flat.length > 0;
  if (!flat.length) return;
  points.geometry.dispose();
  points.geometry = new BufferGeometry();
  points.geometry.setAttribute("position", new BufferAttribute(new Float32Array(flat), 3));
  (points.material as PointsMaterial).color.set(color);
}

