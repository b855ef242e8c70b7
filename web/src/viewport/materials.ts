/** What forms are made of on the screen: clays of several colours, metal, and dark-line stripes to judge highlights. */
import { type BufferGeometry, type CanvasTexture, DoubleSide, type Mesh, MeshMatcapMaterial, type Plane } from "three";
import type { Material } from "../live/stores/show";
import { clays } from "../theme/clays";
import { type Clear, clearness, finishBall, grainOf, isGrained } from "./finishes";
import { asItStands, exposed, type Light, turnedBack } from "./light";
import { ball, clay, paint, type Painter } from "./matcap";
import { lightAround } from "./aroundMap";
import { lookThrough, type Through, through, throughHead } from "./lookThrough";
import { woodHead } from "./wood";

interface Kept {
  texture: CanvasTexture;
  tone(light: Light): Painter;
}

const balls = new Map<string, Kept>();
let light = asItStands;

function put({ texture, tone }: Kept): void {
  const plain = tone(light);
  paint(texture, light.stops ? (x, y, z) => plain(x, y, z).map((v) => exposed(light, v)) as [number, number, number] : plain);
}

function texture(name: string, tone: (light: Light) => Painter, size?: number): CanvasTexture {
  let found = balls.get(name);
  if (!found) {
    balls.set(name, (found = { texture: ball(size), tone }));
    put(found);
  }
  return found.texture;
}

/** Let everything be seen by this light from now on. */
export function lightBy(now: Light): void {
  if (now.turn === light.turn && now.stops === light.stops && now.around === light.around) return;
  light = now;
  balls.forEach(put);
  lightAround(now);
}

export const paleTexture = () => texture("pale", (by) => clay([226, 219, 205], [116, 112, 106], by));
/** Of components, that one can tell from forms; and of stands. */
export const glassTexture = () => texture("component", (by) => clay([176, 196, 200], [74, 96, 104], by));
export const zincTexture = () => texture("stand", (by) => clay([168, 170, 172], [70, 73, 77], by));

/** By a clay's name; of what is shown as it is `of` something, by that as well. */
export function surfaceTexture(material: Material, colour: string, of = "clay"): CanvasTexture {
  if (material === "finish" && of !== "clay") return texture(`${of} ${colour}`, (by) => finishBall(of, colour, by), grainOf(of));
  if (material === "metal") return texture("metal", () => metal);
  if (material === "stripes") return texture("stripes", () => stripes, 1024);
  const { lit, shade } = clays[colour] ?? clays.clay;
  return texture(colour, (by) => clay(lit, shade, by));
}

/** Whether a surface shows grain, and how it is looked through, is asked at each frame. */
export type SurfaceMaterial = MeshMatcapMaterial & { grain: { value: number }; through: Through };

/** A surface whose back sides are tinted, so that flipped faces are seen. */
export function surfaceMaterial(planes: Plane[], tinted: { value: number }): SurfaceMaterial {
  const grain = { value: 0 };
  const material = Object.assign(new MeshMatcapMaterial({ side: DoubleSide, clippingPlanes: planes }), { grain, through: through() });
  // Of what is looked through the nearest of both sides is drawn.
  material.forceSinglePass = true;
  material.polygonOffset = true;
  material.polygonOffsetFactor = material.polygonOffsetUnits = 1;
  material.onBeforeCompile = (shader) => {
    shader.uniforms.tintBack = tinted;
    shader.uniforms.woodOn = grain;
    Object.assign(shader.uniforms, material.through);
    shader.vertexShader = `out vec3 woodAt;\n${shader.vertexShader}`.replace("#include <project_vertex>", "#include <project_vertex>\nwoodAt = position;");
    shader.fragmentShader = `uniform float tintBack;\n${woodHead}${throughHead}${shader.fragmentShader}`.replace(
      "#include <opaque_fragment>",
      "if (woodOn > 0.5) outgoingLight *= woodTone();\nif (throughOn > 0.5) outgoingLight = diffuse * throughLight(-vViewPosition, normal, gl_FrontFacing);\nif (!gl_FrontFacing) outgoingLight = mix(outgoingLight, vec3(0.40, 0.26, 0.34), (throughOn > 0.5 ? 0.2 : 0.66) * tintBack);\n#include <opaque_fragment>",
    );
  };
  return material;
}

/** Let a surface be seen as what it is of. */
export function dressIn(own: SurfaceMaterial, material: Material, colour: string, finish: string): void {
  own.matcap = surfaceTexture(material, colour, finish);
  own.grain.value = Number(material === "finish" && isGrained(finish));
  clearAs(own, material === "finish" ? clearness(finish) : null);
}

/** Let a surface be looked through, or not. */
export function clearAs(own: SurfaceMaterial, clear: Clear | null): void {
  own.through.throughOn.value = Number(clear !== null);
  if (!clear) return;
  own.through.throughIndex.value = clear.index;
  own.through.throughTint.value.setRGB(...clear.tint);
}

/** Drawn faintly, so that what lies within can be seen; or looked through as what it is of; or neither. Call it when it is dressed. */
export function asGlass(mesh: Mesh<BufferGeometry, SurfaceMaterial>, faint: boolean): void {
  const { material } = mesh;
  const clear = !faint && material.through.throughOn.value > 0;
  if (faint) material.through.throughOn.value = 0;
  const transparent = faint || clear;
  if (material.transparent !== transparent) material.needsUpdate = true;
  Object.assign(material, { transparent, opacity: faint ? 0.5 : 1, depthWrite: !faint });
  mesh.renderOrder = faint ? 3 : clear ? 2 : 0;
  lookThrough(mesh, clear);
}

/** A stone's facets: each takes one tone by where it looks, light and dark close to one another. A smooth one glows from within. */
export function gemTexture(tint: string, smooth: boolean): CanvasTexture {
  const base = [1, 3, 5].map((at) => parseInt(tint.slice(at, at + 2), 16));
  return texture(`gem ${tint} ${smooth}`, (by) => (eyeX, y, eyeZ) => {
    const [x, z] = turnedBack(by, eyeX, eyeZ);
    if (smooth) {
      const tone = 0.5 + 0.38 * Math.max(0, -0.3 * x + 0.55 * y + 0.6 * z) + 0.22 * Math.max(0, 0.4 * x - 0.7 * y + 0.2);
      const window = Math.max(0, -0.42 * x + 0.6 * y + 0.68 * z) ** 30;
      return base.map((part) => part * tone + (255 - part * tone) * Math.min(1, 0.9 * window)) as [number, number, number];
    }
    const wave = 0.5 + 0.5 * Math.sin(9 * x + 5.3 * y + 7 * x * y) * Math.cos(8 * y - 3.1 * x);
    const tone = 0.42 + 0.5 * wave + 0.16 * Math.max(0, y);
    const flash = Math.max(0, -0.35 * x + 0.55 * y + 0.75 * z) ** 26 + 0.5 * Math.max(0, 0.8 * x - 0.3 * y + 0.5 * z) ** 30;
    return base.map((part) => part * tone + (255 - part * tone) * Math.min(1, 0.85 * flash)) as [number, number, number];
  });
}

/** A soft window above, a dark horizon, a warm floor: what turned zinc shows. */
const metal: Painter = (x, y, z) => {
  const sky = y > 0.12 ? 0.62 + 0.38 * Math.min(1, (y - 0.12) * 1.6) : 0;
  const floor = y < -0.05 ? 0.34 + 0.3 * Math.min(1, -y * 1.2) : 0;
  const horizon = 0.2;
  const tone = Math.max(sky, floor, horizon) * (0.72 + 0.28 * z) + 0.25 * Math.max(0, 0.6 * y - 0.4 * x + 0.6 * z) ** 12;
  return [tone * 226, tone * 230, tone * 234];
};

/** The way a ray is thrown back decides, so that the lines break where the curvature does. */
const stripes: Painter = (x, y, z) => {
  const thrown = Math.atan2(2 * z * y, 2 * z * z - 1);
  const wave = Math.sin(thrown * 9);
  const line = 0.5 + 0.5 * Math.max(-1, Math.min(1, wave * 5));
  const shade = 0.8 + 0.2 * z - 0.06 * x;
  return [(38 + 206 * line) * shade, (44 + 199 * line) * shade, (47 + 190 * line) * shade];
};
