/** Meshes of components, fetched once each: they never change. */
import { unpack } from "./packing";

export interface MeshArrays {
  positions: Float32Array;
  triangles: Int32Array;
  notes: string[];
}

/** What the service has of an asset, unpacked: asked for once, and again after a failure. */
function once<T, Asked extends number[] = []>(part: (...asked: Asked) => string, lacking: string): (asset: string, ...asked: Asked) => Promise<T> {
  const held = new Map<string, Promise<T>>();
  return (asset, ...asked) => {
    const address = `/api/assets/${asset}/${part(...asked)}`;
    let found = held.get(address);
    if (!found) {
      found = fetch(address).then(async (answer) => {
        if (!answer.ok) throw new Error(`${lacking} (${answer.status}).`);
        return unpack(await answer.arrayBuffer()) as T;
      });
      found.catch(() => held.delete(address));
      held.set(address, found);
    }
    return found;
  };
}

export const meshOf = once<MeshArrays>(() => "mesh", "The component's mesh could not be fetched");

/** Strokes along the lines of curvature of a component and across them, six numbers each. */
export const flowOf = once<{ strokes: Float32Array }>(() => "flow", "The flow of the component could not be found");

/** The lines at which a component turns by so many degrees or more, six numbers each. */
export const sharpLinesOf = once<{ strokes: Float32Array }, [number]>((degrees) => `sharp-lines?degrees=${degrees}`, "The sharp lines of the component could not be found");
