/**
 * Soft shade where a form closes in on itself, from what the eye sees alone: the depths of opaque surfaces are drawn first, and
 * what stands above each spot within a small ball darkens it.
 *
 * Source: M. McGuire, M. Mara, D. Luebke, "Scalable Ambient Obscurance", High-Performance Graphics, 2012.
 */
import {
  BufferAttribute,
  BufferGeometry,
  CustomBlending,
  type DepthTexture,
  Matrix4,
  Mesh,
  NearestFilter,
  OrthographicCamera,
  PerspectiveCamera,
  type Scene,
  ShaderMaterial,
  SrcColorFactor,
  Vector2,
  type WebGLRenderer,
  WebGLRenderTarget,
  ZeroFactor,
} from "three";
import type { OpaqueDepths } from "./opaqueDepths";

/** The ball's radius, as a share of half the height that is seen there. */
const radius = 0.15;
const samples = 14;
const strength = 0.6;
/** However deep a hollow is, its colour can still be told. */
const darkest = 0.38;

export class Hollows {
  /** Lies over all that is opaque, and darkens it. */
  readonly mesh: Mesh<BufferGeometry, ShaderMaterial>;
  private readonly shade: WebGLRenderTarget;
  private readonly find: Mesh<BufferGeometry, ShaderMaterial>;
  private readonly whole = new OrthographicCamera();
  private readonly seen = { depths: { value: null as DepthTexture | null }, back: { value: new Matrix4() }, size: { value: new Vector2() } };
  private readonly lens = { lens: { value: new Vector2() }, perspective: { value: 1 } };
  /** What was seen when they were found last. */
  private found = "";

  constructor(private readonly depths: OpaqueDepths) {
    this.shade = new WebGLRenderTarget(1, 1, { minFilter: NearestFilter, magFilter: NearestFilter, depthBuffer: false });
    this.seen.depths.value = depths.texture;
    this.find = overAll(new ShaderMaterial({ uniforms: { ...this.seen, ...this.lens }, vertexShader: corner, fragmentShader: look, depthTest: false, depthWrite: false }));
    this.mesh = overAll(
      new ShaderMaterial({
        uniforms: { ...this.seen, shade: { value: this.shade.texture } }, vertexShader: corner, fragmentShader: spread, depthTest: false, depthWrite: false,
        transparent: true, blending: CustomBlending, blendSrc: ZeroFactor, blendDst: SrcColorFactor,
      }),
    );
    // Over surfaces and the floor, under all that is drawn to be read.
    this.mesh.renderOrder = -8;
    this.mesh.visible = false;
  }

  /** Lie over what is about to be drawn: as found last where the same is seen, else found anew, if there is time for it. */
  lay(renderer: WebGLRenderer, scene: Scene, camera: PerspectiveCamera | OrthographicCamera, takesTime: boolean): void {
    const now = this.depths.seen;
    if (now !== this.found && takesTime) {
      this.mesh.visible = false;
      this.depths.draw(renderer, scene, camera);
      this.draw(renderer, camera);
      this.found = now;
    }
    this.mesh.visible = now === this.found;
  }

  private draw(renderer: WebGLRenderer, camera: PerspectiveCamera | OrthographicCamera): void {
    const size = renderer.getDrawingBufferSize(new Vector2());
    if (this.shade.width !== size.x || this.shade.height !== size.y) this.shade.setSize(size.x, size.y);
    this.seen.back.value.copy(camera.projectionMatrixInverse);
    this.seen.size.value.copy(size);
    this.lens.lens.value.set(camera.projectionMatrix.elements[0], camera.projectionMatrix.elements[5]);
    this.lens.perspective.value = Number(camera instanceof PerspectiveCamera);
    renderer.setRenderTarget(this.shade);
    renderer.render(this.find, this.whole);
    renderer.setRenderTarget(null);
  }

  dispose(): void {
    this.shade.dispose();
    for (const { geometry, material } of [this.find, this.mesh]) {
      geometry.dispose();
      material.dispose();
    }
  }
}

/** One triangle that covers the screen. */
function overAll(material: ShaderMaterial): Mesh<BufferGeometry, ShaderMaterial> {
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(new Float32Array([-1, -1, 0, 3, -1, 0, -1, 3, 0]), 3));
  const mesh = new Mesh(geometry, material);
  mesh.frustumCulled = false;
  return mesh;
}

const corner = `
void main() { gl_Position = vec4(position.xy, 0.0, 1.0); }
`;

const seenAt = `
uniform highp sampler2D depths;
uniform mat4 back;
uniform vec2 size;
float depthAt(ivec2 pixel) { return texelFetch(depths, clamp(pixel, ivec2(0), ivec2(size) - 1), 0).r; }
vec3 pointOf(ivec2 pixel, float depth) {
  vec4 at = back * vec4((vec2(pixel) + 0.5) / size * 2.0 - 1.0, 2.0 * depth - 1.0, 1.0);
  return at.xyz / at.w;
}
vec3 pointAt(ivec2 pixel) { return pointOf(pixel, depthAt(pixel)); }
`;

const look = `${seenAt}
uniform vec2 lens;
uniform float perspective;

// The shorter of two differences: the other one may lead over an edge.
vec3 along(ivec2 pixel, ivec2 step, vec3 at) {
  vec3 ahead = pointAt(pixel + step) - at;
  vec3 behind = at - pointAt(pixel - step);
  return abs(ahead.z) < abs(behind.z) ? ahead : behind;
}

void main() {
  ivec2 pixel = ivec2(gl_FragCoord.xy);
  float depth = depthAt(pixel);
  gl_FragColor = vec4(1.0);
  if (depth >= 1.0) return;
  vec3 at = pointOf(pixel, depth);
  vec3 normal = normalize(cross(along(pixel, ivec2(1, 0), at), along(pixel, ivec2(0, 1), at)));
  float reach = ${radius} * mix(1.0, -at.z, perspective) / lens.y;
  float wide = ${radius} * 0.5 * size.y;
  // Each of sixteen neighbours looks about by another turn; their mean is taken after.
  float turn = float((pixel.x & 3) * 4 + (pixel.y & 3)) * 0.3927;
  float sum = 0.0;
  for (int k = 0; k < ${samples}; k++) {
    float share = (float(k) + 0.5) / ${samples}.0;
    float angle = 2.4 * float(k) + turn;
    vec3 way = pointAt(pixel + ivec2(share * wide * vec2(cos(angle), sin(angle)))) - at;
    float far = dot(way, way);
    float within = max(reach * reach - far, 0.0);
    sum += within * within * within * max((dot(way, normal) - 0.03 * reach) / (far + 0.001 * reach * reach), 0.0);
  }
  float shade = max(${darkest}, 1.0 - ${strength} * sum * 5.0 / (pow(reach, 5.0) * ${samples}.0));
  gl_FragColor = vec4(vec3(shade), 1.0);
}
`;

const spread = `${seenAt}
uniform sampler2D shade;

void main() {
  ivec2 pixel = ivec2(gl_FragCoord.xy);
  float depth = depthAt(pixel);
  if (depth >= 1.0) discard;
  float here = pointOf(pixel, depth).z;
  float sum = 0.0;
  float count = 0.0;
  // What lies on the other side of an edge has a shade of its own.
  float slack = 8.0 * abs(pointOf(pixel + ivec2(1, 0), depth).x - pointOf(pixel, depth).x);
  for (int i = -2; i < 2; i++)
    for (int j = -2; j < 2; j++) {
      ivec2 other = clamp(pixel + ivec2(i, j), ivec2(0), ivec2(size) - 1);
      float near = step(abs(pointAt(other).z - here), slack);
      sum += near * texelFetch(shade, other, 0).r;
      count += near;
    }
  gl_FragColor = vec4(vec3(sum / max(count, 1.0)), 1.0);
}
`;
