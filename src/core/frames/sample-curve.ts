import { fillParams, type ArcTable } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { CURVATURE, FORWARD, FRAME_STRIDE, type Spans } from './frame-table';

/** Stations of all samples of spans, metres. */
export function stationsOf({ starts, firsts }: Spans): Float64Array {
  const stations = new Float64Array(firsts[firsts.length - 1]);
  for (let k = 0; k + 1 < firsts.length; k++) {
    const [first, last] = [firsts[k], firsts[k + 1] - 1];
    const step = (starts[k + 1] - starts[k]) / (last - first);
    for (let i = first; i < last; i++) stations[i] = starts[k] + (i - first) * step;
    stations[last] = starts[k + 1]!;
  }
  return stations;
}

/** Writes position, forward and curvature of the samples of spans `from` up to, but without, `to`; `stations` are those of all. */
export function sampleSpans(
  frames: Float64Array,
  arc: ArcTable,
  { params, firsts }: Spans,
  stations: Float64Array,
  from: number,
  to: number,
): void {
  const [first, end] = [firsts[from], firsts[to]];
  const us = new Float64Array(end - first);
  fillParams(us, arc, stations.subarray(first, end));
  for (let k = from; k < to; k++) {
    const last = firsts[k + 1] - 1;
    for (let i = firsts[k] + 1; i < last; i++) fillSample(frames, i * FRAME_STRIDE, arc.curve, us[i - first]);
    // The ends exactly, so that two spans meet in one place.
    fillSample(frames, firsts[k] * FRAME_STRIDE, arc.curve, params[k]);
    fillSample(frames, last * FRAME_STRIDE, arc.curve, params[k + 1], true);
  }
}

/**
 * Writes position, forward and curvature vector at u, at a break of the piece that it begins or, `fromLeft`, of the one that it ends. Where
 * the speed is zero, forward is the limit from just inside.
 */
export function fillSample(out: Float64Array, at: number, curve: Curve, u: number, fromLeft = u >= 1): void {
  curve.pointAt(out, at, u);
  curve.velocityAt(out, at + FORWARD, u, fromLeft);
  let speed2 = squared(out, at + FORWARD);
  let where = u;
  if (speed2 < 1e-20) {
    where = fromLeft ? u - 1e-6 : u + 1e-6;
    curve.velocityAt(out, at + FORWARD, where, fromLeft);
    speed2 = squared(out, at + FORWARD);
  }
  curve.accelerationAt(out, at + CURVATURE, where, fromLeft);
  const speed = Math.sqrt(speed2);
  const tx = (out[at + FORWARD] /= speed);
  const ty = (out[at + FORWARD + 1] /= speed);
  const tz = (out[at + FORWARD + 2] /= speed);
  // Curvature vector = (a - (a.t) t) / v^2.
  const k = at + CURVATURE;
  const along = out[k] * tx + out[k + 1] * ty + out[k + 2] * tz;
  out[k] = (out[k] - along * tx) / speed2;
  out[k + 1] = (out[k + 1] - along * ty) / speed2;
  out[k + 2] = (out[k + 2] - along * tz) / speed2;
}

const squared = (v: Float64Array, at: number): number => v[at] * v[at] + v[at + 1] * v[at + 1] + v[at + 2] * v[at + 2];
