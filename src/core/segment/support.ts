/** Directions in which a cross-section's reach is held. */
export const SUPPORT_DIRECTIONS = 128;

/**
 * The outermost points of a segment seen along x: y, z of the vertex that lies farthest in each of
 * {@link SUPPORT_DIRECTIONS} directions, from y towards z. Linear in vertices.
 */
export function buildSupport(positions: Float32Array): Float64Array {
  const out = new Float64Array(SUPPORT_DIRECTIONS * 2);
  for (let d = 0; d < SUPPORT_DIRECTIONS; d++) {
    const angle = (2 * Math.PI * d) / SUPPORT_DIRECTIONS;
    const c = Math.cos(angle);
    const s = Math.sin(angle);
    let most = -Infinity;
    for (let i = 1; i < positions.length; i += 3) {
      const y = positions[i]!;
      const z = positions[i + 1]!;
      const reach = y * c + z * s;
      if (reach > most) {
        most = reach;
        out[d * 2] = y;
        out[d * 2 + 1] = z;
      }
    }
  }
  return out;
}

/** How far the section reaches in direction (y, z), times that direction's length. */
export function reachTowards(support: Float64Array, y: number, z: number): number {
  const d = Math.round((Math.atan2(z, y) * SUPPORT_DIRECTIONS) / (2 * Math.PI)) + SUPPORT_DIRECTIONS;
  let most = -Infinity;
  for (let k = d - 1; k <= d + 1; k++) {
    const at = (k % SUPPORT_DIRECTIONS) * 2;
    most = Math.max(most, support[at]! * y + support[at + 1]! * z);
  }
  return most;
}
