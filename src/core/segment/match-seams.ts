import type { Mesh } from '../mesh/mesh';

/** How far a piece's end outline lies from its start outline, as the next piece meets it. Metres. */
export interface SeamFit {
  /** Greatest distance from a corner of the end to the nearest of the start, and back; undefined where an end has no corners. */
  readonly gap: number | undefined;
  readonly matched: number;
  readonly unmatched: number;
}

/** More corners than this at an end are not compared: each is held against each. */
const MOST = 4000;

/**
 * Compares the first row with the last, across x. With a tolerance above 0, corners of the end move onto the nearest corner of the
 * start within it, and both lie flat in their rows. Returns the mesh as it then is.
 */
export function matchSeams(mesh: Mesh, rows: Uint32Array, tolerance: number): { mesh: Mesh; fit: SeamFit } {
  const p = mesh.positions;
  const held = heldAgainst({ mesh, rows });
  if (!held) {
    const unmatched = rows[rows.length - 1] - rows[rows.length - 2];
    return { mesh, fit: { gap: undefined, matched: 0, unmatched } };
  }
  const { ends, found, gap } = held;
  const matched = found.filter(({ distance }) => distance <= Math.max(tolerance, 1e-9)).length;
  if (tolerance <= 0) return { mesh, fit: { gap, matched, unmatched: ends.length - matched } };
  const positions = p.slice();
  ends.forEach((v, i) => {
    const { o, distance } = found[i];
    if (distance > tolerance) return;
    positions[v * 3 + 1] = p[o * 3 + 1]!;
    positions[v * 3 + 2] = p[o * 3 + 2]!;
  });
  const left = found.filter(({ distance }) => distance > tolerance).map(({ distance }) => distance);
  return {
    mesh: { ...mesh, positions },
    fit: { gap: Math.max(0, ...left), matched, unmatched: ends.length - matched },
  };
}

/** Metres: how far the end outline of one segment lies from the start outline of another; undefined where one has no corners, or very many. */
export const seamGap = (before: Rowed, after: Rowed): number | undefined => heldAgainst(before, after)?.gap;

type Rowed = { readonly mesh: Mesh; readonly rows: Uint32Array };

/** Every corner of an end with the nearest one of a start, and the greatest distance of that kind there and back. */
function heldAgainst(before: Rowed, after = before) {
  const [starts, ends] = [range(after.rows[0], after.rows[1]), range(before.rows.at(-2)!, before.rows.at(-1)!)];
  if (starts.length > MOST || ends.length > MOST || before.rows.length < 3 || after.rows.length < 3) return undefined;
  const [p, q] = [before.mesh.positions, after.mesh.positions];
  const found = ends.map((v) => nearest(p, v, q, starts));
  const back = starts.map((v) => nearest(q, v, p, ends).distance);
  return { ends, found, gap: Math.max(...found.map(({ distance }) => distance), ...back) };
}

function nearest(p: Float32Array, v: number, q: Float32Array, among: readonly number[]) {
  let best = { o: -1, distance: Infinity };
  for (const o of among) {
    const distance = Math.hypot(p[v * 3 + 1] - q[o * 3 + 1], p[v * 3 + 2] - q[o * 3 + 2]);
    if (distance < best.distance) best = { o, distance };
  }
  return best;
}

const range = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, i) => from + i);
