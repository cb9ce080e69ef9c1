import { curvatureOf } from '../../frames/each-frame';
import { CURVATURE, FORWARD, FRAME_STRIDE } from '../../frames/frame-table';
import { fitOf } from '../../layout/fit-registry';
import { CREASE_ANGLE } from '../../math/tolerance';
import { halfWidth } from '../../segment/prepared-segment';
import { reachTowards } from '../../segment/support';
import { eachFrameOn, frameOn } from '../../shape/frame-on';
import { sectionReach } from '../../shape/section-reach';
import { defineCheck, type FindingOf } from '../finding';

/** Rounding asked for beyond what is just enough. */
const MARGIN = 1.06;

/**
 * Share of the radius that the section uses on the inner side of a frame: curvature times the section's reach towards the
 * centre of the bend. At 1 the surface folds over.
 */
export const tightnessOn = (support: Float64Array, frame: Float64Array): number =>
  reachAlong(support, frame, frame[CURVATURE], frame[CURVATURE + 1], frame[CURVATURE + 2]);

const reachAlong = (support: Float64Array, frame: Float64Array, x: number, y: number, z: number): number =>
  sectionReach((up, side) => reachTowards(support, up, side), frame, x, y, z);

/** Bends tighter than the inner side of the section can follow, and sharp corners. Facts: `radius` there and `needed`, metres. */
export const foldingOver = defineCheck({
  kind: 'foldingOver',
  find(input) {
    const { shape, support, course } = input;
    if (!fitOf(course.fit).follows) return []; // what is not bent does not fold
    const { table, reach } = shape;
    const { from, to } = reach;
    const found: { from: number; to: number; station: number; most: number; radius: number; needed: number }[] = [];
    let isOpen = false;
    const look = (frame: Float64Array, station: number) => {
      const tightness = tightnessOn(support, frame);
      if (tightness < 1) {
        isOpen = false;
        return;
      }
      const radius = 1 / curvatureOf(frame, 0);
      const here = { from: station, to: station, station, most: tightness, radius, needed: tightness * radius };
      const last = found[found.length - 1];
      if (!isOpen || !last) found.push(here);
      else Object.assign(last, tightness > last.most ? { ...here, from: last.from } : { to: station });
      isOpen = true;
    };
    eachFrameOn(shape, from, to, look, { peaks: true });
    const smooth = found.length;
    let at = 0;
    for (const { station, angle, before, after } of table.kinks) {
      if (angle < CREASE_ANGLE || station < from || station > to) continue;
      // Straight back there is no inner side: all of the section passes through itself.
      const isBack = angle > Math.PI - CREASE_ANGLE;
      const reach = isBack
        ? halfWidth(input.segment.box)
        : reachAlong(support, frameOn(shape, station, true), ...inwardAt(table.frames, before, after));
      const corner = { from: station, to: station, station, most: Infinity, radius: 0, needed: reach };
      while (at < smooth && found[at].to < station) at++;
      const around = at < smooth && found[at].from <= station ? found[at] : undefined;
      if (around) Object.assign(around, { ...corner, from: around.from, to: around.to });
      else if (reach > 0) found.push(corner);
    }
    found.sort((a, b) => a.from - b.from);
    return found.map(
      ({ from, to, station, radius, needed }): FindingOf<'foldingOver', { radius: number; needed: number }> => ({
        check: 'foldingOver',
        at: { from, to, station },
        facts: { radius, needed },
        remedy: { kind: 'roundBend', station, radius: needed * MARGIN },
      }),
    );
  },
});

/** Square to the leg before a corner: the unit vector towards the inside of the turn. */
function inwardAt(frames: Float64Array, before: number, after: number): [number, number, number] {
  const [a, b] = [before * FRAME_STRIDE + FORWARD, after * FRAME_STRIDE + FORWARD];
  const along = frames[a] * frames[b] + frames[a + 1] * frames[b + 1] + frames[a + 2] * frames[b + 2];
  const inward = [0, 1, 2].map((c) => frames[b + c] - along * frames[a + c]);
  const size = Math.hypot(...inward) || 1;
  return [inward[0] / size, inward[1] / size, inward[2] / size];
}
