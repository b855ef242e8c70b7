/** The thing that is dragged to move, turn or size a selection: arrows, patches, arcs and beads, of even size on screen. */
import {
  type BufferGeometry,
  ConeGeometry,
  CylinderGeometry,
  DoubleSide,
  Group,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  OctahedronGeometry,
  PlaneGeometry,
  Quaternion,
  type Ray,
  Raycaster,
  SphereGeometry,
  TorusGeometry,
  Vector3,
} from "three";
import type { Frame, Vec } from "../model/vec";
import type { Drag, Part } from "../model/tool";
import { colours } from "../theme/colours";

const directions = [new Vector3(1, 0, 0), new Vector3(0, 1, 0), new Vector3(0, 0, 1)];
const axisColours = [colours.axisX, colours.axisY, colours.axisZ];
const length = 1;

type Grip = Extract<Part, { kind: "grip" }>;

export class Handle {
  readonly group = new Group();
  /** Beads that lie on the form itself, outside of the group that is laid at the pivot. */
  readonly beads = new Group();
  private parts: { part: Part; meshes: Mesh[]; touch: Mesh; color: string }[] = [];
  private grips: { part: Grip; mesh: Mesh }[] = [];
  private normal = new Vector3(0, 0, 1);
  private axes = directions;
  private key = "";
  private hot: Part | null = null;

  /** Offer these parts at a place, along a frame's axes; `scale` is mm for the length of an arrow. */
  show(parts: Part[], at: Vector3, normal: Vector3, scale: number, frame: Frame | null, back: Vector3): void {
    const usable = parts.filter((part) => part.kind !== "normal" || normal.lengthSq() > 0);
    const key = JSON.stringify(usable);
    if (key !== this.key) {
      this.clear();
      this.key = key;
      for (const part of usable) this.add(part);
    }
    this.axes = frame ? frame.map((axis) => new Vector3(...axis)) : directions;
    this.normal.copy(normal.lengthSq() > 0 ? normal : this.axes[2]);
    this.group.visible = true;
    this.group.position.copy(at);
    this.group.scale.setScalar(scale);
    const basis = new Matrix4().makeBasis(this.axes[0], this.axes[1], this.axes[2]);
    this.group.quaternion.setFromRotationMatrix(basis);
    const inverse = this.group.quaternion.clone().invert();
    const ownNormal = this.normal.clone().applyQuaternion(inverse);
    const ownBack = back.clone().applyQuaternion(inverse);
    for (const { part, meshes, touch } of this.parts) {
      const along = part.kind === "normal" || part.kind === "each";
      if (!along && part.kind !== "screen") continue;
      const spin = along
        ? new Quaternion().setFromUnitVectors(directions[1], ownNormal)
        : new Quaternion().setFromUnitVectors(directions[2], ownBack);
      for (const mesh of [...meshes, touch]) {
        mesh.quaternion.copy(spin);
        if (along) mesh.position.copy(ownNormal).multiplyScalar(mesh.userData.along as number);
      }
    }
    this.group.updateMatrixWorld(true);
  }

  /** Offer beads on the form; `pixelAt` gives the millimetres of a pixel at a place. */
  showGrips(grips: Grip[], pixelAt: (at: Vector3) => number): void {
    for (const gone of this.grips.splice(grips.length)) {
      this.beads.remove(gone.mesh);
      gone.mesh.geometry.dispose();
    }
    grips.forEach((part, i) => {
      if (!this.grips[i]) {
        const material = new MeshBasicMaterial({ color: colours.selection, depthTest: false, transparent: true });
        const mesh = new Mesh(new SphereGeometry(1, 16, 12), material);
        mesh.renderOrder = 100;
        mesh.frustumCulled = false;
        this.beads.add(mesh);
        this.grips[i] = { part, mesh };
      }
      const grip = this.grips[i];
      grip.part = part;
      const middle = part.gain === 1;
      const at = new Vector3(...part.at);
      // The beads that move the form stand off its middle, along their axes, like small arrows' heads.
      if (middle) at.addScaledVector(new Vector3(...part.along), 30 * pixelAt(at));
      grip.mesh.position.copy(at);
      grip.mesh.scale.setScalar((middle ? 5 : 7) * pixelAt(at));
      const axis = part.along.findIndex((x) => Math.abs(x) > 0.9);
      const color = middle && axis >= 0 ? axisColours[axis] : colours.selection;
      const hot = this.hot?.kind === "grip" && this.hot.field === part.field;
      (grip.mesh.material as MeshBasicMaterial).color.set(hot ? colours.hover : color);
    });
    this.beads.visible = grips.length > 0;
    this.beads.updateMatrixWorld(true);
  }

  hide(): void {
    this.group.visible = false;
  }

  /** The part under a ray, if any; it is drawn brighter. */
  hover(ray: Ray): Part | null {
    const part = this.partAt(ray);
    if (part !== this.hot) {
      this.hot = part;
      for (const p of this.parts)
        for (const mesh of p.meshes)
          (mesh.material as MeshBasicMaterial).color.set(p.part === part ? colours.hover : p.color);
    }
    return part;
  }

  private partAt(ray: Ray): Part | null {
    if (this.beads.visible)
      for (const { part, mesh } of this.grips)
        if (ray.distanceToPoint(mesh.position) < mesh.scale.x * 1.7) return part;
    if (!this.group.visible) return null;
    const caster = new Raycaster(ray.origin, ray.direction);
    const [hit] = caster.intersectObjects(this.parts.map((p) => p.touch));
    return this.parts.find((p) => p.touch === hit?.object)?.part ?? null;
  }

  /** Begin a drag of a part. The result says for each later ray, and each point snapped to, how far it went. */
  begin(part: Part, ray: Ray, view: Vector3, pixel: number): (ray: Ray, dx: number, dy: number, snapped?: Vector3 | null) => Drag {
    if (part.kind === "grip") {
      const [origin, axis] = [new Vector3(...part.at), new Vector3(...part.along)];
      const start = nearestOnAxis(ray, origin, axis, view);
      return (r) => ({ part, amount: (nearestOnAxis(r, origin, axis, view) - start) * part.gain, vector: [0, 0, 0] });
    }
    const origin = this.group.position.clone();
    const scale = this.group.scale.x;
    const none: Vec = [0, 0, 0];
    const vec = (v: Vector3) => v.toArray();
    if (part.kind === "bead")
      return (_, dx, dy) => ({ part, amount: Math.max(0, 1 + ((dx - dy) * pixel) / (scale * 1.2)), vector: [(dx - dy) * pixel, 0, 0] });
    if (part.kind === "screen") {
      const start = meetPlane(ray, origin, view);
      return (r, _dx, _dy, snapped) => {
        const shift = snapped ? snapped.clone().sub(origin) : meetPlane(r, origin, view).sub(start);
        return { part, amount: shift.length(), vector: vec(shift) };
      };
    }
    if (part.kind === "plane" || part.kind === "arc") {
      const axis = this.axes[part.axis].clone();
      const on = (r: Ray) => meetPlane(r, origin, axis);
      const start = on(ray);
      if (part.kind === "plane")
        return (r, _dx, _dy, snapped) => {
          const shift = (snapped ? snapped.clone().sub(origin) : on(r).sub(start)).projectOnPlane(axis);
          // Exactly none across the plane, whatever the projection leaves in the last digit.
          const exact = this.axes === directions ? shift.setComponent(part.axis, 0) : shift;
          return { part, amount: exact.length(), vector: vec(exact) };
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
    const along = part.kind === "normal" || part.kind === "each";
    const axis = along ? this.normal.clone() : this.axes[part.axis].clone();
    const way = (r: Ray) => nearestOnAxis(r, origin, axis, view);
    const start = way(ray);
    return (r, _dx, _dy, snapped) => {
      const amount = snapped && part.kind === "axis" ? snapped.clone().sub(origin).dot(axis) : way(r) - start;
      if (part.kind === "knob")
        return { part, amount: Math.max(0, Math.abs(start) > 1e-9 ? 1 + amount / start : 1), vector: none };
      return { part, amount, vector: vec(axis.clone().multiplyScalar(amount)) };
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
    } else if (part.kind === "each") {
      put(new CylinderGeometry(0.014, 0.014, 0.3, 8), -0.3);
      put(new OctahedronGeometry(0.085), -0.5);
      touch = put(new SphereGeometry(0.15, 8, 8), -0.48, false);
    } else if (part.kind === "screen") {
      put(new TorusGeometry(0.16, 0.016, 8, 40), 0);
      touch = put(new TorusGeometry(0.16, 0.05, 6, 24), 0, false);
    } else if (part.kind === "knob") {
      put(new CylinderGeometry(0.014, 0.014, 0.8, 8), 0.5);
      put(new SphereGeometry(0.085, 16, 12), length - 0.05);
      touch = put(new SphereGeometry(0.15, 8, 8), length - 0.05, false);
    } else if (part.kind === "bead") {
      put(new SphereGeometry(0.11, 20, 14), 0);
      touch = put(new SphereGeometry(0.17, 8, 8), 0, false);
    } else if (part.kind === "grip") {
      return;
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
