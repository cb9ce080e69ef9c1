/**
 * A smooth curve through values over ascending places that never swings beyond its neighbours (F. N. Fritsch & J. Butland, A method
 * for constructing local monotone piecewise cubic interpolants, SIAM J. Sci. Stat. Comput. 5, 1984). Level before the first place and
 * after the last; with a `period` it runs on from the last to the first.
 * @returns value and slope at a place.
 */
export function monotoneCubic(
  places: readonly number[],
  values: readonly number[],
  period?: number,
): (x: number) => readonly [value: number, slope: number] {
  const first = places[0] ?? 0;
  if (values.length < 2) return () => [values[0] ?? 0, 0];
  const isRound = period !== undefined;
  const xs = isRound ? [...places, first + period] : places;
  const ys = isRound ? [...values, values[0]] : values;
  const n = xs.length;
  const rise = (i: number) => (ys[i + 1] - ys[i]) / (xs[i + 1] - xs[i]);
  const slopes = ys.map((_, i) => {
    const isEnd = i === 0 || i === n - 1;
    if (isEnd && !isRound) return 0;
    const before = isEnd ? n - 2 : i - 1;
    const after = isEnd ? 0 : i;
    return harmonic(rise(before), rise(after), xs[before + 1] - xs[before], xs[after + 1] - xs[after]);
  });
  return (at) => {
    const x = isRound ? first + ((((at - first) % period) + period) % period) : at;
    if (x <= first) return [ys[0], isRound ? slopes[0] : 0];
    if (x >= xs[n - 1]) return [ys[n - 1], isRound ? slopes[0] : 0];
    let [i, high] = [0, n - 2];
    while (i < high) {
      const middle = (i + high + 1) >> 1;
      if (xs[middle] <= x) i = middle;
      else high = middle - 1;
    }
    const h = xs[i + 1] - xs[i];
    const t = (x - xs[i]) / h;
    const q = 1 - t;
    const [a, b, m0, m1] = [ys[i], ys[i + 1], slopes[i] * h, slopes[i + 1] * h];
    return [
      (1 + 2 * t) * q * q * a + t * q * q * m0 + t * t * (3 - 2 * t) * b - t * t * q * m1,
      (6 * t * q * (b - a) + q * (1 - 3 * t) * m0 + t * (3 * t - 2) * m1) / h,
    ];
  };
}

/** The slope between two rises: their weighted harmonic mean, level where they turn round. */
function harmonic(a: number, b: number, ha: number, hb: number): number {
  if (a * b <= 0) return 0;
  const [wa, wb] = [2 * hb + ha, hb + 2 * ha];
  return (wa + wb) / (wa / a + wb / b);
}
