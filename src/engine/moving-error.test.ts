import type { Vector3 } from 'three';
import { floatBelow } from '../core/math/float-below';
import type { MotionSpec } from '../core/motion/motion-spec';
import { pathOf } from '../core/testing/curves';
import { unwrap } from '../core/testing/runs';
import { bakeMoving } from './bake-moving';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { surfaceGap } from './surface-gap';
import { hierarchyOf, ownAt, played } from './testing/played';
import { runProject } from './testing/run-project';

const deriver = new Deriver(loadFrom(new Map()));
const curve = pathOf('smooth', [[0, 0, 0], [2, 1, 1], [4, 0, 0]]); // prettier-ignore
const tube = { kind: 'tube', length: 0.5, radius: 0.1, sides: 8 } as const;
const range = { first: 1, last: 49, framesPerSecond: 12 };

/** The greatest distance from corners of triangles to other ones' nearest place; 0 where one of the two is nothing. Middles of hidden ends lie inside. */
function farthest(from: readonly Vector3[], to: readonly Vector3[]): number {
  const surface = hierarchyOf(to);
  let worst = 0;
  for (let i = 0; surface && i < from.length; i += 3) {
    for (const place of from.slice(i, i + 3)) worst = Math.max(worst, surface.closestPointToPoint(place)!.distance);
  }
  return worst;
}

describe('how far a file that moves says it is off', () => {
  it.each<[string, Partial<MotionSpec>]>([
    ['drawn out', { growth: { kind: 'stretchOut', seconds: 4 } }],
    ['laid one by one from above', { growth: { kind: 'oneByOne', seconds: 4, each: 0.4, turn: 'station', come: 'fromAbove', height: 3 } }], // prettier-ignore
    ['uncovered from the end', { growth: { kind: 'uncover', seconds: 3.1, tip: 0 }, from: 'end' }],
    ['sliding', { speed: -0.5 }],
  ])(
    'is no less than what a player shows: surfaces both ways, at frames and between them, %s',
    async (_, motion) => {
      const project = runProject(curve, tube, { laying: { kind: 'fillStretch' } }, motion);
      for (const [by, most] of [
        ['shapes', 24],
        ['joints', 40],
      ] as const) {
        // prettier-ignore
        const { files, facts } = unwrap(await bakeMoving(project, deriver, 'a', { by, most, range }));
        const times = [0, 0.01, 1 / 12, 0.16, 0.2917, 1.0417, 13 / 12, 2.13, 2.5, 3.2917, 41 / 12, 3.999, 4];
        const shown = await played(files[0].bytes, times);
        let worst = 0;
        for (const [i, time] of times.entries()) {
          const own = await ownAt(deriver, project, 'R', time);
          worst = Math.max(worst, farthest(shown[i], own), farthest(own, shown[i]));
        }
        expect(worst).toBeLessThanOrEqual(facts.off);
        // It is a figure, no mere bound; what comes from above is worst just before it shows.
        if (motion.growth?.kind !== 'oneByOne') expect(worst).toBeGreaterThan(facts.off / 20);
      }
    },
    120_000,
  );

  it('is that of numbers of 32 bits where the file is exact: a straight tube drawn out, a shape a frame', async () => {
    const line = pathOf('straight', [[0, 0, 0], [3, 0, 0]]); // prettier-ignore
    const project = runProject(line, tube, { laying: { kind: 'fillStretch' } }, { growth: { kind: 'stretchOut', seconds: 4 } }); // prettier-ignore
    const { facts } = unwrap(await bakeMoving(project, deriver, 'a', { by: 'joints', most: 24, range }));
    expect(facts.off).toBeLessThan(0.11); // its own radius, while it comes in the first frame
    const second = { ...range, first: 13 };
    const later = unwrap(await bakeMoving(project, deriver, 'a', { by: 'shapes', most: 100, range: second }));
    expect(later.facts.off).toBeLessThan(1e-5);
  });
});

describe('surfaceGap', () => {
  const square = (y: number, size = 1) => ({
    corners: Float32Array.of(0, y, 0, size, y, 0, 0, y, size, size, y, 0, size, y, size, 0, y, size),
  });
  const nothing = { corners: new Float32Array(9) };

  it('is the greatest distance, whichever of the two reaches beyond the other', () => {
    expect(surfaceGap(square(0), square(0.3), 10)).toBeCloseTo(0.3, 6);
    for (const [a, b] of [
      [square(0), square(0, 1.75)],
      [square(0, 1.75), square(0)],
    ])
      // prettier-ignore
      expect(surfaceGap(a, b, 10)).toBeCloseTo(Math.hypot(0.75, 0.75), 6);
  });

  it('is as large as what the other has not at all, and none between nothings', () => {
    expect(surfaceGap(square(0, 1.75), nothing, 10)).toBeCloseTo(1.75, 6);
    expect(surfaceGap(nothing, square(2, 1.25), 10)).toBeCloseTo(1.25, 6);
    expect(surfaceGap(nothing, nothing, 10)).toBe(0);
  });

  it('takes twins for no more than hints, however far off they are', () => {
    const twins = (y: number) => Float32Array.from(square(y).corners, (v, i) => (i < 9 ? NaN : v));
    expect(surfaceGap({ ...square(0), twins: twins(0.3) }, { ...square(0.3), twins: twins(0) }, 10)).toBeCloseTo(
      0.3,
      6,
    );
    expect(surfaceGap({ ...square(0), twins: twins(9) }, square(0.3), 10)).toBeCloseTo(0.3, 6);
  });
});

describe('floatBelow', () => {
  it('is never after a frame, and no more than a last digit before it', () => {
    for (const rate of [7, 12, 24, 29.97, 60])
      for (let frame = 0; frame < 400; frame++) {
        const [time, written] = [frame / rate, floatBelow(frame / rate)];
        expect(written).toBe(Math.fround(written));
        expect(written).toBeLessThanOrEqual(time);
        expect(time - written).toBeLessThanOrEqual(time * 2 ** -23);
      }
    expect(Math.fround(13 / 12)).toBeGreaterThan(13 / 12); // what it is there for
    expect(floatBelow(-1 / 3)).toBeLessThan(-1 / 3);
  });
});
