/** What stands around as a map of all directions, for what is looked through and not only at. */
import { DataTexture, DataUtils, HalfFloatType, LinearFilter, RGBAFormat, RepeatWrapping } from "three";
import { asItStands, type Light, turnedBack } from "./light";
import { lightMet } from "./surroundings";

const [wide, high] = [256, 128];
const values = new Uint16Array(4 * wide * high);

/** Once round the upright from left to right, behind the eye's back first, and from below upwards; in linear light. */
export const aroundMap = new DataTexture(values, wide, high, RGBAFormat, HalfFloatType);
aroundMap.magFilter = aroundMap.minFilter = LinearFilter;
aroundMap.wrapS = RepeatWrapping;
lightAround(asItStands);

/** Paint it for this light: what looks into it is seen so from the next frame on. */
export function lightAround(light: Light): void {
  for (let row = 0; row < high; row++) {
    const up = ((row + 0.5) / high - 0.5) * Math.PI;
    for (let column = 0; column < wide; column++) {
      const round = ((column + 0.5) / wide - 0.5) * 2 * Math.PI;
      const [x, z] = turnedBack(light, Math.cos(up) * Math.sin(round), Math.cos(up) * Math.cos(round));
      const met = lightMet(light.around, x, Math.sin(up), z);
      for (let k = 0; k < 3; k++) values[4 * (row * wide + column) + k] = DataUtils.toHalfFloat(met[k] * 2 ** light.stops);
    }
  }
  aroundMap.needsUpdate = true;
}

/** For shaders: what is met in a direction of the eye's own, and light that is brighter than white bent towards it. */
export const aroundHead = `
#ifndef LIGHT_AROUND
#define LIGHT_AROUND
vec3 lightAround(sampler2D around, vec3 d) {
  return textureLod(around, vec2(atan(d.x, d.z) / 6.2831853 + 0.5, asin(clamp(d.y, -1.0, 1.0)) / 3.1415927 + 0.5), 0.0).rgb;
}
vec3 toned(vec3 light) { return mix(light, 0.7 + 0.3 * (1.0 - exp((0.7 - light) / 0.3)), step(0.7, light)); }
#endif
`;
