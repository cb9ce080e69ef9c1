import { measureLegs, PANEL_STRIDE, stationOf, type ArcTable } from './arc-table';
import type { Curve } from './curve';

/** Legs that differ between two curves over the same breaks: from `first` up to, but without, `end`. */
export interface TouchedLegs {
  readonly first: number;
  readonly end: number;
}

/**
 * Which legs of a curve an edit has touched: those that do not start, end and pass their middle as before. Undefined where the curves have
 * other breaks and cannot be compared.
 */
export function touchedLegs(before: Curve, after: Curve): TouchedLegs | undefined {
  const { breaks } = before;
  if (breaks.length !== after.breaks.length || before.closed !== after.closed) return undefined;
  const a = new Float64Array(12);
  const b = new Float64Array(12);
  const write = (out: Float64Array, curve: Curve, from: number, to: number) => {
    curve.pointAt(out, 0, from);
    curve.velocityAt(out, 3, from);
    curve.velocityAt(out, 6, to, true);
    curve.pointAt(out, 9, (from + to) / 2);
  };
  const isSame = (leg: number) => {
    if (breaks[leg] !== after.breaks[leg] || breaks[leg + 1] !== after.breaks[leg + 1]) return false;
    write(a, before, breaks[leg], breaks[leg + 1]);
    write(b, after, breaks[leg], breaks[leg + 1]);
    for (let k = 0; k < 12; k++) if (a[k] !== b[k]) return false;
    return true;
  };
  const legs = breaks.length - 1;
  let first = 0;
  while (first < legs && isSame(first)) first++;
  let end = legs;
  while (end > first && isSame(end - 1)) end--;
  return { first, end };
}

/** The arc table of an edited curve: only touched legs are measured, the others keep their panels. */
export function followArc(before: ArcTable, curve: Curve, { first, end }: TouchedLegs): ArcTable {
  const { breaks } = curve;
  const [u0, u1] = [breaks[first], breaks[end]];
  const panelOf = (u: number) => {
    let [low, high] = [0, before.panels.length / PANEL_STRIDE - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (before.panels[middle * PANEL_STRIDE] < u) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const [from, to] = [panelOf(u0), panelOf(u1)];
  const start = before.panels[from * PANEL_STRIDE + 1];
  const old = measureLegs(before.curve, first, end, before.length);
  const own = measureLegs(curve, first, end, before.length);
  const shift = own.length - (before.panels[to * PANEL_STRIDE + 1] - start);
  const head = before.panels.subarray(0, from * PANEL_STRIDE);
  const tail = before.panels.subarray(to * PANEL_STRIDE);
  const panels = new Float64Array(head.length + own.panels.length + tail.length);
  panels.set(head);
  for (let i = 0; i < own.panels.length; i += PANEL_STRIDE) {
    panels[head.length + i] = own.panels[i]!;
    panels[head.length + i + 1] = own.panels[i + 1] + start;
  }
  for (let i = 0; i < tail.length; i += PANEL_STRIDE) {
    panels[head.length + own.panels.length + i] = tail[i]!;
    panels[head.length + own.panels.length + i + 1] = tail[i + 1] + shift;
  }
  const planLength = before.planLength - old.planLength + own.planLength;
  return { curve, panels, length: before.length + shift, planLength };
}

/** Where the touched stretch begins, and where it ended and ends; metres. */
export function touchedStations(before: ArcTable, after: ArcTable, { first, end }: TouchedLegs) {
  return {
    from: stationOf(before, before.curve.breaks[first]),
    oldTo: stationOf(before, before.curve.breaks[end]),
    to: stationOf(after, after.curve.breaks[end]),
  };
}
