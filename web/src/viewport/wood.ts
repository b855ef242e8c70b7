/** Wood that grows along x, by place and not by direction: rings of a trunk, as true pictures have it (`core/picture/wood.py`). */

/** Before a material's fragment shader, and what gives the share of autumn's wood at a place in mm. */
export const woodHead = `
in vec3 woodAt;
uniform float woodOn;
vec3 woodTone() {
  vec3 p = woodAt / 2.4;
  float ring = length(vec2(p.y + 0.5 * sin(0.11 * p.x), p.z + 9.3)) + 0.14 * sin(0.23 * p.x + 0.6 * p.y);
  float part = fract(ring);
  float late = smoothstep(0.5, 0.92, part) * (1.0 - smoothstep(0.94, 1.0, part));
  float told = 1.0 - smoothstep(0.35, 0.9, fwidth(ring));
  // Against the mean, which is the finish's own colour.
  return mix(vec3(1.18, 1.21, 1.23), vec3(0.51, 0.43, 0.38), mix(0.27, late, told));
}
`;
