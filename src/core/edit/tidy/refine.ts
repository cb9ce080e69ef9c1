import { buildFrameTable } from '../../frames/build-frame-table';
import { curvatureOf, eachFrame } from '../../frames/each-frame';
import { buildArcTable } from '../../curve/arc-table';
import { subdivideLegs } from '../subdivide-between';
import { compileCurve } from '../../curve/registry';
import type { Tidy } from './tidy';

/** A leg that turns by more than this, radians, gets a point. */
const MOST_TURN = Math.PI / 6;

export const refine: Tidy = {
  label: 'Put points where it bends',
  hint: 'Only into legs that turn by more than 30°; the curve stays',
  apply(spec) {
    const compiled = compileCurve(spec);
    if (!compiled.ok) return spec;
    const table = buildFrameTable(buildArcTable(compiled.value), { rule: 'upright', up: [0, 1, 0] });
    const turn = (from: number, to: number) => {
      let [sum, last, bend] = [0, from, 0];
      eachFrame(table, from, to, (frames, at, station) => {
        const now = curvatureOf(frames, at);
        sum += ((bend + now) / 2) * (station - last);
        [last, bend] = [station, now];
      });
      return sum;
    };
    const { pointStations: s, length } = table;
    return subdivideLegs(spec, (leg) => turn(s[leg], s[leg + 1] ?? length) > MOST_TURN);
  },
};
