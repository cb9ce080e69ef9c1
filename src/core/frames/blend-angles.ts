/** Angles given along a path, radians, and how much each has to say; metres. */
export interface GivenAngles {
  readonly angles: Float64Array;
  /** From 0 to 1 at every sample, times its share of the length, see {@link cellsOf}. */
  readonly weights: Float64Array;
  readonly stations: Float64Array;
}

/** Metres of path that belong to each sample: half the way to its neighbours. */
export function cellsOf(stations: Float64Array): Float64Array {
  const last = stations.length - 1;
  return stations.map((_, i) => (stations[Math.min(i + 1, last)] - stations[Math.max(i - 1, 0)]) / 2);
}

/**
 * Angles that keep near to those given, by weight, and change slowly: a tridiagonal system, by Thomas's algorithm. `softness` (metres)
 * is how far an angle that jumps is blended, and is raised until nowhere half a turn takes less than `halfTurn` metres. Closed, the last is the
 * first.
 */
export function blendAngles(given: GivenAngles, softness: number, halfTurn: number, closed: boolean): Float64Array {
  let soft = softness * softness;
  for (let k = 0; ; k++, soft *= 4) {
    const blended = closed ? blendRound(given, soft) : blend(given, soft);
    if (k === MOST_TRIES || !isFaster(blended, given.stations, Math.PI / halfTurn)) return blended;
  }
}

const MOST_TRIES = 8;

function isFaster(angles: Float64Array, stations: Float64Array, most: number): boolean {
  for (let i = 1; i < angles.length; i++) {
    const gap = stations[i] - stations[i - 1];
    if (gap > 0 && Math.abs(angles[i] - angles[i - 1]) > most * gap) return true;
  }
  return false;
}

function blend({ angles, weights, stations }: GivenAngles, soft: number): Float64Array {
  const n = angles.length;
  const length = stations[n - 1] - stations[0];
  const tie = (i: number) => soft / Math.max(stations[i + 1] - stations[i], length * SAME_PLACE);
  const upper = new Float64Array(n);
  const out = new Float64Array(n);
  let before = 0;
  for (let i = 0; i < n; i++) {
    const weight = weights[i] + (length / n) * 1e-9;
    const after = i + 1 < n ? tie(i) : 0;
    const pivot = weight + before + after + before * (i > 0 ? upper[i - 1] : 0);
    upper[i] = -after / pivot;
    out[i] = (weight * angles[i] + before * (i > 0 ? out[i - 1] : 0)) / pivot;
    before = after;
  }
  for (let i = n - 2; i >= 0; i--) out[i] -= upper[i] * out[i + 1];
  return out;
}

/** Samples in one place are tied as if they were so much of the length apart. */
const SAME_PLACE = 1e-7;

/** The same on a round: three times round, of which the middle is taken. */
function blendRound({ angles, weights, stations }: GivenAngles, soft: number): Float64Array {
  const n = angles.length;
  const length = stations[n - 1];
  const thrice = (values: Float64Array, shift: number) =>
    Float64Array.from({ length: 3 * n }, (_, i) => values[i % n] + shift * Math.floor(i / n));
  const round = { angles: thrice(angles, 0), weights: thrice(weights, 0), stations: thrice(stations, length) };
  const middle = blend(round, soft).slice(n, 2 * n);
  middle[n - 1] = middle[0]!;
  return middle;
}
