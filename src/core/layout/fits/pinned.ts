import { z } from 'zod';
import { FORWARD, SIDE, UP } from '../../frames/frame-table';
import { cross, normalize, scale as times, sub, type Vec3 } from '../../math/vec3';
import { frameOn, OFFSET_SIDE, OFFSET_UP, SLOPE } from '../../shape/frame-on';
import type { Shape } from '../../shape/shape';
import { defineFit } from '../fit';
import type { Place } from '../place';
import { fillStiff } from './stiff';

/** Stiff between two pins that lie on the path. */
export const pinned = defineFit({
  kind: 'pinned',
  label: 'pinned',
  hint: 'Stiff, with a pin at either end on the path',
  schema: z.strictObject({ kind: z.literal('pinned') }),
  defaults: { kind: 'pinned' },
  fields: [],
  follows: false,
  isRigid: true,
  measures: () => 'path',
  fillRows(rows, form, shape, place) {
    const { station, factor, natural, pins } = place;
    const [a, b] = pins ? [vec(pins, 0), vec(pins, 3)] : endsOn(shape, place);
    const pose = frameOn(shape, station + (factor * natural) / 2);
    const forward = normalize(sub(b, a));
    // Up as the path has it in the middle, square to the way from pin to pin.
    const side = normalize(cross(forward, vec(pose, UP)));
    const up = cross(side, forward);
    for (let c = 0; c < 3; c++) {
      pose[c] = (a[c] + b[c]) / 2;
      pose[FORWARD + c] = forward[c]!;
      pose[UP + c] = up[c]!;
      pose[SIDE + c] = side[c]!;
    }
    pose.fill(0, OFFSET_UP, OFFSET_SIDE + 1);
    pose.fill(0, OFFSET_UP + SLOPE);
    // Where laying knows of pins, they are as far apart as links are long. Else the piece is as long as its ends are apart.
    const scale = pins ? place.scale : Math.hypot(...sub(b, a)) / natural;
    fillStiff(rows, form, pose, { middle: natural / 2, scale, origin: shape.table.origin });
  },
});

const vec = (of: ArrayLike<number>, at: number): Vec3 => [of[at], of[at + 1], of[at + 2]];

/** The places of a piece's two ends on the run. */
function endsOn(shape: Shape, { station, factor, natural }: Place): readonly [Vec3, Vec3] {
  const [a, b] = [0, natural].map((x) => {
    const frame = frameOn(shape, station + factor * x);
    const [up, side] = [times(vec(frame, UP), frame[OFFSET_UP]), times(vec(frame, SIDE), frame[OFFSET_SIDE])];
    return [0, 1, 2].map((c) => frame[c] + up[c] + side[c]) as unknown as Vec3;
  });
  return [a, b];
}
