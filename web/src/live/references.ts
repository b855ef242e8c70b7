/** Meshes of components, fetched once each: they never change. */
import { unpack } from "./packing";

export interface MeshArrays {
  positions: Float32Array;
  triangles: Int32Array;
  notes: string[];
}

const held = new Map<string, Promise<MeshArrays>>();

export function meshOf(asset: string): Promise<MeshArrays> {
  let mesh = held.get(asset);
  if (!mesh) {
    mesh = fetch(`/api/assets/${asset}/mesh`).then(async (answer) => {
      if (!answer.ok) throw new Error(`The component's mesh could not be fetched (${answer.status}).`);
      return unpack(await answer.arrayBuffer()) as MeshArrays;
    });
    mesh.catch(() => held.delete(asset));
    held.set(asset, mesh);
  }
  return mesh;
}
