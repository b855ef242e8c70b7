/** Meshes of components, fetched once each: they never change. */
import { unpack } from "./packing";

export interface MeshArrays {
  positions: Float32Array;
  triangles: Int32Array;
  notes: string[];
}

/** What the service has of an asset, unpacked: asked for once, and again after a failure. */
function once<T>(part: string, lacking: string): (asset: string) => Promise<T> {
  const held = new Map<string, Promise<T>>();
  return (asset) => {
    let found = held.get(asset);
    if (!found) {
      found = fetch(`/api/assets/${asset}/${part}`).then(async (answer) => {
        if (!answer.ok) throw new Error(`${lacking} (${answer.status}).`);
        return unpack(await answer.arrayBuffer()) as T;
      });
      found.catch(() => held.delete(asset));
      held.set(asset, found);
    }
    return found;
  };
}

export const meshOf = once<MeshArrays>("mesh", "The component's mesh could not be fetched");

/** Strokes along the lines of curvature of a component and across them, six numbers each. */
export const flowOf = once<{ strokes: Float32Array }>("flow", "The flow of the component could not be found");
