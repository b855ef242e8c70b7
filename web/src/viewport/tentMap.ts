/** The light tent as a map of all directions, for what is looked through and not only at. */
import { DataTexture, DataUtils, HalfFloatType, LinearFilter, RedFormat, RepeatWrapping } from "three";
import { tent } from "./finishes";
import { asItStands, type Light, turnedBack } from "./light";

const [wide, high] = [256, 128];
const values = new Uint16Array(wide * high);

/** Once round the upright from left to right, behind the eye's back first, and from below upwards; in linear light. */
export const tentMap = new DataTexture(values, wide, high, RedFormat, HalfFloatType);
tentMap.magFilter = tentMap.minFilter = LinearFilter;
tentMap.wrapS = RepeatWrapping;
lightTent(asItStands);

/** Paint it for this light: what looks into it is seen so from the next frame on. */
export function lightTent(light: Light): void {
  for (let row = 0; row < high; row++) {
    const up = ((row + 0.5) / high - 0.5) * Math.PI;
    for (let column = 0; column < wide; column++) {
      const round = ((column + 0.5) / wide - 0.5) * 2 * Math.PI;
      const [x, z] = turnedBack(light, Math.cos(up) * Math.sin(round), Math.cos(up) * Math.cos(round));
      values[row * wide + column] = DataUtils.toHalfFloat(tent(x, Math.sin(up), z) * 2 ** light.stops);
    }
  }
  tentMap.needsUpdate = true;
}
