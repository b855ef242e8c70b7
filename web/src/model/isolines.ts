/** Lines on a surface along which what a map tells is the same. */

const about = 10;

/** Even steps of a round number, about ten from ``low`` to ``high``; ``per`` mm go to the unit in which they are round. */
export function isoLevels(low: number, high: number, per: number): { step: number; values: number[] } {
  const span = (high - low) / per;
  if (!(span > 0) || !Number.isFinite(span)) return { step: 0, values: [] };
  const power = 10 ** Math.floor(Math.log10(span / about));
  const step = power * ([1, 2, 5, 10].find((k) => span / (k * power) <= about) ?? 10);
  const first = Math.ceil(low / per / step - 1e-9);
  const last = Math.floor(high / per / step + 1e-9);
  return { step: step * per, values: Array.from({ length: last - first + 1 }, (_, k) => (first + k) * step * per) };
}

/** The ends of all lines, six numbers each: where the values of corners of triangles pass through a level, linearly between. */
export function isoSegments(values: ArrayLike<number>, triangles: ArrayLike<number>, positions: ArrayLike<number>, levels: readonly number[]): number[] {
  const found: number[] = [];
  const corner = [0, 0, 0];
  for (let t = 0; t + 2 < triangles.length; t += 3) {
    for (let k = 0; k < 3; k++) corner[k] = triangles[t + k];
    const [a, b, c] = corner.map((v) => values[v]);
    const least = Math.min(a, b, c);
    const most = Math.max(a, b, c);
    // Where there is nothing to measure to, there is no line either.
    if (!(most > least)) continue;
    for (const level of levels) {
      if (level <= least || level > most) continue;
      for (let k = 0; k < 3; k++) {
        const [from, to] = [corner[k], corner[(k + 1) % 3]];
        const [u, v] = [values[from], values[to]];
        if (u < level === v < level) continue;
        const share = (level - u) / (v - u);
        for (let i = 0; i < 3; i++) found.push(positions[3 * from + i] + share * (positions[3 * to + i] - positions[3 * from + i]));
      }
    }
  }
  return found;
}
