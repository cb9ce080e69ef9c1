import type { FitSpec } from '../layout/fit-registry';
import { strewn as strewnFit } from '../layout/fits/strewn';
import { keyed } from '../testing/lanes';
import { curveFrom, pathOf } from '../testing/curves';
import { compiled, jobOf, laidRun, planRun, prepared, tableOf, unwrap, type JobChange } from '../testing/runs';
import { instancesOf, PLACE_STRIDE } from '../bending/instances';
import { buildFormStore } from '../segment/pieces/form-store';
import { makeSegmentMesh, maker, type MakerSpec } from '../segment/registry';
import { layCourse } from '../layout/lay-course';
import { poseCourse } from '../motion/pose-course';
import { passesOf } from '../motion/motion-spec';
import { groundOf } from './ground-of';
import { strew, type StrewnSpec } from './strew';

const made = (kind: MakerSpec['kind'], change: object = {}) =>
  prepared(makeSegmentMesh({ ...(maker(kind).defaults as object), ...change } as MakerSpec));

const PLANK = made('plank', { length: 1, width: 0.5, thickness: 0.1 });
const TUBE = made('tube', { length: 1, radius: 0.2 });
const STONE = made('stone');
const STRAIGHT = tableOf(compiled(pathOf('straight', [[0, 0, 0], [20, 0, 0]])), 'upright'); // prettier-ignore

/** Level, 3 m about the origin. */
const RING = curveFrom(
  (u) => [3 * Math.cos(2 * Math.PI * u), 0, 3 * Math.sin(2 * Math.PI * u)],
  (u) => [-6 * Math.PI * Math.sin(2 * Math.PI * u), 0, 6 * Math.PI * Math.cos(2 * Math.PI * u)],
  (u) => [-12 * Math.PI ** 2 * Math.cos(2 * Math.PI * u), 0, -12 * Math.PI ** 2 * Math.sin(2 * Math.PI * u)],
  true,
);

const spec = (change: Partial<StrewnSpec> = {}): StrewnSpec => ({
  ...strewnFit.defaults,
  ...{ density: 60, within: 0.2, tilt: 0, least: 1, greatest: 1, ...change },
});

/** What is strewn over pieces of a segment that fill a path. */
function strewnOver(segment = PLANK, change: Partial<StrewnSpec> = {}, job: JobChange = {}, table = STRAIGHT) {
  const own = jobOf({ ...job, laying: { kind: 'fillStretch', gap: 0 } });
  const { shape, laid } = laidRun({ segment, table, job: own });
  const over = strew({ laid: unwrap(laid), shape, fit: own.course.fit }, spec(change), [STONE.length]);
  return { shape, job: own, over, stands: () => standsOf(shape, own, unwrap(over)) };
}

/** Feet and ups of everything that is strewn, by the matrices that are drawn and baked. */
function standsOf(
  shape: ReturnType<typeof laidRun>['shape'],
  { bending, motion, course }: ReturnType<typeof jobOf>,
  over: Parameters<typeof layCourse>[0]['over'],
  time: number | null = null,
) {
  // prettier-ignore
  const fit: FitSpec = spec();
  const forms = buildFormStore();
  const input = { segment: STONE, others: [], shape, course: { ...course, fit }, bending, gauge: 1, passes: passesOf(motion), forms }; // prettier-ignore
  const laid = unwrap(layCourse({ ...input, over }));
  const plan = poseCourse(laid, { shape, fit, motion, variation: course.laying.variation }, time);
  return (instancesOf(plan) ?? []).flatMap(({ places }) =>
    Array.from({ length: places.length / PLACE_STRIDE }, (_, i) => {
      const m = places.subarray(i * PLACE_STRIDE, (i + 1) * PLACE_STRIDE);
      const foot = [0, 1, 2].map((c) => m[c] * (STONE.length / 2) + m[12 + c] + shape.table.origin[c]);
      return { foot: foot as [number, number, number], up: [m[4], m[5], m[6]] as const, size: Math.hypot(m[0], m[1], m[2]) }; // prettier-ignore
    }),
  );
}

describe('strew', () => {
  it('puts as many on a surface as its area asks for, all of them on top of it, spread evenly', () => {
    const own = strewnOver().stands();
    // 20 m x 0.5 m less the bevels; a Poisson count strays by its root (elementary).
    expect(Math.abs(own.length - 60 * 20 * 0.5)).toBeLessThan(4 * Math.sqrt(600));
    for (const { foot, up } of own) {
      expect(foot[1]).toBeCloseTo(0.1, 6);
      expect(up[1]).toBeCloseTo(1, 6);
    }
    const quarters = [0, 1, 2, 3].map((q) => own.filter(({ foot }) => Math.floor(foot[0] / 5) === q).length);
    for (const count of quarters) expect(Math.abs(count - own.length / 4)).toBeLessThan(4 * Math.sqrt(own.length / 4));
    const right = own.filter(({ foot }) => foot[2] > 0).length;
    expect(Math.abs(right - own.length / 2)).toBeLessThan(4 * Math.sqrt(own.length / 2));
  });

  it('stands on a bent tube square to it, at its radius, wherever it looks', () => {
    const ring = tableOf(RING, 'upright', { tolerance: 1e-7 });
    const own = strewnOver(TUBE, { within: Math.PI }, {}, ring).stands();
    expect(own.length).toBeGreaterThan(800);
    let below = 0;
    for (const { foot, up } of own) {
      const out = Math.hypot(foot[0], foot[2]) - 3;
      // Within the chords of the tube's own sides.
      expect(Math.hypot(out, foot[1])).toBeLessThan(0.2001);
      expect(Math.hypot(out, foot[1])).toBeGreaterThan(0.195);
      const [ox, oz] = [foot[0] / Math.hypot(foot[0], foot[2]), foot[2] / Math.hypot(foot[0], foot[2])];
      const away = (up[0] * ox * out + up[2] * oz * out + up[1] * foot[1]) / Math.hypot(out, foot[1]);
      expect(away).toBeGreaterThan(0.99);
      if (foot[1] < 0) below++;
    }
    expect(Math.abs(below - own.length / 2)).toBeLessThan(4 * Math.sqrt(own.length / 2));
  });

  it('keeps to where the surface looks up, and stands plumb where that is asked for', () => {
    const own = strewnOver(TUBE, { within: 0.5 }).stands();
    for (const { foot } of own) expect(Math.atan2(Math.abs(foot[2]), foot[1])).toBeLessThan(0.55);
    expect(own.length).toBeGreaterThan(50);
  });

  it.each([
    ['left', (z: number) => z < -0.15],
    ['right', (z: number) => z > 0.15],
    ['edges', (z: number) => Math.abs(z) > 0.15],
    ['middle', (z: number) => Math.abs(z) < 0.0501],
  ] as const)('keeps to a strip: %s', (across, isIn) => {
    const own = strewnOver(PLANK, { across, band: 0.1 }).stands();
    expect(own.length).toBeGreaterThan(50);
    expect(own.filter(({ foot }) => !isIn(foot[2]))).toEqual([]);
  });

  it('keeps them apart, by every pair', () => {
    const own = strewnOver(PLANK, { apart: 0.15 }).stands();
    const nearest = own.map(({ foot }, i) =>
      Math.min(...own.slice(i + 1).map((other) => Math.hypot(...foot.map((c, k) => c - other.foot[k])))),
    );
    expect(Math.min(...nearest)).toBeGreaterThanOrEqual(0.15 - 1e-6);
    // Random sequential adsorption of discs stops at a cover of 0.547 (Feder, J. Theor. Biol. 87, 1980): discs of half the distance.
    expect((own.length * Math.PI * 0.075 ** 2) / 10).toBeLessThan(0.6);
  });

  it('follows the density lane and the gauge', () => {
    const half = { shape: { lanes: { density: keyed([0, 0], [9.999, 0], [10.001, 2], [20, 2]) } } };
    const own = strewnOver(PLANK, {}, { bending: half.shape }).stands();
    expect(own.filter(({ foot }) => foot[0] < 9.99)).toEqual([]);
    expect(Math.abs(own.length - 60 * 10 * 0.5 * 2)).toBeLessThan(4 * Math.sqrt(600));
    const thin = strewnOver(PLANK, {}, { bending: { gauge: 0.5 } }).stands();
    expect(Math.abs(thin.length - 300)).toBeLessThan(4 * Math.sqrt(300));
    for (const { foot } of thin) expect(foot[1]).toBeCloseTo(0.05, 6);
  });

  it('keeps what lies on a piece when the path grows longer, and is another with another seed', () => {
    const longer = tableOf(compiled(pathOf('straight', [[0, 0, 0], [30, 0, 0]])), 'upright'); // prettier-ignore
    // All but the last piece of the shorter one, which shows its end.
    const places = (own: ReturnType<typeof strewnOver>) =>
      own.stands().flatMap(({ foot }) => (foot[0] < 19 ? [foot.map((c) => c.toFixed(5)).join()] : []));
    const [short, long, other] = [strewnOver(), strewnOver(PLANK, {}, {}, longer), strewnOver(PLANK, { seed: 2 })];
    expect(places(long)).toEqual(places(short));
    expect(places(other)).not.toEqual(places(short));
  });

  it('sizes, sinks and leans as it is told', () => {
    const own = strewnOver(PLANK, { least: 0.5, greatest: 2, tilt: 0 }).stands();
    const sizes = own.map(({ size }) => size);
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(0.5);
    expect(Math.max(...sizes)).toBeLessThanOrEqual(2);
    expect(sizes.reduce((sum, size) => sum + size, 0) / sizes.length).toBeCloseTo(1.25, 0);
  });

  it('grows with the run: what its front has not reached is not there', () => {
    const motion = { growth: { kind: 'uncover', seconds: 10, tip: 0 } } as const;
    const { shape, job, over } = strewnOver(PLANK, {}, { motion });
    const all = standsOf(shape, job, unwrap(over));
    const half = standsOf(shape, job, unwrap(over), 5);
    expect(half.length).toBe(all.filter(({ foot }) => foot[0] <= 10).length);
    for (const { foot } of half) expect(foot[0]).toBeLessThan(10.1);
  });

  it('says when there would be too many, and when there is nothing to lie on', () => {
    expect(strewnOver(PLANK, { density: 1e5 }).over).toMatchObject({ ok: false, problems: [{ code: 'strewn.too-many' }] }); // prettier-ignore
    const alone = planRun({ segment: STONE, table: STRAIGHT, job: jobOf({ fit: spec() }) });
    expect(alone).toMatchObject({ ok: false, problems: [{ code: 'strewn.no-surface' }] });
  });
});

describe('groundOf', () => {
  const align = { side: 'own', height: 'own' } as const;
  const bent = { id: 'a', align, fit: { kind: 'bent' } as FitSpec };
  const stones = { id: 'b', align, fit: spec() as FitSpec };
  it('is the course that is named, or the first that is not strewn itself', () => {
    const other = { ...bent, id: 'c' };
    const named = (on: string) => ({ ...stones, fit: spec({ on }) as FitSpec });
    const stood = { ...bent, id: 'd', align: { ...align, height: 'surface' as const } };
    expect(groundOf([stones, bent, other], stones)).toBe(1);
    expect(groundOf([stones, bent, other], named('c'))).toBe(2);
    expect(groundOf([stones, bent], named('b'))).toBe(1);
    expect(groundOf([stones], stones)).toBe(-1);
    expect(groundOf([stones, bent], bent)).toBe(-1);
    expect(groundOf([stood, stones, bent], stood)).toBe(2);
  });
});
