/** Half a turn takes at least this share of the path. */
const LEAST_SHARE = 0.025;

/**
 * Angles that keep near to those given, by weight, and change slowly: a tridiagonal system, by Thomas's algorithm. `softness` weighs the
 * squared change from one to the next, and is raised until nowhere half a turn takes less than a fortieth of the path. Closed, the last
 * is the first.
 */
export function blendAngles(
  angles: Float64Array,
  weights: Float64Array,
  softness: number,
  closed: boolean,
): Float64Array {
  const most = Math.PI / (LEAST_SHARE * (angles.length - 1));
  let soft = softness;
  for (let k = 0; ; k++, soft *= 4) {
    const blended = closed ? blendRound(angles, weights, soft) : blend(angles, weights, soft);
    if (k === MOST_TRIES || fastest(blended) <= most) return blended;
  }
}

const MOST_TRIES = 8;

function fastest(angles: Float64Array): number {
  let most = 0;
  for (let i = 1; i < angles.length; i++) most = Math.max(most, Math.abs(angles[i]! - angles[i - 1]!));
  return most;
}

function blend(angles: Float64Array, weights: Float64Array, softness: number): Float64Array {
  const n = angles.length;
  const upper = new Float64Array(n);
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const weight = weights[i]! + 1e-9;
    const sides = (i > 0 ? softness : 0) + (i + 1 < n ? softness : 0);
    const lower = i > 0 ? -softness : 0;
    const pivot = weight + sides - lower * (i > 0 ? upper[i - 1]! : 0);
    upper[i] = i + 1 < n ? -softness / pivot : 0;
    out[i] = (weight * angles[i]! - lower * (i > 0 ? out[i - 1]! : 0)) / pivot;
  }
  for (let i = n - 2; i >= 0; i--) out[i]! -= upper[i]! * out[i + 1]!;
  return out;
}

/** The same on a round: three times round, of which the middle is taken. */
function blendRound(angles: Float64Array, weights: Float64Array, softness: number): Float64Array {
  const n = angles.length - 1;
  const thrice = (values: Float64Array) => Float64Array.from({ length: 3 * n }, (_, i) => values[i % n]!);
  const middle = blend(thrice(angles), thrice(weights), softness).slice(n, 2 * n + 1);
  middle[n] = middle[0]!;
  return middle;
}
