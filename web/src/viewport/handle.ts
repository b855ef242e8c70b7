/** The thing that is dragged to move, turn or size a selection: arrows, patches, arcs and beads, of even size on screen. */
import {
  BufferGeometry,
  ConeGeometry,
  CylinderGeometry,
  DoubleSide,
  Group,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  Quaternion,
  type Ray,
  Raycaster,
  SphereGeometry,
  TorusGeometry,
  Vector3,
} from "three";
import type { Drag, Part } from "../tools/tool";
import { colours } from "../theme/colours";

const directions = [new Vector3(1, 0, 0), new Vector3(0, 1, 0), new Vector3(0, 0, 1)];
const axisColours = [colours.axisX, colours.axisY, colours.axisZ];
const length = 1;

export class Handle {
  readonly group = new Group();
  private parts: { part: Part; meshes: Mesh[]; touch: Mesh; color: string }[] = [];
  private normal = new Vector3(0, 0, 1);
  private key = "";
  private hot: Part | null = null;

  /** Offer these parts at a place; `scale` is mm for the length of an arrow. */
  show(parts: Part[], at: Vector3, normal: Vector3, scale: number): void {
    const usable = parts.filter((part) => part.kind !== "normal" || normal.lengthSq() > 0);
    const key = JSON.stringify(usable);
    if (key !== this.key) {
      this.clear();
      this.key = key;
      for (const part of usable) this.add(part);
    }
    this.normal.copy(normal);
    this.group.visible = true;
    this.group.position.copy(at);
    this.group.scale.setScalar(scale);
    for (const { part, meshes, touch } of this.parts)
      if (part.kind === "normal") {
        const spin = new Quaternion().setFromUnitVectors(directions[1], normal);
        for (const mesh of [...meshes, touch]) {
          mesh.quaternion.copy(spin);
          mesh.position.copy(normal).multiplyScalar(mesh.userData.along as number);
        }
      }
    this.group.updateMatrixWorld(true);
  }

  hide(): void {
    this.group.visible = false;
  }

  /** The part under a ray, if any; it is drawn brighter. */
  hover(ray: Ray): Part | null {
    const part = this.group.visible ? this.partAt(ray) : null;
    if (part !== this.hot) {
      this.hot = part;
      for (const p of this.parts)
        for (const mesh of p.meshes)
          (mesh.material as MeshBasicMaterial).color.set(p.part === part ? colours.hover : p.color);
    }
    return part;
  }

  private partAt(ray: Ray): Part | null {
    const caster = new Raycaster(ray.origin, ray.direction);
    const [hit] = caster.intersectObjects(this.parts.map((p) => p.touch));
    return this.parts.find((p) => p.touch === hit?.object)?.part ?? null;
  }

  /** Begin a drag of a part; the result says for each later ray how far it went. */
  begin(part: Part, ray: Ray, view: Vector3, pixel: number): (ray: Ray, dx: number, dy: number) => Drag {
    const origin = this.group.position.clone();
    const scale = this.group.scale.x;
    const none: [number, number, number] = [0, 0, 0];
    if (part.kind === "bead")
      return (_, dx, dy) => ({ part, amount: Math.max(0, 1 + ((dx - dy) * pixel) / (scale * 1.2)), vector: none });
    if (part.kind === "plane" || part.kind === "arc") {
      const axis = directions[part.axis];
      const on = (r: Ray) => meetPlane(r, origin, axis);
      const start = on(ray);
      if (part.kind === "plane")
        return (r) => {
          const shift = on(r).sub(start);
          const vector = shift.toArray() as [number, number, number];
          vector[part.axis] = 0;
          return { part, amount: shift.length(), vector };
        };
      // Angles add up over small turns, so that more than half a turn can be dragged.
      let last = start.clone().sub(origin);
      let total = 0;
      return (r) => {
        const now = on(r).sub(origin);
        total += Math.atan2(last.clone().cross(now).dot(axis), last.dot(now));
        last = now;
        return { part, amount: (total * 180) / Math.PI, vector: none };
      };
    }
    const axis = part.kind === "normal" ? this.normal.clone() : directions[part.axis];
    const along = (r: Ray) => nearestOnAxis(r, origin, axis, view);
    const start = along(ray);
    return (r) => {
      const amount = along(r) - start;
      if (part.kind === "knob")
        return { part, amount: Math.max(0, Math.abs(start) > 1e-9 ? 1 + amount / start : 1), vector: none };
      return { part, amount, vector: axis.clone().multiplyScalar(amount).toArray() as [number, number, number] };
    };
  }

  private add(part: Part): void {
    const color = "axis" in part ? axisColours[part.axis] : colours.selection;
    const meshes: Mesh[] = [];
    const put = (geometry: BufferGeometry, along: number, solid = true): Mesh => {
      const material = new MeshBasicMaterial({ color, depthTest: false, transparent: true, side: DoubleSide });
      material.opacity = part.kind === "plane" ? 0.55 : 0.95;
      const mesh = new Mesh(geometry, material);
      mesh.userData.along = along;
      mesh.renderOrder = 100;
      mesh.frustumCulled = false;
      if (solid) meshes.push(mesh);
      else mesh.visible = false;
      if ("axis" in part && part.kind !== "plane" && part.kind !== "arc") {
        mesh.quaternion.setFromUnitVectors(directions[1], directions[part.axis]);
        mesh.position.copy(directions[part.axis]).multiplyScalar(along);
      }
      this.group.add(mesh);
      return mesh;
    };
    let touch: Mesh;
    if (part.kind === "axis") {
      put(new CylinderGeometry(0.014, 0.014, 0.72, 8), 0.5);
      put(new ConeGeometry(0.06, 0.2, 16), length - 0.04);
      touch = put(new CylinderGeometry(0.09, 0.09, 0.86, 8), 0.66, false);
    } else if (part.kind === "normal") {
      put(new CylinderGeometry(0.024, 0.024, 0.62, 10), 0.32);
      put(new ConeGeometry(0.085, 0.22, 20), 0.72);
      touch = put(new CylinderGeometry(0.12, 0.12, 0.74, 8), 0.47, false);
    } else if (part.kind === "knob") {
      put(new CylinderGeometry(0.014, 0.014, 0.8, 8), 0.5);
      put(new SphereGeometry(0.085, 16, 12), length - 0.05);
      touch = put(new SphereGeometry(0.15, 8, 8), length - 0.05, false);
    } else if (part.kind === "bead") {
      put(new SphereGeometry(0.11, 20, 14), 0);
      touch = put(new SphereGeometry(0.17, 8, 8), 0, false);
    } else {
      const axis = part.axis;
      const lay = (mesh: Mesh) => mesh.quaternion.setFromUnitVectors(directions[2], directions[axis]);
      if (part.kind === "plane") {
        const at = directions[(axis + 1) % 3].clone().add(directions[(axis + 2) % 3]).multiplyScalar(0.42);
        const patch = put(new PlaneGeometry(0.2, 0.2), 0);
        touch = put(new PlaneGeometry(0.26, 0.26), 0, false);
        for (const mesh of [patch, touch]) {
          lay(mesh);
          mesh.position.copy(at);
        }
      } else {
        lay(put(new TorusGeometry(0.95 - 0.06 * axis, 0.018, 8, 96), 0));
        touch = put(new TorusGeometry(0.95 - 0.06 * axis, 0.07, 6, 48), 0, false);
        lay(touch);
      }
    }
    // Rays meet what is not drawn, too.
    touch.visible = true;
    (touch.material as MeshBasicMaterial).opacity = 0;
    (touch.material as MeshBasicMaterial).depthWrite = false;
    this.parts.push({ part, meshes, touch, color });
  }

  private clear(): void {
    this.group.clear();
    for (const { meshes, touch } of this.parts) for (const mesh of [...meshes, touch]) mesh.geometry.dispose();
    this.parts = [];
    this.hot = null;
  }
}

/** How far along an axis through `origin` the point lies that is nearest to a ray. */
function nearestOnAxis(ray: Ray, origin: Vector3, axis: Vector3, view: Vector3): number {
  // In the plane that holds the axis and looks most at the eye; steady also where ray and axis are almost parallel.
  const square = axis.clone().cross(view);
  if (square.lengthSq() < 1e-6) return 0;
  const normal = square.cross(axis).normalize();
  return meetPlane(ray, origin, normal).sub(origin).dot(axis);
}

function meetPlane(ray: Ray, origin: Vector3, normal: Vector3): Vector3 {
  const slope = ray.direction.dot(normal);
  const away = origin.clone().sub(ray.origin).dot(normal);
  const t = Math.abs(slope) > 1e-4 ? away / slope : away;
  return ray.origin.clone().addScaledVector(ray.direction, t);
}
