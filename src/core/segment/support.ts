/** Directions in which a cross-section's reach is held. */
const SUPPORT_DIRECTIONS = 128;

/**
 * The outermost points of a segment seen along x: y, z of the vertex that lies farthest in each of
 * {@link SUPPORT_DIRECTIONS} directions, from y towards z, to within the rounding of 32-bit coordinates. Linear in vertices.
 */
export function buildSupport(positions: Float32Array): Float64Array {
  const out = new Float64Array(SUPPORT_DIRECTIONS * 2);
  let outer = positions;
  for (const count of COARSE) {
    const directions = Array.from({ length: count }, (_, k) => (k * SUPPORT_DIRECTIONS) / count);
    for (const d of directions) farthest(out, d, outer);
    outer = outermost(outer, out, directions);
  }
  for (let d = 0; d < SUPPORT_DIRECTIONS; d++) farthest(out, d, outer);
  return out;
}

/** First so many directions are tried; of what lies within the polygon of their farthest points, nothing is farthest in any other. */
const COARSE = [8, 32];

/** Writes y, z of the vertex that lies farthest in direction `d`, the first of equals. */
function farthest(out: Float64Array, d: number, positions: Float32Array): void {
  const angle = (2 * Math.PI * d) / SUPPORT_DIRECTIONS;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  let most = -Infinity;
  for (let i = 1; i < positions.length; i += 3) {
    const y = positions[i];
    const z = positions[i + 1];
    const reach = y * c + z * s;
    if (reach > most) {
      most = reach;
      out[d * 2] = y;
      out[d * 2 + 1] = z;
    }
  }
}

/** Lines from each outer point to the next: the normal outwards (y, z) and how far the line lies along it. */
function edgesOf(out: Float64Array, directions: readonly number[]): Float64Array {
  const rounding = out.reduce((most, v) => Math.max(most, Math.abs(v)), 0) * 2 ** -22;
  return Float64Array.from(
    directions.flatMap((d, k) => {
      const next = directions[(k + 1) % directions.length];
      const [y0, z0, y1, z1] = [out[d * 2], out[d * 2 + 1], out[next * 2], out[next * 2 + 1]];
      // Where one point is outermost both ways there is no line: all is inside as far as this corner goes.
      if (y0 === y1 && z0 === z1) return [0, 0, 1];
      const [ny, nz] = [z1 - z0, y0 - y1];
      return [ny, nz, ny * y0 + nz * z0 + Math.hypot(ny, nz) * rounding];
    }),
  );
}

/** The outer points of some directions, and the vertices that lie outside the edges between those. */
function outermost(positions: Float32Array, out: Float64Array, directions: readonly number[]): Float32Array {
  const edges = edgesOf(out, directions);
  const kept = new Float32Array(positions.length + directions.length * 3);
  let at = 0;
  for (const d of directions) {
    kept.set([0, out[d * 2], out[d * 2 + 1]], at);
    at += 3;
  }
  for (let i = 0; i < positions.length; i += 3) {
    const y = positions[i + 1];
    const z = positions[i + 2];
    let k = 0;
    while (k < edges.length && y * edges[k] + z * edges[k + 1] <= edges[k + 2]) k += 3;
    if (k === edges.length) continue;
    kept[at + 1] = y;
    kept[at + 2] = z;
    at += 3;
  }
  return kept.subarray(0, at);
}

/** How far the section reaches in direction (y, z), times that direction's length. */
export function reachTowards(support: Float64Array, y: number, z: number): number {
  const d = Math.round((Math.atan2(z, y) * SUPPORT_DIRECTIONS) / (2 * Math.PI)) + SUPPORT_DIRECTIONS;
  let most = -Infinity;
  for (let k = d - 1; k <= d + 1; k++) {
    const at = (k % SUPPORT_DIRECTIONS) * 2;
    most = Math.max(most, support[at] * y + support[at + 1] * z);
  }
  return most;
}
