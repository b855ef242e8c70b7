/** Quads and faces of more corners as triangles. */

/** The rows of one of the triangles that quadTriangles makes of all quads. */
export function cornersOf(quads: Int32Array, triangle: number): [number, number, number] {
  const at = 4 * (triangle >> 1);
  return triangle & 1 ? [quads[at], quads[at + 2], quads[at + 3]] : [quads[at], quads[at + 1], quads[at + 2]];
}

/** Two triangles for each quad that is wanted. */
export function quadTriangles(quads: Int32Array, wanted: (quad: number) => boolean): Uint32Array<ArrayBuffer> {
  const index = new Uint32Array((quads.length / 4) * 6);
  let at = 0;
  for (let q = 0; 4 * q < quads.length; q++) {
    if (!wanted(q)) continue;
    const [i, j] = [4 * q, at];
    index[j] = index[j + 3] = quads[i];
    index[j + 1] = quads[i + 1];
    index[j + 2] = index[j + 4] = quads[i + 2];
    index[j + 5] = quads[i + 3];
    at += 6;
  }
  return index.slice(0, at);
}

/** The triangles of each face, as a fan from its first corner, and the face that each is of. */
export function fans(
  faceVerts: Int32Array,
  offsets: Int32Array,
  wanted?: Set<number>,
): { index: Uint32Array<ArrayBuffer>; face: Int32Array } {
  const index: number[] = [];
  const face: number[] = [];
  for (let f = 0; f + 1 < offsets.length; f++) {
    if (wanted && !wanted.has(f)) continue;
    for (let c = offsets[f] + 1; c + 1 < offsets[f + 1]; c++) {
      index.push(faceVerts[offsets[f]], faceVerts[c], faceVerts[c + 1]);
      face.push(f);
    }
  }
  return { index: new Uint32Array(index), face: new Int32Array(face) };
}
