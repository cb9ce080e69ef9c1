import { integrate, integrateShort } from '../math/gauss-legendre';
import { ARC_LENGTH_RELATIVE } from '../math/tolerance';
import type { Curve } from './curve';

/** Numbers per panel: u at its start, arc length before it in metres. The last entry closes the last panel. */
export const PANEL_STRIDE = 2;

/** Arc length of a curve, cut into panels on each of which one quadrature rule is exact enough. */
export interface ArcTable {
  readonly curve: Curve;
  /** Flat panels, see {@link PANEL_STRIDE}. */
  readonly panels: Float64Array;
  /** Metres. */
  readonly length: number;
  /** Length seen from above (y left out), metres. */
  readonly planLength: number;
}

const MAX_DEPTH = 40;
/** Share of a panel that counts as short. */
const SHORT = 1 / 32;
/** Error of a station, as a share of the step to it, after which one more Newton step is the last. */
const NEWTON_LAST = 1e-7;

/**
 * Measures `curve` by Gauss-Legendre, halving each interval between breaks until one rule and its two halves agree to
 * {@link ARC_LENGTH_RELATIVE} of the whole.
 */
export function buildArcTable(curve: Curve): ArcTable {
  const speed = speedOf(curve, false);
  let rough = 0;
  for (let i = 0; i + 1 < curve.breaks.length; i++) rough += integrate(speed, curve.breaks[i], curve.breaks[i + 1]);
  const { panels, length, planLength } = measureLegs(curve, 0, curve.breaks.length - 1, rough);
  return { curve, panels: Float64Array.from([...panels, 1, length]), length, planLength };
}

/** Panels of the legs from `first` up to, but without, `end`, lengths counted from there; `whole` = the curve's length, roughly. */
export function measureLegs(
  curve: Curve,
  first: number,
  end: number,
  whole: number,
): { readonly panels: readonly number[]; readonly length: number; readonly planLength: number } {
  const speed = speedOf(curve, false);
  const planSpeed = speedOf(curve, true);
  const allowed = whole * ARC_LENGTH_RELATIVE;
  const panels: number[] = [];
  let length = 0;
  let planLength = 0;
  const measure = (u0: number, u1: number, rough: number, depth: number): void => {
    const middle = (u0 + u1) / 2;
    const left = integrate(speed, u0, middle);
    const right = integrate(speed, middle, u1);
    const isRough = Math.abs(left + right - rough) > allowed; // of what is no number neither half would be better
    if (!isRough || depth >= MAX_DEPTH) {
      panels.push(u0, length, middle, length + left);
      length += left + right;
      planLength += integrate(planSpeed, u0, middle) + integrate(planSpeed, middle, u1);
      return;
    }
    measure(u0, middle, left, depth + 1);
    measure(middle, u1, right, depth + 1);
  };
  for (let i = first; i < end; i++) {
    const [a, b] = [curve.breaks[i], curve.breaks[i + 1]];
    measure(a, b, integrate(speed, a, b), 0);
  }
  return { panels, length, planLength };
}

/** Speed in metres per unit of u; in plan when `flat`. Inside a panel only, so that breaks do not matter. */
function speedOf(curve: Curve, flat: boolean): (u: number) => number {
  const v = new Float64Array(3);
  return (u) => {
    curve.velocityAt(v, 0, u);
    return Math.sqrt(v[0] * v[0] + (flat ? 0 : v[1] * v[1]) + v[2] * v[2]);
  };
}

/** Number of the last panel whose entry at `offset` (0 = u, 1 = metres) is at or before `value`. */
function panelBefore(panels: Float64Array, offset: 0 | 1, value: number): number {
  let low = 0;
  let high = panels.length / PANEL_STRIDE - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (panels[middle * PANEL_STRIDE + offset] <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Metres from the curve's start to u. */
export function stationOf(table: ArcTable, u: number): number {
  const panel = panelBefore(table.panels, 0, u);
  const u0 = table.panels[panel * PANEL_STRIDE];
  return table.panels[panel * PANEL_STRIDE + 1] + integrate(speedOf(table.curve, false), u0, u);
}

/**
 * Fills `out` with u for each of the ascending `stations` (metres, in [0, length]): Newton on the arc length, bracketed by
 * the panel, each search starting from the one before.
 */
export function fillParams(out: Float64Array, table: ArcTable, stations: Float64Array): void {
  const { panels, length } = table;
  const speed = speedOf(table.curve, false);
  const enough = length * 1e-13;
  let panel = 0;
  let fromU = 0;
  let fromS = 0;
  for (let i = 0; i < stations.length; i++) {
    const s = Math.min(Math.max(stations[i], 0), length);
    const last = panels.length / PANEL_STRIDE - 2;
    while (panel < last && panels[(panel + 1) * PANEL_STRIDE + 1] <= s) panel++;
    const u0 = panels[panel * PANEL_STRIDE];
    const u1 = panels[(panel + 1) * PANEL_STRIDE];
    const s0 = panels[panel * PANEL_STRIDE + 1];
    const s1 = panels[(panel + 1) * PANEL_STRIDE + 1];
    if (fromU < u0) {
      fromU = u0;
      fromS = s0;
    }
    let low = fromU;
    let high = u1;
    const guess = fromU + (s - fromS) / speed(fromU);
    let u = guess < u1 ? guess : s1 > fromS ? fromU + ((s - fromS) / (s1 - fromS)) * (u1 - fromU) : u1;
    // A thirty-second of a panel is short enough for the 6-point rule: its error falls with the twelfth power of the length.
    const measure = u1 - fromU < SHORT * (u1 - u0) || guess - fromU < SHORT * (u1 - u0) ? integrateShort : integrate;
    for (let step = 0; step < 60; step++) {
      const error = fromS + measure(speed, fromU, u) - s;
      if (Math.abs(error) <= enough || high - low <= 1e-16) break;
      if (error > 0) high = u;
      else low = u;
      const next = u - error / speed(u);
      const isInside = next > low && next < high;
      u = isInside ? next : (low + high) / 2;
      // Newton squares the error: what is left after this step is below any that matters.
      if (isInside && Math.abs(error) <= (s - fromS) * NEWTON_LAST) break;
    }
    out[i] = u;
    fromU = u;
    fromS = s;
  }
}

/** The station of every path point, metres. */
export const pointStationsOf = (table: ArcTable): Float64Array =>
  Float64Array.from(table.curve.pointParams, (u) => stationOf(table, u));

/** Places at `count` + 1 even stations, flat xyz, metres. */
export function evenPlaces(table: ArcTable, count: number): Float64Array {
  const stations = Float64Array.from({ length: count + 1 }, (_, i) => (table.length * i) / count);
  const params = new Float64Array(count + 1);
  fillParams(params, table, stations);
  const out = new Float64Array((count + 1) * 3);
  params.forEach((u, i) => table.curve.pointAt(out, i * 3, u));
  return out;
}
