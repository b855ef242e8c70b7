/**
 * Looking through a piece of glass or resin: each ray of the eye is bent as it enters, followed to where the nearest back of the
 * piece lets it out, bent again, and followed to what is met there: something opaque, the floor, or the light all round.
 *
 * Source: C. Wyman, "An Approximate Image-Space Approach for Interactive Refraction", ACM SIGGRAPH 2005; here the way within is
 * found by tangent planes of the back. What a ray meets after it has left is not looked for in the same piece again.
 */
import {
  BackSide,
  type BufferGeometry,
  Color,
  FloatType,
  FramebufferTexture,
  FrontSide,
  LinearFilter,
  type Material,
  Matrix4,
  Mesh,
  NearestFilter,
  type OrthographicCamera,
  type PerspectiveCamera,
  type Plane,
  type Scene,
  ShaderMaterial,
  type Texture,
  Vector2,
  Vector4,
  type WebGLRenderer,
  WebGLRenderTarget,
} from "three";
import { aroundHead, aroundMap } from "./aroundMap";
import type { OpaqueDepths } from "./opaqueDepths";
import { fresnel } from "./refraction";

/** What a surface asks for that is looked through. */
export interface Through {
  throughOn: { value: number };
  throughIndex: { value: number };
  /** The share of each colour that passes one face. */
  throughTint: { value: Color };
  throughBacks: { value: Texture | null };
  throughBehind: { value: Texture | null };
  throughDepths: { value: Texture | null };
  throughSize: { value: Vector2 };
  throughProject: { value: Matrix4 };
  throughBack: { value: Matrix4 };
  throughFloor: { value: Vector4 };
  throughAround: { value: Texture };
}

export const through = (): Through => ({
  throughOn: { value: 0 },
  throughIndex: { value: 1.5 },
  throughTint: { value: new Color(1, 1, 1) },
  throughBacks: { value: null },
  throughBehind: { value: null },
  throughDepths: { value: null },
  throughSize: { value: new Vector2() },
  throughProject: { value: new Matrix4() },
  throughBack: { value: new Matrix4() },
  throughFloor: { value: new Vector4() },
  throughAround: { value: aroundMap },
});

type Eye = PerspectiveCamera | OrthographicCamera;
type ClearMesh = Mesh<BufferGeometry, Material & { through?: Through }>;

/** By what draws: a surface knows nothing of the picture that it is drawn into. */
const layersOf = new WeakMap<WebGLRenderer, ClearLayers>();

/** Have a surface looked through from now on, or no longer. */
export function lookThrough(mesh: Mesh, on: boolean): void {
  mesh.onBeforeRender = on ? (renderer, _scene, camera) => layersOf.get(renderer)?.prepare(mesh as unknown as ClearMesh, camera as Eye) : () => undefined;
}

/** What one picture keeps for the pieces that are looked through in it. */
export class ClearLayers {
  /** Direction and depth of the nearest back, by pixel. */
  private readonly backs = new WebGLRenderTarget(1, 1, { type: FloatType, minFilter: NearestFilter, magFilter: NearestFilter });
  private behind = new FramebufferTexture(1, 1);
  private readonly back: ShaderMaterial;
  private readonly far: ShaderMaterial;
  private readonly farSeen = { backs: { value: this.backs.texture }, size: { value: new Vector2() }, around: { value: aroundMap } };
  private readonly clearColour = new Color();
  private floor: number | null = null;
  private takesTime = false;

  constructor(
    private readonly renderer: WebGLRenderer,
    private readonly depths: OpaqueDepths,
    planes: Plane[],
  ) {
    const common = { clipping: true, clippingPlanes: planes };
    this.back = new ShaderMaterial({ ...common, vertexShader: vertex, fragmentShader: backFragment, side: BackSide });
    // A wall that lies behind another wall of the same piece is told by what it throws back.
    this.far = new ShaderMaterial({ ...common, uniforms: this.farSeen, vertexShader: vertex, fragmentShader: farFragment, side: FrontSide, transparent: true, premultipliedAlpha: true, depthWrite: false });
    layersOf.set(renderer, this);
  }

  /** Whether a scene shows something that is looked through. */
  some(scene: Scene): boolean {
    return this.in(scene).length > 0;
  }

  /** Before all is drawn: on a floor at this height, or null where nothing lies on one. Without time for it all is drawn faintly. */
  begin(scene: Scene, camera: Eye, floor: number | null, takesTime: boolean): void {
    this.floor = floor;
    const clear = this.in(scene);
    for (const { material } of clear) {
      if (material.through) material.through.throughOn.value = takesTime ? 1 : 0.25;
      Object.assign(material, { opacity: takesTime ? 1 : 0.5, depthWrite: takesTime });
    }
    this.takesTime = takesTime;
    if (clear.length && takesTime) this.depths.draw(this.renderer, scene, camera);
  }

  private in(scene: Scene): ClearMesh[] {
    const found: ClearMesh[] = [];
    scene.traverseVisible((one) => {
      if (one instanceof Mesh && ((one as ClearMesh).material.through?.throughOn.value ?? 0) > 0) found.push(one as ClearMesh);
    });
    return found;
  }

  /** Called before a piece is drawn, when all that lies behind it has been. */
  prepare(mesh: ClearMesh, camera: Eye): void {
    if (!this.takesTime) return;
    const { renderer } = this;
    const size = renderer.getDrawingBufferSize(new Vector2());
    if (this.backs.width !== size.x || this.backs.height !== size.y) {
      this.backs.setSize(size.x, size.y);
      this.behind.dispose();
      this.behind = new FramebufferTexture(size.x, size.y);
      this.behind.magFilter = this.behind.minFilter = LinearFilter;
    }
    const target = renderer.getRenderTarget();
    const alpha = renderer.getClearAlpha();
    renderer.getClearColor(this.clearColour);
    renderer.setClearColor(0, 0);
    renderer.setRenderTarget(this.backs);
    this.draw(mesh, camera, this.back, true);
    renderer.setClearColor(this.clearColour, alpha);
    renderer.setRenderTarget(target);
    this.farSeen.size.value.copy(size);
    this.draw(mesh, camera, this.far, false);
    renderer.copyFramebufferToTexture(this.behind);

    const { through } = mesh.material;
    if (!through) return;
    through.throughBacks.value = this.backs.texture;
    through.throughBehind.value = this.behind;
    through.throughDepths.value = this.depths.texture;
    through.throughSize.value.copy(size);
    through.throughProject.value.copy(camera.projectionMatrix);
    through.throughBack.value.copy(camera.projectionMatrixInverse);
    through.throughFloor.value.set(0, 0, 0, 0);
    if (this.floor !== null) {
      // As a plane where the eye is the origin.
      const up = new Vector4(0, 0, 1, -this.floor);
      through.throughFloor.value.copy(up.applyMatrix4(camera.matrixWorld.clone().transpose()));
    }
  }

  private draw(mesh: ClearMesh, camera: Eye, material: ShaderMaterial, cleared: boolean): void {
    const { renderer } = this;
    const [own, ask, clears] = [mesh.material, mesh.onBeforeRender, renderer.autoClear];
    mesh.material = material;
    mesh.onBeforeRender = () => undefined;
    renderer.autoClear = cleared;
    renderer.render(mesh, camera);
    renderer.autoClear = clears;
    Object.assign(mesh, { material: own, onBeforeRender: ask });
  }

  dispose(): void {
    layersOf.delete(this.renderer);
    this.backs.dispose();
    this.behind.dispose();
    this.back.dispose();
    this.far.dispose();
  }
}

const vertex = `
#include <common>
#include <clipping_planes_pars_vertex>
out vec3 lookedAt;
out vec3 lookedNormal;
void main() {
  #include <beginnormal_vertex>
  #include <defaultnormal_vertex>
  #include <begin_vertex>
  #include <project_vertex>
  #include <clipping_planes_vertex>
  lookedAt = mvPosition.xyz;
  lookedNormal = transformedNormal;
  #ifdef FLIP_SIDED
  // Outwards, and not to the eye.
  lookedNormal = -lookedNormal;
  #endif
}
`;

const backFragment = `
#include <clipping_planes_pars_fragment>
in vec3 lookedAt;
in vec3 lookedNormal;
void main() {
  #include <clipping_planes_fragment>
  gl_FragColor = vec4(normalize(lookedNormal), lookedAt.z);
}
`;

const farFragment = `
#include <clipping_planes_pars_fragment>
in vec3 lookedAt;
in vec3 lookedNormal;
uniform highp sampler2D backs;
uniform vec2 size;
uniform sampler2D around;
${aroundHead}
void main() {
  #include <clipping_planes_fragment>
  vec4 back = texelFetch(backs, ivec2(gl_FragCoord.xy), 0);
  if (back.xyz == vec3(0.0) || lookedAt.z > back.w - 1e-4 * abs(back.w)) discard;
  vec3 way = isOrthographic ? vec3(0.0, 0.0, -1.0) : normalize(lookedAt);
  vec3 normal = normalize(lookedNormal);
  float thrown = 0.06 + 0.94 * pow(1.0 - max(-dot(way, normal), 0.0), 5.0);
  gl_FragColor = vec4(thrown * toned(lightAround(around, reflect(way, normal))), thrown);
  #include <colorspace_fragment>
}
`;

/** Before a matcap's fragment shader; \`throughLight\` gives the light of a front that is looked through, or of a back. */
export const throughHead = `
uniform float throughOn;
uniform float throughIndex;
uniform vec3 throughTint;
uniform highp sampler2D throughBacks;
uniform sampler2D throughBehind;
uniform highp sampler2D throughDepths;
uniform vec2 throughSize;
uniform mat4 throughProject;
uniform mat4 throughBack;
uniform vec4 throughFloor;
uniform sampler2D throughAround;
${fresnel}
${aroundHead}

vec2 throughScreen(vec3 at) {
  vec4 clip = throughProject * vec4(at, 1.0);
  return 0.5 + 0.5 * clip.xy / clip.w;
}
vec3 throughPoint(vec2 screen, float depth) {
  vec4 at = throughBack * vec4(2.0 * vec3(screen, depth) - 1.0, 1.0);
  return at.xyz / at.w;
}
vec4 throughBackAt(vec2 screen) { return texelFetch(throughBacks, ivec2(clamp(screen * throughSize, vec2(0.0), throughSize - 1.0)), 0); }
/** Where the eye looks at this place of the screen, at the distance of z. */
vec3 throughAt(vec2 screen, float z) {
  vec3 near = throughPoint(screen, 0.0);
  vec3 far = throughPoint(screen, 1.0);
  return mix(near, far, (z - near.z) / (far.z - near.z));
}
/** Where a place is on the screen, from 0 to 1, and its depth there. */
vec3 throughOnScreen(vec4 clip) { return 0.5 + 0.5 * clip.xyz / clip.w; }
/** Whether something opaque lies before it, but not before the piece that is looked through. */
bool throughPast(vec3 on) {
  float depth = textureLod(throughDepths, on.xy, 0.0).r;
  return depth < on.z && depth > gl_FragCoord.z;
}
/** The share of what is drawn behind that is met, and its light. */
vec4 throughMet(vec3 at, vec3 way, float reach) {
  if (way.z > -0.05) return vec4(0.0);
  // The floor, first; something opaque may stand before it.
  float towards = dot(throughFloor.xyz, way);
  float far = towards < -1e-4 ? -(dot(throughFloor.xyz, at) + throughFloor.w) / towards : 1e9;
  float met = far > 0.0 && far < 1e8 ? far : reach;
  float last = min(met, 4.0 * reach);
  // What is straight in space is straight where it is projected, too.
  vec4 from = throughProject * vec4(at, 1.0);
  vec4 along = throughProject * vec4(way, 0.0);
  vec2 screen = throughOnScreen(from + met * along).xy;
  vec2 length_ = (throughOnScreen(from + last * along).xy - throughOnScreen(from).xy) * throughSize;
  // Two pixels a step: finer than what is thin and seen well.
  float steps = clamp(ceil(0.5 * length(length_)), 12.0, 72.0);
  float before = 0.0;
  for (float k = 1.0; k <= steps; k++) {
    float d = last * k / steps;
    vec3 found = throughOnScreen(from + d * along);
    if (throughPast(found)) {
      for (int j = 0; j < 6; j++) {
        float middle = 0.5 * (before + d);
        if (throughPast(throughOnScreen(from + middle * along))) d = middle;
        else before = middle;
      }
      // A side that the eye does not see has the tone that is seen a little inside its edge.
      screen = throughOnScreen(from + d * along).xy;
      vec2 inwards = length_ / max(length(length_), 1e-3);
      screen += 1.5 * inwards / throughSize;
      break;
    }
    before = d;
  }
  vec2 edge = smoothstep(vec2(0.0), vec2(0.04), screen) * smoothstep(vec2(0.0), vec2(0.04), 1.0 - screen);
  float share = edge.x * edge.y * smoothstep(0.05, 0.35, -way.z);
  // What stands before the piece hides what lies behind it there.
  share *= step(gl_FragCoord.z, textureLod(throughDepths, screen, 0.0).r);
  vec3 tone = textureLod(throughBehind, screen, 0.0).rgb;
  return vec4(mix(tone / 12.92, pow((tone + 0.055) / 1.055, vec3(2.4)), step(0.04045, tone)), share);
}

vec3 throughLight(vec3 at, vec3 normal, bool front) {
  vec3 way = isOrthographic ? vec3(0.0, 0.0, -1.0) : normalize(at);
  float thrown = thrownBack(max(-dot(way, normal), 0.0), 1.0, throughIndex);
  vec3 light = thrown * lightAround(throughAround, reflect(way, normal));
  vec3 share = (1.0 - thrown) * throughTint;
  vec2 screen = gl_FragCoord.xy / throughSize;
  vec4 back = throughBackAt(screen);
  vec3 leaves = way;
  vec3 exit = at;
  float reach = 1.0;
  if (front && back.xyz != vec3(0.0) && back.w <= at.z) {
    vec3 within = refract(way, normal, 1.0 / throughIndex);
    float thick = distance(throughAt(screen, back.w), at);
    float d = thick;
    for (int k = 0; k < 6; k++) {
      vec2 on = throughScreen(at + d * within);
      vec4 there = throughBackAt(on);
      if (there.xyz == vec3(0.0)) {
        d *= 0.7;
        continue;
      }
      back = there;
      float towards = dot(within, back.xyz);
      if (towards < 0.04) break;
      d = clamp(dot(throughAt(on, back.w) - at, back.xyz) / towards, 0.0, 3.0 * thick + 1e-3);
    }
    exit = at + d * within;
    reach = 4.0 * max(thick, 1e-3);
    float inside = thrownBack(max(dot(within, back.xyz), 0.0), throughIndex, 1.0);
    // What is thrown back within comes out on the eye's side, somewhere; where, is not followed.
    light += 0.8 * share * inside * throughTint * lightAround(throughAround, reflect(within, -back.xyz));
    share *= (1.0 - inside) * throughTint;
    leaves = refract(within, -back.xyz, throughIndex);
    if (dot(leaves, leaves) < 0.5) return toned(light);
  }
  vec4 met = throughMet(exit, leaves, reach);
  return share * met.a * met.rgb + toned(light + share * (1.0 - met.a) * lightAround(throughAround, leaves));
}
`;
