/** Looking into a faceted stone: each ray is bent as it enters, followed from facet to facet, and bent out into what stands around. */
import { Color, DataTexture, FloatType, type MeshMatcapMaterial, RGBAFormat } from "three";
import type { GemFrame } from "../model/types";
import { aroundHead, aroundMap } from "./aroundMap";

/** How often a ray meets a facet from within, at most. */
const meets = 7;
/** A ray that comes this far, in heights of the stone, has taken its colour on. */
const coloured = 2.6;

export interface Refraction {
  facets: DataTexture;
  /** 1 where stones are looked into, 0 where their facets have one tone each. */
  on: { value: number };
  index: number;
  dispersion: number;
  tint: Color;
  /** In mm. */
  deep: number;
}

/** What a stone does to light, by its facets as half-spaces: a texel each, its outward normal and its distance from the middle. */
export function refractionOf({ points, normals, index, dispersion, tint }: GemFrame): Refraction {
  const found = new Map<string, number[]>();
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < points.length; i += 9) {
    const normal = [normals[i], normals[i + 1], normals[i + 2]];
    const distance = normal[0] * points[i] + normal[1] * points[i + 1] + normal[2] * points[i + 2];
    found.set([...normal, distance].map((v) => v.toFixed(4)).join(), [...normal, distance]);
  }
  for (let i = 2; i < points.length; i += 3) [low, high] = [Math.min(low, points[i]), Math.max(high, points[i])];
  const facets = new DataTexture(new Float32Array([...found.values()].flat()), found.size, 1, RGBAFormat, FloatType);
  facets.needsUpdate = true;
  return { facets, on: { value: 0 }, index, dispersion, tint: new Color(tint), deep: coloured * (high - low) };
}

/** Let a material look into a stone. Call it before the material is first drawn with. */
export function refracts(material: MeshMatcapMaterial, stone: Refraction): void {
  const before = material.onBeforeCompile;
  material.onBeforeCompile = (shader, renderer) => {
    before.call(material, shader, renderer);
    Object.assign(shader.uniforms, {
      gemOn: stone.on,
      gemFacets: { value: stone.facets },
      gemTent: { value: aroundMap },
      gemIndex: { value: stone.index },
      gemFire: { value: stone.dispersion / 2 },
      gemTint: { value: stone.tint },
      gemDeep: { value: stone.deep },
    });
    shader.vertexShader = vertexHead + shader.vertexShader.replace("#include <project_vertex>", vertexBody);
    shader.fragmentShader =
      fragmentHead +
      shader.fragmentShader.replace(
        "#include <opaque_fragment>",
        "if (gemOn > 0.5 && gl_FrontFacing) outgoingLight = diffuseColor.rgb * gemLight();\n#include <opaque_fragment>",
      );
  };
  material.customProgramCacheKey = () => "refracts";
}

/** The share of light that a face throws back, by the cosine of the way that it comes, and the two indices. */
export const fresnel = `
#ifndef THROWN_BACK
#define THROWN_BACK
// Fresnel's formulas for light that is not polarised: the share that is thrown back.
float thrownBack(float c, float from, float to) {
  float sine = from / to * from / to * (1.0 - c * c);
  if (sine >= 1.0) return 1.0;
  float t = sqrt(1.0 - sine);
  float s = (from * c - to * t) / (from * c + to * t);
  float p = (to * c - from * t) / (to * c + from * t);
  return 0.5 * (s * s + p * p);
}
#endif
`;

// All is done where the stone lies as it is cut: facets stay what they are, and the eye is taken there.
const vertexHead = `
out vec3 gemAt;
out vec3 gemFacet;
flat out vec3 gemEye;
flat out mat3 gemToView;
`;
const vertexBody = `#include <project_vertex>
mat4 gemMotion = viewMatrix * modelMatrix;
#ifdef USE_INSTANCING
gemMotion = gemMotion * instanceMatrix;
#endif
mat4 gemBack = inverse(gemMotion);
gemAt = position;
gemFacet = normal;
gemEye = isOrthographic ? -gemBack[2].xyz : gemBack[3].xyz;
gemToView = mat3(gemMotion);
`;
const fragmentHead = `
in vec3 gemAt;
in vec3 gemFacet;
flat in vec3 gemEye;
flat in mat3 gemToView;
uniform float gemOn;
uniform highp sampler2D gemFacets;
uniform sampler2D gemTent;
uniform float gemIndex;
uniform float gemFire;
uniform vec3 gemTint;
uniform float gemDeep;

${aroundHead}
// Darker about the eye, whose own head stands in the light.
vec3 gemMeets(vec3 way) {
  vec3 d = normalize(gemToView * way);
  vec3 light = lightAround(gemTent, d);
  return light * (1.0 - 0.85 * smoothstep(0.94, 0.985, d.z));
}

${fresnel}
vec3 gemLight() {
  vec3 facet = normalize(gemFacet);
  vec3 way = normalize(isOrthographic ? gemEye : gemAt - gemEye);
  float back = thrownBack(max(-dot(way, facet), 0.0), 1.0, gemIndex);
  vec3 light = back * gemMeets(reflect(way, facet));
  vec3 share = vec3(1.0 - back);
  vec3 at = gemAt;
  way = refract(way, facet, 1.0 / gemIndex);
  int count = textureSize(gemFacets, 0).x;
  for (int k = 0; k < ${meets}; k++) {
    float far = 1e9;
    for (int i = 0; i < count; i++) {
      vec4 plane = texelFetch(gemFacets, ivec2(i, 0), 0);
      float towards = dot(plane.xyz, way);
      float d = max((plane.w - dot(plane.xyz, at)) / towards, 0.0);
      if (towards > 1e-5 && d < far) {
        far = d;
        facet = plane.xyz;
      }
    }
    at += far * way;
    share *= pow(gemTint, vec3(far / gemDeep));
    // Red is bent less than blue.
    for (int j = 0; j < 3; j++) {
      float index = gemIndex + gemFire * float(j - 1);
      float out_ = 1.0 - thrownBack(dot(way, facet), index, 1.0);
      if (out_ > 0.0) light[j] += share[j] * out_ * gemMeets(refract(way, -facet, index))[j];
    }
    share *= thrownBack(dot(way, facet), gemIndex, 1.0);
    if (max(share.r, max(share.g, share.b)) < 0.02) break;
    way = reflect(way, facet);
  }
  // What is still within comes out somewhere.
  light += 0.35 * share;
  return toned(light);
}
`;
