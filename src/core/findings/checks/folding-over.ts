import { FRAME_STRIDE, GAUGE, SIDE, UP, CURVATURE } from '../../frames/frame-table';
import { curvatureOf, eachFrame } from '../../frames/tightness';
import { CREASE_ANGLE } from '../../math/tolerance';
import { halfWidth } from '../../segment/prepared-segment';
import { reachTowards } from '../../segment/support';
import { defineCheck, type CheckInput, type Finding } from '../finding';

/** Rounding asked for beyond what is just enough. */
const MARGIN = 1.06;

type Asked = Pick<CheckInput, 'table' | 'support' | 'job' | 'laying'>;

/** How far the section reaches along a vector, times that vector's length, at a frame of the table. */
function reachAlong({ support, job, laying }: Asked, f: Float64Array, at: number, station: number, v: number): number {
  const { from, to } = laying.reach;
  const { roll, turns, gauge } = job.bending;
  const angle = roll + (2 * Math.PI * turns * (station - from)) / (to - from);
  const along = (k: number) => f[v]! * f[at + k]! + f[v + 1]! * f[at + k + 1]! + f[v + 2]! * f[at + k + 2]!;
  const [u, s] = [along(UP), along(SIDE)];
  const [c, n] = [Math.cos(angle), Math.sin(angle)];
  return gauge * f[at + GAUGE]! * reachTowards(support, u * c + s * n, s * c - u * n);
}

/**
 * Share of the radius that the section uses on the inner side of a frame: curvature times the section's reach towards the
 * centre of the bend. At 1 the surface folds over.
 */
export const tightnessOf = (input: Asked, frames: Float64Array, at: number, station: number): number =>
  reachAlong(input, frames, at, station, at + CURVATURE);

/** Bends tighter than the inner side of the section can follow, and sharp corners. Facts: `radius` there and `needed`, metres. */
export const foldingOver = defineCheck({
  kind: 'foldingOver',
  find(input) {
    const { table, laying } = input;
    const { from, to } = laying.reach;
    const found: { from: number; to: number; station: number; most: number; radius: number; needed: number }[] = [];
    let isOpen = false;
    const look = (frames: Float64Array, at: number, station: number) => {
      const tightness = tightnessOf(input, frames, at, station);
      if (tightness < 1) {
        isOpen = false;
        return;
      }
      const radius = 1 / curvatureOf(frames, at);
      const here = { from: station, to: station, station, most: tightness, radius, needed: tightness * radius };
      const last = found[found.length - 1];
      if (!isOpen || !last) found.push(here);
      else Object.assign(last, tightness > last.most ? { ...here, from: last.from } : { to: station });
      isOpen = true;
    };
    eachFrame(table, from, to, look, { peaks: true });
    const smooth = found.length;
    let at = 0;
    for (const { station, angle, before, after } of table.kinks) {
      if (angle < CREASE_ANGLE || station < from || station > to) continue;
      // Straight back there is no inner side: all of the section passes through itself.
      const isBack = angle > Math.PI - CREASE_ANGLE;
      const inward = withInward(table.frames, before, after);
      const reach = isBack ? halfWidth(input.segment.box) : reachAlong(input, inward, 0, station, CURVATURE);
      const corner = { from: station, to: station, station, most: Infinity, radius: 0, needed: reach };
      while (at < smooth && found[at]!.to < station) at++;
      const around = at < smooth && found[at]!.from <= station ? found[at] : undefined;
      if (around) Object.assign(around, { ...corner, from: around.from, to: around.to });
      else if (reach > 0) found.push(corner);
    }
    found.sort((a, b) => a.from - b.from);
    return found.map(({ from, to, station, radius, needed }): Finding => ({
      check: 'foldingOver',
      at: { from, to, station },
      facts: { radius, needed },
      remedy: { kind: 'roundBend', station, radius: needed * MARGIN },
    }));
  },
});

/** The frame before a corner, with the unit vector towards the inside of the turn in place of its curvature. */
function withInward(frames: Float64Array, before: number, after: number): Float64Array {
  const frame = frames.slice(before * FRAME_STRIDE, (before + 1) * FRAME_STRIDE);
  const next = after * FRAME_STRIDE;
  let along = 0;
  for (let c = 3; c < 6; c++) along += frame[c]! * frames[next + c]!;
  let size = 0;
  for (let c = 0; c < 3; c++) {
    frame[CURVATURE + c] = frames[next + 3 + c]! - along * frame[3 + c]!;
    size += frame[CURVATURE + c]! ** 2;
  }
  for (let c = 0; c < 3; c++) frame[CURVATURE + c]! /= Math.sqrt(size) || 1;
  return frame;
}
