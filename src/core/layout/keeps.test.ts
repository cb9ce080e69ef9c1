import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse } from '../testing/curves';
import { bentRun, jobOf, prepared, tableOf, unwrap, laidRun } from '../testing/runs';
import { SIDES_STRIDE, sideStretches } from './side-stretch';

const RADIUS = 5;
const RING = tableOf(ellipse(RADIUS, RADIUS), 'upright', { tolerance: 1e-7 }, [0, 0, 1]);
const HALF = 0.4;
const BAR = prepared(makeSegmentMesh({ kind: 'plank', length: 1, width: 2 * HALF, thickness: 0.2 }));

const three = (keeps: 'middle' | 'inner' | 'outer') =>
  jobOf({
    laying: { kind: 'byCount', count: 3, over: 'own' },
    fit: { kind: 'bent', keeps },
    bending: { tolerance: 1e-6 },
  });

/** Axis, inner and outer side of each piece, over its natural length. */
function sidesOf(keeps: 'middle' | 'inner' | 'outer'): number[][] {
  const { laid, shape } = laidRun({ segment: BAR, table: RING, job: three(keeps) });
  const { placements } = unwrap(laid).layout;
  const sides = sideStretches(placements, shape, ({ factor }) => ({ axis: factor, left: -HALF, right: HALF }));
  return placements.map((_, i) => Array.from(sides.subarray(i * SIDES_STRIDE, (i + 1) * SIDES_STRIDE)));
}

describe('a bent piece that keeps the length of', () => {
  // Arcs of one angle are as long as their radii (elementary geometry).
  it.each([
    ['middle', 0, 1],
    ['inner', 1, RADIUS / (RADIUS - HALF)],
    ['outer', 2, RADIUS / (RADIUS + HALF)],
  ] as const)(
    'its %s is as long there as it was, and as much longer or shorter on the path as the radii say',
    (keeps, at, axis) => {
      for (const sides of sidesOf(keeps)) {
        expect(sides[at]).toBeCloseTo(1, 5);
        expect(sides[0]).toBeCloseTo(axis, 5);
      }
    },
  );

  // Pappus: a section whose middle goes round a circle makes the volume of the section times the way of its middle.
  it.each([
    ['middle', 1],
    ['inner', RADIUS / (RADIUS - HALF)],
    ['outer', RADIUS / (RADIUS + HALF)],
  ] as const)('its %s has the volume of its section times the way of its middle', (keeps, axis) => {
    const { mesh } = bentRun(BAR, RING, three(keeps));
    expect(volume(mesh) / (3 * volume(BAR.mesh))).toBeCloseTo(axis, 4);
  });
});
